"""Regions the user made and settings that hold in a part of the picture only."""

from dataclasses import dataclass

from sketchloom.core.base import checks, setting
from sketchloom.core.base.setting import check_all

MAX_POINTS = 2000
"""More points than any hand draws; a guard against hostile files."""

HUES = ("auto", "ramp", "apart")
"""How a photo's tones treat its hues: kept apart where that is better, one ramp from dark to light, always apart."""


@dataclass(frozen=True, slots=True)
class Grown:
    """A region grown from the colour at a place: what is within ``tolerance`` (CIELAB distance),
    hanging together with it or ``everywhere``. ``hex``: the colour it is cut in."""

    x: float = setting.number(setting.REQUIRED, 0.0, 1.0)
    y: float = setting.number(setting.REQUIRED, 0.0, 1.0)
    tolerance: float = setting.number(setting.REQUIRED, 0.0, 100.0)
    hex: str = setting.colour(setting.REQUIRED)
    everywhere: bool = setting.switch(False)

    def __post_init__(self):
        check_all(self, "grown.")


@dataclass(frozen=True, slots=True)
class Patch:
    """Settings of their own for what lies in a polygon; None where those of the whole hold."""

    points: tuple[tuple[float, float], ...]
    cut_off: int | None = setting.whole(None, 0, 255)
    colours: int | None = setting.whole(None, 1, 24)
    smoothness: int | None = setting.whole(None, -2, 3)
    smallest_mm: float | None = setting.length(None, 0.0, 100.0)

    def __post_init__(self):
        checks.places("patches.points", self.points, 3, MAX_POINTS)
        check_all(self, "patches.")
