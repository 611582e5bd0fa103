"""Materials and the rules of the trade that follow from them (``facts.md``: trade; the rest common practice, no
source)."""

from dataclasses import replace

import numpy as np
import pytest

from shapes import colour_of, cover_of, disc, picture
from sketchloom.core.base.errors import SettingError
from sketchloom.core.layers.added import Rim
from sketchloom.core.sheets.material import LASER, Material, from_plain, shipped, to_plain
from sketchloom.desk import mends, narrow
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.recipe.document import Recipe, from_json, to_json

KIND = {m.key: m for m in shipped()}


@pytest.fixture(scope="module")
def two():
    """A red disc with a blue one on it, and a second blue one on the ground."""
    rgb = colour_of(cover_of(disc(100, 120, 80), 240), (200, 60, 50), (255, 255, 255)).astype(float)
    for shape in (disc(100, 120, 30), disc(215, 30, 14)):
        cover = cover_of(shape, 240)[..., None]
        rgb = rgb * (1 - cover) + np.array((30, 53, 87)) * cover
    return Pipeline(), picture(np.rint(rgb).astype(np.uint8))


def codes(two, **settings):
    pipeline, source = two
    base = Recipe(colours=3, size_mm=120.0)
    work = pipeline.evaluate(source, base)
    recipe = base
    for key, kind in settings.pop("sheets", {}).items():
        recipe = recipe.with_material(key, KIND[kind])
    changed = from_json({**to_json(recipe), **settings})
    assert {p.key for p in work.plans} == {"#c83c32", "#1e3557"}
    return [(f.code, f.layer) for f in pipeline.evaluate(source, changed).findings if f.code.startswith("material.")]


def test_flake_is_refused_on_flake_and_allowed_on_plain_film(two):
    found = codes(two, sheets={"#c83c32": "flake-film", "#1e3557": "flake-film"})
    assert [c for c, _ in found if c == "material.on_its_like"] == ["material.on_its_like"]
    assert "material.on_its_like" not in [
        c for c, _ in codes(two, sheets={"#c83c32": "heat-film", "#1e3557": "flake-film"})
    ]
    # beside each other they may be: nothing lies on anything
    assert "material.on_its_like" not in [
        c for c, _ in codes(two, sheets={"#c83c32": "flake-film", "#1e3557": "flake-film"}, layering="fitted")
    ]


def test_chlorinated_film_is_never_cut_by_laser(two):
    assert ("material.tool", "red film") in codes(two, sheets={"#c83c32": "adhesive-film"}, tool=LASER)
    assert not codes(two, sheets={"#c83c32": "adhesive-film"})
    assert not codes(two, sheets={"#c83c32": "card"}, tool=LASER)


def test_several_pieces_of_a_shrinking_film_are_told(two):
    found = codes(two, sheets={"#1e3557": "heat-film"})
    assert [c for c, _ in found] == ["material.shrinks"]
    assert not codes(two, sheets={"#c83c32": "heat-film"}, order=["#1e3557", "#c83c32"], layering="fitted")


def test_a_stack_higher_than_its_frame_is_told(two):
    sheets = {"#c83c32": "acrylic", "#1e3557": "acrylic"}
    assert not [c for c, _ in codes(two, sheets=sheets, tool=LASER, frame_depth_mm=6.5)]
    assert [c for c, _ in codes(two, sheets=sheets, tool=LASER, frame_depth_mm=5.5)] == ["material.too_high"]
    assert [c for c, _ in codes(two, sheets=sheets, tool=LASER, frame_depth_mm=6.5, spacer_mm=2.0)] == [
        "material.too_high"
    ]


def test_materials_go_with_the_recipe_and_only_those_named():
    recipe = Recipe().with_material("#c83c32", KIND["card"]).with_material("#1e3557", KIND["paper"])
    assert from_json(to_json(recipe)) == recipe and recipe.material_of("#1e3557") == KIND["paper"]
    assert [m.key for m in recipe.with_material("#1e3557", None).materials] == ["card"]
    assert from_plain(to_plain(shipped())) == shipped()


@pytest.mark.parametrize(
    "bad",
    [
        {},
        [7],
        [{"key": "x"}],
        [{**to_plain(shipped())[0], "thickness_mm": 0}],
        [{**to_plain(shipped())[0], "family": "cheese"}],
        [{**to_plain(shipped())[0], "tools": ["axe"]}],
        [{**to_plain(shipped())[0], "name": ""}],
    ],
)
def test_a_table_that_is_off_is_refused(bad):
    with pytest.raises(SettingError):
        from_plain(bad)


def test_every_shipped_kind_has_a_caution_and_no_film_is_for_a_laser():
    assert all(m.caution for m in shipped())
    assert not [m for m in shipped() if "film" in m.family and LASER in m.tools]
    assert isinstance(KIND["foam-spacer"], Material) and KIND["flake-film"].lies_on is False


def test_a_layer_of_the_grounds_colour_is_told_and_left_out(two):
    pipeline, source = two
    base = Recipe(colours=3, size_mm=120.0)
    on_white = pipeline.evaluate(source, replace(base, laid_on="#1f3658"))
    (found,) = [f for f in on_white.findings if f.code == "layer.like_ground"]
    assert found.layer == "dark blue" and f"{on_white.layers[1].cut_length_mm:.0f} mm" in found.message
    done = pipeline.evaluate(source, mends.mended(found, on_white))
    assert [layer.plan.key for layer in done.layers] == ["#c83c32"]
    # the ground shows through the red sheet where the blue disc was
    assert done.layers[0].outline.holes == 1
    assert not [
        f for f in pipeline.evaluate(source, replace(base, laid_on="#ffffff")).findings if f.code == "layer.like_ground"
    ]


def test_an_added_sheet_is_cut_from_a_material_and_counts_in_the_height(two):
    board = Rim(0.0, name="board")
    recipe = (
        Recipe(rims=(board, Rim(2.0, "rim")))
        .with_material("backing 1", KIND["board"])
        .with_material("rim 2", KIND["card"])
    )
    assert recipe.material_of("backing 1") == KIND["board"] and recipe.rims[1].material == "card"
    assert from_json(to_json(recipe)) == recipe
    assert [m.key for m in recipe.with_material("rim 2", None).materials] == ["board"]
    pipeline, source = two
    work = pipeline.evaluate(source, replace(recipe, colours=3, size_mm=120.0, tool=LASER, frame_depth_mm=1.0))
    assert [f.code for f in work.findings if f.code == "material.too_high"]  # the board alone is 1.5 mm


def test_cuts_nearer_than_a_material_bears_are_told():
    pixels = np.full((200, 200, 3), 255, np.uint8)
    pixels[40:160, 30:98], pixels[40:160, 102:170] = (200, 60, 50), (200, 60, 50)
    def told(size, kind):
        return [
            f.message
            for f in Pipeline()
            .evaluate(
                picture(pixels), Recipe(reading="colour", size_mm=size).with_material("#c83c32", KIND[kind])
            )
            .findings
            if f.code == "material.gap"
        ]
    assert "0.80 mm" in told(40.0, "card")[0]  # 4 px of a fifth of a mm; card wants 1.5
    assert told(60.0, "adhesive-film") == [] and told(120.0, "card") == []


def test_widths_are_held_against_what_a_sheets_material_bears():
    pixels = np.full((200, 200, 3), 255, np.uint8)
    pixels[60:70, 20:180] = pixels[40:90, 20:60] = pixels[40:90, 140:180] = (200, 60, 50)
    recipe = Recipe(reading="colour", size_mm=40.0, thin_mm=0.5)
    work = Pipeline().evaluate(picture(pixels), recipe)  # a bar 2 mm wide between two plates
    assert (
        narrow.narrow_places(work)[0].width_mm == pytest.approx(2.0, abs=0.1) and len(narrow.width_line(work)[1]) == 0
    )  # over three times what is wanted
    flocked = Pipeline().evaluate(
        picture(pixels), recipe.with_material("#c83c32", KIND["flocked-film"])
    )  # it bears 2.5 mm
    assert narrow.narrow_places(flocked)[0].least_mm == 2.5 and narrow.width_line(flocked)[1].min() == pytest.approx(
        0.8, abs=0.05
    )
