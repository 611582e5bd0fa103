"""Boundaries between two steps of a shading: the picture has no edge there, so they run as smoothly as a hand draws."""

from dataclasses import replace

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.base.late import late
from sketchloom.core.planar.subpixel import BoundaryPoints

ndimage = late("scipy.ndimage")

_OVER_PX, _OF_LENGTH = (6.0, 3.0, 1.5), 40.0
"""Standard deviations that points are averaged over: the largest that is no more than this part of the arc. Waves of
25 px, as a shading of 0.4 values a pixel has them, lose two thirds by the largest; a circle shrinks by variance / (2
radius), which is 0.5, 0.24, 0.12 px for the shortest arcs that each takes."""
_PAD = 4
"""Deviations after which nothing is left."""


def evened(points: BoundaryPoints, closed) -> BoundaryPoints:
    """The same points, soft ones averaged along their arcs; ends of arcs stay.

    Parameters
    ----------
    points : sub-pixel points. closed : (A,) bool, arcs that come back to their begin.

    Notes
    -----
    A value of eight bits is off by up to a half, which in a shading of one value a pixel is half a pixel, and the same
    way for many pixels where it runs along the rows: the boundary wanders over lengths that no fit takes for grain.
    """
    length = np.diff(points.starts)
    has = np.zeros(len(length), bool)
    has[ragged.owner(points.starts)[points.soft]] = True
    xy = points.xy.copy()
    larger = np.inf
    for over in _OVER_PX:
        of = np.flatnonzero(has & (length >= _OF_LENGTH * over) & (length < _OF_LENGTH * larger))
        larger = over
        if len(of):
            inside, index = _padded(points.starts, closed, of, int(np.ceil(_PAD * over)))
            mean = ndimage.gaussian_filter1d(_values(points.xy, index), over, axis=0, truncate=_PAD)
            share = ndimage.gaussian_filter1d(points.soft[index[:, 0]].astype(float), over, truncate=_PAD)
            at = index[inside, 0]
            xy[at] += (np.square(share)[:, None] * (mean - points.xy[index[:, 0]]))[inside]
    return replace(points, xy=xy)


def _padded(starts, closed, arcs, pad):
    """Points of arcs with so many before and after each: which are its own, and for each the point it is and the one
    it is mirrored at (itself for none)."""
    first, count = starts[arcs], starts[arcs + 1] - starts[arcs]
    offset = ragged.lengths_to_starts(count + 2 * pad)
    of = ragged.owner(offset)
    local = np.arange(offset[-1]) - offset[of] - pad
    size, ring = count[of], closed[arcs][of]
    inside = (local >= 0) & (local < size)
    end = np.clip(local, 0, size - 1)
    there = np.where(ring, local % size, np.clip(np.where(inside, local, 2 * end - local), 0, size - 1))
    return inside, np.stack([first[of] + there, first[of] + np.where(ring | inside, there, end)], -1)


def _values(xy, index):
    """Points, those beyond an end turned about it, so that the end stays."""
    at, about = index.T
    return np.where((at == about)[:, None], xy[at], 2 * xy[about] - xy[at])
