"""Arcs in place of cubics: closed forms, no kink but at corners, and fewer of them where the curvature is not even."""

import numpy as np
import pytest
import shapely
from hypothesis import given, settings
from hypothesis import strategies as st
from scipy.special import fresnel

from amounts import examples
from sketchloom.core.curves.curveset import evaluate
from sketchloom.core.playback.moves import Moves, chords_of
from sketchloom.core.tooling import arc_search
from sketchloom.core.tooling import arcs as in_arcs
from sketchloom.core.tooling.arc_search import fewest
from sketchloom.core.tooling.arc_spans import Course, biarc_follows
from sketchloom.core.tooling.arcs import arcs_of


def test_a_quarter_circle_is_one_arc_of_its_own_radius():
    """A circle by four cubics (handle 0.5523 r, radial error under 0.03 %: textbook)."""
    k = 0.5522847498
    quarter = np.array([[(1, 0), (1, k), (k, 1), (0, 1)]], float) * 10
    arcs = arcs_of(quarter, [False], [0, 1], 0.005)
    assert len(arcs.sweep) == 1 and arcs.sweep.sum() == pytest.approx(np.pi / 2, abs=1e-9)
    assert np.hypot(*(arcs.begin - arcs.centre).T) == pytest.approx(10.0, abs=0.005)


def _way_of(arcs, at_end):
    """Directions in which arcs begin or end."""
    radius = (arcs.end if at_end else arcs.begin) - arcs.centre
    turned = np.column_stack([-radius[:, 1], radius[:, 0]]) * np.sign(arcs.sweep)[:, None]
    way = np.where(arcs.sweep[:, None] != 0, turned, arcs.end - arcs.begin)
    return np.arctan2(way[:, 1], way[:, 0])


@given(st.lists(st.tuples(st.sampled_from((10, 100, 1000, 10000)), st.floats(-1.2, 1.2), st.floats(0.2, 0.45),
                          st.floats(0.2, 0.45)), min_size=1, max_size=5), st.sampled_from((0.05, 0.005)), st.booleans())
@settings(max_examples=examples(60), deadline=None)
def test_arcs_go_on_where_the_curve_does_and_keep_the_distance(spans, within, line_first):
    """A smooth chain of cubics with corners at its ends, or a line that runs into it: no kink but at the corners."""
    at, way, cubics = np.zeros(2), 0.0, []
    for times, turn, one, two in spans:
        long = times * within
        end = at + long * np.array([np.cos(way + turn / 2), np.sin(way + turn / 2)])
        there = way + turn
        cubics.append([at, at + one * long * np.array([np.cos(way), np.sin(way)]),
                       end - two * long * np.array([np.cos(there), np.sin(there)]), end])
        at, way = end, there
    if line_first:
        line = np.linspace((-30.0, 0.0), (0.0, 0.0), 4)
        cubics.insert(0, line)
    controls, straight = np.array(cubics), np.arange(len(cubics)) < line_first
    arcs = arcs_of(controls, straight, [0, len(cubics)], within)
    assert np.allclose(arcs.begin[1:], arcs.end[:-1], atol=1e-9) and np.allclose(arcs.end[-1], at)
    kink = np.angle(np.exp(1j * (_way_of(arcs, False)[1:] - _way_of(arcs, True)[:-1])))
    assert np.abs(kink).max(initial=0) < 2e-4, "arcs meet in one tangent"
    xy, _ = chords_of(arcs.begin, arcs.end, arcs.centre, arcs.sweep, within / 20)
    curve = shapely.LineString(evaluate(np.repeat(controls, 400, 0), np.tile(np.linspace(0, 1, 400), len(controls))))
    assert shapely.distance(shapely.points(xy), curve).max() <= 1.15 * within
    points, tangents, _, between = in_arcs._sampled(controls[line_first:], np.array([[0, len(spans)]]), within)
    # a few tangents of each place are looked at: once in some thousand chains those were not the best
    assert len(arcs.sweep) - line_first <= 1 + _alone(_course(points, tangents, between, within))


def _course(points, tangents, between, within):
    fine = np.stack([points, between], 1).reshape(-1, 2)
    return Course(points, tangents, np.array([0, len(points)]), fine, np.zeros((1, 2), bool), within)


def _alone(course):
    """Arcs with the curve's own tangents alone, each pair from where the one before ended: what leaning has to beat."""
    at, arcs, last = 0, 0, len(course.points) - 1
    while at < last:
        on = np.arange(at + 1, last + 1)
        first, t = np.full(len(on), at), np.tile(course.tangents[at], (len(on), 1))
        at = on[np.append(0, np.flatnonzero(biarc_follows(course, first, on, t, course.tangents[on])))[-1]]
        arcs += 2
    return arcs


def test_leant_arcs_are_fewer_where_the_curvature_changes_evenly():
    """On a clothoid (curvature k grows with the length: closed form) arcs of length s that lean stray by k' s³ / 125,
    others by k' s³ / 40 (derived): how many there are follows, but for those that the given ends cost."""
    s = np.linspace(0, 3, 4001)
    y, x = fresnel(s)
    xy, angle = 40 * np.column_stack([x, y]), np.pi / 2 * s**2
    tangents = np.column_stack([np.cos(angle), np.sin(angle)])
    course = _course(xy[::2], tangents[::2], np.vstack([xy[1::2], xy[-1:]]), 0.005)
    arcs = len(fewest(course)[0])
    assert arcs < _alone(course) / 1.25
    rate = np.pi / 40**2
    assert arcs <= 40 * 3 * (rate / (125 * 0.005)) ** (1 / 3) + 5


def test_where_no_arc_goes_on_the_curve_is_followed_all_the_same(monkeypatch):
    """However few of the chains are gone on with, a run comes to its end: else a stretch would not be cut."""
    few = arc_search._few
    monkeypatch.setattr(arc_search, "_few", lambda course, spans, states: few(course, spans, states.taken(states.two)))
    monkeypatch.setattr(arc_search, "biarc_follows", lambda course, first, *_: np.zeros(len(first), bool))
    two = np.array([[[0, 0], [10, 0], [10, 8], [20, 8]], [[20, 8], [30, 8], [30, 0], [40, 0]]], float)
    arcs = arcs_of(two, [False, False], [0, 2], 0.005)
    assert np.allclose(arcs.begin[1:], arcs.end[:-1], atol=1e-9)
    assert np.allclose(arcs.begin[0], (0, 0)) and np.allclose(arcs.end[-1], (40, 0))


def test_arcs_do_not_stray_within_the_first_stretch_of_a_long_cubic():
    """A tight turn runs on into a sweep of 24 mm: an arc that begins in the turn ends on the sweep, far apart on it."""
    two = np.array([[[10.6848, 22.5015], [10.6506, 23.0803], [11.1602, 22.9056], [11.276, 22.9311]],
                    [[11.276, 22.9311], [19.196, 24.6731], [26.7751, 26.2216], [34.8406, 27.0864]]])
    arcs = arcs_of(two, [False, False], [0, 2], 0.005)
    xy, _ = chords_of(arcs.begin, arcs.end, arcs.centre, arcs.sweep, 0.0001)
    curve = shapely.LineString(evaluate(np.repeat(two, 500, 0), np.tile(np.linspace(0, 1, 500), 2)))
    assert shapely.distance(shapely.points(xy), curve).max() <= 0.0055


@given(st.lists(st.tuples(st.floats(-6, 6), st.floats(-7, 7), st.floats(0.5, 300)), min_size=1, max_size=4))
@settings(max_examples=examples(100), deadline=None)
def test_the_box_of_arcs_is_that_of_their_places(arcs):
    first, sweep, radius = np.array(arcs).T
    sweep[np.abs(sweep) < 1e-3] = 0
    begin = radius[:, None] * np.column_stack([np.cos(first), np.sin(first)])
    end = radius[:, None] * np.column_stack([np.cos(first + sweep), np.sin(first + sweep)])
    count = len(sweep)
    none, whole = np.zeros(count), np.zeros(count, int)
    moves = Moves(begin, end, np.zeros((count, 2)), sweep, np.ones(count, bool), none, whole, whole, none, whole)
    turn = first[:, None] + sweep[:, None] * np.linspace(0, 1, 2001)
    xy = (radius[:, None, None] * np.stack([np.cos(turn), np.sin(turn)], 2)).reshape(-1, 2)
    assert moves.box == pytest.approx((*xy.min(0), *xy.max(0)), abs=radius.max() * 2e-6)
