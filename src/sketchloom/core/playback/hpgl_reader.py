"""Plotter language as a cutter takes it: instruction by instruction, from bytes alone.

References
----------
HP-GL reference manuals: two letters, numbers, a semicolon or the next letters end an instruction; PA and PR say whether
places are absolute; PU and PD lift and lower and go to the places that follow; SP takes a pen, 0 puts it back; VS is in
cm/s; IN and DF begin anew.
"""

import re

from sketchloom.core.base.said import said
from sketchloom.core.playback.moves import MOST_MM, MOST_MOVES, Moves, Recorder, tool_of

UNIT_MM = 0.025
_WORD = re.compile(rb"\s*([A-Za-z]{2})([^A-Za-z;]*);?")
_NUMBER = re.compile(rb"[-+]?(?:\d+\.?\d*|\.\d+)")
_SILENT = frozenset(("OS", "OE", "OA", "OC", "OI", "AS", "IW", "IP", "SC", "CA", "CS", "LT", "PT", "VN", "FR", "PS"))
"""Asked for an answer, or of no matter to where the tool goes."""
_MOST_TROUBLES = 100


class HpglReader:
    """Takes bytes as they come; ``moves`` has what was read so far."""

    def __init__(self):
        self.record = Recorder()
        self._rest = b""
        self._begin()
        self._number = 0
        self.force = 0.0

    def _begin(self):
        self.down, self.absolute, self.pen, self.speed = False, True, 0, 0.0

    def feed(self, data: bytes, is_last: bool = False) -> None:
        """Some more of the file; an instruction that is cut off waits for the rest, unless there is none."""
        data = self._rest + data
        at = 0
        while True:
            found = _WORD.match(data, at)
            if found is None or (not is_last and data[found.end() - 1:found.end()] != b";"
                                 and found.end() >= len(data)):
                break
            self._do(found[1].decode("ascii").upper(), found[2])
            at = found.end()
        self._rest = data[at:]
        if is_last and self._rest.strip():
            self._trouble(said("what follows is no plotter language"))
            self._rest = b""

    def moves(self) -> Moves:
        return self.record.moves()

    def _trouble(self, sentence):
        if len(self.record.troubles) < _MOST_TROUBLES:
            self.record.troubles.append((self._number, sentence))

    def _do(self, word, text):
        self._number += 1
        if self.record.count > MOST_MOVES:
            return
        numbers = [float(v) for v in _NUMBER.findall(text)]
        if word in ("PU", "PD", "PA", "PR"):
            if word == "PU":
                self.down = False
                self.record.lifted(True)
            elif word == "PD":
                if not self.down and not numbers:
                    self.record.dot(self.speed, self.pen, self._number)
                self.down = True
                self.record.lifted(False)
            else:
                self.absolute = word == "PA"
            self._go(numbers)
        elif word == "SP":
            self.pen = tool_of(numbers[0]) if numbers else 0
        elif word == "VS":
            self.speed = 10.0 * numbers[0] if numbers else 0.0
        elif word == "FS":
            self.force = numbers[0] if numbers else 0.0
        elif word in ("IN", "DF"):
            self._begin()
        elif word not in _SILENT:
            self._trouble(said("{word} is not known", word=word))

    def _go(self, numbers):
        if len(numbers) % 2:
            self._trouble(said("a place needs two numbers"))
        if self.down and self.pen == 0 and numbers:
            self._trouble(said("it cuts without a tool"))
        for x, y in zip(numbers[::2], numbers[1::2], strict=False):
            x, y = x * UNIT_MM, y * UNIT_MM
            if not self.absolute:
                x, y = x + self.record.at[0], y + self.record.at[1]
            if max(abs(x), abs(y)) > MOST_MM:
                self._trouble(said("a place lies beyond any machine"))
                return
            self.record.move(x, y, self.down, self.speed, self.pen, self._number)


def read(data: bytes) -> Moves:
    """The moves of a file."""
    reader = HpglReader()
    reader.feed(data, True)
    return reader.moves()
