"""Documents read as drawings: what is seen of their curves stays those curves; what cannot be followed is traced."""

import io
from dataclasses import replace
from pathlib import Path

import ezdxf
import numpy as np
import pytest
import shapely
from hypothesis import given, settings
from hypothesis import strategies as st
from reportlab.pdfgen import canvas

from amounts import examples
from sketchloom.command.main import main
from sketchloom.core.base.errors import GeometryError, PictureError
from sketchloom.core.curves.curveset import evaluate, flatten, is_straight
from sketchloom.core.picture.painted import Area, Painted, Part, packed, unpacked
from sketchloom.core.vectors.apart import painted_apart
from sketchloom.core.vectors.laying import laid
from sketchloom.core.vectors.rings import Pen, filled_part, stroked_part
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.files import batch
from sketchloom.files.opening import open_file, picture_of
from sketchloom.recipe.document import Recipe

HEAD = '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 80" width="100mm" height="80mm">'
AS_DRAWING = Recipe(as_drawing=True, smallest_mm=0.2, ground="keep", layering="fitted")


def svg(*parts):
    return (HEAD + "".join(parts) + "</svg>").encode()


def traced(data, name="a.svg", recipe=AS_DRAWING):
    picture = picture_of(data, name, recipe)
    return Pipeline().evaluate(picture, recipe)


def samples(controls, count=60):
    return evaluate(np.repeat(controls, count, 0), np.tile(np.linspace(0, 1, count), len(controls)))


def of_colour(work, hex_colour):
    return next(layer for layer in work.layers if layer.plan.hex == hex_colour)


def off_curves(work, painted):
    """How far the map's curves lie from those of the file at most, px, the page's border left out."""
    rings = [ring for area in painted.areas for ring in area.part.rings]
    rings += [ring for clip in painted.clips for part in clip for ring in part.rings]
    lines = [shapely.LinearRing(flatten(ring, is_straight(ring), 0.0005)[0]) for ring in rings]
    xy = samples(work.traced.curves.controls)
    wide, high = painted.width, painted.height
    inner = (xy > 0.01).all(1) & (xy < (wide - 0.01, high - 0.01)).all(1)
    return float(shapely.STRtree(lines).query_nearest(shapely.points(xy[inner]), return_distance=True,
                                                      all_matches=False)[1].max(initial=0))


def test_what_is_seen_keeps_its_very_curves():
    """A disc under a leaf under a turned plate, and a ring by parity: circles by arcs, curves by the file's cubics."""
    data = svg('<rect width="100" height="80" fill="#eeddbb"/>', '<circle cx="30" cy="40" r="22" fill="#123456"/>',
               '<path d="M40 20 C80 0 90 60 50 70 Z" fill="#b5483c"/>',
               '<g transform="rotate(20 70 30)"><rect x="60" y="20" width="25" height="14" fill="#2f6f7e"/></g>',
               '<path d="M5 5h20v20h-20z M10 10v10h10v-10z" fill="#e3ae4a" fill-rule="evenodd"/>')
    work = traced(data)
    painted = work.original.painted
    assert off_curves(work, painted) < 0.02
    assert {layer.plan.hex for layer in work.layers} == {"#eeddbb", "#123456", "#b5483c", "#2f6f7e", "#e3ae4a"}
    # a ring of twice four lines, a plate of four and a leaf of two, each parted where another thing ends at it
    assert of_colour(work, "#e3ae4a").outline.segments <= 10
    assert of_colour(work, "#2f6f7e").outline.segments <= 6 and of_colour(work, "#b5483c").outline.segments <= 7
    scale = painted.width / 100
    assert of_colour(work, "#e3ae4a").outline.area_px.sum() == pytest.approx(300 * scale**2, rel=1e-6)


@given(st.lists(st.tuples(st.floats(10, 90), st.floats(10, 70), st.floats(4, 25), st.floats(0, 3), st.booleans(),
                          st.sampled_from(["#102030", "#c04030", "#30a060", "#e0c040"])), min_size=1, max_size=7))
@settings(max_examples=examples(12), deadline=None)
def test_the_map_lies_on_the_curves_of_any_shapes(shapes):
    parts = [f'<g transform="rotate({turn * 57:.2f} {x:.2f} {y:.2f})">' + (
        f'<ellipse cx="{x:.2f}" cy="{y:.2f}" rx="{r:.2f}" ry="{0.6 * r:.2f}" fill="{colour}"/>' if is_round else
        f'<rect x="{x - r:.2f}" y="{y - r / 2:.2f}" width="{2 * r:.2f}" height="{r:.2f}" fill="{colour}"/>') + "</g>"
        for x, y, r, turn, is_round, colour in shapes]
    work = traced(svg('<rect width="100" height="80" fill="#f4f0e6"/>', *parts))
    painted = work.original.painted
    # where curves run within a pixel of each other a short line may join them
    assert off_curves(work, painted) < 0.75
    one = laid(painted, (painted.height, painted.width), True)
    for layer in work.layers:
        pixels = int((one.colour == int(layer.plan.hex[1:], 16)).sum())
        around = float(layer.outline.length_px())
        assert layer.outline.area_px.sum() == pytest.approx(pixels, abs=0.6 * around + 20)


def test_clips_uses_style_sheets_and_names_are_honoured():
    work = traced(svg(
        "<style>.night, #none { fill: #1e3557 } rect.warm { fill: #e3ae4a }</style>",
        '<clipPath id="c"><rect x="20" y="10" width="40" height="40"/></clipPath><defs><g id="two">'
        '<rect class="warm" x="0" y="0" width="8" height="8"/></g></defs>',
        '<g id="sky"><rect width="100" height="80" fill="#ffffff"/></g>',
        '<g id="moon" clip-path="url(#c)"><circle cx="40" cy="30" r="25" class="night"/></g>',
        '<g id="lanterns"><use href="#two" x="70" y="60"/><use href="#two" x="85" y="60"/></g>'))
    assert [layer.plan.name for layer in work.layers] == ["sky", "moon", "lanterns"]
    moon, scale = of_colour(work, "#1e3557").outline, work.original.painted.width / 100
    disc, square = shapely.Point(40, 30).buffer(25, quad_segs=500), shapely.box(20, 10, 60, 50)
    assert moon.area_px.sum() == pytest.approx(disc.intersection(square).area * scale**2, rel=1e-4)
    assert off_curves(work, work.original.painted) < 0.02
    assert of_colour(work, "#e3ae4a").outline.pieces == 2


def test_strokes_are_what_their_pen_covers():
    """Against the geometry library: a stroke of 3 with round ends, and a dashed one."""
    line = np.linspace((10.0, 40.0), (90.0, 40.0), 4)[None]
    part = stroked_part([(line, False)], [[10, 0, 0], [0, 10, 0]], Pen(3.0, "round", "round"))
    truth = shapely.LineString([(100, 400), (900, 400)]).buffer(15, quad_segs=200)
    ring = shapely.Polygon(flatten(part.rings[0], is_straight(part.rings[0]), 0.001)[0])
    assert ring.symmetric_difference(truth).area < 0.3 and len(part.rings[0]) <= 8
    dashed = stroked_part([(line, False)], [[10, 0, 0], [0, 10, 0]], Pen(2.0, dashes=(6.0, 4.0), offset=3.0))
    assert len(dashed.rings) == 9 and {round(float(np.ptp(r[:, 0, 0]))) for r in dashed.rings} == {30, 60}


def test_gradients_and_turned_words_are_traced_from_their_look_and_the_rest_stays():
    work = traced(svg(
        '<linearGradient id="g"><stop offset="0" stop-color="#102040"/><stop offset="1" stop-color="#f0d080"/>'
        '</linearGradient><rect width="100" height="80" fill="#ffffff"/>',
        '<rect x="10" y="10" width="30" height="20" fill="url(#g)"/>',
        '<circle cx="70" cy="25" r="12" fill="#b5483c"/>'
        '<text x="10" y="70" font-size="16" rotate="8" fill="#30a060">Tide</text>'))
    red = of_colour(work, "#b5483c").outline
    assert red.segments <= 6
    scale = work.original.painted.width / 100
    assert red.area_px.sum() == pytest.approx(np.pi * (12 * scale) ** 2, rel=2e-4)
    green = of_colour(work, "#30a060").outline
    assert green.pieces >= 4  # four letters, one with a dot
    assert work.unlike.explained > 0.98
    assert len(work.layers) >= 5, "the gradient's own colours"


def test_a_page_of_a_pdf_keeps_its_curves():
    out = io.BytesIO()
    page = canvas.Canvas(out, pagesize=(300, 200), pageCompression=0)
    page.setFillColorRGB(0.1, 0.2, 0.4)
    page.circle(90, 100, 60, stroke=0, fill=1)
    path = page.beginPath()
    path.moveTo(120, 40)
    path.curveTo(200, 20, 260, 120, 150, 160)
    path.close()
    page.setFillColorRGB(0.8, 0.3, 0.2)
    page.drawPath(path, stroke=0, fill=1)
    page.setStrokeColorRGB(0, 0.5, 0.3)
    page.setLineWidth(6)
    page.line(20, 20, 280, 20)
    page.save()
    work = traced(out.getvalue(), "a.pdf", replace(AS_DRAWING, ground="auto"))
    painted = work.original.painted
    assert len(painted.areas) == 3 and off_curves(work, painted) < 0.02
    assert {layer.plan.hex for layer in work.layers} == {"#1a3366", "#cc4d33", "#00804d"}
    green, scale = of_colour(work, "#00804d").outline, painted.width / 300
    assert green.segments == 4 and green.area_px.sum() == pytest.approx(260 * 6 * scale**2, rel=1e-3)  # whole px


def test_turned_and_cropped_it_is_the_same_drawing():
    data = svg('<rect width="100" height="80" fill="#ffffff"/><circle cx="50" cy="40" r="20" fill="#123456"/>')
    plain = traced(data)
    turned = traced(data, recipe=replace(AS_DRAWING, preparation=replace(AS_DRAWING.preparation, turn_deg=15.0)))
    one, two = (of_colour(w, "#123456").outline for w in (plain, turned))
    assert one.segments == two.segments and two.area_px.sum() == pytest.approx(one.area_px.sum(), rel=1e-6)


def test_steps_that_change_a_picture_read_it_as_one():
    data = svg('<rect width="100" height="80" fill="#ffffff"/><circle cx="50" cy="40" r="20" fill="#123456"/>')
    for recipe in (replace(AS_DRAWING, preparation=replace(AS_DRAWING.preparation, denoise=1)),
                   replace(AS_DRAWING, reading="tone"), replace(AS_DRAWING, as_drawing=False)):
        assert traced(data, recipe=recipe).segmentation.drawn_on is None
    assert traced(data).segmentation.drawn_on is not None


@pytest.mark.parametrize("part", [
    '<g id="a"><use href="#b"/></g><g id="b"><use href="#a"/></g><rect width="9" height="9"/>',
    '<style>g > rect { fill: red }</style><g><rect width="50" height="50"/></g>',
    '<rect width="9e300" height="9"/>', '<path d="M0 0 C 1 2"/><path d="nonsense"/><circle r="-4"/>',
    '<g transform="matrix(1 0 0)"><rect width="50" height="40"/></g>',
    '<svg x="10%" width="50%" height="50%" viewBox="0 0 10 10"><rect width="9" height="9"/></svg>',
    '<path d="M10 10 h1e9 v1e9 h-1e9 z"/>', '<rect width="50" height="40" stroke="red" stroke-dasharray="1e-9 1e-9"/>',
    "<g>" * 150 + '<rect width="50" height="40"/>' + "</g>" * 150])
def test_files_of_anybody_end_in_a_drawing_or_in_a_picture(part):
    """Never in anything else, and a drawing shows what its picture does."""
    data = svg('<rect width="100" height="80" fill="#ffffff"/><rect x="5" y="60" width="20" height="10"/>', part)
    try:
        work = traced(data)
    except PictureError:
        return
    assert work.layers and (work.unlike is None or work.unlike.explained > 0.9)


@given(st.binary(max_size=200))
@settings(max_examples=examples(60), deadline=None)
def test_no_bytes_are_areas_but_packed_ones(data):
    with pytest.raises(GeometryError):
        unpacked(data)


def test_areas_come_back_as_they_were_packed():
    ring = np.arange(24, dtype=float).reshape(3, 4, 2)
    made = Painted(30, 20, (Area(Part((ring,), True), "#102030", 0.5, "Möwe", (0,), True),), ((Part((ring + 1,)),),))
    back = unpacked(packed(made))
    assert (back.width, back.height, back.digest) == (30, 20, made.digest)
    (area,) = back.areas
    assert (area.hex, area.opacity, area.name, area.clips, area.by_look) == ("#102030", 0.5, "Möwe", (0,), True)
    assert np.array_equal(area.part.rings[0], ring) and area.part.even
    cut = packed(made)[:-8]
    with pytest.raises(GeometryError):
        unpacked(cut)


def test_what_no_one_paints_is_nothing():
    assert filled_part([], [[1, 0, 0], [0, 1, 0]], False) is None
    assert stroked_part([], [[1, 0, 0], [0, 1, 0]], Pen(1.0)) is None
    assert painted_apart(svg(), "a.svg", 0, 100, 80) is None


def dxf(make, units=4):
    document = ezdxf.new("R2000")
    document.header["$INSUNITS"] = units
    make(document, document.modelspace())
    out = io.StringIO()
    document.write(out)
    return out.getvalue().encode()


def test_a_drawing_exchange_file_is_opened_at_its_size_with_its_layers(tmp_path):
    """Loose lines that close, a circle in it, a bulged polyline, a spline in a block, a line that closes nothing."""
    def make(document, space):
        document.layers.add("moon", color=5)
        document.layers.add("boat", true_color=0x2F6F7E)
        for a, b in (((0, 0), (80, 0)), ((80, 40), (80, 0)), ((80, 40), (0, 40)), ((0, 40), (0, 0))):
            space.add_line(a, b, dxfattribs={"layer": "boat"})
        space.add_circle((20, 20), 10, dxfattribs={"layer": "boat"})
        space.add_lwpolyline([(40, 18, 1), (60, 18, 1)], format="xyb", close=True, dxfattribs={"layer": "moon"})
        block = document.blocks.new("lamp")
        block.add_lwpolyline([(0, 0), (4, 0), (4, 6), (0, 6)], close=True, dxfattribs={"layer": "moon"})
        space.add_blockref("lamp", (70, 25))
        space.add_line((5, 50), (75, 50), dxfattribs={"color": 1})

    path = tmp_path / "boat.dxf"
    path.write_bytes(dxf(make))
    opened = open_file(path)
    work = Pipeline().evaluate(opened.picture, replace(opened.project.recipe, smallest_mm=0.1))
    areas = {layer.plan.name: layer.area_mm2 for layer in work.layers}
    assert {"boat", "moon"} <= set(areas) and len(areas) == 3
    moon = np.pi * 100 + 24
    assert areas["moon"] == pytest.approx(moon, rel=5e-4)  # the library's arcs of 90°
    boat = next(layer for layer in work.layers if layer.plan.name == "boat")
    assert boat.outline.holes >= 1 and work.size_mm[0] == pytest.approx(80 * 1.02, abs=0.1)
    assert off_curves(work, work.original.painted) < 0.02
    inches = open_file(_written(tmp_path / "inch.dxf", dxf(make, units=1)))
    assert inches.picture.width / inches.picture.dpi == pytest.approx(80 * 1.02, rel=0.01)


def _written(path, data):
    path.write_bytes(data)
    return path


@pytest.mark.parametrize("curves", ["splines", "arcs"])
def test_what_was_written_as_a_drawing_exchange_file_comes_back(tmp_path, curves):
    source, out = tmp_path / "a.svg", tmp_path / "a.dxf"
    source.write_bytes(svg('<rect width="100" height="80" fill="#ffffff"/>',
                           '<circle cx="35" cy="40" r="25" fill="#2f6f7e"/>',
                           '<circle cx="35" cy="40" r="9" fill="#ffffff"/>',
                           '<path d="M70 10 L95 60 L65 60 Z" fill="#b5483c"/>'))
    assert main(["trace", str(source), "--as-drawing", "--out", str(out), "--curves", curves, "--layering", "fitted",
                 "--quiet"]) == 0
    opened = open_file(out)
    work = Pipeline().evaluate(opened.picture, replace(opened.project.recipe, layering="fitted"))
    areas = sorted(layer.area_mm2 for layer in work.layers)
    assert areas == pytest.approx(sorted((np.pi * (625 - 81), np.pi * 81, 750)), rel=2e-3)


def test_without_a_window_it_is_a_drawing_too(tmp_path):
    source, out = _written(tmp_path / "disc.dxf", dxf(lambda d, m: m.add_circle((50, 50), 40))), tmp_path / "o.svg"
    assert main(["trace", str(source), "--out", str(out), "--quiet"]) == 0
    assert out.read_text().partition(' d="')[2].partition('"')[0].count("C") == 4
    (tmp_path / batch.SMALL).mkdir()
    done = batch.work_on(str(source), str(tmp_path), "{}", "svg", "key")
    assert source in batch.pictures_in(tmp_path) and not done["why"]
    assert (tmp_path / done["outputs"][0]).read_text().partition(' d="')[2].partition('"')[0].count("C") == 4


@pytest.mark.parametrize("data", [b"0\nSECTION\n", b"0\nSECTION\n2\nENTITIES\n0\nLINE\n10\nx\n",
                                  b"0\nSECTION" + b"\0" * 500,
                                  dxf(lambda *_: None), dxf(lambda d, m: m.add_line((0, 0), (0, 0))),
                                  dxf(lambda d, m: m.add_circle((1e300, 0), 1e300))])
def test_damaged_drawing_exchange_files_are_told(tmp_path, data):
    with pytest.raises(PictureError):
        open_file(_written(tmp_path / "a.dxf", data))


def test_what_would_take_too_long_is_read_as_a_picture():
    """Four thousand pages on each other: nothing of them is laid."""
    data = svg('<rect width="100" height="80" fill="#ffffff"/>', '<path d="M0 0H100V80H0z" fill="#eeeeee"/>' * 4000,
               '<circle cx="50" cy="40" r="20" fill="#123456"/>')
    work = traced(data)
    assert work.original.painted is None and any("as a picture" in str(note) for note in work.original.notes)
    assert work.layers


def test_the_command_keeps_curves(tmp_path):
    source, out = tmp_path / "a.svg", tmp_path / "out.svg"
    source.write_bytes(svg('<rect width="100" height="80" fill="#ffffff"/>',
                           '<path d="M20 20 C60 0 80 60 30 60 Z" fill="#123456"/>'))
    assert main(["trace", str(source), "--as-drawing", "--out", str(out), "--quiet"]) == 0
    path = Path(out).read_text().partition(' d="')[2].partition('"')[0]
    assert path.count("C") == 1 and path.count("L") <= 1
