"""All work beside the window: jobs with an order, progress and a real cancel, each kind in a lane of its own."""

import logging
import threading
import time
from collections import deque
from collections.abc import Callable
from dataclasses import dataclass, field
from typing import Any

from PySide6.QtCore import QObject, Signal

from sketchloom.core.base.errors import AppError, Cancelled
from sketchloom.core.base.progress import watched
from sketchloom.core.base.said import said

_REPORTS_A_SECOND = 20.0
CLOSING_S = 0.4
"""A window that closes waits no longer than this for what runs; what is still running then writes nothing any more."""
NO_MEMORY = said("There is not enough memory for this. Use a smaller picture.")
INSIDE = said(
    "Something went wrong inside the program; the work itself is safe. Undo the last change and try another setting."
)
_log = logging.getLogger(__name__)


@dataclass(eq=False)
class Job:
    """Work wanted: ``text`` says what it is, ``work(progress)`` does it elsewhere, then one of the others is called
    here.

    ``trouble(sentence)`` when it could not be done, ``stopped()`` when it was cancelled and has ended. A job that a
    newer one has overtaken answers nothing.
    """

    text: str
    work: Callable[[Any], Any]
    then: Callable[[Any], None]
    trouble: Callable[[str], None]
    stopped: Callable[[], None]
    is_overtaken: bool = False
    is_cancelled: bool = False
    said_last: float = field(default=0.0)


class Lane(QObject):
    """Jobs of one kind, one after the other on a thread of their own.

    ``newest_wins``: a new job stops what runs and takes the place of what waits; else they queue up.
    """

    started = Signal(str)
    progressed = Signal(float, str)
    ended = Signal()
    _answered = Signal(object, str, object)

    def __init__(self, name: str, newest_wins: bool = True):
        super().__init__()  # no parent: the thread may outlive a window that closes
        self._name, self._newest_wins = name, newest_wins
        self._condition = threading.Condition()
        self._waiting: deque[Job] = deque()
        self._running: Job | None = None
        self._awaited: list[Job] = []  # jobs whose answer is wanted; the window's thread alone changes it
        self._is_closed = False
        self._thread: threading.Thread | None = None
        self._answered.connect(self._deliver)

    @property
    def busy(self) -> bool:
        """Whether an answer is awaited."""
        return bool(self._awaited)

    @property
    def is_stopping(self) -> bool:
        """Whether what runs was cancelled and has not ended yet."""
        return any(job.is_cancelled for job in self._awaited)

    def run(self, text: str, work, then, trouble, stopped=lambda: None) -> None:
        """Do ``work(progress)`` elsewhere, then call ``then(result)``, ``trouble(sentence)`` or ``stopped()`` here."""
        job = Job(text, work, then, trouble, stopped)
        with self._condition:
            if self._newest_wins:
                self._overtake()
            self._waiting.append(job)
            if self._thread is None:
                self._thread = threading.Thread(target=self._loop, name=f"lane {self._name}", daemon=True)
                self._thread.start()
            self._condition.notify()
        self._awaited.append(job)
        self.started.emit(text)

    def cancel(self) -> None:
        """Stop what runs at its next step and forget what waits; ``stopped`` is called when it has."""
        with self._condition:
            dropped = [*self._waiting]
            self._waiting.clear()
            if self._running is not None:
                self._running.is_cancelled = True
        for job in dropped:
            self._answer_to(job, "stopped", None)

    def forget(self) -> None:
        """Stop what runs, and want no answer to it."""
        with self._condition:
            self._overtake()
        self.ended.emit()

    def _overtake(self):
        """Drop what runs and what waits."""
        self._waiting.clear()
        for job in self._awaited:
            job.is_overtaken = True
        self._awaited.clear()

    def close(self) -> None:
        """End; waits for what runs no longer than a moment."""
        close_all((self,))

    def _loop(self):
        while True:
            with self._condition:
                while not self._waiting and not self._is_closed:
                    self._condition.wait()
                if self._is_closed:
                    return
                job = self._running = self._waiting.popleft()
            kind, answer = self._outcome(job)
            with self._condition:
                self._running = None
                if self._is_closed:
                    return
            self._answered.emit(job, kind, answer)

    def _outcome(self, job):
        progress = _JobProgress(self, job)
        try:
            with watched(progress):
                return "then", job.work(progress)
        except Cancelled:
            return "stopped", None
        except AppError as error:
            return "trouble", error.message
        except MemoryError:
            return "trouble", NO_MEMORY
        except Exception:
            if not self._is_closed:  # else the window it would have answered is gone
                _log.exception("%s failed", self._name)
            return "trouble", INSIDE

    def _deliver(self, job, kind, answer):
        if not (job.is_overtaken or self._is_closed):
            self._answer_to(job, kind, answer)

    def _answer_to(self, job, kind, answer):
        self._awaited.remove(job)
        if not self._awaited:
            self.ended.emit()
        if kind == "then":
            job.then(answer)
        elif kind == "trouble":
            job.trouble(answer)
        else:
            job.stopped()

    def _end(self):
        with self._condition:
            self._is_closed = True
            self._overtake()
            self._condition.notify()

    def _join(self, until):
        if self._thread is not None:
            self._thread.join(max(until - time.monotonic(), 0.0))


class _JobProgress:
    """Progress of a job: ends it when it is not wanted any more, and reports so often that a person can follow."""

    def __init__(self, lane, job):
        self.lane, self.job = lane, job

    def step(self, done: float, total: float, label: str) -> None:
        job = self.job
        if job.is_overtaken or job.is_cancelled:
            raise Cancelled(said("Stopped."))
        now = time.monotonic()
        # without a word it is a kernel that breathes: there is nothing new to tell
        if label and now - job.said_last >= 1 / _REPORTS_A_SECOND:
            job.said_last = now
            self.lane.progressed.emit(done / total if total else 0.0, label)

    def pause(self, seconds: float) -> None:
        """Wait, unless the job is not wanted any more."""
        until = time.monotonic() + seconds
        while (left := until - time.monotonic()) > 0:
            self.step(0, 1, "")
            time.sleep(min(left, 0.02))


def close_all(lanes) -> None:
    """End lanes together, within one moment."""
    until = time.monotonic() + CLOSING_S
    for lane in lanes:
        lane._end()
    for lane in lanes:
        lane._join(until)
