"""Documents that are drawn rather than made of pixels: PDF pages and SVG. Rendered, never run.

Every document is from outside and hostile: sizes are checked before anything is rendered,
nothing outside the file is read, scripts are not run.
"""


import numpy as np
from PIL import Image

from sketchloom.core.base.errors import PictureError
from sketchloom.core.base.said import said
from sketchloom.core.base.units import MM_PER_IN
from sketchloom.core.picture.pages import MAX_SIDE_IN, POINTS_PER_IN, check_size
from sketchloom.core.picture.picture import Picture, frozen_array
from sketchloom.core.picture.svg_pages import render_svg

USUAL_DPI = 300
"""Resolution that pages are drawn with unless another is asked for (usual in print)."""


def is_pdf(data: bytes) -> bool:
    return b"%PDF-" in data[:1024]


def is_svg(data: bytes) -> bool:
    start = data[:4096].lstrip(b"\xef\xbb\xbf \t\r\n")
    return start.startswith(b"<") and b"<svg" in data[:65536]


def is_document(data: bytes) -> bool:
    return is_pdf(data) or is_svg(data)


def page_count(data: bytes, name: str) -> int:
    """Pages of a PDF; 1 for anything else."""
    if not is_pdf(data):
        return 1
    document = opened_pdf(data, name)
    try:
        return len(document)
    finally:
        document.close()


def render(data: bytes, name: str, page: int, dpi: int, max_pixels: int, least_px: int = 0) -> Picture:
    """A page of a PDF, or an SVG, as a picture at its own size in mm.

    Parameters
    ----------
    page : from 0. dpi : resolution; a small SVG is drawn finer, so that its longer side has 1200 px. least_px : a
        document is drawn finer, so that its longer side has so many.

    Raises
    ------
    PictureError, ImageTooLargeError : with a sentence.
    """
    if is_pdf(data):
        return _render_pdf(data, name, page, dpi, max_pixels, least_px)
    return render_svg(data, name, dpi, max_pixels, least_px)


# -- PDF ---------------------------------------------------------------------------------


def opened_pdf(data: bytes, name: str):
    """The document of the library; raises PictureError with a sentence."""
    import pypdfium2

    try:
        document = pypdfium2.PdfDocument(data)
        if len(document) < 1:
            raise PictureError(name, said("has no page."), said("Export it again."))
        return document
    except pypdfium2.PdfiumError as error:
        if "assword" in str(error):
            raise PictureError(
                name, said("is locked with a password."), said("Open it elsewhere and save it without one.")
            ) from None
        raise PictureError(name, said("this PDF is damaged or cut short."), said("Copy or export it again.")) from None


def _render_pdf(data, name, page, dpi, max_pixels, least_px):
    import pypdfium2

    document = opened_pdf(data, name)
    try:
        count = len(document)
        if page >= count:
            raise PictureError(
                name,
                said("has {count} pages; page {page} is not there.", count=count, page=page + 1)
                if count > 1
                else said("has 1 page; page {page} is not there.", page=page + 1),
                said("Choose another page."),
            )
        sheet = document[page]
        width_in, height_in = (float(v) / POINTS_PER_IN for v in sheet.get_size())
        if not (0 < width_in < MAX_SIDE_IN and 0 < height_in < MAX_SIDE_IN):
            raise PictureError(
                name,
                said(
                    "its page {page} claims to be {width_in:.0f} × {height_in:.0f} mm.",
                    page=page + 1,
                    width_in=width_in * MM_PER_IN,
                    height_in=height_in * MM_PER_IN,
                ),
                said("Export it at its real size."),
            )
        dpi = max(float(dpi), min(least_px / max(width_in, height_in), 4800.0))
        check_size(name, width_in * dpi, height_in * dpi, dpi, max_pixels)
        # The renderer paints every pixel a rectangle touches, half a pixel too much at each side. Drawn at
        # twice the size and averaged, that is a quarter; where memory forbids, it stays.
        twice = 4 * width_in * height_in * dpi**2 <= max_pixels
        bitmap = sheet.render(scale=(2 if twice else 1) * dpi / POINTS_PER_IN, may_draw_forms=False, rev_byteorder=True)
        pixels = bitmap.to_numpy()
        single = pixels.ndim == 2 or pixels.shape[2] == 1
        image = Image.fromarray(np.ascontiguousarray(pixels.reshape(pixels.shape[:2]) if single else pixels[..., :3]))
        rgb = np.asarray((image.reduce(2) if twice else image).convert("RGB"))
        return Picture(frozen_array(rgb.copy()), None, float(dpi), name)
    except pypdfium2.PdfiumError:
        raise PictureError(
            name, said("its page {page} is damaged.", page=page + 1), said("Copy or export it again.")
        ) from None
    finally:
        document.close()


# -- SVG ---------------------------------------------------------------------------------


