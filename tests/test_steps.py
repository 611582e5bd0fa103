"""What a stage is kept by is what it reads: no setting can give a stale result."""

from dataclasses import replace

import numpy as np
import pytest

import shapes
from sketchloom.core.background.steps import Background, BackgroundStep
from sketchloom.core.base.setting import settings_of
from sketchloom.core.carve import tools
from sketchloom.core.carve.blank import Blank
from sketchloom.core.carve.operations import Operation, Target
from sketchloom.core.curves.courses import CurveEdit
from sketchloom.core.edits.decisions import PaintedLine, RegionEdit
from sketchloom.core.layers.added import Rim
from sketchloom.core.picture.preparing.steps import Preparation
from sketchloom.core.segment.parts import Grown, Patch
from sketchloom.core.shapes.drawn import CoveredArea, PlacedShape, SplitLine
from sketchloom.core.sheets import machine
from sketchloom.core.sheets.choices import Offcut, SeamByHand, SpotByHand
from sketchloom.core.sheets.material import shipped
from sketchloom.evaluate.cache import Cache, held_bytes
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.recipe.document import SECTION_OF, SETTINGS, Recipe
from sketchloom.recipe.parts import LayerEdit, PaletteEntry, Settled
from sketchloom.recipe.reads import Reads
from sketchloom.recipe.sections import SECTIONS
from svgs import whole as whole_svg

pytestmark = pytest.mark.fresh

TRIANGLE = ((0.2, 0.2), (0.7, 0.2), (0.5, 0.7))
SQUARE = tuple(
    (x, y)
    for x, y in (
        (0.4, 0.4),
        (0.45, 0.4),
        (0.5, 0.4),
        (0.55, 0.4),
        (0.55, 0.45),
        (0.55, 0.5),
        (0.55, 0.55),
        (0.5, 0.55),
        (0.45, 0.55),
        (0.4, 0.55),
        (0.4, 0.5),
        (0.4, 0.45),
        (0.4, 0.4),
    )
)
OTHER = {
    "preparation": Preparation(turn_deg=7.0),
    "background": Background((BackgroundStep("colour", points=((0.02, 0.02),)),)),
    "palette": (PaletteEntry(("#1e3557",)), PaletteEntry(("#ffffff",))),
    "locked": ("#00ff00",),
    "settled": Settled(colours=2, cut_off=60, has_ground=False, layering="fitted"),
    "strokes_removed": ((0.3, 0.5),),
    "grown": (Grown(0.3, 0.5, 9.0, "#00ff00"),),
    "patches": (Patch(TRIANGLE, cut_off=40, colours=2, smoothness=3, smallest_mm=9.0),),
    "kept": ((0.9, 0.1),),
    "edits": (RegionEdit(0.3, 0.5, "drop", "#1e3557", 0.1),),
    "lines": (PaintedLine(((0.1, 0.5), (0.9, 0.5)), 0.05, "#1e3557"),),
    "shapes": (PlacedShape((SQUARE,), "#c83c28", "square"),),
    "splits": (SplitLine(((0.0, 0.45), (1.0, 0.55))),),
    "covers": (CoveredArea(TRIANGLE),),
    "curves": (CurveEdit(((0.1, 0.5), (0.2, 0.5)), ((0.1, 0.5), (0.2, 0.5)), "pull"),),
    "order_weights": (0.0, 1.0, 0.0),
    "order": ("#c83c28", "#1e3557"),
    "above": (("#1e3557", "#c83c28"),),
    "layers": (LayerEdit("#c83c28", left_out=True),),
    "rims": (Rim(3.0),),
    "laid_on": "#1e3557",
    "materials": shipped()[:1],
    "machine": machine.shipped()[1],
    "carrier": "A4",
    "seams": (SeamByHand("#c83c28", 0, ((0.5, 0.0), (0.5, 1.0))),),
    "spots": (SpotByHand("0/#c83c28/0/1of1/1", 0),),
    "blank": Blank("oval", rim_mm=12.0),
    "operations": (Operation("carve", Target("layer", "#c83c28"), "vee-60"),),
    "cutters": (tools.shipped()[0],),
    "offcuts": (Offcut(100.0, 80.0),),
    "size_mm": 55.0,
}
"""Another value for the settings whose kind does not tell one."""


def other_value(name):
    if name in OTHER:
        return OTHER[name]
    setting = SETTINGS[name]
    default = getattr(Recipe(), name)
    if setting.kind == "switch":
        return not default
    if setting.kind == "choice":
        return next(c for c in setting.choices if c != default)
    if setting.kind == "text":
        return default + "x"
    value = setting.least + (setting.most - setting.least) * 0.37
    value = int(value) if setting.kind == "whole" else min(value, 5.0)
    return value if value != default else value + 1


@pytest.fixture(scope="module")
def picture():
    pixels = np.full((90, 120, 3), 255, np.uint8)
    y, x = np.mgrid[:90, :120]
    pixels[np.hypot(x - 40, y - 45) < 30] = (30, 53, 87)
    pixels[np.hypot(x - 40, y - 45) < 12] = (255, 255, 255)
    pixels[30:60, 84:110] = (200, 60, 40)
    pixels[8:11, 106:109] = (200, 60, 40)
    return shapes.picture(pixels)


def looks(work):
    return whole_svg(work), tuple(sorted((f.code, str(f.message)) for f in work.findings)), work.reading


@pytest.mark.parametrize("reading", ["colour", "tone", "line", "photo"])
def test_a_changed_setting_gives_what_a_fresh_trace_gives(picture, reading):
    """For every setting: evaluated after the plain recipe, with all that is kept, and evaluated alone; those of sheets
    and of handing over, which no stage of tracing reads, in one reading for all."""
    plain, warm = Recipe(reading=reading), Pipeline()
    warm.evaluate(picture, plain)
    for name, section in SECTION_OF.items():
        if name != "reading" and (reading == "colour" or section not in ("sheets", "release")):
            changed = replace(plain, **{name: other_value(name)})
            assert looks(warm.evaluate(picture, changed)) == looks(Pipeline().evaluate(picture, changed)), name
    assert looks(warm.evaluate(picture, plain)) == looks(Pipeline().evaluate(picture, plain))


def test_every_setting_but_those_of_structures_is_described():
    undescribed = set(SECTION_OF) - set(SETTINGS)
    assert undescribed == {"preparation", "background", "settled", "machine", "blank"}
    for setting in (*SETTINGS.values(), *settings_of(Preparation)):
        assert setting.about or setting.kind == "parts", setting.name


def test_no_two_sections_have_a_setting_of_one_name():
    assert len(SECTION_OF) == sum(len(kind.__dataclass_fields__) for kind in SECTIONS.values())


def test_a_step_cannot_read_what_it_did_not_say():
    view = Reads(Recipe(), ("tones",))
    assert view.tones == 4
    with pytest.raises(AttributeError, match="does not say that it reads pens"):
        view.pens  # noqa: B018


def test_pictures_of_the_same_pixels_keep_what_came_with_them():
    """One file says 300 dpi and the other 600: half as large."""
    pixels = np.zeros((60, 60, 3), np.uint8)
    pixels[20:40, 20:40] = 255
    pipeline, one = Pipeline(), shapes.picture(pixels)
    sizes = [pipeline.evaluate(replace(one, dpi=dpi, name=f"{dpi}.png"), Recipe()) for dpi in (300, 600)]
    assert [w.size_mm[0] for w in sizes] == pytest.approx([5.08, 2.54])
    assert [w.picture.name for w in sizes] == ["300.png", "600.png"]


def test_a_cache_holds_no_more_bytes_than_it_may_but_all_that_is_in_use():
    cache = Cache(limit_bytes=3000)
    for number in range(10):
        cache.begin()
        cache.keep("in use", lambda: np.zeros(2000, np.uint8))
        cache.keep(number, lambda: np.zeros(900, np.uint8))
        cache.settle()
        assert cache.bytes_held <= 3000
    assert cache.get("in use") is not None and cache.get(9) is not None and cache.get(0) is None
    cache.begin()
    cache.keep("large", lambda: np.zeros(9000, np.uint8))
    cache.settle()
    assert cache.get("large") is not None and len(cache) == 1


def test_arrays_that_values_share_are_counted_once():
    one = np.zeros(1000, np.uint8)
    assert held_bytes((one, one[:10], {"a": one}), set()) < 1300
