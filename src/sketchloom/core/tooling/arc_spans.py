"""Which stretches of smooth runs one arc follows, and with which tangents.

All arcs from a place to another are one family, told by the angle between tangent and chord: half the sweep. An arc
of the family passes through a point that sees the chord under the angle π less that (inscribed angles, Euclid III.21).
So the arcs that keep within a distance of a curve are those whose angle lies between the greatest of the angles of its
places moved by that distance to one side and the least of those moved to the other: an interval, in closed form.
"""

from dataclasses import dataclass
from functools import cached_property

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.tooling.two_arcs import away, biarcs

_WIDEST = 0.75 * np.pi
"""Half the sweep of the widest arc: a biarc's arcs may sweep as far."""
_EVERY, _GROWS = 24, 1.08
"""Spans of up to so many samples are all looked at, longer ones by lengths that grow so: arcs of that many samples lie
on what is nearly one circle, where a few samples more or less matter little."""
_PLACES = 32
"""Places at most at which the distance of a stretch is measured: it rises and falls a few times along what one arc
follows (arcs of four demo works: 3,683 of so many as of all)."""
_MISSES = 3
"""After so many lengths in a row that no arc follows, none longer is tried: an arc through the far side of a bend may
follow where a shorter one does not."""
_AT_ONCE = 1 << 20
"""Places measured at once; 8 MB an array."""


@dataclass(frozen=True, eq=False)
class Course:
    """Smooth runs as places: ``points`` (P, 2) with unit ``tangents`` (P, 2), those of run r from ``offsets[r]`` on
    (R + 1,), both its ends among them; ``fine`` (2 P, 2) the same with places half way by turns, at which distances
    are measured; ``free`` (R, 2) bool: ends that keep no tangent; ``within``, the unit of the points."""

    points: np.ndarray
    tangents: np.ndarray
    offsets: np.ndarray
    fine: np.ndarray
    free: np.ndarray
    within: float

    @property
    def first(self) -> np.ndarray:
        """(R,) first samples of the runs."""
        return self.offsets[:-1]

    @property
    def last(self) -> np.ndarray:
        """(R,) last samples of the runs."""
        return self.offsets[1:] - 1

    @property
    def least(self) -> np.ndarray:
        """(R,) how many arcs a run needs at least from any place on: two to end with a given tangent."""
        return np.where(self.free[:, 1], 1, 2)

    @cached_property
    def angle(self) -> np.ndarray:
        """(P,) direction of the tangents, radians."""
        return np.arctan2(self.tangents[:, 1], self.tangents[:, 0])

    @cached_property
    def _swept(self):
        """(P,) area that the line from the first point to the course sweeps; between samples it is a parabola."""
        p, m = self.points - self.points[:1], self.fine[1::2] - self.points[:1]
        q = np.roll(p, -1, 0)
        bulge = (m[:, 0] - p[:, 0]) * (q[:, 1] - p[:, 1]) - (m[:, 1] - p[:, 1]) * (q[:, 0] - p[:, 0])
        step = (p[:, 0] * q[:, 1] - p[:, 1] * q[:, 0]) / 2 + bulge * (2 / 3)
        step[self.last] = 0
        return np.concatenate([[0.0], np.cumsum(step)[:-1]])

    def beside(self, first, last) -> np.ndarray:
        """(K,) area to the left of chords from sample to sample, between them and the course."""
        p, q = self.points[first] - self.points[:1], self.points[last] - self.points[:1]
        return (p[:, 0] * q[:, 1] - p[:, 1] * q[:, 0]) / 2 - (self._swept[last] - self._swept[first])


@dataclass(frozen=True, eq=False)
class Spans:
    """Stretches that one arc follows, by where they begin: those from sample p are ``starts[p]`` to ``starts[p + 1]``.

    ``last`` (S,) their other ends, ``chord`` (S,) the direction from end to end, ``low`` and ``high`` (S,) between
    which angles the arc may leave the chord, radians.
    """

    last: np.ndarray
    chord: np.ndarray
    low: np.ndarray
    high: np.ndarray
    starts: np.ndarray

    @cached_property
    def leaving(self) -> tuple[np.ndarray, np.ndarray]:
        """(P,) the least and the greatest direction in which an arc may leave each sample, less than π from that of
        the shortest arc's chord."""
        count = len(self.starts) - 1
        shortest = self.chord[np.minimum(self.starts[:-1], max(len(self.chord) - 1, 0))] if len(self.chord) else (
            np.zeros(count))
        chord = wrapped(self.chord - np.repeat(shortest, np.diff(self.starts)))
        return (shortest + ragged.reduce_pieces(np.minimum, chord + self.low, self.starts),
                shortest + ragged.reduce_pieces(np.maximum, chord + self.high, self.starts))

    @cached_property
    def reach(self) -> np.ndarray:
        """(P,) how many samples on from each an arc leads at most."""
        return np.maximum(ragged.reduce_pieces(np.maximum, self.last, self.starts) - np.arange(len(self.starts) - 1), 0)


def wrapped(angle):
    """Angles between -π and π."""
    return (angle + np.pi) % (2 * np.pi) - np.pi


def spans_of(course: Course) -> Spans:
    """All stretches from sample to sample that one arc follows within the course's distance."""
    count = len(course.points)
    sides = _moved(course)
    room = np.repeat(course.last, np.diff(course.offsets)) - np.arange(count)
    missed, found, length = np.zeros(count, np.intp), [], 1
    active = np.flatnonzero(room >= 1)
    while len(active):
        parts = np.array_split(active, -(-len(active) * min(2 * length, _PLACES) // _AT_ONCE))
        chord, low, high = (np.concatenate(one) for one in zip(
            *(_interval(course, sides, part, length) for part in parts), strict=True))
        good = low <= high
        found.append((active[good], active[good] + length, chord[good], low[good], high[good]))
        missed[active] = np.where(good, 0, missed[active] + 1)
        length = max(length + 1, int(length * _GROWS)) if length >= _EVERY else length + 1
        active = active[(missed[active] < _MISSES) & (room[active] >= length)]
    if not found:
        none = np.empty(0)
        return Spans(none.astype(np.intp), none, none, none, np.zeros(count + 1, np.intp))
    first, last, chord, low, high = (np.concatenate(one) for one in zip(*found, strict=True))
    order = np.lexsort([last, first])
    return Spans(last[order], chord[order], low[order], high[order],
                 np.searchsorted(first[order], np.arange(count + 1)))


def _moved(course):
    """(3, 2 P, 2) the places at which distances are measured, and those to their left and right by the distance."""
    along = np.empty_like(course.fine)
    along[::2] = along[1::2] = course.tangents
    along[1:-1:2] += course.tangents[1:]
    along /= np.maximum(np.hypot(*along.T), 1e-12)[:, None]
    left = course.within * np.column_stack([-along[:, 1], along[:, 0]])
    return np.stack([course.fine, course.fine + left, course.fine - left])


def _interval(course, sides, first, length):
    """Direction of the chords from samples (K,) to those so many on, and the angles between which arcs may leave it."""
    p = course.points[first]
    v = course.points[first + length] - p
    long = np.hypot(*v.T)
    v = v / np.maximum(long, 1e-12)[:, None]
    between = np.arange(1, 2 * length)
    if len(between) > _PLACES:
        between = between[np.linspace(0, len(between) - 1, _PLACES).astype(np.intp)]
    of = sides[:, 2 * first[:, None] + between] - p[:, None]
    x = (of * v[:, None]).sum(-1)
    y = of[..., 1] * v[:, None, 0] - of[..., 0] * v[:, None, 1]
    angle, left, right = np.arctan2(long[:, None] * y, x * (long[:, None] - x) - y * y)
    low, high = (angle - _to_the_side(angle - right)).max(1), (angle + _to_the_side(left - angle)).min(1)
    low, high = np.maximum(low, -_WIDEST), np.minimum(high, _WIDEST)
    return np.arctan2(v[:, 1], v[:, 0]), np.where(long > 1e-9, low, np.inf), high


def _to_the_side(turn):
    """Angles by which places moved to the side are seen apart: across the chord's line beyond its ends they go the
    other way round."""
    turn = wrapped(turn)
    return np.where(turn < -np.pi / 2, turn + 2 * np.pi, turn)


def biarc_follows(course: Course, first, last, t, u) -> np.ndarray:
    """(K,) whether the biarc from one sample (K,) to another, with tangents t and u (K, 2), keeps within the distance
    of what is between."""
    begin, end, centre, sweep = (one.reshape(-1, 2, *one.shape[1:]) for one in biarcs(
        course.points[first], t, course.points[last], u))
    good = np.abs(sweep).sum(1) < 2 * _WIDEST
    # between neighbours a biarc that leans may stray to both sides of the one place half way: as a cubic does that
    # begins with the lean and ends without, by 4/27 of it and its length
    lean = np.abs(wrapped(np.arctan2(t[:, 1], t[:, 0]) - course.angle[first]))
    strays = 4 / 27 * lean * np.hypot(*(course.points[last] - course.points[first]).T)
    good &= (last - first > 1) | (strays <= course.within)
    count = 2 * (last - first) - 1
    span = np.repeat(np.arange(len(first)), count)
    p = course.fine[2 * first[span] + 1 + np.arange(len(span)) - np.repeat(np.cumsum(count) - count, count)]
    # which of the two arcs a sample belongs to: by its side of the line through the join across the tangent there
    join, way = end[span, 0], _way_at_join(begin, end, centre, sweep)[span]
    which = (((p - join) * way).sum(1) > 0).astype(int)
    off = away(p, begin[span, which], end[span, which], centre[span, which], sweep[span, which])
    worst = np.zeros(len(first))
    np.maximum.at(worst, span, off)
    return good & (worst <= course.within)


def _way_at_join(begin, end, centre, sweep):
    """Unit tangent where the two arcs meet."""
    radius = end[:, 0] - centre[:, 0]
    turned = np.column_stack([-radius[:, 1], radius[:, 0]]) * np.sign(sweep[:, 0])[:, None]
    line = end[:, 0] - begin[:, 0]
    way = np.where(sweep[:, :1] != 0, turned, line)
    return way / np.maximum(np.hypot(*way.T), 1e-12)[:, None]
