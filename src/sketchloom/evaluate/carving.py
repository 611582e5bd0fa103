"""From a work to what is carved of it: proposed, the job worked out, the carved blank."""

from dataclasses import replace

import numpy as np

from sketchloom.core.carve.blank import Blank
from sketchloom.core.carve.field import HeightField
from sketchloom.core.carve.job import Job, carved, job_of
from sketchloom.core.carve.operations import (
    BOARD,
    CARVE,
    ENGRAVE,
    LAYER,
    POCKET,
    PROFILE,
    Operation,
    Target,
)
from sketchloom.core.carve.tools import Tool, shipped, shipped_one
from sketchloom.core.sheets.machine import ROUTER
from sketchloom.evaluate.cache import Cache
from sketchloom.evaluate.planning import area_of_layer, machine_of
from sketchloom.evaluate.targets import area_of_target, board_of
from sketchloom.evaluate.work import Work

FIELD_MM = 0.25
"""Places of the carved blank that is looked at lie so far apart."""
MOST_SEEN = 6_000_000
"""Of a larger blank they lie farther apart: no screen shows more, and it takes seconds."""
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


def kept_tools(recipe, operations, table, chosen=()) -> tuple[Tool, ...]:
    """The tools that a recipe keeps for its operations: a tool of the user's table comes along once it is named, and
    stays as it was then unless its key is ``chosen`` anew. What is as shipped is not kept."""
    before = _tools_named(recipe.operations) - set(chosen)
    known = {one.key: one for one in table} | {one.key: one for one in tools_of(recipe) if one.key in before}
    used = sorted(_tools_named(operations))
    return tuple(known[key] for key in used if key in known and known[key] not in shipped())


def _tools_named(operations):
    return {key for one in operations for key in (one.tool, one.rest_of, one.clear_with) if key}


def job_of_work(work: Work, cache: Cache | None = None) -> Job:
    """All that is carved of a work.

    Raises
    ------
    Cancelled : the caller asked to stop.
    """
    cache = cache or Cache()
    recipe, board = work.recipe, board_of(work, cache)
    return job_of(recipe.blank, board, recipe.operations, tools_of(recipe),
                  lambda target: area_of_target(work, target, board, cache), machine_of(work), cache.keep)


def fine_mm(job: Job) -> float:
    """How far apart places of a carved blank lie that is looked at."""
    return max(FIELD_MM, float(np.sqrt(job.blank.width_mm * job.blank.height_mm / MOST_SEEN)))


def carved_of(job: Job, mm_per_px: float | None = None, cache: Cache | None = None) -> HeightField:
    """The carved blank, as fine as is looked at where that is not said; only that is kept."""
    if mm_per_px is None:
        return carved(job, fine_mm(job), (cache or Cache()).keep)
    return carved(job, mm_per_px)


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
