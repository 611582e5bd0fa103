"""Parts of a recipe made by hand: through JSON and back, and refused when they are off."""

import json

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from amounts import examples
from sketchloom.core.background.steps import Background, BackgroundStep
from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.setting import LENGTH, NUMBER
from sketchloom.core.curves.courses import KINDS, NODES, CurveEdit
from sketchloom.core.layers.added import KINDS as RIMS
from sketchloom.core.layers.added import Rim
from sketchloom.core.picture.preparing.steps import SIDES, Mirror, Preparation
from sketchloom.core.segment.parts import HUES, Grown, Patch
from sketchloom.core.shapes.drawn import CoveredArea, PlacedShape, SplitLine
from sketchloom.evaluate.pipeline import same_regions
from sketchloom.recipe import palette_edits
from sketchloom.recipe.document import SETTINGS, Recipe, from_json, to_json
from sketchloom.recipe.parts import PaletteEntry
from sketchloom.recipe.sections import DOUBLES, READINGS

share = st.floats(0, 1, allow_nan=False)
place = st.tuples(share, share)
colour = st.integers(0, 0xFFFFFF).map(lambda v: f"#{v:06x}")
steps = st.one_of(
    st.builds(BackgroundStep, st.just("colour"), st.booleans(), st.tuples(place), st.floats(0, 100), st.booleans()),
    st.builds(
        BackgroundStep,
        st.just("stroke"),
        st.booleans(),
        st.lists(place, min_size=1, max_size=6).map(tuple),
        width=st.floats(0.001, 0.5),
    ),
    st.builds(BackgroundStep, st.just("area"), st.booleans(), st.lists(place, min_size=3, max_size=6).map(tuple)),
    st.builds(BackgroundStep, st.just("paper"), st.booleans()),
)
backgrounds = st.builds(
    Background, st.lists(steps, max_size=4).map(tuple), st.floats(-50, 50), st.floats(0, 50), st.booleans()
)
patches = st.builds(
    Patch,
    st.lists(place, min_size=3, max_size=6).map(tuple),
    st.none() | st.integers(0, 255),
    st.none() | st.integers(1, 24),
    st.none() | st.integers(-2, 3),
    st.none() | st.floats(0, 100),
)
grown = st.builds(Grown, share, share, st.floats(0, 100), colour, st.booleans())
near = st.tuples(st.floats(-1, 2, allow_nan=False), st.floats(-1, 2, allow_nan=False))
rings = st.lists(near, min_size=3, max_size=3).map(lambda p: (*p, p[0]))
shapes = st.builds(
    PlacedShape,
    st.lists(rings, min_size=1, max_size=2).map(tuple),
    st.none() | colour,
    st.text(max_size=9),
    st.booleans(),
    st.none() | st.text(max_size=9),
)
splits = st.builds(SplitLine, st.lists(near, min_size=2, max_size=5).map(tuple), st.booleans())
covers = st.builds(CoveredArea, st.lists(near, min_size=3, max_size=5).map(tuple), st.booleans())
curves = st.builds(
    CurveEdit,
    st.lists(near, min_size=2, max_size=4).map(tuple),
    st.lists(near, min_size=2, max_size=4).map(tuple),
    st.sampled_from([kind for kind in KINDS if kind != NODES]),
    st.booleans(),
    st.booleans(),
)
nodes = st.integers(1, 4).flatmap(lambda n: st.builds(
    CurveEdit,
    st.lists(near, min_size=2, max_size=4).map(tuple),
    st.lists(near, min_size=3 * n + 1, max_size=3 * n + 1).map(tuple),
    st.just(NODES),
    st.booleans(),
    st.booleans(),
    st.lists(share, min_size=n + 1, max_size=n + 1).map(lambda k: tuple(sorted(k))),
    st.sets(st.integers(0, n)).map(lambda c: tuple(sorted(c))),
))
rims = st.builds(
    Rim,
    st.floats(0, 200),
    st.sampled_from(RIMS),
    st.none() | colour,
    st.booleans(),
    st.booleans(),
    colour,
    st.text(max_size=9),
    st.booleans(),
)
mirrors = st.none() | st.builds(Mirror, st.floats(0, 0.4), share, st.floats(0.6, 1), share, st.sampled_from(SIDES))
drawn = st.builds(
    Recipe,
    preparation=mirrors.map(lambda m: Preparation(mirror=m)),
    shapes=st.lists(shapes, max_size=2).map(tuple),
    splits=st.lists(splits, max_size=2).map(tuple),
    covers=st.lists(covers, max_size=2).map(tuple),
    curves=st.lists(curves | nodes, max_size=2).map(tuple),
    rims=st.lists(rims, max_size=2).map(tuple),
)
recipes = st.builds(
    Recipe,
    page=st.integers(0, 4999),
    page_dpi=st.integers(36, 1200),
    background=backgrounds,
    reading=st.sampled_from(READINGS),
    locked=st.lists(colour, max_size=3).map(tuple),
    local_cut_off=st.booleans(),
    silhouette=st.booleans(),
    tones=st.integers(2, 8),
    hues=st.sampled_from(HUES),
    photo_outlines=st.booleans(),
    features=st.booleans(),
    pen_mm=st.none() | st.floats(0.05, 100),
    spur_mm=st.floats(0, 100),
    pens=st.integers(1, 4),
    strokes_removed=st.lists(place, max_size=3).map(tuple),
    double_mm=st.floats(0, 100),
    double_to=st.sampled_from(DOUBLES),
    grown=st.lists(grown, max_size=3).map(tuple),
    patches=st.lists(patches, max_size=3).map(tuple),
    kept=st.lists(place, max_size=3).map(tuple),
)


@given(drawn, drawn)
@settings(max_examples=examples(30), deadline=None)
def test_what_is_drawn_and_kept_beside_comes_back_from_json(one, other):
    both = one.kept_as("first").kept_as("again")
    both = Recipe(alternatives=both.alternatives, rims=other.rims, shapes=other.shapes)
    assert from_json(json.loads(json.dumps(to_json(both)))) == both
    assert [a.recipe.alternatives for a in both.alternatives] == [(), ()]


@pytest.mark.parametrize(
    "bad",
    [
        {"shapes": [{"rings": [[[0, 0]] * 5], "hex": "#ffffff", "name": "x"}]},
        {"shapes": [{"rings": 3, "hex": None, "name": "x"}]},
        {"splits": [{"points": [[0, 0]]}]},
        {"covers": [{"points": "all"}]},
        {"rims": [{"distance_mm": -1}]},
        {"rims": [{"distance_mm": 1, "kind": "moat"}]},
        {"curves": [{"stretch": [[0, 0], [1, 1]], "path": [[0, 0], [1, 1]], "what": "wave"}]},
        {"preparation": {"mirror": {"x0": 0, "y0": 0, "x1": 0, "y1": 0}}},
        {"preparation": {"mirror": [1]}},
        {"alternatives": [{"name": "", "recipe": {}}]},
        {"alternatives": [{"name": "x", "recipe": 7}]},
        {"alternatives": {}},
        {"shapes": [{"rings": [[[0, 0], [1e9, 0], [0, 1], [0, 0]]], "hex": None, "name": "x"}]},
    ],
)
def test_hostile_drawn_parts_are_refused_with_their_place(bad):
    with pytest.raises(SettingError):
        from_json(bad)


@given(recipes)
@settings(max_examples=examples(120), deadline=None)
def test_every_recipe_comes_back_from_json(recipe):
    assert from_json(json.loads(json.dumps(to_json(recipe)))) == recipe


@given(recipes)
@settings(max_examples=examples(60), deadline=None)
def test_recipes_can_be_keys(recipe):
    assert {recipe: 1}[from_json(to_json(recipe))] == 1


def test_what_regions_depend_on_is_told_from_what_comes_after():
    plain = Recipe()
    for changed in (
        Recipe(tones=5),
        Recipe(background=Background((BackgroundStep("paper"),))),
        Recipe(double_mm=1.0),
        Recipe(patches=(Patch(((0, 0), (1, 0), (1, 1)), smoothness=2),)),
        Recipe(preparation=Preparation(turn_deg=2.0)),
    ):
        assert not same_regions(changed, plain)
    for same in (
        Recipe(layering="fitted"),
        Recipe(unit="in"),
        Recipe(smoothness=2),
        Recipe(order=("#000000",)),
        Recipe(pens=2),
    ):
        assert same_regions(same, plain)


@pytest.mark.parametrize(
    "data, named",
    [
        ({"background": 3}, "background"),
        ({"background": {"steps": [{"kind": "wipe"}]}}, r"background\.steps\[0\]\.kind"),
        ({"background": {"steps": [{"keep": True}]}}, "background.steps"),
        ({"background": {"move_px": 900}}, "move_px"),
        ({"background": {"steps": [{"kind": "area", "points": [[0, 0], [1, 1]]}]}}, "3 to"),
        ({"background": {"steps": [{"kind": "stroke", "points": [[0, 5]]}]}}, "shares"),
        ({"patches": [{"points": [[0, 0], [1, 0], [1, 1]], "cut_off": 900}]}, r"patches\[0\]\.cut_off"),
        ({"patches": [{}]}, "patches"),
        ({"patches": [{"points": [[0, "x"], [1, 0], [1, 1]]}]}, "a number"),
        ({"grown": [{"x": 0.5, "y": 0.5, "tolerance": 4, "hex": "red"}]}, "colour|#"),
        ({"grown": [[1, 2]]}, "grown"),
        ({"kept": [[0.5]]}, "kept"),
        ({"kept": [[0.5, True]]}, "kept|numbers"),
        ({"tones": 9}, "tones"),
        ({"tones": True}, "tones"),
        ({"double_to": "inner"}, "double_to"),
        ({"pen_mm": 0}, "pen_mm"),
        ({"pens": 5}, "pens"),
        ({"locked": [7]}, "locked"),
        ({"locked": ["#12345"]}, "#12345|colour"),
        ({"strokes_removed": "all"}, "strokes_removed"),
        ({"patches": [{"points": [[0, 0]] * 5000}]}, "patches"),
    ],
)
def test_wrong_parts_are_named(data, named):
    with pytest.raises(SettingError, match=named):
        from_json(data)


def test_unknown_keys_of_parts_are_passed_over():
    read = from_json({"background": {"steps": [{"kind": "paper", "mood": 1}], "later": 2}, "grown": [], "patches": []})
    assert read.background.steps == (BackgroundStep("paper"),)


@given(st.lists(colour, min_size=2, max_size=6, unique=True), st.data())
def test_colours_made_the_same_keep_every_sample(hexes, data):
    entries = tuple(PaletteEntry((h,)) for h in hexes)
    other = data.draw(st.sampled_from(hexes))
    given_ = data.draw(st.lists(st.sampled_from(hexes), max_size=4))
    made = palette_edits.same_as(entries, given_, other)
    assert sorted(s for e in made for s in e.samples) == sorted(hexes)
    assert other in [e.hex for e in made] and not (set(given_) - {other}) & {e.hex for e in made}


def test_a_figure_of_an_arrays_kind_becomes_a_plain_one():
    """Random gestures met it: a size worked out of what was measured was told as ``np.float64(319.5)``."""
    numbers = [one for one in SETTINGS.values() if one.kind in (NUMBER, LENGTH)]
    assert len(numbers) > 15
    for one in numbers:
        value = np.float64(min(max(0.6 * one.least + 0.4 * min(one.most, 100.0), one.least_if_any), one.most))
        made = Recipe(**{one.name: value})
        assert type(getattr(made, one.name)) is float and getattr(made, one.name) == value, one.name
    assert type(Rim(np.float64(2.5)).distance_mm) is float
