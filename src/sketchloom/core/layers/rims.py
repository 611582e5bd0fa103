"""Sheets made of an outline moved by a distance: a backing, a rim around, a line within."""

from dataclasses import dataclass

import numpy as np

from sketchloom.core import checks
from sketchloom.core.colour import from_hex
from sketchloom.core.errors import SettingError
from sketchloom.core.layers.outline import Outline
from sketchloom.core.shapes.polygons import area_of_outline, grown, outline_of_area, straight_outline

BACKING, RIM, INNER, UNDERLAY = KINDS = ("backing", "rim", "inner", "underlay")
SHINES_THROUGH = 25.0
"""A colour so much lighter than what it is laid on (in L*) needs something under it (common practice, no source)."""
MAX_DISTANCE_MM = 200.0


@dataclass(frozen=True, slots=True)
class Rim:
    """An outline moved by ``distance_mm`` (outwards; for ``inner`` inwards).

    ``kind``: a ``backing`` below everything, a ``rim`` around with the work cut out of it, an ``inner`` line, or an
    ``underlay`` that much smaller, only under what is lighter than what it is laid on and would let that shine through.
    ``of`` the key of a layer, None for everything together. ``is_round`` or sharp corners. ``islands``: holes stay
    holes; else they are filled. ``material``: key of what its sheet is cut from.
    """

    distance_mm: float
    kind: str = BACKING
    of: str | None = None
    is_round: bool = True
    islands: bool = False
    hex: str = "#ffffff"
    name: str = ""
    on: bool = True
    material: str | None = None

    def __post_init__(self):
        checks.within("rims.distance_mm", self.distance_mm, 0.0, MAX_DISTANCE_MM, (int, float), optional=False)
        checks.one_of("rims.kind", self.kind, KINDS)
        for name in ("is_round", "islands", "on"):
            checks.true_or_false(f"rims.{name}", getattr(self, name))
        for value in (self.of, self.name, self.material):
            if value is not None and (not isinstance(value, str) or len(value) > 200):
                raise SettingError("rims", "short texts", value)
        from_hex(self.hex)


def rim_outline(outline: Outline, rim: Rim, mm_per_px: float, rough: bool = False) -> Outline:
    """The outline of a rim's sheet.

    Parameters
    ----------
    outline : what the rim goes around. rough : leave it in straight pieces.

    Notes
    -----
    The outline is flattened to a hundredth of a pixel, moved by a geometry library and fitted again. Pieces
    nearer to each other than twice the distance get one rim.
    """
    area, distance = area_of_outline(outline), rim.distance_mm / mm_per_px
    if rim.kind in (INNER, UNDERLAY):
        made = grown(area, -distance, rim.is_round, True)
    else:
        made = grown(area, distance, rim.is_round, rim.islands)
        if rim.kind == RIM:
            made = grown(made.difference(area), 0.0)
    if made.is_empty:
        return Outline(np.empty((0, 4, 2)), np.empty(0, bool), np.zeros(1, np.intp), np.empty(0), np.empty(0, bool))
    return straight_outline(made) if rough else outline_of_area(made)
