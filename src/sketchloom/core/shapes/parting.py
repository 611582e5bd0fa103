"""Faces of a label image parted along lines between its pixels."""

import cv2
import numpy as np

from sketchloom.core.shapes.guides import link_code

_LEAST_PX = 24
"""A split line that clips off less than this parts nothing."""
_THIN_PX, _THINNER = 1.6, 4.0
"""A part no deeper than this, and so many times less than the deepest of the face, is a splinter along its edge."""


def parted_along(faces, one, two) -> tuple[np.ndarray, np.ndarray]:
    """Faces (H, W) parted where lines pass between pixels ``one`` and ``two`` (N,), flat numbers, and the face each new
    one came from; its number is the next free one."""
    flat = faces.ravel()
    within = flat[one] == flat[two]
    one, two = one[within], two[within]
    parted, next_face = [], int(faces.max()) + 1
    faces = faces.copy()
    for face in np.unique(flat[one]).tolist():
        mine = flat[one] == face
        found = _sides(faces, face, one[mine], two[mine])
        if found is None:
            continue
        box, labels = found
        sizes = np.bincount(labels.ravel())
        sizes[0] = 0
        view = faces[box]
        # the largest part keeps the face's number
        largest = int(sizes.argmax())
        for part in np.flatnonzero(sizes).tolist():
            if part != largest:
                view[labels == part] = next_face
                parted.append(face)
                next_face += 1
    return faces, np.array(parted, np.intp)


def _sides(faces, face, one, two):
    """Parts of a face between which a line passes: box, part of each pixel from 1; None for one part.

    Pixels to the right of the line are taken out, which parts the rest; then each goes to the part it hangs
    together with on its own side.
    """
    ys, xs = np.nonzero(faces == face)
    box = np.s_[ys.min():ys.max() + 1, xs.min():xs.max() + 1]
    mask = np.pad((faces[box] == face).astype(np.uint8), 1)
    height, width = mask.shape
    y0, x0 = ys.min() - 1, xs.min() - 1
    def local(flat):
        return (flat // faces.shape[1] - y0) * width + flat % faces.shape[1] - x0
    one, two = local(one), local(two)
    wall = mask.ravel().copy()
    wall[:] = 0
    wall[one] = 1
    count, labels = cv2.connectedComponents(mask & ~wall.reshape(mask.shape) & 1, connectivity=4)
    if count < 3:
        return None
    labels = labels.ravel()
    left = np.flatnonzero(wall)
    blocked = link_code(one, two, height * width)
    for _ in range(64):
        if len(left) == 0:
            break
        found = np.zeros(len(left), labels.dtype)
        for by in (1, -1, width, -width):
            other = left + by
            free = ~np.isin(link_code(left, other, height * width), blocked)
            take = (found == 0) & free & (mask.ravel()[other] > 0)
            found[take] = labels[other[take]]
        if not found.any():
            break
        labels[left[found > 0]] = found[found > 0]
        left = left[found == 0]
    labels = labels.reshape(height, width)
    if len(left):
        rest = np.zeros(height * width, np.uint8)
        rest[left] = 1
        _, crumbs = cv2.connectedComponents(rest.reshape(height, width), connectivity=4)
        labels = np.where(crumbs > 0, crumbs + count, labels)
    labels = _without_crumbs(np.where(mask > 0, labels, 0), mask)
    return (box, labels[1:-1, 1:-1]) if len(np.unique(labels)) > 2 else None


def _without_crumbs(labels, mask):
    """Parts under the least size, and splinters along the edge, go to the part they touch most, so that every part
    hangs together."""
    deepest = float(cv2.distanceTransform(mask, cv2.DIST_L2, cv2.DIST_MASK_5).max())
    for _ in range(64):
        size = np.bincount(labels.ravel())
        small = np.flatnonzero((size > 0) & ((size < _LEAST_PX) | _thin(labels, size, deepest)))
        small = small[small > 0]
        if len(small) == 0 or np.count_nonzero(size[1:]) < 2:
            break
        part = int(small[size[small].argmin()])
        mine = labels == part
        beside = np.concatenate(
            [labels[1:][mine[:-1]], labels[:-1][mine[1:]], labels[:, 1:][mine[:, :-1]], labels[:, :-1][mine[:, 1:]]]
        )
        beside = beside[(beside > 0) & (beside != part)]
        if len(beside) == 0:
            break
        labels[mine] = np.bincount(beside).argmax()
    return labels


def _thin(labels, size, deepest):
    """(K,) bool: parts that are splinters beside the ``deepest`` place of their face."""
    if deepest < _THINNER * _THIN_PX:
        return np.zeros(len(size), bool)
    depth = np.zeros(len(size))
    for part in np.flatnonzero(size[1:]) + 1:
        depth[part] = cv2.distanceTransform((labels == part).astype(np.uint8), cv2.DIST_L2, cv2.DIST_MASK_5).max()
    return depth <= _THIN_PX
