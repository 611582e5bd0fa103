"""Regions that are chosen."""

from sketchloom.app.hands.choice.kind import Kind
from sketchloom.app.parts.acts import COLOUR
from sketchloom.app.parts.widgets import counted
from sketchloom.app.stages.cleaning.regions_box import LIKE
from sketchloom.app.stages.cleaning.together_box import CUT_OUT, INSIDE, JOINED, SHARED
from sketchloom.app.words import colour_word
from sketchloom.core.base.units import format_length
from sketchloom.core.curves.outline import face_outline
from sketchloom.core.edits.decisions import DROP, KEEP, OWN_SHEET, WINDOW
from sketchloom.desk import narrow
from sketchloom.desk.things import REGION, STRETCH, Thing

_ALIKE = {"alike": "size", "alike_any": "any", "alike_design": "design", "alike_shape": "shape"}
_OF_SHAPES = {"split", "lift", "mirrored", "edge", "thicken"}
"""What needs more than the regions."""
_TOGETHER = {"joined": JOINED, "cut_out": CUT_OUT, "shared": SHARED, "inside": INSIDE}


class Regions(Kind):
    """Areas of the map. The outside is none that a click takes."""

    code = REGION

    @property
    def _desk(self):
        return self._around.cleaning.desk

    def under(self, x, y, reach):
        desk = self._desk
        found = None if desk is None else desk.index.at(x, y)
        return [] if found is None or desk.outside[found.face] else [found.face]

    def faces(self, number):
        return (number,)

    def in_turn(self):
        return self._desk.smallest()

    @property
    def is_known(self):
        return True

    def words(self, numbers):
        desk, unit = self._desk, self._around.bench.unit
        work = desk.work
        area = sum(desk.area_mm2(face) for face in numbers)
        parts = [self.tr("{0:.2f} cm²").format(area / 100) if area >= 100 else self.tr("{0:.1f} mm²").format(area)]
        thin = narrow.narrowest_mm(work, numbers) if work.measured and not work.rough else None
        if thin is not None:
            parts.append(self.tr("narrowest {0}").format(format_length(thin, unit, 2)))
        if len(numbers) > 1:
            return " · ".join((self.tr("{0} regions").format(len(numbers)), *parts))
        holes = len(desk.holes(numbers))
        if holes:
            parts.append(counted(holes, self.tr("1 hole"), self.tr("{0} holes")))
        return " · ".join((self.short(numbers[0]), *parts))

    def short(self, number):
        desk, unit = self._desk, self._around.bench.unit
        x0, y0, x1, y1 = desk.index.box(number)
        size = " × ".join(format_length(v * desk.work.mm_per_px, unit) for v in (x1 - x0, y1 - y0))
        return self.tr("{0} · {1}").format(self._name(desk, number), size)

    def _name(self, desk, face):
        if desk.uncut[face] >= 0:
            return self.tr("region that is not cut")
        return self.tr("{0} region").format(colour_word(desk.hex_of(face)))

    def possible(self, numbers):
        desk, recipe = self._desk, self._around.session.document.recipe
        if all(desk.is_locked(face) for face in numbers):
            return set(_ALIKE) if len(numbers) == 1 else set()
        names = {"window", *OWN_SHEET, COLOUR, "split", "lift", "mirrored", "edge"}
        names.add("keep" if recipe.all_off else "drop")
        if any(face in desk.edit_over_face for face in numbers):
            names.add("back")
        if len(numbers) == 1:
            names |= _ALIKE.keys()
        else:
            names |= {"joined", "cut_out", "shared"}
            names -= {"edge", "split"}
        if desk.holes(numbers):
            names.add("inside")
        if desk.work.measured and not desk.work.rough and narrow.is_narrow_in(desk.work, numbers):
            names.add("thicken")
        return names if self._around.desk is not None else names - _OF_SHAPES

    def do(self, act, numbers, hex_colour=None):
        around, desk = self._around, self._desk
        if act in _TOGETHER:
            around.together.act(_TOGETHER[act], numbers)
        elif act == "back":
            around.cleaning.decide(numbers, DROP, back=True)
        elif act == "thicken":
            box, lines = around.panel.lines, narrow.thickened_in(desk.work, numbers)
            box.emit(self.tr("thickened"), lines=(*box.recipe.lines, *lines))
        elif act == "split":
            around.drawing.splitting.draw(stays=False)
        elif act in ("lift", "mirrored"):
            around.drawing.laying_on.lift(numbers, desk.hex_of(numbers[0]), act == "mirrored")
        else:
            action = {"drop": DROP, "window": WINDOW, "keep": KEEP}.get(act, act)
            around.cleaning.decide(numbers, action, hex_colour)

    def leads_to(self, act, numbers):
        if act in _ALIKE:
            likeness = LIKE[_ALIKE[act]]
            return [Thing(REGION, face) for face in self._around.cleaning.alike(numbers[0], likeness)]
        if act != "edge":
            return None
        traced = self._desk.work.traced
        x, y = face_outline(traced.planar, traced.curves, numbers[0]).controls[0, 0].tolist()
        return [Thing(STRETCH, -1, (x, y))]

    def take(self, numbers, places):
        self._around.together.choose(numbers)

    def kept(self, numbers, places):
        return self._desk, numbers, places

    def again(self, kept):
        before, numbers, places = kept
        desk = self._desk
        if len(numbers) == 1 and places[0] is not None and (before.work.move == desk.work.move).all():
            # what was clicked is meant, whatever became of the region it was
            size, now = before.work.picture, desk.work.picture
            under = self.under(places[0][0] / size.width * now.width, places[0][1] / size.height * now.height, 0.0)
            if under:
                return (under[0],)
        return desk.carried_from(before, numbers)
