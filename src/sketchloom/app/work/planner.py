"""Plans of what goes into the machine, made beside the window: the first at once, better ones while there is time."""

import logging

from PySide6.QtCore import QObject, Signal

from sketchloom.app.work.jobs import Lane
from sketchloom.core.base.progress import watched
from sketchloom.evaluate.planning import plans_of
from sketchloom.files import user_data

_CALM_S = 0.15
_log = logging.getLogger(__name__)


class Planner(QObject):
    """A thread that plans the latest work. ``planned``: of a work, a plan, and whether it is the last."""

    planned = Signal(object, object, bool)
    failed = Signal(object, str)
    ended = Signal()

    def __init__(self, cache, parent=None):
        super().__init__(parent)
        self.lane = Lane("planning")
        self._cache = cache

    def request(self, work, others=()) -> None:
        """Plan a work, with others on the same sheets; what was planned before is dropped."""
        self.lane.run("", lambda progress: self._plan(progress, work, tuple(others)), self._finished,
                      lambda why: self.failed.emit(work, why), self.ended.emit)

    def stop(self) -> None:
        """Be content with the best so far."""
        self.lane.cancel()

    def forget(self) -> None:
        self.lane.forget()

    def _plan(self, progress, work, others):
        progress.pause(_CALM_S)  # a field that is still typed into gives a newer work soon
        last = None
        with watched(progress):
            for last in plans_of((work, *others), prices=user_data.prices(), cache=self._cache):
                progress.step(0, 1, "")
                self.planned.emit(work, last, False)
        return work, last

    def _finished(self, answer):
        work, last = answer
        if last is not None:
            self.planned.emit(work, last, True)
        self.ended.emit()
