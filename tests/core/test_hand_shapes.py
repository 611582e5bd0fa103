"""Lines, bows and areas drawn by hand as shapes: on silhouettes and filled regions, against a geometry library."""

from dataclasses import replace

import numpy as np
import pytest
import shapely
from hypothesis import given
from hypothesis import strategies as st

import shapes
from sketchloom.core.shapes import makers, polygons
from sketchloom.desk.shapes import ShapeDesk
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.recipe.document import Recipe


def desk_of(picture, recipe):
    return ShapeDesk(Pipeline().evaluate(picture, recipe))


def blob():
    """A filled wing with a hole, which a silhouette fills."""
    def wing(x, y):
        return (np.hypot((x - 150) / 1.4, y - 150) < 80) & (np.hypot(x - 150, y - 150) > 12)
    return shapes.picture(shapes.colour_of(shapes.cover_of(wing, 300), (30, 30, 34), (255, 255, 255)))


SILHOUETTE = Recipe(reading="tone", silhouette=True, size_mm=150.0)


def sheet_area_px(work):
    return sum(float(layer.outline.area_px.sum()) for layer in work.layers)


@pytest.mark.parametrize(("points", "cuts"), [
    ([(90, 140), (150, 170), (210, 140)], True),
    ([(150, 40), (150, 90)], False),
])
def test_a_line_drawn_on_a_silhouette_does_what_it_says(points, cuts):
    desk = desk_of(blob(), SILHOUETTE)
    rings = desk.line_shape(np.array(points, float), 8.0)
    hex_colour = None if cuts else desk.work.segmentation.entries[0].hex
    made = Pipeline().evaluate(blob(), replace(SILHOUETTE, shapes=(desk.shape(rings, hex_colour, "line"),)))
    line = polygons.area_of(rings)
    before = polygons.area_of_outline(desk.work.layers[0].outline)
    wanted = before.difference(line) if cuts else before.union(line)
    assert sheet_area_px(made) == pytest.approx(wanted.area, rel=0.002)
    assert abs(sheet_area_px(made) - before.area) > 250


@pytest.mark.parametrize("through", [(160, 60), (160, 150), (100, 40)])
@pytest.mark.parametrize("is_round", [True, False])
def test_a_bow_has_an_even_width(through, is_round):
    """Everywhere half the width from the arc, by the library's own distance; its area is length times width."""
    desk, ends = desk_of(blob(), SILHOUETTE), ((60, 150), (260, 150))
    rings = desk.bow_shape((*ends, through), 14.0, is_round)
    area, arc = polygons.area_of(rings), shapely.LineString(makers.bow(*ends, through))
    assert arc.distance(shapely.Point(*through)) < 0.05
    edge = [shapely.Point(*p) for p in np.array(area.geoms[0].exterior.coords)[:-1]]
    off = np.array([arc.distance(p) for p in edge])
    assert off.max() < 7.1 and (np.abs(off - 7) < 0.1).mean() > 0.9 - 0.3 * (not is_round)
    assert area.area == pytest.approx(arc.length * 14 + (np.pi * 49 if is_round else 0), rel=0.003)


def test_bars_along_a_line_have_even_steps():
    desk = desk_of(blob(), SILHOUETTE)
    bar = desk.shape(desk.line_shape(np.array([(40, 90), (40, 110)], float), 4.0), "#1e1e22", "bar")
    bars = desk.along(bar, [(40, 100), (240, 100)], 5)
    middles = sorted(float(ring[:, 0, 0].mean()) for ring in desk.rings(bars))
    assert len(middles) == 5 and np.diff(middles) == pytest.approx([50] * 4, abs=0.1)
    turned = desk.along(bar, makers.bow((40, 100), (240, 100), (140, 40)), 3)
    sides = [np.ptp(ring[:, 0], axis=0) for ring in desk.rings(turned)]
    assert sides[0][1] > 3 * sides[0][0]
    assert abs(sides[1][0] - sides[0][0]) > 2  # it turns with the line


def test_thicker_and_thinner_lead_back_and_nothing_is_left_of_too_thin():
    desk = desk_of(blob(), SILHOUETTE)
    line = desk.shape(desk.line_shape(np.array([(60, 60), (200, 90), (240, 200)], float), 12.0), "#c83c32", "line")
    thick = desk.grown_shape(line, 1.0)
    grown, plain = (polygons.area_of(desk.rings(one)) for one in (thick, line))
    assert grown.symmetric_difference(plain.buffer(2.0, quad_segs=48)).area < 0.003 * grown.area
    back = polygons.area_of(desk.rings(desk.grown_shape(thick, -1.0)))
    assert back.symmetric_difference(plain).area < 0.01 * plain.area
    assert desk.grown_shape(line, -4.0) is None


def test_an_area_drawn_round_is_that_area():
    desk = desk_of(blob(), SILHOUETTE)
    turn = np.linspace(0, 2 * np.pi, 60, endpoint=False)
    ring = np.stack([150 + 50 * np.cos(turn), 150 + 30 * np.sin(turn)], -1)
    assert polygons.area_of(desk.area_shape(ring)).area == pytest.approx(np.pi * 1500, rel=0.01)


def test_shapes_scaled_and_turned_together_keep_to_each_other():
    desk = desk_of(blob(), SILHOUETTE)
    two = [desk.shape([makers.ellipse((x, 100), 10, 10)], "#c83c32", "dot") for x in (80, 120)]
    made = desk.changed_together(two, 2.0, np.pi / 2)
    middles = [desk.middle(one) for one in made]
    assert np.hypot(*(middles[0] - middles[1])) == pytest.approx(80, abs=0.1)
    assert np.mean(middles, 0) == pytest.approx((100, 100), abs=0.1)
    assert middles[0][0] == pytest.approx(middles[1][0], abs=0.1)


@given(st.floats(0.3, 5.9), st.floats(20, 400), st.floats(0, 6.28), st.booleans())
def test_a_bow_drawn_along_is_the_arc_it_was_drawn_along(sweep, radius, turn, back):
    """Points of an exact arc of a circle, less than all of it, give that circle back."""
    t = turn + np.linspace(0, sweep, 41)[::-1 if back else 1]
    points = (300, 200) + radius * np.stack([np.cos(t), np.sin(t)], -1)
    a, b, through = makers.bow_drawn(points)
    assert np.hypot(*(through - (300, 200))) == pytest.approx(radius, rel=1e-6)
    assert np.allclose(a, points[0]) and np.allclose(b, points[-1])
    assert np.hypot(*(through - points).T).min() < radius * sweep / 30, "on the side that was drawn"


def test_a_trembling_hand_and_a_hook_at_an_end_bend_a_bow_little():
    rng, t = np.random.default_rng(7), np.linspace(np.pi, 2 * np.pi, 61)
    points = 200 * np.stack([np.cos(t), np.sin(t)], -1) + rng.normal(0, 1.5, (61, 2))
    points[1:4] += (0, 12)
    _, _, through = makers.bow_drawn(points)
    assert np.hypot(*(through - (0, -200))) < 3
    _, _, through = makers.bow_drawn([(0, 0), (5, 0), (10, 0)])
    assert np.allclose(through, (5, 0)), "a straight line stays one"
