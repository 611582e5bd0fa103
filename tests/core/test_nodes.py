"""Nodes and handles of boundaries: closed forms of cubics, exact courses on the map, both neighbours, undone."""

from dataclasses import replace

import numpy as np
import pytest
import shapely
from hypothesis import given
from hypothesis import strategies as st

from shapes import cover_of, disc, picture
from sketchloom.core.base.errors import GeometryError, SettingError
from sketchloom.core.curves import node_chain
from sketchloom.core.curves.courses import NODES, CurveEdit, course_points
from sketchloom.core.curves.curveset import evaluate, sampled
from sketchloom.core.curves.node_chain import AFTER, BEFORE, chain_of
from sketchloom.desk.shapes import ShapeDesk
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.recipe.document import Recipe, from_json, to_json

SIDE = 240
HALF = 0.5522847498
"""Length of the handles of a quarter of a circle of radius 1 (4/3 times tan of 22.5 degrees)."""
places = st.floats(-40, 40)


def quarter_ring(radius=50.0, middle=(120.0, 120.0)):
    """The four cubics of a circle."""
    made = []
    for k in range(4):
        c, s = np.round(np.cos(k * np.pi / 2)), np.round(np.sin(k * np.pi / 2))
        turn = np.array([[c, -s], [s, c]])
        made.append(np.array([(1, 0), (1, HALF), (HALF, 1), (0, 1)]) @ turn.T)
    return np.array(made) * radius + middle


def ring():
    return chain_of(quarter_ring(), np.linspace(0, 1, 5), True)


def line_of(chain):
    return np.concatenate([sampled(chain.controls, 0.5), chain.points[-1:]])


def test_a_circle_has_four_smooth_nodes_and_a_square_four_corners():
    assert ring().count == 4 and not ring().corners
    ends = np.array([(0, 0), (10, 0), (10, 10), (0, 10)], float)
    square = np.stack([ends + np.roll(ends - ends, 1, 0), ends * 2 / 3 + np.roll(ends, -1, 0) / 3,
                       ends / 3 + np.roll(ends, -1, 0) * 2 / 3, np.roll(ends, -1, 0)], 1)
    assert chain_of(square, np.linspace(0, 1, 5), True).corners == {0, 1, 2, 3}


@given(st.integers(0, 3), st.floats(0.02, 0.98))
def test_a_node_more_changes_nothing_and_taken_away_again_next_to_nothing(segment, t):
    """De Casteljau: both halves are the cubic itself."""
    more = node_chain.with_node_added(ring(), segment + t)
    assert more.count == 5
    assert shapely.LinearRing(line_of(more)).hausdorff_distance(shapely.LinearRing(line_of(ring()))) < 0.05
    assert more.knots == pytest.approx(sorted(more.knots))
    less = node_chain.without_node(more, segment + 1)
    assert less.count == 4
    assert shapely.LinearRing(line_of(less)).hausdorff_distance(shapely.LinearRing(line_of(ring()))) < 0.1


@given(st.integers(0, 3))
def test_any_node_of_a_ring_can_go_and_the_rest_keep_their_places(number):
    less = node_chain.without_node(ring(), number)
    rest = [ring().node(n) for n in range(4) if n != number]
    found = [less.node(n) for n in range(3)]
    assert all(min(np.hypot(*(a - b)) for b in found) < 1e-9 for a in rest)
    assert np.all(np.diff(less.knots) > 0) and np.allclose(less.points[0], less.points[-1])


@given(st.integers(0, 3), places, places)
def test_a_moved_node_takes_its_handles_along_and_back_again(number, dx, dy):
    moved = node_chain.with_node_at(ring(), number, ring().node(number) + (dx, dy))
    for at in moved.handles(number):
        assert np.allclose(moved.points[at] - moved.node(number), ring().points[at] - ring().node(number))
    assert np.allclose(node_chain.with_node_at(moved, number, ring().node(number)).points, ring().points)


@given(st.integers(0, 3), st.sampled_from([BEFORE, AFTER]), places, places)
def test_at_a_smooth_node_the_other_handle_turns_along_and_at_a_corner_it_stays(number, side, dx, dy):
    at, other = ring().handle(number, side), ring().handle(number, -side)
    to = ring().points[at] + (dx, dy)
    made = node_chain.with_handle_at(ring(), number, side, to)
    a, b = made.points[at] - made.node(number), made.points[other] - made.node(number)
    if np.hypot(*a) > 1e-3:
        assert abs(a[0] * b[1] - a[1] * b[0]) < 1e-6 * np.hypot(*a) * np.hypot(*b) + 1e-9 and a @ b < 0
    assert np.hypot(*b) == pytest.approx(HALF * 50)
    free = node_chain.with_handle_at(node_chain.made_corner(ring(), number), number, side, to)
    assert np.allclose(free.points[other], ring().points[other])
    again = node_chain.made_smooth(free, number)
    assert number not in again.corners


def test_the_ends_of_an_open_stretch_stay():
    chain = chain_of(quarter_ring()[:2], (0, 0.5, 1), False)
    with pytest.raises(GeometryError):
        node_chain.with_node_at(chain, 0, (0, 0))
    with pytest.raises(GeometryError):
        node_chain.without_node(chain, 2)
    assert node_chain.without_node(chain, 1).count == 2
    assert node_chain.with_handle_at(chain, 0, AFTER, (200, 200)).points[1].tolist() == [200, 200]


# -- on a map ---------------------------------------------------------------------------


def discs():
    """A dark disc on a lighter one, on white, and a bar that touches the lighter one: junctions on its ring."""
    rgb = np.full((SIDE, SIDE, 3), 255.0)
    for cover, colour in ((cover_of(lambda x, y: (abs(x - 120) < 14) & (y < 90), SIDE), (60, 120, 200)),
                          (cover_of(disc(120, 130, 70), SIDE), (240, 190, 60)),
                          (cover_of(disc(120, 140, 25), SIDE), (30, 53, 87))):
        rgb = rgb * (1 - cover[..., None]) + np.array(colour) * cover[..., None]
    return picture(np.rint(rgb).astype(np.uint8))


RECIPE = Recipe(colours=4, size_mm=float(SIDE))


@pytest.fixture(scope="module")
def opened():
    pipeline, source = Pipeline(), discs()
    return pipeline, source, pipeline.evaluate(source, RECIPE)


def nodes_of(work):
    points = work.traced.curves.controls[:, [0, 3]].reshape(-1, 2)
    return np.unique(np.round(points, 6), axis=0)


def lower_stretch(work):
    """The lower side of the light disc."""
    angle = np.linspace(0.3, 2.6, 60)
    return ShapeDesk(work).stretch(np.stack([120 + 70 * np.cos(angle), 130 + 70 * np.sin(angle)], -1), 4.0)


def test_a_stretch_has_the_nodes_of_the_boundary(opened):
    work = opened[2]
    chain = lower_stretch(work).chain
    known = nodes_of(work)
    inner = [chain.node(n) for n in range(1, chain.count - 1)]
    assert inner and all(np.hypot(*(known - p).T).min() < 1e-5 for p in inner)
    line = shapely.LineString(line_of(chain))
    assert line.hausdorff_distance(shapely.LineString(lower_stretch(work).points)) < 0.6
    ring = ShapeDesk(work).ring((120 + 70, 130), 4.0)
    assert ring.closed and np.allclose(ring.chain.points[0], ring.points[0], atol=1e-9)


def with_nodes(opened, stretch, chain, work=None):
    pipeline, source, first = opened
    work = first if work is None else work
    edits = ShapeDesk(work).with_nodes(stretch, chain)
    return edits, pipeline.evaluate(source, replace(work.recipe, curves=edits))


def test_a_moved_node_is_where_it_was_put_and_the_rest_of_the_boundary_stays(opened):
    work = opened[2]
    stretch = lower_stretch(work)
    number = stretch.chain.count // 2
    to = stretch.chain.node(number) + (3.0, 12.0)
    chain = node_chain.with_node_at(stretch.chain, number, to)
    edits, done = with_nodes(opened, stretch, chain)
    assert done.traced.curves_found.all() and done.traced.planar.euler_excess() == 0
    known = nodes_of(done)
    for n in range(1, chain.count - 1):
        assert np.hypot(*(known - chain.node(n)).T).min() < 1e-4
    # the sheet runs exactly along it, and away from it as before (a geometry library's distances)
    layer = next(x for x in done.layers if shapely.Polygon(line_of_layer(x)).area > 10000)
    course = shapely.LineString(line_of(chain))
    sheet = shapely.LineString(line_of_layer(layer))
    assert max(sheet.distance(shapely.Point(p)) for p in line_of(chain)) < 0.05
    before = shapely.LineString(line_of_layer(next(x for x in work.layers if x.plan.key == layer.plan.key)))
    far = [p for p in line_of_layer(layer) if course.distance(shapely.Point(p)) > 12]
    assert max(before.distance(shapely.Point(p)) for p in far) < 0.15
    undone = opened[0].evaluate(opened[1], RECIPE)
    assert undone.traced.curves.controls.tobytes() == work.traced.curves.controls.tobytes()
    assert from_json(to_json(done.recipe)).curves == edits


def line_of_layer(layer):
    outline = layer.outline
    one = int(np.argmax(np.abs(outline.area_px)))
    return sampled(outline.controls[outline.starts[one]:outline.starts[one + 1]], 0.5)


def test_going_on_with_the_same_nodes_is_one_edit_and_taking_back_leads_back(opened):
    work = opened[2]
    stretch = lower_stretch(work)
    chain = node_chain.with_node_at(stretch.chain, 1, stretch.chain.node(1) + (2.0, 6.0))
    edits, done = with_nodes(opened, stretch, chain)
    desk = ShapeDesk(done)
    again = desk.stretch(desk.course_of(edits[-1]), 2.0)
    assert np.abs(again.chain.points - chain.points).max() < 0.3
    more = node_chain.with_node_added(again.chain, 1.5)
    edits, then = with_nodes(opened, again, more, done)
    assert len(edits) == 1 and len(edits[0].knots) == len(more.knots)
    assert then.traced.curves_found.all()
    # the opposite gestures lead back: the sheet lies where it lay
    desk = ShapeDesk(then)
    last = desk.stretch(desk.course_of(edits[-1]), 2.0)
    back = node_chain.with_node_at(node_chain.without_node(last.chain, 2), 1, stretch.chain.node(1))
    _, undone = with_nodes(opened, last, back, then)
    # of the light disc's sheet, its lower side
    key = next(x.plan.key for x in work.layers if x.plan.key.startswith("#f0be3c"))
    before, after, moved = (
        shapely.LinearRing(line_of_layer(next(x for x in w.layers if x.plan.key == key))).intersection(
            shapely.box(0, 140, SIDE, SIDE)) for w in (work, undone, then))
    assert after.hausdorff_distance(before) < 0.4 < 4 < moved.hausdorff_distance(before)


def test_a_node_where_another_boundary_ends_takes_it_along(opened):
    work = opened[2]
    ring = ShapeDesk(work).ring((120 + 70, 130), 4.0)
    xy = work.traced.planar.node_xy
    ends = [n for n in range(ring.chain.count) if np.hypot(*(xy - ring.chain.node(n)).T).min() < 1.5
            and ring.chain.node(n)[1] < 80]
    assert ends, "the bar ends on the disc"
    number = ends[0]
    chain = node_chain.with_node_at(ring.chain, number, ring.chain.node(number) + (0.0, -5.0))
    _, done = with_nodes(opened, ring, chain)
    assert done.traced.planar.euler_excess() == 0
    ends_of = done.traced.curves.controls[done.traced.curves.starts[:-1], 0]
    last = done.traced.curves.controls[done.traced.curves.starts[1:] - 1, 3]
    meeting = np.hypot(*(np.concatenate([ends_of, last]) - chain.node(number)).T) < 0.5
    assert meeting.sum() >= 3  # both sides of the ring and the bar's side


@pytest.mark.parametrize("bad", [
    {"path": ((0.1, 0.1), (0.2, 0.2))}, {"knots": (0.0,)}, {"knots": (1.0, 0.0)}, {"corners": (7,)},
    {"corners": (0.5,)},
])
def test_nodes_that_are_none_are_refused(bad):
    good = {"stretch": ((0.1, 0.1), (0.4, 0.4)), "path": ((0.1, 0.1), (0.2, 0.2), (0.3, 0.3), (0.4, 0.4)),
            "what": NODES, "knots": (0.0, 1.0)}
    assert len(course_points(CurveEdit(**good))) == 17
    with pytest.raises(SettingError):
        CurveEdit(**{**good, **bad})


def test_evaluating_a_chain_meets_its_nodes():
    chain = ring()
    assert np.allclose(evaluate(chain.controls, np.zeros(4)), [chain.node(n) for n in range(4)])
