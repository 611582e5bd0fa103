"""Growing a region from a colour at a place, and the tolerance at which its soft edge is taken in."""

import cv2
import numpy as np

from sketchloom.core.background.mask import colour_distance, near_colour
from sketchloom.core.picture.picture import Picture
from sketchloom.core.picture.places import pixel_at

MAX_TOLERANCE = 60
"""RGB distance at which everything is grown over."""
_CALM = 0.004
"""Growth of a region a step, as a share, that is standing still."""
_LEAK = 1.35
"""A step that makes a region so many times as large has leaked out of it."""
_REST = 5
"""Steps that a region rests at least for a tolerance to be proposed there."""


def grown(picture: Picture, x: float, y: float, tolerance: float, everywhere: bool) -> np.ndarray:
    """(H, W) bool region around a place given in shares of the sides; see ``near_colour``."""
    mask = near_colour(picture, x, y, tolerance, everywhere)
    return mask if picture.alpha is None else mask & (picture.alpha >= 128)


def areas_by_tolerance(picture: Picture, x: float, y: float, everywhere: bool = False) -> np.ndarray:
    """(MAX_TOLERANCE + 1,) pixels of the region at every whole tolerance."""
    distance = colour_distance(picture, x, y)
    step = np.minimum(np.ceil(distance), MAX_TOLERANCE + 1).astype(np.uint8)
    if everywhere:
        return np.cumsum(np.bincount(step.ravel(), minlength=MAX_TOLERANCE + 2))[:MAX_TOLERANCE + 1]
    column, row = pixel_at(picture, x, y)
    step[row, column] = 0
    areas = np.empty(MAX_TOLERANCE + 1, int)
    mask = np.zeros((step.shape[0] + 2, step.shape[1] + 2), np.uint8)
    for level in range(MAX_TOLERANCE + 1):
        near = cv2.compare(step, level, cv2.CMP_LE)
        mask[:] = 0
        areas[level] = cv2.floodFill(near, mask, (column, row), 128, flags=4 | cv2.FLOODFILL_MASK_ONLY)[0]
    return areas


def proposed_tolerance(picture: Picture, x: float, y: float, everywhere: bool = False) -> int:
    """The lowest tolerance after which the region stands still: its fringe is in, its neighbour is not.

    The region's area grows with the tolerance while grain and then the soft edge are taken in, stands
    still, and leaps when it runs into a neighbour. The middle of the first rest of some length is
    safest, else of the longest; where nothing rests, the tolerance with the least growth.
    """
    area = areas_by_tolerance(picture, x, y, everywhere).astype(float)
    growth = area[1:] / np.maximum(area[:-1], 1) - 1
    first = int(np.argmax(area >= 0.5 * area[min(12, len(area) - 1)]))  # past the grain of the place itself
    leaps = np.flatnonzero(growth[first:] > _LEAK - 1) + first
    end = int(leaps[leaps > first + 1][0]) if (leaps > first + 1).any() else len(growth)
    calm = growth[first:end] <= _CALM
    if not calm.any():
        return int(first + 1 + np.argmin(growth[first:end])) if end > first else max(first, 2)
    edges = np.flatnonzero(np.diff(np.concatenate([[False], calm, [False]]).astype(int)))
    begins, ends = edges[::2], edges[1::2]
    long = np.flatnonzero(ends - begins >= _REST)
    chosen = int(long[0]) if len(long) else int(np.argmax(ends - begins))
    return int(np.clip(first + (begins[chosen] + ends[chosen]) // 2, 2, MAX_TOLERANCE))
