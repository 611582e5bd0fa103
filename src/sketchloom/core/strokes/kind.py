"""Is a drawing made of pen lines, or of areas?"""

import cv2
import numpy as np

_SLIM = 0.014
"""Line drawings: strokes are slim for the picture, or under 3 px."""
_EVEN = 1.5
"""Line drawings: the wide strokes are at most so many times as wide as the middle one."""
_STEADY = 0.39
"""Line drawings: the width varies by no more than this share of its mean (chosen on leaves that taper, 0.41 and more,
and pen lines down to two pixels, 0.36 and less)."""
_LONG = 40.0
"""Line drawings: ink is at least so many times as long as wide."""
_ENCLOSED = 0.3
"""Line drawings: strokes that enclose this share of the picture are outlines of regions."""
_SOLID = 0.05
"""Line drawings: solid areas hold less than this share of the ink."""


def is_pen_drawing(ink) -> bool:
    """Whether ink is thin lines of one width that mostly run open.

    Parameters
    ----------
    ink : (H, W) bool.

    Notes
    -----
    Lines that enclose areas make windows and pieces, which is what is cut; lines that run open
    would be cut round as slivers, so a pen suits them. Common practice, no source.
    """
    height, width = ink.shape
    mask = ink.astype(np.uint8)
    area = int(mask.sum())
    if area < 50 or area > 0.25 * ink.size:
        return False
    half = cv2.distanceTransform(np.pad(mask, 1), cv2.DIST_L2, cv2.DIST_MASK_PRECISE)[1:-1, 1:-1]
    ridge = (half >= cv2.dilate(half, np.ones((3, 3), np.uint8))) & (half > 0.9)
    widths = 2 * half[ridge] - 1
    if len(widths) < 20:
        return False
    middle, wide = np.percentile(widths, (50, 92))
    if middle > max(_SLIM * max(height, width), 3.0) or wide > _EVEN * middle + 1.0:
        return False
    if area < _LONG * middle * middle or widths.std() > _STEADY * widths.mean():
        return False
    if (half > 0.75 * middle + 1.5).sum() > _SOLID * area:
        return False
    y, x = np.flatnonzero(mask.any(1)), np.flatnonzero(mask.any(0))
    box = (y[-1] - y[0] + 1) * (x[-1] - x[0] + 1)
    count, _, stats, _ = cv2.connectedComponentsWithStats(np.pad(1 - mask, 1, constant_values=1), connectivity=4)
    enclosed = int(stats[1:, cv2.CC_STAT_AREA].sum() - stats[1:, cv2.CC_STAT_AREA].max()) if count > 2 else 0
    return enclosed < _ENCLOSED * box
