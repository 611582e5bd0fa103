"""Parts of known curves that a boundary runs along, and where two known curves meet."""

import itertools

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.base.late import late
from sketchloom.core.curves.chains import Chain, between
from sketchloom.core.curves.curveset import evaluate, line_controls, segment_lengths

spatial = late("scipy.spatial")

_SPACING_PX = 0.25
"""Spacing of samples on a known curve."""
_SLACK_PX = 1.0
"""Pixels of a drawn shape lie within half a pixel's diagonal of its curve; more means that the arc is another."""
_TIE_PX = 1e-6
"""A boundary stays on its curve where another lies as near."""
_MEETS_PX, _CORNER_PX = 2.5, 0.02
"""Two curves meet at most so far from where pixels say; a corner of one so near to the other is where they meet."""
_PARALLEL = 0.02
"""Curves that cross under a smaller angle (its sine) have no sure crossing."""
_STEPS = 12
_LEAP, _LEAP_PX = 3.0, 3.0
"""Points so many times farther apart along a chain than through the air, and so many px more, are on two parts of
it."""
_NEAR_PX, _TOUCH_PX = 8.0, 1.2
"""Chains are held against each other so far about a place; those that do not meet and come so near touch there: a gap
of less than a pixel that no pixel showed."""
_WINDOW = np.arange(-12.0, 12.01, 0.25)
"""Ways from a place, px, at which its like is looked for along a chain."""


class Track:
    """Chains of a group with a tree of their points, to find the nearest."""

    def __init__(self, chains):
        self.chains = chains
        chain, segment, t, controls = [], [], [], []
        for number, one in enumerate(chains):
            count = np.maximum(np.ceil(segment_lengths(one.controls) / _SPACING_PX), 2).astype(np.intp)
            starts = ragged.lengths_to_starts(count + 1)
            of = ragged.owner(starts)
            segment.append(of)
            t.append((np.arange(starts[-1]) - starts[of]) / count[of])
            chain.append(np.full(len(of), number))
            controls.append(one.controls[of])
        self.chain, self.segment, self.t = np.concatenate(chain), np.concatenate(segment), np.concatenate(t)
        self.controls = np.concatenate(controls)
        self.tree = spatial.cKDTree(evaluate(self.controls, self.t))
        self.corners = np.concatenate([one.controls[:, 0] for one in chains])

    def nearest(self, xy):
        """Foot of each point on the chains: place (K, 2), chain and segment-and-parameter (K,), distance (K,)."""
        foot, chain, place, away, _ = self.nearest_with_way(xy)
        return foot, chain, place, away

    def nearest_with_way(self, xy):
        """The same, with the unit tangent at each foot (K, 2)."""
        _, at = self.tree.query(xy)
        controls = self.controls[at]
        foot, t = _feet(controls, self.t[at], xy)
        ahead = _quadratic(np.diff(controls, axis=1), t)
        ahead /= np.maximum(np.hypot(*ahead.T), 1e-12)[:, None]
        return foot, self.chain[at], self.segment[at] + t, np.hypot(*(xy - foot).T), ahead


def _feet(controls, t, xy):
    """Feet of points on their cubics, and the parameters there: Newton on the distance from parameters close by, as
    long as it comes nearer (where a handle is of no length it may leap)."""
    foot = evaluate(controls, t)
    off = ((xy - foot) ** 2).sum(-1)
    share = np.ones(len(t))
    for _ in range(_STEPS):
        ahead = 3 * _quadratic(np.diff(controls, axis=1), t)
        speed = np.maximum((ahead * ahead).sum(-1), 1e-12)
        step = np.clip(((xy - foot) * ahead).sum(-1) / speed, -0.1, 0.1)
        if (np.abs(step) < 1e-12).all() or share.max() < 1e-4:
            break
        tried = np.clip(t + share * step, 0, 1)
        there = evaluate(controls, tried)
        left = ((xy - there) ** 2).sum(-1)
        nearer = left < off
        share = np.where(nearer, 1.0, 0.25 * share)
        t, off = np.where(nearer, tried, t), np.where(nearer, left, off)
        foot = np.where(nearer[:, None], there, foot)
    return foot, t


def _quadratic(legs, t):
    s = (1 - t)[:, None]
    t = t[:, None]
    return s * s * legs[:, 0] + 2 * s * t * legs[:, 1] + t * t * legs[:, 2]


def meeting(one: Track, two: Track, near) -> np.ndarray | None:
    """Where two groups of curves meet near a place (2,): at a corner of one that lies on the other, else where they
    cross; None for neither."""
    near = np.asarray(near, float)
    best, best_away = None, _MEETS_PX
    for mine, other in ((one, two), (two, one)):
        away = np.hypot(*(mine.corners - near).T)
        for at in np.flatnonzero(away < best_away):
            if away[at] < best_away and other.nearest(mine.corners[at][None])[3][0] < _CORNER_PX:
                best, best_away = mine.corners[at], float(away[at])
    crossing = _crossing(one, two, near)
    if crossing is not None and np.hypot(*(crossing - near)) < best_away - _CORNER_PX:
        return crossing
    return best


def _crossing(one, two, near):
    """Newton on both curves from a place: the crossing of their tangents at its feet, until it stays."""
    place = near
    off_a = off_b = np.inf
    for _ in range(_STEPS):
        (a,), _, _, (off_a,), (u,) = one.nearest_with_way(place[None])
        (b,), _, _, (off_b,), (v,) = two.nearest_with_way(place[None])
        if max(off_a, off_b) < 1e-9:
            return place
        cross = u[0] * v[1] - u[1] * v[0]
        if abs(cross) < _PARALLEL:
            return None
        gap = b - a
        place = a + (gap[0] * v[1] - gap[1] * v[0]) / cross * u
        if np.hypot(*(place - near)) > _MEETS_PX:
            return None
    return place if max(off_a, off_b) < 1e-4 else None


class _Run:
    """Points of a polyline from ``a`` to before ``b`` on one chain, with their places on it and the ways there, px."""

    def __init__(self, chain, places, a, b):
        self.chain, self.places, self.a, self.b = chain, places, a, b


def along(tracks: list[Track], xy, closed: bool, *, turned: bool = False) -> np.ndarray | None:
    """The parts of chains that a polyline runs along, end to end, (S, 4, 2); None where it does not keep to them.

    Parameters
    ----------
    tracks : those it may run along; where it goes from one chain to another, or to another part of the same, they
        meet. xy : (N, 2) px. turned : a ring begins with a run already.
    """
    found = [track.nearest(xy) for track in tracks]
    away = np.stack([one[3] for one in found])
    if away.min(0).max() > _SLACK_PX:
        return None
    runs = _runs(tracks, found, away, xy)
    if closed and not turned and len(runs) > 1 and _goes_on(runs[-1], runs[0], xy):
        # a ring begins within a run: turned to begin with one
        return along(tracks, np.roll(xy, -runs[-1].a, 0), closed, turned=True)
    if len(runs) == 1 and closed and runs[0].chain.closed and abs(abs(_travel(runs[0], True)) - _count(runs[0])) < 0.01:
        return _whole_ring(runs[0])
    # where each run ends and the next begins; the last of a ring is followed by the first
    meets = [_met(one, two, 0.5 * (xy[one.b - 1] + xy[two.a])) for one, two in itertools.pairwise(
        [*runs, runs[0]] if closed else runs)]
    return None if any(met is None for met in meets) else _end_to_end(runs, meets, xy, closed)


def _whole_ring(run):
    controls = run.chain.controls
    if _travel(run, True) < 0:
        return controls[::-1, ::-1]
    return np.roll(controls, -int(run.places[0]), 0)


def _end_to_end(runs, meets, xy, closed):
    """The stretches of all runs from one meeting to the next, (S, 4, 2); None where one cannot be told."""
    begins = [meets[-1][1] if closed else xy[0], *(met[1] for met in meets)][:len(runs)]
    ends = [*(met[0] for met in meets), xy[-1]][:len(runs)]
    parts = []
    for run, begin, end, (_, after) in itertools.zip_longest(runs, begins, ends, meets, fillvalue=(None, None)):
        part = _stretch(run, begin, end)
        if part is None:
            return None
        parts.append(part)
        if after is not None and np.hypot(*(after - end)) > 0:
            parts.append(line_controls(end[None], after[None]))
    made = np.concatenate(parts)
    if not len(made):
        return None
    # a run of no length leaves its two ends, which are one place but for rounding
    made[1:, 0] = made[:-1, 3]
    if closed:
        made[0, 0] = made[-1, 3]
    else:
        made[0, 0], made[-1, 3] = xy[0], xy[-1]
    return made


def _runs(tracks, found, away, xy):
    """Runs of points on one chain each, without a leap along it."""
    chain = np.stack([one[1] for one in found])
    best = away.argmin(0)
    runs: list[_Run] = []
    track, number, begin = int(best[0]), int(chain[best[0], 0]), 0
    count = away.shape[1]

    def end_at(k):
        one = tracks[track].chains[number]
        places = found[track][2][begin:k]
        for a, b in _without_leaps(one, places, xy[begin:k]):
            runs.append(_Run(one, places[a:b], begin + a, begin + b))

    for k in range(1, count):
        if chain[track, k] == number and away[track, k] <= away[best[k], k] + _TIE_PX:
            continue
        end_at(k)
        track, number, begin = int(best[k]), int(chain[best[k], k]), k
    end_at(count)
    return runs


def _without_leaps(chain, places, xy):
    """Stretches of points between which the way along a chain is no longer than they are apart."""
    if len(places) < 2:
        return [(0, len(places))]
    step = np.abs(_steps(chain, places)) * segment_lengths(chain.controls)[places[:-1].astype(int) % len(
        chain.controls)]
    apart = np.hypot(*np.diff(xy, axis=0).T)
    cuts = np.flatnonzero(step > _LEAP * apart + _LEAP_PX) + 1
    ends = [0, *cuts.tolist(), len(places)]
    return list(itertools.pairwise(ends))


def _steps(chain, places):
    """Segments from each place to the next, the shorter way round a closed chain."""
    travel = np.diff(places)
    count = len(chain.controls)
    return (travel + count / 2) % count - count / 2 if chain.closed else travel


def _count(run):
    return len(run.chain.controls)


def _travel(run, round_):
    places = np.concatenate([run.places, run.places[:1]]) if round_ else run.places
    return float(_steps(run.chain, places).sum())


def _goes_on(one, two, xy):
    """Whether the last run of a ring goes on in the first one."""
    return one.chain is two.chain and len(_without_leaps(
        one.chain, np.array([one.places[-1], two.places[0]]), np.stack([xy[one.b - 1], xy[two.a]]))) == 1


def _met(one, two, near):
    """Where one run ends and the next begins: one place where their chains meet there, else the two where they are
    nearest, if that is near; None for neither."""
    mine, other = (Track((_part_near(run.chain, place),)) for run, place in (
        (one, one.places[-1]), (two, two.places[0])))
    place = meeting(mine, other, near)
    if place is not None:
        return place, place
    samples = evaluate(mine.controls, mine.t)
    feet, _, _, away = other.nearest(samples)
    away = away + 1e-3 * np.hypot(*(samples - near).T)
    at = int(away.argmin())
    return (samples[at], feet[at]) if away[at] < _TOUCH_PX else None


def _part_near(chain, place):
    """The part of a chain some pixels about a place, as an open one."""
    count = len(chain.controls)
    length = max(float(segment_lengths(chain.controls[[int(place) % count]])[0]), 1e-6)
    reach = _NEAR_PX / length
    if chain.closed and 2 * reach < count:
        whole = between(chain.controls, (place - reach) % count, (place - reach) % count + 2 * reach)
    else:
        low, high = max(place - reach, 0.0), min(place + reach, count)
        whole = between(chain.controls, low, high) if high - low > 1e-9 else chain.controls
    return Chain(whole, False)


def _stretch(run, begin, end):
    """Cubics of a run's chain from a place to another, the way that its points go."""
    ends = []
    for place, near in ((begin, run.places[0]), (end, run.places[-1])):
        at = _place_near(run.chain, place, float(near))
        if at is None:
            return None
        ends.append(at)
    count = len(run.chain.controls)
    travel = _steps(run.chain, np.array([ends[0], *run.places, ends[1]]))
    total = float(travel.sum())
    if abs(total) < 1e-9:
        return np.empty((0, 4, 2)) if np.hypot(*(end - begin)) < 1e-6 else line_controls(begin[None], end[None])
    first = ends[0] % count if run.chain.closed else ends[0]
    low, high = (first, first + total) if total > 0 else (first + total, first)
    if not run.chain.closed:
        low, high = max(low, 0.0), min(high, float(count))
    made = between(run.chain.controls, low, high)
    if total < 0:
        made = made[::-1, ::-1].copy()
    return _ended(made, begin, end)


def _ended(made, begin, end):
    """Cubics that meet their nodes bit for bit: where one lies beside its curve (two curves that touch, and a node
    between them) a short line leads there, for the end of a long curve moved aside would move all of it."""
    parts = [made]
    if np.hypot(*(made[0, 0] - begin)) > _CORNER_PX:
        parts.insert(0, line_controls(begin[None], made[:1, 0]))
    else:
        made[0, 0] = begin
    if np.hypot(*(made[-1, 3] - end)) > _CORNER_PX:
        parts.append(line_controls(made[-1:, 3], end[None]))
    else:
        made[-1, 3] = end
    return np.concatenate(parts)


def _place_near(chain, place, near):
    """Where on a chain a place lies, some pixels from another place on it at most; None where it does not."""
    ways = np.concatenate([[0.0], np.cumsum(segment_lengths(chain.controls))])
    count, total = len(chain.controls), float(ways[-1])
    at = float(np.interp(near, np.arange(count + 1), ways)) + _WINDOW
    at = at % total if chain.closed else np.clip(at, 0, total)
    places = np.interp(at, ways, np.arange(count + 1))
    segment = np.minimum(places.astype(int), count - 1)
    away = np.hypot(*(evaluate(chain.controls[segment], places - segment) - place).T)
    k = int(away.argmin())
    foot, u = _feet(chain.controls[segment[k]][None], (places - segment)[[k]], np.asarray(place, float)[None])
    return None if np.hypot(*(foot[0] - place)) > _SLACK_PX else float(segment[k] + u[0])
