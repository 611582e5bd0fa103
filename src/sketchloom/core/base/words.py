"""Words by which layers are named, in the user's language."""

import json
from functools import lru_cache
from pathlib import Path

ENGLISH = "en"


@lru_cache(maxsize=1)
def _table() -> dict:
    # not by importlib.resources: that costs a sixth of the document's import
    return json.loads((Path(__file__).parents[2] / "data" / "layer_words.json").read_text(encoding="utf-8"))


def languages() -> dict[str, str]:
    """Codes of the languages that layers can be named in, and what each calls itself."""
    return {ENGLISH: "English", **{code: one["name"] for code, one in _table().items()}}


def word(text: str, language: str = ENGLISH) -> str:
    """A word that layers are named with, given in English; in English where it is not known."""
    return text if language == ENGLISH else _table().get(language, {}).get("words", {}).get(text, text)


def pattern_with_material(language: str = ENGLISH) -> str:
    """How a colour and a material are put together."""
    return "{colour} {material}" if language == ENGLISH else _table()[language]["with_material"]
