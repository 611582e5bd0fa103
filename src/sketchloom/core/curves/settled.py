"""Chains of cubics settled on their points: those that miss all the same are divided, and all settle again."""

from dataclasses import dataclass, replace

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.curves.free_cubics import free_cubics, strays
from sketchloom.core.curves.knot_search import LEAST_POINTS
from sketchloom.core.curves.least_squares import misses, newton, travelled
from sketchloom.core.curves.polish import Chains, polished

_SETTLED_MAY_MISS = 1.15
"""Shares of the tolerance by which a cubic may miss that was settled with all its run: it lies in the middle of its
points, where one that was grown may lie anywhere within the tolerance."""
_SOME, _SOME_MAY_MISS = 0.06, 1.6
"""This share of a cubic's points may be missed by so many tolerances: where a renderer's steps, a corner nearby or an
extreme push a few aside, it is them and not the outline that leave the curve."""
DIVISIONS = 4
"""Times that cubics which miss once all have settled are divided, and all settle again."""
_FEW_MAY_MISS = 5.0


@dataclass(frozen=True, slots=True, eq=False)
class Settled:
    """Cubics of ``chains`` once they have settled, by how much each misses, px, and whether no more than it may."""

    chains: Chains
    controls: np.ndarray
    miss: np.ndarray
    kept: np.ndarray


def settle(trail, chains, tolerance, divisions=DIVISIONS) -> Settled:
    """Chains settled; where cubics miss all the same they are divided, and their chains settle again."""
    done, ends = [], chains
    of = np.arange(len(chains.starts) - 1)
    for turn in range(divisions + 1):
        controls = polished(trail, chains)
        miss, kept = how_missed(trail, chains, controls, tolerance)
        split = ~kept & (chains.last - chains.first >= 2 * LEAST_POINTS)
        again = np.logical_or.reduceat(split, chains.starts[:-1]) & (turn < divisions)
        run = ragged.owner(chains.starts)
        ready = ~again[run]
        done.append((of[run][ready], chains.first[ready], chains.last[ready], controls[ready], miss[ready],
                     kept[ready]))
        if not again.any():
            break
        chains, of = _divided(trail, chains, controls, split, again, tolerance), of[again]
    run, first, last, controls, miss, kept = (np.concatenate([d[k] for d in done]) for k in range(6))
    order = np.lexsort((first, run))
    chains = replace(ends, first=first[order], last=last[order], controls=controls[order],
                     starts=np.searchsorted(run[order], np.arange(len(ends.starts))))
    return Settled(chains, controls[order], miss[order], kept[order])


def _divided(trail, chains, controls, split, again, tolerance):
    """Those chains that settle ``again``, with the cubics divided that are to be ``split``."""
    inside, starts = ragged.take(chains.starts, np.flatnonzero(again))
    two = split[inside]
    first = np.repeat(chains.first[inside], 1 + two)
    last = np.repeat(chains.last[inside], 1 + two)
    body = np.repeat(controls[inside], 1 + two, axis=0)
    fresh = np.repeat(two, 1 + two)
    before = np.cumsum(1 + two)[two] - 2
    middle = (first[before] + last[before]) // 2
    last[before] = first[before + 1] = middle
    body[fresh], _ = free_cubics(trail, first[fresh], last[fresh], tolerance)
    return Chains(first, last, body, np.append(0, np.cumsum(1 + two))[starts], chains.leave[again],
                  chains.arrive[again], chains.smooth_first[again], chains.smooth_last[again])


def how_missed(trail, chains, controls, tolerance):
    """By how much each cubic misses its points, px, and whether that is within what they scatter."""
    lengths = chains.last - chains.first + 1
    starts = ragged.lengths_to_starts(lengths)
    index = np.arange(starts[-1]) + np.repeat(chains.first - starts[:-1], lengths)
    xy = trail.xy[index]
    # the ends are wherever the node has come to
    t, total = travelled(xy, starts, lengths)
    x, y = np.ascontiguousarray(xy[:, 0]), np.ascontiguousarray(xy[:, 1])
    for _ in range(4):
        t = newton(controls, lengths, x, y, t)
    each = np.where(trail.trust[index], misses(controls, xy, t, starts), 0.0)
    miss = np.maximum.reduceat(each, starts[:-1])
    over = np.add.reduceat((each > tolerance).astype(float), starts[:-1])
    few = lengths <= 4
    most = np.where(few, _FEW_MAY_MISS, np.where(over <= _SOME * lengths, _SOME_MAY_MISS, _SETTLED_MAY_MISS))
    return miss, (miss <= most * tolerance) & ~strays(controls, total)
