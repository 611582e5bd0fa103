"""Ink painted by hand in the Clean stage, and gaps of outlines closed by it."""

import numpy as np
from PySide6.QtCore import QObject

from sketchloom.app.tools.lines import BridgeTool, LineTool
from sketchloom.desk import lines


class Inking(QObject):
    """Holds the brush and what closes gaps; ``hold()`` takes the stage's own tool up again."""

    def __init__(self, bench, session, panel, hold):
        super().__init__(bench)
        self._bench, self._session, self._panel = bench, session, panel
        self._held = None
        self._bridges = BridgeTool()
        self._bridges.taken.connect(lambda number: panel.lines.bridge([number]))
        panel.lines.gaps_wanted.connect(lambda on: bench.set_tool(self._bridges) if on else hold())
        panel.lines.brush_wanted.connect(self._take_brush)
        bench.tool_changed.connect(lambda tool: panel.lines.show_choosing(tool is self._bridges))

    def forget_gaps(self) -> None:
        """Gaps of this drawing are not known yet."""
        self._bridges.show_gaps(())

    def show_gaps(self, work, gaps) -> None:
        """Gaps of the result shown."""
        self._panel.lines.show_gaps(work, gaps)
        size = (work.picture.width, work.picture.height)
        self._bridges.show_gaps(
            [(tuple(a / size), tuple(b / size)) for a, b in zip(gaps.start, gaps.end, strict=False)]
        )

    def _take_brush(self, adds):
        work = self._session.latest.work if self._session.latest is not None else None
        if work is None:
            return
        hex_colour = lines.brush_hex(work, adds, self._panel.regions.colours.chosen())
        hint = self.tr(
            "Drag to paint, or click from point to point; Enter ends a line, Backspace takes a point back. Esc puts "
            "the brush down."
        )
        tool = LineTool(hex_colour, self._panel.lines.width_mm / work.size_mm[0], hint)
        # what a silhouette encloses is ink whatever is painted there; a shape is laid on it
        use = self._panel.lines.paint if not work.recipe.silhouette else self._lay_on
        tool.taken.connect(lambda points: use(points, hex_colour if adds or not work.recipe.silhouette else None))
        self._held = tool
        self._bench.set_tool(tool)
        self._bench.setFocus()

    def _lay_on(self, points, hex_colour):
        from sketchloom.desk.shapes import ShapeDesk  # geometry that the first window need not wait for
        work, box = self._session.work, self._panel.shapes
        if work is not None:
            desk, width = ShapeDesk(work), self._panel.lines.width_mm / work.mm_per_px

            def make():
                rings = desk.line_shape(np.array(points) * desk.size, width)
                return desk.shape(rings, hex_colour, self.tr("line")) if rings else None

            def use(shape):
                if shape is not None:
                    box.lay_on(shape, self.tr("painted line"))
            self._session.draw(make, use)
