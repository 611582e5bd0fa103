"""Pieces in the order of laying, those that nearly fit the wrong way round, numbers cut into a corner, and the plan to
print."""

import io
from dataclasses import replace

import numpy as np
import pytest
import resvg_py
import shapely
from PIL import Image

import shapes
import svgs
from sketchloom.core.layers.frame import frame_mm, mark_rings, number_rings
from sketchloom.core.layers.laying import FLIPPED, TURNED, laid_pieces, wrong_way
from sketchloom.core.planar.describe import RegionIndex
from sketchloom.core.shapes.polygons import area_of
from sketchloom.desk.laying import LayingDesk
from sketchloom.desk.regions import RegionDesk
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.recipe.document import Recipe

SIZE = 300
RECIPE = Recipe(reading="colour", size_mm=150.0, smallest_mm=0.5, layering="fitted")


@pytest.fixture(scope="module")
def work():
    """A dark disc, on it two red discs and a pale one beside another, one of them with a yellow disc in it."""
    pixels = np.full((SIZE, SIZE, 3), 255.0)
    for shape, colour in (
        (shapes.disc(150, 150, 140), (30, 53, 87)),
        (shapes.disc(90, 90, 30), (200, 60, 50)),
        (shapes.disc(210, 100, 24), (200, 60, 50)),
        (shapes.disc(90, 90, 12), (227, 174, 74)),
        (shapes.disc(150, 220, 20), (240, 230, 200)),
    ):
        cover = shapes.cover_of(shape, SIZE)[..., None]
        pixels = pixels * (1 - cover) + np.array(colour) * cover
    return Pipeline().evaluate(shapes.picture(np.rint(pixels).astype(np.uint8)), RECIPE)


def test_pieces_are_numbered_from_the_base_and_in_the_order_of_reading(work):
    pieces = laid_pieces(work.layers)
    assert [p.number for p in pieces] == list(range(1, len(pieces) + 1))
    assert len(pieces) == sum(x.outline.pieces for x in work.layers)
    assert [p.level for p in pieces] == sorted(p.level for p in pieces)
    scale = work.picture.width / SIZE
    red = [p for p in pieces if p.layer.plan.hex == "#c83c32"]
    assert [round(p.place[0] / scale) > 150 for p in red] == [False, True]  # the left one first
    assert [p.alone for p in red].count(True) == 1
    for piece in pieces:
        # the number stands where the piece is seen: on its own colour
        x, y = (int(v) for v in piece.place)
        face = work.traced.planar.faces[y, x]
        assert work.plans[work.depth[face]].key == piece.layer.plan.key


def test_what_nearly_fits_the_wrong_way_round_is_told():
    box = shapely.box(0, 0, 60, 20)
    assert wrong_way(box) is None  # it lies right either way
    assert wrong_way(shapely.Point(0, 0).buffer(20, quad_segs=64)) is None
    bitten = box.difference(shapely.box(56, 16, 60, 20))
    assert wrong_way(bitten) in (TURNED, FLIPPED)
    c, s = np.cos(0.47), np.sin(0.47)
    assert wrong_way(shapely.transform(bitten, lambda xy: xy @ ((c, s), (-s, c)))) == wrong_way(bitten)
    assert wrong_way(shapely.Polygon([(0, 0), (60, 0), (0, 40)])) is None  # no one mistakes it
    # a kite is its own mirror image, and nothing like itself when turned
    assert wrong_way(shapely.Polygon([(0, 0), (10, 15), (0, 60), (-10, 15)])) is None
    # almost a kite
    assert wrong_way(shapely.Polygon([(0, 0), (10, 15), (1.2, 60), (-10, 16)])) == FLIPPED


@pytest.mark.parametrize("number", [1, 8, 24])
def test_a_sheets_number_is_cut_as_bars_that_enclose_nothing(work, number):
    frame = frame_mm(work.layers, *work.size_mm, work.mm_per_px, True)
    rings = number_rings(frame, number)
    bars = [shapely.Polygon(ring[:, 0]) for ring in rings]
    together = shapely.union_all(bars)
    assert together.area == pytest.approx(sum(b.area for b in bars))  # none meets another
    assert all(len(p.interiors) == 0 for p in together.geoms)
    marks = [area_of([ring]) for ring in mark_rings(frame)]
    assert all(mark.distance(together) > 3 for mark in marks)
    page = shapely.box(0, 0, *work.size_mm)
    assert not together.intersects(page) and shapely.box(
        frame[0], frame[1], frame[0] + frame[2], frame[1] + frame[3]
    ).contains(together)


def test_sheets_carry_their_number_in_every_file(work):
    marked = Pipeline().evaluate(work.original, replace(RECIPE, marks=True))
    files = svgs.layers(marked, "x")
    whole = svgs.whole(marked).decode()
    data = [text.decode().split(' d="')[1].split('"')[0] for text in files.values()]
    assert len(set(data)) == len(data) and all(d in whole for d in data)
    assert [
        d.count("M") - layer.outline.pieces - layer.outline.holes - 3
        for d, layer in zip(data, marked.layers, strict=False)
    ] == [2, 5, 5, 4][: len(data)]  # bars of 1, 2, 3, 4


def test_the_plan_shows_each_piece_in_its_place_with_its_number(work):
    svg = svgs.plan(work, "Badge & <more>").decode()
    image = Image.open(io.BytesIO(bytes(resvg_py.svg_to_bytes(svg_string=svg, dpi=96)))).convert("RGB")
    assert "&amp;" in svg and "<more>" not in svg and "<text" not in svg
    scale = 96 / 25.4
    # 8 mm of margin and two rows above
    def at(x, y):
        return image.getpixel((round((x / 2 + 8) * scale), round((y / 2 + 8 + 10.4) * scale)))
    assert at(150, 40) == (30, 53, 87) and at(68, 90)[0] > 180 and at(20, 20) == (255, 255, 255)
    ink = np.asarray(image).astype(int).sum(2) < 140
    assert ink[:, round((150 + 16) * scale):].sum() > 100  # the order of work is written beside it


def test_a_piece_is_held_by_a_bridge_or_shown_from_below(work):
    desk = LayingDesk(work, RegionDesk(work, RegionIndex(work.traced.planar)))
    (alone,) = [p for p in desk.pieces if p.alone and p.layer.plan.hex == "#c83c32"]
    held = Pipeline().evaluate(work.original, desk.held(RECIPE, [alone]))
    assert next(x.outline.pieces for x in held.layers if x.plan.hex == "#c83c32") == 1
    below = desk.from_below(RECIPE, [alone])
    after = Pipeline().evaluate(work.original, below)
    assert [e.action for e in below.edits] == ["below"] and after.plans[0].name.endswith("below")
    scale = work.picture.width / SIZE
    assert after.traced.planar.faces[int(100 * scale), int(210 * scale)] in desk.faces(alone)
