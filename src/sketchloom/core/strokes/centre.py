"""Middles and widths of strokes between pixels, from the tone across them."""

import cv2
import numpy as np

from sketchloom.core.base import parallel, ragged

_STEP = 0.25
"""Spacing of samples across a stroke."""
_ROUNDS = 2
"""Rounds of moving the middle and looking across again."""
_TOGETHER = 8_000
"""Points looked across at once: 20 MB with strokes of 40 px, and below the 32,767 rows that ``remap`` takes."""
_SPAN = 4
"""Points on each side that a direction is taken over."""


def centred(points, starts, closed, cover, half_px):
    """Points moved across their stroke onto its middle, and the width there.

    Parameters
    ----------
    points : (N, 2) px, chain by chain. starts : (B + 1,). closed : (B,) bool. cover : (H, W) float32,
        0 paper to 1 ink. half_px : (N,) half the width, roughly.

    Returns
    -------
    points (N, 2), width (N,) px : the centroid and the sum of the cover along the normal, taken
        over the ink that hangs together with the middle.
    """
    points = np.asarray(points, float).copy()
    width = 2.0 * np.asarray(half_px, float)
    if len(points) == 0:
        return points, width
    reach = float(np.max(half_px)) + 2.0
    offset = np.arange(-reach, reach + _STEP, _STEP)
    parts = [slice(k, k + _TOGETHER) for k in range(0, len(points), _TOGETHER)]
    for _ in range(_ROUNDS):
        along = tangents(points, starts, closed)
        normal = np.stack([-along[:, 1], along[:, 0]], -1)

        def looked(part, at=points, normal=normal, width=width):
            return _across(cover, at[part], normal[part], half_px[part], width[part], offset)
        shift, width = (np.concatenate(v) for v in zip(*parallel.in_threads(looked, parts), strict=True))
        points += np.clip(shift, -1.5, 1.5)[:, None] * normal
    return points, width


def _across(cover, points, normal, half_px, width, offset):
    """How far each middle of ink is from its point along the normal, and how wide the ink is there."""
    middle = len(offset) // 2
    place = (points[:, None] + offset[None, :, None] * normal[:, None] - 0.5).astype(np.float32)
    ink = cv2.remap(cover, place[..., 0], place[..., 1], cv2.INTER_LINEAR, borderValue=0)
    # ink beyond the next paper belongs to another stroke
    solid = ink > 0.12
    right = np.logical_and.accumulate(solid[:, middle:], axis=1)
    left = np.logical_and.accumulate(solid[:, middle::-1], axis=1)
    own = np.concatenate([left[:, :0:-1], right], axis=1)
    own &= np.abs(offset) <= half_px[:, None] + 2.0
    weight = np.where(own, ink, 0.0)
    total = weight.sum(1)
    shift = np.where(total > 1, (weight * offset).sum(1) / np.maximum(total, 1e-6), 0.0)
    return shift, np.where(total > 1, total * _STEP, width)


def tangents(points, starts, closed, span: int = _SPAN) -> np.ndarray:
    """(N, 2) unit direction at each point of chains, over ``span`` points to either side."""
    chain = ragged.owner(starts)
    index = np.arange(len(points))
    first, last = starts[chain], starts[chain + 1] - 1
    count = last - first + 1
    ring = closed[chain]
    ahead, behind = index + span, index - span
    ahead = np.where(ring, first + (ahead - first) % count, np.minimum(ahead, last))
    behind = np.where(ring, first + (behind - first) % count, np.maximum(behind, first))
    way = points[ahead] - points[behind]
    size = np.hypot(*way.T)
    return np.where(size[:, None] > 1e-9, way / np.maximum(size, 1e-9)[:, None], [1.0, 0.0])
