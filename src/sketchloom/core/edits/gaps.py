"""Gaps in the outlines of an ink drawing through which one area of paper runs into another.

A gap is a narrow place of the paper that joins areas much wider than itself, between the ends of
strokes or the end of one and the side of another. Narrow places are where the paper falls apart
when everything nearer to ink than some distance is taken away.
"""

from dataclasses import dataclass
from typing import NamedTuple

import cv2
import numpy as np

from sketchloom.core.base.late import late
from sketchloom.core.base.raster import first_pixels

spatial = late("scipy.spatial")

LIMIT_PX = 16.0
"""The widest gap looked for where none is said."""
_LEVELS = np.array([1.1, 1.6, 2.1, 2.6, 3.1, 3.7, 4.3, 5.1, 6.1, 7.1, 8.3])
"""Distances from ink at which the paper is looked at, px."""
_WIDER = 2.0
"""Paper on both sides of a neck is so many times as wide as the neck."""
_ROUNDS = 6
"""Rounds of closing what was found and looking again."""
_LEVEL = 0.45
"""Distances along a neck that count as its narrowest, px."""
_GAP_SIDE = np.radians(60.0)
"""Directions this near to a gap are not asked how wide the ink is."""
_DEEP_PX = 10
"""How far into the ink its width is looked for."""
_LEAST_PX = 40
"""What a gap parts is larger than this on both sides."""


@dataclass(frozen=True, slots=True, eq=False)
class Gaps:
    """``start``, ``end`` (K, 2) px, well inside the ink on either side; ``width_px`` (K,) of the strokes
    there; ``gap_px`` (K,) of paper between; ``leaks`` (K,) bool: the outside runs in through it; the narrowest
    first."""

    start: np.ndarray
    end: np.ndarray
    width_px: np.ndarray
    gap_px: np.ndarray
    leaks: np.ndarray

    def __len__(self):
        return len(self.gap_px)


def find_gaps(ink, limit_px: float = LIMIT_PX) -> Gaps:
    """Find where outlines are probably meant to close.

    Parameters
    ----------
    ink : (H, W) bool. limit_px : widest gap looked for.

    Notes
    -----
    Where two areas are joined by several gaps they fall apart only at the widest of them, so it is
    closed and the paper looked at again.
    """
    drawn = np.ascontiguousarray(ink, np.uint8)
    found = []
    for _ in range(_ROUNDS):
        more = _necks(drawn, limit_px)
        if not more:
            break
        found += more
        drawn = drawn.copy()
        for neck in more:
            _close(drawn, neck)
    kept = sorted(_parting(drawn, found, _LEAST_PX), key=lambda pair: pair[0].gap)
    necks = [neck for neck, _ in kept]
    start, end = (np.array(ends).reshape(-1, 2) for ends in ([n.start for n in necks], [n.end for n in necks]))
    return Gaps(start, end, np.array([n.width for n in necks]), np.array([n.gap for n in necks]),
                np.array([leaks for _, leaks in kept], bool))


def no_gaps() -> Gaps:
    """Where nothing is drawn in outlines."""
    return Gaps(np.empty((0, 2)), np.empty((0, 2)), np.empty(0), np.empty(0), np.empty(0, bool))


class _Neck(NamedTuple):
    """A narrow place with the bridge to be: ``sides`` are places of the paper on either side of it."""

    start: np.ndarray
    end: np.ndarray
    width: float
    gap: float
    sides: tuple[np.ndarray, np.ndarray]
    joins_ends: bool
    middle: np.ndarray


class _Page(NamedTuple):
    """A drawing (H, W) uint8; distance of paper from ``ink`` (N, 2 x and y) and the number of the nearest; depth of
    ink."""

    drawn: np.ndarray
    away: np.ndarray
    nearest: np.ndarray
    ink: np.ndarray
    depth: np.ndarray


def _page_of(drawn):
    paper = 1 - drawn
    away, label = cv2.distanceTransformWithLabels(paper, cv2.DIST_L2, cv2.DIST_MASK_5, labelType=cv2.DIST_LABEL_PIXEL)
    ys, xs = np.nonzero(drawn)
    number = np.zeros(int(label.max()) + 1, np.intp)
    number[label[ys, xs]] = np.arange(len(ys))
    depth = cv2.distanceTransform(np.pad(drawn, 1), cv2.DIST_L2, cv2.DIST_MASK_PRECISE)[1:-1, 1:-1]
    # the ink nearest to a gap may be the corner of a stroke: its middle is a little aside
    depth = cv2.dilate(depth, np.ones((5, 5), np.uint8)) * drawn
    return _Page(drawn, away, number[label], np.stack([xs, ys], -1).astype(float), depth)


def _necks(drawn, limit):
    """The narrow places of a drawing at which strokes end, as far as the paper falls apart there."""
    paper = 1 - drawn
    if not drawn.any():
        return []
    page = _page_of(drawn)
    away = page.away
    # the deepest place of an area is among those no neighbour is deeper than
    top = np.flatnonzero((away > 0) & (away >= cv2.dilate(away, np.ones((3, 3), np.uint8))))
    found: list[_Neck] = []
    _, before = cv2.connectedComponents(paper, connectivity=4)
    for level in _LEVELS[limit / 2 + 0.6 >= _LEVELS]:
        count, now = cv2.connectedComponents((away > level).astype(np.uint8), connectivity=4)
        if count < 3:
            before = now
            continue
        peak = np.zeros(count)
        np.maximum.at(peak, now.ravel()[top], away.ravel()[top])
        first = first_pixels(now, count)
        parent = before.ravel()[first]
        wide = (peak >= np.maximum(_WIDER * level, level + 2.0)) & (np.arange(count) > 0)
        rim = np.flatnonzero((away > level) & (away <= level + 1.0))
        for mother in np.flatnonzero(np.bincount(parent[wide]) > 1).tolist():
            children = np.flatnonzero(wide & (parent == mother))
            for a, b in facing(now, rim, children, limit):
                neck = _across(page, a, b, limit)
                if neck is not None and all(np.hypot(*(neck.middle - other.middle)) > 3 for other in found):
                    found.append(neck)
        before = now
    return found


def facing(labels, rim, children, limit: float) -> list[tuple[np.ndarray, np.ndarray]]:
    """For each component of ``labels`` (H, W) but the largest the places where it comes nearest to another, (x, y)
    each; ``rim`` numbers of the pixels at their edges, ``children`` the components, ``limit`` px a third of the way."""
    of = labels.ravel()[rim]
    edges = []
    for child in children.tolist():
        y, x = np.divmod(rim[of == child], labels.shape[1])
        edges.append(np.stack([x, y], -1).astype(float))
    edges.sort(key=len)
    pairs = []
    for k, mine in enumerate(edges[:-1]):
        others = np.concatenate(edges[k + 1:])
        distance, index = spatial.cKDTree(others).query(mine, distance_upper_bound=3 * limit)
        best = int(distance.argmin())
        if np.isfinite(distance[best]):
            pairs.append((mine[best], others[index[best]]))
    return pairs


def _across(page, a, b, limit):
    """The bridge across the narrow place between a and b, None where no two strokes face each other."""
    # the middle of the narrowest stretch of the way
    way = a + np.linspace(0, 1, max(int(np.hypot(*(b - a))), 2) + 1)[:, None] * (b - a)
    spots = np.rint(way).astype(int)
    along = page.away[spots[:, 1], spots[:, 0]]
    along = np.where(along > 0, along, np.inf)  # the way may graze a round end
    narrow = np.flatnonzero(along <= along.min() + _LEVEL)
    middle = way[narrow[len(narrow) // 2]]
    x, y = np.rint(middle).astype(int)
    one = page.ink[page.nearest[y, x]]
    towards = one - middle
    length = np.hypot(*towards)
    if length < 1e-6:
        towards, length = np.array([-(b - a)[1], (b - a)[0]]), np.hypot(*(b - a))
    towards = towards / max(length, 1e-6)
    other = _opposite(page.drawn, middle, towards, limit)
    if other is None:
        return None
    gap = float(np.hypot(*(one - other))) - 1.0
    if not 0.5 <= gap <= limit:
        return None
    unit = (other - one) / max(np.hypot(*(other - one)), 1e-6)
    half = [_half_width(page.depth, one, -unit), _half_width(page.depth, other, unit)]
    width = 2 * min(half) - 1.0
    # sides that only come near each other are no gap: one stroke must end here
    ends = [
        is_end(page.drawn, one - unit * half[0], half[0], unit),
        is_end(page.drawn, other + unit * half[1], half[1], -unit),
    ]
    if not any(ends):
        return None
    return _Neck(
        one - unit * min(half[0], 4.0) + 0.5,
        other + unit * min(half[1], 4.0) + 0.5,
        max(width, 1.0),
        gap,
        (a, b),
        all(ends),
        middle,
    )


def _opposite(drawn, middle, towards, limit):
    """The nearest ink on the other side of a place."""
    _height, _width = drawn.shape
    reach = int(limit) + 2
    x0, y0 = np.maximum(np.rint(middle).astype(int) - reach, 0)
    part = drawn[y0:int(middle[1]) + reach + 1, x0:int(middle[0]) + reach + 1]
    y, x = np.nonzero(part)
    if len(y) == 0:
        return None
    rays = np.stack([x + x0, y + y0], -1) - middle
    length = np.hypot(*rays.T)
    behind = (rays @ towards < -0.75 * length) & (length <= limit)
    if not behind.any():
        return None
    best = np.flatnonzero(behind)[length[behind].argmin()]
    return rays[best] + middle


def _half_width(depth, start, way):
    """Half the width of the stroke entered at a place: how deep its middle is."""
    steps = np.arange(_DEEP_PX)[:, None] * way + start
    spots = np.rint(steps).astype(int)
    inside = ((spots >= 0) & (spots < depth.shape[::-1])).all(1)
    values = depth[spots[inside, 1], spots[inside, 0]]
    ends = np.flatnonzero(values[1:] == 0)
    return float(values[:ends[0] + 1].max() if len(ends) else values.max(initial=1.0))


def is_end(drawn, centre, half, outward):
    """Whether the stroke around a place leads away from it one way only, but for where the gap lies."""
    radius = 2 * half + 3.0
    towards = np.arctan2(outward[1], outward[0])
    angle = towards + np.linspace(_GAP_SIDE, 2 * np.pi - _GAP_SIDE, 96)
    spots = np.rint(centre + radius * np.stack([np.cos(angle), np.sin(angle)], -1)).astype(int)
    inside = ((spots >= 0) & (spots < drawn.shape[::-1])).all(1)
    hit = np.zeros(len(angle), bool)
    hit[inside] = drawn[spots[inside, 1], spots[inside, 0]] > 0
    return int((np.diff(hit.astype(np.int8), prepend=0) == 1).sum()) <= 1


def _close(drawn, neck):
    start, end = (tuple(np.rint(place - 0.5).astype(int).tolist()) for place in (neck.start, neck.end))
    cv2.line(drawn, start, end, 1, max(round(neck.width), 2))


def _parting(drawn, found, least_px):
    """The bridges between two ends, and those with different areas of paper on their two sides, none of them tiny,
    once all are drawn; with each, whether one side alone is the outside."""
    _, areas, stats, _ = cv2.connectedComponentsWithStats(1 - drawn, connectivity=4)
    outside = {int(v) for rim in (areas[0], areas[-1], areas[:, 0], areas[:, -1]) for v in np.unique(rim)} - {0}
    kept = []
    for neck in found:
        sides = {_area_at(areas, side, neck) for side in neck.sides}
        # two ends that face each other are meant to meet even where that alone closes nothing
        if neck.joins_ends or (len(sides - {0}) == 2 and min(stats[k, cv2.CC_STAT_AREA] for k in sides) >= least_px):
            kept.append((neck, len(sides - {0}) == 2 and len(sides & outside) == 1))
    return kept


def _area_at(areas, place, neck):
    """Number of the paper on one side of a bridge, looked for away from its middle; 0 for none."""
    middle = (neck.start + neck.end) / 2 - 0.5
    way = (place - middle) / max(np.hypot(*(place - middle)), 1e-6)
    for step in np.arange(neck.width / 2 + 1, neck.width / 2 + 12):
        x, y = np.rint(middle + step * way).astype(int)
        if 0 <= x < areas.shape[1] and 0 <= y < areas.shape[0] and areas[y, x]:
            return int(areas[y, x])
    return 0
