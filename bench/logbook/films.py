"""Simulated films, and how they are found right by the model, and by bisection on force alone."""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.logbook.records import NOT_THROUGH, RIGHT, TOO_DEEP, TORN
from sketchloom.core.logbook.trials import KNOWN, Guesses, Settings

SETTINGS = Settings()
_MOST = 40
_REFERENCE = 50.0


@dataclass(frozen=True)
class Film:
    """A film with its limits; it answers a try."""

    family: str
    low: float
    width: float
    tears: float
    slope: float

    def verdict(self, force, speed):
        bite = np.log(force) - self.slope * np.log(speed / _REFERENCE)
        if bite < self.low:
            return NOT_THROUGH
        if np.log(speed) > self.tears:
            return TORN
        return RIGHT if bite <= self.low + self.width else TOO_DEEP

    @property
    def windows(self):
        """How many windows of its width lie in the range of forces that its family is found in (± 2.5 spreads)."""
        return int(np.ceil((5 * np.log(KNOWN[self.family].spread) + self.width) / self.width))


def films(count, seed):
    """Films of all families by rule. Their limits are drawn wider than the model takes them to be, and the window is
    never narrower than a step of the force."""
    rng = np.random.default_rng(seed)
    made = []
    for n in range(count):
        family = list(KNOWN)[n % len(KNOWN)]
        known = KNOWN[family]
        low = np.log(known.force) + 1.1 * np.log(known.spread) * np.clip(rng.normal(), -2.2, 2.2)
        width = np.log1p(known.window) * np.exp(1.1 * np.log(known.window_spread) * np.clip(rng.normal(), -2, 2))
        width = max(width, np.log1p(1.5 * SETTINGS.force[2] / np.exp(low)))
        tears = np.log(known.speed) + 1.1 * np.log(known.speed_spread) * np.clip(rng.normal(), -2, 2)
        made.append(Film(family, low, width, tears, float(np.clip(0.12 + 0.06 * rng.normal(), 0.0, 0.3))))
    return made


def by_model(film):
    """Tries until one is right."""
    guesses, tried = Guesses(film.family), []
    for count in range(1, _MOST + 1):
        one = guesses.next(SETTINGS, tried)
        verdict = film.verdict(one.force, one.speed)
        if verdict == RIGHT:
            return count
        tried.append((one.force, one.speed))
        guesses.take(one.force, one.speed, verdict)
    return _MOST


def by_bisection(film):
    """The same by halving the machine's forces at its middle speed; a slower one where it tears."""
    low, high, speed = SETTINGS.force[0], SETTINGS.force[1], sum(SETTINGS.speed[:2]) / 2
    for count in range(1, _MOST + 1):
        force = (low + high) / 2
        verdict = film.verdict(force, speed)
        if verdict == RIGHT:
            return count
        if verdict == TORN:
            speed /= 2
        elif verdict == NOT_THROUGH:
            low = force
        else:
            high = force
    return _MOST


def best_possible(film):
    """Tries that are enough for who knows the film's own window and the range of its family, and halves: with three
    answers k tries find one of 2 ** k - 1 windows."""
    return int(np.ceil(np.log2(film.windows + 1)))
