"""Openings of whole sheets, and pieces laid on top in their place: what each costs, and one made the other."""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.edits.decisions import ABOVE
from sketchloom.desk.regions import RegionDesk
from sketchloom.evaluate.sheet_order import PIECE_MM
from sketchloom.evaluate.work import openings
from sketchloom.recipe.document import Recipe


@dataclass(frozen=True, slots=True)
class Detail:
    """A region as an opening or as a piece on top: ``is_piece`` what it is now, ``better`` what costs less."""

    face: int
    hex: str
    sheets: int
    opening_mm: float
    piece_mm: float
    is_piece: bool

    @property
    def better(self) -> bool:
        """Whether the other of both costs less."""
        return (self.opening_mm > self.piece_mm) != self.is_piece


def details_of(desk: RegionDesk) -> tuple[Detail, ...]:
    """Openings, those first whose pieces save most, then what was laid on top by hand or by the proposal."""
    work, scale = desk.work, desk.work.mm_per_px
    made = [_detail(desk, one.face, one.sheets, one.opening_px * scale, one.piece_px * scale, False)
            for one in openings(work)]
    return (*made, *(_laid(desk, face) for face, n in desk.edit_of_face.items()
                     if work.recipe.edits[n].action == ABOVE))


def as_pieces(desk: RegionDesk, recipe: Recipe, details) -> Recipe:
    """The recipe in which details are pieces on top."""
    return desk.decided(recipe, [detail.face for detail in details], ABOVE)


def as_openings(desk: RegionDesk, recipe: Recipe, details) -> Recipe:
    """The recipe in which details are openings again."""
    return desk.undecided(recipe, [detail.face for detail in details])


def _laid(desk, face):
    """A piece on top, against the opening that it would be without its edit."""
    work, planar = desk.work, desk.work.traced.planar
    own = next((n for n, plan in enumerate(work.plans) if planar.face_label[face] in plan.labels), -1)
    one = np.concatenate([planar.left, planar.right])
    beside = np.concatenate([planar.right, planar.left])[one == face]
    length = np.tile(work.traced.arc_length_px, 2)[one == face]
    around = np.where(beside < 0, -1, work.depth[beside])
    sheets = np.maximum(around - own, 0)
    return _detail(desk, face, int(sheets.max(initial=0)), float((sheets * length).sum()) * work.mm_per_px,
                   float(length.sum()) * work.mm_per_px + PIECE_MM, True)


def _detail(desk, face, sheets, opening_mm, piece_mm, is_piece):
    return Detail(face, desk.hex_of(face), sheets, opening_mm, piece_mm, is_piece)
