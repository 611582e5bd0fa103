"""Parts of regions too narrow to cut: what lies between two tones of a steep edge, and tails that run out."""

import cv2
import numpy as np

from sketchloom.core.base.progress import breathe

_TIP = 1.5
"""A region keeps what lies so near to where the disc fits, in radii of the disc: a right angle's tip at 1.41."""
_NEAR = 2.0
"""Only what lies so near, in radii of the disc, takes a narrow part in."""
_ROUNDS = 3
_LEAST_REACH = 1.5
_BLOCK = np.ones((2, 2), np.uint8)


def without_slivers(labels, count: int, width_px: float, distance) -> np.ndarray:
    """(H, W) uint8 labels whose regions are nowhere narrower than a disc.

    Narrow parts go, pixel by pixel, to that one of the labels beside them whose colour is nearest, so that the middle
    tone of a steep edge is shared by both its sides where its colour is half way.

    Parameters
    ----------
    labels : (H, W) uint8, below ``count``; what is not below is nothing and stays.
    width_px : of the disc; under two pixels it is one of two by two.
    distance : of flat pixel indices (N,), gives (N, count) distances from the labels' colours.
    """
    if width_px <= 1:
        return labels
    reach = (width_px + 1) / 2
    labels = labels.copy()
    for _ in range(_ROUNDS):
        away = np.empty((count, *labels.shape), np.uint8)
        narrow = np.zeros(labels.shape, bool)
        for k in range(count):
            breathe()
            mask = labels == k
            away[k] = _away_from_wide(mask, reach)
            narrow |= mask & (away[k] > 0)
        at = np.flatnonzero(narrow)
        if not len(at):
            break
        far = _NEAR * reach < away.reshape(count, -1)[:, at].T
        far[np.arange(len(at)), labels.ravel()[at]] = True
        cost = np.where(far, np.inf, distance(at))
        best = cost.argmin(1)
        found = np.isfinite(cost[np.arange(len(at)), best])
        if not found.any():
            break
        labels.ravel()[at[found]] = best[found]
    return labels


def _away_from_wide(mask, reach):
    """(H, W) uint8: how far each pixel is from where a mask is wide enough, 255 at most."""
    mask = mask.astype(np.uint8)
    if reach < _LEAST_REACH:
        # distances do not tell one pixel from two
        blocks = cv2.erode(mask, _BLOCK, anchor=(0, 0), borderType=cv2.BORDER_REPLICATE)
        wide = cv2.dilate(blocks, _BLOCK, anchor=(1, 1)) > 0
    else:
        wide = cv2.distanceTransform(mask, cv2.DIST_L2, cv2.DIST_MASK_5) >= reach
        if wide.any():
            middles = (~wide).astype(np.uint8)
            wide = cv2.distanceTransform(middles, cv2.DIST_L2, cv2.DIST_MASK_5) <= _TIP * reach
    if not wide.any():
        return np.full(mask.shape, 255, np.uint8)
    away = cv2.distanceTransform((~wide).astype(np.uint8), cv2.DIST_L2, cv2.DIST_MASK_5)
    return np.minimum(np.ceil(away), 255).astype(np.uint8)
