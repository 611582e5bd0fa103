"""What a plan takes: time of the machine and of hands with their range, material, and what it costs."""

from dataclasses import dataclass

from sketchloom.core.sheets import prices as price_table
from sketchloom.core.sheets.machine import Machine
from sketchloom.core.sheets.plan import Sheet, Timed
from sketchloom.core.sheets.prices import Line, Prices

_MACHINE_SPREAD = 0.1
"""A machine's own rates are known so well: their values are from memory until they are measured."""


@dataclass(frozen=True, slots=True)
class Used:
    """How much of a material: its key, None where that was not said, ``sheets``, ``metres`` of roll, and ``m2``."""

    material: str | None
    sheets: int
    metres: float
    m2: float


@dataclass(frozen=True, slots=True)
class Tally:
    """Seconds of cutting, travel, lifts, and loading; of weeding and laying by hand; from ``low_s`` to ``high_s`` in
    all. Lengths in mm; ``waste_share`` of the material used; ``lines`` of the quote, none without prices."""

    cut_s: float
    travel_s: float
    lift_s: float
    load_s: float
    weed_s: float
    lay_s: float
    low_s: float
    high_s: float
    cut_mm: float
    travel_mm: float
    naive_mm: float
    used: tuple[Used, ...]
    waste_share: float
    lines: tuple[Line, ...]
    measured: bool

    @property
    def machine_s(self) -> float:
        return self.cut_s + self.travel_s + self.lift_s + self.load_s

    @property
    def hand_s(self) -> float:
        return self.weed_s + self.lay_s

    @property
    def total_s(self) -> float:
        return self.machine_s + self.hand_s

    @property
    def cost(self) -> float:
        return price_table.total(self.lines)


def area_mm2(sheet: Sheet) -> float:
    """What a sheet uses of its material."""
    return sheet.carrier.width_mm * sheet.length_mm


def tally_of(sheets: tuple[Sheet, ...], timed: tuple[Timed, ...], machine: Machine, prices: Prices) -> Tally:
    """All of a plan, whose sheets are ``timed`` at the machine's pace."""
    cut, travel, lift = (sum(getattr(t, name) for t in timed) for name in ("cut_s", "travel_s", "lift_s"))
    load = machine.load_s * len(sheets)
    weed, lay = _by_hand(sheets, timed, prices.rates)
    pace = prices.rates.pace_of(machine.name)
    of_hands, of_machine = prices.rates.spread, _MACHINE_SPREAD
    if pace is not None:
        weed, lay, of_hands, of_machine = weed * pace.weed, lay * pace.lay, pace.spread, pace.spread
    own, hands = cut + travel + lift + load, weed + lay
    used = tuple(_used(sheets, material) for material in dict.fromkeys(s.group.material for s in sheets))
    lines = () if prices.is_empty else price_table.quote(
        prices, [(u.material, u.sheets, u.metres, u.m2) for u in used], own, hands)
    return Tally(
        cut, travel, lift, load, weed, lay, own * (1 - of_machine) + hands * (1 - of_hands),
        own * (1 + of_machine) + hands * (1 + of_hands), sum(t.run.cut_mm for t in timed),
        sum(t.route.travel_mm for t in timed), sum(t.route.naive_mm for t in timed), used, _waste_share(sheets), lines,
        prices.rates.measured or pace is not None)


def _by_hand(sheets, timed, rates):
    """Seconds of weeding and of laying; drawn lines need neither."""
    real = [p for sheet in sheets for p in sheet.placed if not p.ready.test]
    if all(p.part.outline.pen_px is not None for p in real):
        return 0.0, 0.0
    pieces = sum(p.part.outline.pieces for p in real)
    edges_m = sum(t.run.cut_mm for t in timed) / 1000
    return (edges_m * rates.weed_s_per_m + pieces * rates.weed_s_per_piece,
            len(real) * rates.lay_s_per_piece + len(sheets) * rates.lay_s_per_sheet)


def _waste_share(sheets):
    whole = sum(area_mm2(s) for s in sheets)
    taken = sum(p.part.area.area for s in sheets for p in s.placed)
    return 1 - taken / whole if whole else 0.0


def _used(sheets, material):
    mine = [s for s in sheets if s.group.material == material and not s.is_offcut]
    return Used(material, len(mine), sum(s.length_mm for s in mine) / 1000, sum(area_mm2(s) for s in mine) / 1e6)
