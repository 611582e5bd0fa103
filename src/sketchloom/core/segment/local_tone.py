"""Tone reading with a cut-off that follows the light, and the silhouette of what is drawn."""

import cv2
import numpy as np

from sketchloom.core.base.progress import breathe
from sketchloom.core.picture.preparing.light import paper_light
from sketchloom.core.segment.tone import INK, PAPER

K, R = 0.2, 128.0
"""Of the method named below: the weight of the spread, and the largest spread of grey values."""
_SHARE = 0.08
"""Window of the local cut-off, as a share of the shorter side: wider than any stroke."""
_SOLID = 0.35
"""Darker than this share of the paper is ink, however far within it."""


def local_cut_offs(grey, window_px: int, k: float = K, r: float = R) -> np.ndarray:
    """(H, W) float32 cut-off of every pixel from the mean and spread around it.

    Parameters
    ----------
    grey : (H, W) uint8. window_px : side of the square looked at, odd.

    References
    ----------
    Sauvola, Pietikainen 2000, "Adaptive document image binarization": T = m (1 + k (s / R - 1)).
    """
    values = grey.astype(np.float32)
    box = (window_px, window_px)
    mean = cv2.boxFilter(values, cv2.CV_32F, box, borderType=cv2.BORDER_REFLECT)
    breathe()
    square = cv2.boxFilter(values * values, cv2.CV_32F, box, borderType=cv2.BORDER_REFLECT)
    spread = np.sqrt(np.maximum(square - mean * mean, 0))
    return mean * (1 + k * (spread / r - 1))


def local_labels(grey, cut_off: int, dark_is_ink: bool = True) -> np.ndarray:
    """(H, W) uint8 INK and PAPER where the cut-off follows the light.

    The window is a twelfth of the picture. ``cut_off`` shifts all of it: 128 takes it as it is.
    Areas larger than the window are told by being plainly dark, or their middles would fall out.
    """
    work = grey if dark_is_ink else 255 - grey
    window = max(15, round(_SHARE * min(grey.shape)) | 1)
    level = local_cut_offs(work, window) + (cut_off - 128 if dark_is_ink else 128 - cut_off) * 0.5
    breathe()
    paper = paper_light(np.dstack([work] * 3))[..., 0]
    breathe()
    ink = (work <= level) & (work < 0.92 * paper) | (work < _SOLID * paper)
    return np.where(ink, INK, PAPER).astype(np.uint8)


def silhouette(labels) -> np.ndarray:
    """Labels with all paper that ink encloses made ink: only what reaches the picture's edge stays paper."""
    height, width = labels.shape
    paper = np.pad((labels == PAPER).astype(np.uint8), 1, constant_values=1)
    # fill from the frame that was laid around
    mask = np.zeros((height + 4, width + 4), np.uint8)
    cv2.floodFill(paper, mask, (0, 0), 2, flags=4)
    return np.where(paper[1:-1, 1:-1] == 2, PAPER, INK).astype(np.uint8)
