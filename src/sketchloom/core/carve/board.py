"""The board itself: the outline of a blank, the field within its rim, the line in the rim's middle."""

import numpy as np
import shapely
from shapely.geometry import LineString, Point, Polygon, box

from sketchloom.core.carve.blank import AREA, OWN, Blank
from sketchloom.core.shapes.moving import scaled, shifted

_ARC = 128
"""Chords of a quarter turn: of a blank a metre wide they keep within 0.04 mm."""
_SHOULDER, _WAIST = 0.12, 0.45
"""A shield runs straight down for so much of its height, and its sides bend inward with so much of a full bow (our own
form)."""


def outline(blank: Blank, own: Polygon | None = None) -> Polygon:
    """The outline of a blank, mm; ``own``: that of the layer or region it is to have, scaled to the blank's size."""
    wide, high = blank.width_mm, blank.height_mm
    if blank.shape in (OWN, AREA) and own is not None and not own.is_empty:
        left, top, right, bottom = own.bounds
        whole = shifted(Polygon(own.exterior), -left, -top)
        return scaled(whole, wide / (right - left), high / (bottom - top))
    corner = min(blank.corner_mm, 0.499 * min(wide, high))
    board = box(0.0, 0.0, wide, high)
    match blank.shape:
        case "oval":
            made = scaled(Point(0, 0).buffer(1.0, quad_segs=_ARC), wide / 2, high / 2)
            return shifted(made, wide / 2, high / 2)
        case "plaque":
            hollows = [Point(x, y).buffer(corner, quad_segs=_ARC) for x in (0.0, wide) for y in (0.0, high)]
            return _largest(board.difference(shapely.union_all(hollows))) if corner > 0 else board
        case "arch":
            return _rounded(_arch(wide, high), corner)
        case "shield":
            return _rounded(_shield(wide, high), corner)
    return _rounded(board, corner)


def _rounded(shape, corner):
    """Convex corners rounded by a radius."""
    return _largest(shape.buffer(-corner, join_style="mitre").buffer(corner, quad_segs=_ARC)) if corner > 0 else shape


def _arch(wide, high):
    """Upright sides below half an ellipse, half a circle where the height allows it."""
    top = min(wide / 2, 0.8 * high)
    t = np.linspace(np.pi, 2 * np.pi, 2 * _ARC + 1)
    crown = np.column_stack([wide / 2 + wide / 2 * np.cos(t), top + top * np.sin(t)])
    return Polygon([*crown.tolist(), (wide, high), (0.0, high)])


def _shield(wide, high):
    """A level top, upright shoulders, and two bows that meet in a point below."""
    t = np.linspace(0.0, 1.0, 2 * _ARC + 1)[:, None]
    shoulder = _SHOULDER * high
    p0, p3 = np.array([wide, shoulder]), np.array([wide / 2, high])
    p1, p2 = np.array([wide, high * (shoulder / high + _WAIST)]), np.array([0.72 * wide, 0.86 * high])
    right = (1 - t)**3 * p0 + 3 * (1 - t)**2 * t * p1 + 3 * (1 - t) * t**2 * p2 + t**3 * p3
    left = np.column_stack([wide - right[::-1, 0], right[::-1, 1]])
    return Polygon([(0.0, 0.0), (wide, 0.0), *right.tolist(), *left[1:].tolist()])


def field_of(blank: Blank, board: Polygon) -> Polygon:
    """What lies within the rim; all of the board where it has none."""
    return _largest(board.buffer(-blank.rim_mm, quad_segs=_ARC)) if blank.rim_mm > 0 else board


def middle_of_rim(blank: Blank, board: Polygon) -> LineString:
    """The line in the middle of the rim: the outline moved inward by half of the rim's width (trade)."""
    return LineString(_largest(board.buffer(-blank.rim_mm / 2, quad_segs=_ARC)).exterior.coords)


def measured_rim(board: Polygon, field: Polygon) -> tuple[float, float]:
    """How wide a rim is where it is narrowest and widest, mm, measured from points on the field's edge."""
    along = shapely.segmentize(field.exterior, max(field.exterior.length / 400, 0.1))
    away = shapely.distance(shapely.points(np.asarray(along.coords)), board.exterior)
    return float(away.min()), float(away.max())


def _largest(shape) -> Polygon:
    """The largest piece of what was left, an empty polygon for nothing."""
    parts = [one for one in getattr(shape, "geoms", [shape]) if one.geom_type == "Polygon" and not one.is_empty]
    return max(parts, key=lambda one: one.area) if parts else Polygon()
