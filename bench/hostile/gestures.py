"""Random gestures in the real window, by a seed: clicks, drags, keys, wheels and typing wherever they fall."""

import logging
import random
import sys
import threading
import time
import traceback
from dataclasses import dataclass, field, fields, is_dataclass
from pathlib import Path

import numpy as np
import shiboken6
from PySide6.QtCore import QEventLoop, QPoint, QPointF, Qt, QTimer
from PySide6.QtGui import QWheelEvent
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QAbstractButton, QApplication, QComboBox, QFileDialog, QLineEdit, QWidget

from sketchloom.app import start
from sketchloom.app.mishaps import MISHAPS
from sketchloom.app.window import Window
from sketchloom.app.work import jobs
from sketchloom.files.demo_works import DEMOS
from sketchloom.files.outgoing import Wanted

_KEYS = ("Alt+1", "Alt+2", "Alt+3", "Alt+4", "Alt+5", "Alt+6", "Ctrl+Z", "Ctrl+Shift+Z", "Ctrl+L", "+", "-", "F", "1",
         "C", "R", "B", "V", "U", "F5", "Esc", "Return", "Tab", "Shift+Tab", "Del", "Backspace", "Space", "Up", "Down",
         ".", ",", "T", "N", "PgUp", "PgDown")
_TYPED = ("0", "12", "3.5mm", "abc", "1e9", "-4", "2in", "0,4", "n" * 70, "")
_STALL_S, _LOOK_S, _FRAMES, _STALLS = 0.3, 0.03, 5, 40
"""So long without an event is a stall, told with so many innermost calls of the window's thread; so many are kept."""
_NOT_CLICKED = ("Open the folder",)
"""What starts another program."""


@dataclass(slots=True)
class Done:
    """What came of it."""

    count: int = 0
    seconds: float = 0.0
    longest_stall_s: float = 0.0
    longest_at: str = ""
    stalls: list[str] = field(default_factory=list)
    errors: list[str] = field(default_factory=list)


class _Hand:
    """Does one random thing at a time."""

    def __init__(self, window, rng):
        self.window, self.rng, self.at = window, rng, ""

    def _place(self, part):
        return QPoint(self.rng.randrange(max(part.width(), 1)), self.rng.randrange(max(part.height(), 1)))

    def _seen(self, kind, inside=None):
        return [p for p in (inside or self.window).findChildren(kind) if p.isVisible() and p.isEnabled()]

    def _view(self):
        """What is shown in the middle."""
        view = self.window.middle.currentWidget()
        return getattr(view, "canvas", view)

    def click_bench(self):
        bench = self._view()
        button = self.rng.choice((Qt.MouseButton.LeftButton,) * 4 + (Qt.MouseButton.RightButton,))
        keys = self.rng.choice((Qt.KeyboardModifier.NoModifier,) * 3 + (
            Qt.KeyboardModifier.ShiftModifier, Qt.KeyboardModifier.ControlModifier))
        (QTest.mouseDClick if self.rng.random() < 0.1 else QTest.mouseClick)(bench, button, keys, self._place(bench))

    def drag_bench(self):
        bench, left = self._view(), Qt.MouseButton.LeftButton
        QTest.mousePress(bench, left, pos=self._place(bench))
        for _ in range(self.rng.randrange(1, 6)):
            QTest.mouseMove(bench, self._place(bench))
        QTest.mouseRelease(bench, left, pos=self._place(bench))

    def click_button(self):
        buttons = [b for b in self._seen(QAbstractButton) if b.text() not in _NOT_CLICKED]
        if buttons:
            button = self.rng.choice(buttons)
            self.at = button.text() or button.toolTip() or button.accessibleName()
            QTest.mouseClick(button, Qt.MouseButton.LeftButton)

    def key(self):
        at = self.rng.choice((self.window, QApplication.focusWidget() or self.window))
        QTest.keySequence(at, self.rng.choice(_KEYS))

    def type(self):
        fields = self._seen(QLineEdit)
        if fields:
            field_ = self.rng.choice(fields)
            field_.setFocus()
            field_.selectAll()
            ending = self.rng.choice((Qt.Key.Key_Return, Qt.Key.Key_Escape, Qt.Key.Key_Tab))
            for key in (*self.rng.choice(_TYPED), ending):
                # letter by letter: one that takes its own field away is a fault, and the next would fall into memory
                # that is gone
                if not shiboken6.isValid(field_):
                    raise RuntimeError("the field went away while it was typed into")
                QTest.keyClick(field_, key)

    def choose(self):
        boxes = self._seen(QComboBox)
        if boxes:
            box = self.rng.choice(boxes)
            if box.count():
                box.setCurrentIndex(self.rng.randrange(box.count()))
                box.activated.emit(box.currentIndex())

    def wheel(self):
        part = self.rng.choice(self._seen(QWidget))
        at = QPointF(self._place(part))
        QApplication.sendEvent(part, QWheelEvent(
            at, QPointF(part.mapToGlobal(at.toPoint())), QPoint(), QPoint(0, self.rng.choice((-360, -120, 120, 360))),
            Qt.MouseButton.NoButton, Qt.KeyboardModifier.NoModifier, Qt.ScrollPhase.NoScrollPhase, False))

    def open(self):
        self.window.opening.open_demo(self.rng.choice(DEMOS).key)

    def write(self):
        split, form = self.rng.choice(("layer", "piece", "design")), self.rng.choice(("svg", "dxf", "hpgl", "gcode"))
        self.window.session.leaving.write(self.folder, Wanted(form, split, True, True))

    def look(self):
        split, form = self.rng.choice(("one", "sheet")), self.rng.choice(
            ("svg", "dxf", "hpgl", "gcode", "pdf", "png", "approval", "stickers"))
        self.window.session.leaving.rehearse(Wanted(form, split))

    def save(self):
        self.window.session.save(self.folder / "a.sloom")

    folder = Path()


_SHARES = (("click_bench", 8), ("drag_bench", 5), ("click_button", 12), ("key", 8), ("type", 4), ("choose", 3),
           ("wheel", 4), ("open", 0.25), ("write", 0.4), ("look", 0.3), ("save", 0.4))


def run(seconds: float, seed: int = 1, folder: Path | None = None) -> Done:
    """Gestures for a while; windows of the system that would wait for an answer answer nothing."""
    import tempfile

    with tempfile.TemporaryDirectory() as made:
        return _run(seconds, random.Random(seed), folder or Path(made))


def _run(seconds, rng, folder):
    start.application()
    done, last = Done(), [time.perf_counter(), "start"]
    for name, answer in (("getOpenFileName", ("", "")), ("getSaveFileName", ("", "")), ("getOpenFileNames", ([], "")),
                         ("getExistingDirectory", "")):
        setattr(QFileDialog, name, staticmethod(lambda *a, _answer=answer, **k: _answer))
    MISHAPS._last_s = 0.0
    happened = []
    MISHAPS.happened.connect(happened.append)
    hand = _Hand(Window(), rng)
    hand.folder = folder
    window = hand.window
    window.resize(1280, 800)
    window.show()
    window.opening.open_demo(DEMOS[0].key)

    def tick():
        now = time.perf_counter()
        if now - last[0] > done.longest_stall_s:
            done.longest_stall_s, done.longest_at = now - last[0], f"{last[1]} {hand.at}".strip()
        last[0] = now
    timer = QTimer()
    timer.timeout.connect(tick)
    last[0] = time.perf_counter()  # building the window is no stall
    timer.start(5)
    watch = _watch(last, hand, done)
    failed = _Failed(done)
    logging.getLogger(jobs.__name__).addHandler(failed)
    names, weights = zip(*_SHARES, strict=True)
    began, seen = time.perf_counter(), None
    while time.perf_counter() - began < seconds:
        what = rng.choices(names, weights)[0]
        last[1], hand.at = f"{what}, gesture {done.count}", ""
        # what waits for an answer of its own is closed by the next gesture
        QTimer.singleShot(400, _close_dialogs)
        try:
            getattr(hand, what)()
        except Exception as error:
            done.errors.append(f"gesture {done.count} ({what}): {type(error).__name__}: {error}")
        _turn(rng.choice((1, 5, 30, 120)))
        done.count += 1
        document = window.session.document
        if document is not None and document.recipe is not seen:
            seen = document.recipe
            done.errors += [f"gesture {done.count} ({what}): {place} is no plain figure" for place in of_arrays(seen)]
        if happened:
            done.errors += [f"gesture {done.count} ({what}): see {path}" for path in happened]
            happened.clear()
    done.seconds = time.perf_counter() - began
    timer.stop()
    watch.set()
    logging.getLogger(jobs.__name__).removeHandler(failed)
    MISHAPS.happened.disconnect(happened.append)
    if window.session.document is not None:
        window.session.document.drop_recovery().result()
    for one in QApplication.topLevelWidgets():
        one.close()
    window.deleteLater()
    _turn(20)
    return done


class _Failed(logging.Handler):
    """Notes work beside the window that ended in an error which is not its own: it is told, and logged, yet no error
    of the window's."""

    def __init__(self, done):
        super().__init__(logging.ERROR)
        self._done = done

    def emit(self, record):
        self._done.errors.append(f"gesture {self._done.count}: {record.getMessage()}: {record.exc_info[1]!r}")


def _watch(last, hand, done):
    """Notes what the window's thread does while it answers nothing; set what is returned to end it."""
    over, main, told = threading.Event(), threading.main_thread().ident, [0.0]

    def look():
        while not over.wait(_LOOK_S):
            began, late = last[0], time.perf_counter() - last[0]
            if late > _STALL_S and began != told[0] and len(done.stalls) < _STALLS:
                told[0] = began
                frames = sys._current_frames()
                # what runs beside it may hold Python's lock
                beside = [f"{one.name}: {_calls(frames[one.ident], 2)}" for one in threading.enumerate()
                          if one.ident in frames and one.ident not in (main, threading.get_ident())]
                done.stalls.append(f"{last[1]} {hand.at}".strip() + ": " + _calls(frames[main], _FRAMES)
                                   + "".join(f"; {text}" for text in beside if "wait" not in text))
    threading.Thread(target=look, daemon=True, name="stalls").start()
    return over


def _calls(frame, count):
    """The innermost calls of a thread."""
    return " < ".join(f"{Path(c.filename).name}:{c.lineno} {c.name}"
                      for c in reversed(traceback.extract_stack(frame)[-count:]))


def of_arrays(one, place="recipe"):
    """Places of frozen data that hold a figure of an array's kind instead of a number."""
    if isinstance(one, np.generic):
        return [f"{place} = {one!r}"]
    if is_dataclass(one):
        return [at for f in fields(one) for at in of_arrays(getattr(one, f.name), f"{place}.{f.name}")]
    if isinstance(one, (tuple, list)):
        return [at for i, part in enumerate(one) for at in of_arrays(part, f"{place}[{i}]")]
    return [at for k, v in one.items() for at in of_arrays(v, f"{place}.{k}")] if isinstance(one, dict) else []


def _turn(ms):
    loop = QEventLoop()
    QTimer.singleShot(ms, loop.quit)
    loop.exec()


def _close_dialogs():
    for part in (QApplication.activeModalWidget(), QApplication.activePopupWidget()):
        if part is not None:
            part.close()
