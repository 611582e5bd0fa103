"""A short way through places, from a fixed beginning: turned stretches and moved ones, all at once.

References
----------
Croes 1958 (2-opt); Or 1976 (Or-opt); Bentley 1992 (neighbour lists); Martin, Otto, Felten 1991 (large steps): a stretch
is turned round or moved where that shortens the way; many such moves that do not touch each other are made together.
"""

import numpy as np

from sketchloom.core.base.late import late
from sketchloom.core.base.progress import breathe

spatial = late("scipy.spatial")

_NEIGHBOURS = 8
_MOST_PASSES, _AFTER_KICK = 400, 30
"""Passes until no move shortens the way, and after a large step, which disturbs little."""
_LONGEST_MOVED = 3
_GAIN = 1e-9


def first_way(points) -> np.ndarray:
    """(N,) the order of places from the first one, each time on to the nearest that is left (greedy)."""
    points = np.asarray(points, float)
    count = len(points)
    order = np.empty(count, np.intp)
    left = np.ones(count, bool)
    tree, here = spatial.cKDTree(points), 0
    for n in range(count):
        order[n], left[here] = here, False
        if n == count - 1:
            break
        near = 8
        while True:
            found = np.atleast_1d(tree.query(points[here], min(near, count))[1])
            good = found[left[found]]
            if len(good) or near >= count:
                break
            near *= 4
        here = int(good[0]) if len(good) else int(np.flatnonzero(left)[0])
    return order


def shortened(points, order, kicks: int = 0, seed: int = 1) -> np.ndarray:
    """A way that no turn or move of a stretch shortens, and after so many ``kicks`` the shortest found.

    Parameters
    ----------
    points : (N, 2). order : (N,) of the places; the first stays the first, the last is free.
    """
    points, order = np.asarray(points, float), np.array(order, np.intp)
    if len(order) < 3:
        return order
    near = _neighbours(points)
    order = _descended(points, order, near)
    if len(order) < 8:
        return order
    rng, length = np.random.default_rng(seed), length_of(points, order)
    for number in range(kicks):
        if number % 16 == 0:
            breathe()
        tried = _descended(points, _kicked(order, rng), near, _AFTER_KICK)
        now = length_of(points, tried)
        if now < length - _GAIN:
            order, length = tried, now
    return order


def length_of(points, order) -> float:
    step = np.diff(np.asarray(points)[order], axis=0)
    return float(np.hypot(step[:, 0], step[:, 1]).sum())


def _neighbours(points):
    count = min(_NEIGHBOURS + 1, len(points))
    return spatial.cKDTree(points).query(points, count)[1].reshape(len(points), -1)[:, 1:]


def _kicked(order, rng):
    """Three stretches exchanged, none of them long (a double bridge)."""
    count = len(order)
    span = min(count - 1, 50)
    start = int(rng.integers(1, count - span + 1)) if count > span + 1 else 1
    a, b, c = np.sort(rng.choice(np.arange(start, min(start + span, count)), 3, replace=False))
    return np.concatenate([order[:a], order[b:c], order[a:b], order[c:]])


def _descended(points, order, near, passes=_MOST_PASSES):
    for _ in range(passes):
        gain, moves = _moves(points, order, near)
        if not len(gain):
            break
        order = _applied(order, gain, moves)
    return order


def _moves(points, order, near):
    """Every turn and move of a stretch along neighbours that shortens the way: gains, and (K, 4) kind, from, to, where.
    """
    count = len(order)
    place = np.empty(count, np.intp)
    place[order] = np.arange(count)
    xy = points[order]
    ahead = np.append(np.hypot(*np.diff(xy, axis=0).T), 0.0)  # from each place to the next; none after the last
    gains, moves = [], []
    i = np.repeat(np.arange(count), near.shape[1])
    j = place[near[order]].ravel()
    apart = np.hypot(*(xy[i] - xy[j]).T)
    # turned: after i comes j, what lies between runs the other way round
    first = (j > i + 1) & (apart < ahead[i])
    _add(gains, moves, first, _turn_gain(xy, ahead, i[first], j[first], apart[first]), 0, i + 1, j, i)
    # the same seen from its end: the one after i comes after the one after j
    back = (j < i - 1) & (i > 0)
    k, m = j[back], i[back]
    closing = np.hypot(*(xy[k + 1] - xy[np.minimum(m + 1, count - 1)]).T) * (m + 1 < count)
    # stretch k + 1 .. m turned, so that k meets m
    gain = ahead[k] + ahead[m] - apart[back] - closing
    _put(gains, moves, gain, 0, k + 1, m, k)
    for size in range(1, _LONGEST_MOVED + 1):
        for at_start in (True, False):
            _add_moved(gains, moves, xy, ahead, i, j, apart, size, at_start)
    if not gains:
        return np.empty(0), np.empty((0, 5), np.intp)
    return np.concatenate(gains), np.concatenate(moves)


def _turn_gain(xy, ahead, i, j, apart):
    last = j + 1 >= len(xy)
    closing = np.where(last, 0.0, np.hypot(*(xy[i + 1] - xy[np.minimum(j + 1, len(xy) - 1)]).T))
    return ahead[i] + ahead[j] - apart - closing


def _add(gains, moves, chosen, gain, kind, start, end, where):
    _put(gains, moves, gain, kind, start[chosen], end[chosen], where[chosen])


def _put(gains, moves, gain, kind, start, end, where, turned=0):
    good = gain > _GAIN
    gains.append(gain[good])
    kinds = np.full(np.count_nonzero(good), kind)
    moves.append(np.column_stack([kinds, start[good], end[good], where[good], np.full(len(kinds), turned)]))


def _add_moved(gains, moves, xy, ahead, i, j, apart, size, at_start):
    """A stretch of ``size`` that begins (or ends) at i put beside j, before or after it, either way round."""
    count = len(xy)
    start = i if at_start else i - size + 1
    end = start + size - 1
    good = (start > 0) & (end < count) & ((j < start - 1) | (j > end))
    start, end, at, one = start[good], end[good], j[good], i[good]
    far = np.where(one == start, end, start)
    near_step = apart[good]
    before, after = start - 1, np.minimum(end + 1, count - 1)
    closing = np.where(end + 1 < count, np.hypot(*(xy[before] - xy[after]).T), 0.0)
    taken = ahead[before] + np.where(end + 1 < count, ahead[end], 0.0) - closing
    # after j: j, one ... far, the one after j
    other = np.minimum(at + 1, count - 1)
    far_step = np.where(at + 1 < count, np.hypot(*(xy[far] - xy[other]).T), 0.0)
    free = (at != before) & (at + 1 != start)
    gain = np.where(free, taken - near_step - far_step + np.where(at + 1 < count, ahead[at], 0.0), -1.0)
    _put(gains, moves, gain, 1, start, end, at, 0 if at_start else 1)
    # before j: the one before j, far ... one, j
    ok = (at > 0) & (at - 1 != end)
    other = np.maximum(at - 1, 0)
    far_step = np.hypot(*(xy[far] - xy[other]).T)
    gain = np.where(ok, taken - near_step - far_step + ahead[other], -1.0)
    _put(gains, moves, gain, 1, start, end, other, 1 if at_start else 0)


def _applied(order, gain, moves):
    """As many moves as do not touch each other, the best first."""
    best = np.argsort(-gain, kind="stable")[:4000]
    kind, start, end, where, turned = moves[best].T
    low = np.where(kind == 0, start - 1, np.minimum(start - 1, where))
    high = np.where(kind == 0, end + 1, np.maximum(end + 1, where + 1))
    used = np.zeros(len(order) + 2, bool)
    chosen = []
    for n, (a, b) in enumerate(zip(low.tolist(), high.tolist(), strict=True)):
        if not used[a:b + 1].any():
            used[a:b + 1] = True
            chosen.append(n)
    order = order.copy()
    for n in chosen:
        a, b, w = int(start[n]), int(end[n]), int(where[n])
        if kind[n] == 0:
            order[a:b + 1] = order[a:b + 1][::-1]
            continue
        stretch = order[a:b + 1][::-1] if turned[n] else order[a:b + 1]
        if w > b:
            order[a:w + 1] = np.concatenate([order[b + 1:w + 1], stretch])
        else:
            order[w + 1:b + 1] = np.concatenate([stretch, order[w + 1:a]])
    return order
