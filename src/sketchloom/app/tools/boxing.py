"""A box dragged on the bench."""

from PySide6.QtCore import QPointF, QRectF, Qt, Signal
from PySide6.QtGui import QColor, QPainter, QPen

from sketchloom.app import dyes
from sketchloom.app.tools.tool import Frame, Tool


class BoxTool(Tool):
    """Drags a box; what lies mostly in it is taken."""

    taken = Signal(tuple)
    wants_source = False
    wants_cut = True

    def __init__(self):
        super().__init__()
        self.hint = self.tr("Drag a box round the regions. Esc leaves it.")
        self._from = self._to = None

    def press(self, frame: Frame, at: QPointF) -> None:
        self._from = self._to = frame.inside(at)

    def move(self, frame: Frame, at: QPointF, held: bool) -> None:
        if held and self._from is not None:
            self._to = frame.inside(at)
            self.repaint.emit()

    def release(self, frame: Frame, at: QPointF) -> None:
        if self._from is None:
            return
        (x0, y0), (x1, y1) = self._from, frame.inside(at)
        self._from = self._to = None
        if abs(x1 - x0) * frame.rect.width() > 3 and abs(y1 - y0) * frame.rect.height() > 3:
            self.taken.emit(((x0, y0), (x1, y0), (x1, y1), (x0, y1)))
            self.done.emit()

    def give_up(self) -> None:
        self._from = self._to = None

    def paint(self, painter: QPainter, frame: Frame) -> None:
        if self._from is not None:
            box = QRectF(frame.place(*self._from), frame.place(*self._to)).normalized()
            painter.setBrush(Qt.BrushStyle.NoBrush)
            for colour, width, style in (
                ("#ffffff", 3.2, Qt.PenStyle.SolidLine),
                (dyes.MADDER, 1.6, Qt.PenStyle.DashLine),
            ):
                painter.setPen(QPen(QColor(colour), width, style))
                painter.drawRect(box)
