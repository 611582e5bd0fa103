"""A seam moved by hand: what both parts then are, and what of it is seen."""

from dataclasses import dataclass

import numpy as np
import shapely

from sketchloom.core.layers.pieces import pieces_of
from sketchloom.core.sheets.choices import BUTT, SeamByHand
from sketchloom.core.sheets.dividing.division import Divided, cut_along
from sketchloom.core.sheets.dividing.field import COVER_MM
from sketchloom.core.sheets.dividing.parting import SeamError
from sketchloom.core.sheets.dividing.room import fitting, rooms_beside_joint
from sketchloom.core.sheets.part import Part, in_mm
from sketchloom.evaluate.planning import machine_of, rooms
from sketchloom.evaluate.work import Work


@dataclass(frozen=True, slots=True)
class Moved:
    """A seam moved: the ``sizes`` of the two sides of it, whether all parts fit a carrier, the length that is
    ``seen``."""

    sizes: tuple[tuple[float, float], tuple[float, float]]
    fits: bool
    seen: float


class SeamDesk:
    """The seams of one divided layer of a work, or of one divided piece of a layer."""

    def __init__(self, work: Work, key: str, made: Divided):
        self.work, self.key, self.piece = work, key, made.parts[0].piece
        level = next(n for n, layer in enumerate(work.layers) if layer.plan.key == key)
        layer = work.layers[level]
        outline = in_mm(layer.outline, work.mm_per_px)
        if self.piece:
            outline = pieces_of(outline)[self.piece - 1]
        self._whole = Part(key, layer.plan.name, layer.plan.hex, None, outline)
        above = [Part("", "", "#000000", None, in_mm(one.outline, work.mm_per_px)).area for one in
                 work.layers[level + 1:] if one.outline.pen_px is None]
        hidden = shapely.union_all(above).buffer(-COVER_MM) if above else shapely.MultiPolygon()
        self._bare = self._whole.area.difference(hidden)
        material = work.recipe.material_of(key)
        self._rooms = rooms_beside_joint(
            rooms(work.recipe, machine_of(work), None if material is None else material.family), work.recipe.joint,
            work.recipe.joint_mm)
        self.seams = tuple(np.asarray(s, float) for s in made.seams)
        self._columns = made.columns

    def is_level(self, number: int) -> bool:
        """Whether a seam runs across, and is moved up and down."""
        return bool(np.ptp(self.seams[number][:, 0]) > np.ptp(self.seams[number][:, 1]))

    def is_of(self, work: Work, made: Divided) -> bool:
        """Whether these are the seams of what was divided so."""
        return self.work is work and (self.key, self.piece) == (made.parts[0].key, made.parts[0].piece)

    def beside(self, part: Part) -> dict[int, list[np.ndarray]]:
        """The seams along a part, each as stretches (K, 2) mm."""
        reach = 0.05 + (0.0 if self.work.recipe.joint == BUTT else self.work.recipe.joint_mm)
        room, found = part.area.buffer(reach), {}
        for number, seam in enumerate(self.seams):
            line = shapely.LineString(seam).intersection(room)
            if self._columns[number] >= 0:
                line = line.intersection(self._columns_area()[self._columns[number]])
            lines = [np.asarray(one.coords) for one in getattr(line, "geoms", [line])
                     if one.geom_type == "LineString" and one.length > 2 * reach + 1.0]
            if lines:
                found[number] = lines
        return found

    def across(self, number: int) -> tuple[float, float]:
        """The way in which a seam is moved."""
        return (0.0, 1.0) if self.is_level(number) else (1.0, 0.0)

    def shifted(self, number: int, by_mm: float) -> np.ndarray:
        """A seam (K, 2) moved across itself."""
        return self.seams[number] + by_mm * np.array(self.across(number))

    def seen(self, number: int, by_mm: float = 0.0) -> float:
        """The length of it that is seen, in its column where it is of one."""
        line = shapely.LineString(self.shifted(number, by_mm))
        within = self._bare if self._columns[number] < 0 else self._bare.intersection(
            self._columns_area()[self._columns[number]])
        return float(line.intersection(within).length)

    def moved(self, number: int, by_mm: float) -> Moved | None:
        """What a move makes of the layer; None where it parts nothing cleanly."""
        seams = [self.shifted(n, by_mm if n == number else 0.0) for n in range(len(self.seams))]
        try:
            columns = cut_along([self._whole], self._of(seams, -1), False)
            cells = [cut_along([column], self._of(seams, n), True) if self._of(seams, n) else [column]
                     for n, column in enumerate(columns)]
        except SeamError:
            return None
        parts = [part for column in cells for part in column]
        if not all(len(part.outline.controls) for part in parts):
            return None
        fits = all(fitting(part.size, self._rooms) is not None for part in parts)
        column = self._columns[number]
        at = [n for n, c in enumerate(self._columns) if c == column].index(number)
        beside = columns if column < 0 else cells[column]
        return Moved((beside[at].size, beside[at + 1].size), fits, self.seen(number, by_mm))

    def _of(self, seams, column):
        return [seam for seam, its in zip(seams, self._columns, strict=True) if its == column]

    def _columns_area(self):
        upright = self._of(self.seams, -1)
        return [part.area for part in cut_along([self._whole], upright, False)] if upright else [self._whole.area]

    def kept(self, number: int, by_mm: float) -> tuple[SeamByHand, ...]:
        """All seams of the work as they are kept, one of them moved."""
        size = np.array(self.work.size_mm)
        own = tuple(
            SeamByHand(self.key, n, tuple(self.work.as_came((self.shifted(n, by_mm) if n == number else seam) / size)),
                       self.piece)
            for n, seam in enumerate(self.seams))
        return (*self.let_go(), *own)

    def let_go(self) -> tuple[SeamByHand, ...]:
        """The work's seams without those of this layer, or piece, that were put by hand."""
        return tuple(s for s in self.work.recipe.seams if (s.key, s.piece) != (self.key, self.piece))

    @property
    def is_by_hand(self) -> bool:
        """Whether any of them was put by hand."""
        return len(self.let_go()) < len(self.work.recipe.seams)
