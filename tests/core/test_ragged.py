"""Ragged arrays against slow, plain Python."""

import itertools

import numpy as np
from hypothesis import given
from hypothesis import strategies as st

from sketchloom.core.base import ragged
from sketchloom.core.base.succession import chain_order

lengths = st.lists(st.integers(0, 6), min_size=1, max_size=12)


@given(lengths, st.integers(-5, 5), st.data())
def test_neighbours_wrap_in_loops_and_stop_in_chains(sizes, offset, data):
    closed = np.array(data.draw(st.lists(st.booleans(), min_size=len(sizes), max_size=len(sizes))))
    starts = ragged.lengths_to_starts(sizes)
    found = ragged.Neighbours(starts, closed)(offset)
    expected = []
    for first, size, loop in zip(starts, sizes, closed, strict=False):
        for i in range(size):
            expected.append(first + ((i + offset) % size if loop else min(max(i + offset, 0), size - 1)))
    assert found.tolist() == expected


@given(lengths, st.data())
def test_take_and_reduce(sizes, data):
    starts = ragged.lengths_to_starts(sizes)
    values = np.arange(starts[-1], dtype=float)
    pieces = data.draw(st.lists(st.integers(0, len(sizes) - 1), max_size=8))
    index, out = ragged.take(starts, pieces)
    expected = [list(range(starts[p], starts[p + 1])) for p in pieces]
    assert index.tolist() == [i for part in expected for i in part]
    assert np.diff(out).tolist() == [len(part) for part in expected]
    sums = ragged.reduce_pieces(np.add, values, starts, empty=-1.0)
    assert sums.tolist() == [float(sum(range(a, b))) if b > a else -1.0 for a, b in itertools.pairwise(starts)]


@given(st.permutations(range(14)), st.sets(st.integers(0, 13)))
def test_chains_are_put_in_order(order, cuts):
    """A permutation's cycles, some of them cut open, come back whole and in order."""
    successor = np.array(order)
    for c in cuts:
        successor[c] = -1
    walk, starts, closed = chain_order(successor)
    assert sorted(walk.tolist()) == list(range(14))
    for first, last, loop in zip(starts[:-1], starts[1:], closed, strict=False):
        part = walk[first:last]
        assert all(successor[a] == b for a, b in itertools.pairwise(part))
        assert successor[part[-1]] == (part[0] if loop else -1)
