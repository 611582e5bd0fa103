"""Lighter parts of a drawing told from shadows, stains and watermarks of its paper: they lean on the ink, and end at an
edge."""

import cv2
import numpy as np

_SOLID_PX, _RING_PX, _NEAR_PX, _GRAIN_PX = 3, 4, 2, 1.5
"""Parts are looked at where they are wider than twice the first; around them a ring as wide as the second, of which
what is as near as the third is along ink. Grain is calmed by the last: its steps are no edges (chosen on a scan with
grain in light from one side)."""
_LEANS, _FREE, _SHARP, _STEP = 0.15, 0.1, 0.7, 0.6
"""A part has at least the first share of its edge along ink, the second well away from it, and the third of that is
sharp: within the ring's width most of the step from the part to paper. Chosen on houses
with a light roof (0.4 of its edge is along the ink) against the sketches in uneven light of `bench/proposals`."""
_DISC = cv2.getStructuringElement(cv2.MORPH_ELLIPSE, (2 * _RING_PX + 1,) * 2)
_NEXT = np.ones((3, 3), np.uint8)


def parts_on_ink(part, ink, share) -> np.ndarray:
    """(H, W) bool: solid parts of a lighter tone that belong to what is drawn.

    Parameters
    ----------
    part : (H, W) bool, the lighter tone. ink : (H, W) bool, what is darker. share : (H, W) float32, lightness as a
    share of paper's.
    """
    solid = cv2.dilate(cv2.erode(part.astype(np.uint8), _NEXT, iterations=_SOLID_PX), _NEXT, iterations=_SOLID_PX)
    count, label, _, _ = cv2.connectedComponentsWithStats(solid, connectivity=4, ltype=cv2.CV_16U)
    if count < 2:
        return np.zeros(part.shape, bool)
    around = cv2.dilate(label, _DISC)
    ring = (around > 0) & (label == 0)
    of, dark = around[ring], ink.astype(np.uint8)
    on_ink = cv2.dilate(dark, _NEXT, iterations=_NEAR_PX)[ring] > 0
    is_free = cv2.dilate(dark, _NEXT, iterations=_NEAR_PX + _RING_PX)[ring] == 0  # no step of ink's own
    calm = cv2.GaussianBlur(share, (0, 0), _GRAIN_PX)
    step = (cv2.dilate(calm, _DISC) - cv2.erode(calm, _DISC))[ring]
    light = np.bincount(label.ravel(), share.ravel(), count) / np.maximum(np.bincount(label.ravel(), None, count), 1)
    sharp = step > _STEP * (1 - light[of])
    edge, leaning = np.bincount(of, None, count), np.bincount(of[on_ink], None, count)
    free, ends = np.bincount(of[is_free], None, count), np.bincount(of[is_free & sharp], None, count)
    drawn = (leaning >= _LEANS * edge) & (free >= _FREE * edge) & (ends >= _SHARP * free)
    drawn[0] = False
    return drawn[label]
