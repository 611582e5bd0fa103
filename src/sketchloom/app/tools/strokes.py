"""Tools for strokes as things, and for lines that have two ends."""

import math

from PySide6.QtCore import QPointF, Qt, Signal
from PySide6.QtGui import QPainter, QPainterPath

from sketchloom.app.tools.drawing import NEAR, stroke_twice
from sketchloom.app.tools.tool import Frame, Tool, draw_handle, draw_line


class StrokeTool(Tool):
    """Points at strokes and chooses one by a click. ``line_at(x, y, reach)``, px, gives a stroke's number and its
    middle."""

    chosen = Signal(int, float, float)
    wants_source = False
    wants_cut = True
    cursor = Qt.CursorShape.PointingHandCursor

    def __init__(self, size, line_at):
        super().__init__()
        self.hint = self.tr("Click a stroke; then say in the panel what is to become of it. Esc ends.")
        self._size, self._line_at = size, line_at
        self._under, self._line, self._chosen = -1, None, None

    def show_chosen(self, line) -> None:
        """The middle of the chosen stroke, (N, 2) px, or none."""
        self._chosen, self._under, self._line = line, -1, None
        self.repaint.emit()

    def _find(self, frame, at):
        x, y = frame.share(at)
        reach = NEAR / max(frame.rect.width(), 1.0) * self._size[0]
        return self._line_at(x * self._size[0], y * self._size[1], reach)

    def move(self, frame: Frame, at: QPointF, held: bool) -> None:
        number, line = self._find(frame, at)
        if number != self._under:
            self._under, self._line = number, line
            self.repaint.emit()

    def press(self, frame: Frame, at: QPointF) -> None:
        number, _ = self._find(frame, at)
        x, y = frame.share(at)
        self.chosen.emit(number, x * self._size[0], y * self._size[1])

    def paint(self, painter: QPainter, frame: Frame) -> None:
        for line, width in ((self._line, 2.0), (self._chosen, 4.0)):
            if line is not None:
                path = QPainterPath(frame.place(line[0, 0] / self._size[0], line[0, 1] / self._size[1]))
                for x, y in line[1:].tolist():
                    path.lineTo(frame.place(x / self._size[0], y / self._size[1]))
                stroke_twice(painter, path, width=width)


class EndsTool(Tool):
    """Moves lines between two places by their ends or their middle. Lines are pairs of shares."""

    moved = Signal(int, tuple)
    wants_source = False
    wants_cut = True

    def __init__(self):
        super().__init__()
        self.hint = self.tr("Drag the end of a bridge, or its middle to move all of it. Esc ends.")
        self._lines: list = []
        self._held = None

    def show_lines(self, lines) -> None:
        self._lines, self._held = [list(line) for line in lines], None
        self.repaint.emit()

    def press(self, frame: Frame, at: QPointF) -> None:
        best, self._held = NEAR, None
        for number, (a, b) in enumerate(self._lines):
            start, end = frame.place(*a), frame.place(*b)
            for part, place in ((0, start), (1, end), (2, (start + end) / 2)):
                away = math.hypot(*(place - at).toTuple())
                if away < best:
                    best, self._held = away, (number, part, frame.share(at), (a, b))

    def move(self, frame: Frame, at: QPointF, held: bool) -> None:
        if not held or self._held is None:
            return
        number, part, start, (a, b) = self._held
        now = frame.share(at)
        by = (now[0] - start[0], now[1] - start[1])
        self._lines[number] = [(p[0] + by[0], p[1] + by[1]) if part in (k, 2) else p for k, p in enumerate((a, b))]
        self.repaint.emit()

    def release(self, frame: Frame, at: QPointF) -> None:
        if self._held is not None:
            number, _, _, before = self._held
            self._held = None
            if tuple(self._lines[number]) != tuple(before):
                self.moved.emit(number, tuple(self._lines[number]))

    def paint(self, painter: QPainter, frame: Frame) -> None:
        for a, b in self._lines:
            start, end = frame.place(*a), frame.place(*b)
            draw_line(painter, [start, end])
            for place in (start, end):
                draw_handle(painter, place)
