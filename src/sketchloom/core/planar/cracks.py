"""From a label image to faces, and from faces to the cracks between them.

A *crack* is the unit edge between two neighbouring pixels of different faces. Every crack
is given the direction that has the lower face number on its left, so all cracks of one
boundary run the same way.
"""

from dataclasses import dataclass

import numpy as np
from scipy.sparse import csr_array
from scipy.sparse.csgraph import connected_components

from sketchloom.core.errors import GeometryError

OUTSIDE = -1
EAST, SOUTH, WEST, NORTH = range(4)
STEP = np.array([[1, 0], [0, 1], [-1, 0], [0, -1]])


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


def face_image(labels) -> tuple[np.ndarray, np.ndarray]:
    """Number the connected areas of equal label.

    Parameters
    ----------
    labels : (H, W) integer label image, at least one pixel.

    Returns
    -------
    faces : (H, W) int32, face numbers in order of their first pixel in reading order.
    face_label : (F,) the label of each face.

    Notes
    -----
    Pixels are joined along edges only (4-connectivity); areas that touch at a corner stay
    apart, which the map shows as a node of degree four. Runs of equal pixels in each row
    are joined across rows, so the cost grows with the number of runs, not of pixels.
    """
    labels = np.asarray(labels)
    if labels.ndim != 2 or labels.size == 0:
        raise GeometryError(f"A label image must be two-dimensional and not empty; got shape {labels.shape}.")
    height, width = labels.shape
    begins = np.ones((height, width), bool)
    np.not_equal(labels[:, 1:], labels[:, :-1], out=begins[:, 1:])
    run = (np.cumsum(begins.ravel(), dtype=np.int32) - 1).reshape(height, width)
    joint = (begins[1:] | begins[:-1]) & (labels[1:] == labels[:-1])
    upper, lower = run[:-1][joint], run[1:][joint]
    count = int(run[-1, -1]) + 1
    graph = csr_array((np.ones(len(upper), np.int8), (upper, lower)), shape=(count, count))
    faces, face_of_run = connected_components(graph, directed=False)
    run_label = labels.ravel()[np.flatnonzero(begins.ravel())]
    # csgraph numbers components by their lowest run, hence in reading order
    face_label = np.empty(faces, labels.dtype)
    face_label[face_of_run] = run_label
    return face_of_run.astype(np.int32)[run], face_label


def find_cracks(faces) -> Cracks:
    """All cracks of a face image, those along the picture's border among them."""
    height, width = faces.shape
    across = width + 1
    # horizontal cracks lie between a pixel and the one above it, vertical ones left of it
    above = np.full((height + 1, width), OUTSIDE, np.int32)
    above[1:] = faces
    below = np.full((height + 1, width), OUTSIDE, np.int32)
    below[:-1] = faces
    y, x = np.nonzero(above != below)
    up, down = above[y, x], below[y, x]
    east = up < down
    start = (y * across + x).astype(np.intp)
    tail_h = np.where(east, start, start + 1)
    head_h = np.where(east, start + 1, start)
    heading_h = np.where(east, EAST, WEST).astype(np.int8)
    left_h, right_h = np.minimum(up, down), np.maximum(up, down)

    before = np.full((height, width + 1), OUTSIDE, np.int32)
    before[:, 1:] = faces
    after = np.full((height, width + 1), OUTSIDE, np.int32)
    after[:, :-1] = faces
    y, x = np.nonzero(before != after)
    west, east_face = before[y, x], after[y, x]
    south = east_face < west
    start = (y * across + x).astype(np.intp)
    tail_v = np.where(south, start, start + across)
    head_v = np.where(south, start + across, start)
    heading_v = np.where(south, SOUTH, NORTH).astype(np.int8)
    left_v, right_v = np.minimum(west, east_face), np.maximum(west, east_face)

    join = lambda a, b: np.concatenate([a, b])  # noqa: E731
    return Cracks(
        width, height,
        join(tail_h, tail_v), join(head_h, head_v), join(heading_h, heading_v),
        join(left_h, left_v), join(right_h, right_v),
    )
