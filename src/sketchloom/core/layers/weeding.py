"""What helps to weed a sheet: a frame cut around it, and cuts that part the waste between."""

import numpy as np
import shapely

from sketchloom.core.curves.outline import Outline
from sketchloom.core.shapes.polygons import area_of_outline

_CLEAR_MM, _LEAST_MM, _FLAT_MM = 1.0, 2.0, 0.02
"""Helper cuts keep so far from what stays, and are not made shorter than the second (common practice, no source)."""
MAX_LINES = 4000
"""Helper lines at most in each direction."""


def weeding_cuts(outline: Outline, mm_per_px: float, away_mm: float, every_mm: float = 0.0) -> list[np.ndarray]:
    """Cuts of one sheet as polylines (N, 2), mm: a closed frame ``away_mm`` around it, then lines ``every_mm``
    apart through the waste in it.

    ``every_mm`` 0 for a frame alone.
    """
    area = area_of_outline(outline, _FLAT_MM / mm_per_px)
    if area.is_empty:
        return []
    area = shapely.transform(area, lambda xy: xy * mm_per_px)
    left, top, right, bottom = area.bounds
    left, top, right, bottom = left - away_mm, top - away_mm, right + away_mm, bottom + away_mm
    cuts = [np.array([(left, top), (right, top), (right, bottom), (left, bottom), (left, top)])]
    if every_mm > 0:
        xs, ys = (np.arange(a + every_mm, b, every_mm)[:MAX_LINES] for a, b in ((left, right), (top, bottom)))
        stays = area.buffer(_CLEAR_MM, quad_segs=48)
        upright, level = [[(x, top), (x, bottom)] for x in xs], [[(left, y), (right, y)] for y in ys]
        for lines in (upright, level):  # one way at a time: lines that cross would be parted where they do
            waste = shapely.MultiLineString(lines).difference(stays)
            parts = [waste] if waste.geom_type == "LineString" else list(getattr(waste, "geoms", []))
            cuts += [np.array(p.coords) for p in parts if p.length >= _LEAST_MM][:MAX_LINES]
    return cuts


def weeding_of(layers, mm_per_px: float, away_mm: float, every_mm: float) -> dict[int, list[np.ndarray]]:
    """Cuts of every sheet by its number, from 1; none with ``away_mm`` 0, and none for pen lines."""
    return {n: weeding_cuts(layer.outline, mm_per_px, away_mm, every_mm) for n, layer in enumerate(layers, 1)
            if away_mm > 0 and layer.outline.pen_px is None}


def weeding_length_mm(layers, mm_per_px: float, away_mm: float, every_mm: float) -> float:
    """Length of the cuts of all sheets."""
    return sum(length_mm(cuts) for cuts in weeding_of(layers, mm_per_px, away_mm, every_mm).values())


def length_mm(cuts) -> float:
    return float(sum(np.hypot(*np.diff(cut, axis=0).T).sum() for cut in cuts))
