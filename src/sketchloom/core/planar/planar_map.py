"""The planar map: nodes, arcs and faces of a label image, before any curve is fitted."""

from dataclasses import dataclass

import numpy as np
from scipy.sparse import csr_array
from scipy.sparse.csgraph import connected_components

from sketchloom.core.base.succession import chain_order
from sketchloom.core.planar.cracks import OUTSIDE, STEP, face_runs, find_cracks


@dataclass(frozen=True, slots=True, eq=False)
class PlanarMap:
    """Arcs between faces, each arc shared by exactly two.

    Attributes
    ----------
    faces : (H, W) int32 face image.
    face_label : (F,) label of each face.
    face_area_px : (F,) int64 pixels of each face.
    left, right : (A,) int32 faces beside each arc, ``left < right``, OUTSIDE = -1.
    start_node, end_node : (A,) intp into ``node_xy``; equal on closed arcs.
    closed : (A,) bool. Loops without a junction; their one node is only a place to begin.
    start_heading, end_heading : (A,) int8. Lattice direction in which the arc leaves its
        start, and in which the reversed arc leaves its end. No two arc ends at one node
        share a direction.
    node_xy : (N, 2) float64 lattice corners, px.
    node_degree : (N,) int8. 2 for closed loops and picture corners, else 3 or 4.
    vertex : (M,) intp lattice vertices at the tail of each crack, arc by arc.
    heading : (M,) int8 lattice direction of each crack.
    arc_starts : (A + 1,) offsets into ``vertex`` and ``heading``.
    lattice_area : (A,) share of each arc's cracks in the ring areas beside it, px^2; added
        right, taken left. The sign of a ring's sum says piece or hole beyond any doubt.
    """

    faces: np.ndarray
    face_label: np.ndarray
    face_area_px: np.ndarray
    left: np.ndarray
    right: np.ndarray
    start_node: np.ndarray
    end_node: np.ndarray
    closed: np.ndarray
    start_heading: np.ndarray
    end_heading: np.ndarray
    node_xy: np.ndarray
    node_degree: np.ndarray
    vertex: np.ndarray
    heading: np.ndarray
    arc_starts: np.ndarray
    lattice_area: np.ndarray

    @property
    def width(self) -> int:
        return self.faces.shape[1]

    @property
    def height(self) -> int:
        return self.faces.shape[0]

    @property
    def face_count(self) -> int:
        return len(self.face_label)

    @property
    def arc_count(self) -> int:
        return len(self.left)

    def euler_excess(self) -> int:
        """V - E + F - 1 - C, zero for every planar subdivision (F counts the outside)."""
        nodes = len(self.node_xy)
        graph = csr_array(
            (np.ones(self.arc_count, np.int8), (self.start_node, self.end_node)), shape=(nodes, nodes)
        )
        components = connected_components(graph, directed=False, return_labels=False)
        return nodes - self.arc_count + (self.face_count + 1) - 1 - components


def build_map(labels, faces=None, face_label=None, face_area=None) -> PlanarMap:
    """Build the planar map of a label image.

    Parameters
    ----------
    labels : (H, W) integer label image.
    faces, face_label, face_area : the face image, and label and pixels of each face, when they are at hand.

    Returns
    -------
    PlanarMap
        Every boundary of every face, the picture's border included.

    Raises
    ------
    GeometryError : the image is empty or not two-dimensional.
    """
    if faces is None:
        runs = face_runs(labels)
        face_label, face_area = runs.face_label, runs.areas()
        faces = runs.paint(np.arange(len(face_label), dtype=np.int32))
    cracks = find_cracks(faces)
    height, width = faces.shape
    # few vertices of the lattice have a crack: they are numbered among themselves
    is_used = np.zeros((height + 1) * (width + 1), bool)
    is_used[cracks.tail] = is_used[cracks.head] = True
    used = np.flatnonzero(is_used)
    number = np.empty(len(is_used), np.int32)
    number[used] = np.arange(len(used))
    tail, head = number[cracks.tail], number[cracks.head]
    degree = np.bincount(tail, minlength=len(used)) + np.bincount(head, minlength=len(used))
    corners = np.array([0, width, height * (width + 1), height * (width + 1) + width])
    is_node = degree > 2
    is_node[number[corners]] = True

    leaving = np.full(len(used), -1, np.intp)
    leaving[tail] = np.arange(len(tail))
    successor = leaving[head]
    successor[is_node[head]] = -1
    order, arc_starts, closed = chain_order(successor)

    first, last = order[arc_starts[:-1]], order[arc_starts[1:] - 1]
    tail_vertex, head_vertex = cracks.tail[first], cracks.head[last]
    nodes, numbered = np.unique(np.concatenate([tail_vertex, head_vertex]), return_inverse=True)
    arcs = len(first)
    return PlanarMap(
        faces=faces,
        face_label=face_label,
        face_area_px=face_area,
        left=cracks.left[first],
        right=cracks.right[first],
        start_node=numbered[:arcs],
        end_node=numbered[arcs:],
        closed=closed,
        start_heading=cracks.heading[first],
        end_heading=((cracks.heading[last] + 2) % 4).astype(np.int8),
        node_xy=cracks.xy(nodes),
        node_degree=degree[number[nodes]].astype(np.int8),
        vertex=cracks.tail[order],
        heading=cracks.heading[order],
        arc_starts=arc_starts,
        lattice_area=_lattice_areas(cracks.tail[order], cracks.heading[order], arc_starts, width),
    )


def _lattice_areas(vertex, heading, arc_starts, width):
    y, x = np.divmod(vertex, width + 1)
    step = STEP[heading]
    share = np.concatenate([[0], np.cumsum(x * step[:, 1] - y * step[:, 0])])
    return 0.5 * np.diff(share[arc_starts])


def shared_lengths(planar: PlanarMap, values=None) -> csr_array:
    """Symmetric (F + 1, F + 1) matrix of boundary length between faces.

    ``values`` are lengths of the arcs; the number of cracks when left out. The last row and
    column stand for the outside.
    """
    values = np.diff(planar.arc_starts).astype(float) if values is None else np.asarray(values, float)
    outside = planar.face_count
    left = np.where(planar.left == OUTSIDE, outside, planar.left)
    size = planar.face_count + 1
    half = csr_array((values, (left, planar.right)), shape=(size, size))
    return half + half.T
