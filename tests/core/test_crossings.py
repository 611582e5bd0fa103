"""Chords and curves that cross: found as a general geometry library finds them, and mended."""

import itertools
from dataclasses import replace

import numpy as np
import pytest
import shapely
from hypothesis import given, settings
from hypothesis import strategies as st
from hypothesis.extra.numpy import arrays

from amounts import examples
from core.test_planar import traced
from sketchloom.core.base import parallel
from sketchloom.core.curves import curveset, mending
from sketchloom.core.curves.chords import crossing_chords
from sketchloom.core.curves.crossings import crossings
from sketchloom.core.curves.curveset import flatten, line_controls
from sketchloom.core.curves.splicing import Spliced

places = arrays(
    np.float64, st.tuples(st.integers(2, 40), st.just(4)), elements=st.integers(-120, 120).map(lambda v: v / 8)
)


@given(places)
def test_crossing_chords_agree_with_a_general_library(ends):
    """DE-9IM 'crosses' of two lines: interiors meet in a point (Open Geospatial Consortium, simple features)."""
    begin, end = ends[:, :2], ends[:, 2:]
    apart = (begin != end).any(1)
    begin, end = begin[apart], end[apart]
    ours = {tuple(sorted(p)) for p in crossing_chords(begin, end).tolist()}
    chords = [shapely.LineString(pair) for pair in zip(begin, end, strict=False)]
    theirs = {(i, j) for i in range(len(chords)) for j in range(i + 1, len(chords))
              if chords[i].crosses(chords[j]) and chords[i].distance(shapely.points(end[j])) > 0
              and chords[i].distance(shapely.points(begin[j])) > 0 and chords[j].distance(shapely.points(end[i])) > 0
              and chords[j].distance(shapely.points(begin[i])) > 0}
    assert ours == theirs


noisy_images = st.tuples(st.integers(4, 26), st.integers(4, 26), st.integers(2, 4)).flatmap(
    lambda s: arrays(np.uint8, s[:2], elements=st.integers(0, s[2] - 1)))


@settings(max_examples=examples(60))
@given(noisy_images, st.sampled_from([0.1, 0.4]))
def test_no_two_arcs_of_a_random_map_cross(labels, tolerance):
    _, curves = traced(labels, tolerance)
    # finer than the check in the program, and by another library
    xy, starts = flatten(curves.controls, curves.straight, 0.004)
    lines = []
    for k, (a, b) in enumerate(itertools.pairwise(starts)):
        lines.append(shapely.LineString(np.concatenate([xy[a:b], curves.controls[k, 3:]])))
    tree = shapely.STRtree(lines)
    for i, j in tree.query(lines, predicate="crosses").T.tolist():
        if i < j:
            depth = _overlap(lines[i], lines[j])
            assert depth < 0.03, (i, j, depth)


def _overlap(one, two):
    """How far from the nearest of their ends two lines cross, or how far apart they are at most if that is less."""
    met = shapely.get_coordinates(shapely.intersection(one, two))
    ends = np.array([*one.coords[:1], *one.coords[-1:], *two.coords[:1], *two.coords[-1:]])
    away = np.hypot(*np.moveaxis(met[:, None] - ends[None], -1, 0)).min()
    return min(away, shapely.hausdorff_distance(one, two))


def test_lines_that_touch_in_a_point_do_not_cross():
    star = np.array([[0, 0, 9, 1], [0, 0, -4, 7], [0, 0, 3, -8.0]])
    assert len(crossing_chords(star[:, :2], star[:, 2:])) == 0
    assert len(crossing_chords(star[:1, :2], star[:1, 2:])) == 0


def test_a_cubic_that_crosses_itself_is_found():
    loop = np.array([[[0, 0], [30, 20], [-20, 20], [10, 0.0]]])
    assert crossings(loop, np.array([False])).tolist() == [[0, 0]]


def test_two_curves_between_close_points_are_parted():
    """Two arcs half a pixel apart whose fits bulge into each other."""
    x = np.linspace(0, 40, 41)
    upper, lower = np.stack([x, 5 + np.sin(x / 4)], -1), np.stack([x, 5.5 + np.sin(x / 4)], -1)
    points = np.concatenate([upper, lower])
    flat = line_controls(np.array([[0.0, 5.0], [0.0, 5.5]]), np.array([upper[-1], lower[-1]]))
    flat[0, 1:3], flat[1, 1:3] = [[13, 9], [27, 2]], [[13, 3], [27, 8]]
    number = np.array([0, 1])
    spliced = Spliced(
        flat,
        np.zeros(2, bool),
        np.zeros(2),
        number,
        np.array([0, 41]),
        np.array([40, 81]),
        points,
        points,
        np.array([0, 41, 82]),
        number,
        np.full(82, -1),
    )
    assert len(crossings(flat, np.zeros(2, bool))) > 0
    mended = mending.without_crossings(spliced, 0.3)
    assert len(crossings(mended.controls, mended.straight)) == 0
    curves = mended.curves(2)
    for arc, wanted in enumerate((upper, lower)):
        part = slice(curves.starts[arc], curves.starts[arc + 1])
        dense = curveset.evaluate(curves.controls[part][:, None], np.linspace(0, 1, 50)[None]).reshape(-1, 2)
        assert shapely.distance(shapely.LineString(dense), shapely.points(wanted)).max() < 0.3  # the tolerance
        assert (curves.controls[part][1:, 0] == curves.controls[part][:-1, 3]).all()


def test_what_crosses_in_one_spot_is_not_in_pieces_all_along():
    """Two arcs half a pixel apart of which one slips under the other over four pixels."""
    x = np.arange(81.0)
    base = np.concatenate([np.stack([x, y + np.sin(x / 9)], -1) for y in (5.0, 5.5)])
    points = base.copy()
    points[38:43, 1] += 0.8
    number, first, last = np.array([0, 1]), np.array([0, 81]), np.array([80, 161])
    spliced = Spliced(line_controls(points[first], points[last]), np.zeros(2, bool), np.zeros(2), number, first, last,
                      points, base, np.array([0, 81, 162]), number, np.full(162, -1))
    bow = np.array([[0, 0], [0, 3], [0, -3], [0, 0]])
    spliced = replace(spliced, controls=spliced.controls + np.stack([bow, -bow]))
    mended = mending.without_crossings(spliced, 0.3)
    assert len(crossings(mended.controls, mended.straight)) == 0
    assert len(mended.arc) < 12  # 17 where nothing is joined again
    xy, starts = flatten(mended.controls, mended.straight, 0.004)
    line = shapely.LineString(np.concatenate([xy[:starts[np.searchsorted(mended.arc, 1)]], points[[80]]]))
    away = shapely.distance(line, shapely.points(base[:81]))
    assert away[:34].max() < 0.3 and away[47:].max() < 0.3


def test_points_that_cross_go_back_to_their_pixels():
    x = np.arange(12.0)
    base = np.concatenate([np.stack([x, np.full(12, 3.0)], -1), np.stack([x, np.full(12, 4.0)], -1)])
    points = base.copy()
    points[4:8, 1] += 1.6  # the upper points have slipped under the lower ones
    controls = line_controls(points[[0, 12]], points[[11, 23]])
    spliced = Spliced(
        controls,
        np.ones(2, bool),
        np.zeros(2),
        np.array([0, 1]),
        np.array([0, 12]),
        np.array([11, 23]),
        points,
        base,
        np.array([0, 12, 24]),
        np.array([0, 1]),
        np.full(24, -1),
    )
    untangled, felt = mending._untangled(spliced, np.ones(2, bool))
    chords = np.delete(np.arange(23), 11)
    assert len(crossing_chords(points[chords], points[chords + 1])) > 0
    assert len(crossing_chords(untangled.points[chords], untangled.points[chords + 1])) == 0
    assert felt.all()
    assert (untangled.points[[0, 1, 10, 11]] == points[[0, 1, 10, 11]]).all()


@given(st.lists(st.integers(0, 50), max_size=40), st.integers(1, 60))
def test_groups_of_pieces_cover_all_of_them_once(lengths, size):
    starts = np.concatenate([[0], np.cumsum(lengths)]).astype(int)
    cuts = parallel.even_cuts(starts, size)
    assert cuts[0] == 0 and cuts[-1] == len(lengths)
    assert (np.diff(cuts) > 0).all()


def test_threads_do_not_change_the_order_or_hide_an_error():
    assert parallel.in_threads(lambda v: v * v, range(20)) == [v * v for v in range(20)]
    with pytest.raises(ZeroDivisionError):
        parallel.in_threads(lambda v: 1 // v, [1, 0, 2])
