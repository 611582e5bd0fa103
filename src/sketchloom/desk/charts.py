"""What the logbook's plots show, ready to be painted: marks, bands, lines, and round numbers beside them."""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.logbook.inventory import Amount
from sketchloom.core.logbook.records import LIFTED, NOT_THROUGH, RIGHT, TOO_DEEP, TORN, Try

DOT, RING, CROSS, UP, DOWN, SQUARE = SHAPES = ("dot", "ring", "cross", "up", "down", "square")
OF_VERDICT = {NOT_THROUGH: DOWN, RIGHT: DOT, TOO_DEEP: UP, TORN: CROSS, LIFTED: SQUARE}
"""Verdicts by their shapes, so that they are told apart without colours."""
MOST_MARKS = 4000
"""More are a smear: of more, an even choice is shown."""
_MINUTE = 60.0
_SPEEDS = 24


@dataclass(frozen=True, slots=True, eq=False)
class Axis:
    """An axis from ``low`` to ``high``, by logarithms where ``log``; its ``ticks``."""

    low: float
    high: float
    log: bool = False
    ticks: tuple[float, ...] = ()

    def share(self, values) -> np.ndarray:
        """Where values lie, 0 to 1."""
        values = np.asarray(values, float)
        if self.log:
            values = np.log(np.maximum(values, self.low * 1e-3))
            low, high = np.log(self.low), np.log(self.high)
        else:
            low, high = self.low, self.high
        return (values - low) / max(high - low, 1e-12)


@dataclass(frozen=True, slots=True, eq=False)
class Chart:
    """``marks`` by their kind (a shape): (N, 2) of places; ``band``: (K, 3) of x, lower and upper; ``line``: (K, 2);
    ``bars``: (name, value, least) from above downwards, of one x axis."""

    x: Axis
    y: Axis
    marks: dict[str, np.ndarray]
    band: np.ndarray | None = None
    line: np.ndarray | None = None
    bars: tuple[tuple[str, float, float], ...] = ()

    @property
    def count(self) -> int:
        return sum(len(one) for one in self.marks.values())


def _ticks(low, high, most=6):
    """Round numbers between two, at most so many (1, 2 or 5 times a power of ten)."""
    if not high > low:
        return ()
    raw = (high - low) / most
    power = 10.0 ** np.floor(np.log10(raw))
    step = next(power * n for n in (1, 2, 5, 10) if power * n >= raw)
    first = np.ceil(low / step - 1e-9)
    return tuple(float(v) + 0.0 for v in step * np.arange(first, np.floor(high / step + 1e-9) + 1))


def _log_ticks(low, high):
    powers = range(int(np.floor(np.log10(low))), int(np.ceil(np.log10(high))) + 1)
    each = (1, 2, 5) if len(powers) <= 4 else (1,)
    return tuple(float(n * 10.0 ** p) for p in powers for n in each if low <= n * 10.0 ** p <= high)


def times(planned_real, wrong=()) -> Chart | None:
    """Minutes that jobs took by those that were planned, with the line where both are one.

    Parameters
    ----------
    planned_real : (N, 2) s, 0 where not known. wrong : places in it of jobs that do not go with the
    others, from its end where they are below 0.

    Returns
    -------
    made : None while no job's time is known.
    """
    rows = np.asarray(planned_real, float).reshape(-1, 2)
    odd = np.zeros(len(rows), bool)
    odd[list(wrong)] = True
    known = (rows > 0).all(1)
    rows, odd = rows[known] / _MINUTE, odd[known]
    if not len(rows):
        return None
    low, high = float(rows.min()) / 1.3, float(rows.max()) * 1.3
    axis = Axis(low, high, True, _log_ticks(low, high))
    step = max(len(rows) // MOST_MARKS, 1)
    return Chart(axis, axis, {DOT: rows[~odd][::step], RING: rows[odd][:MOST_MARKS]},
                 line=np.array([[low, low], [high, high]]))


def verdicts(family: str, tries: tuple[Try, ...]) -> Chart | None:
    """Force by speed with what came of it, and the band in which nine of ten guesses of the model are right; None while
    there is no try."""
    if not tries:
        return None
    from sketchloom.core.logbook.trials import Guesses, Settings

    settings, guesses = Settings(), Guesses(family, tries)
    places = np.array([(one.speed, one.force) for one in tries])
    fast = max(float(places[:, 0].max()) * 1.25, 60.0)
    speeds = np.linspace(settings.speed[0], min(fast, settings.speed[1]), _SPEEDS)
    band = np.array([(v, *guesses.limits(float(v))) for v in speeds])
    high = max(float(places[:, 1].max()), float(np.median(band[:, 2]))) * 1.25
    verdict = np.array([one.verdict for one in tries])
    marks = {shape: places[verdict == name][-MOST_MARKS:] for name, shape in OF_VERDICT.items()}
    return Chart(Axis(0.0, float(speeds[-1]), ticks=_ticks(0.0, float(speeds[-1]))),
                 Axis(0.0, high, ticks=_ticks(0.0, high)), marks, band=band)


def stock(amounts: list[Amount]) -> Chart | None:
    """Square metres of each material, with what is short; None where there is nothing."""
    bars = tuple((one.material, one.area_mm2 / 1e6, one.least / 1e6) for one in amounts)
    high = max((max(value, least) for _, value, least in bars), default=0.0) * 1.1
    if not high:
        return None
    return Chart(Axis(0.0, high, ticks=_ticks(0.0, high)), Axis(0.0, float(len(bars))), {}, bars=bars)
