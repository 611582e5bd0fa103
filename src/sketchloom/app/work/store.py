"""Files the application keeps for the user: recent works, recovery copies, demo copies."""

import json
import logging
import os
import shutil
import uuid
from dataclasses import dataclass, replace
from pathlib import Path

from sketchloom.core.base.errors import AppError
from sketchloom.core.formats.atomic import write_whole
from sketchloom.core.picture.decode import MAX_FILE_BYTES
from sketchloom.core.sheets.material import Material, from_plain, shipped, to_plain
from sketchloom.files.project import Project
from sketchloom.recipe import presets as preset_files
from sketchloom.recipe.document import from_json, to_json

_RECENT = 12

_MAX_MATERIALS_BYTES = 1 << 20
_log = logging.getLogger(__name__)


def data_folder() -> Path:
    """The user's data folder for this program (XDG Base Directory)."""
    base = os.environ.get("XDG_DATA_HOME") or Path.home() / ".local" / "share"
    folder = Path(base) / "sketch-loom"
    folder.mkdir(parents=True, exist_ok=True)
    return folder


def recent_files() -> list[Path]:
    """Files opened or saved lately that still exist, latest first."""
    try:
        names = json.loads((data_folder() / "recent.json").read_text())
        return [Path(n) for n in names if isinstance(n, str) and Path(n).is_file()][:_RECENT]
    except (OSError, ValueError, TypeError):
        return []


def remember(path) -> None:
    """Put a file at the head of the recent ones; a full disk is no reason to complain here."""
    path = Path(path).resolve()
    names = [str(path)] + [str(p) for p in recent_files() if p != path]
    try:
        write_whole(data_folder() / "recent.json", json.dumps(names[:_RECENT]).encode())
    except AppError:
        return


def presets() -> tuple:
    """The user's presets; an unreadable file is as good as none, and is left as it is."""
    return _presets_in("presets.json")


def keep_presets(kept) -> None:
    """Write the user's presets; raises ExportError."""
    write_whole(data_folder() / "presets.json", preset_files.to_bytes(kept))


def materials() -> tuple[Material, ...]:
    """The table of materials: the user's own ``materials.json`` in the data folder, else the shipped one."""
    try:
        path = data_folder() / "materials.json"
        if path.stat().st_size <= _MAX_MATERIALS_BYTES:
            return from_plain(json.loads(path.read_text()))
    except FileNotFoundError:
        pass
    except (OSError, ValueError, RecursionError) as error:  # a setting that is off is a ValueError too
        _log.warning("the table of materials cannot be read: %s", error)
    return shipped()


def keep_materials(table) -> None:
    """Write the user's table of materials; raises ExportError."""
    write_whole(data_folder() / "materials.json", (json.dumps(to_plain(table), indent=1, ensure_ascii=False) + "\n").encode())


def last_settings() -> tuple:
    """The settings last used in each reading, as presets named by it."""
    return _presets_in("last-settings.json")


def remember_settings(recipe, reading: str) -> None:
    """Keep the settings used in a reading; a full disk is no reason to complain here."""
    kept = preset_files.with_preset(last_settings(), preset_files.preset_of(reading, replace(recipe, reading=reading)))
    try:
        write_whole(data_folder() / "last-settings.json", preset_files.to_bytes(kept))
    except AppError:
        return


def _presets_in(name):
    path = data_folder() / name
    try:
        return preset_files.from_bytes(path.read_bytes(), name)
    except (OSError, AppError):
        return ()


@dataclass(frozen=True, slots=True)
class Recovered:
    """A work that was not saved: its folder, its project, and the file it belonged to."""

    folder: Path
    project: Project
    path: Path | None


class RecoveryCopy:
    """The autosaved copy of one open work.

    The source is written once; each change writes only the recipe, so it is quick whatever
    the picture's size.
    """

    def __init__(self, folder: Path, source_name: str, unknown: dict):
        self.folder, self.source_name, self.unknown = folder, source_name, unknown

    @classmethod
    def begin(cls, project: Project) -> "RecoveryCopy":
        """A new copy; raises ExportError or OSError when there is no room."""
        folder = data_folder() / "recovery" / uuid.uuid4().hex
        folder.mkdir(parents=True)
        write_whole(folder / "source", project.source)
        return cls(folder, project.source_name, project.unknown)

    @classmethod
    def taken_over(cls, recovered: Recovered) -> "RecoveryCopy":
        """The copy that a recovered work came from."""
        return cls(recovered.folder, recovered.project.source_name, recovered.project.unknown)

    def write(self, recipe, path) -> None:
        """Keep a recipe; raises ExportError when there is no room."""
        state = {
            "pid": os.getpid(), "path": str(path) if path else None, "source_name": self.source_name,
            "unknown": self.unknown, "recipe": to_json(recipe),
        }
        write_whole(self.folder / "state.json", json.dumps(state, allow_nan=False).encode())

    def release(self) -> None:
        """Leave the copy to the next start, as if the program had ended here."""
        state = self.folder / "state.json"
        if state.exists():
            plain = json.loads(state.read_text())
            plain["pid"] = None
            write_whole(state, json.dumps(plain).encode())

    def forget(self) -> None:
        discard(self.folder)


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
        plain = json.loads((folder / "state.json").read_text())
        source = folder / "source"
        if _alive(plain.get("pid")) or source.stat().st_size > MAX_FILE_BYTES:
            return None
        project = Project(from_json(plain["recipe"]), source.read_bytes(), str(plain["source_name"]),
                          plain.get("unknown") or {})
        return Recovered(folder, project, Path(plain["path"]) if plain.get("path") else None)
    except (OSError, ValueError, KeyError, TypeError, AppError):
        return None


def discard(folder) -> None:
    """Throw a recovery copy away for good."""
    shutil.rmtree(folder, ignore_errors=True)


def _alive(pid) -> bool:
    if not isinstance(pid, int) or pid <= 0:
        return False
    try:
        os.kill(pid, 0)
    except ProcessLookupError:
        return False
    except PermissionError:
        return True
    # the number may have been given to another program since
    try:
        return b"sketchloom" in Path(f"/proc/{pid}/cmdline").read_bytes() or pid == os.getpid()
    except OSError:
        return True
