"""``./loom bench release``: every format read back, arcs, a dragged blade, times, and a batch, measured."""

import io
import itertools
import shutil
import subprocess
import sys
import tempfile
import time
from dataclasses import replace
from pathlib import Path

import ezdxf
import numpy as np
import shapely
from ezdxf import path as dxf_path
from PIL import Image

from bench.table import Row
from sketchloom.core.curves.curveset import evaluate, flatten
from sketchloom.core.drawing.drawing import Drawing
from sketchloom.core.formats.handing import Handing
from sketchloom.core.formats.registry import formats
from sketchloom.core.playback import gcode_reader, hpgl_reader
from sketchloom.core.playback.film import film_of
from sketchloom.core.playback.moves import chords_of
from sketchloom.core.playback.swivel import tip_path
from sketchloom.core.playback.telling import seconds_of
from sketchloom.core.sheets.machine import shipped
from sketchloom.core.sheets.motion import chords
from sketchloom.core.sheets.part import in_mm
from sketchloom.core.tooling.arcs import arcs_of
from sketchloom.core.tooling.strokes import on_axes
from sketchloom.desk.rehearsal import pace_of
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.evaluate.planning import plans_of
from sketchloom.files import batch
from sketchloom.files.demo_works import demo
from sketchloom.files.handing_over import handing_of
from sketchloom.files.opening import open_file
from sketchloom.files.release import whole_drawing
from sketchloom.files.sheet_files import sheet_drawings

_KEYS = ("lighthouse", "panel", "kingfisher", "banner")
_CONVERTER = "hp2xx"
"""A converter of plotter language from the system's packages; a command, not a library, and of this bench only."""
_PICTURES = 100
_FINE_MM = 0.0005
"""Chords that stand for a curve stray from it by so much, however long it is."""


def rows() -> list[Row]:
    works = {key: _work(key) for key in _KEYS}
    return [*_read_back(works), *_converted(works), *_arcs(works), *_machines(works), *_speed(works["panel"]),
            *_batch()]


def _work(key, machine=None, **changes):
    opened = open_file(demo(key).picture_path)
    return Pipeline().evaluate(opened.picture, replace(opened.project.recipe, machine=machine, **changes))


def _rings(controls, starts, frame):
    points, of = flatten(controls, np.zeros(len(controls), bool), _FINE_MM)
    return [on_axes(points[of[a]:of[b]], frame, None) for a, b in itertools.pairwise(np.asarray(starts).tolist())]


def _apart(rings, wanted):
    """The greatest distance of the rings' points from what is wanted, and the other way."""
    worst = 0.0
    for some, others in ((rings, wanted), (wanted, rings)):
        tree = shapely.STRtree([shapely.linestrings(np.vstack([r, r[:1]])) for r in others])
        points = shapely.points(np.concatenate([r[::3] for r in some]))
        worst = max(worst, float(tree.query_nearest(points, return_distance=True, all_matches=False)[1].max()))
    return worst


def _area(rings):
    total = shapely.Polygon()
    for ring in sorted((shapely.Polygon(r).buffer(0) for r in rings), key=lambda p: -p.area):
        total = total.symmetric_difference(ring)
    return total.area


def _moves_rings(moves):
    rings = []
    for a, b in zip(*moves.strokes(), strict=True):
        xy, _ = chords_of(moves.begin[a:b], moves.end[a:b], moves.centre[a:b], moves.sweep[a:b], 0.0005)
        rings.append(xy)
    return rings


def _dxf_rings(data):
    document = ezdxf.read(io.StringIO(data.decode("utf-8")))
    assert not document.audit().errors
    return [_dxf_ring(e) for e in document.modelspace()]


def _dxf_ring(entity):
    """Arcs as arcs: the library's paths are cubics, which stray from a quarter of a circle by 0.00027 of its radius."""
    if entity.dxftype() != "LWPOLYLINE":
        return np.array([(v.x, v.y) for v in dxf_path.make_path(entity).flattening(0.0005)])
    at, parts = np.array(entity[0][:2]), []
    for part in entity.virtual_entities():
        both = (part.dxf.start, part.dxf.end) if part.dxftype() == "LINE" else part.flattening(0.0002)
        points = np.array([(v.x, v.y) for v in both])
        parts.append(points if np.hypot(*(points[0] - at)) <= np.hypot(*(points[-1] - at)) else points[::-1])
        at = parts[-1][-1]
    return np.vstack(parts)


def _read_back(works):
    laser = replace(next(m for m in shipped() if m.key == "laser"), overcut_mm=0.0)
    readers = {"dxf, splines": ("dxf", Handing(), _dxf_rings),
               "dxf, arcs": ("dxf", Handing(curves="arcs"), _dxf_rings),
               "machine code": ("gcode", Handing(machine=laser), lambda d: _moves_rings(gcode_reader.read(d))),
               "plotter language": ("hpgl", Handing(machine=laser), lambda d: _moves_rings(hpgl_reader.read(d)))}
    for name, (key, how, read) in readers.items():
        worst, area = 0.0, 0.0
        for work in works.values():
            whole = whole_drawing(work)
            for group in whole.layers:
                drawing = Drawing(group.name, whole.frame, (group,))
                strand = group.shapes[0].strands[0]
                wanted = _rings(strand.controls_mm(), strand.starts, whole.frame)
                rings = read(formats()[key].write(drawing, how))
                worst = max(worst, _apart(rings, wanted))
                area = max(area, abs(_area(rings) / _area(wanted) - 1))
        most = 0.01 + (0.0125 if key == "hpgl" else 0.0)
        yield Row(f"{name} read back: farthest from the curves", worst, most, "mm", f"{len(works)} works, each layer")
        yield Row(f"{name} read back: area of a layer", 100 * area, 0.05, "%", "worst of all layers")


def _converted(works):
    """Plotter language as a general converter of the system reads it, with the corner of its box taken back to where
    it was: the converter begins at what is drawn."""
    if shutil.which(_CONVERTER) is None:
        print(f"plotter language by a general converter: not measured; apt-get install {_CONVERTER}", file=sys.stderr)
        return
    machine, worst = replace(next(m for m in shipped() if m.key == "laser"), overcut_mm=0.0), 0.0
    for work in works.values():
        whole = whole_drawing(work)
        for group in whole.layers:
            strand = group.shapes[0].strands[0]
            data = formats()["hpgl"].write(Drawing(group.name, whole.frame, (group,)), Handing(machine=machine))
            moves = hpgl_reader.read(data)
            lines = _by_converter(data) + moves.end[moves.down].min(0)
            wanted = _rings(strand.controls_mm(), strand.starts, whole.frame)
            tree = shapely.STRtree([shapely.linestrings(np.vstack([r, r[:1]])) for r in wanted])
            away = tree.query_nearest(shapely.points(lines.reshape(-1, 2)), return_distance=True,
                                      all_matches=False)[1]
            back = shapely.STRtree(shapely.linestrings(lines)).query_nearest(
                shapely.points(np.concatenate([r[::3] for r in wanted])), return_distance=True, all_matches=False)[1]
            worst = max(worst, float(away.max()), float(back.max()))
    yield Row("plotter language by a general converter: farthest from the curves", worst, 0.0225, "mm",
              "converted to DXF, read by ezdxf")


def _by_converter(data):
    """Lines (N, 2, 2), mm."""
    with tempfile.TemporaryDirectory() as folder:
        source, target = Path(folder) / "a.plt", Path(folder) / "a.dxf"
        source.write_bytes(data)
        subprocess.run([_CONVERTER, "-q", "-t", "-N", "-m", "dxf", "-f", str(target), str(source)], check=True,
                       capture_output=True, cwd=folder)
        found = ezdxf.readfile(target).modelspace().query("LINE")
        return np.array([((e.dxf.start.x, e.dxf.start.y), (e.dxf.end.x, e.dxf.end.y)) for e in found])


def _arcs(works):
    counts, off = [], 0.0
    for work in works.values():
        for layer in work.layers:
            cubics, arcs, away = _arcs_of(layer, work)
            counts.append((cubics, arcs))
            off = max(off, away)
    cubics, arcs = np.sum(counts, 0).tolist()
    return [Row("arcs ÷ cubics, within 0.005 mm, worst layer", max(a / max(c, 1) for c, a in counts), 3.0, "",
                f"{cubics} cubics, {arcs} arcs in all"),
            Row("arcs: farthest from the cubics", off, 0.0055, "mm")]


def _arcs_of(layer, work):
    """How many cubics a layer has, by how many arcs they are taken, and how far those are from them, mm."""
    o = in_mm(layer.outline, work.mm_per_px)
    arcs = arcs_of(o.controls, o.straight, o.starts, 0.005)
    lines = []
    for a, b in itertools.pairwise(arcs.starts.tolist()):
        xy, _ = chords_of(arcs.begin[a:b], arcs.end[a:b], arcs.centre[a:b], arcs.sweep[a:b], 0.0002)
        lines.append(shapely.linestrings(np.vstack([xy, arcs.end[b - 1:b]])))
    places = evaluate(np.repeat(o.controls, 30, 0), np.tile(np.linspace(0, 1, 30), len(o.controls)))
    away = shapely.STRtree(lines).query_nearest(shapely.points(places), return_distance=True, all_matches=False)[1]
    straight = int(o.straight.sum())
    return len(o.straight) - straight, len(arcs.sweep) - straight, float(away.max())


def _machines(works):
    blade, worst, times = shipped()[0], 0.0, []
    for key in works:
        for machine in shipped():
            work = _work(key, machine)
            if work.draws_with_pens:
                continue
            *_, plan = itertools.islice(plans_of((work,)), 2)
            for (_, drawing), timed in zip(sheet_drawings(plan, "x").items(), plan.timed, strict=True):
                how = handing_of(work.recipe, plan.machine)
                for form, reader in (("hpgl", hpgl_reader), ("gcode", gcode_reader)):
                    moves = reader.read(formats()[form].write(drawing, how))
                    pace = pace_of(machine)
                    played = seconds_of(moves, pace.cutting, pace.travelling, pace.lift_s)
                    times.append(abs(played / timed.machine_s - 1))
                    if machine.key == blade.key and form == "gcode":
                        worst = max(worst, _missed(drawing, moves, machine))
    return [Row("a dragged blade's cut from the outline, outside corners", worst, 0.02, "mm", "tractrix of the axis"),
            Row("time played ÷ planned, median off", 100 * float(np.median(times)), 2.0, "%", f"{len(times)} files"),
            Row("the same, worst", 100 * max(times), 2.0, "%")]


def _missed(drawing, moves, machine):
    strokes = drawing.strokes
    xy, offsets, _ = chords(strokes.controls, strokes.straight, strokes.starts, _FINE_MM)
    xy = on_axes(xy, drawing.frame, machine)
    tree = shapely.STRtree([shapely.linestrings(xy[a:b]) for a, b in itertools.pairwise(offsets.tolist())])
    tip, down, _, move = tip_path(moves, machine.offset_mm)
    first, _ = moves.strokes()
    on = down & (move >= first[1])
    step = np.diff(xy, axis=0)
    turn = np.abs(np.arctan2(step[:-1, 0] * step[1:, 1] - step[:-1, 1] * step[1:, 0], (step[:-1] * step[1:]).sum(1)))
    corners = xy[1:-1][turn > 0.15]
    places = shapely.points(tip[on])
    away = tree.query_nearest(places, return_distance=True, all_matches=False)[1]
    if len(corners):
        near = shapely.STRtree(shapely.points(corners))
        away = away[near.query_nearest(places, return_distance=True, all_matches=False)[1] > 2 * machine.offset_mm]
    return float(away.max(initial=0.0))


def _speed(work):
    drawing = whole_drawing(work)
    for key, kind in formats().items():
        kind.write(drawing, Handing(machine=shipped()[0]))
        began = time.perf_counter()
        kind.write(drawing, Handing(machine=shipped()[0]))
        yield Row(f"panel as {key}", time.perf_counter() - began, 2.0, "s")
    began = time.perf_counter()
    film_of(gcode_reader.read(formats()["gcode"].write(drawing, Handing(machine=shipped()[0]))), pace_of(shipped()[0]))
    yield Row("panel made, read back and ready to play", time.perf_counter() - began, 2.0, "s")


def _batch():
    """On two processes against one after the other, in one run."""
    with tempfile.TemporaryDirectory() as folder:
        place = Path(folder) / "in"
        place.mkdir()
        picture = Image.open(demo("lighthouse").picture_path).convert("RGB")
        for n in range(_PICTURES):
            size = 300 + 4 * n
            picture.resize((size, size)).save(place / f"{n:03d}.png")
        seconds = []
        for count in (1, 2):
            began = time.perf_counter()
            with batch.processes(count) as executor:
                done = list(batch.Batch(Path(folder) / f"out{count}", "{}").run(batch.pictures_in(place), executor,
                                                                               count))
            assert not [d.why for d in done if d.why]
            seconds.append(time.perf_counter() - began)
        yield Row("batch of 100 pictures, two processes ÷ one", seconds[1] / seconds[0], 0.6, "",
                  f"{seconds[0]:.0f} and {seconds[1]:.0f} s")
