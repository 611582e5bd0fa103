"""Opening: pages of documents, several pictures as layers of one work, the simulated scanner."""

import json
from dataclasses import replace

import numpy as np
import pytest
from PIL import Image

import shapes
from core.test_documents import RED, SQUARE, pdf
from sketchloom.command import main as cli
from sketchloom.core.base.errors import PictureError, SettingError
from sketchloom.core.judge.faults import find_faults
from sketchloom.core.picture.decode import decode
from sketchloom.core.picture.preparing.finding import find_skew
from sketchloom.core.simulate.scanner import GLASS_MM, Scan, scanned
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.files import composing, opening
from sketchloom.files import project as projects
from sketchloom.recipe.document import Recipe

SIZE = 160


def layer(inside, colour) -> bytes:
    cover = shapes.cover_of(inside, SIZE)
    rgb = np.zeros((SIZE, SIZE, 3), np.uint8) + np.array(colour, np.uint8)
    return np.dstack([rgb, np.rint(255 * cover).astype(np.uint8)])


LAYERS = (("sea", shapes.disc(80, 80, 60), (40, 90, 120)), ("boat", shapes.disc(70, 85, 35), (200, 60, 50)),
          ("lantern", shapes.disc(62, 80, 12), (240, 190, 70)), ("glow", shapes.disc(90, 92, 9), (240, 190, 70)))


@pytest.fixture()
def files(tmp_path):
    paths = []
    for name, inside, colour in LAYERS:
        path = tmp_path / f"{name}.png"
        Image.fromarray(layer(inside, colour)).save(path)
        paths.append(path)
    return paths


def test_layers_keep_their_order_names_colours_and_places(files):
    opened = opening.open_as_layers(files)
    work = Pipeline().evaluate(opened.picture, replace(opened.project.recipe, size_mm=float(SIZE), smallest_mm=0.5))
    assert [x.plan.name for x in work.layers] == ["sea", "boat", "lantern", "glow"]  # two of one colour stay two
    assert [x.plan.hex for x in work.layers] == ["#285a78", "#c83c32", "#f0be46", "#f0be46"]
    areas = [x.area_mm2 for x in work.layers]
    # stacked: each sheet is whole under those above it
    assert areas[0] == pytest.approx(np.pi * 60**2, rel=2e-3)
    assert areas[2] + areas[3] == pytest.approx(areas[2] + np.pi * 9**2, rel=1e-2)
    ends = work.layers[3].outline.controls[:, [0, 3]].reshape(-1, 2)
    assert (ends.max(0) + ends.min(0)) / 2 == pytest.approx([90, 92], abs=0.1)


def test_layers_on_white_are_taken_out_of_it(tmp_path):
    paths = []
    for name, inside, colour in LAYERS[:2]:
        Image.fromarray(shapes.colour_of(shapes.cover_of(inside, SIZE), colour, (255, 255, 255))).save(
            tmp_path / f"{name}.png"
        )
        paths.append(tmp_path / f"{name}.png")
    opened = opening.open_as_layers(paths)
    work = Pipeline().evaluate(opened.picture, replace(opened.project.recipe, size_mm=float(SIZE)))
    assert work.layers[1].area_mm2 == pytest.approx(np.pi * 35**2, rel=5e-3)


def test_layers_that_do_not_share_a_frame_are_refused(files, tmp_path):
    Image.new("RGBA", (99, 99), (1, 2, 3, 255)).save(tmp_path / "odd.png")
    with pytest.raises(PictureError, match=r"odd\.png: is 99 × 99 px and sea\.png is 160 × 160"):
        opening.open_as_layers([files[0], tmp_path / "odd.png"])
    Image.new("RGBA", (SIZE, SIZE), (0, 0, 0, 0)).save(tmp_path / "void.png")
    with pytest.raises(PictureError, match="transparent"):
        opening.open_as_layers([files[0], tmp_path / "void.png"])
    with pytest.raises(PictureError, match="2 to 24 pictures"):
        composing.composed([opening.open_file(files[0]).picture], ["a"])


def test_layers_on_the_command_line(files, tmp_path):
    out = tmp_path / "boat.svg"
    assert cli.main(["trace", *map(str, files), "--as-layers", "--out", str(out), "--width", "100mm", "--quiet"]) == 0
    text = out.read_text()
    assert all(name in text for name in ("01-sea", "02-boat", "03-lantern", "04-glow"))
    assert cli.main(["trace", str(files[0]), "--as-layers", "--out", str(out)]) == 2


def test_pages_are_kept_while_the_recipe_asks_for_them():
    pages = opening.Pages(pdf(SQUARE, RED), "two.pdf")
    assert pages.is_document and pages.count == 2
    first = pages.picture(Recipe())
    assert pages.picture(Recipe(cut_off=40)) is first
    other = pages.picture(Recipe(page=1, page_dpi=72))
    assert tuple(other.rgb[5, 5]) == (255, 0, 0) and other.dpi == 72
    assert pages.picture(Recipe()) is first  # two are kept
    assert (
        pages.picture(Recipe(page=4)).rgb.shape == pages.picture(Recipe(page=1)).rgb.shape
    )  # a shorter document: its last


def test_a_page_on_the_command_line(tmp_path):
    (tmp_path / "two.pdf").write_bytes(pdf(RED, SQUARE))
    out, report = tmp_path / "o.svg", tmp_path / "r.json"
    words = [
        "trace",
        str(tmp_path / "two.pdf"),
        "--page",
        "2",
        "--page-dpi",
        "150",
        "--out",
        str(out),
        "--report",
        str(report),
    ]
    assert cli.main(words) == 0
    told = json.loads(report.read_text())
    # the renderer paints whole (half) pixels: up to a quarter pixel, 0.04 mm, too much at each side
    assert told["source"]["dpi"] == 150 and told["layers"][0]["area_mm2"] == pytest.approx(50.8**2, rel=4e-3)
    assert cli.main([*words[:3], "9", "--out", str(out)]) == 3


def test_a_scan_has_the_size_of_the_glass_and_the_skew_asked_for():
    grey = np.full((300, 400), 255, np.uint8)
    grey[40:260, 40:48] = grey[40:260, 352:360] = grey[40:48, 40:360] = grey[252:260, 40:360] = 0
    picture = shapes.picture(np.dstack([grey] * 3))
    scan = scanned(picture, Scan(150.0, 150, 2.6, 0.25, 1))
    assert (scan.width, scan.height) == tuple(round(side / 25.4 * 150) for side in GLASS_MM) and scan.dpi == 150
    assert find_skew(scan.grey).degrees == pytest.approx(2.6, abs=0.1)
    found = find_faults(scan)
    assert found.uneven_light is not None and found.skew_deg == pytest.approx(2.6, abs=0.1)
    # the frame is 312 of 400 px, laid 150 mm wide: 117 mm from line middle to line middle
    row = scan.grey[scan.height // 2].astype(int)
    dark = np.flatnonzero(row < 120)
    assert (dark.max() - dark.min()) / 150 * 25.4 * np.cos(np.radians(2.6)) == pytest.approx(320 / 400 * 150, abs=1.0)


def test_the_same_scan_twice_is_the_same():
    picture = shapes.picture(
        shapes.colour_of(shapes.cover_of(shapes.disc(50, 50, 30), 100), (0, 0, 0), (255, 255, 255))
    )
    one, two = (scanned(picture, Scan(100.0, 75, 1.0, 0.1, 2)).rgb for _ in range(2))
    assert np.array_equal(one, two)


@pytest.mark.parametrize(
    "wrong", [{"dpi": 2400}, {"width_mm": 500.0}, {"skew_deg": 40}, {"falloff": 2}, {"dust": True}]
)
def test_a_scanner_refuses_what_it_cannot_do(wrong):
    with pytest.raises(SettingError, match=next(iter(wrong))):
        Scan(**wrong)


def test_a_scan_is_straightened_and_levelled_on_the_command_line(tmp_path):
    grey = np.full((300, 400), 255, np.uint8)
    grey[40:260, 40:360] = 0
    scan = scanned(shapes.picture(np.dstack([grey] * 3)), Scan(120.0, 150, -3.0, 0.3))
    Image.fromarray(scan.rgb).save(tmp_path / "scan.png", dpi=(150, 150))
    out, report = tmp_path / "o.svg", tmp_path / "r.json"
    assert (
        cli.main(
            [
                "trace",
                str(tmp_path / "scan.png"),
                "--mode",
                "tone",
                "--straighten",
                "--level-light",
                "--out",
                str(out),
                "--report",
                str(report),
                "--quiet",
            ]
        )
        == 0
    )
    told = json.loads(report.read_text())
    assert told["layers"][0]["pieces"] == 1
    assert told["layers"][0]["area_mm2"] == pytest.approx(320 / 400 * 120 * 220 / 400 * 120, rel=0.01)
    codes = {f["code"] for f in told["source"]["fitness"]}
    assert not codes & {"source.skew", "source.light"}
    assert decode((tmp_path / "scan.png").read_bytes(), "s").dpi == pytest.approx(150, abs=0.1)


def test_a_picture_is_named_in_the_users_language_and_a_project_keeps_its_own(tmp_path):
    picture = tmp_path / "disc.png"
    picture.write_bytes(
        shapes.png(shapes.colour_of(shapes.cover_of(shapes.disc(30, 30, 20), 60), (181, 72, 60), (255, 255, 255)))
    )
    opened = opening.open_file(picture)
    assert opened.project.recipe.names_in == "en" and opening.begun_as(opened, "nl").project.recipe.names_in == "nl"
    assert opening.begun_as(opened, "xx").project.recipe.names_in == "en"
    kept = tmp_path / "disc.sloom"
    projects.save(replace(opened.project, recipe=replace(opened.project.recipe, names_in="it")), kept)
    assert opening.begun_as(opening.open_file(kept), "nl").project.recipe.names_in == "it"
