"""Verbs over ragged arrays: one flat array plus offsets ``starts`` of length n + 1."""

import numpy as np
from scipy.sparse import csr_array
from scipy.sparse.csgraph import connected_components, depth_first_order


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


def chain_order(successor) -> tuple[np.ndarray, np.ndarray, np.ndarray]:
    """Put the elements of disjoint chains and loops in order.

    Parameters
    ----------
    successor : (n,) intp. The element that follows, -1 at the end of a chain. No element
        follows two others.

    Returns
    -------
    order : (n,) intp. Elements, chain by chain.
    starts : (k + 1,) intp. Offsets of the chains and loops in ``order``.
    closed : (k,) bool. True for loops, which begin at their lowest element.

    Notes
    -----
    One depth-first walk from an added root through all first elements visits chain after
    chain; it runs in compiled code and in linear time.
    """
    n = len(successor)
    successor = np.asarray(successor, np.intp).copy()
    if n == 0:
        return np.empty(0, np.intp), np.zeros(1, np.intp), np.empty(0, bool)
    linked = np.flatnonzero(successor >= 0)
    first = np.ones(n, bool)
    first[successor[linked]] = False
    graph = csr_array((np.ones(len(linked), np.int8), (linked, successor[linked])), shape=(n, n))
    count, component = connected_components(graph, directed=True, connection="weak")
    has_first = np.zeros(count, bool)
    has_first[component[first]] = True
    loop_of = ~has_first
    lowest = np.full(count, n, np.intp)
    np.minimum.at(lowest, component, np.arange(n))
    breaks = lowest[loop_of]
    first[breaks] = True
    cut = np.zeros(n, bool)
    cut[breaks] = True
    successor[linked[cut[successor[linked]]]] = -1

    heads = np.flatnonzero(first)
    indptr = np.zeros(n + 2, np.int64)
    indptr[1:n + 1] = successor >= 0
    indptr[n + 1] = len(heads)
    np.cumsum(indptr, out=indptr)
    indices = np.concatenate([successor[successor >= 0], heads])
    walk_graph = csr_array((np.ones(len(indices), np.int8), indices, indptr), shape=(n + 1, n + 1))
    walk = depth_first_order(walk_graph, n, directed=True, return_predecessors=False)[1:]
    begins = np.flatnonzero(first[walk])
    return walk.astype(np.intp), np.append(begins, n), loop_of[component[walk[begins]]]


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
