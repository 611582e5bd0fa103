"""Palettes: what is a colour of the picture and what is not."""

import io
import itertools
from types import SimpleNamespace

import cv2
import numpy as np
import pytest
from PIL import Image

import shapes
from sketchloom.core.base.colour import ciede2000, from_hex, srgb_to_lab
from sketchloom.core.picture.decode import decode
from sketchloom.core.segment import thin
from sketchloom.core.segment.palette import find_colours, has_rings, noise_level, noise_of
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.recipe.document import Recipe

WHITE, NAVY, RED = (255, 255, 255), (30, 53, 87), (181, 72, 60)


def painted(parts, ground=WHITE, size=240):
    pixels = np.zeros((size, size, 3)) + np.array(ground)
    for inside, colour in parts:
        cover = shapes.cover_of(inside, size)[..., None]
        pixels = pixels * (1 - cover) + np.array(colour) * cover
    return np.rint(pixels).astype(np.uint8)


def found(pixels, quality=None):
    if quality is not None:
        buffer = io.BytesIO()
        Image.fromarray(pixels).save(buffer, "JPEG", quality=quality)
        pixels = np.asarray(Image.open(buffer).convert("RGB"))
    tree = find_colours(shapes.picture(pixels))
    return tree.palette(tree.proposed)


def matched(have, wanted):
    gap = ciede2000(srgb_to_lab(np.array(wanted, float))[:, None], srgb_to_lab(have)[None])
    return len(have) == len(wanted) and (gap.min(1) < 5).all()


DISCS = [(shapes.disc(90, 100, 60), NAVY), (shapes.disc(170, 150, 45), RED)]


def test_fringes_are_never_colours():
    assert matched(found(painted(DISCS)), [WHITE, NAVY, RED])


@pytest.mark.parametrize("quality", [90, 60, 40])
def test_compression_makes_no_colours(quality):
    assert matched(found(painted(DISCS), quality), [WHITE, NAVY, RED])


def test_near_shades_of_real_areas_stay_apart():
    near = (240, 240, 240)
    assert matched(found(painted([*DISCS, (shapes.disc(60, 200, 30), near)])), [WHITE, NAVY, RED, near])


def test_a_small_compact_colour_is_kept():
    """0.3 % of the area is a disc of 7.4 px radius in 240 x 240."""
    gold = (227, 174, 74)
    assert matched(found(painted([*DISCS, (shapes.disc(90, 100, 7.4), gold)])), [WHITE, NAVY, RED, gold])


def test_a_colour_of_thin_strokes_only_is_found():
    def stroke(x, y):
        return (np.abs(y - 200 - 0.1 * x) < 0.9) & (x > 20) & (x < 220)
    assert matched(found(painted([*DISCS, (stroke, (10, 120, 60))])), [WHITE, NAVY, RED, (10, 120, 60)])


def test_thin_posts_of_no_common_colour_on_a_clear_ground_end_nothing():
    """Strokes of which every pixel is another colour, with nothing else in the picture: no seed is found at all."""
    rng = np.random.default_rng(0)
    rgb = rng.integers(0, 256, (60, 80, 3)).astype(np.uint8)
    busy = np.zeros((60, 80), bool)
    busy[:, 5::9] = True
    posts = SimpleNamespace(rgb=rgb, alpha=np.where(busy, 255, 0).astype(np.uint8), field=rgb.astype(np.float32))
    none = np.empty((0, 3))
    assert [len(part) for part in thin.thin_colours(posts, busy, none, 0.0)] == [0, 0]
    assert thin.bled_modes(rgb, busy, none, np.empty(0), 0.0).shape == (0,)
    picture = shapes.picture(rgb, posts.alpha)
    assert Pipeline().evaluate(picture, Recipe()).traced.planar.euler_excess() == 0


def test_a_gradient_is_not_a_hundred_colours():
    ramp = np.zeros((200, 300, 3), np.uint8) + np.linspace(40, 220, 300).astype(np.uint8)[None, :, None]
    assert len(found(ramp)) <= 12


def test_every_count_comes_from_one_tree():
    tree = find_colours(shapes.picture(painted(DISCS)))
    sets = [{tuple(c) for c in tree.palette(n)} for n in range(1, len(tree.colours) + 1)]
    assert [len(s) for s in sets] == list(range(1, len(sets) + 1))
    assert all(small <= large for small, large in itertools.pairwise(sets))


def test_noise_is_told_from_clean_edges():
    clean = shapes.picture(painted(DISCS))
    assert noise_level(clean.local_range) == 0.0
    rng = np.random.default_rng(1)
    grainy = np.clip(painted(DISCS) + rng.normal(0, 4, (240, 240, 1)), 0, 255).astype(np.uint8)
    assert noise_level(shapes.picture(grainy).local_range) > 5


def test_the_same_bytes_give_the_same_palette():
    data = shapes.png(painted(DISCS))
    one, two = (find_colours(decode(data, "a")).colours for _ in range(2))
    assert one.tobytes() == two.tobytes() and from_hex("#b5483c").tolist() in one.round().tolist()


@pytest.mark.parametrize("radius", [6, 9])
def test_a_small_eye_is_kept_through_compression(radius):
    """0.3 to 0.6 % of the picture, compact, far from every other colour; no pixel of it is flat."""
    cover = shapes.cover_of(shapes.disc(100, 100, 80), 200)
    pixels = shapes.colour_of(cover, (243, 173, 97), (255, 255, 255)).astype(float)
    for x, ink in ((70.3, (33, 33, 33)), (128.8, (248, 49, 47))):
        eye = shapes.cover_of(shapes.disc(x, 92.4, radius), 200)[..., None]
        pixels = pixels * (1 - eye) + np.array(ink) * eye
    buffer = io.BytesIO()
    Image.fromarray(np.rint(pixels).astype(np.uint8)).save(buffer, "JPEG", quality=40)
    tree = find_colours(shapes.picture(np.asarray(Image.open(buffer).convert("RGB"))))
    found = srgb_to_lab(tree.palette(tree.proposed))
    for ink in ((33, 33, 33), (248, 49, 47), (243, 173, 97), (255, 255, 255)):
        assert ciede2000(found, srgb_to_lab(np.array(ink, float))).min() < 11  # tinted by its surroundings
    assert tree.proposed <= 5


def busy(size=260, seed=4):
    """Many small discs in flat colours: hardly a pixel far from an edge."""
    rng = np.random.default_rng(seed)
    big = np.full((size * 4, size * 4, 3), 250, np.uint8)
    for _ in range(90):
        x, y, r = rng.integers(0, size * 4, 2).tolist() + [int(rng.integers(30, 90))]
        colour = [(230, 60, 50), (40, 90, 160), (250, 200, 60), (30, 30, 35)][int(rng.integers(4))]
        cv2.circle(big, (x, y), r, colour, -1)
    return cv2.resize(big, (size, size), interpolation=cv2.INTER_AREA)


@pytest.mark.parametrize("quality", [30, 50, 75])
def test_compression_is_seen_however_many_edges_there_are(quality):
    rgb = busy()
    assert noise_of(shapes.picture(rgb)) == 0.0
    _, data = cv2.imencode(".jpg", rgb[..., ::-1], [cv2.IMWRITE_JPEG_QUALITY, quality])
    again = np.ascontiguousarray(cv2.imdecode(data, cv2.IMREAD_COLOR)[..., ::-1])
    assert noise_of(shapes.picture(again)) > 2


def test_slow_shading_has_no_rings():
    ramp = np.repeat(np.linspace(40, 220, 300)[None], 200, 0)
    rgb = np.repeat(np.rint(ramp)[..., None], 3, 2).astype(np.uint8)
    rgb[60:140, 100:200] = (20, 60, 120)
    assert not has_rings(shapes.picture(rgb).local_range)


def test_no_large_colour_is_merged_away_where_there_are_many():
    """Fifteen colours, a yellow of an eighth of the picture among them, and grain that makes the count go down."""
    rng = np.random.default_rng(2)
    rgb = np.full((300, 300, 3), 245, np.int16)
    for k in range(14):
        x, y = 20 * (k % 7) * 2, 190 + 50 * (k // 7)
        rgb[y:y + 40, x:x + 36] = rng.integers(20, 235, 3)
    rgb[20:130, 30:132] = (250, 240, 120)
    grainy = (rgb + rng.normal(0, 3.0, rgb.shape)).clip(0, 255).astype(np.uint8)
    tree = find_colours(shapes.picture(grainy))
    yellow = srgb_to_lab(np.array([[250.0, 240.0, 120.0]]))
    assert ciede2000(srgb_to_lab(tree.palette(tree.proposed)), yellow).min() < 6
