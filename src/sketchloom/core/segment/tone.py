"""Tone reading: ink against paper by one cut-off."""

import cv2
import numpy as np

INK, PAPER = 0, 1
_LOCAL_PX = 41


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
    around the pixel; where a box holds none, the mean over the picture. Uneven light then
    moves both levels and leaves the boundary where it is.
    """
    grey = grey.astype(np.float32)
    images = []
    for label in (INK, PAPER):
        mask = (labels == label).astype(np.uint8)
        clean = cv2.erode(mask, np.ones((3, 3), np.uint8)).astype(np.float32)
        if not clean.any():
            clean = mask.astype(np.float32)
        size = (_LOCAL_PX, _LOCAL_PX)
        total = cv2.boxFilter(grey * clean, cv2.CV_32F, size, normalize=False)
        weight = cv2.boxFilter(clean, cv2.CV_32F, size, normalize=False)
        mean = float((grey * clean).sum() / max(clean.sum(), 1.0))
        # thin strokes have few clean pixels nearby: pull gently towards the overall mean
        images.append((total + 4.0 * mean) / (weight + 4.0))
    return np.stack(images)[..., None]
