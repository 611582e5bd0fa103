"""Straight runs and the round corners between them, made exact.

A drawn edge that is level within the tolerance is level; two edges meet where their lines
cross; and a round corner between two edges is a part of one circle that touches both, of
the same radius as its fellows. A rounded rectangle needs no recognition of its own: it is
four level edges and four equal round corners.
"""

from dataclasses import dataclass, replace

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.curves.round_cases import HALF_TURN, LEAST_RADIUS_PX, MARGIN, Cases, crossings, normal_of, turned
from sketchloom.core.curves.straights import Runs, foot_on

_SNAP_RAD = np.radians(1.0)
"""A run that leans by less than this from level or upright may be made so."""
_SQUARE_RAD = np.radians(2.0)
"""Two runs this near to a right angle may be made square."""
_SNAP_SHARE = 0.5
"""A level line takes this share of the tolerance at most; the rest is left for its points."""
_CORNER_MOVE_PX = 0.75
"""A corner moves no farther than this to where its two runs cross."""
_LEAST_TURN, _MOST_TURN = np.radians(12.0), np.radians(150.0)
"""A round corner turns by no less and no more than this; half turns are a kind of their own."""
_PIECE = np.radians(92.0)
"""An arc of a circle is drawn by cubics of at most a quarter, a hair more for rounding."""
_LONGEST_GAP = 2000
"""Points of the longest round corner looked at."""


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
        arm = turned((self.start - self.centre)[of], local * sweep)
        arm_end = turned(arm, sweep)
        handle = (4 / 3 * np.tan(sweep / 4))[:, None]
        begin, end = self.centre[of] + arm, self.centre[of] + arm_end
        # pieces meet bit for bit, and the ends are those of the lines
        begin[starts[:-1]] = self.start
        begin_next = np.roll(begin, -1, axis=0)
        end = np.where((local < pieces[of] - 1)[:, None], begin_next, self.end[of])
        out, back = handle * normal_of(arm), handle * normal_of(arm_end)
        return np.stack([begin, begin + out, end - back, end], axis=1), starts


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
    place, crossing = crossings(runs.mean[before], unit[before], runs.mean[after], unit[after])
    near = crossing & (np.hypot(*(place - runs.end[before]).T) <= _CORNER_MOVE_PX)
    end[before[near]] = begin[after[near]] = place[near]
    # where the lines do not meet nearby, the corner stays where it was for both
    kept = runs.end[before[~near]]
    end[before[~near]] = begin[after[~near]] = kept
    return replace(runs, begin=begin, end=end, unit=unit)


def squared(lines, runs: Runs, tolerance_px: float, centre, axis, both: bool) -> Runs:
    """Runs of half outlines that end on the axis of symmetry almost square to it, made exactly square where that is
    within the tolerance along all of them.

    ``centre``, ``axis`` (A, 2): a point and the direction of each half's axis; ``both`` ends of a half lie on it, or
    the last alone.
    """
    unit, begin, end = runs.unit.copy(), runs.begin.copy(), runs.end.copy()
    arc = np.searchsorted(lines.starts, runs.first, side="right") - 1
    along, middle = axis[arc], centre[arc]
    across = np.stack([-along[:, 1], along[:, 0]], -1)
    lean = np.abs((unit * along).sum(1))
    square = (lean <= np.sin(_SQUARE_RAD)) & (lean * 0.5 * np.hypot(*(end - begin).T) <= _SNAP_SHARE * tolerance_px)
    at_first = both & (runs.first == lines.starts[arc])
    at_last = runs.last == lines.starts[arc + 1] - 1
    square &= at_first | at_last
    unit[square] = (across * np.sign((across * unit).sum(1))[:, None])[square]
    on_axis = middle + ((runs.mean - middle) * along).sum(1)[:, None] * along
    for here, there, at_axis in ((begin, end, at_first), (end, begin, at_last)):
        use = square & at_axis
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
    fits = (size > 2) & (size < _LONGEST_GAP) & (((sweep > _LEAST_TURN) & (sweep < _MOST_TURN)) | (sweep > HALF_TURN))
    fits &= ~_marked_between(lines, runs, before, arc, size, marks)
    keep = np.flatnonzero(fits)
    before, after, arc, size, turn = before[keep], after[keep], arc[keep], size[keep], turn[keep]
    if len(before) == 0:
        none, flat = np.empty(0, np.intp), np.empty((0, 2))
        return RoundCorners(none, none, none, none, flat, flat, flat, np.empty(0), np.empty(0))
    cases = Cases(lines, runs, before, after, arc, size, turn)
    radius = cases.solved()
    radius = _agreed(arc, radius, cases.bow, tolerance_px)
    centre, start, end = cases.at(radius)
    miss = cases.misses(radius, centre)
    first, last = cases.nearest(start), cases.nearest(end)
    good = (miss <= tolerance_px) & (cases.size_of(radius) >= LEAST_RADIUS_PX) & cases.room(start, end)
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
    left = np.where(lines.closed[arc], np.mod(stop - begin + MARGIN, length) - MARGIN, stop - begin)
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


