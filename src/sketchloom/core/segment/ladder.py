"""The colour ladder: what every smaller number of colours loses and saves, from one merge tree.

The picture is labelled and cleaned once, with the most colours. Every further rung only joins
two labels, so it is worked out on the graph of touching faces, never on pixels.
"""

from dataclasses import dataclass

import cv2
import numpy as np
from scipy.sparse import csr_array
from scipy.sparse.csgraph import connected_components

from sketchloom.core.base.colour import to_hex
from sketchloom.core.picture.picture import Picture
from sketchloom.core.segment.labels import colour_labels
from sketchloom.core.segment.merging import CRUMB_PX, merge_small, neighbours
from sketchloom.core.segment.palette import MAX_COLOURS, ColourTree

CRACK_LENGTH = np.pi / 4
"""Length of a boundary for each pixel side it runs along, over all directions (Crofton's formula)."""
_ENOUGH_PX = 1_200_000
"""Pixels of the reduced picture that the ladder is reckoned on; its figures are to choose by."""


@dataclass(frozen=True, slots=True, eq=False)
class Rung:
    """One number of colours, and what the step down to it did.

    ``colours`` hex, largest first; ``gone`` and ``into`` the colour that went and the one that
    took it in, None on the highest rung; ``gone_share`` of the picture; ``regions`` left,
    ``regions_lost`` by the step; ``cut_saved_px`` length of the boundary that is no longer cut;
    ``gone_faces`` numbers of the faces that change colour, ``joining`` (as many) whether each
    grows into a neighbour and so is no piece of its own any more.
    """

    colours: tuple[str, ...]
    gone: str | None
    into: str | None
    gone_share: float
    regions: int
    regions_lost: int
    cut_saved_px: float
    gone_faces: np.ndarray
    joining: np.ndarray

    @property
    def count(self) -> int:
        return len(self.colours)


@dataclass(frozen=True, slots=True, eq=False)
class ColourLadder:
    """``rungs``, most colours first; ``faces`` (h, w) of the picture or of its reduced copy, ``scale`` of that."""

    rungs: tuple[Rung, ...]
    faces: np.ndarray
    scale: float

    def lost(self, rung: Rung) -> tuple[np.ndarray, np.ndarray]:
        """What a rung takes from the one above it.

        Returns
        -------
        (h, w) bool, the area that changes colour; (K, 3) x, y and area, px of the picture, of the
        pieces that grow into a neighbour, largest first
        """
        kind = np.zeros(int(self.faces.max()) + 1, np.uint8)
        kind[rung.gone_faces] = np.where(rung.joining, 2, 1)
        seen = kind[self.faces]
        _, _, stats, middle = cv2.connectedComponentsWithStats((seen == 2).astype(np.uint8), connectivity=4)
        places = np.column_stack([(middle[1:] + 0.5) / self.scale, stats[1:, cv2.CC_STAT_AREA] / self.scale**2])
        return seen > 0, places[np.argsort(-places[:, 2], kind="stable")]


def colour_ladder(picture: Picture, tree: ColourTree, least_area_px: float) -> ColourLadder:
    """All rungs, from the most colours (24 at most) down to two, or one where there is no more.

    Parameters
    ----------
    picture, tree : as ``find_colours`` read it. least_area_px : regions under it are given away
        before anything is counted.

    Notes
    -----
    A large picture is looked at in a reduced copy of 1.2 megapixels: lengths and shares hold, a
    region near the least area may be counted or not.
    """
    scale = min(1.0, (_ENOUGH_PX / (picture.width * picture.height)) ** 0.5)
    if scale < 1.0:
        picture = picture.reduced(round(max(picture.width, picture.height) * scale))
        least_area_px = max(least_area_px * scale**2, CRUMB_PX)
    most = min(len(tree.colours), MAX_COLOURS)
    seeds = len(tree.colours)
    palette = tree.palette(most)
    labels = colour_labels(picture, palette, tree.noise, strips=False)
    clean = merge_small(labels, least_area_px)
    # label -> seed that names it; transparent ground stays by itself
    seed = np.array([int(np.flatnonzero((tree.colours == c).all(1))[0]) for c in palette] + [-1])
    group = seed[clean.face_label]
    pairs, length = neighbours(clean.faces)
    once = pairs[:, 0] < pairs[:, 1]
    pairs, length = pairs[once], length[once]
    area = clean.face_area.astype(float)
    regions = len(area)
    rungs = [Rung(_hexes(palette), None, None, 0.0, regions, 0, 0.0, np.empty(0, np.intp), np.empty(0, bool))]
    for count in range(most - 1, 1, -1):
        keep, gone = tree.merges[seeds - count - 1]
        share = float(area[group == gone].sum()) / labels.size
        sides = np.sort(group[pairs], axis=1)
        meet = (sides[:, 0] == min(keep, gone)) & (sides[:, 1] == max(keep, gone))
        saved = float(length[meet].sum()) * CRACK_LENGTH / scale
        gone_faces = np.flatnonzero(group == gone)
        joining = _hanging_on(gone_faces, group, pairs, pairs[meet])
        group = np.where(group == gone, keep, group)
        left = _regions(group, pairs)
        rungs.append(
            Rung(
                _hexes(tree.palette(count)),
                to_hex(tree.colours[gone]),
                to_hex(tree.colours[keep]),
                share,
                left,
                regions - left,
                saved,
                gone_faces,
                joining,
            )
        )
        regions = left
    return ColourLadder(tuple(rungs), clean.faces, scale)


def _hexes(colours):
    return tuple(dict.fromkeys(to_hex(c) for c in colours))


def _regions(group, pairs):
    """Regions when touching faces of one group are one."""
    return _components(group, pairs)[0]


def _components(group, pairs):
    same = group[pairs[:, 0]] == group[pairs[:, 1]]
    count = len(group)
    graph = csr_array((np.ones(int(same.sum()), np.int8), (pairs[same, 0], pairs[same, 1])), shape=(count, count))
    return connected_components(graph, directed=False)


def _hanging_on(faces, group, pairs, meeting):
    """Of some faces, those whose region has one of the ``meeting`` pairs of faces."""
    number, region = _components(group, pairs)
    meets = np.zeros(number, bool)
    meets[region[meeting.ravel()]] = True
    return meets[region[faces]]
