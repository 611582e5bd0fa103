"""Polygons as masks against a general library, and curves of some arcs from another fit."""

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from skimage.draw import polygon2mask

import shapes
from amounts import examples
from sketchloom.core.curves.curveset import face_areas
from sketchloom.core.curves.selecting import with_other_fit
from sketchloom.core.curves.trace_arcs import fit_arcs
from sketchloom.core.picture.places import pixel_at, polygon_mask
from sketchloom.core.planar import junctions, subpixel
from sketchloom.core.planar.planar_map import build_map
from sketchloom.core.segment.parts import Patch
from sketchloom.core.segment.patching import cut_off_map, faces_within

corner = st.tuples(st.floats(0, 1), st.floats(0, 1))


@given(st.lists(corner, min_size=3, max_size=9))
@settings(max_examples=examples(80), deadline=None)
def test_a_polygon_holds_the_pixels_whose_middle_it_holds(points):
    """scikit-image's polygon2mask at pixel centres; a middle on the very edge may go either way."""
    own = polygon_mask(points, (37, 53))
    # its places are row and column of the centre
    corners = np.array(points)[:, ::-1] * [37, 53] - 0.5
    other = polygon2mask((37, 53), corners)
    rows, columns = np.nonzero(own != other)
    for x, y in zip(columns + 0.5, rows + 0.5, strict=False):
        a = np.array(points) * [53, 37]
        b = np.roll(a, -1, 0)
        along = np.clip((((x, y) - a) * (b - a)).sum(1) / np.maximum(((b - a) ** 2).sum(1), 1e-12), 0, 1)
        gap = np.hypot(*(a + along[:, None] * (b - a) - (x, y)).T).min()
        crossed = (
            sum(
                (y0 > y) != (y1 > y) and x < x0 + (y - y0) / (y1 - y0) * (x1 - x0)
                for (x0, y0), (x1, y1) in zip(a, b, strict=False)
            )
            % 2
        )
        # overlapping polygons: ours is even-odd, as the formula here
        assert gap < 1e-6 or bool(crossed) == bool(own[int(y), int(x)])


def test_areas_of_polygons():
    square = ((0.25, 0.25), (0.75, 0.25), (0.75, 0.75), (0.25, 0.75))
    assert polygon_mask(square, (100, 200)).sum() == 50 * 100
    star = shapes.star_corners(100, 100, 80, 35, 7, 0.3) / 200
    area = shapes.shoelace(star * 200)
    assert polygon_mask(tuple(map(tuple, star)), (200, 200)).sum() == pytest.approx(area, rel=0.005)


def test_places_at_the_far_edge_are_inside():
    picture = shapes.picture(np.zeros((30, 40), np.uint8))
    assert pixel_at(picture, 1.0, 1.0) == (39, 29) and pixel_at(picture, 0.0, 0.0) == (0, 0)


def test_faces_belong_to_where_most_of_them_lies():
    faces = np.repeat(np.arange(4), 10)[None].repeat(8, 0)
    inside = faces_within(faces, ((0.0, 0.0), (0.4, 0.0), (0.4, 1.0), (0.0, 1.0)))
    assert inside.tolist() == [True, True, False, False]


def test_a_cut_off_goes_over_smoothly():
    level = cut_off_map((100, 200), 100, [Patch(((0.5, 0), (1, 0), (1, 1), (0.5, 1)), cut_off=180)])
    assert level[50, 5] == 100 and level[50, 150] == level[50, 199] == level[0, 199] == 180
    assert np.abs(np.diff(level[50])).max() < 10 and (np.diff(level[50]) >= -1e-3).all()


@given(st.integers(0, 2**32 - 1))
@settings(max_examples=examples(12), deadline=None)
def test_faces_stay_closed_when_some_arcs_come_from_another_fit(seed):
    rng = np.random.default_rng(seed)
    labels = rng.integers(0, 3, (14, 14)).repeat(6, 0).repeat(6, 1)
    planar = build_map(labels)
    field = labels.astype(np.float32)[..., None] * 40
    points = subpixel.boundary_points(planar, field, subpixel.FaceLevels(subpixel.face_means(planar, field)))
    lines = junctions.join_polylines(planar, points, junctions.place_nodes(planar, points))
    close, loose = (fit_arcs(planar, lines, tolerance) for tolerance in (0.1, 1.5))
    polygon = np.array([[0, 0], [50, 0], [50, 84], [0, 84]], float)
    both = with_other_fit(close, loose, lines, polygon)
    assert both.starts[0] == 0 and both.starts[-1] == len(both.controls) == len(both.straight) == len(both.miss_px)
    for arc in range(len(both.starts) - 1):
        part = both.controls[both.starts[arc]:both.starts[arc + 1]]
        if not len(part):
            continue
        assert np.array_equal(part[1:, 0], part[:-1, 3])
        mine = close.controls[close.starts[arc]:close.starts[arc + 1]]
        if not planar.closed[arc]:
            assert np.array_equal(part[0, 0], mine[0, 0]) and np.array_equal(part[-1, 3], mine[-1, 3])
    areas = face_areas(both, planar.left, planar.right, planar.face_count)
    assert areas.sum() == pytest.approx(labels.size, rel=1e-9)
