"""Closed outlines that are circles or ellipses, made exact.

A drawn circle is a circle, not four cubics that were fitted one by one. A loop without
corners and without straight runs is compared with the circle and then with the ellipse of
least squares, and replaced where it keeps to it within the tolerance of the fit.
"""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.curves.least_squares import averaged
from sketchloom.core.planar.junctions import Polylines

HANDLE = 4 / 3 * (np.sqrt(2) - 1)
"""Handle of a quarter circle by one cubic, 0.5523 of the radius (textbook)."""
_LEAST_POINTS = 8
"""Fewer points lie on many ellipses."""
_FLATTEST = 40.0
"""Longer ellipses than this, side to side, are needles and no shape a person drew."""


@dataclass(frozen=True, slots=True, eq=False)
class ExactLoops:
    """``arc`` (K,) arcs that are circles or ellipses, their four cubics ``controls`` (K, 4, 4, 2)
    and ``miss`` (K,) the greatest distance from the boundary points, px."""

    arc: np.ndarray
    controls: np.ndarray
    miss: np.ndarray


def exact_loops(lines: Polylines, candidate, tolerance_px: float) -> ExactLoops:
    """Find the loops that are circles or ellipses.

    Parameters
    ----------
    lines : arcs as polylines. candidate : (A,) bool, closed arcs without corner or straight run.
    tolerance_px : as of the fit.

    References
    ----------
    Circle: Kasa 1976, algebraic least squares. Ellipse: Fitzgibbon, Pilu, Fisher 1999, direct
    least squares in the form of Halir, Flusser 1998. Distance: Sampson's approximation.
    """
    arcs = np.flatnonzero(candidate & (np.diff(lines.starts) >= _LEAST_POINTS))
    if len(arcs) == 0:
        return ExactLoops(arcs, np.empty((0, 4, 4, 2)), np.empty(0))
    index, starts = ragged.take(lines.starts, arcs)
    xy = lines.xy[index]
    clockwise = ring_areas(xy, starts) > 0
    centre, radius, away = _circles(xy, starts)
    miss = np.maximum.reduceat(averaged(away, np.abs(away), starts), starts[:-1])
    axes = np.stack([radius, radius], -1)
    turn = np.zeros(len(arcs))
    good = miss <= tolerance_px
    for k in np.flatnonzero(~good):
        found = _ellipse(xy[starts[k]:starts[k + 1]])
        if found is not None and found[3] <= tolerance_px:
            centre[k], axes[k], turn[k], miss[k] = found
            good[k] = True
    keep = np.flatnonzero(good)
    return ExactLoops(arcs[keep], _cubics(centre[keep], axes[keep], turn[keep], clockwise[keep]), miss[keep])


def ring_areas(xy, starts) -> np.ndarray:
    """Signed areas of closed polylines, (K,) px^2, positive clockwise (y down)."""
    lengths = np.diff(starts)
    follow = np.arange(len(xy)) + 1
    follow[starts[1:] - 1] = starts[:-1]
    x, y = (xy - np.repeat(xy[starts[:-1]], lengths, axis=0)).T
    return 0.5 * np.add.reduceat(x * y[follow] - x[follow] * y, starts[:-1])


def _circles(xy, starts):
    """Least-squares circles of all runs, and each point's distance from its circle."""
    lengths = np.diff(starts)
    mean = np.stack([np.add.reduceat(xy[:, c], starts[:-1]) for c in (0, 1)], -1) / lengths[:, None]
    x, y = (xy - np.repeat(mean, lengths, axis=0)).T
    def total(v):
        return np.add.reduceat(v, starts[:-1])
    square = x * x + y * y
    system = np.stack([total(x * x), total(x * y), total(x * y), total(y * y)], -1).reshape(-1, 2, 2)
    target = 0.5 * np.stack([total(x * square), total(y * square)], -1)
    system += 1e-9 * np.eye(2)
    offset = np.linalg.solve(system, target[..., None])[..., 0]
    radius = np.sqrt(total(square) / lengths + (offset**2).sum(1))
    centre = mean + offset
    gap = xy - np.repeat(centre, lengths, axis=0)
    return centre, radius, np.hypot(gap[:, 0], gap[:, 1]) - np.repeat(radius, lengths)


def _ellipse(points):
    """Centre, half axes, turn and greatest miss of the least-squares ellipse; None when there is none."""
    mean, size = points.mean(0), points.std() or 1.0
    x, y = ((points - mean) / size).T
    d1, d2 = np.stack([x * x, x * y, y * y], -1), np.stack([x, y, np.ones_like(x)], -1)
    try:
        t = -np.linalg.solve(d2.T @ d2, d2.T @ d1)
    except np.linalg.LinAlgError:
        return None
    m = d1.T @ d1 + (d1.T @ d2) @ t
    m = np.stack([m[2] / 2, -m[1], m[0] / 2])
    _values, vectors = np.linalg.eig(m)
    vectors = np.real(vectors)
    ratio = 4 * vectors[0] * vectors[2] - vectors[1] ** 2
    if not (ratio > 0).any():
        return None
    first = vectors[:, np.argmax(ratio > 0)]
    a, b, c = first
    d, e, f = t @ first
    matrix = np.array([[a, b / 2], [b / 2, c]])
    centre = np.linalg.solve(-2 * matrix, [d, e])
    level = -(f + 0.5 * (d * centre[0] + e * centre[1]))
    roots, axes = np.linalg.eigh(matrix / level)
    if (roots <= 0).any() or roots.max() > _FLATTEST**2 * roots.min():
        return None
    value = a * x * x + b * x * y + c * y * y + d * x + e * y + f
    slope = np.hypot(2 * a * x + b * y + d, b * x + 2 * c * y + e)
    away = value / np.maximum(slope, 1e-12) * size
    miss = averaged(away, np.abs(away), np.array([0, len(points)])).max()
    return centre * size + mean, size / np.sqrt(roots), np.arctan2(axes[1, 0], axes[0, 0]), float(miss)


def _cubics(centre, axes, turn, clockwise):
    """Four cubics a loop, (K, 4, 4, 2), in the loop's own sense (y down: clockwise is positive)."""
    quarter = np.array(
        [
            [[1, 0], [1, HANDLE], [HANDLE, 1], [0, 1]],
            [[0, 1], [-HANDLE, 1], [-1, HANDLE], [-1, 0]],
            [[-1, 0], [-1, -HANDLE], [-HANDLE, -1], [0, -1]],
            [[0, -1], [HANDLE, -1], [1, -HANDLE], [1, 0]],
        ],
        float,
    )
    unit = np.broadcast_to(quarter, (len(centre), 4, 4, 2)).copy()
    unit[~clockwise] = unit[~clockwise][:, ::-1, ::-1]
    unit = unit * axes[:, None, None, :]
    cos, sin = np.cos(turn)[:, None, None], np.sin(turn)[:, None, None]
    x = unit[..., 0] * cos - unit[..., 1] * sin
    y = unit[..., 0] * sin + unit[..., 1] * cos
    return np.stack([x, y], -1) + centre[:, None, None, :]
