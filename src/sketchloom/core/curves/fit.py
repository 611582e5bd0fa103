"""Least-squares cubics through runs of points, all open spans of the map at once."""

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.base.errors import GeometryError
from sketchloom.core.base.progress import QUIET, breathe
from sketchloom.core.base.said import said
from sketchloom.core.curves.curveset import line_controls
from sketchloom.core.curves.knots import fewest
from sketchloom.core.curves.least_squares import averaged, fit_runs, misses
from sketchloom.core.curves.spans import FittedSpans, Spans, ordered
from sketchloom.core.curves.tangents import local_tangent

_STRAIGHT_SHARE = 0.7
"""A line keeps closer than a cubic must: a flat spot shows sooner than a shallow wave."""
_FEW_MAY_MISS = 5.0
"""A run of fewer than four points may miss by so many tolerances: it has nothing left to be divided at."""
_TURNING_STEP = 8
"""Points between two places at which a run's turning is measured."""
_TURN_OF_A_CUBIC = np.radians(100.0)
"""A cubic that turns by more follows a curve badly; longer runs are divided before they are fitted."""
_STRAIGHT_KINK = np.cos(np.radians(0.5))
"""A straight piece that leaves its smooth neighbour by more than half a degree would show as a kink."""


def fit_spans(points, spans: Spans, tolerance_px: float, *, few: bool = False, progress=QUIET) -> FittedSpans:
    """Fit each span with few cubics that stay within the tolerance of the points.

    Parameters
    ----------
    points : (N, 2) float64 px, all spans end to end.
    spans : the runs to fit. Neighbouring spans share their end points.
    tolerance_px : greatest distance allowed, > 0, averaged over a run of seven points;
        single points may lie three and a half times as far away, and those of a run of fewer
        than five points five times.
    few : whether the fewest cubics are looked for (``knots``), which takes several times as long.

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
        raise GeometryError(
            said("The fitting tolerance must be above 0 px; got {tolerance_px!r}.", tolerance_px=tolerance_px)
        )
    if not np.isfinite(points).all():
        raise GeometryError(said("A boundary point is not a finite number."))
    if np.any(spans.last <= spans.first):
        raise GeometryError(said("A span to fit has fewer than two points."))
    points = np.array(points, float)
    fitted = _divide(points, _presplit(points, spans), tolerance_px, progress)
    fitted = _merge_back(points, fitted, tolerance_px, progress)
    return fewest(points, fitted, tolerance_px, progress=progress) if few else fitted


def _divide(points, spans, tolerance, progress):
    done = []
    level = 0
    while len(spans):
        progress.step(level, level + 1, "Fitting curves")
        controls, straight, error, worst = fit_level(points, spans, tolerance)
        breathe()
        good = is_good(spans, straight, error, tolerance)
        done.append((spans.pick(good), controls[good], straight[good], error[good]))
        spans = _split(points, spans.pick(~good), worst[~good])
        level += 1
    return ordered(done)


def is_good(spans: Spans, straight, error, tolerance) -> np.ndarray:
    """(K,) bool: what keeps to its points."""
    # a handful of points may be missed by more: dividing them would follow their grain
    return straight | (error <= tolerance) | ((spans.last - spans.first < 4) & (error <= _FEW_MAY_MISS * tolerance))


def fit_level(points, spans: Spans, tolerance):
    """One cubic or line for each span: controls, which are lines, error and its worst point."""
    starts = ragged.lengths_to_starts(spans.last - spans.first + 1)
    run = ragged.owner(starts)
    index = np.arange(starts[-1]) - starts[run] + spans.first[run]
    xy = points[index]
    begin, end = points[spans.first], points[spans.last]
    straight, error = _straight(xy, starts, spans, begin, end, tolerance)

    controls = line_controls(begin, end)
    worst = spans.first + 1
    bent = np.flatnonzero(~straight)
    if len(bent) == 0:
        return controls, straight, error, worst
    inside, starts = ragged.take(starts, bent)
    xy, index = xy[inside], index[inside]
    controls[bent], parameter = fit_runs(xy, starts, spans.leave[bent], spans.arrive[bent], tolerance)
    miss = misses(controls[bent], xy, parameter, starts)
    error[bent] = np.maximum.reduceat(miss, starts[:-1])
    at_worst = miss >= np.repeat(error[bent], np.diff(starts))
    worst[bent] = np.minimum.reduceat(np.where(at_worst, index, len(points)), starts[:-1])
    return controls, straight, error, worst


def _straight(xy, starts, spans, begin, end, tolerance):
    chord = end - begin
    length = np.hypot(chord[:, 0], chord[:, 1])
    # a run that comes back to its begin has no direction, and any will do to find that it is not straight
    unit = np.where((length > 1e-9)[:, None], chord / np.maximum(length, 1e-9)[:, None], [1.0, 0.0])
    ux, uy, bx, by, size = np.repeat(np.stack([*unit.T, *begin.T, length]), np.diff(starts), axis=1)
    x, y = xy[:, 0] - bx, xy[:, 1] - by
    across, along = x * uy - y * ux, x * ux + y * uy
    beyond = np.maximum(np.maximum(-along, along - size), 0)
    miss = ragged.reduce_pieces(np.maximum, averaged(across, np.hypot(across, beyond), starts), starts)
    kink_first = spans.smooth_first & ((unit * spans.leave).sum(1) < _STRAIGHT_KINK)
    kink_last = spans.smooth_last & ((-unit * spans.arrive).sum(1) < _STRAIGHT_KINK)
    short = spans.last - spans.first == 1
    return short | spans.line | ((miss <= _STRAIGHT_SHARE * tolerance) & ~kink_first & ~kink_last), miss


def _presplit(points, spans):
    """Divide runs that turn too far for one cubic into parts that turn alike.

    Turning is counted between chords of eight points, over which scatter hardly shows.
    """
    size = spans.last - spans.first
    steps = np.where(spans.line, 0, size // _TURNING_STEP)
    long = np.flatnonzero(steps >= 3)
    if len(long) == 0:
        return spans
    starts = ragged.lengths_to_starts(steps[long] + 1)
    run = ragged.owner(starts)
    index = spans.first[long][run] + (np.arange(starts[-1]) - starts[run]) * _TURNING_STEP
    chord = points[index[1:]] - points[index[:-1]]
    heading = np.arctan2(chord[:, 1], chord[:, 0])
    turn = np.abs((np.diff(heading) + np.pi) % (2 * np.pi) - np.pi)
    # turn k lies at point k + 1; those that reach into the next run do not count
    within = (run[2:] == run[:-2])
    total = np.zeros(len(index))
    total[1:-1] = np.cumsum(np.where(within, turn, 0.0))
    total[-1] = total[-2] if len(total) > 1 else 0.0
    before = total[starts[:-1]]
    whole = total[starts[1:] - 1] - before
    parts = np.minimum((whole / _TURN_OF_A_CUBIC).astype(np.intp) + 1, steps[long] // 2)
    cuts = ragged.lengths_to_starts(parts - 1)
    if cuts[-1] == 0:
        return spans
    of = ragged.owner(cuts)
    share = (np.arange(cuts[-1]) - cuts[of] + 1) / parts[of]
    wanted = before[of] + share * whole[of]
    # runs are told apart by whole numbers, so one search serves them all
    base = (whole.max() + 1.0) * 2
    found = np.searchsorted(total - before[run] + base * run, wanted - before[of] + base * of)
    at = np.clip(index[np.minimum(found, len(index) - 1)], spans.first[long][of] + 3, spans.last[long][of] - 3)
    return _cut_at(points, spans, long[of], at)


def _cut_at(points, spans, of, at):
    """Spans divided at points, ``at`` ascending within each span ``of``, one tangent on both sides."""
    fresh = np.concatenate([[True], (of[1:] != of[:-1]) | (at[1:] > at[:-1] + 3)])
    of, at = of[fresh], at[fresh]
    tangent = local_tangent(points, at, spans.first[of], spans.last[of])
    smooth, no = np.ones(len(at), bool), np.zeros(len(at), bool)
    order = np.argsort(np.concatenate([spans.first, at]), kind="stable")
    def join(a, b):
        return np.concatenate([a, b])[order]
    first = join(spans.first, at)
    last = join(spans.last, spans.last[of])
    inner = np.append((first[1:] < last[:-1]) & (last[1:] == last[:-1]), False)
    last[inner] = first[1:][inner[:-1]]
    leave, smooth_first = join(spans.leave, tangent), join(spans.smooth_first, smooth)
    arrive, smooth_last = join(spans.arrive, spans.arrive[of]), join(spans.smooth_last, spans.smooth_last[of])
    arrive[inner], smooth_last[inner] = -leave[1:][inner[:-1]], True
    return Spans(first, last, leave, arrive, smooth_first, smooth_last, join(spans.line, no))


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


def _merge_back(points, fitted, tolerance, progress, rounds: int = 6):
    """Replace smooth neighbours by one cubic wherever it stays within the tolerance."""
    refused = np.zeros(len(points), bool)  # a pair that did not join will not once it has grown
    for turn in range(rounds):
        spans = fitted.spans
        joined = (spans.last[:-1] == spans.first[1:]) & spans.smooth_last[:-1] & spans.smooth_first[1:]
        joined &= ~(fitted.straight[:-1] & fitted.straight[1:]) & ~spans.line[:-1] & ~spans.line[1:]
        joined &= ~refused[spans.last[:-1]]
        pair = alternate(joined, turn % 2)
        if len(pair) == 0:
            if turn % 2:
                break
            continue
        progress.step(turn, rounds, "Joining curves")
        one = Spans(spans.first[pair], spans.last[pair + 1], spans.leave[pair], spans.arrive[pair + 1],
                    spans.smooth_first[pair], spans.smooth_last[pair + 1], np.zeros(len(pair), bool))
        controls, straight, error, _ = fit_level(points, one, tolerance)
        good = straight | (error <= tolerance)
        refused[spans.last[pair[~good]]] = True
        if not good.any():
            continue
        stay = np.ones(len(spans), bool)
        stay[pair[good]] = stay[pair[good] + 1] = False
        fitted = ordered([
            (spans.pick(stay), fitted.controls[stay], fitted.straight[stay], fitted.miss[stay]),
            (one.pick(good), controls[good], straight[good], error[good]),
        ])
    return fitted


def alternate(joined, parity) -> np.ndarray:
    """Positions of joints, no two of which share a span."""
    at = np.flatnonzero(joined)
    run_begin = np.diff(at, prepend=-9) > 1
    first = np.maximum.accumulate(np.where(run_begin, at, 0)) if len(at) else at
    return at[(at - first) % 2 == parity]
