"""Shapes and split lines as a recipe keeps them: places in the picture as it came."""

from dataclasses import dataclass

import numpy as np

from sketchloom.core import checks
from sketchloom.core.colour import from_hex
from sketchloom.core.curves.curveset import line_controls
from sketchloom.core.errors import SettingError
from sketchloom.core.picture.preparing.placing import moved

MAX_RINGS, MAX_RING_POINTS, MAX_LINE_POINTS = 4000, 20_000, 4000
_STRAIGHT = 1e-6
CIRCLE, ROUNDED, STAR, POLYGON = FIGURES = ("circle", "rectangle", "star", "polygon")
JOIN, CUT, COMMON = WAYS = ("join", "cut", "common")


@dataclass(frozen=True, slots=True)
class PlacedShape:
    """Closed rings of cubics laid on the work.

    ``rings``: each of 3 n + 1 points (a place, two handles, a place ...), the last the first again, in shares of the
    sides of the picture as it came. ``hex`` the colour that what is inside gets; None cuts it out of all sheets.
    ``name`` says what it is; ``text`` and ``font`` of a word, to change it later.
    """

    rings: tuple[tuple[tuple[float, float], ...], ...]
    hex: str | None
    name: str
    on: bool = True
    text: str | None = None
    font: str | None = None

    def __post_init__(self):
        if not isinstance(self.rings, tuple) or not 1 <= len(self.rings) <= MAX_RINGS:
            raise SettingError("shapes.rings", f"1 to {MAX_RINGS} rings", type(self.rings).__name__)
        for ring in self.rings:
            checks.points("shapes.rings", ring, 4, MAX_RING_POINTS)
            if len(ring) % 3 != 1:
                raise SettingError("shapes.rings", "3 n + 1 points a ring", len(ring))
        if not isinstance(self.name, str) or len(self.name) > 200:
            raise SettingError("shapes.name", "a short text", self.name)
        for value in (self.text, self.font):
            if value is not None and (not isinstance(value, str) or len(value) > 500):
                raise SettingError("shapes.text", "a text of at most 500 letters", value)
        if self.hex is not None:
            from_hex(self.hex)
        checks.true_or_false("shapes.on", self.on)


@dataclass(frozen=True, slots=True)
class SplitLine:
    """A line through shapes, in shares of the sides of the picture as it came; it becomes an arc of the map."""

    points: tuple[tuple[float, float], ...]
    on: bool = True

    def __post_init__(self):
        checks.points("splits.points", self.points, 2, MAX_LINE_POINTS)
        checks.true_or_false("splits.on", self.on)


@dataclass(frozen=True, slots=True)
class CoveredArea:
    """An area covered with what lies around it; points as of ``SplitLine``."""

    points: tuple[tuple[float, float], ...]
    on: bool = True

    def __post_init__(self):
        checks.points("covers.points", self.points, 3, MAX_LINE_POINTS)
        checks.true_or_false("covers.on", self.on)


def ring_controls(points) -> np.ndarray:
    """(S, 4, 2) cubics of 3 n + 1 points."""
    points = np.asarray(points, float)
    return np.stack([points[0:-1:3], points[1::3], points[2::3], points[3::3]], 1)


def ring_points(controls) -> tuple[tuple[float, float], ...]:
    """The points of cubics that follow each other, as ``ring_controls`` takes them; their ends are joined exactly."""
    inner = np.asarray(controls)[:, :3].reshape(-1, 2)
    return tuple((round(float(x), 9), round(float(y), 9)) for x, y in np.concatenate([inner, inner[:1]]))


def is_straight(controls) -> np.ndarray:
    """(S,) bool: handles lie at the thirds of the chord."""
    thirds = line_controls(controls[:, 0], controls[:, 3])
    size = np.abs(controls[:, 3] - controls[:, 0]).max(1)
    return np.abs(controls - thirds).max((1, 2)) <= _STRAIGHT * np.maximum(size, 1e-12) + 1e-9


def rings_px(shape: PlacedShape, move, size) -> list[np.ndarray]:
    """Each ring as (S, 4, 2) cubics in px of the prepared picture of (width, height) ``size``; ``move`` as of ``placing``."""
    size = np.asarray(size, float)
    return [ring_controls(moved(move, ring) * size) for ring in shape.rings]
