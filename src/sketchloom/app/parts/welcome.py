"""What stands on the bench before a work is open."""

from pathlib import Path

from PySide6.QtCore import Qt, Signal
from PySide6.QtGui import QIcon, QPixmap
from PySide6.QtWidgets import QGridLayout, QHBoxLayout, QLabel, QScrollArea, QToolButton, QVBoxLayout, QWidget

from sketchloom.app import theme
from sketchloom.app.parts.widgets import button, clear, label, plain_tip
from sketchloom.app.words import told

_SHOWN = 4
_COLUMNS = 5
_WIDE_PX, _MARGIN_PX, _TILE_PX = 710, 24, 142


class Welcome(QScrollArea):
    """Ways to begin: open, paste, drop, a recent file, a demo picture."""

    open_wanted = Signal()
    paste_wanted = Signal()
    file_wanted = Signal(object)
    demo_wanted = Signal(str)

    def __init__(self, demos):
        super().__init__()
        self.setObjectName("welcome")
        self.setAccessibleName(self.tr("Ways to begin"))
        self.setWidgetResizable(True)
        whole = QWidget()
        outer = QHBoxLayout(whole)
        outer.addStretch(1)
        box = QVBoxLayout()
        box.setSpacing(10)
        box.addStretch(2)
        box.addWidget(label(self.tr("Drop a picture here"), "heading"))
        box.addWidget(
            label(
                self.tr(
                    "A logo, flat clipart, a scanned drawing, a photograph or a page of line art becomes layers for "
                    "your cutter. PNG, JPEG, WebP, BMP, TIFF, GIF, HEIF, AVIF, PDF and SVG are read; several "
                    "pictures with one frame become the layers of one work."
                ),
                "quiet",
            )
        )
        row = QHBoxLayout()
        opens = button(self.tr("Open…"), "folder-open")
        opens.setObjectName("primary")
        opens.setIcon(theme.icon("folder-open", "ON_WOAD"))
        opens.clicked.connect(self.open_wanted)
        paste = button(self.tr("Paste"), "clipboard")
        paste.clicked.connect(self.paste_wanted)
        row.addWidget(opens)
        row.addWidget(paste)
        row.addStretch(1)
        box.addLayout(row)
        box.addSpacing(12)
        box.addWidget(label(self.tr("Or try one of these"), "section"))
        box.addLayout(self._demo_row(demos))
        self._recent_title = label(self.tr("Lately"), "section")
        box.addWidget(self._recent_title)
        self._recent = QVBoxLayout()
        self._recent.setSpacing(2)
        box.addLayout(self._recent)
        self._state = label("", "quiet")
        box.addWidget(self._state)
        box.addStretch(3)
        self._holder = QWidget()
        self._holder.setLayout(box)
        outer.addWidget(self._holder)
        outer.addStretch(1)
        self.setWidget(whole)

    def _demo_row(self, demos):
        self._tiles, self._grid = [], QGridLayout(alignment=Qt.AlignmentFlag.AlignLeft)
        self._grid.setSpacing(8)
        for demo in demos:
            tile = QToolButton()
            tile.setObjectName("tile")
            tile.setToolButtonStyle(Qt.ToolButtonStyle.ToolButtonTextUnderIcon)
            tile.setText(told(demo.title))
            tile.setIconSize(theme.size(88, 88))
            tile.setIcon(QIcon(QPixmap(str(demo.thumbnail_path))))
            tile.setFixedSize(theme.size(132, 126))
            tile.setToolTip(told(demo.about))
            tile.setAccessibleName(f"{told(demo.title)}: {told(demo.about)}")
            tile.clicked.connect(lambda _=False, key=demo.key: self.demo_wanted.emit(key))
            self._tiles.append(tile)
        self._lay_tiles(_COLUMNS)
        return self._grid

    def _lay_tiles(self, columns):
        for number, tile in enumerate(self._tiles):
            self._grid.addWidget(tile, number // columns, number % columns)

    def resizeEvent(self, event):
        """As wide as there is room, with as many tiles in a row."""
        super().resizeEvent(event)
        wide = min(theme.px(_WIDE_PX), max(self.viewport().width() - theme.px(_MARGIN_PX), theme.px(_TILE_PX)))
        self._holder.setFixedWidth(wide)
        self._lay_tiles(max(1, min(_COLUMNS, wide // theme.px(_TILE_PX))))

    def show_busy(self, text: str) -> None:
        """Say what is being opened."""
        self._state.setText(f"{text} …" if text else "")

    def show_recent(self, paths) -> None:
        """List the files used lately."""
        clear(self._recent)
        self._recent_title.setVisible(bool(paths))
        for path in paths[:_SHOWN]:
            link = QToolButton()
            link.setObjectName("link")
            link.setToolButtonStyle(Qt.ToolButtonStyle.ToolButtonTextOnly)
            link.setText(self.fontMetrics().elidedText(f"{path.name}   ·   {_home(path.parent)}",
                                                       Qt.TextElideMode.ElideMiddle, 590))
            link.setToolTip(plain_tip(str(path)))
            link.clicked.connect(lambda _=False, p=path: self.file_wanted.emit(p))
            self._recent.addWidget(link)


def _home(folder):
    try:
        return "~/" + str(folder.relative_to(Path.home()))
    except ValueError:
        return str(folder)


class DropHint(QLabel):
    """Covers the bench while a file is dragged over the window."""

    def __init__(self, parent):
        super().__init__(parent)
        self.setObjectName("drop")
        self.setText(self.tr("Let go to open"))
        self.setAlignment(Qt.AlignmentFlag.AlignCenter)
        self.setAttribute(Qt.WidgetAttribute.WA_TransparentForMouseEvents)
        self.hide()
