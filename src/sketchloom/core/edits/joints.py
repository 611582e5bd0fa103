"""Thin places that join what a person takes for two regions: a leak in an outline, two cheeks joined by a hair.

A region falls apart at its thin places when everything nearer to its edge than some distance is taken away (the
distance map and its levels, as for gaps between strokes).
"""

from dataclasses import dataclass

import cv2
import numpy as np

from sketchloom.core.base.raster import first_pixels
from sketchloom.core.edits.gaps import LIMIT_PX, facing

_LEVELS = np.array([0.0, 0.6, 1.1, 1.6, 2.1, 2.6, 3.1, 3.7, 4.3, 5.1, 6.1, 7.1, 8.3])
"""Distances from the edge at which a region is looked at, px."""
_WIDER = 3.0
"""What a thin place joins is so many times as wide as it on both sides: a limb is none of two regions."""
_SHARE, _LEAST_PX = 0.01, 30
"""What it joins has this share of the region, and so many px, on its smaller side."""
_MOST = 12


@dataclass(frozen=True, slots=True, eq=False)
class Joints:
    """``start``, ``end`` (K, 2) px on the region's edge at either side of a thin place; ``width_px`` (K,); the thinnest
    first."""

    start: np.ndarray
    end: np.ndarray
    width_px: np.ndarray

    def __len__(self):
        return len(self.width_px)


def joints_of(mask, limit_px: float = LIMIT_PX) -> Joints:
    """Thin places of a region.

    Parameters
    ----------
    mask : (H, W) bool, the region. limit_px : the widest that is looked for.
    """
    solid = np.pad(np.asarray(mask, bool), 1)
    away = cv2.distanceTransform(solid.astype(np.uint8), cv2.DIST_L2, cv2.DIST_MASK_5)
    least = max(_LEAST_PX, _SHARE * float(solid.sum()))
    found = []
    count, before = cv2.connectedComponents(solid.astype(np.uint8), connectivity=4)
    for level in _LEVELS[1:][_LEVELS[1:] <= limit_px / 2 + 0.6]:
        count, now, stats, _ = cv2.connectedComponentsWithStats((away > level).astype(np.uint8), connectivity=4)
        if count < 3:
            before = now
            continue
        peak = np.zeros(count)
        np.maximum.at(peak, now.ravel(), away.ravel())
        large = (peak >= np.maximum(_WIDER * level, level + 2.0)) & (stats[:, cv2.CC_STAT_AREA] >= least)
        large[0] = False
        parent = before.ravel()[first_pixels(now, count)]
        rim = np.flatnonzero((away > level) & (away <= level + 1.0))
        for mother in np.flatnonzero(np.bincount(parent[large]) > 1).tolist():
            children = np.flatnonzero(large & (parent == mother))
            found += [_joint(solid, away, a, b) for a, b in facing(now, rim, children, np.inf)]  # a hair may be long
        before = now
    kept: list[tuple] = []
    for joint in sorted((one for one in found if one is not None and one[2] <= limit_px), key=lambda one: one[2]):
        middle = (joint[0] + joint[1]) / 2
        if all(np.hypot(*(middle - (other[0] + other[1]) / 2)) > max(other[2], 4.0) for other in kept):
            kept.append(joint)
    kept = kept[:_MOST]
    start, end = (np.array([one[k] for one in kept]).reshape(-1, 2) - 0.5 for k in (0, 1))
    return Joints(start, end, np.array([one[2] for one in kept]))


def _joint(solid, away, a, b):
    """Both sides of the thinnest place on the way between two parts, and its width; None where that cannot be told."""
    steps = max(int(2 * np.hypot(*(b - a))), 2)
    way = a + np.linspace(0, 1, steps + 1)[:, None] * (b - a)
    spots = np.rint(way).astype(int)
    along = away[spots[:, 1], spots[:, 0]]
    inside = np.flatnonzero(along > 0)
    if not len(inside):
        return None
    thin = inside[along[inside] <= along[inside].min() + 0.3]
    middle = way[thin[len(thin) // 2]]
    reach = int(along[inside].min()) + 4
    x0, y0 = np.maximum(np.rint(middle).astype(int) - reach, 0)
    y, x = np.nonzero(~solid[y0:y0 + 2 * reach + 1, x0:x0 + 2 * reach + 1])
    rays = np.stack([x + x0, y + y0], -1) - middle
    length = np.hypot(*rays.T)
    if not len(length):
        return None
    one = rays[length.argmin()]
    behind = rays @ one < -0.6 * length * np.hypot(*one)
    if not behind.any():
        return None
    other = rays[behind][length[behind].argmin()]
    return middle + one, middle + other, max(float(np.hypot(*(one - other))) - 1.0, 0.5)
