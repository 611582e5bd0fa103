"""Least-squares cubics through runs of points, all open spans of the map at once."""

from dataclasses import dataclass

import numpy as np

from sketchloom.core import ragged
from sketchloom.core.curves.curveset import line_controls
from sketchloom.core.curves.least_squares import averaged, fit_runs, misses
from sketchloom.core.errors import GeometryError
from sketchloom.core.progress import QUIET

_STRAIGHT_SHARE = 0.7
"""A line keeps closer than a cubic must: a flat spot shows sooner than a shallow wave."""
_STRAIGHT_KINK = np.cos(np.radians(4.0))


@dataclass(frozen=True, slots=True, eq=False)
class Spans:
    """Runs of points between places where curves begin and end.

    ``first``, ``last`` (K,) indices into the points, both belonging to the span.
    ``leave``, ``arrive`` (K, 2) unit tangents at the ends, each pointing into the span.
    ``smooth_first``, ``smooth_last`` (K,) bool: the curve runs on there without a corner.
    ``line`` (K,) bool: known to be straight.
    """

    first: np.ndarray
    last: np.ndarray
    leave: np.ndarray
    arrive: np.ndarray
    smooth_first: np.ndarray
    smooth_last: np.ndarray
    line: np.ndarray

    def __len__(self):
        return len(self.first)

    def pick(self, where) -> "Spans":
        return Spans(*(getattr(self, name)[where] for name in self.__slots__))

    @staticmethod
    def join(parts) -> "Spans":
        return Spans(*(np.concatenate([getattr(p, name) for p in parts]) for name in Spans.__slots__))


@dataclass(frozen=True, slots=True, eq=False)
class FittedSpans:
    """``spans`` in ascending order of their first point, their cubics and which are lines."""

    spans: Spans
    controls: np.ndarray
    straight: np.ndarray


def fit_spans(points, spans: Spans, tolerance_px: float, *, progress=QUIET) -> FittedSpans:
    """Fit each span with few cubics that stay within the tolerance of the points.

    Parameters
    ----------
    points : (N, 2) float64 px, all spans end to end.
    spans : the runs to fit. Neighbouring spans share their end points.
    tolerance_px : greatest distance allowed, > 0, averaged over a run of seven points;
        single points may lie three and a half times as far away.

    Returns
    -------
    FittedSpans
        The spans divided as far as needed, neighbours merged back where one cubic serves.

    Raises
    ------
    GeometryError : a point is not finite, a span has one point, or the tolerance is not > 0.
    Cancelled : the caller asked to stop.

    References
    ----------
    Schneider 1990, "An algorithm for automatically fitting digitized curves", Graphics Gems.
    """
    if not tolerance_px > 0:
        raise GeometryError(f"The fitting tolerance must be above 0 px; got {tolerance_px!r}.")
    if not np.isfinite(points).all():
        raise GeometryError("A boundary point is not a finite number.")
    if np.any(spans.last <= spans.first):
        raise GeometryError("A span to fit has fewer than two points.")
    points = np.array(points, float)
    fitted = _divide(points, spans, tolerance_px, progress)
    return _merge_back(points, fitted, tolerance_px, progress)


def _divide(points, spans, tolerance, progress):
    done = []
    level = 0
    while len(spans):
        progress.step(level, level + 1, "Fitting curves")
        controls, straight, error, worst = _fit_level(points, spans, tolerance)
        good = straight | (error <= tolerance) | (spans.last - spans.first < 4)
        done.append((spans.pick(good), controls[good], straight[good]))
        spans = _split(points, spans.pick(~good), worst[~good])
        level += 1
    return _ordered(done)


def _ordered(parts):
    spans = Spans.join([p[0] for p in parts]) if parts else None
    if spans is None:
        empty = np.empty(0, np.intp)
        spans = Spans(empty, empty, np.empty((0, 2)), np.empty((0, 2)), *[empty.astype(bool)] * 3)
        return FittedSpans(spans, np.empty((0, 4, 2)), np.empty(0, bool))
    order = np.argsort(spans.first, kind="stable")
    controls = np.concatenate([p[1] for p in parts])[order]
    straight = np.concatenate([p[2] for p in parts])[order]
    return FittedSpans(spans.pick(order), controls, straight)


def _fit_level(points, spans, tolerance):
    """One cubic or line for each span: controls, which are lines, error and its worst point."""
    starts = ragged.lengths_to_starts(spans.last - spans.first + 1)
    run = ragged.owner(starts)
    index = np.arange(starts[-1]) - starts[run] + spans.first[run]
    xy = points[index]
    begin, end = points[spans.first], points[spans.last]
    straight = _straight(xy, starts, run, spans, begin, end, tolerance)

    controls = line_controls(begin, end)
    error = np.zeros(len(spans))
    worst = spans.first + 1
    bent = np.flatnonzero(~straight)
    if len(bent) == 0:
        return controls, straight, error, worst
    inside, starts = ragged.take(starts, bent)
    xy, index = xy[inside], index[inside]
    controls[bent], parameter = fit_runs(xy, starts, spans.leave[bent], spans.arrive[bent])
    miss = misses(controls[bent], xy, parameter, starts)
    error[bent] = np.maximum.reduceat(miss, starts[:-1])
    at_worst = miss >= np.repeat(error[bent], np.diff(starts))
    worst[bent] = np.minimum.reduceat(np.where(at_worst, index, len(points)), starts[:-1])
    return controls, straight, error, worst


def _straight(xy, starts, run, spans, begin, end, tolerance):
    chord = end - begin
    length = np.maximum(np.hypot(chord[:, 0], chord[:, 1]), 1e-12)
    unit = chord / length[:, None]
    away = (xy - begin[run])
    across = away[:, 0] * unit[run, 1] - away[:, 1] * unit[run, 0]
    along = (away * unit[run]).sum(1)
    beyond = np.maximum(np.maximum(-along, along - length[run]), 0)
    miss = ragged.reduce_pieces(np.maximum, averaged(across, np.hypot(across, beyond), starts), starts)
    kink_first = spans.smooth_first & ((unit * spans.leave).sum(1) < _STRAIGHT_KINK)
    kink_last = spans.smooth_last & ((-unit * spans.arrive).sum(1) < _STRAIGHT_KINK)
    short = spans.last - spans.first == 1
    return short | spans.line | ((miss <= _STRAIGHT_SHARE * tolerance) & ~kink_first & ~kink_last)


def _split(points, spans, worst):
    """Two spans for each, divided near the worst point, with one tangent for both."""
    if len(spans) == 0:
        return spans
    size = spans.last - spans.first
    margin = np.minimum(np.maximum(size // 6, 2), size // 2)
    at = np.clip(worst, spans.first + margin, spans.last - margin)
    tangent = local_tangent(points, at, spans.first, spans.last)
    smooth = np.ones(len(spans), bool)
    before = Spans(spans.first, at, spans.leave, -tangent, spans.smooth_first, smooth, ~smooth)
    after = Spans(at, spans.last, tangent, spans.arrive, smooth, spans.smooth_last, ~smooth)
    return Spans.join([before, after])


def local_tangent(points, at, first, last, reach: int = 9) -> np.ndarray:
    """Unit direction of the run of points through ``at``, (K, 2).

    The slope of the least-squares line over as many points on both sides as the run has,
    at most ``reach``; symmetric, so that even bends leave no bias.
    """
    reach_here = np.maximum(np.minimum(np.minimum(at - first, last - at), reach), 1)
    offset = np.arange(-reach, reach + 1)
    index = np.clip(at[:, None] + offset, first[:, None], last[:, None])
    weight = (np.abs(offset) <= reach_here[:, None]).astype(float)
    near = points[index]
    step = np.hypot(*np.moveaxis(np.diff(near, axis=1), -1, 0))
    place = np.concatenate([np.zeros((len(at), 1)), np.cumsum(step, axis=1)], axis=1)
    mean = (place * weight).sum(1) / weight.sum(1)
    slope = ((place - mean[:, None]) * weight)[..., None] * near
    return _unit(slope.sum(1), points[last] - points[first])


def end_tangent(points, at, towards, reach: int = 12) -> np.ndarray:
    """Unit direction in which the run leaves ``at`` on its way to ``towards``, (K, 2).

    From the least-squares parabola held at the end point, over ``reach`` points.
    """
    sign = np.where(towards >= at, 1, -1)
    available = np.abs(towards - at)
    offset = np.arange(1, reach + 1)
    index = at[:, None] + sign[:, None] * np.minimum(offset, available[:, None])
    weight = (offset <= available[:, None]).astype(float)
    near = points[index] - points[at][:, None]
    s = np.hypot(near[..., 0], near[..., 1])
    s2, s3, s4 = ((weight * s**k).sum(1) for k in (2, 3, 4))
    sp = ((weight * s)[..., None] * near).sum(1)
    ssp = ((weight * s * s)[..., None] * near).sum(1)
    det = s2 * s4 - s3 * s3
    curved = (available >= 5) & (det > 1e-6 * s2 * s4)
    slope = np.where(curved[:, None], s4[:, None] * sp - s3[:, None] * ssp, sp)
    return _unit(slope, points[towards] - points[at])


def _unit(vector, fallback):
    size = np.hypot(vector[:, 0], vector[:, 1])
    vector = np.where((size > 1e-12)[:, None], vector, fallback)
    size = np.hypot(vector[:, 0], vector[:, 1])
    unit = vector / np.maximum(size, 1e-12)[:, None]
    return np.where((size > 1e-12)[:, None], unit, [1.0, 0.0])


def _merge_back(points, fitted, tolerance, progress, rounds: int = 6):
    """Replace smooth neighbours by one cubic wherever it stays within the tolerance."""
    for turn in range(rounds):
        spans = fitted.spans
        joined = (spans.last[:-1] == spans.first[1:]) & spans.smooth_last[:-1] & spans.smooth_first[1:]
        joined &= ~(fitted.straight[:-1] & fitted.straight[1:]) & ~spans.line[:-1] & ~spans.line[1:]
        pair = _alternate(joined, turn % 2)
        if len(pair) == 0:
            if turn % 2:
                break
            continue
        progress.step(turn, rounds, "Joining curves")
        one = Spans(spans.first[pair], spans.last[pair + 1], spans.leave[pair], spans.arrive[pair + 1],
                    spans.smooth_first[pair], spans.smooth_last[pair + 1], np.zeros(len(pair), bool))
        controls, straight, error, _ = _fit_level(points, one, tolerance)
        good = straight | (error <= tolerance)
        if not good.any():
            continue
        stay = np.ones(len(spans), bool)
        stay[pair[good]] = stay[pair[good] + 1] = False
        fitted = _ordered([
            (spans.pick(stay), fitted.controls[stay], fitted.straight[stay]),
            (one.pick(good), controls[good], straight[good]),
        ])
    return fitted


def _alternate(joined, parity):
    """Positions of joints, no two of which share a span."""
    at = np.flatnonzero(joined)
    run_begin = np.diff(at, prepend=-9) > 1
    first = np.maximum.accumulate(np.where(run_begin, at, 0)) if len(at) else at
    return at[(at - first) % 2 == parity]
