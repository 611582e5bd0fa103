"""Rulers along the top and the left edge of a bench, in mm or inches."""

from PySide6.QtCore import QLineF, QPointF, QRectF, QSize, Qt
from PySide6.QtGui import QColor, QImage, QPainter, QPen

from sketchloom.app import theme
from sketchloom.app.bench.view import View, ruler_step
from sketchloom.core.base.units import MM_PER_IN

RULER = 24


class Rulers:
    """Of one bench. Their marks are drawn where the view is another one and shown as they are else: every mark that is
    painted lets other threads have their turn, and beside a trace a pointer that only moves would wait for each."""

    def __init__(self):
        self._of: tuple = ()
        self._strips: list[QImage] = []

    def paint(self, painter: QPainter, rect, view: View, unit: str, pointer, ratio: float) -> None:
        """Both, and where the pointer is; ``ratio`` pixels of the screen for one of the window."""
        painter.setRenderHint(QPainter.RenderHint.Antialiasing, False)
        font = painter.font()
        font.setPixelSize(min(theme.text_px(11), RULER - 11))  # the rulers stay as narrow as they are
        painter.setFont(font)
        of = (rect.size(), view.scale, view.x, view.y, unit, font.pixelSize(), theme.scheme, ratio)
        if of != self._of:
            self._of = of
            self._strips = [_drawn(rect, view, unit, vertical, font, ratio) for vertical in (False, True)]
        for strip in self._strips:
            painter.drawImage(QPointF(0, 0), strip)
        painter.setPen(QPen(QColor(theme.MADDER), 1))
        if pointer is not None:
            painter.drawLine(QPointF(pointer.x(), 0), QPointF(pointer.x(), RULER))
            painter.drawLine(QPointF(0, pointer.y()), QPointF(RULER, pointer.y()))
        painter.setPen(QPen(QColor(theme.INK), 1))
        painter.fillRect(QRectF(0, 0, RULER, RULER), QColor(theme.LINEN_DEEP))
        painter.drawText(QRectF(0, 0, RULER, RULER), Qt.AlignmentFlag.AlignCenter, unit)
        painter.setPen(QPen(QColor(theme.LINE), 1))
        painter.drawLine(QPointF(0, RULER), QPointF(rect.width(), RULER))
        painter.drawLine(QPointF(RULER, 0), QPointF(RULER, rect.height()))


def _drawn(rect, view, unit, vertical, font, ratio):
    """One of them with its marks."""
    size = QSize(RULER, rect.height()) if vertical else QSize(rect.width(), RULER)
    strip = QImage(size * ratio, QImage.Format.Format_RGB32)
    strip.setDevicePixelRatio(ratio)
    strip.fill(QColor(theme.LINEN_LIGHT))
    painter = QPainter(strip)
    try:
        painter.setFont(font)
        painter.setPen(QPen(QColor(theme.INK), 1))
        _paint_marks(painter, view, unit, vertical, rect.height() if vertical else rect.width())
    finally:
        painter.end()
    return strip


def _paint_marks(painter, view, unit, vertical, extent):
    unit_mm = MM_PER_IN if unit == "in" else 1.0
    step = ruler_step(view.scale, unit_mm)
    parts = 5 if unit == "mm" else 4
    origin = view.y if vertical else view.x
    first = int((RULER - origin) / (view.scale * unit_mm * step)) - 1
    last = int((extent - origin) / (view.scale * unit_mm * step)) + 1
    ticks = []
    for i in range(first * parts, last * parts + 1):
        at = origin + i / parts * step * unit_mm * view.scale
        if at < RULER:
            continue
        tick = 9 if i % parts == 0 else 4
        ticks.append(QLineF(RULER - tick, at, RULER, at) if vertical else QLineF(at, RULER - tick, at, RULER))
        if i % parts == 0:
            _paint_number(painter, vertical, at, f"{i / parts * step:g}")
    painter.drawLines(ticks)


def _paint_number(painter, vertical, at, text):
    if vertical:
        painter.save()
        painter.translate(11, at - 3)
        painter.rotate(-90)
        painter.drawText(QPointF(0, 0), text)
        painter.restore()
    else:
        painter.drawText(QPointF(at + 3, 11), text)
