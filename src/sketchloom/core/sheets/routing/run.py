"""Cuts as a machine runs them along a route: begun where they are to begin, with the overcut past it."""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.curves.curveset import segment_lengths
from sketchloom.core.sheets.motion import Dynamics, chords, curves_along, pace_path, paced_along
from sketchloom.core.sheets.response import response
from sketchloom.core.sheets.routing.blade import PRIME, axis_path
from sketchloom.core.sheets.routing.cuts import Cuts
from sketchloom.core.sheets.routing.route import Route

_FLAT_MM = 0.005
"""A blade's path is made of chords within this much."""
_TIMES = 6
"""Corrections until an overcut is as long as wanted: each is nearer by far."""


@dataclass(frozen=True, slots=True, eq=False)
class Run:
    """Strokes in the order they are made: ``controls`` (S, 4, 2) mm, ``straight`` (S,), ``starts`` (N + 1,);
    ``cut_mm`` their length."""

    controls: np.ndarray
    straight: np.ndarray
    starts: np.ndarray
    cut_mm: float


def run_of(cuts: Cuts, route: Route, overcut_mm: float = 0.0) -> Run:
    """The strokes of a route. A closed cut runs on past its beginning by ``overcut_mm``, at most once round."""
    parts, straight = [], []
    length = segment_lengths(cuts.controls, cuts.straight)
    for n in route.order.tolist():
        first, last = int(cuts.starts[n]), int(cuts.starts[n + 1])
        controls, lines = cuts.controls[first:last], cuts.straight[first:last]
        if not cuts.closed[n]:
            if route.t[n] > 0.5:  # from its end
                controls, lines = controls[::-1, ::-1], lines[::-1]
        else:
            controls, lines = _begun_at(controls, lines, int(route.segment[n]) - first, float(route.t[n]))
            if overcut_mm > 0:
                more, its = _first_of(controls, lines, min(overcut_mm, float(length[first:last].sum())))
                controls, lines = np.concatenate([controls, more]), np.concatenate([lines, its])
        parts.append(controls)
        straight.append(lines)
    if not parts:
        return Run(np.empty((0, 4, 2)), np.empty(0, bool), np.zeros(1, np.intp), 0.0)
    controls, lines = np.concatenate(parts), np.concatenate(straight)
    return Run(controls, lines, ragged.lengths_to_starts([len(p) for p in parts]),
               float(segment_lengths(controls, lines).sum()))


def _begun_at(controls, lines, segment, t):
    """A closed cut from another place of it on."""
    if t <= 1e-9:
        order = np.r_[segment:len(controls), 0:segment]
        return controls[order], lines[order]
    one, two = split(controls[segment], t)
    order = np.r_[segment + 1:len(controls), 0:segment]
    return (np.concatenate([two[None], controls[order], one[None]]),
            np.concatenate([lines[segment:segment + 1], lines[order], lines[segment:segment + 1]]))


def _first_of(controls, lines, length):
    """The first stretch of a length of cubics end to end."""
    own = segment_lengths(controls, lines)
    total = np.cumsum(own)
    last = min(int(np.searchsorted(total, length)), len(controls) - 1)
    rest = length - (total[last] - own[last])
    share = min(max(rest / max(own[last], 1e-12), 0.0), 1.0)
    made = controls[:last + 1].copy()
    if 0 < share < 1:
        for _ in range(_TIMES):  # a share of the length is not that of the parameter
            has = float(segment_lengths(split(controls[last], share)[0][None])[0])
            share = min(share * rest / max(has, 1e-12), 1.0)
    made[last] = split(made[last], share)[0] if share < 1 else made[last]
    return made, lines[:last + 1]


def split(cubic, t):
    """A cubic in two at a place (de Casteljau)."""
    a = cubic[:-1] + t * (cubic[1:] - cubic[:-1])
    b = a[:-1] + t * (a[1:] - a[:-1])
    p = b[0] + t * (b[1] - b[0])
    return np.array([cubic[0], a[0], b[0], p]), np.array([p, b[1], a[2], cubic[3]])


def seconds_of(run: Run, route: Route, cutting: Dynamics, travelling: Dynamics, lift_s: float, passes: int,
               offset_mm: float = 0.0) -> tuple[float, float, float]:
    """Seconds of cutting, of travel between cuts and back home, and of lifting and lowering the tool; a further pass
    goes over the same cut again before the next one. With a dragged blade it is its axis that has to move."""
    if not len(route.order):
        return 0.0, 0.0, 0.0
    xy, starts, curves = _path(run, cutting, offset_mm)
    begins, ends = xy[starts[:-1]], xy[starts[1:] - 1]
    home = np.array([route.home])
    steps = [np.concatenate([begins, home]) - np.concatenate([home, ends])]
    if passes > 1:
        steps.append(np.repeat(begins - ends, passes - 1, 0))
    travel = float(travelling.along(np.hypot(*np.concatenate(steps).T)).sum())
    lifts = len(route.order) * passes + (1 if offset_mm > 0 else 0)
    return _cutting_s(xy, starts, curves, passes, offset_mm, cutting), travel, lift_s * lifts


def response_of(run: Run, cutting: Dynamics, passes: int, offset_mm: float = 0.0) -> np.ndarray:
    """(5, 3) seconds of cutting on machines about the one that is planned for (``response``)."""
    xy, starts, curves = _path(run, cutting, offset_mm)
    return response(cutting, lambda dynamics: _cutting_s(xy, starts, curves, passes, offset_mm, dynamics))


def _path(run, cutting, offset_mm):
    """What moves along the strokes: their points, offsets, and the curve of each chord."""
    if offset_mm > 0:
        xy, starts, _ = chords(run.controls, run.straight, run.starts, _FLAT_MM)
        xy, starts = axis_path(xy, starts, offset_mm)
        return xy, starts, curves_along(xy, starts)
    return pace_path(run.controls, run.straight, run.starts, cutting)


def _cutting_s(xy, starts, curves, passes, offset_mm, cutting):
    seconds = float(paced_along(xy, starts, curves, cutting).seconds.sum()) * passes
    # a dragged blade is turned by a short cut of its own first
    return seconds + (float(cutting.along(PRIME * offset_mm)) if offset_mm > 0 else 0.0)
