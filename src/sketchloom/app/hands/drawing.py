"""Joins what is drawn in the Clean stage to the bench: figures, words, split lines, covers, boundaries, mirror,
bridges."""

import numpy as np
from PySide6.QtCore import QObject
from PySide6.QtWidgets import QColorDialog

from sketchloom.app.stages.cleaning.shapes_box import EVERYWHERE, PATH, REGION, WITHIN
from sketchloom.app.stages.cleaning.strokes_box import EXTEND, JOIN, REMOVE, THICKER, WINDOW
from sketchloom.app.tools.drawing import FigureTool, ShapeTool, StretchTool
from sketchloom.app.tools.lines import BridgeTool, LineTool, OwnBridgeTool
from sketchloom.app.tools.marking import AreaTool, ClickTool, SnapTool
from sketchloom.app.tools.strokes import EndsTool, StrokeTool
from sketchloom.app.words import told
from sketchloom.core.base.errors import AppError
from sketchloom.core.base.units import format_length
from sketchloom.core.picture.preparing.mirroring import find_axis
from sketchloom.core.picture.preparing.steps import Mirror
from sketchloom.desk import lines

_HAIR = 0.002
_REACH_MM = 2.5
_MARK_PX = 60.0
_NEAR_PX = 12.0
_THICKER, _THINNER = 1.25, 0.8


def _desk_of(work):
    # fonts, optimisers and geometry take a fifth of a second to load, which the first window need not wait for
    from sketchloom.desk.shapes import ShapeDesk
    return ShapeDesk(work)


def _fonts():
    from sketchloom.core.shapes import text
    return text.fonts()


class Drawing(QObject):
    """Takes up the tools that the boxes ask for, and turns what they draw into a changed recipe."""

    def __init__(self, bench, session, panel, hold, notices):
        super().__init__(bench)
        self._bench, self._session, self._panel, self._hold = bench, session, panel, hold
        self._say = notices
        self.desk = None
        self._knows_fonts = self._is_seen = False
        self._of = None
        self._stretch = None
        self._stroke, self._joins, self._again = None, False, None
        self._after = ""
        self._tool = self._loose = None
        self._cuts = BridgeTool(self.tr("Click a place to split the shape there. Esc ends."))
        self._cuts.taken.connect(lambda n: panel.splits.split(self.desk.split_at(n)))
        self._ends = EndsTool()
        self._ends.moved.connect(self._move_bridge)
        splits, covers, shapes, curves = panel.splits, panel.covers, panel.shapes, panel.curves
        splits.draw_wanted.connect(
            lambda: self._take_line(
                self.tr("Drag through the shape, or click from point to point; Enter ends the line. Esc puts it down."),
                lambda points: panel.splits.split(self.desk.split(self._px(points))),
            )
        )
        splits.likely_wanted.connect(self._show_likely)
        covers.draw_wanted.connect(self._take_cover)
        shapes.figure_wanted.connect(self._take_figure)
        shapes.word_wanted.connect(self._take_word)
        shapes.other_colour_wanted.connect(self._ask_colour)
        shapes.move_wanted.connect(lambda on: self._take_move() if on else hold())
        shapes.around_wanted.connect(self._take_around)
        shapes.combine_wanted.connect(self._combine)
        shapes.turn_over_wanted.connect(lambda: self._change_one(self.desk.mirrored, self.tr("turned over shape")))
        shapes.align_wanted.connect(self._align)
        shapes.kept.chosen_changed.connect(self._show_moved)
        curves.choose_wanted.connect(lambda on: self._take_stretch() if on else hold())
        curves.act_wanted.connect(self._reshape)
        panel.lines.own_wanted.connect(lambda on: self._take_own_bridge() if on else hold())
        panel.strokes.choose_wanted.connect(lambda on: self._take_strokes() if on else hold())
        panel.strokes.act_wanted.connect(self._act_on_stroke)
        panel.regular.look_wanted.connect(
            lambda: self._later(
                self.tr("Looking for what is nearly regular"),
                lambda desk: desk.regular,
                lambda _: panel.regular.show_found(self.desk),
            )
        )
        panel.regular.pointed.connect(self._point_regular)
        panel.regular.take_wanted.connect(self._make_regular)
        panel.mirror.find_wanted.connect(
            lambda: self._later(
                self.tr("Looking for the line"), lambda desk: find_axis(desk.work.whole), panel.mirror.set_mirror
            )
        )
        panel.mirror.draw_wanted.connect(
            lambda: self._take_line(
                self.tr("Click one end of the line, then the other. Esc puts it down."), self._mirror, most=2
            )
        )
        panel.stencil.look_wanted.connect(self._show_loose)
        panel.stencil.hold_wanted.connect(self._hold_loose)
        panel.stencil.move_wanted.connect(lambda on: bench.set_tool(self._ends) if on else hold())
        bench.tool_changed.connect(self._tool_changed)

    # -- what is shown ------------------------------------------------------------------

    def turn(self, is_seen: bool) -> None:
        """The stage is turned to, or left."""
        self._is_seen = is_seen
        if is_seen:
            self.refresh()
        if is_seen and not self._knows_fonts:
            self._session.helper.run(
                self.tr("Looking for fonts"),
                lambda _: _fonts(),
                self._show_fonts,
                lambda why: self._say("words", "trouble", why),
            )

    def _show_fonts(self, fonts):
        self._knows_fonts = True
        self._panel.shapes.show_fonts(fonts)

    def refresh(self) -> None:
        """Another exact result is shown, or none."""
        shown = self._session.latest
        if not self._is_seen or shown is None or shown.coarse or shown.work.draws_with_pens:
            return
        if self._of is shown.work:
            return
        before, self._of = self.desk, shown.work
        self.desk = _desk_of(shown.work)
        if before is None or before.work.traced is not shown.work.traced:
            self._panel.regular.forget()
            self._stretch, self._stroke, self._joins = None, None, False
            self._panel.strokes.show_stroke(False, False, "")
            if isinstance(self._bench.tool, StrokeTool):
                self._bench.tool.show_chosen(None)
                self._take_strokes()  # those of the new map
            if isinstance(self._bench.tool, OwnBridgeTool):
                self._take_own_bridge()
            self._panel.curves.show_stretch(False, self._after or self.tr("Both neighbours of a boundary follow it."))
            self._after = ""
            if isinstance(self._tool, StretchTool):
                self._tool.show_stretch(None)
        if self._bench.tool is self._cuts:
            self._show_likely(True)
        self._show_moved()
        self._show_ends()

    def _px(self, shares):
        return np.asarray(shares, float) * self.desk.size

    def _take_up(self, tool):
        self._tool = tool  # the bench only borrows it
        self._bench.set_tool(tool)
        self._bench.setFocus()

    def _later(self, text, make, use):
        """Work something out about the present result beside the window; it is used if that result is still shown."""
        desk = self.desk
        if desk is not None:
            self._session.helper.run(text, lambda _: make(desk), lambda made: self.desk is desk and use(made),
                                         lambda why: self._say("drawing", "trouble", why))

    def _once(self, tool):
        """A tool that is put down for the region tool once it was used."""
        tool.done.connect(self._hold)
        self._take_up(tool)

    def _tool_changed(self, tool):
        self._panel.splits.show_likely(
            tool is self._cuts, len(self.desk.cuts) if tool is self._cuts and self.desk is not None else None
        )
        self._panel.shapes.move.setChecked(isinstance(tool, ShapeTool))
        self._panel.curves.choose.setChecked(isinstance(tool, StretchTool))
        self._panel.stencil.move.setChecked(tool is self._ends)
        self._panel.strokes.choose.setChecked(isinstance(tool, StrokeTool))
        self._panel.lines.own.setChecked(isinstance(tool, OwnBridgeTool))

    # -- bridges of one's own --------------------------------------------------------------

    def _take_own_bridge(self):
        if self.desk is not None and lines.outline_label(self.desk.work) is not None:
            self._later(self.tr("Following strokes"), lambda desk: desk.outlines, lambda _: self._hold_own_bridge())

    def _hold_own_bridge(self):
        tool = OwnBridgeTool(self.desk.size, lambda place: self.desk.end_near(place, _REACH_MM),
                             lambda a, b: (self.desk.bridge(a, b, _REACH_MM) or (None,))[0])
        tool.taken.connect(self._draw_bridge)
        self._take_up(tool)

    def _draw_bridge(self, start, end):
        made = self.desk.bridge(start, end, _REACH_MM)
        if made is not None:
            self._panel.lines.emit(self.tr("bridge"), lines=(*self._panel.lines.recipe.lines, made[1]))

    # -- split lines and covers ------------------------------------------------------------

    def _take_line(self, hint, use, most=None):
        if self.desk is None:
            return
        tool = LineTool("#a43a32", _HAIR, hint, most)

        def taken(points):
            use(points)
            self._hold()
        tool.taken.connect(taken)
        self._take_up(tool)

    def _show_likely(self, on):
        if not on or self.desk is None:
            self._hold()
            return
        self._later(self.tr("Looking for likely places"), lambda desk: desk.cuts, self._take_cuts)

    def _take_cuts(self, cuts):
        self._cuts.show_gaps(
            [(tuple(a / self.desk.size), tuple(b / self.desk.size)) for a, b in zip(cuts.start, cuts.end, strict=False)]
        )
        self._bench.set_tool(self._cuts)
        self._panel.splits.show_likely(True, len(cuts))

    def _take_cover(self):
        if self.desk is not None:
            tool = AreaTool(
                self.tr("Draw round what is to go; what lies around it goes on there. Esc leaves it."),
                wants_source=True,
            )
            tool.taken.connect(lambda points: self._panel.covers.cover(self.desk.cover(self._px(points))))
            self._once(tool)

    # -- shapes ------------------------------------------------------------------------

    def _where(self, rings):
        """Rings as they are, or only what of them lies on or beside the chosen regions."""
        where, faces = self._panel.shapes.where(), self._panel.together.faces
        if where == EVERYWHERE or not rings:
            return rings
        if not faces:
            self._say(
                "shapes",
                "ask",
                self.tr("No region is chosen. Choose some under “Several regions”, or lay it on everywhere."),
            )
            return []
        made = self.desk.clipped(rings, faces, where == WITHIN)
        if not made:
            self._say(
                "shapes",
                "ask",
                self.tr("Nothing of it lies on the chosen regions.")
                if where == WITHIN
                else self.tr("All of it lies on the chosen regions."),
            )
        return made

    def _lay_on(self, rings, name):
        rings = self._where(rings)
        if rings:
            self._panel.shapes.lay_on(
                self.desk.shape(rings, self._panel.shapes.hex(), name), self.tr("laid on {0}").format(name)
            )

    def _take_figure(self, kind):
        if self.desk is None:
            return
        box, names = (
            self._panel.shapes,
            {
                "circle": self.tr("circle"),
                "rectangle": self.tr("rectangle"),
                "star": self.tr("star"),
                "polygon": self.tr("polygon"),
            },
        )
        if kind == PATH:
            tool = SnapTool(self.desk.work.picture)
            tool.taken.connect(
                lambda points: self._lay_on(self.desk.path_shape(self._px(points), False), self.tr("path"))
            )
            self._once(tool)
        elif kind == REGION:
            tool = ClickTool(self.tr("Click the region whose outline becomes a shape. Esc leaves it."), True, False)
            tool.taken.connect(self._lift)
            self._once(tool)
        else:
            tool = FigureTool(
                self.desk.size, lambda a, b: self.desk.figure(kind, a, b, box.corners.value(), box.radius_mm)
            )
            tool.taken.connect(lambda rings: self._lay_on(rings, names[kind]))
            self._once(tool)

    def _lift(self, x, y):
        planar = self.desk.work.traced.planar
        face = int(planar.faces[int(y * planar.height), int(x * planar.width)])
        shape = self.desk.region_shape([face], self._panel.shapes.hex(), self.tr("outline"))
        # beside the region, or nothing would be seen
        x0, _, x1, _ = self.desk.box(shape)
        shape = self.desk.moved_shape(shape, self.desk.middle(shape) + (0.15 * (x1 - x0), 0.15 * (x1 - x0)))
        self._panel.shapes.lay_on(shape, self.tr("shape of a region"))

    def _take_word(self, along):
        if self.desk is None:
            return
        if along:
            self._take_line(
                self.tr("Draw the line the words stand on, from left to right; Enter ends it. Esc puts it down."),
                lambda points: self._put_word(None, self._px(points)),
            )
        else:
            tool = ClickTool(self.tr("Click where the middle of the words is to be. Esc leaves it."), True, False)
            tool.taken.connect(lambda x, y: self._put_word(self._px((x, y)), None))
            self._once(tool)

    def _put_word(self, place, path):
        box = self._panel.shapes
        try:
            rings, missing = self.desk.word(box.text.text(), box.font(), box.word_mm, place, path)
        except AppError as error:
            self._say("words", "trouble", told(error.message))
            return
        if missing:
            self._say(
                "words",
                "ask",
                self.tr("The font {0} does not have {1}; left out.").format(box.font().name, " ".join(missing)),
            )
        rings = self._where(rings)
        if rings:
            shape = self.desk.shape(
                rings,
                box.hex(),
                self.tr("“{0}”").format(box.text.text().strip()),
                text=box.text.text(),
                font=box.font().name,
            )
            box.lay_on(shape, self.tr("laid on words"))

    def _ask_colour(self):
        colour = QColorDialog.getColor(parent=self._panel, title=self.tr("Colour of what is laid on"))
        if colour.isValid():
            self._panel.shapes.bring_colour(colour.name())

    def _chosen(self):
        recipe = self._session.document.recipe
        return [n for n in self._panel.shapes.kept.chosen() if n < len(recipe.shapes)]

    def _change_one(self, change, what):
        chosen = self._chosen()
        if self.desk is not None and len(chosen) == 1:
            shape = self._session.document.recipe.shapes[chosen[0]]
            self._panel.shapes.replace_shapes(chosen, [change(shape)], what)

    def _take_move(self):
        if self.desk is not None:
            tool = ShapeTool(self.desk.size)
            tool.changed.connect(lambda centre, scale, turn: self._change_one(
                lambda shape: self.desk.moved_shape(shape, centre, scale, turn), self.tr("moved shape")))
            self._take_up(tool)
            self._show_moved()

    def _show_moved(self):
        if isinstance(self._bench.tool, ShapeTool) and self.desk is not None and self._session.document is not None:
            chosen = self._chosen()
            if len(chosen) == 1:
                shape = self._session.document.recipe.shapes[chosen[0]]
                self._bench.tool.show_shape(self.desk.rings(shape), self.desk.box(shape))
            else:
                self._bench.tool.show_shape([], None)

    def _take_around(self):
        if self.desk is not None:
            tool = ClickTool(self.tr("Click the place around which the shape is repeated. Esc leaves it."), True, False)
            count = self._panel.shapes.copies.value()
            tool.taken.connect(
                lambda x, y: self._change_one(
                    lambda shape: self.desk.around(shape, self._px((x, y)), count), self.tr("repeated shape")
                )
            )
            self._once(tool)

    def _combine(self, way):
        chosen = sorted(self._chosen())
        if self.desk is None or len(chosen) < 2:
            return
        shapes = [self._session.document.recipe.shapes[n] for n in chosen]
        made = self.desk.combined(shapes, way)
        if made is None:
            self._say("shapes", "ask", self.tr("Nothing would be left of these shapes."))
        else:
            self._panel.shapes.replace_shapes(chosen, [made], self.tr("combined shapes"))

    def _align(self, line):
        chosen = sorted(self._chosen())
        if self.desk is not None and len(chosen) > 1:
            shapes = list(self._session.document.recipe.shapes)
            for n, made in zip(chosen, self.desk.aligned([shapes[n] for n in chosen], line), strict=False):
                shapes[n] = made
            self._panel.shapes.emit(self.tr("aligned shapes"), shapes=tuple(shapes))

    # -- boundaries ----------------------------------------------------------------------

    def _take_stretch(self):
        if self.desk is None:
            return
        tool = StretchTool(self.desk.size)
        tool.brushed.connect(self._choose_stretch)
        tool.pulled.connect(self._pull)
        tool.preview_of = lambda at, by: self.desk.course("pull", self._stretch, at=at, by=by)
        self._take_up(tool)

    def _choose_stretch(self, points):
        reach = _REACH_MM / self.desk.work.mm_per_px
        try:
            self._stretch = (
                self.desk.stretch(self._px(points), reach)
                if len(points) > 1
                else self.desk.ring(self._px(points)[0], reach)
            )
        except AppError:
            self._stretch = None
        if self._stretch is None:
            self._panel.curves.show_stretch(False, self.tr("No boundary runs along there. Brush nearer to it."))
        else:
            length = float(np.hypot(*np.diff(self._stretch.points, axis=0).T).sum())
            words = (
                self.tr("A whole ring, {0} round, at most {1} from the picture.")
                if self._stretch.closed
                else self.tr("A stretch of {0}, at most {1} from the picture. Drag it to pull it.")
            )
            self._panel.curves.show_stretch(
                True,
                words.format(
                    format_length(self.desk.mm(length), self._bench.unit), self._off_picture(self._stretch.points)
                ),
            )
        if isinstance(self._bench.tool, StretchTool):
            self._bench.tool.show_stretch(None if self._stretch is None else self._stretch.points)

    def _reshape(self, what, **more):
        if self.desk is None or self._stretch is None:
            return
        stretch = self._stretch
        try:
            path = self.desk.reshaped(what, stretch, self._panel.curves.radius_mm, **more)
        except AppError as error:
            self._panel.curves.show_stretch(True, self.tr("That cannot be done here: {0}.").format(error))
            return
        what = "circle" if what == "arc" and stretch.closed else what
        off = format_length(self.desk.mm(self.desk.deviation_px(stretch.points, path)), self._bench.unit, 2)
        self._after = self.tr("Changed; now at most {0} from where it was and {1} from the picture.").format(
            off, self._off_picture(path)
        )
        self._panel.curves.change_curves(
            [self.desk.curve_edit(what, stretch.points, path, stretch.closed)], self.tr("changed boundary")
        )

    def _off_picture(self, path):
        return format_length(self.desk.mm(self.desk.off_picture_px(self._stretch.points, path)), self._bench.unit, 2)

    def _pull(self, at, dx, dy):
        self._reshape("pull", at=at, by=(dx, dy))

    def _point_regular(self, number):
        if self.desk is not None and number < len(self.desk.regular):
            x, y = (self.desk.regular[number].place * self.desk.work.mm_per_px).tolist()
            self._bench.point_at((x, y))

    def _make_regular(self, numbers):
        edits = [edit for n in numbers for edit in self.desk.made_regular(self.desk.regular[n])]
        self._bench.point_at(None)
        if edits:
            self._panel.curves.change_curves(edits, self.tr("made regular"))

    # -- strokes ---------------------------------------------------------------------------

    def _take_strokes(self):
        if self.desk is None or not self.desk.has_strokes:
            return

        self._later(self.tr("Following strokes"), lambda desk: desk.strokes, lambda _: self._hold_strokes())

    def _hold_strokes(self):
        def line_at(x, y, reach):
            strokes = self.desk.strokes
            number = strokes.nearest(x, y, reach)
            return number, strokes.line(number) if number >= 0 else None
        tool = StrokeTool(self.desk.size, line_at)
        tool.chosen.connect(self._choose_stroke)
        self._take_up(tool)
        if self._again is not None:
            (x, y), self._again = self._again, None
            self._choose_stroke(self.desk.strokes.nearest(x, y, _NEAR_PX), x, y)

    def _choose_stroke(self, number, x, y):
        strokes = self.desk.strokes
        if self._joins and self._stroke is not None and number >= 0:
            self._joins = False
            mine, mx, my = self._stroke
            self._paint(strokes.joined(mine, (mx, my), number, (x, y)), self.tr("joined strokes"),
                        self.tr("Both strokes need a free end to be joined."))
            return
        self._stroke = None if number < 0 else (number, x, y)
        if number < 0:
            self._panel.strokes.show_stroke(False, False, "")
        else:
            wide = format_length(self.desk.mm(strokes.width_px(number)), self._bench.unit, 2)
            free = strokes.has_free_end(number)
            self._panel.strokes.show_stroke(
                True,
                free,
                self.tr("A stroke {0} wide, with a free end.").format(wide)
                if free
                else self.tr("A stroke {0} wide.").format(wide),
            )
        if isinstance(self._bench.tool, StrokeTool):
            self._bench.tool.show_chosen(None if number < 0 else strokes.line(number))

    def _act_on_stroke(self, what):
        if self._stroke is None or self.desk is None:
            return
        number, x, y = self._stroke
        strokes = self.desk.strokes
        if what == JOIN:
            self._joins = True
            self._panel.strokes.said.setText(self.tr("Now click the stroke to join it to, near its free end."))
            self._bench.setFocus()
        elif what == WINDOW:
            shape = self.desk.stroke_window(number)
            if shape is not None:
                self._panel.shapes.lay_on(shape, self.tr("opened stroke"))
        elif what == EXTEND:
            self._paint(
                strokes.extended(number, (x, y)), self.tr("extended stroke"), self.tr("It would meet no other stroke.")
            )
        elif what == REMOVE:
            self._paint(strokes.without(number), self.tr("stroke taken away"), "")
        else:
            self._again = (x, y)
            self._paint(
                strokes.of_width(number, _THICKER if what == THICKER else _THINNER),
                self.tr("stroke of another width"),
                "",
            )

    def _paint(self, paints, what, none):
        if paints:
            self._panel.lines.emit(what, lines=(*self._panel.lines.recipe.lines, *self.desk.painted(paints)))
        else:
            self._panel.strokes.said.setText(none)

    # -- mirror and stencil ----------------------------------------------------------------

    def _mirror(self, points):
        (x0, y0), (x1, y1) = points[0], points[-1]
        try:
            self._panel.mirror.set_mirror(Mirror(x0, y0, x1, y1))
        except AppError as error:
            self._say("mirror", "ask", told(error.message))

    def _show_loose(self):
        if self.desk is None:
            return
        self._later(self.tr("Looking for loose pieces"), lambda desk: desk.stencil_bridges(1, 1.0), self._ring_loose)

    def _ring_loose(self, bridges):
        self._loose = bridges
        self._panel.stencil.show_loose(self._loose, False)
        work = self.desk.work
        pieces = np.zeros(work.traced.planar.faces.shape, bool)
        self._bench.show_peek(pieces, [(float(x), float(y), _MARK_PX) for x, y in self._loose.places])

    def _hold_loose(self, count, width_mm):
        if self.desk is None:
            return
        self._later(self.tr("Looking for loose pieces"), lambda desk: desk.stencil_bridges(count, width_mm),
                    lambda bridges: self._take_bridges(bridges, width_mm))

    def _take_bridges(self, bridges, width_mm):
        self._panel.stencil.show_loose(bridges, True)
        if len(bridges.start):
            hex_colour = lines.brush_hex(self.desk.work, False, None)
            self._session.change(
                self.desk.held(self._session.document.recipe, bridges, width_mm, hex_colour), self.tr("stencil bridges")
            )

    def _show_ends(self):
        lines = self._two_ended()
        work = None if self.desk is None else self.desk.work
        self._ends.show_lines([] if work is None else [work.as_shown(line.points) for _, line in lines])

    def _two_ended(self):
        document = self._session.document
        return (
            []
            if document is None
            else [(n, line) for n, line in enumerate(document.recipe.lines) if len(line.points) == 2]
        )

    def _move_bridge(self, number, ends):
        lines = list(self._session.document.recipe.lines)
        at = self._two_ended()[number][0]
        lines[at] = self.desk.moved_line(lines[at], self._px(ends))
        self._panel.lines.emit(self.tr("moved bridge"), lines=tuple(lines))
