"""The room that the window and its panel take: no more than the screen has, and as it was the last time."""

from PySide6.QtCore import QSettings, Qt
from PySide6.QtGui import QGuiApplication
from PySide6.QtWidgets import QSplitter, QStackedWidget, QVBoxLayout, QWidget

from sketchloom.app import theme
from sketchloom.app.parts.next_bar import NextBar

PANEL_WIDTH, LEAST_BENCH = 356, 240
"""Width of the panel unless it is drawn wider, and of the bench at the least, of the design."""
_HANDLE_PX = 5
_SIZE, _LEAST_SIZE = (1280, 800), (980, 600)
"""The window's usual and least size in logical pixels: a small laptop at twice the scale has 1024 × 640, less what the
system's own bars take."""
_WINDOW, _PANEL = "geometry", "panel"


def take(window: QWidget) -> None:
    """As large as the window was the last time, else the usual size; never larger than the screen."""
    window.setMinimumSize(*_LEAST_SIZE)
    kept = QSettings().value(_WINDOW)
    if kept is not None and window.restoreGeometry(kept):
        return  # Qt keeps it on a screen that is there
    room = QGuiApplication.primaryScreen().availableGeometry()
    window.resize(min(_SIZE[0], room.width()), min(_SIZE[1], room.height()))


class Divided(QSplitter):
    """The bench and what belongs to it on the left, the panel on the right, which is drawn wider or folded away."""

    def __init__(self):
        super().__init__(Qt.Orientation.Horizontal)
        self.setHandleWidth(_HANDLE_PX)
        self.middle, self.panel, self.pages = QWidget(), QWidget(), QStackedWidget()
        self.panel.setObjectName("panel")
        self.panel.setAttribute(Qt.WidgetAttribute.WA_StyledBackground)
        column = QVBoxLayout(self.panel)
        column.setContentsMargins(0, 0, 0, 0)
        column.setSpacing(0)
        self.next = NextBar()
        column.addWidget(self.pages, 1)
        column.addWidget(self.next)
        for part, stretch in ((self.middle, 1), (self.panel, 0)):
            self.addWidget(part)
            self.setStretchFactor(self.indexOf(part), stretch)
        self.setCollapsible(0, False)
        self.handle(1).setToolTip(self.tr("Drag to make the panel wider; to its end, or F8, to fold it away"))
        self._was_px = 0
        self.give(theme.px(PANEL_WIDTH))

    def give(self, width: int) -> None:
        """The panel is at least so wide, unless it is folded away: words are longer in some languages, and what once
        needed the width keeps it, so that nothing jumps."""
        if width > self.panel.minimumWidth():
            self.panel.setMinimumWidth(width)

    def fold(self) -> None:
        """Fold the panel away, or bring it back as wide as it was."""
        left, right = self.sizes()
        if right:
            self._was_px = right
            self.setSizes([left + right, 0])
        else:
            self._show_panel(self._was_px)

    def recall(self) -> None:
        """As wide as it was the last time."""
        kept = str(QSettings().value(_PANEL, 0))
        self._show_panel(int(kept) if kept.isdecimal() else 0)

    def _show_panel(self, wide):
        wide = max(wide, self.panel.minimumWidth())
        self.setSizes([max(self.width() - wide, 1), wide])

    def keep(self, window: QWidget) -> None:
        """Keep the room for the next start."""
        QSettings().setValue(_WINDOW, window.saveGeometry())
        QSettings().setValue(_PANEL, self.sizes()[1] if self.panel.isVisible() else self._was_px)
