"""Room beyond a picture: on any side, without changing what is there; nothing laid on is cut off unsaid."""

from dataclasses import replace

import numpy as np
import pytest

import shapes
from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.progress import QUIET
from sketchloom.core.picture.preparing.steps import Preparation
from sketchloom.core.shapes import makers
from sketchloom.desk.mends import mended
from sketchloom.desk.room import room_mm, with_room
from sketchloom.desk.shapes import ShapeDesk
from sketchloom.desk.variants import evaluated, variants_of
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.recipe.document import Recipe, from_json, to_json
from sketchloom.recipe.sections import MAX_SIZE_MM

SIZE = Recipe(reading="colour", size_mm=100.0)


def disc():
    cover = shapes.cover_of(shapes.disc(100, 75, 60), 200)[:150]
    return shapes.picture(shapes.colour_of(cover, (30, 53, 87), (250, 248, 240)))


def outline_mm(work):
    ends = work.layers[0].outline.controls[:, 0] * work.mm_per_px
    return ends.min(0), ends.max(0)


@pytest.mark.parametrize("sides", [(20.0, 0.0, 0.0, 0.0), (0.0, 15.0, 30.0, 0.0), (5.0, 6.0, 7.0, 8.0)])
@pytest.mark.parametrize("recipe", [SIZE, replace(SIZE, size_mm=75.0, size_side="height")])
def test_room_moves_what_is_there_and_keeps_its_size(sides, recipe):
    pipeline, picture = Pipeline(), disc()
    work = pipeline.evaluate(picture, recipe)
    made = pipeline.evaluate(picture, with_room(work, recipe, sides))
    left, top, right, bottom = sides
    assert made.size_mm == pytest.approx((100 + left + right, 75 + top + bottom), abs=0.6)
    for before, after in zip(outline_mm(work), outline_mm(made), strict=True):
        assert after - before == pytest.approx((left, top), abs=0.3)
    assert made.cut_length_mm == pytest.approx(work.cut_length_mm, rel=0.002) and len(made.layers) == 1
    assert room_mm(made) == pytest.approx(sides, abs=0.3)
    assert from_json(to_json(made.recipe)) == made.recipe
    assert pipeline.evaluate(picture, with_room(made, made.recipe, (0, 0, 0, 0))).size_mm == pytest.approx(work.size_mm)


def test_a_full_bleed_picture_gets_a_white_page_that_is_not_cut():
    rgb = np.full((120, 160, 3), 60, np.uint8)
    rgb[:, :80], rgb[60:, 40:] = (200, 60, 50), (40, 120, 90)
    picture = shapes.picture(rgb)
    work = Pipeline().evaluate(picture, replace(SIZE, ground="keep"))
    made = Pipeline().evaluate(picture, with_room(work, SIZE, (10, 10, 10, 10)))
    assert made.ground[made.traced.planar.faces[2, 2]]
    assert sum(x.area_mm2 for x in made.layers) == pytest.approx(100 * 75, rel=0.01)


def test_what_is_laid_on_beyond_the_page_is_told_and_gets_room():
    pipeline, picture = Pipeline(), disc()
    work = pipeline.evaluate(picture, SIZE)
    desk = ShapeDesk(work)
    star = desk.shape([makers.star((190.0, 75.0), 40, 18)], "#c83c32", "star")
    laid = pipeline.evaluate(picture, replace(SIZE, shapes=(star,)))
    told = next(f for f in laid.findings if f.code == "clean.shape_beyond")
    assert "star" in told.message
    whole = pipeline.evaluate(picture, mended(told, laid))
    assert "clean.shape_beyond" not in {f.code for f in whole.findings}
    area = next(x.area_mm2 for x in whole.layers if x.plan.hex == "#c83c32")
    ring = makers.star((190.0, 75.0), 40, 18)[:, 0]
    shoelace = 0.5 * abs(np.sum(ring[:, 0] * np.roll(ring[:, 1], -1) - np.roll(ring[:, 0], -1) * ring[:, 1]))
    assert area == pytest.approx(shoelace * work.mm_per_px**2, rel=0.01)
    assert whole.mm_per_px == pytest.approx(work.mm_per_px, rel=0.002)
    assert "clean.shape_beyond" not in {f.code for f in work.findings}


@pytest.mark.parametrize("room", [(1, 2), (0, 0, 0, -0.1), (0, 0, 0, 5), "all"])
def test_room_is_four_shares(room):
    with pytest.raises(SettingError, match="room"):
        Preparation(room=room)


@pytest.mark.parametrize("side", ["width", "height"])
def test_a_page_grows_no_larger_than_pages_can_be(side):
    """A gesture found by chance once asked for a page of more than ten metres."""
    picture = shapes.picture(np.full((40, 120, 3), 255, np.uint8))
    recipe = Recipe(size_mm=9000.0, size_side=side)
    work = Pipeline().evaluate(picture, recipe)
    made = with_room(work, recipe, (4000, 4000, 4000, 4000))
    assert made.size_mm <= MAX_SIZE_MM and made.preparation.room is not None
    grown = Pipeline().evaluate(picture, made)
    # what is on it keeps its size
    assert grown.mm_per_px == pytest.approx(work.mm_per_px, rel=0.01)


def test_other_ways_of_a_very_wide_work_can_be_looked_at():
    """Its height says its size; its width is more than a size may be."""
    rng = np.random.default_rng(1)
    cells = np.repeat(rng.integers(0, 2, (8, 40, 1), dtype=np.uint8) * 255, 3, 2)
    picture = shapes.picture(cells.repeat(5, 0).repeat(5, 1))
    pipeline = Pipeline()
    work = pipeline.evaluate(picture, Recipe(size_mm=9000.0, size_side="height"))
    assert work.size_mm[0] > MAX_SIZE_MM
    made, _ = evaluated(pipeline, work, variants_of(work)[0], QUIET)
    assert made.size_mm[0] == pytest.approx(MAX_SIZE_MM)
