"""Words on the bench, on a ground of their own."""

from PySide6.QtCore import QRect, QRectF, Qt
from PySide6.QtGui import QColor, QPainter, QPen

from sketchloom.app import theme


def chip(painter: QPainter, text: str, x: float, y: float, anchor_right: bool = False) -> QRectF:
    """A small label on a solid ground."""
    metrics = painter.fontMetrics()
    width, height = metrics.horizontalAdvance(text) + 16, metrics.height() + 8
    return _chip(painter, text, QRectF(x - width if anchor_right else x, y, width, height))


def hint(painter: QPainter, text: str, x: float, bottom: float, most: float) -> QRectF:
    """The same above a line, in as many rows as keep it within a width."""
    flags = int(Qt.TextFlag.TextWordWrap)
    size = painter.fontMetrics().boundingRect(QRect(0, 0, max(int(most) - 16, 60), 10_000), flags, text)
    return _chip(painter, text, QRectF(x, bottom - size.height() - 8, size.width() + 16, size.height() + 8))


def message(painter: QPainter, text: str, within: QRectF) -> QRectF:
    """The same in the middle of an area, in as many rows as keep it within that."""
    flags = int(Qt.TextFlag.TextWordWrap)
    size = painter.fontMetrics().boundingRect(QRect(0, 0, max(int(within.width()) - 96, 60), 10_000), flags, text)
    box = QRectF(0, 0, size.width() + 32, size.height() + 16)
    box.moveCenter(within.center())
    return _chip(painter, text, box)


def _chip(painter, text, box):
    painter.setRenderHint(QPainter.RenderHint.Antialiasing)
    painter.setPen(QPen(QColor(theme.LINE), 1))
    painter.setBrush(QColor(theme.LINEN_LIGHT))
    painter.drawRoundedRect(box, 4, 4)
    painter.setPen(QColor(theme.INK))
    painter.drawText(box.adjusted(8, 4, -6, -4), int(Qt.AlignmentFlag.AlignCenter | Qt.TextFlag.TextWordWrap), text)
    return box
