"""What a person waits for, said once it takes a moment: how far it is, and how long it may still take."""

import time

from PySide6.QtCore import QObject, QTimer, Signal

from sketchloom.app.words import told
from sketchloom.core.base.progress import seconds_left

AFTER_MS = 500
LONG_S = 8.0
"""Work that takes longer is not watched: who looks elsewhere meanwhile is told when it ended."""


class BusySign(QObject):
    """Of some lanes. ``busy``: what is said, empty for nothing; ``long_work_ended``: nobody may have looked at it."""

    busy = Signal(str)
    long_work_ended = Signal()

    def __init__(self, lanes, parent=None):
        super().__init__(parent)
        self._lanes = lanes
        self._text, self._since = "", None
        self._timer = QTimer(self, singleShot=True, interval=AFTER_MS)
        self._timer.timeout.connect(lambda: self.busy.emit(self._text))
        for lane in lanes:
            lane.started.connect(self._begin)
            lane.progressed.connect(self._note)
            lane.ended.connect(self.rest)

    @property
    def is_wanted(self) -> bool:
        """Whether something runs."""
        return any(lane.busy for lane in self._lanes)

    @property
    def _is_stopping(self):
        return any(lane.is_stopping for lane in self._lanes)

    def say_cancelling(self) -> None:
        """Say so where something is being stopped."""
        if self._is_stopping:
            self.busy.emit(self.tr("Cancelling …"))

    def _begin(self, text):
        self._text = text
        if self._since is None:
            self._since = time.monotonic()
        if not self._timer.isActive():
            self._timer.start()

    def _note(self, share, text):
        if self._is_stopping:
            return
        left = seconds_left(time.monotonic() - (self._since or time.monotonic()), share)
        self._text = self.tr("{0} · {1} %").format(told(text), round(100 * share)) if left is None else self.tr(
            "{0} · {1} % · about {2} s").format(told(text), round(100 * share), left)
        if not self._timer.isActive():
            self.busy.emit(self._text)

    def rest(self) -> None:
        """Something ended: nothing is said where it was the last."""
        if not self.is_wanted:
            self._timer.stop()
            took = 0.0 if self._since is None else time.monotonic() - self._since
            self._since = None
            self.busy.emit("")
            if took > LONG_S:
                self.long_work_ended.emit()
