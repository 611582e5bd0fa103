"""Grown regions, double outlines, settings in a part of the picture, and the colour ladder."""

from dataclasses import replace

import numpy as np
import pytest

import shapes
from sketchloom.core.segment import doubles, growing
from sketchloom.core.segment.ladder import colour_ladder
from sketchloom.core.segment.palette import find_colours
from sketchloom.core.segment.parts import Grown, Patch
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.recipe.document import Recipe, from_json, to_json

SIZE = 240
DISCS = ((60, 60, 34), (170, 70, 40), (120, 170, 44))


def painted(colours, ground=(255, 255, 255), grain=0.0):
    pixels = np.zeros((SIZE, SIZE, 3)) + ground
    for (x, y, r), colour in zip(DISCS, colours, strict=False):
        cover = shapes.cover_of(shapes.disc(x, y, r), SIZE)[..., None]
        pixels = pixels * (1 - cover) + np.array(colour) * cover
    pixels += np.random.default_rng(1).normal(0, grain, (SIZE, SIZE, 1)) if grain else 0
    return shapes.picture(np.clip(np.rint(pixels), 0, 255).astype(np.uint8))


# -- growing


@pytest.mark.parametrize("grain", [0.0, 2.5])
def test_the_proposed_tolerance_takes_the_grain_and_stops_at_the_neighbour(grain):
    picture = painted(((200, 60, 50), (60, 110, 190), (230, 180, 60)), grain=grain)
    tolerance = growing.proposed_tolerance(picture, 60 / SIZE, 60 / SIZE)
    region = growing.grown(picture, 60 / SIZE, 60 / SIZE, tolerance, False)
    assert region.sum() == pytest.approx(np.pi * 34**2, rel=0.04)


def test_areas_grow_with_the_tolerance_and_agree_with_growing():
    picture = painted(((200, 60, 50), (190, 70, 70), (230, 180, 60)), grain=3.0)
    areas = growing.areas_by_tolerance(picture, 0.25, 0.25)
    assert (np.diff(areas) >= 0).all()
    for tolerance in (3, 11, 26, 45):
        assert areas[tolerance] == growing.grown(picture, 0.25, 0.25, tolerance, False).sum()
    everywhere = growing.areas_by_tolerance(picture, 0.25, 0.25, True)
    assert everywhere[20] == growing.grown(picture, 0.25, 0.25, 20, True).sum()


def test_a_grown_region_becomes_a_layer_of_its_own():
    picture = painted(((200, 60, 50), (200, 60, 50), (230, 180, 60)))
    recipe = Recipe(reading="colour", size_mm=float(SIZE), grown=(Grown(60 / SIZE, 60 / SIZE, 20, "#112233"),))
    work = Pipeline().evaluate(picture, recipe)
    found = {x.plan.key: x.area_mm2 for x in work.layers}
    assert found["#112233"] == pytest.approx(np.pi * 34**2, rel=0.01)
    both = Pipeline().evaluate(picture, replace(recipe, grown=(replace(recipe.grown[0], everywhere=True),)))
    assert "#c83c32" not in {x.plan.key for x in both.layers}
    assert from_json(to_json(recipe)) == recipe


# -- double outlines


def ring_labels(inner, outer):
    y, x = np.mgrid[:SIZE, :SIZE] + 0.5
    away = np.hypot(x - 120, y - 120)
    return np.where(away < inner, 2, np.where(away < outer, 0, 1)).astype(np.uint8)


def test_doubles_are_thin_and_long_and_areas_are_not():
    labels = ring_labels(70, 76)
    labels[10:30, 10:30] = 0
    found = doubles.find_doubles(labels, 8.0)
    assert len(found.places) == 1 and found.width_px[0] == pytest.approx(6, abs=1.5)
    assert found.length_px[0] == pytest.approx(2 * np.pi * 73, rel=0.3)
    assert len(doubles.find_doubles(labels, 4.0).places) == 0


@pytest.mark.parametrize("way, radius", [("middle", 73), ("outer", 76), ("filled", 70)])
def test_a_double_outline_becomes_one(way, radius):
    """Between a disc (2) and the ground (1) runs a thin ring (0): two cuts, 6 px apart."""
    one = doubles.made_one(ring_labels(70, 76), 8.0, way)
    assert not (one == 0).any()
    assert np.sqrt((one == 2).sum() / np.pi) == pytest.approx(radius, abs=0.7)


def test_two_strokes_with_a_gap_become_one_thick_stroke():
    labels = np.ones((SIZE, SIZE), np.uint8)
    labels[100:108, 30:210] = labels[112:120, 30:210] = 0
    labels[100:120, 30:38] = labels[100:120, 202:210] = 0  # the gap is closed at both ends
    one = doubles.made_one(labels, 5.0, "filled")
    assert (one[100:120, 30:210] == 0).all() and (one == 0).sum() == 20 * 180


@pytest.mark.parametrize("way, radius", [("middle", 73), ("outer", 76)])
def test_one_cut_is_traced_where_two_were(way, radius):
    def away(x, y):
        return np.hypot(x - 120, y - 120)
    ink = shapes.cover_of(lambda x, y: (away(x, y) > 70) & (away(x, y) < 76), SIZE)[..., None]
    inner = shapes.cover_of(shapes.disc(120, 120, 70), SIZE)[..., None]
    pixels = 255.0 * (1 - ink - inner) + 20 * ink + np.array([220, 150, 60]) * inner
    picture = shapes.picture(np.rint(pixels).astype(np.uint8))
    recipe = Recipe(reading="colour", size_mm=float(SIZE), smallest_mm=1.0, double_mm=8.0, double_to=way)
    work = Pipeline().evaluate(picture, recipe)
    assert len(work.layers) == 1 and work.layers[0].outline.pieces == 1 and work.layers[0].outline.holes == 0
    assert np.sqrt(work.layers[0].area_mm2 / np.pi) == pytest.approx(radius, abs=0.5)
    assert len(Pipeline().evaluate(picture, replace(recipe, double_mm=0.0)).layers) == 2


# -- a part of the picture


def square(x0, y0, x1, y1):
    return (x0, y0), (x1, y0), (x1, y1), (x0, y1)


def test_another_cut_off_in_a_part_leaves_no_step_at_its_edge():
    y, _x = np.mgrid[:SIZE, :SIZE] + 0.5
    bar = np.clip(np.minimum(y - 100, 140 - y) / 8 + 0.5, 0, 1)  # soft sides: the cut-off moves them
    picture = shapes.picture(np.rint(255 - 235 * bar).astype(np.uint8))
    recipe = Recipe(
        reading="tone", cut_off=90, size_mm=float(SIZE), patches=(Patch(square(0.5, 0, 1, 1), cut_off=200),)
    )
    labels = Pipeline().evaluate(picture, recipe).segmentation.labels
    height = (labels == 0).sum(0)
    assert height[-10:].mean() > height[:10].mean() + 3
    assert np.abs(np.diff(height)).max() <= 2  # spread over the ramp, not one jump


def test_more_colours_in_a_part_keep_whole_regions():
    picture = painted(((200, 60, 50), (60, 110, 190), (230, 180, 60)))
    recipe = Recipe(
        reading="colour", colours=2, size_mm=float(SIZE), patches=(Patch(square(0, 0, 0.35, 0.5), colours=4),)
    )
    plain = Pipeline().evaluate(picture, replace(recipe, patches=()))
    work = Pipeline().evaluate(picture, recipe)
    assert len(plain.layers) < len(work.layers)
    # the lasso runs through the disc of radius 34 at 60, 60; no region ends there
    labels = work.segmentation.labels
    assert labels[60, 60] == labels[60, 90] == labels[90, 60]
    assert len(np.unique(labels[40:80, 40:80])) == 1


def test_a_smaller_detail_in_a_part():
    cover = shapes.cover_of(
        lambda x, y: shapes.disc(50, 50, 3)(x, y) | shapes.disc(180, 180, 3)(x, y) | shapes.disc(120, 120, 30)(x, y),
        SIZE,
    )
    picture = shapes.picture(shapes.grey_of(cover))
    recipe = Recipe(reading="tone", size_mm=float(SIZE), smallest_mm=10.0)
    def count(r):
        return Pipeline().evaluate(picture, r).layers[0].outline.pieces
    assert count(recipe) == 1
    assert count(replace(recipe, patches=(Patch(square(0, 0, 0.5, 0.5), smallest_mm=1.0),))) == 2
    assert count(replace(recipe, smallest_mm=1.0, patches=(Patch(square(0, 0, 0.5, 0.5), smallest_mm=10.0),))) == 2


def test_another_smoothness_in_a_part_keeps_faces_closed():
    rng = np.random.default_rng(5)
    wobble = np.cumsum(rng.normal(0, 0.6, 720))
    wobble -= np.linspace(0, wobble[-1], 720)

    def blob(cx):
        def inside(x, y):
            angle = ((np.degrees(np.arctan2(y - 120, x - cx)) % 360) * 2).astype(int) % 720
            return np.hypot(x - cx, y - 120) < 45 + wobble[angle]
        return inside
    left, right = blob(60), blob(180)
    picture = shapes.picture(shapes.grey_of(shapes.cover_of(lambda x, y: left(x, y) | right(x, y), SIZE)))
    recipe = Recipe(reading="tone", size_mm=float(SIZE))
    plain = Pipeline().evaluate(picture, recipe)
    part = Pipeline().evaluate(picture, replace(recipe, patches=(Patch(square(0, 0, 0.5, 1), smoothness=3),)))
    def sizes(w):
        return np.diff(w.layers[0].outline.starts).tolist()
    # the smoother half has fewer segments, the other is the same
    assert sum(sizes(part)) < sum(sizes(plain))
    assert any(size in sizes(plain) for size in sizes(part))
    outline = part.layers[0].outline
    for a, b in zip(outline.starts[:-1], outline.starts[1:], strict=False):
        assert np.array_equal(outline.controls[a, 0], outline.controls[b - 1, 3])


# -- the ladder


def test_each_rung_tells_what_goes_and_what_it_saves():
    picture = painted(((200, 60, 50), (60, 110, 190), (230, 180, 60)))
    tree = find_colours(picture)
    ladder = colour_ladder(picture, tree, 9.0).rungs
    assert [r.count for r in ladder] == [4, 3, 2]
    assert ladder[0].regions == 4 and ladder[0].gone is None
    area = {"#c83c32": np.pi * 34**2, "#3c6ebe": np.pi * 40**2, "#e6b43c": np.pi * 44**2}
    for rung, above in zip(ladder[1:], ladder, strict=False):
        assert set(above.colours) - set(rung.colours) == {rung.gone} and rung.into in rung.colours
        assert rung.gone_share == pytest.approx(area[rung.gone] / SIZE**2, rel=0.03)
        assert above.regions - rung.regions == rung.regions_lost
        if rung.into == "#ffffff":
            # the disc's outline is no longer cut: 2 pi r by Crofton's formula
            radius = np.sqrt(area[rung.gone] / np.pi)
            assert rung.cut_saved_px == pytest.approx(2 * np.pi * radius, rel=0.03) and rung.regions_lost == 1


def test_a_rung_shows_the_pieces_it_takes():
    discs = ((60, 60, 34, "#c83c32"), (170, 70, 40, "#3c6ebe"), (120, 170, 44, "#e6b43c"))
    picture = painted(((200, 60, 50), (60, 110, 190), (230, 180, 60)))
    ladder = colour_ladder(picture, find_colours(picture), 9.0)
    taken, _ = ladder.lost(ladder.rungs[0])
    assert not taken.any()
    y, x = np.mgrid[:SIZE, :SIZE] + 0.5
    seen = 0
    for rung in ladder.rungs[1:]:
        taken, places = ladder.lost(rung)
        (cx, cy, radius), = [(a, b, r) for a, b, r, colour in discs if colour == rung.gone]
        assert (taken != (np.hypot(x - cx, y - cy) < radius)).sum() < 2 * np.pi * radius
        assert len(places) == rung.regions_lost  # a disc between others is drawn in another colour, not lost
        for px, py, area in places:
            seen += 1
            assert np.hypot(px - cx, py - cy) < 1 and area == pytest.approx(np.pi * radius**2, rel=0.05)
    assert seen


def test_a_rung_is_what_the_trace_gives():
    picture = painted(((200, 60, 50), (60, 110, 190), (230, 180, 60)))
    for rung in colour_ladder(picture, find_colours(picture), 9.0).rungs:
        work = Pipeline().evaluate(picture, Recipe(reading="colour", colours=rung.count, size_mm=float(SIZE)))
        assert tuple(e.hex for e in work.segmentation.entries) == rung.colours
        assert work.traced.planar.face_count == rung.regions


def test_locked_colours_stay_whatever_the_number():
    picture = painted(((200, 60, 50), (60, 110, 190), (230, 180, 60)))
    for count in (2, 3, 4):
        recipe = Recipe(reading="colour", colours=count, locked=("#e6b43c", "#3c6ebe"))
        entries = [e.hex for e in Pipeline().evaluate(picture, recipe).segmentation.entries]
        assert {"#e6b43c", "#3c6ebe"} <= set(entries) and len(entries) == count
