"""From a label image to faces, and from faces to the cracks between them.

A *crack* is the unit edge between two neighbouring pixels of different faces. Every crack
is given the direction that has the lower face number on its left, so all cracks of one
boundary run the same way.
"""

from dataclasses import dataclass

import numpy as np
from scipy.sparse import csr_array
from scipy.sparse.csgraph import connected_components

from sketchloom.core.base.errors import GeometryError
from sketchloom.core.base.progress import breathe
from sketchloom.core.base.said import said

OUTSIDE = -1
"""The face beyond the picture's border."""
EAST, SOUTH, WEST, NORTH = range(4)
"""Headings of a crack."""
STEP = np.array([[1, 0], [0, 1], [-1, 0], [0, -1]])
"""One step (x, y) by heading."""
LEFT_PIXEL = np.array([[0, -1], [0, 0], [-1, 0], [-1, -1]])
"""The pixel (x, y) on the left of a crack, from its start, by heading."""
RIGHT_PIXEL = np.array([[0, 0], [-1, 0], [-1, -1], [0, -1]])
"""Pixels on either side of a crack that leaves a vertex in each heading, from the pixel below and right of it."""


@dataclass(frozen=True, slots=True, eq=False)
class Cracks:
    """Directed cracks of a face image of ``height`` x ``width`` pixels.

    ``tail`` and ``head`` are lattice vertices ``y * (width + 1) + x``; ``heading`` is one of
    EAST, SOUTH, WEST, NORTH; ``left`` < ``right`` are faces, OUTSIDE beyond the border.
    """

    width: int
    height: int
    tail: np.ndarray
    head: np.ndarray
    heading: np.ndarray
    left: np.ndarray
    right: np.ndarray

    def xy(self, vertex) -> np.ndarray:
        """Lattice coordinates of vertices, (..., 2) float64."""
        y, x = np.divmod(vertex, self.width + 1)
        return np.stack([x, y], axis=-1).astype(np.float64)


@dataclass(frozen=True, slots=True, eq=False)
class RowRuns:
    """Runs of equal pixels in the rows of a label image, in reading order.

    ``face`` (R,) the face of each run, ``length`` (R,) its pixels, ``first`` (R,) the flat
    index of its first; ``face_label`` (F,) the label of each face; ``shape`` of the image.
    """

    first: np.ndarray
    length: np.ndarray
    face: np.ndarray
    face_label: np.ndarray
    shape: tuple[int, int]

    def areas(self) -> np.ndarray:
        """(F,) pixels of each face."""
        return np.bincount(self.face, self.length, len(self.face_label)).astype(np.intp)

    def paint(self, values) -> np.ndarray:
        """(H, W) image with one value a face."""
        return np.repeat(values[self.face], self.length).reshape(self.shape)


def face_image(labels) -> tuple[np.ndarray, np.ndarray]:
    """Number the connected areas of equal label.

    Parameters
    ----------
    labels : (H, W) integer label image, at least one pixel.

    Returns
    -------
    faces : (H, W) int32, face numbers in order of their first pixel in reading order.
    face_label : (F,) the label of each face.
    """
    runs = face_runs(labels)
    return runs.paint(np.arange(len(runs.face_label), dtype=np.int32)), runs.face_label


def face_runs(labels) -> RowRuns:
    """The faces of a label image, (H, W), as runs of its rows.

    Notes
    -----
    Pixels are joined along edges only (4-connectivity); areas that touch at a corner stay
    apart, which the map shows as a node of degree four. Runs of equal pixels in each row
    are joined across rows, so the cost grows with the number of runs, not of pixels.
    """
    breathe()
    labels = np.asarray(labels)
    if labels.ndim != 2 or labels.size == 0:
        raise GeometryError(
            said("A label image must be two-dimensional and not empty; got shape {shape}.", shape=labels.shape)
        )
    height, width = labels.shape
    begins = np.ones((height, width), bool)
    np.not_equal(labels[:, 1:], labels[:, :-1], out=begins[:, 1:])
    first = np.flatnonzero(begins)
    joint = np.flatnonzero((begins[1:] | begins[:-1]) & (labels[1:] == labels[:-1]))
    upper = np.searchsorted(first, joint, side="right") - 1
    lower = np.searchsorted(first, joint + width, side="right") - 1
    breathe()
    count = len(first)
    graph = csr_array((np.ones(len(upper), np.int8), (upper, lower)), shape=(count, count))
    faces, face_of_run = connected_components(graph, directed=False)
    run_label = labels.ravel()[first]
    # csgraph numbers components by their lowest run, hence in reading order
    face_label = np.empty(faces, labels.dtype)
    face_label[face_of_run] = run_label
    return RowRuns(first, np.diff(first, append=labels.size), face_of_run, face_label, labels.shape)


def find_cracks(faces) -> Cracks:
    """All cracks of a face image, those along the picture's border among them."""
    breathe()
    height, width = faces.shape
    across = width + 1
    flat = faces.ravel()
    # horizontal cracks lie between a pixel and the one above it, vertical ones left of it
    at = np.flatnonzero(faces[1:] != faces[:-1])
    y, x = np.divmod(at, width)
    rim = np.arange(width)
    none = np.full(width, OUTSIDE, np.int32)
    up = np.concatenate([none, flat[at], faces[-1]])
    down = np.concatenate([faces[0], flat[at + width], none])
    start = np.concatenate([rim, (y + 1) * across + x, height * across + rim])
    horizontal = _directed(start, up, down, EAST, 1)

    at = np.flatnonzero(faces[:, 1:] != faces[:, :-1])
    y, x = np.divmod(at, width - 1) if width > 1 else (at, at)
    rim = np.arange(height) * across
    none = np.full(height, OUTSIDE, np.int32)
    west = np.concatenate([none, flat[y * width + x], faces[:, -1]])
    east = np.concatenate([faces[:, 0], flat[y * width + x + 1], none])
    start = np.concatenate([rim, y * across + x + 1, rim + width])
    vertical = _directed(start, east, west, SOUTH, across)
    return Cracks(width, height, *(np.concatenate(pair) for pair in zip(horizontal, vertical, strict=False)))


def _directed(start, on_left, on_right, along, step):
    """Cracks from ``start`` along a heading, turned round where the lower face is on the right.

    ``on_left``, ``on_right`` are the faces beside a crack that runs along the heading.
    """
    ahead = on_left < on_right
    tail = np.where(ahead, start, start + step)
    head = np.where(ahead, start + step, start)
    heading = np.where(ahead, along, along + 2).astype(np.int8)
    return tail, head, heading, np.minimum(on_left, on_right), np.maximum(on_left, on_right)
