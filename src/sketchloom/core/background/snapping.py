"""A line that follows edges from one place to another."""

import cv2
import numpy as np
from scipy.sparse import csr_array
from scipy.sparse.csgraph import dijkstra

from sketchloom.core.picture.picture import Picture

_WORK_PX = 700
"""Long side of the picture that edges are followed in; a hand points no finer."""
_MARGIN = 24
"""Room around two clicks, work px, within which an edge between them may swing out."""
_FLAT_COST = 1.0
"""Cost of a step where nothing changes."""
_EDGE_COST = 0.02
"""Cost of a step along a strong edge: so many times cheaper that a detour along it pays."""
_AT_ONCE = 12_000
"""Pixels searched in one go, 10 ms: a wider search finds its way in a picture of half the size first, since it runs
with every movement of the hand."""
_BAND = 5
"""Room beside a way found in the picture of half the size, within which the finer one is sought, px."""


class EdgePaths:
    """Cheapest ways along the edges of one picture.

    References
    ----------
    Mortensen, Barrett 1995, "Intelligent scissors for image composition": shortest paths where
    strong edges cost little.
    """

    def __init__(self, picture: Picture):
        small = picture.reduced(_WORK_PX)
        lab = cv2.cvtColor(cv2.GaussianBlur(small.rgb, (0, 0), 1.0).astype(np.float32) / 255, cv2.COLOR_RGB2Lab)
        size = np.sqrt(sum(cv2.Sobel(lab, cv2.CV_32F, *way) ** 2 for way in ((1, 0), (0, 1))).sum(-1))
        strong = np.percentile(size, 99) or 1.0
        self._costs = [np.maximum(_FLAT_COST - np.clip(size / strong, 0, 1) * (_FLAT_COST - _EDGE_COST), _EDGE_COST)]
        while min(self._costs[-1].shape) > 4 * _MARGIN:
            fine = self._costs[-1]
            fine = np.pad(fine, [(0, n % 2) for n in fine.shape], mode="edge")
            # the cheapest of four: a thin edge stays an edge
            self._costs.append(np.minimum.reduce([fine[y::2, x::2] for y in (0, 1) for x in (0, 1)]))

    def between(self, start, end) -> tuple[tuple[float, float], ...]:
        """Places from one to another, in shares of the sides, both included."""
        height, width = self._costs[0].shape
        size = np.array([width, height])
        a, b = (np.clip((np.array(p) * size).astype(int), 0, size - 1) for p in (start, end))
        way = self._way(0, a, b)
        inner = (way + 0.5) / size
        return (tuple(start), *(tuple(float(v) for v in p) for p in inner[1:-1:2]), tuple(end))

    def _way(self, level: int, a, b) -> np.ndarray:
        """Pixels from one to another in the picture halved ``level`` times, as x and y, int."""
        cost = self._costs[level]
        margin = max(_MARGIN >> level, 2)
        low = np.maximum(np.minimum(a, b) - margin, 0)
        high = np.minimum(np.maximum(a, b) + margin + 1, cost.shape[::-1])
        box = cost[low[1]:high[1], low[0]:high[0]]
        allowed = np.ones(box.shape, np.uint8)
        if box.size > _AT_ONCE and level + 1 < len(self._costs):
            coarse = self._way(level + 1, a // 2, b // 2) * 2 + 1 - low
            allowed[:] = 0
            cv2.polylines(allowed, [coarse.astype(np.int32)], False, 1, 2 * _BAND + 1)
            allowed[tuple((a - low)[::-1])] = allowed[tuple((b - low)[::-1])] = 1
        y, x = _cheapest(box, allowed > 0, tuple((a - low)[::-1]), tuple((b - low)[::-1]))
        return np.stack([x, y], -1) + low


def _cheapest(cost, allowed, first, last):
    """Rows and columns of the cheapest way through the allowed pixels from one to another, in eight directions."""
    number = np.full(cost.shape, -1)
    number[allowed] = np.arange(np.count_nonzero(allowed))
    rows, cols, weights = [], [], []
    for dy, dx in ((0, 1), (1, 0), (1, 1), (1, -1)):
        here = (slice(0, cost.shape[0] - dy), slice(max(0, -dx), cost.shape[1] - max(0, dx)))
        there = (slice(dy, None), slice(max(0, dx), cost.shape[1] + min(0, dx)))
        both = allowed[here] & allowed[there]
        rows.append(number[here][both])
        cols.append(number[there][both])
        weights.append(0.5 * (cost[here][both] + cost[there][both]) * np.hypot(dx, dy))
    graph = csr_array(
        (np.concatenate(weights), (np.concatenate(rows), np.concatenate(cols))), shape=(number.max() + 1,) * 2
    )
    start, at = number[first], number[last]
    _, before = dijkstra(graph, directed=False, indices=start, return_predecessors=True)
    path = [int(at)]
    while path[-1] != start and before[path[-1]] >= 0:
        path.append(int(before[path[-1]]))
    ys, xs = np.nonzero(allowed)
    return ys[path[::-1]], xs[path[::-1]]
