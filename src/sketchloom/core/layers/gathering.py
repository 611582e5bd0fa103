"""Enclosed regions of line art gathered into sheets below a frame of ink."""

from dataclasses import dataclass

import cv2
import numpy as np
import scipy
from scipy.sparse import csr_array
from scipy.sparse.csgraph import dijkstra

from sketchloom.core.base.colour import srgb_to_lab, to_hex
from sketchloom.core.base.raster import counted
from sketchloom.core.layers.layering import cut_of, sheet_faces
from sketchloom.core.layers.ways import COLOURS, NESTED, SIZE, TOUCHING
from sketchloom.core.planar.planar_map import PlanarMap

_ONE_COLOUR = 7.0
"""Regions nearer to each other in CIELAB have one colour: grain and uneven light are less (common practice, no
source)."""


def enclosed_faces(planar: PlanarMap, ink) -> np.ndarray:
    """(K,) faces that are not ``ink`` (F,) bool and do not reach the picture's edge."""
    edge = np.zeros(planar.face_count, bool)
    edge[planar.right[planar.left < 0]] = True
    return np.flatnonzero(~np.asarray(ink, bool) & ~edge)


def touching_across_ink(planar: PlanarMap, ink) -> np.ndarray:
    """(P, 2) pairs of faces that lie on two sides of one line of ink, the lower number first.

    Every pixel of ink belongs to the face nearest to it; faces whose shares of the ink meet are neighbours.
    """
    drawn = np.asarray(ink, bool)[planar.faces]
    _, nearest = cv2.distanceTransformWithLabels(
        drawn.astype(np.uint8), cv2.DIST_L2, cv2.DIST_MASK_5, labelType=cv2.DIST_LABEL_PIXEL
    )
    owner = np.zeros(int(nearest.max()) + 1, np.intp)
    owner[nearest[~drawn]] = planar.faces[~drawn]
    mine = np.where(drawn, owner[nearest], planar.faces)
    pairs = []
    for one, two in ((mine[:, 1:], mine[:, :-1]), (mine[1:], mine[:-1])):
        apart = one != two
        pairs.append(np.stack([one[apart], two[apart]], -1))
    return np.unique(np.sort(np.concatenate(pairs), 1), axis=0)


def face_colours(planar: PlanarMap, rgb) -> np.ndarray:
    """(F, 3) mean sRGB colour of each face in a picture (H, W, 3), of its pixels away from its edge where it has any.
    """
    faces = planar.faces
    kernel = np.ones((3, 3), np.uint8)
    wide = faces.astype(np.float32) if planar.face_count < 2**24 else faces.astype(np.float64)
    inner = cv2.dilate(wide, kernel) == cv2.erode(wide, kernel)
    count = counted(faces, planar.face_count, inner)
    use = inner | (count == 0)[faces]
    own, pixels = faces[use], np.asarray(rgb)[use]
    count = np.maximum(np.bincount(own, minlength=planar.face_count), 1)
    return np.stack([np.bincount(own, pixels[:, k], planar.face_count) / count for k in range(3)], -1)


def gathered(planar: PlanarMap, ink, rule: str, sheets: int, rgb=None) -> tuple[np.ndarray, np.ndarray]:
    """Enclosed faces and the sheet (0 lowest) that each is gathered into.

    Parameters
    ----------
    rule : ``touching``: neighbours across a line differ, as far as there are sheets; ``nested``: the more lines lie
    around a region, the deeper; ``size``: the larger, the deeper; ``inward``: the farther from what is outside, the
    deeper;
        ``colours``: those of like colour together, the darker the deeper.
    rgb : (F, 3) sRGB colours of the faces, for ``colours``, which needs them.

    References
    ----------
    Brelaz 1979, "New methods to color the vertices of a graph" (the most restricted face is coloured next).
    """
    faces = enclosed_faces(planar, ink)
    if len(faces) == 0:
        return faces, np.empty(0, np.intp)
    if rule == SIZE:
        return faces, _in_groups(-planar.face_area_px[faces].astype(float), sheets)
    if rule == COLOURS:
        return faces, _by_colour(np.asarray(rgb)[faces], sheets)
    pairs = touching_across_ink(planar, ink)
    if rule == TOUCHING:
        return faces, _coloured(faces, pairs, sheets)
    if rule == NESTED:
        count = planar.face_count
        graph = csr_array(
            (
                np.ones(2 * len(pairs)),
                (np.concatenate([pairs[:, 0], pairs[:, 1]]), np.concatenate([pairs[:, 1], pairs[:, 0]])),
            ),
            shape=(count, count),
        )
        outside = np.setdiff1d(np.flatnonzero(~np.asarray(ink, bool)), faces)
        lines = (
            dijkstra(graph, indices=outside, unweighted=True, min_only=True)[faces]
            if len(outside)
            else np.ones(len(faces))
        )
        lines = np.where(np.isfinite(lines), lines, 1.0)
        deepest = int(lines.max())
        return faces, np.minimum((deepest - lines.astype(int)) * sheets // max(deepest, 1), sheets - 1)
    outer = np.isin(planar.faces, np.setdiff1d(np.flatnonzero(~np.asarray(ink, bool)), faces))
    away = cv2.distanceTransform(
        (~np.pad(outer, 1, constant_values=True)).astype(np.uint8), cv2.DIST_L2, cv2.DIST_MASK_PRECISE
    )[1:-1, 1:-1]
    mean = np.bincount(planar.faces.ravel(), away.ravel(), planar.face_count) / np.maximum(planar.face_area_px, 1)
    return faces, _in_groups(-mean[faces], sheets)


@dataclass(frozen=True, slots=True)
class Rung:
    """What gathering into so many sheets costs, px: pieces to lay, length of all cuts, what that is less than if every
    region were cut by itself (0 where it is more), and pairs of neighbours across a line that lie on one sheet."""

    sheets: int
    pieces: int
    cut_px: float
    saved_px: float
    alike: int


def ladder(planar: PlanarMap, arc_length, ink, rule: str, way: str, rgb=None, most: int = 8) -> list[Rung]:
    """Two to ``most`` sheets below the frame, layered by ``way``; numbers that give no more sheets than the one
    before are left out.
    ``rgb`` as of ``gathered``."""
    ink = np.asarray(ink, bool)
    faces = enclosed_faces(planar, ink)
    pairs = touching_across_ink(planar, ink) if len(faces) else np.empty((0, 2), int)
    found, before = [], 1
    for sheets in range(2, most + 1):
        faces, sheet = gathered(planar, ink, rule, sheets, rgb)
        used = len(np.unique(sheet))
        if used <= before:
            continue
        before = used
        depth = np.full(planar.face_count, -1)
        depth[ink] = sheets
        depth[faces] = sheet
        cut = [
            cut_of(planar, arc_length, sheet_faces(planar, arc_length, depth, level, way))
            for level in range(sheets + 1)
        ]
        alone = sum(cut_of(planar, arc_length, depth == level)[0] for level in range(sheets + 1))
        same = depth[pairs[:, 0]] == depth[pairs[:, 1]]
        total = sum(length for length, _ in cut)
        alike = int((same & (depth[pairs] >= 0).all(1)).sum())
        found.append(Rung(sheets, sum(n for _, n in cut), total, max(alone - total, 0.0), alike))
    return found


def mean_colours(planar: PlanarMap, faces, sheet, rgb) -> list[str]:
    """The colour of each sheet: the mean of its faces by area, no two the same."""
    weight = planar.face_area_px[faces].astype(float)
    total = np.bincount(sheet, weight)
    mean = np.stack(
        [np.bincount(sheet, weight * np.asarray(rgb)[faces, k]) / np.maximum(total, 1) for k in range(3)], -1
    )
    found: list[str] = []
    for colour in mean:
        while (text := to_hex(colour)) in found:
            colour = colour + (0, 0, 1 if colour[2] < 128 else -1)
        found.append(text)
    return found


def sheet_colours(count: int) -> list[str]:
    """Shades from dark below to light above, each told from the next with ease."""
    shades = []
    for n in range(count):
        light = 0.22 + 0.66 * n / max(count - 1, 1)
        shades.append("#" + "".join(f"{round(255 * min(light * k, 1.0)):02x}" for k in (0.72, 0.92, 1.08)))
    return shades


def _in_groups(values, sheets):
    """Number of the group of nearly equal count that each value falls into, low values first."""
    rank = np.argsort(np.argsort(values, kind="stable"), kind="stable")
    return rank * sheets // len(values)


def _by_colour(rgb, sheets):
    """Groups of like colours, at most so many, the darkest first."""
    lab = srgb_to_lab(rgb)
    different, which = np.unique(np.rint(lab), axis=0, return_inverse=True)
    if len(different) == 1:
        return np.zeros(len(rgb), np.intp)
    hierarchy = scipy.cluster.hierarchy  # loads at first use: few need it
    tree = hierarchy.linkage(different, "average")
    apart = hierarchy.fcluster(tree, _ONE_COLOUR, "distance")
    group = (apart if apart.max() <= sheets else hierarchy.fcluster(tree, sheets, "maxclust"))[which.ravel()] - 1
    light = np.bincount(group, lab[:, 0]) / np.bincount(group)
    return np.argsort(np.argsort(light, kind="stable"))[group]


def _coloured(faces, pairs, sheets):
    number = {face: n for n, face in enumerate(faces.tolist())}
    beside = [set() for _ in faces]
    for a, b in pairs.tolist():
        if a in number and b in number:
            beside[number[a]].add(number[b])
            beside[number[b]].add(number[a])
    sheet = np.full(len(faces), -1)
    for _ in range(len(faces)):
        free = np.flatnonzero(sheet < 0)
        taken = [{int(sheet[k]) for k in beside[n] if sheet[k] >= 0} for n in free.tolist()]
        pick = max(range(len(free)), key=lambda k: (len(taken[k]), len(beside[free[k]]), -free[k]))
        n = int(free[pick])
        allowed = [k for k in range(sheets) if k not in taken[pick]]
        # with too few sheets: the one fewest neighbours have
        around = [int(sheet[k]) for k in beside[n] if sheet[k] >= 0]
        sheet[n] = allowed[0] if allowed else min(range(sheets), key=around.count)
    return sheet
