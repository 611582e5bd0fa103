"""Tools that lay on figures, move them, choose stretches of boundary and move bridges."""

import math

from PySide6.QtCore import QPointF, Qt, Signal
from PySide6.QtGui import QColor, QPainter, QPainterPath, QPen

from sketchloom.app import dyes
from sketchloom.app.tools.tool import HANDLE, Frame, Tool, draw_handle, draw_line

_LEAST = 4.0
NEAR = 14.0
_APART = 3.0


def rings_path(rings, frame: Frame, size) -> QPainterPath:
    """Rings of cubics, px of a picture of a size, as they lie on the bench."""
    def place(p):
        return frame.place(p[0] / size[0], p[1] / size[1])
    path = QPainterPath()
    path.setFillRule(Qt.FillRule.WindingFill)
    for ring in rings:
        path.moveTo(place(ring[0, 0]))
        for c in ring.tolist():
            path.cubicTo(place(c[1]), place(c[2]), place(c[3]))
        path.closeSubpath()
    return path


def stroke_twice(painter: QPainter, path: QPainterPath, colour: str = dyes.MADDER, width: float = 1.6) -> None:
    """A line that shows on any ground."""
    painter.setBrush(Qt.BrushStyle.NoBrush)
    for shade, wide in (("#ffffff", width + 1.8), (colour, width)):
        painter.strokePath(path, QPen(QColor(shade), wide))


class FigureTool(Tool):
    """Drags a box; ``make(corner, corner)``, px, gives the rings of the figure that fills it."""

    taken = Signal(object)
    wants_source = False
    wants_cut = True

    def __init__(self, size, make):
        super().__init__()
        self.hint = self.tr("Drag a box; the figure fills it. Esc leaves it.")
        self._size, self._make = size, make
        self._from = self._to = None

    def _px(self, share):
        return share[0] * self._size[0], share[1] * self._size[1]

    def press(self, frame: Frame, at: QPointF) -> None:
        self._from = self._to = frame.share(at)

    def move(self, frame: Frame, at: QPointF, held: bool) -> None:
        if held and self._from is not None:
            self._to = frame.share(at)
            self.repaint.emit()

    def release(self, frame: Frame, at: QPointF) -> None:
        if self._from is None:
            return
        start, self._from = self._from, None
        if math.hypot(*(frame.place(*start) - at).toTuple()) >= _LEAST:
            self.taken.emit(self._make(self._px(start), self._px(frame.share(at))))
            self.done.emit()

    def paint(self, painter: QPainter, frame: Frame) -> None:
        if self._from is not None and self._from != self._to:
            stroke_twice(painter, rings_path(self._make(self._px(self._from), self._px(self._to)), frame, self._size))


class ShapeTool(Tool):
    """Moves a shape by its inside, sizes it by its corners and turns it by the handle above."""

    changed = Signal(object, float, float)
    wants_source = False
    wants_cut = True
    cursor = Qt.CursorShape.OpenHandCursor

    def __init__(self, size):
        super().__init__()
        self.hint = self.tr(
            "Drag the shape, its corners or the handle above it. Arrow keys move it by a pixel. Esc ends."
        )
        self._size = size
        self._rings, self._box = [], None
        self._how = self._from = None
        self._by, self._scale, self._turn = QPointF(0, 0), 1.0, 0.0

    def show_shape(self, rings, box) -> None:
        """Rings, px, and their box."""
        self._rings, self._box = rings, box
        self._by, self._scale, self._turn = QPointF(0, 0), 1.0, 0.0
        self.repaint.emit()

    def _places(self, frame):
        x0, y0, x1, y1 = (v / self._size[k % 2] for k, v in enumerate(self._box))
        corners = [frame.place(x, y) for x, y in ((x0, y0), (x1, y0), (x1, y1), (x0, y1))]
        middle = (corners[0] + corners[2]) / 2
        top = (corners[0] + corners[1]) / 2
        return corners, middle, top - QPointF(0, 26)

    def _means(self, frame, at):
        """What a press at a place does to the shape, None for nothing."""
        if self._box is None:
            return None
        corners, _middle, handle = self._places(frame)
        def near(p):
            return math.hypot(*(p - at).toTuple()) <= NEAR
        if near(handle):
            return "turn"
        if any(near(c) for c in corners):
            return "scale"
        box = (
            min(c.x() for c in corners) - 6,
            max(c.x() for c in corners) + 6,
            min(c.y() for c in corners) - 6,
            max(c.y() for c in corners) + 6,
        )
        return "move" if box[0] <= at.x() <= box[1] and box[2] <= at.y() <= box[3] else None

    def holds(self, frame: Frame, at: QPointF) -> bool:
        return self._means(frame, at) is not None

    def press(self, frame: Frame, at: QPointF) -> None:
        self._from, self._how = at, self._means(frame, at)

    def move(self, frame: Frame, at: QPointF, held: bool) -> None:
        if not held or self._how is None:
            return
        _, middle, _ = self._places(frame)
        a, b = self._from - middle, at - middle
        if self._how == "move":
            self._by = at - self._from
        elif self._how == "scale":
            self._scale = max(math.hypot(*b.toTuple()) / max(math.hypot(*a.toTuple()), 1.0), 0.05)
        else:
            turn = math.atan2(b.y(), b.x()) - math.atan2(a.y(), a.x())
            steps = math.radians(5)
            self._turn = round(turn / steps) * steps
        self.repaint.emit()

    def release(self, frame: Frame, at: QPointF) -> None:
        if self._how is None:
            return
        self._how = None
        _, middle, _ = self._places(frame)
        x, y = frame.share(middle + self._by)
        if self._by != QPointF(0, 0) or self._scale != 1.0 or self._turn:
            self.changed.emit((x * self._size[0], y * self._size[1]), self._scale, self._turn)

    def key(self, key) -> bool:
        steps = {Qt.Key.Key_Left: (-1, 0), Qt.Key.Key_Right: (1, 0), Qt.Key.Key_Up: (0, -1), Qt.Key.Key_Down: (0, 1)}
        if key not in steps or self._box is None:
            return False
        x, y = (self._box[0] + self._box[2]) / 2, (self._box[1] + self._box[3]) / 2
        self.changed.emit((x + steps[key][0], y + steps[key][1]), 1.0, 0.0)
        return True

    def paint(self, painter: QPainter, frame: Frame) -> None:
        if self._box is None:
            return
        corners, middle, handle = self._places(frame)
        painter.save()
        painter.translate(middle + self._by)
        painter.rotate(math.degrees(self._turn))
        painter.scale(self._scale, self._scale)
        painter.translate(-middle)
        stroke_twice(painter, rings_path(self._rings, frame, self._size), width=1.6 / self._scale)
        draw_line(painter, corners, closed=True)
        draw_line(painter, [(corners[0] + corners[1]) / 2, handle])
        painter.restore()
        if self._how is None:
            for corner in corners:
                painter.setPen(QPen(QColor(dyes.MADDER), 2))
                painter.setBrush(QColor("#ffffff"))
                painter.drawRect(
                    int(corner.x() - HANDLE + 1), int(corner.y() - HANDLE + 1), int(2 * HANDLE - 2), int(2 * HANDLE - 2)
                )
            draw_handle(painter, handle)
