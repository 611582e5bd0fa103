"""Strokes drawn again as areas of one width."""

import cv2
import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.base.late import late
from sketchloom.core.base.progress import breathe
from sketchloom.core.curves.curveset import evaluate, segment_lengths
from sketchloom.core.strokes.strokes import Strokes

spatial = late("scipy.spatial")

_SPACING = 0.25
"""Spacing of samples along a stroke drawn anew."""
_TOGETHER = 200_000
"""Pixels whose distance is looked up at once: less than a tenth of a second, after which the work may be stopped."""


def drawn(strokes: Strokes, width_px: float, shape) -> np.ndarray:
    """(H, W) float32 cover of strokes with round ends.

    The cover of a pixel is half the width less its distance to the stroke's middle, plus a
    half, between 0 and 1: exact for straight sides but for their angle.
    """
    return (
        cover_along(samples(strokes, _SPACING), width_px, shape)
        if len(strokes.controls)
        else np.zeros(shape, np.float32)
    )


def cover_along(points, width_px, shape) -> np.ndarray:
    """(H, W) float32 cover of a pen of a width, one or (N,), drawn along points, (N, 2) px, that lie close together."""
    width_px = np.asarray(width_px, float)
    near = np.ones(shape, np.uint8)
    x = np.clip(np.floor(points[:, 0]).astype(int), 0, shape[1] - 1)
    y = np.clip(np.floor(points[:, 1]).astype(int), 0, shape[0] - 1)
    near[y, x] = 0
    away = cv2.distanceTransform(near, cv2.DIST_L2, cv2.DIST_MASK_PRECISE)
    row, col = np.nonzero(away <= 0.5 * width_px.max(initial=0.0) + 2.0)
    tree, cover = spatial.cKDTree(points), np.zeros(shape, np.float32)
    for begin in range(0, len(row), _TOGETHER):
        breathe()
        here = row[begin:begin + _TOGETHER], col[begin:begin + _TOGETHER]
        distance, nearest = tree.query(np.stack([here[1] + 0.5, here[0] + 0.5], -1), workers=-1)
        wide = width_px if width_px.ndim == 0 else width_px[nearest]
        cover[here] = np.clip(0.5 * wide - distance + 0.5, 0, 1)
    return cover


def samples(strokes: Strokes, spacing_px: float) -> np.ndarray:
    """(N, 2) points along all strokes, at most ``spacing_px`` apart."""
    count = np.ceil(segment_lengths(strokes.controls, strokes.straight) / spacing_px * 1.5).astype(int) + 2
    starts = ragged.lengths_to_starts(count)
    of = ragged.owner(starts)
    t = (np.arange(starts[-1]) - starts[of]) / (count[of] - 1)
    return evaluate(strokes.controls[of], t)
