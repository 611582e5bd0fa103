"""A file played back: where the tool is at each time, what is cut by then, and what comes loose."""

from dataclasses import dataclass
from functools import cached_property

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.playback.moves import Moves, chords_of
from sketchloom.core.playback.swivel import tip_path
from sketchloom.core.playback.telling import closes, lengths_of
from sketchloom.core.sheets.motion import Dynamics, curves_along, paced_along

_STRAY_MM = 0.01
_OVERCUT_MM = 3.0
"""A stroke that ends so little past its beginning closes; longer overcuts are none."""
_TIGHT = np.radians(100.0)
_TIGHT_OFFSETS = 2.0
"""A blade that turns by more within so many offsets lifts the corner (common practice, no source)."""


@dataclass(frozen=True, slots=True, eq=False)
class Pace:
    """How the machine that plays moves: while it cuts, between cuts, to lift and lower; ``offset_mm`` of its blade."""

    cutting: Dynamics
    travelling: Dynamics
    lift_s: float = 0.0
    offset_mm: float = 0.0


@dataclass(frozen=True, eq=False)
class Film:
    """``xy`` (M, 2) mm places in their order, y up, and the second ``t`` (M,) each is reached; ``down`` (M,) whether
    the way to it was cut; ``tip`` (M, 2) and ``way`` (M,) of a dragged blade; ``strokes`` (K, 2) first and last place
    of each stroke; ``closed`` (K,) whether something comes loose with it; ``tight`` (T, 2) where a corner lifts."""

    xy: np.ndarray
    t: np.ndarray
    down: np.ndarray
    tip: np.ndarray
    way: np.ndarray
    strokes: np.ndarray
    closed: np.ndarray
    tight: np.ndarray

    @property
    def seconds(self) -> float:
        return float(self.t[-1]) if len(self.t) else 0.0

    def at(self, second: float) -> tuple[int, np.ndarray]:
        """The number of the last place that was reached, and where the tool is, mm."""
        n = int(np.searchsorted(self.t, second, "right")) - 1
        n = min(max(n, 0), len(self.t) - 1)
        if n >= len(self.t) - 1:
            return n, self.xy[-1]
        span = self.t[n + 1] - self.t[n]
        share = (second - self.t[n]) / span if span > 0 else 1.0
        return n, self.xy[n] + min(max(share, 0.0), 1.0) * (self.xy[n + 1] - self.xy[n])

    @cached_property
    def box(self) -> tuple[float, float, float, float]:
        """Left, bottom, right and top, mm, of what is cut; of all of it where nothing is."""
        long = self.strokes[np.diff(self.strokes, axis=1)[:, 0] > 2]
        xy = np.concatenate([self.xy[a:b + 1] for a, b in long.tolist()]) if len(long) else self.xy
        return (*xy.min(0).tolist(), *xy.max(0).tolist())


def film_of(moves: Moves, pace: Pace) -> Film:
    """A film of moves; there is at least one."""
    chord, owner = chords_of(moves.begin, moves.end, moves.centre, moves.sweep, _STRAY_MM)
    ends = np.concatenate([chord[1:], moves.end[-1:]])
    last = np.append(np.diff(owner) > 0, True)
    ends[last] = moves.end[owner[last]]
    seconds = _seconds(moves, chord, ends, owner, pace)
    first, past = moves.strokes()
    lifts = np.isin(np.arange(len(owner)), np.searchsorted(owner, first))
    t = np.concatenate([[0.0], np.cumsum(seconds + pace.lift_s * lifts)])
    xy = np.concatenate([chord[:1], ends])
    down = np.concatenate([[False], moves.down[owner]])
    begins, dones = np.searchsorted(owner, first), np.searchsorted(owner, past)
    strokes = np.column_stack([begins, dones]) if len(first) else np.empty((0, 2), int)
    tip, way = _tips(moves, pace.offset_mm, xy, down)
    closed = np.array([closes(tip[a:b + 1], _OVERCUT_MM) for a, b in strokes.tolist()], bool)
    return Film(xy, t, down, tip, way, strokes, closed, _tight(xy, down, way, pace.offset_mm))


def _seconds(moves, a, b, owner, pace):
    """Seconds of each chord: of a stroke by its pace, between strokes from rest to rest."""
    length = np.hypot(*(b - a).T)
    down = moves.down[owner]
    seconds = np.zeros(len(a))
    travel = pace.travelling.along(lengths_of(moves))
    seconds[~down] = (travel[owner] * length / np.maximum(lengths_of(moves)[owner], 1e-12))[~down]
    if down.any():
        at = np.flatnonzero(down)
        stroke = np.searchsorted(moves.strokes()[0], owner[at], "right") - 1
        begin = np.arange(len(at)) + stroke  # each stroke has one place more than chords
        starts = ragged.lengths_to_starts(np.bincount(stroke) + 1)
        xy = np.empty((starts[-1], 2))
        xy[begin], xy[begin + 1] = a[at], b[at]
        made = paced_along(xy, starts, curves_along(xy, starts), pace.cutting)
        both = made.speed[begin] + made.speed[begin + 1]
        rough = 2 * length[at] / np.maximum(both, 1e-6)
        total = np.bincount(stroke, rough)
        seconds[at] = rough * (made.seconds / np.maximum(total, 1e-12))[stroke]
    return seconds


def _tips(moves, offset, xy, down):
    if offset <= 0:
        step = np.diff(xy, axis=0, prepend=xy[:1])
        return xy, np.arctan2(step[:, 1], step[:, 0])
    plain = Moves(xy[:-1], xy[1:], xy[:-1], np.zeros(len(xy) - 1), down[1:], *(np.zeros(len(xy) - 1) for _ in range(5)))
    tip, _, way, _ = tip_path(plain, offset)
    return tip, way


def _tight(xy, down, way, offset):
    """Places where the blade turns by much within a short way while it cuts."""
    if offset <= 0 or len(xy) < 3:
        return np.empty((0, 2))
    turn = np.abs((np.diff(way) + np.pi) % (2 * np.pi) - np.pi) * down[1:]
    along = np.concatenate([[0.0], np.cumsum(np.hypot(*np.diff(xy, axis=0).T))])
    sums = np.concatenate([[0.0], np.cumsum(turn)])
    ahead = np.minimum(np.searchsorted(along, along + _TIGHT_OFFSETS * offset, "right"), len(sums) - 1)
    found = np.flatnonzero((sums[ahead] - sums > _TIGHT) & down)
    kept: list[int] = []
    for n in found.tolist():
        if not kept or along[n] - along[kept[-1]] > 4 * offset:
            kept.append(n)
    return xy[kept]
