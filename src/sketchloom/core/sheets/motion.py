"""How long a machine takes along paths: it speeds up and slows down evenly, looks ahead over all of a stroke, and turns
corners within a tolerance.

References
----------
Uniformly accelerated motion, and v² / r = a on a circle (textbook). Speed at a corner of the angle θ between two
segments from the arc inscribed within a tolerance δ: v² = a δ sin(θ/2) / (1 - sin(θ/2)).
"""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.curves.curveset import flatten

_FLAT_SHARE, _FLAT_MM = 0.5, 0.005
"""Curves are taken for chords within this share of the corner tolerance: then no joint of chords is slower than the
curve's own radius (v² = a r δ / t for a tolerance t of the chords); and within so much, for their length."""

_AROUND = 2
"""Chords on each side that a chord's own bend is taken over."""
_STRAIGHT = 1e-9
"""A chord that turns by less, radians, is straight: no speed a machine has is held back by it."""
_SLIGHT = np.radians(40.0)
"""Chords that turn by less are of a curve, and are also held to what their corner allows."""


@dataclass(frozen=True, slots=True)
class Dynamics:
    """``speed`` along a path, mm/s; ``acceleration``, mm/s²; ``corner`` tolerance, mm, 0 to stop at every corner."""

    speed: float
    acceleration: float
    corner: float

    def along(self, length) -> np.ndarray:
        """Seconds of straight moves of lengths, mm, from rest to rest."""
        length = np.asarray(length, float)
        to_speed = self.speed**2 / self.acceleration
        return np.where(length >= to_speed, length / self.speed + self.speed / self.acceleration,
                        2 * np.sqrt(length / self.acceleration))


@dataclass(frozen=True, slots=True, eq=False)
class Paced:
    """Strokes with the speed at each place: ``xy`` (N, 2) mm, ``starts`` (K + 1,) of the strokes, ``speed`` (N,) mm/s,
    and ``seconds`` (K,) each takes."""

    xy: np.ndarray
    starts: np.ndarray
    speed: np.ndarray
    seconds: np.ndarray


def paced(controls, straight, starts, dynamics: Dynamics) -> Paced:
    """The fastest pace along strokes, each from rest to rest.

    Parameters
    ----------
    controls : (S, 4, 2) cubics in mm, those of a stroke end to end. straight : (S,) bool. starts : (K + 1,) offsets of
    the strokes.
    """
    return paced_along(*pace_path(controls, straight, starts, dynamics), dynamics)


def pace_path(controls, straight, starts, dynamics: Dynamics) -> tuple[np.ndarray, np.ndarray, np.ndarray]:
    """Strokes as chords fine enough for a machine: their points, offsets, and the curve of each chord, as
    ``paced_along`` takes them."""
    xy, starts, curve = chords(np.asarray(controls, float), np.asarray(straight, bool), np.asarray(starts),
                               max(min(dynamics.corner * _FLAT_SHARE, _FLAT_MM), 1e-4))
    # cubics that run on into each other are one curve, as whoever has only the points must take them
    return xy, starts, np.where(curve >= 0, curves_along(xy, starts), -1)


def paced_along(xy, starts, curve, dynamics: Dynamics) -> Paced:
    """The same along chords: ``xy`` (N, 2) points of strokes end to end, ``starts`` (K + 1,) their offsets, ``curve``
    (N - 1,) the curve each chord is of, -1 for a straight line or none."""
    count = len(xy)
    if not count:
        return Paced(xy, starts, np.empty(0), np.zeros(len(starts) - 1))
    step = np.diff(xy, axis=0)
    length = np.hypot(*step.T)
    within = np.ones(count - 1, bool)
    within[starts[1:-1] - 1] = False  # from one stroke to the next
    turn = np.zeros(count)
    cross = step[:-1, 0] * step[1:, 1] - step[:-1, 1] * step[1:, 0]
    turn[1:-1] = np.arctan2(cross, (step[:-1] * step[1:]).sum(1))
    bend, turn = np.abs(_bends(turn, length, curve)), np.abs(turn)
    # of the arc over a chord; what bends by rounding alone is a line
    bent = np.where(bend > _STRAIGHT, bend, _STRAIGHT)
    length = length * (bent / 2 / np.sin(bent / 2))
    cap = np.minimum(dynamics.acceleration * length / bent, dynamics.speed**2)
    most = np.minimum(_at_corners(turn, dynamics), np.minimum(np.append(cap, np.inf), np.insert(cap, 0, np.inf)))
    most[starts[:-1]] = most[starts[1:] - 1] = 0.0
    square = _reachable(most, np.concatenate([[0.0], np.cumsum(np.where(within, length, 0.0))]), dynamics.acceleration)
    seconds = np.where(within, _seconds(length, square, cap, dynamics.acceleration), 0.0)
    owner = ragged.owner(starts)[:-1]
    return Paced(xy, starts, np.sqrt(square), np.bincount(owner, seconds, len(starts) - 1))


def chords(controls, straight, starts, tolerance):
    """Points of all strokes end to end, their offsets, and (N - 1,) the curve each chord is of, -1 for a straight line
    or none."""
    if not len(controls):
        return np.empty((0, 2)), np.zeros(len(starts), np.intp), np.empty(0, np.intp)
    flat, offsets = flatten(controls, straight, tolerance)
    points = np.diff(offsets)  # of each segment, its end left to the next
    last = np.asarray(starts[1:]) - 1
    more = np.zeros(len(controls), np.intp)
    more[last] = 1  # the end of a stroke
    where = ragged.lengths_to_starts(points + more)
    xy = np.empty((where[-1], 2))
    own = np.arange(len(flat)) - np.repeat(offsets[:-1], points) + np.repeat(where[:-1], points)
    xy[own] = flat
    xy[where[last + 1] - 1] = controls[last, 3]
    curve = np.where(np.repeat(straight, points + more), -1, np.repeat(np.arange(len(controls)), points + more))
    curve[where[last + 1] - 1] = -1
    return xy, where[np.asarray(starts)], curve[:-1]


def _bends(turn, length, curve):
    """(N - 1,) how far each chord of a curve turns, 0 for others: its share of what the joints around it turn. A file's
    units push points aside, which to and fro cancels."""
    joint = np.where((curve[1:] == curve[:-1]) & (curve[1:] >= 0), turn[1:-1], 0.0)
    inner = (curve[1:] == curve[:-1]) & (curve[1:] >= 0)
    span = np.where(inner, 0.5 * (length[1:] + length[:-1]), 0.0)  # what a joint turns belongs to half of both chords
    total, along = (np.concatenate([[0.0], np.cumsum(v)]) for v in (joint, span))
    index = np.arange(len(curve))
    first = np.flatnonzero(np.diff(curve, prepend=-2))
    of = np.searchsorted(first, index, side="right") - 1
    low = np.maximum(index - _AROUND, first[of])
    high = np.minimum(index + _AROUND, np.append(first[1:], len(curve))[of] - 1)
    per = np.divide(total[high] - total[low], along[high] - along[low], out=np.zeros(len(curve)),
                    where=along[high] > along[low])
    return np.clip(per * length, -np.pi / 2, np.pi / 2)


def curves_along(xy, starts) -> np.ndarray:
    """(N - 1,) the curve each chord is of, where only points are known: chords that follow each other with a slight
    turn are one curve."""
    if len(xy) < 2:
        return np.empty(0, np.intp)
    step = np.diff(xy, axis=0)
    cross = step[:-1, 0] * step[1:, 1] - step[:-1, 1] * step[1:, 0]
    turn = np.abs(np.arctan2(cross, (step[:-1] * step[1:]).sum(1)))
    begins = np.ones(len(step), bool)
    begins[1:] = turn > _SLIGHT
    begins[np.asarray(starts)[1:-1]] = True
    return np.cumsum(begins) - 1


def _at_corners(turn, dynamics):
    half = np.cos(turn / 2)  # the sine of half the angle between the segments
    return np.where(turn < 1e-9, np.inf,
                    dynamics.acceleration * dynamics.corner * half / np.maximum(1 - half, 1e-12))


def _reachable(most, place, acceleration):
    """The largest squared speeds that are nowhere over a limit and change by no more than the acceleration allows."""
    rise = 2 * acceleration * place
    ahead = np.minimum.accumulate(most - rise) + rise
    back = np.minimum.accumulate((most + rise)[::-1])[::-1] - rise
    return np.maximum(np.minimum(ahead, back), 0.0)


def _seconds(length, square, cap, acceleration):
    """Time of each chord between the speeds at its ends, as fast in between as its limit allows."""
    start, end = np.sqrt(square[:-1]), np.sqrt(square[1:])
    peak = np.minimum((square[:-1] + square[1:]) / 2 + acceleration * length, np.maximum(cap, np.maximum(
        square[:-1], square[1:])))
    top = np.sqrt(peak)
    changing = (2 * peak - square[:-1] - square[1:]) / (2 * acceleration)
    even = np.maximum(length - changing, 0.0)
    return (2 * top - start - end) / acceleration + np.divide(even, top, out=np.zeros_like(top), where=top > 0)
