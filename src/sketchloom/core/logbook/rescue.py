"""What can be read of a damaged logbook, saved into a new one."""

import sqlite3
from pathlib import Path

from sketchloom.core.base.said import said
from sketchloom.core.logbook.book_file import LogbookError
from sketchloom.core.logbook.records import KINDS, NAME_OF
from sketchloom.core.logbook.store import Kept, Logbook

_MOST_LOST = 100_000
"""Entries that are looked for where the file does not say how many there are."""


def save_into(book: Logbook, path) -> tuple[int, int]:
    """Save what can be read into a new logbook: how many records, and how many places could not be read.

    Raises
    ------
    LogbookError : there is something at the path already, or it cannot be written.
    """
    path = Path(path)
    if path.exists():
        raise LogbookError(path, said("is there already."), said("Choose another name."))
    saved = lost = 0
    with Logbook(path) as other:
        for kind in KINDS.values():
            some = list(_readable(book, kind))
            other.put_back([one for one in some if one is not None])
            saved += sum(one is not None for one in some)
            lost += sum(one is None for one in some)
    return saved, lost


def _readable(book, kind):
    """Every record that can be read, None for each place that cannot: by pieces, halved where one fails."""
    if not book.has(kind):
        return
    try:
        top = book.rows(f'SELECT max(entry) FROM "{NAME_OF[kind]}"')[0][0] or 0
    except sqlite3.DatabaseError:
        top = _MOST_LOST
    listed = book.listed(kind)
    stack = [(1, top)]
    while stack:
        low, high = stack.pop()
        if low > high:
            continue
        try:
            rows = book.rows(f'SELECT entry, {listed} FROM "{NAME_OF[kind]}" WHERE entry BETWEEN ? AND ?', (low, high))
        except sqlite3.DatabaseError:
            if low == high:
                yield None
                continue
            middle = (low + high) // 2
            stack += [(middle + 1, high), (low, middle)]
            continue
        for row in rows:
            try:
                yield Kept(row[0], kind(*row[1:]))
            except (ValueError, TypeError):  # a value that no record may have
                yield None
