"""The next try of a test cut: fewest expected, by what stars cut so far say of force and speed.

What a blade does to a film is one number, its bite: the logarithm of the force less a share of that of the speed, as a
faster blade cuts less deep. Below one bite it does not go through, above another it goes too deep, between them it is
right; beyond a speed corners tear or lift. So everything is monotone: more force never cuts less, a slower blade never
tears more. Where the three limits lie is not known; they are a cloud of guesses drawn from what the material's family
is known for (from memory), each weighed by how well it explains the verdicts (importance sampling; Bayes's rule). The
next try is the one most likely to be right, and of those nearly as likely the one that tells most (the expected entropy
of its verdict).
"""

from dataclasses import dataclass

import numpy as np
from scipy.special import ndtr, ndtri
from scipy.stats import qmc

from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.said import said
from sketchloom.core.logbook.records import LIFTED, NOT_THROUGH, RIGHT, TOO_DEEP, TORN, Try

GUESSES = 4096
"""Of where the limits lie (our own; a proposal takes a few tenths of a second)."""
_SEED = 7
_NOISE = 0.03
"""How far, in logarithms of the force, a verdict may be off: a hand and an eye are not exact (our own)."""
_NEAR = 0.92
"""A try this near to the most likely one is as good, if it tells more (our own, chosen on nothing)."""


@dataclass(frozen=True, slots=True)
class Family:
    """What is known of a family before a star is cut: the force that first goes through at 50 mm/s, as the middle and
    the spread (a factor, one standard deviation) of its logarithm, how much more is too deep (a share), and the speed
    beyond which it tears, mm/s, with its spread. In grams; from memory, for a blade that is not worn."""

    force: float
    spread: float
    window: float
    window_spread: float
    speed: float
    speed_spread: float


_REFERENCE = 50.0
KNOWN = {
    "film": Family(75.0, 1.35, 0.30, 1.4, 320.0, 1.5), "heat film": Family(95.0, 1.35, 0.28, 1.4, 220.0, 1.5),
    "flake film": Family(190.0, 1.4, 0.25, 1.4, 110.0, 1.5), "flocked film": Family(130.0, 1.35, 0.28, 1.4, 160.0, 1.5),
    "paper": Family(110.0, 1.5, 0.40, 1.4, 200.0, 1.6), "card": Family(210.0, 1.45, 0.35, 1.4, 120.0, 1.6),
    "fabric": Family(180.0, 1.5, 0.35, 1.4, 90.0, 1.6),
}
OTHER = Family(150.0, 1.8, 0.35, 1.5, 120.0, 1.8)
"""Of what is none of them."""


@dataclass(frozen=True, slots=True)
class Settings:
    """What a machine can be set to: forces and speeds, each least, most and step."""

    force: tuple[float, float, float] = (10.0, 500.0, 5.0)
    speed: tuple[float, float, float] = (10.0, 400.0, 10.0)

    def __post_init__(self):
        for name in ("force", "speed"):
            low, high, step = getattr(self, name)
            if not 0 < low <= high or not step > 0:
                raise SettingError(name, said("least, most and step above 0, in this order"), getattr(self, name))

    def forces(self) -> np.ndarray:
        return np.arange(self.force[0], self.force[1] + 1e-9, self.force[2])

    def speeds(self) -> np.ndarray:
        return np.arange(self.speed[0], self.speed[1] + 1e-9, self.speed[2])


@dataclass(frozen=True, slots=True)
class Proposal:
    """Force and speed to try, how likely they are ``right``, and how sure the model is of its limits: ``low`` and
    ``high``, the forces between which nine of ten guesses at this speed are right."""

    force: float
    speed: float
    right: float
    low: float
    high: float


class Guesses:
    """Where the limits of one material may lie, weighed by the verdicts so far."""

    def __init__(self, family: str, tries: tuple[Try, ...] = (), known: Family | None = None):
        prior = known or KNOWN.get(family, OTHER)
        # a low discrepancy sequence through the normal's quantiles: even where few guesses are (Sobol 1967)
        cube = qmc.Sobol(4, scramble=True, seed=_SEED).random(GUESSES)
        unit = ndtri(np.clip(cube, 1e-6, 1 - 1e-6))
        self.low = np.log(prior.force) + np.log(prior.spread) * unit[:, 0]
        self.width = np.log1p(prior.window) * np.exp(np.log(prior.window_spread) * unit[:, 1])
        self.tears = np.log(prior.speed) + np.log(prior.speed_spread) * unit[:, 2]
        self.slope = np.clip(0.12 + 0.05 * unit[:, 3], 0.0, 0.3)
        self.weight = np.full(GUESSES, 1.0 / GUESSES)
        for one in tries:
            self.take(one.force, one.speed, one.verdict)

    def chances(self, force, speed) -> np.ndarray:
        """How likely each guess makes not through, right, too deep, torn: (4, guesses) for one setting."""
        bite = np.log(force) - self.slope * np.log(speed / _REFERENCE)
        through = ndtr((bite - self.low) / _NOISE)
        deep = ndtr((bite - self.low - self.width) / _NOISE)
        torn = ndtr((np.log(speed) - self.tears) / _NOISE)
        whole = 1 - torn
        return np.stack([1 - through, (through - deep) * whole, deep * whole, through * torn])

    def take(self, force: float, speed: float, verdict: str) -> None:
        """Weigh the guesses by what a star showed."""
        kinds = {NOT_THROUGH: 0, RIGHT: 1, TOO_DEEP: 2, TORN: 3, LIFTED: 3}
        if verdict not in kinds:
            raise SettingError("verdict", said("one of {choices}", choices=", ".join(kinds)), verdict)
        weight = self.weight * np.maximum(self.chances(force, speed)[kinds[verdict]], 1e-4)
        self.weight = weight / weight.sum()

    def expected(self, forces, speeds) -> np.ndarray:
        """The four chances of every setting, (4, forces, speeds), over all guesses."""
        made = np.empty((4, len(forces), len(speeds)))
        told = self.weight > _SPECK * self.weight.max()  # after a few verdicts most guesses are out
        low, width, tears, slope, weight = (one[told] for one in (self.low, self.width, self.tears, self.slope,
                                                                  self.weight))
        weight = weight / weight.sum()
        for j, speed in enumerate(speeds):
            bite = np.log(forces)[:, None] - slope * np.log(speed / _REFERENCE) - low
            through, deep = ndtr(bite / _NOISE), ndtr((bite - width) / _NOISE)
            torn = ndtr((np.log(speed) - tears) / _NOISE)
            made[0, :, j] = 1 - through @ weight
            made[1, :, j] = (through - deep) @ (weight * (1 - torn))
            made[2, :, j] = deep @ (weight * (1 - torn))
            made[3, :, j] = through @ (weight * torn)
        return made

    def next(self, settings: Settings, tried=()) -> Proposal:
        """What to try next. ``tried``: settings (force, speed) that are not proposed again."""
        forces, speeds = settings.forces(), settings.speeds()
        speeds = speeds[:: max(len(speeds) // _SPEEDS, 1)]
        forces = forces[np.abs(np.log(forces) - self.weight @ self.low) < _REACH] if len(forces) > _FORCES else forces
        if not len(forces):
            forces = settings.forces()
        forces = forces[:: max(len(forces) // _FORCES, 1)]
        chances = self.expected(forces, speeds)
        right = chances[RIGHT_AT].copy()
        for force, speed in tried:
            right[np.ix_(np.isclose(forces, force), np.isclose(speeds, speed))] = -1.0
        shown = np.clip(chances, 1e-12, 1)
        told = -(shown * np.log(shown)).sum(0)
        good = right >= _NEAR * right.max()
        i, j = np.unravel_index(np.where(good, told, -1.0).argmax(), told.shape)
        return self._proposal(float(forces[i]), float(speeds[j]), float(max(right[i, j], 0.0)))

    def _proposal(self, force, speed, right):
        return Proposal(force, speed, right, *self.limits(speed))

    def limits(self, speed: float) -> tuple[float, float]:
        """Forces between which nine of ten guesses are right at a speed; one force where they are at odds."""
        shift = self.slope * np.log(speed / _REFERENCE)
        low = _quantile(self.low + shift, self.weight, 0.95)
        high = _quantile(self.low + self.width + shift, self.weight, 0.05)
        return float(np.exp(low)), float(np.exp(max(high, low)))

    def right_at(self, force: float, speed: float) -> float:
        """How likely a setting is right."""
        return float(self.chances(force, speed)[RIGHT_AT] @ self.weight)


RIGHT_AT = 1
_FORCES, _SPEEDS, _REACH = 60, 12, 1.2
_SPECK = 1e-6


def _quantile(values, weight, share):
    order = np.argsort(values)
    return values[order][min(int(np.searchsorted(np.cumsum(weight[order]), share)), len(values) - 1)]


def ladder(guesses: Guesses, settings: Settings, rows: int = 3, columns: int = 4) -> list[tuple[float, float]]:
    """Forces and speeds of a piece with several stars: forces from where one in twenty guesses goes through to where
    one in twenty is not yet too deep, speeds below what tears. Row by row, each a speed."""
    low = _quantile(guesses.low, guesses.weight, 0.05)
    high = _quantile(guesses.low + guesses.width, guesses.weight, 0.95)
    fast = np.exp(_quantile(guesses.tears, guesses.weight, 0.1))
    speeds = [_step(v, settings.speed) for v in np.linspace(fast, max(fast / rows, settings.speed[0]), rows)]
    forces = [_step(np.exp(v), settings.force) for v in np.linspace(low, high, columns)]
    return [(force, speed) for speed in speeds for force in forces]


def _step(value, of):
    low, high, step = of
    return float(np.clip(low + round((value - low) / step) * step, low, high))
