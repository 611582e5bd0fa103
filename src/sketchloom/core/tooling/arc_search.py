"""The fewest arcs along smooth runs within a distance.

From each place the farthest other that one biarc follows is found by doubling and halving, all runs side by side. The
tangents there are the curve's, or leant: an arc that meets a curve at both its ends but does not touch it there leaves
it less in between. Where curvature k changes evenly, arcs of length s that lean k' s² / 12 off the curve at every joint
stray by k' s³ / 125, those with its own tangents by k' s³ / 40, so that they may be 1.45 times as long (both follow
from the cubic in s that an arc leaves over). As k' is not even, each joint may have either, and what came out of the
fewest arcs is kept. Where a run begins or ends at a corner, a single arc may be the first or the last.

References
----------
K. M. Bolton, Biarc curves, Computer-Aided Design 7 (1975). The join is the one of equal tangent lengths.
"""

from dataclasses import dataclass

import numpy as np

_FLAT = 1e-7
_LEANS = (0.6, 1.0)
"""Shares of the lean by which tangents may be turned; chosen on the layers of two demo works, of seven sets of shares:
more of them saved 3 % of the arcs for twice the time."""
_LONGER = 1.45
"""How much longer leant arcs may be than those with the curve's tangents."""
_MANY = np.iinfo(np.intp).max
_FIRST_STEP = 16
"""Samples of the first span that is tried: half of those of a short cubic."""


@dataclass(frozen=True, slots=True, eq=False)
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
    def last(self) -> np.ndarray:
        return self.offsets[1:] - 1


@dataclass(frozen=True, slots=True, eq=False)
class _Found:
    """Spans of samples in their order: of ``run`` (N,), from ``first`` to ``last`` (N,) with tangents ``t`` and ``u``
    (N, 2); ``arcs`` (R,) how many a run needs, many where it was not taken to its end."""

    run: np.ndarray
    first: np.ndarray
    last: np.ndarray
    t: np.ndarray
    u: np.ndarray
    arcs: np.ndarray


def fewest(course: Course) -> tuple[np.ndarray, ...]:
    """Run (A,), begin, end and centre (A, 2) and sweep (A,) of arcs along all runs, in their order."""
    own = _search(course, course.tangents[None], np.ones(len(course.last), bool), single=False)
    ways = np.stack([course.tangents, *(_leant(course, own, share) for share in _LEANS)])
    # what one biarc follows can gain an arc only from a single one
    best = _better(own, _search(course, ways, own.arcs > 2, single=False))
    best = _better(best, _search(course, ways, course.free[:, 0], single=True))
    begin, end, centre, sweep = biarcs(course.points[best.first], best.t, course.points[best.last], best.u)
    # both arcs about one centre are one arc
    apart = np.hypot(*(centre[::2] - centre[1::2]).T)
    radius = np.hypot(*(begin[::2] - centre[::2]).T)
    one = (np.sign(sweep[::2]) == np.sign(sweep[1::2])) & ((apart <= _FLAT * np.maximum(radius, 1)) | (sweep[::2] == 0))
    end[::2][one] = end[1::2][one]
    sweep[::2][one] += sweep[1::2][one]
    kept = np.ones(len(sweep), bool)
    kept[1::2] = ~one
    return tuple(part[kept] for part in (np.repeat(best.run, 2), begin, end, centre, sweep))


def _better(one, other):
    """Of each run those spans that need fewer arcs."""
    fewer = other.arcs < one.arcs
    pairs = [(getattr(one, name)[~fewer[one.run]], getattr(other, name)[fewer[other.run]])
             for name in ("run", "first", "last", "t", "u")]
    run, first, last, t, u = (np.concatenate(pair) for pair in pairs)
    order = np.lexsort([first, run])
    return _Found(run[order], first[order], last[order], t[order], u[order], np.minimum(one.arcs, other.arcs))


def _leant(course, found, share):
    """(P, 2) tangents turned by a share of how much the curvature changes over the length of a span there."""
    points, offsets = course.points, course.offsets
    if not len(found.run):
        return course.tangents
    steps = np.hypot(*np.diff(points, axis=0, append=points[-1:]).T)
    steps[course.last] = 0
    s = np.concatenate([[0.0], np.cumsum(steps)[:-1]])
    reach = np.interp(s, 0.5 * (s[found.first] + s[found.last]), s[found.last] - s[found.first]) / 2 * _LONGER
    t = course.tangents
    turn = np.arctan2(t[:-1, 0] * t[1:, 1] - t[:-1, 1] * t[1:, 0], (t[:-1] * t[1:]).sum(1))
    turn[offsets[1:-1] - 1] = 0
    angle = np.concatenate([[0.0], np.cumsum(turn)])
    count = np.diff(offsets)
    begin, end = np.repeat(s[offsets[:-1]], count), np.repeat(s[course.last], count)
    reach = np.minimum(reach, (end - begin) / 2)
    middle = np.clip(s, begin + reach, end - reach)
    bend = np.interp(middle + reach, s, angle) - 2 * np.interp(middle, s, angle) + np.interp(middle - reach, s, angle)
    lean = -share * bend / 12
    lean[np.concatenate([offsets[:-1][~course.free[:, 0]], course.last[~course.free[:, 1]]])] = 0
    cos, sin = np.cos(lean), np.sin(lean)
    return np.column_stack([cos * t[:, 0] - sin * t[:, 1], sin * t[:, 0] + cos * t[:, 1]])


def _search(course, ways, tried, *, single):
    """Spans of the fewest arcs for the runs that are ``tried`` (R,), with tangents ``ways`` (K, P, 2) to choose from;
    the first arc of each is a ``single`` one, or half of a biarc."""
    begin, end = course.offsets[:-1], course.last
    at = np.where((np.arange(len(ways)) == 0) | course.free[:, :1], begin[:, None], -1)
    step = np.full(at.shape, _FIRST_STEP)
    arcs, used = np.full(len(end), _MANY), np.zeros(len(end), np.intp)
    kind, by_one = np.zeros(len(end), np.intp), np.zeros(len(end), bool)
    rounds, so_far = [], 0
    active = np.flatnonzero(tried & (begin < end))
    while len(active):
        opening = single and not rounds
        if not opening:
            # a single arc to the end needs one less than a biarc
            hit, way = _by_one_arc(course, ways, active, at)
            arcs[hit], used[hit], kind[hit], by_one[hit] = so_far + 1, len(rounds), way, True
            active = active[arcs[active] == _MANY]
        far, came = _farthest(course, ways, active, at, step, opening)
        rounds.append((active, at[active], came, opening))
        step[active] = np.maximum(far - at[active].max(1, keepdims=True), 2)
        at[active] = far
        so_far += 1 if opening else 2
        there = far.max(1) >= end[active]
        hit, active = active[there], active[~there]
        arcs[hit], used[hit], kind[hit] = so_far, len(rounds), far[there].argmax(1)
    return _traced_back(course, ways, rounds, _Ends(arcs, used, kind, by_one, at))


def _by_one_arc(course, ways, active, at):
    """Runs that one arc takes to their ends from where they are, which keep no tangent there; and by which tangent."""
    row, way = (one.ravel() for one in np.indices((len(active), len(ways))))
    run = active[row]
    here, end = at[run, way], course.last[run]
    on = np.flatnonzero((here >= 0) & (here < end) & course.free[run, 1])
    run, way, here, end = run[on], way[on], here[on], end[on]
    t = ways[way, here]
    good = _follows(course, here, end, t, _mirrored(course.points[here], course.points[end], t))
    hit, one = np.unique(run[good], return_index=True)
    return hit, way[good][one]


def _farthest(course, ways, active, at, step, opening):
    """(A, K) the farthest sample that each kind of tangent is reached at by one biarc more, -1 where it is not, and the
    kind it was reached from."""
    kinds = len(ways)
    row, came, way = (one.ravel() for one in np.indices((len(active), kinds, kinds)))
    run = active[row]
    on = np.flatnonzero((at[run, came] >= 0) & ~(opening & (came > 0)))
    row, came, way, run = row[on], came[on], way[on], run[on]
    here, most = at[run, came], course.last[run]

    def good(which, last):
        u = ways[way[which], last]
        t = _mirrored(course.points[here[which]], course.points[last], u) if opening else ways[came[which], here[which]]
        return _follows(course, here[which], last, t, u)

    # double the span while it is followed, then halve in between
    low, high = here.copy(), np.minimum(here + step[run, came], most)
    k = np.flatnonzero(high > here)
    while len(k):
        fits = good(k, high[k])
        low[k[fits]] = high[k[fits]]
        k = k[fits & (high[k] < most[k])]
        high[k] = np.minimum(here[k] + 2 * (high[k] - here[k]), most[k])
    k = np.flatnonzero(high - low > 1)
    while len(k):
        middle = (low[k] + high[k]) // 2
        fits = good(k, middle)
        low[k[fits]], high[k[~fits]] = middle[fits], middle[~fits]
        k = k[high[k] - low[k] > 1]
    # a step is always made, with the curve's own tangent
    low = np.where(low > here, low, np.where(way == 0, np.minimum(here + 1, most), -1))
    order = np.argsort(low, kind="stable")
    far, source = np.full((2, len(active), kinds), -1)
    far[row[order], way[order]], source[row[order], way[order]] = low[order], came[order]
    return far, source


@dataclass(frozen=True, slots=True, eq=False)
class _Ends:
    """How each run (R,) was taken to its end: by how many ``arcs`` and rounds, with which kind of tangent there, or a
    last arc from where ``at`` (R, K) that kind was."""

    arcs: np.ndarray
    used: np.ndarray
    kind: np.ndarray
    by_one: np.ndarray
    at: np.ndarray


def _traced_back(course, ways, rounds, ends):
    """The spans of the rounds, from the ends of the runs back to their beginnings."""
    found = []
    kind, last = ends.kind.copy(), course.last.copy()
    run = np.flatnonzero(ends.by_one)
    if len(run):
        here = ends.at[run, kind[run]]
        t = ways[kind[run], here]
        found.append((run, here, last[run], t, _mirrored(course.points[here], course.points[last[run]], t)))
        last[run] = here
    for number in range(len(rounds) - 1, -1, -1):
        active, before, came, opening = rounds[number]
        row = np.flatnonzero((ends.used[active] > number) & (ends.arcs[active] < _MANY))
        run = active[row]
        source = came[row, kind[run]]
        here, u = before[row, source], ways[kind[run], last[run]]
        t = _mirrored(course.points[here], course.points[last[run]], u) if opening else ways[source, here]
        found.append((run, here, last[run], t, u))
        kind[run], last[run] = source, here
    if not found:
        none = np.empty(0, np.intp)
        return _Found(none, none, none, np.empty((0, 2)), np.empty((0, 2)), ends.arcs)
    run, first, last, t, u = (np.concatenate(part) for part in zip(*found, strict=True))
    order = np.lexsort([first, run])
    return _Found(run[order], first[order], last[order], t[order], u[order], ends.arcs)


def _follows(course, first, last, t, u):
    """Whether the biarc from one sample to another, with tangents t and u, keeps within the distance of what is
    between."""
    begin, end, centre, sweep = (one.reshape(-1, 2, *one.shape[1:]) for one in biarcs(
        course.points[first], t, course.points[last], u))
    good = np.abs(sweep).sum(1) < 1.5 * np.pi
    count = 2 * (last - first) - 1
    span = np.repeat(np.arange(len(first)), count)
    p = course.fine[2 * first[span] + 1 + np.arange(len(span)) - np.repeat(np.cumsum(count) - count, count)]
    # which of the two arcs a sample belongs to: by its side of the line through the join across the tangent there
    join, way = end[span, 0], _way_at_join(begin, end, centre, sweep)[span]
    which = (((p - join) * way).sum(1) > 0).astype(int)
    away = _away(p, begin[span, which], end[span, which], centre[span, which], sweep[span, which])
    worst = np.zeros(len(first))
    np.maximum.at(worst, span, away)
    return good & (worst <= course.within)


def _mirrored(p, q, t):
    """Tangents (K, 2) at the other ends of the arcs from p to q that begin with t; t that of q for one that ends so."""
    line = q - p
    line /= np.maximum(np.hypot(*line.T), 1e-12)[:, None]
    return 2 * (t * line).sum(1)[:, None] * line - t


def _way_at_join(begin, end, centre, sweep):
    """Unit tangent where the two arcs meet."""
    radius = end[:, 0] - centre[:, 0]
    turned = np.column_stack([-radius[:, 1], radius[:, 0]]) * np.sign(sweep[:, 0])[:, None]
    line = end[:, 0] - begin[:, 0]
    way = np.where(sweep[:, :1] != 0, turned, line)
    return way / np.maximum(np.hypot(*way.T), 1e-12)[:, None]


def _away(p, begin, end, centre, sweep):
    """Distance of points from arcs, or from the lines of those that have no sweep."""
    line = end - begin
    long = np.hypot(*line.T)
    off = np.abs((p - begin)[:, 0] * line[:, 1] - (p - begin)[:, 1] * line[:, 0]) / np.maximum(long, 1e-12)
    off = np.where(long > 1e-9, off, np.hypot(*(p - begin).T))
    round_ = np.abs(np.hypot(*(p - centre).T) - np.hypot(*(begin - centre).T))
    return np.where(sweep == 0, off, round_)


def biarcs(p, t, q, u):
    """Two arcs from places (K, 2) with unit tangents to others: begins, ends, centres and sweeps, (2 K, …) by turns.

    With v = q - p, the legs d of the control polygon follow from v·v - 2 d v·(t + u) + 2 d² (t·u - 1) = 0.
    """
    v = q - p
    vv, both = (v * v).sum(1), (v * (t + u)).sum(1)
    a = 2 * (1 - (t * u).sum(1))
    with np.errstate(divide="ignore", invalid="ignore"):
        root = np.sqrt(np.maximum(both * both + a * vv, 0))
        d = np.where(a > 1e-12, (root - both) / np.maximum(a, 1e-300), vv / np.maximum(2 * both, 1e-300))
    # nearly parallel tangents: the quotient loses its figures
    stable = np.where(both > 0, vv / np.maximum(root + both, 1e-300), d)
    d = np.where(both > 0, stable, d)[:, None]
    join = 0.5 * (p + q + d * (t - u))
    one = _arc(p, t, join)
    two = _arc(q, -u, join)
    begin = np.stack([p, join], 1).reshape(-1, 2)
    end = np.stack([join, q], 1).reshape(-1, 2)
    centre = np.stack([one[0], two[0]], 1).reshape(-1, 2)
    sweep = np.stack([one[1], -two[1]], 1).ravel()
    return begin, end, centre, sweep


def _arc(p, t, q):
    """Centre and sweep of the arc from p with tangent t to q; sweep 0 where it is straight."""
    v = q - p
    cross, dot = t[:, 0] * v[:, 1] - t[:, 1] * v[:, 0], (t * v).sum(1)
    vv = (v * v).sum(1)
    flat = np.abs(cross) <= _FLAT * np.maximum(np.sqrt(vv), 1e-9)
    with np.errstate(divide="ignore", invalid="ignore"):
        radius = np.where(flat, 0.0, vv / np.where(flat, 1.0, 2 * cross))
    centre = p + radius[:, None] * np.column_stack([-t[:, 1], t[:, 0]])
    sweep = np.where(flat, 0.0, 2 * np.arctan2(cross, dot))
    return np.where(flat[:, None], p, centre), sweep
