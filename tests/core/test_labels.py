"""Labels: fringes dissolve, hairlines hang together, diagonals are joined."""

import io

import cv2
import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from PIL import Image
from scipy import ndimage

import shapes
from sketchloom.core.segment import labels as labelling
from sketchloom.core.segment.merging import merge_small

WHITE, NAVY, RED, GOLD = (255, 255, 255), (30, 53, 87), (181, 72, 60), (227, 174, 74)


def two_discs(size=160):
    pixels = np.zeros((size, size, 3)) + np.array(WHITE)
    for inside, colour in ((shapes.disc(70, 80, 50), NAVY), (shapes.disc(110, 80, 40), GOLD)):
        cover = shapes.cover_of(inside, size)[..., None]
        pixels = pixels * (1 - cover) + np.array(colour) * cover
    return np.rint(pixels).astype(np.uint8)


def regions(labels):
    return sum(ndimage.label(labels == k)[1] for k in np.unique(labels))


def test_two_discs_are_three_regions_though_a_mixture_of_two_looks_like_a_third():
    """Between navy and white lies a grey blue; with that grey blue in the palette no rim of it appears."""
    grey_blue = (142, 154, 171)
    labels = labelling.colour_labels(shapes.picture(two_discs()), [WHITE, NAVY, GOLD, grey_blue])
    assert not (labels == 3).any()
    assert regions(labels) == 3


@pytest.mark.parametrize("quality", [90, 60, 40])
def test_compression_rings_make_no_regions(quality):
    buffer = io.BytesIO()
    Image.fromarray(two_discs()).save(buffer, "JPEG", quality=quality)
    pixels = np.asarray(Image.open(buffer).convert("RGB"))
    labels = labelling.colour_labels(shapes.picture(pixels), [WHITE, NAVY, GOLD], noise=10.0)
    assert len(merge_small(labels, 12).face_label) == 3


@pytest.mark.parametrize("width", [1.5, 2.0, 3.0])
@pytest.mark.parametrize("slope", [0.0, 0.35, 1.0])
def test_a_hairline_stays_one_piece(width, slope):
    away = lambda x, y: np.abs(y - 30 - slope * (x - 60)) / np.hypot(1, slope)  # noqa: E731
    cover = shapes.cover_of(lambda x, y: (away(x, y) <= width / 2) & (x > 20) & (x < 100), 120)
    picture = shapes.picture(shapes.colour_of(cover, RED, WHITE))
    labels = labelling.colour_labels(picture, [WHITE, RED])
    values = labelling.palette_field([WHITE, RED], False)
    joined = labelling.join_diagonals(labels, picture.field, values)
    assert ndimage.label(joined == 1)[1] == 1


@given(st.integers(0, 2**16 - 1))
def test_no_checkerboard_of_two_labels_is_left(seed):
    rng = np.random.default_rng(seed)
    labels = rng.integers(0, 2, (9, 9)).astype(np.uint8)
    field = np.where(labels[..., None] == 1, 255, 0).astype(np.uint8)
    values = np.array([[0.0], [255.0]], np.float32)
    out = labelling.join_diagonals(labels, field, values)
    boards = lambda x: ((x[:-1, :-1] == x[1:, 1:]) & (x[:-1, 1:] == x[1:, :-1]) & (x[:-1, :-1] != x[:-1, 1:])).sum()  # noqa: E731
    assert boards(out) <= boards(labels)


@given(st.integers(1, 24), st.integers(0, 2**16 - 1))
def test_the_table_gives_the_nearest_colour_exactly(count, seed):
    """Against the distance worked out for every pixel."""
    rng = np.random.default_rng(seed)
    values = rng.integers(0, 256, (count, 3)).astype(np.float32)
    field = rng.integers(0, 256, (400, 320, 3)).astype(np.uint8)
    found = labelling.nearest(field, values)
    gap = ((field.reshape(-1, 1, 3).astype(float) - values[None]) ** 2).sum(-1)
    best = gap.min(1)
    assert (gap[np.arange(len(gap)), found.ravel()] <= best + 1e-6).all()


def test_transparent_ground_is_a_label_of_its_own():
    cover = shapes.cover_of(shapes.disc(40, 40, 25), 80)
    picture = shapes.picture(np.zeros((80, 80, 3), np.uint8) + np.array(GOLD, np.uint8), np.rint(255 * cover).astype(np.uint8))
    labels = labelling.colour_labels(picture, [GOLD])
    assert set(np.unique(labels)) == {0, 1} and regions(labels) == 2
    # whole pixels: a circle's edge of 157 px rounds to the one or the other side
    assert abs((labels == 0).sum() - np.pi * 25**2) < 25


def test_uncertain_pixels_lie_on_soft_edges_only():
    picture = shapes.picture(two_discs())
    at = labelling.uncertain_pixels(picture)
    mask = np.zeros(160 * 160, np.uint8)
    mask[at] = 1
    edge = cv2.dilate((picture.local_range > 0).astype(np.uint8), np.ones((3, 3), np.uint8)).ravel()
    assert 100 < mask.sum() < 2500 and not (mask & (1 - edge)).any()


def test_bled_strips_go_back_and_dark_hairlines_stay():
    """A brown strip between yellow and white is what compression makes; a dark line between them is drawn."""
    pixels = np.zeros((60, 90, 3), np.uint8) + np.array(WHITE, np.uint8)
    pixels[:, :44] = (255, 177, 46)
    values = labelling.palette_field([WHITE, (255, 177, 46), (226, 170, 120), (40, 30, 30)], False)
    for number, stays in ((2, False), (3, True)):
        labels = np.where(np.arange(90)[None] < 44, 1, 0).repeat(60, 0).astype(np.uint8)
        labels[:, 43:45] = number
        field = pixels.copy()
        field[:, 43:45] = values[number]
        out = labelling._dissolve_bleeding(labels, values, field, 9.0)
        assert (out == number).any() == stays
