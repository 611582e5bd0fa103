"""Figures of one's own: shapes kept for later works, free of place and size."""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.base import checks, plain, setting
from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.said import said
from sketchloom.core.base.setting import check_all
from sketchloom.core.curves.chains import ring_controls, ring_points
from sketchloom.core.shapes.drawn import MAX_RING_POINTS, MAX_RINGS

MAX_FIGURES = 100
"""More than a menu can show; a guard against hostile files."""


@dataclass(frozen=True, slots=True)
class OwnFigure:
    """A figure by its name; ``rings`` as of ``PlacedShape``, about the middle of their box, whose longer side is 1."""

    name: str = setting.text(setting.REQUIRED)
    rings: tuple[tuple[tuple[float, float], ...], ...] = setting.parts(setting.REQUIRED, 1, MAX_RINGS)

    def __post_init__(self):
        check_all(self, "figures.")
        if not self.name:
            raise SettingError("figures.name", said("a short text"), self.name)
        for ring in self.rings:
            checks.points("figures.rings", ring, 4, MAX_RING_POINTS)
            if len(ring) % 3 != 1:
                raise SettingError("figures.rings", said("3 n + 1 points a ring"), len(ring))


def own_figure(rings, name: str) -> OwnFigure:
    """Rings of cubics, (S, 4, 2) each in one unit, as a figure."""
    low, high = _box(rings)
    side = max(float((high - low).max()), 1e-12)
    return OwnFigure(name, tuple(ring_points((np.asarray(ring) - (low + high) / 2) / side) for ring in rings))


def filling(figure: OwnFigure, corner, other) -> list[np.ndarray]:
    """Rings of a figure, as large as the box between two corners (2,) holds it in its proportions."""
    a, b = np.asarray(corner, float), np.asarray(other, float)
    rings = [ring_controls(np.array(ring)) for ring in figure.rings]
    low, high = _box(rings)
    scale = float((np.maximum(np.abs(b - a), 1.0) / np.maximum(high - low, 1e-9)).min())
    return [(ring - (low + high) / 2) * scale + (a + b) / 2 for ring in rings]


def with_figure(figures, figure: OwnFigure) -> tuple[OwnFigure, ...]:
    """Figures with another one, in the place of one of its name; the oldest goes where there are too many."""
    return (*(one for one in figures if one.name != figure.name), figure)[-MAX_FIGURES:]


def from_plain(data) -> tuple[OwnFigure, ...]:
    """Figures from plain data of any origin; raises SettingError."""
    if not isinstance(data, list) or len(data) > MAX_FIGURES:
        raise SettingError("figures", said("a list of at most {most}", most=MAX_FIGURES), type(data).__name__)
    return plain.from_plain(data, tuple[OwnFigure, ...], "figures")


def to_plain(figures) -> list[dict]:
    return plain.to_plain(tuple(figures))


def _box(rings):
    """Lowest and highest x and y of what the curves' points span."""
    every = np.concatenate([np.asarray(ring).reshape(-1, 2) for ring in rings])
    return every.min(0), every.max(0)
