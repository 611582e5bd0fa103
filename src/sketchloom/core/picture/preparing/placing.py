"""Where a place of the picture as it came lies once the picture is prepared, and back."""

import cv2
import numpy as np

from sketchloom.core.picture.preparing import geometry, mirroring
from sketchloom.core.picture.preparing.steps import Preparation


def placing(width: int, height: int, steps: Preparation) -> np.ndarray:
    """The homography from shares of a picture's sides to shares of the prepared one's.

    Parameters
    ----------
    width, height : px of the picture as it came.

    Returns
    -------
    (3, 3) of homogeneous columns (x, y, 1)

    Notes
    -----
    Pixel i covers i to i + 1, so the corner of the picture is (0, 0) and no half pixels occur.
    """
    size = (width, height)
    move = np.diag([float(width), float(height), 1.0])
    if steps.page is not None:
        wide, high = geometry.page_size(steps.page, *size)
        seen = np.asarray(steps.page, np.float32) * np.array(size, np.float32)
        flat = np.array([[0, 0], [wide, 0], [wide, high], [0, high]], np.float32)
        move, size = cv2.getPerspectiveTransform(seen, flat) @ move, (wide, high)
    if steps.turn_deg:
        wide, high = geometry.turned_size(*size, steps.turn_deg)
        turn = np.radians(steps.turn_deg)
        c, s = np.cos(turn), np.sin(turn)
        x, y = size[0] / 2, size[1] / 2
        about = np.array([[c, -s, wide / 2 - c * x + s * y], [s, c, high / 2 - s * x - c * y], [0, 0, 1]])
        move, size = about @ move, (wide, high)
    if steps.crop is not None:
        x0, y0, x1, y1 = geometry.crop_box(*size, steps.crop)
        move, size = np.array([[1, 0, -x0], [0, 1, -y0], [0, 0, 1.0]]) @ move, (x1 - x0, y1 - y0)
    if steps.room is not None:
        left, top, right, bottom = geometry.room_px(*size, steps.room)
        move = np.array([[1, 0, left], [0, 1, top], [0, 0, 1.0]]) @ move
        size = (size[0] + left + right, size[1] + top + bottom)
    if steps.mirror is not None:
        frame = mirroring.mirror_frame(*size, steps.mirror)
        move, size = frame.move @ move, frame.size
    return np.diag([1 / size[0], 1 / size[1], 1.0]) @ move


def moved(move, places) -> np.ndarray:
    """Places (K, 2) under a homography."""
    places = np.asarray(places, float).reshape(-1, 2)
    at = np.column_stack([places, np.ones(len(places))]) @ move.T
    return at[:, :2] / at[:, 2:]


def growth(move, places) -> np.ndarray:
    """(K,) by how much areas around places grow under a homography (its Jacobian)."""
    places = np.asarray(places, float).reshape(-1, 2)
    depth = np.column_stack([places, np.ones(len(places))]) @ move[2]
    return np.abs(np.linalg.det(move)) / np.abs(depth) ** 3
