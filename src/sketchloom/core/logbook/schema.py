"""The logbook's tables by version: each step brings a file of one version to the next."""

import sqlite3
from collections.abc import Callable

from sketchloom.core.base.setting import CHOICE, TEXT, WHOLE, settings_of
from sketchloom.core.logbook.records import KINDS, Device, Job, Piece, Stock, columns

SEARCH = "words"
"""The column that a search looks through."""
ORDERED = {name: "at" for name, kind in KINDS.items() if "at" in columns(kind)}
_COLUMNS_OF: dict[int, dict[type, tuple[str, ...]]] = {
    2: {Job: ("source", "takes", "rests", "paces"), Stock: ("hex",)}, 3: {Job: ("motion",)}}
"""Columns that came with a version."""
_TABLES_OF: dict[int, tuple[type, ...]] = {2: (Piece,), 3: (Device,)}


def _column(one):
    kind = "INTEGER" if one.kind in (WHOLE, "switch") else "TEXT" if one.kind in (TEXT, CHOICE) else "REAL"
    return f'"{one.name}" {kind} NOT NULL'


def _first(connection: sqlite3.Connection) -> None:
    later = [kind for kinds in _TABLES_OF.values() for kind in kinds]
    for name, kind in KINDS.items():
        if kind not in later:
            _make(connection, name, kind, [column for its in _COLUMNS_OF.values() for column in its.get(kind, ())])


def _make(connection, name, kind, without=()):
    body = ", ".join(_column(one) for one in settings_of(kind) if one.name not in without)
    connection.execute(f'CREATE TABLE "{name}" (entry INTEGER PRIMARY KEY AUTOINCREMENT, {body}, '
                       f'"{SEARCH}" TEXT NOT NULL)')
    if name in ORDERED:
        # a plot reads two columns of many jobs, beside which their settings lie
        beside = ", planned_s, real_s" if kind is Job else ""
        connection.execute(f'CREATE INDEX "{name}_at" ON "{name}" (at, entry{beside})')


def _widened(version: int) -> Callable[[sqlite3.Connection], None]:
    """The step that brings the tables and columns of a version."""
    def step(connection):
        for name, kind in KINDS.items():
            if kind in _TABLES_OF[version]:
                _make(connection, name, kind)
            for one in settings_of(kind):
                if one.name in _COLUMNS_OF[version].get(kind, ()):
                    connection.execute(f'ALTER TABLE "{name}" ADD COLUMN {_column(one)} DEFAULT \'\'')
    return step


STEPS: list[Callable[[sqlite3.Connection], None]] = [_first, _widened(2), _widened(3)]
"""``STEPS[n]`` brings a file of version n to n + 1; their count is the version of today. A change of the tables adds
one; those there are stay as they are."""
