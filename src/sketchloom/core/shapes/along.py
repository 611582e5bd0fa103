"""Parts of known curves that a boundary runs along, and where two known curves meet."""

import itertools

import numpy as np

from sketchloom.core.curves.chains import Chain, between
from sketchloom.core.curves.curveset import evaluate, line_controls, segment_lengths
from sketchloom.core.shapes.tracks import CORNER_PX, Track, feet_of, meeting

_SLACK_PX = 1.0
"""Pixels of a drawn shape lie within half a pixel's diagonal of its curve; more means that the arc is another."""
_TIE_PX = 1e-6
"""A boundary stays on its curve where another lies as near."""
_LEAP, _LEAP_PX = 3.0, 3.0
"""Points so many times farther apart along a chain than through the air, and so many px more, are on two parts of
it."""
_NEAR_PX, _TOUCH_PX = 8.0, 1.2
"""Chains are held against each other so far about a place; those that do not meet and come so near touch there: a gap
of less than a pixel that no pixel showed."""
_WINDOW = np.arange(-12.0, 12.01, 0.25)
"""Ways from a place, px, at which its like is looked for along a chain."""


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
    if np.hypot(*(made[0, 0] - begin)) > CORNER_PX:
        parts.insert(0, line_controls(begin[None], made[:1, 0]))
    else:
        made[0, 0] = begin
    if np.hypot(*(made[-1, 3] - end)) > CORNER_PX:
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
    foot, u = feet_of(chain.controls[segment[k]][None], (places - segment)[[k]], np.asarray(place, float)[None])
    return None if np.hypot(*(foot[0] - place)) > _SLACK_PX else float(segment[k] + u[0])
