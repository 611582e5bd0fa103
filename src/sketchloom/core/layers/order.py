"""Depth order of colours with the least cutting.

Sheet k of a stack is solid wherever depth k or more is seen, so its outline depends only on
the set of colours at or above it. The order with the least sum over all sheets is exact by
dynamic programming over subsets, 2^n n steps (the form of Held, Karp 1962).
"""

from dataclasses import dataclass

import numpy as np

EXACT_UP_TO = 16


@dataclass(frozen=True, slots=True, eq=False)
class DepthOrder:
    """``order`` colour numbers, base first; ``length`` of all cuts; ``exact`` or only good."""

    order: tuple[int, ...]
    length: float
    exact: bool


def stacked_length(boundary, order) -> float:
    """Total cutting of a stack: every sheet's outline, in the unit of ``boundary``.

    ``boundary`` (n + 1, n + 1) symmetric lengths between colours; the last row is what is
    not cut (ground and outside).
    """
    inside = np.zeros(len(boundary), bool)
    total = 0.0
    for colour in reversed(order):
        inside[colour] = True
        total += boundary[np.ix_(inside, ~inside)].sum()
    return float(total)


def best_order(boundary, area) -> DepthOrder:
    """The order of least cutting; of equal ones the one with large areas low.

    Parameters
    ----------
    boundary : (n + 1, n + 1) shared lengths, the last row the ground.
    area : (n,) areas, used only to decide between orders of equal length.
    """
    boundary = np.asarray(boundary, float)
    count = len(boundary) - 1
    if count == 0:
        return DepthOrder((), 0.0, True)
    tie = 1e-7 * boundary.sum() / max(float(np.sum(area)), 1.0)
    order = _exact(boundary, area, tie) if count <= EXACT_UP_TO else _by_insertion(boundary, area, tie)
    return DepthOrder(order, stacked_length(boundary, order), count <= EXACT_UP_TO)


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


def _exact(boundary, area, tie):
    count = len(boundary) - 1
    cost = _subset_costs(boundary, area, tie)
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
            better = candidate < best[has] - 1e-12
            best[has[better]] = candidate[better]
            lowest[has[better]] = c
    order, rest = [], (1 << count) - 1
    while rest:
        order.append(int(lowest[rest]))
        rest ^= 1 << order[-1]
    return tuple(order)


def _by_insertion(boundary, area, tie):
    """Beyond the exact limit: start with large areas low, then move single colours while it helps."""
    weigh = lambda order: stacked_length(boundary, order) + tie * sum(  # noqa: E731
        (i + 1) * area[c] for i, c in enumerate(order))
    order = list(np.argsort(-np.asarray(area), kind="stable"))
    best = weigh(order)
    improved = True
    while improved:
        improved = False
        for colour in list(order):
            rest = [c for c in order if c != colour]
            trials = [rest[:i] + [colour] + rest[i:] for i in range(len(order))]
            lengths = [weigh(t) for t in trials]
            if min(lengths) < best - 1e-9:
                best, order, improved = min(lengths), trials[int(np.argmin(lengths))], True
    return tuple(int(c) for c in order)
