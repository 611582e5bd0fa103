"""Thinning of ink to lines one pixel wide."""

import cv2
import numpy as np

from sketchloom.core.base.progress import breathe

_CODE = np.array([[1, 2, 4], [128, 0, 8], [64, 32, 16]], np.float32)
"""Neighbours as bits, clockwise from the upper left."""


def _tables():
    bits = (np.arange(256)[:, None] >> np.arange(8)) & 1
    # clockwise from above: the order of the paper
    p = bits[:, [1, 2, 3, 4, 5, 6, 7, 0]]
    count = p.sum(1)
    turns = ((p == 0) & (np.roll(p, -1, 1) == 1)).sum(1)
    simple = (count >= 2) & (count <= 6) & (turns == 1)
    up, right, down, left = p[:, 0], p[:, 2], p[:, 4], p[:, 6]
    first = simple & (up * right * down == 0) & (right * down * left == 0)
    second = simple & (up * right * left == 0) & (up * down * left == 0)
    return first, second


_FIRST, _SECOND = _tables()


def thinned(ink) -> np.ndarray:
    """(H, W) bool: ink worn away from both sides until lines are left; pieces stay whole.

    Parameters
    ----------
    ink : (H, W) bool.

    Notes
    -----
    The method wears squares of two pixels away altogether; of such a piece its innermost pixel is left.
    A pixel is looked at anew only when one beside it has gone: what each half step says of it depends on nothing else.

    References
    ----------
    Zhang, Suen 1984, "A fast parallel algorithm for thinning digital patterns".
    """
    line = np.pad(np.asarray(ink, bool), 1).astype(np.uint8)
    _wear_away(line)
    breathe()
    thin = line[1:-1, 1:-1] > 0
    count, piece = cv2.connectedComponents(np.asarray(ink, np.uint8), connectivity=8)
    gone = np.bincount(piece[thin], minlength=count) == 0
    gone[0] = False
    at = np.flatnonzero(gone[piece])
    if len(at):
        half = cv2.distanceTransform(np.pad(ink, 1).astype(np.uint8), cv2.DIST_L2, 3)[1:-1, 1:-1].ravel()[at]
        at = at[np.argsort(-half, kind="stable")]
        _, first = np.unique(piece.ravel()[at], return_index=True)
        thin.ravel()[at[first]] = True
    return thin


def _wear_away(line):
    """Half step after half step, in place, until none takes a pixel away."""
    flat, across = line.ravel(), line.shape[1]
    around = np.array([-across - 1, -across, 1 - across, 1, across + 1, across, across - 1, -1])
    seen_at = np.empty(line.size, np.int32)

    def once(places):
        seen_at[places] = np.arange(len(places), dtype=np.int32)
        return places[seen_at[places] == np.arange(len(places), dtype=np.int32)]
    border = np.flatnonzero((line > 0) & (neighbour_code(line) < 255))
    waiting = [border, border]
    while len(waiting[0]) or len(waiting[1]):
        for turn, table in enumerate((_FIRST, _SECOND)):
            breathe()
            at = waiting[turn][flat[waiting[turn]] > 0]
            code = np.zeros(len(at), np.uint8)
            for bit, step in enumerate(around):
                code |= flat[at + step] << bit
            gone = at[table[code]]
            flat[gone] = 0
            beside = (gone[:, None] + around).ravel()
            waiting[turn] = beside = once(beside[flat[beside] > 0])
            waiting[1 - turn] = once(np.concatenate([waiting[1 - turn], beside]))


def neighbour_code(line) -> np.ndarray:
    """(H, W) uint8: which of the eight neighbours are set, as bits clockwise from the upper left."""
    return cv2.filter2D(line.astype(np.float32), cv2.CV_32F, _CODE, borderType=cv2.BORDER_CONSTANT).astype(np.uint8)
