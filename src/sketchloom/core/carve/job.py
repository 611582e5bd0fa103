"""A job: operations carved one after the other, each step with its tool, its strokes and the time it takes."""

import hashlib
from collections.abc import Callable
from dataclasses import dataclass, replace
from functools import partial
from typing import Any

import numpy as np
from shapely.geometry import Polygon

from sketchloom.core.base import ragged
from sketchloom.core.base.progress import breathe
from sketchloom.core.carve import carving_v, lines, pocketing, profiling, rings
from sketchloom.core.carve.blank import Blank
from sketchloom.core.carve.board import field_of
from sketchloom.core.carve.field import HeightField, uncut
from sketchloom.core.carve.operations import RASTER, Operation, Target
from sketchloom.core.carve.sweeping import sweep
from sketchloom.core.carve.tools import BALL, Tool
from sketchloom.core.shapes.polygons import areas_of
from sketchloom.core.sheets.machine import Machine
from sketchloom.core.sheets.motion import curves_along, paced_along

NEAR_MM = 1.0
"""A tool goes down in rapid until so far above the face."""
_FEW = 3
"""Passes of a round edge."""


@dataclass(frozen=True, slots=True, eq=False)
class Step:
    """What one tool does for one operation (its ``number`` in the list): ``strokes`` (N, 3) mm each. ``feed`` and
    ``plunge``, mm/s; ``key``: of all that it follows from; ``seconds`` with the ways between; ``cut_mm`` and
    ``travel_mm`` of it."""

    number: int
    operation: Operation
    tool: Tool
    strokes: tuple[np.ndarray, ...]
    area: Any
    feed: float
    plunge: float
    key: str = ""
    seconds: float = 0.0
    cut_mm: float = 0.0
    travel_mm: float = 0.0


@dataclass(frozen=True, slots=True, eq=False)
class Job:
    """A blank and the steps that carve it; ``board`` its outline and ``field`` what lies within its rim. ``lost``:
    numbers of operations whose target is gone, and of those whose tool is not known."""

    blank: Blank
    board: Polygon
    field: Polygon
    steps: tuple[Step, ...]
    lost: tuple[int, ...] = ()
    toolless: tuple[int, ...] = ()

    @property
    def tools(self) -> tuple[Tool, ...]:
        """In the order in which they are taken up first: the first is number 1."""
        return tuple(dict.fromkeys(step.tool for step in self.steps if step.strokes))

    def seconds_of(self, tool: Tool) -> float:
        return sum(step.seconds for step in self.steps if step.tool == tool)

    @property
    def changes(self) -> int:
        """How often another tool is taken up, the first time too."""
        used = [step.tool for step in self.steps if step.strokes]
        return sum(n == 0 or one != used[n - 1] for n, one in enumerate(used))


Keep = Callable[[Any, Callable[[], Any]], Any]
"""``keep(key, make)``: what was made under a key before, or made now."""


def made_anew(_, make):
    """Keeps nothing."""
    return make()


def job_of(blank: Blank, board: Polygon, operations, tools, area_of: Callable[[Any], Any], machine: Machine,
           keep: Keep = made_anew) -> Job:
    """Work out all operations.

    Parameters
    ----------
    tools : those that operations may name. area_of : the area or lines of a target, mm on the blank; None where it is
    gone.

    Raises
    ------
    Cancelled : the caller asked to stop.
    """
    known = {one.key: one for one in tools}
    steps: list[Step] = []
    lost, toolless = [], []
    for number, operation in enumerate(operations):
        if not operation.on:
            continue
        breathe()
        tool = known.get(operation.tool)
        shape = area_of(operation.of)
        if shape is None or shape.is_empty:
            lost.append(number)
        elif tool is None:
            toolless.append(number)
        else:
            raised = [a for a in map(area_of, operation.raised) if a is not None]
            for one in raised:
                shape = shape.difference(one)
            helpers = tuple(known.get(key) for key in (operation.rest_of, operation.clear_with))
            key = replace(operation, name="", of=Target(), raised=()), tool, helpers, _digest(shape.wkb), machine
            made = keep(("step", *key), partial(_made, operation, tool, shape, known, machine, _digest(repr(key))))
            steps += [replace(step, number=number, operation=operation) for step in made]
    return Job(blank, board, field_of(blank, board), tuple(steps), tuple(lost), tuple(toolless))


def _digest(data):
    return hashlib.sha256(data if isinstance(data, bytes) else data.encode()).hexdigest()


def _made(operation, tool, shape, known, machine, key):
    return tuple(replace(_timed(step, machine), key=f"{key}-{n}")
                 for n, step in enumerate(_steps(0, operation, tool, shape, known, machine)))


def _steps(number, operation, tool, shape, known, machine):
    """One step, or two where flat ground is cleared by another tool first."""
    def step(strokes, its=tool, area=shape):
        # what is not said goes no faster than the machine does
        asked = (operation.feed, operation.plunge) if its is tool else (0.0, 0.0)
        feed, plunge = (one or min(own, machine.speed) for one, own in zip(asked, (its.feed, its.plunge), strict=True))
        return Step(number, operation, its, tuple(s for s in strokes if len(s)), area, feed, plunge)

    match operation.kind:
        case "profile":
            yield step(profiling.profile(areas_of(shape), operation, tool))
        case "pocket":
            larger = known.get(operation.rest_of)
            yield step(pocketing.pocket(areas_of(shape), operation, tool, larger))
        case "surface":
            # over the edge, so that nothing is left standing there
            whole = rings.moved(areas_of(shape), tool.radius_mm)
            yield step(pocketing.pocket(whole, replace(operation, way=RASTER), tool))
        case "carve":
            area, clearing = areas_of(shape), known.get(operation.clear_with)
            if clearing is not None:
                ground = carving_v.floor_of(area, operation, tool)
                deep = replace(operation, depth_mm=carving_v.deepest_of(operation, tool), down_mm=0.0, step_mm=0.0)
                yield step(pocketing.pocket(ground, deep, clearing), clearing, ground)
            yield step(carving_v.carved_v(area, operation, tool, clearing))
        case "drill":
            yield step(lines.drill(shape, operation, tool))
        case "edge":
            yield step(_edge(areas_of(shape), operation, tool))
        case _:
            yield step(lines.follow(shape, operation, tool))


def _edge(area, operation, tool):
    """Once around the upper edge, as wide as the operation is deep: a V leaves a chamfer, a ball's passes a round, a
    flat end a step."""
    wide = operation.depth_mm
    if tool.is_pointed:
        deep = min(wide * tool.slope, tool.deepest_mm)
        return [rings.sunk(ring, operation.from_mm + deep)
                for ring in rings.rings_of(rings.moved(area, tool.tip_mm / 2), True)]
    if tool.kind == BALL:
        # the ball rolls along the round: its middle stays one radius and the round's radius from the round's own
        made = []
        for turn in np.linspace(0.0, np.pi / 2, max(int(wide / 0.3), _FEW)):
            out = (wide + tool.radius_mm) * np.sin(turn) - wide
            low = wide + tool.radius_mm - (wide + tool.radius_mm) * np.cos(turn)
            made += [rings.sunk(ring, operation.from_mm + low) for ring in rings.rings_of(
                rings.moved(area, out), True)]
        return made
    return [rings.sunk(ring, operation.from_mm + wide) for ring in rings.rings_of(
        rings.moved(area, tool.radius_mm - wide), True)]


def _timed(step: Step, machine: Machine) -> Step:
    """With how long it takes: strokes at their feed, speeding up and slowing down as the machine does."""
    if not step.strokes:
        return step
    points = np.concatenate(step.strokes)
    starts = ragged.lengths_to_starts([len(s) for s in step.strokes])
    dynamics = replace(machine.cutting, speed=min(step.feed, machine.speed))
    pace = paced_along(points[:, :2], starts, curves_along(points[:, :2], starts), dynamics)
    move = np.diff(points, axis=0)
    within = np.ones(len(move), bool)
    within[starts[1:-1] - 1] = False
    flat = np.hypot(move[:, 0], move[:, 1])
    upright = np.abs(move[:, 2]) * (flat < 1e-9) * within
    begins = points[starts[:-1]]
    ends = points[starts[1:] - 1]
    down = np.maximum(NEAR_MM - begins[:, 2], 0.0)
    ways = np.hypot(*(begins[1:, :2] - ends[:-1, :2]).T) if len(begins) > 1 else np.zeros(0)
    plunge = min(step.plunge, machine.speed)
    seconds = float(pace.seconds.sum() + upright.sum() / plunge + down.sum() / plunge
                    + machine.travelling.along(ways).sum() + machine.lift_s * len(begins))
    return replace(step, seconds=seconds, cut_mm=float((flat * within).sum()), travel_mm=float(ways.sum()))


def carved(job: Job, mm_per_px: float, keep: Keep = made_anew) -> HeightField:
    """The blank with all steps swept over it: at each place the lowest that any of them leaves. Raises PictureError
    where it would be too large."""
    size = job.blank.width_mm, job.blank.height_mm
    field = uncut(job.board, job.blank.thickness_mm, mm_per_px, size)
    for step in job.steps:
        breathe()
        (top, left), z = keep(("swept", step.key, mm_per_px, size), partial(_swept, field, step))
        part = field.z[top:top + z.shape[0], left:left + z.shape[1]]
        np.minimum(part, z, out=part)
    return field


def _swept(field, step):
    """What a step alone leaves: the first row and column of where it cuts, and the heights there."""
    own = replace(field, z=np.zeros_like(field.z))
    sweep(own, step.strokes, step.tool)
    rows, columns = (np.flatnonzero((own.z < 0).any(axis)) for axis in (1, 0))
    if not len(rows):
        return (0, 0), np.zeros((0, 0), np.float32)
    return (int(rows[0]), int(columns[0])), own.z[rows[0]:rows[-1] + 1, columns[0]:columns[-1] + 1].copy()


def bottom_of(step: Step) -> float:
    """How far below the upper face a step goes."""
    return max((-float(s[:, 2].min()) for s in step.strokes), default=0.0)
