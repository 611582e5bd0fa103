"""A ring around a part of the window, so that it is found."""

from PySide6.QtCore import QEvent, QPoint, QRect, Qt, QTimer
from PySide6.QtGui import QColor, QPen
from PySide6.QtWidgets import QWidget

from sketchloom.app import dyes
from sketchloom.app.painted import painted

_AROUND, _SECONDS = 5, 2.5


class Spot(QWidget):
    """Stands around a part for a while, or until it is put away; clicks go through it."""

    def __init__(self, window):
        super().__init__(window)
        self.setAttribute(Qt.WidgetAttribute.WA_TransparentForMouseEvents)
        self._part: QWidget | None = None
        self._timer = QTimer(self, singleShot=True, interval=int(_SECONDS * 1000))
        self._timer.timeout.connect(self.put_away)
        self.hide()

    def stand_around(self, part: QWidget, stays: bool = False) -> None:
        """Ring a part that is seen."""
        self.put_away()
        self._part = part
        part.installEventFilter(self)
        self._place()
        self.show()
        self.raise_()
        if not stays:
            self._timer.start()

    def put_away(self) -> None:
        """Ring nothing."""
        if self._part is not None:
            self._part.removeEventFilter(self)
            self._part = None
        self._timer.stop()
        self.hide()

    def eventFilter(self, watched, event):
        if watched is self._part and event.type() in (QEvent.Type.Move, QEvent.Type.Resize):
            self._place()
        elif watched is self._part and event.type() == QEvent.Type.Hide:
            self.put_away()
        return super().eventFilter(watched, event)

    def _place(self):
        corner = self._part.mapTo(self.parentWidget(), QPoint(0, 0))
        box = QRect(corner, self._part.size()).adjusted(-_AROUND, -_AROUND, _AROUND, _AROUND)
        self.setGeometry(box.intersected(self.parentWidget().rect()))

    @painted
    def paintEvent(self, painter):
        for colour, width in (("#ffffff", 5.0), (dyes.MADDER, 2.5)):
            painter.setPen(QPen(QColor(colour), width))
            painter.drawRoundedRect(self.rect().adjusted(3, 3, -3, -3), 6, 6)
