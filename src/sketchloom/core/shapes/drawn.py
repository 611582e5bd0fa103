"""Shapes, split lines and covered areas as they are kept: places in the picture as it came."""

from dataclasses import dataclass

from sketchloom.core.base import checks, setting
from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.said import said
from sketchloom.core.base.setting import check_all

MAX_RINGS, MAX_RING_POINTS, MAX_LINE_POINTS = 4000, 20_000, 4000
"""More than any hand draws; guards against hostile files."""
CIRCLE, ROUNDED, STAR, POLYGON = FIGURES = ("circle", "rectangle", "star", "polygon")
JOIN, CUT, COMMON = WAYS = ("join", "cut", "common")


@dataclass(frozen=True, slots=True)
class PlacedShape:
    """Closed rings of cubics laid on the work.

    ``rings``: each of 3 n + 1 points (a place, two handles, a place ...), the last the first again, in shares of the
    sides of the picture as it came. ``hex`` the colour that what is inside gets; None cuts it out of all sheets.
    ``name`` says what it is; ``text`` and ``font`` of a word, to change it later.
    """

    rings: tuple[tuple[tuple[float, float], ...], ...] = setting.parts(setting.REQUIRED, 1, MAX_RINGS)
    hex: str | None = setting.colour(setting.REQUIRED, optional=True)
    name: str = setting.text(setting.REQUIRED)
    on: bool = setting.switch(True)
    text: str | None = setting.text(None, most=500)
    font: str | None = setting.text(None, most=500)

    def __post_init__(self):
        check_all(self, "shapes.")
        for ring in self.rings:
            checks.points("shapes.rings", ring, 4, MAX_RING_POINTS)
            if len(ring) % 3 != 1:
                raise SettingError("shapes.rings", said("3 n + 1 points a ring"), len(ring))


@dataclass(frozen=True, slots=True)
class SplitLine:
    """A line through shapes, in shares of the sides of the picture as it came; it becomes an arc of the map."""

    points: tuple[tuple[float, float], ...]
    on: bool = setting.switch(True)

    def __post_init__(self):
        checks.points("splits.points", self.points, 2, MAX_LINE_POINTS)
        check_all(self, "splits.")


@dataclass(frozen=True, slots=True)
class CoveredArea:
    """An area covered with what lies around it; points as of ``SplitLine``."""

    points: tuple[tuple[float, float], ...]
    on: bool = setting.switch(True)

    def __post_init__(self):
        checks.points("covers.points", self.points, 3, MAX_LINE_POINTS)
        check_all(self, "covers.")
