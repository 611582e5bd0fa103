"""Writing for the user: whole files, all or none, and what was cut off is ended at the next start."""

from dataclasses import replace
from pathlib import Path

from platformdirs import user_data_path

from sketchloom.core.base.progress import QUIET
from sketchloom.core.formats import atomic
from sketchloom.core.formats.atomic import PART, PLAIN, Care

_JOURNALS = "writing"
_OLD_S = 3600.0
"""A part in the data folder that nothing has touched for so long belongs to a program that is gone."""


def data_folder() -> Path:
    """The user's data folder for this program, as the system has it; made when it is not there."""
    return user_data_path("sketch-loom", appauthor=False, ensure_exists=True)


def write_whole(path, data: bytes, care: Care = PLAIN) -> None:
    """As ``atomic.write_whole``, with a journal."""
    write_together([(path, lambda: data)], care)


def write_together(files, care: Care = PLAIN, *, progress=QUIET) -> list[Path]:
    """As ``atomic.write_together``, with a journal."""
    return atomic.write_together(files, replace(care, journals=_journals()), progress=progress)


def sweep(now_s: float) -> list[Path]:
    """End what was cut off in an earlier run; returns the files that were put in their places."""
    folder = user_data_path("sketch-loom", appauthor=False) / _JOURNALS
    done = atomic.sweep(folder)
    for part in folder.parent.rglob(f".*{PART}"):
        try:
            if now_s - part.stat().st_mtime > _OLD_S:
                part.unlink()
        except OSError:
            continue
    return done


def _journals() -> Path | None:
    """Where journals lie; None where there is no data folder to write in."""
    try:
        return data_folder() / _JOURNALS
    except OSError:
        return None
