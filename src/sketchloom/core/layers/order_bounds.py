"""How good an order of sheets can be: the few best ones, exactly, and a bound where there are too many colours for
that."""

import numpy as np


def few_best(cost, count: int, most: int, apart: float = 1e-6, lowest_cost=None) -> list[tuple[tuple[int, ...], float]]:
    """Up to ``most`` orders, base first, with their costs, the best first; no two of one cost.

    Parameters
    ----------
    cost : (2^count,) cost of the sheet that is solid on each set of colours, as of ``order_costs.subset_costs``.
    apart : costs that differ by a smaller share are one. lowest_cost : (count, 2^count) what more a set costs where a
    colour lies lowest in it, as of ``order_costs.lowest_costs``.

    Notes
    -----
    The dynamic programme over subsets (form of Held, Karp 1962) with the few best ways to each set in place of the
    best, 2^n n steps of ``most``; ways of one cost to one set count once, so what is found is exact.
    """
    best = np.full((1 << count, most), np.inf)
    best[0, 0] = 0.0
    lowest, rank = np.zeros((1 << count, most), np.int8), np.zeros((1 << count, most), np.int8)
    subsets = np.arange(1 << count)
    size = np.bitwise_count(subsets)
    for members in range(1, count + 1):
        layer = subsets[size == members]
        has = (layer[:, None] >> np.arange(count)) & 1 == 1
        before = layer[:, None] ^ (1 << np.arange(count))
        ways = np.where(has[..., None], best[np.where(has, before, 0)], np.inf) + cost[layer][:, None, None]
        if lowest_cost is not None:
            ways = ways + lowest_cost[:, layer].T[..., None]
        ways = ways.reshape(len(layer), count * most)
        order = np.argsort(ways, 1, kind="stable")
        ways = np.take_along_axis(ways, order, 1)
        # of ways of one cost the first is kept
        with np.errstate(invalid="ignore"):
            new = np.diff(ways, axis=1, prepend=-np.inf) > apart * np.maximum(np.abs(ways), 1e-12)
        place = np.cumsum(new, 1) - 1
        for k in range(most):
            at = (place == k) & new & np.isfinite(ways)
            row = np.flatnonzero(at.any(1))
            column = at[row].argmax(1)
            chosen = order[row, column]
            best[layer[row], k] = ways[row, column]
            lowest[layer[row], k], rank[layer[row], k] = chosen // most, chosen % most
    full = (1 << count) - 1
    found: list[tuple[tuple[int, ...], float]] = []
    for k in range(most):
        if not np.isfinite(best[full, k]):
            break
        base_first: list[int] = []
        rest, r = full, k
        while rest:
            base_first.append(int(lowest[rest, r]))
            rest, r = rest ^ (1 << base_first[-1]), int(rank[rest, r])
        found.append((tuple(base_first), float(best[full, k])))
    return found


def least_cost(boundary, area, cutting: float, film: float) -> float:
    """A cost that no order is below, whatever its number of colours.

    An edge to what is not cut is cut on every sheet up to its colour's, (place + 1) times; an edge between two
    colours as often as their places differ. The first are least when the longest lie lowest (rearrangement
    inequality). Around one colour
    no more than two others are 1 away, two 2 away and so on; each pair is seen from both sides. Film as the first.
    """
    boundary, area = np.asarray(boundary, float), np.asarray(area, float)
    count = len(area)
    places = np.arange(1, count + 1)
    outer = float(np.sort(boundary[:-1, -1])[::-1] @ places)
    inner = -np.sort(-boundary[:-1, :-1], axis=1)[:, :count - 1]
    steps = (np.arange(count - 1) // 2 + 1).astype(float)
    between = 0.5 * float((inner * steps).sum())
    return cutting * (outer + between) + film * float(np.sort(area)[::-1] @ places)
