"""The pieces of all sheets in the order in which a person lays them, and which could be laid the wrong way round."""

from dataclasses import dataclass, replace
from functools import lru_cache

import numpy as np
import shapely

from sketchloom.core.curves.outline import Outline
from sketchloom.core.layers.layering import Layer
from sketchloom.core.layers.pieces import pieces_of
from sketchloom.core.shapes.polygons import area_of_outline

TURNED, FLIPPED = "turned", "flipped"
MOST_PIECES = 3000
"""Pieces numbered for laying; nobody lays more by hand."""
_FLAT_PX, _LEAST_SEEN_PX = 0.2, 12.0
"""Flattening of pieces, and how much of a piece is to be seen for a number to go there."""
_NEARLY, _SAME = 0.90, 0.995
"""Shares of area that a piece and its image have in common: above the second it lies right either way, below the first
no one mistakes it (common practice, no source)."""


@dataclass(frozen=True, slots=True, eq=False)
class LaidPiece:
    """A piece to lay: ``number`` in the order of laying, from 1, the base first; ``level`` of its sheet among
    ``layers``.

    ``place`` well inside what is seen of it, px, and ``room`` px how far its edge is from there; ``box`` left, top,
    right, bottom px.
    ``alone``: not the largest piece of its sheet. ``wrong``: it nearly fits when ``turned`` or ``flipped`` over,
    None for no such danger.
    """

    number: int
    level: int
    layer: Layer
    outline: Outline
    place: tuple[float, float]
    room: float
    box: tuple[float, float, float, float]
    area_px: float
    alone: bool
    wrong: str | None


def laid_pieces(layers) -> list[LaidPiece]:
    """Pieces sheet by sheet from the base, within a sheet in the order of reading; pen lines are not laid."""
    made: list[LaidPiece] = []
    above = shapely.MultiPolygon()
    for level in range(len(layers) - 1, -1, -1):
        layer = layers[level]
        if layer.outline.pen_px is not None:
            continue
        pieces = _pieces(layer.outline)[:max(MOST_PIECES - len(made), 0)]
        for rank, (outline, area, wrong) in enumerate(pieces):
            place, room = _inner_place(area.difference(above), area)
            left, top, right, bottom = (float(v) for v in area.bounds)
            box = (left, top, right, bottom)
            made.append(LaidPiece(0, level, layer, outline, place, room, box, float(area.area), rank > 0, wrong))
        above = shapely.union_all([above, *(area for _, area, _ in pieces)])
    height = max((one.box[3] for one in made), default=1.0)
    row = max(height / 12, 1.0)
    made.sort(key=lambda one: (one.level, int(one.place[1] / row), one.place[0]))
    return [replace(one, number=n) for n, one in enumerate(made, 1)]


@lru_cache(maxsize=64)
def _pieces(outline):
    """Pieces of a sheet, the largest first: outline, polygon, and how it could be laid wrong."""
    found = []
    for piece in pieces_of(outline):
        area = area_of_outline(piece, _FLAT_PX)
        if area.is_empty or area.area < 1e-6:
            continue
        found.append((piece, shapely.make_valid(area), wrong_way(area)))
    return found


def _inner_place(seen, area):
    """The place farthest from the edge of what is seen of a piece, else of all of it, and how far that is."""
    for shape in (seen, area):
        parts = [p for p in getattr(shape, "geoms", [shape]) if p.geom_type == "Polygon" and p.area >= _LEAST_SEEN_PX]
        if parts:
            radius = shapely.maximum_inscribed_circle(max(parts, key=lambda p: p.area), tolerance=0.5)
            x, y = radius.coords[0]
            return (float(x), float(y)), float(radius.length)
    x, y = area.representative_point().coords[0]
    return (float(x), float(y)), 0.5


def wrong_way(area) -> str | None:
    """How a piece nearly fits in its own place though it lies wrong: ``turned``, ``flipped``; None when it cannot
    be mistaken, or lies right either way.

    Its image is turned about the middle of its area by 90, 180 and 270 degrees, or mirrored in an axis through it
    along or across its length.
    """
    middle = np.array(area.centroid.coords[0])
    around = shapely.simplify(area, _FLAT_PX)
    def image(matrix):
        return shapely.transform(around, lambda xy: (xy - middle) @ np.transpose(matrix) + middle)
    turned = [image(m) for m in (((0, -1), (1, 0)), ((-1, 0), (0, -1)), ((0, 1), (-1, 0)))]
    x, y = _axis(around)
    mirror = np.array([(x * x - y * y, 2 * x * y), (2 * x * y, y * y - x * x)])  # in the line along the axis
    flipped = [image(mirror), image(-mirror)]
    found = {
        kind: [_common(around, image) for image in images] for kind, images in ((TURNED, turned), (FLIPPED, flipped))
    }
    for kind, shares in found.items():
        if any(_NEARLY <= share < _SAME for share in shares):
            return kind
    return None


def _axis(area):
    """Direction of the longer axis of an area's outline."""
    points = np.concatenate(
        [np.asarray(p.exterior.segmentize(2.0).coords)[:-1] for p in area.geoms]
        if hasattr(area, "geoms")
        else [np.asarray(area.exterior.segmentize(2.0).coords)[:-1]]
    )
    points = points - points.mean(0)
    return np.linalg.svd(points, full_matrices=False)[2][0].tolist()


def _common(one, two):
    both = shapely.make_valid(one).intersection(shapely.make_valid(two)).area
    return both / max(one.area + two.area - both, 1e-9)
