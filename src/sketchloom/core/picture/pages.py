"""How large a page of a document may be drawn."""

from sketchloom.core.base.errors import ImageTooLargeError, PictureError
from sketchloom.core.base.said import said

POINTS_PER_IN = 72.0
"""PDF (ISO 32000-1, 8.3.2.3)."""
CSS_PX_PER_IN = 96.0
"""SVG and CSS (CSS Values and Units 3, 6.2)."""
MAX_SIDE_IN = 200.0
"""A page longer than this is a mistake or an attack: the longest that PDF knows without scaling (ISO 32000-1,
annex C)."""


def check_size(name, width_px, height_px, dpi, max_pixels):
    if width_px * height_px > max_pixels:
        most = int(dpi * (max_pixels / (width_px * height_px)) ** 0.5)
        raise ImageTooLargeError(
            name,
            said(
                "is {width_px:.0f} × {height_px:.0f} px at {dpi:.0f} dpi; at most {max_pixels:.0f} megapixels are "
                "drawn.",
                width_px=width_px,
                height_px=height_px,
                dpi=dpi,
                max_pixels=max_pixels / 1000000.0,
            ),
            said("Choose {most} dpi or less.", most=most),
        )
    if min(width_px, height_px) < 8:
        raise PictureError(name, said("is too small to draw at this resolution."), said("Choose a higher one."))
