"""A handle by which a file is dragged out of the window onto another program."""

from PySide6.QtCore import QMimeData, Qt, QUrl
from PySide6.QtGui import QDrag
from PySide6.QtWidgets import QApplication, QLabel


class DragOut(QLabel):
    """Held and moved, it gives the path of a file that ``make()`` writes meanwhile; None where there is none."""

    def __init__(self, text: str):
        super().__init__("⠿  " + text)
        self.setObjectName("drag")
        self.setCursor(Qt.CursorShape.OpenHandCursor)
        self.setAccessibleName(text)
        self.make = lambda: None
        self._from = None

    def mousePressEvent(self, event):
        self._from = event.position().toPoint()

    def mouseMoveEvent(self, event):
        if self._from is None or (event.position().toPoint() - self._from).manhattanLength() < (
                QApplication.startDragDistance()):
            return
        self._from = None
        path = self.make()
        if path is not None:
            drag = QDrag(self)
            drag.setMimeData(files_dragged([path]))
            drag.exec(Qt.DropAction.CopyAction)

    def mouseReleaseEvent(self, _):
        self._from = None


def files_dragged(paths) -> QMimeData:
    """What other programs take for files."""
    data = QMimeData()
    data.setUrls([QUrl.fromLocalFile(str(path)) for path in paths])
    return data
