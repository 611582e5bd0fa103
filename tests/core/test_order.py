"""Depth orders against brute force over all orders."""

import itertools
import math

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from sketchloom.core.layers import order, order_bounds, order_costs, order_showing


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


rules = st.lists(st.tuples(st.integers(0, 4), st.integers(0, 4)), max_size=5)


def obeys(candidate, above):
    return all(candidate.index(upper) > candidate.index(lower) for upper, lower in above)


@given(st.lists(st.integers(0, 50), min_size=15, max_size=15), rules)
def test_pinned_colours_stay_where_they_are_told_and_the_rest_is_best(values, above):
    boundary, kept = matrix(np.array(values, float), 5), order.consistent(above, 5)
    allowed = [p for p in itertools.permutations(range(5)) if obeys(p, kept)]
    assert allowed  # what contradicts an earlier rule was left out
    found = order.best_order(boundary, np.ones(5), above=above)
    assert obeys(found.order, kept)
    assert found.length == pytest.approx(min(order.stacked_length(boundary, p) for p in allowed), abs=1e-6)


def test_contradicting_rules_give_way_to_earlier_ones():
    assert order.consistent(((0, 1), (1, 2), (2, 0), (0, 2), (1, 1)), 3) == ((0, 1), (1, 2), (0, 2))


@given(st.integers(1, 5), st.lists(st.integers(0, 20), min_size=15, max_size=15), st.integers(1, 6))
def test_the_few_best_orders_are_those_of_all(n, values, most):
    boundary = matrix(np.array(values, float), n)
    cost = order_costs.subset_costs(boundary, np.ones(n), order_costs.Weights(film=0.0))
    found = order_bounds.few_best(cost, n, most)
    every = sorted({round(order.stacked_length(boundary, p), 3) for p in itertools.permutations(range(n))})
    assert [round(c, 3) for _, c in found] == pytest.approx(every[:most], abs=0.01)
    for one, total in found:
        assert order.stacked_length(boundary, one) == pytest.approx(total, abs=0.01)


@given(
    st.integers(1, 6),
    st.lists(st.integers(0, 50), min_size=21, max_size=21),
    st.lists(st.integers(1, 50), min_size=6, max_size=6),
)
def test_no_order_is_below_the_bound(n, values, areas):
    boundary, area = matrix(np.array(values, float), n), np.array(areas[:n], float)
    least = order_bounds.least_cost(boundary, area, 1.0, 0.5)
    for p in itertools.permutations(range(n)):
        film = sum((place + 1) * area[c] for place, c in enumerate(p))
        assert order.stacked_length(boundary, p) + 0.5 * film >= least - 1e-9


def test_beyond_sixteen_the_gap_to_the_bound_is_said_and_rules_hold():
    rng = np.random.default_rng(7)
    n = 20
    boundary = matrix(rng.integers(0, 30, (n + 1) * n // 2).astype(float), n)
    found = order.best_order(boundary, rng.random(n), above=((3, 9), (9, 0)))
    assert not found.exact and 0 < found.gap < 2 and obeys(found.order, ((3, 9), (9, 0)))
    assert math.isclose(found.length, order.stacked_length(boundary, found.order))


@given(
    st.integers(1, 5),
    st.lists(st.integers(0, 50), min_size=15, max_size=15),
    st.lists(st.integers(1, 200), min_size=5, max_size=5),
    st.lists(st.integers(0, 100), min_size=18, max_size=18),
    st.tuples(st.floats(0, 2), st.floats(0, 2)),
)
def test_mislaying_and_sheets_laid_for_little_are_weighed_exactly(n, values, areas, colours, weights):
    boundary, area = matrix(np.array(values, float), n), np.array(areas[:n], float)
    lab = np.array(colours[: 3 * (n + 1)], float).reshape(-1, 3)
    shown = order_showing.slivers(boundary, lab)
    def cost(p):
        return order.stacked_length(boundary, p) + order_showing.cost_of_order(p, shown, area, *weights)
    found = order.best_order(boundary, area, order_costs.Weights(1.0, 0.0, 0.0, *weights), lab=lab)
    every = {p: cost(p) for p in itertools.permutations(range(n))}
    assert cost(found.order) == pytest.approx(min(every.values()), abs=1e-3)
    lowest = order_costs.lowest_costs(shown, area, *weights)
    cost_of = order_costs.subset_costs(boundary, area, order_costs.Weights())
    best = order_bounds.few_best(cost_of, n, 1, lowest_cost=lowest)
    assert best[0][1] == pytest.approx(min(every.values()), abs=1e-2)


def test_a_minor_colour_is_no_base_whose_edge_shows_all_around():
    """Dark, light and purple; purple touches the ground a little, and cutting alone does not mind it lowest."""
    #                    dark light purple ground
    boundary = np.array([[0, 60, 6, 100], [60, 0, 6, 0], [6, 6, 0, 6], [100, 0, 6, 0]], float)
    area, lab = [600.0, 300.0, 4.0], np.array([[10, 0, 0], [90, 0, 0], [40, 50, -50], [100, 0, 0]], float)
    lowest = order.best_order(boundary, area, order_costs.Weights(1.0, 0.0, 0.0, 0.5, 1.0), lab=lab).order[0]
    assert lowest == 0
    shown = order_showing.slivers(boundary, lab)
    assert order_showing.cost_of_order((2, 0, 1), shown, area, 1.0, 0.0) >= 100  # purple along all of the outer edge
    assert order_showing.cost_of_order((0, 1, 2), shown, area, 1.0, 0.0) < 20
    assert order_showing.cost_of_order((2, 0, 1), shown, area, 0.0, 1.0) == 900  # of its sheet of 904 but 4 is seen
    assert order_showing.cost_of_order((0, 1, 2), shown, area, 0.0, 1.0) == 0


def test_a_sliver_of_a_neighbours_own_colour_does_not_show():
    boundary = np.array([[0, 0, 5, 0], [0, 0, 0, 0], [5, 0, 0, 0], [0, 0, 0, 0]], float)
    lab = np.array([[10, 0, 0], [10, 0, 0], [90, 0, 0], [100, 0, 0]], float)
    assert order_showing.slivers(boundary, lab).max() == 0.0
