"""Regions the user made and settings that hold in a part of the picture only."""

from dataclasses import dataclass

from sketchloom.core import checks
from sketchloom.core.colour import from_hex

MAX_POINTS = 2000


@dataclass(frozen=True, slots=True)
class Grown:
    """A region grown from the colour at a place: what is within ``tolerance`` (CIELAB distance),
    hanging together with it or ``everywhere``. ``hex``: the colour it is cut in."""

    x: float
    y: float
    tolerance: float
    hex: str
    everywhere: bool = False

    def __post_init__(self):
        checks.place("grown", (self.x, self.y))
        checks.within("grown.tolerance", self.tolerance, 0.0, 100.0, (int, float), optional=False)
        checks.true_or_false("grown.everywhere", self.everywhere)
        from_hex(self.hex)


@dataclass(frozen=True, slots=True)
class Patch:
    """Settings of their own for what lies in a polygon; None where those of the whole hold."""

    points: tuple[tuple[float, float], ...]
    cut_off: int | None = None
    colours: int | None = None
    smoothness: int | None = None
    smallest_mm: float | None = None

    def __post_init__(self):
        checks.places("patches.points", self.points, 3, MAX_POINTS)
        checks.within("patches.cut_off", self.cut_off, 0, 255, int)
        checks.within("patches.colours", self.colours, 1, 24, int)
        checks.within("patches.smoothness", self.smoothness, -2, 3, int)
        checks.within("patches.smallest_mm", self.smallest_mm, 0.0, 100.0, (int, float))
