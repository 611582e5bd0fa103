"""Plotter language: pen up, pen down and absolute places in units of 0.025 mm.

References
----------
HP-GL reference manuals: IN, SP, PU, PD, PA, VS and FS; an instruction ends with a semicolon; 40 units a millimetre.
"""

import itertools

import numpy as np

from sketchloom.core.base.said import said
from sketchloom.core.drawing.drawing import Drawing
from sketchloom.core.formats.handing import AS_IT_IS, Handing
from sketchloom.core.formats.registry import AREAS, LAYERS, LINES, Format
from sketchloom.core.tooling.blade import axis_path, primed
from sketchloom.core.tooling.strokes import on_axes, polylines, strokes_of

UNITS_PER_MM = 40
_MOST_VS, _MOST_FS = 127, 10_000
"""Velocity in whole cm/s; force as a cutter counts it."""
_A_LINE = 60
"""Coordinates of one instruction: buffers of old machines are short (common practice, no source)."""


def write(drawing: Drawing, how: Handing = AS_IT_IS) -> bytes:
    """Strokes in their order, a pen for each layer, or one pen for a sheet; a dragged blade's offset is made up for."""
    machine = how.machine
    strokes = strokes_of(drawing, 0.0 if machine is None else machine.overcut_mm)
    points, starts = polylines(strokes, max(how.within_mm, 0.5 / UNITS_PER_MM / 2))
    points = on_axes(points, drawing.frame, machine)
    offset = 0.0 if machine is None else machine.offset_mm
    words = ["IN;", "PA;"]
    if offset > 0 and len(points):
        points, starts = axis_path(points, starts, offset)
    units = np.rint(points * UNITS_PER_MM).astype(int)
    words += [] if machine is None else _pace(machine)
    pen = 0
    for number, (first, last) in enumerate(itertools.pairwise(starts.tolist())):
        if strokes.tool[number] != pen:
            pen = int(strokes.tool[number])
            words.append(f"SP{pen};")
            if offset > 0 and number == 0:
                words += _line(np.rint(primed(np.zeros(2), offset) * UNITS_PER_MM).astype(int), 1)
        words += _line(units[first:last], 1 if machine is None else machine.passes)
    words += ["PU0,0;", "SP0;", ""]
    return "\n".join(words).encode("ascii")


def _pace(machine):
    speed = min(max(round(machine.speed / 10), 1), _MOST_VS)
    force = min(round(machine.force), _MOST_FS)
    return [f"VS{speed};"] + ([f"FS{force};"] if force > 0 else [])


def _line(places, passes):
    """A stroke; closed ones are gone over again where there are several passes."""
    keep = np.concatenate([[True], (np.diff(places, axis=0) != 0).any(1)])
    texts = [f"{x},{y}" for x, y in places[keep].tolist()]
    words = []
    for _ in range(passes):
        words.append(f"PU{texts[0]};")
        words += [f"PD{','.join(texts[n:n + _A_LINE])};" for n in range(1, len(texts), _A_LINE)]
        if len(texts) == 1:
            words.append("PD;")
    return words


FORMAT = Format("hpgl", ".plt", said("Plotter language"), frozenset((AREAS, LINES, LAYERS)), write)
