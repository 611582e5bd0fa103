"""A whole logbook, or a table of it, from a file into a logbook that may hold others already."""

import json
from collections.abc import Iterable, Sequence
from dataclasses import replace
from pathlib import Path

from sketchloom.core.base.errors import AppError, FileError
from sketchloom.core.base.plain import encoded
from sketchloom.core.base.said import said
from sketchloom.core.logbook import exchange, inventory
from sketchloom.core.logbook.records import Approval, Job, Stock
from sketchloom.core.logbook.store import Kept, Logbook


def everything(book: Logbook) -> bytes:
    """All that a logbook holds, as JSON."""
    return encoded(json.dumps(exchange.to_plain(book), indent=1, ensure_ascii=False))


def taken_in(book: Logbook, path, kind: type | None = None) -> int:
    """Keep what a file holds, a table of a ``kind`` as CSV or a whole logbook as JSON, all of it or nothing; how many
    records.

    Raises
    ------
    AppError : it cannot be read, is too large, or holds what no record may have.
    """
    path = Path(path)
    data = _bytes_of(path)
    try:
        if path.suffix.lower() == ".csv":
            return len(book.add(*exchange.from_csv(kind, data))) if kind is not None else 0
        return take_in(book, exchange.from_plain(json.loads(data)))
    except AppError as error:
        raise FileError(path, error.message) from None
    except (ValueError, RecursionError):
        raise FileError(path, said("holds no JSON.")) from None


def _bytes_of(path):
    try:
        if path.stat().st_size > exchange.MAX_BYTES:
            raise FileError(path, said("is larger than {most} MB.", most=exchange.MAX_BYTES >> 20))
        return path.read_bytes()
    except OSError as error:
        raise FileError(path, said("cannot be read ({strerror}).", strerror=error.strerror or "")) from None


def take_in(book: Logbook, some: Sequence[Kept]) -> int:
    """Keep records of another logbook, all or none; how many. They get numbers of their own here, and what names a job
    or an entry of the stock by its number names the same one still."""
    jobs: dict[int, int] = {}
    stock: dict[int, int] = {}
    with book.changing():
        for kept in _of(some, Job):
            jobs[kept.number] = book.put(kept.one)
        for kept in _of(some, Stock):
            stock[kept.number] = book.put(replace(kept.one, job=jobs.get(kept.one.job, 0)))
        for kept in _of(some, Job):
            if kept.one.takes:
                takes = _renumbered(inventory.accounts_of(kept.one), stock)
                book.put_over(jobs[kept.number], replace(kept.one, takes=inventory.as_text(takes)))
        for kept in _of(some, Approval):
            book.put(replace(kept.one, job=jobs.get(kept.one.job, 0)))
        for kept in some:
            if not isinstance(kept.one, (Job, Stock, Approval)):
                book.put(kept.one)
    return len(some)


def _of(some: Iterable[Kept], kind):
    return (kept for kept in some if isinstance(kept.one, kind))


def _renumbered(accounts, stock):
    """Accounts with the stock's new numbers; what is not of it is left out."""
    return inventory.Accounts(
        tuple(replace(one, entry=stock.get(one.entry, 0)) for one in accounts.takes
              if not one.entry or one.entry in stock),
        tuple(replace(one, entry=stock[one.entry]) for one in accounts.booked if one.entry in stock),
        tuple(stock[entry] for entry in accounts.gave if entry in stock))
