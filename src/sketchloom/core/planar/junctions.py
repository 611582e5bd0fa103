"""Places of the nodes, and the polylines that run from node to node."""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.planar.planar_map import PlanarMap
from sketchloom.core.planar.subpixel import BoundaryPoints

_NEAR_PX, _FAR_PX = 1.5, 6.5
"""Points so far from a junction lie on its arcs undisturbed: from, and to."""
_POINTS = 7
"""Points of each arc that its direction at the junction is taken from."""
_MOVE_PX, _LARGEST_MOVE_PX = 1.0, 2.5
"""How far from its lattice corner a node may be: between bent ends, and between straight ones, which may meet at a
sharp angle."""
_PASSES, _FEW, _BENT_PX, _BEYOND_PX = 2, 5, 0.04, 3.0
"""A line serves fewer points, and those that lie no farther off it; a parabola is not followed farther than this
beyond its points."""
_BETTER = 0.3
"""A parabola must leave less than this of what a line leaves: grain would swing it about."""
_BOW_PX = 0.1
"""Points that lie so far off their line or parabola, root mean square, halve its weight."""
_PRIOR = 0.02
"""Weight of the lattice corner against arcs that meet there, for nearly parallel arcs."""


@dataclass(frozen=True, slots=True, eq=False)
class Polylines:
    """Arcs as polylines, px.

    ``xy`` (N, 2), ``starts`` (A + 1,). Open arcs begin and end with their nodes; closed
    arcs hold each point once. ``base`` (N, 2) the place in the pixel grid that each point was
    found from: the middle of its crack, or its node's lattice corner. ``whole_pixels``: the picture has no pixel
    between two colours, so that points tell where an outline runs to half a pixel only.
    """

    xy: np.ndarray
    starts: np.ndarray
    closed: np.ndarray
    base: np.ndarray | None = None
    whole_pixels: bool = False

    def part(self, first: int, stop: int) -> "Polylines":
        """The arcs from ``first`` up to ``stop``."""
        starts = self.starts[first:stop + 1]
        inside = slice(starts[0], starts[-1])
        base = None if self.base is None else self.base[inside]
        return Polylines(self.xy[inside], starts - starts[0], self.closed[first:stop], base)


def place_nodes(planar: PlanarMap, points: BoundaryPoints) -> np.ndarray:
    """Meet the arcs of every junction in one point, (N, 2) px.

    The least-squares meeting of the tangents of the parabolas, or lines, through each arc's nearest clean points; of
    parabolas first where they pass the lattice corner, then where they pass what was found. Nodes on the border stay on
    it; the picture's corners stay where they are.
    """
    nodes = planar.node_xy
    count = len(nodes)
    ends = [_ends(planar, points, at_end) for at_end in (False, True)]
    limit = np.array([planar.width, planar.height])
    held = (nodes == 0) | (nodes == limit)
    stiff = held * 1e6
    trust, arcs = np.zeros(count), np.zeros(count)
    for end in ends:
        np.add.at(trust, end.node, end.sure)
        np.add.at(arcs, end.node, 1)
    most = (_MOVE_PX + (_LARGEST_MOVE_PX - _MOVE_PX) * trust / np.maximum(arcs, 1))[:, None]
    placed = nodes
    for _ in range(_PASSES):
        system = np.zeros((count, 2, 2)) + _PRIOR * np.eye(2)
        target = _PRIOR * nodes
        for end in ends:
            normal, through = end.tangents(placed)
            across = end.sure[:, None, None] * normal[:, :, None] * normal[:, None, :]
            np.add.at(system, end.node, across)
            np.add.at(target, end.node, (across @ through[:, :, None])[:, :, 0])
        system[:, [0, 1], [0, 1]] += stiff
        found = np.linalg.solve(system, (target + stiff * nodes)[:, :, None])[:, :, 0]
        placed = nodes + np.clip(found - nodes, -most, most)
        placed = np.where(held, nodes, np.clip(placed, 0, limit))
    placed[planar.node_degree == 2] = nodes[planar.node_degree == 2]
    return placed


@dataclass(frozen=True, slots=True, eq=False)
class _Ends:
    """How open arcs come to their nodes: ``across = a + b s + c s^2`` over the way ``s`` along ``unit`` from
    ``middle``.

    ``node`` (K,) numbers; ``middle``, ``unit`` (K, 2) px; ``form`` (3, K) a, b, c; ``nearest`` (K,) the way at the
    point nearest to the node; ``sure`` (K,) how much an end counts: what no parabola follows says little of where it
    goes.
    """

    node: np.ndarray
    middle: np.ndarray
    unit: np.ndarray
    form: np.ndarray
    nearest: np.ndarray
    sure: np.ndarray

    def tangents(self, nodes) -> tuple[np.ndarray, np.ndarray]:
        """Unit normals of the tangents nearest to places of the nodes, and a point of each."""
        way = ((nodes[self.node] - self.middle) * self.unit).sum(1)
        way = np.clip(way, self.nearest - _BEYOND_PX, self.nearest + _BEYOND_PX)
        a, b, c = self.form
        normal = np.stack([-self.unit[:, 1], self.unit[:, 0]], -1)
        through = self.middle + way[:, None] * self.unit + (a + way * (b + way * c))[:, None] * normal
        turned = normal - (b + 2 * way * c)[:, None] * self.unit
        return turned / np.hypot(*turned.T)[:, None], through


def _ends(planar, points, at_end) -> _Ends:
    """The ends of open arcs, their begins or where they stop."""
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
    from_mean = near - mean[:, None]
    spread = from_mean * np.sqrt(weight)[..., None]
    xx, yy, xy = (spread[..., 0] ** 2).sum(1), (spread[..., 1] ** 2).sum(1), (spread[..., 0] * spread[..., 1]).sum(1)
    along = 0.5 * np.arctan2(2 * xy, xx - yy)
    unit = np.stack([np.cos(along), np.sin(along)], -1)
    way = (from_mean * unit[:, None]).sum(2)
    across = from_mean[..., 1] * unit[:, None, 0] - from_mean[..., 0] * unit[:, None, 1]
    # the parabola; the mean of the way and its product with what is across are 0 by the choice of the line
    s2, s3, s4, t2 = ((weight * v).sum(1) for v in (way**2, way**3, way**4, way**2 * across))
    spare = s4 - s2**2 - s3**2 / np.maximum(s2, 1e-9)
    c = np.where(spare > 1e-6, t2 / np.maximum(spare, 1e-6), 0.0)
    form = np.stack([-c * s2, -c * s3 / np.maximum(s2, 1e-9), c])
    left = across - (form[0][:, None] + way * (form[1][:, None] + way * c[:, None]))
    off_line, off_parabola = (np.sqrt((weight * v * v).sum(1)) for v in (across, left))
    bent = (use.sum(1) >= _FEW) & (off_line > _BENT_PX) & (off_parabola < _BETTER * off_line)
    off = np.where(bent, off_parabola, off_line)
    nearest = np.take_along_axis(way, np.where(use, distance, np.inf).argmin(1)[:, None], 1)[:, 0]
    return _Ends(node, origin + mean, unit, form * bent, nearest, 1 / (1 + (off / _BOW_PX) ** 2))


def join_polylines(planar: PlanarMap, points: BoundaryPoints, nodes) -> Polylines:
    """Polylines of all arcs, with points that a third colour has pulled left out."""
    arc = ragged.owner(points.starts)
    junction = planar.node_degree > 2
    keep = np.ones(len(points.xy), bool)
    lengths = np.diff(points.starts)
    open_points = np.flatnonzero(~planar.closed[arc])
    own = arc[open_points]
    for node in (planar.start_node[own], planar.end_node[own]):
        distance = np.hypot(*(points.xy[open_points] - nodes[node]).T)
        limit = np.where(
            junction[node], np.where(lengths[own] > 8, 2.2, np.where(lengths[own] > 5, _NEAR_PX, 0.7)), 0.3
        )
        keep[open_points] &= distance >= limit
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
