"""Freeing a picture of its background: colours, strokes, areas, paper, the edge, snapping."""

import cv2
import numpy as np
import pytest
from skimage.segmentation import flood

import shapes
from sketchloom.core.background.mask import colour_distance, freed, kept_alpha, near_colour
from sketchloom.core.background.snapping import EdgePaths
from sketchloom.core.background.steps import NOTHING, Background, BackgroundStep
from sketchloom.core.base.colour import srgb_to_lab
from sketchloom.core.base.errors import SettingError
from sketchloom.core.picture.decode import decode
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.files.demo_works import demo
from sketchloom.recipe.document import Recipe, from_json, to_json

SIZE = 200
RING = shapes.cover_of(lambda x, y: abs(np.hypot(x - 100, y - 100) - 60) < 12, SIZE)


def ring():
    """A red ring on white: paper outside and inside."""
    return shapes.picture(shapes.colour_of(RING, (200, 40, 40), (255, 255, 255)))


def test_touching_and_everywhere():
    touching = kept_alpha(ring(), Background((BackgroundStep("colour", points=((0.02, 0.02),), tolerance=20),)))
    assert touching[2, 2] == 0 and touching[100, 100] == 255 and touching[100, 42] == 255
    everywhere = kept_alpha(
        ring(), Background((BackgroundStep("colour", points=((0.02, 0.02),), tolerance=20, everywhere=True),))
    )
    assert everywhere[100, 100] == 0 and everywhere[100, 42] == 255


def test_the_touching_region_is_a_general_librarys_flood():
    """scikit-image's flood on the same CIELAB distances."""
    rng = np.random.default_rng(3)
    pixels = cv2.GaussianBlur(rng.integers(0, 255, (90, 120, 3), dtype=np.uint8), (0, 0), 4)
    picture = shapes.picture(pixels)
    for x, y, tolerance in ((0.5, 0.5, 4.0), (0.1, 0.9, 9.0), (0.8, 0.2, 15.0)):
        own = near_colour(picture, x, y, tolerance, False)
        column, row = int(x * 120), int(y * 90)
        seed = srgb_to_lab(np.median(pixels[row - 1:row + 2, column - 1:column + 2].reshape(-1, 3), axis=0)[None])
        distance = colour_distance(picture, x, y)
        assert np.abs(distance - np.sqrt(((srgb_to_lab(pixels.astype(float)) - seed) ** 2).sum(-1))).max() < 0.5
        near = distance <= tolerance
        near[row, column] = True
        assert np.array_equal(own, flood(near.astype(int), (row, column), connectivity=1))


def test_areas_add_take_away_and_the_first_kept_drops_the_rest():
    square = tuple((x, y) for x, y in ((0.2, 0.2), (0.6, 0.2), (0.6, 0.6), (0.2, 0.6)))
    small = tuple((0.4 + 0.1 * x, 0.4 + 0.1 * y) for x, y in ((0, 0), (1, 0), (1, 1), (0, 1)))
    only = (
        kept_alpha(ring(), Background((BackgroundStep("area", True, square), BackgroundStep("area", False, small))))
        > 127
    )
    assert only[50, 50] and not only[150, 150] and not only[90, 90]
    assert only.mean() == pytest.approx(0.16 - 0.01, abs=0.003)
    both = (
        kept_alpha(ring(), Background((BackgroundStep("area", True, small), BackgroundStep("area", True, square))))
        > 127
    )
    assert both.mean() == pytest.approx(0.16, abs=0.003)


@pytest.mark.parametrize("move", [-4.0, 0.0, 3.0])
def test_the_edge_moves_by_as_many_pixels_as_asked(move):
    cover = shapes.cover_of(shapes.disc(100, 100, 60), SIZE)
    picture = shapes.picture(shapes.colour_of(cover, (200, 40, 40), (255, 255, 255)))
    alpha = kept_alpha(
        picture, Background((BackgroundStep("colour", points=((0.02, 0.02),), tolerance=60),), move_px=move)
    )
    assert np.sqrt(alpha.sum() / 255 / np.pi) == pytest.approx(60 + move, abs=0.7)


def test_paper_goes_with_its_watermark_in_one_step():
    _y, x = np.mgrid[:SIZE, :SIZE] + 0.5
    paper = (245 - 0.1 * x)[..., None] * [1.0, 0.98, 0.94]
    mark = shapes.cover_of(shapes.disc(60, 140, 40), SIZE)[..., None] * 14
    ink = shapes.cover_of(shapes.disc(120, 70, 35), SIZE)[..., None]
    pixels = np.rint((paper - mark) * (1 - ink) + 40 * ink).astype(np.uint8)
    kept = kept_alpha(shapes.picture(pixels), Background((BackgroundStep("paper"),))) > 127
    assert ((kept > 0) == (ink[..., 0] > 0.5)).mean() > 0.99


def test_the_files_own_transparency_stays_soft_and_can_be_left_aside():
    alpha = np.rint(255 * shapes.cover_of(shapes.disc(100, 100, 50), SIZE)).astype(np.uint8)
    picture = shapes.picture(np.full((SIZE, SIZE, 3), 90, np.uint8), alpha)
    assert freed(picture, NOTHING) is picture
    assert freed(picture, Background(own_alpha=False)).alpha is None
    half = tuple((x, y) for x, y in ((0, 0), (0.5, 0), (0.5, 1), (0, 1)))
    left = kept_alpha(picture, Background((BackgroundStep("area", True, half),)))
    assert (left <= alpha).all() and left[100, 150] == 0 and left[100, 60] == 255


def test_two_strokes_part_a_boat_from_evening_water():
    one = demo("boat")
    picture = decode(one.picture_path.read_bytes(), one.file_name)
    keep = BackgroundStep("stroke", True, ((0.33, 0.62), (0.5, 0.64), (0.68, 0.6), (0.55, 0.5), (0.5, 0.42)))
    drop = BackgroundStep(
        "stroke",
        False,
        ((0.1, 0.3), (0.3, 0.15), (0.8, 0.2), (0.9, 0.5), (0.9, 0.8), (0.5, 0.9), (0.1, 0.8), (0.1, 0.5)),
    )
    kept = kept_alpha(picture, Background((keep, drop))) > 127
    corners = [((240, 560), (500, 560), (430, 720), (330, 700)), ((500, 560), (790, 560), (690, 712), (430, 720)),
               ((370, 560), (510, 330), (560, 560)), ((560, 560), (510, 330), (650, 560))]
    truth = np.zeros(kept.shape, np.uint8)
    for part in corners:  # as the demo draws its facets
        cv2.fillPoly(truth, [np.rint(np.array(part) * kept.shape[0] / 1000).astype(np.int32)], 1)
    assert (kept == (truth > 0)).mean() > 0.98
    again = kept_alpha(picture, Background((keep, drop))) > 127
    assert np.array_equal(kept, again)


def test_one_stroke_alone_has_the_border_against_it():
    cover = shapes.cover_of(shapes.disc(100, 100, 45), SIZE)
    picture = shapes.picture(shapes.colour_of(cover, (200, 40, 40), (230, 230, 210)))
    kept = kept_alpha(picture, Background((BackgroundStep("stroke", True, ((0.45, 0.5), (0.55, 0.5))),))) > 127
    assert (kept == (cover > 0.5)).mean() > 0.995


def test_the_snapping_outline_follows_an_edge():
    cover = shapes.cover_of(shapes.disc(100, 100, 60), SIZE)
    paths = EdgePaths(shapes.picture(shapes.colour_of(cover, (40, 60, 120), (240, 230, 200))))
    # from the left of the disc over its top to the right, with anchors two pixels off
    path = np.array(paths.between((0.19, 0.5), (0.5, 0.19)) + paths.between((0.5, 0.19), (0.81, 0.5))) * SIZE
    away = np.abs(np.hypot(*(path - 100).T) - 60)
    assert np.median(away) < 1.2 and away.max() < 4


def test_a_freed_picture_is_traced_without_its_ground():
    step = BackgroundStep("colour", points=((0.02, 0.02),), tolerance=30, everywhere=True)
    recipe = Recipe(reading="colour", size_mm=float(SIZE), background=Background((step,)))
    work = Pipeline().evaluate(ring(), recipe)
    assert [x.plan.hex for x in work.layers] == ["#c82828"]
    assert work.layers[0].area_mm2 == pytest.approx(np.pi * (72**2 - 48**2), rel=0.004)
    assert from_json(to_json(recipe)) == recipe


@pytest.mark.parametrize(
    "wrong",
    [
        {"kind": "wand"},
        {"kind": "area", "points": ((0, 0),)},
        {"kind": "colour", "points": ((2.0, 0.0),)},
        {"kind": "stroke", "points": ((0.1, 0.1),), "width": 4.0},
    ],
)
def test_wrong_steps_are_refused(wrong):
    with pytest.raises(SettingError, match="background"):
        BackgroundStep(**wrong)
