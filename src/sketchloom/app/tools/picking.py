"""Choosing several regions on the bench, in an order."""

from PySide6.QtCore import Qt, QTimer, Signal
from PySide6.QtGui import QBrush, QColor, QPainter

from sketchloom.app import dyes
from sketchloom.app.tools.regions import RegionTool, paint_numbers
from sketchloom.app.tools.tool import Frame
from sketchloom.core.edits.decisions import DROP

_MOST = 99
"""Regions that are numbered."""


class PickTool(RegionTool):
    """A click takes a region in or lets it go; each bears its number in the order taken."""

    picked = Signal(tuple)

    def __init__(self, source):
        super().__init__(self._is_chosen, self._is_along, source)
        self.hint = self.tr("Click regions, the first one first. Esc ends.")
        self.chosen: list[int] = []
        self.acted.connect(self._take)

    def _is_chosen(self, face):
        return face in self.chosen

    def _is_along(self, first, face):
        """The outside is no region to be chosen; a sweep takes what is like what it began on."""
        return not self.desk.outside[face] and self.desk.swept_along(first, face, DROP)

    def _take(self, faces, back):
        self.chosen = (
            [f for f in self.chosen if f not in faces]
            if back
            else [*self.chosen, *(f for f in faces if f not in self.chosen)]
        )
        self.picked.emit(tuple(self.chosen))
        self.repaint.emit()

    def show_chosen(self, faces) -> None:
        self.chosen = list(faces)
        self.repaint.emit()

    def paint(self, painter: QPainter, frame: Frame) -> None:
        if self.desk is None:
            return
        scale = frame.rect.width() / self.desk.work.picture.width
        painter.save()
        painter.translate(frame.rect.topLeft())
        painter.scale(scale, scale)
        for face in self.chosen:
            painter.fillPath(self.path(face), QBrush(QColor(dyes.WOAD), Qt.BrushStyle.Dense6Pattern))
            self._stroke(painter, self.path(face), dyes.WOAD, Qt.PenStyle.SolidLine, 2.2)
        painter.restore()
        super().paint(painter, frame)
        if not paint_numbers(painter, frame, self.desk, self.chosen[:_MOST]):
            QTimer.singleShot(0, self, self.repaint.emit)
