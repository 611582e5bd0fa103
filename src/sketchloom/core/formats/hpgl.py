"""Plotter language: pen up, pen down and absolute places in units of 0.025 mm.

References
----------
HP-GL reference manuals: IN, SP, PU, PD, PA, VS and FS; an instruction ends with a semicolon; 40 units a millimetre.
"""

import itertools

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.base.said import said
from sketchloom.core.curves.curveset import segment_areas
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
_FLAT_MM, _SAME_MM = 0.004, 0.005
"""Chords stray from curves by so much, and places that a line passes so near are left out: under a hundredth in all."""
_BETWEEN = 0.2
"""A place at least so far from its unit may go to the next one (chosen on the layers of four works: with more an area
is off by 0.08 %, with less a place by more than a half unit and a hundredth of a millimetre)."""
_A_LINE = 60
"""Coordinates of one instruction: buffers of old machines are short (common practice, no source)."""


def write(drawing: Drawing, how: Handing = AS_IT_IS) -> bytes:
    """Strokes in their order, a pen for each layer, or one pen for a sheet; a dragged blade's offset is made up for."""
    machine = how.machine
    strokes = strokes_of(drawing, 0.0 if machine is None else machine.overcut_mm)
    points, starts = polylines(strokes, _FLAT_MM)
    points = on_axes(points, drawing.frame, machine)
    offset = 0.0 if machine is None else machine.offset_mm
    words = ["IN;", "PA;"]
    if offset > 0 and len(points):  # of fine chords: at the joints of long ones the blade would swing
        points, starts = axis_path(points, starts, offset, stray_mm=_STRAY_MM)
    points, starts = _fewer(points, starts)
    units = _in_units(points, starts, _areas(strokes) if offset <= 0 else None)
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


def _areas(strokes):
    """(K,) what the curves of each stroke enclose, square units."""
    if len(strokes.starts) < 2:
        return np.empty(0)
    return np.abs(ragged.reduce_pieces(np.add, segment_areas(strokes.controls), strokes.starts)) * UNITS_PER_MM**2


def _in_units(points, starts, areas=None) -> np.ndarray:
    """Places (N, 2) in whole units. Of a closed stroke some of those that lie nearly between two units go the other
    way, until it has the ``areas`` (K,) of its curves: a small sheet would be off by its outline times what chords and
    rounding happen to give."""
    exact = points * UNITS_PER_MM
    units = np.rint(exact)
    if areas is None:
        return units.astype(int)
    for (a, b), area in zip(itertools.pairwise(starts.tolist()), areas.tolist(), strict=True):
        if b - a < 6 or np.hypot(*(exact[b - 1] - exact[a])) > 1e-6:
            continue
        ring, made = exact[a:b - 1], units[a:b - 1]
        off = np.sign(_area(ring)) * area - _area(made)
        rest = ring - made
        span = np.roll(made, -1, 0) - np.roll(made, 1, 0)
        gain = np.sign(rest) * np.column_stack([span[:, 1], -span[:, 0]]) / 2  # of a unit further
        rows, axes = np.nonzero((np.abs(rest) > _BETWEEN) & (gain * np.sign(off) > 0))
        order = np.argsort(-np.abs(rest[rows, axes]))
        moved = np.zeros(len(ring) + 1, bool)
        for row, axis in zip(rows[order].tolist(), axes[order].tolist(), strict=True):
            step = gain[row, axis]
            if moved[row - 1] or moved[row] or moved[(row + 1) % len(ring)] or abs(off - step) >= abs(off):
                continue  # a neighbour's move changes what this one gives
            made[row, axis] += np.sign(rest[row, axis])
            moved[row] = True
            off -= step
        units[a:b - 1], units[b - 1] = made, made[0]
    return units.astype(int)


def _area(ring):
    x, y = ring.T
    return 0.5 * float((x * np.roll(y, -1) - np.roll(x, -1) * y).sum())


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
