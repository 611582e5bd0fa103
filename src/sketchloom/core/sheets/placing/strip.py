"""Bodies in a strip of one height and least length: what a roll, or one long carrier, takes."""

from collections.abc import Iterator

import numpy as np

from sketchloom.core.sheets.placing.nofit import Body
from sketchloom.core.sheets.placing.search import Bin, Layout, Search

_SHRINKS = (0.06, 0.03, 0.015, 0.006)
"""By which share a strip is made shorter; the next smaller one when it could not be done."""
_ROUNDS, _SLACK_PX = 100, 0.5
"""Rounds of moves in which overlaps are to go, on a rough raster that does not see what is less deep: that goes on a
fine one."""
_FINER, _NEAR_PX, _FINE_ROUNDS = 4, 6, 60
_FINE_SHRINKS = (0.008, 0.003, 0.001)
_AGAIN, _ALL_SHARE, _SOME_SHARE = 0.006, 0.3, 0.3
"""Tries anew: so much shorter than the best; a part of the bodies, or in a share of the tries all, begin anywhere."""


def shortest_strip(bodies: list[Body], high_mm: float, step: float, seed: int = 1
                   ) -> Iterator[tuple[Search, Layout]]:
    """Ever shorter strips of one height with all bodies in them: after every round of moves the best so far, with the
    search that its places are of; ends when nothing gets shorter. The same seed gives the same strips.

    Raises
    ------
    ValueError : a body is higher than the strip.
    """
    first = Search(bodies, step, seed)
    order = sorted(range(len(bodies)), key=lambda n: (-bodies[n].area_mm2, n))
    long = sum(max(f.box[2] - f.box[0] for f in body.forms) for body in bodies) + step * (len(bodies) + 1)
    best = first.first_places(order, [Bin(long, high_mm)])
    if (best.bin < 0).any():
        raise ValueError("a body is higher than the strip")
    yield first, best
    rough, (fine, best) = Search(bodies, step, seed, slack_px=_SLACK_PX), first.finer(_FINER, best)
    shrinks, shaken = list(_SHRINKS), 0.0
    while True:
        shrink = shrinks[0] if shrinks else _AGAIN
        bin_ = Bin(fine.length(best) * (1 - shrink), high_mm)
        found = None
        begun = _pushed_in(rough, _shaken(rough, _rougher(best), shaken), bin_, None)
        for got in rough.separate(begun, [bin_], _ROUNDS):
            yield fine, best
            found = got
        if found is not None:
            begun, found = Layout(found.bin, found.x * _FINER, found.y * _FINER, found.turn), None
            for got in fine.separate(_pushed_in(fine, begun, bin_, _NEAR_PX), [bin_], _FINE_ROUNDS, _NEAR_PX):
                yield fine, best
                found = got
        if found is not None:
            best = found
            for shorter in _shrunk(fine, best, high_mm):
                best = shorter
                yield fine, best
        elif shrinks:
            shrinks.pop(0)
        else:
            shaken = 1.0 if rough.rng.random() < _ALL_SHARE else rough.rng.uniform(0, _SOME_SHARE)


def _rougher(at):
    return Layout(at.bin.copy(), np.round(at.x / _FINER).astype(np.intp), np.round(at.y / _FINER).astype(np.intp),
                  at.turn.copy())


def _shaken(search, at, share):
    """A layout with a share of the bodies put anywhere."""
    count = len(search.bodies)
    for n in search.rng.permutation(count)[:int(np.ceil(share * count))].tolist():
        at.x[n] = np.iinfo(np.int32).max  # sticks out: it is put elsewhere
    return at


def _shrunk(search, best, high_mm):
    """The best so far, round by round, shorter and shorter by small moves."""
    for shrink in _FINE_SHRINKS:
        while True:
            bins = [Bin(search.length(best) * (1 - shrink), high_mm)]
            found = None
            for got in search.separate(_pushed_in(search, best, bins[0], _NEAR_PX), bins, _FINE_ROUNDS, _NEAR_PX):
                found = got
                yield best
            if found is None:
                break
            best = found
            yield best


def _pushed_in(search, at, bin_, near_px):
    """A layout in a shorter bin: what lies right of a line drawn by lot moves left by as much as the bin is shorter,
    and what sticks out all the same is put anywhere, or where it sticks out least."""
    made = at.copy()
    inside = made.x < bin_.wide / search.step * 4
    over = search.length(Layout(np.where(inside, made.bin, -1), made.x, made.y, made.turn)) - bin_.wide
    if over > 0:
        right = inside & (made.x > search.rng.uniform(0, bin_.wide / search.step))
        made.x[right] -= int(np.ceil(over / search.step))
    for n in range(len(search.bodies)):
        window = search.reach(n, int(made.turn[n]), bin_)
        if (inside[n] and near_px is not None) or (window[0] <= made.x[n] <= window[1] + _NEAR_PX):
            made.x[n] = np.clip(made.x[n], window[0], max(window[1], window[0]))
        else:
            turns = [(t, w) for t in range(len(search.bodies[n].forms))
                     if (w := search.reach(n, t, bin_))[1] >= w[0] and w[3] >= w[2]]
            if turns:
                turn, (x0, x1, y0, y1) = turns[search.rng.integers(len(turns))]
                made.turn[n], made.x[n] = turn, search.rng.integers(x0, x1 + 1)
                made.y[n] = search.rng.integers(y0, y1 + 1)
    return made
