"""The medial axis of an area: the middles of its largest inner discs, with their radii, as chains of points.

Method: ridges of the Voronoi diagram of points along the outline (Ogniewicz and Kübler 1995, "Hierarchic Voronoi
skeletons") whose two feet are seen from far enough apart. The radius of every point is its true distance from the
outline, so that a tool that goes by it never cuts beyond, however far the points lie apart.
"""

from dataclasses import dataclass

import numpy as np
import shapely
from shapely.geometry import MultiPolygon

from sketchloom.core.base import ragged
from sketchloom.core.base.late import late
from sketchloom.core.base.progress import breathe
from sketchloom.core.base.succession import chain_order

spatial = late("scipy.spatial")

SPACING_MM = 0.1
"""Points along the outline lie so far apart; less where a piece is small, more where there would be too many."""
MAX_POINTS = 120_000
_FEWEST = 64
"""Points of a small ring."""
_SEEN = np.sin(np.radians(6.0))
"""Half the angle in which the two feet are seen: what is duller than 168° is no corner that a V runs into."""
_CORNER = np.radians(12.0)
_SHARPEST = 40.0
"""A corner lies no more radii from the end of its axis: one of 3°."""


@dataclass(frozen=True, slots=True, eq=False)
class MedialAxis:
    """``xy`` (N, 2) mm and ``radius`` (N,) along chains; ``starts`` (K + 1,) their offsets."""

    xy: np.ndarray
    radius: np.ndarray
    starts: np.ndarray

    @property
    def chains(self) -> list[np.ndarray]:
        """(n, 3) x, y and radius of each."""
        rows = np.column_stack([self.xy, self.radius])
        return np.split(rows, self.starts[1:-1]) if len(self.starts) > 1 else []


NOTHING = MedialAxis(np.empty((0, 2)), np.empty(0), np.zeros(1, np.intp))


def medial_axis(area: MultiPolygon, spacing_mm: float = SPACING_MM) -> MedialAxis:
    """The medial axis of an area."""
    rings = [ring for piece in area.geoms for ring in (piece.exterior, *piece.interiors)]
    if not rings:
        return NOTHING
    spacing = max(spacing_mm, sum(r.length for r in rings) / MAX_POINTS)
    samples = [_along(ring, min(spacing, ring.length / _FEWEST)) for ring in rings]
    xy = np.concatenate([s for s, _ in samples])
    corner = np.concatenate([c for _, c in samples])
    size = np.array([len(s) for s, _ in samples])
    breathe()
    diagram = spatial.Voronoi(xy)
    breathe()
    pairs, ends = diagram.ridge_points, np.asarray(diagram.ridge_vertices)
    ok = (ends >= 0).all(1) & ~_neighbours(pairs, size)
    pairs, ends = pairs[ok], ends[ok]
    used, index = np.unique(ends, return_inverse=True)
    ends = index.reshape(-1, 2)
    place = diagram.vertices[used]
    shapely.prepare(area)
    inside = shapely.contains_xy(area, place[:, 0], place[:, 1])
    foot = xy[pairs]
    apart = np.hypot(*(foot[:, 0] - foot[:, 1]).T)
    far = np.hypot(*(place[ends] - foot[:, :1]).transpose(2, 0, 1))
    ok = inside[ends].all(1) & (apart > 2 * _SEEN * far.max(1))
    ends = ends[ok]
    if not len(ends):
        return _dots(area)
    radius = _distances(area, place)
    return _closer(area, _chains(place, radius, ends, xy[corner], spacing), spacing)


def _along(ring, spacing):
    """Points along a ring, its corners among them, and which those are."""
    points = np.asarray(shapely.segmentize(ring, spacing).coords, float)[:-1, :2]
    step = np.roll(points, -1, 0) - points
    heading = np.arctan2(step[:, 1], step[:, 0])
    turn = np.abs((heading - np.roll(heading, 1) + np.pi) % (2 * np.pi) - np.pi)
    return points, turn > _CORNER


def _neighbours(pairs, size):
    """Which pairs of points follow each other along one ring."""
    starts = ragged.lengths_to_starts(size)
    ring = ragged.owner(starts)
    one, two = ring[pairs[:, 0]], ring[pairs[:, 1]]
    gap = np.abs(pairs[:, 0] - pairs[:, 1])
    return (one == two) & (np.minimum(gap, size[one] - gap) <= 1)


def _distances(area, place):
    """How far places lie from the outline."""
    return shapely.distance(shapely.points(place), shapely.boundary(area))


def _dots(area):
    """Of pieces without an axis (discs), their middles."""
    rows = []
    for piece in area.geoms:
        middle = np.array(piece.centroid.coords[0])
        rows.append((*middle, piece.exterior.distance(piece.centroid)))
    found = np.array(rows).reshape(-1, 3)
    return MedialAxis(found[:, :2], found[:, 2], np.arange(len(found) + 1))


def _chains(place, radius, ends, corners, spacing):
    """Ridges joined end to end between branchings; those that run out near a corner reach it."""
    count = len(place)
    degree = np.bincount(ends.ravel(), minlength=count)
    place, radius, ends = _to_corners(place, radius, ends, degree, corners, spacing)
    count = len(place)
    degree = np.bincount(ends.ravel(), minlength=count)
    # each ridge both ways; what follows is the other ridge that leaves where it arrives
    tail, head = np.concatenate([ends, ends[:, ::-1]]).T
    half = len(ends)
    twin = np.concatenate([np.arange(half, 2 * half), np.arange(half)])
    order = np.argsort(tail, kind="stable")
    first = np.searchsorted(tail[order], np.arange(count))
    one = order[first[head] % len(order)]
    two = order[(first[head] + 1) % len(order)]
    after = np.where(one == twin, two, one)
    after = np.where(degree[head] == 2, after, -1)
    walk, starts, closed = chain_order(after)
    keep = _one_way(walk, starts, closed, twin, degree, tail, head)
    xy, r, sizes = [], [], []
    for k in keep:
        its = walk[starts[k]:starts[k + 1]]
        nodes = np.append(tail[its], head[its[-1]])
        xy.append(place[nodes])
        r.append(radius[nodes])
        sizes.append(len(nodes))
    return MedialAxis(np.concatenate(xy), np.concatenate(r), ragged.lengths_to_starts(sizes))


def _one_way(walk, starts, closed, twin, degree, tail, head):
    """Numbers of chains, of each only one of its two directions."""
    of = np.empty(len(walk), np.intp)
    of[walk] = ragged.owner(starts)
    other = of[twin[walk[starts[:-1]]]]
    return np.flatnonzero(np.arange(len(other)) <= other).tolist()


def _closer(area, axis, spacing):
    """Points between those that lie far apart, as where both feet are corners: along a straight axis, yet the radius
    bends."""
    step = np.hypot(*np.diff(axis.xy, axis=0).T) if len(axis.xy) > 1 else np.zeros(0)
    owner = ragged.owner(axis.starts)
    step[owner[1:] != owner[:-1]] = 0.0
    count = np.append(np.maximum(np.ceil(step / spacing), 1).astype(np.intp), 1)
    starts = ragged.lengths_to_starts(count)
    of = ragged.owner(starts)
    share = (np.arange(starts[-1]) - starts[of]) / count[of]
    after = np.minimum(of + 1, len(axis.xy) - 1)
    xy = axis.xy[of] + share[:, None] * (axis.xy[after] - axis.xy[of])
    radius = axis.radius[of]
    between = share > 0
    radius[between] = _distances(area, xy[between])
    return MedialAxis(xy, radius, starts[axis.starts])


def _to_corners(place, radius, ends, degree, corners, spacing):
    """Ends that lie near to a corner of the outline are joined to it: there a V comes up to the surface."""
    leaf = np.flatnonzero(degree == 1)
    if not len(leaf) or not len(corners):
        return place, radius, ends
    away, at = spatial.cKDTree(corners).query(place[leaf])
    # an axis runs out into a corner until its discs are no larger than what lies between points of the outline
    near = (radius[leaf] <= 2 * spacing) & (away <= np.maximum(_SHARPEST * radius[leaf], 1e-9))
    leaf, at = leaf[near], at[near]
    grown = np.concatenate([place, corners[at]])
    added = len(place) + np.arange(len(leaf))
    return grown, np.concatenate([radius, np.zeros(len(leaf))]), np.concatenate(
        [ends, np.column_stack([leaf, added])])
