"""Whole layers, and pieces of them, that are chosen where layers are worked on."""

from dataclasses import replace

import numpy as np

from sketchloom.app.hands.choice.kind import Kind
from sketchloom.app.hands.choice.regions import Regions
from sketchloom.app.parts.acts import COLOUR
from sketchloom.app.parts.widgets import counted
from sketchloom.core.base.units import format_length
from sketchloom.core.edits.decisions import OWN_SHEET
from sketchloom.desk.things import LAYER, REGION, Thing
from sketchloom.recipe import layer_edits

_OF_PIECES = {"drop", "window", "back", "alike", "alike_any", "alike_design", "alike_shape", COLOUR, *OWN_SHEET}


class Layers(Kind):
    """Layers by their places in the stack, from the base."""

    code = LAYER
    is_of_recipe = True

    @property
    def _work(self):
        return self._around.cleaning.desk.work

    @property
    def is_known(self):
        return True

    def _plans(self, numbers):
        return [self._work.plans[n] for n in numbers]

    def _keys(self, numbers):
        return [plan.key for plan in self._plans(numbers)]

    def _order(self):
        return tuple(plan.key for plan in self._work.plans)

    def under(self, x, y, reach):
        desk = self._around.cleaning.desk
        region = None if desk is None else desk.index.at(x, y)
        if region is None or desk.work.ground[region.face]:
            return []
        seen = int(desk.work.depth[region.face])
        return [seen] if seen >= 0 else [
            n for n, plan in enumerate(desk.work.plans) if plan.left_out and region.label in plan.labels]

    def faces(self, number):
        """What is seen of it; of one that is left out, what would be."""
        work = self._work
        mine = np.asarray(work.depth) == number
        if work.plans[number].left_out:
            mine = np.isin(work.edited.label, work.plans[number].labels)
        return tuple(np.flatnonzero(mine & ~work.ground).tolist())

    def in_turn(self):
        return list(range(len(self._work.plans)))[::-1]

    def words(self, numbers):
        work, unit = self._work, self._around.bench.unit
        keys = set(self._keys(numbers))
        layers = [layer for layer in work.layers if layer.plan.key in keys]
        pieces = sum(layer.outline.pieces for layer in layers)
        parts = [counted(pieces, self.tr("1 piece"), self.tr("{0} pieces"))]
        if not work.rough:
            parts.append(self.tr("{0} to cut").format(format_length(sum(x.cut_length_mm for x in layers), unit, 0)))
            narrow = [x.min_feature_mm for x in layers if x.min_feature_mm is not None]
            if narrow:
                parts.append(self.tr("narrowest {0}").format(format_length(min(narrow), unit, 2)))
        name = (self.tr("{0} layers").format(len(numbers)) if len(numbers) > 1 else self.short(numbers[0]))
        return " · ".join((name, *parts))

    def short(self, number):
        return self.tr("layer {0} “{1}”").format(number + 1, self._work.plans[number].name)

    def possible(self, numbers):
        recipe, order = self._around.session.document.recipe, self._order()
        keys = self._keys(numbers)
        edits = [recipe.edit_of(key) for key in keys]
        names = {"pieces", "unlock" if all(e.locked for e in edits) else "lock",
                 "show" if all(e.hidden for e in edits) else "hide"}
        if any(e.locked for e in edits):
            return names
        names |= {COLOUR, "in" if all(plan.left_out for plan in self._plans(numbers)) else "out"}
        if layer_edits.moved(order, keys, 1) != order:
            names.add("higher")
        if layer_edits.moved(order, keys, -1) != order:
            names.add("lower")
        if layer_edits.at_base(order, keys) != order:
            names.add("base")
        if len(numbers) > 1 or numbers[0] > 0:
            names.add("merge")
        if any(e.merged_into in keys for e in recipe.layers):
            names.add("part")
        return names | ({"group"} if len(numbers) > 1 else {"name"})

    def leads_to(self, act, numbers):
        if act != "pieces":
            return None
        return [Thing(REGION, face) for number in numbers for face in self.faces(number)]

    def do(self, act, numbers, hex_colour=None):
        keys, order, session = self._keys(numbers), self._order(), self._around.session
        recipe = session.document.recipe
        if act == "name":
            self._around.panel.ask_name(keys[0])
            return
        if act in ("higher", "lower", "base"):
            moved = layer_edits.at_base(order, keys) if act == "base" else (
                layer_edits.moved(order, keys, 1 if act == "higher" else -1))
            session.change(replace(recipe, order=moved), self.tr("order"))
            return
        whole = layer_edits.in_their_groups(recipe, keys)
        changed, what = {
            COLOUR: lambda: (layer_edits.edited(recipe, keys, hex=hex_colour), self.tr("cut colour")),
            "out": lambda: (layer_edits.edited(recipe, keys, left_out=True), self.tr("left out")),
            "in": lambda: (layer_edits.edited(recipe, keys, left_out=False), self.tr("left out")),
            "lock": lambda: (layer_edits.edited(recipe, whole, locked=True), self.tr("locked layer")),
            "unlock": lambda: (layer_edits.edited(recipe, whole, locked=False), self.tr("locked layer")),
            "hide": lambda: (layer_edits.edited(recipe, whole, hidden=True), self.tr("hidden layer")),
            "show": lambda: (layer_edits.edited(recipe, whole, hidden=False), self.tr("hidden layer")),
            "merge": lambda: (layer_edits.merged(recipe, order, keys), self.tr("merged layers")),
            "part": lambda: (layer_edits.parted(recipe, keys), self.tr("parted layers")),
            "group": lambda: (layer_edits.grouped(recipe, order, keys, self._work.plans[min(numbers)].name),
                              self.tr("group of a layer")),
        }[act]()
        session.change(changed, what)

    def take(self, numbers, places):
        if numbers:
            self._around.panel.select(self._keys(numbers[-1:])[0])

    def kept(self, numbers, places):
        return self._keys(numbers)

    def again(self, kept):
        order = self._order()
        return tuple(order.index(key) for key in kept if key in order)


class Pieces(Regions):
    """Regions as pieces of their layers: what can be done to them there."""

    foremost = frozenset(OWN_SHEET)

    @property
    def is_known(self):
        return True

    def possible(self, numbers):
        desk = self._desk
        names = {"alike", "alike_any", "alike_design", "alike_shape"} if len(numbers) == 1 else set()
        if all(desk.is_locked(face) for face in numbers):
            return names
        names |= _OF_PIECES - {"alike", "alike_any", "alike_design", "alike_shape", "back"}
        return names | ({"back"} if any(face in desk.edit_over_face for face in numbers) else set())

    def colours(self, numbers):
        """Those of the layers: what is given one goes to it."""
        now = {self._desk.hex_of(face) for face in numbers}
        return tuple(plan.hex for plan in reversed(self._desk.work.plans) if {plan.hex} != now)

    def take(self, numbers, places):
        """Its layer is the one whose details are seen."""
        work = self._desk.work
        seen = int(work.depth[numbers[-1]]) if numbers else -1
        if seen >= 0:
            self._around.panel.select(work.plans[seen].key)
