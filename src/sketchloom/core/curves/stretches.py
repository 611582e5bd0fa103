"""The stretch of boundary that a person brushed along."""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.base.late import late
from sketchloom.core.curves.chains import between
from sketchloom.core.curves.chords import crossing_chords
from sketchloom.core.curves.curveset import CurveSet, evaluate, sampled_along, segment_lengths
from sketchloom.core.curves.node_chain import NodeChain, chain_of
from sketchloom.core.curves.outline import face_outline
from sketchloom.core.planar.junctions import Polylines
from sketchloom.core.planar.planar_map import PlanarMap

spatial = late("scipy.spatial")
ndimage = late("scipy.ndimage")

_SPACING_PX, _SAMPLE_PX = 0.75, 2.0
"""Spacing of samples of outlines and of curves."""
_GRAIN, _ALONG_PX = 7, 1.5
"""Points over which single jumps are smoothed away, and how near a boundary is one and the same."""
_LEAST, _SPLINTER = 3, 2
"""Samples that make a stretch, and that part an end from a node it is taken for."""
_WHOLE = 0.8
"""A brush that comes back and went along this much of a ring means all of it."""


@dataclass(frozen=True, slots=True, eq=False)
class Stretch:
    """``points`` (N, 2) px along the boundary, in the brush's sense; ``closed``: a whole ring, its first point again
    last. ``chain``: its nodes and handles."""

    points: np.ndarray
    closed: bool
    chain: NodeChain


@dataclass(frozen=True, slots=True, eq=False)
class _Ring:
    """Cubics of a ring (S, 4, 2), samples along them (N, 2), and the sample that each cubic begins with."""

    controls: np.ndarray
    xy: np.ndarray
    begins: np.ndarray

    def stretch(self, first: int, last: int, ahead: bool) -> Stretch:
        """From one sample to another, along the ring or against it."""
        first, last = self._at_node(first), self._at_node(last)
        if not ahead:
            first, last = last, first
        n, count = len(self.xy), len(self.controls)
        index = np.arange(first, first + (last - first) % n + 1)
        points = self.xy[index % n]
        end = self._place(last)
        chain = between(self.controls, self._place(first), end if end > self._place(first) else end + count)
        at = np.sort((self.begins - first) % n)
        at = np.concatenate([[0], at[(at > 0) & (at < len(index) - 1)], [len(index) - 1]])
        knots = _way(points)[at] / max(_length(points), 1e-12)
        if not ahead:
            points, chain, knots = points[::-1], chain[::-1, ::-1].copy(), 1.0 - knots[::-1]
        return Stretch(points, False, chain_of(chain, knots, False))

    def whole(self, first: int = 0, ahead: bool = True) -> Stretch:
        """All of it, from the node before a sample on, along the ring or against it."""
        segment = int(np.searchsorted(self.begins, first, side="right")) - 1
        begin = int(self.begins[segment])
        points = np.roll(self.xy, -begin, 0)
        points = np.concatenate([points, points[:1]])
        at = np.append(np.roll((self.begins - begin) % len(self.xy), -segment), len(self.xy))
        chain, knots = np.roll(self.controls, -segment, 0), _way(points)[at] / max(_length(points), 1e-12)
        if not ahead:
            points, chain, knots = points[::-1], chain[::-1, ::-1].copy(), 1.0 - knots[::-1]
        return Stretch(points, True, chain_of(chain, knots, True))

    def _at_node(self, sample):
        """The sample, or a node so near to it that a part between them would be a splinter."""
        away = (self.begins - sample + len(self.xy) // 2) % len(self.xy) - len(self.xy) // 2
        best = int(np.abs(away).argmin())
        return int(self.begins[best]) if abs(away[best]) <= _SPLINTER else sample

    def _place(self, sample):
        segment = int(np.searchsorted(self.begins, sample, side="right")) - 1
        size = int(np.append(self.begins, len(self.xy))[segment + 1] - self.begins[segment])
        return segment + (sample - int(self.begins[segment])) / size


def stretch_along(planar: PlanarMap, curves: CurveSet, brush, reach_px: float) -> Stretch | None:
    """The part of one ring that runs along a brush's way, None where no boundary is near.

    Parameters
    ----------
    brush : (N, 2) px. reach_px : how far the brush may be off.
    """
    brush = np.asarray(brush, float).reshape(-1, 2)
    rings = _rings_near(planar, curves, brush, reach_px)
    best, least = None, np.inf
    for ring in rings:
        away, at = spatial.cKDTree(ring.xy).query(brush)
        if away[0] > reach_px or away[-1] > reach_px:
            continue
        for made in _between(ring, int(at[0]), int(at[-1]), brush):
            back, _ = spatial.cKDTree(made.points).query(brush)
            there, _ = spatial.cKDTree(brush).query(made.points)
            score = float(back.mean() + there.mean()) + (0.0 if made.closed or there.max() < 4 * reach_px else np.inf)
            if score < least:
                best, least = made, score
    return best


def ring_at(planar: PlanarMap, curves: CurveSet, place, reach_px: float) -> Stretch | None:
    """The whole ring of boundary nearest to a place, the smaller of two that share it."""
    rings = _rings_near(planar, curves, np.asarray(place, float)[None], reach_px)
    if not rings:
        return None
    return min(rings, key=lambda ring: _length(ring.xy)).whole()


def off_boundary(curves: CurveSet, lines: Polylines, stretch, path) -> float:
    """Greatest distance, px, between a path and the boundary points that a stretch was traced from, both ways.

    Parameters
    ----------
    lines : the arcs' sub-pixel points, as they come from the picture. stretch : (N, 2) along ``curves``; says which
    arcs.
    path : (M, 2).

    Notes
    -----
    The signed distances are averaged over seven pixels as in the fit: a single point bears the picture's grain.
    """
    xy, arc = _samples(curves)
    _, at = spatial.cKDTree(xy).query(stretch)
    arcs = np.unique(arc[at])
    points = []
    for a in arcs.tolist():
        line = lines.xy[lines.starts[a]:lines.starts[a + 1]]
        points.append(np.concatenate([line, line[:1]]) if lines.closed[a] else line)
    ends = [np.stack([p[:-1], p[1:]], 1) for p in points if len(p) > 1]
    if not ends:
        return 0.0
    path, line = np.asarray(path, float), np.concatenate(points)
    gap, at = spatial.cKDTree(stretch).query(line)
    line = line[(gap < _ALONG_PX) & (at > 0) & (at < len(stretch) - 1)]  # not what lies beyond its ends
    there = signed_distances(_evenly(path), np.concatenate(ends))
    back = signed_distances(line, np.stack([path[:-1], path[1:]], 1)) if len(line) else there
    return max(
        float(np.abs(ndimage.uniform_filter1d(away, min(_GRAIN, len(away)), mode="nearest")).max())
        for away in (there, back)
    )


def _evenly(path):
    """A polyline's points about a pixel apart."""
    way = np.concatenate([[0.0], np.cumsum(np.hypot(*np.diff(path, axis=0).T))])
    at = np.linspace(0.0, way[-1], max(int(way[-1]), 1) + 1)
    return np.stack([np.interp(at, way, path[:, c]) for c in (0, 1)], -1)


def is_in_the_way(curves: CurveSet, stretch, path) -> bool:
    """Whether a course in place of a stretch, (N, 2) each, would cross another boundary.

    What ends at the stretch is drawn along with it and does not count as far as it is.
    """
    xy, arc = _samples(curves)
    own = np.flatnonzero(spatial.cKDTree(stretch).query(xy, distance_upper_bound=_ALONG_PX)[0] < _ALONG_PX)
    if len(own) == 0:
        return False
    moved = float(spatial.cKDTree(stretch).query(path)[0].max())
    at = np.clip(np.searchsorted(own, np.arange(len(xy))), 1, len(own) - 1) if len(own) > 1 else np.zeros(len(xy), int)
    nearest = np.where(
        np.abs(own[at] - np.arange(len(xy))) < np.abs(own[at - 1] - np.arange(len(xy))), own[at], own[at - 1]
    )
    along = (arc[nearest] == arc) & (np.abs(nearest - np.arange(len(xy))) * _SAMPLE_PX <= moved + 3 * _SAMPLE_PX)
    begin = np.flatnonzero((arc[:-1] == arc[1:]) & ~along[:-1] & ~along[1:])
    chords = _evenly(path)
    pairs = crossing_chords(np.concatenate([chords[:-1], xy[begin]]), np.concatenate([chords[1:], xy[begin + 1]]))
    return bool((((pairs < len(chords) - 1).sum(1)) == 1).any())


def signed_distances(points, segments) -> np.ndarray:
    """(M,) distance of points from the nearest of line segments (S, 2, 2), among the eight whose middles lie nearest;
    positive on their right as seen on the screen."""
    near = spatial.cKDTree(segments.mean(1)).query(points, k=min(8, len(segments)))[1].reshape(len(points), -1)
    a, leg = segments[near, 0], segments[near, 1] - segments[near, 0]
    gap = points[:, None] - a
    share = np.clip((gap * leg).sum(-1) / np.maximum((leg * leg).sum(-1), 1e-12), 0, 1)
    away = np.hypot(*np.moveaxis(gap - share[..., None] * leg, -1, 0))
    least = away.argmin(1)
    row = np.arange(len(points))
    leg, gap = leg[row, least], gap[row, least]
    return away[row, least] * np.where(leg[:, 0] * gap[:, 1] - leg[:, 1] * gap[:, 0] >= 0, 1.0, -1.0)


def _rings_near(planar, curves, brush, reach):
    xy, arc = _samples(curves)
    away, at = spatial.cKDTree(xy).query(brush[[0, -1]])
    if away.min() > reach:
        return []
    faces = np.unique(np.concatenate([planar.left[arc[at]], planar.right[arc[at]]]))
    rings = []
    for face in faces[faces >= 0].tolist():
        outline = face_outline(planar, curves, face)
        for a, b in zip(outline.starts[:-1].tolist(), outline.starts[1:].tolist(), strict=False):
            xy, starts = sampled_along(outline.controls[a:b], _SPACING_PX)
            if len(xy) >= 3 and spatial.cKDTree(xy).query(brush[0])[0] <= reach:
                rings.append(_Ring(outline.controls[a:b], xy, starts[:-1]))
    return rings


def _samples(curves):
    count = np.maximum(np.ceil(segment_lengths(curves.controls, curves.straight) / _SAMPLE_PX), 1).astype(np.intp)
    starts = ragged.lengths_to_starts(count)
    of = ragged.owner(starts)
    return evaluate(curves.controls[of], (np.arange(starts[-1]) - starts[of] + 0.5) / count[of]), ragged.owner(
        curves.starts
    )[of]


def _between(ring, first, last, brush):
    """Both ways round a ring from one sample to another, and all of it when the brush went round."""
    n = len(ring.xy)
    made = []
    if (last - first) % n >= _LEAST:
        made.append(ring.stretch(first, last, True))
    if (first - last) % n >= _LEAST:
        made.append(ring.stretch(first, last, False))
    if _length(brush) > _WHOLE * _length(np.concatenate([ring.xy, ring.xy[:1]])):
        made.append(ring.whole(first, _turns(brush) * _turns(ring.xy) > 0))
    return made


def _turns(points):
    """Positive where a ring of points runs one way round, negative where it runs the other."""
    ahead = np.roll(points, -1, 0)
    return float((points[:, 0] * ahead[:, 1] - points[:, 1] * ahead[:, 0]).sum())


def _way(points):
    return np.concatenate([[0.0], np.cumsum(np.hypot(*np.diff(points, axis=0).T))])


def _length(points):
    return float(np.hypot(*np.diff(points, axis=0).T).sum())
