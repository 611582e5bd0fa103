"""Steps by which a picture is freed of its background, in the order they were made."""

from dataclasses import dataclass

from sketchloom.core.base import checks, setting
from sketchloom.core.base.setting import check_all

KINDS = ("colour", "stroke", "area", "edge", "paper")
MAX_POINTS = 4000
"""More points than any hand draws; a guard against hostile files."""
MAX_TOLERANCE = 100.0
"""CIELAB distance from black to white."""


@dataclass(frozen=True, slots=True)
class BackgroundStep:
    """One step. Places are shares of the width and height of the picture they are used on.

    ``colour``: what is within ``tolerance`` (CIELAB distance) of the colour at the one place in
    ``points``, hanging together with it or, with ``everywhere``, all of it, is dropped, or with
    ``keep`` kept. ``stroke``: what the stroke through ``points``, ``width`` (share of the longer
    side) wide, crosses is certainly kept or dropped; all strokes together tell the rest. ``area``:
    inside of the polygon ``points``; the first one kept drops everything outside. ``edge``: the same of a line led
    along an edge; where exactly the edge runs is found beside it. ``paper``: what is as light as the paper around it.
    """

    kind: str = setting.choice(setting.REQUIRED, KINDS)
    keep: bool = setting.switch(False)
    points: tuple[tuple[float, float], ...] = ()
    tolerance: float = setting.number(12.0, 0.0, MAX_TOLERANCE)
    everywhere: bool = setting.switch(False)
    width: float = setting.number(0.012, 0.0005, 0.5)

    def __post_init__(self):
        check_all(self, "background.")
        least = {"colour": 1, "stroke": 1, "area": 3, "edge": 3, "paper": 0}[self.kind]
        checks.places("background.points", self.points, least, MAX_POINTS)


@dataclass(frozen=True, slots=True)
class Background:
    """All steps; ``move_px`` sets the edge out (or, negative, in), ``smooth_px`` calms it.

    ``own_alpha``: whether the transparency that came with the file counts.
    """

    steps: tuple[BackgroundStep, ...] = ()
    move_px: float = setting.number(0.0, -50.0, 50.0)
    smooth_px: float = setting.number(0.0, 0.0, 50.0)
    own_alpha: bool = setting.switch(True)

    def __post_init__(self):
        check_all(self, "background.")


NOTHING = Background()
