"""A camera over the bed: finds the marks of a printed page in a picture, and tells where the page lies.

References
----------
Least squares of an affine map over four places (textbook); the middle of a mark from the first moments of its darkness.
"""

import itertools
from dataclasses import dataclass

import cv2
import numpy as np

from sketchloom.core.base.errors import PictureError
from sketchloom.core.base.said import said
from sketchloom.core.printing.marks import HOLE_MM, MARK_MM, places_of

_MOST_RINGS, _MOST_DISCS, _ROUND = 6, 10, 0.78
"""Spots that are looked at, and how much of its circle a mark fills at least."""
_SIZE_OFF, _SHAPE_OFF_MM = 0.35, 2.0
"""A mark's radius is off by no more than this share, and four of them fit the page's by so many mm."""

_STRETCH, _LARGER = 1.03, 1.15
"""A page is stretched by less than this from one side to the other, and printed no larger or smaller than that."""


@dataclass(frozen=True, slots=True)
class Spot:
    """A round dark spot: its middle and ``radius``, px, and whether it has a hole."""

    x: float
    y: float
    radius: float
    is_ring: bool


@dataclass(frozen=True, slots=True, eq=False)
class Found:
    """``matrix`` (2, 3) takes mm of the page to mm of the bed; ``off_mm``: how far the marks lie from it at most, which
    tells a page that is warped; ``turned_deg`` and ``scale`` of it."""

    matrix: np.ndarray
    off_mm: float
    turned_deg: float
    scale: float

    def at(self, places) -> np.ndarray:
        """Places (N, 2) of the page on the bed, mm."""
        return np.asarray(places, float) @ self.matrix[:, :2].T + self.matrix[:, 2]


def page_found(grey, mm_per_px: float, width_mm: float, height_mm: float, name: str = "") -> Found:
    """Where a page of a size lies in a picture (H, W) uint8 of the bed.

    Raises
    ------
    PictureError : its marks are not in the picture.
    """
    spots = spots_of(np.asarray(grey, np.uint8), MARK_MM / mm_per_px)
    wanted = places_of(width_mm, height_mm)
    best = None
    for ring in [s for s in spots if s.is_ring]:
        for three in itertools.permutations([s for s in spots if s is not ring], 3):
            there = np.array([(s.x, s.y) for s in (*three, ring)]) * mm_per_px
            matrix, off = _fitted(wanted, there)
            if matrix is not None and off < _SHAPE_OFF_MM and (best is None or off < best[1]):
                best = matrix, off
    if best is None:
        raise PictureError(name, said("the four marks of the page were not found."),
                           said("Take it straight from above, with all marks, without shadows across them."))
    matrix, off = best
    turn = float(np.degrees(np.arctan2(matrix[1, 0] - matrix[0, 1], matrix[0, 0] + matrix[1, 1])))
    return Found(matrix, off, turn, float(np.sqrt(abs(np.linalg.det(matrix[:, :2])))))


def straightened(grey, corners, width_mm: float, height_mm: float, mm_per_px: float) -> np.ndarray:
    """A picture of the bed as from straight above, from one taken by hand.

    Parameters
    ----------
    corners : (4, 2) px of the bed's corners in it, from the upper left clockwise. width_mm, height_mm : of the bed.
    """
    wide, high = (round(v / mm_per_px) for v in (width_mm, height_mm))
    # pixel (0, 0) has its middle half a pixel from the corner
    there = np.array([(-0.5, -0.5), (wide - 0.5, -0.5), (wide - 0.5, high - 0.5), (-0.5, high - 0.5)], np.float32)
    matrix = cv2.getPerspectiveTransform(np.asarray(corners, np.float32), there)
    return cv2.warpPerspective(np.asarray(grey, np.uint8), matrix, (wide, high), flags=cv2.INTER_LINEAR,
                               borderMode=cv2.BORDER_REPLICATE)


def spots_of(grey, radius_px):
    """Round dark spots of about a mark's size in a picture (H, W) uint8, rings first."""
    light = cv2.GaussianBlur(cv2.morphologyEx(grey, cv2.MORPH_CLOSE, cv2.getStructuringElement(
        cv2.MORPH_ELLIPSE, (2 * int(2.2 * radius_px) + 1,) * 2)), (0, 0), radius_px)
    dark = np.clip(1 - grey / np.maximum(light.astype(float), 1), 0, 1)
    mask = (dark > 0.4).astype(np.uint8)
    filled = mask.copy()
    outlines, _ = cv2.findContours(mask, cv2.RETR_LIST, cv2.CHAIN_APPROX_NONE)
    for line in outlines:
        if radius_px < max(cv2.boundingRect(line)[2:]) < 4 * radius_px:  # what is dark around the page is no ring
            cv2.drawContours(filled, [line], -1, 1, cv2.FILLED)
    count, label, stats, _ = cv2.connectedComponentsWithStats(filled)
    found = []
    for n in range(1, count):
        left, top, wide, high, area = stats[n]
        radius = np.sqrt(area / np.pi)
        if abs(radius / radius_px - 1) > _SIZE_OFF or area < _ROUND * np.pi / 4 * wide * high:
            continue
        box = (slice(max(top - 3, 0), top + high + 3), slice(max(left - 3, 0), left + wide + 3))
        within = cv2.dilate((label[box] == n).astype(np.uint8), np.ones((5, 5), np.uint8)) > 0
        weight = np.where(within, dark[box], 0.0)
        y, x = np.indices(within.shape) + np.array([box[0].start, box[1].start])[:, None, None]
        total = weight.sum()
        cx, cy = float((x * weight).sum() / total) + 0.5, float((y * weight).sum() / total) + 0.5
        inner = np.hypot(x + 0.5 - cx, y + 0.5 - cy) < 0.6 * HOLE_MM / MARK_MM * radius
        found.append(Spot(cx, cy, float(radius), bool(inner.any() and dark[box][inner].mean() < 0.5)))
    found.sort(key=lambda s: abs(s.radius - radius_px))
    return [s for s in found if s.is_ring][:_MOST_RINGS] + [s for s in found if not s.is_ring][:_MOST_DISCS]


def _fitted(page, bed):
    """The affine map from the page to the bed by least squares, and the largest miss; None where it is no page that
    lies on the bed."""
    ground = np.column_stack([page, np.ones(4)])
    matrix = np.linalg.lstsq(ground, bed, rcond=None)[0].T
    if np.linalg.det(matrix[:, :2]) <= 0:
        return None, np.inf
    large, small = np.linalg.svd(matrix[:, :2], compute_uv=False)
    if large > _STRETCH * small or not 1 / _LARGER < large < _LARGER:  # else a page turned over fits, stretched
        return None, np.inf
    return matrix, float(np.hypot(*(ground @ matrix.T - bed).T).max())
