"""Boundaries of pictures whose renderer counted coverage along a few lines a pixel, or not at all."""

from dataclasses import replace

import numpy as np
import pytest
import shapely

import shapes
from sketchloom.core.curves.curveset import evaluate
from sketchloom.core.picture.picture import Picture
from sketchloom.core.planar.stepped import smoothed
from sketchloom.core.planar.subpixel import BoundaryPoints
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.recipe.document import Recipe


def rendered(inside, size, lines):
    """A picture whose pixels are looked at along so many rows and columns each."""
    at = (np.arange(size * lines) + 0.5) / lines
    cover = inside(at[None], at[:, None]).astype(float).reshape(size, lines, size, lines).mean((1, 3))
    return shapes.picture(np.rint(255 - 225 * np.repeat(cover[..., None], 3, 2)).astype(np.uint8))


def points_of(picture):
    return Pipeline().evaluate(picture, Recipe(reading="colour", smallest_mm=0.0)).traced.lines.xy


@pytest.mark.parametrize("lines", [4, 8, 16])
@pytest.mark.parametrize("slope", [0.004, 0.009, 0.03, -0.017])
@pytest.mark.parametrize("upright", [False, True])
def test_a_leaning_edge_lies_where_it_was_drawn(lines, slope, upright):
    """Its treads are up to an eighth of a pixel off; the points are not, away from its ends."""
    def edge(x, y):
        return (x if upright else y) > 101.3 + slope * (y if upright else x)
    xy = points_of(rendered(edge, 200, lines))
    xy = xy[:, ::-1] if upright else xy
    xy = xy[(xy[:, 0] > 30) & (xy[:, 0] < 170) & (np.abs(xy[:, 1] - 101.3) < 8)]
    away = np.abs(xy[:, 1] - 101.3 - slope * xy[:, 0])
    assert len(xy) > 100 and away.max() < 0.075 and away.mean() < 0.02


@pytest.mark.parametrize("radius", [60.0, 140.0, 320.0])
def test_a_large_circle_is_round_where_it_is_level_and_upright(radius):
    size = 2 * int(radius) + 20
    middle = size / 2 + 0.37
    xy = points_of(rendered(lambda x, y: np.hypot(x - middle, y - middle) < radius, size, 4))
    xy = xy[np.hypot(*(xy - middle).T) < radius + 3]
    away = np.hypot(*(xy - middle).T) - radius
    assert np.abs(away).max() < 0.16 and np.abs(away).mean() < 0.025  # raw: up to 0.125 in whole treads
    level = np.abs(xy[:, 0] - middle) < 0.3 * radius
    assert np.abs(away[level]).mean() < 0.035


def test_the_sides_of_a_round_cornered_plate_stay_level():
    """They are long treads between two that fall away from them, and no extremes of a curve."""
    def plate(x, y):
        dx, dy = np.maximum(np.abs(x - 100.1) - 62, 0), np.maximum(np.abs(y - 100.2) - 48, 0)
        return np.hypot(dx, dy) < 14
    xy = points_of(rendered(plate, 200, 4))
    for at, side in ((38.2, 1), (162.2, 1), (24.1, 0), (176.1, 0)):
        on = (np.abs(xy[:, side] - at) < 1) & (np.abs(xy[:, 1 - side] - 100) < 40)
        assert on.sum() > 60 and np.ptp(xy[on, side]) < 1e-6 and np.abs(xy[on, side] - at).max() <= 0.126


def test_what_is_no_staircase_stays_as_it_is():
    rng = np.random.default_rng(2)
    t = np.arange(80) + 0.5
    cases = [np.stack([t, 40 + 0.03 * rng.standard_normal(80)], -1),  # grain
             np.stack([t, np.full(80, 40.25)], -1),  # level
             np.stack([t, np.where(t < 40, 40.0, 41.0)], -1),  # a step that was drawn
             np.stack([t, 40 + 0.3 * t], -1)]  # steep
    for xy in cases:
        points = BoundaryPoints(xy, np.array([0, len(xy)]), xy, np.zeros(len(xy), bool))
        assert np.array_equal(smoothed(points).xy, xy)


def test_no_point_moves_by_more_than_its_step():
    rng = np.random.default_rng(4)
    for _ in range(30):
        t = np.arange(120) + 0.5
        drawn = 40 + np.cumsum(rng.uniform(-0.05, 0.05) + 0.03 * np.sin(t / rng.uniform(5, 30)))
        xy = np.stack([t, np.floor(drawn * 4) / 4 + 0.125], -1)
        points = BoundaryPoints(xy, np.array([0, len(xy)]), xy, np.zeros(len(xy), bool))
        moved = smoothed(points).xy
        assert np.abs(moved - xy).max() <= 0.17 and np.array_equal(moved[:, 0], xy[:, 0])
        # of treads of two pixels and more it comes no farther from what was drawn
        before, after = np.abs(xy[:, 1] - drawn), np.abs(moved[:, 1] - drawn)
        assert after.mean() <= before.mean() + 1e-9


# -- pixels that are all of one colour or all of the other -----------------------------------------


def round_or_pointed(kind, rng):
    """A ring (N, 2) px and how many segments an author would draw it with."""
    middle, t = rng.uniform(60, 140, 2), np.linspace(0, 2 * np.pi, 2000, endpoint=False)
    if kind == "ellipse":
        a, b, turn = rng.uniform(20, 50), rng.uniform(10, 25), rng.uniform(0, 3)
        across = np.array([[np.cos(turn), -np.sin(turn)], [np.sin(turn), np.cos(turn)]])
        return middle + np.column_stack([a * np.cos(t), b * np.sin(t)]) @ across.T, 4
    if kind == "disc":
        return middle + rng.uniform(12, 50) * np.column_stack([np.cos(t), np.sin(t)]), 4
    count = int(rng.integers(3, 8))
    at = rng.uniform(0, 6) + np.arange(2 * count) * np.pi / count
    far = rng.uniform(25, 50) * np.where(np.arange(2 * count) % 2, 0.5, 1.0)
    return middle + far[:, None] * np.column_stack([np.cos(at), np.sin(at)]), 2 * count


@pytest.mark.parametrize("kind", ["disc", "ellipse", "star"])
def test_a_picture_without_a_pixel_between_two_colours_has_no_stairs(kind):
    """By a geometry library: pixels whose middles the shape holds. Discs had 40 segments before, 0.22 px off."""
    off, ratio = [], []
    for seed in range(200, 206):
        ring, wanted = round_or_pointed(kind, np.random.default_rng(seed))
        y, x = np.mgrid[0:200, 0:200] + 0.5
        inside = shapely.contains_xy(shapely.Polygon(ring), x, y)
        grey = np.where(inside, 30, 255).astype(np.uint8)
        picture = Picture(np.repeat(grey[..., None], 3, 2), None, 100.0, "a.png")
        outline = Pipeline().evaluate(picture, replace(Recipe(), reading="tone")).layers[0].outline
        places = evaluate(np.repeat(outline.controls, 40, 0), np.tile(np.arange(40) / 40, outline.segments))
        off.append(shapely.distance(shapely.points(places), shapely.LinearRing(ring)).mean())
        ratio.append(outline.segments / wanted)
    assert np.median(off) < 0.17 and np.median(ratio) <= 1.6


def test_level_and_upright_lines_of_whole_pixels_stay():
    grey = np.full((120, 160), 255, np.uint8)
    grey[20:100, 30:130] = 20
    grey[40:60, 60:90] = 255
    picture = Picture(np.repeat(grey[..., None], 3, 2), None, 100.0, "a.png")
    outline = Pipeline().evaluate(picture, replace(Recipe(), reading="tone")).layers[0].outline
    corners = {(30, 20), (130, 20), (130, 100), (30, 100), (60, 40), (90, 40), (90, 60), (60, 60)}
    assert {tuple(p) for p in outline.controls[:, 0].round(2).tolist()} == corners and outline.straight.all()
