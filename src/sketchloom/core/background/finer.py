"""A cut at the picture's full size: what a small copy left open is decided in larger ones, by the colours near it."""

import cv2
import numpy as np

from sketchloom.core.background.first_cut import lab_of
from sketchloom.core.background.likeness import Side, features, likeness
from sketchloom.core.background.walks import DROP, KEEP, walked

_NEAR = 80.0
"""As of the first cut; what looks alike must be near here."""
_OPEN = 0.04
"""Shares between this and one less it are open."""
_REACH_PX = 3
"""Pixels of the smaller copy around what is open, and around the edge, that are decided anew."""
_FEW = 50
_PULL = 0.25
MOST_PX = 1700
"""Long side of the largest copy; beyond it the edge is set by its own pixels."""


def finer(rgb, share) -> np.ndarray:
    """(h, w) 0 to 1 at twice the size of ``share`` or at full size, whichever is smaller.

    Parameters
    ----------
    rgb : the picture at that size. share : (H, W) of the smaller copy.
    """
    rng = np.random.default_rng(2)
    size = rgb.shape[1::-1]
    open_ = ((share > _OPEN) & (share < 1 - _OPEN)).astype(np.uint8)
    open_ |= cv2.morphologyEx((share > 0.5).astype(np.uint8), cv2.MORPH_GRADIENT, np.ones((3, 3), np.uint8))
    around = cv2.getStructuringElement(cv2.MORPH_ELLIPSE, (2 * _REACH_PX + 1,) * 2)
    open_ = cv2.resize(cv2.dilate(open_, around), size, interpolation=cv2.INTER_NEAREST) > 0
    start = np.clip(cv2.resize(share.astype(np.float32), size, interpolation=cv2.INTER_LINEAR), 0, 1)
    seeds = np.where(open_, 0, np.where(start > 0.5, KEEP, DROP)).astype(np.uint8)
    free = np.flatnonzero(seeds == 0)
    if len(free) == 0:
        return start
    lab = lab_of(rgb)
    every = features(lab, _NEAR)
    # samples from beside what is open: far off is another matter
    wide = cv2.dilate(open_.astype(np.uint8), cv2.getStructuringElement(cv2.MORPH_ELLIPSE, (31, 31))).ravel() > 0
    sides = []
    for sure, likely in ((start > 0.9, start > 0.5), (start < 0.1, start <= 0.5)):
        index = np.flatnonzero(sure.ravel() & wide)
        sides.append(Side.of(every, index if len(index) > _FEW else np.flatnonzero(likely), rng))
    prior = start.astype(float)
    prior.ravel()[free] = likeness(*(side.away(every[free]) for side in sides))
    prior.ravel()[free] = 0.5 * prior.ravel()[free] + 0.5 * start.ravel()[free]
    return walked(lab, seeds, prior, _PULL, start)
