"""What all hands that draw share: the window's parts, the desk of the result shown, and how a tool is taken up."""

from dataclasses import dataclass
from typing import Any

import numpy as np
from PySide6.QtCore import QObject

from sketchloom.app.tools.lines import LineTool
from sketchloom.app.tools.tool import WaitTool
from sketchloom.core.base.units import format_length

REACH_MM = 2.5
"""A click means a boundary or an end so near, mm of the work."""
_HAIR = 0.002


@dataclass(slots=True, eq=False)
class Table:
    """The bench, the session and the Clean panel; ``hold`` takes the region tool up again, ``say(topic, kind, text)``
    tells a person something; ``desk`` is of the exact result shown, ``tool`` what was taken up last."""

    bench: Any
    session: Any
    panel: Any
    hold: Any
    say: Any
    desk: Any = None
    tool: Any = None

    def px(self, shares) -> np.ndarray:
        """Places as px of the result, from shares of its width and height."""
        return np.asarray(shares, float) * self.desk.size

    def take_up(self, tool) -> None:
        """Give the bench a tool, which it only borrows."""
        self.tool = tool
        self.bench.set_tool(tool)
        self.bench.setFocus()

    def once(self, tool) -> None:
        """A tool that is put down for the region tool once it was used."""
        tool.done.connect(self.hold)
        self.take_up(tool)

    def take_line(self, hint, use, most=None, width_share=_HAIR, hex_colour=None, stays=False) -> None:
        """Let a line be drawn once, of at most so many places, or one after the other; it is shown in a width, a share
        of the picture's."""
        if self.desk is None:
            return
        tool = LineTool(hex_colour or "#a43a32", width_share, hint, most)

        def taken(points):
            use(points)
            if not stays:
                self.hold()
        tool.taken.connect(taken)
        self.take_up(tool)

    def later(self, text, make, use) -> None:
        """Work something out about the present result beside the window; it is used if that result is still shown."""
        desk = self.desk
        if desk is not None:
            self.session.helper.run(text, lambda _: make(desk), lambda made: self.desk is desk and use(made),
                                    lambda why: self.say("drawing", "trouble", why))

    def wait_for(self, kind, text, make, take) -> None:
        """Put down what is held, and call ``take()`` for a tool of a ``kind`` once ``make(desk)`` is worked out."""
        desk = self.desk
        wait = WaitTool(kind, text, lambda: self.wait_for(kind, text, make, take))
        self.take_up(wait)
        if desk is None:
            return  # it begins with the next result

        def fail(why):
            self.say("drawing", "trouble", why)
            if self.bench.tool is wait:
                self.hold()
        self.session.tooling.run(text, lambda _: make(desk), lambda _: self.bench.tool is wait and take(), fail)

    def when_there(self, kind, text, take) -> None:
        """Call ``take()`` for a tool of a ``kind`` now, or as soon as there is a result; ``text`` says so meanwhile."""
        if self.desk is None:
            self.wait_for(kind, text, lambda _: None, take)
        else:
            take()

    def held(self, kind):
        """The tool of a kind that is on the bench, or within the one that is; None for none."""
        tool = self.bench.tool
        inner = None if tool is None else tool.inner
        return tool if isinstance(tool, kind) else inner if isinstance(inner, kind) else None

    def is_held(self, kind) -> bool:
        """Whether a tool of a kind is on the bench, or waited for there."""
        tool = self.bench.tool
        return isinstance(tool, kind) or (isinstance(tool, WaitTool) and tool.stands_for is kind)

    def mm_text(self, length_px, digits=None) -> str:
        """A length of the result, as a person reads it."""
        more = () if digits is None else (digits,)
        return format_length(self.desk.mm(length_px), self.bench.unit, *more)


class Hand(QObject):
    """One of the hands around the table."""

    def __init__(self, table: Table, parent):
        super().__init__(parent)
        self._table = table
        self._bench, self._session, self._panel = table.bench, table.session, table.panel

    @property
    def desk(self):
        """What can be asked of the exact result shown, None without one."""
        return self._table.desk
