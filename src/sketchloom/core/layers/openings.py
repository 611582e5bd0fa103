"""Details that show through openings of whole sheets, and what they cost as small pieces laid on top instead."""

from dataclasses import dataclass

import numpy as np


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


def openings_of(planar, arc_length, depth, solids, levels, piece_px: float) -> list[Opening]:
    """All faces around which every sheet seen lies higher, the one whose piece saves most first.

    Parameters
    ----------
    planar : the map, of which ``left`` and ``right`` are used. arc_length : (A,) px. depth : (F,) the sheet seen, -1
    for none. solids, levels : (F,) bool of each sheet that is cut, and its depth. piece_px : cutting that laying a
    piece counts as.

    Notes
    -----
    An opening is cut once through every sheet between what is seen in it and what is seen around it; a piece on top is
    cut once and laid by hand, and nothing is pierced.
    """
    depth, length = np.append(np.asarray(depth), -1), np.asarray(arc_length, float)
    one = np.concatenate([planar.left, planar.right])
    two = np.concatenate([planar.right, planar.left])
    arc = np.tile(length, 2)
    keep = one >= 0
    one, two, arc = one[keep], two[keep], arc[keep]
    count = len(depth) - 1
    bare = np.bincount(one, depth[two] <= depth[one], count) > 0
    faces = np.flatnonzero((depth[:-1] >= 0) & ~bare & (np.bincount(one, None, count) > 0))
    if not len(faces):
        return []
    around, cost, pierced = np.bincount(one, arc, count), np.zeros(count), np.zeros(count, int)
    for solid, level in zip(solids, levels, strict=True):
        edge = np.append(solid, False)
        cut = (depth[one] < level) & edge[two] & ~edge[one]
        here = np.bincount(one[cut], arc[cut], count)
        cost, pierced = cost + here, pierced + (here > 0)
    found = [Opening(face, int(pierced[face]), float(cost[face]), float(around[face]) + piece_px)
             for face in faces.tolist()]
    return sorted(found, key=lambda one: -one.saved_px)
