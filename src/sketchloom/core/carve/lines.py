"""Grooves, engraved lines and drilled holes: a tool that follows lines, or goes straight down."""

import numpy as np
import shapely

from sketchloom.core.carve import rings
from sketchloom.core.carve.operations import Operation
from sketchloom.core.carve.tools import Tool


def lines_of(shape) -> list[np.ndarray]:
    """Lines (N, 2) of whatever there is: those themselves, and the outlines of areas."""
    found = []
    for one in getattr(shape, "geoms", [shape]):
        if one.geom_type == "Polygon":
            found += [np.asarray(r.coords, float)[:, :2] for r in (one.exterior, *one.interiors)]
        elif one.geom_type in ("LineString", "LinearRing") and one.length > 0:
            found.append(np.asarray(shapely.simplify(one, rings.WITHIN_MM / 2).coords, float)[:, :2])
    return found


def follow(shape, operation: Operation, tool: Tool) -> list[np.ndarray]:
    """Strokes (N, 3) along lines, in passes; each pass goes back where the last one came from."""
    passes = rings.levels(operation.from_mm, operation.bottom_mm, operation.down_mm or tool.down_mm)
    made = []
    for line in lines_of(shape):
        closed = bool(np.allclose(line[0], line[-1]))
        parts = [rings.sunk(line if closed or n % 2 == 0 else line[::-1], depth) for n, depth in enumerate(passes)]
        made.append(np.concatenate(parts))
    return made


def drill(shape, operation: Operation, tool: Tool) -> list[np.ndarray]:
    """Straight down at the middle of every piece, by steps, up to where it begins after each to clear the chips."""
    passes = rings.levels(operation.from_mm, operation.bottom_mm, operation.down_mm or tool.down_mm)
    made = []
    for piece in getattr(shape, "geoms", [shape]):
        if piece.is_empty:
            continue
        x, y = piece.centroid.coords[0]
        heights = np.column_stack([-passes, np.full(len(passes), -operation.from_mm)]).ravel()[:-1]
        made.append(np.column_stack([np.full(len(heights), x), np.full(len(heights), y), heights]))
    return made
