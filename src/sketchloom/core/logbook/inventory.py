"""Stock: what a job takes of it and leaves, what is given back, what suits a material, what is short."""

import json
from collections.abc import Iterable, Sequence
from dataclasses import dataclass, replace

from sketchloom.core.base import plain
from sketchloom.core.base.errors import SettingError
from sketchloom.core.logbook.records import OFFCUT, ROLL, SHEET, Job, Stock, now
from sketchloom.core.logbook.store import Kept

_NEAR_MM = 2.0
"""A sheet of the stock within so much of a carrier's size is one for it."""


@dataclass(frozen=True, slots=True)
class Taken:
    """What a job takes of a material: ``sheets`` of a size, or ``length_mm`` of a roll of ``width_mm``, or as many
    of the rest that is the ``entry`` of the stock."""

    material: str
    hex: str
    width_mm: float
    height_mm: float
    sheets: int = 0
    length_mm: float = 0.0
    entry: int = 0


@dataclass(frozen=True, slots=True)
class Left:
    """A rest that a job leaves: its box and its outline (as of ``Stock``)."""

    material: str
    hex: str
    width_mm: float
    height_mm: float
    outline: str = ""


@dataclass(frozen=True, slots=True)
class Booking:
    """What was taken, so that it can be given back: of which entry how many ``sheets`` and how much ``length_mm``, and
    what it was worth."""

    entry: int
    sheets: int
    length_mm: float
    value: float


@dataclass(frozen=True, slots=True)
class Accounts:
    """What a job has to do with the stock: what it ``takes``, what was ``booked`` for it, the entries it ``gave``."""

    takes: tuple[Taken, ...] = ()
    booked: tuple[Booking, ...] = ()
    gave: tuple[int, ...] = ()


def accounts_of(job: Job) -> Accounts:
    """Of a job; empty ones where it says nothing that can be read."""
    try:
        return plain.from_plain(json.loads(job.takes), Accounts, "takes") if job.takes else Accounts()
    except (ValueError, SettingError, RecursionError):
        return Accounts()


def rests_of(job: Job) -> tuple[Left, ...]:
    """The rests a job leaves."""
    try:
        return plain.from_plain(json.loads(job.rests), tuple[Left, ...], "rests") if job.rests else ()
    except (ValueError, SettingError, RecursionError):
        return ()


def as_text(one) -> str:
    """Accounts, or rests, as a job keeps them."""
    return json.dumps(plain.to_plain(one), ensure_ascii=False, separators=(",", ":"))


def is_of(stock: Stock, material: str, names: Iterable[str] = ()) -> bool:
    """Whether a stock is of a material (its key), which may be called by other ``names`` as well."""
    return stock.material.strip().casefold() in {material.casefold(), *(n.casefold() for n in names)}


def suits(stock: Stock, taken: Taken, names: Iterable[str] = ()) -> bool:
    """Whether something can be taken of a stock: of the material, of the colour where it says one, large enough."""
    if not stock.count or not is_of(stock, taken.material, names) or (
            stock.hex and taken.hex and stock.hex.casefold() != taken.hex.casefold()):
        return False
    if taken.length_mm:
        return (stock.kind == ROLL and stock.height_mm > 0 and abs(stock.width_mm - taken.width_mm) <= _NEAR_MM)
    if stock.kind != SHEET:
        return False
    sides, its = sorted((stock.width_mm, stock.height_mm)), sorted((taken.width_mm, taken.height_mm))
    return sides[0] >= its[0] - _NEAR_MM and sides[1] >= its[1] - _NEAR_MM


def taken_from(stock: Sequence[Kept], takes: Sequence[Taken], names=lambda key: ()
               ) -> tuple[list[tuple[int, Stock]], tuple[Booking, ...], tuple[Taken, ...]]:
    """Take what a job needs: the changed entries, what is booked, and what is not there.

    The smallest sheets that suit go first, and of rolls the shortest that is long enough, else what there is.
    """
    shelf = _Shelf(stock)
    missing = tuple(one for taken in takes for one in shelf.take(taken, names(taken.material)))
    changed = [(entry, shelf.there[entry]) for entry in dict.fromkeys(one.entry for one in shelf.booked)]
    return changed, tuple(shelf.booked), missing


class _Shelf:
    """The stock while something is taken of it."""

    def __init__(self, stock):
        self.there = {kept.number: kept.one for kept in stock}
        self.booked: list[Booking] = []

    def take(self, taken, names):
        """Take what there is; what there is not."""
        if taken.entry:
            return self._sheets(taken, [taken.entry] if taken.entry in self.there else [])
        fits = sorted((n for n, one in self.there.items() if suits(one, taken, names)),
                      key=lambda n: (self.there[n].width_mm * self.there[n].height_mm, n))
        return self._length(taken, fits) if taken.length_mm else self._sheets(taken, fits)

    def _sheets(self, taken, fits):
        wanted = taken.sheets
        for number in fits:
            part = min(wanted, self.there[number].count)
            if part:
                self._book(number, part, 0.0)
                wanted -= part
        return [replace(taken, sheets=wanted)] if wanted else []

    def _length(self, taken, fits):
        left = taken.length_mm
        for number in sorted(fits, key=lambda n: self.there[n].height_mm < taken.length_mm):
            part = min(left, self.there[number].height_mm)
            if part > 0:
                self._book(number, 0, part)
                left -= part
        return [replace(taken, length_mm=left)] if left > 1e-6 else []

    def _book(self, number, sheets, length_mm):
        one = self.there[number]
        whole = one.height_mm if length_mm else one.count
        value = round(one.value * (1 - min((length_mm or sheets) / whole, 1.0)), 6)
        self.booked.append(Booking(number, sheets, length_mm, one.value - value))
        self.there[number] = replace(one, value=value, count=one.count - sheets, height_mm=one.height_mm - length_mm)


def given_back(stock: Sequence[Kept], booked: Sequence[Booking]) -> list[tuple[int, Stock]]:
    """Entries with what was booked put back; those that are gone are passed over."""
    there = {kept.number: kept.one for kept in stock}
    for one in booked:
        if one.entry in there:
            its = there[one.entry]
            there[one.entry] = replace(its, count=its.count + one.sheets, height_mm=its.height_mm + one.length_mm,
                                       value=its.value + one.value)
    return [(n, there[n]) for n in dict.fromkeys(one.entry for one in booked) if n in there]


def offcuts_left(number: int, rests: Sequence[Left], price_per_mm2=lambda material: 0.0) -> list[Stock]:
    """The rests of a job as stock, each worth its area."""
    made = []
    for rest in (one for one in rests if one.material):
        one = Stock(rest.material, rest.width_mm, rest.height_mm, OFFCUT, outline=rest.outline, job=number,
                    hex=rest.hex, at=now())
        made.append(replace(one, value=min(one.area_mm2 * price_per_mm2(rest.material), 1e9)))
    return made


@dataclass(frozen=True, slots=True)
class Amount:
    """What there is of a material: ``area_mm2``, ``value``, and how little is ``least``, 0 for not said."""

    material: str
    area_mm2: float
    value: float
    least: float

    @property
    def is_short(self) -> bool:
        return self.area_mm2 < self.least


def amounts(stock: Iterable[Stock]) -> list[Amount]:
    """What there is of each material, those that are short first, then by name."""
    made: dict[str, Amount] = {}
    for one in stock:
        key = one.material.strip().casefold()
        so_far = made.get(key, Amount(one.material.strip(), 0.0, 0.0, 0.0))
        made[key] = Amount(so_far.material, so_far.area_mm2 + one.area_mm2, so_far.value + one.value,
                           max(so_far.least, one.least))
    return sorted(made.values(), key=lambda one: (not one.is_short, one.material.casefold()))


def proposed(stock: Sequence[Kept], materials: Sequence[tuple[str, str]], names=lambda key: ()) -> list[Kept]:
    """Rests that suit the materials and colours (key, hex) of a plan: the smallest first, as they are used up first."""
    found = [kept for kept in stock if kept.one.kind == OFFCUT and kept.one.count and any(
        is_of(kept.one, key, names(key)) and (not kept.one.hex or kept.one.hex.casefold() == hex_.casefold())
        for key, hex_ in materials)]
    return sorted(found, key=lambda kept: (kept.one.area_mm2, kept.number))
