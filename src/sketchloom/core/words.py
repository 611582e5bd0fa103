"""Words by which layers are named, in the user's language."""

import json
from functools import lru_cache
from importlib.resources import files

from sketchloom.core.colour import colour_name

ENGLISH = "en"


@lru_cache(maxsize=1)
def _table() -> dict:
    return json.loads(files("sketchloom").joinpath("data", "layer_words.json").read_text(encoding="utf-8"))


def languages() -> dict[str, str]:
    """Codes of the languages that layers can be named in, and what each calls itself."""
    return {ENGLISH: "English", **{code: one["name"] for code, one in _table().items()}}


def word(text: str, language: str = ENGLISH) -> str:
    """A word that layers are named with, given in English; in English where it is not known."""
    return text if language == ENGLISH else _table().get(language, {}).get("words", {}).get(text, text)


def sheet_name(rgb8, family: str | None = None, language: str = ENGLISH) -> str:
    """What a sheet of a colour, and of a family of materials, is called."""
    colour = word(colour_name(rgb8), language)
    if family is None:
        return colour
    pattern = "{colour} {material}" if language == ENGLISH else _table()[language]["with_material"]
    return pattern.format(colour=colour, material=word(family, language))
