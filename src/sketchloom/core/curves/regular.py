"""What is nearly regular: straight, round, equal, concentric, parallel, symmetric; and what it would take to be so."""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.base.errors import GeometryError
from sketchloom.core.curves import reshapes
from sketchloom.core.curves.curveset import CurveSet, sampled, segment_lengths
from sketchloom.core.curves.symmetry import mirrored, symmetric_halves
from sketchloom.core.planar.junctions import Polylines
from sketchloom.core.planar.planar_map import PlanarMap

_SPACING_PX = 1.0
"""Spacing of samples."""
_ROUND_SHARE, _STRAIGHT_SHARE = 0.06, 0.025
"""How far, as a share of radius and of length, an outline may lie off a circle or a line to be offered as one."""
_LEAST_PX, _LEAST_MOVE_PX = 18.0, 0.3
"""Shorter stretches and smaller moves are not worth an offer."""
_CORNER = np.radians(22.0)
"""A turn of more parts two stretches."""
_EQUAL, _CONCENTRIC, _PARALLEL = 0.06, 0.12, np.radians(3.0)
"""How near radii, middles (as shares) and directions come to being meant the same."""
_SYMMETRIC_SHARE = 0.012
"""Share of its size by which an outline may lie off its mirror image to be offered as symmetric."""
_MOST = 200
"""Offers at most, those that move least."""


@dataclass(frozen=True, slots=True, eq=False)
class Regular:
    """``what`` as of ``CurveEdit``; each of ``parts`` a stretch, its new path (N, 2) px and whether it is a whole ring;
    ``move_px`` how far the boundary moves at most."""

    what: str
    parts: tuple[tuple[np.ndarray, np.ndarray, bool], ...]
    move_px: float

    @property
    def place(self) -> np.ndarray:
        """The middle of what is moved, px."""
        return np.concatenate([p[0] for p in self.parts]).mean(0)


def nearly_regular(planar: PlanarMap, curves: CurveSet) -> tuple[Regular, ...]:
    """All that is nearly but not quite regular, what moves least first."""
    loops = _loops(planar, curves)
    round_ = [(points, *reshapes.fitted_circle(points[:-1])) for points in loops]
    round_ = [one for one in round_ if _off_circle(*one) <= _ROUND_SHARE * one[2]]
    found = [_regular("circle", [(p, reshapes.circle(p[:-1]), True)]) for p, c, r in round_]
    found += _equal(round_) + _concentric(round_)
    lines = _nearly_straight(planar, curves)
    found += [_regular("straight", [(p, reshapes.straight(p), False)]) for p in lines]
    found += _parallel(lines)
    found += _symmetric([p for p in loops if not any(p is one[0] for one in round_)])
    found = [one for one in found if one.move_px >= _LEAST_MOVE_PX]
    return tuple(sorted(found, key=lambda one: one.move_px)[:_MOST])


def _regular(what, parts):
    return Regular(what, tuple(parts), max(reshapes.deviation(s, p) for s, p, _ in parts))


def _loops(planar, curves):
    """Closed arcs of some size as rings of points, the first again last."""
    found = []
    for arc in np.flatnonzero(planar.closed).tolist():
        part = curves.controls[curves.starts[arc]:curves.starts[arc + 1]]
        if len(part) and segment_lengths(part).sum() > 2 * _LEAST_PX:
            points = sampled(part, _SPACING_PX)
            found.append(np.concatenate([points, points[:1]]))
    return found


def _off_circle(points, centre, radius):
    once_round = abs(np.hypot(*np.diff(points, axis=0).T).sum() / (2 * np.pi * radius) - 1) < 0.15
    return float(np.abs(np.hypot(*(points - centre).T) - radius).max()) if once_round else np.inf


def _equal(circles):
    """Circles of nearly one radius, each group made equal."""
    found, left = [], sorted(circles, key=lambda one: one[2])
    while left:
        group = [one for one in left if one[2] <= left[0][2] * (1 + _EQUAL)]
        left = left[len(group):]
        if len(group) > 1:
            radius = float(np.mean([r for _, _, r in group]))
            found.append(_regular("equal", [(p, reshapes.circle(p[:-1], c, radius), True) for p, c, _ in group]))
    return found


def _concentric(circles):
    found, left = [], sorted(circles, key=lambda one: -one[2])
    while left:
        outer = left[0]
        group = [one for one in left if np.hypot(*(one[1] - outer[1])) <= _CONCENTRIC * one[2]]
        left = [one for one in left if not any(one is g for g in group)]
        if len(group) > 1:
            centre = np.mean([c for _, c, _ in group], axis=0)
            found.append(_regular("concentric", [(p, reshapes.circle(p[:-1], centre, r), True) for p, _, r in group]))
    return found


def _nearly_straight(planar, curves):
    """Stretches between corners that hardly leave their chord, lines that are straight already left out."""
    found = []
    for arc in range(planar.arc_count):
        a, b = int(curves.starts[arc]), int(curves.starts[arc + 1])
        if b - a == 0 or planar.left[arc] < 0:
            continue
        controls, straight = curves.controls[a:b], curves.straight[a:b]
        for first, last in _runs(controls, bool(planar.closed[arc])):
            part = controls[first:last]
            if straight[first:last].all() and len(part) == 1:
                continue
            points = np.concatenate([sampled(part, _SPACING_PX), part[-1:, 3]])
            chord = points[-1] - points[0]
            length = float(np.hypot(*chord))
            if length < _LEAST_PX:
                continue
            off = np.abs((points - points[0]) @ np.array([-chord[1], chord[0]])) / length
            if off.max() <= _STRAIGHT_SHARE * length and segment_lengths(part).sum() < 1.02 * length:
                found.append(points)
    return found


def _runs(controls, closed):
    """Runs of cubics between corners, (first, last + 1)."""
    leave, arrive = controls[:, 1] - controls[:, 0], controls[:, 3] - controls[:, 2]
    before = np.roll(arrive, 1, 0)
    turn = np.abs(np.arctan2(before[:, 0] * leave[:, 1] - before[:, 1] * leave[:, 0], (before * leave).sum(1)))
    at = np.flatnonzero(turn > _CORNER)
    if not closed:
        at = np.unique(np.concatenate([[0], at, [len(controls)]]))
    else:
        at = np.concatenate([at, [len(controls)]]) if len(at) and at[0] == 0 else at
    return list(zip(at[:-1].tolist(), at[1:].tolist(), strict=False))


def _parallel(lines):
    """Pairs of nearly parallel stretches beside each other: the shorter is turned about its middle."""
    found = []
    ends = [(p[0], p[-1], float(np.hypot(*(p[-1] - p[0])))) for p in lines]
    for k, (a, b, size) in enumerate(ends):
        for m, (c, d, other) in enumerate(ends):
            if m == k or other < size or (other == size and m > k):
                continue
            u, v = (b - a) / size, (d - c) / other
            sine, cosine = u[0] * v[1] - u[1] * v[0], float(u @ v)
            if abs(sine) > np.sin(_PARALLEL) or np.hypot(*((a + b) / 2 - (c + d) / 2)) > 1.2 * other:
                continue
            way = v * np.sign(cosine)
            middle = (a + b) / 2
            path = np.array([middle - way * size / 2, middle + way * size / 2])
            if np.abs(path - (a, b)).max() >= _LEAST_MOVE_PX:
                found.append(_regular("parallel", [(lines[k], reshapes.even(path), False)]))
            break
    return found


def _symmetric(loops):
    """Loops that are nearly their own mirror image, about the axis that suits them best."""
    found = []
    for points in loops:
        ring = points[:-1]
        size = float(np.ptp(ring, axis=0).max())
        lines = Polylines(ring, np.array([0, len(ring)], np.intp), np.ones(1, bool))
        try:
            halves = symmetric_halves(lines, np.ones(1, bool), max(_SYMMETRIC_SHARE * size, 0.6))
        except GeometryError:
            continue
        if len(halves) != 1:
            continue
        half = halves.lines.xy
        image = mirrored(half, halves.centre[0], halves.axis[0])[::-1]
        whole = np.concatenate([half, image[1:]])
        begin = int(np.hypot(*(whole[:-1] - ring[0]).T).argmin())
        path = np.concatenate([whole[begin:-1], whole[:begin + 1]])
        found.append(_regular("symmetric", [(points, path, True)]))
    return found
