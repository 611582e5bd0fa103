"""Settings of a reading under a name: kept, handed on as JSON, and taken again."""

import json
from dataclasses import dataclass, replace

from sketchloom.core.base.errors import ProjectError, SettingError
from sketchloom.core.base.plain import encoded
from sketchloom.core.base.said import said
from sketchloom.recipe.document import SETTINGS as EVERY_SETTING
from sketchloom.recipe.document import Recipe, from_json, to_json

FORMAT = "sketch-loom-presets"
VERSION = 1
"""Of the file of presets."""
MOST = 200
"""Presets that one file holds."""
_MAX_BYTES = 1_000_000
"""A larger file is none of ours."""
SETTINGS = tuple(name for name, setting in EVERY_SETTING.items() if setting.preset)
"""What a preset holds: how to read, never what belongs to one picture."""


@dataclass(frozen=True, slots=True)
class Preset:
    """Settings with a name; ``recipe`` holds the defaults in everything else."""

    name: str
    recipe: Recipe

    def applied(self, recipe: Recipe) -> Recipe:
        """A work's recipe with these settings; edits of single colours go, as their colours may not be there."""
        return replace(recipe, palette=None, **{k: getattr(self.recipe, k) for k in SETTINGS})


def preset_of(name: str, recipe: Recipe) -> Preset:
    """The settings of a recipe under a name.

    Raises
    ------
    SettingError : the name is empty or longer than 60 characters.
    """
    name = " ".join(name.split())
    if not 1 <= len(name) <= 60:
        raise SettingError("name", said("1 to 60 characters"), name)
    return Preset(name, Recipe(**{k: getattr(recipe, k) for k in SETTINGS}))


def to_bytes(presets) -> bytes:
    """The file of some presets."""
    plain = [
        {"name": p.name, "settings": {k: v for k, v in to_json(p.recipe).items() if k in SETTINGS}} for p in presets
    ]
    text = json.dumps({"format": FORMAT, "version": VERSION, "presets": plain}, indent=2, ensure_ascii=False)
    return encoded(text + "\n")


def from_bytes(data: bytes, file_name: str) -> tuple[Preset, ...]:
    """Presets from a file of any origin.

    Raises
    ------
    ProjectError : what is wrong with it, in a sentence; nothing of it is taken then.
    """
    if len(data) > _MAX_BYTES:
        raise ProjectError(file_name, said("is too large for a file of presets. Choose another file."))
    try:
        plain = json.loads(data)
    except (ValueError, RecursionError):
        raise ProjectError(
            file_name, said("is no file of presets: it is not JSON. Choose a file that was exported here.")
        ) from None
    if not isinstance(plain, dict) or plain.get("format") != FORMAT or not isinstance(plain.get("presets"), list):
        raise ProjectError(file_name, said("is no file of presets. Choose a file that was exported here."))
    if plain.get("version") != VERSION:
        raise ProjectError(file_name, said("was written by a newer version of the program. Bring this one up to date."))
    found = []
    for number, one in enumerate(plain["presets"][:MOST], 1):
        try:
            if not isinstance(one, dict) or not isinstance(one.get("settings"), dict):
                raise SettingError("settings", said("an object"), one)
            settings = {k: v for k, v in one["settings"].items() if k in SETTINGS}
            found.append(preset_of(str(one.get("name", "")), from_json(settings)))
        except (SettingError, ValueError, TypeError) as error:
            raise ProjectError(
                file_name,
                said(
                    "preset {number} cannot be read: {error}",
                    number=number,
                    error=getattr(error, "message", str(error)),
                ),
            ) from None
    return tuple(found)


def with_preset(presets, preset: Preset) -> tuple[Preset, ...]:
    """Presets with one added, in the place of one of the same name if there is one."""
    return (*(p for p in presets if p.name != preset.name), preset)
