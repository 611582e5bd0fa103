"""A watchdog over the window's thread: how long it went without looking for what a hand does, and where it was then.

Nothing of it runs within an event: a clock is started where the thread begins to work, and read where it waits again.
Timers run after the loop has waited and before it says that it goes on; what they take is the thread's own time of
the processor, as waiting takes none.

(To time each event from Python would take the interpreter's lock for every part that is painted, many times in one
picture, and be itself the stall where another thread works.)

On a machine that is lent by another the host takes its time back now and then; the kernel counts it ("steal" in
proc(5)). What it took meanwhile is told apart: no program can answer then.
"""

import faulthandler
import os
import re
import tempfile
import threading
import time

from PySide6.QtCore import QAbstractEventDispatcher, QEventLoop

LONG_S = 0.1
"""Longer than this and a hand feels it (the figure of the usual guide to response times; from memory)."""
_EVERY_S = 0.02
_FRAMES, _KEPT = 6, 12
_CALL = re.compile(r'File "([^"]+)", line (\d+) in (\S+)')
_IDLE = "watch.py:"
"""Where the thread is while its loop waits."""
_STOLEN = 8
"""The word of the first line of ``/proc/stat`` that counts time the host took, in ticks, all processors together."""


def _opened():
    try:
        return os.open("/proc/stat", os.O_RDONLY)
    except OSError:
        return None


_stat = _opened()


def stolen_s() -> float:
    """Seconds that the host has taken so far, 0 where the kernel tells none."""
    if _stat is None:
        return 0.0
    words = os.pread(_stat, 200, 0).split(b"\n", 1)[0].split()
    return int(words[_STOLEN]) / os.sysconf("SC_CLK_TCK") if len(words) > _STOLEN else 0.0


class Watch:
    """Times stretches of work of the thread it is made in: between two waits of its loop, of a dialog's own loop as
    well, and within what a driver sends by itself."""

    def __init__(self):
        self.longest_s = self.own_longest_s = 0.0
        self.long: list[tuple[float, str]] = []
        self._began, self._stolen, self._seen, self._waits = 0.0, 0.0, ("", 0.0), None
        self._main, self._file = threading.get_ident(), tempfile.TemporaryFile()  # noqa: SIM115  as long as the bench
        dispatcher = QAbstractEventDispatcher.instance()
        dispatcher.awake.connect(self._goes_on)
        dispatcher.aboutToBlock.connect(self._waits_now)
        threading.Thread(target=self._look, daemon=True, name="watchdog").start()

    def begin(self) -> None:
        """The thread works; what it did before without waiting is a stretch of its own."""
        self.end()
        self._waits = None
        self._began, self._stolen = time.perf_counter(), stolen_s()

    def end(self) -> None:
        """It waits again, or what drives it has the word."""
        if not self._began:
            return
        took, began, self._began = time.perf_counter() - self._began, self._began, 0.0
        own = max(took - (stolen_s() - self._stolen), 0.0)
        self._keep(took, own, self._seen[0] if self._seen[1] == began else "")

    def _waits_now(self):
        self.end()
        self._waits = time.thread_time()

    def _goes_on(self):
        if self._waits is not None:
            took, waits, self._waits = time.thread_time() - self._waits, self._waits, None
            self._keep(took, took, self._seen[0] if self._seen[1] == waits else "")
        self.begin()

    def _keep(self, took, own, where):
        if own > LONG_S:
            self.long = sorted([*self.long, (own, where)], reverse=True)[:_KEPT]
        self.longest_s, self.own_longest_s = max(self.longest_s, took), max(self.own_longest_s, own)

    def forget(self) -> None:
        """Begin anew."""
        self.longest_s, self.own_longest_s, self.long, self._began, self._waits = 0.0, 0.0, [], 0.0, None

    def over(self, module) -> None:
        """Watch over what a module sends to the window and the loops it runs."""
        module.QTest = _Timed(module.QTest, self)
        module.QEventLoop = self._loop

    def _loop(self):
        watch = self

        class Loop(QEventLoop):
            def exec(self):
                watch.begin()
                try:
                    return super().exec()
                finally:
                    watch.end()

        return Loop()

    def _look(self):
        """Beside it: where the thread is, while it works for long or does something though its loop waits."""
        while True:
            time.sleep(_EVERY_S)
            began, waits = self._began, self._waits
            if began and time.perf_counter() - began > LONG_S * 0.7 and self._seen[1] != began:
                self._seen = self._calls(), began
            elif waits is not None:
                calls = self._calls()
                if not calls.startswith(_IDLE):
                    self._seen = calls, waits

    def _calls(self):
        """Told from below: to walk the frames of a thread that runs from another one has ended the program."""
        self._file.seek(0)
        self._file.truncate()
        faulthandler.dump_traceback(self._file, all_threads=True)
        self._file.seek(0)
        mine = next((part for part in self._file.read().decode(errors="replace").split("\n\n")
                     if f"{self._main:016x}" in part.split("\n", 1)[0]), "")
        every = [(path, f"{path.rsplit('/', 1)[-1]}:{line} {name}") for path, line, name in _CALL.findall(mine)]
        calls = [words for path, words in every if "/sketchloom/" in path] or [words for _, words in every]
        return " < ".join(calls[:_FRAMES])


class _Timed:
    """What sends clicks and keys, each a stretch of work."""

    def __init__(self, sender, watch):
        self._sender, self._watch = sender, watch

    def __getattr__(self, name):
        sends = getattr(self._sender, name)

        def timed(*args, **named):
            self._watch.begin()
            try:
                return sends(*args, **named)
            finally:
                self._watch.end()
        return timed
