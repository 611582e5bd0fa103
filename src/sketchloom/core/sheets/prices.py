"""What material, machine and hands cost, and how long hands take: tables that a user edits."""

from dataclasses import dataclass, replace

from sketchloom.core.base import plain, setting
from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.said import said
from sketchloom.core.base.setting import check_all
from sketchloom.core.sheets.motion import Dynamics

SHEET, METRE, AREA = PER = ("sheet", "metre", "m2")
MAX_LINES = 400
"""More than any workshop has; a guard against hostile files."""


@dataclass(frozen=True, slots=True)
class Price:
    """What a material costs: ``amount`` a sheet of any size, a metre of roll or a square metre."""

    material: str = setting.text(setting.REQUIRED, most=300)
    amount: float = setting.number(setting.REQUIRED, 0.0, 1e6)
    per: str = setting.choice(SHEET, PER)

    def __post_init__(self):
        check_all(self, "prices.materials.")


@dataclass(frozen=True, slots=True)
class Pace:
    """How a ``machine`` (its name), and the hands beside it, really work, as fitted to real jobs. ``cut``: so many
    times as long at full speed; ``acceleration`` and ``corner``: so many times the acceleration and the corner
    tolerance; ``travel`` to ``lay``: so many times the time that is worked out; ``spread`` of jobs about it, a share.
    """

    machine: str = setting.text(setting.REQUIRED, most=300)
    cut: float = setting.number(1.0, 0.02, 50.0, said("Cutting"))
    acceleration: float = setting.number(1.0, 0.02, 50.0, said("Acceleration"))
    corner: float = setting.number(1.0, 0.02, 50.0, said("Corner tolerance"))
    travel: float = setting.number(1.0, 0.02, 50.0, said("Travelling"))
    lift: float = setting.number(1.0, 0.02, 50.0, said("Lifting"))
    weed: float = setting.number(1.0, 0.02, 50.0, said("Weeding"))
    lay: float = setting.number(1.0, 0.02, 50.0, said("Laying"))
    spread: float = setting.number(0.1, 0.0, 0.95)

    def __post_init__(self):
        check_all(self, "prices.paces.")

    def moving(self, dynamics: Dynamics) -> Dynamics:
        """How the machine really moves while it cuts."""
        return Dynamics(dynamics.speed / self.cut, dynamics.acceleration * self.acceleration,
                        dynamics.corner * self.corner)


PARTS = ("cut", "travel", "lift", "weed", "lay")
"""Parts of a plan, in seconds."""
PACES = ("cut", "acceleration", "corner", "travel", "lift", "weed", "lay")
"""What a pace says."""


@dataclass(frozen=True, slots=True)
class Rates:
    """How long hands take: ``weed_s_per_m`` of edges and ``weed_s_per_piece``, ``lay_s_per_piece``, and ``spread``: the
    share by which it may be more or less. The shipped ones are from memory. ``paces``: of machines whose jobs were
    timed."""

    weed_s_per_m: float = setting.number(25.0, 0.0, 10_000.0)
    weed_s_per_piece: float = setting.number(4.0, 0.0, 10_000.0)
    lay_s_per_piece: float = setting.number(20.0, 0.0, 10_000.0)
    lay_s_per_sheet: float = setting.number(60.0, 0.0, 10_000.0)
    spread: float = setting.number(0.35, 0.0, 0.95)
    measured: bool = setting.switch(False)
    paces: tuple[Pace, ...] = setting.parts((), 0, MAX_LINES)

    def __post_init__(self):
        check_all(self, "prices.rates.")

    def pace_of(self, machine: str) -> Pace | None:
        """Of a machine by its name, None where no job of it was timed."""
        return next((one for one in self.paces if one.machine == machine), None)

    def with_pace(self, pace: Pace) -> "Rates":
        """With the pace of a machine in place of the one it had."""
        return replace(self, paces=(*(one for one in self.paces if one.machine != pace.machine), pace))

    def without_pace(self, machine: str) -> "Rates":
        """As worked out again."""
        return replace(self, paces=tuple(one for one in self.paces if one.machine != machine))


@dataclass(frozen=True, slots=True)
class Prices:
    """A price table: ``currency`` as it is written, what ``other`` materials cost a square metre, an hour of the
    machine and of hands, and the ``margin`` on all of it, a share."""

    currency: str = setting.text("", most=12)
    materials: tuple[Price, ...] = setting.parts((), 0, MAX_LINES)
    other_per_m2: float = setting.number(0.0, 0.0, 1e6)
    machine_hour: float = setting.number(0.0, 0.0, 1e6)
    hand_hour: float = setting.number(0.0, 0.0, 1e6)
    margin: float = setting.number(0.0, 0.0, 100.0)
    rates: Rates = Rates()

    def __post_init__(self):
        check_all(self, "prices.")

    @property
    def is_empty(self) -> bool:
        """Whether nothing costs anything: no quote then."""
        return not (self.materials or self.other_per_m2 or self.machine_hour or self.hand_hour)

    def of(self, material: str | None) -> Price | None:
        return next((p for p in self.materials if p.material == material), None)

    def with_price(self, price: Price) -> "Prices":
        """With the price of a material in place of the one it has."""
        return replace(self, materials=(*(p for p in self.materials if p.material != price.material), price))


def from_plain(data, where: str = "prices") -> Prices:
    """A table from plain data of any origin; raises SettingError."""
    if not isinstance(data, dict):
        raise SettingError(where, said("an object"), type(data).__name__)
    return plain.from_plain(data, Prices, where)


def to_plain(prices: Prices) -> dict:
    return plain.to_plain(prices)


@dataclass(frozen=True, slots=True)
class Line:
    """A line of a quote: ``what`` (material, machine, hands, margin), of which ``material``; ``count`` of ``unit``."""

    what: str
    material: str | None
    count: float
    unit: str
    cost: float


def quote(prices: Prices, used, machine_s: float, hand_s: float) -> tuple[Line, ...]:
    """Lines of a quote, the margin last.

    Parameters
    ----------
    used : (material key or None, sheets, metres of roll, m²) of each material.
    """
    lines = []
    for material, sheets, metres, area in used:
        price = prices.of(material)
        per, amount = (AREA, prices.other_per_m2) if price is None else (price.per, price.amount)
        count = {SHEET: float(sheets), METRE: metres, AREA: area}[per]
        lines.append(Line("material", material, count, per, count * amount))
    lines.append(Line("machine", None, machine_s / 3600, "h", machine_s / 3600 * prices.machine_hour))
    lines.append(Line("hands", None, hand_s / 3600, "h", hand_s / 3600 * prices.hand_hour))
    total = sum(line.cost for line in lines)
    if prices.margin:
        lines.append(Line("margin", None, prices.margin, "share", total * prices.margin))
    return tuple(lines)


def total(lines) -> float:
    return sum(line.cost for line in lines)
