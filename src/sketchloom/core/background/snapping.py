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
        self._cost = np.maximum(_FLAT_COST - np.clip(size / strong, 0, 1) * (_FLAT_COST - _EDGE_COST), _EDGE_COST)

    def between(self, start, end) -> tuple[tuple[float, float], ...]:
        """Places from one to another, in shares of the sides, both included."""
        height, width = self._cost.shape
        size = np.array([width, height])
        a, b = (np.clip((np.array(p) * size).astype(int), 0, size - 1) for p in (start, end))
        low = np.maximum(np.minimum(a, b) - _MARGIN, 0)
        high = np.minimum(np.maximum(a, b) + _MARGIN + 1, size)
        cost = self._cost[low[1]:high[1], low[0]:high[0]]
        number = np.arange(cost.size).reshape(cost.shape)
        rows, cols, weights = [], [], []
        for dy, dx in ((0, 1), (1, 0), (1, 1), (1, -1)):
            here = number[:cost.shape[0] - dy, max(0, -dx):cost.shape[1] - max(0, dx)]
            there = number[dy:, max(0, dx):cost.shape[1] + min(0, dx)]
            rows.append(here.ravel())
            cols.append(there.ravel())
            weights.append(0.5 * (cost.ravel()[rows[-1]] + cost.ravel()[cols[-1]]) * np.hypot(dx, dy))
        graph = csr_array(
            (np.concatenate(weights), (np.concatenate(rows), np.concatenate(cols))), shape=(cost.size,) * 2
        )
        first, last = number[tuple((a - low)[::-1])], number[tuple((b - low)[::-1])]
        _, before = dijkstra(graph, directed=False, indices=first, return_predecessors=True)
        path = [int(last)]
        while path[-1] != first and before[path[-1]] >= 0:
            path.append(int(before[path[-1]]))
        y, x = np.divmod(np.array(path[::-1]), cost.shape[1])
        inner = (np.stack([x, y], -1) + low + 0.5) / size
        return (tuple(start), *(tuple(float(v) for v in p) for p in inner[1:-1:2]), tuple(end))
