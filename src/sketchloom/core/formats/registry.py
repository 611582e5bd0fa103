"""The formats that drawings are written in: every module of this folder that has a ``FORMAT``.

A new format is one new module here.
"""

import pkgutil
from collections.abc import Callable
from dataclasses import dataclass
from functools import lru_cache
from importlib import import_module
from pathlib import Path

from sketchloom.core.base.errors import ExportError
from sketchloom.core.base.said import said

AREAS, LINES, LAYERS, COLOURS = HOLDS = ("areas", "lines", "layers", "colours")


@dataclass(frozen=True, slots=True)
class Format:
    """A file format. ``key`` names it in scripts; ``suffix`` of its files; ``label`` for people; ``holds`` what of a
    drawing it keeps; ``write`` gives the bytes of a drawing, the same for the same drawing and the same ``Handing``."""

    key: str
    suffix: str
    label: str
    holds: frozenset[str]
    write: Callable[..., bytes]


@lru_cache(maxsize=1)
def formats() -> dict[str, Format]:
    """Every format by its key."""
    folder = import_module(__package__ or "")
    modules = (import_module(f"{folder.__name__}.{m.name}") for m in pkgutil.iter_modules(folder.__path__))
    found = [m.FORMAT for m in modules if hasattr(m, "FORMAT")]
    return {one.key: one for one in sorted(found, key=lambda f: f.key)}


def format_of(path, key: str | None = None) -> Format:
    """The format asked for, else the one that a file's suffix says.

    Raises
    ------
    ExportError : there is none with that suffix; the message lists those there are.
    """
    known = formats()
    if key is not None:
        return known[key]
    suffix = Path(path).suffix.lower()
    for one in known.values():
        if one.suffix == suffix:
            return one
    listed = ", ".join(f.suffix for f in known.values())
    raise ExportError(
        path, said("not written: its suffix is none that this program writes ({suffixes}).", suffixes=listed)
    )
