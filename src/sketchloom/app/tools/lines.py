"""Choosing bridges over gaps, and painting lines, on the bench."""

import math

from PySide6.QtCore import QPointF, Qt, Signal
from PySide6.QtGui import QColor, QPainter, QPen, QPolygonF

from sketchloom.app import dyes
from sketchloom.app.tools.tool import Frame, PointsTool, Tool

_NEAR, _APART = 12.0, 4.0


class BridgeTool(Tool):
    """Marks every gap; a click on one closes it."""

    taken = Signal(int)
    wants_source = False
    wants_cut = True

    def __init__(self, hint: str = ""):
        super().__init__()
        self.hint = hint or self.tr("Click a gap to close it. Esc ends.")
        self._lines: list = []
        self._near = -1

    def show_gaps(self, lines) -> None:
        """Bridges as pairs of places, in shares of the picture's sides."""
        self._lines, self._near = list(lines), -1
        self.repaint.emit()

    def _at(self, frame, at):
        away = [
            (math.hypot(*((frame.place(*a) + frame.place(*b)) / 2 - at).toTuple()), n)
            for n, (a, b) in enumerate(self._lines)
        ]
        best = min(away, default=(math.inf, -1))
        return best[1] if best[0] <= _NEAR * 2 else -1

    def move(self, frame: Frame, at: QPointF, held: bool) -> None:
        self._near = self._at(frame, at)
        self.repaint.emit()

    def press(self, frame: Frame, at: QPointF) -> None:
        number = self._at(frame, at)
        if number >= 0:
            self.taken.emit(number)

    def paint(self, painter: QPainter, frame: Frame) -> None:
        painter.setBrush(Qt.BrushStyle.NoBrush)
        for number, (a, b) in enumerate(self._lines):
            start, end = frame.place(*a), frame.place(*b)
            middle = (start + end) / 2
            radius = max(math.hypot(*(end - start).toTuple()) / 2 + 5, _NEAR)
            for colour, width in (("#ffffff", 5.0), (dyes.MADDER, 3.4 if number == self._near else 1.8)):
                painter.setPen(QPen(QColor(colour), width, Qt.PenStyle.SolidLine, Qt.PenCapStyle.RoundCap))
                painter.drawLine(start, end)
                painter.drawEllipse(middle, radius, radius)


class OwnBridgeTool(Tool):
    """Two clicks, or a drag, from stroke to stroke. ``end_near(x, y)``, px, says where a bridge would begin there, and
    ``bridge(a, b)`` its course, each None where there is no stroke."""

    taken = Signal(tuple, tuple)
    wants_source = False
    wants_cut = True

    def __init__(self, size, end_near, bridge):
        super().__init__()
        self.hint = self.tr("Click the end of one stroke, then of the other. Esc ends.")
        self._size, self._end_near, self._bridge = size, end_near, bridge
        self._from = self._ring = None
        self._course = None

    def _px(self, frame, at):
        x, y = frame.inside(at)
        return x * self._size[0], y * self._size[1]

    def press(self, frame: Frame, at: QPointF) -> None:
        place = self._px(frame, at)
        if self._end_near(place) is None:
            return
        if self._from is None:
            self._from = place
        else:
            self._take(place)
        self.repaint.emit()

    def move(self, frame: Frame, at: QPointF, held: bool) -> None:
        place = self._px(frame, at)
        self._ring = self._end_near(place)
        self._course = self._bridge(self._from, place) if self._from is not None and self._ring is not None else None
        self.repaint.emit()

    def release(self, frame: Frame, at: QPointF) -> None:
        place = self._px(frame, at)
        near = (
            frame.place(self._from[0] / self._size[0], self._from[1] / self._size[1]) - at
            if self._from is not None
            else None
        )
        if near is not None and math.hypot(*near.toTuple()) > _NEAR and self._end_near(place) is not None:
            self._take(place)  # dragged from one to the other

    def _take(self, place):
        start, self._from, self._course = self._from, None, None
        self.taken.emit(start, place)

    def paint(self, painter: QPainter, frame: Frame) -> None:
        def to_screen(p):
            return frame.place(p[0] / self._size[0], p[1] / self._size[1])
        painter.setBrush(Qt.BrushStyle.NoBrush)
        rings = [to_screen(self._end_near(self._from))] if self._from is not None else []
        rings += [to_screen(self._ring)] if self._ring is not None else []
        for colour, width in (("#ffffff", 3.6), (dyes.MADDER, 1.8)):
            painter.setPen(QPen(QColor(colour), width))
            for place in rings:
                painter.drawEllipse(place, 7.0, 7.0)
            if self._course is not None:
                painter.drawPolyline(QPolygonF([to_screen(p) for p in self._course]))


class LineTool(PointsTool):
    """Drag to paint a line, or click from point to point and end with Enter or two clicks; ``most`` points end it at
    once."""

    taken = Signal(tuple)
    wants_source = False
    wants_cut = True

    def __init__(self, hex_colour: str, width_share: float, hint: str, most: int | None = None):
        super().__init__()
        self.hint, self._most = hint, most
        self._colour, self._width = QColor(hex_colour), width_share
        self._at = None
        self._dragged = False

    def press(self, frame: Frame, at: QPointF) -> None:
        self._points.append(frame.inside(at))
        self._dragged = False
        self.repaint.emit()

    def move(self, frame: Frame, at: QPointF, held: bool) -> None:
        self._at = frame.inside(at)
        if held and self._points:
            last = frame.place(*self._points[-1])
            if math.hypot(last.x() - at.x(), last.y() - at.y()) >= _APART:
                self._points.append(self._at)
                self._dragged = True
        self.repaint.emit()

    def release(self, frame: Frame, at: QPointF) -> None:
        if self._dragged or len(self._points) == self._most:
            self.take()

    def take(self) -> None:
        points, self._points = tuple(dict.fromkeys(self._points)), []
        if len(points) >= 2:
            step = max(1, len(points) // 1500)
            self.taken.emit((*points[:-1:step], points[-1]))
        self.repaint.emit()

    def paint(self, painter: QPainter, frame: Frame) -> None:
        places = [frame.place(*p) for p in self._points]
        if self._at is not None:
            places.append(frame.place(*self._at))
        width = max(self._width * frame.rect.width(), 1.0)
        if len(places) > 1:
            painter.setBrush(Qt.BrushStyle.NoBrush)
            painter.setPen(
                QPen(self._colour, width, Qt.PenStyle.SolidLine, Qt.PenCapStyle.RoundCap, Qt.PenJoinStyle.RoundJoin)
            )
            painter.drawPolyline(QPolygonF(places))
        if places:
            painter.setBrush(Qt.BrushStyle.NoBrush)
            for colour, wide in (("#ffffff", 3.0), (dyes.MADDER, 1.4)):
                painter.setPen(QPen(QColor(colour), wide))
                painter.drawEllipse(places[-1], max(width / 2, 3.0), max(width / 2, 3.0))
