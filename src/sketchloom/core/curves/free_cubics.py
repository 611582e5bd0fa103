"""One cubic for each of many stretches of points, its handles free, all stretches at once."""

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.curves.curveset import evaluate
from sketchloom.core.curves.least_squares import misses, newton, thinned, travelled

_THINNED, _OF_THINNED = 16, 3
"""Points of a stretch that its cubic is found by, and over how many of those a miss is averaged: seven of sixteen would
average half of the stretch away."""
_RIDGE = 1e-3
_PLACE_ROUNDS, _DISTANCE_ROUNDS = 2, 6
_DAMPING, _LESS, _MORE = 0.01, 0.2, 10.0
"""Of Levenberg's and Marquardt's rule: to begin with, and by what it changes where a step came nearer and where not."""
_ENOUGH, _HOPELESS = 0.5, 30.0
"""Cubics by places that miss by less or more than these tolerances are not bettered: they will do, or never."""
_LONGEST_HANDLE, _LONGER, _LONGER_PX = 0.8, 1.02, 0.4
"""A handle is no longer than this share of its stretch, and a cubic no longer than this share and so many pixels more.
"""


def free_cubics(points, first, last, tolerance):
    """A cubic for each stretch of points, its handles free: controls (K, 4, 2) and misses (K,) px.

    Handles by least squares of the points' places, then of their distances (Levenberg, Marquardt), which alone come to
    the cubic that somebody drew with handles of unlike lengths.
    """
    lengths = last - first + 1
    whole = ragged.lengths_to_starts(lengths)
    index = np.arange(whole[-1]) + np.repeat(first - whole[:-1], lengths)
    thin, starts = thinned(whole, lengths, _THINNED)
    xy = points[index[thin]]
    counts = np.diff(starts)
    x, y = np.ascontiguousarray(xy[:, 0]), np.ascontiguousarray(xy[:, 1])
    t, total = travelled(xy, starts, counts)
    ends = points[first], points[last]
    for _ in range(_PLACE_ROUNDS):
        controls = _by_places(xy, t, starts, counts, ends)
        t = newton(controls, counts, x, y, t)
    miss = np.maximum.reduceat(misses(controls, xy, t, starts, _OF_THINNED), starts[:-1])
    # what fits does, and what is far off will not
    open_ = np.flatnonzero((miss > _ENOUGH * tolerance) & (miss < _HOPELESS * tolerance))
    if len(open_):
        inside, own = ragged.take(starts, open_)
        controls[open_], t_there = _by_distances(controls[open_], xy[inside], t[inside], own)
        miss[open_] = np.maximum.reduceat(misses(controls[open_], xy[inside], t_there, own, _OF_THINNED),
                                          own[:-1])
    return controls, np.where(strays(controls, total), np.inf, miss)


def strays(controls, total):
    """Whether a cubic runs farther than its points do, however near it comes to each: in a loop, or beyond them."""
    along = evaluate(controls[:, None], np.linspace(0, 1, 17)[None])
    length = np.hypot(*np.moveaxis(np.diff(along, axis=1), -1, 0)).sum(1)
    handles = np.diff(controls, axis=1)[:, ::2]
    longest = np.hypot(handles[..., 0], handles[..., 1]).max(1)
    return (length > _LONGER * total + _LONGER_PX) | (longest > _LONGEST_HANDLE * np.maximum(total, length))


def _by_distances(controls, xy, t, starts):
    """Controls and places of the points after rounds of damped steps, those that come nearer taken."""
    counts = np.diff(starts)
    x, y = np.ascontiguousarray(xy[:, 0]), np.ascontiguousarray(xy[:, 1])
    damping = np.full(len(counts), _DAMPING)
    cost, rows, gap = _distances(controls, xy, t, starts, counts)
    for _ in range(_DISTANCE_ROUNDS):
        tried = _moved(controls, rows, gap, starts, damping)
        at = newton(tried, counts, x, y, t)
        lower, rows_there, gap_there = _distances(tried, xy, at, starts, counts)
        better = lower < cost
        here = np.repeat(better, counts)
        controls = np.where(better[:, None, None], tried, controls)
        t, gap = np.where(here, at, t), np.where(here, gap_there, gap)
        rows, cost = np.where(here[:, None], rows_there, rows), np.where(better, lower, cost)
        damping *= np.where(better, _LESS, _MORE)
    return controls, t


def _distances(controls, xy, t, starts, counts):
    """Sums of the squared distances (K,), how handles change them (N, 4), and the distances (N,)."""
    c = np.repeat(controls, counts, 0)
    s = 1.0 - t
    b1, b2 = 3 * s * s * t, 3 * s * t * t
    slope = ((s * s)[:, None] * (c[:, 1] - c[:, 0]) + (2 * s * t)[:, None] * (c[:, 2] - c[:, 1])
             + (t * t)[:, None] * (c[:, 3] - c[:, 2]))
    away = xy - ((s**3)[:, None] * c[:, 0] + b1[:, None] * c[:, 1] + b2[:, None] * c[:, 2] + (t**3)[:, None] * c[:, 3])
    size = np.maximum(np.hypot(*slope.T), 1e-9)
    nx, ny = -slope[:, 1] / size, slope[:, 0] / size
    gap = nx * away[:, 0] + ny * away[:, 1]
    return (np.add.reduceat((away * away).sum(1), starts[:-1]), np.stack([b1 * nx, b1 * ny, b2 * nx, b2 * ny], 1), gap)


def _moved(controls, rows, gap, starts, damping):
    """Handles a damped step nearer."""
    square = np.add.reduceat((rows[:, :, None] * rows[:, None, :]).reshape(-1, 16), starts[:-1]).reshape(-1, 4, 4)
    right = np.add.reduceat(rows * gap[:, None], starts[:-1])
    four = np.arange(4)
    square[:, four, four] += damping[:, None] * np.trace(square, axis1=1, axis2=2)[:, None] / 4 + 1e-9
    made = controls.copy()
    made[:, 1:3] += np.linalg.solve(square, right[..., None])[..., 0].reshape(-1, 2, 2)
    return made


def _by_places(xy, t, starts, counts, ends):
    begin, end = ends
    s = 1.0 - t
    b1, b2 = 3 * s * s * t, 3 * s * t * t
    rest = xy - (s**3)[:, None] * np.repeat(begin, counts, 0) - (t**3)[:, None] * np.repeat(end, counts, 0)
    def sums(v):
        return np.add.reduceat(v, starts[:-1], axis=0)
    # a little towards thirds of the chord, so that a few points leave nothing open
    ridge = _RIDGE * counts
    c11, c22, c12 = sums(b1 * b1) + ridge, sums(b2 * b2) + ridge, sums(b1 * b2)
    r1 = sums(b1[:, None] * rest) + ridge[:, None] * (begin + (end - begin) / 3)
    r2 = sums(b2[:, None] * rest) + ridge[:, None] * (end - (end - begin) / 3)
    det = (c11 * c22 - c12 * c12)[:, None]
    return np.stack([begin, (r1 * c22[:, None] - r2 * c12[:, None]) / det,
                     (r2 * c11[:, None] - r1 * c12[:, None]) / det, end], 1)
