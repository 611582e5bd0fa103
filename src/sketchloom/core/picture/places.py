"""Places given in shares of a picture's sides, as pixels and masks."""

import numpy as np

from sketchloom.core.base import ragged


def pixel_at(picture, x: float, y: float) -> tuple[int, int]:
    """Column and row of the pixel at a place."""
    return min(int(x * picture.width), picture.width - 1), min(int(y * picture.height), picture.height - 1)


def polygon_mask(points, shape) -> np.ndarray:
    """(H, W) bool: pixels whose centre lies in a polygon, by the even-odd rule."""
    height, width = shape
    corners = np.array(points, float) * [width, height]
    (x0, y0), (x1, y1) = corners.T, np.roll(corners, -1, 0).T
    # rows whose middle each side crosses
    first = np.clip(np.ceil(np.minimum(y0, y1) - 0.5), 0, height).astype(int)
    last = np.clip(np.ceil(np.maximum(y0, y1) - 0.5), 0, height).astype(int)
    starts = ragged.lengths_to_starts(last - first)
    side = ragged.owner(starts)
    row = first[side] + np.arange(starts[-1]) - starts[side]
    along = (row + 0.5 - y0[side]) / np.where(y1[side] == y0[side], 1, y1[side] - y0[side])
    column = np.clip(np.ceil(x0[side] + along * (x1[side] - x0[side]) - 0.5), 0, width).astype(int)
    toggles = np.zeros((height, width + 1), np.int32)
    np.add.at(toggles, (row, column), 1)
    return np.cumsum(toggles, axis=1)[:, :width] % 2 > 0
