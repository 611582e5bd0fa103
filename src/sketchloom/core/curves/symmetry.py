"""Closed outlines that are their own mirror image, made exactly so.

A drawn heart is one half and its mirror image; traced side by side, its halves would differ
by a hair. Which turn and shift of the mirrored outline comes nearest to itself is read from
the Fourier transform of its points (the correlation of a curve with its own mirror image);
the axis is then refined on all points. Only one half is fitted, to the mean of both.
"""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.curves.corners import find_corners
from sketchloom.core.curves.least_squares import averaged
from sketchloom.core.curves.loops import ring_areas
from sketchloom.core.curves.mirror_axes import likely_axes, ways_around
from sketchloom.core.planar.junctions import Polylines

_LEAST_POINTS, _LEAST_QUOTIENT = 48, 0.1
"""Outlines with fewer points, or longer for their area than this quotient says, are not looked at."""
_STEPS = 4
"""Steps of refining an axis."""
MOST = 120
"""Outlines looked at in one map."""
_FEW = 160
"""Points that guesses are compared by."""
_SNAP_SHARE = 0.25
"""An axis is made level or upright where its outline's ends move less than this share of the tolerance."""
_NEAR_AXIS_PX = 6.0
"""So near to the axis an outline may cross it."""


@dataclass(frozen=True, slots=True, eq=False)
class Halves:
    """One half of each symmetric loop.

    ``arc`` (K,); ``lines`` the halves as open polylines from axis to axis, in the loop's sense;
    ``centre``, ``axis`` (K, 2) a point and the direction of each axis; ``corner`` (K, 2) bool:
    the outline has a corner where it crosses the axis, at the half's begin and end.
    """

    arc: np.ndarray
    lines: Polylines
    centre: np.ndarray
    axis: np.ndarray
    corner: np.ndarray

    def __len__(self):
        return len(self.arc)

    def some(self, numbers) -> "Halves":
        """A choice of them."""
        index, starts = ragged.take(self.lines.starts, numbers)
        return Halves(
            self.arc[numbers],
            Polylines(self.lines.xy[index], starts, self.lines.closed[numbers]),
            self.centre[numbers],
            self.axis[numbers],
            self.corner[numbers],
        )


def mirrored(points, centre, axis) -> np.ndarray:
    """Points (..., 2) reflected in lines through ``centre`` along the unit vectors ``axis``."""
    normal = np.stack([-axis[..., 1], axis[..., 0]], -1)
    away = ((points - centre) * normal).sum(-1, keepdims=True)
    return points - 2 * away * normal


def symmetric_halves(lines: Polylines, candidate, tolerance_px: float, blur_px: float = 0.0,
                     scatter_px: float = 0.0) -> Halves:
    """Find the loops that are symmetric within the tolerance.

    Parameters
    ----------
    lines : arcs as polylines. candidate : (A,) bool, closed arcs to look at.
    tolerance_px : greatest distance between an outline and its mirror image, averaged as in the fit.
    blur_px, scatter_px : as of ``find_corners``.
    """
    arcs = np.flatnonzero(candidate & lines.closed & (np.diff(lines.starts) >= _LEAST_POINTS))
    arcs = arcs[_compact(lines, arcs)]
    if len(arcs) > MOST:  # each costs milliseconds: of very many only the largest, which are seen best
        points = np.diff(lines.starts)[arcs]
        arcs = np.sort(arcs[np.argsort(-points, kind="stable")[:MOST]])
    found = []
    for arc, guesses in zip(arcs.tolist(), likely_axes(lines, arcs, tolerance_px), strict=False):
        points = lines.xy[lines.starts[arc]:lines.starts[arc + 1]]
        half = next(
            (h for h in (_half(points, g[0], g[1], g[2], tolerance_px) for g in guesses) if h is not None), None
        )
        if half is not None:
            found.append((arc, *half))
    if not found:
        return no_halves()
    arc, halves, centre, axis = zip(*found, strict=False)
    ended = [_ends(h, c, a, blur_px, scatter_px) for h, c, a in zip(halves, centre, axis, strict=False)]
    halves, corner = zip(*ended, strict=False)
    starts = ragged.lengths_to_starts([len(h) for h in halves])
    return Halves(np.array(arc), Polylines(np.concatenate(halves), starts, np.zeros(len(halves), bool)),
                  np.array(centre), np.array(axis), np.array(corner))


def no_halves() -> Halves:
    """None at all."""
    none = np.empty((0, 2))
    return Halves(
        np.empty(0, np.intp),
        Polylines(none, np.zeros(1, np.intp), np.empty(0, bool)),
        none,
        none,
        np.empty((0, 2), bool),
    )


def _compact(lines, arcs):
    """(K,) bool: loops that are no long strokes, by their isoperimetric quotient 4 pi A / L^2."""
    if len(arcs) == 0:
        return np.empty(0, bool)
    index, starts = ragged.take(lines.starts, arcs)
    xy = lines.xy[index]
    _, length = ways_around(xy, starts)
    return 4 * np.pi * np.abs(ring_areas(xy, starts)) >= _LEAST_QUOTIENT * length**2


def _half(points, centre, angle, shift, tolerance):
    """Half of a loop as the mean of both, its axis; None when the loop is not symmetric."""
    way, total = ways_around(points, np.array([0, len(points)]))
    total = float(total[0])
    crossing = shift * total  # a point so far along lies opposite the one at crossing - way
    few = slice(None, None, max(1, len(points) // _FEW))
    for step in range(_STEPS):
        last = step == _STEPS - 1
        use = slice(None) if last else few
        axis = np.array([np.cos(angle), np.sin(angle)])
        image = mirrored(points[use], centre, axis)
        away, normal, slip = _apart(points, way, total, image, crossing - way[use])
        if last:
            break
        if np.quantile(np.abs(away), 0.8) > (2 * tolerance + 0.1 if step else 8 * tolerance + 2.0):
            return None
        arm = image - centre
        across = np.array([-axis[1], axis[0]])
        by_turn = 2 * (normal[:, 1] * arm[:, 0] - normal[:, 0] * arm[:, 1])
        by_shift = 2 * (normal @ across)
        # corners match badly and must not count
        use = np.abs(away) <= 3 * np.median(np.abs(away)) + 0.05
        (turn, move), *_ = np.linalg.lstsq(np.stack([by_turn, by_shift], -1)[use], -away[use], rcond=None)
        angle, centre = angle + turn, centre + move * across
        crossing += float(np.median(slip))
        angle = _level(angle, points, tolerance)
    miss = averaged(away, np.abs(away), np.array([0, len(points)])).max()
    if miss > tolerance:
        return None
    mean = points - 0.5 * away[:, None] * mirrored(normal, np.zeros(2), axis)
    begin = (0.5 * crossing) % total
    # a straight line across the axis is best at the half's end, where it joins its image as one
    if _bulge(mean, way, total, begin, axis) < _bulge(mean, way, total, begin + 0.5 * total, axis):
        begin = (begin + 0.5 * total) % total
    local = (way - begin) % total
    inside = np.flatnonzero((local > 0.3) & (local < 0.5 * total - 0.3))
    inside = inside[np.argsort(local[inside])]
    ends = [_on_axis(points, way, total, place, centre, axis) for place in (begin, begin + 0.5 * total)]
    return np.concatenate([ends[:1], mean[inside], ends[1:]]), centre, axis


def _bulge(points, way, total, place, axis):
    """How far points near a place on the loop spread along the axis, px."""
    near = np.abs((way - place + 0.5 * total) % total - 0.5 * total) < _NEAR_AXIS_PX
    return np.ptp(points[near] @ axis) if near.any() else 0.0


def _level(angle, points, tolerance):
    """An axis that is upright or level within the tolerance is exactly so."""
    size = np.ptp(points, axis=0).max()
    nearest = np.round(angle / (np.pi / 2)) * (np.pi / 2)
    return nearest if abs(angle - nearest) * size <= _SNAP_SHARE * tolerance else angle


def _apart(points, way, total, image, at):
    """Signed distance of mirrored points from the outline, its normals there, and the slip along it."""
    count, asked = len(points), len(image)
    guess = np.searchsorted(way, np.mod(at, total), side="right") - 1
    best = np.full(asked, np.inf)
    out = np.zeros(asked), np.zeros((asked, 2)), np.zeros(asked)
    for k in range(-2, 3):
        one = points[(guess + k) % count]
        leg = points[(guess + k + 1) % count] - one
        length = np.maximum(np.hypot(*leg.T), 1e-9)
        unit = leg / length[:, None]
        gap = image - one
        along = (gap * unit).sum(1)
        normal = np.stack([-unit[:, 1], unit[:, 0]], -1)
        across = (gap * normal).sum(1)
        distance = np.hypot(across, np.maximum(np.maximum(-along, along - length), 0))
        nearer = distance < best
        best[nearer] = distance[nearer]
        out[0][nearer], out[1][nearer] = across[nearer], normal[nearer]
        place = way[(guess + k) % count] + along
        out[2][nearer] = ((place - at + 0.5 * total) % total - 0.5 * total)[nearer]
    return out


def _on_axis(points, way, total, place, centre, axis):
    closed = np.append(way, total)
    at = np.array([np.interp(place % total, closed, np.append(points[:, c], points[0, c])) for c in (0, 1)])
    return centre + ((at - centre) @ axis) * axis


def _ends(half, centre, axis, blur, scatter):
    """The half with corners on the axis put in place, and whether there are any."""
    other = mirrored(half[-2:0:-1], centre, axis)
    loop = np.concatenate([half, other])
    corners = find_corners(Polylines(loop, np.array([0, len(loop)]), np.array([True])), blur, scatter)
    size, last = len(loop), len(half) - 1
    found = []
    for end, place in ((0, 0), (1, last)):
        gap = np.abs((corners.index - place + size // 2) % size - size // 2)
        near = np.flatnonzero(gap <= 2)
        found.append(len(near) > 0)
        if len(near):
            tip = centre + ((corners.xy[near[0]] - centre) @ axis) * axis
            keep = np.hypot(*(half - tip).T) >= corners.clear_px[near[0]]
            keep[[0, -1]] = True
            half = half.copy()
            half[0 if end == 0 else -1] = tip
            if keep.sum() >= 4:
                half = half[keep]
    return half, np.array(found)
