"""Errors that nothing caught: told in a sentence, written to a log with the recipe, and the work goes on."""

import json
import logging
import sys
import threading
import time
import traceback

from PySide6.QtCore import QObject, Signal

from sketchloom import __version__
from sketchloom.core.base.plain import encoded
from sketchloom.files.writing import data_folder
from sketchloom.recipe.document import to_json

LOG = "errors.log"
_MOST_LOG_BYTES = 2 * 2**20
"""A longer log begins anew: the last errors matter, and a loop of them must not fill a disk."""
_FEW_S = 1.0
"""Of errors that come faster, as at every move of the mouse, one a second is told and written."""
_log = logging.getLogger(__name__)


class Mishaps(QObject):
    """Takes the place of Python's own hooks. ``happened`` says where the log is, empty when none could be written."""

    happened = Signal(str)

    def __init__(self, parent=None):
        super().__init__(parent)
        self.recipes = {}  # by window: what gives the recipe that is open there
        self._last_s = 0.0

    def install(self) -> None:
        sys.excepthook = self.take
        threading.excepthook = lambda args: self.take(args.exc_type, args.exc_value, args.exc_traceback)

    def take(self, kind, error, trace) -> None:
        """One error that reached the end."""
        if issubclass(kind, KeyboardInterrupt):
            sys.__excepthook__(kind, error, trace)
            return
        _log.error("uncaught", exc_info=(kind, error, trace))
        if time.monotonic() - self._last_s < _FEW_S:
            return
        self._last_s = time.monotonic()
        self.happened.emit(self._written("".join(traceback.format_exception(kind, error, trace))))

    def _written(self, text) -> str:
        """The path of the log; empty when it could not be written, for this must not fail itself."""
        try:
            path = data_folder() / LOG
            fresh = path.exists() and path.stat().st_size > _MOST_LOG_BYTES
            with path.open("wb" if fresh else "ab") as file:
                file.write(encoded(f"{time.strftime('%Y-%m-%d %H:%M:%S')}  Sketch Loom {__version__}\n{text}"))
                for recipe in [give() for give in list(self.recipes.values())]:
                    if recipe is not None:
                        file.write(encoded(f"recipe {json.dumps(to_json(recipe))}\n"))
                file.write(b"\n")
            return str(path)
        except Exception as error:
            _log.info("no log: %s", error)
            return ""


MISHAPS = Mishaps()
