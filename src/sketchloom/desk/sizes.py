"""Which size a work could have, and what a size means for each layer on the machine."""

from dataclasses import dataclass, replace

import numpy as np

from sketchloom.core.curves.curveset import bounds
from sketchloom.core.sheets import sizing
from sketchloom.core.sheets.sizing import Fit, Place
from sketchloom.evaluate.planning import machine_of, rooms
from sketchloom.evaluate.work import Work
from sketchloom.recipe.document import MAX_SIZE_MM, MIN_SIZE_MM, Recipe


@dataclass(frozen=True, slots=True)
class LayerFit:
    """A layer at some size: its key, name and colour, its ``size`` mm, and how it goes on a carrier."""

    key: str
    name: str
    hex: str
    size: tuple[float, float]
    fit: Fit


def extents_mm(work: Work) -> tuple[float, float]:
    """Width and height of all layers together."""
    boxes = np.array([bounds(layer.outline.controls) for layer in work.layers if len(layer.outline.controls)])
    if not len(boxes):
        return work.size_mm
    size = (boxes[:, 2:].max(0) - boxes[:, :2].min(0)) * work.mm_per_px
    return float(size[0]), float(size[1])


def fits_at(work: Work, factor: float = 1.0) -> tuple[LayerFit, ...]:
    """How each layer goes on the machine's carriers when the work is so many times as large."""
    machine, made = machine_of(work), []
    for layer in work.layers:
        left, top, right, bottom = bounds(layer.outline.controls)
        scale = work.mm_per_px * factor
        size = float(right - left) * scale, float(bottom - top) * scale
        material = work.recipe.material_of(layer.plan.key)
        its = rooms(work.recipe, machine, None if material is None else material.family)
        fit = sizing.fit_of(size, its, work.recipe.divide != "off" and layer.outline.pen_px is None)
        made.append(LayerFit(layer.plan.key, layer.plan.name, layer.plan.hex, size, fit))
    return tuple(made)


def into(work: Work, place: Place) -> tuple[float, bool]:
    """The factor by which all layers together become as large as a place takes, and whether it is to be turned by 90°
    for it; 0 for none."""
    return sizing.largest_in(extents_mm(work), place, may_turn=True)


def least_factor(work: Work) -> float:
    """The least factor at which the smallest detail of every layer survives its material; 0 where no material is said
    or no detail was measured."""
    details = []
    for layer in work.layers:
        material = work.recipe.material_of(layer.plan.key)
        if material is not None and layer.min_feature_mm is not None:
            details.append((layer.min_feature_mm, material.smallest_mm))
    return sizing.least_for(details)


def resized(work: Work, factor: float) -> Recipe:
    """The recipe of a work so many times as large, as near to it as sizes go."""
    side = work.size_mm[work.recipe.size_side != "width"]
    return replace(work.recipe, size_mm=min(max(side * factor, MIN_SIZE_MM), MAX_SIZE_MM))
