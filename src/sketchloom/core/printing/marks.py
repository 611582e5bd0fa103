"""Marks on a printed page by which a cut is laid in register: discs near three corners and a ring near the fourth, so
that no page can be taken turned or turned over."""

from dataclasses import dataclass

import numpy as np

MARK_MM, HOLE_MM, INSET_MM = 3.0, 1.5, 11.0
"""Radius of a mark and of the ring's hole, and how far its middle lies from the page's edges: inside what printers
reach (common practice, no source)."""
CLEAR_MM = INSET_MM + MARK_MM + 3.0
"""Nothing is printed nearer to the edge of the page: marks stand by themselves."""


@dataclass(frozen=True, slots=True)
class Mark:
    """Its middle, mm from the upper left of the page, and whether it is the ring."""

    x: float
    y: float
    is_ring: bool


def marks_of(width_mm: float, height_mm: float) -> tuple[Mark, ...]:
    """The marks of a page: upper left, upper right, lower left, and the ring at the lower right."""
    left, top, right, bottom = INSET_MM, INSET_MM, width_mm - INSET_MM, height_mm - INSET_MM
    return Mark(left, top, False), Mark(right, top, False), Mark(left, bottom, False), Mark(right, bottom, True)


def places_of(width_mm: float, height_mm: float) -> np.ndarray:
    """(4, 2) middles of the marks, mm, y down."""
    return np.array([(m.x, m.y) for m in marks_of(width_mm, height_mm)])
