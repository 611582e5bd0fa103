"""Sheets made of an outline moved by a distance: a backing, a rim around, a line within."""


import numpy as np

from sketchloom.core.curves.outline import Outline
from sketchloom.core.layers.added import INNER, RIM, UNDERLAY, Rim
from sketchloom.core.shapes.polygons import area_of_outline, areas_of, grown, outline_of_area, straight_outline

SHINES_THROUGH = 25.0
"""A colour so much lighter than what it is laid on (in L*) needs something under it (common practice, no source)."""


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
    if rim.kind == INNER and rim.width_mm is not None:
        # a line along the outer edge; around every hole too only where those are to count
        solid = grown(area, 0.0, keep_islands=rim.islands)
        ends = (grown(solid, -by, rim.is_round) for by in (distance, distance + rim.width_mm / mm_per_px))
        made = areas_of(next(ends).difference(next(ends)))
    elif rim.kind in (INNER, UNDERLAY):
        made = grown(area, -distance, rim.is_round, True)
    else:
        made = grown(area, distance, rim.is_round, rim.islands)
        if rim.kind == RIM:
            made = grown(made.difference(area), 0.0)
    if made.is_empty:
        return Outline(np.empty((0, 4, 2)), np.empty(0, bool), np.zeros(1, np.intp), np.empty(0), np.empty(0, bool))
    return straight_outline(made) if rough else outline_of_area(made)
