"""Which way of layering is proposed, which ground is left out, and that no piece is cut which nobody sees."""

import io

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from PIL import Image
from scipy import ndimage

from amounts import examples
from sketchloom.core.judge.paper import page_of
from sketchloom.core.layers import layering
from sketchloom.core.layers.bands import bands_of
from sketchloom.core.layers.proposing import base_of, kept_laying, proposed_laying
from sketchloom.core.layers.ways import BASED, LEAN, STACKED, WINDOWED
from sketchloom.core.picture.picture import Picture, frozen_array
from sketchloom.core.planar.planar_map import build_map
from sketchloom.desk.mends import mended
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.evaluate.tidying import ground_label
from sketchloom.recipe.document import Recipe
from sketchloom.recipe.parts import PaletteEntry, Settled
from sketchloom.recipe.settled import as_settled, carried, settled_with

OUTLINED = np.array([[0, 9, 7, 60], [9, 0, 0, 0], [7, 0, 0, 0], [60, 0, 0, 0]], float)
"""Boundaries of a dark outline, two fills and the ground: only the outline borders anything."""


def proposed(boundary, light, **more):
    given = {"shaded": False, "thick_mm": None, "paper": False, "overlap_mm": None, **more}
    return proposed_laying(boundary, light, range(len(boundary) - 1), False, **given)


def test_the_outline_is_the_base_and_the_rest_is_fitted_a_hair_under():
    made = proposed(OUTLINED, [10, 60, 80])
    assert (made.way, made.base) == (BASED, 0) and 0 < made.overlap_mm < 1 and made.why
    assert proposed(OUTLINED, [10, 60, 80], thick_mm=3.0).overlap_mm == 0  # a hair of overlap would tilt thick sheets
    assert proposed(OUTLINED, [10, 60, 80], shaded=True).way == STACKED


def test_without_a_colour_that_carries_there_is_no_base():
    even = np.array([[0, 5, 5, 9], [5, 0, 5, 9], [5, 5, 0, 9], [9, 9, 9, 0]], float)
    assert base_of(even, [50, 60, 70], range(3), False) is None and proposed(even, [50, 60, 70]).way == LEAN
    assert proposed(even, [50, 60, 70], paper=True).way == STACKED
    assert base_of(OUTLINED, [10, 60, 80], (1, 2), False) is None  # the outline is asked to lie on top


def test_what_was_proposed_before_stays_and_the_better_is_named():
    now = proposed(OUTLINED, [10, 60, 80])
    assert kept_laying(now, None, None) is now and kept_laying(now, BASED, None) is now
    kept = kept_laying(now, LEAN, None)
    assert (kept.way, kept.better) == (LEAN, BASED) and kept.overlap_mm > 0


@st.composite
def maps(draw):
    return draw(st.lists(st.lists(st.integers(-1, 3), min_size=7, max_size=7), min_size=7, max_size=7))


@given(maps(), st.sampled_from([STACKED, WINDOWED, BASED]))
@settings(max_examples=examples(60), deadline=None)
def test_every_piece_shows_something_of_its_sheet_and_what_is_seen_stays(cells, way):
    """Checked on the pixels, by a general library's components."""
    cells = np.array(cells)
    planar = build_map((np.kron(cells, np.ones((3, 3), int)) + 1).astype(np.uint8))
    depth = planar.face_label.astype(int) - 1
    shown = depth[planar.faces]
    length = np.ones(planar.arc_count)
    for level in range(4):
        solid = layering.sheet_faces(planar, length, depth, level, way)[planar.faces]
        part, count = ndimage.label(solid)
        assert solid[shown == level].all() and not solid[shown < level].any()
        if (shown == level).any() or count:
            assert set(np.unique(part[solid])) == set(np.unique(part[shown == level]))


def grounds(picture, hexes):
    return ground_label(np.array(picture, np.uint8), tuple(PaletteEntry((h,)) for h in hexes))


def test_ground_reaches_all_sides_and_is_no_frame():
    around = np.zeros((60, 60), int)
    around[20:40, 10:50] = 1
    assert grounds(around, ("#ffffff", "#c83c32")) == 0 and grounds(around, ("#1a1a2e", "#c83c32")) == 0
    three = around.copy()
    three[40:] = 1  # hills along the whole lower side: the sky is no ground
    assert grounds(three, ("#9ad0e8", "#3f8f5d")) is None
    frame = np.zeros((60, 60), int)
    frame[4:56, 4:56] = 1
    frame[20:30, 20:30] = 2
    assert grounds(frame, ("#5a2a10", "#f2e6c0", "#c83c32")) is None  # a border that belongs to the drawing
    assert grounds(frame, ("#ffffff", "#f2e6c0", "#c83c32")) == 0  # the paper around a card


def page(light=1.0, ink=(0.1, 0.1, 0.1), grey=None):
    """Strokes on paper of 300 px in some light."""
    share = np.ones((300, 300, 3))
    share[60:240, 100:106] = share[60:66, 100:220] = share[200:206, 100:240] = ink
    if grey is not None:
        share[110:180, 130:210] = grey
    return Picture(frozen_array(np.rint(245 * share * light).astype(np.uint8)))


def test_a_page_is_a_page_in_any_light():
    y, x = np.mgrid[:300, :300] / 300
    shadow = 1 - 0.35 / (1 + np.exp(-(x + y - 1.1) * 14))
    for light in (1.0, (1 - 0.3 * x)[..., None], shadow[..., None], np.array([1.0, 0.93, 0.8])):
        assert page_of(page(light)) is not None
    assert page_of(page(ink=(0.8, 0.1, 0.1))) is None  # red is a colour
    assert page_of(page(grey=0.55)) is None  # a drawn grey ends at an edge


@pytest.mark.parametrize(("changed", "cleared"), [
    ({"colours": 3}, {"colours", "layering", "order"}), ({"reading": "tone"}, set(Settled.__dataclass_fields__)),
    ({"smallest_mm": 2.0}, set()), ({"order": ("#112233",)}, {"order"}), ({"layering": "lean"}, {"layering", "order"}),
    ({"ground": "keep"}, {"has_ground"}), ({"cut_off": 90}, {"cut_off"})])
def test_a_choice_is_asked_anew_by_its_own_settings_alone(changed, cleared):
    from dataclasses import replace

    first = settled_with(Recipe(), Settled("colour", 5, 120, True, BASED, ("#112233", "#445566")))
    after = carried(first, replace(Recipe(), **changed))
    gone = {name for name in Settled.__dataclass_fields__
            if getattr(after.settled, name) != getattr(first.settled, name)}
    assert gone == cleared
    assert as_settled(first).reading == "colour" and as_settled(first).colours == 5


def _house(roof, jpeg_quality=None):
    y, x = np.mgrid[:600, :600]
    body = (x >= 150) & (x < 450) & (y >= 270) & (y < 510)
    top = (y < 270) & (y >= 110) & (np.abs(x - 300) < (y - 110) * 1.1)
    door = (x >= 260) & (x < 340) & (y >= 360) & (y < 510)
    pixels = np.full((600, 600, 3), 255, np.uint8)
    pixels[body & ~door], pixels[top] = (26, 26, 26), roof
    if jpeg_quality is not None:
        buffer = io.BytesIO()
        Image.fromarray(pixels).save(buffer, "JPEG", quality=jpeg_quality)
        pixels = np.asarray(Image.open(buffer).convert("RGB"))
    return Picture(frozen_array(pixels))


@pytest.mark.parametrize("quality", [None, 70])
@pytest.mark.parametrize("roof", [(136, 136, 136), (208, 208, 208), (228, 228, 228), (232, 216, 176)])
def test_a_light_roof_belongs_to_the_silhouette_and_is_a_colour(roof, quality):
    picture = _house(roof, quality)
    drawn = Pipeline().evaluate(picture, Recipe())
    assert drawn.reading == "colour" and len(drawn.plans) == 2
    dark = Pipeline().evaluate(picture, Recipe(reading="tone"))
    (sheet,) = dark.layers
    wanted = (300 * 240 - 80 * 150 + 1.1 * 160**2) * dark.mm_per_px**2
    assert sheet.area_mm2 == pytest.approx(wanted, rel=0.01)


def test_a_whitish_spot_in_a_counter_is_paper():
    y, x = np.mgrid[:500, :500]
    away = np.hypot(x - 250, y - 250)
    pixels = np.full((500, 500, 3), 255, np.uint8)
    pixels[(away < 190) & (away > 100)], pixels[away < 30] = 17, 230
    (sheet,) = Pipeline().evaluate(Picture(frozen_array(pixels)), Recipe()).layers
    assert (sheet.outline.pieces, sheet.outline.holes) == (1, 1)


def _eyes(radius):
    """Two colours on white, with white of a radius in it."""
    y, x = np.mgrid[:500, :500]
    pixels = np.full((500, 500, 3), 255, np.uint8)
    pixels[np.hypot(x - 250, y - 250) < 200] = (216, 73, 63)
    pixels[np.hypot(x - 250, y - 350) < 60] = (38, 50, 79)
    for at in (190, 310):
        pixels[np.hypot(x - at, y - 200) < radius] = 255
    return Picture(frozen_array(pixels))


def test_white_within_a_drawing_is_a_sheet_with_a_question_and_worn_specks_are_none():
    cut = Pipeline().evaluate(_eyes(30), Recipe())
    (asked,) = [f for f in cut.findings if f.code == "proposal.enclosed"]
    assert "2 places" in asked.message and asked.key in {x.plan.key for x in cut.layers}
    assert np.hypot(asked.x_px - 190, asked.y_px - 200) < 25 or np.hypot(asked.x_px - 310, asked.y_px - 200) < 25
    left_open = Pipeline().evaluate(cut.picture, mended(asked, cut))
    assert len(left_open.layers) == len(cut.layers) - 1
    assert "proposal.enclosed" not in {f.code for f in left_open.findings}
    worn = Pipeline().evaluate(_eyes(4), Recipe(smallest_mm=0.0))
    assert len(worn.layers) == 2 and worn.layers[0].outline.holes == 2
    assert "proposal.enclosed" not in {f.code for f in worn.findings}


def _sticker(side, soft):
    """A core with a blurred edge on a plate; ``soft`` the blur as a share of the side."""
    y, x = (np.mgrid[:side, :side] + 0.5) / side - 0.5
    away = np.hypot(x, y)
    core, plate = ndimage.gaussian_filter((away < 0.28).astype(float), soft * side), away < 0.42
    mixed = core[..., None] * (38, 50, 79) + (1 - core[..., None]) * (242, 182, 50)
    return Picture(frozen_array(np.where(plate[..., None], mixed, 255).round().astype(np.uint8)))


@pytest.mark.parametrize("soft", [0.004, 0.008])
@pytest.mark.parametrize("side", [350, 550, 825, 1100, 1600])
def test_a_blurred_edge_is_no_sheet_whatever_the_size(side, soft):
    work = Pipeline().evaluate(_sticker(side, soft), Recipe())
    assert len(work.layers) == 2 and "proposal.band" not in {f.code for f in work.findings}


def test_a_drawn_ring_between_two_colours_stays_a_sheet():
    for side in (350, 1100):
        y, x = (np.mgrid[:side, :side] + 0.5) / side - 0.5
        away = np.hypot(x, y)
        pixels = np.full((side, side, 3), 255, np.uint8)
        for radius, colour in ((0.42, (242, 182, 50)), (0.3, (140, 116, 65)), (0.27, (38, 50, 79))):
            pixels[away < radius] = colour
        work = Pipeline().evaluate(Picture(frozen_array(pixels)), Recipe())
        assert len(work.layers) == 3 and "proposal.band" not in {f.code for f in work.findings}


def test_a_soft_edge_asked_for_as_a_colour_is_offered_to_be_joined():
    work = Pipeline().evaluate(_sticker(1100, 0.008), Recipe(palette=tuple(
        PaletteEntry((h,)) for h in ("#ffffff", "#f2b632", "#26324f", "#8c7441"))))
    (asked,) = [f for f in work.findings if f.code == "proposal.band"]
    assert asked.key == "#8c7441" and len(work.layers) == 3
    joined = Pipeline().evaluate(work.picture, mended(asked, work))
    assert len(joined.layers) == 2 and "proposal.band" not in {f.code for f in joined.findings}


def test_bands_by_hand():
    """A band of width 2 and length 100 between a dark core and a light plate; lengths and areas worked by hand."""
    lab = np.array([[20, 0, 0], [45, 0, 0], [80, 0, 0], [100, 0, 0]], float)
    boundary = np.array([[0, 100, 0, 0], [100, 0, 100, 0], [0, 100, 0, 300], [0, 0, 300, 0]], float)
    (band,) = bands_of(boundary, [1000, 200, 5000], lab, 6.0)
    assert band == (1, 0, 2, 2.0)
    assert bands_of(boundary, [1000, 2000, 5000], lab, 6.0) == []  # too wide
    lab[1] = (50, 40, 0)
    assert bands_of(boundary, [1000, 200, 5000], lab, 6.0) == []  # a colour of its own
