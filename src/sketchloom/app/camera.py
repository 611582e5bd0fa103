"""A window driven by itself, and pictures taken of it."""

from dataclasses import replace
from pathlib import Path

from PySide6.QtCore import QEventLoop, QTimer

from sketchloom.app.stages.numbers import TRACE
from sketchloom.app.window import Window
from sketchloom.files.demo_works import demo

_PATIENCE_MS = 60_000


class Camera:
    """Keeps pictures in a folder; ``projects`` are files of the demo works by their keys."""

    def __init__(self, folder: Path, projects):
        self.folder, self.projects = folder, projects
        self.window = Window()
        self.window.resize(1280, 800)
        self.window.show()

    def _open(self, key):
        self.window.session.open_path(self.projects[key])
        self._until(lambda: self.window.session.document is not None
                    and self.window.session.document.picture.name == demo(key).source_name
                    and self.window.session.work is not None)

    def _set(self, **changes):
        self.window.session.change(replace(self.window.session.document.recipe, **changes), "")
        self._until(lambda: self.window.session.work is not None)

    def _stage(self, number, name, before=None):
        self.window.show_stage(number)
        if number == TRACE:
            self._until(lambda: not self.window.session.aside.lane.busy)  # the ladder and the tiles come a moment later
        if before is not None:
            before()
        self._keep(name)

    def _keep(self, name):
        self._until(self._is_done)
        self._pause()
        self._until(self._is_done)
        self.window.grab().save(str(self.folder / f"{name}.png"))

    def _is_done(self):
        """Whether nothing is still being worked out or drawn."""
        session = self.window.session
        return session.document is None or (
            session.work is not None and not session.is_busy and self.window.bench.is_sharp)

    def _pause(self, ms=150):
        loop = QEventLoop()
        QTimer.singleShot(ms, loop.quit)
        loop.exec()

    def _until(self, done):
        for _ in range(_PATIENCE_MS // 50):
            if done():
                return
            self._pause(50)
        raise TimeoutError("The demo work was not traced in time.")
