"""Uneven light made even, and faint pencil made plain."""

import cv2
import numpy as np

from sketchloom.core.picture.picture import frozen_array

_COARSE_PX = 160
"""Long side of the picture that light is measured in: it changes slowly."""
_PAPER_SHARE = 0.06
"""Light is smoothed over this share of the shorter side."""
_STROKE_SHARE = 0.12
"""No stroke is wider than this share; paper shows beside it."""
PAPER = 245
"""What levelled paper is brought to: white but for its grain."""
_LIFT = {1: 0.80, 2: 0.62, 3: 0.48}


def paper_light(rgb) -> np.ndarray:
    """(H, W, 3) float32: how bright paper is at each place.

    Strokes and small figures are closed over on a reduced copy, larger ones are bridged by a
    smooth surface of second degree fitted to the bright part, so that a filled drawing does not
    turn into paper.
    """
    height, width = rgb.shape[:2]
    scale = _COARSE_PX / max(height, width, _COARSE_PX)
    size = (max(8, round(width * scale)), max(8, round(height * scale)))
    coarse = cv2.resize(rgb, size, interpolation=cv2.INTER_AREA)
    reach = max(3, round(_STROKE_SHARE * min(size)) | 1)
    closed = cv2.morphologyEx(coarse, cv2.MORPH_CLOSE, cv2.getStructuringElement(cv2.MORPH_ELLIPSE, (reach, reach)),
                              borderType=cv2.BORDER_REPLICATE)
    surface = _surface(closed)
    # where the closed copy lies far under the surface there is ink, not shade
    known = closed > 0.86 * surface
    filled = np.where(known, closed, surface).astype(np.float32)
    sigma = max(1.0, _PAPER_SHARE * min(size))
    smooth = cv2.GaussianBlur(filled, (0, 0), sigma, borderType=cv2.BORDER_REPLICATE)
    return np.maximum(cv2.resize(smooth, (width, height), interpolation=cv2.INTER_CUBIC), 16.0)


def _surface(values):
    """Second degree in x and y through the paper: fitted four times, each time to what is not far below."""
    height, width = values.shape[:2]
    y, x = np.mgrid[-1:1:height * 1j, -1:1:width * 1j]
    terms = np.stack([np.ones_like(x), x, y, x * x, x * y, y * y], -1).reshape(-1, 6)
    flat = values.reshape(-1, values.shape[2]).astype(float)
    luma = flat.mean(1)
    use = luma >= np.median(luma)
    for _ in range(4):
        weights, *_ = np.linalg.lstsq(terms[use], flat[use], rcond=None)
        made = terms @ weights
        use = luma > 0.9 * made.mean(1)
        if use.sum() < 12:
            break
    return made.reshape(values.shape)


def levelled(rgb) -> np.ndarray:
    """The picture as if the light had been even: paper the same all over and without a cast.

    Dark places keep their ratio to the paper around them, as light does (reflected light is the
    product of both).
    """
    paper = paper_light(rgb)
    return frozen_array(np.clip(np.rint(rgb * (PAPER / paper)), 0, 255).astype(np.uint8))


def lifted(rgb, steps: int) -> np.ndarray:
    """Faint strokes darker, paper as it is: tones under the paper's are drawn down by a power.

    ``steps`` 1 to 3. Grain near the paper's own tone is left alone.
    """
    grey = cv2.cvtColor(np.ascontiguousarray(rgb), cv2.COLOR_RGB2GRAY)
    count = np.bincount(grey.ravel(), minlength=256)
    paper = int(np.searchsorted(np.cumsum(count), 0.6 * count.sum()))
    spread = np.abs(grey.astype(np.int16) - paper)
    grain = float(np.median(spread[spread < 40])) if (spread < 40).any() else 0.0
    start = max(paper - 2.5 * grain - 2.0, 1.0)
    level = np.arange(256)
    depth = np.clip((start - level) / start, 0, 1)
    table = np.where(level >= start, level, start * (1 - depth ** _LIFT[steps]))
    return frozen_array(cv2.LUT(np.ascontiguousarray(rgb), np.clip(np.rint(table), 0, 255).astype(np.uint8)))
