"""Says what the region under the pointer is and what a click does to it."""

from PySide6.QtCore import QObject

from sketchloom.app.words import colour_word
from sketchloom.core.base.units import format_length
from sketchloom.core.edits.decisions import COLOUR
from sketchloom.desk.uncut import BACKGROUND, DROPPED, GROUND, LEFT_OUT, OFF, OPENED, REASONS


class RegionWords(QObject):
    """Words for regions, by what the box of decisions wants done and in the bench's unit."""

    def __init__(self, bench, box):
        super().__init__(bench)
        self._bench, self._box = bench, box

    def of(self, desk, face: int, may: bool) -> str:
        """A region of a desk; ``may``: whether a click may act on it at all."""
        work, unit = desk.work, self._bench.unit
        x0, y0, x1, y1 = desk.index.box(face)
        size = " × ".join(format_length(v * work.mm_per_px, unit) for v in (x1 - x0, y1 - y0))
        what = self.tr("outside") if desk.outside[face] else colour_word(desk.hex_of(face))
        if desk.uncut[face] >= 0:
            what = self.tr("{0}, not cut: {1}").format(what, self._reason(REASONS[desk.uncut[face]]))
        action, hex_colour = self._box.wanted()
        if desk.is_locked(face):
            does = self.tr("its layer is locked in Layers")
        elif not may:
            does = (self.tr("left alone; tick “The outside too” to change it") if desk.outside[face]
                    else self.tr("the frame is not painted; tick “The frame too” to paint it"))
        elif action == COLOUR and desk.is_so(face, action, hex_colour):
            does = self.tr("it has that colour")
        elif desk.is_so(face, action, hex_colour):
            does = self.tr("a click brings it back")
        else:
            does = {
                "drop": self.tr("a click fills it") if work.edited.was_ground[face] else self.tr("a click drops it"),
                "window": self.tr("a click opens it"),
                "keep": self.tr("a click keeps it"),
                "below": self.tr("a click takes it from a sheet below"),
                "above": self.tr("a click puts it on top"),
                "colour": self.tr("a click makes it {0}").format(colour_word(hex_colour or "#000000")),
            }[action]
        return self.tr("{0} · {1} · {2}").format(what, size, does)

    def _reason(self, reason):
        return {
            BACKGROUND: self.tr("background, in Source"),
            GROUND: self.tr("ground, in Trace"),
            OFF: self.tr("everything is off"),
            DROPPED: self.tr("dropped"),
            OPENED: self.tr("opened"),
            LEFT_OUT: self.tr("its layer is left out, in Layers"),
        }[reason]
