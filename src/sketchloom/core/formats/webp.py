"""The same picture as WebP, which shops and pages take."""

import io

from sketchloom.core.base.said import said
from sketchloom.core.drawing.drawing import Drawing
from sketchloom.core.formats.handing import AS_IT_IS, Handing
from sketchloom.core.formats.png import drawn
from sketchloom.core.formats.registry import AREAS, COLOURS, LINES, Format


def write(drawing: Drawing, how: Handing = AS_IT_IS) -> bytes:
    """WebP without loss; raises as the PNG."""
    from PIL import Image

    made = io.BytesIO()
    Image.open(io.BytesIO(drawn(drawing, how.dpi))).save(made, "WEBP", lossless=True)
    return made.getvalue()


FORMAT = Format("webp", ".webp", said("Picture as WebP"), frozenset((AREAS, LINES, COLOURS)), write)
