"""Sharp points of pieces, which lift and tear."""

import numpy as np

from sketchloom.core import ragged
from sketchloom.core.curves.curveset import evaluate, segment_lengths
from sketchloom.core.layers.outline import Outline

_SAMPLES = 6


def sharp_points(outline: Outline, arm_px: float, under_rad: float) -> np.ndarray:
    """(K, 3) x, y, px, and opening, rad, of points of pieces that open by less than an angle, the sharpest first.

    Parameters
    ----------
    arm_px : how far from the point its sides are looked at. A ring shorter than eight arms has none: it is a dot.
    """
    found = []
    for a, b in zip(outline.starts[:-1].tolist(), outline.starts[1:].tolist()):
        controls = outline.controls[a:b]
        length = segment_lengths(controls)
        if length.sum() < 8 * arm_px:
            continue
        step = arm_px / _SAMPLES
        count = np.maximum(np.ceil(length / step), 1).astype(np.intp)
        starts = ragged.lengths_to_starts(count)
        of = ragged.owner(starts)
        ring = _evenly(evaluate(controls[of], (np.arange(starts[-1]) - starts[of]) / count[of]), step)
        back, ahead = np.roll(ring, _SAMPLES, 0) - ring, np.roll(ring, -_SAMPLES, 0) - ring
        opening = np.arccos(np.clip((back * ahead).sum(1) / np.maximum(np.hypot(*back.T) * np.hypot(*ahead.T), 1e-9), -1, 1))
        # the inside is on the right: a point that sticks out turns right
        outward = -(back[:, 0] * ahead[:, 1] - back[:, 1] * ahead[:, 0]) > 0
        least = np.min([np.roll(opening, k) for k in range(-2 * _SAMPLES, 2 * _SAMPLES + 1)], axis=0)
        for k in np.flatnonzero((opening < under_rad) & outward & (opening <= least)).tolist():
            if not found or np.hypot(*(ring[k] - found[-1][:2])) > arm_px:
                found.append((*ring[k], float(opening[k])))
    return np.array(sorted(found, key=lambda one: one[2])).reshape(-1, 3)


def _evenly(ring, step):
    way = np.concatenate([[0.0], np.cumsum(np.hypot(*(np.roll(ring, -1, 0) - ring).T))])
    closed = np.concatenate([ring, ring[:1]])
    at = np.linspace(0, way[-1], max(int(round(way[-1] / step)), 8), endpoint=False)
    return np.stack([np.interp(at, way, closed[:, c]) for c in (0, 1)], -1)
