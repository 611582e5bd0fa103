"""Where cubics may begin and end along runs of points, between which places one fits, and the fewest that do."""

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.curves.free_cubics import free_cubics

_PARTS = 4
"""Candidates within a span that was found without looking for the fewest (5 gave 2 % fewer cubics than 3 over eight
open drawings at two sizes, in half as much time again; 4 lies between)."""
_LEAST_POINTS = 3
"""Points from a candidate to the next."""
_MOST_TURN = np.radians(165.0)
"""A cubic that turns by more follows a curve badly."""
_MISS_COUNTS = 0.25
"""Of two choices with one number of cubics the nearer one: a cubic that misses by the tolerance costs so much more."""


def candidates(spans, runs):
    """Points at which cubics may begin and end, (C,), and the offsets of the runs."""
    size = spans.last - spans.first
    parts = np.clip(size // _LEAST_POINTS, 1, _PARTS)
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


def fitting(points, at, starts, tolerance):
    """Pairs of candidates between which a cubic fits: their numbers (E,), misses (E,) px, handles (E, 2, 2).

    What a cubic cannot follow it does not follow as a part of more either, so only pairs are tried of which both
    shorter ones fit.
    """
    count = len(at)
    run = ragged.owner(starts)
    turned = _turning(points, at, run)
    ends = np.zeros(count, bool)
    ends[starts[1:] - 1] = True
    tails = np.flatnonzero(~ends)
    fits = np.zeros(count, bool)
    found, reach = [], 1
    while len(tails):
        heads = tails + reach
        controls, miss = free_cubics(points, at[tails], at[heads], tolerance)
        good = np.full(len(tails), reach == 1) | (miss <= tolerance)
        found.append((tails[good], heads[good], miss[good], controls[good, 1:3]))
        fits[:] = False
        fits[tails[good]] = True
        reach += 1
        tails = np.flatnonzero(fits[:-1] & fits[1:])
        tails = tails[tails + reach < count]
        tails = tails[run[tails] == run[tails + reach]]
        tails = tails[turned[tails + reach] - turned[tails] <= _MOST_TURN]
    return tuple(np.concatenate([f[k] for f in found]) for k in range(4))


def _turning(points, at, run):
    """How far each run has turned from its begin up to each candidate, rad, by chords between them."""
    chord = points[at[1:]] - points[at[:-1]]
    heading = np.arctan2(chord[:, 1], chord[:, 0])
    turn = np.abs((np.diff(heading) + np.pi) % (2 * np.pi) - np.pi)
    total = np.zeros(len(at))
    within = run[2:] == run[:-2]
    total[1:-1] = np.cumsum(np.where(within, turn, 0.0))
    total[-1] = total[-2] if len(total) > 1 else 0.0
    return total


def shortest(starts, tails, heads, miss, tolerance):
    """(C,) number of the pair by which the cheapest way comes to each candidate, -1 at the begin of a run."""
    count = starts[-1]
    cost = np.full(count, np.inf)
    cost[starts[:-1]] = 0.0
    by = np.full(count, -1)
    share = np.minimum(miss / tolerance, 3.0)
    price = 1.0 + _MISS_COUNTS * share * share
    local = heads - starts[np.searchsorted(starts, heads, side="right") - 1]
    order = np.lexsort((heads, local))
    cuts = np.flatnonzero(np.diff(local[order], prepend=-1))
    for a, b in zip(cuts.tolist(), [*cuts[1:].tolist(), len(order)], strict=True):
        pair = order[a:b]
        total = cost[tails[pair]] + price[pair]
        group = np.flatnonzero(np.diff(heads[pair], prepend=-1))
        least = np.minimum.reduceat(total, group)
        cost[heads[pair[group]]] = least
        owner = np.repeat(np.arange(len(group)), np.diff(np.append(group, len(pair))))
        hit = np.flatnonzero(total <= least[owner])
        by[heads[pair[hit]]] = pair[hit]
    return by
