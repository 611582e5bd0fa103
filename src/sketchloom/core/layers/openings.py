"""Details that show through openings of sheets, and what they cost as small pieces laid on top instead."""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.layers.layering import connected_pieces


@dataclass(frozen=True, slots=True, eq=False)
class Sheet:
    """A sheet that is cut: ``solid`` (F,) bool, its ``level`` among the depths, and whether it ``is_fitted``: cut to
    what is seen of it, so that it stays open under what is laid on top of it."""

    solid: np.ndarray
    level: int
    is_fitted: bool = False


@dataclass(frozen=True, slots=True)
class Opening:
    """A face that is seen through an opening of ``sheets`` sheets; what it costs so, and as a piece laid on top, px of
    cutting."""

    face: int
    sheets: int
    opening_px: float
    piece_px: float

    @property
    def saved_px(self) -> float:
        """What a piece in its place saves; less than 0 where the opening is cheaper."""
        return self.opening_px - self.piece_px


def openings_of(planar, arc_length, depth, sheets, piece_px: float, also=()) -> list[Opening]:
    """All faces around which every sheet seen lies higher, the one whose piece saves most first.

    Parameters
    ----------
    planar : the map, of which ``left`` and ``right`` are used. arc_length : (A,) px. depth : (F,) the sheet seen, -1
    for none. sheets : those that are cut. piece_px : cutting that laying a piece counts as. also : faces that are
    looked at though nothing is seen in them.

    Notes
    -----
    An opening costs its edge on every sheet from the one seen in it up to the one around it, and a laying where what
    is seen in it is a piece by itself. A piece on top is cut once and laid by hand; sheets that are fitted stay open
    under it, all others are closed.
    """
    depth, length = np.append(np.asarray(depth), -1), np.asarray(arc_length, float)
    one = np.concatenate([planar.left, planar.right])
    two = np.concatenate([planar.right, planar.left])
    arc = np.tile(length, 2)
    keep = one >= 0
    one, two, arc = one[keep], two[keep], arc[keep]
    count = len(depth) - 1
    bare = np.bincount(one, depth[two] <= depth[one], count) > 0
    asked = depth[:-1] >= 0
    asked[list(also)] = True
    faces = np.flatnonzero(asked & ~bare & (np.bincount(one, None, count) > 0))
    if not len(faces):
        return []
    piece = np.bincount(one, arc, count) + piece_px
    cost, pierced = np.zeros(count), np.zeros(count, int)
    for sheet in sheets:
        solid = np.append(sheet.solid, False)
        cut = (depth[one] <= sheet.level) & (solid[one] != solid[two])
        cost += np.bincount(one[cut], arc[cut], count)
        hole = cut & ~solid[one] & (depth[one] < sheet.level)
        edge = np.bincount(one[hole], arc[hole], count)
        pierced += edge > 0
        if sheet.is_fitted:
            piece += edge
        cost += piece_px * alone(planar, sheet.solid, depth[:-1] == sheet.level)
    found = [Opening(face, int(pierced[face]), float(cost[face]), float(piece[face])) for face in faces.tolist()]
    return sorted(found, key=lambda one: -one.saved_px)


def alone(planar, solid, seen) -> np.ndarray:
    """(F,) bool: seen faces that are a whole piece of their sheet."""
    piece = connected_pieces(planar, solid)
    return seen & solid & (np.bincount(piece[solid], minlength=int(piece.max(initial=-1)) + 1)[piece] == 1)
