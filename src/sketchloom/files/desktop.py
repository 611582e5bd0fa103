"""What a desktop knows of the program: its entry in the menus, its files' type and icon, pictures of projects.

After the freedesktop.org specifications of desktop entries, shared MIME information, icon themes and AppStream.
"""

import shutil
import subprocess
from importlib.resources import files
from pathlib import Path

from sketchloom.core.base.errors import ExportError
from sketchloom.core.base.said import said
from sketchloom.files.writing import write_whole

PLACES = {
    "sketch-loom.desktop": "applications/sketch-loom.desktop",
    "sketch-loom.xml": "mime/packages/sketch-loom.xml",
    "sketch-loom.svg": "icons/hicolor/scalable/apps/sketch-loom.svg",
    "sketch-loom.metainfo.xml": "metainfo/sketch-loom.metainfo.xml",
    "sketch-loom.thumbnailer": "thumbnailers/sketch-loom.thumbnailer",
}
"""Where each shipped file goes below the folder of a user's or a system's data."""
_TOLD = (("update-mime-database", "mime"), ("update-desktop-database", "applications"),
         ("gtk-update-icon-cache", "icons/hicolor"))
"""Programs that tell the desktop of what is new, where they are there, and the folder each is told."""
_SECONDS = 20


def texts(command: list[str]) -> dict[str, bytes]:
    """The shipped files with the command that starts the program, by their names."""
    made = {}
    for name in PLACES:
        data = files("sketchloom").joinpath("data", "desktop", name).read_bytes()
        words = " ".join(_quoted(part) for part in command)
        made[name] = data.replace(b"@EXEC@", words.encode()).replace(b"@TRY@", command[0].encode())
    return made


def _quoted(word):
    """A word of an Exec line (Desktop Entry Specification 1.5, the Exec key)."""
    if word and all(c.isalnum() or c in "-_./=" for c in word):
        return word
    for mark in '\\"`$':
        word = word.replace(mark, "\\" + mark)
    return f'"{word}"'.replace("%", "%%")


def install(folder: Path, command: list[str]) -> list[Path]:
    """Write the files below a folder of data and tell the desktop; returns them. Raises ExportError."""
    made = []
    for name, data in texts(command).items():
        path = folder / PLACES[name]
        try:
            path.parent.mkdir(parents=True, exist_ok=True)
        except OSError as error:
            raise ExportError(path, said("cannot be made ({strerror}).", strerror=error.strerror)) from None
        write_whole(path, data)
        made.append(path)
    _tell(folder)
    return made


def remove(folder: Path) -> list[Path]:
    """Take the files out again; returns those that were there."""
    gone = [path for path in (folder / place for place in PLACES.values()) if path.is_file()]
    for path in gone:
        path.unlink()
    _tell(folder)
    return gone


def _tell(folder):
    for program, part in _TOLD:
        found = shutil.which(program)
        if found is not None and (folder / part).is_dir():
            subprocess.run([found, str(folder / part)], check=False, timeout=_SECONDS, stdout=subprocess.DEVNULL,
                           stderr=subprocess.DEVNULL)
