"""A stroke laid on a cut that is there already: what hangs together with it changes sides, and nothing else."""

import cv2
import numpy as np

from sketchloom.core.background.finer import finer
from sketchloom.core.background.first_cut import NEAR, PULL, WORK_PX, lab_of
from sketchloom.core.background.likeness import Side, features, likeness
from sketchloom.core.background.thin_parts import thin_part
from sketchloom.core.background.walks import DROP, KEEP, OUT, walked

_ROOM, _LEAST_ROOM = 0.6, 0.1
"""How far around a stroke things may change: a share of its extent, and of the picture's long side at least."""
_CLICK = 0.01
"""A stroke no longer than this share of the picture is a click."""
_FEW, _TOUCHED = 50, 0.2
"""Samples that are enough, and the share of a pixel of the copy over which a stroke has touched it."""


def corrected(picture, kept, strokes, draw) -> np.ndarray:
    """(H, W) bool: the cut after one stroke more.

    Parameters
    ----------
    kept : (H, W) bool, the cut so far. strokes : all so far, the new one last. draw(strokes, shape) : (H, W) uint8,
        what they cross.

    Notes
    -----
    A keep stroke only adds and a drop stroke only takes away, in pieces that the stroke itself crosses, within a window
    around it; so a correction makes nothing worse elsewhere. A click on a thin part follows it to its ends.
    """
    new = strokes[-1]
    # seen from the new stroke's side, in which it always adds
    own = kept if new.keep else ~kept
    shape = kept.shape
    said = draw(strokes, shape)
    mine, other = (KEEP, DROP) if new.keep else (DROP, KEEP)
    crossed = draw(strokes[-1:], shape) > 0
    window = _window(new, shape)
    there = _grown(picture.rgb[window], own[window], crossed[window], said[window] == other, new, shape, window)
    there |= crossed[window] & (said[window] == mine)
    changed = there & ~own[window]
    _, part = cv2.connectedComponents((changed | crossed[window]).astype(np.uint8), connectivity=8)
    hit = np.unique(part[crossed[window]])
    out = own.copy()
    out[window] |= changed & np.isin(part, hit[hit > 0])
    return out if new.keep else ~out


def _window(stroke, shape):
    """Slices of the picture around a stroke."""
    points = np.array(stroke.points) * shape[::-1]
    low, high = points.min(0), points.max(0)
    room = max(_ROOM * float((high - low).max()), _LEAST_ROOM * max(shape))
    low, high = np.floor(low - room).astype(int), np.ceil(high + room).astype(int)
    return tuple(slice(max(a, 0), min(b, n)) for a, b, n in zip(low[::-1], high[::-1], shape, strict=True))


def _grown(rgb, own, crossed, against, stroke, shape, window):
    """(h, w) bool: what belongs to the stroke within its window."""
    points = np.array(stroke.points) * shape[::-1]
    if np.ptp(points, axis=0).max() < _CLICK * max(shape):
        at = np.clip(points.mean(0).astype(int) - [window[1].start, window[0].start], 0, np.array(own.shape[::-1]) - 1)
        thin = thin_part(lab_of(rgb), at)
        if thin is not None:
            return thin & ~against
    scale = min(1.0, WORK_PX / max(own.shape))
    size = (max(8, round(own.shape[1] * scale)), max(8, round(own.shape[0] * scale)))

    def small(mask):
        return cv2.resize(mask.astype(np.float32), size, interpolation=cv2.INTER_AREA)
    share = _share(cv2.resize(rgb, size, interpolation=cv2.INTER_AREA), small(own) > 0.5, small(crossed) > _TOUCHED,
                   small(against) > _TOUCHED)
    while share.shape != own.shape:
        scale = min(2 * scale, 1.0)
        size = (round(own.shape[1] * scale), round(own.shape[0] * scale)) if scale < 1 else own.shape[::-1]
        share = finer(rgb if scale >= 1 else cv2.resize(rgb, size, interpolation=cv2.INTER_AREA), share)
    return (share >= 0.5) & ~against


def _share(rgb, own, crossed, against):
    """(H, W) 0 to 1: how likely each pixel belongs to the stroke."""
    rng = np.random.default_rng(3)
    seeds = np.zeros(own.shape, np.uint8)
    rim = np.zeros(own.shape, bool)
    rim[[0, -1], :] = rim[:, [0, -1]] = True
    seeds[(rim & ~own) | against] = DROP
    seeds[crossed] = KEEP  # where a stroke is finer than a pixel of the copy, nothing
    lab = lab_of(rgb)
    every = features(lab, NEAR)
    keep = Side.of(every, np.flatnonzero(crossed.ravel()), rng)
    sure = np.flatnonzero(seeds.ravel() == DROP)
    rest = np.flatnonzero(~own.ravel() & ~crossed.ravel())
    sure = sure if len(sure) >= _FEW else rest
    seeds[own & ~crossed] = OUT  # what was on the stroke's side already is no way from one place to another
    free = np.flatnonzero(seeds.ravel() == 0)
    prior = (seeds == KEEP).astype(float)
    share = prior
    for _ in range(2):
        prior.ravel()[free] = likeness(keep.away(every[free]), Side.of(every, sure, rng).away(every[free]))
        share = walked(lab, seeds, prior, PULL, share)
        far = np.flatnonzero((share.ravel() < 0.3) & ~own.ravel())
        sure = far if len(far) >= _FEW else sure
    return np.where(own, 1.0, share)
