"""The logbook in one SQLite file: safe under kills, read by two windows at once, never written half."""

import sqlite3
from collections.abc import Sequence
from contextlib import suppress
from dataclasses import dataclass
from itertools import chain
from typing import Any

import numpy as np

from sketchloom.core.base.said import said
from sketchloom.core.base.setting import CHOICE, TEXT, settings_of
from sketchloom.core.logbook.book_file import BookFile, LogbookError
from sketchloom.core.logbook.records import KINDS, NAME_OF, UNSAID, columns, values
from sketchloom.core.logbook.schema import ORDERED, SEARCH

_SEARCHED = {kind: tuple(one.name for one in settings_of(kind) if one.kind in (TEXT, CHOICE)
                         and one.name not in UNSAID)
             for kind in KINDS.values()}


@dataclass(frozen=True, slots=True)
class Kept:
    """A record with its ``number`` in its table."""

    number: int
    one: Any


class Logbook(BookFile):
    """An open logbook. ``note``: what is to be said of it, empty where all is well; ``is_read_only``."""

    def __init__(self, path, steps=None):
        self._there: dict[str, set[str]] = {}
        super().__init__(path, steps)

    # -- writing ---------------------------------------------------------------------------

    def add(self, *some) -> list[int]:
        """Keep records of any kinds, all or none; their numbers."""
        with self.changing():
            return [self.put(one) for one in some]

    def put_back(self, some: Sequence[Kept]) -> None:
        """Keep records under the numbers they had, all or none."""
        with self.changing():
            for kept in some:
                self.put(kept.one, kept.number)

    def put(self, one, number: int | None = None) -> int:
        """Keep a record within a change; its number."""
        name = NAME_OF[type(one)]
        names = [*columns(type(one)), SEARCH]
        row = [*values(one), _words(one)]
        if number is not None:
            names, row = ["entry", *names], [number, *row]
        listed = ", ".join(f'"{n}"' for n in names)
        return self.run(f'INSERT INTO "{name}" ({listed}) VALUES ({", ".join("?" * len(row))})',
                        row).lastrowid or 0

    def change(self, number: int, one) -> None:
        """Another record in place of one. Raises LogbookError where it is gone."""
        self.apply(changed=((number, one),))

    def apply(self, added: Sequence = (), changed: Sequence[tuple[int, Any]] = (),
              removed: Sequence[tuple[type, int]] = ()) -> list[int]:
        """Several changes as one, all or none; the numbers of what was added. Raises LogbookError where one that is
        changed is gone."""
        with self.changing():
            for number, one in changed:
                self.put_over(number, one)
            for kind, number in removed:
                self.drop(kind, number)
            return [self.put(one) for one in added]

    def put_over(self, number: int, one) -> None:
        """Another record in place of one, within a change. Raises LogbookError where it is gone."""
        sets = ", ".join(f'"{n}" = ?' for n in (*columns(type(one)), SEARCH))
        done = self.run(f'UPDATE "{NAME_OF[type(one)]}" SET {sets} WHERE entry = ?',
                        (*values(one), _words(one), number))
        if done.rowcount != 1:
            raise LogbookError(self.path, said("entry {number} is gone.", number=number))

    def drop(self, kind: type, number: int) -> None:
        """Take a record out, within a change."""
        self.run(f'DELETE FROM "{NAME_OF[kind]}" WHERE entry = ?', (number,))

    def remove(self, kind: type, *numbers: int) -> None:
        """Delete records for good: the space they had is overwritten (``PRAGMA secure_delete``)."""
        self._db.execute("PRAGMA secure_delete = ON")
        with self.changing():
            self._db.executemany(f'DELETE FROM "{NAME_OF[kind]}" WHERE entry = ?', [(n,) for n in numbers])
        with suppress(sqlite3.Error):
            self._db.execute("PRAGMA wal_checkpoint(TRUNCATE)")  # the log held them as well

    # -- reading ---------------------------------------------------------------------------

    def all(self, kind: type, search: str = "", limit: int | None = None, newest_first: bool = True, **where
            ) -> list[Kept]:
        """Records of a kind: those with all words of a ``search`` in them, with some values ``where`` they are said.

        Raises
        ------
        LogbookError : it cannot be read.
        """
        if self.is_read_only and not self.has(kind):
            return []
        text, given = self._where(kind, search, where)
        order = ORDERED.get(NAME_OF[kind], "entry")
        way = "DESC" if newest_first else "ASC"
        listed = self.listed(kind)
        query = (f'SELECT entry, {listed} FROM "{NAME_OF[kind]}"{text} ORDER BY "{order}" {way}, entry {way}'
                 + ("" if limit is None else " LIMIT ?"))
        rows = self.read(query, given if limit is None else (*given, limit))
        return [Kept(row[0], kind(*row[1:])) for row in rows]

    def one(self, kind: type, number: int) -> Kept | None:
        """A record by its number, None where there is none."""
        listed = self.listed(kind)
        rows = self.read(f'SELECT entry, {listed} FROM "{NAME_OF[kind]}" WHERE entry = ?', (number,))
        return Kept(rows[0][0], kind(*rows[0][1:])) if rows else None

    def has(self, kind: type) -> bool:
        """Whether the file has the table of a kind: an older one that is only read has not all of them."""
        return bool(self.rows(f'PRAGMA table_info("{NAME_OF[kind]}")')) or self.is_damaged

    def listed(self, kind: type) -> str:
        """The columns of a kind for a query; of a file that is older and only read, defaults for what it has not."""
        name = NAME_OF[kind]
        if name not in self._there:
            self._there[name] = {row[1] for row in self.read(f'PRAGMA table_info("{name}")')}
        there = self._there[name] or set(columns(kind))  # of a damaged file: an error will say so
        return ", ".join(f'"{one.name}"' if one.name in there else _literal(one.default) for one in settings_of(kind))

    def count(self, kind: type, search: str = "", **where) -> int:
        if self.is_read_only and not self.has(kind):
            return 0
        text, given = self._where(kind, search, where)
        return self.read(f'SELECT count(*) FROM "{NAME_OF[kind]}"{text}', given)[0][0]

    def figures(self, kind: type, names: Sequence[str], **where) -> np.ndarray:
        """Columns of numbers of all records, the oldest first, (records, columns), for a plot or a fit."""
        assert set(names) <= set(columns(kind))
        text, given = self._where(kind, "", where)
        order = ORDERED.get(NAME_OF[kind], "entry")
        listed = ", ".join(f'"{n}"' for n in names)
        rows = self.read(f'SELECT {listed} FROM "{NAME_OF[kind]}"{text} ORDER BY "{order}", entry', given)
        made = np.fromiter(chain.from_iterable(rows), float, len(rows) * len(names))
        return made.reshape(len(rows), len(names))

    def brief(self, kind: type, names: Sequence[str], first: str, last: str) -> list[tuple]:
        """The number and some columns of records from a moment to before another one, the oldest first."""
        assert set(names) <= set(columns(kind)) and NAME_OF[kind] in ORDERED
        listed = ", ".join(("entry", *(f'"{n}"' for n in names)))
        return self.read(f'SELECT {listed} FROM "{NAME_OF[kind]}" WHERE at >= ? AND at < ? ORDER BY at, entry',
                         (first, last))

    def _where(self, kind, search, where):
        assert set(where) <= set(columns(kind))
        parts = [f'"{name}" = ?' for name in where]
        given = list(where.values())
        for word in search.casefold().split():
            parts.append(f'"{SEARCH}" LIKE ? ESCAPE "!"'.replace('"!"', "'!'"))
            given.append("%" + word.replace("!", "!!").replace("%", "!%").replace("_", "!_") + "%")
        return (" WHERE " + " AND ".join(parts) if parts else ""), tuple(given)


def _literal(value):
    return "'" + value.replace("'", "''") + "'" if isinstance(value, str) else str(value)


def _words(one):
    return " ".join(str(getattr(one, name)) for name in _SEARCHED[type(one)] if getattr(one, name)).casefold()
