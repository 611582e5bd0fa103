"""Stretches of boundary that a person gave another course, as they are kept."""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.base import checks, setting
from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.said import said
from sketchloom.core.base.setting import check_all
from sketchloom.core.curves.chains import ring_controls
from sketchloom.core.curves.curveset import evaluate

_PLACES = 16
"""Places on each cubic of a course that is drawn as a line."""
MAX_POINTS = 4000
"""More points than any hand draws; a guard against hostile files."""
NODES = "nodes"
KINDS = (NODES, "straight", "arc", "circle", "smooth", "simple", "round", "corner", "pull", "equal", "concentric",
         "parallel", "symmetric")


@dataclass(frozen=True, slots=True)
class CurveEdit:
    """``stretch``: points along a boundary as it was; ``path``: where it is to run, from the same end to the same end.

    Places are shares of the sides of the picture as it came. ``closed``: a whole ring; both begin and end in one
    place. ``what`` says what was done. Of ``nodes`` the path is made of cubics end to end, 3 n + 1 places;
    ``knots`` (n + 1) say how far along the stretch each node came from, 0 to 1 (of a ring up to once round farther),
    ``corners`` which nodes' handles go their own ways.
    """

    stretch: tuple[tuple[float, float], ...]
    path: tuple[tuple[float, float], ...]
    what: str = setting.choice(setting.REQUIRED, KINDS)
    closed: bool = setting.switch(False)
    on: bool = setting.switch(True)
    knots: tuple[float, ...] = ()
    corners: tuple[int, ...] = ()

    def __post_init__(self):
        checks.points("curves.stretch", self.stretch, 2, MAX_POINTS)
        checks.points("curves.path", self.path, 2, MAX_POINTS)
        check_all(self, "curves.")
        count = (len(self.path) + 2) // 3 if self.what == NODES else 0
        if self.what == NODES and (len(self.path) < 4 or len(self.path) % 3 != 1):
            raise SettingError("curves.path", said("cubics end to end, a place more than three for each"),
                               len(self.path))
        if not checks.are_numbers(self.knots, count, 0, 2) or list(self.knots) != sorted(self.knots):
            raise SettingError("curves.knots", said("a rising number for each node"), len(self.knots))
        if not isinstance(self.corners, tuple) or not all(type(n) is int and 0 <= n < count for n in self.corners):
            raise SettingError("curves.corners", said("numbers of nodes"), self.corners)


def course_points(edit: CurveEdit) -> np.ndarray:
    """(N, 2) places along the course of an edit, in the units it is kept in."""
    path = np.asarray(edit.path, float)
    if edit.what != NODES:
        return path
    t = np.arange(_PLACES) / _PLACES
    return np.concatenate([evaluate(ring_controls(path)[:, None], t[None]).reshape(-1, 2), path[-1:]])
