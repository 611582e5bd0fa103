"""Openings of whole sheets against pieces laid on top: costs worked by hand, and one made the other in the window."""

from dataclasses import replace

import numpy as np
import pytest

from sketchloom.core.edits.decisions import ABOVE, BELOW
from sketchloom.core.edits.region_edits import own_hex
from sketchloom.core.picture.picture import Picture, frozen_array
from sketchloom.core.planar.describe import RegionIndex
from sketchloom.desk.details import as_openings, as_pieces, details_of
from sketchloom.desk.mends import mended
from sketchloom.desk.regions import RegionDesk
from sketchloom.evaluate.openings import openings
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.evaluate.sheet_order import PIECE_MM
from sketchloom.recipe.document import Recipe

ORDER = ("#101010", "#d8493f", "#f2b632", "#3f8f5d")


def target():
    """Discs in each other, each of a sheet above the last, and two dots of the lowest colour in the topmost: 300 px."""
    y, x = np.mgrid[:300, :300] + 0.5
    pixels = np.full((300, 300, 3), 255, np.uint8)
    for radius, colour in ((140, (16, 16, 16)), (120, (216, 73, 63)), (100, (242, 182, 50)), (80, (63, 143, 93))):
        pixels[np.hypot(x - 150, y - 150) < radius] = colour
    for at, radius in ((120, 20), (185, 6)):
        pixels[np.hypot(x - at, y - 150) < radius] = 16
    return Picture(frozen_array(pixels))


@pytest.fixture(scope="module")
def work():
    return Pipeline().evaluate(target(), Recipe(layering="stacked", size_mm=300.0, order=ORDER))


def test_an_opening_costs_its_edge_on_every_sheet_and_a_piece_its_edge_and_its_laying(work):
    found = openings(work)
    assert len(found) == 2 and [one.sheets for one in found] == [3, 3]
    for one, radius in zip(found, (20, 6), strict=True):
        around = 2 * np.pi * radius
        edge = one.piece_px - PIECE_MM / work.mm_per_px
        assert one.opening_px == pytest.approx(3 * edge) and edge == pytest.approx(around, rel=0.2)  # drawn in pixels
    assert found[0].saved_px > 0 > found[1].saved_px


def test_the_dear_opening_is_offered_as_a_piece_and_then_cut_once(work):
    (asked,) = [f for f in work.findings if f.code == "layer.openings"]
    assert np.hypot(asked.x_px - 120, asked.y_px - 150) < 20
    laid = Pipeline().evaluate(work.picture, mended(asked, work))
    assert "layer.openings" not in {f.code for f in laid.findings}
    saved = sum(x.cut_length_mm for x in work.layers) - sum(x.cut_length_mm for x in laid.layers)
    assert saved - PIECE_MM == pytest.approx(asked.figures["saved"], abs=2.0)
    assert [e.action for e in laid.recipe.edits] == [ABOVE]


def test_each_detail_is_made_the_other_and_back(work):
    desk = RegionDesk(work, RegionIndex(work.traced.planar))
    dear, cheap = details_of(desk)
    assert dear.better and not cheap.better
    laid = Pipeline().evaluate(work.picture, as_pieces(desk, work.recipe, [dear, cheap]))
    again = RegionDesk(laid, RegionIndex(laid.traced.planar))
    made = details_of(again)
    assert all(d.is_piece for d in made) and [d.better for d in made] == [False, True]
    for before, after in zip((dear, cheap), made, strict=True):
        assert after.opening_mm == pytest.approx(before.opening_mm) and after.piece_mm == pytest.approx(before.piece_mm)
    assert as_openings(again, laid.recipe, made) == replace(work.recipe, settled=laid.recipe.settled)


def cost(work):
    return sum(x.cut_length_mm + PIECE_MM * x.outline.pieces for x in work.layers)


@pytest.mark.parametrize(("way", "saves"), [("stacked", True), ("lean", True), ("fitted", False), ("based", False)])
def test_each_way_says_what_a_piece_really_saves(work, way, saves):
    made = Pipeline().evaluate(work.picture, replace(work.recipe, layering=way, overlap_mm=0.0))
    desk = RegionDesk(made, RegionIndex(made.traced.planar))
    dear, _ = details_of(desk)
    laid = Pipeline().evaluate(work.picture, as_pieces(desk, made.recipe, [dear]))
    assert dear.opening_mm - dear.piece_mm == pytest.approx(cost(made) - cost(laid), abs=1.0)
    assert dear.better == saves == ("layer.openings" in {f.code for f in made.findings})


def test_sheets_of_different_ways_are_counted_each_by_its_own(work):
    """The yellow sheet fitted below a whole green one: it stays open under the piece, which then saves one edge less.
    """
    recipe = work.recipe.with_edit(ORDER[2], layering="fitted")
    made = Pipeline().evaluate(work.picture, recipe)
    one = openings(made)[0]
    edge = one.piece_px - PIECE_MM / made.mm_per_px
    assert one.sheets == 2 and one.opening_px == pytest.approx(2 * edge)
    desk = RegionDesk(made, RegionIndex(made.traced.planar))
    laid = Pipeline().evaluate(work.picture, as_pieces(desk, made.recipe, details_of(desk)[:1]))
    assert (one.opening_px - one.piece_px) * made.mm_per_px == pytest.approx(cost(made) - cost(laid), abs=1.0)


def eyes(ground=(242, 182, 50)):
    """A yellow disc on a red one, on it two green dots that are pieces by themselves, one of them small: 300 px."""
    y, x = np.mgrid[:300, :300] + 0.5
    pixels = np.full((300, 300, 3), 255, np.uint8)
    for at, radius, colour in (((150, 150), 140, (216, 73, 63)), ((150, 150), 110, ground),
                               ((110, 150), 18, (63, 143, 93)), ((190, 150), 4, (63, 143, 93))):
        pixels[np.hypot(x - at[0], y - at[1]) < radius] = colour
    return Picture(frozen_array(pixels))


@pytest.mark.parametrize("way", ["stacked", "windowed", "lean", "fitted"])
def test_a_piece_that_the_order_made_says_what_it_costs_as_an_opening_and_becomes_one(way):
    recipe = Recipe(layering=way, size_mm=300.0, overlap_mm=0.0, order=("#d8493f", "#f2b632", "#3f8f5d"))
    made = Pipeline().evaluate(eyes(), recipe)
    desk = RegionDesk(made, RegionIndex(made.traced.planar))
    details = [d for d in details_of(desk) if d.hex == "#3f8f5d"]
    if way == "fitted":  # each lies in its own gap, on no other sheet
        assert not details
        return
    assert len(details) == 2 and all(d.is_piece and not d.better for d in details)
    one = max(details, key=lambda d: d.piece_mm)
    opened = Pipeline().evaluate(made.picture, as_openings(desk, made.recipe, [one]))
    assert [e.action for e in opened.recipe.edits] == [BELOW]
    assert cost(opened) - cost(made) == pytest.approx(one.opening_mm - one.piece_mm, abs=1.5)
    again = RegionDesk(opened, RegionIndex(opened.traced.planar))
    (back,) = [d for d in details_of(again) if d.hex == own_hex(one.hex, BELOW)]
    assert not back.is_piece
    (other,) = [d for d in details_of(again) if d.hex == one.hex]
    assert other.sheets == one.sheets  # the sheet below that is there now is not pierced
    assert as_pieces(again, opened.recipe, [back]).edits == made.recipe.edits == ()
