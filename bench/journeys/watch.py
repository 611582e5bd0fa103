"""A watchdog over the window's thread: how long each event took, and where the longest ones were."""

import sys
import threading
import time
import traceback

from PySide6.QtWidgets import QApplication

LONG_S = 0.1
"""Longer than this and a hand feels it (the figure of the usual guide to response times; from memory)."""
_EVERY_S = 0.02
_FRAMES, _KEPT = 6, 12


class Watched(QApplication):
    """Times what it hands out; only the outermost of nested events."""

    def __init__(self, argv=()):
        super().__init__(list(argv))
        self.began = self.longest_s = 0.0
        self.long: list[tuple[float, str]] = []
        self._depth, self._seen = 0, ("", 0.0)
        self._main = threading.get_ident()
        threading.Thread(target=self._look, daemon=True, name="watchdog").start()

    def notify(self, receiver, event):
        if self._depth:
            return super().notify(receiver, event)
        self._depth, self.began = 1, time.perf_counter()
        try:
            return super().notify(receiver, event)
        finally:
            took, began = time.perf_counter() - self.began, self.began
            self._depth, self.began = 0, 0.0
            if took > LONG_S:
                seen = self._seen[0] if self._seen[1] == began else ""
                where = f"{type(receiver).__name__} {event.type()} {seen}"
                self.long = sorted([*self.long, (took, where)], reverse=True)[:_KEPT]
            self.longest_s = max(self.longest_s, took)

    def forget(self) -> None:
        """Begin anew."""
        self.longest_s, self.long = 0.0, []

    def _look(self):
        while True:
            time.sleep(_EVERY_S)
            began = self.began
            if began and time.perf_counter() - began > LONG_S * 0.7 and self._seen[1] != began:
                frame = sys._current_frames().get(self._main)
                every = [(f.filename, f"{f.filename.rsplit('/', 1)[-1]}:{f.lineno} {f.name}")
                         for f in traceback.extract_stack(frame)]
                calls = [words for path, words in every if "/sketchloom/" in path] or [words for _, words in every]
                del frame  # it would keep what the call holds, a painter among it
                self._seen = " < ".join(reversed(calls[-_FRAMES:])), began
