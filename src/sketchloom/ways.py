"""The ways of layering one work side by side: what each costs."""

from dataclasses import dataclass, replace

import numpy as np

from sketchloom.core.layers.layering import FITTED, LEAN, WAYS, sheet_faces
from sketchloom.layer_stage import LayerStage
from sketchloom.work import Work


@dataclass(frozen=True, slots=True)
class WayFigures:
    """What a way of layering costs.

    ``thickest``: sheets that lie on each other at the thickest spot. ``smallest_mm`` narrowest place, None when none is narrow.
    ``slack_mm``: how far a piece may be laid amiss before the ground shows; None where the sheet below goes on under all of it.
    """

    way: str
    sheets: int
    pieces: int
    windows: int
    cut_mm: float
    film_mm2: float
    thickest: int
    smallest_mm: float | None
    slack_mm: float | None


def ways_compared(work: Work) -> tuple[WayFigures, ...]:
    """The figures of all ways of layering a work; its overlap holds for fitted and lean."""
    return tuple(figures_of_way(work, way) for way in WAYS)


def figures_of_way(work: Work, way: str) -> WayFigures:
    recipe = replace(work.recipe, layering=way, layers=tuple(replace(e, layering=None) for e in work.recipe.layers))
    stage = LayerStage(lambda key, make: make(), recipe, work.mm_per_px, work.picture.alpha is not None, work.move, True)
    done = stage.run(work.segmentation, work.traced)
    layers, narrow = done.layers, [x.min_feature_mm for x in done.layers if x.min_feature_mm is not None]
    return WayFigures(
        way, len(layers), sum(x.outline.pieces for x in layers), sum(x.outline.holes for x in layers),
        sum(x.cut_length_mm for x in layers), sum(x.area_mm2 for x in layers), sheets_on_each_other(work, done.depth, len(done.plans), way),
        min(narrow, default=None), recipe.overlap_mm if way in (FITTED, LEAN) else None)


def sheets_on_each_other(work: Work, depth, count: int, way: str) -> int:
    """The most sheets that lie on each other anywhere."""
    planar, high = work.traced.planar, np.zeros(work.traced.planar.face_count, int)
    for level in range(count):
        if (depth == level).any():
            high += sheet_faces(planar, work.traced.arc_length_px, depth, level, way)
    return int(high.max(initial=0))
