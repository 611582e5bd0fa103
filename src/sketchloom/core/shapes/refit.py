"""Curves again from polygons that came from curves: their corners and straight sides are known exactly."""

from dataclasses import replace

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.curves.curveset import CurveSet, line_controls
from sketchloom.core.curves.fit import fit_spans
from sketchloom.core.curves.spans import Spans

_CORNER = np.radians(16.0)
"""Chords of a smooth curve turn by less from one to the next at the flatness they are made with."""
_LONG_PX, _BULGE_PX = 2.0, 0.06
"""A side of a polygon is a line of its own where it is longer than the first, or bulges by more than the second."""
_STEP_PX = 0.5
"""Spacing of samples on a polygon."""
_QUARTERS = 4
"""A ring without corners is begun in so many places."""


def refitted(rings, tolerance_px: float, *, few: bool = False) -> CurveSet:
    """Cubics through closed polygons, one arc each.

    Parameters
    ----------
    rings : list of (N, 2) px, each without its first point again, flattened to a hundredth of a pixel or so. few : as
        of ``fit_spans``.

    Notes
    -----
    Vertices that turn sharply are corners; a side that would bulge if it turned as fast as what lies beside it was
    straight and stays so, the curve beside it leaves in its direction. A ring without either is begun in four places.
    """
    points, spans, offset = [], [], 0
    for ring in rings:
        dense, part = _spans_of(np.asarray(ring, float))
        spans.append(replace(part, first=part.first + offset, last=part.last + offset))
        points.append(dense)
        offset += len(dense)
    joined = Spans.join(spans)
    fitted = fit_spans(np.concatenate(points), joined, tolerance_px, few=few)
    bounds = np.cumsum([0, *(len(p) for p in points)])
    ring = np.searchsorted(bounds, fitted.spans.first, side="right") - 1
    controls = fitted.controls.copy()
    starts = np.searchsorted(ring, np.arange(len(rings) + 1))
    # each cubic begins where the one before ends
    for a, b in zip(starts[:-1].tolist(), starts[1:].tolist(), strict=False):
        controls[a:b, 3] = np.roll(controls[a:b, 0], -1, 0)
    line = fitted.straight
    controls[line] = line_controls(controls[line, 0], controls[line, 3])
    return CurveSet(controls, line, fitted.miss, starts)


def refitted_runs(runs, tolerance_px: float) -> list[tuple[np.ndarray, np.ndarray]]:
    """For each open polyline, (N, 2) px: cubics (S, 4, 2) through it and which of them are straight (S,); corners as in
    ``refitted``, fitted all at once."""
    points, spans, of_run, offset = [], [], [], 0
    for number, run in enumerate(runs):
        dense, part = _spans_of_run(np.asarray(run, float))
        if part is not None:
            spans.append(replace(part, first=part.first + offset, last=part.last + offset))
            points.append(dense)
            of_run.append((offset, number))
            offset += len(dense)
    made = [(np.empty((0, 4, 2)), np.empty(0, bool))] * len(runs)
    if not spans:
        return made
    fitted = fit_spans(np.concatenate(points), Spans.join(spans), tolerance_px)
    bounds = np.searchsorted(fitted.spans.first, [at for at, _ in of_run] + [offset])
    for (_, number), a, b in zip(of_run, bounds[:-1].tolist(), bounds[1:].tolist(), strict=True):
        made[number] = fitted.controls[a:b].copy(), fitted.straight[a:b]
    return made


def _spans_of_run(points):
    """Points half a pixel apart along an open polyline, and the spans between its corners; None for no length."""
    side = np.diff(points, axis=0)
    length = np.hypot(*side.T)
    good = length > 1e-9
    points = np.concatenate([points[:-1][good], points[-1:]])
    side, length = side[good], length[good]
    if len(side) == 0:
        return points, None
    unit = side / length[:, None]
    turn = np.abs(np.arctan2(unit[:-1, 0] * unit[1:, 1] - unit[:-1, 1] * unit[1:, 0], (unit[:-1] * unit[1:]).sum(1)))
    corner = np.concatenate([[True], turn > _CORNER, [True]])
    count = np.maximum(np.ceil(length / _STEP_PX), 1).astype(np.intp)
    starts = ragged.lengths_to_starts(count)
    of = ragged.owner(starts)
    t = ((np.arange(starts[-1]) - starts[of]) / count[of])[:, None]
    dense = np.concatenate([points[of] + t * length[of, None] * unit[of], points[-1:]])
    at = np.flatnonzero(corner)
    first, last = starts[at[:-1]], starts[at[1:]]
    no = np.zeros(len(first), bool)
    return dense, Spans(first, last, unit[at[:-1]], -unit[at[1:] - 1], no, no, at[1:] == at[:-1] + 1)


def _straight_sides(length, turn, corner):
    """(N,) bool: sides too long to be a chord of what turns beside them, or that lie between two corners."""
    n = len(length)
    way = np.concatenate([[0.0], np.cumsum(np.tile(length, 3))])
    turned = np.concatenate([[0.0], np.cumsum(np.tile(turn, 3))])  # up to and with vertex k: turned[k + 1]
    k = np.arange(n) + n
    begin = np.searchsorted(way, way[k] - length / 2, side="left")
    end = np.minimum(np.searchsorted(way, way[k + 1] + length / 2, side="right"), 3 * n)
    beside = (turned[k + 1] - turned[begin]) + (turned[end] - turned[k + 1])
    bulges = length * beside / 16 > _BULGE_PX
    return (length > _LONG_PX) & (bulges | (corner & np.roll(corner, -1)))


def _spans_of(ring):
    """Points half a pixel apart along a ring, its first again last, and the spans between its breaks."""
    side = np.roll(ring, -1, 0) - ring
    length = np.hypot(*side.T)
    good = length > 1e-9
    ring, side, length = ring[good], side[good], length[good]
    unit = side / length[:, None]
    before = np.roll(unit, 1, 0)
    turn = np.abs(np.arctan2(before[:, 0] * unit[:, 1] - before[:, 1] * unit[:, 0], (before * unit).sum(1)))
    corner = turn > _CORNER
    long = _straight_sides(length, np.where(corner, 0.0, turn), corner)
    breaks = corner | long | np.roll(long, 1)
    if not breaks.any():
        way = np.concatenate([[0.0], np.cumsum(length)])
        breaks[np.searchsorted(way[:-1], way[-1] * np.arange(_QUARTERS) / _QUARTERS)] = True
    first = int(np.flatnonzero(breaks)[0])
    ring, unit, length, corner, long, breaks, before = (
        np.roll(v, -first, 0) for v in (ring, unit, length, corner, long, breaks, before)
    )
    count = np.maximum(np.ceil(length / _STEP_PX), 1).astype(np.intp)
    starts = ragged.lengths_to_starts(count)
    of = ragged.owner(starts)
    t = ((np.arange(starts[-1]) - starts[of]) / count[of])[:, None]
    dense = np.concatenate([ring[of] + t * length[of, None] * unit[of], ring[:1]])
    at = np.flatnonzero(breaks)
    begin, end = starts[at], np.append(starts[at[1:]], starts[-1])
    after = np.append(at[1:], at[0])
    # at a smooth break both sides share the mean direction, or that of a straight side
    shared = before + unit
    shared /= np.maximum(np.hypot(*shared.T), 1e-9)[:, None]
    straight_before = np.roll(long, 1)
    shared = np.where(long[:, None], unit, np.where(straight_before[:, None], before, shared))
    leave = np.where(corner[at, None], unit[at], shared[at])
    arrive = -np.where(corner[after, None], before[after], shared[after])
    return dense, Spans(
        begin, end, leave, arrive, ~corner[at], ~corner[after], long[at] & (after == (at + 1) % len(ring))
    )
