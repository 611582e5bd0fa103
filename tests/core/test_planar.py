"""The planar map: Euler's formula, areas, and that nothing overlaps or gapes."""

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from hypothesis.extra.numpy import arrays
from scipy import ndimage

import shapes
from sketchloom.core.base.errors import GeometryError
from sketchloom.core.curves import curveset, trace_arcs
from sketchloom.core.curves.outline import outline_of
from sketchloom.core.planar import junctions, subpixel
from sketchloom.core.planar.cracks import OUTSIDE, face_image
from sketchloom.core.planar.describe import RegionIndex
from sketchloom.core.planar.planar_map import build_map, shared_lengths

images = st.tuples(st.integers(1, 13), st.integers(1, 13), st.integers(1, 4)).flatmap(
    lambda s: arrays(np.uint8, s[:2], elements=st.integers(0, s[2] - 1)))


def traced(labels, tolerance_px=0.1):
    """Map and curves of a label image whose pixels are the picture too."""
    planar = build_map(labels)
    field = labels.astype(np.float32)[..., None] * 40
    points = subpixel.boundary_points(planar, field, subpixel.FaceLevels(subpixel.face_means(planar, field)))
    lines = junctions.join_polylines(planar, points, junctions.place_nodes(planar, points))
    return planar, trace_arcs.fit_arcs(planar, lines, tolerance_px)


@given(images)
def test_faces_agree_with_a_general_library(labels):
    faces, face_label = face_image(labels)
    count = 0
    for value in np.unique(labels):
        number, n = ndimage.label(labels == value)
        count += n
        for k in range(1, n + 1):
            assert len(np.unique(faces[number == k])) == 1
    assert len(face_label) == count == faces.max() + 1
    assert (face_label[faces] == labels).all()
    first = [np.flatnonzero(faces.ravel() == f)[0] for f in range(count)]
    assert first == sorted(first)


@given(images)
def test_euler_and_areas_on_random_maps(labels):
    """V - E + F = 1 + C (Euler); signed areas along the arcs sum to each face's pixels."""
    planar = build_map(labels)
    assert planar.euler_excess() == 0
    y, x = np.divmod(planar.vertex, planar.width + 1)
    step = np.array([[1, 0], [0, 1], [-1, 0], [0, -1]])[planar.heading]
    share = 0.5 * (x * step[:, 1] - y * step[:, 0])
    arc = np.repeat(np.arange(planar.arc_count), np.diff(planar.arc_starts))
    area = np.bincount(planar.right[arc], share, planar.face_count)
    inner = planar.left[arc] != OUTSIDE
    area -= np.bincount(planar.left[arc][inner], share[inner], planar.face_count)
    assert area.tolist() == planar.face_area_px.tolist()
    # every crack of the picture belongs to one arc: both neighbours share it
    cracks = (labels[1:] != labels[:-1]).sum() + (labels[:, 1:] != labels[:, :-1]).sum() + 2 * sum(labels.shape)
    assert len(planar.vertex) == cracks == shared_lengths(planar).sum() / 2


@given(images)
def test_fitted_areas_fill_the_picture(labels):
    planar, curves = traced(labels)
    area = curveset.face_areas(curves, planar.left, planar.right, planar.face_count)
    assert area.sum() == pytest.approx(labels.size, abs=1e-6)
    assert np.isfinite(curves.controls).all()
    ends = curves.controls[curves.starts[1:] - 1, 3]
    begins = curves.controls[curves.starts[:-1], 0]
    for node in np.unique(planar.start_node):
        meet = np.concatenate([begins[planar.start_node == node], ends[planar.end_node == node]])
        assert (meet == meet[0]).all()  # bit for bit: no gap opens at a junction


@given(images, st.data())
def test_the_outline_of_a_set_is_the_curves_between_in_and_out(labels, data):
    planar, curves = traced(labels)
    inside = np.array(data.draw(st.lists(st.booleans(), min_size=planar.face_count, max_size=planar.face_count)))
    outline = outline_of(planar, curves, inside)
    area = curveset.face_areas(curves, planar.left, planar.right, planar.face_count)
    assert outline.area_px.sum() == pytest.approx(area[inside].sum(), abs=1e-6)
    for first, last in zip(outline.starts[:-1], outline.starts[1:], strict=False):
        ring = outline.controls[first:last]
        assert (ring[1:, 0] == ring[:-1, 3]).all() and (ring[0, 0] == ring[-1, 3]).all()
    # joined pieces as a general library counts them, on the pixels
    pixels = inside[planar.faces]
    pieces = ndimage.label(pixels)[1]
    assert outline.pieces == pieces


@pytest.mark.parametrize("name", shapes.gallery())
def test_awkward_images(name):
    labels = shapes.gallery()[name]
    planar, curves = traced(labels)
    assert planar.euler_excess() == 0
    area = curveset.face_areas(curves, planar.left, planar.right, planar.face_count)
    assert area.sum() == pytest.approx(labels.size, abs=1e-6)
    whole = outline_of(planar, curves, np.ones(planar.face_count, bool))
    assert (whole.pieces, whole.holes) == (1, 0)


def test_regions_are_found_again_by_their_place():
    planar = build_map(shapes.gallery()["nested six deep"])
    index = RegionIndex(planar)
    region = index.at(3.5, 7.5)
    assert (region.label, region.width_px, region.height_px) == (1, 9.0, 9.0)
    assert index.at(-0.1, 3) is None and index.at(15.0, 3) is None


@pytest.mark.parametrize("labels", [np.zeros((0, 4), int), np.zeros(5, int), np.zeros((2, 2, 2), int)])
def test_what_is_no_label_image_is_refused(labels):
    with pytest.raises(GeometryError, match="two-dimensional"):
        build_map(labels)
