"""Area, centre and shape of every face, from the cracks around it."""

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.planar.cracks import STEP
from sketchloom.core.planar.planar_map import PlanarMap


def face_moments(planar: PlanarMap) -> np.ndarray:
    """(F, 6) of each face: area, centre x and y, and the central second moments xx, xy, yy, px^4.

    References
    ----------
    Green's theorem on polygons (Steger 1996, "On the calculation of arbitrary moments of polygons").
    """
    y, x = np.divmod(planar.vertex, planar.width + 1)
    step = STEP[planar.heading]
    # from the middle of the picture, so that less is lost to rounding
    x0, y0 = x - planar.width / 2, y - planar.height / 2
    x1, y1 = x0 + step[:, 0], y0 + step[:, 1]
    cross = x0 * y1 - x1 * y0
    parts = np.stack([
        cross / 2, cross * (x0 + x1) / 6, cross * (y0 + y1) / 6, cross * (x0 * x0 + x0 * x1 + x1 * x1) / 12,
        cross * (2 * x0 * y0 + x0 * y1 + x1 * y0 + 2 * x1 * y1) / 24, cross * (y0 * y0 + y0 * y1 + y1 * y1) / 12])
    of_arc = np.stack([ragged.reduce_pieces(np.add, part, planar.arc_starts) for part in parts])
    inner = planar.left >= 0
    area, mx, my, xx, xy, yy = (np.bincount(planar.right, part, planar.face_count) - np.bincount(
        planar.left[inner], part[inner], planar.face_count) for part in of_arc)
    cx, cy = mx / area, my / area
    return np.stack(
        [
            area,
            cx + planar.width / 2,
            cy + planar.height / 2,
            xx - area * cx * cx,
            xy - area * cx * cy,
            yy - area * cy * cy,
        ],
        -1,
    )


def perimeters(planar: PlanarMap, arc_length) -> np.ndarray:
    """(F,) length of the boundary of each face, from the lengths (A,) of the arcs."""
    inner = planar.left >= 0
    return np.bincount(planar.right, arc_length, planar.face_count) + np.bincount(
        planar.left[inner], arc_length[inner], planar.face_count
    )
