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
from sketchloom.core.sheets.routing.blade import axis_path, primed
from sketchloom.core.tooling.strokes import on_axes, polylines, strokes_of

UNITS_PER_MM = 40
_MOST_VS, _MOST_FS = 127, 10_000
"""Velocity in whole cm/s; force as a cutter counts it."""
_STRAY_MM = 0.008
"""Of chords of a swing: finer ones would be lost in the units."""
_FLAT_MM, _SAME_MM = 0.004, 0.006
"""Chords stray from curves by so much, and places that a line passes so near are left out: a hundredth in all."""
_A_LINE = 60
"""Coordinates of one instruction: buffers of old machines are short (common practice, no source)."""


def write(drawing: Drawing, how: Handing = AS_IT_IS) -> bytes:
    """Strokes in their order, a pen for each layer, or one pen for a sheet; a dragged blade's offset is made up for."""
    machine = how.machine
    strokes = strokes_of(drawing, 0.0 if machine is None else machine.overcut_mm)
    points, starts = _fewer(*polylines(strokes, _FLAT_MM))
    points = on_axes(points, drawing.frame, machine)
    offset = 0.0 if machine is None else machine.offset_mm
    words = ["IN;", "PA;"]
    if offset > 0 and len(points):
        points, starts = axis_path(points, starts, offset, stray_mm=_STRAY_MM)
    if offset > 0:
        points, starts = _fewer(points, starts)
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


def _fewer(points, starts):
    """Without places that a line between others serves as well: in whole units they would only make it tremble."""
    import shapely

    if not len(points):
        return points, starts
    lines = shapely.linestrings(points, indices=np.repeat(np.arange(len(starts) - 1), np.diff(starts)))
    kept, owner = shapely.get_coordinates(shapely.simplify(lines, _SAME_MM, preserve_topology=False),
                                          return_index=True)
    return kept, np.searchsorted(owner, np.arange(len(starts)))


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
