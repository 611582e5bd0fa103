"""Where cubics may begin and end along runs of points, how far one reaches from each such place, and the fewest that
come to the end."""

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.curves.free_cubics import free_cubics
from sketchloom.core.curves.placed import Trail

_PARTS = 4
"""Candidates within a span that was found without looking for the fewest (5 gave 2 % fewer cubics than 3 over eight
open drawings at two sizes, in half as much time again; 4 lies between)."""
LEAST_POINTS = 3
"""Points from a candidate to the next."""
_AT_ONCE = 150
"""So many cubics take no longer than two searches of a few (measured: a call 2 ms, each further cubic 0.01)."""
_MOST_TURN = np.radians(165.0)
"""A cubic that turns by more follows a curve badly."""


def candidates(spans, runs):
    """Points at which cubics may begin and end, (C,), and the offsets of the runs."""
    size = spans.last - spans.first
    parts = np.clip(size // LEAST_POINTS, 1, _PARTS)
    counts = runs.end - runs.begin
    of = ragged.lengths_to_starts(counts)
    span = np.arange(of[-1]) + np.repeat(runs.begin - of[:-1], counts)
    cut = ragged.lengths_to_starts(parts[span])
    owner = ragged.owner(cut)
    local = np.arange(cut[-1]) - cut[owner]
    inner = spans.first[span][owner] + np.round(local * size[span][owner] / parts[span][owner]).astype(np.intp)
    # the last point of each run ends it
    per_run = np.add.reduceat(parts[span], of[:-1])
    starts = ragged.lengths_to_starts(per_run + 1)
    at = np.empty(starts[-1], np.intp)
    ends = starts[1:] - 1
    place = np.ones(len(at), bool)
    place[ends] = False
    at[place] = inner
    at[ends] = spans.last[runs.end - 1]
    return at, starts


def reaches(trail: Trail, at, starts, tolerance):
    """(C,) the farthest candidate up to which a cubic from each fits; the next at least, itself for the last of a run.

    What a cubic follows it follows in parts as well. So how far it reaches never falls along a run: a few candidates
    are tried by growing strides, those between them only between what was found on their two sides.
    """
    count = len(at)
    run = ragged.owner(starts)
    last = starts[run + 1] - 1
    turned = _turning(trail.xy, at, run) + 1e3 * run  # runs are told apart, so one search serves them all
    low = np.minimum(np.arange(count) + 1, last)
    high = np.maximum(np.searchsorted(turned, turned + _MOST_TURN, side="right") - 1, low)
    high = np.minimum(high, last)
    few = np.flatnonzero((np.arange(count) - starts[run]) % _PARTS == 0)
    low[few] = _searched(trail, at, few, low[few], high[few], tolerance, False)
    low = np.maximum.accumulate(low)
    # none reaches farther than the next of the few does
    after = np.searchsorted(few, np.arange(count))
    bound = np.where(after < len(few), low[few[np.minimum(after, len(few) - 1)]], count)
    rest = np.setdiff1d(np.arange(count), few)
    top = np.maximum(np.minimum(high, bound), low)[rest]
    low[rest] = _searched(trail, at, rest, low[rest], top, tolerance, True)
    return np.maximum.accumulate(low)


def _searched(trail, at, tails, low, high, tolerance, halving):
    """How far each of the candidates ``tails`` reaches, between ``low`` and ``high``: by strides that double until one
    is too long, then (or at once, if so asked) by halves."""
    low, high = low.copy(), high.copy()
    halved = np.full(len(tails), halving)
    stride = 1
    todo = np.flatnonzero(low < high)
    known = None
    while len(todo):
        tried = np.where(halved[todo], (low[todo] + high[todo] + 1) // 2, np.minimum(low[todo] + stride, high[todo]))
        if known is None and (high[todo] - low[todo]).sum() <= _AT_ONCE:
            known = _Known(trail, at, tails, todo, low, high, tolerance)
        if known is None:
            good = free_cubics(trail, at[tails[todo]], at[tried], tolerance)[1] <= tolerance
        else:
            good = known.good(todo, tried)
        low[todo] = np.where(good, tried, low[todo])
        high[todo] = np.where(good, high[todo], tried - 1)
        halved[todo] |= ~good
        stride *= 2
        todo = todo[low[todo] < high[todo]]
    return low


class _Known:
    """Whether cubics from the candidates ``tails`` fit, to all places that a search may yet try: few are soonest tried
    at once."""

    def __init__(self, trail, at, tails, todo, low, high, tolerance):
        counts = high[todo] - low[todo]
        starts = ragged.lengths_to_starts(counts)
        tried = np.arange(starts[-1]) + np.repeat(low[todo] + 1 - starts[:-1], counts)
        _, miss = free_cubics(trail, at[np.repeat(tails[todo], counts)], at[tried], tolerance)
        self._fits = miss <= tolerance
        self._first = np.zeros(len(tails), np.intp)
        self._first[todo] = starts[:-1] - low[todo] - 1

    def good(self, todo, tried):
        return self._fits[self._first[todo] + tried]


def _turning(points, at, run):
    """How far each run has turned from its begin up to each candidate, rad, by chords between them."""
    chord = points[at[1:]] - points[at[:-1]]
    heading = np.arctan2(chord[:, 1], chord[:, 0])
    turn = np.abs((np.diff(heading) + np.pi) % (2 * np.pi) - np.pi)
    total = np.zeros(len(at))
    within = run[2:] == run[:-2]
    total[1:-1] = np.cumsum(np.where(within, turn, 0.0))
    total[-1] = total[-2] if len(total) > 1 else 0.0
    # each run by itself
    begin = np.flatnonzero(np.diff(run, prepend=-1))
    return total - total[begin][run]


def fewest_knots(starts, reach):
    """Candidates, ascending, that end the fewest cubics of each run, both ends of the run among them, and their runs.

    Going as far as can be from the begin gives the last places at which the knots of such a chain may lie, from the
    end the first; each is put in the middle between them, or where a cubic from the one before still reaches.
    """
    begin, end = starts[:-1], starts[1:] - 1
    # from the end: the first candidate from which each place is reached
    back = [end]
    while (back[-1] > begin).any():
        back.append(np.where(back[-1] > begin, np.maximum(np.searchsorted(reach, back[-1]), begin), begin))
    lengths = np.stack([b > begin for b in back]).sum(0)
    runs = np.arange(len(begin))
    here, far = begin.copy(), begin.copy()
    found, of = [begin], [runs]
    for step in range(1, len(back)):
        on = lengths >= step
        first = np.stack(back)[np.maximum(lengths - step, 0), runs]
        far = np.where(on, reach[far], far)
        here = np.where(on, np.clip((first + far + 1) // 2, first, reach[here]), here)
        found.append(here[on])
        of.append(runs[on])
    knots, run = np.concatenate(found), np.concatenate(of)
    order = np.argsort(knots, kind="stable")
    return knots[order], run[order]
