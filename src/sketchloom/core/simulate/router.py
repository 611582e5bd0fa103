"""A router that reads the bytes of a file and carves: a stand-in for the machine, which knows nothing else."""

from dataclasses import dataclass, replace

import numpy as np

from sketchloom.core.carve.field import HeightField
from sketchloom.core.carve.sweeping import sweep
from sketchloom.core.playback.gcode_reader import GcodeReader
from sketchloom.core.playback.moves import MOST_MOVES

_RAPID_TOUCH_MM = 1e-6


class _Carver(GcodeReader):
    """Takes every move in all three directions, rapid ones too."""

    def __init__(self):
        super().__init__()
        self.rows: list[tuple[float, float, float, float, int]] = []

    def line(self, text: str) -> None:
        before = (*self.record.at, self.z)
        super().line(text)
        now = (*self.record.at, self.z)
        if now != before and len(self.rows) < MOST_MOVES:
            self.rows.append((*now, self.motion, self.tool))


@dataclass(frozen=True, slots=True, eq=False)
class Carved:
    """What came of it: the ``field``; ``troubles`` as pairs of a line's number and a sentence; ``unknown`` numbers of
    tools that the router was not given; ``moves``: how many it made."""

    field: HeightField
    troubles: tuple[tuple[int, str], ...]
    unknown: tuple[int, ...]
    moves: int


def carve(data: bytes, tools: dict, field: HeightField, middle=None) -> Carved:
    """Run a file on a blank.

    Parameters
    ----------
    tools : the form of each tool by its number, as they are put into the machine. field : the blank before; it stays
    as it is. middle : where x and y are 0, in mm from its lower left corner, when that is not the corner.
    """
    reader = _Carver()
    reader.feed(data, True)
    made = replace(field, z=field.z.copy())
    rows = np.array(reader.rows, float).reshape(-1, 5)
    high = field.board_mm[1]
    x0, y0 = middle or (0.0, 0.0)
    xyz = np.column_stack([rows[:, 0] + x0, high - (rows[:, 1] + y0), rows[:, 2]])
    number = rows[:, 4].astype(int)
    unknown = []
    for stretch in np.split(np.arange(len(rows)), np.flatnonzero(np.diff(number)) + 1):
        if not len(stretch):
            continue
        tool = tools.get(int(number[stretch[0]]))
        if tool is None:
            unknown.append(int(number[stretch[0]]))
            continue
        sweep(made, _runs(xyz[stretch]), tool)
    return Carved(made, tuple(reader.record.troubles), tuple(dict.fromkeys(unknown)), len(rows))


def _runs(xyz):
    """Moves below the face, those before and after them among them, as strokes."""
    below = xyz[:, 2] < -_RAPID_TOUCH_MM
    cuts = below[1:] | below[:-1]
    edge = np.flatnonzero(np.diff(np.concatenate([[False], cuts, [False]]).astype(np.int8)))
    return [xyz[a:b + 1] for a, b in edge.reshape(-1, 2).tolist()]

