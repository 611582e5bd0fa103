"""Where a picture is unlike what is cut from it."""

from dataclasses import replace

import cv2
import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

import shapes
from amounts import examples
from sketchloom.core.base.colour import to_hex
from sketchloom.core.edits.decisions import PaintedLine
from sketchloom.core.judge.unlike import find_unlike, kind_of
from sketchloom.desk.mends import mended
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.files.report import report_of
from sketchloom.recipe.document import Recipe
from sketchloom.recipe.parts import PaletteEntry

PAGE, SEA, SUN, KELP = (250, 246, 236), (40, 90, 140), (240, 190, 70), (60, 110, 70)


def bay(size=160):
    """A disc of sea on a page with a small sun in it and a thin weed across, drawn by coverage."""
    rgb = shapes.colour_of(shapes.cover_of(shapes.disc(80, 80, 50), size), SEA, PAGE)
    sun = shapes.cover_of(shapes.disc(70, 70, 9), size)[..., None]
    weed = shapes.cover_of(shapes.polygon(((55, 100), (105, 102), (105, 105), (55, 103))), size)[..., None]
    rgb = rgb * (1 - sun) + np.array(SUN) * sun
    return np.rint(rgb * (1 - weed) + np.array(KELP) * weed).astype(np.uint8)


def hexes(*colours):
    return tuple(PaletteEntry((to_hex(c),)) for c in colours)


def test_what_is_cut_in_all_its_colours_is_explained_but_for_where_three_meet():
    work = Pipeline().evaluate(shapes.picture(bay()), Recipe(reading="colour", palette=hexes(PAGE, SEA, SUN, KELP)))
    assert work.unlike.explained > 0.9995 and not len(work.unlike.places)
    assert not [f for f in work.findings if f.code == "trace.unlike"]
    assert report_of(work, "bay.png", {})["explained_share"] == pytest.approx(work.unlike.explained, abs=1e-5)


def test_a_colour_that_is_left_out_is_told_with_its_place_and_mended_by_adding_it():
    work = Pipeline().evaluate(shapes.picture(bay()), Recipe(reading="colour", palette=hexes(PAGE, SEA, KELP)))
    found = work.unlike
    (x, y, area), *_ = found.places
    assert np.hypot(x - 70, y - 70) < 4 and area == pytest.approx(np.pi * 81, rel=0.2)
    assert np.abs(found.colours[0] - SUN).max() <= 2
    (told,) = [f for f in work.findings if f.code == "trace.unlike"]
    assert "darker: #f0be46" in told.message and np.hypot(told.x_px - 70, told.y_px - 70) < 4
    recipe = mended(told, work)
    again = Pipeline().evaluate(shapes.picture(bay()), recipe)
    assert not [f for f in again.findings if f.code == "trace.unlike"]
    assert len(again.segmentation.own_entries) == 4


def test_lines_painted_by_hand_are_no_difference():
    recipe = Recipe(reading="colour", palette=hexes(PAGE, SEA, SUN, KELP))
    line = PaintedLine(((0.1, 0.1), (0.3, 0.1)), 0.03, "#285a8c")
    work = Pipeline().evaluate(shapes.picture(bay()), replace(recipe, lines=(line,)))
    assert work.unlike.explained > 0.999 and not len(work.unlike.places)


def test_it_is_compared_once_for_each_way_that_the_picture_is_cut():
    """A late change keeps what was found; another palette, a line, a smaller detail do not."""
    pipeline, source = Pipeline(), shapes.picture(bay())
    recipe = Recipe(reading="colour", palette=hexes(PAGE, SEA, KELP))
    first = pipeline.evaluate(source, recipe).unlike
    assert pipeline.evaluate(source, replace(recipe, overlap_mm=0.5)).unlike is first
    whole = pipeline.evaluate(source, replace(recipe, palette=hexes(PAGE, SEA, SUN, KELP))).unlike
    assert whole is not first and whole.explained > first.explained
    covered = replace(recipe, lines=(PaintedLine(((0.375, 0.43), (0.5, 0.45)), 0.14, "#285a8c"),))
    assert pipeline.evaluate(source, covered).unlike.explained > first.explained
    assert len(pipeline.evaluate(source, replace(recipe, smallest_mm=20.0)).unlike.places) == 0


@settings(max_examples=examples(25), deadline=None)
@given(st.integers(0, 10**6), st.floats(0.0, 3.0))
def test_any_blend_of_two_neighbours_is_explained(seed, blur):
    """A picture of two to four colours blurred by as much as its renderer's pixel."""
    rng = np.random.default_rng(seed)
    values = rng.integers(0, 256, (int(rng.integers(2, 5)), 3))
    labels = np.zeros((60, 60), int)
    for k in range(1, len(values)):
        x, y, r = rng.uniform(12, 48), rng.uniform(12, 48), rng.uniform(6, 14)
        labels[shapes.cover_of(shapes.disc(x, y, r), 60) > 0.5] = k
    sharp = values[labels].astype(np.float32)
    soft = cv2.blur(sharp, (3, 3)) if blur > 1.5 else sharp
    found = find_unlike(np.rint(soft).astype(np.uint8), labels, values, 0.0, 12)
    # only where three meet in one pixel
    assert found.explained > 0.985
    assert find_unlike(np.rint(sharp).astype(np.uint8), labels, values, 0.0, 12).explained == 1.0


def test_every_other_pixel_of_a_large_picture_gives_the_same_places(monkeypatch):
    from sketchloom.core.judge import unlike

    labels = np.zeros((400, 400), int)
    rgb = np.full((400, 400, 3), 255, np.uint8)
    cv2.circle(rgb, (120, 260), 20, (0, 0, 0), -1)
    whole = find_unlike(rgb, labels, [(255, 255, 255)], 0.0, 12)
    monkeypatch.setattr(unlike, "_LARGE_PX", 1000)
    half = find_unlike(rgb, labels, [(255, 255, 255)], 0.0, 12)
    assert half.step == 2 and whole.step == 1
    assert half.explained == pytest.approx(whole.explained, abs=2e-3)
    assert np.abs(half.places[0] - whole.places[0]).max() < 40 and len(half.places) == 1


@pytest.mark.parametrize(("by", "kind"), [(20.0, "darker"), (-20.0, "lighter"), (1.0, "other")])
def test_in_which_way(by, kind):
    assert kind_of(by) == kind
