"""Sharp points of pieces, which lift and tear."""

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.curves.curveset import evaluate, segment_lengths
from sketchloom.core.curves.outline import Outline

_SAMPLES = 6
"""Samples along each side of a tip."""
_MANY = 60_000
"""Samples of all outlines at most."""


def sharp_points(outline: Outline, arm_px: float, under_rad: float) -> np.ndarray:
    """(K, 3) x, y, px, and opening, rad, of points of pieces that open by less than an angle, the sharpest first.

    Parameters
    ----------
    arm_px : how far from the point its sides are looked at. A ring shorter than eight arms has none: it is a dot.
    """
    if not len(outline.controls):
        return np.empty((0, 3))
    length = segment_lengths(outline.controls, outline.straight)
    travelled = np.concatenate([[0.0], np.cumsum(length)])
    begin = travelled[outline.starts]
    around = np.diff(begin)
    rings = np.flatnonzero(around >= 8 * arm_px)
    if len(rings) == 0:
        return np.empty((0, 3))
    # each ring in even steps, so many to an arm
    step = max(arm_px / _SAMPLES, around[rings].sum() / _MANY)
    span = max(round(arm_px / step), 2)
    count = np.maximum(np.rint(around[rings] / step).astype(np.intp), 4 * span)
    starts = ragged.lengths_to_starts(count)
    ring = ragged.owner(starts)
    local = np.arange(starts[-1]) - starts[ring]
    way = begin[rings[ring]] + local * (around[rings] / count)[ring]
    segment = np.clip(np.searchsorted(travelled, way, side="right") - 1, 0, len(length) - 1)
    t = np.clip((way - travelled[segment]) / np.maximum(length[segment], 1e-12), 0, 1)
    xy = evaluate(outline.controls[segment], t)
    def at(by):
        return starts[ring] + (local + by) % count[ring]
    back, ahead = xy[at(-span)] - xy, xy[at(span)] - xy
    cosine = (back * ahead).sum(1) / np.maximum(np.hypot(*back.T) * np.hypot(*ahead.T), 1e-9)
    opening = np.arccos(np.clip(cosine, -1, 1))
    # the inside is on the right: a point that sticks out turns right
    outward = back[:, 0] * ahead[:, 1] - back[:, 1] * ahead[:, 0] < 0
    found: list = []
    for k in np.flatnonzero((opening < under_rad) & outward).tolist():
        near = starts[ring[k]] + (local[k] + np.arange(-2 * span, 2 * span + 1)) % count[ring[k]]
        if opening[k] <= opening[near].min() and (not found or np.hypot(*(xy[k] - found[-1][:2])) > arm_px):
            found.append((*xy[k], float(opening[k])))
    return np.array(sorted(found, key=lambda one: one[2])).reshape(-1, 3)
