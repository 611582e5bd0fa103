"""Judgement of pictures: each fault is told, and a clean picture has none."""

import cv2
import numpy as np
import pytest

import shapes
from sketchloom.core.judge import fitness
from sketchloom.core.judge.faults import NONE
from sketchloom.core.judge.reading import proposed_reading
from sketchloom.core.picture.decode import decode
from sketchloom.core.preflight.source_rules import check_source
from sketchloom.core.segment.palette import find_colours
from sketchloom.files.demo_works import DEMOS, demo

NAVY, WHITE = (30, 53, 87), (255, 255, 255)


def badge(size=300):
    cover = shapes.cover_of(
        shapes.polygon(shapes.star_corners(size / 2, size / 2, size * 0.45, size * 0.2, 6, 0.1)), size
    )
    return shapes.colour_of(cover, NAVY, WHITE)


def codes(pixels, mm_per_px=0.1):
    picture = shapes.picture(pixels)
    return {f.code for f in check_source(fitness.measure(picture), NONE, picture, mm_per_px)}


def test_a_clean_picture_has_no_findings():
    assert codes(badge()) == set()


def test_few_pixels_for_the_size():
    assert codes(badge(), mm_per_px=1.0) == {"source.small"}
    assert codes(badge(), mm_per_px=0.33) == set()


def test_grain():
    rng = np.random.default_rng(1)
    grainy = np.clip(badge() + rng.normal(0, 6, (300, 300, 1)), 0, 255).astype(np.uint8)
    assert "source.noise" in codes(grainy)


def test_soft_edges():
    assert "source.soft" in codes(cv2.GaussianBlur(badge(), (0, 0), 3.0))


def test_shading_clean_and_grainy():
    ramp = np.zeros((300, 300, 3)) + np.linspace(30, 220, 300)[:, None, None]
    assert "source.shaded" in codes(ramp.astype(np.uint8))
    rng = np.random.default_rng(1)
    assert "source.shaded" in codes(np.clip(ramp + rng.normal(0, 2.5, ramp.shape), 0, 255).astype(np.uint8))


def test_noise_alone():
    rng = np.random.default_rng(1)
    assert "source.noise_only" in codes(rng.integers(0, 255, (200, 200, 3), dtype=np.uint8))


@pytest.mark.parametrize(
    "key, reading", [("lighthouse", "colour"), ("kingfisher", "tone"), ("panel", "tone"), ("boat", "photo")]
)
def test_the_reading_that_suits_the_demo_pictures(key, reading):
    one = demo(key)
    picture = decode(one.picture_path.read_bytes(), one.file_name)
    assert proposed_reading(picture, fitness.measure(picture), find_colours(picture)) == reading


def test_the_demo_pictures_are_judged_as_they_were_drawn():
    told = {}
    for one in DEMOS:
        picture = decode(one.picture_path.read_bytes(), one.file_name)
        told[one.key] = {f.code for f in check_source(fitness.measure(picture), NONE, picture, 0.12)}
    assert told["lighthouse"] == told["panel"] == set()
    assert "source.noise" in told["kingfisher"] and "source.shaded" not in told["kingfisher"]
    assert "source.shaded" in told["boat"]


@pytest.mark.parametrize("noise", [0.0, 3.0])
def test_drawn_greys_are_colours_and_ink_is_not(noise):
    """Three flat greys are three sheets; the same drawing in one ink is a tone picture."""
    rng = np.random.default_rng(1)
    pixels = np.full((300, 300, 3), 255.0)
    for inside, grey in (
        (shapes.disc(120, 150, 80), 99),
        (shapes.disc(200, 150, 60), 211),
        (shapes.disc(120, 150, 30), 33),
    ):
        cover = shapes.cover_of(inside, 300)[..., None]
        pixels = pixels * (1 - cover) + grey * cover
    for picture, wanted in ((pixels, "colour"), (np.where(pixels < 240, 30.0, 255.0), "tone")):
        grainy = np.clip(picture + rng.normal(0, noise, (300, 300, 1)), 0, 255).astype(np.uint8)
        seen = shapes.picture(grainy)
        assert proposed_reading(seen, fitness.measure(seen), find_colours(seen)) == wanted
