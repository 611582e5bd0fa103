"""Split lines, covers over what is to go, and the line of a mirror."""


from sketchloom.app.hands.drawn.table import Hand, Table
from sketchloom.app.tools.lines import BridgeTool
from sketchloom.app.tools.marking import AreaTool
from sketchloom.app.words import told
from sketchloom.core.base.errors import AppError
from sketchloom.core.picture.preparing.mirroring import find_axis
from sketchloom.core.picture.preparing.steps import Mirror


class _LikelyTool(BridgeTool):
    """Marks likely places of split lines."""


class Splitting(Hand):
    """Parts shapes along drawn or likely lines, covers areas, and sets the line of a mirror."""

    def __init__(self, table: Table, parent):
        super().__init__(table, parent)
        splits, mirror = table.panel.splits, table.panel.mirror
        self._cuts = _LikelyTool(self.tr("Click a place to split the shape there. Esc ends."))
        self._cuts.taken.connect(lambda n: splits.split(table.desk.split_at(n)))
        splits.draw_wanted.connect(self.draw)
        splits.likely_wanted.connect(self._show_likely)
        table.panel.covers.draw_wanted.connect(self.draw_cover)
        mirror.find_wanted.connect(
            lambda: table.later(self.tr("Looking for the line"), lambda desk: find_axis(desk.work.whole),
                                mirror.set_mirror)
        )
        mirror.draw_wanted.connect(self.draw_mirror)

    def part(self, points) -> None:
        """A split line along places, shares."""
        if self.desk is not None:
            self._panel.splits.split(self.desk.split(self._table.px(points)))

    def draw(self, stays: bool = True) -> None:
        """Let split lines be drawn, or one."""
        self._table.take_line(
            self.tr("Drag through the shape, or click from point to point, Enter ends the line; the next may follow. "
                    "Esc puts it down.") if stays else
            self.tr("Drag through it, or click from point to point, Enter ends the line. Esc puts it down."),
            self.part, stays=stays)

    def draw_mirror(self) -> None:
        """Let the line be drawn whose sides become alike."""
        self._table.take_line(
            self.tr("Click one end of the line, then the other. Esc puts it down."), self._mirror, most=2)

    def show_tool(self, tool) -> None:
        """Another tool is on the bench."""
        count = len(self.desk.cuts) if tool is self._cuts and self.desk is not None else None
        self._panel.splits.show_likely(self._table.is_held(_LikelyTool), count)

    def renew(self) -> None:
        """Show the likely places of the result as it is now."""
        if self._bench.tool is self._cuts:
            self._show_likely(True)

    def _show_likely(self, on):
        if on:
            self._table.wait_for(_LikelyTool, self.tr("Looking for likely places"), lambda desk: desk.cuts,
                                 self._take_cuts)
        else:
            self._table.hold()

    def _take_cuts(self):
        cuts = self.desk.cuts
        self._cuts.show_gaps(
            [(tuple(a / self.desk.size), tuple(b / self.desk.size)) for a, b in zip(cuts.start, cuts.end, strict=False)]
        )
        self._bench.set_tool(self._cuts)

    def draw_cover(self) -> None:
        """Let an area be drawn round that is to go."""
        if self.desk is not None:
            tool = AreaTool(
                self.tr("Draw round what is to go; what lies around it goes on there. Esc leaves it."),
                wants_source=True,
            )
            tool.taken.connect(lambda points: self._panel.covers.cover(self.desk.cover(self._table.px(points))))
            self._table.once(tool)

    def _mirror(self, points):
        (x0, y0), (x1, y1) = points[0], points[-1]
        try:
            self._panel.mirror.set_mirror(Mirror(x0, y0, x1, y1))
        except AppError as error:
            self._table.say("mirror", "ask", told(error.message))
