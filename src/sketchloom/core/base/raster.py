"""Rows of a picture some at a time; which pixels lie inside rings, and which neighbours a line passes between."""

import numpy as np

from sketchloom.core.base import ragged

_STRIP_PX = 2_000_000
"""Pixels worked on in one go: a photo of 45 megapixels would take gigabytes at once. Half as many are no slower."""


def strips(shape, reach: int = 0):
    """Rows of a picture some at a time: slices of what is made, and of what it is made from, ``reach`` rows beyond it.
    """
    height, width = shape[:2]
    rows = max(_STRIP_PX // max(width, 1), 4 * reach, 1)
    for top in range(0, height, rows):
        end = min(top + rows, height)
        yield slice(top, end), slice(max(top - reach, 0), min(end + reach, height))


def every_nth(mask, step: int) -> np.ndarray:
    """Flat indices of every ``step``-th pixel of a mask, the first one first, taken by strips: those of a whole picture
    of 45 megapixels would take 360 MB."""
    found, left_out = [], 0
    for rows, _ in strips(mask.shape):
        at = np.flatnonzero(mask[rows])
        found.append(at[left_out::step] + rows.start * mask.shape[1])
        left_out = (left_out - len(at)) % step
    return np.concatenate(found)


def counted(numbers, count: int, where=None) -> np.ndarray:
    """(count,) how many pixels of an image of small numbers, (H, W), have each; only those of a mask ``where``.

    Some rows at a time: the count widens what it is given, which for 45 megapixels would take 360 MB at once.
    """
    total = np.zeros(count, np.intp)
    for rows, _ in strips(numbers.shape):
        part = numbers[rows] if where is None else numbers[rows][where[rows]]
        total += np.bincount(part.ravel(), minlength=count)
    return total


def crossings(start, end, rows: int | None = None) -> tuple[np.ndarray, np.ndarray, np.ndarray, np.ndarray]:
    """Where segments cross the rows of pixel centres.

    Parameters
    ----------
    start, end : (N, 2) px. rows : those from 0 to this one alone.

    Returns
    -------
    row, x, down, segment : (K,) row crossed, place of the crossing, 1 where the segment goes down and -1 where
        it goes up, and the segment's number. A segment that touches a row with its lower end only does not count.
    """
    low = np.ceil(np.minimum(start[:, 1], end[:, 1]) - 0.5).astype(np.intp)
    high = np.ceil(np.maximum(start[:, 1], end[:, 1]) - 0.5).astype(np.intp)
    if rows is not None:
        low, high = np.clip(low, 0, rows), np.clip(high, 0, rows)
    starts = ragged.lengths_to_starts(high - low)
    segment = ragged.owner(starts)
    row = low[segment] + np.arange(starts[-1]) - starts[segment]
    rise = (end - start)[segment]
    x = start[segment, 0] + rise[:, 0] * (row + 0.5 - start[segment, 1]) / np.where(rise[:, 1] == 0, 1, rise[:, 1])
    return row, x, np.sign(rise[:, 1]).astype(np.int8), segment


def filled(rings, shape) -> np.ndarray:
    """(H, W) bool: pixels whose centre lies inside rings (by their winding number, not zero).

    Parameters
    ----------
    rings : list of (N, 2) px polygons, each closed by itself.
    """
    height, width = shape
    turn = np.zeros((height, width + 1), np.int16)
    for ring in rings:
        row, x, down, _ = crossings(ring, np.roll(ring, -1, 0))
        inside = (row >= 0) & (row < height)
        at = np.clip(np.ceil(x[inside] - 0.5), 0, width).astype(np.intp)
        np.add.at(turn, (row[inside], at), down[inside])
    return np.cumsum(turn[:, :-1], 1, dtype=np.int16) != 0


def links_crossed(points, shape) -> tuple[np.ndarray, np.ndarray]:
    """Pairs of neighbouring pixels that a polyline passes between.

    Parameters
    ----------
    points : (N, 2) px polyline.

    Returns
    -------
    one, two : (K,) flat numbers of the pixels to the right and to the left of the line, seen along it.
    """
    height, width = shape
    start, end = points[:-1], points[1:]
    row, x, down, _ = crossings(start, end)
    left = np.floor(x - 0.5).astype(np.intp)
    good = (row >= 0) & (row < height) & (left >= 0) & (left + 1 < width)
    west, east = (row * width + left)[good], (row * width + left + 1)[good]
    falls = down[good] > 0  # going down, y down, west is to the right
    one, two = [np.where(falls, west, east)], [np.where(falls, east, west)]
    col, y, along, _ = crossings(start[:, ::-1], end[:, ::-1])
    top = np.floor(y - 0.5).astype(np.intp)
    good = (col >= 0) & (col < width) & (top >= 0) & (top + 1 < height)
    north, south = (top * width + col)[good], ((top + 1) * width + col)[good]
    east_bound = along[good] > 0  # going east, south is to the right
    one.append(np.where(east_bound, south, north))
    two.append(np.where(east_bound, north, south))
    return np.concatenate(one), np.concatenate(two)


def first_pixels(labels, count: int) -> np.ndarray:
    """(count,) number of a pixel of each component of (H, W) labels, the first of its rows."""
    first = np.zeros(count, np.intp)
    flat = labels.ravel()
    changes = np.flatnonzero(np.diff(flat, prepend=-1))
    first[flat[changes][::-1]] = changes[::-1]
    return first
