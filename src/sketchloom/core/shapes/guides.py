"""Known curves in the map: where an arc runs along a drawn curve, it becomes that curve exactly."""

from dataclasses import dataclass, replace

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.base.progress import breathe
from sketchloom.core.curves.chains import Chain, replaced
from sketchloom.core.curves.curveset import CurveSet, line_controls
from sketchloom.core.planar.cracks import LEFT_PIXEL, RIGHT_PIXEL, STEP
from sketchloom.core.planar.junctions import Polylines
from sketchloom.core.planar.planar_map import PlanarMap
from sketchloom.core.planar.subpixel import BoundaryPoints
from sketchloom.core.shapes.along import along
from sketchloom.core.shapes.tracks import Track, meeting

_AWAY_PX = 1.6
"""Boundary points so near to a known curve run along it."""


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
        if len(self.groups):
            drawn = np.array([len(group) > 0 for group in self.groups])
            found = np.where(drawn[found], found, -1)
        if len(self.link):
            code = link_code(one, two, self.owner.size)
            at = np.minimum(np.searchsorted(self.link, code), len(self.link) - 1)
            found = np.where(self.link[at] == code, self.link_group[at], found)
        return found


def link_code(one, two, count: int) -> np.ndarray:
    """One number for each pair of pixels, whichever comes first."""
    return np.minimum(one, two).astype(np.int64) * count + np.maximum(one, two)


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
        foot, _, _, away = Track(guides.groups[number]).nearest(points.middle[at])
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
    tracks = {number: Track(guides.groups[number]) for number in np.unique(group[group >= 0]).tolist()}
    held = (nodes == 0) | (nodes == (planar.width, planar.height))  # what lies on the picture's border stays there
    for number, track in tracks.items():
        at = np.unique(node[group == number])
        at = at[planar.node_degree[at] > 2]
        if len(at) == 0:
            continue
        foot, _, _, away = track.nearest(nodes[at])
        near = away < _AWAY_PX
        nodes[at[near]] = np.where(held[at], nodes[at], foot)[near]
    frame = Track((_frame(planar),))
    pairs = np.unique(np.column_stack([node, group])[group >= 0], axis=0)
    for at, its in zip(*_gathered(pairs), strict=True):
        if planar.node_degree[at] <= 2:
            continue
        others = [tracks[number] for number in its[::-1]]
        if held[at].any():
            others = [frame, *others]
        if len(others) > 1:
            met = meeting(others[0], others[1], nodes[at])
            if met is not None:
                nodes[at] = np.where(held[at], nodes[at], met)
    return nodes


def _gathered(pairs):
    """Each first number of sorted pairs with its second ones."""
    if len(pairs) == 0:
        return [], []
    first, at = np.unique(pairs[:, 0], return_index=True)
    return first.tolist(), [part.tolist() for part in np.split(pairs[:, 1], at[1:])]


def _frame(planar):
    """The picture's border as a chain."""
    corners = np.array([(0, 0), (planar.width, 0), (planar.width, planar.height), (0, planar.height)], float)
    return Chain(line_controls(corners, np.roll(corners, -1, 0)), True)


def group_of_arc(planar: PlanarMap, of_crack) -> np.ndarray:
    """(A,) group along which all of an arc runs, -1 for none."""
    low = ragged.reduce_pieces(np.minimum, of_crack, planar.arc_starts, -1)
    high = ragged.reduce_pieces(np.maximum, of_crack, planar.arc_starts, -1)
    return np.where(low == high, low, -1)


def exact_arcs(planar: PlanarMap, lines: Polylines, guides: Guides, of_crack, *, border: bool = False
               ) -> dict[int, np.ndarray]:
    """Arcs, by number, that run along drawn curves all the way, as the very curves (S, 4, 2); their ends are those of
    the polylines. ``border``: those along the picture's border, too, as straight lines."""
    low = ragged.reduce_pieces(np.minimum, of_crack, planar.arc_starts, -1)
    tracks: dict[int, Track] = {}
    made = {}
    for arc in np.flatnonzero((low >= 0) & (np.diff(lines.starts) > 1)).tolist():
        breathe()
        its = np.unique(of_crack[planar.arc_starts[arc]:planar.arc_starts[arc + 1]])
        for number in its.tolist():
            if number not in tracks:
                tracks[number] = Track(guides.groups[number])
        found = along([tracks[number] for number in its.tolist()], lines.xy[lines.starts[arc]:lines.starts[arc + 1]],
                      bool(lines.closed[arc]))
        if found is not None:
            made[arc] = found
    if border:
        frame = Track((_frame(planar),))
        for arc in np.flatnonzero(((planar.left < 0) | (planar.right < 0)) & (np.diff(lines.starts) > 1)).tolist():
            found = along([frame], lines.xy[lines.starts[arc]:lines.starts[arc + 1]], bool(lines.closed[arc]))
            if found is not None:
                made[arc] = found
    return made


def with_exact(planar: PlanarMap, curves: CurveSet, exact: dict[int, np.ndarray]) -> CurveSet:
    """Curves in which the arcs of ``exact_arcs`` are those, bit for bit but for ends where they meet fitted ones:
    fitting may have moved nodes so that nothing crosses."""
    return replaced(curves, _ended_as(planar, curves, exact)) if exact else curves


def _ended_as(planar, curves, exact):
    place: dict[int, np.ndarray] = {}
    for arc in np.flatnonzero((np.diff(curves.starts) > 0) & ~planar.closed).tolist():
        if arc not in exact:
            place[int(planar.start_node[arc])] = curves.controls[curves.starts[arc], 0]
            place[int(planar.end_node[arc])] = curves.controls[curves.starts[arc + 1] - 1, 3]
    made = {}
    for arc, controls in exact.items():
        if not planar.closed[arc]:
            controls = controls.copy()
            controls[0, 0] = place.get(int(planar.start_node[arc]), controls[0, 0])
            controls[-1, 3] = place.get(int(planar.end_node[arc]), controls[-1, 3])
        made[arc] = controls
    return made
