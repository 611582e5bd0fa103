"""Writing files whole or not at all, also several that belong together, whatever happens meanwhile."""

import fcntl
import json
import logging
import os
import secrets
import shutil
from collections.abc import Callable, Iterable
from dataclasses import dataclass, field
from pathlib import Path
from typing import IO

from sketchloom.core.base.errors import ClashError, ExportError
from sketchloom.core.base.progress import QUIET
from sketchloom.core.base.said import said

PART = ".part"
_ANY_FILE = 0o666
"""Permissions of a new file before the system takes away what the user's mask says."""
_JOURNAL, _READY = ".journal", b"ready\n"
_MOST_JOURNAL_BYTES = 16 * 2**20
"""A larger journal is none of ours: it names a few thousand files at most."""
_log = logging.getLogger(__name__)


@dataclass(frozen=True, slots=True)
class Care:
    """What else is heeded in writing.

    ``never``: files that no output may be, however they are named. ``replace``: whether files that are there already
    may go. ``journals``: a folder in which is noted what is being written, so that ``sweep`` can end what was cut off.
    """

    never: tuple[Path, ...] = ()
    replace: bool = True
    journals: Path | None = None


PLAIN = Care()


def write_whole(path, data: bytes, care: Care = PLAIN) -> None:
    """Write beside the target, then rename over it.

    Raises
    ------
    ExportError : the folder is missing, the target is a folder, there is no room or no
        permission. Whatever stood at ``path`` before is then untouched.
    """
    write_together([(path, lambda: data)], care)


def write_together(
    files: Iterable[tuple[Path | str, Callable[[], bytes]]], care: Care = PLAIN, *, progress=QUIET
) -> list[Path]:
    """Write files that belong together: all of them, or none.

    Parameters
    ----------
    files : each path with what makes its bytes, called when its turn comes.

    Raises
    ------
    ClashError : two of them are one file, or one is a file that must stay; ExportError : as of ``write_whole``, or one
    is there already and may not be replaced; Cancelled : the caller asked to stop between two files. What stood at any
    of the paths before is then untouched, and nothing new is there.

    Notes
    -----
    A program that is ended between the renames leaves some files new and some old. With a journal, ``sweep`` then
    renames the rest; ended before, it takes away what was written.
    """
    asked = [(Path(path), make) for path, make in files]
    refuse_clashes([path for path, _ in asked], care)
    moves = [_Move(_part_of(path), path, _part_of(path)) for path, _ in asked]
    journal = _Journal.begin(care.journals, moves)
    try:
        try:
            for number, ((path, make), move) in enumerate(zip(asked, moves, strict=True)):
                progress.step(number, len(asked), said("Writing"))
                refuse_target(path)
                _write_part(move.part, path, make())
            progress.step(len(asked), len(asked), said("Writing"))
        except BaseException:
            for move in moves:
                move.part.unlink(missing_ok=True)
            raise
        journal.say_ready()
        _rename_all(moves)
    finally:
        journal.end()
    return [path for path, _ in asked]


@dataclass(frozen=True, slots=True)
class _Move:
    """A part that goes to its target, and where what stood there is held until all have gone."""

    part: Path
    target: Path
    held: Path


def _rename_all(moves):
    """Put every part in its place; where one cannot be, those before it go back to what stood there."""
    done: list[_Move] = []
    try:
        for move in moves:
            if len(moves) > 1 and move.target.exists():
                _hold(move)
            move.part.replace(move.target)
            done.append(move)
    except OSError as error:
        for before in done:
            if before.held.exists():
                before.held.replace(before.target)
            else:
                before.target.unlink(missing_ok=True)
        for left in moves:
            left.part.unlink(missing_ok=True)
            left.held.unlink(missing_ok=True)
        raise _unwritten(moves[len(done)].target, error) from None
    for move in moves:
        move.held.unlink(missing_ok=True)


def _hold(move):
    """Keep what stands at a target under another name too; a copy on disks that have one name a file."""
    try:
        os.link(move.target.resolve(), move.held)
    except OSError:
        shutil.copy2(move.target, move.held)


def refuse_clashes(paths: Iterable[Path], care: Care) -> None:
    """Raise ClashError or ExportError, as of ``write_together``, before anything is done."""
    stays = {identity(path) for path in care.never}
    seen: dict[tuple, Path] = {}
    for path in paths:
        one = identity(path)
        if one in stays:
            raise ClashError(path, said("is one of the files that are read; an output needs a name of its own."))
        if one in seen:
            raise ClashError(path, said("would be written twice, the second time over {other}.", other=str(seen[one])))
        seen[one] = path
        if not care.replace and path.exists():
            raise ExportError(path, said("is there already, and stays as it is."),
                              said("Choose another folder, or add --replace on the command line."))


def identity(path) -> tuple:
    """What tells files apart however they are named: through links, and on disks that take a and A for one letter."""
    path = Path(path)
    try:
        found = path.stat()
        return found.st_dev, found.st_ino
    except OSError:
        pass
    try:
        folder = path.parent.resolve().stat()
        return folder.st_dev, folder.st_ino, path.name.casefold()
    except OSError:
        return str(path.absolute()), path.name.casefold()


@dataclass(slots=True)
class _Journal:
    """What is being written, in a file that is locked as long as it is."""

    path: Path | None = None
    file: IO | None = field(default=None)

    @classmethod
    def begin(cls, folder, moves):
        if folder is None:
            return cls()
        try:
            folder.mkdir(parents=True, exist_ok=True)
            path = folder / f"{secrets.token_hex(8)}{_JOURNAL}"
            file = path.open("xb")
            fcntl.flock(file, fcntl.LOCK_EX)
            named = [[os.fsdecode(p.absolute()) for p in (m.part, m.target, m.held)] for m in moves]
            file.write(json.dumps(named).encode() + b"\n")
            journal = cls(path, file)
            journal._settle()
            return journal
        except OSError as error:  # it is written all the same, only not swept if it is cut off
            _log.info("no journal: %s", error)
            return cls()

    def say_ready(self):
        if self.file is not None:
            try:
                self.file.write(_READY)
                self._settle()
            except OSError as error:
                _log.info("no journal: %s", error)

    def _settle(self):
        self.file.flush()
        os.fsync(self.file.fileno())

    def end(self):
        if self.file is not None:
            self.path.unlink(missing_ok=True)
            self.file.close()


def sweep(journals: Path) -> list[Path]:
    """End what programs that were cut off had begun to write: what was ready goes to its place, the rest goes away.

    Returns
    -------
    The files that were put in their places now.
    """
    done: list[Path] = []
    for path in sorted(journals.glob(f"*{_JOURNAL}")) if journals.is_dir() else ():
        try:
            with path.open("rb") as file:
                fcntl.flock(file, fcntl.LOCK_EX | fcntl.LOCK_NB)  # held by what still writes
                done += _finished(file.read(_MOST_JOURNAL_BYTES))
                path.unlink(missing_ok=True)
        except (OSError, ValueError) as error:
            _log.info("%s is left: %s", path, error)
    return done


def _finished(text: bytes) -> list[Path]:
    first, _, rest = text.partition(b"\n")
    try:
        moves = [_Move(*(Path(p) for p in three)) for three in json.loads(first)]
    except (ValueError, TypeError):
        return []  # cut off before anything was written
    done = []
    for move in moves:
        if any(p.parent != move.target.parent or not p.name.endswith(PART) for p in (move.part, move.held)):
            continue  # none of ours
        if rest == _READY and move.part.exists():
            move.part.replace(move.target)
            done.append(move.target)
        move.part.unlink(missing_ok=True)
        move.held.unlink(missing_ok=True)
    return done


def refuse_target(path: Path) -> None:
    """Raise ExportError when a path cannot be a file's."""
    if path.is_dir():
        raise ExportError(path, said("is a folder; give the name of a file in it."))
    if path.exists() and not path.is_file():
        raise ExportError(path, said("is a device, not a file; give the name of a file."))
    if not path.parent.is_dir():
        raise ExportError(path, said("the folder {folder} does not exist.", folder=str(path.parent)))


def _part_of(path) -> Path:
    """A name beside the target that nothing has."""
    return path.with_name(f".{path.name[:40]}.{secrets.token_hex(6)}{PART}")


def _write_part(part, path, data):
    """The bytes in a file beside the target, on the disk for certain, with the permissions the target had."""
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


def _unwritten(path, error):
    return ExportError(path, said("could not be written ({why}).", why=error.strerror or str(error)))
