"""What can be asked of, and done about, the single pieces of a work's sheets."""

from dataclasses import replace
from functools import cached_property

import numpy as np
import shapely
from shapely.ops import nearest_points

from sketchloom.core.edits.decisions import BELOW
from sketchloom.core.layers.laying import LaidPiece, laid_pieces
from sketchloom.core.shapes.polygons import area_of_outline
from sketchloom.desk import lines
from sketchloom.desk.regions import RegionDesk
from sketchloom.evaluate.work import Work
from sketchloom.recipe.document import Recipe

_FLAT_PX, _INTO_MM, _BRIDGE_MM = 0.2, 0.6, 1.2
"""Flattening of pieces; how far a bridge reaches into both, and how wide it is at least."""


class LayingDesk:
    """Pieces of one work in the order of laying. ``regions`` decides about what they show."""

    def __init__(self, work: Work, regions: RegionDesk):
        self.work, self.regions = work, regions

    @cached_property
    def pieces(self) -> list[LaidPiece]:
        return laid_pieces(self.work.layers)

    def across_mm(self, piece: LaidPiece) -> float:
        """Diameter of a disc of a piece's area."""
        return 2 * (piece.area_px / np.pi) ** 0.5 * self.work.mm_per_px

    def held(self, recipe: Recipe, pieces) -> Recipe:
        """The recipe in which pieces hang together with the nearest other piece of their sheet, by a bridge in its
        colour."""
        made = []
        for piece in pieces:
            mine = area_of_outline(piece.outline, _FLAT_PX)
            others = [
                area_of_outline(p.outline, _FLAT_PX)
                for p in self.pieces
                if p.level == piece.level and p.number != piece.number
            ]
            if not others or not piece.layer.plan.labels:
                continue
            a, b = (np.array(p.coords[0]) for p in nearest_points(mine, shapely.union_all(others)))
            gap = float(np.hypot(*(b - a)))
            if gap < 1e-6:
                continue
            into = (b - a) / gap * _INTO_MM / self.work.mm_per_px
            width = max(_BRIDGE_MM, 1.3 * self.work.recipe.thin_mm) / self.work.mm_per_px
            ends = np.clip(np.array([a - into, b + into]) / (self.work.picture.width, self.work.picture.height), 0, 1)
            made.append(lines.painted_line(self.work, ends, width, piece.layer.plan.key))
        return replace(recipe, lines=(*recipe.lines, *made))

    def from_below(self, recipe: Recipe, pieces) -> Recipe:
        """The recipe in which what pieces show is seen through windows from a sheet below all others."""
        return self.regions.decided(recipe, [face for piece in pieces for face in self.faces(piece)], BELOW)

    def faces(self, piece: LaidPiece) -> list[int]:
        """Faces that are seen of a piece."""
        work = self.work
        level = next((n for n, plan in enumerate(work.plans) if plan.key == piece.layer.plan.key), -1)
        mine = np.flatnonzero(work.depth == level)
        area = area_of_outline(piece.outline, _FLAT_PX)
        shapely.prepare(area)
        places = np.array([self.regions.inner_place(face) for face in mine.tolist()]).reshape(-1, 2)
        return mine[shapely.contains_xy(area, places[:, 0], places[:, 1])].tolist() if len(mine) else []
