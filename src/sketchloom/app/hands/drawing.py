"""Joins what is drawn in the Clean stage to the bench."""

import sys
import threading
from importlib import import_module

from PySide6.QtCore import QObject

from sketchloom.app.hands.drawn.boundaries import Boundaries
from sketchloom.app.hands.drawn.bridging import Bridging
from sketchloom.app.hands.drawn.changing import Changing
from sketchloom.app.hands.drawn.laying_on import LayingOn
from sketchloom.app.hands.drawn.own_figures import OwnFigures
from sketchloom.app.hands.drawn.splitting import Splitting
from sketchloom.app.hands.drawn.stroking import Stroking
from sketchloom.app.hands.drawn.table import Table
from sketchloom.app.tools.tool import WaitTool

_DESK = "sketchloom.desk.shapes"
"""Fonts, optimisers and geometry, which the first window need not wait for."""
_LATE = "scipy.spatial", "scipy.ndimage", "scipy.optimize"
"""What it loads when it is first asked for something, which a hand should not wait for either."""


def _desk_of(work):
    return import_module(_DESK).ShapeDesk(work)


def _load_ahead():
    """Load the desk beside the window once there is a result, so that turning to the stage does not wait for it."""
    if _DESK not in sys.modules:
        threading.Thread(target=lambda: [import_module(name) for name in (_DESK, *_LATE)], name="loads ahead",
                         daemon=True).start()


def _fonts():
    from sketchloom.core.shapes import text
    return text.fonts()


class Drawing(QObject):
    """Keeps the hands that draw up to date with the result and the tool on the bench."""

    def __init__(self, bench, session, panel, hold, notices):
        super().__init__(bench)
        self.table = Table(bench, session, panel, hold, notices)
        self._knows_fonts = self._is_seen = False
        self._of = None
        self.splitting, self.bridging = Splitting(self.table, self), Bridging(self.table, self)
        self.laying_on, self.stroking = LayingOn(self.table, self), Stroking(self.table, self)
        self.changing = Changing(self.table, self)
        self.boundaries = Boundaries(self.table, self)
        self._own_figures = OwnFigures(self.table, self.laying_on, self)
        self._hands = (self.splitting, self.bridging, self.changing, self.stroking, self.boundaries)
        bench.tool_changed.connect(self._show_tool)

    def _show_tool(self, tool):
        for hand in self._hands:
            hand.show_tool(tool)

    @property
    def desk(self):
        """What can be asked of the exact result shown, None without one."""
        return self.table.desk

    def turn(self, is_seen: bool) -> None:
        """The stage is turned to, or left."""
        self._is_seen = is_seen
        if is_seen:
            self.refresh()
        if is_seen and not self._knows_fonts:
            self.table.session.helper.run(
                self.tr("Looking for fonts"),
                lambda _: _fonts(),
                self._show_fonts,
                lambda why: self.table.say("words", "trouble", why),
            )

    def _show_fonts(self, fonts):
        self._knows_fonts = True
        self.table.panel.shapes.show_fonts(fonts)

    def refresh(self) -> None:
        """Another exact result is shown, or none."""
        shown = self.table.session.latest
        if shown is not None and not shown.coarse and not self._is_seen:
            _load_ahead()
        if not self._is_seen or shown is None or shown.coarse or shown.work.draws_with_pens:
            return
        if self._of is shown.work:
            return
        bench, before, self._of = self.table.bench, self.table.desk, shown.work
        self.table.desk = _desk_of(shown.work)
        if before is None or before.work.traced is not shown.work.traced:
            for hand in (self.stroking, self.bridging, self.boundaries):
                hand.forget()
        if isinstance(bench.tool, WaitTool):
            bench.tool.again()  # for what is there now
        for hand in (self.splitting, self.changing, self.bridging):
            hand.renew()
