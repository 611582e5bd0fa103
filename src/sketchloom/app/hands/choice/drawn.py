"""Strokes, lines around areas, shapes and gaps that are chosen."""

import numpy as np
from PySide6.QtCore import Signal

from sketchloom.app.hands.choice.kind import Kind
from sketchloom.app.parts.acts import COLOUR
from sketchloom.app.parts.widgets import counted
from sketchloom.app.stages.cleaning import shape_tools, strokes_box
from sketchloom.core.base.errors import AppError
from sketchloom.core.base.units import format_length
from sketchloom.core.shapes.drawn import COMMON, CUT, JOIN
from sketchloom.desk.things import GAP, SHAPE, STRETCH, STROKE, ShapesUnder, gaps_near, ring_number

_NEAR_PX = 12.0
"""A stroke that was changed is looked for again so near to where it was chosen."""
_EDGE_PX = 1.0


class Strokes(Kind):
    """Strokes of ink between their meetings. They are followed when ink is first clicked, which takes a moment;
    ``followed`` says that they can be chosen, and which one was meant."""

    code = STROKE
    followed = Signal(object)

    def __init__(self, around, parent=None):
        super().__init__(around, parent)
        self._asked = None

    def _strokes(self):
        """Those of the map shown, None until they were followed."""
        desk = self._around.desk
        return None if desk is None or not desk.has_strokes else vars(desk).get("strokes")

    def under(self, x, y, reach):
        strokes = self._strokes()
        found = -1 if strokes is None else strokes.nearest(x, y, reach)
        return [found] if found >= 0 else []

    def follow(self, place=None) -> None:
        """Follow the strokes of the map shown, if that was not done; then the one at a place is meant."""
        desk = self._around.desk
        if desk is None or not desk.has_strokes or self._asked is desk or self._strokes() is not None:
            return
        self._asked = desk
        self._around.drawing.table.later(
            self.tr("Following strokes"), lambda one: one.strokes, lambda _: self.followed.emit(place))

    def courses(self, number):
        strokes = self._strokes()
        return [] if strokes is None else [strokes.line(number)]

    def words(self, numbers):
        strokes, table = self._strokes(), self._around.drawing.table
        if len(numbers) > 1:
            return self.tr("{0} strokes").format(len(numbers))
        free = self.tr("with a free end") if strokes.has_free_end(numbers[0]) else self.tr("between two meetings")
        return self.tr("stroke · {0} wide · {1}").format(table.mm_text(strokes.width_px(numbers[0]), 2), free)

    def possible(self, numbers):
        names = {strokes_box.REMOVE, strokes_box.THICKER, strokes_box.THINNER}
        if len(numbers) > 1:
            return names
        free = self._strokes().has_free_end(numbers[0])
        return names | {strokes_box.WINDOW} | ({strokes_box.EXTEND, strokes_box.JOIN} if free else set())

    def do(self, act, numbers, hex_colour=None):
        self._around.drawing.stroking.act_on_all(act, numbers)

    def take(self, numbers, places):
        stroking = self._around.drawing.stroking
        if stroking.awaits_another and numbers:
            return  # the other end of a joint is no choice
        strokes = self._strokes()
        if numbers and strokes is not None:
            x, y = places[0] or strokes.line(numbers[0])[0].tolist()
            stroking.choose(numbers[0], x, y)
        elif self._around.desk is not None:
            stroking.choose(-1, 0.0, 0.0)

    def kept(self, numbers, places):
        strokes, size = self._strokes(), self._around.desk.size
        return tuple(tuple(strokes.line(n)[len(strokes.line(n)) // 2] / size) for n in numbers)

    def again(self, kept):
        if self._around.desk is None:
            return ()
        if self._strokes() is None:
            x, y = self._around.drawing.table.px(kept[0]).tolist()
            self.follow((x, y))
            return ()
        found = (self._strokes().nearest(*self._around.drawing.table.px(place).tolist(), _NEAR_PX) for place in kept)
        return tuple(dict.fromkeys(n for n in found if n >= 0))


class Stretches(Kind):
    """Lines around areas; one at a time, with its nodes and handles."""

    code = STRETCH
    several = False

    def __init__(self, around, parent=None):
        super().__init__(around, parent)
        self._found = None

    @property
    def _hand(self):
        return self._around.drawing.boundaries

    def under(self, x, y, reach):
        desk = self._around.desk
        if desk is None:
            return []
        try:
            self._found = desk.ring((x, y), reach)
        except AppError:
            self._found = None
        if self._found is None or _is_the_page(self._found.points, desk.size):
            return []
        return [ring_number(self._found.points)]

    def courses(self, number):
        if self._found is not None and ring_number(self._found.points) == number:
            return [self._found.points]
        stretch = self._hand.stretch
        return [] if stretch is None else [stretch.points]

    def words(self, numbers):
        return self._hand.words()

    def possible(self, numbers):
        names = {"smooth", "straight", "arc", "simple", "one less", "corner", "round"}
        return names - {"straight", "corner", "round"} if self._hand.stretch.closed else names

    def do(self, act, numbers, hex_colour=None):
        self._hand.reshape(act)

    def take(self, numbers, places):
        if not numbers:
            self._hand.choose(None)
        elif self._found is not None:
            self._hand.choose(self._found)

    def tool(self, numbers):
        return self._hand.made_tool() if self._around.desk is not None and numbers else None

    def show_tool(self):
        self._hand.show()

    def kept(self, numbers, places):
        return ()

    def again(self, kept):
        stretch = self._hand.stretch  # looked for already
        return () if stretch is None else (ring_number(stretch.points),)


def _is_the_page(points, size):
    """Whether a ring is the edge of the picture: that is no line of the drawing."""
    return bool((points.min(0) <= _EDGE_PX).all() and (points.max(0) >= size - _EDGE_PX).all())


class Shapes(Kind):
    """Figures, words and lines that were laid on."""

    code = SHAPE
    is_of_recipe = True

    def __init__(self, around, parent=None):
        super().__init__(around, parent)
        self._under = ShapesUnder()

    @property
    def _all(self):
        return self._around.session.document.recipe.shapes

    def under(self, x, y, reach):
        desk = self._around.desk
        return [] if desk is None else self._under.at(self._all, desk.rings, x, y)

    def courses(self, number):
        desk = self._around.desk
        return desk.rings(self._all[number]) if desk is not None and number < len(self._all) else []

    def words(self, numbers):
        if len(numbers) > 1:
            return self.tr("{0} shapes").format(len(numbers))
        desk, shape = self._around.desk, self._all[numbers[0]]
        if desk is None:
            return shape.name
        x0, y0, x1, y1 = desk.box(shape)
        unit = self._around.bench.unit
        size = " × ".join(format_length(desk.mm(v), unit) for v in (x1 - x0, y1 - y0))
        if shape.text is not None:  # its name stands in quotes already
            kind = self.tr("word {0}") if shape.hex is not None else self.tr("word {0}, cut out")
        else:
            kind = self.tr("shape “{0}”") if shape.hex is not None else self.tr("shape “{0}”, cut out")
        return self.tr("{0} · {1}").format(kind.format(shape.name), size)

    def possible(self, numbers):
        names = {"remove", "copy", "thicker", "thinner", "higher", "lower", "figure", COLOUR}
        if any(self._all[n].hex is not None for n in numbers):
            names.add("window")
        return names | ({"turn_over", "along", "around"} if len(numbers) == 1 else {"join", "cut", "common"})

    def do(self, act, numbers, hex_colour=None):
        box = self._around.panel.shapes
        if act == COLOUR:
            box.give_colour(hex_colour)
        elif act == "window":
            box.give_colour(None)
        elif act == "figure":
            self._around.drawing.changing.turn_figures()
        elif act == "remove":
            box.kept.take_back()
        elif act == "turn_over":
            box.turn_over_wanted.emit()
        elif act == "around":
            box.around_wanted.emit()
        elif act in ("join", "cut", "common"):
            box.combine_wanted.emit({"join": JOIN, "cut": CUT, "common": COMMON}[act])
        else:
            box.change_wanted.emit({
                "copy": shape_tools.COPY, "thicker": shape_tools.THICKER, "thinner": shape_tools.THINNER,
                "higher": shape_tools.HIGHER, "lower": shape_tools.LOWER, "along": shape_tools.ALONG}[act])

    def take(self, numbers, places):
        self._around.panel.shapes.kept.choose_all(numbers)

    def tool(self, numbers):
        return self._around.drawing.changing.made_tool() if self._around.desk and len(numbers) == 1 else None

    def show_tool(self):
        self._around.drawing.changing.renew()

    def kept(self, numbers, places):
        return tuple(numbers)

    def again(self, kept):
        return tuple(n for n in self._around.panel.shapes.kept.chosen()[::-1] if n < len(self._all))


class Gaps(Kind):
    """Gaps in outlines, each with the bridge that would close it."""

    code = GAP

    def under(self, x, y, reach):
        gaps = self._around.panel.lines.gaps
        return [] if gaps is None else gaps_near(gaps.start, gaps.end, x, y, reach)

    def courses(self, number):
        gaps = self._around.panel.lines.gaps
        if gaps is None or number >= len(gaps):
            return []
        return [np.stack([gaps.start[number], gaps.end[number]])]

    def words(self, numbers):
        gaps, mm_text = self._around.panel.lines.gaps, self._around.drawing.table.mm_text
        if self._around.desk is None:
            return ""
        wide = mm_text(float(min(gaps.gap_px[n] for n in numbers)), 2)
        return counted(len(numbers), self.tr("gap in an outline · {0} wide").format(wide),
                       self.tr("{0} gaps in outlines · the narrowest {1} wide").format("{0}", wide))

    def possible(self, numbers):
        return {"close", "close_all"}

    def do(self, act, numbers, hex_colour=None):
        lines = self._around.panel.lines
        lines.bridge(numbers if act == "close" else range(len(lines.gaps)))

