"""A carved blank from the side, cut along a line."""

import numpy as np
from PySide6.QtCore import QPointF, QRectF, Qt
from PySide6.QtGui import QColor, QPainter, QPen, QPolygonF

from sketchloom.app import theme

_WOOD = QColor(196, 152, 104)
_MOST_TIMES = 6
"""Drawn at most so many times as high as it is long for its room: a carving is shallow."""


def paint(painter: QPainter, box: QRectF, field, ends_mm, words) -> None:
    """The section of a field between two places, (2, 2) mm, in a box; ``words(length_mm, times)`` stand above it, with
    how many times as high it is drawn."""
    begin, end = ends_mm
    wide = max(float(np.hypot(*(end - begin))), 1e-3)
    along, z = field.along(begin, end)
    thick = field.thickness_mm
    painter.fillRect(box, QColor(theme.LINEN))
    scale = (box.width() - 40) / wide
    deep = min((box.height() - 38) / thick, _MOST_TIMES * scale)
    top = box.top() + 24
    points = [QPointF(20 + x * scale, top - v * deep) for x, v in zip(along.tolist(), z.tolist(), strict=True)]
    points += [QPointF(20 + wide * scale, top + thick * deep), QPointF(20, top + thick * deep)]
    painter.setPen(QPen(QColor(theme.INK), 1))
    painter.setBrush(_WOOD)
    painter.drawPolygon(QPolygonF(points))
    painter.setPen(QColor(theme.INK))
    painter.drawText(QRectF(20, box.top() + 3, box.width() - 40, 18), Qt.AlignmentFlag.AlignLeft,
                     words(wide, deep / scale))
