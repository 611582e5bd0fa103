"""What is laid on a sheet as one: a layer, a piece of it, or a part of a divided one."""

from dataclasses import dataclass, replace
from functools import cached_property

import numpy as np
import shapely

from sketchloom.core.base import ragged
from sketchloom.core.curves.curveset import bounds
from sketchloom.core.curves.outline import Outline
from sketchloom.core.shapes.polygons import area_of_outline

FLAT_MM = 0.05
"""Curves are flattened so far to tell what meets what: half of what a hand lays exactly."""


@dataclass(frozen=True, eq=False)
class Part:
    """A part of a layer, where it lies in the work.

    ``key`` and ``name`` of its layer, ``hex`` its colour, ``material`` the key of what it is cut from, None where that
    was not said. ``outline``: its rings with lengths in mm and areas in mm². ``number`` of ``count`` parts that the
    layer was divided into; ``seams``: polylines (K, 2) mm along which, ``matches``: its halves of the marks across
    them. ``piece``: its number where pieces of a layer
    are free of each other, else 0. ``work``: the number of the work it is of, from 0; ``copy`` of it, from 1.
    """

    key: str
    name: str
    hex: str
    material: str | None
    outline: Outline
    number: int = 1
    count: int = 1
    seams: tuple[np.ndarray, ...] = ()
    matches: tuple[np.ndarray, ...] = ()
    piece: int = 0
    work: int = 0
    copy: int = 1

    @cached_property
    def area(self) -> shapely.MultiPolygon:
        """Its area, flattened within ``FLAT_MM``."""
        return area_of_outline(self.outline, FLAT_MM)

    @cached_property
    def box(self) -> tuple[float, float, float, float]:
        """Left, top, right and bottom, mm."""
        return bounds(self.outline.controls)

    @property
    def size(self) -> tuple[float, float]:
        left, top, right, bottom = self.box
        return right - left, bottom - top

    @property
    def path(self) -> str:
        """What tells it from all others of a plan: stays the same while the work is divided alike."""
        return f"{self.work}/{self.key}/{self.piece}/{self.number}of{self.count}/{self.copy}"


def in_mm(outline: Outline, mm_per_px: float) -> Outline:
    """An outline in px as one in mm."""
    return Outline(
        outline.controls * mm_per_px, outline.straight, outline.starts, outline.area_px * mm_per_px**2, outline.hole,
        None if outline.pen_px is None else outline.pen_px * mm_per_px)


def moved(outline: Outline, turn_deg: float, mirrored: bool, dx: float, dy: float) -> Outline:
    """An outline mirrored left to right first, then turned (clockwise as seen, y down), then moved, mm. Its inside
    stays on the right: a mirrored one runs the other way round."""
    controls = outline.controls
    straight, starts = outline.straight, outline.starts
    if mirrored:
        size, owner = np.diff(starts), ragged.owner(starts)
        back = starts[owner] + starts[owner + 1] - 1 - np.arange(len(owner)) if len(size) else np.empty(0, np.intp)
        controls, straight = controls[back][:, ::-1] * (-1.0, 1.0), straight[back]
    return replace(outline, controls=controls @ turn_of(turn_deg).T + (dx, dy), straight=straight)


def turn_of(degrees: float) -> np.ndarray:
    """(2, 2) matrix of a turn, exact for whole quarters."""
    quarter, rest = divmod(degrees, 90.0)
    if rest == 0:
        c, s = ((1, 0), (0, 1), (-1, 0), (0, -1))[int(quarter) % 4]
    else:
        c, s = np.cos(np.radians(degrees)), np.sin(np.radians(degrees))
    return np.array([(c, -s), (s, c)], float)


def area_moved(area, turn_deg: float, mirrored: bool, dx: float, dy: float):
    """The same for an area of a geometry library."""
    turn = turn_of(turn_deg)
    flip = np.array([-1.0 if mirrored else 1.0, 1.0])
    return shapely.transform(area, lambda xy: (xy * flip) @ turn.T + (dx, dy))
