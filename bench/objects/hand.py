"""Strokes as a hand makes them, with its jitter: along the middle of an object, around it, and over what came out
wrong."""

import cv2
import numpy as np
from scipy import ndimage
from scipy.sparse import csr_array
from scipy.sparse.csgraph import dijkstra
from skimage.morphology import skeletonize

from sketchloom.core.background.snapping import EdgePaths
from sketchloom.core.background.steps import BackgroundStep

_WORK_PX = 400
JITTER = 0.004
"""Standard deviation, share of the long side, by which a hand misses."""
_AIMED = 0.0028
"""The same of a click that aims at an edge."""
_LEAST_PART = 8
_WIDTH = 0.012
_LEAST_BLOB = 3e-4
"""What is wrong on less of the picture than this is not seen at a glance."""


def _shaky(points, shape, rng):
    """Points, px, as shares of the sides and with the slow jitter of a hand."""
    height, width = shape
    off = rng.normal(0, 1, (len(points), 2))
    if len(points) > 6:
        off = ndimage.gaussian_filter1d(off, 3, axis=0)
        off /= max(float(off.std()), 1e-6)
    places = (np.array(points, float) + 0.5 + off * JITTER * max(shape)) / [width, height]
    return tuple((float(x), float(y)) for x, y in np.clip(places, 0, 1))


def _spine(mask):
    """The longest way (px, x and y) along the middle of the largest part of a mask, thick places preferred."""
    _, label, stats, _ = cv2.connectedComponentsWithStats(mask.astype(np.uint8), connectivity=8)
    part = label == 1 + int(np.argmax(stats[1:, cv2.CC_STAT_AREA]))
    y, x = np.nonzero(skeletonize(part))
    if len(y) < 3:
        far = cv2.distanceTransform(part.astype(np.uint8), cv2.DIST_L2, 5)
        return np.array([np.unravel_index(np.argmax(far), far.shape)[::-1]])
    index = np.full(part.shape, -1)
    index[y, x] = np.arange(len(y))
    rows, cols = [], []
    for dy, dx in ((0, 1), (1, 0), (1, 1), (1, -1)):
        ty, tx = np.clip(y + dy, 0, part.shape[0] - 1), np.clip(x + dx, 0, part.shape[1] - 1)
        near = index[ty, tx]
        good = (near >= 0) & (near != index[y, x])
        rows.append(index[y, x][good])
        cols.append(near[good])
    rows, cols = np.concatenate(rows), np.concatenate(cols)
    graph = csr_array((np.ones(len(rows)), (rows, cols)), shape=(len(y),) * 2)
    far = dijkstra(graph, directed=False, indices=0)
    first = int(np.argmax(np.where(np.isfinite(far), far, -1)))
    far, before = dijkstra(graph, directed=False, indices=first, return_predecessors=True)
    last = int(np.argmax(np.where(np.isfinite(far), far, -1)))
    way = [last]
    while before[way[-1]] >= 0:
        way.append(int(before[way[-1]]))
    return np.stack([x[way], y[way]], -1)


def _small(mask):
    scale = min(1.0, _WORK_PX / max(mask.shape))
    size = (round(mask.shape[1] * scale), round(mask.shape[0] * scale))
    return cv2.resize(mask.astype(np.float32), size, interpolation=cv2.INTER_AREA) >= 0.5, scale


def keep_stroke(cover, rng) -> BackgroundStep:
    """Along the middle of the object, where a broad stroke finds room; of one that is nowhere broad, along all of it.
    """
    mask, _ = _small(cover > 0.5)
    room = cv2.erode(mask.astype(np.uint8), cv2.getStructuringElement(cv2.MORPH_ELLIPSE, (9, 9)))
    sizes = np.sort(cv2.connectedComponentsWithStats(room, connectivity=8)[2][1:, cv2.CC_STAT_AREA])
    way = _spine(room > 0 if len(sizes) and sizes[-1] > 0.5 * sizes.sum() else mask)[::4]
    return BackgroundStep("stroke", True, _shaky(way, mask.shape, rng), width=_WIDTH)


def drop_stroke(cover, rng, round_: float = 0.92) -> BackgroundStep:
    """Around the object, well clear of it, as far as the picture goes; so much of the way round."""
    mask, _ = _small(cover > 0.5)
    reach = 2 * round(0.05 * max(mask.shape)) + 1
    grown = cv2.dilate(mask.astype(np.uint8), cv2.getStructuringElement(cv2.MORPH_ELLIPSE, (reach, reach)))
    grown = cv2.morphologyEx(cv2.copyMakeBorder(grown, 60, 60, 60, 60, cv2.BORDER_CONSTANT), cv2.MORPH_CLOSE,
                             cv2.getStructuringElement(cv2.MORPH_ELLIPSE, (41, 41)))[60:-60, 60:-60]
    lines, _ = cv2.findContours(grown, cv2.RETR_EXTERNAL, cv2.CHAIN_APPROX_NONE)
    line = max(lines, key=len)[:, 0][::4]
    return BackgroundStep("stroke", False, _shaky(line[:int(round_ * len(line))], mask.shape, rng), width=_WIDTH)


def edge_line(picture, cover, count: int, rng):
    """Shares of the sides along a line that follows the edge between so many clicks round the object, where its outline
    turns most."""
    lines, _ = cv2.findContours((cover > 0.5).astype(np.uint8), cv2.RETR_EXTERNAL, cv2.CHAIN_APPROX_NONE)
    line = max(lines, key=len)[:, 0].astype(float)
    at = [0, len(line) // 2]
    while len(at) < count:
        far, worst = -1.0, None
        for a, b in zip(at, [*at[1:], at[0] + len(line)], strict=True):
            if b - a < _LEAST_PART:
                continue
            index = np.arange(a, b) % len(line)
            chord = line[b % len(line)] - line[a % len(line)]
            away = np.abs((line[index] - line[a % len(line)]) @ np.array([-chord[1], chord[0]]))
            away /= max(float(np.hypot(*chord)), 1.0)
            if away.max() > far:
                far, worst = float(away.max()), int(index[away.argmax()])
        if worst is None:
            break
        at = sorted([*at, worst])
    clicks = line[at] + 0.5 + rng.normal(0, _AIMED * max(cover.shape), (len(at), 2))
    clicks = np.clip(clicks / cover.shape[::-1], 0, 1).tolist()
    paths = EdgePaths(picture)
    parts = [paths.between(tuple(a), tuple(b))[:-1] for a, b in zip(clicks, [*clicks[1:], clicks[0]], strict=True)]
    return tuple(p for part in parts for p in part)


def correction(cover, kept, rng) -> BackgroundStep | None:
    """A stroke along the largest place that came out wrong; a click where that is too thin for a stroke; None when
    nothing is seen."""
    truth = cover > 0.5
    wrong = truth != kept
    # a line of pixels along the edge is not what a person sees as wrong
    seen = cv2.morphologyEx(wrong.astype(np.uint8), cv2.MORPH_OPEN, np.ones((3, 3), np.uint8))
    _, label, stats, _ = cv2.connectedComponentsWithStats(seen, connectivity=8)
    if len(stats) < 2:
        return None
    one = 1 + int(np.argmax(stats[1:, cv2.CC_STAT_AREA]))
    if stats[one, cv2.CC_STAT_AREA] < _LEAST_BLOB * truth.size:
        return None
    part = label == one
    keep = bool(truth[part].mean() > 0.5)
    far = cv2.distanceTransform(np.pad(part, 1).astype(np.uint8), cv2.DIST_L2, 5)[1:-1, 1:-1]
    thick = float(far.max())
    middle = np.array(np.unravel_index(int(np.argmax(far)), far.shape))[::-1]
    here = tuple(((middle + 0.5) / truth.shape[::-1]).tolist())
    if 2 * thick < 1.5 * _WIDTH * max(truth.shape):  # a click with a fine brush, aimed
        fine = float(np.clip(thick / max(truth.shape), 0.001, _WIDTH))
        return BackgroundStep("stroke", keep, (here,), width=fine)
    room = far > max(0.4 * thick, 0.5 * _WIDTH * max(truth.shape))
    mask, _ = _small(room)
    if not mask.any():
        return BackgroundStep("stroke", keep, (here,), width=_WIDTH)
    return BackgroundStep("stroke", keep, _shaky(_spine(mask)[::3], mask.shape, rng), width=_WIDTH)
