"""Tells of thin places that join two regions as one, when one of them is clicked."""

import numpy as np
from PySide6.QtCore import QObject

from sketchloom.core.base.units import format_length
from sketchloom.desk import lines

_MARK_PX = 60.0
_TOPIC = "joints"


class Joining(QObject):
    """Looks for the joints of a clicked region beside the window, shows them, and closes them."""

    def __init__(self, bench, session, cleaning, notices):
        super().__init__(bench)
        self._bench, self._session, self._cleaning, self._notices = bench, session, cleaning, notices
        self._traced, self._told = None, set()
        cleaning.tool.clicked.connect(self.look)

    def look(self, face: int) -> None:
        """Look for the joints of a region that a hand meant, once."""
        desk = self._cleaning.desk
        if desk is None or desk.outlines[face]:
            return
        if self._traced is not desk.work.traced:
            self._traced, self._told = desk.work.traced, set()
            self._put_away()
        if face not in self._told:
            self._told.add(face)
            self._session.helper.run(
                self.tr("Looking where regions join"),
                lambda _: desk.joints(face),
                lambda joints: self._tell(desk, face, joints),
                lambda why: None,
            )

    def _tell(self, desk, face, joints):
        self._put_away()
        work = desk.work
        if not len(joints) or self._is_other(desk):
            return
        wide = format_length(float(joints.width_px[0]) * work.mm_per_px, work.recipe.unit, 2)
        one, many = (
            (self.tr("The outside runs into an outline through a gap {0} wide."),
             self.tr("The outside runs into outlines through {1} gaps, the narrowest {0} wide."))
            if desk.outside[face] else
            (self.tr("This region is joined through a place only {0} wide; both sides are one."),
             self.tr("This region is joined through {1} thin places, the thinnest {0} wide; all is one."))
        )
        text = one if len(joints) == 1 else many
        middle = (joints.start + joints.end) / 2
        nothing = np.zeros(work.traced.planar.faces.shape, bool)
        self._bench.show_peek(nothing, [(float(x), float(y), _MARK_PX) for x, y in middle])
        close = self.tr("Close it") if len(joints) == 1 else self.tr("Close them")
        self._notices.say(_TOPIC, "ask", text.format(wide, len(joints)), ((close, lambda: self._close(desk, joints)),),
                          on_close=lambda: self._bench.show_peek(None))

    def _close(self, desk, joints):
        self._bench.show_peek(None)
        if not self._is_other(desk):
            recipe = lines.closed(desk.work, self._session.document.recipe, joints)
            self._session.change(recipe, self.tr("closed places"))

    def _is_other(self, desk):
        """Whether another map is shown; a preview on the way is of the same."""
        latest = self._session.latest
        return latest is not None and not latest.coarse and latest.work.traced is not desk.work.traced

    def _put_away(self):
        if self._notices.text_of(_TOPIC) is not None:
            self._notices.drop(_TOPIC)
            self._bench.show_peek(None)
