"""A seam moved by hand: what both parts then are, and what of it is seen."""

from dataclasses import dataclass

import numpy as np
import shapely

from sketchloom.core.sheets.choices import SeamByHand
from sketchloom.core.sheets.dividing.division import Divided, exchanged, fitting, rooms_beside_joint
from sketchloom.core.sheets.dividing.field import COVER_MM
from sketchloom.core.sheets.dividing.parting import SeamError, parted
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
    """The seams of one divided layer of a work."""

    def __init__(self, work: Work, key: str, made: Divided):
        self.work, self.key = work, key
        level = next(n for n, layer in enumerate(work.layers) if layer.plan.key == key)
        layer = work.layers[level]
        self._whole = Part(key, layer.plan.name, layer.plan.hex, None, in_mm(layer.outline, work.mm_per_px))
        above = [Part("", "", "#000000", None, in_mm(one.outline, work.mm_per_px)).area for one in
                 work.layers[level + 1:] if one.outline.pen_px is None]
        hidden = shapely.union_all(above).buffer(-COVER_MM) if above else shapely.MultiPolygon()
        self._bare = self._whole.area.difference(hidden)
        material = work.recipe.material_of(key)
        self._rooms = rooms_beside_joint(
            rooms(work.recipe, machine_of(work), None if material is None else material.family), work.recipe.joint,
            work.recipe.joint_mm)
        self.seams = tuple(np.asarray(s, float) for s in made.seams)
        self.is_level = tuple(bool(np.ptp(s[:, 0]) > np.ptp(s[:, 1])) for s in self.seams)

    def shifted(self, number: int, by_mm: float) -> np.ndarray:
        """A seam (K, 2) moved across itself."""
        by = (0.0, by_mm) if self.is_level[number] else (by_mm, 0.0)
        return self.seams[number] + by

    def seen(self, number: int, by_mm: float = 0.0) -> float:
        """The length of it that is seen."""
        return float(shapely.LineString(self.shifted(number, by_mm)).intersection(self._bare).length)

    @property
    def can_move(self) -> bool:
        """Whether all seams run one way: of those that cross each other none can be moved alone."""
        return len(set(self.is_level)) == 1

    def moved(self, number: int, by_mm: float) -> Moved | None:
        """What a move makes of the layer; None where it parts nothing cleanly."""
        level = self.is_level[number]
        outlines = [exchanged(self._whole.outline) if level else self._whole.outline]
        try:
            for n in range(len(self.seams)):
                seam = self.shifted(n, by_mm if n == number else 0.0)
                outlines[-1:] = parted(outlines[-1], seam[:, ::-1] if level else seam)
        except SeamError:
            return None
        if not all(len(one.controls) for one in outlines):
            return None
        sizes = [Part("", "", "#000000", None, exchanged(one) if level else one).size for one in outlines]
        fits = all(fitting(size, self._rooms) is not None for size in sizes)
        return Moved((sizes[number], sizes[number + 1]), fits, self.seen(number, by_mm))

    def kept(self, number: int, by_mm: float) -> tuple[SeamByHand, ...]:
        """All seams of the work as they are kept, one of them moved."""
        size = np.array(self.work.size_mm)
        own = tuple(
            SeamByHand(self.key, n, tuple(self.work.as_came((self.shifted(n, by_mm) if n == number else seam) / size)))
            for n, seam in enumerate(self.seams))
        return (*(s for s in self.work.recipe.seams if s.key != self.key), *own)

    def let_go(self) -> tuple[SeamByHand, ...]:
        """The work's seams without those of this layer that were put by hand."""
        return tuple(s for s in self.work.recipe.seams if s.key != self.key)
