"""Pages of a PDF in mm with y down: drawings at any scale, texts, layers that a reader can switch."""

import io
import itertools
from collections.abc import Callable
from contextlib import contextmanager
from functools import cache
from importlib.resources import as_file, files

import numpy as np

from sketchloom.core.base.colour import from_hex
from sketchloom.core.base.units import MM_PER_IN
from sketchloom.core.drawing.drawing import Drawing, Look

_PT_PER_MM = 72.0 / MM_PER_IN
"""A PDF counts in 72 to the inch (ISO 32000)."""
PLAIN, BOLD = "Lato-Regular", "Lato-Bold"
_LEAST_LINE_MM = 0.1


@cache
def _fonts_ready() -> None:
    from reportlab.pdfbase import pdfmetrics
    from reportlab.pdfbase.ttfonts import TTFont

    for name in (PLAIN, BOLD):
        with as_file(files("sketchloom") / "data" / "fonts" / f"{name}.ttf") as path:
            pdfmetrics.registerFont(TTFont(name, str(path)))


class Paper:
    """A PDF that grows page by page. The same calls give the same bytes."""

    def __init__(self, title: str):
        from reportlab.pdfgen.canvas import Canvas  # it is heavy, and only paper needs it

        _fonts_ready()
        self._stream = io.BytesIO()
        self._canvas = Canvas(self._stream, pageCompression=1, invariant=1)
        self._canvas.setTitle("".join(c for c in title if c.isprintable()))
        self._canvas.setCreator("Sketch Loom")
        self._canvas.setAuthor("")
        self._high = 0.0
        self._layers: dict[str, str] = {}
        self._on_page: dict[str, str] = {}
        self._known: dict[str, object] = {}
        self._pages = 0

    def page(self, width_mm: float, height_mm: float) -> None:
        """Begin a page."""
        self._end_page()
        self._canvas.setPageSize((width_mm * _PT_PER_MM, height_mm * _PT_PER_MM))
        self._high = height_mm
        self._pages += 1

    def done(self) -> bytes:
        """The bytes of the whole."""
        self._end_page()
        self._list_layers()
        self._canvas.save()
        return self._stream.getvalue()

    def _end_page(self):
        if not self._pages:
            return
        used, canvas = dict(self._on_page), self._canvas
        self._on_page.clear()
        canvas.showPage()
        if used:
            self._name_layers(canvas._doc, used)

    # -- what is put on a page --------------------------------------------------------------

    def _x(self, x):
        return x * _PT_PER_MM

    def _y(self, y):
        return (self._high - y) * _PT_PER_MM

    def drawing(self, drawing: Drawing, left: float = 0.0, top: float = 0.0, scale: float = 1.0,
                look_of: Callable[[Look], Look] = lambda look: look, with_layers: bool = False) -> None:
        """A drawing with its frame's upper left at a place, mm."""
        x0, y0, *_ = drawing.frame
        for group in drawing.groups:
            with self.layer(group.name) if with_layers and group.number else _nothing():
                for shape in group.shapes:
                    self._shape(shape, look_of(shape.look), np.array([left - scale * x0, top - scale * y0]), scale)

    def _shape(self, shape, look, by, scale):
        path = self._canvas.beginPath()
        for strand in shape.strands:
            self._strand(path, strand, by, scale)
        self._look(look, scale)
        self._canvas.drawPath(path, stroke=int(look.stroke is not None), fill=int(look.fill is not None), fillMode=0)

    def _strand(self, path, strand, by, scale):
        points = (strand.controls_mm() * scale + by) * (_PT_PER_MM, -_PT_PER_MM) + (0.0, self._high * _PT_PER_MM)
        rows, straight = points.tolist(), strand.straight.tolist()
        for first, last in itertools.pairwise(np.asarray(strand.starts).tolist()):
            path.moveTo(*rows[first][0])
            for n in range(first, last):
                if straight[n]:
                    path.lineTo(*rows[n][3])
                else:
                    path.curveTo(*rows[n][1], *rows[n][2], *rows[n][3])
            if not strand.may_be_open or rows[first][0] == rows[last - 1][3]:
                path.close()

    def _look(self, look, scale=1.0):
        if look.fill is not None:
            self._canvas.setFillColorRGB(*_share(look.fill), alpha=look.opacity)
        if look.stroke is not None:
            self._canvas.setStrokeColorRGB(*_share(look.stroke))
            self._canvas.setLineWidth(max(look.width_mm * scale, _LEAST_LINE_MM) * _PT_PER_MM)
            self._canvas.setLineCap(int(look.round_ends))
            self._canvas.setLineJoin(int(look.round_ends))

    def line(self, x0, y0, x1, y1, colour="#000000", width_mm=0.2, dash_mm=()) -> None:
        self._look(Look(None, colour, width_mm))
        self._canvas.setDash([v * _PT_PER_MM for v in dash_mm])
        self._canvas.line(self._x(x0), self._y(y0), self._x(x1), self._y(y1))
        self._canvas.setDash([])

    def box(self, x, y, wide, high, fill=None, stroke=None, width_mm=0.2) -> None:
        self._look(Look(fill, stroke, width_mm))
        self._canvas.rect(self._x(x), self._y(y + high), wide * _PT_PER_MM, high * _PT_PER_MM,
                          stroke=int(stroke is not None), fill=int(fill is not None))

    def disc(self, x, y, radius, fill="#000000") -> None:
        self._look(Look(fill))
        self._canvas.circle(self._x(x), self._y(y), radius * _PT_PER_MM, stroke=0, fill=1)

    def text(self, x, y, text, size_mm=3.5, bold=False, align="left", colour="#000000", most_mm=None) -> None:
        """One line of text with its base line at a place; shortened where it is longer than ``most_mm``."""
        font = BOLD if bold else PLAIN
        text = "".join(c for c in str(text) if c.isprintable())
        if most_mm is not None:
            while text and self.text_width(text, size_mm, bold) > most_mm:
                text = text[:-2] + "…" if len(text) > 2 else ""
        self._canvas.setFillColorRGB(*_share(colour))
        self._canvas.setFont(font, size_mm * _PT_PER_MM)
        draw = {"left": self._canvas.drawString, "right": self._canvas.drawRightString,
                "middle": self._canvas.drawCentredString}[align]
        draw(self._x(x), self._y(y), text)

    def text_width(self, text, size_mm=3.5, bold=False) -> float:
        from reportlab.pdfbase.pdfmetrics import stringWidth

        return stringWidth(text, BOLD if bold else PLAIN, size_mm * _PT_PER_MM) / _PT_PER_MM

    def words(self, x, y, text, wide, size_mm=3.5, colour="#000000") -> float:
        """Text broken into lines of a width; returns where the next line would stand."""
        line = ""
        for word in str(text).split():
            longer = f"{line} {word}".strip()
            if line and self.text_width(longer, size_mm) > wide:
                self.text(x, y, line, size_mm, colour=colour)
                y, line = y + 1.35 * size_mm, word
            else:
                line = longer
        if line:
            self.text(x, y, line, size_mm, colour=colour)
            y += 1.35 * size_mm
        return y

    def picture(self, png: bytes, x, y, wide, high) -> None:
        """A picture within a box, mm."""
        from reportlab.lib.utils import ImageReader

        self._canvas.drawImage(ImageReader(io.BytesIO(png)), self._x(x), self._y(y + high), wide * _PT_PER_MM,
                               high * _PT_PER_MM, mask="auto")

    @contextmanager
    def clipped(self, x, y, wide, high):
        """What is drawn shows only within a box."""
        self._canvas.saveState()
        path = self._canvas.beginPath()
        path.rect(self._x(x), self._y(y + high), wide * _PT_PER_MM, high * _PT_PER_MM)
        self._canvas.clipPath(path, stroke=0, fill=0)
        yield
        self._canvas.restoreState()

    # -- layers -------------------------------------------------------------------------------

    @contextmanager
    def layer(self, name: str):
        """What is drawn belongs to a layer that a reader can switch (optional content of ISO 32000)."""
        key = self._layers.setdefault(name, f"L{len(self._layers) + 1}")
        self._on_page[key] = name
        self._canvas._code.append(f"/OC /{key} BDC")
        yield
        self._canvas._code.append("EMC")

    def _reference(self, key, name):
        from reportlab.pdfbase import pdfdoc

        if key not in self._known:
            made = pdfdoc.PDFDictionary({"Type": pdfdoc.PDFName("OCG"), "Name": pdfdoc.PDFString(name)})
            self._known[key] = self._canvas._doc.Reference(made, f"layer-{key}")
        return self._known[key]

    def _name_layers(self, document, used):
        page = document.Pages.pages[-1]
        page = getattr(page, "object", page)
        known = {key: self._reference(key, name) for key, name in used.items()}
        check = page.check_format

        def check_with_layers(doc):
            check(doc)
            page.Resources.Properties = known
        page.check_format = check_with_layers

    def _list_layers(self):
        if not self._layers:
            return
        from reportlab.pdfbase import pdfdoc

        every = pdfdoc.PDFArray([self._reference(key, name) for name, key in self._layers.items()])
        catalog = self._canvas._doc.Catalog
        catalog.__NoDefault__ = [*catalog.__NoDefault__, "OCProperties"]
        catalog.OCProperties = pdfdoc.PDFDictionary({
            "OCGs": every, "D": pdfdoc.PDFDictionary({"Order": every, "ON": every})})


def _share(colour):
    """Red, green and blue from 0 to 1."""
    return tuple(float(v) / 255 for v in from_hex(colour))


@contextmanager
def _nothing():
    yield
