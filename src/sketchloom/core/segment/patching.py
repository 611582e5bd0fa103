"""Settings that hold in a part of the picture, without a seam where they end."""

import cv2
import numpy as np

from sketchloom.core.base.raster import counted
from sketchloom.core.picture.places import polygon_mask
from sketchloom.core.planar.cracks import face_image

_RAMP = 0.06
"""Share of the longer side over which a part's own cut-off passes into the picture's."""


def cut_off_map(shape, whole: int, patches) -> np.ndarray:
    """(H, W) float32 cut-off: that of a patch within it, going over to that of the whole.

    The change is spread over some of the picture's size, so a stroke that crosses the lasso's line
    does not jump there.
    """
    level = np.full(shape, float(whole), np.float32)
    ramp = max(3.0, _RAMP * max(shape))
    for patch in patches:
        if patch.cut_off is None:
            continue
        inside = polygon_mask(patch.points, shape)
        # a part that reaches the picture's edge does not end there
        away = [cv2.distanceTransform(np.pad(side.astype(np.uint8), 1, mode="edge"), cv2.DIST_L2, 5)[1:-1, 1:-1]
                for side in (inside, ~inside)]
        depth = np.where(inside, away[0] - 0.5, 0.5 - away[1])
        share = np.clip(depth / ramp + 0.5, 0, 1)
        level = level * (1 - share) + patch.cut_off * share
    return level


def with_finer(labels, other, points) -> np.ndarray:
    """Labels in which whole regions of another labelling lie, where most of them is in a polygon.

    Whole regions only: a region that ended at the lasso's line would show it. ``other`` uses label
    numbers of its own.
    """
    faces, face_label = face_image(other)
    inside = polygon_mask(points, labels.shape)
    area = counted(faces, len(face_label))
    within = counted(faces, len(face_label), inside)
    taken = (within > 0.5 * area)[faces]
    return np.where(taken, other, labels)


def faces_within(faces, points, area=None) -> np.ndarray:
    """(F,) bool: faces most of whose pixels lie in a polygon, in shares of the sides of ``faces`` (H, W). ``area`` (F,)
    of the faces, px, where it is known."""
    if area is None:
        area = np.bincount(faces.ravel())
    size = np.array(faces.shape[::-1], float)
    corners = np.array(points, float) * size
    low = np.clip(np.floor(corners.min(0)), 0, size).astype(int)
    high = np.clip(np.ceil(corners.max(0)), 0, size).astype(int)
    part = faces[low[1]:high[1], low[0]:high[0]]  # nothing beyond the polygon's box is looked at
    if not part.size:
        return np.zeros(len(area), bool)
    inside = polygon_mask((corners - low) / (high - low), part.shape)
    return np.bincount(part[inside], minlength=len(area)) > 0.5 * area
