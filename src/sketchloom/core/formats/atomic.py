"""Writing files whole or not at all."""

import os
import tempfile
from pathlib import Path

from sketchloom.core.base.errors import ExportError


def write_whole(path, data: bytes) -> None:
    """Write beside the target, then rename over it.

    Raises
    ------
    ExportError : the folder is missing, the target is a folder, there is no room or no
        permission. Whatever stood at ``path`` before is then untouched.
    """
    path = Path(path)
    if path.is_dir():
        raise ExportError(path, "is a folder; give the name of a file in it.")
    if path.exists() and not path.is_file():
        raise ExportError(path, "is a device, not a file; give the name of a file.")
    parent = path.parent
    if not parent.is_dir():
        raise ExportError(path, f"the folder {parent} does not exist.")
    name = None
    try:
        handle, name = tempfile.mkstemp(prefix=f".{path.name[:40]}.", suffix=".part", dir=parent)
        with os.fdopen(handle, "wb") as file:
            file.write(data)
            file.flush()
            os.fsync(file.fileno())
        os.chmod(name, _mode_for(path))
        os.replace(name, path)
    except OSError as error:
        if name is not None:
            Path(name).unlink(missing_ok=True)
        raise ExportError(path, f"could not be written ({error.strerror or error}).") from None


def _mode_for(path) -> int:
    """The permissions the file had, or those any new file gets."""
    if path.exists():
        return path.stat().st_mode & 0o777
    mask = os.umask(0)
    os.umask(mask)
    return 0o666 & ~mask
