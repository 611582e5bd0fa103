"""From colours to sheets: which faces each sheet carries, and what it costs to cut."""

from dataclasses import dataclass

import numpy as np
from scipy.sparse import csr_array
from scipy.sparse.csgraph import connected_components

from sketchloom.core.base import parallel
from sketchloom.core.curves.curveset import CurveSet
from sketchloom.core.curves.outline import Outline, outline_of
from sketchloom.core.layers.lean import lean_faces
from sketchloom.core.layers.overlap import overlapped
from sketchloom.core.layers.ways import BASED, LEAN, STACKED, UNDER, WINDOWED
from sketchloom.core.layers.width import Widths, local_widths
from sketchloom.core.planar.cracks import OUTSIDE
from sketchloom.core.planar.planar_map import PlanarMap

WIDTH_LIMIT_MM = 8.0
"""Widths above this are no one's worry and are not looked for."""
_WIDTH_SPACING_MM = 0.2
"""Places at which widths are measured lie so far apart, and no nearer than a pixel."""
"""Widths of so many sheets are measured at once."""


@dataclass(frozen=True, slots=True)
class LayerPlan:
    """A layer before it is cut: its colours (labels) and how it is to be called and shown; ``hidden`` layers are cut,
    but not painted."""

    key: str
    name: str
    hex: str
    labels: tuple[int, ...]
    left_out: bool = False
    hidden: bool = False


@dataclass(frozen=True, slots=True, eq=False)
class Layer:
    """A sheet to cut, with its figures."""

    plan: LayerPlan
    outline: Outline
    cut_length_mm: float
    area_mm2: float
    widths: Widths
    min_feature_mm: float | None


def colour_boundaries(planar: PlanarMap, arc_length, label_of_face, count: int) -> np.ndarray:
    """(count + 1, count + 1) boundary length between labels; label -1 and outside come last."""
    labels = np.append(label_of_face, -1)
    one, two = labels[planar.left], labels[planar.right]
    one, two = np.where(one < 0, count, one), np.where(two < 0, count, two)
    matrix = np.zeros((count + 1, count + 1))
    np.add.at(matrix, (one, two), arc_length)
    matrix = matrix + matrix.T
    np.fill_diagonal(matrix, 0.0)
    return matrix


def ground_faces(planar: PlanarMap, ground_label: int | None, everywhere: bool) -> np.ndarray:
    """(F,) bool: faces of the ground, all of its colour or only those at the picture's edge."""
    if ground_label is None:
        return np.zeros(planar.face_count, bool)
    of_ground = planar.face_label == ground_label
    if everywhere:
        return of_ground
    touching = np.zeros(planar.face_count, bool)
    touching[planar.right[planar.left == OUTSIDE]] = True
    return of_ground & touching


def enclosed_ground(planar: PlanarMap, ground_label: int | None, ground) -> np.ndarray:
    """(F,) bool: faces of the ground's colour that are not joined to it: eyes, and specks where ink is worn."""
    return np.zeros(planar.face_count, bool) if ground_label is None else (planar.face_label == ground_label) & ~ground


def face_depths(planar: PlanarMap, plans, ground) -> np.ndarray:
    """(F,) position of each face's layer in the order, -1 on ground and in layers left out."""
    depth_of_label = np.full(int(planar.face_label.max()) + 1, -1)
    for depth, plan in enumerate(plans):
        if not plan.left_out:
            known = [label for label in plan.labels if label < len(depth_of_label)]
            depth_of_label[known] = depth
    depth = depth_of_label[planar.face_label]
    return np.where(ground, -1, depth)


def sheet_faces(planar: PlanarMap, arc_length, depth, level: int, way: str) -> np.ndarray:
    """(F,) bool: faces that the sheet of a level is solid on, its overlap left out.

    Stacked and windowed sheets carry all that lies higher, but no piece on which nothing of their own is seen. On a
    base (the lowest sheet, which is whole) the others are just what is seen of them; with the base left out as well.
    """
    if way == LEAN:
        return lean_faces(planar, arc_length, depth, level)
    whole = way in (STACKED, WINDOWED) or (way == BASED and level == 0)
    return with_own(planar, depth >= level, depth == level) if whole else depth == level


def with_own(planar: PlanarMap, solid, own) -> np.ndarray:
    """(F,) bool: the connected pieces of solid faces that hold at least one of their own."""
    piece = connected_pieces(planar, solid)
    holds = np.zeros(len(solid), bool)
    holds[piece[own]] = True
    return solid & holds[piece]


def stack_cost(planar: PlanarMap, arc_length, colour, order) -> tuple[float, int, float]:
    """Cutting (px), pieces and film (px²) of whole sheets laid in an order, without pieces that show nothing.

    ``colour`` (F,): number of each face's colour, -1 for what is not cut; ``order`` of the numbers, base first.
    """
    level = np.full(max(len(order), int(np.max(colour, initial=-1)) + 1) + 1, -1)
    level[list(order)] = np.arange(len(order))
    depth, cut, pieces, film = level[colour], 0.0, 0, 0.0
    for k in range(len(order)):
        own = depth == k
        if own.any():
            solid = with_own(planar, depth >= k, own)
            length, count = cut_of(planar, arc_length, solid)
            cut, pieces = cut + length, pieces + count
            film += float(planar.face_area_px[solid].sum())
    return cut, pieces, film


def cut_of(planar: PlanarMap, arc_length, inside) -> tuple[float, int]:
    """Length of cutting and pieces of a sheet that is solid on some faces."""
    edge = np.append(inside, False)
    cut = float(np.asarray(arc_length)[edge[planar.left] != edge[planar.right]].sum())
    return cut, len(np.unique(connected_pieces(planar, np.asarray(inside, bool))[inside]))


def connected_pieces(planar: PlanarMap, solid) -> np.ndarray:
    """(F,) number of the piece that each face belongs to; faces that are not solid are by themselves."""
    use = solid[planar.left] & solid[planar.right] & (planar.left >= 0)
    one, two = planar.left[use], planar.right[use]
    graph = csr_array((np.ones(len(one), np.int8), (one, two)), shape=(len(solid),) * 2)
    return connected_components(graph, directed=False)[1]


def cut_layers(
    planar: PlanarMap,
    curves: CurveSet,
    plans,
    depth,
    layering: str,
    mm_per_px: float,
    *,
    arc_length,
    overlap_mm: float = 0.0,
    ways=(),
    with_widths: bool = True,
    keep=lambda key, make: make(),
) -> tuple[Layer, ...]:
    """The sheets of a design, base first.

    Stacked and windowed: sheet k is solid wherever depth k or more is seen; they differ in the order. Fitted: sheet
    k is just what is seen of it. Lean: what is covered is chosen for the least cutting. Based: the lowest sheet is
    whole and the others are fitted. Fitted and lean sheets reach ``overlap_mm`` under what covers them. ``ways``: for
    each layer its own way or None. Layers left out, and layers nothing is left of, give no sheet. ``keep(key, make)``
    may give what was made of the same faces before.
    """
    cut = []
    for k, plan in enumerate(plans):
        if plan.left_out or not (depth == k).any():
            continue
        way = (ways[k] if k < len(ways) else None) or layering
        inside = keep(("faces", way, k, depth.tobytes()),
                      lambda: sheet_faces(planar, arc_length, depth, k, way))  # noqa: B023
        shape, hidden = np.packbits(inside).tobytes(), None
        if way in UNDER and overlap_mm > 0:
            hidden = (depth > k) & ~inside
            shape += np.packbits(hidden).tobytes() + str(overlap_mm).encode()
        cut.append(
            (
                plan,
                shape,
                keep(
                    ("outline", shape),
                    lambda i=inside, h=hidden: (
                        outline_of(planar, curves, i)
                        if h is None
                        else overlapped(planar, curves, i, h, overlap_mm / mm_per_px)
                    ),
                ),
            )
        )
    limit_px = WIDTH_LIMIT_MM / mm_per_px
    spacing_px = _spacing_px(mm_per_px)
    if with_widths:
        # most of the time goes into tree look-ups, which leave the other core free
        widths = parallel.in_threads(
            lambda one: keep(("widths", one[1]), lambda: local_widths(one[2], limit_px, spacing_px)), cut
        )
    else:
        widths = [Widths(np.empty((0, 2)), np.empty(0), np.empty(0, np.intp))] * len(cut)
    return tuple(_layer(plan, outline, w, mm_per_px, keep(("length", shape), outline.length_px))
                 for (plan, shape, outline), w in zip(cut, widths, strict=False))


def sheet(plan, outline: Outline, mm_per_px: float, with_widths: bool, keep=lambda make: make()) -> Layer:
    """A sheet with an outline of its own; ``keep(make)`` holds its widths."""
    none = Widths(np.empty((0, 2)), np.empty(0), np.empty(0, np.intp))
    widths = (
        keep(lambda: local_widths(outline, WIDTH_LIMIT_MM / mm_per_px, _spacing_px(mm_per_px))) if with_widths else none
    )
    return _layer(plan, outline, widths, mm_per_px, outline.length_px())


def _spacing_px(mm_per_px):
    return min(max(_WIDTH_SPACING_MM / mm_per_px, 1.0), 3.0)


def pen_layer(plan, outline: Outline, mm_per_px: float) -> Layer:
    """A layer of pen lines in place of a sheet."""
    none = Widths(np.empty((0, 2)), np.empty(0), np.empty(0, np.intp))
    return Layer(plan, outline, outline.length_px() * mm_per_px, 0.0, none, None)


def _layer(plan, outline, widths, mm_per_px, length_px):
    narrowest = widths.narrowest()
    return Layer(plan, outline, length_px * mm_per_px, float(outline.area_px.sum()) * mm_per_px**2, widths,
                 None if narrowest is None else narrowest * mm_per_px)
