"""Stretches of boundary that a person gave another course, as they are kept."""

from dataclasses import dataclass

from sketchloom.core.base import checks, setting
from sketchloom.core.base.setting import check_all

MAX_POINTS = 4000
"""More points than any hand draws; a guard against hostile files."""
KINDS = ("straight", "arc", "circle", "smooth", "simple", "round", "corner", "pull", "equal", "concentric", "parallel",
         "symmetric")


@dataclass(frozen=True, slots=True)
class CurveEdit:
    """``stretch``: points along a boundary as it was; ``path``: where it is to run, from the same end to the same end.

    Places are shares of the sides of the picture as it came. ``closed``: a whole ring; both begin and end in one
    place. ``what`` says what was done.
    """

    stretch: tuple[tuple[float, float], ...]
    path: tuple[tuple[float, float], ...]
    what: str = setting.choice(setting.REQUIRED, KINDS)
    closed: bool = setting.switch(False)
    on: bool = setting.switch(True)

    def __post_init__(self):
        checks.points("curves.stretch", self.stretch, 2, MAX_POINTS)
        checks.points("curves.path", self.path, 2, MAX_POINTS)
        check_all(self, "curves.")
