"""How many pieces of ink every cut-off gives, counted for all of them at once.

As the cut-off rises, pieces appear and grow together. Both are told by a least spanning forest of
the picture: a piece more where a tone begins, one less for each edge of the forest. Strips of the
picture are joined up first, each as far as it can know, then what is left of all of them.
"""

from dataclasses import dataclass

import cv2
import numpy as np

from sketchloom.core.base import parallel

_LEVELS = 256
"""Grey levels."""
_NONE = _LEVELS << 3
"""No edge: over every level, beside its three bits of direction."""
_PLACE_BITS = 24
"""An edge's key holds its level above so many bits of its number."""
_ROWS = 96
"""Rows of blocks in a strip: few enough to stay in the processor's cache."""
# where the edges of a block lead, in the order in which equal ones are preferred; an edge comes
# before its like that begins later, so that all blocks agree on one order of all edges
_WEST, _EAST, _NORTH, _SOUTH, _NORTH_WEST, _SOUTH_EAST, _NORTH_EAST, _SOUTH_WEST = range(8)


def count_pieces(grey) -> np.ndarray:
    """For every cut-off 0 to 255 the number of pieces of ink, ink being at or under it.

    Parameters
    ----------
    grey : (H, W) uint8. Ink hangs together over corners.

    Returns
    -------
    (256,) intp

    References
    ----------
    Boruvka 1926 and Kruskal 1956, least spanning trees: pieces at a level are vertices less edges
    of the forest up to it. The four pixels of a block of 2 x 2 touch one another, so a block is
    one vertex.
    """
    if grey.shape[0] % 2 or grey.shape[1] % 2:  # an edge pixel twice hangs together as once
        grey = cv2.copyMakeBorder(grey, 0, grey.shape[0] % 2, 0, grey.shape[1] % 2, cv2.BORDER_REPLICATE)
    rows = grey.shape[0] // 2
    tops = list(range(0, rows, _ROWS))
    strips = parallel.in_threads(lambda top: _strip(grey, top, min(top + _ROWS, rows), rows), tops)
    change = sum(s.change for s in strips)
    if len(strips) > 1:
        change = change - _between_strips(grey, tops, strips)
    return np.cumsum(np.rint(change)).astype(np.intp)


@dataclass(frozen=True, slots=True, eq=False)
class _Strip:
    """What is left of a strip: ``change`` (256,) of the number of pieces; ``count`` trees; those of the blocks
    in its ``first`` and ``last`` row; edges ``u``, ``v``, ``weight`` between trees."""

    change: np.ndarray
    count: int
    first: np.ndarray
    last: np.ndarray
    u: np.ndarray
    v: np.ndarray
    weight: np.ndarray


def _edges(grey):
    """Tones at which blocks begin, (h, w), and at which each joins the one to the east, south, south-east and
    south-west of it; a diagonal that the others make needless has 256."""
    a, b, c, d = (np.ascontiguousarray(grey[y::2, x::2]) for y in (0, 1) for x in (0, 1))
    left, right, top, bottom = np.minimum(a, c), np.minimum(b, d), np.minimum(a, b), np.minimum(c, d)
    east, south = np.maximum(right[:, :-1], left[:, 1:]), np.maximum(bottom[:-1], top[1:])
    # around the corner where four blocks meet: a way over a third block is as good unless both thirds are lighter
    falling, rising = np.maximum(d[:-1, :-1], a[1:, 1:]), np.maximum(c[:-1, 1:], b[1:, :-1])
    least_rising, least_falling = np.minimum(c[:-1, 1:], b[1:, :-1]), np.minimum(d[:-1, :-1], a[1:, 1:])
    return (np.minimum(left, right), east, south, np.where(least_rising > falling, falling, np.uint16(_LEVELS)),
            np.where(least_falling > rising, rising, np.uint16(_LEVELS)))


def _strip(grey, top, bottom, rows):
    """Join the blocks of some rows as far as their least edges stay inside."""
    above, below = int(top > 0), int(bottom < rows)
    begins, east, south, falling, rising = _edges(grey[2 * (top - above):2 * (bottom + below)])
    own = slice(above, begins.shape[0] - below)
    foreign = np.ones(begins.shape, bool)
    foreign[own] = False
    born = cv2.calcHist([np.ascontiguousarray(begins[own])], [0], None, [_LEVELS], [0, _LEVELS]).ravel()
    root, joined = _first_round(foreign, east, south, falling, rising)
    is_root = root == np.arange(len(root), dtype=root.dtype)
    tree = (np.cumsum(is_root, dtype=np.int32) - 1)[root]
    foreign = foreign.ravel()[is_root]
    tree = tree.reshape(begins.shape)
    u, v, weight = _edges_left(tree, own, east, south, falling, rising)
    ends = tree[[own.start, own.stop - 1]]
    while True:
        root, more = _round(u, v, weight, foreign)
        if not more.any():
            break
        joined = joined + more
        is_root = root == np.arange(len(root), dtype=root.dtype)
        number = (np.cumsum(is_root, dtype=np.int32) - 1)[root]
        ends, u, v, foreign = number[ends], number[u], number[v], foreign[is_root]
        apart = u != v
        u, v, weight = u[apart], v[apart], weight[apart]
    inside = ~(foreign[u] | foreign[v])
    number = np.cumsum(~foreign, dtype=np.int32) - 1
    return _Strip(
        born - joined, int((~foreign).sum()), *number[ends], number[u[inside]], number[v[inside]], weight[inside]
    )


def _first_round(foreign, east, south, falling, rising):
    """Each block joins its neighbour over its least edge: root of every block, and joins by tone."""
    width = foreign.shape[1]
    least = np.full(foreign.shape, _NONE, np.uint16)
    step = np.array([-1, 1, -width, width, -width - 1, width + 1, 1 - width, width - 1], np.int32)
    every, but_first, but_last = slice(None), slice(1, None), slice(None, -1)
    for tones, ways in ((east, ((every, but_first, _WEST), (every, but_last, _EAST))),
                        (south, ((but_first, every, _NORTH), (but_last, every, _SOUTH))),
                        (falling, ((but_first, but_first, _NORTH_WEST), (but_last, but_last, _SOUTH_EAST))),
                        (rising, ((but_first, but_last, _NORTH_EAST), (but_last, but_first, _SOUTH_WEST)))):
        key = tones.astype(np.uint16) << 3
        for rows, columns, way in ways:
            part = least[rows, columns]
            np.minimum(part, key | way, out=part)
    least = least.ravel()
    foreign = foreign.ravel()
    here = np.arange(least.size, dtype=np.int32)
    to = np.take(step, least & 7)
    to += here
    np.copyto(to, here, where=(least >= _NONE) | foreign)
    for rows in (slice(0, 2 * width), slice(-2 * width, None)):  # only from beside them can a step lead outside
        np.copyto(to[rows], here[rows], where=foreign[to[rows]])
    return _rooted(to, least >> 3)


def _rooted(to, weight):
    """Roots of vertices that each point along their least edge, and how many edges of each weight that takes."""
    here = np.arange(len(to), dtype=to.dtype)
    # two that point at each other share one edge: the lower is the root
    is_root = (to == here) | ((to[to] == here) & (here < to))
    # roots are the fewer
    joined = (np.bincount(weight, minlength=_LEVELS + 1) - np.bincount(weight[is_root], minlength=_LEVELS + 1))[
        :_LEVELS
    ]
    root = np.where(is_root, here, to)
    further = root[root]
    moving = np.flatnonzero(further != root)
    while len(moving):  # those that have arrived stay
        root[moving] = at = further[moving]
        further[moving] = on = root[at]
        moving = moving[on != at]
    return root, joined


def _edges_left(tree, own, east, south, falling, rising):
    """Edges between different trees, those to the east in the strip's ``own`` rows only."""
    found = []
    for tones, one, other in ((east[own], tree[own, :-1], tree[own, 1:]), (south, tree[:-1], tree[1:]),
                              (falling, tree[:-1, :-1], tree[1:, 1:]), (rising, tree[:-1, 1:], tree[1:, :-1])):
        at = np.flatnonzero((one != other) & (tones < _LEVELS))
        low, high = (np.ascontiguousarray(v).ravel()[at] for v in (one, other))
        # the two trees and the tone in one number: trees are few enough for 28 bits each
        found.append(np.minimum(low, high).astype(np.uint64) << 36 | np.maximum(low, high).astype(np.uint64) << 8
                     | np.ascontiguousarray(tones).ravel()[at].astype(np.uint8))
    return _lightest(np.concatenate(found))


def _lightest(key):
    """Of edges between the same two trees the lightest."""
    key.sort()
    first = np.ones(len(key), bool)
    first[1:] = (key[1:] >> 8) != (key[:-1] >> 8)
    key = key[first]
    return (key >> 36).astype(np.int32), (key >> 8).astype(np.int32) & 0xFFFFFFF, key.astype(np.uint8)


def _round(u, v, weight, foreign):
    """Join each tree over its least edge, unless that leads outside: roots, and joins by tone."""
    count = len(foreign)
    # of equal ones the first: all trees then agree on one order of all edges
    key = weight.astype(np.uint32) << _PLACE_BITS | np.arange(len(u), dtype=np.uint32)
    least = np.full(count, 0xFFFFFFFF, np.uint32)
    np.minimum.at(least, u, key)
    np.minimum.at(least, v, key)
    here = np.arange(count, dtype=np.int32)
    linked = np.flatnonzero((least < 0xFFFFFFFF) & ~foreign)
    edge = least[linked] & (1 << _PLACE_BITS) - 1
    other = u[edge] + v[edge] - here[linked]
    inside = ~foreign[other]
    linked, edge, other = linked[inside], edge[inside], other[inside]
    to, tone = here.copy(), np.zeros(count, np.uint8)
    to[linked], tone[linked] = other, weight[edge]
    return _rooted(to, tone)


def _between_strips(grey, tops, strips):
    """(256,) joins of what the strips could not know of."""
    offset = np.cumsum([0] + [s.count for s in strips], dtype=np.int32)
    found = [(s.u + o, s.v + o, s.weight) for s, o in zip(strips, offset, strict=False)]
    for top, above, below, one, other in zip(tops[1:], strips[:-1], strips[1:], offset[:-1], offset[1:], strict=False):
        _, _, south, falling, rising = _edges(grey[2 * top - 2:2 * top + 2])
        rows = np.stack([above.last + one, below.first + other])
        found.append(_edges_left(rows, slice(0), np.full((2, rows.shape[1] - 1), _LEVELS), south, falling, rising))
    u, v, weight = (np.concatenate(parts) for parts in zip(*found, strict=False))
    joined, foreign = np.zeros(_LEVELS), np.zeros(int(offset[-1]), bool)
    while len(u):
        root, more = _round(u, v, weight, foreign)
        joined = joined + more
        u, v = root[u], root[v]
        apart = u != v
        u, v, weight = u[apart], v[apart], weight[apart]
    return joined
