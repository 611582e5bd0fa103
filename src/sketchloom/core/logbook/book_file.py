"""The file of a logbook: opened, looked whether it is sound, brought forward, changed whole or not at all.

Every change is one transaction in a write-ahead log that is flushed to the disk before it is said to be done
(https://www.sqlite.org/wal.html, https://www.sqlite.org/pragma.html#pragma_synchronous).
"""

import filecmp
import shutil
import sqlite3
from collections.abc import Callable, Iterator, Sequence
from contextlib import contextmanager, suppress
from pathlib import Path

from sketchloom.core.base.errors import FileError
from sketchloom.core.base.said import said
from sketchloom.core.logbook.schema import STEPS

_WAIT_MS = 4000
"""So long a change waits for another window's."""
_APPLICATION = 0x534C4C42
"""What marks the file as a logbook (``PRAGMA application_id``)."""


class LogbookError(FileError):
    """The logbook cannot be read or written."""


class BookFile:
    """The open file of a logbook. ``note``: what is to be said of it, empty where all is well; ``is_read_only``.

    Raises
    ------
    LogbookError : it is none, of a newer version, or cannot be opened at all. A damaged one is opened for reading, a
    copy is kept beside it, and ``note`` says so.
    """

    def __init__(self, path, steps: Sequence[Callable] | None = None):
        self.path, self.note, self.is_read_only, self.is_damaged = Path(path), "", False, False
        self._steps = STEPS if steps is None else list(steps)
        try:
            self._open()
        except sqlite3.DatabaseError as error:
            raise LogbookError(self.path, _why(error)) from None
        except OSError as error:
            raise LogbookError(self.path, said("cannot be opened: {why}.", why=error.strerror or "")) from None

    def _open(self):
        is_new = not self.path.exists() or self.path.stat().st_size == 0
        if is_new:
            self.path.parent.mkdir(parents=True, exist_ok=True)
        elif not self._begins_as_one():
            raise LogbookError(self.path, said("is not a logbook: it does not begin as a database."))
        elif self._is_of_others():
            raise LogbookError(self.path, said("is a database, but no logbook."))
        try:
            self._connect("rwc" if is_new else "rw")
            self._db.execute("BEGIN IMMEDIATE")
            self._db.execute("ROLLBACK")
        except sqlite3.OperationalError as error:
            if is_new or error.sqlite_errorcode in (sqlite3.SQLITE_BUSY, sqlite3.SQLITE_LOCKED):
                raise
            self._connect("ro")
            self.is_read_only = True
            self.note = said("The logbook is in a place that cannot be written to; it is only read.")
        version = self._db.execute("PRAGMA user_version").fetchone()[0]
        if version > len(self._steps):
            self._connect("ro")
            self.is_read_only = True
            raise LogbookError(self.path, said("was made by a newer version of the program."),
                               said("Nothing was changed in it. Open it with that version."))
        if not is_new and not self._is_sound():
            self._keep_damaged()
        elif not self.is_read_only:
            self._bring_forward(version, is_new)

    def _begins_as_one(self):
        with self.path.open("rb") as stream:
            return stream.read(16) == b"SQLite format 3\x00"

    def _is_of_others(self):
        """Whether it holds tables and not our mark; looked at before anything of it is touched. One without tables is
        ours, ended as it was made."""
        try:
            self._connect("ro")
            tables = self._db.execute("SELECT count(*) FROM sqlite_master").fetchone()[0]
            return tables > 0 and self._db.execute("PRAGMA application_id").fetchone()[0] != _APPLICATION
        except sqlite3.OperationalError:
            return False  # a folder that is closed; told as it is opened

    def _connect(self, mode):
        with suppress(AttributeError):
            self._db.close()
        where = self.path.absolute().as_uri() + f"?mode={mode}"
        self._db = sqlite3.connect(where, uri=True, timeout=_WAIT_MS / 1000, isolation_level=None,
                                   check_same_thread=False)
        if mode != "ro":
            self._db.execute("PRAGMA journal_mode = WAL")
            self._db.execute("PRAGMA synchronous = FULL")
        self._db.execute("PRAGMA trusted_schema = OFF")

    def _is_sound(self):
        try:
            return self._db.execute("PRAGMA quick_check").fetchone()[0] == "ok"
        except sqlite3.DatabaseError:
            return False

    def _keep_damaged(self):
        kept = self.path.parent.glob(f"{self.path.stem}-damaged*{self.path.suffix}")
        copy = next((one for one in kept if filecmp.cmp(one, self.path, shallow=False)), None)
        if copy is None:  # one copy is enough, however often it is opened
            copy = _unused(self.path.with_name(self.path.stem + "-damaged" + self.path.suffix))
            shutil.copyfile(self.path, copy)
        self._connect("ro")
        self.is_read_only = self.is_damaged = True
        self.note = said("The logbook is damaged. It is only read; a copy is kept as {name}. What can be read can be "
                         "saved into a new one.", name=copy.name)

    def _bring_forward(self, version, is_new):
        if version == len(self._steps):
            return
        if not is_new and version:
            copy = _unused(self.path.with_name(f"{self.path.stem}-version-{version}{self.path.suffix}"))
            target = sqlite3.connect(copy)
            self._db.backup(target)
            target.close()
            self.note = said("The logbook was brought to this version; as it was it is kept as {name}.",
                             name=copy.name)
        with self.changing():
            version = self._db.execute("PRAGMA user_version").fetchone()[0]  # another window may have been quicker
            for step in self._steps[version:]:
                step(self._db)
            self._db.execute(f"PRAGMA user_version = {len(self._steps)}")
            self._db.execute(f"PRAGMA application_id = {_APPLICATION}")

    @contextmanager
    def changing(self) -> Iterator[None]:
        """One change, whole or not at all. Raises LogbookError."""
        if self.is_read_only:
            raise LogbookError(self.path, self.note or said("is only read."))
        try:
            self._db.execute("BEGIN IMMEDIATE")
            try:
                yield
                self._db.execute("COMMIT")
            except BaseException:
                with suppress(sqlite3.Error):
                    self._db.execute("ROLLBACK")
                raise
        except sqlite3.DatabaseError as error:
            raise LogbookError(self.path, _why(error)) from None

    def run(self, query: str, given=()) -> sqlite3.Cursor:
        """A query within a change; raises the database's own errors."""
        return self._db.execute(query, given)

    def rows(self, query: str, given=()) -> list[tuple]:
        """What a query gives; raises the database's own errors."""
        return self._db.execute(query, given).fetchall()

    def read(self, query, given=()) -> list[tuple]:
        """What a query gives. Raises LogbookError."""
        try:
            return self.rows(query, given)
        except sqlite3.DatabaseError as error:
            raise LogbookError(self.path, _why(error)) from None

    def is_sound(self) -> bool:
        """Whether the whole file holds together (``PRAGMA integrity_check``)."""
        try:
            return self._db.execute("PRAGMA integrity_check").fetchone()[0] == "ok"
        except sqlite3.DatabaseError:
            return False

    def close(self) -> None:
        with suppress(sqlite3.Error):
            self._db.close()

    def __enter__(self):
        return self

    def __exit__(self, *_):
        self.close()


def _unused(path):
    n = 1
    made = path
    while made.exists():
        n += 1
        made = path.with_name(f"{path.stem}-{n}{path.suffix}")
    return made


def _why(error):
    """What an error of the database means to a person."""
    code = getattr(error, "sqlite_errorcode", None)
    known = {sqlite3.SQLITE_FULL: said("there is no space left; nothing was changed."),
             sqlite3.SQLITE_BUSY: said("another program holds it; nothing was changed. Try again."),
             sqlite3.SQLITE_LOCKED: said("another program holds it; nothing was changed. Try again."),
             sqlite3.SQLITE_READONLY: said("cannot be written to; nothing was changed."),
             sqlite3.SQLITE_CANTOPEN: said("cannot be opened; the folder may be missing or closed to you."),
             sqlite3.SQLITE_CORRUPT: said("is damaged; what can be read can be saved into a new one."),
             sqlite3.SQLITE_NOTADB: said("is not a logbook: it does not begin as a database.")}
    return known.get(code and code & 0xFF, said("cannot be used ({why}).", why=str(error)))

