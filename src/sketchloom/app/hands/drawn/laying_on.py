"""Figures, words and outlines laid on the work."""

from dataclasses import replace

import numpy as np
from PySide6.QtWidgets import QColorDialog

from sketchloom.app.hands.drawn.changing import figure_names
from sketchloom.app.hands.drawn.table import Hand, Table
from sketchloom.app.stages.cleaning.shapes_box import (
    AREA,
    BOW,
    EVERYWHERE,
    LINE,
    PATH,
    REGION,
    WITHIN,
)
from sketchloom.app.tools.drawing import FigureTool
from sketchloom.app.tools.marking import AreaTool, ClickTool, SnapTool
from sketchloom.app.words import told
from sketchloom.core.base.errors import AppError
from sketchloom.core.shapes import makers


class LayingOn(Hand):
    """Turns what is drawn or typed into shapes, and changes those that are there."""

    def __init__(self, table: Table, parent):
        super().__init__(table, parent)
        shapes = table.panel.shapes
        shapes.figure_wanted.connect(self._take_figure)
        shapes.word_wanted.connect(self._take_word)
        shapes.other_colour_wanted.connect(self._ask_colour)
        table.panel.rims.groove_wanted.connect(self._lay_groove)
        shapes.pen_changed.connect(self._renew_line)
        self._line = (None, False)

    def lay_on(self, make, name: str, what: str = "", **more) -> None:
        """The rings that ``make()`` gives, as a shape in the colour that is chosen, where it is chosen to be: as they
        are, or only what of them lies on or beside the chosen regions. ``more`` of the shape's own."""
        desk, where, faces = self.desk, self._panel.shapes.where(), self._panel.together.faces
        hex_colour = self._panel.shapes.hex()
        if where != EVERYWHERE and not faces:
            self._table.say("shapes", "ask", self.tr(
                "No region is chosen. Choose some under “Several regions”, or lay it on everywhere."))
            return

        def made():
            rings = make()
            kept = desk.clipped(rings, faces, where == WITHIN) if where != EVERYWHERE and rings else rings
            return bool(rings), desk.shape(kept, hex_colour, name, **more) if kept else None

        def use(answer):
            has_rings, shape = answer
            if shape is not None:
                self._panel.shapes.lay_on(shape, what or self.tr("laid on {0}").format(name))
            elif has_rings:
                self._table.say("shapes", "ask", self.tr("Nothing of it lies on the chosen regions.")
                                if where == WITHIN else self.tr("All of it lies on the chosen regions."))
        self._session.draw(made, use)

    def _take_figure(self, kind):
        if self.desk is None:
            return
        box, names = self._panel.shapes, figure_names()
        if kind == PATH:
            tool = SnapTool(self.desk.work.picture)
            tool.taken.connect(
                lambda points: self._lay_along(points, lambda desk, px: desk.path_shape(px, False), self.tr("path")))
            self._table.once(tool)
        elif kind in (LINE, BOW):
            self._take_line_figure(kind == BOW)
        elif kind == AREA:
            tool = AreaTool(
                self.tr("Draw round the area, or click its corners; Enter closes it. Esc leaves it."), False)
            tool.taken.connect(
                lambda points: self._lay_along(points, lambda desk, px: desk.area_shape(px), self.tr("area")))
            self._table.once(tool)
        elif kind == REGION:
            tool = ClickTool(self.tr("Click the region whose outline becomes a shape. Esc leaves it."), True, False)
            tool.taken.connect(self._lift_at)
            self._table.once(tool)
        else:
            tool = FigureTool(
                self.desk.size, lambda a, b: self.desk.figure(kind, a, b, box.corners.value(), box.radius_mm)
            )
            tool.taken.connect(lambda rings: self.lay_on(lambda: rings, names[kind]))
            self._table.once(tool)

    def _lay_along(self, points, make, name):
        desk, px = self.desk, self._table.px(points)
        self.lay_on(lambda: make(desk, px), name)

    def _take_line_figure(self, is_bow):
        box, desk = self._panel.shapes, self.desk

        def lay_on(points):
            places = self._table.px(points)
            if is_bow and len(places) > 3:  # drawn along in one go
                places = np.stack(makers.bow_drawn(places))
            course = makers.bow(*places) if is_bow and len(places) == 3 else places
            desk, given, is_round = self.desk, box.line_mm / self.desk.work.mm_per_px, box.round_ends.isChecked()

            def lay(width):
                if width is None:
                    self._table.say("shapes", "ask", self.tr("Nothing is drawn along it; it has the width given."))
                make = desk.line_shape if course is places else desk.bow_shape
                self.lay_on(lambda: make(places, width or given, is_round),
                            self.tr("line") if course is places else self.tr("bow"))
            if box.as_drawn.isChecked():
                self._session.draw(lambda: desk.drawn_width(course), lay)
            else:
                lay(given)
        hint = (
            self.tr("Drag along the bow, or click one end, the other, then a place it passes through; the next may "
                    "follow. Esc puts it down.") if is_bow else
            self.tr("Drag a line, or click from point to point, Enter ends it; the next may follow. Esc puts it down.")
        )
        self._table.take_line(hint, lay_on, 3 if is_bow else None, box.line_mm / desk.work.size_mm[0], box.hex(),
                              stays=True)
        self._line = (self._bench.tool, is_bow)

    def _renew_line(self):
        """A line that is held is shown as it is chosen now."""
        tool, is_bow = self._line
        if tool is not None and tool is self._bench.tool and self.desk is not None:
            self._take_line_figure(is_bow)

    def _lay_groove(self, rim):
        shape = None if self.desk is None else self.desk.groove(rim)
        if shape is None:
            self._table.say("shapes", "ask", self.tr("Nothing is left at that distance."))
        else:
            self._panel.shapes.lay_on(replace(shape, name=self.tr("groove")), self.tr("groove"))

    def _lift_at(self, x, y):
        planar = self.desk.work.traced.planar
        self.lift([int(planar.faces[int(y * planar.height), int(x * planar.width)])], self._panel.shapes.hex())

    def lift(self, faces, hex_colour: str | None, is_turned: bool = False) -> None:
        """Make a shape of the outline of regions, turned over or not."""
        shape = self.desk.region_shape(faces, hex_colour, self.tr("outline"))
        if is_turned:
            shape = self.desk.mirrored(shape)
        # beside the region, or nothing would be seen
        x0, _, x1, _ = self.desk.box(shape)
        shape = self.desk.moved_shape(shape, self.desk.middle(shape) + (0.15 * (x1 - x0), 0.15 * (x1 - x0)))
        self._panel.shapes.lay_on(shape, self.tr("shape of a region"))

    def _take_word(self, along):
        if self.desk is None:
            return
        if along:
            self._table.take_line(
                self.tr("Draw the line the words stand on, from left to right; Enter ends it. Esc puts it down."),
                lambda points: self._put_word(None, self._table.px(points)),
            )
        else:
            tool = ClickTool(self.tr("Click where the middle of the words is to be. Esc leaves it."), True, False)
            tool.taken.connect(lambda x, y: self._put_word(self._table.px((x, y)), None))
            self._table.once(tool)

    def _put_word(self, place, path):
        box = self._panel.shapes
        try:
            rings, missing = self.desk.word(box.text.text(), box.font(), box.word_mm, place, path)
        except AppError as error:
            self._table.say("words", "trouble", told(error.message))
            return
        if missing:
            self._table.say(
                "words",
                "ask",
                self.tr("The font {0} does not have {1}; left out.").format(box.font().name, " ".join(missing)),
            )
        self.lay_on(lambda: rings, self.tr("“{0}”").format(box.text.text().strip()), self.tr("laid on words"),
                    text=box.text.text(), font=box.font().name)

    def _ask_colour(self):
        colour = QColorDialog.getColor(parent=self._panel, title=self.tr("Colour of what is laid on"))
        if colour.isValid():
            self._panel.shapes.bring_colour(colour.name())
