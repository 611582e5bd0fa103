"""What sheets are called."""

from sketchloom.core.base.colour import colour_name
from sketchloom.core.base.words import ENGLISH, pattern_with_material, word


def sheet_name(rgb8, family: str | None = None, language: str = ENGLISH) -> str:
    """What a sheet of a colour, and of a family of materials, is called."""
    colour = word(colour_name(rgb8), language)
    if family is None:
        return colour
    pattern = pattern_with_material(language)
    return pattern.format(colour=colour, material=word(family, language))
