"""Shapes that were laid on, changed: moved, turned, grown, repeated, combined, put in another order."""

import math

from PySide6.QtCore import QCoreApplication

from sketchloom.app.hands.drawn.table import Hand, Table
from sketchloom.app.stages.cleaning.shape_tools import ALONG, COPY, HIGHER, LOWER, THICKER
from sketchloom.app.tools.drawing import ShapeTool
from sketchloom.app.tools.marking import ClickTool
from sketchloom.core.shapes.drawn import CIRCLE, POLYGON, ROUNDED, STAR
from sketchloom.core.shapes.placed import reordered

_STEP_MM = 0.25
"""Thicker and thinner, all round; a click more for more."""


def figure_names() -> dict[str, str]:
    """Figures that fill a box, by their kinds, in the order in which one takes the place of another."""
    return {CIRCLE: QCoreApplication.translate("Figures", "circle"),
            STAR: QCoreApplication.translate("Figures", "star"),
            ROUNDED: QCoreApplication.translate("Figures", "rectangle"),
            POLYGON: QCoreApplication.translate("Figures", "polygon")}


class Changing(Hand):
    """What is done to the chosen shapes."""

    def __init__(self, table: Table, parent):
        super().__init__(table, parent)
        shapes = table.panel.shapes
        shapes.move_wanted.connect(self._move)
        shapes.around_wanted.connect(self._take_around)
        shapes.combine_wanted.connect(self._combine)
        shapes.turn_over_wanted.connect(lambda: self._change_one(table.desk.mirrored, self.tr("turned over shape")))
        shapes.align_wanted.connect(self._align)
        shapes.change_wanted.connect(self._change_chosen)
        shapes.numbers_wanted.connect(self._by_numbers)
        shapes.kept.chosen_changed.connect(self.renew)

    def show_tool(self, tool) -> None:
        """Another tool is on the bench."""
        self._panel.shapes.move_one.setChecked(self._table.is_held(ShapeTool))

    def renew(self) -> None:
        """Show what is chosen in the tool that moves it."""
        tool = self._table.held(ShapeTool)
        if tool is not None and self.desk is not None and self._session.document is not None:
            chosen = self._chosen()
            if len(chosen) == 1:
                shape = self._session.document.recipe.shapes[chosen[0]]
                tool.show_shape(self.desk.rings(shape), self.desk.box(shape))
            else:
                tool.show_shape([], None)

    def turn_figures(self) -> None:
        """Each chosen shape becomes the next figure, in its place and size."""
        chosen, desk, box = sorted(self._chosen()), self.desk, self._panel.shapes
        if desk is None or not chosen:
            return
        shapes, names = self._session.document.recipe.shapes, figure_names()
        kinds, made = tuple(names), {}
        for number in chosen:
            shape = shapes[number]
            now = next((n for n, kind in enumerate(kinds) if names[kind] == shape.name), -1)
            kind = kinds[(now + 1) % len(kinds)]
            x0, y0, x1, y1 = desk.box(shape)
            rings = desk.figure(kind, (x0, y0), (x1, y1), box.corners.value(), box.radius_mm)
            made[number] = desk.shape(rings, shape.hex, names[kind])
        box.replace_each(made, self.tr("another figure"))

    def _change_chosen(self, what):
        """What is done to each chosen shape, or to its place among the others."""
        chosen, desk, box = sorted(self._chosen()), self.desk, self._panel.shapes
        if desk is None or not chosen:
            return
        shapes = list(self._session.document.recipe.shapes)
        if what == ALONG:
            count = box.copies.value()
            self._table.take_line(
                self.tr("Draw the line from the shape on; it is repeated along it. Enter ends it. Esc puts it down."),
                lambda points: self._change_one(
                    lambda shape: desk.along(shape, self._table.px(points), count), self.tr("repeated shape")))
        elif what in (HIGHER, LOWER):
            box.emit(self.tr("order of shapes"), shapes=reordered(shapes, chosen, 1 if what == HIGHER else -1))
        elif what == COPY:
            box.emit(self.tr("copied shape"), shapes=(*shapes, *(desk.copied(shapes[n]) for n in chosen)))
        else:
            by = _STEP_MM if what == THICKER else -_STEP_MM
            made = [desk.grown_shape(shapes[n], by) for n in chosen]
            if None in made:
                self._table.say("shapes", "ask", self.tr("Nothing would be left of it."))
            else:
                box.replace_each(dict(zip(chosen, made, strict=True)), self.tr("thicker shape") if what == THICKER
                                 else self.tr("thinner shape"))

    def _by_numbers(self, scale, degrees):
        chosen = sorted(self._chosen())
        if self.desk is not None and chosen:
            shapes = self._session.document.recipe.shapes
            made = self.desk.changed_together([shapes[n] for n in chosen], scale, math.radians(degrees))
            self._panel.shapes.replace_each(dict(zip(chosen, made, strict=True)), self.tr("scaled and turned shapes"))

    def _chosen(self):
        recipe = self._session.document.recipe
        return [n for n in self._panel.shapes.kept.chosen() if n < len(recipe.shapes)]

    def _change_one(self, change, what):
        chosen = self._chosen()
        if self.desk is not None and len(chosen) == 1:
            shape = self._session.document.recipe.shapes[chosen[0]]
            self._panel.shapes.replace_shapes(chosen, [change(shape)], what)

    def _move(self, on):
        if on:
            self._table.when_there(ShapeTool, self.tr("Waiting for the result"), self._take_move)
        else:
            self._table.hold()

    def _take_move(self):
        self._table.take_up(self.made_tool())
        self.renew()

    def made_tool(self) -> ShapeTool:
        """A tool that moves the chosen shape."""
        tool = ShapeTool(self.desk.size)
        tool.changed.connect(lambda centre, scale, turn: self._change_one(
            lambda shape: self.desk.moved_shape(shape, centre, scale, turn), self.tr("moved shape")))
        return tool

    def _take_around(self):
        if self.desk is not None:
            tool = ClickTool(self.tr("Click the place around which the shape is repeated. Esc leaves it."), True, False)
            count = self._panel.shapes.copies.value()
            tool.taken.connect(
                lambda x, y: self._change_one(
                    lambda shape: self.desk.around(shape, self._table.px((x, y)), count), self.tr("repeated shape")
                )
            )
            self._table.once(tool)

    def _combine(self, way):
        chosen = sorted(self._chosen())
        if self.desk is None or len(chosen) < 2:
            return
        shapes = [self._session.document.recipe.shapes[n] for n in chosen]
        made = self.desk.combined(shapes, way)
        if made is None:
            self._table.say("shapes", "ask", self.tr("Nothing would be left of these shapes."))
        else:
            self._panel.shapes.replace_shapes(chosen, [made], self.tr("combined shapes"))

    def _align(self, line):
        chosen = sorted(self._chosen())
        if self.desk is not None and len(chosen) > 1:
            shapes = list(self._session.document.recipe.shapes)
            for n, made in zip(chosen, self.desk.aligned([shapes[n] for n in chosen], line), strict=False):
                shapes[n] = made
            self._panel.shapes.emit(self.tr("aligned shapes"), shapes=tuple(shapes))
