"""Cutting along outlines: beside them by the tool's radius, in passes, with bows in and out and tabs that hold."""

import numpy as np
import shapely
from shapely.geometry import LineString

from sketchloom.core.carve import rings
from sketchloom.core.carve.operations import INSIDE, ON, OUTSIDE, Operation
from sketchloom.core.carve.tools import Tool

_CALM = np.radians(20.0)
"""A tab stands where the cut turns by no more."""
_BOW = 12
"""Chords of a bow."""
_SHORTER = 4
"""A bow that finds no room is made half as large so often."""


def course_of(area, operation: Operation, tool: Tool):
    """Where the tool's axis runs."""
    beside = float(tool.radius_at(operation.depth_mm)) if tool.is_pointed else tool.radius_mm
    if operation.side == ON:
        return area
    return rings.moved(area, beside if operation.side == OUTSIDE else -beside)


def profile(area, operation: Operation, tool: Tool) -> list[np.ndarray]:
    """Strokes (N, 3) along the outlines of an area, inner rings first, so that nothing is cut off what still needs it.
    """
    course = course_of(area, operation, tool)
    found = sorted(rings.rings_of(course, operation.side != INSIDE), key=_size)
    passes = rings.levels(operation.from_mm, operation.bottom_mm, operation.down_mm or tool.down_mm)
    made = []
    for ring in found:
        ring = _begun_calmly(ring, operation, tool)
        lead_in, lead_out = _leads(ring, course, operation)
        spans = tab_spans(ring, operation, tool)
        top = operation.bottom_mm - operation.tab_high_mm
        for depth in passes:
            around = _over_tabs(ring, depth, spans, top) if spans and depth > top else rings.sunk(ring, depth)
            parts = [rings.sunk(part, depth) for part in (lead_in, lead_out)]
            made.append(np.concatenate([parts[0][:-1], around, parts[1][1:]]))
    return made


def _size(ring):
    x, y = ring[:-1].T
    return abs(float(x @ np.roll(y, -1) - y @ np.roll(x, -1)))


def _begun_calmly(ring, operation, tool):
    """A ring from where it turns least: there the mark of the tool is seen least, and a bow has room."""
    turn, where = rings.turning(ring, tool.radius_mm + operation.lead_mm)
    return rings.begun_at(ring, float(where[int(np.argmin(turn))]))


def _leads(ring, course, operation):
    """Bows (N, 2) by which a ring is entered and left, on the side of what goes; a point where there is no room."""
    none = ring[:1], ring[-1:]
    if operation.lead_mm <= 0 or operation.side == ON:
        return none
    ahead = ring[1] - ring[0]
    along = ahead / np.hypot(*ahead)
    # what goes lies to the left of where the tool runs, y down: around a part and within a pocket alike
    aside = np.array([along[1], -along[0]])
    kept = rings.moved(course, -0.01) if operation.side == OUTSIDE else None
    room = rings.moved(course, 0.01) if operation.side == INSIDE else None
    radius = operation.lead_mm
    for _ in range(_SHORTER):
        turn = np.linspace(0.0, np.pi / 2, _BOW + 1)[:, None]
        middle = ring[0] + radius * aside
        bow_in = middle - radius * (np.cos(turn) * along + np.sin(turn) * aside)
        bow_out = middle + radius * (np.sin(turn) * along - np.cos(turn) * aside)
        both = LineString(np.concatenate([bow_in, bow_out[1:]]))
        if not both.intersects(kept) if kept is not None else both.within(room):
            return bow_in, bow_out
        radius /= 2
    return none


def tab_spans(ring, operation: Operation, tool: Tool) -> list[tuple[float, float]]:
    """Where along a ring the tool is lifted over tabs: spread evenly, each where the ring is calm."""
    long = operation.tab_mm + 2 * tool.radius_mm
    total = rings.lengths_along(ring)[-1]
    count = min(operation.tabs, int(total // (2 * long)))
    if not count:
        return []
    turn, where = rings.turning(ring, long / 2)
    inner = (where > long / 2) & (where < total - long / 2)  # none over the place where the ring begins
    spans: list[tuple[float, float]] = []
    for n in range(count):
        wanted = (n + 0.5) * total / count
        free = inner & (np.abs(where - wanted) < total / count / 2)
        for start, end in spans:
            free &= (where < start - long) | (where > end + long)
        if free.any():
            calm = free & (turn <= max(_CALM, float(turn[free].min())))
            middle = float(where[calm][int(np.argmin(np.abs(where[calm] - wanted)))])
            spans.append((middle - long / 2, middle + long / 2))
    return spans


def _over_tabs(ring, depth, spans, top):
    """Once around at a depth, lifted to ``top`` over the spans."""
    along = rings.lengths_along(ring)
    edges = np.array(spans).ravel()
    stops = np.unique(np.concatenate([along, edges]))
    xy = rings.at_length(ring, along, stops)
    made = []
    for place, (x, y) in zip(stops.tolist(), xy.tolist(), strict=True):
        starts = any(abs(place - s) < 1e-9 for s, _ in spans)
        ends = any(abs(place - e) < 1e-9 for _, e in spans)
        within = any(s <= place <= e for s, e in spans)
        if starts:
            made.append((x, y, -depth))
        made.append((x, y, -(top if within else depth)))
        if ends:
            made.append((x, y, -depth))
    return np.array(made)


def freed(area, operation: Operation, tool: Tool) -> tuple[bool, bool]:
    """Whether what is cut out, or off, by a profile through the blank hangs on nothing; and whether it has tabs."""
    course = course_of(area, operation, tool)
    spans = [tab_spans(ring, operation, tool) for ring in rings.rings_of(course, operation.side != INSIDE)]
    return bool(spans), bool(spans) and all(spans)


def removed(course, tool: Tool):
    """The ground that a tool clears along a course."""
    lines = [LineString(ring) for ring in rings.rings_of(course, True)]
    return shapely.union_all([line.buffer(tool.radius_mm) for line in lines])
