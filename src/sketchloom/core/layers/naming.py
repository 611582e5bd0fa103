"""What sheets are called."""

import numpy as np

from sketchloom.core.base.colour import colour_name, from_hex, srgb_to_lab
from sketchloom.core.base.words import ENGLISH, pattern_with_material, word


def sheet_name(rgb8, family: str | None = None, language: str = ENGLISH) -> str:
    """What a sheet of a colour, and of a family of materials, is called."""
    colour = word(colour_name(rgb8), language)
    if family is None:
        return colour
    pattern = pattern_with_material(language)
    return pattern.format(colour=colour, material=word(family, language))


def told_apart(name: str, hex_colour: str, first_hex: str, language: str = ENGLISH) -> str:
    """A name for a sheet whose colour bears the same word as the ``first``: by what it differs most in, lightness or
    chroma (CIELAB); the same name where neither is seen."""
    (light, a, b), (light0, a0, b0) = (srgb_to_lab(np.array(from_hex(h), float)) for h in (hex_colour, first_hex))
    lighter, brighter = light - light0, np.hypot(a, b) - np.hypot(a0, b0)
    if max(abs(lighter), abs(brighter)) < _SEEN:
        return name
    if abs(lighter) >= abs(brighter):
        pattern = "lighter {0}" if lighter > 0 else "deeper {0}"
    else:
        pattern = "brighter {0}" if brighter > 0 else "duller {0}"
    return word(pattern, language).format(name)


_SEEN = 3.0
"""A difference in lightness or chroma that is seen side by side (common practice, no source)."""
