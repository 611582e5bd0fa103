"""Verbs over ragged arrays: one flat array plus offsets ``starts`` of length n + 1."""

import numpy as np


def lengths_to_starts(lengths) -> np.ndarray:
    """Offsets of pieces with the given lengths."""
    starts = np.zeros(len(lengths) + 1, np.intp)
    np.cumsum(lengths, out=starts[1:])
    return starts


def owner(starts) -> np.ndarray:
    """For every element, the number of the piece it belongs to."""
    return np.repeat(np.arange(len(starts) - 1), np.diff(starts))


def take(starts, pieces) -> tuple[np.ndarray, np.ndarray]:
    """Element indices of the pieces named, end to end, and their new offsets."""
    pieces = np.asarray(pieces, np.intp)
    lengths = starts[pieces + 1] - starts[pieces]
    out = lengths_to_starts(lengths)
    return np.arange(out[-1]) + np.repeat(starts[pieces] - out[:-1], lengths), out


def reduce_pieces(ufunc, values, starts, empty=0.0):
    """``ufunc.reduce`` of every piece; pieces without elements give ``empty``."""
    lengths = np.diff(starts)
    out = np.full((len(lengths), *values.shape[1:]), empty, values.dtype)
    full = np.flatnonzero(lengths)
    if len(full):
        out[full] = ufunc.reduceat(values, starts[:-1][full], axis=0)
    return out


class Neighbours:
    """Finds the element so many places on within its piece.

    Closed pieces wrap around; open ones stop at their ends.
    """

    def __init__(self, starts, closed):
        lengths = np.diff(starts)
        self._first = np.repeat(starts[:-1], lengths)
        self._local = np.arange(starts[-1]) - self._first
        self._length = np.repeat(lengths, lengths)
        self._closed = np.repeat(np.asarray(closed, bool), lengths)

    def __call__(self, offset: int) -> np.ndarray:
        """(n,) index of the element ``offset`` places on from each."""
        at = self._local + offset
        if offset == 0:
            return at + self._first
        over = at >= self._length if offset > 0 else at < 0
        # only few elements lie near an end
        near = np.flatnonzero(over)
        last = self._length[near]
        at[near] = np.where(self._closed[near], np.mod(at[near], last), 0 if offset < 0 else last - 1)
        return at + self._first
