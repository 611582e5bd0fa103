"""Joins the Layers stage to what shows the stack: pulled apart on the bench, and its section along a line."""

from PySide6.QtCore import QObject, QPointF, Qt, Signal
from PySide6.QtGui import QPainter

from sketchloom.app.bench.looks import Look
from sketchloom.app.parts.widgets import counted
from sketchloom.app.tools.tool import Frame, Tool, draw_handle, draw_line
from sketchloom.core.base.units import format_length
from sketchloom.desk.regions import RegionDesk


class SectionTool(Tool):
    """A line that is dragged by its ends or as a whole. ``cut`` carries both ends as shares."""

    cut = Signal(tuple, tuple)
    wants_source = False
    wants_cut = True

    def __init__(self):
        super().__init__()
        self.hint = self.tr("Drag the line, or an end of it. Esc closes the section.")
        self.ends = [(0.02, 0.5), (0.98, 0.5)]
        self._held = None

    def press(self, frame: Frame, at: QPointF) -> None:
        places = [frame.place(*end) for end in self.ends]
        away = [(p - at).manhattanLength() for p in places]
        near = min(range(2), key=away.__getitem__)
        self._held = (near if away[near] < 24 else 2, frame.share(at), list(self.ends))

    def move(self, frame: Frame, at: QPointF, held: bool) -> None:
        if held and self._held is not None:
            part, start, ends = self._held
            now = frame.share(at)
            by = (now[0] - start[0], now[1] - start[1])
            self.ends = [(e[0] + by[0], e[1] + by[1]) if part in (k, 2) else e for k, e in enumerate(ends)]
            self.cut.emit(*self.ends)
            self.repaint.emit()

    def release(self, frame: Frame, at: QPointF) -> None:
        self._held = None

    def paint(self, painter: QPainter, frame: Frame) -> None:
        places = [frame.place(*end) for end in self.ends]
        draw_line(painter, places)
        for place in places:
            draw_handle(painter, place)


class Stacking(QObject):
    """Shows and hides the two views, keeps them up to date, and takes the order from the stack."""

    def __init__(self, bench, session, panel, strip, view, show_view, cleaning):
        super().__init__(bench)
        self._cleaning = cleaning
        self._bench, self._session, self._panel, self._strip, self._view, self._show_view = (
            bench,
            session,
            panel,
            strip,
            view,
            show_view,
        )
        self.tool = SectionTool()
        self.tool.cut.connect(strip.cut)
        self.tool.done.connect(self._put_down)
        self._is_seen = False
        panel.table_wanted.connect(self._show_table)
        panel.apart_wanted.connect(self._pull_apart)
        panel.section_wanted.connect(self._section)
        panel.look.changed.connect(self._show_look)
        laying = panel.laying
        laying.shown.connect(lambda _: self._show_pieces())
        laying.pointed.connect(self._point_piece)
        laying.hold_wanted.connect(
            lambda numbers: self._change_pieces(numbers, "held", self.tr("pieces held by bridges"))
        )
        laying.below_wanted.connect(
            lambda numbers: self._change_pieces(numbers, "from_below", self.tr("pieces from a sheet below"))
        )
        panel.laying_fold.head.toggled.connect(lambda _: self._show_pieces())
        self._desk = None
        art = panel.line_art
        art.gather_wanted.connect(self._gather)
        art.ladder_wanted.connect(self._ask_ladder)
        art.paint_wanted.connect(self._paint_depth)
        strip.closed.connect(lambda: self._section(False))
        strip.changed.connect(lambda sheet, spacer: panel.set_heights(sheet, spacer))
        view.closed.connect(lambda: self._pull_apart(False))
        view.moved.connect(panel.move_to)
        view.pointed.connect(panel.select)
        bench.tool_changed.connect(self._tool_changed)

    def turn(self, is_seen: bool) -> None:
        """The stage is turned to, or left."""
        self._is_seen = is_seen
        if not is_seen:
            self._pull_apart(False)
            self._section(False)
            if self._desk is not None:
                self._desk = None
                self._bench.point_at(None)
        self._show_look()
        self._show_pieces()

    def refresh(self) -> None:
        """Another result is shown."""
        shown = self._session.latest
        if shown is None or not self._is_seen:
            return
        if self._view.isVisible():
            self._view.show_work(shown.work, shown.paths)
        if self._strip.isVisible():
            self._strip.show_work(shown.work)
            self._strip.cut(*self.tool.ends)
        if not shown.coarse:
            self._show_look()
            self._show_pieces()

    def _gather(self, rule, sheets):
        shown = self._session.latest
        if shown is not None and shown.index is not None and self._session.work is not None:
            desk, recipe = RegionDesk(shown.work, shown.index), self._session.document.recipe
            self._session.tried(
                self.tr("Gathering"), lambda *_: desk.gathered(recipe, rule, sheets),
                lambda made: self._session.document.recipe is recipe and self._session.change(
                    made, self.tr("line art to sheets")))

    def _untold(self, materials, heights, unit):
        """How high the stack is, where that is a guess."""
        untold = sum(m is None for m in materials)
        if not heights or not untold:
            return ""
        return self.tr("{0} high; {1} without a material.").format(
            format_length(heights[-1], unit), counted(untold, self.tr("1 sheet"), self.tr("{0} sheets")))

    def _show_look(self):
        """Sheets in the look of their material and with shadows, while the stage is seen and that is wanted."""
        box, work = self._panel.look, self._session.work
        families: tuple = ()
        is_wanted = self._is_seen and (box.grain.isChecked() or box.shadows.isChecked())
        if work is None or work.draws_with_pens or not is_wanted:
            self._bench.show_look(None)
        else:
            materials = [work.recipe.material_of(layer.plan.key) for layer in work.layers]
            thick = work.thicknesses_mm
            heights = tuple(sum(thick[:n + 1]) + n * work.recipe.spacer_mm for n in range(len(thick)))
            families = tuple(m.family if m is not None and box.grain.isChecked() else None for m in materials)
            self._bench.show_look(
                Look(
                    box.light_deg if box.shadows.isChecked() else None,
                    box.slant_share,
                    heights,
                    families,
                    tuple(n for n, layer in enumerate(work.layers) if layer.plan.hidden),
                )
            )
            box.say(self._untold(materials, heights, work.recipe.unit))
        self._view.stack.families = families
        self._view.stack.update()

    def _show_table(self):
        from sketchloom.app.parts.materials_table import MaterialsTable
        self._materials = MaterialsTable(self._panel.window())
        self._materials.setAttribute(Qt.WidgetAttribute.WA_DeleteOnClose)
        self._materials.kept.connect(self._panel.chosen.fill_materials)
        self._materials.show()

    # -- pieces ---------------------------------------------------------------------------

    def _show_pieces(self):
        """Pieces of the result shown, once they are wanted."""
        work, shown, box = self._session.work, self._session.latest, self._panel.laying
        if not self._is_seen or not (self._panel.laying_fold.head.isChecked() or box.numbers.isChecked()):
            self._bench.show_numbers(())
            return
        if work is None or shown is None or shown.index is None:
            return
        from sketchloom.desk.laying import LayingDesk  # geometry that the first window need not wait for
        desk = LayingDesk(work, RegionDesk(work, shown.index))
        self._session.helper.run(
            self.tr("Numbering pieces"), lambda _: (desk.pieces, desk)[1], self._take_pieces, lambda _: None
        )

    def _take_pieces(self, desk):
        if self._session.work is not desk.work:
            return
        self._desk = desk
        self._panel.laying.show_pieces(desk)
        scale = desk.work.mm_per_px
        self._bench.show_numbers(
            [(p.place[0] * scale, p.place[1] * scale, str(p.number), p.wrong is not None) for p in desk.pieces]
            if self._panel.laying.numbers.isChecked() and self._is_seen
            else ()
        )

    def _point_piece(self, number):
        if self._desk is not None and 0 < number <= len(self._desk.pieces):
            x, y = (v * self._desk.work.mm_per_px for v in self._desk.pieces[number - 1].place)
            self._bench.point_at((x, y))

    def _change_pieces(self, numbers, how, what):
        desk = self._desk
        if desk is not None and desk.work is self._session.work:
            pieces = [desk.pieces[n - 1] for n in numbers if desk.pieces[n - 1].alone]
            self._bench.point_at(None)
            before = self._session.document.recipe
            after = getattr(desk, how)(before, pieces)
            if after == before:
                self._panel.laying.say(
                    self.tr("Nothing of it is seen: it lies under other sheets. Another way of layering spares it.")
                )
            else:
                self._session.change(after, what)

    def _ask_ladder(self, rule):
        from sketchloom.desk.ways import line_art_ladder
        work = self._session.work
        if work is not None:
            self._session.helper.run(
                self.tr("Counting sheets"),
                lambda _: line_art_ladder(work, rule),
                lambda rungs: self._session.work is not None and self._panel.line_art.show_ladder(work, rungs),
                lambda _: None,
            )

    def _paint_depth(self, hex_colour):
        if hex_colour is None:
            self._bench.put_down()
        else:
            self._cleaning.give(hex_colour, self._panel.line_art)

    def _pull_apart(self, on):
        self._panel.show_views(on, self._strip.isVisible())
        self._show_view(on)
        self.refresh()

    def _section(self, on):
        self._strip.setVisible(on)
        self._panel.show_views(self._view.isVisible(), on)
        if on:
            self._bench.set_tool(self.tool)
            self.refresh()
        elif self._bench.tool is self.tool:
            self._bench.put_down()

    def _put_down(self):
        self._section(False)

    def _tool_changed(self, tool):
        self._panel.line_art.show_painting(self._is_seen and tool is not None and tool is self._cleaning.tool)
        if tool is not self.tool and self._strip.isVisible():
            self._section(False)
