"""Strokes of a drawing in an order a machine can run, where no plan said one; as polylines, on a machine's axes."""

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.drawing.drawing import Drawing, Strokes
from sketchloom.core.sheets.machine import FEED, MIDDLE, Machine
from sketchloom.core.sheets.motion import chords
from sketchloom.core.sheets.routing.cuts import HELPERS, WORK, Cuts
from sketchloom.core.sheets.routing.route import route_of
from sketchloom.core.sheets.routing.run import run_of


def strokes_of(drawing: Drawing, overcut_mm: float = 0.0) -> Strokes:
    """The strokes of a drawing: those planned, else layer by layer along a short route."""
    if drawing.strokes is not None:
        return drawing.strokes
    parts, tools = [], []
    left, top, _, height = drawing.frame
    home = (left, top + height)
    for number, group in enumerate(drawing.groups, 1):
        cuts = _cuts_of(group)
        if cuts is None:
            continue
        route = route_of(cuts, home, thorough=False)
        parts.append(run_of(cuts, route, overcut_mm))
        tools.append(np.full(cuts.count, group.number or number))
        home = tuple(route.ends[-1])
    if not parts:
        return Strokes(np.empty((0, 4, 2)), np.empty(0, bool), np.zeros(1, np.intp), np.empty(0, np.intp))
    return Strokes(np.concatenate([p.controls for p in parts]), np.concatenate([p.straight for p in parts]),
                   ragged.lengths_to_starts(np.concatenate([np.diff(p.starts) for p in parts])), np.concatenate(tools))


def _cuts_of(group) -> Cuts | None:
    """What a machine follows of a group, as cuts."""
    strands = [(strand, shape.look) for shape in group.shapes if shape.look.is_cut for strand in shape.strands
               if len(strand.controls)]
    if not strands:
        return None
    controls = np.concatenate([s.controls_mm() for s, _ in strands])
    straight = np.concatenate([s.straight for s, _ in strands])
    counts = np.concatenate([np.diff(s.starts) for s, _ in strands])
    starts = ragged.lengths_to_starts(counts)
    ends = np.hypot(*(controls[starts[1:] - 1, 3] - controls[starts[:-1], 0]).T) < 1e-9
    closed = np.concatenate([np.full(len(s.starts) - 1, not s.may_be_open) for s, _ in strands]) | ends
    has_areas = any(look.fill is not None for _, look in strands)
    turn = np.concatenate([np.full(len(s.starts) - 1, HELPERS if has_areas and look.fill is None else WORK)
                           for s, look in strands])
    return Cuts(controls, straight, starts, closed, turn)


def polylines(strokes: Strokes, within_mm: float) -> tuple[np.ndarray, np.ndarray]:
    """Points (N, 2) mm of all strokes end to end, both ends of each included, and their offsets (K + 1,)."""
    xy, starts, _ = chords(strokes.controls, strokes.straight, strokes.starts, within_mm)
    return xy, starts


def on_axes(points, frame, machine: Machine | None) -> np.ndarray:
    """Places (N, 2) of a drawing, y down, as a machine counts them, mm: orientation is kept, nothing is mirrored."""
    left, top, width, height = frame
    x, y = points[..., 0] - left, points[..., 1] - top
    if machine is not None and machine.axes == FEED:
        made, size = np.stack([y, x], -1), (height, width)
    else:
        made, size = np.stack([x, height - y], -1), (width, height)
    return made - np.array(size) / 2 if machine is not None and machine.origin == MIDDLE else made
