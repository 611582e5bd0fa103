"""Boundaries with another course: true arcs and circles against closed forms, both neighbours, found again, lost."""

from dataclasses import replace

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from shapes import colour_of, cover_of, disc, picture
from sketchloom.core.base.errors import GeometryError, SettingError
from sketchloom.core.curves import reshapes
from sketchloom.core.curves.courses import CurveEdit
from sketchloom.core.curves.curveset import evaluate, sampled
from sketchloom.core.curves.outline import face_outline
from sketchloom.desk.shapes import ShapeDesk
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.recipe.document import Recipe

TWO_PI = 2 * np.pi
SIDE = 240


def on_circle(centre, radius, begin, end, count=200, noise=0.0, seed=1):
    angle = np.linspace(begin, end, count)
    away = radius + np.random.default_rng(seed).normal(0, noise, count) if noise else radius
    return np.asarray(centre) + (away * np.stack([np.cos(angle), np.sin(angle)])).T


@given(st.floats(20, 300), st.floats(0, TWO_PI), st.floats(0.3, 4.5), st.booleans())
def test_a_true_arc_is_the_circle_it_came_from(radius, begin, turn, backwards):
    points = on_circle((500, 400), radius, begin, begin - turn if backwards else begin + turn)
    made = reshapes.arc(points)
    # the way there is a polyline with corners on the circle of the flattened stretch: off by a sagitta of its chords
    assert np.abs(np.hypot(*(made - (500, 400)).T) - radius).max() < 0.02 + radius * (turn / 199) ** 2
    assert np.allclose(made[[0, -1]], points[[0, -1]], atol=1e-9)
    assert reshapes.deviation(points, made) < 0.1


def test_a_shaky_arc_becomes_true_and_a_shaky_ring_a_circle():
    points = on_circle((100, 100), 60, 0.2, 2.2, 120, 0.8)
    points[[0, -1]] = on_circle((100, 100), 60, 0.2, 2.2, 2)
    made = reshapes.arc(points)
    centre, radius = reshapes.fitted_circle(made)
    assert radius == pytest.approx(60, abs=0.5) and np.abs(np.hypot(*(made - centre).T) - radius).max() < 1e-3
    ring = on_circle((70.5, 31.25), 22.0, 0, TWO_PI, 400, 0.5, 3)[:-1]
    whole = reshapes.circle(ring)
    assert np.allclose(reshapes.fitted_circle(whole)[0], (70.5, 31.25), atol=0.1) and np.allclose(whole[0], whole[-1])


def test_a_round_corner_touches_both_sides_at_the_textbook_place():
    corner = reshapes.even(np.array([[0.0, 0.0], [60.0, 0.0], [60.0, 60.0]]))
    made = reshapes.rounded(corner, 12.0)
    # for a right angle the arc begins a radius before the corner, its middle lies r (2^½ - 1) from it
    assert np.hypot(*(made - (48, 0)).T).min() < 0.01 and np.hypot(*(made - (60, 12)).T).min() < 0.01
    assert np.hypot(*(made - (60, 0)).T).min() == pytest.approx(12 * (2**0.5 - 1), abs=0.02)


def test_a_corner_is_made_where_both_sides_meet():
    made = reshapes.cornered(reshapes.rounded(reshapes.even(np.array([[0.0, 0.0], [60.0, 0.0], [60.0, 60.0]])), 20.0))
    assert np.hypot(*(made - (60, 0)).T).min() < 0.75  # points of the way lie a pixel apart
    with pytest.raises(GeometryError, match="meet"):
        reshapes.cornered(np.array([[0.0, 0], [10, 0], [20, 0], [30, 0], [40, 0.0]]))


def test_smoothing_takes_bumps_out_and_keeps_the_ends():
    x = np.linspace(0, 120, 121)
    bumpy = np.stack([x, 0.002 * (x - 60) ** 2 + np.random.default_rng(0).normal(0, 0.7, 121)], -1)
    made = reshapes.smooth(bumpy)
    assert np.allclose(made[[0, -1]], bumpy[[0, -1]], atol=1e-5)
    def turns(p):
        return np.abs(np.diff(np.arctan2(*np.diff(p, axis=0).T[::-1]))).sum()
    assert turns(made) < 0.1 * turns(reshapes.even(bumpy))
    assert np.abs(made[:, 1] - 0.002 * (made[:, 0] - 60) ** 2).max() < 2.5


def test_a_pull_keeps_ends_and_their_directions():
    line = reshapes.even(np.array([[0.0, 0.0], [100.0, 0.0]]))
    made = reshapes.pulled(line, 0.4, (0, 9))
    assert made[40] == pytest.approx((40, 9), abs=1e-6)
    assert np.abs(made[:2, 1]).max() < 0.02 and np.abs(made[-2:, 1]).max() < 0.02


# -- in a work ------------------------------------------------------------------------------

def blob(radius=70.0, size=260):
    """A disc with a bump, in two colours one in the other, so that the outer boundary has two neighbours."""
    def inside(px, py):
        return np.hypot(px - 128, py - 131) < radius + 3.8 * np.cos(5 * np.arctan2(py - 131, px - 128))
    rgb = colour_of(cover_of(inside, size), (200, 60, 50), (255, 255, 255))
    inner = cover_of(disc(128, 131, 25), size)[..., None]
    return picture(np.rint(rgb * (1 - inner) + np.array((30, 53, 87)) * inner).astype(np.uint8))


def outer_radii(work):
    layer = work.layers[0]
    points = evaluate(layer.outline.controls[:, None], np.linspace(0, 1, 9)[None]).reshape(-1, 2)
    return np.hypot(*(points - points.mean(0)).T), points


def test_a_ring_made_a_circle_is_one_for_the_sheet_and_what_is_around():
    pipeline, source = Pipeline(), blob()
    work = pipeline.evaluate(source, Recipe(colours=3))
    desk = ShapeDesk(work)
    ring = desk.ring((128 + 70, 131), 8.0)
    path = desk.reshaped("arc", ring)
    edit = desk.curve_edit("circle", ring.points, path, True)
    done = pipeline.evaluate(source, Recipe(colours=3, curves=(edit,)))
    centre, radius = reshapes.fitted_circle(path)
    _, points = outer_radii(done)
    assert np.abs(np.hypot(*(points - centre).T) - radius).max() < 0.12  # the tolerance of fitting
    assert done.traced.curves_found.tolist() == [True]
    assert done.traced.planar.euler_excess() == 0
    # the other boundary did not move
    def inner(w):
        return next(x for x in w.layers if x.plan.key == "#1e3557").outline.controls
    assert np.allclose(inner(done).mean((0, 1)), inner(work).mean((0, 1)), atol=0.05)
    # undone, the map is the one before, bit for bit
    assert np.array_equal(
        pipeline.evaluate(source, Recipe(colours=3)).traced.curves.controls, work.traced.curves.controls
    )


def test_a_new_course_is_found_again_in_another_trace_and_told_when_lost():
    pipeline, source = Pipeline(), blob()
    work = pipeline.evaluate(source, Recipe(reading="tone"))
    desk = ShapeDesk(work)
    ring = desk.ring((128 + 70, 131), 8.0)
    edit = desk.curve_edit("circle", ring.points, desk.reshaped("circle", ring), True)
    for cut_off in (115, 160, 215):
        again = pipeline.evaluate(source, Recipe(reading="tone", cut_off=cut_off, curves=(edit,)))
        assert again.traced.curves_found.all(), cut_off
    lost = pipeline.evaluate(source, Recipe(reading="tone", cut_off=40, curves=(edit,)))  # only the blue disc is ink
    assert [f.code for f in lost.findings if f.code.startswith("clean.")] == ["clean.shape_idle"]


def test_the_other_side_of_a_thin_stroke_stays_where_it_is():
    y, x = np.mgrid[:120, :200] + 0.5
    grey = np.clip((np.abs(y - 60 - 2 * np.sin(x / 9)) - 2.0) * 255, 0, 255)
    source = picture(np.rint(np.where((x > 20) & (x < 180), grey, 255)).astype(np.uint8))
    pipeline = Pipeline()
    work = pipeline.evaluate(source, Recipe(reading="tone", smallest_mm=0.2))
    desk = ShapeDesk(work)
    upper = desk.stretch(np.stack([np.arange(40, 161, 4.0), 58 + 2 * np.sin(np.arange(40, 161, 4.0) / 9)], -1), 4.0)
    edit = desk.curve_edit("straight", upper.points, desk.reshaped("straight", upper), False)
    done = pipeline.evaluate(source, Recipe(reading="tone", smallest_mm=0.2, curves=(edit,)))
    assert done.layers[0].outline.pieces == 1
    points = evaluate(done.layers[0].outline.controls[:, None], np.linspace(0, 1, 9)[None]).reshape(-1, 2)
    under = points[(points[:, 0] > 60) & (points[:, 0] < 140) & (points[:, 1] > 60 + 2 * np.sin(points[:, 0] / 9))]
    assert np.abs(under[:, 1] - 62 - 2 * np.sin(under[:, 0] / 9)).max() < 0.6


@pytest.mark.parametrize("bad", [lambda: CurveEdit(((0.0, 0.0),), ((0.0, 0.0), (1.0, 1.0)), "arc"),
                                 lambda: CurveEdit(((0.0, 0.0), (1.0, 1.0)), ((0.0, 0.0), (1.0, 1.0)), "wave")])
def test_what_is_no_course_is_refused(bad):
    with pytest.raises(SettingError):
        bad()


def test_what_is_nearly_regular_is_found_and_made_so():
    pipeline, source = Pipeline(), blob()
    work = pipeline.evaluate(source, Recipe(colours=3))
    desk = ShapeDesk(work)
    kinds = {one.what for one in desk.regular}
    assert "circle" in kinds and "symmetric" not in {one.what for one in desk.regular if one.move_px > 8}
    nearly = next(one for one in desk.regular if one.what == "circle")
    assert nearly.move_px == pytest.approx(4.0, abs=0.8)  # the bump's height
    done = pipeline.evaluate(source, Recipe(colours=3, curves=desk.made_regular(nearly)))
    assert not [one for one in ShapeDesk(done).regular if one.what == "circle"]


def test_a_ragged_edge_becomes_one_arc_without_a_tooth_left():
    """Also in another trace, whose teeth lie elsewhere."""
    def ragged(seed):
        angle = np.linspace(0, 2 * np.pi, 900)
        noise = np.random.default_rng(seed).normal(0, 1, 900)
        radius = 90 + 2.2 * np.convolve(np.tile(noise, 3), np.ones(4) / 2, "same")[900:1800]
        at = np.hypot(*(np.mgrid[0:SIDE, 0:SIDE] + 0.5 - SIDE / 2))
        turn = np.arctan2(*(np.mgrid[0:SIDE, 0:SIDE] + 0.5 - SIDE / 2)) % (2 * np.pi)
        pixels = np.where((at < np.interp(turn, angle, radius))[..., None], (200, 60, 50), (240, 236, 220)).astype(
            np.uint8
        )
        return picture(pixels)
    recipe = Recipe(reading="colour", size_mm=SIDE / 2, smallest_mm=0.5)
    work = Pipeline().evaluate(ragged(1), recipe)
    angle = np.linspace(-2.9, -0.2, 40)
    desk = ShapeDesk(work)
    scale = work.picture.width / SIDE
    stretch = desk.stretch((SIDE / 2 + 90 * np.stack([np.cos(angle), np.sin(angle)], -1)) * scale, 9.0 * scale)
    edit = desk.curve_edit("arc", stretch.points, desk.reshaped("arc", stretch), False)
    for seed in (1, 2):
        made = Pipeline().evaluate(ragged(seed), replace(recipe, curves=(edit,)))
        assert made.traced.curves_found.all()
        xy = np.concatenate(
            [
                sampled(made.traced.curves.controls[a:b], 0.5)
                for a, b in zip(made.traced.curves.starts[:-1], made.traced.curves.starts[1:], strict=False)
            ]
        )
        turn = np.arctan2(*(xy - made.picture.width / 2)[:, ::-1].T)
        of_it = xy[(turn > -2.7) & (turn < -0.4) & (np.hypot(*(xy - made.picture.width / 2).T) < 110 * scale)]
        centre, radius = reshapes.fitted_circle(of_it)
        assert np.abs(np.hypot(*(of_it - centre).T) - radius).max() < 0.5 * scale


def test_one_node_less_changes_least_and_ends_where_there_is_none():
    x = np.linspace(0, 240, 241)
    wave = np.stack([x, 100 + 30 * np.sin(x / 24) + 4 * np.sin(x / 7)], -1)
    def count(points):
        return len(reshapes._cubics(reshapes.even(points), 0.1))
    before = count(wave)
    less = reshapes.one_node_less(wave)
    assert count(less) < before and np.array_equal(less[[0, -1]], wave[[0, -1]])
    assert reshapes.deviation(wave, less) < 0.5  # of 70 px from crest to trough
    further = less
    for _ in range(3):
        further = reshapes.one_node_less(further)
    assert count(further) < count(less)
    with pytest.raises(GeometryError):
        reshapes.one_node_less(np.stack([x, 0.002 * x**2], -1))  # one cubic


def test_a_hidden_edit_kind_is_no_kind_of_a_recipe():
    with pytest.raises(SettingError):
        CurveEdit(((0.0, 0.0), (1.0, 1.0)), ((0.0, 0.0), (1.0, 1.0)), "one less")


@pytest.mark.parametrize("lean", [0.0, 1.0])
def test_a_true_arc_goes_through_where_another_boundary_ends_and_draws_it_along(lean):
    """A bar that meets a wavy disc, straight or at a slant."""
    def wavy(x, y):
        return np.hypot(x - 120, y - 130) < 70 + 8 * np.sin(5 * np.arctan2(y - 130, x - 120))

    def bar(x, y):
        return (np.abs(x - 120 - lean * (60 - y)) < 8) & (y < 130) & (y > 18)
    rgb = np.full((SIDE, SIDE, 3), 255.0)
    for inside, colour in ((bar, (60, 120, 200)), (wavy, (240, 190, 60))):
        cover = cover_of(inside, SIDE)[..., None]
        rgb = rgb * (1 - cover) + np.array(colour) * cover
    pipeline, source = Pipeline(), picture(np.rint(rgb).astype(np.uint8))
    recipe = Recipe(colours=3, size_mm=float(SIDE))
    desk = ShapeDesk(pipeline.evaluate(source, recipe))
    angle = np.linspace(-2.6, -0.5, 60)
    radius = 70 + 8 * np.sin(5 * angle)
    stretch = desk.stretch(np.stack([120 + radius * np.cos(angle), 130 + radius * np.sin(angle)], -1), 6.0)
    path = desk.reshaped("arc", stretch)
    assert desk.deviation_px(stretch.points, path) > 5
    edit = desk.curve_edit("arc", stretch.points, path, False)
    done = pipeline.evaluate(source, replace(recipe, curves=(edit,)))
    assert done.traced.curves_found.all() and done.traced.planar.euler_excess() == 0
    centre, radius = reshapes.fitted_circle(path)
    face = done.traced.planar.faces[130, 120]
    outline = face_outline(done.traced.planar, done.traced.curves, int(face))
    points = sampled(outline.controls, 1.0)
    near = np.abs(np.arctan2(*(points - centre).T[::-1]) + np.pi / 2) < 0.4
    assert np.abs(np.hypot(*(points[near] - centre).T) - radius).max() < 0.3
