"""Depth order of colours with the least cutting.

Sheet k of a stack is solid wherever depth k or more is seen, so its outline depends only on the set of colours at or
above it. The order with the least sum over all sheets is exact by dynamic programming over subsets, 2^n n steps (the
form of Held, Karp 1962).
"""

from dataclasses import dataclass

import numpy as np
from scipy.sparse import csr_array
from scipy.sparse.csgraph import connected_components

from sketchloom.core.layers import order_bounds
from sketchloom.core.layers.order_showing import LITTLE, cost_of_order, slivers

EXACT_UP_TO = 16
"""Dynamic programming over all sets of colours: 65 536 sets of sixteen."""
MOST_FACES = 1500
"""Beyond so many faces pieces are not counted for all sets of many colours: it takes too long."""
_CHUNK = 4096
"""Sets counted at once, for memory."""


@dataclass(frozen=True, slots=True, eq=False)
class DepthOrder:
    """``order`` colour numbers, base first; ``length`` of all cuts; ``exact`` or only good, then at most by the share
    ``gap`` dearer than the best."""

    order: tuple[int, ...]
    length: float
    exact: bool
    gap: float = 0.0


def stacked_length(boundary, order) -> float:
    """Total cutting of a stack: every sheet's outline, in the unit of ``boundary``.

    ``boundary`` (n + 1, n + 1) symmetric lengths between colours; the last row is what is not cut (ground, outside).
    """
    inside = np.zeros(len(boundary), bool)
    total = 0.0
    for colour in reversed(order):
        inside[colour] = True
        total += boundary[np.ix_(inside, ~inside)].sum()
    return float(total)


@dataclass(frozen=True, slots=True)
class Weights:
    """What an order is to save: cutting counts by its length, each piece as so much cutting, each unit of film as so
    much; ``mislaid`` each unit of edge where a third colour shows as soon as a sheet is laid amiss; ``little`` each
    unit of film of sheets of which hardly anything is seen. The last two need the colours."""

    cutting: float = 1.0
    piece: float = 0.0
    film: float = 0.0
    mislaid: float = 0.0
    little: float = 0.0


LEAST_CUTTING = Weights()


@dataclass(frozen=True, slots=True, eq=False)
class Faces:
    """Faces of which pieces are made: ``colour`` (F,) number, -1 for ground; ``one``, ``two`` (E,) pairs that touch."""

    colour: np.ndarray
    one: np.ndarray
    two: np.ndarray


def best_order(boundary, area, weights: Weights = LEAST_CUTTING, faces: Faces | None = None, above=(),
               lab=None) -> DepthOrder:
    """The order of least weighted cost, of least cutting if nothing else is said; of equal ones the one with large
    areas low.

    Parameters
    ----------
    boundary : (n + 1, n + 1) shared lengths, the last row the ground.
    area : (n,) areas; also decide between orders of equal cost.
    faces : needed where pieces count.
    above : pairs (upper, lower) of colours; rules that contradict earlier ones are passed over.
    lab : (n + 1, 3) CIELAB of the colours and of what they are laid on, where mislaying counts.

    Notes
    -----
    Exact up to EXACT_UP_TO colours. Where pieces count, also no more than MOST_FACES faces beyond 12 colours; else
    single colours are moved while it helps, and the gap is to ``order_bounds.least_cost``.
    """
    boundary = np.asarray(boundary, float)
    count = len(boundary) - 1
    if count == 0:
        return DepthOrder((), 0.0, True)
    above = consistent(above, count)
    tie = 1e-7 * boundary.sum() / max(float(np.sum(area)), 1.0)
    with_pieces = weights.piece > 0 and faces is not None
    film = weights.film + tie
    gap = 0.0
    shown = None if lab is None or not (weights.mislaid or weights.little) else slivers(boundary, lab)
    if exact := is_exact(count, weights, faces):
        order = _exact(subset_costs(boundary, area, weights, faces, above), count,
                       None if shown is None else lowest_costs(shown, area, weights.mislaid, weights.little))
    else:
        def weigh(order):
            total = (weights.cutting or 1e-6) * stacked_length(boundary, order) + film * sum(
                (i + 1) * area[c] for i, c in enumerate(order)
            )
            total += weights.piece * _pieces_of_order(faces, order) if with_pieces else 0.0
            return total + (0.0 if shown is None else cost_of_order(order, shown, area, weights.mislaid,
                                                                    weights.little))
        order = _by_insertion(area, weigh, above)
        least = order_bounds.least_cost(boundary, area, weights.cutting or 1e-6, film) + (
            weights.piece * count if with_pieces else 0.0
        )
        gap = max(weigh(order) / max(least, 1e-12) - 1.0, 0.0)
    return DepthOrder(order, stacked_length(boundary, order), exact, gap)


def is_exact(count: int, weights: Weights, faces: Faces | None) -> bool:
    """Whether all orders are looked at."""
    return count <= EXACT_UP_TO and not (
        weights.piece > 0 and faces is not None and count > 12 and len(faces.colour) > MOST_FACES
    )


def subset_costs(boundary, area, weights: Weights, faces: Faces | None = None, above=()) -> np.ndarray:
    """(2^n,) weighted cost of the sheet that is solid on each set of colours, infinite for sets that rules forbid."""
    count = len(boundary) - 1
    parts = subset_parts(boundary, area, faces if weights.piece > 0 else None)
    return weighed(parts, weights, 1e-7 * boundary.sum() / max(float(np.sum(area)), 1.0), count, above)


def subset_parts(boundary, area, faces: Faces | None = None):
    """(2^n,) cutting, film and pieces of every set of colours; pieces None without faces."""
    return (
        _subset_costs(boundary, area, 0.0),
        _subset_sums(area),
        None if faces is None else subset_pieces(faces, len(boundary) - 1),
    )


def weighed(parts, weights: Weights, tie: float, count: int, above=()) -> np.ndarray:
    """(2^n,) weighted cost of the parts of ``subset_parts``; ``tie`` a trace of film that decides between equal ones.
    """
    cutting, film, pieces = parts
    cost = (weights.cutting or 1e-6) * cutting + film * (weights.film + tie)
    if weights.piece > 0 and pieces is not None:
        cost = cost + weights.piece * pieces
    subsets = np.arange(1 << count)
    for upper, lower in above:  # a sheet that carries the lower one carries the upper one, too
        cost[((subsets >> lower) & 1 == 1) & ((subsets >> upper) & 1 == 0)] = np.inf
    return cost


def consistent(above, count: int) -> tuple[tuple[int, int], ...]:
    """Rules (upper, lower) without those that contradict earlier ones."""
    reach = np.eye(count, dtype=bool)  # reach[a, b]: a lies above b
    kept = []
    for upper, lower in above:
        if upper == lower or reach[lower, upper]:
            continue
        kept.append((upper, lower))
        reach |= np.outer(reach[:, upper], reach[lower])
    return tuple(kept)


def subset_pieces(faces: Faces, count: int) -> np.ndarray:
    """(2^count,) connected pieces of every set of colours.

    All sets at once: a face's label sinks to the lowest that it touches within each set, in sweeps forwards and
    backwards over the pairs until nothing changes.
    """
    kept = np.flatnonzero(faces.colour >= 0)
    number = np.full(len(faces.colour), -1)
    number[kept] = np.arange(len(kept))
    colour = faces.colour[kept]
    inner = (number[faces.one] >= 0) & (number[faces.two] >= 0)
    pairs = np.unique(np.sort(np.stack([number[faces.one][inner], number[faces.two][inner]], -1), 1), axis=0)
    out = np.zeros(1 << count, np.int64)
    for begin in range(0, 1 << count, _CHUNK):
        subsets = np.arange(begin, min(begin + _CHUNK, 1 << count))
        out[subsets] = _pieces_in(subsets, colour, pairs)
    return out


def _pieces_in(subsets, colour, pairs):
    there = (subsets >> colour[:, None]) & 1 == 1
    kind = np.int16 if len(colour) < 2**15 else np.int32
    label = np.repeat(np.arange(len(colour), dtype=kind)[:, None], len(subsets), 1)
    sweep = [(a, b, there[a] & there[b]) for a, b in pairs.tolist()]
    low = np.empty(len(subsets), kind)
    before = None
    while True:
        for a, b, valid in sweep:
            np.minimum(label[a], label[b], out=low)
            np.copyto(label[a], low, where=valid)
            np.copyto(label[b], low, where=valid)
        sweep.reverse()
        now = int(label.sum(dtype=np.int64))
        if now == before:
            break
        before = now
    return ((label == np.arange(len(colour))[:, None]) & there).sum(0)


def _pieces_of_order(faces, order):
    level = np.full(int(faces.colour.max(initial=0)) + 2, -1)
    for place, colour in enumerate(order):
        level[colour] = place
    depth = np.where(faces.colour < 0, -1, level[faces.colour])
    total = 0
    for k in range(len(order)):
        inside = depth >= k
        use = inside[faces.one] & inside[faces.two]
        graph = csr_array((np.ones(int(use.sum()), np.int8), (faces.one[use], faces.two[use])), shape=(len(depth),) * 2)
        total += connected_components(graph, directed=False, return_labels=False) - int((~inside).sum())
    return total


def _subset_sums(values):
    total = np.zeros(1)
    for value in values:
        total = np.concatenate([total, total + value])
    return total


def _subset_costs(boundary, area, tie):
    """Outline of every subset of colours, with a trace of its area, (2^n,)."""
    count = len(boundary) - 1
    degree = boundary.sum(1) - np.diag(boundary)
    cost = np.zeros(1)
    for b in range(count):
        to_b = np.zeros(1)
        for j in range(b):
            to_b = np.concatenate([to_b, to_b + boundary[b, j]])
        cost = np.concatenate([cost, cost + degree[b] - 2 * to_b + tie * area[b]])
    return cost


def lowest_costs(shown, area, mislaid: float, little: float) -> np.ndarray:
    """(n, 2^n) what each set costs beside cutting, pieces and film where a colour lies lowest in it.

    ``shown`` as of ``order_showing.slivers``.
    """
    area = np.asarray(area, float)
    laid = _subset_sums(area)
    made = np.stack([little * (laid - own) * (own < LITTLE * laid) for own in area])
    if mislaid > 0:
        made += mislaid * np.stack([_subset_costs(lengths, area, 0.0) for lengths in shown])
    return made


def _exact(cost, count, lowest_cost=None):
    subsets = np.arange(1 << count)
    size = np.bitwise_count(subsets)
    best = np.full(1 << count, np.inf)
    best[0] = 0.0
    lowest = np.zeros(1 << count, np.int8)
    for members in range(1, count + 1):
        layer = subsets[size == members]
        for c in range(count):
            has = layer[(layer >> c) & 1 == 1]
            candidate = best[has ^ (1 << c)] + cost[has]
            if lowest_cost is not None:
                candidate += lowest_cost[c, has]
            better = candidate < best[has] - 1e-12
            best[has[better]] = candidate[better]
            lowest[has[better]] = c
    order, rest = [], (1 << count) - 1
    while rest:
        order.append(int(lowest[rest]))
        rest ^= 1 << order[-1]
    return tuple(order)


def _obeys(order, above):
    place = {c: n for n, c in enumerate(order)}
    return all(place[upper] > place[lower] for upper, lower in above)


def _by_insertion(area, weigh, above=()):
    """Beyond the exact limit: start with large areas low, then move single colours while it helps."""
    order, left = [], list(np.argsort(-np.asarray(area), kind="stable").tolist())
    while left:  # the largest first of which nothing has to lie below that is still left
        chosen = next(c for c in left if not any(upper == c and lower in left for upper, lower in above))
        order.append(chosen)
        left.remove(chosen)
    best = weigh(order)
    improved = True
    while improved:
        improved = False
        for colour in list(order):
            rest = [c for c in order if c != colour]
            trials = [[*rest[:i], colour, *rest[i:]] for i in range(len(order))]
            trials = [t for t in trials if _obeys(t, above)]
            lengths = [weigh(t) for t in trials]
            if min(lengths) < best - 1e-9:
                best, order, improved = min(lengths), trials[int(np.argmin(lengths))], True
    return tuple(int(c) for c in order)
