"""One cubic for each of many runs of points, by least squares between given end tangents.

All runs are worked on at once: a point is a row, a run is a stretch of rows, and sums over
runs are taken with one call. The parameters of the points are found on at most
``THINNED`` points of a run; the handles come from all of them.
"""

import numpy as np

from sketchloom.core.base import ragged

THINNED = 12
"""The place along the curve is found anew for so many points of a run; the handles come from all of them."""
_REPARAMETRISE = 3
"""Rounds of finding places along the curve anew and fitting again."""
_KEPT_ANYWAY, _DIVIDED_ANYWAY = 0.5, 6.0
"""Fits that miss by less or more than these shares of the tolerance gain nothing from another round."""
_RUN = 7
"""Points over which a distance is averaged: renderers count coverage in coarse steps and
scanners add grain, both of which change from point to point; a curve that misses its
outline misses it for a while."""
SINGLE_POINT = 3.5
"""A single point may lie this many tolerances away."""


def fit_runs(xy, starts, leave, arrive, tolerance_px: float) -> tuple[np.ndarray, np.ndarray]:
    """Fit one cubic to each run.

    Parameters
    ----------
    xy : (N, 2) float64 px, all runs end to end; the ends of a run are the ends of its cubic.
    starts : (K + 1,) offsets of the runs, each of two points or more.
    leave, arrive : (K, 2) unit tangents at the ends, both pointing into the run.
    tolerance_px : runs that miss by much less or much more after the first round are not worth
        further ones; they will be kept or divided anyway.

    Returns
    -------
    controls : (K, 4, 2) px.
    t : (N,) parameters of the points on their cubics.

    References
    ----------
    Schneider 1990, "An algorithm for automatically fitting digitized curves", Graphics Gems.
    """
    lengths = np.diff(starts)
    place, total = travelled(xy, starts, lengths)
    thin, thin_starts = thinned(starts, lengths)
    ends = xy[starts[:-1]], xy[starts[1:] - 1]
    t_thin = place[thin]
    x, y = np.ascontiguousarray(xy[thin, 0]), np.ascontiguousarray(xy[thin, 1])
    counts = np.diff(thin_starts)
    controls = _handles(x, y, t_thin, thin_starts, leave, arrive, ends, total)
    t_thin = newton(controls, counts, x, y, t_thin)
    miss = misses(controls, np.stack([x, y], -1), t_thin, thin_starts)
    miss = np.maximum.reduceat(miss, thin_starts[:-1])
    open_ = np.flatnonzero((miss > _KEPT_ANYWAY * tolerance_px) & (miss < _DIVIDED_ANYWAY * tolerance_px))
    if len(open_):
        inside, some_starts = ragged.take(thin_starts, open_)
        sx, sy, t = x[inside], y[inside], t_thin[inside]
        some = leave[open_], arrive[open_], (ends[0][open_], ends[1][open_]), total[open_]
        for _ in range(_REPARAMETRISE - 1):
            t = newton(_handles(sx, sy, t, some_starts, *some), counts[open_], sx, sy, t)
        t_thin[inside] = t
    controls = _handles(x, y, t_thin, thin_starts, leave, arrive, ends, total)
    if len(thin) == len(xy):
        return controls, t_thin
    # runs are told apart by whole numbers, so one interpolation serves them all
    base = np.repeat(2.0 * np.arange(len(lengths)), lengths)
    t = np.interp(place + base, (place + base)[thin], t_thin + base[thin]) - base
    x, y = np.ascontiguousarray(xy[:, 0]), np.ascontiguousarray(xy[:, 1])
    t = newton(controls, lengths, x, y, np.clip(t, 0.0, 1.0))
    return _handles(x, y, t, starts, leave, arrive, ends, total), t


def travelled(xy, starts, lengths) -> tuple[np.ndarray, np.ndarray]:
    """Share of its run's length at which each point lies, and the lengths."""
    step = np.zeros(len(xy))
    dx, dy = np.diff(xy[:, 0]), np.diff(xy[:, 1])
    np.sqrt(dx * dx + dy * dy, out=step[1:])
    step[starts[:-1]] = 0.0
    way = np.cumsum(step)
    way -= np.repeat(way[starts[:-1]], lengths)
    total = np.maximum(way[starts[1:] - 1], 1e-12)
    return way / np.repeat(total, lengths), total


def thinned(starts, lengths, most: int = THINNED) -> tuple[np.ndarray, np.ndarray]:
    """Indices of at most about so many points of each run, its ends among them, and the offsets of what is left."""
    stride = np.maximum((lengths - 1) // most, 1)
    if stride.max(initial=1) == 1:
        return np.arange(starts[-1]), starts
    local = np.arange(starts[-1]) - np.repeat(starts[:-1], lengths)
    keep = local % np.repeat(stride, lengths) == 0
    keep[starts[1:] - 1] = True
    kept = np.concatenate([[0], np.cumsum(keep)])
    return np.flatnonzero(keep), kept[starts]


def _handles(x, y, t, starts, leave, arrive, ends, length):
    """Least-squares handles of every run for given parameters."""
    begin, end = ends
    s = 1.0 - t
    b1, b2 = 3 * s * s * t, 3 * s * t * t
    b0 = s * s * (s + 3 * t)  # weight of the begin and of the handle's own begin
    def total(v):
        return np.add.reduceat(v, starts[:-1])
    c11, c22, c12 = total(b1 * b1), total(b2 * b2), total(b1 * b2)
    sum1, sum2, with1, with2 = total(b1), total(b2), total(b1 * b0), total(b2 * b0)
    rest1 = np.stack([total(b1 * x), total(b1 * y)], -1) - begin * with1[:, None] - end * (sum1 - with1)[:, None]
    rest2 = np.stack([total(b2 * x), total(b2 * y)], -1) - begin * with2[:, None] - end * (sum2 - with2)[:, None]
    x1, x2 = (rest1 * leave).sum(1), (rest2 * arrive).sum(1)
    c12 = c12 * (leave * arrive).sum(1)
    det = c11 * c22 - c12 * c12
    singular = det <= 1e-9 * c11 * c22
    safe = np.where(singular, 1.0, det)
    alpha, beta = (x1 * c22 - x2 * c12) / safe, (x2 * c11 - x1 * c12) / safe
    chord = np.hypot(*(end - begin).T)
    low, high = 0.02 * chord, length
    wrong = singular | (alpha < low) | (beta < low) | (alpha > high) | (beta > high)
    alpha = np.where(wrong, length / 3.0, alpha)
    beta = np.where(wrong, length / 3.0, beta)
    return np.stack([begin, begin + alpha[:, None] * leave, end + beta[:, None] * arrive, end], axis=1)


def power_form(controls) -> np.ndarray:
    """(2, 4, K) coefficients of 1, t, t^2, t^3 of the cubics, x then y."""
    p0, p1, p2, p3 = controls.transpose(1, 2, 0)
    made = np.empty((2, 4, len(controls)))
    made[:, 0], made[:, 1] = p0, 3 * (p1 - p0)
    made[:, 2], made[:, 3] = 3 * (p0 - 2 * p1 + p2), p3 - p0 + 3 * (p1 - p2)
    return made


def _along(controls, counts, t):
    """Places and first derivatives of points on their cubics, and the coefficients used."""
    c = np.repeat(power_form(controls), counts, axis=2)
    # Horner's rule for the cubic and for its derivative side by side, both coordinates at once
    place = c[:, 3] * t
    slope = place.copy()
    place += c[:, 2]
    slope += place
    slope *= t
    place *= t
    place += c[:, 1]
    slope += place
    place *= t
    place += c[:, 0]
    return place, slope, c


def newton(controls, counts, x, y, t) -> np.ndarray:
    """One step of Newton's rule towards the foot of each point on its cubic."""
    gap, slope, c = _along(controls, counts, t)
    gap[0] -= x
    gap[1] -= y
    turn = c[:, 3]
    turn *= 3 * t
    turn += c[:, 2]
    turn *= gap
    gap *= slope
    slope *= slope
    fall = turn.sum(0)
    fall *= 2
    fall += slope.sum(0)
    fall[fall <= 1e-9] = np.inf
    move = gap.sum(0)
    move /= fall
    np.clip(move, -0.1, 0.1, out=move)
    np.subtract(t, move, out=move)
    return np.clip(move, 0.0, 1.0, out=move)


def misses(controls, xy, t, starts, run: int = _RUN) -> np.ndarray:
    """How far each cubic misses each of its points, (N,) px, as ``averaged`` counts it over so many of them."""
    (px, py), (dx, dy), _ = _along(controls, np.diff(starts), t)
    gx, gy = xy[:, 0] - px, xy[:, 1] - py
    size = np.sqrt(dx * dx + dy * dy)
    across = (gx * dy - gy * dx) / np.maximum(size, 1e-9)
    return averaged(across, np.sqrt(gx * gx + gy * gy), starts, run)


def averaged(across, distance, starts, run: int = _RUN) -> np.ndarray:
    """The mean of seven signed distances (of ``run``), or a share of a lone one, whichever is more.

    Near the ends of a run fewer are averaged, which count for less.
    """
    lengths = np.diff(starts)
    local = np.arange(starts[-1]) - np.repeat(starts[:-1], lengths)
    reach = np.minimum(np.minimum(local, np.repeat(lengths, lengths) - 1 - local), run // 2)
    total = np.concatenate([[0.0], np.cumsum(across)])
    at = np.arange(len(local))
    mean = np.abs(total[at + reach + 1] - total[at - reach]) / run
    return np.maximum(mean, distance / SINGLE_POINT)
