"""A scanner that is not there: a picture laid on a glass and scanned, to try the way of a scan.

It stands in for a device; nothing here talks to one.
"""

from dataclasses import dataclass

import cv2
import numpy as np

from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.said import said
from sketchloom.core.base.units import MM_PER_IN
from sketchloom.core.picture.picture import Picture, frozen_array

GLASS_MM = (216.0, 297.0)
"""A flatbed's glass, for A4 (ISO 216) and for letter width."""
MIN_DPI, MAX_DPI = 75, 600
"""Resolutions the simulated scanner offers."""
_PAPER = np.array([247.0, 244.0, 236.0])
"""Paper under the lamp: a little warm."""
_INK_FLOOR = 22.0
"""Ink never scans to black."""


@dataclass(frozen=True, slots=True)
class Scan:
    """How a picture is laid and scanned.

    ``width_mm`` of the picture on the glass; ``dpi``; ``skew_deg`` clockwise; ``falloff`` 0 to 0.5,
    how much darker the far side is; ``dust`` 0 to 3; ``grain`` standard deviation, of 255;
    ``seed`` of all that is random.
    """

    width_mm: float = 160.0
    dpi: int = 200
    skew_deg: float = 0.0
    falloff: float = 0.0
    dust: int = 0
    grain: float = 3.0
    seed: int = 1

    def __post_init__(self):
        for name, low, high in (("width_mm", 20, GLASS_MM[0] - 8), ("dpi", MIN_DPI, MAX_DPI), ("skew_deg", -15, 15),
                                ("falloff", 0, 0.5), ("dust", 0, 3), ("grain", 0, 20)):
            value = getattr(self, name)
            if isinstance(value, bool) or not isinstance(value, (int, float)) or not low <= value <= high:
                raise SettingError(name, said("between {low} and {high}", low=low, high=high), value)


def scanned(picture: Picture, scan: Scan) -> Picture:
    """What the scanner gives: the whole glass, with the picture on a sheet of paper in its middle."""
    width, height = (round(side / MM_PER_IN * scan.dpi) for side in GLASS_MM)
    px_per_mm = scan.dpi / MM_PER_IN
    scale = min(scan.width_mm * px_per_mm / picture.width, (GLASS_MM[1] - 8) * px_per_mm / picture.height)
    seen = picture.rgb.astype(np.float32) / 255
    if picture.alpha is not None:
        share = picture.alpha[..., None].astype(np.float32) / 255
        seen = seen * share + 1 - share
    turn = np.radians(scan.skew_deg)
    c, s = scale * np.cos(turn), scale * np.sin(turn)
    middle = np.array([(picture.width - 1) / 2, (picture.height - 1) / 2])
    move = np.array([[c, -s, 0.0], [s, c, 0.0]])
    move[:, 2] = np.array([(width - 1) / 2, (height - 1) / 2]) - move[:, :2] @ middle
    if scale < 0.5:  # warping takes single pixels; many at once want averaging first
        shrink = 2 * scale
        seen = cv2.resize(seen, None, fx=shrink, fy=shrink, interpolation=cv2.INTER_AREA)
        move[:, :2] /= shrink
        move[:, 2] = np.array([(width - 1) / 2, (height - 1) / 2]) - move[:, :2] @ (
            np.array([(seen.shape[1] - 1) / 2, (seen.shape[0] - 1) / 2]))
    drawn = cv2.warpAffine(seen, move, (width, height), flags=cv2.INTER_LINEAR, borderValue=(1.0, 1.0, 1.0))
    values = _INK_FLOOR + cv2.GaussianBlur(drawn, (0, 0), 0.7) * (_PAPER - _INK_FLOOR)
    rng = np.random.default_rng(scan.seed)
    values *= np.linspace(1.0, 1.0 - scan.falloff, width)[None, :, None]
    values += rng.normal(0, max(scan.grain, 1e-6), (height, width, 1))
    values = _with_dust(np.clip(values, 0, 255).astype(np.float32), scan.dust, rng)
    return Picture(frozen_array(np.rint(values).astype(np.uint8)), None, float(scan.dpi), picture.name)


def _with_dust(values, amount, rng):
    """Specks and hairs on the glass, dark or light."""
    height, width = values.shape[:2]
    for _ in range(int(amount * 14)):
        x, y = int(rng.integers(0, width)), int(rng.integers(0, height))
        tone = float(rng.choice([70.0, 90.0, 252.0]))
        if rng.random() < 0.25:
            bend = rng.normal(0, 12, (4, 2)).cumsum(0) + (x, y)
            cv2.polylines(values, [np.rint(bend).astype(np.int32)], False, (tone,) * 3, 1, cv2.LINE_AA)
        else:
            cv2.circle(values, (x, y), int(rng.integers(1, 3)), (tone,) * 3, -1, cv2.LINE_AA)
    return values
