"""Regions under the smallest detail go to a neighbour.

The pixels are looked at once, for the graph of touching faces; all merging happens on the
graph, and the pixels get their final face in one step at the end.
"""

from dataclasses import dataclass

import numpy as np
from scipy.sparse import csr_array
from scipy.sparse.csgraph import connected_components

from sketchloom.core.base.progress import breathe
from sketchloom.core.planar.cracks import face_runs
from sketchloom.core.segment.patching import faces_within

CRUMB_PX = 4
"""Fewer pixels than this are no detail of any picture, only crumbs of its pixel grid."""


@dataclass(frozen=True, slots=True, eq=False)
class Cleaned:
    """A label image without small regions.

    ``labels`` (H, W); ``faces`` (H, W) int32 and ``face_label`` (F,) as of ``face_image``;
    ``face_area`` (F,) in pixels; ``dropped`` (K, 3) float: x, y (px, a place in it) and area (px^2) of each region
    given away, as it was before, crumbs left out; ``dropped_label`` (K,) its label then.
    """

    labels: np.ndarray
    faces: np.ndarray
    face_label: np.ndarray
    face_area: np.ndarray
    dropped: np.ndarray
    dropped_label: np.ndarray


def merge_small(labels, least_area_px: float, keep=(), parts=()) -> Cleaned:
    """Give every region under an area to the neighbour with the longest shared boundary.

    Parameters
    ----------
    labels : (H, W) integer label image.
    least_area_px : regions of fewer pixels are given away (one region always stays).
    keep : (N, 2) pixels, x and y; the regions they lie in stay whatever their size.
    parts : pairs of a polygon, in shares of the sides, and the least area that holds for the
        regions that lie mostly in it.

    Notes
    -----
    All small regions move at once and follow their choices to the end; where two chose each
    other, the larger stays. Regions of one label that come to touch become one. Rounds
    repeat until no small region is left.
    """
    labels = np.asarray(labels)
    runs = face_runs(labels)
    face_label, area = runs.face_label, runs.areas()
    faces = runs.paint(np.arange(len(area), dtype=np.int32))
    least = np.full(len(area), float(least_area_px))
    for polygon, other in parts:
        least[faces_within(faces, polygon)] = other
    for x, y in keep:
        if 0 <= x < labels.shape[1] and 0 <= y < labels.shape[0]:
            least[faces[y, x]] = 0
    small = area < least
    if not small.any() or len(area) == 1:
        return Cleaned(labels, faces, face_label, area, np.empty((0, 3)), np.empty(0, face_label.dtype))
    gone = np.flatnonzero(small & (area >= CRUMB_PX))
    dropped, dropped_label = _places(runs, area, gone), face_label[gone]
    pairs, length = neighbours(faces)
    group = np.arange(len(area))
    while len(area) > 1 and small.any():
        target = _without_chains(_longest(pairs, length, area, small), area)
        joined = _one_label(target, face_label, pairs)
        # a group takes the label of the face that took the others in
        label = np.empty(joined.max() + 1, face_label.dtype)
        label[joined] = face_label[target]
        area = np.bincount(joined, area).astype(np.intp)
        pairs, length = _gathered(joined[pairs], length, len(area))
        group, face_label = joined[group], label
        limit = np.full(len(area), np.inf)
        np.minimum.at(limit, joined, least[target])
        least = limit
        small = area < least
    order = _by_first_pixel(group)
    final, final_area = np.empty_like(face_label), np.empty_like(area)
    final[order], final_area[order] = face_label, area
    return Cleaned(runs.paint(face_label[group]), runs.paint(order[group].astype(np.int32)), final, final_area, dropped,
                   dropped_label)


def _places(runs, area, which):
    """Middle of each face's longest row of pixels, the one nearest to its mean height, and its area."""
    number = np.full(len(area), -1)
    number[which] = np.arange(len(which))
    k = number[runs.face]
    of = np.flatnonzero(k >= 0)
    k, size, n = k[of], runs.length[of], area[which]
    y, x = np.divmod(runs.first[of], runs.shape[1])
    mean_y = np.bincount(k, size * (y + 0.5), len(n)) / np.maximum(n, 1)
    order = np.lexsort((np.abs(y + 0.5 - mean_y[k]), -size, k))
    best = order[np.diff(k[order], prepend=-1) != 0]
    return np.stack([x[best] + size[best] // 2 + 0.5, y[best] + 0.5, n], -1)


def neighbours(faces) -> tuple[np.ndarray, np.ndarray]:
    """Pairs (P, 2) of touching faces, both ways round, and the cracks each pair shares (P,)."""
    breathe()
    _height, width = faces.shape
    flat = faces.ravel()
    at = np.flatnonzero(faces[1:] != faces[:-1])
    one, two = [flat[at]], [flat[at + width]]
    if width > 1:
        y, x = np.divmod(np.flatnonzero(faces[:, 1:] != faces[:, :-1]), width - 1)
        one.append(flat[y * width + x])
        two.append(flat[y * width + x + 1])
    a, b = np.concatenate(one).astype(np.int64), np.concatenate(two).astype(np.int64)
    return _gathered(np.stack([np.concatenate([a, b]), np.concatenate([b, a])], -1), None, int(flat.max()) + 1)


def _gathered(pairs, length, count):
    """Equal pairs as one with their lengths added; pairs of a face with itself left out."""
    apart = pairs[:, 0] != pairs[:, 1]
    code = pairs[apart, 0].astype(np.int64) * count + pairs[apart, 1]
    weight = None if length is None else length[apart]
    if count * count <= 4 * len(code):
        total = np.bincount(code, weight)
        code = np.flatnonzero(total)
        total = total[code]
    elif weight is None:
        code, total = np.unique(code, return_counts=True)
    else:
        code, where = np.unique(code, return_inverse=True)
        total = np.bincount(where, weight, len(code))
    return np.stack(np.divmod(code, count), -1), total


def _longest(pairs, length, area, small):
    """For each small face the neighbour with most boundary (then larger, then lower number)."""
    target = np.arange(len(area))
    use = small[pairs[:, 0]]
    row, col, shared = pairs[use, 0], pairs[use, 1], length[use]
    order = np.lexsort((col, -area[col], -shared, row))
    first = order[np.diff(row[order], prepend=-1) != 0]
    target[row[first]] = col[first]
    return target


def _without_chains(target, area):
    """Follow choices to their end; where two chose each other, the larger stays."""
    own = np.arange(len(target))
    mutual = (target[target] == own) & (target != own)
    stays = mutual & ((area > area[target]) | ((area == area[target]) & (own < target)))
    target = np.where(stays, own, target)
    for _ in range(32):
        further = target[target]
        if np.array_equal(further, target):
            break
        target = further
    return target


def _one_label(target, face_label, pairs):
    """Groups of faces that are one region now: moved to one face, or touching with one label."""
    label = face_label[target]
    same = label[pairs[:, 0]] == label[pairs[:, 1]]
    count = len(target)
    rows = np.concatenate([np.arange(count), pairs[same, 0]])
    cols = np.concatenate([target, pairs[same, 1]])
    graph = csr_array((np.ones(len(rows), np.int8), (rows, cols)), shape=(count, count))
    return connected_components(graph, directed=False)[1]


def _by_first_pixel(group):
    """Rank of each group by its lowest face, which is the one met first."""
    groups, first = np.unique(group, return_index=True)
    order = np.empty(len(groups), np.intp)
    order[np.argsort(first, kind="stable")] = np.arange(len(groups))
    return order
