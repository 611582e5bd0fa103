"""Machine code for knife, laser, pen and cutter, in the dialect of the machine.

References
----------
NIST RS274/NGC: G0, G1, G2, G3 with I and J from the beginning of the arc, G17, G21, G90, G94, M3, M5, M6, M30, F, S, T.
"""

import itertools

import numpy as np

from sketchloom.core.base.in_ascii import in_ascii
from sketchloom.core.base.said import said
from sketchloom.core.drawing.drawing import Drawing
from sketchloom.core.formats.dialects import Dialect, filled, shipped
from sketchloom.core.formats.handing import AS_IT_IS, Handing
from sketchloom.core.formats.registry import AREAS, LAYERS, LINES, Format
from sketchloom.core.sheets.material import LASER
from sketchloom.core.sheets.routing.blade import axis_path, primed
from sketchloom.core.tooling.arcs import arcs_of
from sketchloom.core.tooling.strokes import on_axes, polylines, strokes_of

_PLUNGE = 0.3
"""A tool goes down at this share of its speed (common practice, no source)."""
_FULL_POWER = 1000.0
_LEAST_ARC_MM = 0.01
"""A shorter arc is written as a line: its centre could not be told in the figures that are kept."""


def write(drawing: Drawing, how: Handing = AS_IT_IS) -> bytes:
    """Strokes in their order, deeper pass by pass where the tool goes down."""
    machine, dialect = how.machine, how.dialect or shipped("" if how.machine is None else how.machine.dialect)
    strokes = strokes_of(drawing, 0.0 if machine is None else machine.overcut_mm)
    offset = 0.0 if machine is None else machine.offset_mm
    lines = [f"({_plain(drawing.title)})", *filled(dialect.header, _values(machine, 0))]
    if offset > 0:
        bodies = _dragged(drawing, strokes, how, offset, dialect)
    elif dialect.arcs:
        bodies = _with_arcs(drawing, strokes, how, dialect)
    else:
        bodies = _in_lines(drawing, strokes, how, dialect)
    tool = 0
    for number, (start, body) in enumerate(bodies):
        if strokes.tool[number] != tool:
            tool = int(strokes.tool[number])
            values = _values(machine, 0) | {"tool": str(tool)}
            lines += filled(dialect.change, values)
            if offset > 0 and number == 0:
                prime = primed(np.zeros(2), offset)
                lines += [f"G0 {_at(prime[0], dialect)}", *filled(dialect.on, values),
                          f"G1 {_at(prime[1], dialect)} F{_rate(machine)}", *filled(dialect.off, values)]
        for depth in range(1 if machine is None else machine.passes):
            values = _values(machine, depth) | {"tool": str(tool)}
            lines += [f"G0 {start}", *filled(dialect.on, values), f"{body[0]} F{_rate(machine)}" if body else "",
                      *body[1:], *filled(dialect.off, values)]
    lines += filled(dialect.footer, _values(machine, 0))
    lines = [line for line in lines if line]
    if dialect.numbered:
        lines = [f"N{10 * n} {line}" for n, line in enumerate(lines, 1)]
    return in_ascii("\n".join(lines) + "\n").encode("ascii")


def _dragged(drawing, strokes, how, offset, dialect):
    points, starts = polylines(strokes, how.within_mm)
    points, starts = axis_path(on_axes(points, drawing.frame, how.machine), starts, offset)
    return _lines_of(points, starts, dialect)


def _in_lines(drawing, strokes, how, dialect):
    points, starts = polylines(strokes, how.within_mm)
    return _lines_of(on_axes(points, drawing.frame, how.machine), starts, dialect)


def _lines_of(points, starts, dialect):
    texts = [_at(p, dialect) for p in points]
    for first, last in itertools.pairwise(starts.tolist()):
        body = [f"G1 {text}" for text, before in zip(texts[first + 1:last], texts[first:last], strict=False)
                if text != before]
        yield texts[first], body or [f"G1 {texts[first]}"]


def _with_arcs(drawing, strokes, how, dialect):
    arcs = arcs_of(strokes.controls, strokes.straight, strokes.starts, how.within_mm)
    begin, end, centre = (on_axes(one, drawing.frame, how.machine) for one in (arcs.begin, arcs.end, arcs.centre))
    straight = (arcs.sweep == 0) | (np.hypot(*(end - begin).T) < _LEAST_ARC_MM)
    # y runs up on a machine, so that a turn from x towards y of the drawing is clockwise there
    word = np.where(straight, "G1", np.where(arcs.sweep > 0, "G2", "G3"))
    begins, ends = [_at(p, dialect) for p in begin], [_at(p, dialect) for p in end]
    to_centre = centre - begin
    for first, last in itertools.pairwise(arcs.starts.tolist()):
        if first == last:
            continue
        body = [f"{word[k]} {ends[k]}" + ("" if straight[k] else " " + _at(to_centre[k], dialect, "IJ"))
                for k in range(first, last) if not (straight[k] and ends[k] == begins[k])]
        yield begins[first], body or [f"G1 {begins[first]}"]


def _at(place, dialect: Dialect, letters="XY"):
    x, y = (round(float(v), dialect.decimals) + 0.0 for v in place)
    return f"{letters[0]}{x:.{dialect.decimals}f} {letters[1]}{y:.{dialect.decimals}f}"


def _rate(machine):
    """Feed, mm/min."""
    return f"{60 * (10.0 if machine is None else machine.speed):g}"


def _values(machine, pass_number):
    speed, travel = (10.0, 50.0) if machine is None else (machine.speed, machine.travel)
    depth = 1.0 if machine is None else machine.depth_mm
    power = 100.0 if machine is None or (machine.kind == LASER and machine.power <= 0) else machine.power
    return {"speed": f"{60 * speed:g}", "plunge": f"{60 * speed * _PLUNGE:g}", "travel": f"{60 * travel:g}",
            "power": f"{power / 100 * _FULL_POWER:.0f}", "depth": f"{depth * (pass_number + 1):g}",
            "safe": f"{2.0 if machine is None else machine.safe_mm:g}", "tool": "0",
            "force": f"{0.0 if machine is None else machine.force:g}"}


def _plain(text):
    """What may stand in a comment: no brackets, no line's end."""
    return "".join(c if c.isprintable() and c not in "()" else " " for c in text)[:80]


FORMAT = Format("gcode", ".nc", said("Machine code"), frozenset((AREAS, LINES, LAYERS)), write)
