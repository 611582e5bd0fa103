"""Machine code as a controller takes it: line by line, modal, from bytes alone.

References
----------
NIST RS274/NGC (Kramer, Proctor, Messina 2000): words are a letter and a number, comments stand in round brackets or
after a semicolon, G0 to G3 and F hold until said anew, I and J are from the beginning of the arc.
"""

import math
import re

from sketchloom.core.base.said import said
from sketchloom.core.base.units import MM_PER_IN
from sketchloom.core.playback.moves import MOST_MM, MOST_MOVES, Moves, Recorder, tool_of

_WORD = re.compile(r"([A-Z])\s*([-+]?(?:\d+\.?\d*|\.\d+))")
_COMMENT = re.compile(r"\([^)]*\)|;.*")
_ARC_OFF_MM = 0.01
"""Ends of an arc may differ so far in their distance from its centre: controllers refuse more."""
_MOST_TROUBLES = 100
_ARCS = (2.0, 3.0)
_SILENT_G = frozenset((4.0, 17.0, 40.0, 49.0, 54.0, 64.0, 80.0, 94.0, 61.0))
_SILENT_M = frozenset((0.0, 1.0, 2.0, 7.0, 8.0, 9.0, 30.0))


class GcodeReader:
    """Takes lines as they come. The tool cuts while it is below 0 or the beam is on (M3, M4 with S above 0); a machine
    that has a height says so by its first Z."""

    def __init__(self):
        self.record = Recorder()
        self._rest = b""
        self._line = 0
        self.motion, self.scale, self.absolute = 0.0, 1.0, True
        self.feed_rate = 0.0
        self.on, self.power, self.z, self.has_z, self.tool = False, 0.0, 0.0, False, 1
        self.ended = False

    def feed(self, data: bytes, is_last: bool = False) -> None:
        """Some more of the file; the last line waits for its end, unless there is none."""
        lines = (self._rest + data).split(b"\n")
        self._rest = b"" if is_last else lines.pop()
        for line in lines:
            self.line(line.decode("ascii", "replace"))

    def moves(self) -> Moves:
        return self.record.moves()

    def _trouble(self, sentence):
        if len(self.record.troubles) < _MOST_TROUBLES:
            self.record.troubles.append((self._line, sentence))

    @property
    def cuts(self) -> bool:
        return self.z < 0 if self.has_z else self.on and self.power > 0

    def line(self, text: str) -> None:
        """One line."""
        self._line += 1
        bare = _COMMENT.sub("", text.upper()).strip()
        if not bare or bare == "%" or self.record.count > MOST_MOVES:
            return
        words = _WORD.findall(bare)
        if _WORD.sub("", bare).strip():
            self._trouble(said("{text} is no word", text=_WORD.sub("", bare).strip()[:20]))
        values: dict[str, float] = {}
        for letter, number in words:
            value = float(number)
            if letter == "G":
                self._g(value)
            elif letter == "M":
                self._m(value)
            else:
                values[letter] = value
        self._set(values)
        self.record.lifted(not self.cuts)
        if "X" in values or "Y" in values or (self.motion in _ARCS and ("I" in values or "J" in values)):
            self._go(values)

    def _set(self, values):
        """Feed, power, tool and height."""
        self.feed_rate = values["F"] * self.scale if "F" in values else self.feed_rate
        self.power = values.get("S", self.power)
        self.tool = tool_of(values.get("T", self.tool))
        if "Z" in values:
            self.has_z = True
            was = self.cuts
            self.z = values["Z"] * self.scale + (0.0 if self.absolute else self.z)
            if self.cuts and not was and self.motion == 0.0:
                self._trouble(said("the tool goes into the stuff in rapid"))

    def _g(self, value):
        if value in (0.0, 1.0, 2.0, 3.0):
            self.motion = value
        elif value in (20.0, 21.0):
            self.scale = MM_PER_IN if value == 20.0 else 1.0
        elif value in (90.0, 91.0):
            self.absolute = value == 90.0
        elif value not in _SILENT_G and value != 28.0:
            self._trouble(said("{word} is not known", word=f"G{value:g}"))

    def _m(self, value):
        if value in (3.0, 4.0):
            self.on = True
        elif value == 5.0 or value == 6.0:
            self.on = False
        elif value not in _SILENT_M:
            self._trouble(said("{word} is not known", word=f"M{value:g}"))

    def _go(self, values):
        """A move to where X and Y say."""
        x, y = (values[k] * self.scale + (0.0 if self.absolute else old) if k in values else old
                for k, old in zip("XY", self.record.at, strict=True))
        if max(abs(x), abs(y)) > MOST_MM:
            self._trouble(said("a place lies beyond any machine"))
            return
        is_rapid = self.motion == 0.0
        if is_rapid and self.cuts and self.has_z:
            self._trouble(said("it moves in rapid with the tool down"))
        if not is_rapid and self.feed_rate <= 0:
            self._trouble(said("it is to cut without a feed"))
        cuts = self.cuts and (not is_rapid or self.has_z)
        centre, turn = self._arc(values, x, y) if self.motion in _ARCS else (None, 0.0)
        speed = 0.0 if is_rapid else self.feed_rate / 60
        self.record.move(x, y, cuts, speed, self.tool, self._line, centre, turn, self.z)

    def _arc(self, values, x, y):
        """Centre and sweep of an arc to a place; None and 0, a line, where it is none."""
        x0, y0 = self.record.at
        centre = x0 + values.get("I", 0.0) * self.scale, y0 + values.get("J", 0.0) * self.scale
        r0, r1 = (math.hypot(px - centre[0], py - centre[1]) for px, py in ((x0, y0), (x, y)))
        if r0 < 1e-9 or abs(r0 - r1) > max(_ARC_OFF_MM, 1e-3 * r0):
            self._trouble(said("the ends of an arc lie at different distances from its centre"))
            return None, 0.0
        turn = math.atan2(y - centre[1], x - centre[0]) - math.atan2(y0 - centre[1], x0 - centre[0])
        way = -1.0 if self.motion == _ARCS[0] else 1.0  # G2 turns clockwise
        turn = (way * turn) % (2 * math.pi)
        return centre, way * (turn if turn > 1e-12 else 2 * math.pi)


def read(data: bytes) -> Moves:
    """The moves of a file."""
    reader = GcodeReader()
    reader.feed(data, True)
    return reader.moves()
