"""Records as CSV (RFC 4180) and JSON, out and in. What comes from elsewhere is checked, line by line."""

import csv
import io
from collections.abc import Iterable
from dataclasses import MISSING, fields
from typing import Any

from sketchloom.core.base import plain
from sketchloom.core.base.errors import AppError, SettingError
from sketchloom.core.base.said import said
from sketchloom.core.base.setting import LENGTH, NUMBER, WHOLE, settings_of
from sketchloom.core.base.units import MM_PER_IN
from sketchloom.core.logbook.records import KINDS, columns, values
from sketchloom.core.logbook.store import Kept

MAX_BYTES, MAX_ROWS = 256 << 20, 1_000_000
"""More than any workshop writes down; guards against hostile files."""
_NUMBER = "entry"
_DANGER = ("=", "+", "-", "@", "\t", "\r")
"""Texts that begin so are run by some spreadsheets; an apostrophe before them keeps them texts (OWASP, CSV injection).
"""


def to_csv(kind: type, kept: Iterable[Kept]) -> bytes:
    """Records as CSV in UTF-8, with a line of names, each with its number first."""
    stream = io.StringIO()
    writer = csv.writer(stream, lineterminator="\r\n")
    writer.writerow((_NUMBER, *columns(kind)))
    texts = {n for n, one in enumerate(settings_of(kind)) if one.kind not in (WHOLE, NUMBER, LENGTH)}
    for one in kept:
        writer.writerow((one.number, *(_guarded(v) if n in texts else v for n, v in enumerate(values(one.one)))))
    return stream.getvalue().encode()


def _guarded(text):
    return f"'{text}" if str(text).startswith(_DANGER) else text


def from_csv(kind: type, data: bytes) -> list:
    """Records from CSV of any origin; columns by their names, in any order, those not known passed over.

    A column of a length may say its unit: ``width_in`` for ``width_mm``.

    Raises
    ------
    AppError : it is too large, no CSV, or a line holds what no record may have; nothing of it is taken then.
    """
    if len(data) > MAX_BYTES:
        raise AppError(said("The table is larger than {most} MB.", most=MAX_BYTES >> 20))
    try:
        text = data.decode("utf-8-sig")
    except UnicodeDecodeError:
        raise AppError(said("The table is no text in UTF-8.")) from None
    rows = csv.reader(io.StringIO(text, newline=""), strict=True)
    made: list = []
    try:
        head = [name.strip() for name in next(rows, [])]
        places = _places(kind, head)
        for row in rows:
            if any(cell.strip() for cell in row):
                if len(made) >= MAX_ROWS:
                    raise AppError(said("The table has more than {most} lines.", most=MAX_ROWS))
                made.append(_record(kind, places, row))
    except csv.Error as error:
        raise AppError(said("Line {line}: this is no CSV ({why}).", line=rows.line_num, why=str(error))) from None
    except SettingError as error:
        raise AppError(said("Line {line}: {why}", line=rows.line_num, why=error.message)) from None
    return made


def _places(kind, head):
    """For each field the column it is in, and what its numbers are multiplied by."""
    its = {one.name: one for one in settings_of(kind)}
    places = {}
    for column, name in enumerate(head):
        length = name.removesuffix("_in") + "_mm"
        if name in its:
            places[name] = column, 1.0
        elif name.endswith("_in") and length in its:
            places[length] = column, MM_PER_IN
    needed = [f.name for f in fields(kind) if f.default is MISSING]
    missing = [name for name in needed if name not in places]
    if missing:
        raise AppError(said("The first line must name these columns: {names}.", names=", ".join(missing)))
    return places


def _record(kind, places, row):
    given: dict[str, Any] = {}
    for one in settings_of(kind):
        if one.name not in places:
            continue
        column, factor = places[one.name]
        text = row[column].strip() if column < len(row) else ""
        if text.startswith("'") and text[1:].startswith(_DANGER):
            text = text[1:]
        if one.kind not in (WHOLE, NUMBER, LENGTH):
            given[one.name] = text
            continue
        if text:
            try:
                value = float(text) * factor
                given[one.name] = int(value) if one.kind == WHOLE and value == int(value) else value
            except (ValueError, OverflowError):
                raise SettingError(one.name, said("a number, with a point"), text) from None
    try:
        return kind(**given)
    except TypeError:
        raise SettingError(next(f.name for f in fields(kind) if f.default is MISSING and f.name not in given),
                           said("a number, with a point"), "") from None


def to_plain(book) -> dict:
    """All that a logbook holds as plain data: its tables by their names, each record with its number."""
    return {name: [{_NUMBER: kept.number} | plain.to_plain(kept.one) for kept in book.all(kind, newest_first=False)]
            for name, kind in KINDS.items()}


def from_plain(data) -> list[Kept]:
    """Records from plain data of any origin, in the order of their tables, with the numbers they had there.

    Raises
    ------
    SettingError, AppError : it is none.
    """
    if not isinstance(data, dict) or not all(isinstance(data.get(name, []), list) for name in KINDS):
        raise AppError(said("This is no logbook: an object with lists {names} is needed.", names=", ".join(KINDS)))
    made: list[Kept] = []
    for name, kind in KINDS.items():
        rows = data.get(name, [])
        if len(rows) > MAX_ROWS:
            raise AppError(said("The table has more than {most} lines.", most=MAX_ROWS))
        some = plain.from_plain(rows, tuple[kind, ...], name)  # type: ignore[valid-type]
        made += [Kept(_number(row), one) for row, one in zip(rows, some, strict=True)]
    return made


def _number(row):
    number = row.get(_NUMBER, 0)
    return number if isinstance(number, int) else 0
