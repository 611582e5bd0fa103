"""Openings of whole sheets, and pieces laid on top in their place: what each costs, and one made the other."""

from dataclasses import dataclass

from sketchloom.core.edits.decisions import ABOVE, BELOW
from sketchloom.desk.regions import RegionDesk
from sketchloom.evaluate.openings import openings, pieces
from sketchloom.recipe.document import Recipe

_SAME_MM = 1e-6


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
        now, other = (self.piece_mm, self.opening_mm) if self.is_piece else (self.opening_mm, self.piece_mm)
        return other < now - _SAME_MM


def details_of(desk: RegionDesk) -> tuple[Detail, ...]:
    """Openings, those first whose pieces save most, then what was laid on top by hand, then what the order made pieces
    of, those first whose openings save most."""
    work = desk.work
    made = [_detail(desk, one, False) for one in openings(work)]
    laid = [face for face, n in desk.edit_of_face.items() if work.recipe.edits[n].action == ABOVE]
    return (*made, *(_detail(desk, one, True) for one in (*_undone(work, laid), *pieces(work))))


def as_pieces(desk: RegionDesk, recipe: Recipe, details) -> Recipe:
    """The recipe in which details are pieces: as they were before they were taken from below, else laid on top."""
    back, on_top = _parted(desk, details, BELOW)
    return desk.decided(desk.undecided(recipe, back), on_top, ABOVE)


def as_openings(desk: RegionDesk, recipe: Recipe, details) -> Recipe:
    """The recipe in which details are openings: as they were before they were laid on top, else to a sheet below."""
    back, below = _parted(desk, details, ABOVE)
    return desk.decided(desk.undecided(recipe, back), below, BELOW)


def _parted(desk, details, action):
    """Faces about which that was decided, and the others."""
    faces = [detail.face for detail in details]
    decided = {face for face, n in desk.edit_of_face.items() if desk.work.recipe.edits[n].action == action}
    return [f for f in faces if f in decided], [f for f in faces if f not in decided]


def _undone(work, faces):
    """Openings that pieces on top would be without their edits."""
    if not faces:
        return []
    depth, label = work.depth.copy(), work.traced.planar.face_label
    for face in faces:
        depth[face] = next((n for n, plan in enumerate(work.plans) if label[face] in plan.labels), -1)
    return [one for one in openings(work, depth, faces) if one.face in set(faces)]


def _detail(desk, one, is_piece):
    scale = desk.work.mm_per_px
    return Detail(one.face, desk.hex_of(one.face), one.sheets, one.opening_px * scale, one.piece_px * scale, is_piece)
