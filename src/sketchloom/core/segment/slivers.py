"""Parts of regions too narrow to cut: what lies between two tones of a steep edge, and tails that run out."""

import cv2
import numpy as np

from sketchloom.core.base.progress import breathe

_TIP = 1.2
"""A region keeps what lies so near to where the disc fits, in radii of the disc: a right angle's tip lies at 1.41, and
is blunted by a tenth of the width; with more, stubs of slivers stay, which are as narrow as they were."""
_NEAR = 2.0
"""Only what lies so near, in radii of the disc, takes a narrow part in."""
_STRIP, _LENGTHY = 1.5, 1.5
"""A whole region that is nowhere wider than so many discs goes as well, if its area is that of more than so many
squares about such a disc: a strip and no eye."""
_ROUNDS = 3
_CELLS = 4
"""Cells across the disc in a picture that is finer: distances are told well enough in them, and a picture of forty
megapixels has a hundredth as many."""
_LEAST_REACH = 1.5
_BLOCK = np.ones((2, 2), np.uint8)


def without_slivers(labels, count: int, width_px: float, distance) -> np.ndarray:
    """(H, W) uint8 labels without strips and without what is narrower than a disc, but for pinches between wide parts.

    Narrow parts go, pixel by pixel, to that one of the labels beside them whose colour is nearest, so that the middle
    tone of a steep edge is shared by both its sides where its colour is half way.

    Parameters
    ----------
    labels : (H, W) uint8, below ``count``; what is not below is nothing and stays.
    width_px : of the disc; under two pixels it is one of two by two.
    distance : of flat pixel indices (N,), gives (N, count) distances from the labels' colours.
    """
    if width_px <= 1:
        return labels
    step = int(width_px / _CELLS)
    if step <= 1:
        return _without(labels, count, width_px, distance)
    # a fine picture is looked at by cells
    grid = np.s_[step // 2::step, step // 2::step]
    places = np.arange(labels.size).reshape(labels.shape)[grid].ravel()
    before = np.ascontiguousarray(labels[grid])
    after = _without(before, count, width_px / step, lambda at: distance(places[at]))
    return _in_full(labels, count, before, after, step, distance)


def _in_full(labels, count, before, after, step, distance):
    """Labels with the narrow parts gone that are gone from every so many of their pixels."""
    rows, columns = (np.minimum(np.arange(n) // step, m - 1) for n, m in zip(labels.shape, after.shape, strict=True))
    changed = before != after
    narrow = changed[rows][:, columns] & (labels == before[rows][:, columns])
    y, x = np.nonzero(narrow)
    wide = np.ones((2 * _CELLS + 1, 2 * _CELLS + 1), np.uint8)
    far = np.empty((len(y), count), bool)
    for k in range(count):
        breathe()
        far[:, k] = cv2.dilate((after == k).astype(np.uint8), wide)[rows[y], columns[x]] == 0
    breathe()
    labels, _ = _given(labels, np.flatnonzero(narrow), far, distance)
    # rims of what is gone, less than a cell wide, go with it: the most common label about a pixel is its own there
    zone = cv2.dilate(changed.astype(np.uint8), np.ones((3, 3), np.uint8))[rows][:, columns] > 0
    zone &= labels < count
    most, best = np.zeros(int(zone.sum()), np.uint8), labels[zone]
    for k in range(count):
        breathe()
        share = cv2.blur(np.where(labels == k, np.uint8(255), np.uint8(0)), (2 * step + 1, 2 * step + 1))[zone]
        best = np.where(share > most, np.uint8(k), best)
        most = np.maximum(share, most)
    labels[zone] = best
    return labels


def _without(labels, count, width_px, distance):
    reach = (width_px + 1) / 2
    for _ in range(_ROUNDS):
        away = np.empty((count, *labels.shape), np.uint8)
        narrow = np.zeros(labels.shape, bool)
        for k in range(count):
            breathe()
            mask = labels == k
            away[k] = _away_from_wide(mask, reach)
            narrow |= _long(mask & (away[k] > 0), away[k], width_px) | _strips(mask, _STRIP * width_px)
        at = np.flatnonzero(narrow)
        labels, found = _given(labels, at, _NEAR * reach < away.reshape(count, -1)[:, at].T, distance)
        if not found:
            break
    return labels


def _given(labels, at, far, distance):
    """Labels with flat pixels (N,) given to the nearest other label that is not ``far`` (N, count), and whether any
    was."""
    far[np.arange(len(at)), labels.ravel()[at]] = True
    cost = np.where(far, np.inf, distance(at))
    best = cost.argmin(1)
    found = np.isfinite(cost[np.arange(len(at)), best])
    labels = labels.copy()
    labels.ravel()[at[found]] = best[found]
    return labels, bool(found.any())


def _strips(mask, width_px):
    """Regions of a mask that are longer than wide and that a disc fits nowhere into."""
    mask = mask.astype(np.uint8)
    count, piece, stats, _ = cv2.connectedComponentsWithStats(mask, connectivity=4)
    fits = np.zeros(count, bool)
    fits[np.unique(piece[cv2.distanceTransform(mask, cv2.DIST_L2, cv2.DIST_MASK_5) >= (width_px + 1) / 2])] = True
    gone = ~fits & (stats[:, cv2.CC_STAT_AREA] > _LENGTHY * width_px**2)
    gone[0] = False
    return gone[piece]


def _long(narrow, away, width_px):
    """Narrow parts without those that are mere pinches between wide ones: a band hardly wide enough is not cut into
    pieces with slits between them."""
    count, piece, stats, _ = cv2.connectedComponentsWithStats(narrow.astype(np.uint8), connectivity=8)
    ends, end = cv2.connectedComponents((narrow & (away <= 1)).astype(np.uint8), connectivity=8)
    of = np.zeros(ends, np.intp)
    of[end.ravel()] = piece.ravel()  # every pixel of an end lies in one piece
    pinch = (np.bincount(of[1:], minlength=count) >= 2) & (stats[:, cv2.CC_STAT_AREA] < width_px**2)
    gone = ~pinch
    gone[0] = False
    return gone[piece]


def _away_from_wide(mask, reach):
    """(H, W) uint8: how far each pixel is from where a mask is wide enough, 255 at most."""
    mask = mask.astype(np.uint8)
    if reach < _LEAST_REACH:
        # distances do not tell one pixel from two
        blocks = cv2.erode(mask, _BLOCK, anchor=(0, 0), borderType=cv2.BORDER_REPLICATE)
        wide = cv2.dilate(blocks, _BLOCK, anchor=(1, 1)) > 0
    else:
        wide = cv2.distanceTransform(mask, cv2.DIST_L2, cv2.DIST_MASK_5) >= reach
        if wide.any():
            middles = (~wide).astype(np.uint8)
            wide = cv2.distanceTransform(middles, cv2.DIST_L2, cv2.DIST_MASK_5) <= _TIP * reach
    if not wide.any():
        return np.full(mask.shape, 255, np.uint8)
    away = cv2.distanceTransform((~wide).astype(np.uint8), cv2.DIST_L2, cv2.DIST_MASK_5)
    return np.minimum(np.ceil(away), 255).astype(np.uint8)
