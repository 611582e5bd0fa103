"""Tools that mark places and parts: clicking, brushing, drawing round, and following edges."""

import math

from PySide6.QtCore import QPointF, Qt, Signal
from PySide6.QtGui import QBrush, QColor, QGuiApplication, QPainter, QPen, QPolygonF

from sketchloom.app import dyes
from sketchloom.app.tools.tool import EnterTool, Frame, PointsTool, Tool, draw_handle, draw_line
from sketchloom.core.background.snapping import EdgePaths

_NEAR = 12.0
_APART = 3.0


class ClickTool(Tool):
    """Takes the place of every click until it is put down."""

    taken = Signal(float, float)

    def __init__(self, hint: str, once: bool = False, wants_source: bool = True):
        super().__init__()
        self.hint, self._once, self.wants_source = hint, once, wants_source

    def press(self, frame: Frame, at: QPointF) -> None:
        x, y = frame.share(at)
        if 0 <= x < 1 and 0 <= y < 1:
            self.taken.emit(x, y)
            if self._once:
                self.done.emit()


class BrushTool(Tool):
    """Paints strokes; each is taken when the button comes up."""

    taken = Signal(tuple, float, bool)

    def __init__(self, keep: bool, width: float):
        super().__init__()
        self.keep, self.width = keep, width
        self.hint = (self.tr("Paint over what is to be kept. [ and ] change the brush, Esc ends.") if keep else
                     self.tr("Paint over what is to go. [ and ] change the brush, Esc ends."))
        self._points: list = []
        self._at = None

    def press(self, frame: Frame, at: QPointF) -> None:
        self._points = [frame.inside(at)]
        self._at = at
        self.repaint.emit()

    def move(self, frame: Frame, at: QPointF, held: bool) -> None:
        self._at = at
        if held and self._points:
            last = frame.place(*self._points[-1])
            if math.hypot(last.x() - at.x(), last.y() - at.y()) >= _APART:
                self._points.append(frame.inside(at))
        self.repaint.emit()

    def release(self, frame: Frame, at: QPointF) -> None:
        points, self._points = tuple(self._points), []
        if points:
            self.taken.emit(points, self.width, self.keep)
        self.repaint.emit()

    def give_up(self) -> None:
        self._points = []

    def key(self, key) -> bool:
        if key in (Qt.Key.Key_BracketLeft, Qt.Key.Key_BracketRight):
            self.width = min(max(self.width * (1.3 if key == Qt.Key.Key_BracketRight else 1 / 1.3), 0.002), 0.2)
            self.repaint.emit()
            return True
        return False

    def paint(self, painter: QPainter, frame: Frame) -> None:
        thick = max(self.width * max(frame.rect.width(), frame.rect.height()), 2.0)
        colour = QColor(dyes.KEEP if self.keep else dyes.DROP)
        if self._points:
            colour.setAlpha(190)
            brush = QBrush(colour, Qt.BrushStyle.SolidPattern if self.keep else Qt.BrushStyle.Dense3Pattern)
            painter.setPen(QPen(brush, thick, Qt.PenStyle.SolidLine, Qt.PenCapStyle.RoundCap,
                                Qt.PenJoinStyle.RoundJoin))
            places = [frame.place(*p) for p in self._points]
            painter.drawPolyline(QPolygonF(places)) if len(places) > 1 else painter.drawPoint(places[0])
        if self._at is not None:
            painter.setBrush(Qt.BrushStyle.NoBrush)
            arm = min(thick / 4, 8.0)
            for pen, width in ((QColor("#ffffff"), 3.5), (QColor(dyes.MOSS if self.keep else dyes.DROP), 1.8)):
                painter.setPen(QPen(pen, width))
                painter.drawEllipse(self._at, thick / 2, thick / 2)
                painter.drawLine(self._at - QPointF(arm, 0), self._at + QPointF(arm, 0))  # a plus or a minus
                if self.keep:
                    painter.drawLine(self._at - QPointF(0, arm), self._at + QPointF(0, arm))


class AreaTool(PointsTool):
    """Draws round a part: dragged it follows the hand, clicked it goes straight from corner to corner."""

    taken = Signal(tuple)

    def __init__(self, hint: str = "", wants_source: bool = True):
        super().__init__()
        self.wants_source = wants_source
        self.hint = hint or self.tr("Drag round the part, or click its corners and close it with Enter. Esc leaves it.")
        self._at = None
        self._dragged = False

    def press(self, frame: Frame, at: QPointF) -> None:
        if len(self._points) >= 3 and self._is_near(frame, self._points[0], at):
            self.take()
            return
        self._points.append(frame.inside(at))
        self._dragged = False
        self.repaint.emit()

    def move(self, frame: Frame, at: QPointF, held: bool) -> None:
        self._at = at
        if held and self._points:
            last = frame.place(*self._points[-1])
            if math.hypot(last.x() - at.x(), last.y() - at.y()) >= 2 * _APART:
                self._points.append(frame.inside(at))
                self._dragged = True
        self.repaint.emit()

    def release(self, frame: Frame, at: QPointF) -> None:
        # one dragged round closes by itself
        if self._dragged and len(self._points) > 12:
            self.take()

    def take(self) -> None:
        if len(self._points) >= 3:
            points = tuple(self._points)
            step = max(1, len(points) // 1500)
            self._points = []
            self.taken.emit(points[::step])
            self.done.emit()

    @staticmethod
    def _is_near(frame, share, at):
        place = frame.place(*share)
        return math.hypot(place.x() - at.x(), place.y() - at.y()) < _NEAR

    def paint(self, painter: QPainter, frame: Frame) -> None:
        places = [frame.place(*p) for p in self._points]
        if places and self._at is not None:
            places.append(self._at)
        if len(places) > 1:
            draw_line(painter, places)
        if self._points and not self._dragged:
            draw_handle(painter, frame.place(*self._points[0]), len(self._points) >= 3)


class SnapTool(EnterTool):
    """Follows the edges of the picture from anchor to anchor; straight to the next one while Shift is held."""

    taken = Signal(tuple)

    def __init__(self, picture):
        super().__init__()
        self.hint = self.tr(
            "Click along the edge; the line finds it. Shift goes straight, Backspace one back, Enter closes. Esc "
            "leaves it."
        )
        self._paths = EdgePaths(picture)
        self._parts: list = []
        self._anchors: list = []
        self._ahead: tuple = ()

    def press(self, frame: Frame, at: QPointF) -> None:
        share = frame.inside(at)
        if len(self._anchors) >= 3 and math.hypot(*((frame.place(*self._anchors[0]) - at).toTuple())) < _NEAR:
            self.take()
            return
        if self._anchors:
            self._parts.append(self._way(self._anchors[-1], share))
        self._anchors.append(share)
        self._ahead = ()
        self.repaint.emit()

    def move(self, frame: Frame, at: QPointF, held: bool) -> None:
        if self._anchors:
            self._ahead = self._way(self._anchors[-1], frame.inside(at))
            self.repaint.emit()

    def _way(self, start, end):
        if QGuiApplication.keyboardModifiers() & Qt.KeyboardModifier.ShiftModifier:
            return (start, end)
        return self._paths.between(start, end)

    def key(self, key) -> bool:
        if key == Qt.Key.Key_Backspace and self._anchors:
            self._anchors.pop()
            if self._parts:
                self._parts.pop()
            self._ahead = ()
            self.repaint.emit()
            return True
        return super().key(key)

    def take(self) -> None:
        if len(self._anchors) < 3:
            return
        parts = [*self._parts, self._way(self._anchors[-1], self._anchors[0])]
        points = tuple(p for part in parts for p in part[:-1])
        step = max(1, len(points) // 3000)
        self._parts, self._anchors, self._ahead = [], [], ()
        self.taken.emit(points[::step])
        self.done.emit()

    def paint(self, painter: QPainter, frame: Frame) -> None:
        for part in (*self._parts, self._ahead):
            if len(part) > 1:
                draw_line(painter, [frame.place(*p) for p in part])
        for anchor in self._anchors:
            draw_handle(painter, frame.place(*anchor))


