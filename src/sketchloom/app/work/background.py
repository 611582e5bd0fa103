"""Work away from the window that ends with one answer: opening and writing files."""

import logging
import threading

from PySide6.QtCore import QObject, Signal

from sketchloom.core.base.errors import AppError

_log = logging.getLogger(__name__)


class Background(QObject):
    """Runs one function at a time; an answer that nobody waits for any more is dropped."""

    started = Signal(str)
    ended = Signal()
    _answered = Signal(int, object, object)

    def __init__(self, parent=None):
        super().__init__(parent)
        self._number = 0
        self._then = {}
        self._threads: list[threading.Thread] = []
        self._answered.connect(self._deliver)

    @property
    def busy(self) -> bool:
        return bool(self._then)

    def run(self, text: str, work, then, trouble) -> None:
        """Call ``work()`` elsewhere, then ``then(result)`` or ``trouble(sentence)`` here."""
        self._number += 1
        number = self._number
        self._then = {number: (then, trouble)}
        self._threads = [t for t in self._threads if t.is_alive()]
        thread = threading.Thread(target=self._work, args=(number, work), name="background", daemon=True)
        self._threads.append(thread)
        self.started.emit(text)
        thread.start()

    def forget(self) -> None:
        """Drop the answer that is awaited."""
        if self._then:
            self._then = {}
            self.ended.emit()

    def close(self) -> None:
        """Wait for what runs; its answer is dropped."""
        self._then = {}
        for thread in self._threads:
            thread.join(30)

    def _work(self, number, work):
        try:
            self._answered.emit(number, work(), None)
        except AppError as error:
            self._answered.emit(number, None, str(error))
        except MemoryError:
            self._answered.emit(number, None, self.tr("There is not enough memory for this. Use a smaller picture."))
        except Exception:
            _log.exception("background work failed")
            self._answered.emit(number, None, self.tr("Something went wrong inside the program; nothing was changed."))

    def _deliver(self, number, result, trouble_text):
        waiting = self._then.pop(number, None)
        if waiting is None:
            return
        then, trouble = waiting
        if not self._then:
            self.ended.emit()
        if trouble_text is None:
            then(result)
        else:
            trouble(trouble_text)
