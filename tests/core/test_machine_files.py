"""Files for machines, read back by readers that know nothing of the writer: shapes, areas, times, a dragged blade."""

import io
import itertools
from dataclasses import replace

import ezdxf
import numpy as np
import pypdfium2
import pytest
import shapely
from ezdxf import path as dxf_path
from gcodeparser import GcodeParser
from hypothesis import given, settings
from hypothesis import strategies as st
from PIL import Image

from amounts import examples
from sketchloom.core.curves.curveset import evaluate
from sketchloom.core.drawing.drawing import Drawing, Group, Look, Shape, strand_of, strand_of_lines
from sketchloom.core.formats import dialects
from sketchloom.core.formats.handing import Handing
from sketchloom.core.formats.registry import formats
from sketchloom.core.playback import gcode_reader, hpgl_reader
from sketchloom.core.playback.moves import chords_of
from sketchloom.core.playback.swivel import tip_path
from sketchloom.core.playback.telling import seconds_of, told_of
from sketchloom.core.shapes.polygons import areas_of, outline_of_area, straight_outline
from sketchloom.core.sheets.machine import Machine, shipped
from sketchloom.core.tooling.arcs import arcs_of
from sketchloom.core.tooling.kerf import kept_whole

SIZE = (160.0, 120.0)


def machine(key, **changes) -> Machine:
    return replace(next(m for m in shipped() if m.key == key), **changes)


def blobs(seed, count=4):
    """Round shapes with holes and a square, beside each other, mm."""
    rng, made = np.random.default_rng(seed), []
    for n in range(count):
        turn = np.linspace(0, 2 * np.pi, 90, endpoint=False)
        middle = np.array([20 + 36 * n, 30 + rng.uniform(0, 60)])
        ring = 11 * (1 + 0.25 * np.cos(3 * turn + rng.uniform(0, 6)) + 0.1 * np.cos(5 * turn + rng.uniform(0, 6)))
        outer = shapely.Polygon(middle + ring[:, None] * np.column_stack([np.cos(turn), np.sin(turn)]))
        made.append(outer.difference(shapely.Point(middle).buffer(3.0, quad_segs=24)))
    made.append(shapely.box(140, 5, 155, 20))
    return areas_of(shapely.union_all(made))


def drawn(seed=1, lines=()):
    outline = outline_of_area(blobs(seed), 0.02)
    shapes = [Shape((strand_of(outline, 1.0),), Look("#2040a0"))]
    if lines:
        shapes.append(Shape((strand_of_lines(lines),), Look(None, "#2040a0", 0.1)))
    return outline, Drawing("blobs (one)", (0.0, 0.0, *SIZE), (Group(tuple(shapes), "Blå / ljus", 1),))


def truth(outline):
    """Rings of an outline, sampled finely, y up from the frame's lower left, as closed polygons."""
    rings = []
    for a, b in itertools.pairwise(outline.starts.tolist()):
        points = evaluate(np.repeat(outline.controls[a:b], 60, 0), np.tile(np.arange(60) / 60, b - a))
        rings.append(np.column_stack([points[:, 0], SIZE[1] - points[:, 1]]))
    return rings


def farthest(rings, wanted):
    """The greatest distance between two sets of rings, both ways."""
    def lines(some):
        return shapely.union_all([shapely.LinearRing(r) for r in some])
    a, b = lines(rings), lines(wanted)
    return max(max(shapely.Point(p).distance(other) for r in some for p in r[::7])
               for some, other in ((rings, b), (wanted, a)))


def area_of(rings):
    """Even-odd: a ring within another is a hole."""
    total = shapely.Polygon()
    for ring in rings:
        total = total.symmetric_difference(shapely.Polygon(ring).buffer(0))
    return total.area


def cut_rings(moves, within=0.0005):
    rings = []
    for a, b in zip(*moves.strokes(), strict=True):
        xy, _ = chords_of(moves.begin[a:b], moves.end[a:b], moves.centre[a:b], moves.sweep[a:b], within)
        rings.append(np.vstack([xy, moves.end[b - 1]]))
    return rings


@pytest.mark.parametrize("how", [Handing(), Handing(curves="arcs"), Handing(curves="lines"), Handing(dxf="r12"),
                                 Handing(dxf="r12", curves="lines")])
def test_a_dxf_holds_the_shapes_and_passes_the_audit(how):
    """Read by the library's own reader and audited by it; $INSUNITS 4 is millimetres (DXF reference)."""
    outline, drawing = drawn(lines=[np.array([(2.0, 2.0), (9.0, 4.0)])])
    data = formats()["dxf"].write(drawing, how)
    assert data == formats()["dxf"].write(drawing, how)
    document = ezdxf.read(io.StringIO(data.decode("cp1252" if how.dxf == "r12" else "utf-8")))
    report = document.audit()
    assert not report.errors and not report.fixes
    assert how.dxf == "r12" or document.header["$INSUNITS"] == 4
    assert document.dxfversion == ("AC1009" if how.dxf == "r12" else "AC1015")
    (layer,) = {e.dxf.layer for e in document.modelspace()}
    assert layer == "01_Bla_ljus"
    assert np.abs(np.subtract(ezdxf.colors.aci2rgb(document.layers.get(layer).color), (0x20, 0x40, 0xa0))).max() < 70
    kinds = {e.dxftype() for e in document.modelspace()}
    assert kinds <= {"SPLINE", "LWPOLYLINE"} if how.dxf == "r2000" else kinds == {"POLYLINE"}
    paths = [dxf_path.make_path(e) for e in document.modelspace()]
    closed = [p for p in paths if p.is_closed]
    assert len(closed) == len(outline.starts) - 1 and len(paths) == len(closed) + 1
    rings = [np.array([(v.x, v.y) for v in p.flattening(0.0005)]) for p in closed]
    assert farthest(rings, truth(outline)) <= 0.01
    assert area_of(rings) == pytest.approx(area_of(truth(outline)), rel=5e-4)


@pytest.mark.parametrize("key", ["laser", "pen", "router"])
def test_machine_code_holds_the_shapes(key):
    outline, drawing = drawn()
    its = machine(key, overcut_mm=0.0, passes=1)
    data = formats()["gcode"].write(drawing, Handing(machine=its))
    moves = gcode_reader.read(data)
    assert not moves.troubles
    rings = cut_rings(moves)
    assert len(rings) == len(outline.starts) - 1
    assert farthest(rings, truth(outline)) <= 0.01
    assert area_of(rings) == pytest.approx(area_of(truth(outline)), rel=5e-4)
    # every word by a parser from the registries: only those of NIST RS274/NGC
    lines = GcodeParser(data.decode(), include_comments=False).lines
    words = {f"{line.command[0]}{line.command[1]}" for line in lines}
    assert words <= {"G21", "G90", "G17", "G94", "G0", "G1", "G2", "G3", "M3", "M5", "M6", "M30", "T1"}
    assert {"G0", "G2", "G3", "M30"} <= words


@pytest.mark.parametrize(("axes", "origin"), [("upright", "corner"), ("feed", "corner"), ("upright", "middle")])
def test_plotter_language_holds_the_shapes_on_the_machines_axes(axes, origin):
    """Units of 0.025 mm (HP-GL reference manuals), so half a unit more than other formats. Nothing is mirrored."""
    outline, drawing = drawn()
    data = formats()["hpgl"].write(drawing, Handing(machine=machine("pen", axes=axes, origin=origin, overcut_mm=0.0)))
    assert data.startswith(b"IN;") and b"SP1;" in data and data.rstrip().endswith(b"SP0;")
    moves = hpgl_reader.read(data)
    assert not moves.troubles
    rings = cut_rings(moves)
    if origin == "middle":
        rings = [r + np.array(SIZE) / 2 for r in rings]
    if axes == "feed":  # x along the feed from the edge that goes in first, y across
        rings = [np.column_stack([r[:, 1], SIZE[1] - r[:, 0]]) for r in rings]
    assert farthest(rings, truth(outline)) <= 0.01 + 0.0125
    assert area_of(rings) == pytest.approx(area_of(truth(outline)), rel=5e-4)


@pytest.mark.parametrize(("reader", "per_mm"), [("mm", 1.0), ("96", 96 / 25.4), ("90", 90 / 25.4), ("72", 72 / 25.4)])
def test_an_svg_for_readers_that_take_bare_numbers(reader, per_mm):
    """1 in = 25.4 mm = 96 px (W3C CSS Values and Units); others by what they take."""
    from svgelements import SVG, Path

    _, drawing = drawn()
    data = formats()["svg"].write(drawing, Handing(reader=reader))
    assert (b'width="160mm"' in data) == (reader == "mm")
    read = SVG.parse(io.BytesIO(data), ppi=float(25.4 if reader == "mm" else reader))
    box = next(p for p in read.elements() if isinstance(p, Path)).bbox()
    left, top, right, bottom = blobs(1).bounds
    assert [v / per_mm for v in box] == pytest.approx([left, top, right, bottom], abs=0.03)


def test_a_pdf_is_as_large_as_the_work_and_looks_like_it():
    _, drawing = drawn()
    data = formats()["pdf"].write(drawing)
    page = pypdfium2.PdfDocument(data)[0]
    assert [v / 72 * 25.4 for v in page.get_size()] == pytest.approx(SIZE, abs=1e-3)
    seen = np.asarray(page.render(scale=100 / 72).to_pil().convert("L"))
    wanted = np.asarray(Image.open(io.BytesIO(formats()["png"].write(drawing, Handing(dpi=100)))))
    shape = min(seen.shape[0], wanted.shape[0]), min(seen.shape[1], wanted.shape[1])
    inked, solid = seen[:shape[0], :shape[1]] < 128, wanted[:shape[0], :shape[1], 3] > 128
    assert solid.mean() == pytest.approx(blobs(1).area / (SIZE[0] * SIZE[1]), rel=0.02)
    assert (inked & solid).sum() / (inked | solid).sum() > 0.97
    assert b"/OCProperties" in data and b"/OCG" in data


def test_a_page_parted_over_paper_covers_all_of_it():
    _, drawing = drawn()
    large = Drawing("large", (0.0, 0.0, 500.0, 330.0), drawing.groups)
    document = pypdfium2.PdfDocument(formats()["pdf"].write(large, Handing(paper="A4")))
    sizes = {tuple(round(v / 72 * 25.4) for v in page.get_size()) for page in document}
    assert sizes in ({(210, 297)}, {(297, 210)})  # ISO 216
    from sketchloom.core.formats.pdf import EDGE_MM, OVERLAP_MM, tiles_of
    (size,) = sizes
    columns, rows = tiles_of((500.0, 330.0), size)
    assert len(document) == columns * rows
    for count, side, whole in ((columns, size[0], 500.0), (rows, size[1], 330.0)):
        inner = side - 2 * EDGE_MM
        assert count * inner - (count - 1) * OVERLAP_MM >= whole > (count - 1) * (inner - OVERLAP_MM) + OVERLAP_MM


def test_a_picture_of_a_drawing_says_its_resolution():
    _, drawing = drawn()
    picture = Image.open(io.BytesIO(formats()["png"].write(drawing, Handing(dpi=200))))
    assert picture.mode == "RGBA" and picture.info["dpi"][0] == pytest.approx(200, abs=0.1)
    assert picture.size == (1260, 945) and picture.getpixel((0, 0))[3] == 0
    assert Image.open(io.BytesIO(formats()["webp"].write(drawing, Handing(dpi=100)))).size == (630, 472)


@settings(max_examples=examples(25), deadline=None)
@given(st.integers(0, 10_000), st.sampled_from([0.002, 0.005, 0.05]))
def test_arcs_keep_their_distance_and_join(seed, within):
    outline = outline_of_area(blobs(seed, 3), 0.02)
    arcs = arcs_of(outline.controls, outline.straight, outline.starts, within)
    for ring, (a, b) in enumerate(itertools.pairwise(arcs.starts.tolist())):
        assert np.abs(arcs.end[a:b] - np.roll(arcs.begin[a:b], -1, 0)).max() < 1e-9
        xy, _ = chords_of(arcs.begin[a:b], arcs.end[a:b], arcs.centre[a:b], arcs.sweep[a:b], within / 50)
        first, last = outline.starts[ring:ring + 2]
        curve = evaluate(np.repeat(outline.controls[first:last], 50, 0), np.tile(np.arange(50) / 50, last - first))
        line = shapely.LinearRing(xy)
        assert max(shapely.Point(p).distance(line) for p in curve) <= 1.15 * within
    if within == 0.005:
        assert len(arcs.sweep) - outline.straight.sum() <= 2.8 * (~outline.straight).sum()


def test_names_of_any_letters_stay_readable_in_files_that_hold_ascii_alone():
    drawing = replace(drawn()[1], title="Grüße 5 × 4")
    assert "(Grusse 5 x 4" in formats()["gcode"].write(drawing).decode("ascii")


def test_a_dragged_blade_does_not_tremble_on_curves_in_plotter_language():
    """Its axis runs along a disc of 2 mm without turning back: units of 0.025 mm alone turn it by less than 45°."""
    disc = outline_of_area(shapely.MultiPolygon([shapely.Point(10, 10).buffer(1.0, quad_segs=90)]), 0.002)
    drawing = Drawing("x", (0.0, 0.0, 20.0, 20.0), (Group((Shape((strand_of(disc, 1.0),), Look("#000000")),), "x", 1),))
    its = machine("blade")
    moves = hpgl_reader.read(formats()["hpgl"].write(drawing, Handing(machine=its)))
    a, b = (one[-1] for one in moves.strokes())
    step = (moves.end - moves.begin)[a + 8:b - 1]  # after the swing that begins it
    way = np.arctan2(step[:, 1], step[:, 0])
    assert np.abs((np.diff(way) + np.pi) % (2 * np.pi) - np.pi).max() < np.pi / 4


@settings(max_examples=examples(12), deadline=None)
@given(st.integers(0, 10_000), st.sampled_from([0.1, 0.25, 0.9]))
def test_a_dragged_blade_cuts_the_outline(seed, offset):
    """The tip of a blade pulled by its axis (a tractrix) stays on the outline but for the swing at corners."""
    outline = outline_of_area(blobs(seed), 0.02)
    drawing = Drawing("x", (0.0, 0.0, *SIZE), (Group((Shape((strand_of(outline, 1.0),), Look("#000000")),), "x", 1),))
    its = machine("blade", offset_mm=offset, overcut_mm=0.0)
    moves = gcode_reader.read(formats()["gcode"].write(drawing, Handing(machine=its)))
    tip, down, _, move = tip_path(moves, offset, 1.0)
    lines = shapely.union_all([shapely.LinearRing(r) for r in truth(outline)])
    first, _past = moves.strokes()
    on = down & (move >= first[1])  # but for the stroke that turns the blade at first
    away = shapely.distance(shapely.points(tip[on]), lines)
    corners = np.array([(x, SIZE[1] - y) for x, y in ((140, 5), (155, 5), (140, 20), (155, 20))])
    plain = np.hypot(*(tip[on][:, None] - corners).transpose(2, 0, 1)).min(1) > offset
    assert away[plain].max() <= 0.02 and away.max() <= 0.05
    # without the offset made up for, the same blade misses by about as much as it trails at corners
    bare = gcode_reader.read(formats()["gcode"].write(drawing, Handing(machine=machine("blade", offset_mm=0.0))))
    tip, down, _, _ = tip_path(bare, offset)
    assert shapely.distance(shapely.points(tip[down]), lines).max() > 0.4 * offset


def test_a_kerf_moves_every_cut_into_the_waste():
    """Grown by half the kerf: A + P d + π d² for a convex shape (Steiner), holes shrink."""
    disc = outline_of_area(areas_of(shapely.Point(0, 0).buffer(20, quad_segs=90)), 0.005)
    grown = kept_whole(disc, 0.4)
    assert grown.area_px.sum() == pytest.approx(np.pi * 20.2**2, rel=2e-4)
    plate = straight_outline(areas_of(shapely.box(0, 0, 40, 30).difference(shapely.box(10, 10, 20, 20))))
    grown = kept_whole(plate, 0.2)
    assert sorted(grown.area_px) == pytest.approx(
        [-(9.8**2), 40 * 30 + 140 * 0.1 + np.pi * 0.01], rel=1e-3)
    assert kept_whole(plate, 0.0) is plate


def test_the_time_of_a_file_is_that_of_the_motion():
    """A square and its way there by closed forms of uniformly accelerated motion (textbook)."""
    its = machine("laser", speed=50.0, travel=100.0, acceleration=500.0, corner_mm=0.0, lift_s=0.2)
    square = np.array([(10.0, 10), (60, 10), (60, 60), (10, 60), (10, 10)])
    code = ["G21", "G90", "G0 X10 Y10", "M3 S500"] + [f"G1 X{x} Y{y} F3000" for x, y in square[1:]] + ["M5", "M30"]
    moves = gcode_reader.read("\n".join(code).encode())
    side = 50 / 50 + 50 / 500
    way = np.hypot(10, 10)
    assert seconds_of(moves, its.cutting, its.travelling, its.lift_s) == pytest.approx(
        4 * side + 0.2 + 2 * np.sqrt(way / 500), rel=1e-6)
    told = told_of(moves)
    assert (told.strokes, told.open, told.cut_mm, told.width_mm) == (1, 0, 200.0, 50.0)


def test_what_is_cut_twice_or_stays_open_is_told():
    def code(*lines):
        rows = ["G21", "G90"]
        for line in lines:
            rows += [f"G0 X{line[0][0]} Y{line[0][1]}", "M3 S500"]
            rows += [f"G1 X{x} Y{y} F600" for x, y in line[1:]] + ["M5"]
        return gcode_reader.read("\n".join(rows).encode())
    square = [(0, 0), (30, 0), (30, 30), (0, 30), (0, 0)]
    beside = [(30, 0), (60, 0), (60, 30), (30, 30), (30, 0)]
    assert told_of(code(square)).doubled_mm == 0
    assert told_of(code(square, beside)).doubled_mm == pytest.approx(30, abs=1.0)
    near = [(x + 0.05, y) for x, y in beside]
    assert told_of(code(square, near)).doubled_mm == pytest.approx(30, abs=1.0)
    far = [(x + 0.5, y) for x, y in beside]
    assert told_of(code(square, far)).doubled_mm == 0
    over = [*square, (0.8, 0)]
    told = told_of(code(over))
    assert told.doubled_mm == 0 and told.open == 0
    assert told_of(code(square[:-1])).open == 1
    assert told_of(code([(0, 0), (50, 0)], [(0, 0), (50, 0)])).doubled_mm == pytest.approx(50, abs=0.5)
    # chords shorter than what is looked at: the run past its beginning is no double cut, a second round is
    t = np.linspace(0, 2 * np.pi * (1 + 1 / 120), 1500)
    round_one = np.column_stack([40 + 20 * np.cos(t), 40 + 20 * np.sin(t)])
    assert told_of(code(round_one.tolist())).doubled_mm == 0
    twice = told_of(code(round_one[:-20].tolist(), round_one[:-20].tolist()))
    assert twice.doubled_mm == pytest.approx(2 * np.pi * 20, rel=0.02)


@pytest.mark.parametrize(("data", "sentence"), [
    (b"G1 X10 Y10\n", "without a feed"), (b"G21\nG2 X10 Y0 I4 J1 F100\n", "different distances"),
    (b"G0 Z-3\n", "in rapid"), (b"G77 X1\n", "G77"), (b"hello\n", "no word"), (b"G0 X1e9\n", ""),
    (b"G1 X99999999 F1\n", "beyond any machine")])
def test_what_a_controller_stumbles_over_is_told(data, sentence):
    moves = gcode_reader.read(data)
    if sentence:
        assert any(sentence in str(why) for _, why in moves.troubles)


@pytest.mark.parametrize(("data", "sentence"), [
    (b"IN;PA;PD10,10,20;", "two numbers"), (b"IN;SP0;PD;PA10,10;", "without a tool"), (b"ZZ1;", "ZZ"),
    (b"IN;PU999999999,0;", "beyond any machine"), (b"IN;%%%", "no plotter language")])
def test_what_a_plotter_stumbles_over_is_told(data, sentence):
    assert any(sentence in str(why) for _, why in hpgl_reader.read(data).troubles)


@pytest.mark.parametrize("number", ["9" * 400, "-9" + "9" * 400, "0." + "0" * 400 + "1", "+.5", "-0"])
def test_numbers_beyond_all_are_numbers(number):
    for word in ("T", "F", "S", "Z", "X", "I"):
        gcode_reader.read(f"G21\nG1 F60 {word}{number} Y3\nG2 {word}{number} J2\n".encode())
    for word in ("SP", "VS", "FS", "PU", "PD"):
        told_of(hpgl_reader.read(f"IN;PA;PD1,1;{word}{number},{number};PU0,0;".encode()))


@settings(max_examples=examples(60), deadline=None)
@given(st.binary(max_size=400))
def test_no_bytes_break_the_readers(data):
    for reader in (hpgl_reader, gcode_reader):
        moves = reader.read(data)
        told_of(moves)
        tip_path(moves, 0.25)


@settings(max_examples=examples(30), deadline=None)
@given(st.integers(0, 1000), st.integers(1, 40))
def test_bytes_that_come_in_bits_are_read_alike(seed, size):
    data = formats()["hpgl"].write(drawn(seed % 7)[1])
    reader = hpgl_reader.HpglReader()
    for at in range(0, len(data), 997 * size):
        reader.feed(data[at:at + 997 * size])
    reader.feed(b"", True)
    assert np.array_equal(reader.moves().end, hpgl_reader.read(data).end)


def test_a_dialect_is_text_and_nothing_more():
    own = dialects.from_plain([{"key": "mine", "name": "Mine", "on": ["M3 S{power} {__class__}"], "arcs": False,
                                "numbered": True}])[0]
    assert dialects.filled(own.on, {"power": "5"}) == ["M3 S5 {__class__}"]
    _, drawing = drawn()
    data = formats()["gcode"].write(drawing, Handing(dialect=own)).decode().splitlines()
    assert data[0].startswith("N10 ") and not any(" G2 " in line or " G3 " in line for line in data)
