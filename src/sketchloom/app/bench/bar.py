"""The bar above the bench: history, zoom, and how the work is shown."""

from PySide6.QtCore import QSize
from PySide6.QtWidgets import QFrame, QHBoxLayout, QLabel, QToolButton

from sketchloom.app import theme

_LESS_NEEDED = ("ground", "grid", "true_size", "redo", "variants", "difference", "fit", "undo")
"""Buttons that go first where there is no room for all; the menus have them."""
_LEAST_WIDTH = 240


class BenchBar(QFrame):
    """Buttons for the actions of the window, and the zoom in figures."""

    def __init__(self, actions: dict):
        super().__init__()
        self.setObjectName("benchbar")
        self._parts: dict[str, QToolButton] = {}
        row = QHBoxLayout(self)
        row.setContentsMargins(8, 4, 8, 4)
        row.setSpacing(4)
        for name in ("undo", "redo", None, "zoom_out", "zoom", "zoom_in", "fit", "true_size", None,
                     "curtain", "difference", "variants", "grid", "ground"):
            if name is None:
                row.addSpacing(14)
            elif name == "zoom":
                self._zoom = QLabel("100 %")
                self._zoom.setFixedWidth(theme.px(66))
                self._zoom.setAlignment(theme.CENTRE)
                self._zoom.setToolTip(self.tr("100 % is true size"))
                row.addWidget(self._zoom)
            else:
                part = QToolButton()
                part.setDefaultAction(actions[name])
                part.setFixedSize(theme.size(34, 32))
                part.setAccessibleName(actions[name].iconText())
                self._parts[name] = part
                row.addWidget(part)
        row.addStretch(1)
        self._row = row

    def minimumSizeHint(self):
        """Narrower than all its buttons: those that a menu has, too, make room."""
        return QSize(theme.px(_LEAST_WIDTH), super().minimumSizeHint().height())

    def resizeEvent(self, event):
        super().resizeEvent(event)
        for name in _LESS_NEEDED:
            self._parts[name].setVisible(True)
        for name in _LESS_NEEDED:
            self._row.invalidate()
            if self._row.minimumSize().width() <= self.width():
                break
            self._parts[name].setVisible(False)

    def show_zoom(self, share: float) -> None:
        self._zoom.setText(f"{share:.0%}".replace("%", " %") if share >= 0.1 else f"{share:.1%}".replace("%", " %"))
