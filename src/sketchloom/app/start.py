"""Starts the application."""

import gc
import logging
import os
import signal
import sys
import threading
import time
from pathlib import Path

from PySide6.QtCore import QTimer
from PySide6.QtWidgets import QApplication

from sketchloom.app import actions, languages, manners, theme
from sketchloom.app.mishaps import MISHAPS
from sketchloom.app.window import Window
from sketchloom.app.work import disk
from sketchloom.files import user_data
from sketchloom.files.demo_works import put_demo_projects
from sketchloom.files.writing import sweep

FIRST_DEMO = "lighthouse"
_TURN_S = 0.001


def application() -> QApplication:
    """The one application object, with its look and language."""
    app = QApplication.instance() or QApplication(sys.argv[:1])
    # the window must not wait the usual 5 ms for its turn beside the thread that traces
    sys.setswitchinterval(_TURN_S)
    app.setApplicationName("Sketch Loom")
    app.setOrganizationName("sketch-loom")
    app.setDesktopFileName("sketch-loom")
    actions.load_keys()
    manners.install(app)
    theme.apply(app)
    app.styleHints().colorSchemeChanged.connect(lambda _: theme.follow(app))
    MISHAPS.install()
    languages.install(app)
    if app.property("kept") is None:
        # what is loaded by now stays: to look through it for waste again and again takes a tenth of a second
        gc.freeze()
        app.setProperty("kept", True)
    return app


def run(files, demo: bool = False) -> int:
    """Open a window on each file, or one on the demo; returns when the last is closed."""
    logging.basicConfig(level=logging.WARNING, format="%(name)s: %(message)s")
    app = application()
    # Ctrl+C in the terminal closes as the window's button does; the timer lets Python see it
    signal.signal(signal.SIGINT, lambda *_: QTimer.singleShot(0, app.closeAllWindows))
    heartbeat = QTimer(interval=250)
    heartbeat.timeout.connect(lambda: None)
    heartbeat.start()
    for path in sweep(time.time()):
        logging.getLogger(__name__).warning("%s was being written when the program was ended; it is whole now", path)
    windows = [Window() for _ in files] or [Window()]
    for window in windows:
        window.show()
    windows[0].opening.offer_recovery()
    for window, path in zip(windows, files, strict=False):
        window.session.open_path(Path(path).resolve() if Path(path).exists() else path)
    if demo:
        windows[0].session.open_path(put_demo_projects(user_data.data_folder() / "demo")[FIRST_DEMO])
    code = app.exec()
    disk.finish()
    if any(thread.is_alive() and thread is not threading.current_thread() for thread in threading.enumerate()):
        # what still computes would be torn down within native code, which ends in an abort; nothing of it is wanted
        logging.shutdown()
        sys.stdout.flush()
        os._exit(code)
    return code


def screenshots(folder: Path | None) -> int:
    """Redraw the pictures of the main views from the demo works."""
    from sketchloom.app.screenshots import take_all

    os.environ.setdefault(theme.FONT_VARIABLE, str(theme.USUAL_PT))  # the same on every machine
    return take_all(folder)
