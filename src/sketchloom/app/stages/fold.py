"""A box under a heading that opens and closes."""

from PySide6.QtWidgets import QPushButton, QVBoxLayout, QWidget

from sketchloom.app import theme
from sketchloom.app.parts.widgets import label


class Fold(QWidget):
    """A box under a heading that opens and closes."""

    def __init__(self, title: str, box: QWidget, is_open: bool = False):
        super().__init__()
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.setSpacing(8)
        self.head = QPushButton(title)
        self.head.setObjectName("foldhead")
        self.head.setCheckable(True)
        self.head.toggled.connect(self._turn)
        column.addWidget(self.head)
        self._why = label("", "quiet")
        self._why.hide()
        column.addWidget(self._why)
        column.addWidget(box)
        self.box, self._applies = box, True
        self.head.setChecked(is_open)
        self._turn(is_open)

    def _turn(self, is_open):
        self.head.setIcon(theme.icon("chevron-up" if is_open else "chevron-down", theme.INK))
        self.box.setVisible(is_open and self._applies)
        self._why.setVisible(is_open and not self._applies)

    def explain(self, why: str) -> None:
        """Where the box does not apply: why, and what to change, in its place. Empty where it does."""
        self._applies = not why
        self._why.setText(why)
        self._turn(self.head.isChecked())
