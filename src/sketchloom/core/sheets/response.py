"""How long cuts take on a machine that is a little faster or slower, more or less nimble, than the one they were
planned for: worked out at a few such machines, and between them by a polynomial.

All that happens s times as fast has s times the speed and s² times the acceleration, on the same path and with the same
corner tolerance (textbook). So the time at the speed v, the acceleration a and the tolerance δ is that at v/√(a/a₀), a₀
and δ, divided by √(a/a₀): two rates are to be varied, not three.
"""

from collections.abc import Callable

import numpy as np

from sketchloom.core.sheets.motion import Dynamics

_SPEEDS, _CORNERS = np.arange(-2.0, 3.0), np.arange(-1.0, 2.0)
"""Steps of twice the speed and of four times the tolerance (our own); between 0.35 and 2.8 times each rate the
polynomial is 2 % off at most on drawings of squares and circles of many sizes (a test holds it)."""
_TWICE, _FOUR_TIMES = np.log(2.0), np.log(4.0)
SHAPE = (len(_SPEEDS), len(_CORNERS))
_MIDDLE = (len(_SPEEDS) // 2, len(_CORNERS) // 2)


def response(dynamics: Dynamics, seconds: Callable[[Dynamics], float]) -> np.ndarray:
    """(5, 3) seconds that ``seconds`` says of machines about one: by speed, by corner tolerance."""
    def varied(speed, corner):
        return Dynamics(dynamics.speed * 2.0**speed, dynamics.acceleration, dynamics.corner * 4.0**corner)
    return np.array([[seconds(varied(speed, corner)) for corner in _CORNERS] for speed in _SPEEDS])


def as_planned(table) -> np.ndarray:
    """Seconds on the machine itself, of tables (..., 5, 3)."""
    return np.asarray(table)[..., *_MIDDLE]


def seconds_at(tables, speed: float, acceleration: float, corner: float) -> np.ndarray:
    """Seconds by tables (..., 5, 3) at so many times the speed, the acceleration and the corner tolerance."""
    step = (np.log(speed) - 0.5 * np.log(acceleration)) / _TWICE
    within = np.clip(step, _SPEEDS[0], _SPEEDS[-1])
    weights = np.outer(_lagrange(_SPEEDS, within),
                       _lagrange(_CORNERS, np.clip(np.log(corner) / _FOUR_TIMES, _CORNERS[0], _CORNERS[-1])))
    log = (np.log(tables) * weights).sum((-2, -1))
    slower = max(_SPEEDS[0] - step, 0.0)  # at a crawl nothing but the speed counts
    return np.exp(log + slower * _TWICE - 0.5 * np.log(acceleration))


def _lagrange(places, x):
    """Weights of values at places for the polynomial through them, at one more."""
    apart = places[:, None] - places
    np.fill_diagonal(apart, 1.0)
    from_each = np.where(np.eye(len(places), dtype=bool), 1.0, x - places)
    return (from_each / apart).prod(1)
