"""Tone reading: ink against paper by one cut-off."""

import cv2
import numpy as np

from sketchloom.core.base import parallel

INK, PAPER = 0, 1
"""Labels of the tone reading."""
_LOCAL_PX = 41
"""Side of the window that ink and paper are measured in beside a boundary."""
LEVEL_STEP = 4
"""Side of the blocks they are measured for."""
_FEW = 4.0
"""So many clean pixels weigh as much as what is taken in their place."""
_ALONG = np.ones((7, 7), np.uint8)
"""Within three pixels a stroke's full tone is found."""


def otsu_threshold(grey) -> int:
    """The level that maximises the between-class variance; ink is at or under it.

    Parameters
    ----------
    grey : uint8 array of any shape.

    References
    ----------
    Otsu 1979, "A threshold selection method from gray-level histograms".
    """
    return int(separation(grey).argmax())


def separation(grey) -> np.ndarray:
    """(256,) between-class variance at every level, as a share of the largest: how well it parts dark from light."""
    count = tones(np.asarray(grey)).astype(float)
    level = np.arange(256)
    low = np.cumsum(count)
    high = low[-1] - low
    low_sum = np.cumsum(count * level)
    high_sum = low_sum[-1] - low_sum
    with np.errstate(divide="ignore", invalid="ignore"):
        between = low * high * (low_sum / low - high_sum / high) ** 2
    between = np.where(np.isfinite(between), between, -1.0)
    return between / max(float(between.max()), 1e-9)


def tones(grey) -> np.ndarray:
    """(256,) how many pixels have each level of a uint8 array; to seven digits in very large ones."""
    return cv2.calcHist([grey.reshape(len(grey), -1)], [0], None, [256], [0, 256]).ravel().astype(np.intp)


def ink_labels(grey, cut_off: int, dark_is_ink: bool = True) -> np.ndarray:
    """(H, W) uint8: INK where the picture is at or under the cut-off, or above it."""
    return (grey > cut_off if dark_is_ink else grey <= cut_off).view(np.uint8)


def local_levels(grey, labels) -> np.ndarray:
    """Values of ink and of paper around every block of LEVEL_STEP pixels, (2, h, w, 1) float32.

    The mean of the clean pixels of each label (those whose neighbours share it) in a box
    around the block. Uneven light then moves both levels and leaves the boundary where it
    is. A stroke too thin for clean pixels is as dark as the darkest pixels along it.
    """
    masks = [cv2.compare(labels, label, cv2.CMP_EQ) for label in (INK, PAPER)]
    # sums of blocks tell the overall means as well
    whole = [(_blocks(cv2.bitwise_and(grey, mask)), _blocks(mask) / 255.0) for mask in masks]
    dark_ink = _ratio(*whole[INK]) <= _ratio(*whole[PAPER])

    def levels_of(label):
        mask, count = masks[label], whole[label][1]
        clean = cv2.erode(mask, np.ones((3, 3), np.uint8))
        extreme = cv2.bitwise_and((cv2.erode if (label == INK) == dark_ink else cv2.dilate)(grey, _ALONG), mask)
        total, weight, spare = _blocks(cv2.bitwise_and(grey, clean)), _blocks(clean) / 255.0, _blocks(extreme)
        overall = _ratio(total, weight) if weight.any() else _ratio(spare, count)
        return (_around(total) + _FEW * (_around(spare) + overall) / (_around(count) + 1.0)) / (_around(weight) + _FEW)

    return np.stack(parallel.in_threads(levels_of, (INK, PAPER)))[..., None]


def _ratio(total, weight) -> float:
    return float(total.sum(dtype=float) / max(weight.sum(dtype=float), 1.0))


def _blocks(values):
    """Sum over every block of LEVEL_STEP x LEVEL_STEP pixels."""
    height, width = values.shape
    size = (-(-width // LEVEL_STEP), -(-height // LEVEL_STEP))
    if (width, height) != (size[0] * LEVEL_STEP, size[1] * LEVEL_STEP):
        values = cv2.copyMakeBorder(values, 0, size[1] * LEVEL_STEP - height, 0, size[0] * LEVEL_STEP - width,
                                    cv2.BORDER_REPLICATE)
    return cv2.resize(values, size, interpolation=cv2.INTER_AREA).astype(np.float32) * LEVEL_STEP**2


def _around(blocks):
    """Sum over a box of about _LOCAL_PX pixels around each block."""
    box = _LOCAL_PX // LEVEL_STEP | 1
    return cv2.boxFilter(blocks, cv2.CV_32F, (box, box), normalize=False)
