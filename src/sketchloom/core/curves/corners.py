"""Corners of polylines, found on the sub-pixel points.

A corner turns within the width of a pixel; a bend, however tight, spreads its turning
along its length. Candidates are places where the direction turns by more than the bends
on either side explain. A candidate is a corner when the lines before and after it meet
closer to the boundary than a bend of the same turning could come.
"""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.planar.junctions import Polylines

TURN_RAD = np.radians(24.0)
"""Least turning of a corner beyond what the bends beside it explain."""
_SLACK_PX, _SLACK_PER_SCATTER, _MOST_SLACK_PX = 0.1, 4.0, 0.4
"""Sides may miss their corner by so much, and by so much more for each pixel of scatter, but not by more than the last.
"""
_CUT_SHARE, _MOST_CUT_PX = 0.9, 0.42
"""A right-angled corner comes within 0.4 px of its point when a box filter draws it, and within
0.9 px as a polyline through its last clean points; blunter ones nearer. A bend of radius r and
turning a stays r (1 / cos(a / 2) - 1) away, which is more."""
_CLEAR_PX = 1.3
"""So far from its tip a corner's sides are clear of what the picture's own softness rounds off."""
_FARTHEST_TIP_PX = 4.0
"""A tip is looked for no farther beyond the points than this; sharper ones stay cut."""
_SMALLEST_LOOP = 16
"""A loop of fewer points is under 5 px across: a dot, whose corners no pixel shows."""
_SPAN = 3
"""Points on each side over which the turning at a point is measured, in a sharp picture."""
_SIDE = 4
"""Points of each side that its line is laid through."""
_FROM_END = 4
"""Nearer to a junction a third colour pulls points aside, which looks like a corner."""
_BENT_FROM, _BENT, _BENT_ROUNDS = 3, 8, 3
"""Sides that bend: from which point on, through how many, and in how many rounds they are followed to their meeting."""
_BENT_SCATTER, _MOST_BENT_PX, _BENT_TURN = 0.05, 2.0, np.radians(40.0)
"""Points that scatter more tell no bend; bent sides meet no farther than this from where their lines do, and turn by
more than this there: in a blunter one their lines are near enough."""
_ROUNDED_PX = 0.8
"""Blurred by a Gaussian of 1 px, a right-angled corner's outline passes 0.77 px from its point
(each of two crossed edges is at 0.707 there)."""


@dataclass(frozen=True, slots=True, eq=False)
class Corners:
    """Corners of polylines.

    ``index`` (K,) points that are corners, ascending; ``xy`` (K, 2) their places;
    ``clear_px`` (K,) how far from the corner pixels mix both of its sides, so that points
    there say nothing.
    """

    index: np.ndarray
    xy: np.ndarray
    clear_px: np.ndarray


def _none():
    return Corners(np.empty(0, np.intp), np.empty((0, 2)), np.empty(0))


def find_corners(lines: Polylines, blur_px: float = 0.0, scatter_px: float = 0.0) -> Corners:
    """Find the corners inside arcs; ends of open arcs are not looked at.

    ``blur_px``: standard deviation of the picture's blur beyond its pixels; it rounds
    corners, so sides are looked for farther away and may meet farther off. ``scatter_px``: of
    the points, which may hide how near the sides come.
    """
    xy, starts, closed = lines.xy, lines.starts, lines.closed
    if len(xy) == 0:
        return _none()
    at = ragged.Neighbours(starts, closed)
    span = _SPAN + round(blur_px)
    strength = _turning(lines, at, span)
    strongest = strength.copy()
    for k in range(-span, span + 1):
        strongest = np.maximum(strongest, strength[at(k)])
    arc = ragged.owner(starts)
    local = np.arange(len(xy)) - starts[arc]
    length = np.diff(starts)[arc]
    away = np.where(closed[arc], 9, np.minimum(local, length - 1 - local))
    index = np.flatnonzero((strength > TURN_RAD) & (strength >= strongest) & (away >= _FROM_END)
                           & (length >= np.where(closed[arc], _SMALLEST_LOOP, 6)))
    index = index[np.diff(index, prepend=-10) > 1]
    return _meet(xy, at, index, blur_px, scatter_px)


def _turning(lines, at, span):
    """Turning at each point that the bends beside it do not explain, rad, (N,)."""
    xy = lines.xy
    chord = xy[at(1)] - xy[at(-1)]
    heading = np.arctan2(chord[:, 1], chord[:, 0])
    # arcs with a margin, so that sums over windows are differences of one running sum
    margin = span + 4
    lengths = np.diff(lines.starts)
    starts = ragged.lengths_to_starts(np.where(lengths > 0, lengths + 2 * margin, 0))
    arc = ragged.owner(starts)
    local = np.arange(starts[-1]) - starts[arc] - margin
    size = lengths[arc]
    local = np.where(lines.closed[arc], np.mod(local, size), np.clip(local, 0, size - 1))
    along = heading[lines.starts[arc] + local]
    step = np.empty(len(along))
    step[0] = 0.0
    np.subtract(along[1:], along[:-1], out=step[1:])
    step -= 2 * np.pi * np.rint(step / (2 * np.pi))
    total = np.cumsum(step)
    here = np.arange(len(xy)) + np.repeat(starts[:-1] - lines.starts[:-1], lengths) + margin
    def over(first, last):
        return np.abs(total[here + last] - total[here + first - 1])
    bend = np.minimum(over(-span - 3, -span - 1), over(span + 1, span + 3)) * (2 * span / 3.0)
    return over(1 - span, span) - bend


def _meet(xy, at, index, blur, scatter):
    """Keep candidates whose sides meet on the boundary."""
    if len(index) == 0:
        return _none()
    farther = int(np.ceil(1.5 * blur))
    sides = [[np.stack([at(sign * (k + skip))[index] for k in range(_SIDE + farther)])
              for skip in (2 + farther, 3 + farther)] for sign in (-1, 1)]
    chords = [xy[near[-1]] - xy[near[0]] for near, _ in sides]
    cosine = -(chords[0] * chords[1]).sum(1) / np.maximum(
        np.hypot(*chords[0].T) * np.hypot(*chords[1].T), 1e-9)
    half = 0.5 * np.arccos(np.clip(-cosine, -1, 1))  # half the angle between the sides
    tip = half < np.radians(40)
    normals, means = zip(*(_line(np.where(tip[:, None], xy[far], xy[near])) for near, far in sides), strict=False)
    system = np.stack(normals, axis=1)
    value = np.stack([(n * m).sum(1) for n, m in zip(normals, means, strict=False)], axis=1)
    parallel = np.abs(np.linalg.det(system)) < np.sin(TURN_RAD) * 0.6
    system[parallel] = np.eye(2)
    meeting = np.linalg.solve(system, value[..., None])[..., 0]
    good, retreat = _is_met(xy, at, index, meeting, half, blur, scatter)
    good &= ~parallel
    missed = np.flatnonzero(~good & ~parallel) if scatter <= _BENT_SCATTER and blur == 0 else np.empty(0, np.intp)
    if len(missed):
        # sides that bend meet elsewhere than their lines
        bent, bent_half = _bent_meeting(xy, at, index[missed], meeting[missed])
        met, its = _is_met(xy, at, index[missed], bent, bent_half, blur, scatter)
        met &= (np.hypot(*(bent - meeting[missed]).T) < _MOST_BENT_PX) & (np.pi - 2 * bent_half > _BENT_TURN)
        good[missed[met]], meeting[missed[met]], retreat[missed[met]] = True, bent[met], its[met]
    clear = np.maximum(_CLEAR_PX + 1.5 * blur, retreat + 0.8)
    return Corners(index[good], meeting[good], clear[good])


def _is_met(xy, at, index, meeting, half, blur, scatter):
    """Whether sides meet as near to the boundary as those of a corner, and how far that stays away, px."""
    # the boundary of a tip ends where the tip is about a pixel wide
    retreat = np.minimum(0.5 / np.tan(np.maximum(half, 0.05)), _FARTHEST_TIP_PX)
    retreat = np.minimum(retreat + _ROUNDED_PX * blur / np.tan(np.maximum(half, 0.2)), _FARTHEST_TIP_PX + 2 * blur)
    slack = min(_SLACK_PX + _SLACK_PER_SCATTER * scatter, _MOST_SLACK_PX)
    allowed = retreat + np.minimum(_CUT_SHARE * retreat, _MOST_CUT_PX) + slack
    return _distance_to_polyline(xy, at, index, meeting) < allowed, retreat


def _bent_meeting(xy, at, index, meeting):
    """Where parabolas through both sides meet, and half the angle between them there."""
    sides = []
    for sign in (-1, 1):
        points = np.stack([xy[at(sign * k)[index]] for k in range(_BENT_FROM, _BENT_FROM + _BENT)])
        normal, mean = _line(points)
        along = np.stack([normal[:, 1], -normal[:, 0]], -1)
        away = points - mean
        s, y = (away * along).sum(-1), (away * normal).sum(-1)
        power = np.stack([np.ones_like(s), s, s * s], -1).transpose(1, 0, 2)
        square = power.transpose(0, 2, 1) @ power + 1e-9 * np.eye(3)
        sides.append((mean, along, normal, np.linalg.solve(square, power.transpose(0, 2, 1) @ y.T[..., None])[..., 0]))
    place = meeting
    for _ in range(_BENT_ROUNDS):
        normals, values, ways = [], [], []
        for mean, along, normal, (c0, c1, c2) in ((*side[:3], side[3].T) for side in sides):
            s = ((place - mean) * along).sum(1)
            slope = c1 + 2 * c2 * s
            way = along + slope[:, None] * normal
            way /= np.hypot(*way.T)[:, None]
            on = mean + s[:, None] * along + (c0 + c1 * s + c2 * s * s)[:, None] * normal
            across = np.stack([-way[:, 1], way[:, 0]], -1)
            normals.append(across)
            values.append((across * on).sum(1))
            ways.append(way * np.where(((mean - on) * way).sum(1) < 0, -1.0, 1.0)[:, None])
        system = np.stack(normals, axis=1)
        flat = np.abs(np.linalg.det(system)) < np.sin(TURN_RAD) * 0.6
        system[flat] = np.eye(2)
        place = np.where(flat[:, None], 1e6, np.linalg.solve(system, np.stack(values, axis=1)[..., None])[..., 0])
    return place, 0.5 * np.arccos(np.clip((ways[0] * ways[1]).sum(1), -1, 1))


def _distance_to_polyline(xy, at, index, place):
    near = np.stack([xy[at(k)[index]] for k in range(-2, 3)])
    legs = np.diff(near, axis=0)
    along = ((place - near[:-1]) * legs).sum(-1) / np.maximum((legs * legs).sum(-1), 1e-9)
    foot = near[:-1] + np.clip(along, 0, 1)[..., None] * legs
    return np.hypot(*np.moveaxis(place - foot, -1, 0)).min(0)


def _line(points):
    """Unit normal and mean of the total-least-squares lines through (k, n, 2) points."""
    mean = points.mean(0)
    spread = points - mean
    xx, yy, xy = (spread[..., 0] ** 2).sum(0), (spread[..., 1] ** 2).sum(0), (spread[..., 0] * spread[..., 1]).sum(0)
    along = 0.5 * np.arctan2(2 * xy, xx - yy)
    return np.stack([-np.sin(along), np.cos(along)], -1), mean
