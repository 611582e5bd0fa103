"""The ways of layering one work side by side: what each costs."""

from dataclasses import dataclass, replace

import numpy as np

from sketchloom.core.base.colour import from_hex, srgb_to_lab
from sketchloom.core.edits.decisions import COLOUR
from sketchloom.core.layers import gathering, order_bounds, order_costs
from sketchloom.core.layers import order as depth_order
from sketchloom.core.layers.layering import colour_boundaries, sheet_faces, stack_cost
from sketchloom.core.layers.order_showing import slivers
from sketchloom.core.layers.ways import COLOURS as BY_COLOURS
from sketchloom.core.layers.ways import LEAN, PROPOSED, UNDER, WAYS
from sketchloom.core.layers.weeding import weeding_length_mm
from sketchloom.core.segment import tone
from sketchloom.evaluate.layers import LayerStage
from sketchloom.evaluate.sheet_order import hex_below, order_shares, rule_pairs, weights_px
from sketchloom.evaluate.work import Work, stack_height_mm


@dataclass(frozen=True, slots=True)
class WayFigures:
    """What a way of layering costs.

    ``thickest``: sheets that lie on each other at the thickest spot, ``height_mm`` how high the stack is.
    ``smallest_mm`` narrowest place, None when none is narrow.
    ``slack_mm``: how far a piece may be laid amiss before the ground shows; None where the sheet below goes on
    under all of it.
    """

    way: str
    sheets: int
    pieces: int
    windows: int
    cut_mm: float
    film_mm2: float
    thickest: int
    height_mm: float
    smallest_mm: float | None
    slack_mm: float | None


def ways_compared(work: Work) -> tuple[WayFigures, ...]:
    """The figures of all ways of layering a work; its overlap, proposed or not, holds for all that have one."""
    return tuple(figures_of_way(work, way) for way in WAYS)


def figures_of_way(work: Work, way: str) -> WayFigures:
    overlap = work.recipe.overlap_mm if work.laying.overlap_mm == 0 else work.laying.overlap_mm
    edits = tuple(replace(edit, layering=None) for edit in work.recipe.layers)
    recipe = replace(work.recipe, layering=way, overlap_mm=overlap, layers=edits)
    stage = LayerStage(
        lambda key, make: make(), recipe, work.mm_per_px, work.picture.alpha is not None, work.move, True
    )
    done = stage.run(work.segmentation, work.traced)
    layers, narrow = done.layers, [x.min_feature_mm for x in done.layers if x.min_feature_mm is not None]
    return WayFigures(
        way,
        len(layers),
        sum(x.outline.pieces for x in layers),
        sum(x.outline.holes for x in layers),
        sum(x.cut_length_mm for x in layers)
        + weeding_length_mm(layers, work.mm_per_px, recipe.weeding_mm, recipe.weeding_every_mm),
        sum(x.area_mm2 for x in layers),
        sheets_on_each_other(work, done.depth, len(done.plans), way),
        stack_height_mm(recipe, work.traced, done.depth, done.plans, layers, way),
        min(narrow, default=None),
        done.laying.reach_mm() if way in UNDER else None,
    )


def sheets_on_each_other(work: Work, depth, count: int, way: str) -> int:
    """The most sheets that lie on each other anywhere."""
    planar, high = work.traced.planar, np.zeros(work.traced.planar.face_count, int)
    for level in range(count):
        if (depth == level).any():
            high += sheet_faces(planar, work.traced.arc_length_px, depth, level, way)
    return int(high.max(initial=0))


@dataclass(frozen=True, slots=True)
class OrderOffer:
    """An order worth a look: ``why`` it is offered, its layer keys, base first, and what the stack costs in it."""

    why: str
    order: tuple[str, ...]
    cut_mm: float
    pieces: int
    film_mm2: float


_WANTED = (
    ("cutting", (1.0, 0.0, 0.0, 0.0, 0.0)),
    ("pieces", (0.0, 1.0, 0.0, 0.0, 0.0)),
    ("film", (0.0, 0.0, 1.0, 0.0, 0.0)),
    ("mislaying", (0.1, 0.0, 0.0, 1.0, 1.0)),
    ("balanced", (1.0, 1.0, 1.0, 1.0, 1.0)),
)
_NEXT = 3
"""Orders shown beside the best."""


def orders_offered(work: Work) -> tuple[OrderOffer, ...]:
    """The best orders for each thing an order can save, then those that come next by what it is to save now; all keep
    to pins and rules."""
    planar, plans, depth = work.traced.planar, work.plans, work.depth
    keys, count = [plan.key for plan in plans], len(plans)
    if count < 2 or work.draws_with_pens:
        return ()
    boundary = colour_boundaries(planar, work.traced.arc_length_px, depth, count)
    area = np.bincount(depth[depth >= 0], planar.face_area_px[depth >= 0], count)
    inner = planar.left >= 0
    faces = order_costs.Faces(depth, planar.left[inner], planar.right[inner])
    above = depth_order.consistent(rule_pairs(work.recipe, keys), count)
    tie = 1e-7 * boundary.sum() / max(float(area.sum()), 1.0)
    below = hex_below(work.recipe, work.segmentation.entries, work.segmentation.ground_label)
    lab = srgb_to_lab(np.array([from_hex(h) for h in (*(plan.hex for plan in plans), below)]))
    found: dict[tuple[int, ...], str] = {}
    if depth_order.is_exact(count, order_costs.Weights(piece=1.0), faces):
        parts = order_costs.subset_parts(boundary, area, faces)
        shown = slivers(boundary, lab)
        def best(shares, most, apart=1e-6):
            weights = weights_px(shares, work.mm_per_px)
            lowest = order_costs.lowest_costs(shown, area, weights.mislaid, weights.little)
            cost = order_costs.weighed(parts, weights, tie, count, above)
            return [order for order, _ in order_bounds.few_best(cost, count, most, apart, lowest)]
        for why, shares in _WANTED:
            found.setdefault(best(shares, 1)[0], why)
        for order in best(order_shares(work.recipe, work.laying.way), 1 + _NEXT, 1e-3)[1:]:
            found.setdefault(order, "next")
    else:
        for why, shares in _WANTED:
            weights = weights_px(shares, work.mm_per_px)
            found.setdefault(depth_order.best_order(boundary, area, weights, faces, above, lab).order, why)
    scale = work.mm_per_px
    made = []
    for order, why in found.items():
        cut, pieces, film = stack_cost(planar, work.traced.arc_length_px, depth, order)
        made.append(OrderOffer(why, tuple(keys[n] for n in order), cut * scale, pieces, film * scale**2))
    return tuple(made)


@dataclass(frozen=True, slots=True)
class LineArtRung:
    """What so many sheets below a frame of ink cost."""

    sheets: int
    pieces: int
    cut_mm: float
    saved_mm: float
    alike: int


def line_art_ladder(work: Work, rule: str) -> tuple[LineArtRung, ...]:
    """Two sheets and more that a drawing's enclosed regions are gathered into, layered as asked, or lean where the way
    is proposed."""
    planar, scale = work.traced.planar, work.mm_per_px
    rgb = gathering_colours(work) if rule == BY_COLOURS else None
    found = gathering.ladder(
        planar, work.traced.arc_length_px, planar.face_label == tone.INK, rule,
        LEAN if work.recipe.layering == PROPOSED else work.laying.way, rgb
    )
    return tuple(LineArtRung(r.sheets, r.pieces, r.cut_px * scale, r.saved_px * scale, r.alike) for r in found)


def gathering_colours(work: Work) -> np.ndarray:
    """(F, 3) sRGB colours by which regions are gathered: those given by hand, else the picture's own."""
    rgb = gathering.face_colours(work.traced.planar, work.picture.rgb)
    given = {edit.hex for edit in work.recipe.edits if edit.action == COLOUR and edit.on}
    entries = work.segmentation.entries
    for label, entry in enumerate(entries):
        if entry.hex in given:
            rgb[(work.edited.label == label) & (work.edited.label != work.traced.planar.face_label)] = from_hex(
                entry.hex
            )
    return rgb
