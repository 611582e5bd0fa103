"""Arcs that run along nodes a hand has set: that course exactly, in place of what was fitted there."""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.curves.chains import between, replaced
from sketchloom.core.curves.curveset import CurveSet, evaluate, is_straight, line_controls
from sketchloom.core.planar.junctions import Polylines

_STEPS = 32
"""Places looked at on each cubic where a fitted arc is cut."""
_END = 0.02
"""So near to an end of the course, in cubics, a run of boundary points is taken to reach it."""
_KINK = np.cos(np.radians(35.0))
"""What follows a course turns along with it unless it leaves it at more than this: then there was a corner."""
_GIVES_PX, _SEEN_PX, _MOST_OF_HANDLE = 8.0, 0.08, 4 / 9
"""So much of a fitted cubic gives way to a course where all of it would move by more than is seen; a handle moves its
cubic by four ninths of its own way at most."""
_SLIVER_PX = 0.3
"""Shorter parts of a fitted arc beside a course are taken into it."""


@dataclass(frozen=True, slots=True, eq=False)
class Course:
    """Cubics (n, 4, 2) px that a hand has set; ``corners``: whether each end is a corner towards what follows."""

    controls: np.ndarray
    closed: bool
    corners: tuple[bool, bool]


def with_courses(curves: CurveSet, lines: Polylines, owner, place, courses: dict) -> CurveSet:
    """Curves in which boundary points that belong to a course run along it.

    Parameters
    ----------
    lines : what ``curves`` were fitted to. owner (N,) the number of the course that each of its points belongs to, -1
        for none. place (N,) where on it, a cubic's number plus the parameter. courses : by number.

    Notes
    -----
    An arc that ends on a course still ends in its node, bit for bit; one that a course covers in part is cut where the
    course begins and ends, and turns with it there unless that is a corner.
    """
    arcs = np.unique(ragged.owner(lines.starts)[owner >= 0])
    arcs = arcs[np.diff(curves.starts)[arcs] > 0]
    exact = {}
    for arc in arcs.tolist():
        here = slice(lines.starts[arc], lines.starts[arc + 1])
        fitted = curves.controls[curves.starts[arc]:curves.starts[arc + 1]]
        exact[arc] = _spliced(fitted, bool(lines.closed[arc]), owner[here], place[here], courses)
    return replaced(curves, exact) if exact else curves


def _runs(owner, closed):
    """(first, last) of the runs of points of one course each; of a loop, runs may go on past its last point."""
    n = len(owner)
    if closed and (owner == owner[0]).all():
        return [(0, n - 1)]
    breaks = np.flatnonzero(owner != np.roll(owner, 1)) if closed else np.flatnonzero(np.diff(owner, prepend=-2))
    ends = np.append(breaks[1:], breaks[0] + n) if closed else np.append(breaks[1:], n)
    return [(a, b - 1) for a, b in zip(breaks.tolist(), ends.tolist(), strict=True) if owner[a] >= 0]


def _spliced(fitted, closed, owner, place, courses):
    n = len(owner)
    runs = _runs(owner, closed)
    if closed and runs == [(0, n - 1)]:
        return _all_round(courses[int(owner[0])], place)
    pieces = [_piece(courses[int(owner[a % n])], place[np.arange(a, b + 1) % n], closed or a > 0, closed or b < n - 1)
              for a, b in runs]
    cuts = [(_nearest(fitted, made[0, 0]), _nearest(fitted, made[-1, 3])) for made, _ in pieces]
    parts = []
    if not closed:
        first, last = runs[0][0] > 0, runs[-1][1] < n - 1
        if first:
            parts.append((_part(fitted, 0.0, cuts[0][0]), None))
        for k, one in enumerate(pieces):
            parts.append(one)
            if k + 1 < len(pieces):
                parts.append((_part(fitted, cuts[k][1], cuts[k + 1][0]), None))
        if last:
            parts.append((_part(fitted, cuts[-1][1], float(len(fitted))), None))
        if not first:
            parts[0] = _moved_end(*parts[0], fitted[0, 0], 0)
        if not last:
            parts[-1] = _moved_end(*parts[-1], fitted[-1, 3], -1)
    else:
        for k, one in enumerate(pieces):
            end, begin = cuts[k][1], cuts[(k + 1) % len(pieces)][0]
            parts += [one, (_part(fitted, end, begin if begin > end else begin + len(fitted)), None)]
    return _joined([p for p in parts if len(p[0])], closed)


def _piece(course, place, may_begin, may_end):
    """The part of a course along a run of points, and its corners; it runs to the course's ends where it comes near."""
    count = len(course.controls)
    place = np.unwrap(place, period=count) if course.closed else place
    begin, end = float(place[0]), float(place[-1])
    ahead = end > begin
    if not course.closed:
        low, high = min(begin, end), max(begin, end)
        reach = _END * count + abs(high - low) / max(len(place) - 1, 1) * 2
        if (may_begin if ahead else may_end) and low < reach:
            low = 0.0
        if (may_end if ahead else may_begin) and high > count - reach:
            high = float(count)
        begin, end = (low, high) if ahead else (high, low)
    made = between(course.controls, min(begin, end), max(begin, end))
    corners = (course.corners[0] if min(begin, end) <= 0 else False,
               course.corners[1] if max(begin, end) >= count else False)
    if not ahead:
        made, corners = made[::-1, ::-1].copy(), corners[::-1]
    return made, corners


def _all_round(course, place):
    """A ring that a course goes all round."""
    turns = np.unwrap(place, period=len(course.controls))
    return course.controls if turns[-1] > turns[0] else course.controls[::-1, ::-1].copy()


def _moved_end(made, corners, to, end):
    """A part whose end meets its node, the handle beside it moved along."""
    made = made.copy()
    near, handle = (0, 1) if end == 0 else (3, 2)
    made[end, handle] += to - made[end, near]
    made[end, near] = to
    return made, corners


def _nearest(fitted, at) -> float:
    """The place on fitted cubics nearest to a point."""
    t = np.linspace(0, 1, _STEPS + 1)
    segment, step = np.unravel_index(
        int(((evaluate(fitted[:, None], t[None]) - at) ** 2).sum(-1).argmin()), (len(fitted), len(t))
    )
    around = np.clip(t[step] + np.linspace(-1, 1, 2 * _STEPS + 1) / _STEPS, 0, 1)
    return float(segment + around[((evaluate(fitted[segment][None], around) - at) ** 2).sum(-1).argmin()])


def _part(fitted, begin, end):
    """A part of a fitted arc; none where it is shorter than can be drawn."""
    if end - begin < 1e-9:
        return np.empty((0, 4, 2))
    made = between(fitted, begin, end)
    if np.hypot(*np.diff(made[:, [0, 3]].reshape(-1, 2), axis=0).T).sum() < _SLIVER_PX:
        return np.empty((0, 4, 2))
    return made


def _joined(parts, closed):
    """Parts end to end: what was fitted moves to the courses beside it and turns along with them."""
    for k in range(len(parts) if closed else len(parts) - 1):
        nxt = (k + 1) % len(parts)
        (one, of_one), (two, of_two) = parts[k], parts[nxt]
        one, two = one.copy(), two.copy()
        if of_one is None or (of_two is not None):  # the earlier gives way
            one = _short_of(one[::-1, ::-1], two[0])[::-1, ::-1].copy() if of_one is None else one
            _give_way(one[-1, ::-1], two[0], of_two is None or of_two[0])
        else:
            two = _short_of(two, one[-1, ::-1]).copy()
            _give_way(two[0], one[-1, ::-1], of_one[1])
        parts[k], parts[nxt] = (one, of_one), (two, of_two)
    return np.concatenate([made for made, _ in parts])


def _short_of(part, to):
    """A part of which only the end beside a course gives way, where a long cubic would be moved as a whole."""
    first = part[0].copy()
    _give_way(first, to, False)
    if _MOST_OF_HANDLE * np.hypot(*(first[1] - part[0, 1])) <= _SEEN_PX:
        return part
    length = np.hypot(*np.diff(evaluate(part[0][None], np.linspace(0, 1, _STEPS + 1)), axis=0).T).sum()
    if length <= 2 * _GIVES_PX:
        return part
    share = _GIVES_PX / length
    return np.concatenate([between(part[:1], 0.0, share), between(part[:1], share, 1.0), part[1:]])


def _give_way(cubic, to, is_corner):
    """A cubic that begins where another one does, and leaves it the other way unless there is a corner; in place.

    A line stays one.
    """
    if is_straight(cubic[None])[0]:
        cubic[:] = line_controls(to[0], cubic[3])
        return
    cubic[1] += to[0] - cubic[0]
    cubic[0] = to[0]
    away, other = cubic[1] - cubic[0], to[0] - to[1]
    size, length = np.hypot(*away), np.hypot(*other)
    if not is_corner and size > 1e-9 and length > 1e-9 and away @ other > _KINK * size * length:
        cubic[1] = cubic[0] + other / length * size
