"""Steps by which a picture is freed of its background, in the order they were made."""

from dataclasses import dataclass

from sketchloom.core import checks

KINDS = ("colour", "stroke", "area", "paper")
MAX_POINTS = 4000
MAX_TOLERANCE = 100.0


@dataclass(frozen=True, slots=True)
class BackgroundStep:
    """One step. Places are shares of the width and height of the picture they are used on.

    ``colour``: what is within ``tolerance`` (CIELAB distance) of the colour at the one place in
    ``points``, hanging together with it or, with ``everywhere``, all of it, is dropped, or with
    ``keep`` kept. ``stroke``: what the stroke through ``points``, ``width`` (share of the longer
    side) wide, crosses is certainly kept or dropped; all strokes together tell the rest. ``area``:
    inside of the polygon ``points``; the first one kept drops everything outside. ``paper``: what
    is as light as the paper around it.
    """

    kind: str
    keep: bool = False
    points: tuple[tuple[float, float], ...] = ()
    tolerance: float = 12.0
    everywhere: bool = False
    width: float = 0.012

    def __post_init__(self):
        checks.one_of("background.kind", self.kind, KINDS)
        least = {"colour": 1, "stroke": 1, "area": 3, "paper": 0}[self.kind]
        checks.places("background.points", self.points, least, MAX_POINTS)
        checks.within("background.tolerance", self.tolerance, 0.0, MAX_TOLERANCE, (int, float), optional=False)
        checks.within("background.width", self.width, 0.0005, 0.5, (int, float), optional=False)
        checks.true_or_false("background.keep", self.keep)
        checks.true_or_false("background.everywhere", self.everywhere)


@dataclass(frozen=True, slots=True)
class Background:
    """All steps; ``move_px`` sets the edge out (or, negative, in), ``smooth_px`` calms it.

    ``own_alpha``: whether the transparency that came with the file counts.
    """

    steps: tuple[BackgroundStep, ...] = ()
    move_px: float = 0.0
    smooth_px: float = 0.0
    own_alpha: bool = True

    def __post_init__(self):
        checks.within("background.move_px", self.move_px, -50.0, 50.0, (int, float), optional=False)
        checks.within("background.smooth_px", self.smooth_px, 0.0, 50.0, (int, float), optional=False)
        checks.true_or_false("background.own_alpha", self.own_alpha)


NOTHING = Background()
