"""An area covered with what lies around it."""

import cv2
import numpy as np

from sketchloom.core.shapes.raster import filled

_RIM_PX = 12
_RADIUS_PX = 5.0
_CALM_PX = 1.5


def covered(labels, areas) -> tuple[np.ndarray, np.ndarray]:
    """Labels in which areas show what their surroundings run on into.

    Parameters
    ----------
    labels : (H, W) small integers. areas : list of (N, 2) px polygons.

    Returns
    -------
    labels, inside : the new labels, and the pixels (H, W) bool that were covered.

    Notes
    -----
    Every label around the area is an image of its own, 1 where it is, that is filled in from the rim;
    each pixel takes the strongest.

    References
    ----------
    Telea 2004, "An image inpainting technique based on the fast marching method".
    """
    labels, inside = labels.copy(), np.zeros(labels.shape, bool)
    for polygon in areas:
        hole = filled([polygon], labels.shape)
        if not hole.any() or hole.all():
            continue
        inside |= hole
        ys, xs = np.nonzero(hole)
        box = np.s_[max(ys.min() - _RIM_PX, 0):ys.max() + _RIM_PX + 1, max(xs.min() - _RIM_PX, 0):xs.max() + _RIM_PX + 1]
        part, mask = labels[box], hole[box]
        rim = cv2.dilate(mask.astype(np.uint8), np.ones((5, 5), np.uint8)).astype(bool) & ~mask
        known = np.unique(part[rim])
        strength = np.stack([cv2.GaussianBlur(cv2.inpaint((part == label).astype(np.uint8) * 255, mask.astype(np.uint8), _RADIUS_PX,
                                                         cv2.INPAINT_TELEA).astype(np.float32), (0, 0), _CALM_PX) for label in known])
        part[mask] = known[strength.argmax(0)[mask]]
    return labels, inside
