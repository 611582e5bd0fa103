"""Routes: every cut of a sheet in an order that keeps the rules of the trade and travels little.

Test cuts come first. What lies within a cut is cut before it; the cuts of one piece follow each other; a small piece
is cut before a large one beside it, whose loose film would lift; helper cuts through the waste and frames come last.
Under these rules travel is made short, beginnings chosen with it.
"""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.base.progress import breathe
from sketchloom.core.sheets.routing import tour
from sketchloom.core.sheets.routing.cuts import FRAMES, HELPERS, TRIED, WORK, Cuts, around, beginnings

_PASSES, _MANY = 3, 700
"""Orders and beginnings are bettered by turns, of more cuts once less."""
_KICKS = ((40, 60), (300, 24), (700, 4))
"""Up to so many cuts beside each other: so many large steps (what a second pays for)."""
_SMALL_SHARE, _NEAR_MM = 0.1, 6.0
"""A piece under this share of another's area is small beside it, within so far."""


@dataclass(frozen=True, slots=True, eq=False)
class Route:
    """``order`` (N,) of the cuts; ``segment`` and ``t`` (N,) where each begins, by the cut's number; ``places`` (N, 2)
    mm of the beginnings and ``ends`` (N, 2) of where each ends, in the order; ``travel_mm`` between cuts from the
    beginning at ``home``; ``naive_mm`` as the file has them."""

    order: np.ndarray
    segment: np.ndarray
    t: np.ndarray
    places: np.ndarray
    ends: np.ndarray
    travel_mm: float
    naive_mm: float
    home: tuple[float, float]


def route_of(cuts: Cuts, home=(0.0, 0.0), with_rules: bool = True, thorough: bool = True) -> Route:
    """A short route through all cuts from ``home``. ``with_rules`` False: the shortest without any; ``thorough`` False:
    one that is found at once."""
    home = np.asarray(home, float)
    if not cuts.count:
        none = np.empty(0, np.intp)
        return Route(none, none, np.empty(0), np.empty((0, 2)), np.empty((0, 2)), 0.0, 0.0, tuple(home))
    options, segment, t = beginnings(cuts)
    parent, area = around(cuts) if with_rules else (np.full(cuts.count, -1), np.zeros(cuts.count))
    # what lies in a frame is no child of it: frames have a turn of their own
    while (framed := (parent >= 0) & (cuts.turn[parent] == FRAMES)).any():
        parent = np.where(framed, parent[parent], parent)
    tops = [np.flatnonzero((parent < 0) & (cuts.turn == turn)).tolist() for turn in (TRIED, WORK, HELPERS, FRAMES)]
    if not with_rules:
        tops = [list(range(cuts.count))]
    children: list[list[int]] = [[] for _ in range(cuts.count)]
    for n, p in enumerate(parent.tolist()):
        if p >= 0:
            children[p].append(n)
    chosen = np.zeros(cuts.count, np.intp)
    best = (np.inf, np.empty(0, np.intp), chosen)
    order = None
    passes = _PASSES if cuts.count <= _MANY else _PASSES - 1
    for number in range(passes):
        breathe()
        at = options[np.arange(cuts.count), chosen]
        place = None if order is None else np.argsort(order)
        last = thorough and number == passes - 1
        made: list[int] = []
        for top in tops:
            its = np.array(_ordered(top, children, at, at[made[-1]] if made else home, place, last), np.intp)
            made += (_small_first(its, top, children, cuts, area) if with_rules else its).tolist()
        order = np.array(made, np.intp)
        chosen = _begun(options[order], cuts.closed[order], home, chosen, order)
        travel = _travel(options, chosen, order, cuts.closed, home)
        if travel < best[0]:
            best = travel, order, chosen.copy()
    travel, order, chosen = best
    rows = np.arange(cuts.count)
    at, ends = options[rows, chosen], _ends(options, chosen, cuts.closed)
    return Route(order, segment[rows, chosen], t[rows, chosen], at[order], ends[order], travel, naive_mm(cuts, home),
                 (float(home[0]), float(home[1])))


def naive_mm(cuts: Cuts, home) -> float:
    """Travel where every cut is made in the order of the file, from where it begins there."""
    begin = cuts.controls[cuts.starts[:-1], 0]
    end = np.where(cuts.closed[:, None], begin, cuts.controls[cuts.starts[1:] - 1, 3])
    steps = begin - np.concatenate([[home], end[:-1]])
    return float(np.hypot(*steps.T).sum())


def _ordered(siblings, children, at, home, place, thorough):
    """Cuts beside each other in a short order, each after all that lies within it; from the order that was before where
    there is one (``place`` of every cut in it)."""
    if not siblings:
        return []
    points = np.concatenate([[home], at[siblings]])
    order = tour.first_way(points) if place is None else np.concatenate([[0], np.argsort(place[siblings]) + 1])
    kicks = next((k for most, k in _KICKS if len(siblings) <= most), 0) if thorough else 0
    order = tour.shortened(points, order, kicks)[1:] - 1
    made, here = [], home
    for n in (siblings[k] for k in order.tolist()):
        made += [*_ordered(children[n], children, at, here, place, thorough), n]
        here = at[n]
    return made


def _small_first(order, top, children, cuts, area):
    """Small pieces moved before the large ones right beside them."""
    if len(top) < 2 or area[top].min() >= _SMALL_SHARE * area[top].max():
        return order
    low, high = np.array([_box(cuts, n) for n in top]).transpose(1, 0, 2)
    sizes = area[top]
    units = {n: _unit(n, children) for n in top}
    place = np.empty(cuts.count, np.intp)
    place[order] = np.arange(len(order))
    rank = place[top].astype(float)
    for k in np.argsort(sizes, kind="stable").tolist():
        near = (low <= high[k] + _NEAR_MM).all(1) & (high >= low[k] - _NEAR_MM).all(1)
        large = rank[near & (sizes * _SMALL_SHARE > sizes[k])]
        if len(large) and large.min() < rank[k]:
            before = rank[rank < large.min()].max(initial=large.min() - 1)
            rank[k] = (before + large.min()) / 2
    inside = {c for unit in units.values() for c in unit}
    sequence = [top[k] for k in np.argsort(rank, kind="stable").tolist()]
    return np.array([c for n in sequence for c in sorted(units[n], key=lambda c: place[c])]
                    + [n for n in order.tolist() if n not in inside], np.intp)


def _unit(n, children):
    made = [n]
    for child in children[n]:
        made += _unit(child, children)
    return made


def _box(cuts, n):
    controls = cuts.controls[cuts.starts[n]:cuts.starts[n + 1]].reshape(-1, 2)
    return controls.min(0), controls.max(0)


def _begun(options, closed, home, chosen, order):
    """(N,) by number: the beginning of each cut, so that travel in a given order is least (dynamic programming)."""
    count, places = options.shape[:2]
    ends = np.where(closed[:, None, None], options, options[:, np.arange(places) ^ 1])
    total = np.hypot(*(options[0] - home).T)
    came = np.zeros((count, places), np.intp)
    for n in range(1, count):
        step = np.hypot(*(options[n][:, None] - ends[n - 1][None]).transpose(2, 0, 1)) + total
        came[n] = step.argmin(1)
        total = step[np.arange(places), came[n]]
    made = chosen.copy()
    k = int(total.argmin())
    for n in range(count - 1, -1, -1):
        made[order[n]] = k
        k = int(came[n, k])
    return made


def _ends(options, chosen, closed):
    rows = np.arange(len(chosen))
    return np.where(closed[:, None], options[rows, chosen], options[rows, chosen ^ 1])


def _travel(options, chosen, order, closed, home):
    begin = options[np.arange(len(chosen)), chosen][order]
    end = _ends(options, chosen, closed)[order]
    return float(np.hypot(*(begin - np.concatenate([[home], end[:-1]])).T).sum())
