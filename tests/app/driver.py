"""Drives the real window: waits for it, clicks, types, looks up its parts."""

import time

import cv2
import numpy as np
from PySide6.QtCore import QEventLoop, QPoint, QPointF, Qt, QTimer
from PySide6.QtGui import QWheelEvent
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QAbstractButton, QApplication, QCheckBox

from sketchloom.app import start
from sketchloom.app.stages.drawer import Drawer
from sketchloom.app.stages.fold import Fold
from sketchloom.app.window import Window
from sketchloom.app.work import disk


def pause(ms: int = 1) -> None:
    """Let events be handled for a while; other threads run meanwhile, as in the real program."""
    loop = QEventLoop()
    QTimer.singleShot(ms, loop.quit)
    loop.exec()


def slowness() -> float:
    """How much slower this machine is now than the one the limits were set on, at least 1."""
    times = []
    for _ in range(3):
        began = time.perf_counter()
        picture = np.arange(1_000_000, dtype=np.uint8).reshape(1000, 1000)
        for _ in range(12):
            picture = cv2.medianBlur(picture, 5)
        sum(i * i for i in range(150_000))
        times.append(time.perf_counter() - began)
    return max(1.0, sorted(times)[1] / _USUAL_S)


_USUAL_S = 0.06
"""What the little work of ``slowness`` takes on a quiet machine of two cores."""
SLOW = slowness()


def wait(done, seconds=30.0, what="the window"):
    """Let the window work until something holds, for longer where the machine is slow."""
    end = time.monotonic() + seconds * SLOW
    while not done():
        if time.monotonic() > end:
            raise AssertionError(f"waited {seconds} s, times {SLOW:.1f}, for {what}")
        pause(10)


def written(folder, pattern="*"):
    """The files a folder holds once nothing is being written there; a pattern also finds what has no name yet."""
    there = list(folder.iterdir()) if folder.is_dir() else []
    return [] if any(p.suffix == ".part" for p in there) else sorted(p for p in there if p.match(pattern))


def grabbed(bench):
    """What the bench shows once it is sharp."""
    bench.repaint()
    wait(lambda: bench.is_sharp, what="a sharp picture")
    return bench.grab()


class Driver:
    """A window as a person has it before them."""

    def __init__(self):
        start.application()
        self.window = Window()
        self.window.resize(1280, 800)  # the screen that is not there has 800 × 800
        self.window.show()
        self.window.activateWindow()
        wait(lambda: self.window.windowHandle().isExposed())

    @property
    def session(self):
        return self.window.session

    @property
    def work(self):
        return self.session.work

    def open(self, path):
        before = self.session.document
        self.session.open_path(path)
        wait(lambda: self.session.document is not before, what=f"opening {path}")
        return self.settled()

    def settled(self):
        """The exact result of what is set now."""
        wait(lambda: self.work is not None and not self.session.is_busy, what="the exact result")
        pause(20)
        wait(lambda: self.window.bench.is_sharp, what="a sharp picture")
        return self.work

    def save(self, path=None) -> bool:
        """Save under a name, or wait for what is being saved; whether what is open is saved then."""
        if path is not None:
            self.session.save(path)
        wait(lambda: not self.session.saving.busy, what="saving")
        disk.finish()
        return self.session.document.is_saved

    @staticmethod
    def call(part):
        """Call for the box that a part of a panel lies in."""
        while part is not None:
            if isinstance(part, Drawer):
                part.call()
            part = part.parentWidget()
        pause()

    def button(self, text, inside=None) -> QAbstractButton:
        self.call(inside)
        def named():
            return [b for b in (inside or self.window).findChildren(QAbstractButton) if b.text().startswith(text)]
        def seen():
            return [b for b in named() if b.isVisible()]
        if not seen():  # it may lie in a box of the stage that is seen, which is to be called for
            for part in named():
                box = part.parentWidget()
                while box is not None and not isinstance(box, Fold):
                    box = box.parentWidget()
                if box is not None and self.window.panels[self.window.stage].isAncestorOf(box):
                    box.head.setChecked(True)
                    pause()
        wait(seen, 2.0, f"a button {text!r}")
        return seen()[0]

    def click(self, text, inside=None):
        part = self.button(text, inside)
        assert part.isEnabled(), f"{text!r} cannot be clicked"
        # a check box is clicked on its box: its words may end before the middle of its width
        place = QPoint(10, part.height() // 2) if isinstance(part, QCheckBox) else part.rect().center()
        QTest.mouseClick(part, Qt.MouseButton.LeftButton, pos=place)
        pause()

    def key(self, *keys):
        for key in keys:
            QTest.keySequence(self.window, key)
        pause()

    def type_into(self, field, text):
        field.setFocus()
        field.selectAll()
        QTest.keyClicks(field, text)
        QTest.keyClick(field, Qt.Key.Key_Return)

    def at_mm(self, x, y) -> QPoint:
        sx, sy = self.window.bench.view.to_screen(x, y)
        return QPoint(round(sx), round(sy))

    def wheel(self, at, turns):
        bench = self.window.bench
        event = QWheelEvent(
            QPointF(at),
            QPointF(bench.mapToGlobal(at)),
            QPoint(),
            QPoint(0, round(120 * turns)),
            Qt.MouseButton.NoButton,
            Qt.KeyboardModifier.NoModifier,
            Qt.ScrollPhase.NoScrollPhase,
            False,
        )
        QApplication.sendEvent(bench, event)

    def close(self):
        self.window.close()
        self.window.deleteLater()
        disk.finish()
        pause()
