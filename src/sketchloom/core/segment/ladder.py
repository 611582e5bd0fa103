"""The colour ladder: what every smaller number of colours loses and saves, from one merge tree.

The picture is labelled and cleaned once, with the most colours. Every further rung only joins
two labels, so it is worked out on the graph of touching faces, never on pixels.
"""

from dataclasses import dataclass

import numpy as np
from scipy.sparse import csr_array
from scipy.sparse.csgraph import connected_components

from sketchloom.core.colour import to_hex
from sketchloom.core.picture.picture import Picture
from sketchloom.core.segment.labels import colour_labels
from sketchloom.core.segment.merging import CRUMB_PX, merge_small, neighbours
from sketchloom.core.segment.palette import MAX_COLOURS, ColourTree

CRACK_LENGTH = np.pi / 4
"""Length of a boundary for each pixel side it runs along, over all directions (Crofton's formula)."""
_ENOUGH_PX = 1_200_000


@dataclass(frozen=True, slots=True, eq=False)
class Rung:
    """One number of colours, and what the step down to it did.

    ``colours`` hex, largest first; ``gone`` and ``into`` the colour that went and the one that
    took it in, None on the highest rung; ``gone_share`` of the picture; ``regions`` left,
    ``regions_lost`` by the step; ``cut_saved_px`` length of the boundary that is no longer cut.
    """

    colours: tuple[str, ...]
    gone: str | None
    into: str | None
    gone_share: float
    regions: int
    regions_lost: int
    cut_saved_px: float

    @property
    def count(self) -> int:
        return len(self.colours)


def colour_ladder(picture: Picture, tree: ColourTree, least_area_px: float) -> tuple[Rung, ...]:
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
    rungs = [Rung(_hexes(palette), None, None, 0.0, regions, 0, 0.0)]
    for count in range(most - 1, 1, -1):
        keep, gone = tree.merges[seeds - count - 1]
        share = float(area[group == gone].sum()) / labels.size
        sides = np.sort(group[pairs], axis=1)
        saved = float(length[(sides[:, 0] == min(keep, gone)) & (sides[:, 1] == max(keep, gone))].sum()) * CRACK_LENGTH / scale
        group = np.where(group == gone, keep, group)
        left = _regions(group, pairs)
        rungs.append(Rung(_hexes(tree.palette(count)), to_hex(tree.colours[gone]), to_hex(tree.colours[keep]), share, left,
                          regions - left, saved))
        regions = left
    return tuple(rungs)


def _hexes(colours):
    return tuple(dict.fromkeys(to_hex(c) for c in colours))


def _regions(group, pairs):
    """Regions when touching faces of one group are one."""
    same = group[pairs[:, 0]] == group[pairs[:, 1]]
    count = len(group)
    graph = csr_array((np.ones(int(same.sum()), np.int8), (pairs[same, 0], pairs[same, 1])), shape=(count, count))
    return connected_components(graph, directed=False)[0]
