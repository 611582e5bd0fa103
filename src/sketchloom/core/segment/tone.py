"""Tone reading: ink against paper by one cut-off."""

import cv2
import numpy as np

INK, PAPER = 0, 1
_LOCAL_PX = 41
_FEW = 4.0
"""So many clean pixels weigh as much as what is taken in their place."""
_ALONG = np.ones((7, 7), np.uint8)


def otsu_threshold(grey) -> int:
    """The level that maximises the between-class variance; ink is at or under it.

    Parameters
    ----------
    grey : uint8 array of any shape.

    References
    ----------
    Otsu 1979, "A threshold selection method from gray-level histograms".
    """
    count = np.bincount(np.asarray(grey).ravel(), minlength=256).astype(float)
    level = np.arange(256)
    low = np.cumsum(count)
    high = low[-1] - low
    low_sum = np.cumsum(count * level)
    high_sum = low_sum[-1] - low_sum
    with np.errstate(divide="ignore", invalid="ignore"):
        between = low * high * (low_sum / low - high_sum / high) ** 2
    return int(np.nanargmax(np.where(np.isfinite(between), between, -1.0)))


def ink_labels(grey, cut_off: int, dark_is_ink: bool = True) -> np.ndarray:
    """(H, W) uint8: INK where the picture is at or under the cut-off, or above it."""
    dark = grey <= cut_off
    return np.where(dark == dark_is_ink, INK, PAPER).astype(np.uint8)


def local_levels(grey, labels) -> np.ndarray:
    """Values of ink and of paper around every pixel, (2, H, W, 1) float32.

    The mean of the clean pixels of each label (those whose neighbours share it) in a box
    around the pixel. Uneven light then moves both levels and leaves the boundary where it
    is. A stroke too thin for clean pixels is as dark as the darkest pixels along it.
    """
    dark_ink = _mean(grey, labels == INK) <= _mean(grey, labels == PAPER)
    values = grey.astype(np.float32)
    images = []
    for label in (INK, PAPER):
        mask = (labels == label).astype(np.uint8)
        clean = cv2.erode(mask, np.ones((3, 3), np.uint8)).astype(np.float32)
        total, weight = _boxed(values * clean), _boxed(clean)
        if (label == INK) == dark_ink:
            extreme = cv2.erode(grey, _ALONG)
        else:
            extreme = cv2.dilate(grey, _ALONG)
        mask = mask.astype(np.float32)
        around, count = _boxed(extreme.astype(np.float32) * mask), _boxed(mask)
        overall = _mean(grey, clean > 0) if clean.any() else _mean(extreme, mask > 0)
        spare = (around + overall) / (count + 1.0)
        images.append((total + _FEW * spare) / (weight + _FEW))
    return np.stack(images)[..., None]


def _mean(grey, mask) -> float:
    count = int(mask.sum())
    return float(grey[mask].sum(dtype=np.int64)) / count if count else 0.0


def _boxed(values):
    return cv2.boxFilter(values, cv2.CV_32F, (_LOCAL_PX, _LOCAL_PX), normalize=False)
