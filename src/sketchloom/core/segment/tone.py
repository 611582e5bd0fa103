"""Tone reading: ink against paper by one cut-off."""

import cv2
import numpy as np

INK, PAPER = 0, 1
_LOCAL_PX = 41
LEVEL_STEP = 4
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
    """Values of ink and of paper around every block of LEVEL_STEP pixels, (2, h, w, 1) float32.

    The mean of the clean pixels of each label (those whose neighbours share it) in a box
    around the block. Uneven light then moves both levels and leaves the boundary where it
    is. A stroke too thin for clean pixels is as dark as the darkest pixels along it.
    """
    dark_ink = _mean(grey, labels == INK) <= _mean(grey, labels == PAPER)
    images = []
    for label in (INK, PAPER):
        mask = cv2.compare(labels, label, cv2.CMP_EQ)
        clean = cv2.erode(mask, np.ones((3, 3), np.uint8))
        extreme = (cv2.erode if (label == INK) == dark_ink else cv2.dilate)(grey, _ALONG)
        total, weight = _around(cv2.bitwise_and(grey, clean)), _around(clean) / 255.0
        spare, count = _around(cv2.bitwise_and(extreme, mask)), _around(mask) / 255.0
        overall = _mean(grey, clean > 0) if clean.any() else _mean(extreme, mask > 0)
        images.append((total + _FEW * (spare + overall) / (count + 1.0)) / (weight + _FEW))
    return np.stack(images)[..., None]


def _mean(grey, mask) -> float:
    return float(cv2.mean(grey, mask.astype(np.uint8))[0])


def _around(values):
    """Sum over a box of about _LOCAL_PX pixels, block by block."""
    height, width = values.shape
    size = (-(-width // LEVEL_STEP), -(-height // LEVEL_STEP))
    framed = cv2.copyMakeBorder(values, 0, size[1] * LEVEL_STEP - height, 0, size[0] * LEVEL_STEP - width,
                                cv2.BORDER_REPLICATE)
    means = cv2.resize(framed, size, interpolation=cv2.INTER_AREA).astype(np.float32)
    box = _LOCAL_PX // LEVEL_STEP | 1
    return cv2.boxFilter(means, cv2.CV_32F, (box, box), normalize=False) * LEVEL_STEP**2
