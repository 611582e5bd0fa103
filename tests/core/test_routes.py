"""Routes: every cut once, the rules of the trade kept, short against exact answers and lower bounds."""

import itertools

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from amounts import examples
from sketchloom.core.curves.curveset import segment_areas, segment_lengths
from sketchloom.core.curves.outline import Outline
from sketchloom.core.shapes.makers import ellipse
from sketchloom.core.sheets.machine import shipped
from sketchloom.core.sheets.routing import tour
from sketchloom.core.sheets.routing.cuts import around, beginnings, cuts_of
from sketchloom.core.sheets.routing.route import route_of
from sketchloom.core.sheets.routing.run import run_of, seconds_of

BLADE = shipped()[0]


def outline_of(rings):
    controls = np.concatenate(rings)
    starts = np.cumsum([0, *(len(r) for r in rings)])
    area = np.add.reduceat(segment_areas(controls), starts[:-1])
    return Outline(controls, np.zeros(len(controls), bool), starts, area, area < 0)


def circles(places, radius):
    return [ellipse(p, r, r) for p, r in zip(places, np.broadcast_to(radius, len(places)), strict=True)]


@settings(max_examples=examples(40), deadline=None)
@given(st.integers(0, 10_000), st.integers(1, 8))
def test_a_short_way_against_all_ways(seed, count):
    """Every order of up to nine places tried."""
    points = np.random.default_rng(seed).uniform(0, 100, (count + 1, 2))
    order = tour.shortened(points, tour.first_way(points), kicks=40)
    assert sorted(order.tolist()) == list(range(count + 1)) and order[0] == 0
    best = min(tour.length_of(points, np.array([0, *way])) for way in itertools.permutations(range(1, count + 1))) \
        if count <= 6 else 0.0
    assert tour.length_of(points, order) <= best * 1.02 + 1e-9 or count > 6


def test_a_way_through_many_places_lies_near_a_lower_bound():
    """Against the weight of the least spanning tree, which no way through all places is shorter than (Held, Karp 1970
    build on it)."""
    from scipy.sparse.csgraph import minimum_spanning_tree

    points = np.random.default_rng(4).uniform(0, 100, (120, 2))
    far = np.hypot(*(points[:, None] - points[None]).transpose(2, 0, 1))
    bound = minimum_spanning_tree(far).sum()
    got = tour.length_of(points, tour.shortened(points, tour.first_way(points), kicks=20))
    assert bound <= got <= 1.25 * bound


@settings(max_examples=examples(25), deadline=None)
@given(st.integers(0, 10_000))
def test_every_cut_once_and_what_lies_within_is_cut_first(seed):
    rng = np.random.default_rng(seed)
    outer = circles(rng.uniform(0, 300, (6, 2)) // 60 * 70, 28.0)
    outer = list({tuple(r[0, 0]): r for r in outer}.values())
    inner = [ellipse(r.reshape(-1, 2).mean(0) + 12 * np.array([np.cos(k), np.sin(k)]) + rng.uniform(-2, 2, 2), 3.0,
                     3.0)[::-1, ::-1] for r in outer for k in (0, 2, 4)]
    frame = np.array([(-60, -60), (460, -60), (460, 460), (-60, 460), (-60, -60)], float)
    cuts = cuts_of([outline_of([*outer, *inner])], [np.array([(-20, -20), (-10, -5)])], [frame])
    route = route_of(cuts)
    assert sorted(route.order.tolist()) == list(range(cuts.count))
    place = np.argsort(route.order)
    parent, _ = around(cuts)
    for n, p in enumerate(parent.tolist()):
        if p >= 0:
            assert place[n] < place[p]
    assert route.order[-1] == cuts.count - 1  # the frame last
    for n in range(len(outer)):  # the cuts of one piece together
        unit = [place[n], *(place[k] for k in np.flatnonzero(parent == n))]
        assert max(unit) - min(unit) == len(unit) - 1
    assert route.travel_mm <= route.naive_mm + 1e-6


def test_small_pieces_beside_large_ones_come_first():
    rings = [ellipse((50.0, 50.0), 40.0, 40.0), ellipse((95.0, 50.0), 3.0, 3.0), ellipse((0.0, 0.0), 3.0, 3.0)]
    route = route_of(cuts_of([outline_of(rings)]), home=(50.0, 200.0))
    place = np.argsort(route.order)
    assert place[1] < place[0]


def test_beginnings_keep_away_from_corners():
    square = np.array([(0, 0), (40, 0), (40, 40), (0, 40), (0, 0)], float)
    cuts = cuts_of([], (), [square])
    places, _, t = beginnings(cuts)
    corners = square[:4]
    away = np.hypot(*(places[0][:, None] - corners[None]).transpose(2, 0, 1)).min()
    assert away >= 1.5 - 1e-9 and ((t > 0) & (t < 1)).all()


@pytest.mark.parametrize("overcut", [0.0, 0.5])
def test_a_run_cuts_all_of_every_ring_and_the_overcut_beyond(overcut):
    outline = outline_of([ellipse((20.0, 20.0), 9.0, 6.0), ellipse((60.0, 20.0), 5.0, 5.0)])
    cuts = cuts_of([outline])
    run = run_of(cuts, route_of(cuts), overcut)
    whole = segment_lengths(outline.controls, outline.straight).sum()
    assert run.cut_mm == pytest.approx(whole + 2 * overcut, abs=0.01)
    ends = run.controls[run.starts[1:] - 1, 3] - run.controls[run.starts[:-1], 0]
    assert np.hypot(*ends.T) == pytest.approx([overcut] * 2, abs=0.01)
    inner = np.ones(len(run.controls), bool)
    inner[run.starts[:-1]] = False
    assert np.allclose(run.controls[inner, 0], run.controls[np.flatnonzero(inner) - 1, 3], atol=1e-9)


def test_times_add_up():
    cuts = cuts_of([outline_of(circles([(10, 10), (50, 10)], 5.0))])
    route = route_of(cuts)
    run = run_of(cuts, route)
    cut, travel, lift = seconds_of(run, route, BLADE.cutting, BLADE.travelling, 0.5, 2)
    assert lift == 2.0 and travel > 0
    # on a circle v² / r is at most the acceleration (textbook)
    speed = min(BLADE.speed, np.sqrt(BLADE.acceleration * 5.0))
    assert cut == pytest.approx(2 * 2 * (2 * np.pi * 5.0 / speed + speed / BLADE.acceleration), rel=0.1)


@settings(max_examples=examples(25), deadline=None)
@given(st.integers(0, 10_000))
def test_moves_save_what_they_say(seed):
    rng = np.random.default_rng(seed)
    points = rng.uniform(0, 100, (int(rng.integers(4, 30)), 2))
    order = np.concatenate([[0], rng.permutation(np.arange(1, len(points)))])
    gain, moves = tour._moves(points, order, tour._neighbours(points))
    before = tour.length_of(points, order)
    for n in rng.permutation(len(gain))[:20].tolist():
        made = tour._applied(order, gain[n:n + 1], moves[n:n + 1])
        assert sorted(made.tolist()) == sorted(order.tolist()) and made[0] == 0
        assert before - tour.length_of(points, made) == pytest.approx(gain[n], abs=1e-6)
