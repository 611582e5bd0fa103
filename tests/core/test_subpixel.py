"""Where boundaries are found before any curve is fitted."""

import numpy as np
import pytest

import shapes
from sketchloom.core.planar import junctions, subpixel
from sketchloom.core.planar.planar_map import build_map
from sketchloom.core.segment import tone


def points_of(grey):
    labels = tone.ink_labels(grey, 127)
    planar = build_map(labels)
    levels = subpixel.LocalLevels(planar.face_label, tone.local_levels(grey, labels), tone.LEVEL_STEP)
    return planar, subpixel.boundary_points(planar, grey[..., None], levels)


@pytest.mark.parametrize("degrees", [0, 3, 11, 22.5, 30, 44, 45, 61, 87, 90])
def test_a_straight_edge_is_found_without_bias_at_any_angle(degrees):
    turn = np.radians(degrees)
    normal = np.array([np.sin(turn), -np.cos(turn)])
    grey = shapes.grey_of(shapes.cover_of(lambda x, y: (x - 32.3) * normal[0] + (y - 31.8) * normal[1] <= 0, 64))
    _, points = points_of(grey)
    inner = points.xy[(points.xy > 6).all(1) & (points.xy < 58).all(1)]
    away = (inner - [32.3, 31.8]) @ normal
    assert len(inner) > 40
    # sixteen samples a pixel's side move an edge by up to 1 / 32 px where it runs along the
    # samples' grid, and by 1 / 45 px where it runs along its diagonal
    assert abs(away.mean()) < (0.032 if degrees in (0, 90) else 0.023 if degrees == 45 else 0.008)
    assert np.abs(away - away.mean()).max() < 0.04


@pytest.mark.parametrize("centre", [(64.0, 64.0), (64.31, 63.77)])
def test_a_circle_before_fitting(centre):
    _, points = points_of(shapes.grey_of(shapes.cover_of(shapes.disc(*centre, 50.0), 128)))
    away = np.hypot(*(points.xy - centre).T) - 50.0
    assert np.sqrt((away**2).mean()) < 0.02
    assert abs(away.mean()) < 0.005


@pytest.mark.parametrize("width", [1.5, 2.0, 2.6])
def test_both_sides_of_a_thin_stroke_are_placed(width):
    grey = shapes.grey_of(shapes.cover_of(lambda x, y: (np.abs(y - 20.37 - 0.11 * x) <= 0.5 * width * 1.006)
                                          & (x > 5) & (x < 59), 64))
    _, points = points_of(grey)
    inner = points.xy[(points.xy[:, 0] > 10) & (points.xy[:, 0] < 54)]
    across = (inner[:, 1] - 20.37 - 0.11 * inner[:, 0]) / 1.006
    upper, lower = across[across < 0], across[across > 0]
    assert lower.mean() - upper.mean() == pytest.approx(width, abs=0.06)
    assert across.mean() == pytest.approx(0.0, abs=0.02)


def test_uneven_light_leaves_the_boundary_where_it_is():
    cover = shapes.cover_of(shapes.disc(64, 64, 40), 128)
    light = np.linspace(1.0, 0.7, 128)[None]
    grey = np.rint((20 + 215 * (1 - cover)) * light).astype(np.uint8)
    _, points = points_of(grey)
    away = np.hypot(*(points.xy - 64).T) - 40
    # the light falls by 30 % within 128 px and levels are kept for blocks of 4 px
    assert np.abs(away).max() < 0.1 and abs(away.mean()) < 0.02


def test_three_colours_meet_in_one_point():
    """A T junction: the place is where the arcs meet, not a pixel corner."""
    first = shapes.cover_of(lambda x, y: y < 20.4 + 0 * x, 48)
    second = shapes.cover_of(lambda x, y: (y >= 20.4) & (x < 25.7), 48)
    pixels = np.rint(255 * first[..., None] * [1, 0, 0] + 255 * second[..., None] * [0, 1, 0]
                     + 255 * (1 - first - second)[..., None] * [0, 0, 1]).astype(np.uint8)
    labels = pixels.argmax(2).astype(np.uint8)
    planar = build_map(labels)
    points = subpixel.boundary_points(planar, pixels, subpixel.FaceLevels(subpixel.face_means(planar, pixels)))
    nodes = junctions.place_nodes(planar, points)
    inner = planar.node_degree == 3
    inside = inner & (planar.node_xy > 0).all(1) & (planar.node_xy < 48).all(1)
    np.testing.assert_allclose(nodes[inside], [[25.7, 20.4]], atol=0.06)
