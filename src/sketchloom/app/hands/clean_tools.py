"""Takes up the tools of the row in Clean, each with the box of its settings."""

from PySide6.QtCore import QObject

from sketchloom.app.parts.tool_row import CHOOSE, COVER, INK, LINE, MIRROR, SHAPE, SWEEP, WORD
from sketchloom.app.stages.cleaning.shapes_box import LINE as LINE_FIGURE
from sketchloom.core.shapes.drawn import CIRCLE


class CleanTools(QObject):
    """Which tool of the row is held, and how each is taken up."""

    def __init__(self, bench, panel, cleaning, choosing, drawing):
        super().__init__(bench)
        self._bench, self._panel, self._cleaning, self._choosing = bench, panel, cleaning, choosing
        self._drawing = drawing
        self._taken = (None, None)
        cleaning.base = choosing.tool
        panel.tools.taken.connect(self.take)
        bench.tool_changed.connect(self._show)

    def take(self, name: str) -> None:
        """Take a tool up; one whose settings stand in a box opens that."""
        if name == CHOOSE:
            self._panel.close_drawers()
            self._cleaning.base = self._choosing.tool
            self._cleaning.hold()
        elif name == SWEEP:
            self._panel.close_drawers()
            self._cleaning.sweep()
        else:
            self._take_drawing(name)
            self._taken = name, self._bench.tool
        self._show(self._bench.tool)

    def _take_drawing(self, name):
        panel = self._panel
        if name == INK:
            panel.drawers["lines"].call()
            panel.lines.brush_wanted.emit(True)
        elif name == COVER:
            panel.drawers["covers"].call()
            self._drawing.splitting.draw_cover()
        elif name == MIRROR:
            panel.drawers["mirror"].call()
            if panel.mirror.is_free:
                self._drawing.splitting.draw_mirror()
        else:
            panel.drawers["shapes"].call()
            if name == WORD:
                panel.shapes.text.setFocus()
            else:
                panel.shapes.figure_wanted.emit({LINE: LINE_FIGURE, SHAPE: CIRCLE}[name])

    def _show(self, tool):
        name, taken = self._taken
        self._panel.show_tool(
            CHOOSE if tool is self._choosing.tool else SWEEP if tool is self._cleaning.tool else
            name if tool is not None and tool is taken else None)
