"""What paints itself: painting that ends, whatever happens in it, and that is told to a screen reader."""

from functools import wraps

from PySide6.QtCore import Qt
from PySide6.QtGui import QPainter, QPixmap
from PySide6.QtWidgets import QLabel


class Picture(QLabel):
    """A part that paints itself, with the role of a graphic.

    The toolkit lets no role be given from Python; one that shows a picture has this role, and what is shown is painted
    over it."""

    def __init__(self, parent=None):
        super().__init__(parent)
        nothing = QPixmap(1, 1)
        nothing.fill(Qt.GlobalColor.transparent)
        self.setPixmap(nothing)


def painted(paint):
    """Makes a ``paintEvent`` of ``paint(self, painter)``: a painter that an error leaves active ends the program."""
    @wraps(paint)
    def event(self, _):
        painter = QPainter(self)
        try:
            paint(self, painter)
        finally:
            painter.end()
    return event
