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
from sketchloom.core.layers.order_costs import LEAST_CUTTING, Faces, Weights, lowest_costs, subset_costs
from sketchloom.core.layers.order_showing import cost_of_order, slivers

EXACT_UP_TO = 16
"""Dynamic programming over all sets of colours: 65 536 sets of sixteen."""
MOST_FACES = 1500
"""Beyond so many faces pieces are not counted for all sets of many colours: it takes too long."""


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
