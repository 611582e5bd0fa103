"""A machine that is not there: it takes the bytes of plotter language or machine code, keeps its state, and answers as
a machine would. It knows nothing of the program that sent them.

References
----------
HP-GL reference manuals: OE gives the number of the first error since it was last asked, OS the status with bit 4 for
ready, OI what it is. Of errors: 1 an instruction not known, 2 a wrong number of figures, 3 a figure out of range, 6 a
position out of range (from memory). The answers ``ok`` and ``error`` to machine code are common practice, no source.
"""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.playback.gcode_reader import GcodeReader
from sketchloom.core.playback.hpgl_reader import HpglReader
from sketchloom.core.playback.moves import Moves

HPGL, GCODE = LANGUAGES = ("hpgl", "gcode")
_READY, _BUSY = 24, 8
_NOT_KNOWN, _COUNT_WRONG, _FIGURE_WRONG, _POSITION_WRONG = 1, 2, 3, 6
_SLACK_MM = 0.01


@dataclass(frozen=True, slots=True)
class Bed:
    """What the machine reaches, mm, and the tools it has."""

    width_mm: float
    height_mm: float
    tools: tuple[int, ...] = (0, 1)


class StandIn:
    """``take`` bytes and give the answer; ``moves`` is what was done, ``errors`` what it refused."""

    def __init__(self, language: str, bed: Bed, name: str = "stand-in cutter"):
        self.language, self.bed, self.name = language, bed, name
        self._reader = HpglReader() if language == HPGL else GcodeReader()
        self._rest = b""
        self._error = 0
        self._told = 0
        self._checked = 0
        self.errors: list[str] = []
        self.alarm = False

    def moves(self) -> Moves:
        return self._reader.moves()

    @property
    def place(self) -> tuple[float, float]:
        """Where the tool is, mm."""
        return self._reader.record.at

    def take(self, data: bytes) -> bytes:
        """Some bytes; what it answers to them."""
        return self._hpgl(data) if self.language == HPGL else self._gcode(data)

    # -- plotter language -------------------------------------------------------------------

    def _hpgl(self, data):
        self._rest += data
        answer = b""
        while b";" in self._rest:
            word, self._rest = self._rest.split(b";", 1)
            letters = word.strip()[:2].upper()
            if letters == b"OE":
                answer += b"%d\r" % self._error
                self._error = 0
            elif letters == b"OS":
                answer += b"%d\r" % _READY
            elif letters == b"OI":
                answer += self.name.encode("ascii", "replace") + b"\r"
            elif letters == b"OA":
                x, y = (round(v * 40) for v in self.place)
                answer += b"%d,%d,%d\r" % (x, y, self._reader.down)
            else:
                self._reader.feed(word + b";")
                self._look_at_hpgl()
        return answer

    def _look_at_hpgl(self):
        troubles = self._reader.record.troubles
        for number, why in troubles[self._told:]:
            code = _COUNT_WRONG if "two numbers" in str(why) else _NOT_KNOWN
            self._refuse(code, f"instruction {number}: {why}")
        self._told = len(troubles)
        if self._reader.pen not in self.bed.tools:
            self._refuse(_FIGURE_WRONG, f"tool {self._reader.pen} is missing")
            self._reader.pen = 0
        if not self._reaches():
            self._refuse(_POSITION_WRONG, "out of range")

    def _refuse(self, code, sentence):
        self._error = self._error or code
        if len(self.errors) < 100:
            self.errors.append(sentence)

    # -- machine code -------------------------------------------------------------------------

    def _gcode(self, data):
        lines = (self._rest + data).split(b"\n")
        self._rest = lines.pop()
        answer = b""
        for line in lines:
            text = line.decode("ascii", "replace").strip()
            if text == "?":
                x, y = self.place
                answer += f"<{'Alarm' if self.alarm else 'Idle'}|{x:.3f},{y:.3f}>\n".encode()
                continue
            if self.alarm:
                answer += b"error: it stands still after an error; switch it off and on\n"
                continue
            answer += self._line(text)
        return answer

    def _line(self, text):
        self._reader.line(text)
        troubles = self._reader.record.troubles
        new, self._told = troubles[self._told:], len(troubles)
        why = str(new[0][1]) if new else ""
        if not why and "M6" in text.upper().replace(" ", "") and self._reader.tool not in self.bed.tools:
            why = f"tool {self._reader.tool} is missing"
        if not why and not self._reaches():
            why = "out of range"
        if not why:
            return b"ok\n"
        self.alarm = why in ("out of range",) or "missing" in why
        self.errors.append(why)
        return f"error: {why}\n".encode()

    def _reaches(self):
        """Whether the moves that were added lie on the bed."""
        x, y = self._reader.record.at
        low, high = -_SLACK_MM, np.array([self.bed.width_mm, self.bed.height_mm]) + _SLACK_MM
        return low <= x <= high[0] and low <= y <= high[1]
