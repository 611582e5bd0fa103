"""Rings and lines of points: where they are calm, from where they begin, how they go down.

Directions are those of climb milling with a tool that turns clockwise seen from above (common practice, no source):
around a part clockwise, along the inside of a pocket the other way.
"""

import numpy as np
import shapely
from shapely.geometry import MultiPolygon
from shapely.geometry.polygon import orient

from sketchloom.core.shapes.polygons import areas_of

WITHIN_MM = 0.004
"""How far chords keep to round corners, and points that are left out to the line."""
_LOOKS = 256
"""Places of a ring that are looked at for a calm one."""


def moved(area, by_mm: float, is_round: bool = True) -> MultiPolygon:
    """An area grown by a distance, shrunk where that is below 0."""
    quarter = np.pi / 2 / (2 * np.arccos(max(1 - WITHIN_MM / max(abs(by_mm), WITHIN_MM), 0.0)))
    return areas_of(area.buffer(by_mm, quad_segs=max(int(np.ceil(quarter)), 4),
                                join_style="round" if is_round else "mitre", mitre_limit=4.0))


def rings_of(area: MultiPolygon, clockwise: bool) -> list[np.ndarray]:
    """Closed rings (N, 2), the first point again at the end: outer ones clockwise as they are seen, y down, or not, and
    holes the other way."""
    found = []
    for piece in area.geoms:
        turned = orient(piece, 1.0 if clockwise else -1.0)
        for ring in (turned.exterior, *turned.interiors):
            thin = shapely.simplify(ring, WITHIN_MM / 2, preserve_topology=False)
            found.append(np.asarray(thin.coords, float)[:, :2])
    return found


def lengths_along(points) -> np.ndarray:
    """(N,) how far along a line of points each lies."""
    return np.concatenate([[0.0], np.cumsum(np.hypot(*np.diff(points[:, :2], axis=0).T))])


def at_length(points, along, where) -> np.ndarray:
    """Points at lengths of a line."""
    return np.column_stack([np.interp(where, along, points[:, k]) for k in range(points.shape[1])])


def turning(ring, around_mm: float, count: int = _LOOKS) -> tuple[np.ndarray, np.ndarray]:
    """How much a closed ring turns, radians, in a stretch around each of so many places, and where those lie along it.
    """
    along = lengths_along(ring)
    total = along[-1]
    step = np.diff(ring, axis=0)
    heading = np.unwrap(np.arctan2(step[:, 1], step[:, 0]))
    bend = np.abs(np.diff(heading, append=heading[0] + np.sign(heading[-1] - heading[0]) * 2 * np.pi))
    bend = np.minimum(bend, 2 * np.pi - np.minimum(bend, 2 * np.pi))  # at the end of each side
    thrice = np.concatenate([along[1:] - total, along[1:], along[1:] + total])
    order = np.argsort(thrice, kind="stable")
    summed = np.concatenate([[0.0], np.cumsum(np.tile(bend, 3)[order])])
    where = (np.arange(count) + 0.5) * total / count
    low, high = (np.searchsorted(thrice[order], where + s * around_mm) for s in (-1, 1))
    return summed[high] - summed[low], where


def begun_at(ring, where: float) -> np.ndarray:
    """The same closed ring, from another place along it."""
    along = lengths_along(ring)
    where = where % along[-1]
    at = int(np.searchsorted(along, where, side="right")) - 1
    here = at_length(ring, along, [where])
    made = np.concatenate([here, ring[at + 1:-1], ring[:at + 1], here])
    keep = np.concatenate([[True], np.hypot(*np.diff(made, axis=0).T) > 1e-9])
    keep[-1] = True
    return made[keep]


def begun_near(ring, place) -> np.ndarray:
    """The same closed ring, from its point nearest to a place."""
    at = int(np.argmin(np.hypot(*(ring[:-1] - place).T)))
    return np.concatenate([ring[at:-1], ring[:at + 1]])


def levels(top_mm: float, bottom_mm: float, down_mm: float) -> np.ndarray:
    """Depths of the passes from one level to another, the last at the bottom, evenly and no more than so much each."""
    count = max(int(np.ceil((bottom_mm - top_mm) / down_mm - 1e-9)), 1)
    return top_mm + (bottom_mm - top_mm) * np.arange(1, count + 1) / count


def sunk(points, z: float) -> np.ndarray:
    """Points (N, 3) at one depth below the upper face."""
    return np.column_stack([points, np.full(len(points), -z)])


def ramped(ring, top_mm: float, bottom_mm: float, slope: float) -> np.ndarray:
    """(N, 3) down along a closed ring, as often around as it takes, and then once around at the bottom."""
    along = lengths_along(ring)
    total = along[-1]
    far = (bottom_mm - top_mm) / slope
    if total <= 0 or far <= 0:
        return sunk(ring, bottom_mm)
    whole = int(far // total)
    stops = np.concatenate([*(along[:-1] + n * total for n in range(whole + 1)), [(whole + 1) * total]])
    stops = np.unique(np.concatenate([stops[stops < far], [far], along + far]))
    stops = np.unique(np.concatenate([stops, *(along + n * total for n in range(whole, whole + 3))]))
    stops = stops[(stops >= 0) & (stops <= far + total + 1e-9)]
    xy = at_length(ring, along, stops % total)
    return np.column_stack([xy, -np.minimum(top_mm + stops * slope, bottom_mm)])
