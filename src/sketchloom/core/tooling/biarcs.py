"""Arcs instead of cubics, within a distance: machines run them without a flat.

A biarc is two arcs that meet with one tangent, and keep the tangents at both ends. Every smooth stretch of a path is
taken by as few biarcs as keep the distance: from each place the longest span that one biarc follows, found by doubling
and halving, all paths side by side.

References
----------
K. M. Bolton, Biarc curves, Computer-Aided Design 7 (1975). The join is the one of equal tangent lengths.
"""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.curves.curveset import chord_counts, evaluate

_SAMPLES = 32
"""Places at least on a cubic at which a biarc's distance is measured, and at which it may end (a cubic of a fitted
outline bends one way or has one inflection); a long one has more, so that chords between them stray by no more than the
biarcs may."""
_SMOOTH = 0.02
"""Tangents that differ by less, radians, are one: a fifth of what a machine tells as a corner."""
_FLAT = 1e-7


@dataclass(frozen=True, slots=True, eq=False)
class Arcs:
    """Arcs end to end: from ``begin`` (A, 2) to ``end`` (A, 2) mm about ``centre`` (A, 2); ``sweep`` (A,) radians,
    positive where it turns from x towards y, 0 for a straight line; ``starts`` (N + 1,) offsets of the paths."""

    begin: np.ndarray
    end: np.ndarray
    centre: np.ndarray
    sweep: np.ndarray
    starts: np.ndarray

    @property
    def bulge(self) -> np.ndarray:
        """Tangent of a quarter of the sweep, as drawing files have it."""
        return np.tan(self.sweep / 4)


def arcs_of(controls, straight, starts, within_mm: float = 0.005) -> Arcs:
    """Paths of cubics as arcs and lines within a distance.

    Parameters
    ----------
    controls : (S, 4, 2) cubics, those of a path end to end. straight : (S,) bool. starts : (N + 1,) offsets of the
    paths.
    """
    controls, straight, starts = np.asarray(controls, float), np.asarray(straight, bool), np.asarray(starts, np.intp)
    if not len(controls):
        none = np.empty((0, 2))
        return Arcs(none, none, none, np.empty(0), starts)
    runs = _runs(controls, straight, starts)
    points, tangents, offsets, between = _sampled(controls, runs, within_mm)
    fine = np.stack([points, between], 1).reshape(-1, 2)
    first, last, run = _spans(points, tangents, offsets, fine, within_mm)
    begin, end, centre, sweep = _biarcs(points[first], tangents[first], points[last], tangents[last])
    owner = np.repeat(np.searchsorted(starts, runs[run, 0], "right") - 1, 2)
    place = np.repeat(runs[run, 0].astype(float), 2)
    lines = np.flatnonzero(straight)
    every = [np.concatenate(both) for both in (
        (begin, controls[lines, 0]), (end, controls[lines, 3]), (centre, controls[lines, 0]),
        (sweep, np.zeros(len(lines))), (owner, np.searchsorted(starts, lines, "right") - 1),
        (place, lines.astype(float)))]
    order = np.argsort(every[5], kind="stable")
    begin, end, centre, sweep, owner, _ = (one[order] for one in every)
    real = np.hypot(*(end - begin).T) > 1e-9
    begin, end, centre, sweep, owner = (one[real] for one in (begin, end, centre, sweep, owner))
    return Arcs(begin, end, centre, sweep, np.searchsorted(owner, np.arange(len(starts))))


def _runs(controls, straight, starts):
    """(R, 2) first and past-the-last cubic of every smooth stretch without a corner or a straight line."""
    curved = ~straight
    into, out = _tangents(controls)
    turn = np.abs(np.arctan2(into[:-1, 0] * out[1:, 1] - into[:-1, 1] * out[1:, 0], (into[:-1] * out[1:]).sum(1)))
    joined = np.zeros(len(controls), bool)
    joined[1:] = curved[1:] & curved[:-1] & (turn < _SMOOTH)
    joined[starts[(starts > 0) & (starts < len(controls))]] = False
    first = np.flatnonzero(curved & ~joined)
    past = np.append(np.flatnonzero(~joined), len(controls))
    return np.column_stack([first, past[np.searchsorted(past, first, "right")]]) if len(first) else np.empty(
        (0, 2), np.intp)


def _tangents(controls):
    """Unit tangents of cubics at their ends (into the next one) and at their beginnings."""
    legs = np.diff(controls, axis=1)
    long = np.hypot(legs[..., 0], legs[..., 1])
    ahead = np.where(long[:, 0, None] > _FLAT, legs[:, 0], np.where(long[:, 1, None] > _FLAT, legs[:, 1], legs[:, 2]))
    behind = np.where(long[:, 2, None] > _FLAT, legs[:, 2], np.where(long[:, 1, None] > _FLAT, legs[:, 1], legs[:, 0]))
    return tuple(v / np.maximum(np.hypot(v[:, 0], v[:, 1]), 1e-12)[:, None] for v in (behind, ahead))


def _sampled(controls, runs, within):
    """Places (P, 2) with unit tangents (P, 2) along runs, and their offsets (R + 1,), ends of runs included; and the
    place half way to the next (P, 2), for an arc may stray where its ends do not."""
    if not len(runs):
        return np.empty((0, 2)), np.empty((0, 2)), np.zeros(1, np.intp), np.empty((0, 2))
    own = np.concatenate([np.arange(a, b) for a, b in runs.tolist()])
    cubics = runs[:, 1] - runs[:, 0]
    count = np.maximum(chord_counts(controls[own], within), _SAMPLES)
    starts = ragged.lengths_to_starts(count)
    of = ragged.owner(starts)
    t = ((np.arange(starts[-1]) - starts[of]) / count[of])[:, None]
    points, legs, u = evaluate(controls[own][of], t[:, 0]), np.diff(controls[own], axis=1)[of], 1 - t
    speed = legs[:, 0] * u**2 + 2 * legs[:, 1] * u * t + legs[:, 2] * t**2
    into, out = _tangents(controls[own])
    length = np.hypot(*speed.T)[:, None]
    speed = np.where((length > _FLAT) & (t > 0), speed / np.maximum(length, 1e-12), out[of])
    run_of = np.repeat(np.arange(len(runs)), cubics)
    offsets = ragged.lengths_to_starts(np.bincount(run_of, count, len(runs)).astype(np.intp) + 1)
    where = np.arange(len(points)) + run_of[of]
    xy, tangents, between = np.empty((3, offsets[-1], 2))
    xy[where], tangents[where] = points, speed
    between[where] = evaluate(controls[own][of], t[:, 0] + 0.5 / count[of])
    last = np.cumsum(cubics) - 1
    xy[offsets[1:] - 1], tangents[offsets[1:] - 1] = controls[runs[:, 1] - 1, 3], into[last]
    between[offsets[1:] - 1] = xy[offsets[1:] - 1]
    return xy, tangents, offsets, between


def _spans(points, tangents, offsets, fine, within):
    """Spans of samples that a biarc each follows, as first and last sample, and the run of each, in their order.
    ``fine``: the samples with those between by turns."""
    at, end = offsets[:-1].copy(), offsets[1:] - 1
    found = []
    active = np.flatnonzero(at < end)
    step = np.full(len(at), _SAMPLES)
    while len(active):
        here, most = at[active], end[active]
        # double the span while it is followed, then halve in between
        low, high = np.minimum(here + 1, most), np.minimum(here + step[active], most)
        open_ = np.ones(len(active), bool)
        while open_.any():
            k = np.flatnonzero(open_)
            good = _follows(points, tangents, fine, here[k], high[k], within)
            low[k[good]] = high[k[good]]
            more = good & (high[k] < most[k])
            high[k[more]] = np.minimum(here[k[more]] + 2 * (high[k[more]] - here[k[more]]), most[k[more]])
            open_[k[~more]] = False
            # those that failed stay with a known good low and a bad high
        k = np.flatnonzero(high - low > 1)
        while len(k):
            middle = (low[k] + high[k]) // 2
            good = _follows(points, tangents, fine, here[k], middle, within)
            low[k[good]], high[k[~good]] = middle[good], middle[~good]
            k = k[high[k] - low[k] > 1]
        found.append(np.column_stack([here, low, active]))
        step[active] = np.maximum(low - here, 2)
        at[active] = low
        active = active[at[active] < end[active]]
    if not found:
        none = np.empty(0, np.intp)
        return none, none, none
    spans = np.concatenate(found)
    spans = spans[np.lexsort([spans[:, 0], spans[:, 2]])]
    return spans[:, 0], spans[:, 1], spans[:, 2]


def _follows(points, tangents, fine, first, last, within):
    """Whether a biarc from one sample to another keeps within a distance of those in between."""
    begin, end, centre, sweep = (one.reshape(-1, 2, *one.shape[1:]) for one in _biarcs(
        points[first], tangents[first], points[last], tangents[last]))
    good = np.abs(sweep).sum(1) < 1.5 * np.pi
    count = 2 * (last - first) - 1
    span = np.repeat(np.arange(len(first)), count)
    p = fine[2 * first[span] + 1 + np.arange(len(span)) - np.repeat(np.cumsum(count) - count, count)]
    # which of the two arcs a sample belongs to: by its side of the line through the join across the tangent there
    join, way = end[span, 0], _way_at_join(begin, end, centre, sweep)[span]
    second = ((p - join) * way).sum(1) > 0
    which = second.astype(int)
    away = _away(p, begin[span, which], end[span, which], centre[span, which], sweep[span, which])
    worst = np.zeros(len(first))
    np.maximum.at(worst, span, away)
    return good & (worst <= within)


def _way_at_join(begin, end, centre, sweep):
    """Unit tangent where the two arcs meet."""
    radius = end[:, 0] - centre[:, 0]
    turned = np.column_stack([-radius[:, 1], radius[:, 0]]) * np.sign(sweep[:, 0])[:, None]
    line = end[:, 0] - begin[:, 0]
    way = np.where(sweep[:, :1] != 0, turned, line)
    return way / np.maximum(np.hypot(*way.T), 1e-12)[:, None]


def _away(p, begin, end, centre, sweep):
    """Distance of points from arcs, or from the lines of those that have no sweep."""
    line = end - begin
    long = np.hypot(*line.T)
    off = np.abs((p - begin)[:, 0] * line[:, 1] - (p - begin)[:, 1] * line[:, 0]) / np.maximum(long, 1e-12)
    off = np.where(long > 1e-9, off, np.hypot(*(p - begin).T))
    round_ = np.abs(np.hypot(*(p - centre).T) - np.hypot(*(begin - centre).T))
    return np.where(sweep == 0, off, round_)


def _biarcs(p, t, q, u):
    """Two arcs from places (K, 2) with unit tangents to others: begins, ends, centres and sweeps, (2 K, …) by turns.

    With v = q - p, the legs d of the control polygon follow from v·v - 2 d v·(t + u) + 2 d² (t·u - 1) = 0.
    """
    v = q - p
    vv, both = (v * v).sum(1), (v * (t + u)).sum(1)
    a = 2 * (1 - (t * u).sum(1))
    with np.errstate(divide="ignore", invalid="ignore"):
        root = np.sqrt(np.maximum(both * both + a * vv, 0))
        d = np.where(a > 1e-12, (root - both) / np.maximum(a, 1e-300), vv / np.maximum(2 * both, 1e-300))
    # nearly parallel tangents: the quotient loses its figures
    stable = np.where(both > 0, vv / np.maximum(root + both, 1e-300), d)
    d = np.where(both > 0, stable, d)[:, None]
    join = 0.5 * (p + q + d * (t - u))
    one = _arc(p, t, join)
    two = _arc(q, -u, join)
    begin = np.stack([p, join], 1).reshape(-1, 2)
    end = np.stack([join, q], 1).reshape(-1, 2)
    centre = np.stack([one[0], two[0]], 1).reshape(-1, 2)
    sweep = np.stack([one[1], -two[1]], 1).ravel()
    return begin, end, centre, sweep


def _arc(p, t, q):
    """Centre and sweep of the arc from p with tangent t to q; sweep 0 where it is straight."""
    v = q - p
    cross, dot = t[:, 0] * v[:, 1] - t[:, 1] * v[:, 0], (t * v).sum(1)
    vv = (v * v).sum(1)
    flat = np.abs(cross) <= _FLAT * np.maximum(np.sqrt(vv), 1e-9)
    with np.errstate(divide="ignore", invalid="ignore"):
        radius = np.where(flat, 0.0, vv / np.where(flat, 1.0, 2 * cross))
    centre = p + radius[:, None] * np.column_stack([-t[:, 1], t[:, 0]])
    sweep = np.where(flat, 0.0, 2 * np.arctan2(cross, dot))
    return np.where(flat[:, None], p, centre), sweep
