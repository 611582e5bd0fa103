"""Shapes known in closed form, drawn antialiased, traced, and measured on the written curves.

Areas by the textbook formulas; perimeters by them or by quadrature. A whole trace is run
through the pipeline, so palette, labels, map, points, corners and fit all take part.
"""

import numpy as np
import pytest
import shapely
from scipy.special import ellipe

import shapes
from sketchloom.core.curves.curveset import evaluate
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.recipe.document import Recipe

INK, PAPER = (30, 53, 87), (250, 248, 240)


def traced(inside, size=160, reading="colour"):
    cover = shapes.cover_of(inside, size)
    picture = shapes.picture(shapes.colour_of(cover, INK, PAPER))
    recipe = Recipe(reading=reading, size_mm=float(size), smallest_mm=1.0)  # 1 mm is 1 px
    work = Pipeline().evaluate(picture, recipe)
    assert len(work.layers) == 1
    return work.layers[0]


def dense(layer, n=40):
    return evaluate(layer.outline.controls[:, None], np.linspace(0, 1, n)[None]).reshape(-1, 2)


@pytest.mark.parametrize("reading", ["colour", "tone"])
@pytest.mark.parametrize("x, y, r", [(80, 80, 60), (79.6, 80.3, 33.3), (80.5, 80.2, 9)])
def test_circle(x, y, r, reading):
    layer = traced(shapes.disc(x, y, r), reading=reading)
    assert layer.area_mm2 == pytest.approx(np.pi * r * r, rel=2e-3 if r > 10 else 6e-3)
    assert layer.cut_length_mm == pytest.approx(2 * np.pi * r, rel=2e-3)
    assert np.abs(np.hypot(*(dense(layer) - (x, y)).T) - r).max() < 0.05
    assert layer.outline.segments <= 8
    assert (layer.outline.pieces, layer.outline.holes) == (1, 0)


@pytest.mark.parametrize("turn", [0.0, 0.4, 1.1])
def test_ellipse(turn):
    a, b = 62.0, 30.0
    layer = traced(shapes.ellipse(80.2, 79.7, a, b, turn))
    assert layer.area_mm2 == pytest.approx(np.pi * a * b, rel=2e-3)
    # perimeter 4 a E(e^2), the complete elliptic integral of the second kind
    assert layer.cut_length_mm == pytest.approx(4 * a * ellipe(1 - (b / a) ** 2), rel=2e-3)
    assert layer.outline.segments <= 12


@pytest.mark.parametrize("turn", np.radians(np.arange(0, 72, 2)))
def test_star_keeps_its_corners_and_straight_sides(turn):
    corners = shapes.star_corners(80.3, 79.8, 66, 30, 5, turn)
    layer = traced(shapes.polygon(corners))
    assert layer.area_mm2 == pytest.approx(shapes.shoelace(corners), rel=2e-3)
    assert layer.cut_length_mm == pytest.approx(shapes.perimeter(corners), rel=4e-3)
    assert layer.outline.segments == 10 and layer.outline.straight.all()
    nodes = layer.outline.controls[:, 0]
    gap = np.hypot(*np.moveaxis(nodes[:, None] - corners[None], -1, 0))
    assert gap.min(0).max() < 0.35


def test_ring_has_one_hole_and_a_width():
    outer, inner = shapes.disc(80, 80, 60), shapes.disc(80, 80, 52)
    layer = traced(lambda x, y: outer(x, y) & ~inner(x, y))
    assert (layer.outline.pieces, layer.outline.holes) == (1, 1)
    assert layer.area_mm2 == pytest.approx(np.pi * (60**2 - 52**2), rel=5e-3)
    assert layer.min_feature_mm == pytest.approx(8.0, abs=0.15) or layer.min_feature_mm is None


def test_rotated_rectangle_is_four_lines():
    turn = 0.3
    c, s = np.cos(turn), np.sin(turn)
    corners = np.array([[-50, -24], [50, -24], [50, 24], [-50, 24]]) @ [[c, s], [-s, c]] + [80, 80]
    layer = traced(shapes.polygon(corners))
    assert layer.outline.segments == 4 and layer.outline.straight.all()
    assert layer.area_mm2 == pytest.approx(100 * 48, rel=1e-3)


def test_sine_ribbon():
    """A band of constant height between two sines: area width times height; length by quadrature."""
    amplitude, wave, height, x0, x1 = 12.0, 60.0, 22.0, 15.3, 135.3
    def bend(x):
        return 80.4 + amplitude * np.sin(2 * np.pi * (x - x0) / wave)
    def inside(x, y):
        return (np.abs(y - bend(x)) <= height / 2) & (x >= x0) & (x <= x1)
    layer = traced(inside)
    x = np.linspace(x0, x1, 20_001)
    length = np.hypot(np.diff(x), np.diff(bend(x))).sum()
    assert layer.area_mm2 == pytest.approx((x1 - x0) * height, rel=1e-3)
    assert layer.cut_length_mm == pytest.approx(2 * length + 2 * height, rel=2e-3)
    edge = shapely.Polygon(np.concatenate([np.stack([x, bend(x) - height / 2], -1),
                                           np.stack([x, bend(x) + height / 2], -1)[::-1]])).exterior
    assert shapely.distance(edge, shapely.points(dense(layer))).max() < 0.3
    assert layer.outline.segments <= 24  # two sides of four half waves, two ends


def turned(layer, how, size):
    """Dense points of a trace, brought back from a mirrored or turned picture."""
    x, y = dense(layer).T
    return np.stack({"mirror": (size - x, y), "quarter": (y, size - x), "half": (size - x, size - y)}[how], -1)


@pytest.mark.parametrize("how", ["mirror", "quarter", "half"])
def test_a_mirrored_or_turned_picture_gives_the_mirrored_or_turned_trace(how):
    corners = shapes.star_corners(70.4, 83.1, 60, 25, 7, 0.2)
    cover = shapes.cover_of(shapes.polygon(corners), 160)
    pixels = shapes.colour_of(cover, INK, PAPER)
    other = {"mirror": pixels[:, ::-1], "quarter": np.rot90(pixels, -1), "half": pixels[::-1, ::-1]}[how]
    recipe = Recipe(reading="colour", size_mm=160.0)
    one = Pipeline().evaluate(shapes.picture(pixels), recipe).layers[0]
    two = Pipeline().evaluate(shapes.picture(np.ascontiguousarray(other)), recipe).layers[0]
    assert one.area_mm2 == pytest.approx(two.area_mm2, rel=1e-3)
    gap = shapely.distance(shapely.LineString(turned(two, how, 160.0)), shapely.points(dense(one)))
    assert gap.max() < 0.1


@pytest.mark.parametrize("wave, amplitude", [(110.0, 9.0), (140.0, 25.0)])
def test_a_smooth_band_has_no_kinks(wave, amplitude):
    """Where curves and straight pieces join on a smooth outline, they join in one direction."""
    def bend(x):
        return 80.4 + amplitude * np.sin(2 * np.pi * x / wave + 0.4)
    controls = traced(lambda x, y: (np.abs(y - bend(x)) <= 11) & (x >= 12.3) & (x <= 147.6)).outline.controls
    before, after = np.roll(controls, 1, axis=0), controls
    one, two = before[:, 3] - before[:, 2], after[:, 1] - after[:, 0]
    turn = np.degrees(np.abs(np.arctan2(one[:, 0] * two[:, 1] - one[:, 1] * two[:, 0], (one * two).sum(1))))
    assert (turn > 30).sum() == 4  # the corners of the band's ends
    assert np.sort(turn)[:-4].max() < 0.6
