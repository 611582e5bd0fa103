"""Shapes and split lines cut into the map, against closed forms, an even slower test of points, and a geometry
library."""

import numpy as np
import pytest
import shapely
from hypothesis import Phase, example, given, settings
from hypothesis import strategies as st

from amounts import examples
from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.raster import filled, links_crossed
from sketchloom.core.curves.chains import ring_controls, ring_points
from sketchloom.core.curves.curveset import face_areas
from sketchloom.core.picture.picture import Picture, frozen_array
from sketchloom.core.shapes import guides, makers, polygons
from sketchloom.core.shapes.drawn import CoveredArea, PlacedShape, SplitLine
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.recipe.document import Recipe

SIZE = np.array([300, 200])
RED, BLUE = "#c83c32", "#1e3557"
CIRCLE_BY_CUBICS = 3e-4
"""A circle of four cubics lies outside by at most 2.73e-4 of its radius (textbook), its area by 2.8e-4."""


def page():
    """Two colours on white: a red bar with a blue block in it."""
    rgb = np.full((200, 300, 3), 255, np.uint8)
    rgb[60:140, 20:280] = (200, 60, 50)
    rgb[90:110, 40:80] = (30, 53, 87)
    return Picture(frozen_array(rgb))


def shape(ring, hex_colour):
    return PlacedShape((ring_points(ring / SIZE),), hex_colour, "shape")


def split(*points):
    return SplitLine(tuple((x / 300, y / 200) for x, y in points))


def evaluated(**settings):
    return Pipeline().evaluate(page(), Recipe(colours=3, **settings))


def areas(work):
    planar = work.traced.planar
    return face_areas(work.traced.curves, planar.left, planar.right, planar.face_count)


def test_pixels_inside_rings_are_those_a_geometry_library_finds():
    ring = makers.star((30.2, 25.7), 20.3, 8.1, 7, 0.3)[:, 0]
    centres = np.stack(np.meshgrid(np.arange(60) + 0.5, np.arange(50) + 0.5), -1)
    truth = shapely.contains_xy(shapely.Polygon(ring), centres[..., 0], centres[..., 1])
    assert (filled([ring], (50, 60)) == truth).all()


def test_winding_number_counts_not_parity():
    one, two = makers.rectangle((20, 20), 20, 20)[:, 0], makers.rectangle((28, 20), 20, 20)[:, 0]
    both = filled([one, two], (40, 60))
    assert both[20, 24] and both.sum() == 28 * 20  # the overlap stays inside


def test_a_line_passes_between_every_pair_of_pixels_on_either_side_of_it():
    one, two = links_crossed(np.array([[3.2, -1.0], [17.8, 31.0]]), (30, 20))
    y, x = np.divmod(np.concatenate([one, two]), 20)
    side = (x + 0.5 - 3.2) * 32.0 - (y + 0.5 + 1.0) * 14.6
    assert (side[:len(one)] < 0).all() and (side[len(one):] > 0).all()  # one lies to the right of a line going down
    assert ((np.abs(np.diff(np.stack(np.divmod(np.stack([one, two]), 20)), axis=1)).sum((0, 1))) == 1).all()


@pytest.mark.parametrize("radius, centre", [(31.0, (200.3, 100.2)), (12.5, (150.0, 99.5)), (5.0, (240.7, 80.1))])
def test_a_circle_laid_on_has_its_area_exactly(radius, centre):
    work = evaluated(shapes=(shape(makers.ellipse(centre, radius, radius), BLUE),))
    face = int(work.traced.planar.faces[int(centre[1]), int(centre[0])])
    assert areas(work)[face] == pytest.approx(np.pi * radius**2, rel=CIRCLE_BY_CUBICS)
    arc = np.flatnonzero((work.traced.planar.left == face) | (work.traced.planar.right == face))
    assert np.diff(work.traced.curves.starts)[arc].sum() == 4  # the four cubics it was drawn with


def test_a_star_keeps_its_corners_bit_for_bit():
    ring = makers.star((200, 100), 30, 12)
    work = evaluated(shapes=(shape(ring, "#ffffff"),))
    face = int(work.traced.planar.faces[100, 200])
    # area of a star polygon: n r R sin(pi / n)
    assert areas(work)[face] == pytest.approx(5 * 30 * 12 * np.sin(np.pi / 5), abs=1e-3)
    corners = work.traced.curves.controls[:, 0]
    assert max(np.hypot(*(corners - p).T).min() for p in ring[:, 0]) < 1e-5


def test_a_shape_in_the_colour_it_touches_joins_it_and_a_cut_opens_all_sheets():
    ear = evaluated(shapes=(shape(makers.ellipse((150, 60), 20, 20), RED),))
    red = next(layer for layer in ear.layers if layer.plan.key == RED)
    before = next(layer for layer in evaluated().layers if layer.plan.key == RED)
    assert red.outline.pieces == before.outline.pieces == 1
    # half of the circle lies outside the bar; the bar's own sides are traced, so a tenth of a pixel along them is
    # allowed
    assert red.area_mm2 - before.area_mm2 == pytest.approx(np.pi * 200 * ear.mm_per_px**2, rel=0.01)
    cut = evaluated(shapes=(shape(makers.ellipse((200, 100), 15, 15), None),))
    assert all(layer.outline.holes >= 1 for layer in cut.layers if layer.plan.key == RED)
    assert cut.ground[cut.traced.planar.faces[100, 200]]


def test_a_split_line_parts_a_shape_without_a_gap():
    whole, work = evaluated(), evaluated(splits=(split((180, 40), (190, 100), (180, 160)),))
    planar = work.traced.planar
    left, right = planar.faces[70, 150], planar.faces[70, 250]
    assert left != right and planar.face_label[left] == planar.face_label[right]
    assert planar.euler_excess() == 0
    one = areas(whole)[whole.traced.planar.faces[70, 150]]
    # a junction is placed to about a hundredth of a pixel, here at the ends of sides of 260 px
    assert areas(work)[left] + areas(work)[right] == pytest.approx(one, abs=0.02 * 260)
    # both are one sheet until one of them gets another colour
    assert sum(layer.outline.pieces for layer in work.layers) == sum(layer.outline.pieces for layer in whole.layers)
    assert work.segmentation.cut_in.splits_done.tolist() == [True]


def test_a_split_line_that_stops_short_is_drawn_on_and_one_inside_parts_nothing():
    assert evaluated(splits=(split((180, 63), (180, 137)),)).segmentation.cut_in.splits_done.all()
    work = evaluated(splits=(split((150, 95), (200, 105)),))
    assert not work.segmentation.cut_in.splits_done.any()
    assert [f.code for f in work.findings if f.code.startswith("clean")] == ["clean.shape_idle"]


@settings(max_examples=examples(25), phases=(Phase.explicit, Phase.generate))  # a trace is too slow to be shrunk
@given(
    st.lists(
        st.tuples(
            st.floats(30, 270),
            st.floats(30, 170),
            st.floats(6, 60),
            st.sampled_from([RED, BLUE, "#ffffff", None, "#44aa66"]),
            st.sampled_from(["circle", "star", "box"]),
        ),
        max_size=4,
    ),
    st.lists(st.tuples(st.floats(5, 295), st.floats(5, 195), st.floats(5, 295), st.floats(5, 195)), max_size=3),
)
@example(  # two shapes and a line meet within a pixel: a run of no length ended beside its node, in the last bit
    [(108.79839801929678, 105.5164397773051, 33.30916324167141, "#1e3557", "circle"),
     (114.62899484082102, 59.88825407637152, 24.447895469762354, "#c83c32", "star"),
     (214.32985465984854, 38.82675400256694, 56.480804835011796, "#ffffff", "star"),
     (129.33758842213703, 48.764542333986896, 26.661620883442897, "#1e3557", "circle")],
    [(199.75458826954144, 187.85955867345535, 275.8346123948758, 85.58512089093647),
     (140.11058512381157, 100.58162001343413, 140.72917077731108, 62.5437306097609),
     (274.8885300674828, 122.54204137449614, 175.04102863401135, 112.28601939069327)])
def test_any_shapes_and_lines_leave_a_valid_map(figures, lines):
    make = {
        "circle": lambda c, r: makers.ellipse(c, r, r),
        "star": lambda c, r: makers.star(c, r, r / 2),
        "box": lambda c, r: makers.rectangle(c, r, 1.5 * r, 3, 0.4),
    }
    shapes = tuple(shape(make[kind]((x, y), r), colour) for x, y, r, colour, kind in figures)
    splits = tuple(split((a, b), (c, d)) for a, b, c, d in lines if np.hypot(c - a, d - b) > 10)
    work = evaluated(shapes=shapes, splits=splits)
    planar = work.traced.planar
    assert planar.euler_excess() == 0
    assert planar.face_area_px.sum() == 60_000
    assert areas(work).sum() == pytest.approx(60_000, abs=0.01)
    assert areas(work) == pytest.approx(planar.face_area_px, rel=0.25, abs=25)
    # all arcs of a node end in one place, bit for bit
    curves, at = work.traced.curves, {}
    for arc in np.flatnonzero(~planar.closed & (np.diff(curves.starts) > 0)).tolist():
        for node, place in (
            (planar.start_node[arc], curves.controls[curves.starts[arc], 0]),
            (planar.end_node[arc], curves.controls[curves.starts[arc + 1] - 1, 3]),
        ):
            assert np.array_equal(at.setdefault(int(node), place), place)


@pytest.mark.parametrize("way", ["union", "difference", "intersection"])
def test_shapes_are_combined_as_a_geometry_library_does(way):
    rng = np.random.default_rng(4)
    for _ in range(6):
        one = polygons.area_of([makers.ellipse(rng.uniform(200, 300, 2), *rng.uniform(50, 150, 2), rng.uniform(0, 3))])
        two = polygons.area_of([makers.star(rng.uniform(200, 300, 2), 150, 70, 6, rng.uniform(0, 1))])
        truth = getattr(one, way)(two)
        made = polygons.outline_of_area(polygons.grown(truth, 0.0))
        assert made.area_px.sum() == pytest.approx(truth.area, rel=1e-3)


def test_a_letter_with_a_counter_is_one_area_with_a_hole():
    ring, hole = makers.ellipse((50, 50), 30, 40), makers.ellipse((50, 50), 12, 20)[::-1, ::-1]
    area = polygons.area_of([ring, hole])
    assert area.area == pytest.approx(np.pi * (1200 - 240), rel=CIRCLE_BY_CUBICS)
    outline = polygons.outline_of_area(area)
    assert (outline.pieces, outline.holes) == (1, 1)


def test_figures_have_the_areas_of_the_textbook():
    def ring_area(ring):
        return polygons.area_of([ring]).area
    assert ring_area(makers.rectangle((0, 0), 40, 30, 5)) == pytest.approx(
        1200 - (4 - np.pi) * 25, rel=CIRCLE_BY_CUBICS
    )
    assert ring_area(makers.regular((0, 0), 10, 6)) == pytest.approx(1.5 * 3**0.5 * 100, rel=1e-9)
    copies = makers.around(makers.ellipse((10, 0), 2, 2), (0, 0), 8)
    assert len(copies) == 8 and np.allclose(copies[2][:, 0].mean(0), (0, 10), atol=1e-9)


def test_rings_come_back_as_they_were_put():
    ring = makers.ellipse((3, 4), 2, 1)
    assert np.allclose(ring_controls(ring_points(ring)), ring, atol=1e-8)


@pytest.mark.parametrize(
    "bad",
    [
        lambda: PlacedShape((), RED, "x"),
        lambda: PlacedShape((((0.0, 0.0),) * 5,), RED, "x"),
        lambda: PlacedShape((((0.0, 0.0),) * 4,), "red", "x"),
        lambda: PlacedShape((((0.0, 9.0),) * 4,), RED, "x"),
        lambda: SplitLine(((0.0, 0.0),)),
        lambda: CoveredArea(((0.0, 0.0), (1.0, 1.0))),
    ],
)
def test_what_is_no_shape_is_refused(bad):
    with pytest.raises(SettingError):
        bad()


def test_curves_at_which_no_arc_ends_meet_nowhere():
    assert guides._gathered(np.empty((0, 2), int)) == ([], [])
    assert guides._gathered(np.array([[1, 0], [1, 3], [4, 2]])) == ([1, 4], [[0, 3], [2]])
