"""What is cut beside the work to weed it and to try the settings: a frame with a tab to peel by, a test cut."""

import numpy as np
import shapely

from sketchloom.core.shapes.polygons import areas_of

STAR_MM = 12.7
"""A test cut is a star of about half an inch (trade)."""
_TAB_MM = 10.0
DETAIL_MM = 16.0
"""The narrowest place of the work is tried with so much around it."""


def tab_of(frame) -> np.ndarray:
    """(2, 2) mm: a cut across the upper left corner of a frame (K, 2): what it parts off is what one peels by."""
    left, top = np.asarray(frame).min(0)
    return np.array([(left, top + _TAB_MM), (left + _TAB_MM, top)])


def star(size_mm: float = STAR_MM) -> np.ndarray:
    """(11, 2) mm: a closed star of five points around (0, 0), narrow where it is likeliest to tear."""
    turn = np.arange(10) * np.pi / 5 - np.pi / 2
    radius = np.where(np.arange(10) % 2 == 0, 0.5, 0.5 * 0.382) * size_mm
    points = np.column_stack([radius * np.cos(turn), radius * np.sin(turn)])
    return np.concatenate([points, points[:1]])


def detail(area, place, size_mm: float = DETAIL_MM) -> list[np.ndarray]:
    """Closed rings (K, 2) mm around (0, 0): what of an area lies around a place, within a disc."""
    x, y = place
    cut = areas_of(area.intersection(shapely.Point(x, y).buffer(size_mm / 2)))
    return [np.asarray(ring.coords) - (x, y) for piece in cut.geoms for ring in (piece.exterior, *piece.interiors)]
