"""The fewest cubics along a run, found by dynamic programming and settled together."""

import itertools

import numpy as np
import pytest
import shapely
from hypothesis import given, settings
from hypothesis import strategies as st

import shapes
from amounts import examples
from sketchloom.core.curves import knot_search
from sketchloom.core.curves.curveset import evaluate
from sketchloom.core.curves.fit import fit_spans
from sketchloom.core.curves.free_cubics import free_cubics, strays
from sketchloom.core.curves.placed import Trail
from sketchloom.core.curves.spans import Spans
from sketchloom.core.curves.tangents import end_tangent
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.recipe.document import Recipe


def span_of(points):
    """One span over all points, corners at both ends."""
    first, last = np.array([0]), np.array([len(points) - 1])
    no = np.zeros(1, bool)
    return Spans(first, last, end_tangent(points, first, last), end_tangent(points, last, first), no, no, no)


def along(controls, step=1.0):
    """Points about so far apart along cubics."""
    fine = np.concatenate([evaluate(c[None], np.linspace(0, 1, 400)).reshape(-1, 2)[int(n > 0):]
                           for n, c in enumerate(controls)])
    way = np.concatenate([[0], np.cumsum(np.hypot(*np.diff(fine, axis=0).T))])
    at = np.linspace(0, way[-1], int(way[-1] / step) + 1)
    return np.stack([np.interp(at, way, fine[:, k]) for k in (0, 1)], -1)


def off(fitted, points):
    """Greatest distance between the curves and the points' line, px (a geometry library's)."""
    line = np.concatenate([evaluate(c[None], np.linspace(0, 1, 200)).reshape(-1, 2) for c in fitted.controls])
    return shapely.LineString(line).hausdorff_distance(shapely.LineString(points))


DRAWN = {
    "even": [((0, 0), (30, 60), (90, 60), (120, 0))],
    "handles of unlike lengths": [((0, 0), (100, 10), (150, 60), (150, 160))],
    "an inflection": [((0, 0), (60, 80), (90, -80), (150, 0))],
    "two that run on": [((0, 0), (30, 50), (80, 60), (110, 40)), ((110, 40), (170, 0), (200, -50), (260, -20))],
}


@pytest.mark.parametrize("name", DRAWN)
def test_what_an_author_drew_comes_back_with_as_many_cubics(name):
    drawn = np.array(DRAWN[name], float)
    points = along(drawn)
    grown, found = (fit_spans(points, span_of(points), 0.1, few=few) for few in (False, True))
    assert len(found.spans) == len(drawn) <= len(grown.spans)
    assert off(found, points) < 0.16


@pytest.mark.parametrize("noise", [0.02, 0.05])
def test_points_that_scatter_do_not_make_more_of_them(noise):
    rng = np.random.default_rng(5)
    drawn = np.array(DRAWN["handles of unlike lengths"], float)
    points = along(drawn)
    points[1:-1] += rng.normal(0, noise, (len(points) - 2, 2))
    found = fit_spans(points, span_of(points), 0.1 + 2 * noise, few=True)
    assert len(found.spans) == 1 and off(found, along(drawn)) < 0.1 + noise


@settings(max_examples=examples(25), deadline=None)
@given(st.lists(st.tuples(st.floats(-40, 40), st.floats(20, 60)), min_size=3, max_size=6), st.sampled_from([0.1, 0.3]))
def test_never_more_than_before_never_far_off_and_one_tangent_at_every_node(steps, tolerance):
    """Any smooth course."""
    x = np.cumsum([0, *(wide for _, wide in steps)])
    y = np.array([0, *(high for high, _ in steps)])
    at = np.arange(0, x[-1], 1.0)
    from scipy.interpolate import CubicSpline

    points = np.stack([at, CubicSpline(x, y)(at)], -1)
    grown, found = (fit_spans(points, span_of(points), tolerance, few=few) for few in (False, True))
    assert len(found.spans) <= len(grown.spans)
    # as misses are counted, few points may be missed by more than the tolerance
    assert off(found, points) <= max(3.5 * tolerance, off(grown, points) + 1e-9)
    assert np.allclose(found.controls[1:, 0], found.controls[:-1, 3], atol=1e-9)
    assert np.allclose(found.controls[[0, -1], [0, 3]], points[[0, -1]])
    out, on = found.controls[:-1, 3] - found.controls[:-1, 2], found.controls[1:, 1] - found.controls[1:, 0]
    turn = np.degrees(np.abs(np.arctan2(out[:, 0] * on[:, 1] - out[:, 1] * on[:, 0], (out * on).sum(1))))
    assert (turn <= 1.2).all()  # half a degree a side where a line was made of a cubic


@settings(max_examples=examples(60), deadline=None)
@given(st.lists(st.lists(st.integers(1, 6), min_size=1, max_size=8), min_size=1, max_size=3))
def test_the_fewest_are_those_of_an_exhaustive_search(strides):
    """Several runs at once; how far a cubic reaches never falls along one."""
    starts = np.concatenate([[0], np.cumsum([len(s) + 1 for s in strides])])
    reach = np.concatenate([
        begin + np.maximum.accumulate(np.minimum(np.arange(len(s) + 1) + [*s, 0], len(s)))
        for begin, s in zip(starts.tolist(), strides, strict=False)])
    knots, run = knot_search.fewest_knots(starts, reach)
    for n, (a, b) in enumerate(itertools.pairwise(starts.tolist())):
        mine = knots[run == n]
        assert mine[0] == a and mine[-1] == b - 1 and (np.diff(mine) > 0).all()
        assert all(reach[i] >= j for i, j in itertools.pairwise(mine.tolist()))
        best = next(k for k in range(b - a) for inner in itertools.combinations(range(a + 1, b - 1), k)
                    if all(reach[i] >= j for i, j in itertools.pairwise((a, *inner, b - 1))))
        assert len(mine) - 2 == best


@pytest.mark.parametrize("seed", range(3))
def test_how_far_a_cubic_reaches_is_what_trying_every_place_finds(seed):
    """Along a smooth course; a few places are let off where a longer cubic fits though a shorter one did not."""
    rng = np.random.default_rng(seed)
    from scipy.interpolate import CubicSpline

    way = np.arange(0, 240, 1.0)
    points = np.stack([way, CubicSpline(np.linspace(0, 240, 9), rng.uniform(-25, 25, 9))(way)], -1)
    at = np.arange(0, 240, 6)
    found = knot_search.reaches(Trail.of(points), at, np.array([0, len(at)]), 0.1)
    true = []
    for i in range(len(at) - 1):
        rest = np.arange(i + 1, len(at))
        _, miss = free_cubics(Trail.of(points), at[np.full(len(rest), i)], at[rest], 0.1)
        bad = np.flatnonzero(miss > 0.1)
        true.append(rest[bad[0] - 1] if len(bad) and bad[0] else rest[0] if len(bad) else rest[-1])
    off_by = np.abs(found[:-1] - true)
    assert off_by.mean() < 0.75 and off_by.max() <= 5


def test_a_cubic_that_runs_in_a_loop_is_none_of_them():
    points = np.stack([np.linspace(0, 60, 61), np.zeros(61)], -1)
    loop = np.array([[(0, 0), (110, 40), (-50, 40), (60, 0)]], float)
    assert strays(loop, np.array([60.0]))[0]
    controls, miss = free_cubics(Trail.of(points), np.array([0]), np.array([60]), 0.1)
    assert not strays(controls, np.array([60.0]))[0] and miss[0] < 1e-6


def test_the_setting_gives_fewer_nodes_of_the_same_picture():
    """Rendered by coverage, a wave and what lies in it."""
    size = 240
    def inside(x, y):
        return y > 120 + 40 * np.sin(x / 28) + 6 * np.sin(x / 9)
    rgb = shapes.colour_of(shapes.cover_of(inside, size), (30, 53, 87), (255, 255, 255))
    picture = shapes.picture(np.rint(rgb).astype(np.uint8))
    plain, few = (Pipeline().evaluate(picture, Recipe(reading="colour", few_nodes=on)) for on in (False, True))
    count = [sum(x.outline.segments for x in work.layers) for work in (plain, few)]
    assert count[1] <= 0.65 * count[0]
    lines = [shapely.LineString(evaluate(w.traced.curves.controls[:, None], np.linspace(0, 1, 40)[None]).reshape(-1, 2))
             for w in (plain, few)]
    assert lines[0].hausdorff_distance(lines[1]) < 0.35
    assert few.traced.planar.euler_excess() == 0
