"""Rests of sheets: what is left of one beside its parts, and the shape in which a rest is kept and used up."""

from dataclasses import dataclass
from functools import cached_property

import numpy as np
import shapely

from sketchloom.core.sheets.choices import MAX_RING_POINTS, MAX_RINGS, Rings
from sketchloom.core.sheets.machine import Carrier

LEAST_ACROSS_MM, LEAST_AREA_MM2 = 30.0, 2500.0
"""A rest that no disc of this width fits into, or that is smaller, goes to the bin (our own)."""
_SIMPLER_MM = 0.5


@dataclass(frozen=True, eq=False)
class Rest:
    """A rest that parts are cut from: its box as a ``carrier``, its ``rings`` (none: all of the box), the entry of the
    ``stock`` it is, 0 for none."""

    carrier: Carrier
    rings: Rings = ()
    stock: int = 0

    @cached_property
    def missing(self) -> shapely.Geometry:
        """What of its box is not there."""
        if not self.rings:
            return shapely.Polygon()
        return shapely.box(0.0, 0.0, self.carrier.width_mm, self.carrier.height_mm).difference(area_of(self.rings))


def area_of(rings: Rings) -> shapely.Geometry:
    """The area that rings bound, whichever way round they go."""
    whole, *windows = rings
    return shapely.make_valid(shapely.Polygon(whole)).difference(
        shapely.union_all([shapely.make_valid(shapely.Polygon(one)) for one in windows]))


def rings_of(area: shapely.Polygon) -> Rings:
    """The rings of a polygon."""
    return tuple(tuple((round(float(x), 3), round(float(y), 3)) for x, y in np.asarray(ring.coords)[:-1])
                 for ring in (area.exterior, *area.interiors))


def rests_of(sheet, gap_mm: float) -> list[tuple[float, float, Rings]]:
    """What is worth keeping of a sheet once its parts are out: width and height, mm, and the rings of each rest, the
    largest first.

    Parameters
    ----------
    sheet : a Sheet. gap_mm : kept from the parts.
    """
    whole = shapely.box(0.0, 0.0, sheet.carrier.width_mm, sheet.length_mm).difference(sheet.missing)
    taken = shapely.union_all([p.area for p in sheet.placed]).buffer(gap_mm + _SIMPLER_MM, quad_segs=4)
    half = LEAST_ACROSS_MM / 2
    # what no disc fits into goes: an opening, within what is there
    left = whole.difference(taken)
    wide = left.buffer(-half, quad_segs=4).buffer(half, quad_segs=4).intersection(left)
    made = []
    for piece in sorted(_polygons(wide), key=lambda p: -p.area):
        piece = shapely.simplify(piece, _SIMPLER_MM)
        if piece.area < LEAST_AREA_MM2 or piece.geom_type != "Polygon":
            continue
        piece = shapely.Polygon(piece.exterior, [r for r in piece.interiors
                                                 if shapely.Polygon(r).area > 1.0][:MAX_RINGS - 1])
        x, y, right, bottom = piece.bounds
        rings = rings_of(shapely.transform(piece, lambda xy, corner=(x, y): xy - corner))
        if sum(map(len, rings)) <= MAX_RING_POINTS:
            made.append((round(right - x, 3), round(bottom - y, 3), () if _is_box(piece) else rings))
    return made


def _polygons(area):
    return [p for p in getattr(area, "geoms", [area]) if p.geom_type == "Polygon" and not p.is_empty]


def _is_box(piece):
    return shapely.box(*piece.bounds).area - piece.area < 1.0
