"""The settings that a step of the work reads: what it is handed, and its key.

A step that is handed only these cannot depend on others, so a setting can never be forgotten in a key.
"""

from dataclasses import fields

from sketchloom.recipe.document import Recipe
from sketchloom.recipe.sections import SECTIONS


class Reads:
    """Some settings of a recipe and no others, by their names; equal when all their values are."""

    __slots__ = ("_values",)

    def __init__(self, recipe, names):
        self._values = {name: getattr(recipe, name) for name in names}

    def __getattr__(self, name):
        try:
            return self._values[name]
        except KeyError:
            raise AttributeError(f"this step does not say that it reads {name}") from None

    def __eq__(self, other):
        return isinstance(other, Reads) and self._values == other._values

    def __hash__(self):
        return hash(tuple(self._values.values()))

    def __repr__(self):
        return "Reads(" + ", ".join(f"{k}={v!r}" for k, v in self._values.items()) + ")"


def settings_in(*sections: str) -> tuple[str, ...]:
    """Names of all settings of some sections."""
    return tuple(f.name for name in sections for f in fields(SECTIONS[name]))


def same_sections(one: Recipe, other: Recipe, *sections: str) -> bool:
    """Whether two recipes have the same settings in some sections."""
    return all(getattr(one, name) == getattr(other, name) for name in sections)
