"""The fewest cubics along smooth runs of points: where they begin and end is found, not grown.

Of candidate places along a run those are chosen between which the fewest cubics stay within the tolerance, by dynamic
programming over all pairs; then all nodes and handles of a run are settled together (``polish``).

References
----------
Plass, Stone 1983, "Curve-fitting with piecewise parametric cubics", SIGGRAPH.
"""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.base.progress import QUIET
from sketchloom.core.curves.curveset import line_controls
from sketchloom.core.curves.free_cubics import free_cubics
from sketchloom.core.curves.knot_search import LEAST_POINTS, candidates, fewest_knots, reaches
from sketchloom.core.curves.placed import Trail
from sketchloom.core.curves.polish import Chains
from sketchloom.core.curves.settled import DIVISIONS, how_missed, settle
from sketchloom.core.curves.spans import FittedSpans, Spans, ordered

_SLACK = 1.1
"""Tolerances of cubics between candidates: they begin and end at single points, which scatter, and get better once all
settle."""
_TURNS = 2
"""Times that runs are searched: where cubics would not settle in the place of a span it stays, and both its sides are
looked at by themselves (three times gave 1 % fewer over four demo works)."""
_REMOVALS, _REMOVAL_MISSES = 2, 2.5
"""Rounds in which a node of each run is tried to be done without, where a cubic without it misses by no more than so
many tolerances before all settle."""
_ROUNDED = 2
"""Points beside a corner that do not count."""
_MANY = 2000
"""Of more spans at once, as a page of ink has, the last few of a hundred are let be: one turn of each of the above (8 %
more cubics in six tenths of the time on a page of 17,000)."""
_LONG_LINE_PX = 80.0
"""A straight piece of this length is meant as one, and stays; a shorter one is what pixels make of a bend here and
there and may become a part of a curve."""
_MOST_OF_RUN = 0.45
"""So does one that is this share of its run."""
_STRAIGHT_SHARE, _SEEN = 0.9, np.sin(np.radians(0.5))
"""A line keeps closer than a cubic must; leaving a smooth neighbour by more than half a degree it would show a kink."""


@dataclass(frozen=True, slots=True, eq=False)
class _Runs:
    """Spans that run on into each other: ``begin`` (R,) the first span of each, ``end`` (R,) the one after its last."""

    begin: np.ndarray
    end: np.ndarray

    def some(self, which) -> "_Runs":
        return _Runs(self.begin[which], self.end[which])


def fewest(points, fitted: FittedSpans, tolerance_px: float, *, progress=QUIET) -> FittedSpans:
    """The same with fewer cubics wherever fewer stay within the tolerance, else with nearer ones.

    Parameters
    ----------
    points : (N, 2) px. fitted : spans in ascending order of their first point.

    Raises
    ------
    Cancelled : the caller asked to stop.
    """
    held = todo = np.empty(0, np.intp)
    trail = Trail.of(points, _trusted(points, fitted.spans))
    turns, removals, divisions = (1, 1, 2) if len(fitted.spans) > _MANY else (_TURNS, _REMOVALS, DIVISIONS)
    steps = turns + removals
    for turn in range(turns):
        progress.step(turn, steps, "Finding the fewest curves")
        runs = _runs_of(fitted, held)
        if turn:
            runs = runs.some(np.isin(fitted.spans.first[runs.begin], todo))
        if not len(runs.begin):
            break
        at, starts = candidates(fitted.spans, runs)
        knots, of = fewest_knots(starts, reaches(trail, at, starts, _SLACK * tolerance_px))
        chains = _chains(trail, fitted.spans, runs, at[knots], of, tolerance_px)
        settled = settle(trail, chains, tolerance_px, divisions)
        fitted, todo, missed = _bettered(trail, fitted, runs, settled, tolerance_px)
        if len(missed):
            held = np.union1d(held, missed)
            todo = fitted.spans.first[_runs_of(fitted, held).begin]
    for turn in range(removals):
        progress.step(turns + turn, steps, "Finding the fewest curves")
        runs = _runs_of(fitted, held)
        runs, chains = _without_one(trail, fitted, runs, tolerance_px)
        if not len(runs.begin):
            break
        before = len(fitted.spans)
        settled = settle(trail, chains, tolerance_px, divisions=0)
        fitted, _, _ = _bettered(trail, fitted, runs, settled, tolerance_px)
        if len(fitted.spans) == before:
            break
    return fitted


def _trusted(points, spans):
    """(N,) bool: points that tell where an outline runs; a pixel's blur rounds it off beside a corner, which itself was
    found by where its sides meet."""
    trust = np.ones(len(points), bool)
    long = spans.last - spans.first >= 2 * _ROUNDED + LEAST_POINTS
    for k in range(1, _ROUNDED + 1):
        trust[spans.first[long & ~spans.smooth_first] + k] = False
        trust[spans.last[long & ~spans.smooth_last] - k] = False
    return trust


def _runs_of(fitted, held=()):
    """Runs of two spans or more without a corner, a long line or a span that is held in them."""
    spans = fitted.spans
    length = np.hypot(*(fitted.controls[:, 3] - fitted.controls[:, 0]).T)
    fixed = fitted.straight & (length >= _LONG_LINE_PX) | np.isin(spans.first, held)
    runs = _joined(spans, fixed)
    # a line that is most of a run is what was drawn
    size = runs.end - runs.begin
    of = ragged.lengths_to_starts(size)
    span = np.arange(of[-1]) + np.repeat(runs.begin - of[:-1], size)
    whole = np.add.reduceat(length[span], of[:-1]) if len(span) else np.empty(0)
    fixed[span[fitted.straight[span] & (length[span] >= _MOST_OF_RUN * np.repeat(whole, size))]] = True
    return _joined(spans, fixed)


def _joined(spans, fixed):
    joined = (spans.last[:-1] == spans.first[1:]) & spans.smooth_last[:-1] & spans.smooth_first[1:]
    joined &= ~fixed[:-1] & ~fixed[1:]
    edges = np.flatnonzero(np.diff(np.concatenate([[False], joined, [False]])))
    return _Runs(edges[::2], edges[1::2] + 1)


def _bettered(trail, fitted, runs, settled, tolerance):
    """Spans with the runs that got better as chains; the first points of the runs that could be fewer but missed, and
    of the spans that lie under what missed."""
    spans = fitted.spans
    chains, miss, kept = settled.chains, settled.miss, settled.kept
    controls = settled.controls.copy()
    run = ragged.owner(chains.starts)
    fine = np.logical_and.reduceat(kept, chains.starts[:-1])
    count, before = np.diff(chains.starts), runs.end - runs.begin
    worst = np.maximum.reduceat(miss, chains.starts[:-1])
    ends = np.stack([runs.begin, runs.end], 1).ravel()
    was = np.maximum.reduceat(np.append(fitted.miss, 0.0), ends)[::2]
    lines = np.add.reduceat(np.append(fitted.straight, 0).astype(int), ends)[::2]
    better = fine & ((count < before) | ((count == before) & (worst < was) & (lines == 0)))
    todo = spans.first[runs.begin[~better & (count < before)]]
    bad = np.flatnonzero(~kept & ~better[run] & (count < before)[run])
    under = np.zeros(len(spans) + 1, int)
    np.add.at(under, np.searchsorted(spans.last, chains.first[bad], side="right"), 1)
    np.add.at(under, np.searchsorted(spans.first, chains.last[bad], side="left"), -1)
    missed = spans.first[np.cumsum(under[:-1]) > 0]
    if not better.any():
        return fitted, todo, missed
    stay = np.ones(len(spans), bool)
    of = ragged.lengths_to_starts(before)
    inside = np.arange(of[-1]) + np.repeat(runs.begin - of[:-1], before)
    stay[inside[better[ragged.owner(of)]]] = False
    take = better[run]
    yes, no = np.ones(len(run), bool), np.zeros(len(run), bool)
    is_first = np.arange(len(run)) == chains.starts[run]
    is_last = np.arange(len(run)) == chains.starts[run + 1] - 1
    straight = _straight(trail, chains, controls, tolerance, ~is_first | spans.smooth_first[runs.begin[run]],
                         ~is_last | spans.smooth_last[runs.end[run] - 1])
    controls[straight] = line_controls(controls[straight, 0], controls[straight, 3])
    made = Spans(
        chains.first, chains.last, _direction(controls[:, 1] - controls[:, 0]),
        _direction(controls[:, 2] - controls[:, 3]),
        np.where(is_first, spans.smooth_first[runs.begin[run]], yes),
        np.where(is_last, spans.smooth_last[runs.end[run] - 1], yes), no)
    return ordered([
        (spans.pick(stay), fitted.controls[stay], fitted.straight[stay], fitted.miss[stay]),
        (made.pick(take), controls[take], straight[take], miss[take])]), todo, missed


def _straight(trail, chains, controls, tolerance, smooth_first, smooth_last):
    """Which cubics are lines but for what nobody sees."""
    chord = controls[:, 3] - controls[:, 0]
    unit = chord / np.maximum(np.hypot(*chord.T), 1e-12)[:, None]
    alike = np.ones(len(controls), bool)
    for handle, smooth in ((controls[:, 1] - controls[:, 0], smooth_first),
                           (controls[:, 3] - controls[:, 2], smooth_last)):
        off = np.abs(handle[:, 0] * unit[:, 1] - handle[:, 1] * unit[:, 0])
        alike &= ~smooth | (off <= _SEEN * np.hypot(*handle.T))
    _, kept = how_missed(trail, chains, line_controls(controls[:, 0], controls[:, 3]), _STRAIGHT_SHARE * tolerance)
    return alike & kept


def _without_one(trail, fitted, runs, tolerance):
    """Runs with the one of their nodes taken out that is missed the least, where a cubic may do without it."""
    spans, counts = fitted.spans, runs.end - runs.begin
    starts = ragged.lengths_to_starts(counts - 1)
    run = ragged.owner(starts)
    one = np.arange(starts[-1]) - starts[run] + runs.begin[run]  # pairs of this span and the next
    first, last = spans.first[one], spans.last[one + 1]
    controls, miss = free_cubics(trail, first, last, tolerance)
    miss = np.where(fitted.straight[one] | fitted.straight[one + 1], np.inf, miss)
    least = np.minimum.reduceat(miss, starts[:-1]) if len(miss) else miss
    chosen = np.flatnonzero(least <= _REMOVAL_MISSES * tolerance)
    if not len(chosen):
        return runs.some(chosen), None
    hit = np.flatnonzero(miss <= least[run])
    pair = hit[np.searchsorted(run[hit], chosen)]
    kept = runs.some(chosen)
    sizes = kept.end - kept.begin
    of = ragged.lengths_to_starts(sizes)
    span = np.arange(of[-1]) + np.repeat(kept.begin - of[:-1], sizes)
    gone = np.isin(span, one[pair] + 1)
    joined = np.isin(span, one[pair])
    ends, body = spans.last[span].copy(), fitted.controls[span].copy()
    ends[joined], body[joined] = last[pair], controls[pair]
    return kept, Chains(spans.first[span][~gone], ends[~gone], body[~gone], ragged.lengths_to_starts(sizes - 1),
                        spans.leave[kept.begin], spans.arrive[kept.end - 1],
                        spans.smooth_first[kept.begin], spans.smooth_last[kept.end - 1])


def _chains(trail, spans, runs, knots, of, tolerance):
    """Cubics between the knots of each run ``of`` them, end to end."""
    within = of[1:] == of[:-1]
    first, last, run = knots[:-1][within], knots[1:][within], of[1:][within]
    controls, _ = free_cubics(trail, first, last, tolerance)
    return Chains(first, last, controls, np.searchsorted(run, np.arange(len(runs.begin) + 1)),
                  spans.leave[runs.begin], spans.arrive[runs.end - 1],
                  spans.smooth_first[runs.begin], spans.smooth_last[runs.end - 1])


def _direction(vector):
    size = np.hypot(*vector.T)[:, None]
    return np.where(size > 1e-12, vector / np.maximum(size, 1e-12), [1.0, 0.0])
