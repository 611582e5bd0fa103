"""Which tool is held on the bench, and which panel takes what it gives."""

from PySide6.QtCore import QObject

from sketchloom.app.stages import background_box
from sketchloom.app.tools.growing import GrowTool
from sketchloom.app.tools.marking import AreaTool, BrushTool, ClickTool, SnapTool
from sketchloom.app.tools.shaping import CropTool, LevelTool, PageTool
from sketchloom.core.picture.preparing.finding import find_page
from sketchloom.core.segment.growing import proposed_tolerance

_BRUSH = 0.02
_CLICKED_PX = 900


class ToolBelt(QObject):
    """Takes tools up when a panel asks, and hands what they draw to the panel."""

    def __init__(self, bench, session, source, trace):
        super().__init__(bench)
        self._bench, self._session, self._source, self._trace = bench, session, source, trace
        self._held = None  # the bench only borrows it
        preparing = source.preparing
        preparing.crop_wanted.connect(lambda: self._take_up(CropTool(), preparing.take_crop))
        preparing.level_wanted.connect(lambda: self._take_up(LevelTool(), preparing.take_lean))
        preparing.page_wanted.connect(self._take_page_tool)
        source.background.tool_wanted.connect(self._take_background_tool)
        trace.grow.tool_wanted.connect(self._take_grow_tool)
        trace.grow.tolerance_moved.connect(lambda v: self._growing() and self._growing().set_tolerance(v))
        trace.grow.everywhere_set.connect(lambda on: self._growing() and self._growing().set_everywhere(on))
        trace.patch.lasso_wanted.connect(lambda: self._take_up(AreaTool(), trace.patch.take))
        trace.photo.place_tool_wanted.connect(lambda: self._take_up(
            ClickTool(self.tr("Click what the close look is to show. Esc ends."), once=True), trace.photo.look_at))
        trace.line.remove_wanted.connect(lambda: self._take_up(
            ClickTool(self.tr("Click a stroke to take it out. Esc ends."), wants_source=False),
            lambda x, y: trace.line.remove_at((x, y))))
        bench.tool_changed.connect(lambda _: trace.grow.show_tool(self._growing()))

    def _growing(self):
        return self._bench.tool if isinstance(self._bench.tool, GrowTool) else None

    def _take_up(self, tool, taken) -> None:
        """Hold a tool on the bench; taken up again, the same kind is put down."""
        if type(self._bench.tool) is type(tool) and not isinstance(tool, BrushTool):
            self._bench.put_down()
            return
        tool.taken.connect(taken)
        self._held = tool
        self._bench.set_tool(tool)
        self._bench.setFocus()

    def _take_page_tool(self):
        work, recipe = self._session.work, self._session.document.recipe
        found = recipe.preparation.page or (work.faults.page if work is not None else None)
        tool, picture = PageTool(found), self._session.document.picture
        self._take_up(tool, self._source.preparing.take_page)
        if found is None and self._bench.tool is tool:
            self._session.tooling.run(
                self.tr("Looking for the page"), lambda _: find_page(picture, thorough=True),
                lambda page: page is not None and tool.suggest(page), lambda _: None)

    def _take_background_tool(self, kind):
        box, work = self._source.background, self._session.work
        if work is None:
            return
        if kind in (background_box.KEEP, background_box.DROP):
            held = self._bench.tool
            self._take_up(
                BrushTool(kind == background_box.KEEP, held.width if isinstance(held, BrushTool) else _BRUSH),
                box.take_stroke,
            )
        elif kind == background_box.SNAP:
            self._take_up(SnapTool(work.whole), lambda points: box.take_area(points, True, "edge"))
        elif kind == background_box.COLOUR:
            small = work.whole.reduced(_CLICKED_PX)
            self._take_up(ClickTool(self.tr("Click a colour of the background. Esc ends.")),
                          lambda x, y: box.take_colour(x, y, proposed_tolerance(small, x, y)))
        else:
            keep = kind == background_box.ONLY
            self._bench.put_down()
            self._take_up(AreaTool(), lambda points: box.take_area(points, keep))

    def _take_grow_tool(self):
        if self._session.work is not None:
            tool = GrowTool(self._session.work.picture)
            tool.changed.connect(lambda: self._trace.grow.show_tool(tool))
            self._take_up(tool, self._trace.grow.take)
