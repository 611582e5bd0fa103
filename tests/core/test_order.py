"""Depth orders against brute force over all orders."""

import itertools

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from sketchloom.core.layers import order


def matrix(values, n):
    m = np.zeros((n + 1, n + 1))
    m[np.triu_indices(n + 1, 1)] = values[: (n + 1) * n // 2]
    return m + m.T


@given(st.integers(1, 6), st.lists(st.integers(0, 50), min_size=21, max_size=21))
def test_the_best_order_is_the_best_of_all(n, values):
    boundary = matrix(np.array(values, float), n)
    found = order.best_order(boundary, np.ones(n))
    best = min(order.stacked_length(boundary, p) for p in itertools.permutations(range(n)))
    assert found.exact and sorted(found.order) == list(range(n))
    assert found.length == pytest.approx(best, abs=1e-6)


def test_three_colours_worked_by_hand():
    """A (base) holds B, and B holds C; only A touches the ground.

    Boundaries: A-ground 40, A-B 20, B-C 10. Base A, then B, then C cuts 40 + 20 + 10 = 70.
    Base C would cut C's sheet 40 (all three), then {A, B}: 40 + 10, then A or B alone more.
    """
    boundary = matrix(np.array([20, 0, 40, 10, 0, 0], float), 3)
    found = order.best_order(boundary, [100, 50, 10])
    assert found.order == (0, 1, 2) and found.length == 70
    assert order.stacked_length(boundary, (2, 1, 0)) == 40 + 50 + 60


def test_of_equal_orders_large_areas_lie_low():
    boundary = matrix(np.array([0, 10, 10], float), 2)
    assert order.best_order(boundary, [5, 50]).order == (1, 0)


def test_beyond_sixteen_the_order_is_good_and_said_not_to_be_proven():
    rng = np.random.default_rng(4)
    n = 18
    boundary = matrix(rng.integers(0, 30, (n + 1) * n // 2).astype(float), n)
    found = order.best_order(boundary, rng.random(n))
    random = [order.stacked_length(boundary, rng.permutation(n)) for _ in range(50)]
    assert not found.exact and found.length < min(random)
