"""The logbook's tables by version: each step brings a file of one version to the next."""

import sqlite3
from collections.abc import Callable

from sketchloom.core.base.setting import CHOICE, TEXT, WHOLE, settings_of
from sketchloom.core.logbook.records import KINDS, Job, Piece, Stock, columns

SEARCH = "words"
"""The column that a search looks through."""
ORDERED = {name: "at" for name, kind in KINDS.items() if "at" in columns(kind)}
_SINCE_2 = {Job: ("source", "takes", "rests", "paces"), Stock: ("hex",)}
"""Columns that the first version had not."""
_TABLES_SINCE_2 = (Piece,)


def _column(one):
    kind = "INTEGER" if one.kind in (WHOLE, "switch") else "TEXT" if one.kind in (TEXT, CHOICE) else "REAL"
    return f'"{one.name}" {kind} NOT NULL'


def _first(connection: sqlite3.Connection) -> None:
    for name, kind in KINDS.items():
        if kind not in _TABLES_SINCE_2:
            _make(connection, name, kind, _SINCE_2.get(kind, ()))


def _make(connection, name, kind, without=()):
    body = ", ".join(_column(one) for one in settings_of(kind) if one.name not in without)
    connection.execute(f'CREATE TABLE "{name}" (entry INTEGER PRIMARY KEY AUTOINCREMENT, {body}, '
                       f'"{SEARCH}" TEXT NOT NULL)')
    if name in ORDERED:
        # a plot reads two columns of many jobs, beside which their settings lie
        beside = ", planned_s, real_s" if kind is Job else ""
        connection.execute(f'CREATE INDEX "{name}_at" ON "{name}" (at, entry{beside})')


def _second(connection: sqlite3.Connection) -> None:
    """What a job takes of the stock and leaves, the colour of what is there, and pieces with several stars."""
    for name, kind in KINDS.items():
        if kind in _TABLES_SINCE_2:
            _make(connection, name, kind)
        for one in settings_of(kind):
            if one.name in _SINCE_2.get(kind, ()):
                connection.execute(f'ALTER TABLE "{name}" ADD COLUMN {_column(one)} DEFAULT \'\'')


STEPS: list[Callable[[sqlite3.Connection], None]] = [_first, _second]
"""``STEPS[n]`` brings a file of version n to n + 1; their count is the version of today. A change of the tables adds
one; those there are stay as they are."""
