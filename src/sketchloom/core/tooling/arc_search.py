"""The fewest arcs along smooth runs within a distance, each going on with the tangent of the one before.

An arc is settled by its two ends and the tangent at the first, and its tangent at the other end is that mirrored in
the chord. So a chain of arcs from sample to sample is settled by the samples and by the tangent it begins with, and
what can be reached by one arc more is looked up among the stretches that one arc follows, with the angles it may leave
them by (:mod:`~sketchloom.core.tooling.arc_spans`): a search by breadth, all runs side by side, of every sample a few
tangents that differ. Tangents come to lean off the curve's where that lets arcs be longer: where curvature k changes
evenly, arcs of length s with the curve's own tangents stray by k' s³ / 40, those that lean k' s² / 12 at every joint by
k' s³ / 125 (both follow from the cubic in s that an arc leaves over). A run that ends with a given tangent ends with a
biarc.
"""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.tooling.arc_spans import Course, Spans, biarc_follows, spans_of, wrapped
from sketchloom.core.tooling.two_arcs import arc, beside, biarcs

_MANY = np.iinfo(np.intp).max
_TANGENTS = 8
"""Tangents kept of each sample; chosen on the layers of two demo works: with 4 there were 5 % more arcs."""
_BEGINNINGS = (0.02, 0.25, 0.5, 0.75, 0.98)
"""Shares of what an arc's tangent may be, with which it is tried from a corner, where it is free."""
_BEHIND = 1.0
"""How far behind the farthest sample, in arcs there, others are gone on with."""
_ROUND = 1e-7


@dataclass(frozen=True, slots=True, eq=False)
class _States:
    """Ends of chains of arcs: of ``run`` (N,), ``at`` (N,) sample, with tangents of direction ``way`` (N,). The last
    of each chain's arcs began with direction ``began`` (N,) at the state ``source`` (N,) of the round before; where
    ``two`` (N,), it was a biarc, from a state of the round before that. ``area`` (N,) is between chain and course,
    positive where the chain lies to the left."""

    run: np.ndarray
    at: np.ndarray
    way: np.ndarray
    began: np.ndarray
    source: np.ndarray
    two: np.ndarray
    area: np.ndarray

    def joined(self, other: "_States") -> "_States":
        return _States(*(np.concatenate([getattr(self, name), getattr(other, name)]) for name in self.__slots__))

    def taken(self, kept) -> "_States":
        return _States(*(getattr(self, name)[kept] for name in self.__slots__))


@dataclass(frozen=True, slots=True, eq=False)
class _Ends:
    """How runs were taken to their ends: by how many ``arcs`` (R,), the last of them in ``round`` (R,) from the state
    ``source`` (R,) there, with direction ``began`` (R,) or as a biarc where ``two`` (R,)."""

    arcs: np.ndarray
    round: np.ndarray
    source: np.ndarray
    began: np.ndarray
    two: np.ndarray

    def improved(self, states, which, arcs, number, began, area, *, two):
        """Takes those of the states' runs for which so many arcs are fewer, by the way of the least area."""
        order = np.argsort(np.abs(area), kind="stable")
        run, first = np.unique(states.run[which][order], return_index=True)
        kept = order[first]
        better = arcs < self.arcs[run]
        run, kept = run[better], kept[better]
        self.arcs[run], self.round[run], self.source[run] = arcs, number, which[kept]
        self.began[run], self.two[run] = began[kept], two


def fewest(course: Course) -> tuple[np.ndarray, ...]:
    """Run (A,), begin, end and centre (A, 2) and sweep (A,) of arcs along all runs, in their order."""
    run, first, last, began, two = _searched(course, spans_of(course))
    t = _unit(began)
    p, q = course.points[first], course.points[last]
    centre, sweep = arc(p, t, q)
    one = np.flatnonzero(~two)
    by_two = np.flatnonzero(two)
    parts = biarcs(p[two], t[two], q[two], course.tangents[last[two]])
    place = np.concatenate([one, np.repeat(by_two, 2)])
    order = np.argsort(place, kind="stable")
    begin, end, centre, sweep = (np.concatenate(pair)[order] for pair in zip(
        (p[one], q[one], centre[one], sweep[one]), parts, strict=True))
    return _as_one(run[place[order]], begin, end, centre, sweep)


def _as_one(run, begin, end, centre, sweep):
    """Arcs that follow each other about one centre, or along one line, which a biarc's may, are one."""
    apart = np.hypot(*np.diff(centre, axis=0).T)
    radius = np.hypot(*(begin - centre).T)
    same = (np.sign(sweep[1:]) == np.sign(sweep[:-1])) & (apart <= _ROUND * np.maximum(radius[1:], 1))
    way = np.arctan2(*(end - begin).T)
    line = (sweep[1:] == 0) & (sweep[:-1] == 0) & (np.abs(wrapped(way[1:] - way[:-1])) < _ROUND)
    goes_on = (run[1:] == run[:-1]) & (same | line) & (np.abs(sweep[1:] + sweep[:-1]) < 1.5 * np.pi)
    # by twos: three about one centre do not come of a biarc
    goes_on[1:] &= ~goes_on[:-1]
    kept, on = np.append(True, ~goes_on), np.flatnonzero(goes_on)
    sweep[on] += sweep[on + 1]
    end[on] = end[on + 1]
    return tuple(one[kept[:len(run)]] for one in (run, begin, end, centre, sweep))


def _searched(course: Course, spans: Spans):
    """Run, first and last sample, direction at the first, and whether it is a biarc, of every span, in their order."""
    count = len(course.last)
    ends = _Ends(np.full(count, _MANY), np.zeros(count, np.intp), np.zeros(count, np.intp), np.zeros(count),
                 np.zeros(count, bool))
    run = np.flatnonzero(course.first < course.last)
    none, way = np.zeros(len(run), np.intp), course.angle[course.first[run]]
    start = _States(run, course.first[run], way, way, none, none.astype(bool), none.astype(float))
    rounds, by_two = [start], start.taken(none[:0])
    while len(rounds[-1].run) or len(by_two.run):
        states, number = rounds[-1], len(rounds) - 1
        _ended_by_two(course, spans, states, number, ends)
        nexts = _by_one_more(course, spans, states, opening=number == 0)
        there = nexts.at == course.last[nexts.run]
        hit = np.flatnonzero(there & course.free[nexts.run, 1])
        # one arc with the curve's own tangent, as of a circle, is preferred to any other that keeps to it
        lean = wrapped(nexts.began[hit] - course.angle[states.at[nexts.source[hit]]])
        its = (number == 0) & (np.abs(lean) < _ROUND)
        ends.improved(states, nexts.source[hit], number + 1, number, nexts.began[hit],
                      np.where(its, 0.0, nexts.area[hit]), two=False)
        nexts = _few(course, spans, nexts.taken(~there).joined(by_two))
        later = _by_two_more(course, spans, states, nexts.run)
        there_too = later.at == course.last[later.run]
        hit = np.flatnonzero(there_too)
        ends.improved(states, later.source[hit], number + 2, number, later.began[hit], later.area[hit], two=True)
        rounds.append(nexts.taken(number + 1 + course.least[nexts.run] < ends.arcs[nexts.run]))
        by_two = later.taken(~there_too & (number + 2 + course.least[later.run] < ends.arcs[later.run]))
    return _traced_back(course, rounds, ends)


def _unit(way):
    return np.column_stack([np.cos(way), np.sin(way)])


def _ended_by_two(course, spans, states, number, ends):
    """Runs that a biarc takes to their ends with the tangents they keep there."""
    last = course.last[states.run]
    near = last - states.at <= 2 * spans.reach[states.at] + 2
    which = np.flatnonzero(near & ~course.free[states.run, 1] & (number + 2 < ends.arcs[states.run]))
    which = which[biarc_follows(course, states.at[which], last[which], _unit(states.way[which]),
                                course.tangents[last[which]])]
    ends.improved(states, which, number + 2, number, states.way[which],
                  _area_by_two(course, states, which, last[which]), two=True)


def _area_by_two(course, states, which, last):
    """(K,) area of chains that go on with a biarc to samples and the course's tangents there."""
    first = states.at[which]
    begin, end, _, sweep = biarcs(course.points[first], _unit(states.way[which]), course.points[last],
                                  course.tangents[last])
    long = np.hypot(*(end - begin).T)
    p, m, q = begin[::2], end[::2], end[1::2]
    bulge = ((m - p)[:, 1] * (q - p)[:, 0] - (m - p)[:, 0] * (q - p)[:, 1]) / 2
    # an arc leaves its chord to the left by half the sweep to the right
    return states.area[which] + beside(long, -sweep / 2).reshape(-1, 2).sum(1) + bulge - course.beside(first, last)


def _by_one_more(course, spans, states, *, opening):
    """States after one arc more from each, wherever an arc follows."""
    source = np.repeat(np.arange(len(states.at)), np.diff(spans.starts)[states.at])
    span, _ = ragged.take(spans.starts, states.at)
    angle = wrapped(states.way[source] - spans.chord[span])
    good = (spans.low[span] <= angle) & (angle <= spans.high[span])
    if opening:
        free, own = course.free[states.run[source], 0], good
        share = np.repeat(_BEGINNINGS, free.sum())
        any_way = np.tile(span[free], len(_BEGINNINGS))
        leaves = spans.low[any_way] + share * (spans.high[any_way] - spans.low[any_way])
        source = np.concatenate([source[own], np.tile(source[free], len(_BEGINNINGS))])
        span, angle = np.concatenate([span[own], any_way]), np.concatenate([angle[own], leaves])
    else:
        source, span, angle = source[good], span[good], angle[good]
    chord, first, last = spans.chord[span], states.at[source], spans.last[span]
    long = np.hypot(*(course.points[last] - course.points[first]).T)
    area = states.area[source] + beside(long, angle) - course.beside(first, last)
    return _States(states.run[source], last, chord - angle, chord + angle, source, np.zeros(len(source), bool), area)


def _few(course, spans, states):
    """Of each run the states not far behind its farthest, of each sample a few with tangents that differ; none that
    no arc can go on from."""
    low, high = (wrapped(way[states.at] - states.way) for way in spans.leaving)
    states = states.taken(states.two | (low <= 0) & (high >= 0))
    if not len(states.run):
        return states
    far = np.zeros(len(course.last), np.intp)
    np.maximum.at(far, states.run, states.at)
    states = states.taken(states.at >= far[states.run] - _BEHIND * spans.reach[states.at])
    lean = wrapped(states.way - course.angle[states.at])
    low, high = np.full((2, len(course.points)), [[np.inf], [-np.inf]])
    np.minimum.at(low, states.at, lean)
    np.maximum.at(high, states.at, lean)
    share = (lean - low[states.at]) / np.maximum(high - low, 1e-12)[states.at]
    drawer = states.at * _TANGENTS + np.minimum((share * _TANGENTS).astype(np.intp), _TANGENTS - 1)
    order = np.lexsort([np.abs(states.area), drawer])
    return states.taken(order[np.append(True, np.diff(drawer[order]) > 0)])


def _by_two_more(course, spans, states, others):
    """Of each run's farthest state, and of the farthest that came by two arcs, the state that a biarc reaches with the
    curve's own tangent. Leaning goes on from arc to arc, to one side and to the other; a biarc ends it.

    A run of which there is nothing else (it is not among ``others``) goes on to its next sample, if need be with a
    kink: the distance is kept before the tangent.
    """
    order = np.lexsort([states.at, states.run])
    ends = np.append(states.run[order][1:] != states.run[order][:-1], True)[:len(order)]
    own = order[states.two[order]]
    ends_own = np.append(states.run[own][1:] != states.run[own][:-1], True)[:len(own)]
    source = np.union1d(order[ends], own[ends_own])
    here, t, most = states.at[source], _unit(states.way[source]), course.last[states.run[source]]

    def follows(k, last):
        return biarc_follows(course, here[k], last, t[k], course.tangents[last])

    # double the span while it is followed, then halve in between
    low, high = here.copy(), np.minimum(here + np.maximum(spans.reach[here], 1), most)
    k = np.arange(len(source))
    while len(k):
        good = follows(k, high[k])
        low[k[good]] = high[k[good]]
        k = k[good & (high[k] < most[k])]
        high[k] = np.minimum(here[k] + 2 * (high[k] - here[k]), most[k])
    k = np.flatnonzero(high - low > 1)
    while len(k):
        middle = (low[k] + high[k]) // 2
        good = follows(k, middle)
        low[k[good]], high[k[~good]] = middle[good], middle[~good]
        k = k[high[k] - low[k] > 1]
    stuck = (low == here) & ~np.isin(states.run[source], others)
    at = np.where(stuck, here + 1, low)
    began = np.where(stuck, course.angle[here], states.way[source])
    kept = at > here
    source, at, began = source[kept], at[kept], began[kept]
    return _States(states.run[source], at, course.angle[at], began, source, np.ones(len(at), bool),
                   _area_by_two(course, states, source, at))


def _traced_back(course, rounds, ends):
    """The spans of the rounds, from the ends of the runs back to their beginnings."""
    run = np.flatnonzero(ends.arcs < _MANY)
    found = [(run, _samples_of(rounds, ends.round[run], ends.source[run]), course.last[run], ends.began[run],
              ends.two[run])] if len(run) else []
    source, came = ends.source.copy(), ends.round.copy()
    for number in range(len(rounds) - 1, 0, -1):
        run = np.flatnonzero((ends.arcs < _MANY) & (came == number))
        its, state = rounds[number], source[run]
        source[run], came[run] = its.source[state], number - 1 - its.two[state]
        first = _samples_of(rounds, came[run], source[run])
        found.append((run, first, its.at[state], its.began[state], its.two[state]))
    if not found:
        none = np.empty(0, np.intp)
        return none, none, none, np.empty(0), none.astype(bool)
    run, first, last, began, two = (np.concatenate(part) for part in zip(*found, strict=True))
    order = np.lexsort([first, run])
    return run[order], first[order], last[order], began[order], two[order]


def _samples_of(rounds, number, state):
    """(K,) the samples of states of some rounds."""
    return np.array([rounds[n].at[s] for n, s in zip(number.tolist(), state.tolist(), strict=True)], np.intp)
