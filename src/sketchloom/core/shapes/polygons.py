"""Between rings of cubics and polygons: joining, cutting, growing by a distance, and curves again from what comes out.
"""

import numpy as np
import shapely
from shapely.geometry import LineString, MultiPolygon, Polygon

from sketchloom.core.base import parallel, ragged
from sketchloom.core.base.progress import breathe
from sketchloom.core.curves.curveset import flatten, is_straight, line_controls, segment_areas
from sketchloom.core.curves.outline import Outline
from sketchloom.core.shapes.refit import refitted

FLAT_PX = 0.01
"""Curves are flattened so far for set operations."""
_FIT_PX = 0.03
"""How near curves keep to a polygon that comes of set operations."""
_LEAST_AREA_PX = 0.5
"""Smaller pieces and holes are rounding."""
_AT_ONCE = 64
"""Rings between two moments at which the work may be stopped."""
_QUADRANT = 48
"""Chords of a quarter turn of a round corner: areas within a ten-thousandth."""


def area_of(rings) -> MultiPolygon:
    """The area inside closed rings, (S, 4, 2) each, by their winding number."""
    flat = [flatten(ring, is_straight(ring), FLAT_PX)[0] for ring in rings]
    polygons = [Polygon(points) for points in flat if len(points) >= 3]
    turns = [np.sign(segment_areas(ring).sum()) for ring, points in zip(rings, flat, strict=False) if len(points) >= 3]
    # rings of one turn add up, those of the other take away; the turn of the largest ring adds
    if not polygons:
        return MultiPolygon()
    main = turns[int(np.argmax([p.area for p in polygons]))]
    add = shapely.union_all([shapely.make_valid(p) for p, t in zip(polygons, turns, strict=False) if t == main])
    less = shapely.union_all([shapely.make_valid(p) for p, t in zip(polygons, turns, strict=False) if t != main])
    return areas_of(add.difference(less))


def area_of_outline(outline: Outline, flat_px: float = FLAT_PX) -> MultiPolygon:
    """The area of an outline: its pieces less their holes, flattened within a distance.

    Every piece is freed of its own holes and all are joined at the end: hole by hole out of the whole, a sheet of a
    hundred holes took ten seconds.
    """
    xy, starts = flatten(outline.controls, outline.straight, flat_px)
    starts = starts[outline.starts]
    real = np.flatnonzero(np.diff(starts) >= 3)
    rings: list[Polygon] = []
    for a, b in zip(starts[real].tolist(), starts[real + 1].tolist(), strict=True):
        if len(rings) % _AT_ONCE == 0:
            breathe()
        rings.append(_valid(Polygon(xy[a:b])))
    hole, size = outline.hole[real], np.abs(outline.area_px[real])
    own = _holes_of(rings, hole, size)
    breathe()
    return areas_of(shapely.union_all([
        rings[n].difference(shapely.union_all([rings[h] for h in own[n]])) if n in own else rings[n]
        for n in np.flatnonzero(~hole).tolist()
    ]))


def _holes_of(rings, hole, size):
    """Numbers of the holes in each piece: of those that a hole lies in, its piece is the smallest."""
    pieces, holes = np.flatnonzero(~hole), np.flatnonzero(hole)
    own: dict[int, list[int]] = {}
    if len(pieces) and len(holes):
        inner = shapely.point_on_surface([rings[n] for n in holes])
        one, two = shapely.STRtree([rings[n] for n in pieces]).query(inner, predicate="intersects")
        one, two = holes[one], pieces[two]
        around = size[two] > size[one]  # not the pieces that lie in the hole
        one, two = one[around], two[around]
        order = np.lexsort([size[two], one])
        one, two = one[order], two[order]
        for n in np.flatnonzero(np.diff(one, prepend=-1)).tolist():
            own.setdefault(int(two[n]), []).append(int(one[n]))
    return own


def _valid(polygon):
    return polygon if polygon.is_valid else parallel.beside(lambda: shapely.make_valid(polygon))


def grown(area: MultiPolygon, distance: float, is_round: bool = True, keep_islands: bool = True) -> MultiPolygon:
    """An area grown (or shrunk, < 0) by a distance; what meets joins. ``keep_islands`` False fills all holes.

    Sharp corners reach out to at most four distances.
    """
    made = area.buffer(distance, quad_segs=_QUADRANT, join_style="round" if is_round else "mitre", mitre_limit=4.0)
    made = areas_of(made)
    return made if keep_islands else areas_of(shapely.union_all([Polygon(p.exterior) for p in made.geoms]))


def around_line(points, width: float, has_round_ends: bool = True) -> MultiPolygon:
    """The area of a line of a width, with round or flat ends."""
    ends = "round" if has_round_ends else "flat"
    return areas_of(LineString(points).buffer(width / 2, quad_segs=_QUADRANT, cap_style=ends))


def outline_of_area(area: MultiPolygon, fit_px: float = _FIT_PX, *, few: bool = False) -> Outline:
    """An area as rings of fitted cubics, with the inside on the right as in every outline; ``few`` as of
    ``fit_spans``."""
    rings = []
    for piece in area.geoms:
        if piece.area >= _LEAST_AREA_PX:
            piece = shapely.geometry.polygon.orient(
                piece, 1.0
            )  # counter-clockwise with y up is clockwise on the screen
            rings += [(np.asarray(piece.exterior.coords)[:-1], False)]
            rings += [
                (np.asarray(hole.coords)[:-1], True) for hole in piece.interiors if Polygon(hole).area >= _LEAST_AREA_PX
            ]
    if not rings:
        return Outline(np.empty((0, 4, 2)), np.empty(0, bool), np.zeros(1, np.intp), np.empty(0), np.empty(0, bool))
    curves = refitted([points for points, _ in rings], fit_px, few=few)
    signed = ragged.reduce_pieces(np.add, segment_areas(curves.controls), curves.starts)
    hole = np.array([h for _, h in rings])
    return Outline(
        curves.controls, curves.straight, curves.starts, np.where(hole, -np.abs(signed), np.abs(signed)), hole
    )


def rings_of(outline: Outline) -> list[np.ndarray]:
    return [
        outline.controls[a:b] for a, b in zip(outline.starts[:-1].tolist(), outline.starts[1:].tolist(), strict=False)
    ]


def straight_outline(area: MultiPolygon) -> Outline:
    """An area as it is, in straight pieces."""
    rings, holes = [], []
    for piece in area.geoms:
        piece = shapely.geometry.polygon.orient(piece, 1.0)
        for ring, hole in ((piece.exterior, False), *((h, True) for h in piece.interiors)):
            points = np.asarray(ring.coords)[:-1]
            rings.append(line_controls(points, np.roll(points, -1, 0)))
            holes.append(hole)
    starts = ragged.lengths_to_starts([len(r) for r in rings])
    controls = np.concatenate(rings) if rings else np.empty((0, 4, 2))
    signed = ragged.reduce_pieces(np.add, segment_areas(controls), starts)
    return Outline(controls, np.ones(len(controls), bool), starts, signed, np.array(holes, bool))


def areas_of(geometry) -> MultiPolygon:
    """What of a geometry has an area."""
    parts = [
        g
        for g in getattr(geometry, "geoms", [geometry])
        if g.geom_type in ("Polygon", "MultiPolygon") and not g.is_empty
    ]
    flat = [p for g in parts for p in getattr(g, "geoms", [g])]
    return MultiPolygon(flat)
