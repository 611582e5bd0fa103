"""A camera that is not there: a printed page on the bed of a machine, seen by somebody who holds a phone over it.

It stands in for a device; nothing here talks to one.
"""

from dataclasses import dataclass

import cv2
import numpy as np

from sketchloom.core.base import setting
from sketchloom.core.base.setting import check_all

_PX_PER_MM = 4
"""The bed is drawn so fine before it is seen."""
_GRID_MM = 10.0


@dataclass(frozen=True, slots=True)
class Shot:
    """How the page lies and how it is seen.

    ``turn_deg`` clockwise, ``dx_mm``, ``dy_mm`` from the middle of the bed, ``scale`` of the print; ``tilt_deg`` of the
    camera from straight above, towards ``towards_deg``; the longer side of the picture in ``pixels``; tones 0 to 255 of
    the ``bed`` and of the ``ground`` it lies on, and whether the bed has a ``grid``; ``slope`` 0 to 0.5, how much
    darker one side is; ``grain`` standard deviation, of 255; ``blur`` px; ``seed`` of all that is random.
    """

    turn_deg: float = setting.number(2.0, -180.0, 180.0)
    dx_mm: float = setting.number(3.0, -500.0, 500.0)
    dy_mm: float = setting.number(-2.0, -500.0, 500.0)
    scale: float = setting.number(1.0, 0.9, 1.1)
    tilt_deg: float = setting.number(12.0, 0.0, 35.0)
    towards_deg: float = setting.number(60.0, -360.0, 360.0)
    pixels: int = setting.whole(2400, 600, 6000)
    bed: int = setting.whole(120, 0, 255)
    ground: int = setting.whole(70, 0, 255)
    grid: bool = setting.switch(True)
    slope: float = setting.number(0.15, 0.0, 0.5)
    grain: float = setting.number(3.0, 0.0, 20.0)
    blur: float = setting.number(0.8, 0.3, 4.0)
    seed: int = setting.whole(1, 0, 1 << 31)

    def __post_init__(self):
        check_all(self, "camera.")


def photographed(page, page_mm, bed_mm, shot: Shot):
    """The picture (H, W) uint8, and what takes mm of the page to mm of the bed (2, 3), mm of the bed to px (3, 3).

    Parameters
    ----------
    page : (h, w) uint8 of the printed page. page_mm, bed_mm : widths and heights.
    """
    laid = _laid(page_mm, bed_mm, shot)
    bed = _bed_with(np.asarray(page, np.uint8), page_mm, bed_mm, laid, shot)
    to_px, size = _seen_from(bed_mm, shot)
    fine = _to_mm(bed.shape[::-1], bed_mm)
    back = np.array([[1, 0, -0.5], [0, 1, -0.5], [0, 0, 1.0]])  # the middle of pixel (0, 0) lies half a pixel in
    matrix = back @ to_px @ fine
    seen = cv2.warpPerspective(bed, matrix, size, flags=cv2.INTER_LINEAR, borderMode=cv2.BORDER_CONSTANT,
                               borderValue=float(shot.ground))
    light = cv2.GaussianBlur(seen.astype(np.float32), (0, 0), shot.blur)
    light *= 1 - shot.slope * np.linspace(0, 1, size[0], dtype=np.float32)
    rng = np.random.default_rng(shot.seed)
    light += rng.normal(0, max(shot.grain, 1e-6), light.shape)
    return np.clip(np.rint(light), 0, 255).astype(np.uint8), laid, to_px


def _laid(page_mm, bed_mm, shot):
    angle = np.radians(shot.turn_deg)
    turned = shot.scale * np.array([[np.cos(angle), -np.sin(angle)], [np.sin(angle), np.cos(angle)]])
    middle = np.asarray(bed_mm, float) / 2 + (shot.dx_mm, shot.dy_mm)
    return np.column_stack([turned, middle - turned @ (np.asarray(page_mm, float) / 2)])


def _bed_with(page, page_mm, bed_mm, laid, shot):
    """The bed from straight above, with its grid and the page on it."""
    wide, high = (round(v * _PX_PER_MM) for v in bed_mm)
    bed = np.full((high, wide), shot.bed, np.uint8)
    if shot.grid:
        tone = int(np.clip(shot.bed + (40 if shot.bed < 140 else -40), 0, 255))
        for axis, long_mm in enumerate(bed_mm):
            for at in np.arange(_GRID_MM, long_mm - _GRID_MM, _GRID_MM):
                k = round(at * _PX_PER_MM)
                bed[(slice(None), slice(k, k + 2))[::1 - 2 * axis]] = tone
    to_bed = np.vstack([laid, (0, 0, 1)]) @ _to_mm(page.shape[::-1], page_mm)
    matrix = (np.linalg.inv(_to_mm((wide, high), bed_mm)) @ to_bed)[:2]
    shrink = page_mm[0] * _PX_PER_MM / page.shape[1]
    soft = cv2.GaussianBlur(page, (0, 0), 0.4 / shrink) if shrink < 1 else page
    cv2.warpAffine(soft, matrix, (wide, high), dst=bed, flags=cv2.INTER_LINEAR, borderMode=cv2.BORDER_TRANSPARENT)
    return bed


def _to_mm(size_px, size_mm):
    """What takes px of a picture to mm, both from the corner; pixel (0, 0) has its middle half a pixel in."""
    x, y = np.asarray(size_mm, float) / size_px
    return np.array([[x, 0, x / 2], [0, y, y / 2], [0, 0, 1.0]])


def _seen_from(bed_mm, shot):
    """What takes mm of the bed to px, by a pinhole over it, and the size of the picture."""
    wide, high = bed_mm
    tilt, towards = np.radians(shot.tilt_deg), np.radians(shot.towards_deg)
    axis = np.array([-np.sin(towards), np.cos(towards), 0.0])
    turn = cv2.Rodrigues(axis * tilt)[0]
    away = 2.2 * max(bed_mm)
    corners = np.array([(0, 0), (wide, 0), (wide, high), (0, high)], float)
    plane = np.column_stack([turn[:, 0], turn[:, 1], turn @ (-wide / 2, -high / 2, 0) + (0, 0, away)])
    ahead = np.column_stack([corners, np.ones(4)]) @ plane.T
    flat = ahead[:, :2] / ahead[:, 2:]
    low, span = flat.min(0), np.ptp(flat, axis=0)
    scale = 0.9 * shot.pixels / span.max()
    size = tuple(int(v) for v in np.ceil(span * scale / 0.9))
    shift = np.array(size) / 2 - (low + span / 2) * scale
    return np.array([[scale, 0, shift[0]], [0, scale, shift[1]], [0, 0, 1]]) @ plane, size
