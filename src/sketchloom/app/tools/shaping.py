"""Tools that shape the picture: crop, straighten by a line, and the corners of a page."""

import math

from PySide6.QtCore import QPointF, QRectF, Signal
from PySide6.QtGui import QColor, QPainter, QPainterPath

from sketchloom.app.tools.tool import HANDLE, EnterTool, Frame, Tool, draw_handle, draw_line

_LEAST = 0.01


def _shade_outside(painter, frame, path):
    outside = QPainterPath()
    outside.addRect(frame.rect)
    painter.fillPath(outside.subtracted(path), QColor(38, 34, 29, 120))


class CropTool(EnterTool):
    """Drag a frame; its corners and sides can be dragged again. Enter takes it."""

    taken = Signal(tuple)

    def __init__(self):
        super().__init__()
        self.hint = self.tr("Drag a frame around what to keep, then press Enter. Esc leaves it.")
        self.frame_shares = None
        self._held = None
        self._from = None

    def press(self, frame: Frame, at: QPointF) -> None:
        self._held = self._handle_at(frame, at)
        if self._held is None:
            self._from = frame.inside(at)
            self.frame_shares = None

    def move(self, frame: Frame, at: QPointF, held: bool) -> None:
        if not held:
            return
        x, y = frame.inside(at)
        if self._held is not None and self.frame_shares is not None:
            sides = list(self.frame_shares)
            h, v = self._held
            if h is not None:
                sides[h] = x
            if v is not None:
                sides[v] = y
            self.frame_shares = tuple(sides)
        elif self._from is not None:
            fx, fy = self._from
            self.frame_shares = (min(fx, x), min(fy, y), max(fx, x), max(fy, y))
        self.repaint.emit()

    def release(self, frame: Frame, at: QPointF) -> None:
        self._from = self._held = None
        if self.frame_shares is not None:
            a, b, c, d = self.frame_shares
            self.frame_shares = (min(a, c), min(b, d), max(a, c), max(b, d))
            if (
                self.frame_shares[2] - self.frame_shares[0] < _LEAST
                or self.frame_shares[3] - self.frame_shares[1] < _LEAST
            ):
                self.frame_shares = None
        self.repaint.emit()

    def take(self):
        if self.frame_shares is not None:
            self.taken.emit(self.frame_shares)
            self.done.emit()

    def _handle_at(self, frame, at):
        """The sides, as places in the frame's shares, that a press there takes hold of."""
        if self.frame_shares is None:
            return None
        x0, y0, x1, y1 = self.frame_shares
        near = 2.0 * HANDLE
        for h in (0, 2, None):
            for v in (1, 3, None):
                if h is None and v is None:
                    continue
                place = frame.place(0.5 * (x0 + x1) if h is None else self.frame_shares[h],
                                    0.5 * (y0 + y1) if v is None else self.frame_shares[v])
                if math.hypot(place.x() - at.x(), place.y() - at.y()) <= near:
                    return h, v
        return None

    def paint(self, painter: QPainter, frame: Frame) -> None:
        if self.frame_shares is None:
            return
        x0, y0, x1, y1 = self.frame_shares
        rect = QRectF(frame.place(x0, y0), frame.place(x1, y1)).normalized()
        path = QPainterPath()
        path.addRect(rect)
        _shade_outside(painter, frame, path)
        corners = [rect.topLeft(), rect.topRight(), rect.bottomRight(), rect.bottomLeft()]
        draw_line(painter, corners, closed=True)
        for corner in corners:
            draw_handle(painter, corner)


class LevelTool(Tool):
    """Draw a line along something that should be level or upright."""

    taken = Signal(float)

    def __init__(self):
        super().__init__()
        self.hint = self.tr("Draw a line along something that should be level or upright. Esc leaves it.")
        self._from = self._to = None

    def press(self, frame: Frame, at: QPointF) -> None:
        self._from = self._to = frame.share(at)

    def move(self, frame: Frame, at: QPointF, held: bool) -> None:
        if held and self._from is not None:
            self._to = frame.share(at)
            self.repaint.emit()

    def release(self, frame: Frame, at: QPointF) -> None:
        if self._from is None:
            return
        a, b = frame.place(*self._from), at
        self._from = self._to = None
        if math.hypot(b.x() - a.x(), b.y() - a.y()) < 20:
            return
        degrees = math.degrees(math.atan2(b.y() - a.y(), b.x() - a.x()))
        self.taken.emit((degrees + 45.0) % 90.0 - 45.0)
        self.done.emit()

    def paint(self, painter: QPainter, frame: Frame) -> None:
        if self._from is not None:
            draw_line(painter, [frame.place(*self._from), frame.place(*self._to)])


class PageTool(EnterTool):
    """The four corners of a page; each can be dragged. Enter takes them."""

    taken = Signal(tuple)
    wants_original = True

    def __init__(self, corners=None):
        super().__init__()
        self.hint = self.tr("Drag the corners onto the page's corners, then press Enter. Esc leaves it.")
        self.corners = [list(c) for c in (corners or ((0.08, 0.08), (0.92, 0.08), (0.92, 0.92), (0.08, 0.92)))]
        self._held = None
        self._is_touched = False

    def suggest(self, corners) -> None:
        """Corners that were found meanwhile; what was dragged already stays."""
        if not self._is_touched:
            self.corners = [list(c) for c in corners]
            self.repaint.emit()

    def press(self, frame: Frame, at: QPointF) -> None:
        self._is_touched = True
        away = [math.hypot(p.x() - at.x(), p.y() - at.y()) for p in self._places(frame)]
        nearest = min(range(4), key=away.__getitem__)
        self._held = nearest if away[nearest] < 40 else None

    def move(self, frame: Frame, at: QPointF, held: bool) -> None:
        if held and self._held is not None:
            self.corners[self._held] = list(frame.inside(at))
            self.repaint.emit()

    def release(self, frame: Frame, at: QPointF) -> None:
        self._held = None
        self.repaint.emit()

    def take(self):
        self.taken.emit(tuple(tuple(c) for c in self.corners))
        self.done.emit()

    def _places(self, frame):
        return [frame.place(*c) for c in self.corners]

    def paint(self, painter: QPainter, frame: Frame) -> None:
        places = self._places(frame)
        path = QPainterPath(places[0])
        for place in places[1:]:
            path.lineTo(place)
        path.closeSubpath()
        _shade_outside(painter, frame, path)
        draw_line(painter, places, closed=True)
        for number, place in enumerate(places):
            draw_handle(painter, place, number == self._held)
