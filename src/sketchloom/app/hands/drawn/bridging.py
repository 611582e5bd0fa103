"""Bridges of one's own, and those that hold the loose pieces of a stencil."""

import numpy as np

from sketchloom.app.hands.drawn.table import REACH_MM, Hand, Table
from sketchloom.app.tools.lines import OwnBridgeTool
from sketchloom.app.tools.strokes import EndsTool
from sketchloom.desk import lines

_MARK_PX = 60.0


class Bridging(Hand):
    """Draws bridges, proposes them for loose pieces, and moves their ends."""

    def __init__(self, table: Table, parent):
        super().__init__(table, parent)
        self._loose = None
        self._ends = EndsTool()
        self._ends.moved.connect(self._move_bridge)
        table.panel.lines.own_wanted.connect(lambda on: self._take_own_bridge() if on else table.hold())
        stencil = table.panel.stencil
        stencil.look_wanted.connect(self._show_loose)
        stencil.hold_wanted.connect(self._hold_loose)
        stencil.move_wanted.connect(lambda on: table.bench.set_tool(self._ends) if on else table.hold())

    def show_tool(self, tool) -> None:
        """Another tool is on the bench."""
        self._panel.stencil.move_ends.setChecked(tool is self._ends)
        self._panel.lines.own.setChecked(self._table.is_held(OwnBridgeTool))

    def forget(self) -> None:
        """The map is another."""
        if isinstance(self._bench.tool, OwnBridgeTool):
            self._take_own_bridge()

    def renew(self) -> None:
        """Show the ends of bridges as they are now."""
        drawn = self._two_ended()
        work = None if self.desk is None else self.desk.work
        self._ends.show_lines([] if work is None else [work.as_shown(line.points) for _, line in drawn])

    def _take_own_bridge(self):
        self._table.wait_for(OwnBridgeTool, self.tr("Following strokes"),
                             lambda desk: lines.outline_label(desk.work) is not None and desk.outlines,
                             self._hold_own_bridge)

    def _hold_own_bridge(self):
        if lines.outline_label(self.desk.work) is None:
            self._table.hold()
            return

        tool = OwnBridgeTool(self.desk.size, lambda place: self.desk.end_near(place, REACH_MM),
                             lambda a, b: (self.desk.bridge(a, b, REACH_MM) or (None,))[0])
        tool.taken.connect(self._draw_bridge)
        self._table.take_up(tool)

    def _draw_bridge(self, start, end):
        made = self.desk.bridge(start, end, REACH_MM)
        if made is not None:
            self._panel.lines.emit(self.tr("bridge"), lines=(*self._panel.lines.recipe.lines, made[1]))

    def _show_loose(self):
        if self.desk is None:
            return
        self._table.later(self.tr("Looking for loose pieces"), lambda desk: desk.stencil_bridges(1, 1.0),
                          self._ring_loose)

    def _ring_loose(self, bridges):
        self._loose = bridges
        self._panel.stencil.show_loose(self._loose, False)
        work = self.desk.work
        pieces = np.zeros(work.traced.planar.faces.shape, bool)
        self._bench.show_peek(pieces, [(float(x), float(y), _MARK_PX) for x, y in self._loose.places])

    def _hold_loose(self, count, width_mm):
        if self.desk is None:
            return
        self._table.later(self.tr("Looking for loose pieces"), lambda desk: desk.stencil_bridges(count, width_mm),
                    lambda bridges: self._take_bridges(bridges, width_mm))

    def _take_bridges(self, bridges, width_mm):
        self._panel.stencil.show_loose(bridges, True)
        if len(bridges.start):
            hex_colour = lines.brush_hex(self.desk.work, False, None)
            self._session.change(
                self.desk.held(self._session.document.recipe, bridges, width_mm, hex_colour), self.tr("stencil bridges")
            )

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
        lines[at] = self.desk.moved_line(lines[at], self._table.px(ends))
        self._panel.lines.emit(self.tr("moved bridge"), lines=tuple(lines))
