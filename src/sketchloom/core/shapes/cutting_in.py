"""Cuts shapes and split lines into the regions of a label image."""

from dataclasses import dataclass
from typing import NamedTuple

import numpy as np

from sketchloom.core.base.raster import counted, filled, links_crossed
from sketchloom.core.curves.chains import Chain
from sketchloom.core.curves.curveset import flatten, is_straight, line_controls
from sketchloom.core.planar.cracks import face_runs
from sketchloom.core.segment.merging import Cleaned, merge_small
from sketchloom.core.shapes.guides import Guides, link_code
from sketchloom.core.shapes.parting import parted_along

_FLAT_PX = 0.02
"""Curves are flattened so far for deciding pixels."""
_CRUMB_PX = 8
"""Smaller bits that a cut leaves go to a neighbour."""
_LONGER_PX, _LONGER = 8.0, 0.25
"""A split line that stops short of the edge is drawn on by up to so much, and so much of its length."""
_CLOSES = 0.1
"""A line whose end is nearer to its beginning than this share of its length is meant to close (common practice, no
source)."""


@dataclass(frozen=True, slots=True, eq=False)
class CutIn:
    """``regions`` with the shapes in them; ``opened`` (F,) bool: faces cut out of all sheets; ``covered`` (H, W) bool:
    pixels that shapes gave another label; ``splits_done`` (L,) bool: whether each split line parts anything."""

    regions: Cleaned
    opened: np.ndarray
    covered: np.ndarray
    guides: Guides
    splits_done: np.ndarray


def cut_in(regions: Cleaned, shapes, splits, ground_label: int, drawn_on: Guides | None = None) -> CutIn:
    """Lay shapes over regions in their order, then draw split lines through what is there.

    Parameters
    ----------
    shapes : pairs of a list of rings, (S, 4, 2) px each, and the label inside, None to cut out.
    splits : list of (N, 2) px polylines. ground_label : label of what is cut out. drawn_on : known curves that are in
        the regions already.

    Notes
    -----
    A shape in the colour of what it touches joins it. A split line parts the faces that it crosses from side to side,
    alone or together with others; a line that comes back to its beginning parts what it encloses. All parts keep their
    label.
    """
    labels, size = regions.labels, regions.labels.shape
    opening = max(int(labels.max()), ground_label, *(label or 0 for _, label in shapes), 0) + 1
    drawn = labels.astype(np.int32)
    owner = np.zeros(size, np.int32) if drawn_on is None else drawn_on.owner.copy()
    covered = np.zeros(size, bool)
    groups = [] if drawn_on is None else list(drawn_on.groups)
    for rings, label in shapes:
        inside = filled([flatten(ring, is_straight(ring), _FLAT_PX)[0] for ring in rings], size)
        groups.append(tuple(Chain(ring, True) for ring in rings))
        drawn[inside] = opening if label is None else label
        owner[inside] = len(groups)
        covered |= inside
    # what two outlines leave between them may be a few pixels, which are no region
    whole = merge_small(drawn, _CRUMB_PX) if shapes else None
    if whole is None:
        drawn_faces = face_runs(drawn)
        face_label = drawn_faces.face_label.copy()
        faces = drawn_faces.paint(np.arange(len(face_label), dtype=np.int32))
    else:
        drawn, faces, face_label = whole.labels, whole.faces, whole.face_label.copy()
    seams = [_seam(points, faces) for points in splits]
    faces, face_label, seams = _split(faces, face_label, seams)
    links, link_groups, done = [], [], []
    for curve, closed, one, two, is_done in seams:
        done.append(is_done)
        if is_done:
            apart = faces.ravel()[one] != faces.ravel()[two]
            links.append(link_code(one[apart], two[apart], drawn.size))
            link_groups.append(np.full(int(apart.sum()), len(groups)))
            groups.append((Chain(curve, closed),))
    area = counted(faces, len(face_label))
    opened = face_label == opening
    face_label[opened] = ground_label
    labels = np.where(drawn == opening, ground_label, drawn).astype(labels.dtype)
    link, group = (np.concatenate(parts) if parts else np.empty(0, np.int64) for parts in (links, link_groups))
    order = np.argsort(link, kind="stable")
    made = Cleaned(
        labels, faces, face_label.astype(regions.face_label.dtype), area, regions.dropped, regions.dropped_label
    )
    return CutIn(made, opened, covered, Guides(tuple(groups), owner, link[order], group[order]), np.array(done, bool))


class _Seam(NamedTuple):
    """A split line as cubics, the pairs of pixels that it passes between, and whether it parts anything."""

    curve: np.ndarray
    closed: bool
    one: np.ndarray
    two: np.ndarray
    is_done: bool = False


def _seam(points, faces, others=()):
    """The line drawn on to the edge of what it parts, to ``others`` near its ends, or to its own beginning."""
    points = np.asarray(points, float)
    closed = _comes_back(points, faces)
    curve = _smooth(np.concatenate([points, points[:1]]) if closed else _longer(_met(points, others), faces), closed)
    line = flatten(curve, is_straight(curve), _FLAT_PX)[0]
    return _Seam(curve, closed, *links_crossed(np.concatenate([line, curve[-1:, 3]]), faces.shape))


def _split(faces, face_label, seams):
    """Faces parted by seams one after the other, then by those together that part nothing alone."""
    before = faces
    for seam in seams:
        faces, parted = parted_along(faces, seam.one, seam.two)
        face_label = np.concatenate([face_label, face_label[parted]])
    alone = [_does(seam, before, faces) for seam in seams]
    if len(seams) > 1 and not all(alone):
        lines = [flatten(s.curve, is_straight(s.curve), _FLAT_PX)[0] for s in seams]
        seams = [
            seam if is_done or seam.closed else _seam(
                np.concatenate([lines[n], seam.curve[-1:, 3]]), faces, [x for k, x in enumerate(lines) if k != n])
            for n, (seam, is_done) in enumerate(zip(seams, alone, strict=True))
        ]
        one, two = (np.concatenate(sides) for sides in ([s.one for s in seams], [s.two for s in seams]))
        faces, parted = parted_along(faces, one, two)
        face_label = np.concatenate([face_label, face_label[parted]])
    return faces, face_label, [seam._replace(is_done=_does(seam, before, faces)) for seam in seams]


def _does(seam, before, after):
    """Whether a seam lies between two parts of what was one face."""
    same = before.ravel()[seam.one] == before.ravel()[seam.two]
    return bool((same & (after.ravel()[seam.one] != after.ravel()[seam.two])).any())


def _comes_back(points, faces):
    """Whether a line ends near its beginning, both within one face: then it is meant to close."""
    if len(points) < 4:
        return False
    length = float(np.hypot(*np.diff(points, axis=0).T).sum())
    near = np.hypot(*(points[-1] - points[0])) <= max(_LONGER_PX, _CLOSES * length)
    return bool(near) and _face_at(faces, points[0]) == _face_at(faces, points[-1]) >= 0


def _met(points, others):
    """The line drawn on to other lines that one of its ends nearly meets."""
    if not others:
        return points
    length = float(np.hypot(*np.diff(points, axis=0).T).sum())
    reach = min(_LONGER_PX, 1.0 + length) + _LONGER * length
    dense = np.concatenate([_dense(line) for line in others])
    ends = []
    for end in (points[0], points[-1]):
        away = np.hypot(*(dense - end).T)
        near = int(away.argmin())
        unit = (dense[near] - end) / max(away[near], 1e-9)
        ends.append([dense[near] + 0.75 * unit] if 0.5 < away[near] <= reach else [])
    return np.concatenate([np.reshape(ends[0], (-1, 2)), points, np.reshape(ends[1], (-1, 2))])


def _dense(line):
    """Places along a line, half a pixel apart."""
    way = np.concatenate([[0.0], np.cumsum(np.hypot(*np.diff(line, axis=0).T))])
    at = np.linspace(0, way[-1], int(2 * way[-1]) + 2)
    return np.stack([np.interp(at, way, line[:, c]) for c in (0, 1)], -1)


def _smooth(points, closed=False):
    """(S, 4, 2) cubics through points: straight between two, else a Catmull-Rom spline by chord lengths (Barry,
    Goldman 1988); a ``closed`` one goes on smoothly where it ends."""
    points = points[np.concatenate([[True], np.hypot(*np.diff(points, axis=0).T) > 1e-6])]
    if len(points) < 3:
        return line_controls(points[:1], points[-1:])
    step = np.diff(points, axis=0)
    length = np.hypot(*step.T)[:, None]
    slope = step / length
    inner = (slope[:-1] * length[1:] + slope[1:] * length[:-1]) / (length[:-1] + length[1:])
    if closed:
        round_ = (slope[-1:] * length[:1] + slope[:1] * length[-1:]) / (length[:1] + length[-1:])
        tangent = np.concatenate([round_, inner, round_])
    else:
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
