"""What a person decided about single regions, and lines painted into the picture.

Both are kept by place, so that they outlive a new trace.
"""

from dataclasses import dataclass

from sketchloom.core.base import checks, setting
from sketchloom.core.base.setting import check_all

DROP, WINDOW, COLOUR, KEEP, BELOW, ABOVE = ACTIONS = ("drop", "window", "colour", "keep", "below", "above")
OWN_SHEET = (BELOW, ABOVE)
MAX_POINTS = 4000
"""More points than any hand draws; a guard against hostile files."""


@dataclass(frozen=True, slots=True)
class RegionEdit:
    """A region, by a place well inside it, and what becomes of it.

    ``x``, ``y`` shares of the sides of the picture as it came; ``action``: it goes to what lies around it (``drop``),
    is opened through all sheets (``window``), gets the ``colour`` ``hex``, is there although everything is off
    (``keep``), or lies on a sheet of its own, at first ``below`` or ``above`` all others, whose colour ``hex`` is as
    of ``own_hex``. ``seen`` the colour and ``area`` the share of that picture it had when the edit was made, by which
    it is known again.
    """

    x: float = setting.number(setting.REQUIRED, -2.0, 3.0)
    y: float = setting.number(setting.REQUIRED, -2.0, 3.0)
    action: str = setting.choice(setting.REQUIRED, ACTIONS)
    seen: str = setting.colour(setting.REQUIRED)
    area: float = setting.number(setting.REQUIRED, 0.0, 10.0)
    hex: str | None = setting.colour(None)
    on: bool = setting.switch(True)

    def __post_init__(self):
        check_all(self, "edits.")
        if self.action in (COLOUR, *OWN_SHEET):
            checks.colour("edits.hex", self.hex)


@dataclass(frozen=True, slots=True)
class PaintedLine:
    """A line through ``points`` with round ends, in the colour ``hex``.

    Points are shares of the sides of the picture as it came, ``width`` a share of its width.
    """

    points: tuple[tuple[float, float], ...]
    width: float = setting.number(setting.REQUIRED, 0.0, 1.0)
    hex: str = setting.colour(setting.REQUIRED)
    on: bool = setting.switch(True)

    def __post_init__(self):
        checks.points("lines.points", self.points, 2, MAX_POINTS)
        check_all(self, "lines.")
