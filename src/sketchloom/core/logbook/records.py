"""What the logbook keeps: materials by batch, tools, test cuts, jobs, stock, approvals.

Each kind is described once, here: its table, its columns in CSV, its fields in JSON and the words of the command are
made from that. Times are ISO 8601 in local time with its offset, lengths mm, areas mm², times s.
"""

from dataclasses import dataclass, fields
from datetime import datetime
from typing import Any

import numpy as np

from sketchloom.core.base import checks, setting
from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.said import said
from sketchloom.core.base.setting import check_all, settings_of
from sketchloom.core.sheets.choices import rings_from_text as from_text
from sketchloom.core.sheets.machine import KINDS as MACHINE_KINDS
from sketchloom.core.sheets.material import FAMILIES
from sketchloom.core.sheets.prices import PER

NOT_THROUGH, RIGHT, TOO_DEEP, TORN, LIFTED = VERDICTS = ("not through", "right", "too deep", "torn", "lifted")
PLANNED, RUNNING, DONE, FAILED = STATES = ("planned", "running", "done", "failed")
ROLL, SHEET, OFFCUT = STOCK_KINDS = ("roll", "sheet", "offcut")
_LONG = 20_000
_TEXTS = 300


def now() -> str:
    """This moment as it is written down."""
    return datetime.now().astimezone().isoformat(timespec="seconds")


def _moment(name, text, optional=False):
    """Raise SettingError where a text is no moment."""
    if optional and not text:
        return
    try:
        datetime.fromisoformat(text)
    except ValueError:
        raise SettingError(name, said("a moment such as 2026-11-30T14:05"), text) from None


@dataclass(frozen=True, slots=True)
class Batch:
    """A material as it was bought. ``material``: its key in the table of materials, if it is there."""

    name: str = setting.text(setting.REQUIRED, said("Name"), most=_TEXTS)
    family: str = setting.choice(setting.REQUIRED, FAMILIES, said("Family"))
    material: str = setting.text("", said("Material"), most=_TEXTS)
    batch: str = setting.text("", said("Batch"), most=_TEXTS)
    price: float = setting.number(0.0, 0.0, 1e6, said("Price"))
    per: str = setting.choice("m2", PER, said("Price for"), names=(
        said("a sheet"), said("a metre"), said("a square metre")))
    note: str = setting.text("", said("Note"), most=_LONG)
    at: str = setting.text("", said("Bought"), most=40)

    def __post_init__(self):
        check_all(self, "batches.")
        _moment("batches.at", self.at, optional=True)


@dataclass(frozen=True, slots=True)
class Blade:
    """A tool, and since when it is in use."""

    name: str = setting.text(setting.REQUIRED, said("Name"), most=_TEXTS)
    machine: str = setting.text("", said("Machine"), most=_TEXTS)
    since: str = setting.text("", said("New since"), most=40)
    note: str = setting.text("", said("Note"), most=_LONG)

    def __post_init__(self):
        check_all(self, "blades.")
        _moment("blades.since", self.since, optional=True)


@dataclass(frozen=True, slots=True)
class Device:
    """A machine of the workshop, and since when it is there. ``described``: as the table of machines has it, as JSON:
    with the logbook it comes along to another computer."""

    name: str = setting.text(setting.REQUIRED, said("Name"), most=_TEXTS)
    kind: str = setting.choice(setting.REQUIRED, MACHINE_KINDS, said("Kind"), names=(
        said("blade cutter"), said("laser"), said("router"), said("pen plotter")))
    since: str = setting.text("", said("In use since"), most=40)
    note: str = setting.text("", said("Note"), most=_LONG)
    described: str = setting.text("", said("Description"), most=500_000)

    def __post_init__(self):
        check_all(self, "machines.")
        _moment("machines.since", self.since, optional=True)


@dataclass(frozen=True, slots=True)
class Try:
    """One star of a test cut and what came of it. ``ladder``: the tries of one piece share it; ``number`` on it."""

    material: str = setting.text(setting.REQUIRED, said("Material"), most=_TEXTS)
    family: str = setting.choice(setting.REQUIRED, FAMILIES, said("Family"))
    force: float = setting.number(setting.REQUIRED, 0.0, 1e6, said("Force"))
    speed: float = setting.number(setting.REQUIRED, 0.01, 1e5, said("Speed"))
    verdict: str = setting.choice(setting.REQUIRED, VERDICTS, said("Verdict"), names=(
        said("not through"), said("right"), said("too deep"), said("torn"), said("corner lifted")))
    machine: str = setting.text("", said("Machine"), most=_TEXTS)
    blade: str = setting.text("", said("Tool"), most=_TEXTS)
    passes: int = setting.whole(1, 1, 20, said("Passes"))
    ladder: str = setting.text("", said("Test piece"), most=_TEXTS)
    number: int = setting.whole(1, 1, 1000, said("Number"))
    picture: str = setting.text("", said("Picture"), most=_TEXTS)
    at: str = setting.text("", said("When"), most=40)

    def __post_init__(self):
        check_all(self, "tests.")
        _moment("tests.at", self.at, optional=True)


@dataclass(frozen=True, slots=True)
class Piece:
    """A piece with several stars that was written to be cut: its tries name it as their ``ladder``. ``stars``: force
    and speed of each, by their numbers on the film, as ``90,50`` with blanks between."""

    name: str = setting.text(setting.REQUIRED, said("Name"), most=_TEXTS)
    material: str = setting.text(setting.REQUIRED, said("Material"), most=_TEXTS)
    family: str = setting.choice(setting.REQUIRED, FAMILIES, said("Family"))
    stars: str = setting.text(setting.REQUIRED, said("Stars"), most=_LONG)
    machine: str = setting.text("", said("Machine"), most=_TEXTS)
    at: str = setting.text("", said("When"), most=40)

    def __post_init__(self):
        check_all(self, "pieces.")
        _moment("pieces.at", self.at, optional=True)
        self.settings()

    def settings(self) -> tuple[tuple[float, float], ...]:
        """Force and speed of each star."""
        try:
            made = tuple((float(f), float(s)) for f, s in (one.split(",") for one in self.stars.split()))
        except ValueError:
            made = ()
        if not made or not all(0 <= f <= 1e6 and 0 < s <= 1e5 for f, s in made):
            raise SettingError("pieces.stars", said("pairs of force and speed such as 90,50 120,50"), self.stars[:40])
        return made

    @classmethod
    def of(cls, name: str, material: str, family: str, tries, machine: str = "") -> "Piece":
        """Of the tries of a ladder."""
        return cls(name, material, family, " ".join(f"{f:g},{s:g}" for f, s in tries), machine, now())


@dataclass(frozen=True, slots=True)
class Job:
    """What was released. ``digest`` of its files, ``settings`` of the work as JSON, ``planned_s`` with its parts
    (``cut_s`` to ``lay_s``) and ``real_s`` as it came out, 0 while that is not known. ``source``: the work's own file;
    ``takes`` of the stock and ``rests`` it leaves (``inventory``), ``paces`` its parts were planned at and the
    ``motion`` of its cuts (``calibration``), as JSON."""

    work: str = setting.text(setting.REQUIRED, said("Work"), most=_TEXTS)
    files: str = setting.text("", said("Files"), most=_LONG)
    digest: str = setting.text("", said("Digest"), most=128)
    width_mm: float = setting.length(0.0, 0.0, 1e6, said("Width"))
    height_mm: float = setting.length(0.0, 0.0, 1e6, said("Height"))
    sheets: int = setting.whole(0, 0, 10_000, said("Sheets"))
    machine: str = setting.text("", said("Machine"), most=_TEXTS)
    material: str = setting.text("", said("Material"), most=_LONG)
    planned_s: float = setting.number(0.0, 0.0, 1e8, said("Planned, s"))
    real_s: float = setting.number(0.0, 0.0, 1e8, said("Real, s"))
    cut_s: float = setting.number(0.0, 0.0, 1e8, said("Cutting, s"))
    travel_s: float = setting.number(0.0, 0.0, 1e8, said("Travelling, s"))
    lift_s: float = setting.number(0.0, 0.0, 1e8, said("Lifting, s"))
    weed_s: float = setting.number(0.0, 0.0, 1e8, said("Weeding, s"))
    lay_s: float = setting.number(0.0, 0.0, 1e8, said("Laying, s"))
    film_mm2: float = setting.number(0.0, 0.0, 1e12, said("Film, mm²"))
    cost: float = setting.number(0.0, 0.0, 1e9, said("Cost"))
    state: str = setting.choice(PLANNED, STATES, said("State"), names=(
        said("planned"), said("running"), said("done"), said("failed")))
    customer: str = setting.text("", said("Customer"), most=_TEXTS)
    note: str = setting.text("", said("Note"), most=_LONG)
    settings: str = setting.text("", said("Settings"), most=50_000_000)
    picture: str = setting.text("", said("Picture"), most=_TEXTS)
    source: str = setting.text("", said("File of the work"), most=_LONG)
    takes: str = setting.text("", said("Takes of the stock"), most=1_000_000)
    rests: str = setting.text("", said("Rests"), most=5_000_000)
    paces: str = setting.text("", said("Paces"), most=_TEXTS)
    motion: str = setting.text("", said("Motion"), most=2000)
    at: str = setting.text("", said("When"), most=40)
    began: str = setting.text("", said("Began"), most=40)
    ended: str = setting.text("", said("Ended"), most=40)

    def __post_init__(self):
        check_all(self, "jobs.")
        for name in ("at", "began", "ended"):
            _moment(f"jobs.{name}", getattr(self, name), optional=True)


@dataclass(frozen=True, slots=True)
class Stock:
    """A roll, a sheet or an offcut. ``outline``: of an offcut, ``x,y`` pairs in mm with blanks between, those of each
    window after a semicolon; ``count`` of sheets; ``value`` of all of it; ``least``: what is less than so much of its
    material is short; ``job``: whose rest it is, 0 for none; ``hex``: its colour, empty for any."""

    material: str = setting.text(setting.REQUIRED, said("Material"), most=_TEXTS)
    width_mm: float = setting.length(setting.REQUIRED, 1.0, 1e5, said("Width"))
    height_mm: float = setting.length(setting.REQUIRED, 0.0, 1e6, said("Length"))
    kind: str = setting.choice(SHEET, STOCK_KINDS, said("Kind"), names=(said("roll"), said("sheet"), said("offcut")))
    count: int = setting.whole(1, 0, 100_000, said("Count"))
    value: float = setting.number(0.0, 0.0, 1e9, said("Value"))
    least: float = setting.number(0.0, 0.0, 1e9, said("Short below, mm²"))
    outline: str = setting.text("", said("Outline"), most=1_000_000)
    job: int = setting.whole(0, 0, 2**53, said("Rest of job"))
    hex: str = setting.text("", said("Colour"), most=7)
    note: str = setting.text("", said("Note"), most=_LONG)
    at: str = setting.text("", said("When"), most=40)

    def __post_init__(self):
        check_all(self, "stock.")
        if self.hex:
            checks.colour("stock.hex", self.hex)
        if self.outline:
            from_text(self.outline)
        _moment("stock.at", self.at, optional=True)

    @property
    def area_mm2(self) -> float:
        """How much of it there is, an offcut by its outline."""
        if not self.outline:
            return self.count * self.width_mm * self.height_mm
        whole, *windows = (abs(_shoelace(np.array(ring))) for ring in from_text(self.outline))
        return self.count * (whole - sum(windows))


def _shoelace(ring):
    x, y = ring.T
    return 0.5 * float(x @ np.roll(y, -1) - y @ np.roll(x, -1))


@dataclass(frozen=True, slots=True)
class Approval:
    """A page that a customer approved, kept as a file."""

    job: int = setting.whole(setting.REQUIRED, 0, 2**53, said("Job"))
    file: str = setting.text(setting.REQUIRED, said("File"), most=_TEXTS)
    digest: str = setting.text("", said("Digest"), most=128)
    by: str = setting.text("", said("By"), most=_TEXTS)
    at: str = setting.text("", said("When"), most=40)

    def __post_init__(self):
        check_all(self, "approvals.")
        _moment("approvals.at", self.at, optional=True)


KINDS: dict[str, type] = {"batches": Batch, "machines": Device, "blades": Blade, "tests": Try, "pieces": Piece,
                          "jobs": Job, "stock": Stock, "approvals": Approval}
"""The tables by their names."""
UNSAID = frozenset(("settings", "outline", "digest", "takes", "rests", "paces", "motion", "described"))
"""Fields that only the program reads."""
NAME_OF = {kind: name for name, kind in KINDS.items()}


def columns(kind: type) -> tuple[str, ...]:
    """The columns of a table, beside its number."""
    return tuple(one.name for one in settings_of(kind))


def values(one) -> tuple[Any, ...]:
    return tuple(getattr(one, f.name) for f in fields(one))
