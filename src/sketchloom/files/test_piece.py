"""The cut file of a test piece: a small star for each try, numbered, each a layer of its own, so that a machine can be
set for it."""

from pathlib import Path

import numpy as np

from sketchloom.core.curves.curveset import is_straight, line_controls
from sketchloom.core.drawing.drawing import Drawing, Group, Look, Shape, Strand
from sketchloom.core.formats.handing import Handing
from sketchloom.core.formats.registry import format_of
from sketchloom.core.shapes.text import fonts, shaped
from sketchloom.core.sheets.aids import STAR_MM, star
from sketchloom.core.sheets.machine import Machine

_APART_MM, _DIGITS_MM, _EDGE_MM = 20.0, 3.5, 8.0
_CUT = Look(stroke="#1e3557", width_mm=0.1)


def piece(tries, target, machine: Machine | None = None) -> bytes:
    """The bytes of a file for ``target``, by its suffix: stars row by row, a row for each speed.

    Parameters
    ----------
    tries : (force, speed) of each star. machine : that runs it, where that is known.

    Raises
    ------
    ExportError : no format has that suffix.
    """
    return format_of(target).write(drawing(tries, Path(target).stem), Handing(machine=machine))


def drawing(tries, title: str = "test") -> Drawing:
    """The piece as a drawing, mm."""
    speeds = list(dict.fromkeys(speed for _, speed in tries))
    places: dict[float, int] = {}
    groups = []
    wide = 0.0
    for n, (force, speed) in enumerate(tries, 1):
        column = places[speed] = places.get(speed, -1) + 1
        x, y = _EDGE_MM + STAR_MM / 2 + column * _APART_MM, _EDGE_MM + STAR_MM / 2 + speeds.index(speed) * _APART_MM
        wide = max(wide, x + STAR_MM / 2 + _DIGITS_MM * 1.6)
        points = star() + (x, y)
        beside = x + STAR_MM / 2 - 0.5, y - STAR_MM / 2 + _DIGITS_MM - 1.0
        rings = [line_controls(points[:-1], points[1:]), *(ring + beside for ring in _digits(str(n)))]
        groups.append(Group((Shape((_strand(rings),), _CUT),), f"{n}: force {force:g}, speed {speed:g}", n))
    high = 2 * _EDGE_MM + STAR_MM + (len(speeds) - 1) * _APART_MM
    return Drawing(title, (0.0, 0.0, wide + _EDGE_MM, high), tuple(groups))


def _digits(text):
    return [ring * _DIGITS_MM for ring in shaped(text, fonts()[0]).rings]


def _strand(rings):
    controls = np.concatenate(rings)
    return Strand(controls, is_straight(controls), np.cumsum([0, *map(len, rings)]))
