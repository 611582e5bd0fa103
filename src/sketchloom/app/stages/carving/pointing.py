"""Buttons by which something on the blank is pointed at: one of them is down at a time."""

from collections.abc import Callable

from PySide6.QtCore import QObject, Signal

from sketchloom.app.parts.widgets import button


class Pointing(QObject):
    """``changed``: whether a click on the blank says what is meant."""

    changed = Signal(bool)

    def __init__(self, parent=None):
        super().__init__(parent)
        self._takes: dict = {}

    def button(self, text: str, tip: str, take: Callable):
        """A button; while it is down, ``take(target)`` is told what was pointed at."""
        one = button(text, "target", tip, checkable=True)
        one.toggled.connect(lambda on: self._toggled(one, on))
        self._takes[one] = take
        return one

    def _toggled(self, one, on):
        for other in self._takes:
            if on and other is not one:
                other.setChecked(False)
        self.changed.emit(self.is_on)

    @property
    def is_on(self) -> bool:
        return any(one.isChecked() for one in self._takes)

    def stop(self) -> None:
        for one in self._takes:
            one.setChecked(False)

    def take(self, target) -> None:
        """What was pointed at."""
        for one, take in self._takes.items():
            if one.isChecked():
                take(target)
