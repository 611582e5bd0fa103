"""Recovery copies: open works as they are, for the next start to offer when the program ended without saving."""

import fcntl
import json
import shutil
import uuid
from dataclasses import dataclass
from pathlib import Path

from sketchloom.core.base.errors import AppError
from sketchloom.core.picture.decode import MAX_FILE_BYTES
from sketchloom.files.project import Project
from sketchloom.files.user_data import data_folder
from sketchloom.files.writing import write_whole
from sketchloom.recipe.document import from_json, to_json

_LOCK, _STATE, _SOURCE = "lock", "state.json", "source"


@dataclass(frozen=True, slots=True)
class Recovered:
    """A work that was not saved: its folder, its project, and the file it belonged to."""

    folder: Path
    project: Project
    path: Path | None


class RecoveryCopy:
    """The autosaved copy of one open work.

    The source is written once; each change writes only the recipe, so it is quick whatever the picture's size. As long
    as the work is open the copy is locked; the system lets go of the lock when the program ends, however it ends.
    """

    def __init__(self, folder: Path, source_name: str, unknown: dict, own: str):
        self.folder, self.source_name, self.unknown, self.id = folder, source_name, unknown, own
        self._lock = _locked(folder)

    @classmethod
    def begin(cls, project: Project) -> "RecoveryCopy":
        """A new copy; raises ExportError or OSError when there is no room."""
        folder = data_folder() / "recovery" / uuid.uuid4().hex
        folder.mkdir(parents=True)
        write_whole(folder / _SOURCE, project.source)
        return cls(folder, project.source_name, project.unknown, project.id)

    @classmethod
    def taken_over(cls, recovered: Recovered) -> "RecoveryCopy":
        """The copy that a recovered work came from."""
        found = recovered.project
        return cls(recovered.folder, found.source_name, found.unknown, found.id)

    def write(self, recipe, path) -> None:
        """Keep a recipe; raises ExportError when there is no room."""
        state = {"path": str(path) if path else None, "source_name": self.source_name, "unknown": self.unknown,
                 "id": self.id,
                 "recipe": to_json(recipe)}
        write_whole(self.folder / _STATE, json.dumps(state, allow_nan=False).encode())

    def release(self) -> None:
        """Leave the copy to the next start, as if the program had ended here."""
        if self._lock is not None:
            self._lock.close()
            self._lock = None

    def forget(self) -> None:
        """Throw it away for good."""
        self.release()
        discard(self.folder)


def _locked(folder):
    """The open file that locks a folder; None when another program holds it."""
    handle = (folder / _LOCK).open("ab")
    try:
        fcntl.flock(handle, fcntl.LOCK_EX | fcntl.LOCK_NB)
    except OSError:
        handle.close()
        return None
    return handle


def left_behind() -> list[Recovered]:
    """Works of programs that ended without saving, latest first."""
    root = data_folder() / "recovery"
    if not root.is_dir():
        return []
    folders = sorted(root.iterdir(), key=lambda f: -f.stat().st_mtime)
    return [found for folder in folders if (found := read_copy(folder)) is not None]


def read_copy(folder) -> Recovered | None:
    """The work in a recovery folder; None when it is damaged or still being worked on."""
    try:
        plain = json.loads((folder / _STATE).read_text())
        source = folder / _SOURCE
        lock = _locked(folder)
        if lock is None:
            return None
        lock.close()
        if source.stat().st_size > MAX_FILE_BYTES:
            return None
        project = Project(
            from_json(plain["recipe"]), source.read_bytes(), str(plain["source_name"]), plain.get("unknown") or {},
            id=str(plain.get("id") or "")
        )
        return Recovered(folder, project, Path(plain["path"]) if plain.get("path") else None)
    except (OSError, ValueError, KeyError, TypeError, AppError):
        return None


def discard(folder) -> None:
    """Throw a recovery copy away for good."""
    shutil.rmtree(folder, ignore_errors=True)
