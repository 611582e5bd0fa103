"""Known curves in the map: where an arc runs along a drawn curve, it becomes that curve exactly."""

from dataclasses import dataclass, replace

import numpy as np
from scipy.spatial import cKDTree

from sketchloom.core.base import ragged
from sketchloom.core.curves.chains import Chain, between, replaced
from sketchloom.core.curves.curveset import CurveSet, evaluate, segment_lengths
from sketchloom.core.planar.cracks import LEFT_PIXEL, RIGHT_PIXEL, STEP
from sketchloom.core.planar.junctions import Polylines
from sketchloom.core.planar.planar_map import PlanarMap
from sketchloom.core.planar.subpixel import BoundaryPoints

_SPACING_PX = 0.25
"""Spacing of samples on a known curve."""
_AWAY_PX = 1.6
"""Boundary points so near to a known curve run along it."""
_SLACK_PX = 1.0
"""Pixels of a drawn shape lie within half a pixel's diagonal of its curve; more means that the arc is another."""


@dataclass(frozen=True, slots=True, eq=False)
class Guides:
    """Chains in groups, and the cracks that run along each group.

    ``groups``: the chains of each shape or split line. ``owner`` (H, W) int32: number of the shape that covers a
    pixel, from 1, 0 for none; shape k is group k - 1. ``link`` (L,) sorted codes of pairs of pixels that a split
    line passes between, ``link_group`` (L,) its group.
    """

    groups: tuple[tuple[Chain, ...], ...]
    owner: np.ndarray
    link: np.ndarray
    link_group: np.ndarray

    def group_of(self, one, two) -> np.ndarray:
        """(K,) group along which the cracks between pixels run, given by flat numbers; -1 for none."""
        flat = self.owner.ravel()
        a, b = flat[one], flat[two]
        found = np.where(a != b, np.maximum(a, b) - 1, -1)
        if len(self.link):
            code = link_code(one, two, self.owner.size)
            at = np.minimum(np.searchsorted(self.link, code), len(self.link) - 1)
            found = np.where(self.link[at] == code, self.link_group[at], found)
        return found


def link_code(one, two, count: int) -> np.ndarray:
    """One number for each pair of pixels, whichever comes first."""
    return np.minimum(one, two).astype(np.int64) * count + np.maximum(one, two)


class _Track:
    """Chains of a group with a tree of their points, to find the nearest."""

    def __init__(self, chains):
        chain, segment, t, controls = [], [], [], []
        for number, one in enumerate(chains):
            count = np.maximum(np.ceil(segment_lengths(one.controls) / _SPACING_PX), 2).astype(np.intp)
            starts = ragged.lengths_to_starts(count + 1)
            of = ragged.owner(starts)
            segment.append(of)
            t.append((np.arange(starts[-1]) - starts[of]) / count[of])
            chain.append(np.full(len(of), number))
            controls.append(one.controls[of])
        self.chain, self.segment, self.t = np.concatenate(chain), np.concatenate(segment), np.concatenate(t)
        self.controls = np.concatenate(controls)
        self.tree = cKDTree(evaluate(self.controls, self.t))

    def nearest(self, xy):
        """Foot of each point on the chains: place (K, 2), chain and segment-and-parameter (K,), distance (K,)."""
        _, at = self.tree.query(xy)
        controls, t = self.controls[at], self.t[at]
        for _ in range(3):  # Newton on the distance, from a sample close by
            foot = evaluate(controls, t)
            ahead = 3 * _quadratic(np.diff(controls, axis=1), t)
            speed = np.maximum((ahead * ahead).sum(-1), 1e-12)
            t = np.clip(t + ((xy - foot) * ahead).sum(-1) / speed, 0, 1)
        foot = evaluate(controls, t)
        return foot, self.chain[at], self.segment[at] + t, np.hypot(*(xy - foot).T)


def _quadratic(legs, t):
    s = (1 - t)[:, None]
    t = t[:, None]
    return s * s * legs[:, 0] + 2 * s * t * legs[:, 1] + t * t * legs[:, 2]


def crack_groups(planar: PlanarMap, guides: Guides) -> np.ndarray:
    """(M,) group along which each crack of the map runs, -1 for none."""
    y, x = np.divmod(planar.vertex, planar.width + 1)
    pixels, inside = [], np.ones(len(x), bool)
    for table in (LEFT_PIXEL, RIGHT_PIXEL):
        px, py = x + table[planar.heading, 0], y + table[planar.heading, 1]
        inside &= (px >= 0) & (px < planar.width) & (py >= 0) & (py < planar.height)
        pixels.append(py * planar.width + px)
    found = np.full(len(x), -1)
    found[inside] = guides.group_of(pixels[0][inside], pixels[1][inside])
    return found


def snapped(planar: PlanarMap, points: BoundaryPoints, guides: Guides, of_crack) -> BoundaryPoints:
    """Boundary points with those along a drawn curve on it; ``of_crack`` as of ``crack_groups``."""
    if not (of_crack >= 0).any():
        return points
    # the middle of a crack says which one it was
    y, x = np.divmod(planar.vertex, planar.width + 1)
    step = STEP[planar.heading]
    code = _middle_code(2 * x + step[:, 0], 2 * y + step[:, 1], planar.width)
    order = np.argsort(code)
    across, down = np.rint(2 * points.middle).astype(np.int64).T
    mine = _middle_code(across, down, planar.width)
    group = of_crack[order[np.searchsorted(code[order], mine)]]
    xy = points.xy.copy()
    for number in np.unique(group[group >= 0]).tolist():
        at = np.flatnonzero(group == number)
        foot, _, _, away = _Track(guides.groups[number]).nearest(points.middle[at])
        near = away < _AWAY_PX
        xy[at[near]] = foot[near]
    return replace(points, xy=xy)


def _middle_code(x, y, width):
    return np.asarray(y, np.int64) * (2 * width + 2) + x


def held_nodes(planar: PlanarMap, nodes, guides: Guides, of_crack) -> np.ndarray:
    """Places of nodes (N, 2), those at which a drawn curve ends or is met put on it."""
    if not (of_crack >= 0).any():
        return nodes
    nodes = nodes.copy()
    ends = np.concatenate([planar.arc_starts[:-1], planar.arc_starts[1:] - 1])
    node = np.concatenate([planar.start_node, planar.end_node])
    group = of_crack[ends]
    # where two drawn curves meet, the one drawn later was cut through the other
    for number in np.unique(group[group >= 0]).tolist():
        at = np.unique(node[group == number])
        at = at[planar.node_degree[at] > 2]
        if len(at) == 0:
            continue
        foot, _, _, away = _Track(guides.groups[number]).nearest(nodes[at])
        near = away < _AWAY_PX
        # what lies on the picture's border stays there
        held = (nodes[at] == 0) | (nodes[at] == (planar.width, planar.height))
        nodes[at[near]] = np.where(held, nodes[at], foot)[near]
    return nodes


def group_of_arc(planar: PlanarMap, of_crack) -> np.ndarray:
    """(A,) group along which all of an arc runs, -1 for none."""
    low = ragged.reduce_pieces(np.minimum, of_crack, planar.arc_starts, -1)
    high = ragged.reduce_pieces(np.maximum, of_crack, planar.arc_starts, -1)
    return np.where(low == high, low, -1)


def with_guides(planar: PlanarMap, lines: Polylines, curves: CurveSet, guides: Guides, of_crack) -> CurveSet:
    """Curves in which every arc that runs along one drawn curve is that curve, bit for bit but for its ends."""
    group = group_of_arc(planar, of_crack)
    arcs = np.flatnonzero((group >= 0) & (np.diff(lines.starts) > 1))
    exact = {}
    for number in np.unique(group[arcs]).tolist():
        chains = guides.groups[number]
        track = _Track(chains)
        for arc in arcs[group[arcs] == number].tolist():
            points = lines.xy[lines.starts[arc]:lines.starts[arc + 1]].copy()
            if not lines.closed[arc] and curves.starts[arc + 1] > curves.starts[arc]:
                # fitting may have moved nodes so that nothing crosses
                points[0], points[-1] = (
                    curves.controls[curves.starts[arc], 0],
                    curves.controls[curves.starts[arc + 1] - 1, 3],
                )
            found = _along(chains, track, points, bool(lines.closed[arc]))
            if found is not None:
                exact[arc] = found
    return replaced(curves, exact) if exact else curves


def _along(chains, track, xy, closed):
    """The part of one chain that a polyline runs along, (S, 4, 2); None where it does not keep to one."""
    _foot, chain, place, away = track.nearest(xy)
    if (chain != chain[0]).any() or away.max() > _SLACK_PX:
        return None
    one = chains[chain[0]]
    count = len(one.controls)
    travel = np.diff(np.concatenate([place, place[:1]]) if closed else place)
    if one.closed:
        travel = (travel + count / 2) % count - count / 2
    total = float(travel.sum())
    if (np.abs(travel) > 0.5 * count).any() or total == 0:
        return None
    if closed:
        if not one.closed or abs(abs(total) - count) > 0.01:
            return None
        made = one.controls if total > 0 else one.controls[::-1, ::-1]
        return np.roll(made, -int(place[0]) if total > 0 else 0, 0)
    begin, end = (float(place[0]), float(place[0]) + total) if total > 0 else (float(place[0]) + total, float(place[0]))
    made = between(one.controls, begin, end)
    if total < 0:
        made = made[::-1, ::-1].copy()
    # both ends meet their nodes bit for bit
    made[0, 0], made[-1, 3] = xy[0], xy[-1]
    return made
