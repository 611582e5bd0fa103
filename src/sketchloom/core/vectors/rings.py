"""Curves of files as closed rings of cubics, and strokes as the areas they cover."""

from dataclasses import dataclass

import numpy as np
import shapely

from sketchloom.core.curves.curveset import flatten, is_straight
from sketchloom.core.picture.painted import Part
from sketchloom.core.shapes.polygons import areas_of, outline_of_area, rings_of

_SAME = 1e-9
_FLAT_PX, _FIT_PX = 0.004, 0.02
"""A stroked path is flattened so far, and curves keep so near to what it covers: of a page of 2000 px a hundred-
thousandth."""
_QUADRANT = 64
"""Chords of a quarter turn of a stroke's round ends and joins."""
_MOST_DASHES = 20_000
CAPS = {"butt": "flat", "round": "round", "square": "square"}
JOINS = {"miter": "mitre", "round": "round", "bevel": "bevel", "miter-clip": "mitre", "arcs": "mitre"}


@dataclass(frozen=True, slots=True)
class Pen:
    """A stroke: its ``width`` in units of the path, ``cap`` and ``join`` as the geometry library calls them,
    ``miter`` the longest mitre in widths, ``dashes`` and gaps by turns, and where in them it begins."""

    width: float
    cap: str = "flat"
    join: str = "mitre"
    miter: float = 4.0
    dashes: tuple[float, ...] = ()
    offset: float = 0.0


class Track:
    """Gathers subpaths of lines and curves: ``paths`` are (S, 4, 2) cubics each, and whether it was closed."""

    def __init__(self):
        self.paths: list[tuple[np.ndarray, bool]] = []
        self._parts: list[np.ndarray] = []
        self._at = self._first = (0.0, 0.0)

    def move(self, x, y):
        self._end(False)
        self._at = self._first = (x, y)

    def line(self, x, y):
        a, b = np.array(self._at), np.array((x, y))
        self._parts.append(np.stack([a, a + (b - a) / 3, a + (b - a) * (2 / 3), b]))
        self._at = (x, y)

    def quadratic(self, x1, y1, x, y):
        a, c, b = np.array(self._at), np.array((x1, y1)), np.array((x, y))
        self._parts.append(np.stack([a, a + (c - a) * (2 / 3), b + (c - b) * (2 / 3), b]))
        self._at = (x, y)

    def cubic(self, x1, y1, x2, y2, x, y):
        self._parts.append(np.array([self._at, (x1, y1), (x2, y2), (x, y)], float))
        self._at = (x, y)

    def close(self):
        if self._parts and np.hypot(self._at[0] - self._first[0], self._at[1] - self._first[1]) > _SAME:
            self.line(*self._first)
        self._end(True)
        self._at = self._first

    def done(self) -> list[tuple[np.ndarray, bool]]:
        self._end(False)
        return self.paths

    def _end(self, closed):
        if self._parts:
            made = np.stack(self._parts)
            real = np.abs(made - made[:, :1]).max((1, 2)) > _SAME
            if real.any():
                self.paths.append((made[real], closed))
        self._parts = []


def moved_by(matrix, controls) -> np.ndarray:
    """Points (..., 2) under an affine map (2, 3)."""
    matrix = np.asarray(matrix, float)
    return np.asarray(controls) @ matrix[:, :2].T + matrix[:, 2]


def map_within(outer, inner) -> np.ndarray:
    """(2, 3) the affine map that first goes by the inner one."""
    return np.column_stack([outer[:, :2] @ inner[:, :2], moved_by(outer, inner[:, 2])])


def filled_part(paths, matrix, even: bool) -> Part | None:
    """The inside of subpaths, each closed by a straight line where it is open; None where there is none."""
    rings = []
    for controls, _ in paths:
        ring = moved_by(matrix, controls)
        if np.hypot(*(ring[-1, 3] - ring[0, 0])) > _SAME:
            a, b = ring[-1, 3], ring[0, 0]
            ring = np.concatenate([ring, np.stack([a, a + (b - a) / 3, a + (b - a) * (2 / 3), b])[None]])
        else:
            ring[-1, 3] = ring[0, 0]
        if len(ring) > 1 or not is_straight(ring).all():
            rings.append(ring)
    return Part(tuple(rings), even) if rings else None


def stroked_part(paths, matrix, pen: Pen) -> Part | None:
    """What a pen covers along subpaths; None where that is nothing.

    The geometry library draws around fine chords, in the path's own units, as a map may make the pen an ellipse; what
    comes out is fitted by curves.
    """
    matrix = np.asarray(matrix, float)
    scale = np.sqrt(abs(np.linalg.det(matrix[:, :2])))
    if pen.width <= 0 or scale <= 0:
        return None
    pieces = []
    for controls, closed in paths:
        xy, _ = flatten(controls, is_straight(controls), _FLAT_PX / scale)
        line = np.concatenate([xy, controls[-1:, 3]])
        for piece, is_ring in _dashed(line, closed, pen):
            if is_ring and len(piece) > 3:
                shape = shapely.LinearRing(piece[:-1])
            elif len(piece) > 1:
                shape = shapely.LineString(piece)
            else:
                continue
            pieces.append(shape.buffer(pen.width / 2, quad_segs=_QUADRANT, cap_style=pen.cap, join_style=pen.join,
                                       mitre_limit=max(pen.miter, 1.0)))
    if not pieces:
        return None
    area = shapely.transform(shapely.union_all(pieces), lambda xy: moved_by(matrix, xy))
    outline = outline_of_area(areas_of(shapely.make_valid(area)), _FIT_PX, few=True)
    rings = tuple(rings_of(outline))
    return Part(rings, True) if rings else None


def _dashed(line, closed, pen):
    """Pieces of a polyline that its pen draws, and whether each is all of a ring."""
    dashes = [max(float(v), 0.0) for v in pen.dashes]
    total = sum(dashes)
    if not dashes or total <= 0:
        yield line, closed
        return
    if len(dashes) % 2:
        dashes, total = dashes * 2, 2 * total
    way = np.concatenate([[0.0], np.cumsum(np.hypot(*np.diff(line, axis=0).T))])
    if way[-1] / total * len(dashes) > _MOST_DASHES:
        yield line, closed
        return
    at, number, left = 0.0, 0, pen.offset % total
    while left >= dashes[number]:
        left -= dashes[number]
        number = (number + 1) % len(dashes)
    while at < way[-1]:
        end = min(at + dashes[number] - left, way[-1])
        left = 0.0
        if number % 2 == 0 and end > at:
            inner = line[(way > at) & (way < end)]
            ends = [[np.interp(v, way, line[:, c]) for c in (0, 1)] for v in (at, end)]
            yield np.concatenate([ends[:1], inner, ends[1:]]), False
        at, number = end, (number + 1) % len(dashes)
