"""The pieces of a sheet one by one, each with its own holes."""

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.curves.curveset import flatten
from sketchloom.core.curves.outline import Outline

_FLAT_PX = 0.2
"""Pieces are flattened so far to tell what lies within what."""


def pieces_of(outline: Outline) -> list[Outline]:
    """Outlines of single pieces, the largest first; a hole goes with the smallest piece that it lies in."""
    if outline.pen_px is not None:
        return [_of_rings(outline, [n]) for n in range(len(outline.area_px))]
    outer = np.flatnonzero(~outline.hole)
    outer = outer[np.argsort(-outline.area_px[outer], kind="stable")]
    rings = {int(n): [int(n)] for n in outer}
    xy, starts = flatten(outline.controls, outline.straight, _FLAT_PX)
    ring_starts = starts[outline.starts]
    polygons = {int(n): xy[ring_starts[n]:ring_starts[n + 1]] for n in outer}
    for hole in np.flatnonzero(outline.hole).tolist():
        points = xy[ring_starts[hole]:ring_starts[hole + 1]]
        # the vote of a few of its points: a hole may touch its piece's edge in one
        probes = points[np.linspace(0, len(points) - 1, min(len(points), 7)).astype(int)]
        holders = [
            n
            for n in reversed(outer.tolist())
            if _inside(probes, polygons[n]) and outline.area_px[n] > -outline.area_px[hole]
        ]
        if holders:
            rings[holders[0]].append(hole)
    return [_of_rings(outline, rings[int(n)]) for n in outer]


def extents_of(outline: Outline) -> tuple[np.ndarray, np.ndarray]:
    """Left top and right bottom, (P, 2) px each, of the boxes of an outline's pieces (of its strokes, for a pen)."""
    ends = outline.controls[:, [0, 3]]
    if not len(ends):
        return np.empty((0, 2)), np.empty((0, 2))
    low = np.minimum.reduceat(ends.min(1), outline.starts[:-1])
    high = np.maximum.reduceat(ends.max(1), outline.starts[:-1])
    outer = ~outline.hole
    return low[outer], high[outer]


def _of_rings(outline, numbers):
    segments, starts = ragged.take(outline.starts, numbers)
    return Outline(
        outline.controls[segments],
        outline.straight[segments],
        starts,
        outline.area_px[numbers],
        outline.hole[numbers],
        outline.pen_px,
    )


def _inside(points, polygon):
    """Whether most of some points lie in a polygon (even-odd)."""
    a, b = polygon, np.roll(polygon, -1, 0)
    crosses = (a[None, :, 1] > points[:, None, 1]) != (b[None, :, 1] > points[:, None, 1])
    rise = np.where(b[:, 1] == a[:, 1], 1.0, b[:, 1] - a[:, 1])
    at = a[None, :, 0] + (points[:, None, 1] - a[None, :, 1]) * ((b - a)[:, 0] / rise)[None]
    return (np.count_nonzero(crosses & (points[:, None, 0] < at), axis=1) % 2).mean() > 0.5
