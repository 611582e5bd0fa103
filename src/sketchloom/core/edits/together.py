"""Set operations on regions: with what they enclose they are areas that overlap, and every result is a choice of
faces."""

from dataclasses import dataclass

import numpy as np
from scipy.sparse import csr_array
from scipy.sparse.csgraph import connected_components

from sketchloom.core.planar.planar_map import PlanarMap


@dataclass(frozen=True, slots=True, eq=False)
class Enclosed:
    """What a set of faces encloses: ``hole`` (F,) number of the hole each face lies in, -1 for none; ``area_px`` (H,)
    of each hole."""

    hole: np.ndarray
    area_px: np.ndarray

    def __len__(self):
        return len(self.area_px)


def enclosed(planar: PlanarMap, inside) -> Enclosed:
    """Holes of a set of faces, (F,) bool: what hangs together by shared boundary and does not reach the picture's
    edge."""
    inside = np.asarray(inside, bool)
    count = planar.face_count
    left, right = (
        np.where(side < 0, count, side) for side in (planar.left, planar.right)
    )  # the outside is one more face
    out = np.append(~inside, True)
    arcs = out[left] & out[right]
    graph = csr_array((np.ones(int(arcs.sum()), np.int8), (left[arcs], right[arcs])), shape=(count + 1, count + 1))
    _, part = connected_components(graph, directed=False)
    hole = np.where(inside | (part[:count] == part[count]), -1, part[:count])
    numbers = np.unique(hole[hole >= 0])
    hole = np.where(hole >= 0, np.searchsorted(numbers, hole), -1)
    held = hole >= 0
    return Enclosed(hole, np.bincount(hole[held], planar.face_area_px[held], len(numbers)))


def filled(planar: PlanarMap, inside) -> np.ndarray:
    """(F,) bool: faces and all they enclose."""
    return np.asarray(inside, bool) | (enclosed(planar, inside).hole >= 0)


def together(planar: PlanarMap, regions, way: str) -> tuple[np.ndarray, np.ndarray]:
    """Faces that belong to the result of several regions, and faces that are taken away for it, (F,) bool each.

    Parameters
    ----------
    regions : list of (F,) bool, the first the one that is worked on.
    way : ``join``: the first takes the others in, as they are. ``cut``: the others, with what they enclose, are cut
    out of the first and what it encloses. ``common``: of the first and what it encloses only what lies in all others,
    each with
        what it encloses, stays.
    """
    if way == "join":
        made = np.logical_or.reduce(regions)
        return made, np.zeros_like(made)
    first, *others = (filled(planar, region) for region in regions)
    rest = np.logical_or.reduce(others) if way == "cut" else ~np.logical_and.reduce(others)
    # of what is cut out only what lies in the first is taken away; the rest is no part of this
    return (regions[0] & ~rest) if way == "cut" else (first & ~rest), first & rest
