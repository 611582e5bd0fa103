"""Arcs by tangents: one from a place to another, or two that meet between them with one tangent.

References
----------
K. M. Bolton, Biarc curves, Computer-Aided Design 7 (1975). The join is the one of equal tangent lengths.
"""

import numpy as np

_FLAT = 1e-7


def arc(p, t, q) -> tuple[np.ndarray, np.ndarray]:
    """Centre (K, 2) and sweep (K,), radians, of the arcs from p with unit tangents t to q, all (K, 2); sweep 0 where
    one is straight."""
    v = q - p
    cross, dot = t[:, 0] * v[:, 1] - t[:, 1] * v[:, 0], (t * v).sum(1)
    vv = (v * v).sum(1)
    flat = np.abs(cross) <= _FLAT * np.maximum(np.sqrt(vv), 1e-9)
    with np.errstate(divide="ignore", invalid="ignore"):
        radius = np.where(flat, 0.0, vv / np.where(flat, 1.0, 2 * cross))
    centre = p + radius[:, None] * np.column_stack([-t[:, 1], t[:, 0]])
    sweep = np.where(flat, 0.0, 2 * np.arctan2(cross, dot))
    return np.where(flat[:, None], p, centre), sweep


def biarcs(p, t, q, u) -> tuple[np.ndarray, ...]:
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
    one = arc(p, t, join)
    two = arc(q, -u, join)
    begin = np.stack([p, join], 1).reshape(-1, 2)
    end = np.stack([join, q], 1).reshape(-1, 2)
    centre = np.stack([one[0], two[0]], 1).reshape(-1, 2)
    sweep = np.stack([one[1], -two[1]], 1).ravel()
    return begin, end, centre, sweep


def beside(long, angle) -> np.ndarray:
    """(K,) area to the left of chords of a length between them and arcs that leave them by an angle, radians."""
    with np.errstate(divide="ignore", invalid="ignore"):
        exact = (2 * angle - np.sin(2 * angle)) / (8 * np.sin(angle) ** 2)
    return long**2 * np.where(np.abs(angle) > 1e-3, exact, angle / 6)


def away(p, begin, end, centre, sweep) -> np.ndarray:
    """(K,) distance of points (K, 2) from arcs gone on with, or from the lines of those that have no sweep."""
    line = end - begin
    long = np.hypot(*line.T)
    off = np.abs((p - begin)[:, 0] * line[:, 1] - (p - begin)[:, 1] * line[:, 0]) / np.maximum(long, 1e-12)
    off = np.where(long > 1e-9, off, np.hypot(*(p - begin).T))
    round_ = np.abs(np.hypot(*(p - centre).T) - np.hypot(*(begin - centre).T))
    return np.where(sweep == 0, off, round_)
