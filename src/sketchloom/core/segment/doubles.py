"""Double outlines: two cuts that run close beside each other, made one.

What lies between two such cuts is a thin region. It is found by its greatest width and its length,
and its pixels are given away so that one cut is left.
"""

from dataclasses import dataclass

import cv2
import numpy as np

from sketchloom.core.base.raster import counted
from sketchloom.core.planar.cracks import face_image
from sketchloom.core.segment.merging import neighbours

MIDDLE, OUTER, FILLED = "middle", "outer", "filled"
_LONG = 6.0
"""A strip between two outlines is so many times as long as wide."""


@dataclass(frozen=True, slots=True, eq=False)
class Doubles:
    """Thin regions. ``mask`` (H, W) bool their pixels; ``places`` (K, 2) px a place in each,
    ``length_px`` and ``width_px`` (K,)."""

    mask: np.ndarray
    places: np.ndarray
    length_px: np.ndarray
    width_px: np.ndarray


def find_doubles(labels, limit_px: float) -> Doubles:
    """Regions nowhere wider than a limit and at least six times as long.

    Parameters
    ----------
    labels : (H, W) label image. limit_px : largest distance of the two cuts, px.
    """
    faces, face_label = face_image(labels)
    count = len(face_label)
    # distance to the nearest pixel of another face
    edge = np.zeros(faces.shape, bool)
    for a, b in ((np.s_[:, 1:], np.s_[:, :-1]), (np.s_[1:], np.s_[:-1])):
        differs = faces[a] != faces[b]
        edge[a] |= differs
        edge[b] |= differs
    away = cv2.distanceTransform((~edge).astype(np.uint8), cv2.DIST_L2, cv2.DIST_MASK_PRECISE) + 0.5
    flat = faces.ravel()
    area = np.bincount(flat, minlength=count)
    widest = np.zeros(count, np.float32)
    np.maximum.at(widest, flat, away.ravel())
    width = 2.0 * widest
    length = area / np.maximum(width, 1.0)
    # a region that reaches the picture's edge is as long, but its cuts end there: it counts as well
    thin = (width <= limit_px) & (length >= _LONG * np.maximum(width, 1.0))
    thin &= area < 0.5 * flat.size
    found = np.flatnonzero(thin)
    mask = thin[faces]
    first = np.full(count, -1)
    at = np.flatnonzero(mask.ravel())
    order = np.lexsort((-away.ravel()[at], flat[at]))
    at = at[order]
    begins = np.diff(flat[at], prepend=-1) != 0
    first[flat[at[begins]]] = at[begins]
    y, x = np.divmod(first[found], labels.shape[1])
    return Doubles(mask, np.stack([x + 0.5, y + 0.5], -1), length[found], width[found])


def made_one(labels, limit_px: float, way: str) -> np.ndarray:
    """Labels in which every double outline is one cut.

    Parameters
    ----------
    labels, limit_px : as of ``find_doubles``.
    way : ``middle``: both sides grow to the middle between the cuts; ``outer``: the inner side grows
        over what lies between, so that the outer cut stays; ``filled``: what lies between joins its
        darker (lower) neighbour, so that two strokes with a gap become one thick one.

    Notes
    -----
    Where both sides have one label there is nothing a middle could part; then ``middle`` and
    ``outer`` fill, too, as does a gap between two strokes.
    """
    found = find_doubles(labels, limit_px)
    if not found.mask.any():
        return labels
    faces, face_label = face_image(labels)
    thin = np.zeros(len(face_label), bool)
    at = np.floor(found.places).astype(int)
    thin[faces[at[:, 1], at[:, 0]]] = True
    out = labels.copy()
    if way == MIDDLE:
        _, nearest = cv2.distanceTransformWithLabels(
            found.mask.astype(np.uint8), cv2.DIST_L2, 5, labelType=cv2.DIST_LABEL_PIXEL
        )
        solid = ~found.mask
        table = np.zeros(int(nearest.max()) + 1, labels.dtype)
        table[nearest[solid]] = labels[solid]
        out[found.mask] = table[nearest[found.mask]]
        return out
    pairs, length = neighbours(faces)
    area = counted(faces, len(face_label))
    outside = np.zeros(len(face_label), bool)
    outside[np.unique(np.concatenate([faces[0], faces[-1], faces[:, 0], faces[:, -1]]))] = True
    use = thin[pairs[:, 0]] & ~thin[pairs[:, 1]]
    row, col, shared = pairs[use, 0], pairs[use, 1], length[use]
    # the inner side: not the one that reaches the edge, then the smaller
    wanted = (area[col], outside[col], row) if way == OUTER else (-shared, face_label[col], row)
    order = np.lexsort(wanted)
    first = order[np.diff(row[order], prepend=-1) != 0]
    target = face_label.copy()
    target[row[first]] = face_label[col[first]]
    return target[faces].astype(labels.dtype)
