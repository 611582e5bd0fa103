"""Where one shape must not lie beside another: no-fit regions, as rasters of how deep a place lies in them.

The offsets at which the outlines of two shapes meet are a Minkowski sum; every connected rest is wholly free or wholly
one in the other, so that windows of any depth come out right. A raster's places are points: what is free there is free
exactly, however coarse it is.

References
----------
Art 1966; Adamowicz, Albano 1976: no-fit polygons. Egeblad, Nielsen, Odgaard 2007; Umetani et al. 2009: overlap weighed
by depth, minimised by guided local search.
"""

import hashlib
from collections.abc import Callable, Hashable
from dataclasses import dataclass
from typing import Any

import cv2
import numpy as np
import pyclipper
import shapely

from sketchloom.core.base.raster import filled
from sketchloom.core.sheets.part import area_moved

SAFE_MM = 2e-3
"""Shapes are grown by so much beside their gap: rounding never brings two nearer than that."""
_SCALE = 1e4
"""Steps of the integer grid of Minkowski sums, per mm."""
_QUARTER = 90.0


@dataclass(frozen=True, slots=True, eq=False)
class Form:
    """A body in one of its turns: ``area`` around its place (0, 0), mm, grown by half the gap; its ``box`` left, top,
    right, bottom; its ``rings`` (K, 2), a point of each of its polygons, and the ``digest`` by which it is known again.
    """

    area: shapely.MultiPolygon
    box: tuple[float, float, float, float]
    rings: tuple[np.ndarray, ...]
    points: np.ndarray
    digest: bytes


@dataclass(frozen=True, slots=True, eq=False)
class Body:
    """A shape in all the turns it may be placed in: ``turns`` degrees, and a form of each. ``middle``: the place of the
    shape, as it came, that its forms have at (0, 0); ``area_mm2`` of the shape itself."""

    turns: tuple[float, ...]
    forms: tuple[Form, ...]
    middle: tuple[float, float]
    mirrored: bool
    area_mm2: float


def body_of(area, gap_mm: float, turns=(0.0,), mirrored: bool = False, least_mm: float = 0.0,
            simpler_mm: float = 0.25) -> Body:
    """A shape ready to be placed with a gap to others.

    Parameters
    ----------
    area : mm. turns : degrees it may be turned by. least_mm : windows that no disc of this width fits into count as
    full. simpler_mm : it has fewer corners by keeping up to so much more room.
    """
    needed = area.buffer(gap_mm / 2 + SAFE_MM, quad_segs=8, join_style="round" if gap_mm > 0 else "mitre")
    whole = _simpler(needed, simpler_mm)
    polygons = [shapely.Polygon(p.exterior, [h for h in p.interiors if _is_wide(h, least_mm)])
                for p in getattr(whole, "geoms", [whole])]
    whole = shapely.MultiPolygon(polygons)
    left, top, right, bottom = whole.bounds
    middle = ((left + right) / 2, (top + bottom) / 2)
    centred = shapely.transform(whole, lambda xy: xy - middle)
    forms = tuple(_form(area_moved(centred, turn, mirrored, 0.0, 0.0)) for turn in turns)
    return Body(tuple(turns), forms, middle, mirrored, float(area.area))


def grown_body(body: Body, by_mm: float) -> Body:
    """A body that keeps more room around it, in the same places."""
    forms = tuple(_form(shapely.MultiPolygon(getattr(g, "geoms", [g])))
                  for g in (f.area.buffer(by_mm, quad_segs=3) for f in body.forms))
    return Body(body.turns, forms, body.middle, body.mirrored, body.area_mm2)


def _simpler(area, by_mm):
    """An area that holds another and has fewer corners."""
    if by_mm <= 0 or shapely.get_num_coordinates(area) < 24:
        return area
    more = shapely.simplify(area.buffer(by_mm / 2, quad_segs=2), by_mm / 2)
    return more if more.contains(area) else shapely.union(more, area)


def _is_wide(ring, least_mm):
    if least_mm <= 0:
        return True
    left, top, right, bottom = ring.bounds
    return min(right - left, bottom - top) >= least_mm and not shapely.Polygon(ring).buffer(-least_mm / 2).is_empty


def _form(area):
    rings = tuple(np.asarray(r.coords)[:-1] for p in area.geoms for r in (p.exterior, *p.interiors))
    left, top, right, bottom = (float(v) for v in area.bounds)
    digest = hashlib.blake2b(digest_size=16)
    for ring in rings:
        digest.update(len(ring).to_bytes(8) + np.ascontiguousarray(ring).tobytes())
    return Form(area, (left, top, right, bottom), rings, np.array([p.exterior.coords[0] for p in area.geoms]),
                digest.digest())


Raster = tuple[np.ndarray, int, int]
"""(H, W) float32 how deep, px, by the offset of the second shape from the first; and that of its first pixel, x, y."""


Keep = Callable[[Hashable, Callable[[], Any]], Any]
"""The value kept under a key, made where there is none."""
MOST_KEPT_BYTES = 48 * 2**20
"""Rasters of one plan that are kept for the next: those of fifty parts in two turns take about 30 MB."""


def nothing_kept(_, make):
    return make()


class NoFits:
    """No-fit rasters of bodies, made when they are first asked for. ``step`` mm a pixel; bodies may lie ``slack_px``
    deep in each other without it being told. ``keep``: where rasters are kept for another plan of the same shapes."""

    def __init__(self, bodies: list[Body], step: float, slack_px: float = 0.0, keep: Keep = nothing_kept):
        self.step, self.slack_px, self._keep, self._kept_bytes = step, slack_px, keep, 0
        self._bodies: dict[int, Body] = {}
        numbers: dict[int, int] = {}
        self.of = [numbers.setdefault(id(body), len(numbers)) for body in bodies]
        for body, number in zip(bodies, self.of, strict=True):
            self._bodies[number] = body
        self._made: dict[tuple[int, int, int, int], Raster] = {}

    def between(self, one: int, turn_one: int, two: int, turn_two: int) -> Raster:
        """Of two bodies by their numbers, and the numbers of their turns."""
        key = (self.of[one], turn_one, self.of[two], turn_two)
        return self._made.get(key) or self._of(*key)

    def _of(self, one, turn_one, two, turn_two):
        key = (one, turn_one, two, turn_two)
        if key not in self._made:
            self._made[key] = self._found(*key)
        return self._made[key]

    def _found(self, one, turn_one, two, turn_two):
        """From the other way round, or as a quarter turn of another pair, where that is known or can be."""
        if one > two:
            return _swapped(self._of(two, turn_two, one, turn_one))
        a, b = self._bodies[one], self._bodies[two]
        quarters, rest = divmod(a.turns[turn_one], _QUARTER)
        back = (b.turns[turn_two] - a.turns[turn_one]) % 360
        if quarters and not rest and 0.0 in a.turns and back in b.turns and a.mirrored == b.mirrored:
            raster = self._of(one, a.turns.index(0.0), two, b.turns.index(back))
            for _ in range(int(quarters)):
                raster = _quarter(raster)
            return raster
        depth, left, top = self._raster(a.forms[turn_one], b.forms[turn_two])
        return np.maximum(depth - np.float32(self.slack_px), 0), left, top

    def _raster(self, a, b):
        if self._kept_bytes > MOST_KEPT_BYTES:
            return _no_fit(a, b, self.step)
        raster = self._keep(("no fit", a.digest, b.digest, self.step), lambda: _no_fit(a, b, self.step))
        self._kept_bytes += raster[0].nbytes
        return raster


def _swapped(raster):
    depth, x, y = raster
    height, width = depth.shape
    return np.ascontiguousarray(depth[::-1, ::-1]), -(x + width - 1), -(y + height - 1)


def _quarter(raster):
    """Turned clockwise as seen: (x, y) comes to (-y, x)."""
    depth, x, y = raster
    return np.ascontiguousarray(np.rot90(depth, -1)), -(y + depth.shape[0] - 1), x


def _no_fit(one, two, step) -> Raster:
    left, top = (int(np.floor((one.box[k] - two.box[k + 2]) / step)) - 1 for k in (0, 1))
    right, bottom = (int(np.ceil((one.box[k + 2] - two.box[k]) / step)) + 1 for k in (0, 1))
    shape = (bottom - top + 1, right - left + 1)
    meets, has_rest = np.zeros(shape, bool), False
    for a in one.rings:
        path = np.round(a * _SCALE).astype(np.int64).tolist()
        for b in two.rings:
            swept = pyclipper.MinkowskiSum(np.round(-b * _SCALE).astype(np.int64).tolist(), path, True)
            # pixel k stands for the offset (left + k) * step: its middle
            meets |= filled([np.asarray(r) / (_SCALE * step) - (left, top) + 0.5 for r in swept], shape)
            has_rest = has_rest or len(swept) > 1 or len(one.rings) + len(two.rings) > 2
    if has_rest:
        _fill_rests(meets, one, two, np.array([left, top]), step)
    depth = cv2.distanceTransform(np.pad(meets.astype(np.uint8), 1), cv2.DIST_L2, 3)[1:-1, 1:-1]
    return np.ascontiguousarray(depth), left, top


def _fill_rests(meets, one, two, first, step):
    """Offsets at which no outlines meet but one shape lies in the other join those at which they do."""
    count, label = cv2.connectedComponents((~meets).astype(np.uint8), connectivity=4)
    for number in range(1, count):
        mask = label == number
        if number != label[0, 0]:
            inside = cv2.distanceTransform(np.pad(mask.astype(np.uint8), 1), cv2.DIST_L2, 3)[1:-1, 1:-1]
            y, x = np.unravel_index(int(inside.argmax()), mask.shape)
            offset = (first + (x, y)) * step
            here, there = two.points + offset, one.points - offset
            if (shapely.contains_xy(one.area, here[:, 0], here[:, 1]).any()
                    or shapely.contains_xy(two.area, there[:, 0], there[:, 1]).any()):
                meets |= mask
