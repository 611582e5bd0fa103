"""The kerf: a beam or a cutter takes its width, half of it on either side; cuts move away from what is kept."""

from sketchloom.core.curves.outline import Outline
from sketchloom.core.shapes.polygons import area_of_outline, areas_of, outline_of_area

_FLAT_MM, _FIT_MM = 0.002, 0.003
"""What flattening and fitting again may cost: together half of what files may be off."""
_QUADRANT = 24


def kept_whole(outline: Outline, kerf_mm: float) -> Outline:
    """An outline in mm with its cuts moved by half the kerf into the waste: outer rings outwards, holes inwards, so
    that what is cut out has the size that was drawn. Lines for a pen stay."""
    if kerf_mm <= 0 or outline.pen_px is not None or not len(outline.controls):
        return outline
    area = areas_of(area_of_outline(outline, _FLAT_MM).buffer(kerf_mm / 2, quad_segs=_QUADRANT))
    return outline_of_area(area, _FIT_MM)
