"""Presets as files, and what variants are offered; no window."""

import contextlib
from dataclasses import replace

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

import shapes
from amounts import examples
from sketchloom.core.base.errors import ProjectError, SettingError
from sketchloom.core.base.progress import QUIET
from sketchloom.desk import variants
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.files.demo_works import demo
from sketchloom.files.opening import open_file
from sketchloom.recipe import presets
from sketchloom.recipe.document import Recipe
from sketchloom.recipe.parts import PaletteEntry


def test_a_preset_holds_how_to_read_and_nothing_of_one_picture():
    old = Recipe(
        reading="tone",
        cut_off=90,
        silhouette=True,
        kept=((0.5, 0.5),),
        size_mm=80.0,
        palette=(PaletteEntry(("#112233",)),),
    )
    one = presets.preset_of(" Solid   birds ", old)
    assert one.name == "Solid birds"
    made = one.applied(Recipe(size_mm=150.0, kept=((0.1, 0.1),)))
    assert made.cut_off == 90 and made.silhouette and made.size_mm == 150.0 and made.kept == ((0.1, 0.1),)


def test_presets_go_through_a_file():
    kept = (presets.preset_of("one", Recipe(tones=6)), presets.preset_of("zwei", Recipe(reading="line", pen_mm=1.5)))
    assert presets.from_bytes(presets.to_bytes(kept), "p.json") == kept
    again = presets.with_preset(kept, presets.preset_of("one", Recipe(tones=3)))
    assert [p.name for p in again] == ["zwei", "one"] and again[1].recipe.tones == 3


@pytest.mark.parametrize(
    "data",
    [
        b"",
        b"{",
        b"[]",
        b'{"format": "sketch-loom-presets"}',
        b"\xff\xfe",
        b'{"format": "sketch-loom-presets", "version": 1, "presets": [{"name": "a", "settings": {"tones": 99}}]}',
        b'{"format": "sketch-loom-presets", "version": 1, "presets": [{"name": "", "settings": {}}]}',
        b'{"format": "sketch-loom-presets", "version": 1, "presets": [7]}',
        b'{"format": "sketch-loom-presets", "version": 9, "presets": []}',
        b"[" * 100_000,
        b" " * 2_000_000,
    ],
)
def test_bad_files_of_presets_give_one_sentence(data):
    with pytest.raises(ProjectError) as caught:
        presets.from_bytes(data, "p.json")
    assert str(caught.value).startswith("p.json:") and "Traceback" not in str(caught.value)


@given(st.binary(max_size=300))
@settings(max_examples=examples(60), deadline=None)
def test_bytes_of_any_kind_never_raise_anything_else(data):
    with contextlib.suppress(ProjectError):
        presets.from_bytes(data, "p.json")


def test_names_have_a_length():
    for name in ("", "   ", "x" * 61):
        with pytest.raises(SettingError):
            presets.preset_of(name, Recipe())


@pytest.mark.parametrize("key", ["lighthouse", "kingfisher", "boat"])
def test_four_to_eight_variants_for_every_reading(key):
    picture = open_file(demo(key).picture_path).picture
    for reading in ("colour", "tone", "line", "photo"):
        work = Pipeline().evaluate(picture.reduced(300), Recipe(reading=reading))
        found = variants.variants_of(work)
        assert 4 <= len(found) <= variants.MOST
        assert len({v.recipe for v in found}) == len(found) and work.recipe not in {v.recipe for v in found}


def test_figures_of_a_variant_are_those_of_its_trace():
    cover = shapes.cover_of(shapes.disc(60, 60, 30), 120)
    picture = shapes.picture(shapes.grey_of(cover))
    work = Pipeline().evaluate(picture, Recipe(reading="tone"))
    one = next(v for v in variants.variants_of(work) if v.title[0] == "silhouette")
    made, figures = variants.evaluated(Pipeline(), work, one, QUIET)
    assert (figures.pieces, figures.sheets, figures.about) == (1, 1, False)
    assert (
        figures.cut_mm
        == pytest.approx(made.layers[0].cut_length_mm)
        == pytest.approx(2 * 3.14159 * 30 * work.mm_per_px, rel=2e-3)
    )
    assert made.size_mm == pytest.approx(work.size_mm)


def test_a_large_picture_is_tried_in_a_reduced_copy_of_the_same_size():
    x = np.arange(1700) + 0.5
    cover = np.clip(500.5 - np.hypot(x[None] - 850, x[:, None] - 850), 0, 1)  # its edge is soft over one pixel
    work = Pipeline().evaluate(shapes.picture(shapes.grey_of(cover)), replace(Recipe(), reading="tone", size_mm=85.0))
    made, figures = variants.evaluated(Pipeline(), work, variants.variants_of(work)[0], QUIET)
    assert figures.about and made.picture.width == 1500 and made.size_mm == pytest.approx((85.0, 85.0))
    assert figures.cut_mm == pytest.approx(2 * 3.14159 * 25, rel=5e-3)
