"""Stencils: what would fall out of the sheet, and bridges that hold it."""

from dataclasses import dataclass

import cv2
import numpy as np

_WORK_PX = 1000
"""Long side of the picture that loose pieces and bridges are found in."""
_LEAST_PX = 6
"""Smaller pieces fall out unseen."""
_INTO = 1.5
"""A bridge reaches so far into what it joins, px, besides half its width."""
_MOST = 400
"""Loose pieces held at once; more are no stencil."""


@dataclass(frozen=True, slots=True, eq=False)
class StencilBridges:
    """``start`` in the loose piece, ``end`` (K, 2) px in what holds it; ``piece`` (K,) number of the loose piece;
    ``loose``: how many loose pieces there are; ``places`` (loose, 2) px a place in each."""

    start: np.ndarray
    end: np.ndarray
    piece: np.ndarray
    loose: int
    places: np.ndarray


def find_bridges(opened, count: int, width_px: float) -> StencilBridges:
    """Bridges from every loose piece of a stencil to what is held already.

    Parameters
    ----------
    opened : (H, W) bool, what is cut away; the rest that reaches the picture's edge is the sheet.
    count : bridges for each loose piece. width_px : their width.

    Notes
    -----
    Pieces are taken in the order in which they lie near to what is held, as in Prim's spanning tree, so
    that a piece in the middle of another is held by one that is held itself. The bridges of a piece lie
    in equal sectors around it, each where the way across is shortest and so least seen; a sector from
    which nothing held can be reached straight across has none.
    """
    scale = min(1.0, _WORK_PX / max(opened.shape))
    small = np.ascontiguousarray(opened, np.uint8)
    if scale < 1:
        small = (cv2.resize(small * 255, None, fx=scale, fy=scale, interpolation=cv2.INTER_AREA) > 127).astype(np.uint8)
    total, pieces, stats, _ = cv2.connectedComponentsWithStats(1 - small, connectivity=4)
    edge = np.unique(np.concatenate([pieces[0], pieces[-1], pieces[:, 0], pieces[:, -1]]))
    left = [n for n in range(1, total) if n not in set(edge.tolist()) and stats[n, cv2.CC_STAT_AREA] >= _LEAST_PX][
        :_MOST
    ]
    held = np.isin(pieces, edge[edge > 0])
    if not held.any():
        return StencilBridges(
            np.empty((0, 2)),
            np.empty((0, 2)),
            np.empty(0, np.intp),
            len(left),
            _inner_places(pieces, stats, left) / scale,
        )
    made, order, places = [], 0, _inner_places(pieces, stats, left)
    while left:
        away, nearest, held_at = _distances(held)
        gap = {n: _least(away, pieces, stats, n) for n in left}
        piece = min(left, key=gap.__getitem__)
        made += [
            (a, b, order) for a, b in _bridges_of(piece, pieces, stats, away, nearest, held_at, count, width_px * scale)
        ]
        held |= pieces == piece
        left.remove(piece)
        order += 1
    start, end = (np.array([one[k] for one in made]).reshape(-1, 2) / scale for k in (0, 1))
    return StencilBridges(start, end, np.array([one[2] for one in made], np.intp), order, places / scale)


def _distances(held):
    away, label = cv2.distanceTransformWithLabels(
        (~held).astype(np.uint8), cv2.DIST_L2, cv2.DIST_MASK_5, labelType=cv2.DIST_LABEL_PIXEL
    )
    flat = np.flatnonzero(held)
    at = np.zeros(int(label.max()) + 1, np.intp)
    at[label.ravel()[flat]] = flat
    return away, label, at


def _box(stats, n):
    x, y, w, h = stats[n, :4]
    return np.s_[y:y + h, x:x + w]


def _least(away, pieces, stats, n):
    box = _box(stats, n)
    return float(away[box][pieces[box] == n].min())


def _bridges_of(piece, pieces, stats, away, nearest, held_at, count, width):
    box = _box(stats, piece)
    ys, xs = np.nonzero(pieces[box] == piece)
    ys, xs = ys + box[0].start, xs + box[1].start
    target = held_at[nearest[ys, xs]]
    ty, tx = np.divmod(target, pieces.shape[1])
    distance = away[ys, xs]
    centre = np.array([xs.mean(), ys.mean()])
    angle = np.arctan2(ty - centre[1], tx - centre[0])
    best = int(distance.argmin())
    sector = np.floor(((angle - angle[best]) / (2 * np.pi) * count + 0.5) % count).astype(int)
    made = []
    for k in range(count):
        mine = np.flatnonzero(sector == k)
        if len(mine) == 0:
            continue
        # the nearest to the sector's middle among the (nearly) shortest
        short = mine[distance[mine] <= distance[mine].min() * 1.1 + 0.5]
        off = np.abs(((angle[short] - angle[best]) / (2 * np.pi) * count + 0.5) % count - 0.5 - k)
        n = short[int(np.minimum(off, count - off).argmin())]
        a, b = np.array([xs[n], ys[n]]) + 0.5, np.array([tx[n], ty[n]]) + 0.5
        if all(np.hypot(*(0.5 * (a + b) - 0.5 * (c + d))) > 1.5 * width for c, d in made):
            unit = (b - a) / max(np.hypot(*(b - a)), 1e-9)
            into = _INTO + 0.5 * width
            made.append((a - unit * into, b + unit * into))
    return made


def _inner_places(pieces, stats, numbers):
    found = []
    for n in numbers:
        box = _box(stats, n)
        mask = np.pad((pieces[box] == n).astype(np.uint8), 1)
        y, x = np.unravel_index(
            int(cv2.distanceTransform(mask, cv2.DIST_L2, cv2.DIST_MASK_PRECISE).argmax()), mask.shape
        )
        found.append((x - 0.5 + box[1].start, y - 0.5 + box[0].start))
    return np.array(found).reshape(-1, 2)
