"""Evaluation of recipes: what is kept, what an edit does, what becomes a finding."""

from dataclasses import replace
from importlib import import_module

import numpy as np
import pytest

import shapes
from sketchloom.core.base.errors import Cancelled, PictureError
from sketchloom.core.curves.curveset import face_areas
from sketchloom.core.preflight.findings import RULES, Finding
from sketchloom.desk import mends
from sketchloom.evaluate.pipeline import Pipeline, require_traceable
from sketchloom.recipe import palette_edits
from sketchloom.recipe.document import Recipe
from sketchloom.recipe.parts import PaletteEntry

pytestmark = pytest.mark.fresh

RED, BLUE, GOLD, WHITE = (181, 72, 60), (30, 53, 87), (227, 174, 74), (255, 255, 255)


def target_picture(size=200):
    """Gold disc in a blue disc in a red disc, on white."""
    pixels = np.zeros((size, size, 3), np.uint8) + np.array(WHITE, np.uint8)
    for r, colour in ((0.45, RED), (0.3, BLUE), (0.15, GOLD)):
        cover = shapes.cover_of(shapes.disc(size / 2, size / 2, r * size), size)[..., None]
        pixels = np.rint(pixels * (1 - cover) + np.array(colour) * cover).astype(np.uint8)
    return shapes.picture(pixels)


@pytest.fixture(scope="module")
def target():
    return target_picture()


BASE = Recipe(reading="colour", size_mm=100.0, layering="stacked")


def test_the_target_is_three_discs(target):
    work = Pipeline().evaluate(target, BASE)
    assert [x.plan.hex for x in work.layers] == ["#b5483c", "#1e3557", "#e3ae4a"]
    for layer, r in zip(work.layers, (45, 30, 15), strict=False):
        assert layer.area_mm2 == pytest.approx(np.pi * r * r, rel=3e-3)
    traced = work.traced
    area = face_areas(traced.curves, traced.planar.left, traced.planar.right, traced.planar.face_count)
    assert area.sum() == pytest.approx(200 * 200, rel=1e-9)


def test_fitted_layers_are_what_is_seen(target):
    work = Pipeline().evaluate(target, replace(BASE, layering="fitted"))
    for layer, (outer, inner) in zip(work.layers, ((45, 30), (30, 15), (15, 0)), strict=False):
        assert layer.area_mm2 == pytest.approx(np.pi * (outer**2 - inner**2), rel=3e-3)


def test_edits_of_layers(target):
    pipeline = Pipeline()
    def names(recipe):
        return [x.plan.name for x in pipeline.evaluate(target, recipe).layers]
    assert names(BASE) == ["red", "dark blue", "yellow"]
    assert names(replace(BASE, order=("#e3ae4a", "#b5483c"))) != names(BASE)
    assert names(BASE.with_edit("#1e3557", name="night")) == ["red", "night", "yellow"]
    assert names(BASE.with_edit("#1e3557", left_out=True)) == ["red", "yellow"]
    merged = pipeline.evaluate(target, BASE.with_edit("#e3ae4a", merged_into="#1e3557"))
    assert [x.outline.pieces for x in merged.layers] == [1, 1]
    assert merged.layers[1].area_mm2 == pytest.approx(np.pi * 30**2, rel=3e-3)
    recoloured = pipeline.evaluate(target, BASE.with_edit("#e3ae4a", hex="#00ff00"))
    assert recoloured.layers[2].plan.hex == "#00ff00" and recoloured.layers[2].plan.key == "#e3ae4a"


def test_an_order_survives_a_changed_palette(target):
    """An edit is kept by colour: a palette entry that moved a little is found again."""
    moved = tuple(PaletteEntry((h,)) for h in ("#ffffff", "#b64a3e", "#1e3557", "#e3ae4a"))
    recipe = replace(BASE, palette=moved, order=("#e3ae4a", "#1e3557", "#b5483c"))
    work = Pipeline().evaluate(target, recipe)
    assert [p.hex for p in work.plans] == ["#e3ae4a", "#1e3557", "#b64a3e"]


def test_late_changes_do_not_run_early_stages_again(target):
    pipeline = Pipeline()
    first = pipeline.evaluate(target, BASE)
    for change in ({"layering": "fitted"}, {"unit": "in"}, {"thin_mm": 2.0}, {"order": ("#e3ae4a",)}):
        later = pipeline.evaluate(target, replace(BASE, **change))
        assert later.traced is first.traced and later.segmentation.regions is first.segmentation.regions
    resized = pipeline.evaluate(target, replace(BASE, size_mm=100.4))
    assert resized.traced is first.traced
    assert pipeline.evaluate(target, replace(BASE, colours=2)).traced is not first.traced


def test_the_same_input_gives_the_same_output(target):
    one, two = (Pipeline().evaluate(target_picture(), BASE) for _ in range(2))
    for a, b in zip(one.layers, two.layers, strict=False):
        assert a.outline.controls.tobytes() == b.outline.controls.tobytes()


def test_ground(target):
    pipeline = Pipeline()
    keep = pipeline.evaluate(target, replace(BASE, ground="keep"))
    assert len(keep.layers) == 4 and keep.layers[0].area_mm2 == pytest.approx(100 * 100, rel=1e-6)
    ring = np.array(target.rgb)
    ring[90:110, 90:110] = WHITE  # white enclosed by gold
    touching = pipeline.evaluate(shapes.picture(ring), BASE)
    everywhere = pipeline.evaluate(shapes.picture(ring), replace(BASE, ground="everywhere"))
    assert len(touching.layers) == 4 and len(everywhere.layers) == 3
    assert all(layer.outline.holes == 1 for layer in everywhere.layers)


def test_transparent_ground_is_left_out():
    cover = shapes.cover_of(shapes.disc(50, 50, 30), 100)
    pixels = np.zeros((100, 100, 3), np.uint8) + np.array(WHITE, np.uint8)
    picture = shapes.picture(pixels, np.rint(255 * cover).astype(np.uint8))
    work = Pipeline().evaluate(picture, replace(BASE, size_mm=100.0))
    assert [x.plan.hex for x in work.layers] == ["#ffffff"]
    assert work.layers[0].area_mm2 == pytest.approx(np.pi * 30**2, rel=3e-3)


def test_small_details_are_counted_and_found():
    pixels = np.array(target_picture(400).rgb)
    pixels[20:24, 20:24] = BLUE
    work = Pipeline().evaluate(shapes.picture(pixels), replace(BASE, smallest_mm=2.0))
    found = [f for f in work.findings if f.code == "trace.small_details"]
    assert len(found) == 1 and found[0].message.startswith("1 region under 2 mm")
    assert (found[0].x_px, found[0].y_px) == (22.5, 21.5)
    kept = Pipeline().evaluate(shapes.picture(pixels), replace(BASE, smallest_mm=0.5))
    assert not [f for f in kept.findings if f.code == "trace.small_details"]
    x, y, _ = work.segmentation.dropped[0].tolist()
    back = Pipeline().evaluate(shapes.picture(pixels), replace(BASE, smallest_mm=2.0, kept=((x / 400, y / 400),)))
    assert len(back.segmentation.dropped) == 0
    assert back.traced.planar.face_count == work.traced.planar.face_count + 1


def test_tone_pushed_to_the_ends(target):
    pipeline = Pipeline()
    area = [sum(x.area_mm2 for x in pipeline.evaluate(target, Recipe(reading="tone", cut_off=c, size_mm=100.0)).layers)
            for c in (40, 100, 150, 254)]
    assert area == sorted(area) and area[-1] == pytest.approx(np.pi * 45**2, rel=0.02)
    light = pipeline.evaluate(
        target, Recipe(reading="tone", cut_off=150, dark_is_ink=False, size_mm=100.0, ground="keep")
    )
    assert len(light.layers) == 2


def test_palette_edits(target):
    work = Pipeline().evaluate(target, BASE)
    entries = work.segmentation.entries
    merged = palette_edits.merged(entries, {"#b5483c", "#e3ae4a"})
    assert len(merged) == len(entries) - 1
    one = next(e for e in merged if len(e.samples) == 2)
    assert palette_edits.split(merged, one.hex, work.picture, work.segmentation.labels) is not None
    assert palette_edits.split(entries, "#1e3557", work.picture, work.segmentation.labels) is None
    more = palette_edits.added(merged, "#e3ae4a")
    assert [e.hex for e in more] == [*(e.hex for e in merged), "#e3ae4a"] and len(
        next(e for e in more if e.hex == one.hex).samples
    ) == 1
    assert palette_edits.added(entries, "#e3ae4a") == tuple(entries)
    two = Pipeline().evaluate(target, replace(BASE, palette=tuple(e for e in entries if e.hex != "#e3ae4a")))
    parts = palette_edits.split(two.segmentation.entries, _holder(two, "#e3ae4a"), two.picture, two.segmentation.labels)
    assert {"#e3ae4a"} & {e.hex for e in parts}


def _holder(work, hex_):
    """The entry that took a colour's pixels in."""
    return work.segmentation.entries[work.segmentation.labels[100, 100]].hex


def test_findings_and_their_mends(target):
    small = Pipeline().evaluate(target, replace(BASE, size_mm=400.0))
    by_code = {f.code: f for f in small.findings}
    assert {"source.small", "size.over_carrier"} <= set(by_code)
    for code in ("source.small", "size.over_carrier"):
        mended = mends.mended(by_code[code], small)
        again = Pipeline().evaluate(target, mended)
        assert code not in {f.code for f in again.findings}
    empty = Pipeline().evaluate(target, replace(BASE, palette=(PaletteEntry(("#ffffff",)),)))
    stop = next(f for f in empty.findings if f.code == "layer.empty")
    assert Pipeline().evaluate(target, mends.mended(stop, empty)).layers
    with pytest.raises(KeyError):
        Finding("made.up", "note", "no such code")
    import_module("sketchloom.desk.preflight")  # the rules of plans and releases, too
    assert all(code in RULES for code in mends.mendable())


def test_what_cannot_be_traced_is_said():
    rng = np.random.default_rng(3)
    noise = shapes.picture(rng.integers(0, 255, (200, 200, 3), dtype=np.uint8))
    with pytest.raises(PictureError, match="looks like noise"):
        require_traceable(Pipeline().evaluate(noise, Recipe()), "a.png")
    flat = shapes.picture(np.full((60, 60, 3), 90, np.uint8))
    with pytest.raises(PictureError, match="one flat colour"):
        require_traceable(Pipeline().evaluate(flat, Recipe()), "a.png")


def test_cancelling_leaves_nothing_half(target):
    class Stop:
        def __init__(self, at):
            self.left = at

        def step(self, done, total, label):
            self.left -= 1
            if self.left < 0:
                raise Cancelled("enough")

    pipeline = Pipeline()
    for at in range(5):
        with pytest.raises(Cancelled):
            pipeline.evaluate(target, BASE, progress=Stop(at))
    assert len(pipeline.evaluate(target, BASE).layers) == 3
