"""Puts several pictures in the order in which they lie on each other, before they are opened as one work."""

import logging
import threading
from pathlib import Path

from PySide6.QtCore import QSize, Qt, Signal
from PySide6.QtGui import QColor, QIcon, QImage, QPainter, QPixmap
from PySide6.QtWidgets import QAbstractItemView, QDialog, QHBoxLayout, QListWidget, QListWidgetItem, QVBoxLayout

from sketchloom.app.bench.paint import SourceImage
from sketchloom.app.parts.widgets import button, label, plain_tip
from sketchloom.core.base.errors import AppError
from sketchloom.files.opening import open_file

_SMALL = QSize(76, 56)
_log = logging.getLogger(__name__)


class LayerOrderDialog(QDialog):
    """``chosen`` carries the files, the lowest first."""

    chosen = Signal(list)
    _looked_at = Signal(int, QImage)

    def __init__(self, parent, paths):
        super().__init__(parent)
        self.setWindowTitle(self.tr("Layers of one work"))
        self.setMinimumSize(440, 540)
        column = QVBoxLayout(self)
        column.setContentsMargins(18, 16, 18, 16)
        column.setSpacing(10)
        column.addWidget(label(self.tr("Which picture lies on which?"), "heading"))
        column.addWidget(
            label(
                self.tr(
                    "The topmost is listed first. Drag a picture, or move it with the buttons. All share one frame, so "
                    "they must be of one size in pixels."
                ),
                "quiet",
            )
        )
        self.list = QListWidget()
        self.list.setAccessibleName(self.tr("Pictures, topmost first"))
        self.list.setIconSize(_SMALL)
        self.list.setDragDropMode(QAbstractItemView.DragDropMode.InternalMove)
        self.list.currentRowChanged.connect(self._enable)
        self.list.model().rowsMoved.connect(self._enable)
        column.addWidget(self.list, 1)
        self._up, self._down = button(self.tr("Higher"), "chevron-up"), button(self.tr("Lower"), "chevron-down")
        self._turn = button(self.tr("Turn all round"), "", self.tr("The lowest becomes the topmost"))
        self._up.clicked.connect(lambda: self._move(-1))
        self._down.clicked.connect(lambda: self._move(1))
        self._turn.clicked.connect(self._reverse)
        self._row(column, self._up, self._down, self._turn)
        leave, go = button(self.tr("Leave it")), button(self.tr("Open as one work"))
        go.setObjectName("primary")
        leave.clicked.connect(self.reject)
        go.clicked.connect(self._go)
        self._row(column, leave, go)
        self._looked_at.connect(self._show_small)
        self._items = []
        for path in reversed(paths):
            item = QListWidgetItem(_icon(_ground()), Path(path).name)
            item.setData(Qt.ItemDataRole.UserRole, str(path))
            item.setToolTip(plain_tip(str(path)))
            item.setSizeHint(QSize(0, _SMALL.height() + 8))
            self.list.addItem(item)
            self._items.append(item)
        self.list.setCurrentRow(0)
        self._closed = threading.Event()
        self.finished.connect(lambda _: self._closed.set())
        threading.Thread(
            target=self._look, args=([i.data(Qt.ItemDataRole.UserRole) for i in self._items],), daemon=True
        ).start()

    def _row(self, column, *parts):
        row = QHBoxLayout()
        row.addStretch(1)
        for part in parts:
            row.addWidget(part)
        column.addLayout(row)

    def paths(self) -> list[str]:
        """The files as they are listed, the lowest first."""
        return [self.list.item(row).data(Qt.ItemDataRole.UserRole) for row in range(self.list.count() - 1, -1, -1)]

    def _look(self, paths):
        """Read the pictures away from the window; one that cannot be read is told when all are opened."""
        for number, path in enumerate(paths):
            if self._closed.is_set():
                return
            try:
                image = SourceImage(open_file(path).picture).levels[-1]
            except (AppError, OSError, MemoryError) as error:
                _log.info("no small picture of %s: %s", path, error)
                continue
            if not self._closed.is_set():
                self._looked_at.emit(number, image)

    def _show_small(self, number, image):
        canvas = _ground()
        small = image.scaled(_SMALL * 2, Qt.AspectRatioMode.KeepAspectRatio, Qt.TransformationMode.SmoothTransformation)
        painter = QPainter(canvas)
        painter.drawImage((canvas.width() - small.width()) // 2, (canvas.height() - small.height()) // 2, small)
        painter.end()
        self._items[number].setIcon(_icon(canvas))

    def _enable(self, *_):
        row = self.list.currentRow()
        self._up.setEnabled(row > 0)
        self._down.setEnabled(0 <= row < self.list.count() - 1)

    def _move(self, by):
        row = self.list.currentRow()
        self.list.insertItem(row + by, self.list.takeItem(row))
        self.list.setCurrentRow(row + by)

    def _reverse(self):
        for _ in range(self.list.count() - 1):
            self.list.insertItem(self.list.count() - 1 - _, self.list.takeItem(0))
        self._enable()

    def _go(self):
        self.chosen.emit(self.paths())
        self.accept()


def _ground():
    """A neutral ground on which pale and dark layers are both seen."""
    canvas = QPixmap(_SMALL * 2)
    canvas.fill(QColor("#c9c4b9"))
    return canvas


def _icon(canvas):
    """One that is not tinted when its row is chosen."""
    canvas.setDevicePixelRatio(2)
    icon = QIcon(canvas)
    icon.addPixmap(canvas, QIcon.Mode.Selected)
    return icon
