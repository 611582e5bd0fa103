"""Pockets: areas cleared to a depth, along their outline or to and fro, around what stays, or only what a larger tool
left.

Passes that are no farther apart than the tool's radius leave nothing between them, in corners as well: a point between
two passes lies no farther from the outer one than they are apart.
"""

import itertools

import numpy as np
import shapely
from shapely.geometry import LineString, MultiPolygon
from shapely.prepared import prep

from sketchloom.core.base.progress import breathe
from sketchloom.core.carve import rings
from sketchloom.core.carve.operations import RASTER, Operation
from sketchloom.core.carve.tools import BALL, Tool
from sketchloom.core.shapes.moving import rotated
from sketchloom.core.shapes.polygons import areas_of

_SLOPE = np.tan(np.radians(3.0))
"""How steeply a tool goes down into the stuff (common practice, no source)."""
_NARROWER = 0.999
_SPECK_MM2 = 1e-6
_MOST_PASSES = 20_000


def step_of(operation: Operation, tool: Tool) -> float:
    """How far passes lie apart, never so far that something stays between them."""
    return min(operation.step_mm or tool.over * tool.diameter_mm, _NARROWER * tool.radius_mm)


def reach_of(area, tool: Tool) -> MultiPolygon:
    """What of an area a tool can clear: its opening by the tool's disc (mathematical morphology)."""
    return rings.moved(rings.moved(area, -tool.radius_mm), tool.radius_mm)


def rest_of(area, larger: Tool) -> MultiPolygon:
    """What a larger tool leaves of an area."""
    return areas_of(area.difference(reach_of(area, larger)))


def pocket(area, operation: Operation, tool: Tool, larger: Tool | None = None) -> list[np.ndarray]:
    """Strokes (N, 3) that clear an area; where ``larger`` is said, only what it left."""
    room = rings.moved(area, -tool.radius_mm)
    passes = rings.levels(operation.from_mm, operation.bottom_mm, operation.down_mm or tool.down_mm)
    if room.is_empty:
        return []
    if larger is not None:
        return _rests(area, room, operation, tool, larger, passes)
    if operation.way == RASTER:
        courses = _to_and_fro(room, step_of(operation, tool), operation.angle_deg)
        courses += [(ring, True) for ring in rings.rings_of(room, False)]
    else:
        courses = [(ring, True) for ring in inward(room, step_of(operation, tool))]
    return joined(courses, room, operation.from_mm, passes)


def inward(room, step) -> list[np.ndarray]:
    """Rings ever farther from the outline, each from within before the one around it."""
    shells: list[list] = [list(room.geoms)]
    inner = list(room.geoms)
    for _ in range(_MOST_PASSES):
        breathe()
        # each from the one before: far from the outline the library loses places of a large area (3 % of one, measured)
        inner = [one for one in rings.moved(MultiPolygon(inner), -step).geoms if one.area > _SPECK_MM2]
        if not inner:
            break
        shells.append(inner)
    parents: list[dict[int, list[int]]] = []
    for outer, inner in itertools.pairwise(shells):
        tree = shapely.STRtree([shapely.buffer(one, 1e-6) for one in outer])
        places = shapely.point_on_surface(inner)
        child, parent = tree.query(places, predicate="intersects")
        of: dict[int, list[int]] = {}
        for c, p in zip(child.tolist(), parent.tolist(), strict=True):
            of.setdefault(p, []).append(c)
        parents.append(of)
    made: list[np.ndarray] = []
    stack = [(0, n, False) for n in reversed(range(len(shells[0])))]
    while stack:
        depth, number, is_open = stack.pop()
        if is_open:
            found = rings.rings_of(MultiPolygon([shells[depth][number]]), False)
            made += [ring for ring in reversed(found) if len(ring) > 2]
            continue
        stack.append((depth, number, True))
        inner = parents[depth].get(number, []) if depth < len(parents) else []
        stack += [(depth + 1, c, False) for c in reversed(inner)]
    return made


def _to_and_fro(room, step, angle_deg):
    """Lines across an area by turns forward and back, joined to courses where nothing lies between."""
    turned = rotated(room, -angle_deg)
    left, top, right, bottom = turned.bounds
    count = max(int(np.ceil((bottom - top) / step)), 1)
    heights = top + (np.arange(count) + 0.5) * (bottom - top) / count
    lines = shapely.linestrings([[[left - 1, y], [right + 1, y]] for y in heights.tolist()])
    shapely.prepare(turned)
    cut = shapely.intersection(lines, turned)
    chains: list[list] = []
    last: list[tuple[float, float, int]] = []  # begin, end and chain of the pieces on the line before
    for y, found in zip(heights.tolist(), cut, strict=True):
        pieces = [g for g in getattr(found, "geoms", [found]) if g.geom_type == "LineString" and g.length > 1e-9]
        here = []
        spans = sorted((min(p.coords[0][0], p.coords[-1][0]), max(p.coords[0][0], p.coords[-1][0])) for p in pieces)
        for a, b in spans:
            over = [n for (c, d, n) in last if min(b, d) > max(a, c)]
            others = 0 if len(over) != 1 else sum(
                min(e, d) > max(s, c) for s, e in spans for c, d, n in last if n == over[0])
            if len(over) == 1 and others == 1:
                number = over[0]
            else:
                number = len(chains)
                chains.append([])
            chains[number].append((a, b, y))
            here.append((a, b, number))
        last = here
    courses = []
    for chain in chains:
        points = np.array([(x, y) for n, (a, b, y) in enumerate(chain) for x in ((a, b) if n % 2 == 0 else (b, a))])
        ways = shapely.linestrings(np.stack([points[1:-1:2], points[2::2]], 1))
        out = np.flatnonzero(~shapely.covers(shapely.buffer(turned, rings.WITHIN_MM), ways))
        courses += [(_turned_back(part, angle_deg), False) for part in np.split(points, 2 * (out + 1))]
    return courses


def _turned_back(points, angle_deg):
    turn = np.radians(angle_deg)
    c, s = np.cos(turn), np.sin(turn)
    return points @ np.array([[c, s], [-s, c]])


def _rests(area, room, operation, tool, larger, passes):
    """Rings of the whole area, of each only what is near to something the larger tool left."""
    near = rings.moved(rest_of(area, larger), tool.radius_mm + rings.WITHIN_MM)
    return joined(within(inward(room, step_of(operation, tool)), near), room, operation.from_mm, passes)


def within(found, near) -> list[tuple[np.ndarray, bool]]:
    """What of rings lies within an area: courses, and whether each is closed, one near to the other."""
    if near.is_empty:
        return []
    shapely.prepare(near)
    courses = []
    for ring in found:
        part = LineString(ring).intersection(near)
        part = shapely.line_merge(part) if part.geom_type == "MultiLineString" else part
        for one in getattr(part, "geoms", [part]):
            if one.geom_type == "LineString" and one.length > 1e-6:
                points = np.asarray(one.coords, float)
                courses.append((points, bool(np.allclose(points[0], points[-1]))))
    return _by_nearness(courses)


def _by_nearness(courses):
    """Open courses in the order in which each begins near to where the last one ended."""
    left, here, made = list(courses), np.zeros(2), []
    while left:
        ends = np.array([(c[0], c[-1]) for c, _ in left])
        away = np.hypot(*(ends - here).transpose(2, 0, 1))
        at, way = np.unravel_index(int(np.argmin(away)), away.shape)
        points, closed = left.pop(int(at))
        points = points[::-1] if way == 1 and not closed else points
        made.append((points, closed))
        here = points[-1]
    return made


def joined(courses, room, top_mm, passes) -> list[np.ndarray]:
    """Courses at every level; from one to the next at the depth where nothing lies between, else lifted."""
    allowed = prep(rings.moved(room, 2 * rings.WITHIN_MM))
    made: list[np.ndarray] = []
    above = top_mm
    for depth in passes:
        stroke: list[np.ndarray] = []
        here = None
        for points, closed in courses:
            if here is not None and closed:
                points = rings.begun_near(points, here)
            if here is not None and allowed.covers(LineString([here, points[0]])):
                stroke.append(rings.sunk(points, depth))
            else:
                if stroke:
                    made.append(np.concatenate(stroke))
                stroke = [rings.ramped(points, above, depth, _SLOPE) if closed else _slanted(points, above, depth)]
            here = stroke[-1][-1, :2]
        if stroke:
            made.append(np.concatenate(stroke))
        above = depth
    return made


def _slanted(points, top_mm, depth):
    """An open course entered by going to and fro on its first stretch, ever deeper."""
    along = rings.lengths_along(points)
    long = min(along[-1], 4 * (depth - top_mm) / _SLOPE)
    if long <= 0:
        return rings.sunk(points, depth)
    times = max(int(np.ceil((depth - top_mm) / _SLOPE / long)), 1)
    first = np.concatenate([points[along < long], rings.at_length(points, along, [long])])
    deep = top_mm + (depth - top_mm) * np.arange(1, times + 1) / times
    made, at = [], top_mm
    for z in deep.tolist():
        down = np.column_stack([first, -np.interp(rings.lengths_along(first), [0, long], [at, z])])
        made += [down, rings.sunk(first[::-1], z)]
        at = z
    return np.concatenate([*made, rings.sunk(points, depth)])


def cusp_mm(tool: Tool, step_mm: float) -> float:
    """How high a ball leaves the ground between two passes: r - sqrt(r² - s²/4) (textbook)."""
    if tool.kind != BALL:
        return 0.0
    return tool.radius_mm - float(np.sqrt(max(tool.radius_mm**2 - step_mm**2 / 4, 0.0)))
