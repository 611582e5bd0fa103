"""An area covered with what lies around it."""

import cv2
import numpy as np
from scipy.sparse import csc_array
from scipy.sparse.linalg import splu

from sketchloom.core.base.raster import filled

_RIM_PX = 3
"""Pixels around a cover that say what it is filled with."""
_MOST_PX = 30_000
"""Pixels that the fill is solved for; larger covers are solved coarser."""


def covered(labels, areas) -> tuple[np.ndarray, np.ndarray]:
    """Labels in which areas show what their surroundings run on into.

    Parameters
    ----------
    labels : (H, W) small integers. areas : list of (N, 2) px polygons.

    Returns
    -------
    labels, inside : the new labels, and the pixels (H, W) bool that were covered.

    Notes
    -----
    Each pixel gets the label on the area's rim that a random walk from it most likely meets first: the boundary
    between two wide areas goes on smoothly through it, a line ends at it. Large areas are worked out on a
    coarser grid.

    References
    ----------
    Grady 2006, "Random walks for image segmentation" (the Dirichlet problem, with all steps alike).
    """
    labels, inside = labels.copy(), np.zeros(labels.shape, bool)
    for polygon in areas:
        hole = filled([polygon], labels.shape)
        if not hole.any() or hole.all():
            continue
        inside |= hole
        ys, xs = np.nonzero(hole)
        box = np.s_[
            max(ys.min() - _RIM_PX, 0) : ys.max() + _RIM_PX + 1, max(xs.min() - _RIM_PX, 0) : xs.max() + _RIM_PX + 1
        ]
        part, mask = labels[box], hole[box]
        step = max(1, int(np.ceil((mask.sum() / _MOST_PX) ** 0.5)))
        coarse, coarse_mask = (
            part[::step, ::step],
            cv2.erode(mask.astype(np.uint8), np.ones((step, step), np.uint8))[::step, ::step] > 0,
        )
        known, chance = _met_first(coarse, coarse_mask)
        if len(known) == 0:
            continue
        full = np.stack([cv2.resize(one, part.shape[::-1], interpolation=cv2.INTER_LINEAR) for one in chance])
        part[mask] = known[full.argmax(0)[mask]]
    return labels, inside


def _met_first(labels, mask):
    """Labels around a masked area, and the chance (K, H, W) float32 that each is met first from each pixel."""
    rim = cv2.dilate(mask.astype(np.uint8), np.array([[0, 1, 0], [1, 1, 1], [0, 1, 0]], np.uint8)).astype(bool) & ~mask
    known = np.unique(labels[rim])
    chance = (
        np.stack([(labels == label).astype(np.float32) for label in known])
        if len(known)
        else np.empty((0, *labels.shape), np.float32)
    )
    if len(known) < 2 or not mask.any():
        return known, chance
    height, width = labels.shape
    number = np.full(labels.shape, -1)
    ys, xs = np.nonzero(mask)
    number[ys, xs] = np.arange(len(ys))
    degree, rows, cols = np.zeros(len(ys)), [], []
    right = np.zeros((len(ys), len(known)))
    for dy, dx in ((0, 1), (1, 0), (0, -1), (-1, 0)):
        y, x = ys + dy, xs + dx
        there = (y >= 0) & (y < height) & (x >= 0) & (x < width)
        degree += there
        y, x = np.clip(y, 0, height - 1), np.clip(x, 0, width - 1)
        inner = there & (number[y, x] >= 0)
        rows.append(np.flatnonzero(inner))
        cols.append(number[y, x][inner])
        outer = there & (number[y, x] < 0)
        right[outer] += chance[:, y[outer], x[outer]].T
    rows, cols = np.concatenate([*rows, np.arange(len(ys))]), np.concatenate([*cols, np.arange(len(ys))])
    values = np.concatenate([-np.ones(len(rows) - len(ys)), degree])
    solved = splu(csc_array((values, (rows, cols)), shape=(len(ys), len(ys)))).solve(right)
    chance[:, ys, xs] = solved.T
    return known, chance
