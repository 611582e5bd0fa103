"""From a map and its curves to layers: edits of regions, which colours are one sheet, their order, their outlines."""

from dataclasses import dataclass, replace

import numpy as np

from sketchloom.core.base.colour import from_hex, srgb_to_lab
from sketchloom.core.base.said import said
from sketchloom.core.base.words import word
from sketchloom.core.edits import region_edits
from sketchloom.core.edits.decisions import OWN_SHEET
from sketchloom.core.edits.region_edits import Edited
from sketchloom.core.layers import layering, order_costs
from sketchloom.core.layers import order as depth_order
from sketchloom.core.layers.layering import Layer, LayerPlan
from sketchloom.core.layers.naming import sheet_name, told_apart
from sketchloom.core.layers.proposing import Laying, base_of, kept_laying, proposed_laying
from sketchloom.core.layers.ways import BASED, PROPOSED, STACKED
from sketchloom.core.picture.preparing.mirroring import Halves
from sketchloom.core.segment import tone
from sketchloom.core.strokes import pens
from sketchloom.evaluate.rims import Laid, with_rims
from sketchloom.evaluate.segmentation import Segmentation
from sketchloom.evaluate.sheet_order import hex_below, match_keys, order_shares, rule_pairs, weights_px
from sketchloom.evaluate.work import Traced
from sketchloom.recipe.document import Recipe

_PAPERS = ("paper", "card")
_WORN = 0.002
"""Less of the ground's colour within what is cut than this share is no sheet: it stays open (chosen on a worn emblem by
rule with 0.0002, and eyes with white in them of `bench/proposals` with 0.01 and more)."""


@dataclass(frozen=True, slots=True, eq=False)
class Layered:
    """``ground`` (F,) bool and ``depth`` (F,) of the faces, the plans, their layers, the proposed order and the
    length of cutting, mm, that the present one has; ``edited`` faces; the ``laying`` carried out;
    ``proposed_keys`` of layers in the proposed order."""

    ground: np.ndarray
    depth: np.ndarray
    plans: tuple[LayerPlan, ...]
    layers: tuple[Layer, ...]
    proposed: depth_order.DepthOrder
    length_mm: float
    edited: Edited
    laying: Laying
    proposed_keys: tuple[str, ...] = ()


class LayerStage:
    """Layers of one segmentation. ``keep(key, make)`` holds outlines and widths of sheets that do not change.

    ``move`` as of ``placing``; ``measured``: whether widths are looked for; ``shaded``: the colours are tones of one
    shading.
    """

    def __init__(
        self, keep, recipe: Recipe, mm_per_px: float, has_alpha: bool, move, measured: bool, rough: bool = False,
        shaded: bool = False,
    ):
        self.keep, self.recipe, self.mm_per_px = keep, recipe, mm_per_px
        self._below, self._above = (
            {e.hex for e in recipe.edits if e.action == action and e.on} for action in OWN_SHEET
        )
        self.has_alpha, self.move, self.measured, self.rough = has_alpha, move, measured, rough
        self.shaded = shaded
        self._names: dict[str, str] = {}

    def run(self, segmentation: Segmentation, traced: Traced) -> Layered:
        recipe, planar = self.recipe, traced.planar
        self._names = dict(segmentation.names)
        if segmentation.strokes is not None and recipe.pen_mm is None:  # as Work.draws_with_pens
            return self._pen_layers(segmentation, planar)
        ground_label = None if recipe.ground == "keep" and not self.has_alpha else segmentation.ground_label
        ground = layering.ground_faces(planar, ground_label, self._everywhere(segmentation))
        if recipe.ground == "auto":
            ground |= self._worn(planar, layering.enclosed_ground(planar, ground_label, ground), ground)
        if segmentation.cut_in is not None:
            ground |= segmentation.cut_in.opened
        edited = self._edited(segmentation, planar, ground)
        ground, planar = edited.ground, replace(planar, face_label=edited.label)
        groups = self._groups(segmentation, planar, ground)
        group_of_label = np.full(max(len(segmentation.entries), int(planar.face_label.max())) + 1, -1)
        for number, (_, labels) in enumerate(groups):
            group_of_label[list(labels)] = number
        of_face = np.where(ground, -1, group_of_label[planar.face_label])
        left_out = np.array([recipe.edit_of(k).left_out for k, _ in groups] + [True])
        seen = np.where(left_out[of_face], -1, of_face)
        boundary = layering.colour_boundaries(planar, traced.arc_length_px, seen, len(groups))
        area = np.bincount(seen[seen >= 0], planar.face_area_px[seen >= 0], len(groups))
        above = rule_pairs(recipe, [key for key, _ in groups])
        laying = self._laying(boundary, groups, above, not ground.any())
        if laying.base is not None:
            above += tuple((other, laying.base) for other in range(len(groups)) if other != laying.base)
        proposed = self._proposed(planar, boundary, area, seen, above, laying.way, groups, ground_label,
                                  segmentation.entries)
        chosen = self._order(groups, proposed)
        plans = self._plans(groups, chosen)
        depth = layering.face_depths(planar, plans, ground)
        layers = layering.cut_layers(
            planar,
            traced.curves,
            plans,
            depth,
            laying.way,
            self.mm_per_px,
            arc_length=traced.arc_length_px,
            overlap_mm=laying.overlap_mm,
            ways=tuple(recipe.edit_of(plan.key).layering for plan in plans),
            with_widths=self.measured,
            keep=self._kept_for(traced),
        )
        layers = with_rims(layers, recipe, Laid(traced, plans, depth, of_face, laying.way), self.mm_per_px,
                           measured=self.measured, rough=self.rough, keep=self._kept_for(traced))
        def stacked(order):
            return layering.stack_cost(planar, traced.arc_length_px, seen, order)[0]
        proposed = replace(proposed, length=stacked(proposed.order))
        length = (proposed.length if chosen == proposed.order else stacked(chosen)) * self.mm_per_px
        return Layered(ground, depth, plans, layers, proposed, length, edited, laying,
                       tuple(groups[n][0] for n in proposed.order))

    def _laying(self, boundary, groups, above, full):
        """The way that is asked for, or that is proposed for these colours."""
        recipe = self.recipe
        if recipe.layering not in (PROPOSED, BASED):
            return Laying(recipe.layering, recipe.overlap_mm or 0.0)
        light = srgb_to_lab(np.array([from_hex(recipe.edit_of(key).hex or key) for key, _ in groups]).reshape(-1, 3))
        able = self._may_lie_lowest(groups, above)
        if recipe.layering == BASED:
            return Laying(BASED, recipe.overlap_mm or 0.0, base_of(boundary, light[:, 0], able, full, must=True))
        used = [m for m in (recipe.material_of(e.key) for e in recipe.layers) if m is not None]
        proposed = proposed_laying(
            boundary, light[:, 0], able, full, shaded=self.shaded,
            thick_mm=max((m.thickness_mm for m in used), default=None),
            paper=bool(used) and all(m.family in _PAPERS for m in used), overlap_mm=recipe.overlap_mm)
        return kept_laying(proposed, None if recipe.settled is None else recipe.settled.layering, recipe.overlap_mm)

    def _may_lie_lowest(self, groups, above):
        """Numbers of the colours that no rule holds above another; of an order the lowest alone."""
        held_up = {upper for upper, _ in above}
        lowest = match_keys(self.recipe.order, [key for key, _ in groups])[:1]
        return [n for n, (key, _) in enumerate(groups) if n not in held_up and (not lowest or key in lowest)]

    def _proposed(self, planar, boundary, area, seen, above, way, groups, ground_label, entries):
        """The order of least cost."""
        weights = weights_px(order_shares(self.recipe, way), self.mm_per_px)
        inner = planar.left >= 0
        faces = order_costs.Faces(seen, planar.left[inner], planar.right[inner]) if weights.piece else None
        hexes = (*(self.recipe.edit_of(key).hex or key for key, _ in groups),
                 hex_below(self.recipe, entries, ground_label))
        key = (
            "order",
            boundary.tobytes(),
            np.asarray(area, float).tobytes(),
            weights,
            above,
            b"" if faces is None else seen.tobytes(),
            hexes,
        )
        return self.keep(key, lambda: depth_order.best_order(
            boundary, area, weights, faces, above, srgb_to_lab(np.array([from_hex(h) for h in hexes]))))

    def _worn(self, planar, enclosed, ground):
        """(F,) bool: the ground's colour within the drawing where it is too little for a sheet of its own."""
        area = planar.face_area_px
        return enclosed & (area[enclosed].sum() < _WORN * area[~ground].sum())

    def _kept_for(self, traced):
        """Holds the curves as well, so that their identity stays theirs."""
        return lambda key, make: self.keep((id(traced), self.mm_per_px, key), lambda: (traced, make()))[1]

    def _edited(self, segmentation, planar, ground):
        hexes = [e.hex for e in segmentation.entries]
        # transparent ground is a label without a colour
        mirror = self.recipe.preparation.mirror
        return region_edits.with_edits(planar, ground, hexes, [*hexes, "#ffffff"], self.move, self.recipe.edits,
                                       self.recipe.all_off, None if mirror is None else Halves.of(mirror))

    def _pen_name(self, outline):
        """By its width where there are several pens."""
        if outline is None:
            return word("pen lines", self.recipe.names_in)
        return f"{word('pen', self.recipe.names_in)} {outline.pen_px * self.mm_per_px:.2g} mm"

    def _pen_layers(self, segmentation, planar):
        """A layer of open paths for each pen in place of sheets, the widest lowest."""
        ink, strokes, recipe = segmentation.entries[tone.INK].hex, segmentation.strokes, self.recipe
        pen = pens.pens_of(strokes.width_px, strokes.length_px, recipe.pens)
        count = int(pen.max(initial=-1)) + 1
        keys = [ink, *(f"{ink} {n}" for n in range(2, count + 1))]
        for number, key in enumerate(keys[:count]):
            into = recipe.edit_of(key).merged_into
            if into in keys[:count]:
                pen[pen == number] = keys.index(into)
        plans, layers = [], []
        for number, key in enumerate(keys):
            mine, edit = pen == number, recipe.edit_of(key)
            if not mine.any() and number:
                continue
            outline = pens.pen_outline(strokes, mine) if mine.any() else None
            name = self._pen_name(outline if count > 1 else None)
            plans.append(LayerPlan(key, edit.name or name, edit.hex or ink, (tone.INK,), edit.left_out))
            if outline is not None and not edit.left_out:
                layers.append(layering.pen_layer(plans[-1], outline, self.mm_per_px))
        place = {key: n for n, key in enumerate(recipe.order)}
        plans.sort(key=lambda plan: place.get(plan.key, len(place)))
        layers.sort(key=lambda layer: plans.index(layer.plan))
        ground = planar.face_label == segmentation.ground_label
        length = sum(layer.cut_length_mm for layer in layers)
        proposed = depth_order.DepthOrder(tuple(range(len(plans))), length / self.mm_per_px, True)
        none = np.empty(0, np.intp)
        untouched = region_edits.Edited(
            planar.face_label, ground, none, none, np.zeros(planar.face_count, bool), ground
        )
        return Layered(ground, np.where(ground, -1, 0), tuple(plans), tuple(layers), proposed, length, untouched,
                       Laying(STACKED, 0.0, None, said("pen lines are not laid")))

    def _everywhere(self, segmentation):
        """In a picture of one colour on its ground, enclosed ground is open; otherwise it is a colour."""
        if self.recipe.ground == "auto":
            return self.has_alpha or segmentation.read_entries <= 2
        return self.recipe.ground == "everywhere" or self.has_alpha

    def _groups(self, segmentation, planar, ground):
        """Layer keys with their labels: palette entries that still have faces, merged as asked."""
        alive = np.bincount(planar.face_label[~ground], minlength=len(segmentation.entries) + 1)
        keys = [e.hex for e in segmentation.entries]
        groups = {keys[i]: [i] for i in range(len(keys)) if alive[i]}
        for key in list(groups):
            into, seen = key, {key}
            while (further := self.recipe.edit_of(into).merged_into) in groups and further not in seen:
                seen.add(further)
                into = further
            if into != key:
                groups[into] = groups[into] + groups.pop(key)
        return [(key, tuple(sorted(labels))) for key, labels in groups.items()]

    def _order(self, groups, proposed):
        """The user's order; layers it does not know stand where they were proposed."""
        keys = [key for key, _ in groups]
        if not self.recipe.order:
            return tuple(
                sorted(proposed.order, key=lambda n: (keys[n] not in self._below) + (keys[n] in self._above))
            )  # stable: the rest as proposed
        # a sheet that an edit makes is no other name of one that is gone
        wanted = match_keys(self.recipe.order, [k for k in keys if k not in {*self._below, *self._above}
                                                or k in self.recipe.order])
        chosen = [keys.index(k) for k in wanted]
        for place, number in enumerate(proposed.order):
            if number not in chosen:
                chosen.insert(
                    0
                    if keys[number] in self._below
                    else len(chosen)
                    if keys[number] in self._above
                    else min(place, len(chosen)),
                    number,
                )
        return tuple(chosen)

    def _plans(self, groups, chosen):
        plans, used, first, language = {}, {}, {}, self.recipe.names_in
        for number, (key, labels) in enumerate(groups):  # numbered by the palette, so that an order changes no name
            edit = self.recipe.edit_of(key)
            shown = edit.hex or key
            material = self.recipe.material_of(key)
            proposed = self._names.get(shown) or sheet_name(
                from_hex(shown), None if material is None else material.family, language)
            where = "below" if key in self._below else "on top" if key in self._above else None
            name = edit.name or proposed + ("" if where is None else " " + word(where, language))
            if not edit.name and first.setdefault(name, shown) != shown:
                name = told_apart(name, shown, first[name], language)
            used[name] = used.get(name, 0) + 1
            if used[name] > 1 and not edit.name:
                name = f"{name} {used[name]}"
            plans[number] = LayerPlan(key, name, shown, labels, edit.left_out, edit.hidden)
        return tuple(plans[number] for number in chosen)


