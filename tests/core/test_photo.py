"""The photo reading: levels, steps, and the small details a face needs."""

from dataclasses import replace

import numpy as np
import pytest
from skimage import data
from skimage.filters import threshold_multiotsu

import shapes
from sketchloom.core.judge.fitness import measure
from sketchloom.core.judge.reading import proposed_reading
from sketchloom.core.picture.picture import Picture, frozen_array
from sketchloom.core.segment import levels, photo
from sketchloom.core.segment.palette import find_colours
from sketchloom.core.segment.tone import otsu_threshold, tones
from sketchloom.desk import figures
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.recipe.document import Recipe


@pytest.mark.parametrize("steps", [2, 3, 4])
def test_levels_agree_with_a_general_librarys(steps):
    """scikit-image's threshold_multiotsu searches all combinations."""
    rng = np.random.default_rng(steps)
    grey = (
        np.clip(np.concatenate([rng.normal(m, 14, 4000) for m in (40, 95, 150, 215)]), 0, 255)
        .astype(np.uint8)
        .reshape(80, -1)
    )
    assert (
        levels.tone_levels(tones(grey), steps).tolist()
        == threshold_multiotsu(grey, steps, nbins=256).astype(int).tolist()
    )


def test_two_tones_are_otsus():
    rng = np.random.default_rng(1)
    grey = (
        np.clip(np.concatenate([rng.normal(60, 20, 5000), rng.normal(190, 25, 3000)]), 0, 255)
        .astype(np.uint8)
        .reshape(80, -1)
    )
    assert levels.tone_levels(tones(grey), 2)[0] == otsu_threshold(grey)


def test_a_step_lies_where_the_tone_crosses_its_level():
    """A plane of tone: the boundary must be the straight line where it equals the level."""
    y, x = np.mgrid[:240, :240] + 0.5
    tone = 20 + 0.6 * x + 0.25 * y
    steps = photo.tone_steps(shapes.picture(np.rint(tone).astype(np.uint8)), 2, 3.0)
    share = (steps.picture.rgb[..., 0].astype(float) - steps.colours[0, 0]) / (
        float(steps.colours[1, 0]) - steps.colours[0, 0]
    )
    # area right of the line in the middle rows tells where it runs
    rows = slice(60, 180)
    found = 240 - share[rows].sum(1)
    want = (steps.levels[0] + 0.5 - 20 - 0.25 * (np.arange(60, 180) + 0.5)) / 0.6
    assert np.abs(found - want).max() < 1.0 and abs((found - want).mean()) < 0.3


@pytest.mark.parametrize("tones_wanted", [2, 5, 8])
def test_as_many_layers_as_tones(tones_wanted):
    y, x = np.mgrid[:200, :200]
    pixels = np.rint(255 * (x + y) / 400).astype(np.uint8)
    work = Pipeline().evaluate(shapes.picture(pixels), Recipe(reading="photo", tones=tones_wanted))
    assert len(work.layers) == tones_wanted and work.reading == "photo"
    # levels across a plane of tone are straight: one piece a layer, hardly a node
    assert all(x.outline.pieces == 1 for x in work.layers)


def test_an_eye_stays_and_a_freckle_goes():
    _y, x = np.mgrid[:400, :400] + 0.5
    face = 215 - 0.12 * x
    eye = shapes.cover_of(shapes.disc(150, 150, 8), 400)
    freckle = shapes.cover_of(shapes.disc(250, 250, 5), 400)
    pixels = np.rint(face * (1 - eye) + 15 * eye - 22 * freckle).astype(np.uint8)
    pixels[300:] = 20
    picture = shapes.picture(pixels)
    recipe = Recipe(reading="photo", tones=4, size_mm=100.0, smallest_mm=6.0)
    def at(work):
        return work.segmentation.labels[150, 150] == work.segmentation.labels[390, 200]
    assert at(Pipeline().evaluate(picture, recipe))
    assert not at(Pipeline().evaluate(picture, replace(recipe, features=False)))


def test_what_is_transparent_does_not_choose_the_levels():
    _y, x = np.mgrid[:240, :240]
    pixels = np.rint(120 + 100 * x / 240).astype(np.uint8)
    pixels[:, :120] = 10  # dropped
    alpha = np.where(x < 120, 0, 255).astype(np.uint8)
    whole, freed = (photo.tone_steps(shapes.picture(pixels, a), 3, 2.0).levels for a in (None, alpha))
    assert whole[0] < 150 < 170 < freed[0]


def test_outlines_are_drawn_in_the_darkest_tone():
    pixels = np.full((200, 200), 190, np.uint8)
    pixels[:, 98:103] = 120  # a line, too pale to be a tone of its own
    pixels[:30] = 30
    plain, lined = (photo.tone_steps(shapes.picture(pixels), 2, 3.0, outlines) for outlines in (False, True))
    assert lined.picture.rgb[120, 100, 0] < 60
    assert abs(int(plain.colours[0, 0]) - 30) < 60


@pytest.mark.parametrize(
    "photo_of, smallest_mm, eyes",
    [
        (lambda: data.chelsea(), 8.0, ((174, 116), (316, 133))),
        (lambda: data.astronaut()[:200, 130:320], 4.0, ((72, 101),)),
    ],
)
def test_eyes_of_photographs_stay(photo_of, smallest_mm, eyes):
    """A cat and a portrait, open pictures that come with scikit-image; where the eyes are was seen by eye."""
    picture = shapes.picture(np.ascontiguousarray(photo_of()))
    recipe = Recipe(reading="photo", tones=4, size_mm=60.0, smallest_mm=smallest_mm)
    darkest = []
    for features in (False, True):
        labels = Pipeline().evaluate(picture, replace(recipe, features=features)).segmentation.labels
        darkest.append([int(labels[y - 3:y + 4, x - 3:x + 4].min()) for x, y in eyes])
    assert sum(darkest[1]) < sum(darkest[0]), "an eye that was lost without is there with"
    assert all(a <= b for a, b in zip(darkest[1], darkest[0], strict=False))


def test_the_close_look_shows_what_is_cut_either_way():
    picture = shapes.picture(np.ascontiguousarray(data.chelsea()))
    recipe = Recipe(reading="photo", tones=4, size_mm=60.0, smallest_mm=8.0)
    kept, lost = (Pipeline().evaluate(picture, replace(recipe, features=on)) for on in (True, False))
    details = lost.segmentation.details
    assert len(details.places) and np.array_equal(details.without, lost.segmentation.labels)
    assert np.array_equal(details.kept(), kept.segmentation.labels)
    one, other = figures.face_preview(kept), figures.face_preview(lost)
    for a, b in ((one.source, other.source), (one.without, other.without), (one.kept, other.kept)):
        assert np.array_equal(a, b)
    assert one.count >= 1 and (one.without != one.kept).any()
    side = round(0.3 * picture.width)
    assert one.source.shape == (side, side, 3)
    # a place at the edge gives a whole square all the same, and one without details looks alike either way
    corner = figures.face_preview(kept, (1.0, 1.0))
    assert np.array_equal(corner.source, picture.rgb[-side:, -side:])
    assert corner.count == 0 and np.array_equal(corner.without, corner.kept)


@pytest.mark.parametrize("name", ["camera", "clock", "moon", "coins", "coffee", "rocket", "chelsea"])
def test_a_general_librarys_photographs_are_read_as_photographs(name):
    """scikit-image's own; three of them grey and of few tones."""
    pixels = getattr(data, name)()
    rgb = np.ascontiguousarray(np.stack([pixels] * 3, -1) if pixels.ndim == 2 else pixels[..., :3])
    picture = Picture(frozen_array(rgb))
    assert proposed_reading(picture, measure(picture), find_colours(picture)) == "photo"
