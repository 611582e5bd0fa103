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
from sketchloom.core.segment import fringes
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
    def away(x, y):
        return np.abs(y - 30 - slope * (x - 60)) / np.hypot(1, slope)
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
    def boards(x):
        return ((x[:-1, :-1] == x[1:, 1:]) & (x[:-1, 1:] == x[1:, :-1]) & (x[:-1, :-1] != x[:-1, 1:])).sum()
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
    picture = shapes.picture(
        np.zeros((80, 80, 3), np.uint8) + np.array(GOLD, np.uint8), np.rint(255 * cover).astype(np.uint8)
    )
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
        out = fringes.dissolve_bleeding(labels, values, field, 9.0)
        assert (out == number).any() == stays


def jpeg(pixels, quality):
    buffer = io.BytesIO()
    Image.fromarray(pixels).save(buffer, "JPEG", quality=quality)
    return np.asarray(Image.open(buffer).convert("RGB"))


SKY, DEEP, PALE = (0, 166, 235), (0, 116, 186), (244, 244, 244)


def sky_and_deep(size=200):
    """A light blue disc on white with a band of a deeper blue inside: ringing darkens the disc's rim."""
    cover = shapes.cover_of(shapes.disc(100, 100, 80), size)
    pixels = shapes.colour_of(cover, SKY, WHITE)
    pixels[80:110, 40:160] = DEEP
    return pixels


def test_ringing_along_an_edge_is_not_the_deeper_shade_inside():
    labels = labelling.colour_labels(shapes.picture(jpeg(sky_and_deep(), 40)), [WHITE, SKY, DEEP], noise=9.0)
    labels = merge_small(labels, 6).labels  # crumbs go by themselves
    band = np.zeros(labels.shape, bool)
    band[74:116, 34:166] = True
    assert (labels == 2)[78:112, 42:158].mean() > 0.8
    assert not (labels == 2)[~band].any()


def test_an_outline_a_little_darker_than_both_sides_stays_when_it_runs_along():
    """Two pixels wide and all around: drawn, not rung."""
    size = 200
    pixels = shapes.colour_of(shapes.cover_of(shapes.disc(100, 100, 80), size), (0, 40, 120), WHITE)
    inner = shapes.cover_of(shapes.disc(100, 100, 77.5), size)[..., None]
    pixels = np.rint(pixels * (1 - inner) + np.array(SKY) * inner).astype(np.uint8)
    labels = labelling.colour_labels(shapes.picture(jpeg(pixels, 60)), [WHITE, SKY, (0, 40, 120)], noise=7.0)
    around = [(labels[int(100 + 78.7 * np.sin(a)) - 1:int(100 + 78.7 * np.sin(a)) + 2,
                      int(100 + 78.7 * np.cos(a)) - 1:int(100 + 78.7 * np.cos(a)) + 2] == 2).any()
              for a in np.linspace(0, 2 * np.pi, 90, endpoint=False)]
    assert np.mean(around) > 0.95


def test_faint_specks_of_compression_are_grain_and_clean_ones_are_drawn():
    pixels = np.full((120, 120, 3), 244, np.uint8)
    pixels[20:100, 20:50] = (190, 30, 60)
    pixels[60:63, 80:86] = 255
    clean = labelling.colour_labels(shapes.picture(pixels), [PALE, WHITE, (190, 30, 60)])
    assert (clean == 1).sum() >= 10
    noisy = labelling.colour_labels(shapes.picture(jpeg(pixels, 40)), [PALE, WHITE, (190, 30, 60)], noise=8.0)
    assert not (noisy == 1).any()


def test_blurred_colour_at_an_edge_is_not_the_brown_that_the_picture_has_elsewhere():
    """Compression halves the colour of a yellow edge and keeps its luma: nearer to brown than to yellow or white."""
    size, yellow, brown = 240, (255, 176, 46), (225, 151, 71)
    pixels = shapes.colour_of(shapes.cover_of(shapes.ellipse(110, 130, 95, 60, 0.7), size), yellow, WHITE)
    block = np.zeros((size, size), bool)
    block[10:40, 180:225] = True
    pixels[block] = brown
    labels = labelling.colour_labels(shapes.picture(jpeg(pixels, 40)), [WHITE, yellow, brown], noise=9.0)
    labels = merge_small(labels, 6).labels  # crumbs go by themselves
    assert not (labels == 2)[~cv2.dilate(block.astype(np.uint8), np.ones((9, 9), np.uint8)).astype(bool)].any()
    assert (labels == 2)[block].mean() > 0.9
