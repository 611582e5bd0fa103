"""A picture of a drawing with a transparent ground, at any resolution."""

import math

from sketchloom.core.base.errors import PictureError
from sketchloom.core.base.said import said
from sketchloom.core.base.units import MM_PER_IN
from sketchloom.core.drawing.drawing import Drawing
from sketchloom.core.formats import svg
from sketchloom.core.formats.handing import AS_IT_IS, Handing
from sketchloom.core.formats.registry import AREAS, COLOURS, LINES, Format
from sketchloom.core.formats.rendering import rendered

MOST_PIXELS = 100_000_000
"""A larger picture is told, not made: it would not fit beside other work."""


def write(drawing: Drawing, how: Handing = AS_IT_IS) -> bytes:
    """PNG with its resolution told; raises PictureError where it would be too large."""
    import io

    from PIL import Image

    png = io.BytesIO()
    # straight from the renderer it is compressed in haste, and says no resolution
    Image.open(io.BytesIO(drawn(drawing, how.dpi))).save(png, "PNG", dpi=(how.dpi, how.dpi))
    return png.getvalue()


def drawn(drawing: Drawing, dpi: float) -> bytes:
    """The drawing as PNG of a resolution."""
    width, height = (max(math.ceil(v / MM_PER_IN * dpi - 1e-6), 1) for v in drawing.frame[2:])
    if width * height > MOST_PIXELS:
        raise PictureError(drawing.title, said("would be {width} × {height} pixels at {dpi} dpi.", width=width,
                                               height=height, dpi=dpi), said("Choose a lower resolution."))
    return rendered(svg.write(drawing, Handing(reader=f"{dpi:g}")))


FORMAT = Format("png", ".png", said("Picture with a transparent ground"), frozenset((AREAS, LINES, COLOURS)), write)
