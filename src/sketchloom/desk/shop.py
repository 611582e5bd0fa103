"""What a person does with the logbook's jobs and stock: one sentence's worth of it in one change."""

from collections.abc import Iterable
from dataclasses import dataclass, replace
from typing import Any

from sketchloom.core.base.errors import AppError
from sketchloom.core.base.said import said
from sketchloom.core.logbook import inventory
from sketchloom.core.logbook.calibration import Fitted, fitted
from sketchloom.core.logbook.inventory import Accounts, Amount, Taken
from sketchloom.core.logbook.records import DONE, FAILED, PLANNED, RUNNING, Batch, Job, Stock, now
from sketchloom.core.logbook.store import Kept, Logbook
from sketchloom.core.sheets.choices import MAX_OFFCUTS, Offcut, rings_from_text
from sketchloom.core.sheets.material import Material
from sketchloom.core.sheets.prices import AREA, Price, Prices

_MONTHS = 12
_FITTED = 1000
"""Jobs that rates are fitted to: a workshop changes, and older ones say little of it."""


@dataclass(frozen=True, slots=True)
class Names:
    """What materials are called, beside their keys."""

    of: dict[str, tuple[str, ...]]

    @classmethod
    def from_table(cls, table: Iterable[Material], said_as=str) -> "Names":
        return cls({m.key: (m.name, said_as(m.name)) for m in table})

    def __call__(self, key: str) -> tuple[str, ...]:
        return self.of.get(key, ())


def ran(book: Logbook, number: int, state: str, names: Names, prices: Prices, real_s: float = 0.0) -> tuple[Taken, ...]:
    """A job runs now, is done, failed, or did not run after all: what it takes of the stock is taken or given back, and
    its rests come in when it is done. What was to be taken and is not there.

    Raises
    ------
    LogbookError : it cannot be written, or is gone.
    """
    with book.changing():
        return _ran(book, number, state, names, prices, real_s)


def _ran(book, number, state, names, prices, real_s):
    kept = book.one(Job, number)
    if kept is None:
        raise AppError(said("Entry {number} is not there.", number=number))
    job, accounts = kept.one, inventory.accounts_of(kept.one)
    stock = book.all(Stock)
    changed: list[tuple[int, Stock]] = []
    missing: tuple[Taken, ...] = ()
    if state in (PLANNED, FAILED):  # what failed leaves no rests
        for entry in accounts.gave:
            book.drop(Stock, entry)
        stock = [one for one in stock if one.number not in accounts.gave]
        accounts = replace(accounts, gave=())
    if state == PLANNED:
        changed = inventory.given_back(stock, accounts.booked)
        accounts = replace(accounts, booked=())
        job = replace(job, began="", ended="", real_s=0.0)
    elif not accounts.booked:
        changed, booked, missing = inventory.taken_from(stock, accounts.takes, names)
        accounts = replace(accounts, booked=booked)
    if state == RUNNING:
        job = replace(job, began=now())
    elif state in (DONE, FAILED):
        job = replace(job, ended=now(), real_s=real_s if state == DONE else job.real_s)
    if state == DONE and not accounts.gave:
        left = inventory.offcuts_left(number, inventory.rests_of(job), lambda key: _price(prices, key))
        accounts = replace(accounts, gave=tuple(book.put(one) for one in left))
    takes = inventory.as_text(accounts) if accounts != Accounts() else ""
    for n, one in (*changed, (number, replace(job, state=state, takes=takes))):
        book.put_over(n, one)
    return missing if stock else ()  # who keeps no stock is not told of it


def _price(prices, key):
    """Of a mm² of a material, 0 where it is not known by its area."""
    price = prices.of(key)
    return price.amount / 1e6 if price is not None and price.per == AREA else 0.0


def fits(book: Logbook, machine: str = "") -> tuple[Fitted, list[int], list[int]]:
    """Rates fitted to the newest jobs of a machine, of all of them where none is said, the numbers of the jobs that do
    not go with the others, and their places among all of the machine's, counted from the newest (-1).

    Raises
    ------
    AppError : there are too few.
    """
    where: dict[str, Any] = {"machine": machine} if machine else {}
    kept = book.all(Job, limit=_FITTED, **where)[::-1]
    found = fitted([one.one for one in kept])
    return found, [kept[n].number for n in found.wrong], [n - len(kept) for n in found.wrong]


@dataclass(frozen=True, slots=True)
class Service:
    """What a machine did: ``jobs`` that are done, the ``seconds`` they took where that was said, and the ``last``."""

    jobs: int
    seconds: float
    last: str


def service_of(book: Logbook, machine: str) -> Service:
    """Of a machine by its name."""
    ((count, seconds, last),) = book.read(
        "SELECT count(*), total(real_s), max(ended) FROM jobs WHERE machine = ? AND state = ?", (machine, DONE))
    return Service(count, seconds, last or "")


def timed_machines(book: Logbook) -> list[str]:
    """Machines that have jobs with a real time, the one with most of them first."""
    return [name for (name,) in book.read(
        "SELECT machine FROM jobs WHERE real_s > 0 GROUP BY machine ORDER BY count(*) DESC, machine")]


def price_of(batch: Batch, names: Names) -> Price | None:
    """What a batch says of the price of its material, as plans take it; None where it says none."""
    key = batch.material or next((key for key, its in names.of.items() if batch.name.strip().casefold() in {
        key.casefold(), *(name.casefold() for name in its)}), batch.name.strip())
    return Price(key, batch.price, batch.per) if batch.price > 0 else None


def proposals(book: Logbook, plan, given: tuple[Offcut, ...], names: Names) -> list[Kept]:
    """Rests of the stock that suit a plan and are not among those it is given."""
    materials = [(sheet.group.material, sheet.group.hex) for sheet in plan.sheets if sheet.group.material]
    there = {one.stock for one in given}
    return [kept for kept in inventory.proposed(book.all(Stock), materials, names)
            if kept.number not in there]


def as_offcuts(some: Iterable[Kept], names: Names) -> tuple[Offcut, ...]:
    """Rests of the stock as a work is given them, one for each of a count."""
    made = []
    for kept in some:
        one = kept.one
        key = next((k for k in names.of if inventory.is_of(one, k, names(k))), one.material)
        its = Offcut(one.width_mm, one.height_mm, key, one.hex or None,
                     rings_from_text(one.outline) if one.outline else (), kept.number)
        made += [its] * min(one.count, MAX_OFFCUTS)
    return tuple(made[:MAX_OFFCUTS])


def month(book: Logbook, year: int, number: int) -> dict[int, list[tuple[int, str, str]]]:
    """Jobs of a month by their day: entry, what the work is called, and its state."""
    following = (year, number + 1) if number < _MONTHS else (year + 1, 1)
    made: dict[int, list[tuple[int, str, str]]] = {}
    for entry, at, work, state in book.brief(Job, ("at", "work", "state"), f"{year:04}-{number:02}",
                                             f"{following[0]:04}-{following[1]:02}"):
        made.setdefault(int(at[8:10] or 1), []).append((entry, work, state))
    return made


def amounts(book: Logbook) -> list[Amount]:
    """What there is of each material."""
    return inventory.amounts(kept.one for kept in book.all(Stock) if kept.one.count or kept.one.least)
