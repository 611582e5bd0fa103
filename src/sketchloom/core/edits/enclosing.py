"""Cells that one outline encloses: a shell drawn by itself, a wing within a heavier line than its veins."""

import cv2
import numpy as np

from sketchloom.core.base.late import late

ndimage = late("scipy.ndimage")

_VIEW_PX = 1200
"""Longest side of what is looked at, larger or smaller than the picture: on a small one the widths of lines would be
whole pixels."""
_SMOOTH = 0.6
"""Steps of the picture's pixels are smoothed by so many of them before widths are taken (common practice, no source).
"""
_HEAVIER = 1.3
"""An outline is heavier than the lines within it by this factor at least: less is a hand's own unevenness (chosen on
wings drawn by rule with outlines of 6 to 9 px and veins of 3 to 6, against lines that are all of 5 px)."""
_MOST = 0.6
"""A part of the drawing has at most this share of its cells; what has more is the drawing (common practice,
no source)."""


def enclosed_with(faces, is_ink, is_cell, face: int) -> np.ndarray:
    """(K,) the cells of the smallest outline around one, the cell among them; it alone where there is no such outline.

    Parameters
    ----------
    faces : (H, W) face image. is_ink, is_cell : (F,) bool. face : number of a cell.

    Notes
    -----
    An outline is a piece of ink that touches no other, or what is left of it where lines thinner than the heavier half
    are rubbed out (an opening by a disc; the two weights parted by Otsu's threshold of the widths on the middle line).
    """
    scale = _VIEW_PX / max(faces.shape)
    size = tuple(max(1, round(side * scale)) for side in faces.shape[::-1])
    view = cv2.resize(np.asarray(faces, np.int32), size, interpolation=cv2.INTER_NEAREST)
    drawn = np.asarray(is_ink)[view].astype(np.float32)
    if scale > 1:
        drawn = cv2.GaussianBlur(drawn, (0, 0), _SMOOTH * scale)
    view, ink = np.pad(view, 1, constant_values=-1), np.pad(drawn > 0.5, 1)
    most = _MOST * np.count_nonzero(is_cell)
    found = []
    for drawn in (ink, *_heavy(ink)):
        for cells in _around(drawn, view, is_cell, face):
            if 1 < len(cells) <= most:
                found.append(cells)
    return min(found, key=len) if found else np.array([face])


def _heavy(ink):
    """The ink without its thinner lines, where it has two weights."""
    deep = cv2.distanceTransform(ink.astype(np.uint8), cv2.DIST_L2, cv2.DIST_MASK_PRECISE)
    width = np.sort(deep[ink & (deep >= ndimage.maximum_filter(deep, 3)) & (deep > 1)]) - 0.5
    if len(width) < 2:
        return
    count = np.arange(1, len(width))
    total = np.cumsum(width)
    low, high = total[:-1] / count, (total[-1] - total[:-1]) / (len(width) - count)
    at = int(np.argmax(count * (len(width) - count) * (high - low) ** 2))
    if high[at] < _HEAVIER * low[at]:
        return
    radius = (width[at] + width[at + 1]) / 2 + 0.5
    core = deep >= radius
    yield ink & (cv2.distanceTransform((~core).astype(np.uint8), cv2.DIST_L2, cv2.DIST_MASK_PRECISE) <= radius)


def _around(ink, view, is_cell, face):
    """Cells within each piece of ink that encloses a face, and within each closed space of it that the face is in."""
    inside = view == face
    if not inside.any():
        return
    cells = np.flatnonzero(is_cell)
    space, _ = ndimage.label(~ink)
    open_to = space[0, 0]
    mine = np.bincount(space[inside])[1:]
    if len(mine) and mine.argmax() + 1 != open_to and mine.max():
        yield _mostly(view, space == mine.argmax() + 1, cells)
    piece, _ = ndimage.label(ink, np.ones((3, 3)))
    boxes = ndimage.find_objects(piece)
    beside = np.unique(piece[ndimage.binary_dilation(inside, iterations=2)])
    for number in beside[beside > 0].tolist():
        rows, columns = boxes[number - 1]
        filled = np.zeros(ink.shape, bool)
        filled[rows, columns] = ndimage.binary_fill_holes(piece[rows, columns] == number)
        if filled[inside].mean() > 0.5:
            yield _mostly(view, filled, cells)


def _mostly(view, area, cells):
    """Cells that lie mostly within an area."""
    top = int(cells.max(initial=0)) + 2
    every = np.bincount(view.ravel() + 1, minlength=top)[1:]
    within = np.bincount(view[area] + 1, minlength=top)[1:]
    return cells[within[cells] > 0.5 * np.maximum(every[cells], 1)]
