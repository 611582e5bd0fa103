"""The common frame of all sheets, and marks by which they are laid on each other."""

import numpy as np

from sketchloom.core.curves.curveset import bounds
from sketchloom.core.shapes.makers import ellipse

_SLACK_MM = 0.05
MARK_RADIUS_MM, MARK_AWAY_MM = 1.5, 6.0
"""Three round holes beside the work (common practice, no source): three, so that no sheet can be laid turned or turned over."""


def frame_mm(layers, width_mm: float, height_mm: float, mm_per_px: float, with_marks: bool) -> tuple[float, float, float, float]:
    """Left, top, width and height, mm: the page, and whatever of the sheets or marks lies beyond it."""
    boxes = [np.array(bounds(layer.outline.controls)) * mm_per_px for layer in layers if len(layer.outline.controls)]
    low = np.min([(0.0, 0.0), *(b[:2] for b in boxes)], axis=0)
    high = np.max([(width_mm, height_mm), *(b[2:] for b in boxes)], axis=0)
    # a curve may leave the page by a rounding error
    low, high = np.where(low < -_SLACK_MM, low, 0.0), np.where(high > (width_mm + _SLACK_MM, height_mm + _SLACK_MM), high, (width_mm, height_mm))
    if with_marks:
        more = MARK_AWAY_MM + 2 * MARK_RADIUS_MM
        low, high = low - more, high + more
    return float(low[0]), float(low[1]), float(high[0] - low[0]), float(high[1] - low[1])


def mark_rings(frame) -> list[np.ndarray]:
    """Three circles, (4, 4, 2) mm each, in all corners of a frame but the lower right one."""
    x, y, width, height = frame
    inset = MARK_AWAY_MM / 2 + MARK_RADIUS_MM
    return [ellipse(place, MARK_RADIUS_MM, MARK_RADIUS_MM) for place in (
        (x + inset, y + inset), (x + width - inset, y + inset), (x + inset, y + height - inset))]
