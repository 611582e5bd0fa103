"""Words on the command line."""

import gc
import sys
from contextlib import contextmanager
from importlib import import_module
from pathlib import Path

from sketchloom import __version__
from sketchloom.command.exits import DONE, WRONG_WORDS, complain

_ABOUT = """Pictures in, clean layered cut files out.

  loom [FILE ...]               open pictures or projects in the window
  loom demo                     start with the demo projects
  loom trace INPUT ... --out OUT.svg
  loom sheets WORK ... --out-dir DIR
  loom batch FOLDER --recipe R.json --out-dir DIR
  loom send FILE.plt --to ADDRESS, loom stand-in hpgl
  loom check FILE ...           read cut files back: sizes, layers, double cuts, open paths
  loom log jobs|tests|stock     what the logbook keeps; loom log next FAMILY MATERIAL for the next test cut
  loom desktop install          into the desktop's menus; loom desktop remove takes it out
  loom screenshots              redraw docs/screenshots from the demo projects
  loom test, loom bench         from a checkout only
"""


_COMMANDS = {"trace": "trace", "sheets": "sheets", "check": "check", "batch": "batch", "send": "send",
             "stand-in": "send:run_stand_in", "desktop": "desktop", "log": "log", "thumbnail": "desktop:run_thumbnail"}
"""Modules by the words that they do, with the function where it is not ``run``."""


def main(words=None) -> int:
    """Run the command; returns the exit code."""
    words = list(sys.argv[1:] if words is None else words)
    if words[:1] and words[0] in _COMMANDS:
        module, _, name = _COMMANDS[words[0]].partition(":")
        with _loading():
            loaded = import_module(f"sketchloom.command.{module}")
        return getattr(loaded, name or "run")(words[1:])
    if words[:1] in (["-h"], ["--help"]):
        sys.stdout.write(_ABOUT)
        return DONE
    if words[:1] == ["--version"]:
        sys.stdout.write(f"Sketch Loom {__version__}\n")
        return DONE
    unknown = [w for w in words if w.startswith("-")]
    if unknown:
        return complain(f"{unknown[0]} is not a word this command knows; loom --help lists them.", WRONG_WORDS)
    start = window_start()
    if words[:1] == ["demo"]:
        return start.run([], demo=True)
    if words[:1] == ["screenshots"]:
        return start.screenshots(Path(words[1]) if len(words) > 1 else None)
    return start.run(words)


_BEFORE_QT = "sketchloom.evaluate.pipeline"
"""What is loaded once Qt's binding is there is read by it word by word, in search of its own name: SciPy and the core,
which do not need it, come before it (a quarter of the start)."""


def window_start():
    """The module that starts the window."""
    with _loading():
        import_module(_BEFORE_QT)
        return import_module("sketchloom.app.start")


@contextmanager
def _loading():
    """Modules stay once they are loaded: nobody looks through them for what could be let go (a fifth of the start)."""
    before = len(sys.modules)
    gc.disable()
    try:
        yield
    finally:
        if len(sys.modules) > before:
            gc.freeze()
        gc.enable()
