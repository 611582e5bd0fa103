"""A thin part followed to its ends from one place on it: a leg, a feeler, a stalk, a string."""

import cv2
import numpy as np

_RADII_PX = (2, 3, 4, 6, 8, 12, 16, 24)
"""Rings around a place that are looked at, px."""
_CROSSED = 0.4
"""A thin part crosses a ring around it on less than this share."""
_CONTRAST = 8.0
"""CIELAB distance that a part stands out by, at least."""
_STRONG, _WEAK = 0.5, 0.3
"""What stands out by half of what the place does is of the part; hanging together with it, a third is enough."""
_OTHER = 0.7
"""A colour so far off the line between the part's and its ground's, in shares of their distance, is another thing's."""
_TURNS = 64


def thin_part(lab, at) -> np.ndarray | None:
    """(H, W) bool: the thin part that a place lies on, None where it lies on nothing thin.

    Parameters
    ----------
    lab : (H, W, 3) CIELAB. at : column and row.

    Notes
    -----
    What stands out from its surroundings in the direction of colour that the place does, and is no wider, is left by
    a top hat (Serra 1982, "Image analysis and mathematical morphology").
    """
    column, row = at
    height, width = lab.shape[:2]
    own = np.median(lab[max(row - 1, 0):row + 2, max(column - 1, 0):column + 2].reshape(-1, 3), axis=0)
    angle = np.linspace(0, 2 * np.pi, _TURNS, endpoint=False)
    for radius in _RADII_PX:
        x = np.clip(np.rint(column + radius * np.cos(angle)), 0, width - 1).astype(int)
        y = np.clip(np.rint(row + radius * np.sin(angle)), 0, height - 1).astype(int)
        around = lab[y, x]
        ground = np.median(around, axis=0)
        axis = own - ground
        contrast = float(np.hypot(np.hypot(*axis[:2]), axis[2]))
        if contrast >= _CONTRAST and ((around - ground) @ axis > _STRONG * contrast**2).mean() < _CROSSED:
            along = (lab - ground) @ (axis / contrast**2)
            beside = np.linalg.norm(lab - ground - along[..., None] * axis, axis=-1)
            return _followed(np.where(beside < _OTHER * contrast, along, 0.0), column, row, radius)
    return None


def _followed(along, column, row, radius):
    """What stands out along an axis of colour (1 where the place does), is at most as wide, and hangs together."""
    size = 2 * radius + 1
    disc = cv2.getStructuringElement(cv2.MORPH_ELLIPSE, (size, size))
    out = cv2.morphologyEx(np.ascontiguousarray(along, np.float32), cv2.MORPH_TOPHAT, disc)
    weak = (out > _WEAK).astype(np.uint8)
    _, part = cv2.connectedComponents(weak, connectivity=8)
    near = part[max(row - 1, 0):row + 2, max(column - 1, 0):column + 2]
    hit = near[near > 0]
    if len(hit) == 0:
        return None
    mine = part == np.bincount(hit).argmax()
    # a strip, not a patch of the same grain
    if mine.sum() > 4 * radius * cv2.morphologyEx(mine.astype(np.uint8), cv2.MORPH_GRADIENT, np.ones((3, 3))).sum():
        return None
    return mine if (out[mine] > _STRONG).mean() > 0.3 else None
