"""Straight runs and the round corners between them, made exact.

A drawn edge that is level within the tolerance is level; two edges meet where their lines
cross; and a round corner between two edges is a part of one circle that touches both, of
the same radius as its fellows. A rounded rectangle needs no recognition of its own: it is
four level edges and four equal round corners.
"""

from dataclasses import dataclass, replace

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.curves.least_squares import averaged
from sketchloom.core.curves.straights import Runs, foot_on

_SNAP_RAD = np.radians(1.0)
_SQUARE_RAD = np.radians(2.0)
_SNAP_SHARE = 0.5
"""A level line takes this share of the tolerance at most; the rest is left for its points."""
_CORNER_MOVE_PX = 0.75
_LEAST_RADIUS_PX, _LEAST_STRAIGHT_PX = 0.8, 0.5
_LEAST_TURN, _MOST_TURN = np.radians(12.0), np.radians(150.0)
_HALF_TURN = np.radians(178.0)
_PIECE = np.radians(92.0)
_LONGEST_GAP = 2000
_MARGIN, _STEPS = 6, 4


@dataclass(frozen=True, slots=True, eq=False)
class RoundCorners:
    """Round corners between straight runs.

    ``before``, ``after`` (K,) numbers of the runs; ``first``, ``last`` (K,) the points where
    the corner begins and ends, next to their places on the circle; ``start``, ``end``, ``centre`` (K, 2) px;
    ``turn`` (K,) signed sweep, rad; ``miss`` (K,) greatest distance from the points, px.
    """

    before: np.ndarray
    after: np.ndarray
    first: np.ndarray
    last: np.ndarray
    start: np.ndarray
    end: np.ndarray
    centre: np.ndarray
    turn: np.ndarray
    miss: np.ndarray

    def pick(self, where) -> "RoundCorners":
        return RoundCorners(*(getattr(self, name)[where] for name in self.__slots__))

    def cubics(self) -> tuple[np.ndarray, np.ndarray]:
        """Cubics of all corners, (S, 4, 2), and their offsets (K + 1,).

        Handles of 4/3 tan(a / 4) of the radius for a sweep a (textbook).
        """
        pieces = np.ceil(np.abs(self.turn) / _PIECE).astype(np.intp)
        starts = ragged.lengths_to_starts(pieces)
        of = ragged.owner(starts)
        local = np.arange(starts[-1]) - starts[of]
        sweep = (self.turn / pieces)[of]
        arm = _turned((self.start - self.centre)[of], local * sweep)
        arm_end = _turned(arm, sweep)
        handle = (4 / 3 * np.tan(sweep / 4))[:, None]
        begin, end = self.centre[of] + arm, self.centre[of] + arm_end
        # pieces meet bit for bit, and the ends are those of the lines
        begin[starts[:-1]] = self.start
        begin_next = np.roll(begin, -1, axis=0)
        end = np.where((local < pieces[of] - 1)[:, None], begin_next, self.end[of])
        return np.stack([begin, begin + handle * _normal(arm), end - handle * _normal(arm_end), end], axis=1), starts


def _normal(v):
    """Quarter turn in the sense of growing angles."""
    return np.stack([-v[..., 1], v[..., 0]], -1)


def _turned(v, angle):
    cos, sin = np.cos(angle)[:, None], np.sin(angle)[:, None]
    return v * cos + _normal(v) * sin


def settled(lines, runs: Runs, is_corner, tolerance_px: float) -> Runs:
    """Level what is nearly level, and let runs that share a corner meet where their lines cross.

    Parameters
    ----------
    lines : arcs as polylines. runs : their straight runs. is_corner : (N,) bool.

    Runs that end at a node keep their place, which belongs to other arcs too.
    """
    if len(runs.first) == 0:
        return runs
    free = ~(_open_end(lines, runs.first) | _open_end(lines, runs.last))
    unit = _levelled(runs, tolerance_px, free)
    begin, end = runs.begin.copy(), runs.end.copy()
    for place, _index in ((begin, runs.first), (end, runs.last)):
        foot = foot_on(place, runs.mean, unit)
        move = free & (np.hypot(*(foot - place).T) <= _CORNER_MOVE_PX)
        place[move] = foot[move]
    before, after = _followers(lines, runs)
    shared = (runs.last[before] == runs.first[after]) & free[before] & free[after]
    shared &= is_corner[runs.last[before]] | runs.meets[before]
    before, after = before[shared], after[shared]
    place, crossing = _crossings(runs.mean[before], unit[before], runs.mean[after], unit[after])
    near = crossing & (np.hypot(*(place - runs.end[before]).T) <= _CORNER_MOVE_PX)
    end[before[near]] = begin[after[near]] = place[near]
    # where the lines do not meet nearby, the corner stays where it was for both
    kept = runs.end[before[~near]]
    end[before[~near]] = begin[after[~near]] = kept
    return replace(runs, begin=begin, end=end, unit=unit)


def squared(lines, runs: Runs, centre, axis) -> Runs:
    """Runs of half outlines that end on the axis of symmetry almost square to it, made exactly square.

    ``centre``, ``axis`` (A, 2): a point and the direction of each half's axis.
    """
    unit, begin, end = runs.unit.copy(), runs.begin.copy(), runs.end.copy()
    arc = np.searchsorted(lines.starts, runs.first, side="right") - 1
    along, middle = axis[arc], centre[arc]
    across = np.stack([-along[:, 1], along[:, 0]], -1)
    square = np.abs((unit * along).sum(1)) <= np.sin(_SQUARE_RAD)
    unit[square] = (across * np.sign((across * unit).sum(1))[:, None])[square]
    on_axis = middle + ((runs.mean - middle) * along).sum(1)[:, None] * along
    for here, there, index in ((begin, end, runs.first), (end, begin, runs.last)):
        use = square & _open_end(lines, index)
        here[use] = on_axis[use]
        there[use] = foot_on(there[use], runs.mean[use], unit[use])
    return replace(runs, unit=unit, begin=begin, end=end)


def _levelled(runs, tolerance, free):
    """Directions, with those that are level or upright within the tolerance made exactly so."""
    unit = runs.unit.copy()
    half = 0.5 * np.hypot(*(runs.end - runs.begin).T)
    for axis in (0, 1):
        lean = np.abs(unit[:, 1 - axis])
        level = free & (lean <= np.sin(_SNAP_RAD)) & (lean * half <= _SNAP_SHARE * tolerance)
        unit[level, axis] = np.sign(unit[level, axis])
        unit[level, 1 - axis] = 0.0
    return unit


def _open_end(lines, index):
    arc = np.searchsorted(lines.starts, index, side="right") - 1
    return ~lines.closed[arc] & ((index == lines.starts[arc]) | (index == lines.starts[arc + 1] - 1))


def _crossings(mean_a, unit_a, mean_b, unit_b):
    """Where pairs of lines cross, (K, 2), and whether they do."""
    cross = unit_a[:, 0] * unit_b[:, 1] - unit_a[:, 1] * unit_b[:, 0]
    crossing = np.abs(cross) > 1e-3
    apart = mean_b - mean_a
    along = (apart[:, 0] * unit_b[:, 1] - apart[:, 1] * unit_b[:, 0]) / np.where(crossing, cross, 1.0)
    return mean_a + along[:, None] * unit_a, crossing


def _followers(lines, runs):
    """Pairs of runs that follow each other in one arc, round closed arcs too."""
    if len(runs.first) == 0:
        return runs.first, runs.first
    arc = np.searchsorted(lines.starts, runs.first, side="right") - 1
    begins = np.flatnonzero(np.diff(arc, prepend=-1))
    stops = np.append(begins[1:], len(arc))
    follower = np.arange(len(arc)) + 1
    follower[stops - 1] = np.where(lines.closed[arc[begins]] & (stops - begins > 1), begins, -1)
    before = np.flatnonzero(follower >= 0)
    return before, follower[before]


def round_corners(lines, runs: Runs, marks, tolerance_px: float) -> RoundCorners:
    """Find the gaps between straight runs that are a part of one circle touching both.

    Parameters
    ----------
    lines : arcs as polylines. runs : settled straight runs.
    marks : (N,) nonzero at points where curves end anyway (corners, ends of lines).

    Notes
    -----
    One unknown a corner, its radius (for a half turn between parallel lines the place of its
    centre), by Gauss and Newton's rule on the distances from the circle. Radii of one arc
    that agree within the tolerance become their mean.
    """
    before, after = _followers(lines, runs)
    size, arc = _gap_points(lines, runs, before, after)
    ua, ub = runs.unit[before], runs.unit[after]
    turn = np.arctan2(ua[:, 0] * ub[:, 1] - ua[:, 1] * ub[:, 0], (ua * ub).sum(1))
    sweep = np.abs(turn)
    fits = (size > 2) & (size < _LONGEST_GAP) & (((sweep > _LEAST_TURN) & (sweep < _MOST_TURN)) | (sweep > _HALF_TURN))
    fits &= ~_marked_between(lines, runs, before, arc, size, marks)
    keep = np.flatnonzero(fits)
    before, after, arc, size, turn = before[keep], after[keep], arc[keep], size[keep], turn[keep]
    if len(before) == 0:
        none, flat = np.empty(0, np.intp), np.empty((0, 2))
        return RoundCorners(none, none, none, none, flat, flat, flat, np.empty(0), np.empty(0))
    cases = _Cases(lines, runs, before, after, arc, size, turn)
    radius = cases.solved()
    radius = _agreed(arc, radius, cases.bow, tolerance_px)
    centre, start, end = cases.at(radius)
    miss = cases.misses(radius, centre)
    first, last = cases.nearest(start), cases.nearest(end)
    good = (miss <= tolerance_px) & (cases.size_of(radius) >= _LEAST_RADIUS_PX) & cases.room(start, end)
    good &= first != last
    # of a half turn the directions alone do not tell the sense
    arm = centre - start
    side = np.sign(cases.ua[:, 0] * arm[:, 1] - cases.ua[:, 1] * arm[:, 0])
    turn = np.where(cases.parallel, side * np.abs(turn), turn)
    found = RoundCorners(before, after, first, last, start, end, centre, turn, miss)
    return _apart(lines, runs, found.pick(good))


def _apart(lines, runs, found):
    """Without corners that would leave a run no point of its own."""
    begin, stop = runs.first.copy(), runs.last.copy()
    begin[found.after], stop[found.before] = found.last, found.first
    arc = np.searchsorted(lines.starts, begin, side="right") - 1
    length = lines.starts[arc + 1] - lines.starts[arc]
    left = np.where(lines.closed[arc], np.mod(stop - begin + _MARGIN, length) - _MARGIN, stop - begin)
    return found.pick((left[found.before] > 0) & (left[found.after] > 0))


def with_corners(runs: Runs, rounds: RoundCorners) -> Runs:
    """Runs that end where their round corners begin."""
    first, last, begin, end = runs.first.copy(), runs.last.copy(), runs.begin.copy(), runs.end.copy()
    last[rounds.before], first[rounds.after] = rounds.first, rounds.last
    end[rounds.before], begin[rounds.after] = rounds.start, rounds.end
    return replace(runs, first=first, last=last, begin=begin, end=end)


def _gap_points(lines, runs, before, after):
    """Points from each run to the next, and the arc they lie on."""
    arc = np.searchsorted(lines.starts, runs.first[before], side="right") - 1
    gap = runs.first[after] - runs.last[before]
    length = lines.starts[arc + 1] - lines.starts[arc]
    return np.where(lines.closed[arc], np.mod(gap, length), gap), arc


def _marked_between(lines, runs, before, arc, size, marks):
    """Whether a mark lies strictly between the runs."""
    total = np.concatenate([[0], np.cumsum(marks != 0)])
    first = lines.starts[arc]
    length = lines.starts[arc + 1] - first
    a = runs.last[before] + 1
    b = a + np.maximum(size - 1, 0)
    over = b > first + length
    straight = total[np.minimum(b, first + length)] - total[np.minimum(a, first + length)]
    return straight + np.where(over, total[np.minimum(b - length, len(marks))] - total[first], 0) > 0


def _agreed(arc, radius, bow, tolerance):
    """Radii of one arc that differ by no more than the tolerance shows, as their mean."""
    begins = np.flatnonzero(np.diff(arc, prepend=-1))
    of = np.cumsum(np.diff(arc, prepend=-1) != 0) - 1
    def mean_of(w):
        return np.add.reduceat(w * radius, begins) / np.maximum(np.add.reduceat(w, begins), 1e-9)
    plain = np.isfinite(bow)
    like = plain.astype(float)
    for _ in range(2):
        mean = mean_of(like)[of]
        like = (plain & (np.abs(radius - mean) * np.where(plain, bow, 0.0) <= 0.5 * tolerance)).astype(float)
    return np.where(like > 0, mean_of(like)[of], radius)


class _Cases:
    """Gaps between two lines each, with the points in and beside them."""

    def __init__(self, lines, runs, before, after, arc, size, turn):
        self.ua, self.ub = runs.unit[before], runs.unit[after]
        self.far_a, self.far_b = runs.begin[before], runs.end[after]
        mean_a, mean_b = runs.mean[before], runs.mean[after]
        self.parallel = np.abs(turn) > _HALF_TURN
        vertex, _ = _crossings(mean_a, self.ua, mean_b, self.ub)
        inward = self.ub - self.ua
        # between parallel lines: the middle line, and half their distance
        apart = mean_b - mean_a
        across = apart - (apart * self.ua).sum(1)[:, None] * self.ua
        middle = runs.end[before] + 0.5 * across
        self.fixed_radius = 0.5 * np.hypot(*across.T)
        cos_half = np.maximum(np.cos(0.5 * np.abs(turn)), 1e-9)
        flat = self.parallel[:, None]
        self.origin = np.where(flat, middle, vertex)
        length = np.maximum(np.hypot(*inward.T), 1e-9)[:, None]
        self.way = np.where(flat, self.ua, inward / length)
        # the centre lies at origin + way * (factor * unknown); the unknown is the radius, or for a half turn the place
        self.factor = np.where(self.parallel, 1.0, 1.0 / cos_half)
        self.bow = np.where(self.parallel, np.inf, 1.0 / cos_half - 1.0)
        self.starts = ragged.lengths_to_starts(size + 1 + 2 * _MARGIN)
        self.of = ragged.owner(self.starts)
        local = (
            np.arange(self.starts[-1])
            - self.starts[self.of]
            - _MARGIN
            + (runs.last[before] - lines.starts[arc])[self.of]
        )
        length = (lines.starts[arc + 1] - lines.starts[arc])[self.of]
        at = np.where(lines.closed[arc][self.of], np.mod(local, length), np.clip(local, 0, length - 1))
        self.index = lines.starts[arc][self.of] + at
        self.xy = lines.xy[self.index]
        place = np.arange(self.starts[-1]) - self.starts[self.of]
        self.inside = (place > _MARGIN) & (place < size[self.of] + _MARGIN)

    def size_of(self, unknown):
        """The radii."""
        return np.where(self.parallel, self.fixed_radius, unknown)

    def _centre(self, unknown):
        return self.origin + (self.factor * unknown)[:, None] * self.way

    def solved(self):
        weight = self.inside.astype(float)
        def total(v):
            return np.add.reduceat(weight * v, self.starts[:-1])
        gap = self.xy - self.origin[self.of]
        deep = (gap * self.way[self.of]).sum(1)
        least = np.minimum.reduceat(np.where(self.inside, np.hypot(*gap.T), np.inf), self.starts[:-1])
        mean = total(deep) / np.maximum(total(1.0), 1e-9)
        unknown = np.where(self.parallel, mean - 0.6 * self.fixed_radius,
                           least / np.where(self.parallel, 1.0, np.maximum(self.bow, 1e-3)))
        for _ in range(_STEPS):
            arm = self.xy - self._centre(unknown)[self.of]
            away = np.maximum(np.hypot(*arm.T), 1e-9)
            rest = away - self.size_of(unknown)[self.of]
            slope = -(arm * self.way[self.of]).sum(1) / away * self.factor[self.of] - ~self.parallel[self.of]
            unknown = unknown - total(rest * slope) / np.maximum(total(slope * slope), 1e-9)
        return unknown

    def at(self, unknown):
        """Centres, and where the circles touch the two lines."""
        centre = self._centre(unknown)
        return (centre, self.far_a + ((centre - self.far_a) * self.ua).sum(1)[:, None] * self.ua,
                self.far_b + ((centre - self.far_b) * self.ub).sum(1)[:, None] * self.ub)

    def nearest(self, place):
        """The point next to a place of each case."""
        gap = self.xy - place[self.of]
        away = (gap * gap).sum(1)
        least = np.minimum.reduceat(away, self.starts[:-1])
        at = np.flatnonzero(away == least[self.of])
        _, first = np.unique(self.of[at], return_index=True)
        return self.index[at[first]]

    def room(self, start, end):
        """Whether a piece of both lines is left."""
        return ((((start - self.far_a) * self.ua).sum(1) >= _LEAST_STRAIGHT_PX)
                & (((self.far_b - end) * self.ub).sum(1) >= _LEAST_STRAIGHT_PX))

    def misses(self, unknown, centre):
        """Greatest distance of the points from line, circle and line, px."""
        arm = self.xy - centre[self.of]
        away = np.hypot(*arm.T) - self.size_of(unknown)[self.of]
        ahead = (arm * self.ua[self.of]).sum(1)
        behind = (arm * self.ub[self.of]).sum(1)
        def line(u, far):
            return (self.xy - far)[:, 0] * u[:, 1] - (self.xy - far)[:, 1] * u[:, 0]
        place = np.arange(self.starts[-1]) - self.starts[self.of]
        first_half = place < np.diff(self.starts)[self.of] // 2
        on_a, on_b = first_half & (ahead < 0), ~first_half & (behind > 0)
        across = np.where(on_a, line(self.ua[self.of], self.far_a[self.of]),
                          np.where(on_b, line(self.ub[self.of], self.far_b[self.of]), away))
        return np.maximum.reduceat(averaged(across, np.abs(across), self.starts), self.starts[:-1])
