"""Areas of documents, read in a process of their own as their pictures are."""

import numpy as np

from sketchloom.core.base.errors import GeometryError
from sketchloom.core.picture import apart
from sketchloom.core.picture.painted import Painted, packed, unpacked

_HERE = "sketchloom.core.vectors.apart"
_DXF, _DOCUMENT = "dxf", "areas"
_MOST_PX = 3e9
"""Pixels that areas cover together at most: a thousand pages one on the other; laying them takes half a minute."""


def painted_apart(data: bytes, name: str, page: int, width: int, height: int) -> Painted | None:
    """What a document paints, as areas on a page of so many px; None where it cannot be followed.

    Raises
    ------
    PictureError, ImageTooLargeError : with the reader's sentence, or that it took too much.
    """
    answer, rest = apart.asked(_HERE, _DOCUMENT, data, name, {"page": page, "width": width, "height": height})
    if not answer.get("rows"):
        return None
    try:
        return unpacked(rest)
    except GeometryError:
        raise apart.failed(name) from None


def dxf_apart(data: bytes, name: str) -> tuple[Painted, float]:
    """What a DXF draws, as areas, and the resolution at which it has its size, dpi.

    Raises
    ------
    PictureError, ImageTooLargeError : with the reader's sentence, or that it took too much.
    """
    answer, rest = apart.asked(_HERE, _DXF, data, name, {})
    try:
        return unpacked(rest), float(answer["dpi"])
    except (GeometryError, KeyError, TypeError, ValueError):
        raise apart.failed(name) from None


def _of_dxf(data, name):
    from sketchloom.core.vectors.dxf_areas import dxf_areas
    from sketchloom.core.vectors.svg_areas import TooInvolved

    try:
        made, dpi = dxf_areas(data, name)
    except (TooInvolved, RecursionError):
        raise apart.failed(name) from None
    if _painted_px(made) > _MOST_PX:
        raise apart.failed(name)
    return {"rows": len(made.areas), "dpi": dpi}, packed(made)


def _answer(task, data, words):
    if task == _DXF:
        return _of_dxf(data, words["name"])
    from sketchloom.core.picture import documents, svg_pages
    from sketchloom.core.picture.decode import MAX_PIXELS
    from sketchloom.core.vectors import pdf_areas, svg_areas

    name, size = words["name"], (int(words["width"]), int(words["height"]))
    try:
        if documents.is_pdf(data):
            made = pdf_areas.pdf_areas(data, name, int(words["page"]), *size)
        else:
            root, _, _ = svg_pages.safe_root(data, name, MAX_PIXELS)
            svg_pages.size_root(root, *size)
            made = svg_areas.svg_areas(root, *size)
    except (svg_areas.TooInvolved, RecursionError):
        return {"rows": 0}, b""
    if _painted_px(made) > _MOST_PX:
        return {"rows": 0}, b""
    return {"rows": len(made.areas)}, packed(made)


def _painted_px(painted):
    """Pixels of the windows in which all areas lie."""
    total = 0.0
    for area in painted.areas:
        rings = area.part.rings
        low, top = np.min([r.min((0, 1)) for r in rings], 0), np.max([r.max((0, 1)) for r in rings], 0)
        wide, high = np.minimum(top, (painted.width, painted.height)) - np.maximum(low, 0)
        total += max(wide, 0.0) * max(high, 0.0) * (1 + len(area.clips))
    return total


if __name__ == "__main__":
    apart.serve(_answer)
