"""Places of the nodes, and the polylines that run from node to node."""

from dataclasses import dataclass

import numpy as np

from sketchloom.core import ragged
from sketchloom.core.planar.planar_map import PlanarMap
from sketchloom.core.planar.subpixel import BoundaryPoints

_NEAR_PX, _FAR_PX = 1.5, 6.5
_POINTS = 7
_MOVE_PX, _LARGEST_MOVE_PX = 1.0, 2.5
"""How far from its lattice corner a node may be: between bent ends, and between straight ones, which may meet at a sharp angle."""
_BOW_PX = 0.1
"""Points that lie so far off their line, root mean square, halve its weight."""
_PRIOR = 0.02
"""Weight of the lattice corner against arcs that meet there, for nearly parallel arcs."""


@dataclass(frozen=True, slots=True, eq=False)
class Polylines:
    """Arcs as polylines, px.

    ``xy`` (N, 2), ``starts`` (A + 1,). Open arcs begin and end with their nodes; closed
    arcs hold each point once. ``base`` (N, 2) the place in the pixel grid that each point was
    found from: the middle of its crack, or its node's lattice corner.
    """

    xy: np.ndarray
    starts: np.ndarray
    closed: np.ndarray
    base: np.ndarray | None = None

    def part(self, first: int, stop: int) -> "Polylines":
        """The arcs from ``first`` up to ``stop``."""
        starts = self.starts[first:stop + 1]
        inside = slice(starts[0], starts[-1])
        base = None if self.base is None else self.base[inside]
        return Polylines(self.xy[inside], starts - starts[0], self.closed[first:stop], base)


def place_nodes(planar: PlanarMap, points: BoundaryPoints) -> np.ndarray:
    """Meet the arcs of every junction in one point, (N, 2) px.

    The least-squares meeting of the lines through each arc's nearest clean points. Nodes
    on the border stay on it; the picture's corners stay where they are.
    """
    nodes = planar.node_xy
    count = len(nodes)
    system = np.zeros((count, 2, 2)) + _PRIOR * np.eye(2)
    target = _PRIOR * nodes
    trust, ends = np.zeros(count), np.zeros(count)
    for at_end in (False, True):
        node, normal, through, sure = _end_lines(planar, points, at_end)
        across = sure[:, None, None] * normal[:, :, None] * normal[:, None, :]
        np.add.at(trust, node, sure)
        np.add.at(ends, node, 1)
        np.add.at(system, node, across)
        np.add.at(target, node, (across @ through[:, :, None])[:, :, 0])
    limit = np.array([planar.width, planar.height])
    held = (nodes == 0) | (nodes == limit)
    stiff = held * 1e6
    system[:, [0, 1], [0, 1]] += stiff
    target += stiff * nodes
    found = np.linalg.solve(system, target[:, :, None])[:, :, 0]
    most = (_MOVE_PX + (_LARGEST_MOVE_PX - _MOVE_PX) * trust / np.maximum(ends, 1))[:, None]
    placed = nodes + np.clip(found - nodes, -most, most)
    placed = np.where(held, nodes, np.clip(placed, 0, limit))
    placed[planar.node_degree == 2] = nodes[planar.node_degree == 2]
    return placed


def _end_lines(planar, points, at_end):
    """Node, unit normal and a point of the line through each open arc's end, and how much it counts: a bent end says little of where it goes."""
    lengths = np.diff(points.starts)
    arcs = np.flatnonzero(~planar.closed & (lengths >= 2))
    node = (planar.end_node if at_end else planar.start_node)[arcs]
    origin = planar.node_xy[node]
    step = np.arange(_POINTS)
    local = np.minimum(step, lengths[arcs, None] - 1)
    index = points.starts[arcs + 1, None] - 1 - local if at_end else points.starts[arcs, None] + local
    near = points.xy[index] - origin[:, None]
    distance = np.hypot(near[..., 0], near[..., 1])
    use = (distance >= _NEAR_PX) & (distance <= _FAR_PX) & (step < lengths[arcs, None])
    use[use.sum(1) < 2] = (step < np.minimum(lengths[arcs, None], 3))[use.sum(1) < 2]
    weight = use / use.sum(1, keepdims=True)
    mean = (near * weight[..., None]).sum(1)
    spread = (near - mean[:, None]) * np.sqrt(weight)[..., None]
    xx, yy, xy = (spread[..., 0] ** 2).sum(1), (spread[..., 1] ** 2).sum(1), (spread[..., 0] * spread[..., 1]).sum(1)
    along = 0.5 * np.arctan2(2 * xy, xx - yy)
    normal = np.stack([-np.sin(along), np.cos(along)], axis=-1)
    bow2 = np.maximum(0.5 * (xx + yy) - np.hypot(0.5 * (xx - yy), xy), 0)
    return node, normal, origin + mean, 1 / (1 + bow2 / _BOW_PX**2)


def join_polylines(planar: PlanarMap, points: BoundaryPoints, nodes) -> Polylines:
    """Polylines of all arcs, with points that a third colour has pulled left out."""
    arc = ragged.owner(points.starts)
    start, end = planar.start_node[arc], planar.end_node[arc]
    junction = planar.node_degree > 2
    keep = np.ones(len(points.xy), bool)
    lengths = np.diff(points.starts)
    for node in (start, end):
        distance = np.hypot(*(points.xy - nodes[node]).T)
        limit = np.where(junction[node], np.where(lengths[arc] > 8, 2.2, np.where(lengths[arc] > 5, _NEAR_PX, 0.7)), 0.3)
        keep &= planar.closed[arc] | (distance >= limit)
    # a loop too small to have kept three points, its node among them, falls back on its pixel corners
    kept = np.bincount(arc[keep], minlength=planar.arc_count)
    through_node = ~planar.closed & (planar.start_node == planar.end_node)
    bare = np.flatnonzero((planar.closed & (kept < 3)) | (through_node & (kept < 2)))
    keep[np.isin(arc, bare)] = False
    corner_index, _ = ragged.take(planar.arc_starts, bare)
    corner_arc = np.repeat(bare, np.diff(planar.arc_starts)[bare])
    # an arc through a node has its node already
    inner = planar.closed[corner_arc] | (corner_index != planar.arc_starts[corner_arc])
    corner_index, corner_arc = corner_index[inner], corner_arc[inner]
    y, x = np.divmod(planar.vertex[corner_index], planar.width + 1)

    open_arcs = np.flatnonzero(~planar.closed)
    owners = np.concatenate([open_arcs, arc[keep], corner_arc, open_arcs])
    xy = np.concatenate([
        nodes[planar.start_node[open_arcs]], points.xy[keep],
        np.stack([x, y], -1).astype(float), nodes[planar.end_node[open_arcs]],
    ])
    base = np.concatenate([
        planar.node_xy[planar.start_node[open_arcs]], points.middle[keep],
        np.stack([x, y], -1).astype(float), planar.node_xy[planar.end_node[open_arcs]],
    ])
    order = np.argsort(owners, kind="stable")
    starts = np.searchsorted(owners[order], np.arange(planar.arc_count + 1))
    return Polylines(xy[order], starts, planar.closed, base[order])
