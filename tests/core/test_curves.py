"""Corners, straight runs, exact loops and cubics against closed forms and brute force."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from sketchloom.core.base import ragged
from sketchloom.core.base.errors import Cancelled, GeometryError
from sketchloom.core.curves import least_squares, loops, straights, trace_arcs
from sketchloom.core.curves.corners import find_corners
from sketchloom.core.curves.curveset import bounds, evaluate, line_controls, segment_areas, segment_lengths
from sketchloom.core.curves.fit import fit_spans
from sketchloom.core.curves.spans import Spans
from sketchloom.core.planar.junctions import Polylines


def even(points, step=1.0, closed=False):
    """Points about ``step`` apart along a dense polyline."""
    points = np.asarray(points, float)
    if closed:
        points = np.concatenate([points, points[:1]])
    way = np.concatenate([[0], np.cumsum(np.hypot(*np.diff(points, axis=0).T))])
    at = np.linspace(0, way[-1], int(way[-1] / step) + 1)
    if closed:
        at = at[:-1]
    return np.stack([np.interp(at, way, points[:, 0]), np.interp(at, way, points[:, 1])], -1)


def loop_of(points):
    return Polylines(points, np.array([0, len(points)]), np.array([True]))


def open_line(points):
    return Polylines(points, np.array([0, len(points)]), np.array([False]))


def circle(r, n=4000, x=200.3, y=199.7):
    t = 2 * np.pi * np.arange(n) / n
    return np.stack([x + r * np.cos(t), y + r * np.sin(t)], -1)


def rounded_rectangle(w, h, r, n=400):
    quarter = np.linspace(0, np.pi / 2, n)
    def corner(x, y, turn):
        return np.stack([x + r * np.cos(quarter + turn), y + r * np.sin(quarter + turn)], -1)
    return np.concatenate([corner(w - r, h - r, 0), corner(r, h - r, np.pi / 2), corner(r, r, np.pi),
                           corner(w - r, r, 1.5 * np.pi)])


@pytest.mark.parametrize("r", [9.0, 40.0, 180.0, 900.0])
def test_a_circle_has_no_corner_and_no_straight_run(r):
    lines = loop_of(even(circle(r), closed=True))
    assert len(find_corners(lines).index) == 0
    assert len(straights.straight_runs(lines, np.zeros(len(lines.xy), bool), 0.1, 0.01).first) == 0


@pytest.mark.parametrize("scatter", [0.0, 0.03])
def test_the_straight_sides_of_a_rounded_rectangle(scatter):
    rng = np.random.default_rng(2)
    points = even(rounded_rectangle(160, 90, 20), closed=True)
    lines = loop_of(points + rng.normal(0, scatter, points.shape))
    runs = straights.straight_runs(lines, np.zeros(len(points), bool), 0.1 + 6 * scatter, scatter)
    lengths = sorted(np.hypot(*(runs.end - runs.begin).T).round().tolist())
    # grain may hide one of them; it then becomes a line in the fit
    assert len(lengths) == 4 if scatter == 0 else len(lengths) >= 3
    # a quarter of 20 px leaves its tangent by 0.1 px within 2 px: runs may reach so far
    assert all(min(abs(n - 50), abs(n - 120)) <= 8 for n in lengths)
    for begin, end in zip(runs.begin, runs.end, strict=False):
        assert min(abs(end - begin)) < 0.35 + 5 * scatter


def test_corners_of_a_polygon_are_found_in_place():
    corners = np.array([[20, 20], [150, 35], [120, 140], [40, 110]], float)
    lines = loop_of(even(corners, closed=True) + 1e-9)
    found = find_corners(lines)
    gap = np.hypot(*np.moveaxis(found.xy[:, None] - corners[None], -1, 0))
    # the corner at the seam is one of them
    assert len(found.index) == 4 and gap.min(0).max() < 0.2


@given(st.floats(4, 300), st.floats(0.3, 1.0), st.floats(0, 3.1), st.booleans())
def test_ellipses_become_exact(a, ratio, turn, backwards):
    t = np.linspace(0, 2 * np.pi, 3000, endpoint=False)[::-1 if backwards else 1]
    b = max(a * ratio, 3.0)
    c, s = np.cos(turn), np.sin(turn)
    points = np.stack([300 + a * np.cos(t) * c - b * np.sin(t) * s, 310 + a * np.cos(t) * s + b * np.sin(t) * c], -1)
    lines = loop_of(even(points, closed=True))
    exact = loops.exact_loops(lines, np.array([True]), 0.1)
    assert exact.arc.tolist() == [0]
    # Green's theorem: area pi a b, signed by the sense; four cubics are off by 0.03 % of the radius
    area = segment_areas(exact.controls[0]).sum()
    assert area == pytest.approx(np.pi * a * b * (-1 if backwards else 1), rel=2e-3)
    assert (exact.controls[0, :-1, 3] == exact.controls[0, 1:, 0]).all()


def test_a_rounded_square_is_no_circle():
    lines = loop_of(even(rounded_rectangle(60, 60, 24), closed=True))
    assert len(loops.exact_loops(lines, np.array([True]), 0.1).arc) == 0


@given(st.lists(st.tuples(st.floats(-40, 40), st.floats(-40, 40)), min_size=4, max_size=4))
def test_what_is_a_cubic_is_fitted_by_few_and_stays_near(controls):
    """Brute force: the distance of every point to 4000 places on the fitted curves."""
    truth = np.array(controls, float)
    points = evaluate(truth[None], np.linspace(0, 1, 600))
    if np.hypot(*np.diff(points, axis=0).T).sum() < 20 or np.hypot(*(truth[3] - truth[0])) < 8:
        return
    xy = even(points)
    ends = np.stack([xy[1] - xy[0], xy[-2] - xy[-1]])
    ends /= np.hypot(*ends.T)[:, None]
    no = np.zeros(1, bool)
    spans = Spans(np.array([0]), np.array([len(xy) - 1]), ends[:1], ends[1:], no, no, no)
    fitted = fit_spans(xy, spans, 0.1)
    dense = evaluate(fitted.controls[:, None], np.linspace(0, 1, 4000)[None]).reshape(-1, 2)
    away = np.sqrt(((xy[:, None] - dense[None, ::7]) ** 2).sum(-1)).min(1)
    # a lone point may lie three and a half tolerances off, the places are 0.05 px apart, and between
    # fewer than five points, as in a hairpin, a curve may miss by five tolerances
    assert (np.sort(away)[:-4] < 0.4).all() and away.max() < 0.6
    assert (fitted.controls[1:, 0] == fitted.controls[:-1, 3]).all()


def test_lengths_and_boxes_of_cubics():
    handle = loops.HANDLE
    quarter = np.array([[[1, 0], [1, handle], [handle, 1], [0, 1]]])
    # radial error of a quarter circle by one cubic: at most 2.7253e-4 (textbook)
    assert segment_lengths(quarter)[0] == pytest.approx(np.pi / 2, rel=3e-4)
    radius = np.hypot(*evaluate(quarter, np.linspace(0, 1, 500)[:, None])[:, 0].T)
    assert np.abs(radius - 1).max() < 2.73e-4
    line = line_controls(np.array([[0, 0.0]]), np.array([[3, 4.0]]))
    assert segment_lengths(line, np.array([True]))[0] == segment_lengths(line)[0] == pytest.approx(5)
    assert bounds(np.array([[[0, 0], [0, 4], [6, 4], [6, 0]]], float)) == pytest.approx((0, 0, 6, 3))


def test_a_run_of_seven_is_averaged():
    across = np.array([0, 0, 0, 0.7, 0, 0, 0, 0, 0, 0])
    out = least_squares.averaged(across, np.zeros(10), ragged.lengths_to_starts([10]))
    assert out[3] == pytest.approx(0.1) and out.max() == pytest.approx(0.1)


@pytest.mark.parametrize(
    "change, why", [({"tolerance_px": 0}, "above 0"), ({"bad": True}, "finite"), ({"last": 0}, "fewer than two")]
)
def test_what_cannot_be_fitted_is_refused(change, why):
    xy = np.array([[0, 0], [1, 0], [2, 0.0]])
    if change.get("bad"):
        xy[1, 0] = np.nan
    unit, no = np.array([[1.0, 0.0]]), np.zeros(1, bool)
    spans = Spans(np.array([0]), np.array([change.get("last", 2)]), unit, -unit, no, no, no)
    with pytest.raises(GeometryError, match=why):
        fit_spans(xy, spans, change.get("tolerance_px", 0.1))


def test_fitting_can_be_cancelled():
    class Stop:
        def step(self, *_):
            raise Cancelled("enough")

    xy = even(circle(50))
    unit, no = np.array([[0.0, 1.0]]), np.zeros(1, bool)
    spans = Spans(np.array([0]), np.array([len(xy) - 1]), unit, -unit, no, no, no)
    with pytest.raises(Cancelled):
        fit_spans(xy, spans, 0.1, progress=Stop())


def test_noise_widens_the_tolerance_and_clean_points_do_not():
    rng = np.random.default_rng(5)
    clean = loop_of(even(circle(80), closed=True))
    noisy = loop_of(clean.xy + rng.normal(0, 0.05, clean.xy.shape))
    assert trace_arcs.fitting_tolerance(clean, False) == trace_arcs.fitting_tolerance(noisy, False) == 0.1
    assert 0.1 <= trace_arcs.fitting_tolerance(clean, True) < trace_arcs.fitting_tolerance(noisy, True) <= 0.5
