"""Stretches of boundaries chosen and reshaped, and figures that are nearly regular made so."""

from contextlib import suppress

import numpy as np

from sketchloom.app.hands.drawn.table import REACH_MM, Hand, Table
from sketchloom.app.tools.stretch import StretchTool
from sketchloom.core.base.errors import AppError

_AGAIN_MM = 0.6
"""A stretch that was changed is found again on the next map so near to its course."""

_COURSES = 10
"""Courses of one stretch that are remembered."""


class Boundaries(Hand):
    """Turns a brushed stretch and what is asked of it into an edit of curves."""

    def __init__(self, table: Table, parent):
        super().__init__(table, parent)
        self._stretch, self._after = None, ""
        self._off: tuple = (None, 0.0)
        self._courses: list = []
        curves, regular = table.panel.curves, table.panel.regular
        curves.choose_wanted.connect(self._choose)
        curves.act_wanted.connect(self.reshape)
        curves.node_wanted.connect(self._act_on_node)
        regular.look_wanted.connect(
            lambda: table.later(
                self.tr("Looking for what is nearly regular"),
                lambda desk: desk.regular,
                lambda _: regular.show_found(table.desk),
            )
        )
        regular.pointed.connect(self._point_regular)
        regular.take_wanted.connect(self._make_regular)

    def show_tool(self, tool) -> None:
        """Another tool is on the bench."""
        self._panel.curves.choose.setChecked(self._table.is_held(StretchTool))

    def forget(self) -> None:
        """The map is another: the stretch chosen is looked for on it."""
        self._panel.regular.forget()
        has_one, self._stretch = self._stretch is not None, None
        if has_one and self.desk is not None:
            # of the courses it had so far, as undo leads back to them
            for course in reversed(self._courses):
                with suppress(AppError):
                    self._stretch = self.desk.stretch(self._table.px(course), _AGAIN_MM / self.desk.work.mm_per_px)
                if self._stretch is not None:
                    break
        self.show(self._after)
        self._after = ""

    def show(self, said: str = "") -> None:
        """Show the stretch that is chosen, on the bench and in the panel."""
        if self._stretch is None:
            self._panel.curves.show_stretch(False, said or self.tr("Both neighbours of a boundary follow it."))
        else:
            self._panel.curves.show_stretch(True, said or self._measured())
        tool = self._table.held(StretchTool)
        if tool is not None:
            tool.show_stretch(self._stretch)

    def _measured(self):
        """The stretch with its figures; how far it is from the picture is measured beside the window."""
        desk, stretch = self.desk, self._stretch
        measured, off_px = self._off
        if measured is not stretch:
            def take(off_px):
                if self._stretch is stretch and self.desk is desk:
                    self._off = stretch, off_px
                    self._panel.curves.show_stretch(True, self._measured())
            self._session.draw(lambda: desk.off_picture_px(stretch.points, stretch.points), take)
        length = float(np.hypot(*np.diff(stretch.points, axis=0).T).sum())
        words = (self.tr("A whole ring, {0} round, at most {1} from the picture.") if stretch.closed
                 else self.tr("A stretch of {0}, at most {1} from the picture. Drag it to pull it."))
        return words.format(self._table.mm_text(length), "…" if measured is not stretch else
                            self._table.mm_text(off_px, 2))

    def _choose(self, on):
        if on:
            self._table.when_there(StretchTool, self.tr("Waiting for the result"), self._take_stretch)
        else:
            self._table.hold()

    def _take_stretch(self):
        self._table.take_up(self.made_tool())
        if self._stretch is not None:
            self.show()

    def made_tool(self) -> StretchTool:
        """A tool for the stretch that is chosen."""
        tool = StretchTool(self.desk.size)
        tool.brushed.connect(self._choose_stretch)
        tool.pulled.connect(self._pull)
        tool.preview_of = lambda at, by: self.desk.course("pull", self._stretch, at=at, by=by)
        tool.changed.connect(self._set_nodes)
        tool.node_chosen.connect(lambda: self._show_node(tool))
        return tool

    @property
    def stretch(self):
        """The stretch that is chosen, None for none."""
        return self._stretch

    def choose(self, stretch) -> None:
        """A stretch of the map shown is the chosen one, or none is."""
        self._stretch = stretch
        self._courses = [] if stretch is None else [stretch.points / self.desk.size]
        self.show()

    def words(self) -> str:
        """What is chosen, with its figures."""
        length = float(np.hypot(*np.diff(self._stretch.points, axis=0).T).sum())
        text = (self.tr("line around an area · {0} round · {1} nodes") if self._stretch.closed
                else self.tr("stretch of a boundary · {0} · {1} nodes"))
        return text.format(self._table.mm_text(length), self._stretch.chain.count)

    def _choose_stretch(self, points):
        reach = REACH_MM / self.desk.work.mm_per_px
        try:
            self._stretch = (
                self.desk.stretch(self._table.px(points), reach)
                if len(points) > 1
                else self.desk.ring(self._table.px(points)[0], reach)
            )
        except AppError:
            self._stretch = None
        self._courses = [] if self._stretch is None else [self._stretch.points / self.desk.size]
        self.show(self.tr("No boundary runs along there. Brush nearer to it.") if self._stretch is None else "")

    def _show_node(self, tool):
        """The node chosen on the bench, in the panel."""
        chain, node = tool.chain, tool.node
        if chain is None or node is None:
            self._panel.curves.show_node(chain is not None, None)
        else:
            self._panel.curves.show_node(True, "end" if chain.is_fixed(node) else
                                         "corner" if node in chain.corners else "smooth")

    def _act_on_node(self, what):
        tool = self._table.held(StretchTool)
        if tool is not None:
            {"add": tool.add, "remove": tool.remove, "turn": tool.turn}[what]()

    def _set_nodes(self, chain):
        def nodes(desk, stretch):
            edits = desk.with_nodes(stretch, chain)
            return desk.course_of(edits[-1]), edits
        self._change(nodes, self._panel.curves.set_curves, self.tr("nodes of a boundary"))

    def reshape(self, what: str, **more) -> None:
        """Give the chosen stretch another course."""
        radius_mm = self._panel.curves.radius_mm

        def another(desk, stretch):
            path = desk.reshaped(what, stretch, radius_mm, **more)
            kind = "circle" if what == "arc" and stretch.closed else what
            return path, [desk.curve_edit(kind, stretch.points, path, stretch.closed)]
        self._change(another, self._panel.curves.change_curves, self.tr("changed boundary"))

    def _change(self, make, keep, step):
        """Work out another course of the chosen stretch and how far it goes beside the window, then keep its edits."""
        desk, stretch = self.desk, self._stretch
        if desk is None or stretch is None:
            return

        def made():
            try:
                path, edits = make(desk, stretch)
            except AppError as error:
                return error
            return path, edits, desk.deviation_px(stretch.points, path), desk.off_picture_px(stretch.points, path)

        def take(made):
            if self.desk is not desk or self._stretch is not stretch:
                return
            if isinstance(made, AppError):
                self._panel.curves.show_stretch(True, self.tr("That cannot be done here: {0}.").format(made))
                return
            path, edits, moved_px, off_px = made
            # what is said when the new course is there, and where the stretch is looked for then
            self._courses = [*self._courses[-_COURSES:], path / desk.size]
            self._after = self.tr("Changed; now at most {0} from where it was and {1} from the picture.").format(
                self._table.mm_text(moved_px, 2), self._table.mm_text(off_px, 2))
            keep(edits, step)
        self._session.draw(made, take)

    def _pull(self, at, dx, dy):
        self.reshape("pull", at=at, by=(dx, dy))

    def _point_regular(self, number):
        if self.desk is not None and number < len(self.desk.regular):
            x, y = (self.desk.regular[number].place * self.desk.work.mm_per_px).tolist()
            self._bench.point_at((x, y))

    def _make_regular(self, numbers):
        edits = [edit for n in numbers for edit in self.desk.made_regular(self.desk.regular[n])]
        self._bench.point_at(None)
        if edits:
            self._panel.curves.change_curves(edits, self.tr("made regular"))
