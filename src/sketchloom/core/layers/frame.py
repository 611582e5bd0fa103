"""The common frame of all sheets, and marks by which they are laid on each other."""

import numpy as np

from sketchloom.core.curves.curveset import bounds
from sketchloom.core.shapes.makers import ellipse, polygon

_SLACK_MM = 0.05
"""A frame reaches so little beyond the page without making it larger: rounding."""
MARK_RADIUS_MM, MARK_AWAY_MM = 1.5, 6.0
"""Three round holes beside the work (common practice, no source): three, so that no sheet can be laid turned or turned
over."""


def frame_mm(
    layers, width_mm: float, height_mm: float, mm_per_px: float, with_marks: bool, around_mm: float = 0.0
) -> tuple[float, float, float, float]:
    """Left, top, width and height, mm: the page, and whatever of the sheets, of frames ``around_mm`` around them or of
    marks lies beyond it."""
    more = around_mm * np.array([-1, -1, 1, 1])
    boxes = [
        np.array(bounds(layer.outline.controls)) * mm_per_px + more for layer in layers if len(layer.outline.controls)
    ]
    low = np.min([np.zeros(2), *(b[:2] for b in boxes)], axis=0)
    high = np.max([np.array([width_mm, height_mm]), *(b[2:] for b in boxes)], axis=0)
    # a curve may leave the page by a rounding error
    low, high = (
        np.where(low < -_SLACK_MM, low, 0.0),
        np.where(high > (width_mm + _SLACK_MM, height_mm + _SLACK_MM), high, (width_mm, height_mm)),
    )
    if with_marks:
        room = MARK_AWAY_MM + 2 * MARK_RADIUS_MM
        low, high = low - room, high + room
    return float(low[0]), float(low[1]), float(high[0] - low[0]), float(high[1] - low[1])


_SEGMENTS = {
    "0": "abcdef",
    "1": "bc",
    "2": "abged",
    "3": "abgcd",
    "4": "fgbc",
    "5": "afgcd",
    "6": "afgedc",
    "7": "abc",
    "8": "abcdefg",
    "9": "abcdfg",
}
_DIGIT_MM, _BAR_MM, _APART_MM = (3.0, 5.4), 0.7, 0.35
"""A digit of bars that do not meet encloses nothing that could fall out."""


def number_rings(frame, number: int) -> list[np.ndarray]:
    """A sheet's number as bars to cut, in the corner of a frame that has no hole: rectangles, (4, 4, 2) mm each."""
    x, y, width, height = frame
    digits = str(number)
    wide, high = _DIGIT_MM
    inset = MARK_AWAY_MM / 2 + MARK_RADIUS_MM
    left, top = x + width - inset - high / 2 - (len(digits) - 1) * (wide + 1.0), y + height - inset - high / 2
    half, gap = _BAR_MM / 2, _BAR_MM / 2 + _APART_MM
    bars = {
        "a": (0, 0, wide, 0),
        "b": (wide, 0, wide, high / 2),
        "c": (wide, high / 2, wide, high),
        "d": (0, high, wide, high),
        "e": (0, high / 2, 0, high),
        "f": (0, 0, 0, high / 2),
        "g": (0, high / 2, wide, high / 2),
    }
    rings = []
    for place, digit in enumerate(digits):
        for name in _SEGMENTS[digit]:
            x0, y0, x1, y1 = bars[name]
            box = (x0 + gap, y0 - half, x1 - gap, y1 + half) if y0 == y1 else (x0 - half, y0 + gap, x1 + half, y1 - gap)
            corner = np.array([left + place * (wide + 1.0), top])
            rings.append(
                polygon(corner + np.array([(box[0], box[1]), (box[2], box[1]), (box[2], box[3]), (box[0], box[3])]))
            )
    return rings


def mark_rings(frame) -> list[np.ndarray]:
    """Three circles, (4, 4, 2) mm each, in all corners of a frame but the lower right one."""
    x, y, width, height = frame
    inset = MARK_AWAY_MM / 2 + MARK_RADIUS_MM
    return [ellipse(place, MARK_RADIUS_MM, MARK_RADIUS_MM) for place in (
        (x + inset, y + inset), (x + width - inset, y + inset), (x + inset, y + height - inset))]
