"""The work on paper at its true size, over as many pages as it takes."""

import math

from PySide6.QtCore import QPointF, QRectF, Qt
from PySide6.QtGui import QColor, QPainter, QPen
from PySide6.QtPrintSupport import QPrinter

from sketchloom.app import dyes
from sketchloom.app.bench.paint import paint_layers

_MARGIN_MM = 10.0
"""Printers leave about so much white at every edge (common practice, no source)."""
_FOOT_MM = 9.0
_OVER_MM = 5.0
"""Neighbouring pages have so much in common, to be glued."""
CHECK_MM = 50.0
"""The line at the foot that is to be measured."""


def pages_of(size_mm, paper_mm) -> list[QRectF]:
    """What of a work each page shows, mm: its columns and rows from the left and the top. A work that fits turned is
    not turned: the printer's own setting does that."""
    room = (paper_mm[0] - 2 * _MARGIN_MM, paper_mm[1] - 2 * _MARGIN_MM - _FOOT_MM)
    counts = [1 if side <= fits else math.ceil((side - _OVER_MM) / (fits - _OVER_MM))
              for side, fits in zip(size_mm, room, strict=True)]
    steps = [fits - _OVER_MM for fits in room]
    return [QRectF(x * steps[0], y * steps[1], min(room[0], size_mm[0] - x * steps[0]),
                   min(room[1], size_mm[1] - y * steps[1]))
            for y in range(counts[1]) for x in range(counts[0])]


def print_work(printer: QPrinter, shown, words) -> int:
    """Print what is shown at its true size; ``words(page, pages)`` stand at the foot of each. Returns the pages."""
    printer.setFullPage(True)
    paper = printer.pageLayout().fullRect(printer.pageLayout().Unit.Millimeter)
    work = shown.work
    pages = pages_of(work.size_mm, (paper.width(), paper.height()))
    painter = QPainter(printer)
    try:
        for number, part in enumerate(pages, 1):
            if number > 1:
                printer.newPage()
            painter.save()
            painter.scale(printer.width() / paper.width(), printer.height() / paper.height())
            painter.setRenderHint(QPainter.RenderHint.Antialiasing)
            _paint_foot(painter, paper, words(number, len(pages)))
            painter.setClipRect(QRectF(_MARGIN_MM, _MARGIN_MM, part.width(), part.height()))
            painter.translate(_MARGIN_MM - part.x(), _MARGIN_MM - part.y())
            paint_layers(painter, work.layers, shown.paths, work.mm_per_px)
            painter.restore()
    finally:
        painter.end()
    return len(pages)


def _paint_foot(painter, paper, words):
    y = paper.height() - _MARGIN_MM - 2.0
    painter.setPen(QPen(QColor(dyes.INK), 0.2))
    painter.drawLine(QPointF(_MARGIN_MM, y), QPointF(_MARGIN_MM + CHECK_MM, y))
    for x in (_MARGIN_MM, _MARGIN_MM + CHECK_MM):
        painter.drawLine(QPointF(x, y - 1.5), QPointF(x, y + 1.5))
    font = painter.font()
    font.setPixelSize(20)
    painter.save()
    painter.setFont(font)
    painter.translate(_MARGIN_MM + CHECK_MM + 4, y - 1.5)
    painter.scale(0.15, 0.15)  # text of 3 mm: fonts have no size below one
    painter.drawText(QRectF(0, 0, (paper.width() - 2 * _MARGIN_MM - CHECK_MM - 4) / 0.15, 24),
                     int(Qt.AlignmentFlag.AlignLeft | Qt.AlignmentFlag.AlignVCenter), words)
    painter.restore()

