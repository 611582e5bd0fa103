"""One cubic for each of many stretches of points, its handles free, all stretches at once."""

import numpy as np

from sketchloom.core.base.progress import breathe
from sketchloom.core.curves.curveset import evaluate
from sketchloom.core.curves.least_squares import SINGLE_POINT, power_form
from sketchloom.core.curves.placed import Placed, Trail, along, nearer

_PLACES = 17
"""Points of a stretch that its cubic is found by, at most."""
_RIDGE = 1e-3
_PLACE_ROUNDS, _DISTANCE_ROUNDS = 2, 2
_DAMPING, _LESS, _MORE = 0.01, 0.2, 10.0
"""Of Levenberg's and Marquardt's rule: to begin with, and by what it changes where a step came nearer and where not."""
_ENOUGH, _HOPELESS = 0.5, 30.0
"""Cubics by places that miss by less or more than these tolerances are not bettered: they will do, or never."""
_LONGEST_HANDLE, _LONGER, _LONGER_PX = 0.8, 1.02, 0.4
"""A handle is no longer than this share of its stretch, and a cubic no longer than this share and so many pixels more.
"""


def free_cubics(trail: Trail, first, last, tolerance):
    """A cubic for each stretch of a trail, its handles free: controls (K, 4, 2) and misses (K,) px.

    Handles by least squares of the points' places, then of their distances (Levenberg, Marquardt), which alone come to
    the cubic that somebody drew with handles of unlike lengths. Points without trust do not count.
    """
    seen = Placed.of(trail, first, last, _PLACES)
    controls = np.empty((len(first), 4, 2))
    controls[:, 0], controls[:, 3] = trail.xy[first], trail.xy[last]
    t = seen.share
    for _ in range(_PLACE_ROUNDS):
        breathe()
        _by_places(seen, t, controls)
        form = power_form(controls)
        t = nearer(form, seen, t)
    miss = _misses(form, seen, t)
    # what fits does, and what is far off will not
    open_ = np.flatnonzero((miss > _ENOUGH * tolerance) & (miss < _HOPELESS * tolerance))
    if len(open_):
        some = seen.some(open_)
        controls[open_], there = _by_distances(controls[open_], some, t[:, open_])
        miss[open_] = _misses(power_form(controls[open_]), some, there)
    return controls, np.where(strays(controls, seen.total), np.inf, miss)


def strays(controls, total):
    """Whether a cubic runs farther than its points do, however near it comes to each: in a loop, or beyond them."""
    along = evaluate(controls[:, None], np.linspace(0, 1, 17)[None])
    length = np.hypot(*np.moveaxis(np.diff(along, axis=1), -1, 0)).sum(1)
    handles = np.diff(controls, axis=1)[:, ::2]
    longest = np.hypot(handles[..., 0], handles[..., 1]).max(1)
    return (length > _LONGER * total + _LONGER_PX) | (longest > _LONGEST_HANDLE * np.maximum(total, length))


def _misses(form, seen, t):
    """By how much each cubic misses its points, (K,) px: the mean of three signed distances on end, of all the most,
    or a share of a lone one."""
    (gx, gy), (dx, dy) = along(form, seen, t)
    across = (gx * dy - gy * dx) / np.maximum(np.sqrt(dx * dx + dy * dy), 1e-9) * seen.counts
    alone = np.sqrt(((gx * gx + gy * gy) * seen.counts).max(0)) / SINGLE_POINT
    return np.maximum(np.abs(across[:-2] + across[1:-1] + across[2:]).max(0) / 3.0, alone)


def _by_distances(controls, seen, t):
    """Controls and places of the points after rounds of damped steps, those that come nearer taken."""
    damping = np.full(len(controls), _DAMPING)
    cost, square, right = _distances(power_form(controls), seen, t)
    for left in range(_DISTANCE_ROUNDS, 0, -1):
        breathe()
        tried = _moved(controls, square, right, damping)
        form = power_form(tried)
        at = nearer(form, seen, t)
        lower, square_there, right_there = _distances(form, seen, at)
        better = lower < cost
        here = better[:, None, None]
        controls = np.where(here, tried, controls)
        t = np.where(better, at, t)
        if left > 1:
            square, right = np.where(here, square_there, square), np.where(here[..., 0], right_there, right)
            cost = np.where(better, lower, cost)
            damping *= np.where(better, _LESS, _MORE)
    return controls, t


def _distances(form, seen, t):
    """Sums of the squared distances (K,), and the normal equations of the handles: (K, 4, 4), (K, 4)."""
    gap, (dx, dy) = along(form, seen, t)
    gx, gy = gap * seen.counts
    per = 1.0 / np.maximum(dx * dx + dy * dy, 1e-18)
    gap = gy * dx - gx * dy  # by the slope's length, as the normals are
    s = 1.0 - t
    b1, b2 = 3 * s * s * t * seen.counts, 3 * s * t * t * seen.counts
    normals = dy * dy * per, -dx * dy * per, dx * dx * per
    made = np.empty((form.shape[2], 4, 4))
    for i, j, weight in ((0, 0, b1 * b1), (0, 2, b1 * b2), (2, 2, b2 * b2)):
        xx, xy, yy = ((weight * n).sum(0) for n in normals)
        made[:, i, j] = made[:, j, i] = xx
        made[:, i, j + 1] = made[:, j + 1, i] = made[:, i + 1, j] = made[:, j, i + 1] = xy
        made[:, i + 1, j + 1] = made[:, j + 1, i + 1] = yy
    gap *= per
    nx, ny = -dy * gap, dx * gap
    right = np.stack([(b1 * nx).sum(0), (b1 * ny).sum(0), (b2 * nx).sum(0), (b2 * ny).sum(0)], 1)
    return (gx * gx + gy * gy).sum(0), made, right


def _moved(controls, square, right, damping):
    """Handles a damped step nearer."""
    square = square.copy()
    four = np.arange(4)
    square[:, four, four] += damping[:, None] * np.trace(square, axis1=1, axis2=2)[:, None] / 4 + 1e-9
    made = controls.copy()
    made[:, 1:3] += np.linalg.solve(square, right[..., None])[..., 0].reshape(-1, 2, 2)
    return made


def _by_places(seen, t, controls):
    """Set the handles by least squares of the points' places."""
    begin, end = controls[:, 0], controls[:, 3]
    s = 1.0 - t
    b1, b2 = 3 * s * s * t * seen.counts, 3 * s * t * t * seen.counts
    b0, b3 = s * s * s, t * t * t
    # a little towards thirds of the chord, so that a few points leave nothing open
    ridge = _RIDGE * seen.counts.sum(0)
    c11, c22, c12 = (b1 * b1).sum(0) + ridge, (b2 * b2).sum(0) + ridge, (b1 * b2).sum(0)
    det = c11 * c22 - c12 * c12
    for axis, wanted in enumerate(seen.xy):
        a, d = begin[:, axis], end[:, axis]
        rest = wanted - b0 * a - b3 * d
        r1 = (b1 * rest).sum(0) + ridge * (a + (d - a) / 3)
        r2 = (b2 * rest).sum(0) + ridge * (d - (d - a) / 3)
        controls[:, 1, axis] = (r1 * c22 - r2 * c12) / det
        controls[:, 2, axis] = (r2 * c11 - r1 * c12) / det
