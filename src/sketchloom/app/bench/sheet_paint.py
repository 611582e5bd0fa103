"""What is painted of a sheet beside its parts: the carrier, the route of the tool, and the seams that can be moved."""

from dataclasses import dataclass

import numpy as np
from PySide6.QtCore import QPointF, QRectF, Qt
from PySide6.QtGui import QBrush, QColor, QPen, QTransform

from sketchloom.app import dyes, theme
from sketchloom.app.bench.chips import chip
from sketchloom.app.bench.rulers import RULER
from sketchloom.app.work.paths import missing_path
from sketchloom.core.base.units import MM_PER_IN

_NUMBERED = 60
"""Cuts that are numbered along the route at most: more would be a smear."""
KNOB_PX = 9.0


@dataclass(frozen=True, eq=False)
class Handle:
    """A seam along the chosen part: its ``number``, its ``lines`` (K, 2) on the sheet, mm, and the way in which it is
    moved there."""

    number: int
    lines: tuple[np.ndarray, ...]
    across: tuple[float, float]

    @property
    def knob(self) -> tuple[float, float]:
        """Where it is held: half way along its longest stretch."""
        line = max(self.lines, key=lambda one: float(np.hypot(*np.diff(one, axis=0).T).sum()))
        length = np.concatenate([[0.0], np.cumsum(np.hypot(*np.diff(line, axis=0).T))])
        return tuple(float(np.interp(length[-1] / 2, length, line[:, k])) for k in (0, 1))


def paint_carrier(painter, sheet, view, unit: str, said: str) -> None:
    """The carrier to scale: what can be cut of it, its grid, and which edge goes in first."""
    carrier = sheet.carrier
    whole = QRectF(view.x, view.y, carrier.width_mm * view.scale, sheet.length_mm * view.scale)
    painter.setPen(QPen(QColor(dyes.INK_SOFT), 1))
    painter.setBrush(QColor("#dcd8ce"))
    painter.drawRoundedRect(whole, 4, 4)
    left, top, right, bottom = sheet.usable
    usable = QRectF(*view.to_screen(left, top), (right - left) * view.scale, (bottom - top) * view.scale)
    painter.fillRect(usable, QColor("#f6f3ea"))
    if not sheet.missing.is_empty:
        _paint_missing(painter, sheet.missing, view)
    step = (MM_PER_IN if unit == "in" else 10.0) * view.scale
    if step >= 6:
        painter.setPen(QPen(QColor(120, 112, 96, 60), 1))
        x = usable.left() + step
        while x < usable.right() - 1:
            painter.drawLine(QPointF(round(x) + 0.5, usable.top()), QPointF(round(x) + 0.5, usable.bottom()))
            x += step
        y = usable.top() + step
        while y < usable.bottom() - 1:
            painter.drawLine(QPointF(usable.left(), round(y) + 0.5), QPointF(usable.right(), round(y) + 0.5))
            y += step
    painter.setPen(QPen(QColor(dyes.EDGE), 1, Qt.PenStyle.DashLine))
    painter.setBrush(Qt.BrushStyle.NoBrush)
    painter.drawRect(usable)
    metrics = painter.fontMetrics()
    chip(painter, said, whole.center().x() - metrics.horizontalAdvance(said) / 2 - 8,
         max(whole.top() - metrics.height() - 10, RULER + 2))


def _paint_missing(painter, missing, view):
    """What is not there of a rest, hatched."""
    path = QTransform(view.scale, 0, 0, view.scale, view.x, view.y).map(missing_path(missing))
    painter.setPen(QPen(QColor(dyes.EDGE), 1))
    painter.fillPath(path, QColor("#dcd8ce"))
    painter.setBrush(QBrush(QColor(dyes.INK_SOFT), Qt.BrushStyle.BDiagPattern))
    painter.drawPath(path)
    painter.setBrush(Qt.BrushStyle.NoBrush)


def paint_route(painter, route, view) -> None:
    """Travel between cuts, from woad at the beginning to madder at the end, and the numbers of the first cuts."""
    count = len(route.order)
    if not count:
        return
    stops = np.concatenate([[route.home], np.stack([route.places, route.ends], 1).reshape(-1, 2)])
    first, last = QColor(dyes.WOAD), QColor(dyes.MADDER)
    for n in range(count):
        share = n / max(count - 1, 1)
        colour = QColor(*(round(a + share * (b - a)) for a, b in zip(first.getRgb()[:3], last.getRgb()[:3],
                                                                      strict=True)))
        painter.setPen(QPen(colour, 1.4, Qt.PenStyle.DashLine))
        painter.drawLine(QPointF(*view.to_screen(*stops[2 * n])), QPointF(*view.to_screen(*stops[2 * n + 1])))
        if count <= _NUMBERED:
            at = QPointF(*view.to_screen(*stops[2 * n + 1]))
            painter.setPen(QPen(QColor("#ffffff"), 1))
            painter.setBrush(colour)
            painter.drawEllipse(at, 8, 8)
            font = painter.font()
            font.setPixelSize(10)
            painter.setFont(font)
            painter.drawText(QRectF(at.x() - 10, at.y() - 8, 20, 16), theme.CENTRE, str(n + 1))


def paint_handle(painter, handle: Handle, view, by: float) -> None:
    """A seam of the chosen part with the knob it is moved by; ``by`` mm from where it is."""
    off = by * np.array(handle.across)
    knob = QPointF(*view.to_screen(*(np.array(handle.knob) + off)))
    painter.setBrush(Qt.BrushStyle.NoBrush)
    for width, colour, style in ((4.0, "#ffffff", Qt.PenStyle.SolidLine), (2.0, dyes.MADDER, Qt.PenStyle.DashLine)):
        painter.setPen(QPen(QColor(colour), width, style))
        for line in handle.lines:
            painter.drawPolyline([QPointF(*view.to_screen(x, y)) for x, y in (line + off).tolist()])
    painter.setPen(QPen(QColor("#ffffff"), 2))
    painter.setBrush(QColor(dyes.MADDER))
    painter.drawEllipse(knob, KNOB_PX, KNOB_PX)
    way = QPointF(*handle.across) * 4.5
    painter.drawLine(knob - way, knob + way)
