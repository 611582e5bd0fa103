"""Several designs on one page told apart; parts of several works on shared sheets. Rendered by another reader where
pixels decide."""

import io
import itertools
from dataclasses import replace

import numpy as np
import pytest
import resvg_py
from PIL import Image

import shapes
import svgs
from sketchloom.core.base.errors import ExportError
from sketchloom.core.layers.designs import designs_of, shared_sheets
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.recipe.document import Recipe

SIZE = 300
RECIPE = Recipe(reading="colour", size_mm=150.0, smallest_mm=0.5, layering="fitted")
RED, BLUE, YELLOW = (200, 60, 50), (30, 53, 87), (227, 174, 74)


def page(parts):
    pixels = np.full((SIZE, SIZE, 3), 255.0)
    for shape, colour in parts:
        cover = shapes.cover_of(shape, SIZE)[..., None]
        pixels = pixels * (1 - cover) + np.array(colour) * cover
    return shapes.picture(np.rint(pixels).astype(np.uint8))


@pytest.fixture(scope="module")
def three():
    """A blue badge with a red moon, a red star's stand-in beside it, and two yellow discs 3 mm apart below."""
    return Pipeline().evaluate(
        page(
            (
                (shapes.disc(80, 80, 60), BLUE),
                (shapes.disc(80, 80, 20), RED),
                (shapes.disc(230, 90, 40), RED),
                (shapes.disc(120, 230, 22), YELLOW),
                (shapes.disc(170, 230, 22), YELLOW),
            )
        ),
        RECIPE,
    )


def test_designs_are_told_apart_in_the_order_of_reading(three):
    found = designs_of(three.layers, 6.0 / three.mm_per_px)
    assert [sorted({x.plan.hex for x in d.layers}) for d in found] == [["#1e3557", "#c83c32"], ["#c83c32"], ["#e3ae4a"]]
    assert [sum(x.outline.pieces for x in d.layers) for d in found] == [2, 1, 2]  # 3 mm apart is one design
    assert len(designs_of(three.layers, 1.0 / three.mm_per_px)) == 4
    # nothing is lost and nothing is there twice
    assert sum(x.outline.area_px.sum() for d in found for x in d.layers) == pytest.approx(
        sum(x.outline.area_px.sum() for x in three.layers)
    )
    assert sum(x.cut_length_mm for d in found for x in d.layers) == pytest.approx(
        sum(x.cut_length_mm for x in three.layers)
    )
    assert designs_of((), 5.0) == []


def test_each_design_has_a_file_in_its_own_frame(three, tmp_path):
    files = svgs.write_designs(three, tmp_path, "page")
    assert [f.name for f in files] == ["page-design-01.svg", "page-design-02.svg", "page-design-03.svg"]
    drawn = Image.open(io.BytesIO(bytes(resvg_py.svg_to_bytes(svg_string=files[0].read_text(), dpi=96)))).convert(
        "RGBA"
    )
    assert drawn.width == pytest.approx(60 * 96 / 25.4, abs=2)  # 120 px of half a mm
    assert drawn.getpixel((drawn.width // 2, drawn.height // 2))[:3] == RED and drawn.getpixel((4, 4))[3] == 0
    with pytest.raises(ExportError):
        svgs.write_designs(replace(three, layers=()), tmp_path, "none")


def test_parts_of_several_works_share_a_sheet_when_colour_and_material_agree(three, tmp_path):
    other = Pipeline().evaluate(
        page(((shapes.disc(150, 150, 100), (201, 61, 50)), (shapes.disc(150, 150, 30), YELLOW))),
        replace(RECIPE, size_mm=100.0),
    )
    works = [
        ("one", three.layers, three.mm_per_px, three.size_mm, {}),
        ("two", other.layers, other.mm_per_px, other.size_mm, {}),
    ]
    sheets, size = shared_sheets(works)
    assert size == pytest.approx((150 + 10 + 100, 150), abs=0.5)
    assert sorted((hex_colour, len(parts)) for _, hex_colour, parts in sheets) == [
        ("#1e3557", 1),
        ("#c83c32", 2),
        ("#e3ae4a", 2),
    ]
    # of another material it is another sheet
    red = next(x.plan.key for x in other.layers if x.plan.hex != "#e3ae4a")
    apart, _ = shared_sheets([works[0], (*works[1][:4], {red: "flake-film"})])
    assert len(apart) == 4
    files = svgs.write_shared([three, other], tmp_path, "both")
    assert len(files) == 3
    frames = {f.read_text().split('viewBox="')[1].split('"')[0] for f in files}
    assert len(frames) == 1 and all(f.read_text().count("<path") == 1 for f in files)
    sheet = next(f for f in files if "red" in f.name)
    image = Image.open(io.BytesIO(bytes(resvg_py.svg_to_bytes(svg_string=sheet.read_text(), dpi=96)))).convert("RGBA")
    def at(x, y):
        return image.getpixel((round(x * 96 / 25.4), round(y * 96 / 25.4)))[3] > 0
    assert (
        at(115, 45) and at(160 + 50, 50 - 25) and not at(155, 75)
    )  # both works' red, at true size, and the gap between


def test_pen_lines_are_one_design(tmp_path):
    page_ = np.full((200, 200, 3), 255, np.uint8)
    page_[40:44, 20:180], page_[150:154, 20:180] = 20, 20
    work = Pipeline().evaluate(shapes.picture(page_), Recipe(reading="line"))
    (path,) = svgs.write_designs(work, tmp_path, "pen")
    assert path.read_bytes() == svgs.whole(work)
    assert b"<svg" in svgs.plan(work, "pen")


def test_no_part_of_a_shared_sheet_lies_on_another(three):
    sheets, _ = shared_sheets([("a", three.layers, three.mm_per_px, three.size_mm, {})] * 3)
    for _, _, parts in sheets:
        boxes = [(p.outline.controls[..., 0].min(), p.outline.controls[..., 0].max()) for p in parts]
        assert all(a[1] < b[0] for a, b in itertools.pairwise(boxes))
