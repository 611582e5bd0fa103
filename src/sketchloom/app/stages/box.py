"""A group of settings within a panel."""

from dataclasses import replace

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QVBoxLayout, QWidget

from sketchloom.app.parts.widgets import put


class Box(QWidget):
    """Rows of settings that change one recipe. ``change``: the new recipe, what it does, its gesture."""

    change = Signal(object, str, str)

    def __init__(self):
        super().__init__()
        self.recipe = self.work = None
        self._column = QVBoxLayout(self)
        self._column.setContentsMargins(0, 0, 0, 0)
        self._column.setSpacing(8)

    def add(self, *parts) -> None:
        """Widgets below each other; a tuple stands side by side."""
        put(self._column, parts, 6)

    def show_work(self, work) -> None:
        """Bring all parts up to date with a result."""
        self.work, self.recipe = work, work.recipe

    def emit(self, what: str, gesture: str = "", **changes) -> None:
        """Change the recipe as it is now in the document, which may be ahead of the result shown."""
        if self.recipe is not None:
            self.change.emit(replace(self.recipe, **changes), what, gesture)
