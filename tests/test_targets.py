"""What operations are carved on: regions, layers, words and lines of a work, found again after it changed."""

from dataclasses import replace
from itertools import pairwise

import numpy as np
import pytest
from shapely.geometry import Point

import shapes
from sketchloom.core.carve.blank import Blank
from sketchloom.core.carve.operations import FIELD, LAYER, LINE, REGION, SHAPE, Operation, Target
from sketchloom.core.carve.tools import shipped, shipped_one
from sketchloom.core.picture.picture import Picture
from sketchloom.core.shapes.drawn import PlacedShape, SplitLine
from sketchloom.core.sheets.machine import shipped as machines
from sketchloom.evaluate.cache import Cache
from sketchloom.evaluate.carving import kept_tools
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.evaluate.targets import area_of_target, board_of, targets_at, targets_of
from sketchloom.recipe.document import Recipe

BLUE, RED = (30, 53, 87), (181, 72, 60)
ROUTER = next(m for m in machines() if m.key == "router")
BLANK = Blank(width_mm=100.0, height_mm=90.0, thickness_mm=12.0)


def square(x, y, half):
    """A ring of straight cubics around a place, shares."""
    corners = np.array([(x - half, y - half), (x + half, y - half), (x + half, y + half), (x - half, y + half),
                        (x - half, y - half)])
    ring = [tuple(corners[0])]
    for a, b in pairwise(corners):
        ring += [tuple(a + (b - a) / 3), tuple(a + 2 * (b - a) / 3), tuple(b)]
    return tuple(ring)


WORD = PlacedShape((square(0.2, 0.8, 0.08),), "#b5483c", "QUAY", text="QUAY")
SPLIT = SplitLine(((0.3, 0.3), (0.7, 0.32)))


def work_of(**more):
    size = 300
    pixels = shapes.colour_of(shapes.cover_of(shapes.disc(150, 110, 60), size), BLUE, (255, 255, 255))
    recipe = Recipe(size_mm=60.0, machine=ROUTER, blank=BLANK, shapes=(WORD,), splits=(SPLIT,), **more)
    return Pipeline().evaluate(Picture(pixels), recipe)


@pytest.fixture(scope="module")
def work():
    return work_of()


def area(work, target):
    return area_of_target(work, target, board_of(work), Cache())


def on_blank(work, x, y):
    """A place of the picture (shares) on the blank."""
    wide, high = work.size_mm
    mx, my = work.recipe.blank.work_middle_mm
    return mx - wide / 2 + x * wide, my - high / 2 + y * high


def test_words_lines_and_regions_lie_where_they_were_drawn(work):
    wide = work.size_mm[0]
    word = area(work, Target(SHAPE, "QUAY", 0.2, 0.8))
    assert word.area == pytest.approx((0.16 * wide) ** 2, rel=1e-3)
    assert word.centroid.distance(Point(on_blank(work, 0.2, 0.8))) < 0.05
    line = area(work, Target(LINE, x=0.5, y=0.31))
    assert line.length == pytest.approx(np.hypot(0.4, 0.02) * wide, rel=1e-6)
    region = area(work, Target(REGION, x=0.5, y=110 / 300))
    assert region is not None and region.contains(Point(on_blank(work, 0.5, 0.4)))


def test_a_place_means_the_smallest_first(work):
    kinds = [one.kind for one in targets_at(work, *on_blank(work, 0.2, 0.8))]
    assert kinds[0] == SHAPE and kinds[-1] == "board" and LAYER in kinds
    on_line = [one.kind for one in targets_at(work, *on_blank(work, 0.5, 0.31))]
    assert on_line[0] == LINE and REGION in on_line
    assert [one.kind for one in targets_at(work, 2.0, 2.0)] == ["board"]
    assert targets_at(work, -5.0, 2.0) == ()
    rimmed = replace(work, recipe=replace(work.recipe, blank=replace(BLANK, rim_mm=8.0, recess_mm=2.0)))
    assert [one.kind for one in targets_at(rimmed, 2.0, 40.0)] == ["middle", "board"]
    assert FIELD in [one.kind for one in targets_at(rimmed, 14.0, 40.0)]
    assert Target(SHAPE, "QUAY", 0.2, 0.8) in [replace(t, x=round(t.x, 6), y=round(t.y, 6)) for t in targets_of(work)]


def test_a_word_that_was_moved_or_written_anew_is_still_meant():
    target = Target(SHAPE, "QUAY", 0.2, 0.8)
    moved = work_of().recipe.shapes[0]
    far = replace(moved, rings=(square(0.8, 0.2, 0.08),))
    other = replace(moved, name="PIER", text="PIER")
    gone = replace(other, rings=far.rings)

    def with_shapes(*its):
        made = work_of()
        return replace(made, recipe=replace(made.recipe, shapes=its))
    assert area(with_shapes(far), target).centroid.distance(Point(on_blank(work_of(), 0.8, 0.2))) < 0.1
    assert area(with_shapes(other), target) is not None, "another word at its place"
    assert area(with_shapes(gone), target) is None
    assert area(with_shapes(replace(moved, on=False)), target) is None
    assert area(with_shapes(), target) is None


def test_the_blank_has_the_outline_of_a_region(work):
    at = replace(BLANK, shape="region", at_x=0.5, at_y=110 / 300, width_mm=80.0, height_mm=80.0)
    board = board_of(replace(work, recipe=replace(work.recipe, blank=at)))
    assert board.bounds == pytest.approx((0, 0, 80, 80)) and board.area < 0.95 * 80 * 80
    beside = board_of(replace(work, recipe=replace(work.recipe, blank=replace(at, at_x=5.0))))
    assert beside.area == pytest.approx(80 * 80), "none there: the box it would fill"


def test_tools_come_with_the_operations_that_name_them():
    mine = replace(shipped_one("end-6"), feed=9.0)
    own = replace(mine, key="own-1", name="Mine")
    table = (mine, own, *shipped()[2:])
    before = Recipe(operations=(Operation(tool="end-6"),))
    # a tool that the work names already stays as it was, shipped or kept
    assert kept_tools(before, (Operation(tool="end-6"), Operation(tool="own-1")), table) == (own,)
    # named anew it is that of the table
    assert kept_tools(before, before.operations, table, ("end-6",)) == (mine,)
    kept = replace(before, cutters=(mine,))
    assert kept_tools(kept, kept.operations, shipped()) == (mine,)
    assert kept_tools(kept, kept.operations, shipped(), ("end-6",)) == ()
    assert kept_tools(kept, (), table) == ()


def test_an_empty_store_is_one_all_the_same():
    cache = Cache()
    assert (cache or None) is cache and not len(cache)
