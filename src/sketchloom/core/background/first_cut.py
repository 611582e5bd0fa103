"""The first cut: two rough strokes and all that follows from them, in a small copy of the picture."""

import cv2
import numpy as np

from sketchloom.core.background.likeness import Side, features, likeness
from sketchloom.core.background.walks import DROP, KEEP, walked

WORK_PX = 420
"""Long side of the copy that a cut is begun in."""
NEAR = 25.0
"""A colour as far off as the picture is long counts as so much CIELAB distance more."""
_NEW, _NEW_LAB = 3.5, 10.0
"""Within a ring, a colour so many times as far from the background as nine tenths of the background itself are, and so
far at least, is the object's, whether a stroke crossed it or not."""
PULL, _ROUNDS = 0.08, 3
"""What colour says beside neighbours, and rounds in which both sides are learned anew."""
_LOOSE = 1e-5
"""As ``PULL``, of a walk that knows no colours."""
_EDGES, _MOST_ODDS = 0.8, 3.0
"""What edges alone say, that walk, multiplies the odds by this power of its own, by so much at most. All these were
chosen on 36 of the 60 pictures of the bench of objects and on the boat among the demo pictures at five sizes."""
_SURE = 0.7
"""Pixels at least so likely of a side are learned from."""
_MINE = 0.1
"""A part of the picture that a ring cuts off is within it when so much of the keep strokes lies there."""
_RING = 0.35
"""A stroke is a ring when its ends lie nearer than this share of its length."""
_BLUR_PX = 0.6
_EDGE, _STRAY = 0.4, 0.02
"""Less than this share of what changes across the cut in the median is no edge: on seven pictures that came out wrong,
places without an edge had 0.06 to 0.6 of the outline's median there, nine tenths of the outline itself over 0.64. So
few of a kind of seeds within a plain of the other kind are a stroke's sides (one twig had 0.006)."""
_CROSS, _BESIDE = cv2.getStructuringElement(cv2.MORPH_CROSS, (3, 3)), np.ones((3, 3), np.uint8)
_AROUND, _CLEAR_PX = 0.08, 3
"""The ground around an object: so near, a share of the long side, and so far from its edge."""
_STRANGE, _NEAR_HOLE = 3.0, 80.0
"""A hole is of another thing than that ground where most of it is so many times as far off as nine tenths of the ground
itself are; and as ``NEAR``: what lies deep in an object is its own. With 0 and 25, one icon in 20 had less than 0.97
after two corrections (numbers 60 to 107 by the rule of the bench of objects), with 80 none."""


def lab_of(rgb) -> np.ndarray:
    """(H, W, 3) CIELAB without the grain of single pixels."""
    return cv2.cvtColor(cv2.GaussianBlur(rgb, (0, 0), _BLUR_PX).astype(np.float32) / 255, cv2.COLOR_RGB2Lab)


def first_cut(rgb, said, steps) -> np.ndarray:
    """(H, W) 0 to 1: how likely each pixel is kept.

    Parameters
    ----------
    rgb : (H, W, 3) uint8. said : (H, W) uint8, what strokes cross, ``KEEP`` or ``DROP``, both of them somewhere.
    steps : the strokes; what a ring of a drop stroke keeps away from the keep strokes goes with it.
    """
    rng = np.random.default_rng(1)  # the same strokes give the same cut
    seeds, is_ringed = _ringed(said, steps)
    lab = lab_of(rgb)
    every = features(lab, NEAR)
    dropped = np.flatnonzero(seeds.ravel() == DROP)
    drop = Side.of(every, dropped, rng)
    new = max(_NEW * drop.spread(every, dropped, rng, 0.9), _NEW_LAB)
    seeds = _without_missed(seeds, every, drop, new, max(2 * step.width for step in steps) * max(said.shape))
    if not is_ringed:
        new = np.inf  # what lies elsewhere may be anything
    keep = Side.of(every, np.flatnonzero(seeds.ravel() == KEEP), rng)
    free = np.flatnonzero(seeds.ravel() == 0)
    prior = (seeds == KEEP).astype(float)
    share = walked(lab, seeds, prior, _LOOSE)
    beside = np.power((1 - share.ravel()[free]) / np.maximum(share.ravel()[free], 1e-6), _EDGES)
    beside = np.clip(beside, 1 / _MOST_ODDS, _MOST_ODDS)
    for round_ in range(_ROUNDS):
        alike = likeness(np.minimum(keep.away(every[free]), new), drop.away(every[free]))
        prior.ravel()[free] = alike / np.maximum(alike + (1 - alike) * beside, 1e-9)
        share = walked(lab, seeds, prior, PULL, share)
        if round_ + 1 < _ROUNDS:
            keep = Side.of(every, np.flatnonzero(share.ravel() > _SURE), rng)
            drop = Side.of(every, np.flatnonzero(share.ravel() < 1 - _SURE), rng)
    share = _along_edges(lab, seeds, prior, share)
    return _without_strange_holes(share, lab, seeds, rng) if is_ringed else _hanging_together(share, seeds == KEEP)


def _along_edges(lab, seeds, prior, share):
    """Shares with the cut moved to edges: a plain that it runs through goes as a whole to the side that strokes say.

    A plain hangs together without an edge nearly as strong as those that the cut follows elsewhere. What is blurred
    behind an object and new within a ring is cut nowhere in particular; the object's own outline is an edge.
    """
    kept = share >= 0.5
    cut = cv2.morphologyEx(kept.astype(np.uint8), cv2.MORPH_GRADIENT, _CROSS) > 0
    if not cut.any():
        return share
    steep = np.sqrt(sum((np.gradient(lab, axis=axis) ** 2).sum(-1) for axis in (0, 1)))
    steep = cv2.dilate(steep.astype(np.float32), _BESIDE)  # a gap of a pixel in an edge is no way through
    plain = steep < _EDGE * np.median(steep[cut])
    count, zone = cv2.connectedComponents(plain.astype(np.uint8), connectivity=4)
    is_divided = np.zeros(count, bool)
    is_divided[np.intersect1d(zone[kept & plain], zone[~kept & plain])] = True
    kept_seeds, dropped_seeds = (np.bincount(zone[plain & (seeds == side)], minlength=count) for side in (KEEP, DROP))
    is_ground = is_divided & (dropped_seeds > 0) & (kept_seeds <= _STRAY * (seeds == KEEP).sum())
    is_object = is_divided & (kept_seeds > 0) & (dropped_seeds <= _STRAY * (seeds == DROP).sum()) & ~is_ground
    settled = np.where(is_ground[zone], DROP, np.where(is_object[zone], KEEP, seeds)).astype(np.uint8)
    if (settled == seeds).all():
        return share
    return walked(lab, settled, np.where(settled > 0, settled == KEEP, prior), PULL, share)


def _without_strange_holes(share, lab, seeds, rng):
    """Shares with holes kept that look like nothing around the object: an eye, a window, a label, of a colour that the
    picture has elsewhere."""
    kept = share >= 0.5
    _, part = cv2.connectedComponents((~kept).astype(np.uint8), connectivity=4)
    ground = np.unique(part[seeds == DROP])
    is_hole = ~kept & ~np.isin(part, ground)
    away = cv2.distanceTransform((~kept | is_hole).astype(np.uint8), cv2.DIST_L2, 5)
    around = np.flatnonzero((~kept & ~is_hole & (away > _CLEAR_PX) & (away < _AROUND * max(share.shape))).ravel())
    at = np.flatnonzero(is_hole.ravel())
    if not len(at) or not len(around):
        return share
    every = features(lab, _NEAR_HOLE)
    side = Side.of(every, around, rng)
    strange = side.away(every[at]) > max(_STRANGE * side.spread(every, around, rng, 0.9), _NEW_LAB)
    holes = np.bincount(part.ravel()[at], minlength=part.max() + 1)
    odd = np.bincount(part.ravel()[at], strange, minlength=part.max() + 1)
    return np.where(is_hole & (odd > 0.5 * holes)[part], 1.0, share)


def _hanging_together(share, kept):
    """Shares without what hangs together with no keep stroke: elsewhere in the picture the same colours may be
    something else."""
    _, part = cv2.connectedComponents((share >= 0.5).astype(np.uint8), connectivity=8)
    mine = np.unique(part[kept & (share >= 0.5)])
    return np.where((share >= 0.5) & ~np.isin(part, mine), 0.0, share)


def _without_missed(seeds, every, drop, new, reach):
    """Seeds without the sides of a keep stroke that ran beside something thin: background's colours with new ones
    within the stroke's width, px."""
    kept = np.flatnonzero(seeds.ravel() == KEEP)
    away = drop.away(every[kept])
    is_new = away > min(new, _parting(away))
    fresh = np.ones(seeds.size, np.uint8)
    fresh[kept[is_new]] = 0
    beside = cv2.distanceTransform(fresh.reshape(seeds.shape), cv2.DIST_L2, 5).ravel()
    made = seeds.copy()
    made.ravel()[kept[~is_new & (beside[kept] < reach)]] = 0
    return made if (made == KEEP).any() else seeds


def _parting(values):
    """What parts values best into two kinds (Otsu 1979, "A threshold selection method from gray-level histograms")."""
    ordered = np.sort(values)
    below = np.arange(1, len(ordered))
    sums = np.cumsum(ordered)
    low, high = sums[:-1] / below, (sums[-1] - sums[:-1]) / (len(ordered) - below)
    return float(ordered[np.argmax(below * (len(ordered) - below) * (high - low) ** 2)]) if len(below) else np.inf


def _ringed(said, steps):
    """Seeds with what lies beyond a ring of drop strokes dropped, and whether there is one."""
    barrier = (said == DROP).astype(np.uint8)
    height, width = said.shape
    for step in steps:
        points = np.array(step.points) * [width, height]
        length = np.hypot(*np.diff(points, axis=0).T).sum()
        if not step.keep and len(points) > 2 and np.hypot(*(points[0] - points[-1])) < _RING * length:
            ends = np.rint(points[[0, -1]] - 0.5).astype(np.int32).tolist()
            cv2.line(barrier, *ends, 1, max(2, round(step.width * max(said.shape))))
    _, part = cv2.connectedComponents(1 - barrier, connectivity=4)
    mine = np.bincount(part[(said == KEEP) & (barrier == 0)], minlength=part.max() + 1)
    within = (mine > _MINE * max(mine.sum(), 1))[part] & (barrier == 0)
    seeds = said.copy()
    seeds[~within & (said == 0)] = DROP
    return seeds, (seeds == DROP).sum() > 2 * (said == DROP).sum()
