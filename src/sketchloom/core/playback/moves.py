"""Moves of a machine as its file says them, and what can be told of them."""

from dataclasses import dataclass

import numpy as np

MOST_MOVES = 4_000_000
"""A guard against hostile files; more than any machine runs in a day."""
MOST_MM = 1e6
_MOST_TOOL = 9999.0


@dataclass(frozen=True, slots=True, eq=False)
class Moves:
    """Moves in their order, on the machine's axes: ``begin`` and ``end`` (N, 2) mm, y up; about ``centre`` (N, 2) by
    ``sweep`` (N,) radians where they are arcs, 0 for lines; ``down`` (N,) whether the tool cuts; ``speed`` (N,) mm/s,
    0 where the machine's own holds; ``tool`` (N,); ``word`` (N,) number of the instruction. ``troubles``: what a
    machine would stumble over, as pairs of the instruction's number and a sentence. ``depth`` (N,) mm of the tool, 0
    where none is said; ``lift`` (N,) how often it was lifted before."""

    begin: np.ndarray
    end: np.ndarray
    centre: np.ndarray
    sweep: np.ndarray
    down: np.ndarray
    speed: np.ndarray
    tool: np.ndarray
    word: np.ndarray
    depth: np.ndarray
    lift: np.ndarray
    troubles: tuple[tuple[int, str], ...] = ()

    @property
    def count(self) -> int:
        return len(self.sweep)

    @property
    def box(self) -> tuple[float, float, float, float]:
        """Left, bottom, right and top of what is cut, mm; all 0 where nothing is."""
        cut = self.down
        if not cut.any():
            return 0.0, 0.0, 0.0, 0.0
        begin, centre, sweep = self.begin[cut], self.centre[cut], self.sweep[cut]
        # an arc reaches farthest where it runs upright or level, at the quarters of its circle
        ray = begin - centre
        first = np.arctan2(ray[:, 1], ray[:, 0])[:, None]
        quarter = np.arange(4) * (np.pi / 2)
        ahead = np.where(sweep[:, None] > 0, quarter - first, first - quarter) % (2 * np.pi)
        met, at = np.nonzero(ahead <= np.abs(sweep)[:, None])
        way = np.column_stack([np.cos(quarter), np.sin(quarter)])[at]
        far = centre[met] + np.hypot(*ray[met].T)[:, None] * way
        xy = np.concatenate([begin, self.end[cut], far[sweep[met] != 0]])
        return (*xy.min(0).tolist(), *xy.max(0).tolist())

    def strokes(self) -> tuple[np.ndarray, np.ndarray]:
        """Numbers of the first move of every stroke of the lowered tool, and of the first after it."""
        down = np.concatenate([[False], self.down, [False]])
        again = np.concatenate([[False], np.diff(self.lift) > 0, [False]]) if self.count else np.zeros(1, bool)
        return (np.flatnonzero(down[1:] & (~down[:-1] | again)), np.flatnonzero(down[:-1] & (~down[1:] | again)))


class Recorder:
    """Collects moves while a file is read."""

    def __init__(self):
        self._rows: list[tuple] = []
        self.troubles: list[tuple[int, str]] = []
        self.at = (0.0, 0.0)
        self._lifts, self._was_down = 0, False

    def lifted(self, is_up: bool) -> None:
        """The tool is up, or down, from now on."""
        self._lifts += is_up and self._was_down
        self._was_down = not is_up

    def move(self, x, y, down, speed, tool, word, centre=None, sweep=0.0, depth=0.0) -> None:
        if (x, y) != self.at or centre is not None:
            cx, cy = self.at if centre is None else centre
            self._rows.append((*self.at, x, y, cx, cy, sweep, down, speed, tool, word, depth, self._lifts))
            self.at = (x, y)

    def dot(self, speed, tool, word, depth=0.0) -> None:
        """The tool goes down and up again without a move."""
        self._rows.append((*self.at, *self.at, *self.at, 0.0, True, speed, tool, word, depth,
                           self._lifts))

    @property
    def count(self) -> int:
        return len(self._rows)

    def moves(self) -> Moves:
        rows = np.array(self._rows, float).reshape(-1, 13)
        return Moves(rows[:, 0:2], rows[:, 2:4], rows[:, 4:6], rows[:, 6], rows[:, 7] > 0, rows[:, 8],
                     rows[:, 9].astype(int), rows[:, 10].astype(int), rows[:, 11], rows[:, 12].astype(int),
                     tuple(self.troubles))


def tool_of(number: float) -> int:
    """The number of a tool, of whatever stands in a file."""
    return int(min(max(number, 0.0), _MOST_TOOL))


def chords_of(begin, end, centre, sweep, within: float) -> tuple[np.ndarray, np.ndarray]:
    """Points (M, 2) of moves, without each one's last point, and the number of the move of each (M,)."""
    radius = np.hypot(*(begin - centre).T)
    with np.errstate(invalid="ignore", divide="ignore"):
        step = 2 * np.arccos(np.clip(1 - within / np.maximum(radius, 1e-9), -1, 1))
    count = np.where(sweep == 0, 1, np.ceil(np.abs(sweep) / np.maximum(step, 1e-4))).astype(np.intp)
    count = np.maximum(count, 1)
    owner = np.repeat(np.arange(len(count)), count)
    share = (np.arange(len(owner)) - np.repeat(np.cumsum(count) - count, count)) / count[owner]
    theta = sweep[owner] * share
    ray = (begin - centre)[owner]
    cos, sin = np.cos(theta), np.sin(theta)
    turned = centre[owner] + np.column_stack([ray[:, 0] * cos - ray[:, 1] * sin, ray[:, 0] * sin + ray[:, 1] * cos])
    straight = begin[owner] + share[:, None] * (end - begin)[owner]
    return np.where((sweep[owner] == 0)[:, None], straight, turned), owner
