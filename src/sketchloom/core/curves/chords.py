"""Chords that cross, found among many."""

import numpy as np

from sketchloom.core.base import parallel, ragged

_CELL_PX = 4.0
"""Side of the cells that chords are sorted into: a few chords lie in each."""
_PAIRS_AT_ONCE = 400_000
"""Pairs compared at once, for memory."""


def crossing_chords(begin, end) -> np.ndarray:
    """Pairs of chords that cross, (K, 2); those that share an end point only touch.

    Parameters
    ----------
    begin, end : (N, 2) px. Chords are sorted into the cells of a square grid, and only those of
        one cell are compared.
    """
    if len(begin) < 2:
        return np.empty((0, 2), np.intp)
    from_, to, source = _in_pieces(begin, end)
    chord, starts = _by_cell(from_, to)
    # all pairs within each cell: every entry with those after it
    later = np.repeat(starts[1:], np.diff(starts)) - np.arange(len(chord)) - 1
    total = np.cumsum(later)
    cuts = np.searchsorted(total, np.arange(_PAIRS_AT_ONCE, total[-1], _PAIRS_AT_ONCE)) + 1
    parts = list(zip([0, *cuts.tolist()], [*cuts.tolist(), len(chord)], strict=False))
    low, high = np.minimum(from_, to).T.copy(), np.maximum(from_, to).T.copy()
    follows = np.append((to[:-1, 0] == from_[1:, 0]) & (to[:-1, 1] == from_[1:, 1]), False)
    near = parallel.in_threads(lambda part: _near_pairs(chord, later, part[0], part[1], low, high, follows), parts)
    one, two = source[np.concatenate([n[0] for n in near])], source[np.concatenate([n[1] for n in near])]
    a, b, c, d = begin[one], end[one], begin[two], end[two]
    cross = np.flatnonzero((_side(a, b, c) * _side(a, b, d) < 0) & (_side(c, d, a) * _side(c, d, b) < 0))
    return np.unique(np.sort(np.stack([one[cross], two[cross]], -1), axis=1), axis=0)


def _in_pieces(begin, end):
    """Long chords in pieces that fit a cell, and the chord each is a piece of."""
    way = np.abs(end - begin)
    pieces = np.maximum(np.ceil(np.maximum(way[:, 0], way[:, 1]) / _CELL_PX), 1).astype(np.intp)
    starts = ragged.lengths_to_starts(pieces)
    of = ragged.owner(starts)
    share = (np.arange(starts[-1]) - starts[of]) / pieces[of]
    from_ = begin[of] + share[:, None] * (end - begin)[of]
    to = np.roll(from_, -1, axis=0)
    to[starts[1:] - 1] = end
    return from_, to, of


def _by_cell(begin, end):
    """Chords cell by cell, each in every cell it may pass (at most four), and the cells' offsets."""
    low_x, low_y = (np.floor(np.minimum(begin[:, k], end[:, k]) / _CELL_PX).astype(np.int64) for k in (0, 1))
    high_x, high_y = (np.floor(np.maximum(begin[:, k], end[:, k]) / _CELL_PX).astype(np.int64) for k in (0, 1))
    left, top = low_x.min(), low_y.min()
    across = int(high_x.max() - left) + 2
    wide, high = high_x > low_x, high_y > low_y
    first = (low_y - top) * across + low_x - left
    cells, chords = [], []
    for use, on in (
        (np.arange(len(begin)), 0),
        (np.flatnonzero(wide), 1),
        (np.flatnonzero(high), across),
        (np.flatnonzero(wide & high), across + 1),
    ):
        cells.append(first[use] + on)
        chords.append(use)
    cell, chord = np.concatenate(cells), np.concatenate(chords)
    order = np.argsort(cell, kind="stable")
    cell = cell[order]
    return chord[order], np.append(np.flatnonzero(np.diff(cell, prepend=cell[0] - 1)), len(cell))


def _near_pairs(chord, later, first, stop, low, high, follows):
    """Pairs of pieces whose boxes touch, of entries ``first`` to ``stop`` with those after them.

    Chords that follow each other share an end and cannot cross.
    """
    count = later[first:stop]
    starts = ragged.lengths_to_starts(count)
    one = np.repeat(np.arange(first, stop), count)
    two = chord[one + 1 + np.arange(starts[-1]) - np.repeat(starts[:-1], count)]
    one = chord[one]
    apart = ~((np.abs(one - two) == 1) & follows[np.minimum(one, two)])
    one, two = one[apart], two[apart]
    for axis in (0, 1):
        near = (low[axis][one] <= high[axis][two]) & (low[axis][two] <= high[axis][one])
        one, two = one[near], two[near]
    return one, two


def _side(a, b, p):
    """On which side of the line through a and b each p lies; exactly 0 where p is a or b."""
    return (b[:, 0] - a[:, 0]) * (p[:, 1] - a[:, 1]) - (b[:, 1] - a[:, 1]) * (p[:, 0] - a[:, 0])
