"""Joints of divided parts: a part that reaches under its neighbour, or tongues that hold."""

from dataclasses import replace

import numpy as np
import shapely
from shapely import LineString, Polygon

from sketchloom.core.shapes.polygons import areas_of, straight_outline

_ENDS = 2.0
"""Tongues keep so many of their widths from where a seam leaves the part, and from each other."""
_WIDER = 1.3
"""A tongue's head is so much wider than its neck: it cannot slip out."""


def joined(parts, seams, whole, field, joint, width_mm, room):
    """Parts with their joints; a part that would no longer fit keeps its plain edge.

    Their outlines are straight pieces afterwards where a joint was made (within the flattening of ``Part.area``).
    """
    areas = [part.area for part in parts]
    solid = whole.area
    for seam in seams:
        line = LineString(seam)
        touching = [n for n, area in enumerate(areas) if area.distance(line) < 1e-3]
        if joint == "overlap":
            band = areas_of(line.buffer(width_mm, cap_style="flat").intersection(solid))
            for n in touching[::2]:  # the first of two reaches under the second
                areas[n] = _fitting(areas[n], areas_of(shapely.union_all([areas[n], band])), room)
        else:
            for tongue, n, m in _tongues(line, areas, touching, width_mm):
                grown = areas_of(shapely.union_all([areas[n], tongue]))
                less = areas_of(areas[m].difference(tongue))
                if _takes(grown, room) and len(less.geoms) <= len(areas[m].geoms):
                    areas[n], areas[m] = grown, less
    return tuple(replace(part, outline=straight_outline(area)) if area is not part.area else part
                 for part, area in zip(parts, areas, strict=True))  # a part without a joint is the same object


def _takes(area, room):
    left, top, right, bottom = area.bounds
    return room.takes((right - left, bottom - top))


def _fitting(area, grown, room):
    return grown if _takes(grown, room) else area


def _tongues(line, areas, touching, width):
    """Tongues along a seam, by turns out of either part: their polygon, the part they belong to, and the other."""
    for n, m in zip(touching[::2], touching[1::2], strict=False):
        shared = areas[n].buffer(1e-3).intersection(areas[m].buffer(1e-3)).intersection(line.buffer(2e-3))
        for stretch in getattr(shared, "geoms", [shared]):
            if stretch.is_empty or stretch.length / 2 < (2 * _ENDS + 1) * width:
                continue
            places = sorted(line.project(shapely.Point(p)) for p in np.asarray(
                stretch.exterior.coords if isinstance(stretch, Polygon) else stretch.coords))
            begin, end = places[0] + _ENDS * width, places[-1] - _ENDS * width
            count = max(int((end - begin) / (4 * _ENDS * width)), 1)
            for k, at in enumerate(np.linspace(begin, end, count + 2)[1:-1] if count > 1 else [(begin + end) / 2]):
                for out, of, other in ((1, n, m), (-1, n, m)) if k % 2 == 0 else ((1, m, n), (-1, m, n)):
                    tongue = _tongue(line, at, width, out)
                    if areas[other].contains(tongue.buffer(width / 4).difference(areas[of])):
                        yield tongue, of, other
                        break


def _tongue(line, at, width, out):
    """A dovetail across a seam at a place of it, towards one side."""
    a, b = (np.asarray(line.interpolate(at + d).coords[0]) for d in (-width / 2, width / 2))
    along = (b - a) / max(np.hypot(*(b - a)), 1e-9)
    across = np.array([-along[1], along[0]]) * out
    wide = (_WIDER - 1) * width / 2
    return Polygon([a - across * 0.01, b - across * 0.01, b + across * width + along * wide,
                    a + across * width - along * wide])
