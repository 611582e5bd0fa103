"""From a thinned line drawing to branches between their meetings and ends."""

from dataclasses import dataclass

import cv2
import numpy as np
from scipy.sparse import csr_array
from scipy.sparse.csgraph import connected_components, dijkstra

from sketchloom.core.base import ragged
from sketchloom.core.base.progress import breathe


@dataclass(frozen=True, slots=True, eq=False)
class Branches:
    """Chains of pixels in order.

    ``xy`` (N, 2) pixel centres, ``starts`` (B + 1,); ``closed`` (B,); ``ends`` (B, 2) the meeting
    at the first and the last pixel, -1 for a free end; ``meeting_xy`` (M, 2).
    """

    xy: np.ndarray
    starts: np.ndarray
    closed: np.ndarray
    ends: np.ndarray
    meeting_xy: np.ndarray


def find_branches(line) -> Branches:
    """Take a line drawing one pixel wide apart where three or more lines meet.

    Parameters
    ----------
    line : (H, W) bool, from ``thinned``.
    """
    line = _without_stairs(line)
    degree = cv2.filter2D(line.astype(np.float32), cv2.CV_32F, np.ones((3, 3), np.float32),
                          borderType=cv2.BORDER_CONSTANT).astype(int) - 1
    breathe()
    meeting = line & (degree >= 3)
    count, where = cv2.connectedComponents(meeting.astype(np.uint8), connectivity=8)
    y, x = np.nonzero(meeting)
    of = where[y, x] - 1
    size = np.maximum(np.bincount(of, minlength=count - 1), 1)
    meeting_xy = np.stack([np.bincount(of, v + 0.5, count - 1) / size for v in (x, y)], -1)
    breathe()
    chain = line & ~meeting
    y, x = np.nonzero(chain)
    if len(y) == 0:
        return Branches(np.empty((0, 2)), np.zeros(1, np.intp), np.zeros(0, bool), np.empty((0, 2), int), meeting_xy)
    links = _links(chain, y, x)
    order, starts, closed = _chained(links, len(y))
    x, y = x[order], y[order]
    ends = np.full((len(closed), 2), -1)
    number = np.pad(where, 1)  # meetings around a pixel, 1 and more
    for side, at in enumerate((starts[:-1], starts[1:] - 1)):
        around = np.stack([number[y[at] + 1 + dy, x[at] + 1 + dx] for dy in (-1, 0, 1) for dx in (-1, 0, 1)])
        found = around.max(0)
        if side == 1:
            # a branch of one pixel between two meetings touches both
            lowest = np.where(around > 0, around, np.iinfo(int).max).min(0)
            single = np.diff(starts) == 1
            found = np.where(
                single & (lowest != found) & (found > 0), lowest, np.where(single & (ends[:, 0] >= 0), 0, found)
            )
        ends[:, side] = found - 1
    ends[closed] = -1
    return Branches(np.stack([x + 0.5, y + 0.5], -1), starts, closed, ends, meeting_xy)


def _without_stairs(line):
    """Without the corner pixels of stairs, which would look like meetings."""
    line = line.copy()
    for dy, dx in ((1, 1), (1, -1), (-1, 1), (-1, -1)):
        breathe()
        up, side = np.roll(line, dy, 0), np.roll(line, dx, 1)
        opposite = np.roll(np.roll(line, -dy, 0), -dx, 1)
        away_up, away_side = np.roll(line, -dy, 0), np.roll(line, -dx, 1)
        corner = line & up & side & ~away_up & ~away_side & ~opposite
        # the pixel between its two neighbours is needless when they touch each other over the corner
        corner[[0, -1]] = corner[:, [0, -1]] = False
        line &= ~corner
    return line


def _links(chain, y, x):
    """Graph of touching pixels; over a corner only where they do not touch over a side."""
    number = np.full((chain.shape[0] + 2, chain.shape[1] + 2), -1)
    number[y + 1, x + 1] = np.arange(len(y))
    rows, cols = [], []
    for dy, dx in ((0, 1), (1, 0), (1, 1), (1, -1)):
        other = number[y + 1 + dy, x + 1 + dx]
        has = other >= 0
        if dx and dy:
            has &= (number[y + 1, x + 1 + dx] < 0) & (number[y + 1 + dy, x + 1] < 0)
        rows.append(np.flatnonzero(has))
        cols.append(other[has])
    rows, cols = np.concatenate(rows), np.concatenate(cols)
    return csr_array(
        (np.ones(2 * len(rows)), (np.concatenate([rows, cols]), np.concatenate([cols, rows]))), shape=(len(y),) * 2
    )


def _chained(links, count):
    """Pixels chain by chain in order, offsets, and which chains are rings."""
    chains, of = connected_components(links, directed=False)
    degree = np.diff(links.indptr)
    # a free end of each chain, or any pixel of a ring
    order = np.lexsort((degree, of))
    first = order[np.diff(of[order], prepend=-1) != 0]
    closed = degree[first] == 2
    if closed.any():
        links = links.tolil()
        for start in first[closed].tolist():  # rings are few
            other = links.rows[start][0]
            links[start, other] = links[other, start] = 0
        links = links.tocsr()
        links.eliminate_zeros()
    along = dijkstra(links, directed=False, indices=first, unweighted=True, min_only=True)
    order = np.lexsort((along, of))
    return order, ragged.lengths_to_starts(np.bincount(of, minlength=chains)), closed
