"""Writing files whole or not at all, also several that belong together."""

import os
import secrets
from collections.abc import Callable, Iterable
from pathlib import Path

from sketchloom.core.base.errors import ExportError
from sketchloom.core.base.progress import QUIET
from sketchloom.core.base.said import said

PART = ".part"
_ANY_FILE = 0o666
"""Permissions of a new file before the system takes away what the user's mask says."""


def write_whole(path, data: bytes) -> None:
    """Write beside the target, then rename over it.

    Raises
    ------
    ExportError : the folder is missing, the target is a folder, there is no room or no
        permission. Whatever stood at ``path`` before is then untouched.
    """
    write_together([(path, lambda: data)])


def write_together(files: Iterable[tuple[Path | str, Callable[[], bytes]]], *, progress=QUIET) -> list[Path]:
    """Write files that belong together: all of them, or none.

    Parameters
    ----------
    files : each path with what makes its bytes, called when its turn comes.

    Raises
    ------
    ExportError : as of ``write_whole``; Cancelled : the caller asked to stop between two files. What stood at any
    of the paths before is then untouched, and nothing new is there.
    """
    asked = [(Path(path), make) for path, make in files]
    parts: list[tuple[Path, Path]] = []
    try:
        for number, (path, make) in enumerate(asked):
            progress.step(number, len(asked), said("Writing"))
            refuse_target(path)
            parts.append((_part(path, make()), path))
        progress.step(len(asked), len(asked), said("Writing"))
    except BaseException:
        for part, _ in parts:
            part.unlink(missing_ok=True)
        raise
    for part, path in parts:
        try:
            part.replace(path)
        except OSError as error:
            for left, _ in parts:
                left.unlink(missing_ok=True)
            raise _unwritten(path, error) from None
    return [path for _, path in parts]


def refuse_target(path: Path) -> None:
    """Raise ExportError when a path cannot be a file's."""
    if path.is_dir():
        raise ExportError(path, said("is a folder; give the name of a file in it."))
    if path.exists() and not path.is_file():
        raise ExportError(path, said("is a device, not a file; give the name of a file."))
    if not path.parent.is_dir():
        raise ExportError(path, said("the folder {folder} does not exist.", folder=str(path.parent)))


def _part(path, data) -> Path:
    """The bytes in a file beside the target, on the disk for certain, with the permissions the target had."""
    part = path.with_name(f".{path.name[:40]}.{secrets.token_hex(6)}{PART}")
    try:
        handle = os.open(part, os.O_WRONLY | os.O_CREAT | os.O_EXCL, _ANY_FILE)
        with os.fdopen(handle, "wb") as file:
            file.write(data)
            file.flush()
            os.fsync(file.fileno())
        if path.exists():
            part.chmod(path.stat().st_mode & 0o777)
    except OSError as error:
        part.unlink(missing_ok=True)
        raise _unwritten(path, error) from None
    return part


def _unwritten(path, error):
    return ExportError(path, said("could not be written ({why}).", why=error.strerror or str(error)))
