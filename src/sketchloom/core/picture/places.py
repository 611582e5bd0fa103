"""Places given in shares of a picture's sides, as pixels and masks."""

import cv2
import numpy as np


def pixel_at(picture, x: float, y: float) -> tuple[int, int]:
    """Column and row of the pixel at a place."""
    return min(int(x * picture.width), picture.width - 1), min(int(y * picture.height), picture.height - 1)


def polygon_mask(points, shape) -> np.ndarray:
    """(H, W) bool inside of a polygon."""
    height, width = shape
    corners = np.rint(np.array(points) * [width, height] * 16 - 8).astype(np.int32)
    mask = np.zeros(shape, np.uint8)
    cv2.fillPoly(mask, [corners], 1, lineType=cv2.LINE_8, shift=4)
    return mask > 0
