"""Written files, read back by readers that are not ours."""

import io
import re
import xml.etree.ElementTree as ET

import numpy as np
import pytest
import resvg_py
import svgelements
from PIL import Image

import shapes
import svgs
from sketchloom.core.base.errors import ExportError
from sketchloom.core.formats.atomic import write_whole
from sketchloom.core.formats.svg import layer_id
from sketchloom.core.layers.added import Rim
from sketchloom.core.picture.decode import decode
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.files import release
from sketchloom.files.demo_works import demo
from sketchloom.files.release import VERSIONS_APART_MM, outgoing_versions
from sketchloom.recipe.document import Recipe
from sketchloom.recipe.parts import LayerEdit

SVG = "{http://www.w3.org/2000/svg}"
INK, PAPER = (181, 72, 60), (243, 234, 215)


@pytest.fixture(scope="module")
def lighthouse():
    one = demo("lighthouse")
    picture = decode(one.picture_path.read_bytes(), one.file_name)
    return Pipeline().evaluate(picture, one.recipe)


def rendered(svg: bytes, size: int) -> np.ndarray:
    # the renderer rounds a page in mm to whole pixels first, so the page is given in pixels here
    svg = re.sub(rb'width="[\d.]+mm" height="[\d.]+mm"', f'width="{size}" height="{size}"'.encode(), svg, count=1)
    png = bytes(resvg_py.svg_to_bytes(svg_string=svg.decode(), width=size, height=size))
    return np.asarray(Image.open(io.BytesIO(png)).convert("RGBA")).astype(int)


def test_a_general_renderer_shows_the_source_again(lighthouse):
    """resvg draws our file; where it paints, it must be the picture. The ground is left out."""
    source = lighthouse.picture.rgb.astype(int)
    out = rendered(svgs.whole(lighthouse), source.shape[0])
    alpha = out[..., 3:] / 255
    mixed = out[..., :3] * alpha + 255 * (1 - alpha)
    off = np.abs(mixed - source).max(2)
    # edges may lie a few hundredths of a pixel apart; whole pixels must not
    assert (off > 60).mean() < 2e-4
    assert (off > 25).mean() < 3e-3


@pytest.mark.parametrize("layering", ["stacked", "fitted"])
def test_both_ways_show_the_same_picture(lighthouse, layering):
    from dataclasses import replace
    work = Pipeline().evaluate(lighthouse.picture, replace(lighthouse.recipe, layering=layering))
    stacked, other = (rendered(svgs.whole(w), 600) for w in (lighthouse, work))
    # fitted layers meet edge to edge: a renderer lets a trace of the ground through between them
    assert (np.abs(stacked - other).max(2) > 90).mean() < 1e-3


def test_structure_is_what_the_contract_says(lighthouse):
    root = ET.fromstring(svgs.whole(lighthouse))
    assert root.tag == SVG + "svg" and root.get("width") == "110mm" and root.get("viewBox") == "0 0 110 110"
    allowed = {SVG + tag for tag in ("svg", "title", "g", "path")}
    assert {e.tag for e in root.iter()} == allowed
    assert not any("transform" in e.attrib or "style" in e.attrib for e in root.iter())
    groups = root.findall(SVG + "g")
    assert len(groups) == len(lighthouse.layers) == 6
    for number, (group, layer) in enumerate(zip(groups, lighthouse.layers, strict=False), 1):
        assert group.get("id").startswith(f"layer-{number:02d}-")
        assert group.find(SVG + "title").text == layer.plan.name
        (path,) = group.findall(SVG + "path")
        assert path.get("fill-rule") == "evenodd" and re.fullmatch("#[0-9a-f]{6}", path.get("fill"))
        assert path.get("stroke") is None
        data = path.get("d")
        assert data.count("M") == data.count("Z") == layer.outline.pieces + layer.outline.holes
        drawn = data.count("C") + data.count("L")
        closing = sum(1 for ring in data.split("Z")[:-1] if not _ends_at_start(ring))
        assert drawn + closing == layer.outline.segments
        assert not re.search(r"\.\d{4}", data)


def _ends_at_start(ring):
    numbers = re.findall(r"-?[\d.]+", ring)
    return numbers[:2] == numbers[-2:]


@pytest.mark.parametrize("unit, size_mm", [("mm", 120.0), ("in", 7 * 25.4)])
def test_size_and_area_in_mm_by_an_independent_reader(unit, size_mm):
    """svgelements reads sizes at 96 px an inch (W3C); a disc of known radius is drawn."""
    cover = shapes.cover_of(shapes.disc(80, 80, 60), 160)
    picture = shapes.picture(shapes.colour_of(cover, INK, PAPER))
    work = Pipeline().evaluate(picture, Recipe(reading="colour", size_mm=size_mm, unit=unit))
    document = svgelements.SVG.parse(io.StringIO(svgs.whole(work).decode()))
    to_mm = 25.4 / 96
    assert float(document.width) * to_mm == pytest.approx(size_mm, abs=0.002)
    (path,) = list(document.select(lambda e: isinstance(e, svgelements.Path)))
    x0, y0, x1, y1 = (v * to_mm for v in path.bbox())
    scale = size_mm / 160
    assert (x1 - x0, y1 - y0) == pytest.approx((120 * scale, 120 * scale), abs=0.2 * scale)
    points = np.array([path.point(t) for t in np.linspace(0, 1, 2000)]) * to_mm
    assert shapes.shoelace(points) == pytest.approx(np.pi * (60 * scale) ** 2, rel=2e-3)
    assert work.layers[0].area_mm2 == pytest.approx(shapes.shoelace(points), rel=2e-3)


def test_one_file_a_layer_lines_up(lighthouse, tmp_path):
    files = svgs.write_layers(lighthouse, tmp_path, "badge")
    assert [f.name for f in files] == sorted(f.name for f in files) and len(files) == 6
    whole = ET.fromstring(svgs.whole(lighthouse))
    for file, group in zip(files, whole.findall(SVG + "g"), strict=False):
        root = ET.parse(file).getroot()
        assert root.get("viewBox") == whole.get("viewBox")
        assert root.find(f"{SVG}g/{SVG}path").get("d") == group.find(SVG + "path").get("d")


@pytest.mark.parametrize("name", ["<b>&", "a\x00\x1bb", "Größe", "…", "x" * 60, "]]>"])
def test_any_layer_name_gives_sound_xml(name):
    cover = shapes.cover_of(shapes.disc(20, 20, 12), 40)
    picture = shapes.picture(shapes.colour_of(cover, INK, PAPER))
    recipe = Recipe(reading="colour", layers=(LayerEdit("#b5483c", name=name),))
    root = ET.fromstring(svgs.whole(Pipeline().evaluate(picture, recipe)))
    assert re.fullmatch(r"layer-01-[a-z0-9-]+", root.find(SVG + "g").get("id"))
    assert layer_id(3, name).startswith("layer-03-")


def test_nothing_left_is_not_written(tmp_path):
    cover = shapes.cover_of(shapes.disc(20, 20, 12), 40)
    picture = shapes.picture(shapes.colour_of(cover, INK, PAPER))
    work = Pipeline().evaluate(picture, Recipe(reading="colour", layers=(LayerEdit("#b5483c", left_out=True),)))
    with pytest.raises(ExportError, match="nothing is left to cut"):
        svgs.write_one(work, tmp_path / "a.svg")
    assert list(tmp_path.glob("*.svg")) == []


def test_a_failed_write_leaves_what_was_there(tmp_path, monkeypatch):
    target = tmp_path / "out.svg"
    target.write_text("before")
    monkeypatch.setattr("os.fsync", lambda _: (_ for _ in ()).throw(OSError(28, "No space left on device")))
    with pytest.raises(ExportError, match="No space left"):
        write_whole(target, b"after")
    assert target.read_text() == "before" and [p.name for p in tmp_path.glob("*.part")] == []


def test_a_written_file_has_ordinary_permissions_and_keeps_those_it_had(tmp_path):
    fresh, old = tmp_path / "a", tmp_path / "b"
    write_whole(fresh, b"x")
    old.write_text("y")
    old.chmod(0o640)
    write_whole(old, b"z")
    assert fresh.stat().st_mode & 0o777 == 0o644 and old.stat().st_mode & 0o777 == 0o640


def test_a_backing_beyond_the_page_and_marks_widen_the_frame_of_every_file_alike(tmp_path):
    picture = shapes.picture(
        shapes.colour_of(shapes.cover_of(shapes.disc(60, 60, 59), 120), (200, 60, 50), (255, 255, 255))
    )
    pipeline = Pipeline()
    plain = pipeline.evaluate(picture, Recipe(size_mm=60.0))
    assert 'viewBox="0 0 60 60"' in svgs.whole(plain).decode()
    work = pipeline.evaluate(picture, Recipe(size_mm=60.0, rims=(Rim(3.0),), marks=True))
    boxes = {
        re.search(r'viewBox="([^"]+)"', data.decode()).group(1)
        for data in (svgs.whole(work), *svgs.layers(work, "x").values())
    }
    assert len(boxes) == 1
    left, top, width, height = map(float, boxes.pop().split())
    # the disc is 59 mm wide, its backing 65 mm; a mark needs 6 mm and its own 3 mm
    assert left == pytest.approx(30 - 32.5 - 9, abs=0.1) and width == pytest.approx(65 + 18, abs=0.2)
    for data in svgs.layers(work, "x").values():
        (path,) = ET.fromstring(data).iter(f"{SVG}path")
        marks = list(path.get("d").split("M")[1:])[-3:]
        starts = [tuple(map(float, m.split("C")[0].split())) for m in marks]
        # circles of 3 mm in three corners of the frame, the same on every sheet
        assert np.allclose(
            starts, [(left + 6, top + 4.5), (left + width - 3, top + 4.5), (left + 6, top + height - 4.5)], atol=0.01
        )


def test_a_file_per_piece_has_each_piece_with_its_holes_where_it_goes(tmp_path):
    def frame(x, y):
        return (
            (np.abs(x - 60) < 50) & (np.abs(y - 60) < 50) & ~((np.abs(x - 60) < 35) & (np.abs(y - 60) < 35))
        )
    def ring(x, y):
        return np.abs(np.hypot(x - 60, y - 60) - 18) < 7
    dot = shapes.disc(60, 60, 5)
    def both(x, y):
        return frame(x, y) | ring(x, y) | dot(x, y)
    work = Pipeline().evaluate(
        shapes.picture(shapes.colour_of(shapes.cover_of(both, 120), (30, 53, 87), (255, 255, 255))),
        Recipe(size_mm=60.0, smallest_mm=0.5),
    )
    assert (work.layers[0].outline.pieces, work.layers[0].outline.holes) == (3, 2)
    files = svgs.write_pieces(work, tmp_path, "nest")
    assert [f.name for f in files] == [f"nest-01-dark-blue-{n:03d}.svg" for n in (1, 2, 3)]
    # the frame has the ring's hole in it and the ring its own: pieces in each other's holes are not mixed up
    assert [f.read_text().count("M") for f in files] == [2, 2, 1]
    whole = svgelements.SVG.parse(io.BytesIO(svgs.whole(work))).bbox()
    boxes = [svgelements.SVG.parse(str(f)).bbox() for f in files]
    assert boxes[0] == pytest.approx(whole, abs=0.01)
    assert all(b[0] > boxes[0][0] and b[2] < boxes[0][2] for b in boxes[1:])


def test_versions_lie_side_by_side_each_an_object_of_its_own(lighthouse, tmp_path):
    """Four versions two by two, read by two readers: every path lies in its version's cell, moved as a whole."""
    files = outgoing_versions([lighthouse] * 4, ["a", "Größe b", "c", "c"], tmp_path / "v.svg")
    (path,) = release.write(files)
    root = ET.parse(path).getroot()
    versions = root.findall(SVG + "g")
    assert [v.find(SVG + "title").text for v in versions] == ["a", "Größe b", "c", "c"]
    ids = [element.get("id") for element in root.iter() if element.get("id")]
    assert len(ids) == len(set(ids)) == 4 * (1 + len(lighthouse.layers))
    width, height = lighthouse.size_mm
    step = (width + VERSIONS_APART_MM, height + VERSIONS_APART_MM)
    assert root.get("viewBox").split()[2:] == [f"{v:g}" for v in (2 * width + 10, 2 * height + 10)]
    plain = ET.fromstring(svgs.whole(lighthouse))
    for number, version in enumerate(versions):
        row, column = divmod(number, 2)
        for one, other in zip(version.iter(SVG + "path"), plain.iter(SVG + "path"), strict=True):
            box, was = svgelements.Path(one.get("d")).bbox(), svgelements.Path(other.get("d")).bbox()
            wanted = [v + (column * step[0], row * step[1])[k % 2] for k, v in enumerate(was)]
            assert box == pytest.approx(wanted, abs=0.002)
