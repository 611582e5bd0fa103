"""Cuts shapes and split lines into the regions of a label image."""

from dataclasses import dataclass

import cv2
import numpy as np

from sketchloom.core.base.raster import counted, filled, links_crossed
from sketchloom.core.curves.curveset import flatten, line_controls
from sketchloom.core.planar.cracks import face_runs
from sketchloom.core.segment.merging import Cleaned, merge_small
from sketchloom.core.shapes.guides import Chain, Guides, link_code
from sketchloom.core.shapes.placed import is_straight

_FLAT_PX = 0.02
"""Curves are flattened so far for deciding pixels."""
_CRUMB_PX = 8
"""Smaller bits that a cut leaves go to a neighbour."""
_LEAST_PX = 24
"""A split line that clips off less than this parts nothing."""
_LONGER_PX, _LONGER = 8.0, 0.25
"""A split line that stops short of the edge is drawn on by up to so much, and so much of its length."""


@dataclass(frozen=True, slots=True, eq=False)
class CutIn:
    """``regions`` with the shapes in them; ``opened`` (F,) bool: faces cut out of all sheets; ``covered`` (H, W) bool:
    pixels that shapes gave another label; ``splits_done`` (L,) bool: whether each split line parts anything."""

    regions: Cleaned
    opened: np.ndarray
    covered: np.ndarray
    guides: Guides
    splits_done: np.ndarray


def cut_in(regions: Cleaned, shapes, splits, ground_label: int) -> CutIn:
    """Lay shapes over regions in their order, then draw split lines through what is there.

    Parameters
    ----------
    shapes : pairs of a list of rings, (S, 4, 2) px each, and the label inside, None to cut out.
    splits : list of (N, 2) px polylines. ground_label : label of what is cut out.

    Notes
    -----
    A shape in the colour of what it touches joins it. A split line parts the faces that it crosses
    from side to side; both parts keep their label.
    """
    labels, size = regions.labels, regions.labels.shape
    opening = max(int(labels.max()), ground_label, *(label or 0 for _, label in shapes), 0) + 1
    drawn = labels.astype(np.int32)
    owner = np.zeros(size, np.int32)
    groups = []
    for rings, label in shapes:
        inside = filled([flatten(ring, is_straight(ring), _FLAT_PX)[0] for ring in rings], size)
        groups.append(tuple(Chain(ring, True) for ring in rings))
        drawn[inside] = opening if label is None else label
        owner[inside] = len(groups)
    # what two outlines leave between them may be a few pixels, which are no region
    whole = merge_small(drawn, _CRUMB_PX) if shapes else None
    if whole is None:
        drawn_faces = face_runs(drawn)
        face_label = drawn_faces.face_label.copy()
        faces = drawn_faces.paint(np.arange(len(face_label), dtype=np.int32))
    else:
        drawn, faces, face_label = whole.labels, whole.faces, whole.face_label.copy()
    links, link_groups, done = [], [], []
    for points in splits:
        curve = _smooth(_longer(points, faces))
        line = flatten(curve, is_straight(curve), _FLAT_PX)[0]
        one, two = links_crossed(np.concatenate([line, curve[-1:, 3]]), size)
        faces, parted = _parted(faces, one, two)
        done.append(len(parted) > 0)
        if len(parted):
            face_label = np.concatenate([face_label, face_label[parted]])
            apart = faces.ravel()[one] != faces.ravel()[two]
            links.append(link_code(one[apart], two[apart], drawn.size))
            link_groups.append(np.full(int(apart.sum()), len(groups)))
            groups.append((Chain(curve, False),))
    area = counted(faces, len(face_label))
    opened = face_label == opening
    face_label[opened] = ground_label
    labels = np.where(drawn == opening, ground_label, drawn).astype(labels.dtype)
    link, group = (np.concatenate(parts) if parts else np.empty(0, np.int64) for parts in (links, link_groups))
    order = np.argsort(link, kind="stable")
    made = Cleaned(
        labels, faces, face_label.astype(regions.face_label.dtype), area, regions.dropped, regions.dropped_label
    )
    return CutIn(made, opened, owner > 0, Guides(tuple(groups), owner, link[order], group[order]), np.array(done, bool))


def _smooth(points):
    """(S, 4, 2) cubics through points: straight between two, else a Catmull-Rom spline by chord lengths (Barry,
    Goldman 1988)."""
    points = points[np.concatenate([[True], np.hypot(*np.diff(points, axis=0).T) > 1e-6])]
    if len(points) < 3:
        return line_controls(points[:1], points[-1:])
    step = np.diff(points, axis=0)
    length = np.hypot(*step.T)[:, None]
    slope = step / length
    inner = (slope[:-1] * length[1:] + slope[1:] * length[:-1]) / (length[:-1] + length[1:])
    tangent = np.concatenate([2 * slope[:1] - inner[:1], inner, 2 * slope[-1:] - inner[-1:]])
    a, b = points[:-1], points[1:]
    return np.stack([a, a + tangent[:-1] * length / 3, b - tangent[1:] * length / 3, b], 1)


def _longer(points, faces):
    """The line drawn on at each end until it leaves the face it ends in, if that is near."""
    points = np.asarray(points, float)
    way = np.concatenate([[0.0], np.cumsum(np.hypot(*np.diff(points, axis=0).T))])
    middle = _face_at(faces, [np.interp(way[-1] / 2, way, points[:, c]) for c in (0, 1)])
    reach = min(_LONGER_PX, 1.0 + way[-1]) + _LONGER * way[-1]
    ends = []
    for end, back in ((points[0], points[min(1, len(points) - 1)]), (points[-1], points[-2])):
        unit = (end - back) / max(np.hypot(*(end - back)), 1e-9)
        steps = end + np.arange(0.0, reach, 0.5)[:, None] * unit
        outside = np.flatnonzero([_face_at(faces, step) != middle for step in steps])
        ends.append(steps[outside[0]] + 1.5 * unit if len(outside) and outside[0] else None)
    head = [] if ends[0] is None else [ends[0]]
    tail = [] if ends[1] is None else [ends[1]]
    return np.concatenate([np.reshape(head, (-1, 2)), points, np.reshape(tail, (-1, 2))])


def _face_at(faces, place):
    x, y = int(np.floor(place[0])), int(np.floor(place[1]))
    return int(faces[y, x]) if 0 <= x < faces.shape[1] and 0 <= y < faces.shape[0] else -1


def _parted(faces, one, two):
    """Faces parted where a line passes between pixels, and the face each new one came from."""
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
    labels = _without_crumbs(np.where(mask > 0, labels, 0))
    return (box, labels[1:-1, 1:-1]) if len(np.unique(labels)) > 2 else None


def _without_crumbs(labels):
    """Parts under the least size go to the part they touch most, so that every part hangs together."""
    for _ in range(64):
        size = np.bincount(labels.ravel())
        small = np.flatnonzero((size > 0) & (size < _LEAST_PX))
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
