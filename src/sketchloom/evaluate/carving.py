"""From a work to what is carved of it: targets found in the work, the job worked out, the carved blank."""

from dataclasses import replace

import numpy as np
import shapely
from shapely.geometry import MultiLineString, Point

from sketchloom.core.carve import board as boards
from sketchloom.core.carve.blank import OWN, Blank
from sketchloom.core.carve.field import HeightField
from sketchloom.core.carve.job import Job, carved, job_of
from sketchloom.core.carve.operations import (
    BOARD,
    CARVE,
    ENGRAVE,
    FIELD,
    LAYER,
    MIDDLE,
    POCKET,
    PROFILE,
    REGION,
    Operation,
    Target,
)
from sketchloom.core.carve.tools import Tool, shipped, shipped_one
from sketchloom.core.curves.curveset import flatten
from sketchloom.core.curves.outline import face_outline
from sketchloom.core.shapes.moving import shifted
from sketchloom.core.shapes.polygons import area_of_outline
from sketchloom.core.sheets.machine import ROUTER
from sketchloom.core.sheets.part import in_mm
from sketchloom.evaluate.cache import Cache
from sketchloom.evaluate.planning import area_of_layer, machine_of
from sketchloom.evaluate.work import Work

FIELD_MM = 0.25
"""Places of the carved blank that is looked at lie so far apart."""
MOST_SEEN = 6_000_000
"""Of a larger blank they lie farther apart: no screen shows more, and it takes seconds."""
_FLAT_MM = 0.005
_VEE, _ROOM, _UNDER_MM = "vee-60", 1.2, 0.2
_WIDE_SHARE = 0.1
"""What is wider than a V in more than this share is a pocket."""


def is_carved(work: Work) -> bool:
    """Whether a work is carved: it has operations, and its machine is a router."""
    return bool(work.recipe.operations) and machine_of(work).kind == ROUTER


def tools_of(recipe) -> tuple[Tool, ...]:
    """The tools that operations may name: those the recipe keeps, then those that come with the program."""
    kept = {one.key for one in recipe.cutters}
    return (*recipe.cutters, *(one for one in shipped() if one.key not in kept))


def board_of(work: Work, cache: Cache | None = None):
    """The outline of the blank, mm."""
    blank = work.recipe.blank
    if blank.shape != OWN:
        return boards.outline(blank)
    own = _layer(work, blank.of, cache or Cache())
    return boards.outline(blank, max(own.geoms, key=lambda one: one.area) if own is not None and own.geoms else None)


def job_of_work(work: Work, cache: Cache | None = None) -> Job:
    """All that is carved of a work.

    Raises
    ------
    Cancelled : the caller asked to stop.
    """
    cache = cache or Cache()
    recipe, board = work.recipe, board_of(work, cache)
    return job_of(recipe.blank, board, recipe.operations, tools_of(recipe),
                  lambda target: area_of_target(work, target, board, cache), machine_of(work))


def carved_of(job: Job, mm_per_px: float | None = None) -> HeightField:
    """The carved blank, as fine as is looked at where that is not said."""
    if mm_per_px is None:
        wide, high = job.blank.width_mm, job.blank.height_mm
        mm_per_px = max(FIELD_MM, float(np.sqrt(wide * high / MOST_SEEN)))
    return carved(job, mm_per_px)


def area_of_target(work: Work, target: Target, board, cache: Cache):
    """The area or the lines of a target on the blank, mm; None where it is gone."""
    blank = work.recipe.blank
    match target.kind:
        case "board":
            return board
        case "field":
            return boards.field_of(blank, board)
        case "middle":
            return boards.middle_of_rim(blank, board) if blank.rim_mm > 0 else None
        case "layer":
            found = _layer(work, target.key, cache)
        case "region":
            found = _region(work, target)
        case _:
            parts = [_shape_of(work, layer, cache) for layer in work.layers]
            found = shapely.union_all([p for p in parts if p is not None]) if parts else None
    return None if found is None or found.is_empty else _placed(work, found)


def _placed(work, shape):
    """From the work's own millimetres to those of the blank."""
    wide, high = work.size_mm
    x, y = work.recipe.blank.work_middle_mm
    return shifted(shape, x - wide / 2, y - high / 2)


def on_work(work: Work, x_mm: float, y_mm: float) -> tuple[float, float]:
    """A place of the blank in the work's own millimetres."""
    wide, high = work.size_mm
    x, y = work.recipe.blank.work_middle_mm
    return x_mm - x + wide / 2, y_mm - y + high / 2


def _layer(work, key, cache):
    layer = next((one for one in work.layers if one.plan.key == key), None)
    return None if layer is None else _shape_of(work, layer, cache)


def _shape_of(work, layer, cache):
    """The area of a layer, or the lines of a pen."""
    if layer.outline.pen_px is None:
        return area_of_layer(cache, work, layer)
    outline = in_mm(layer.outline, work.mm_per_px)
    xy, starts = flatten(outline.controls, outline.straight, _FLAT_MM)
    ends = outline.controls[outline.starts[1:] - 1, 3] if len(outline.controls) else np.empty((0, 2))
    begins = starts[outline.starts]
    return MultiLineString([np.concatenate([xy[a:b], [end]]) for a, b, end in zip(
        begins[:-1].tolist(), begins[1:].tolist(), ends, strict=True) if b > a])


def _region(work, target):
    """The region at a place of the picture as it came."""
    ((x, y),) = work.as_shown(((target.x, target.y),))
    faces = work.traced.planar.faces
    row, column = int(y * faces.shape[0]), int(x * faces.shape[1])
    if not (0 <= row < faces.shape[0] and 0 <= column < faces.shape[1]):
        return None
    face = int(faces[row, column])
    if work.ground[face]:
        return None
    outline = face_outline(work.traced.planar, work.traced.curves, face)
    return area_of_outline(in_mm(outline, work.mm_per_px), _FLAT_MM)


def region_at(work: Work, x_mm: float, y_mm: float, cache: Cache | None = None) -> Target | None:
    """The target that a place of the blank means: the region there, else the field or the board."""
    board = board_of(work, cache)
    wide, high = work.size_mm
    x, y = on_work(work, x_mm, y_mm)
    if 0 <= x < wide and 0 <= y < high:
        ((px, py),) = work.as_came(((x / wide, y / high),))
        target = Target(REGION, x=px, y=py)
        if _region(work, target) is not None:
            return target
    place = Point(x_mm, y_mm)
    if boards.field_of(work.recipe.blank, board).contains(place):
        return Target(FIELD)
    return Target(BOARD) if board.contains(place) else None


def targets_of(work: Work) -> tuple[Target, ...]:
    """What can be carved: of the blank, and each layer."""
    own = (Target(BOARD), Target(FIELD), *((Target(MIDDLE),) if work.recipe.blank.rim_mm > 0 else ()))
    return own + tuple(Target(LAYER, layer.plan.key) for layer in work.layers)


def proposed(work: Work) -> tuple[Blank, tuple[Operation, ...]]:
    """A blank that the work fits on, and what may be carved of it: layers from the base up, those that a V runs into as
    V-carving, wider ones as pockets, the largest left as the face; all cut out on tabs at the end."""
    wide, high = work.size_mm
    blank = work.recipe.blank
    if blank == Blank():
        blank = replace(blank, width_mm=round(wide * _ROOM, 1), height_mm=round(high * _ROOM, 1))
    largest = max(work.layers, key=lambda layer: layer.area_mm2)
    rest = [layer for layer in work.layers if layer is not largest] or [largest]
    vee = shipped_one(_VEE)
    made = []
    for layer in rest:
        target = Target(LAYER, layer.plan.key)
        if layer.outline.pen_px is not None:
            made.append(Operation(ENGRAVE, target, "point-30", 0.3))
            continue
        area = area_of_layer(Cache(), work, layer)
        is_narrow = area.buffer(-vee.radius_mm).area < _WIDE_SHARE * area.area
        made.append(Operation(CARVE, target, _VEE) if is_narrow else Operation(POCKET, target, "end-3", 3.0))
    made.append(Operation(PROFILE, Target(BOARD), "end-6", blank.thickness_mm + _UNDER_MM, tabs=4, lead_mm=3.0))
    return blank, tuple(made)
