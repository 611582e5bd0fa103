"""A sign carved by the command: a recipe with a blank and operations, and what is wrong with others."""

import io
import json

import numpy as np
import pypdfium2
import pytest
import trimesh
from PIL import Image

import shapes
from sketchloom.command.main import main

BLUE, RED = (30, 53, 87), (181, 72, 60)


@pytest.fixture(autouse=True)
def own_folders(tmp_path, monkeypatch):
    monkeypatch.setenv("XDG_DATA_HOME", str(tmp_path / "data"))


@pytest.fixture
def picture(tmp_path):
    """A disc and a bar on white."""
    size = 300
    pixels = shapes.colour_of(shapes.cover_of(shapes.disc(150, 110, 60), size), BLUE, (255, 255, 255))
    pixels[220:250, 60:240] = RED
    path = tmp_path / "quay.png"
    path.write_bytes(shapes.png(pixels))
    return path


def recipe(tmp_path, operations, **blank):
    path = tmp_path / "sign.json"
    path.write_text(json.dumps({
        "size_mm": 80.0, "operations": operations,
        "blank": {"shape": "plaque", "width_mm": 120, "height_mm": 110, "thickness_mm": 12, "corner_mm": 10,
                  "rim_mm": 8, "recess_mm": 3} | blank}))
    return path


def layer(rgb):
    return {"kind": "layer", "key": "#{:02x}{:02x}{:02x}".format(*rgb)}


SIGN = [
    {"kind": "pocket", "of": {"kind": "field"}, "tool": "end-6", "depth_mm": 3, "raised": [layer(BLUE)]},
    {"kind": "carve", "of": layer(RED), "tool": "vee-90", "from_mm": 3},
    {"kind": "groove", "of": {"kind": "middle"}, "tool": "vee-60", "depth_mm": 1},
    {"kind": "profile", "of": {"kind": "board"}, "tool": "end-6", "depth_mm": 12.2, "tabs": 4, "lead_mm": 3},
]


def test_a_sign_from_a_picture_to_all_its_files(tmp_path, picture):
    outs = [tmp_path / f"sign.{kind}" for kind in ("nc", "png", "stl", "glb", "pdf")]
    report = tmp_path / "report.json"
    words = [w for out in outs[1:] for w in ("--carved", str(out))]
    assert main(["trace", str(picture), "--recipe", str(recipe(tmp_path, SIGN)), "--machine", "router", "--out",
                 str(outs[0]), "--report", str(report), "--quiet", *words]) == 0
    told = json.loads(report.read_text())
    carving = told["carving"]
    assert "sheets" not in told and carving["blank"]["rim_mm"] == pytest.approx([8, 8], abs=0.05)
    assert [one["kind"] for one in carving["operations"]] == ["pocket", "carve", "groove", "profile"]
    assert [one["tool"] for one in carving["tools"]] == ["end-6", "vee-90", "vee-60"]
    assert carving["carved_back_share"] > 0.999 and carving["time_s"] > 300 and carving["removed_cm3"] > 10
    # the bar is as deep as half its width, below the field, and the disc stands as high as the rim
    depth = next(one["depth_mm"] for one in carving["operations"] if one["kind"] == "carve")
    assert depth == pytest.approx(3 + 80 * 30 / 300 / 2, abs=0.1)
    assert not [f for f in told["findings"] if f["code"].startswith("carve.") and f["severity"] == "stop"]
    mesh = trimesh.load(io.BytesIO(outs[2].read_bytes()), file_type="stl")
    assert mesh.is_watertight and mesh.extents == pytest.approx((120, 110, 12), abs=1.2)
    assert trimesh.load(io.BytesIO(outs[3].read_bytes()), file_type="glb").extents[1] == pytest.approx(0.012, abs=1e-3)
    assert len(pypdfium2.PdfDocument(outs[4])) == 1
    assert np.asarray(Image.open(outs[1]).convert("L"), float).std() > 10
    assert outs[0].read_text().count("M6 T") == 4


def test_a_file_a_tool_in_the_order_in_which_they_run(tmp_path, picture):
    assert main(["trace", str(picture), "--recipe", str(recipe(tmp_path, SIGN)), "--machine", "router", "--format",
                 "gcode", "--out-dir", str(tmp_path / "out"), "--quiet"]) == 0
    assert [p.name for p in sorted((tmp_path / "out").iterdir())] == [
        "quay-01-end-6.nc", "quay-02-vee-90.nc", "quay-03-vee-60.nc", "quay-04-end-6.nc"]


@pytest.mark.parametrize(("operations", "words", "code", "why"), [
    ([], ("--carved", "a.png"), 2, "--carved"),
    (SIGN, ("--carved", "a.xyz"), 4, "xyz"),
    ([SIGN[0] | {"depth_mm": 14}], (), 4, "below the upper face"),
    ([SIGN[0] | {"tool": "no-such"}], (), 4, "not in the table"),
    ([SIGN[0] | {"kind": "melt"}], (), 2, "kind"),
    ([SIGN[0] | {"depth_mm": -1}], (), 2, "depth_mm"),
    ([SIGN[0] | {"of": {"kind": "layer", "key": "#000000"}}], (), 4, "nothing is carved"),
    (SIGN, ("--dialect", "laser"), 4, "up and down"),
])
def test_what_cannot_be_carved_is_a_sentence_and_writes_nothing(tmp_path, picture, capsys, operations, words, code,
                                                                why):
    words = tuple(str(tmp_path / w) if w.startswith("a.") else w for w in words)
    out = tmp_path / "sign.nc"
    assert main(["trace", str(picture), "--recipe", str(recipe(tmp_path, operations)), "--machine", "router", "--out",
                 str(out), "--quiet", *words]) == code
    said = capsys.readouterr().err
    assert why in said and "Traceback" not in said and not out.exists() and not list(tmp_path.glob("a.*"))


def test_a_package_of_a_carved_work_is_planned_as_sheets(tmp_path, picture):
    assert main(["trace", str(picture), "--recipe", str(recipe(tmp_path, SIGN)), "--machine", "router", "--package",
                 str(tmp_path / "job"), "--quiet"]) == 0
    assert list((tmp_path / "job").iterdir())


def test_a_recess_deeper_than_the_blank_is_refused(tmp_path, picture, capsys):
    path = recipe(tmp_path, SIGN, recess_mm=15)
    assert main(["trace", str(picture), "--recipe", str(path), "--machine", "router", "--out", str(tmp_path / "o.nc"),
                 "--quiet"]) == 2
    assert "recess_mm" in capsys.readouterr().err


def test_without_a_router_the_work_is_cut_from_sheets(tmp_path, picture):
    report = tmp_path / "r.json"
    assert main(["trace", str(picture), "--recipe", str(recipe(tmp_path, SIGN)), "--machine", "blade", "--out",
                 str(tmp_path / "o.svg"), "--report", str(report), "--quiet"]) == 0
    told = json.loads(report.read_text())
    assert told["sheets"] and "carving" not in told
