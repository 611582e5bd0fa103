"""Stretches of boundaries chosen and reshaped, and figures that are nearly regular made so."""

import numpy as np

from sketchloom.app.hands.drawn.table import REACH_MM, Hand, Table
from sketchloom.app.tools.drawing import StretchTool
from sketchloom.core.base.errors import AppError


class Boundaries(Hand):
    """Turns a brushed stretch and what is asked of it into an edit of curves."""

    def __init__(self, table: Table, parent):
        super().__init__(table, parent)
        self._stretch, self._after = None, ""
        curves, regular = table.panel.curves, table.panel.regular
        curves.choose_wanted.connect(self._choose)
        curves.act_wanted.connect(self._reshape)
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
        """The map is another."""
        self._panel.regular.forget()
        self._stretch = None
        self._panel.curves.show_stretch(False, self._after or self.tr("Both neighbours of a boundary follow it."))
        self._after = ""
        if isinstance(self._table.tool, StretchTool):
            self._table.tool.show_stretch(None)

    def _choose(self, on):
        if on:
            self._table.when_there(StretchTool, self.tr("Waiting for the result"), self._take_stretch)
        else:
            self._table.hold()

    def _take_stretch(self):
        tool = StretchTool(self.desk.size)
        tool.brushed.connect(self._choose_stretch)
        tool.pulled.connect(self._pull)
        tool.preview_of = lambda at, by: self.desk.course("pull", self._stretch, at=at, by=by)
        self._table.take_up(tool)

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
                    self._table.mm_text(length), self._off_picture(self._stretch.points)
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
        off = self._table.mm_text(self.desk.deviation_px(stretch.points, path), 2)
        self._after = self.tr("Changed; now at most {0} from where it was and {1} from the picture.").format(
            off, self._off_picture(path)
        )
        self._panel.curves.change_curves(
            [self.desk.curve_edit(what, stretch.points, path, stretch.closed)], self.tr("changed boundary")
        )

    def _off_picture(self, path):
        return self._table.mm_text(self.desk.off_picture_px(self._stretch.points, path), 2)

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
