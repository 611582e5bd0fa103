"""What an exercise is, whatever it is about."""

from dataclasses import dataclass, field

import numpy as np

from sketchloom.core.base.said import said

LEAK, CUT_OFF, ORDER, DIVIDE, TEARS = KINDS = ("leak", "cut-off", "order", "divide", "tears")
TITLES = {LEAK: said("Find the leak"), CUT_OFF: said("Choose the cut-off"), ORDER: said("Choose the order"),
          DIVIDE: said("Where to divide"), TEARS: said("Which setting tears")}


@dataclass(frozen=True, slots=True, eq=False)
class Choice:
    """An answer that can be taken: what it says, and its picture (H, W, 3) uint8, None for none."""

    text: str
    picture: np.ndarray | None = None


@dataclass(frozen=True, slots=True, eq=False)
class Exercise:
    """A ``question``, its ``picture`` (H, W, 3) uint8 or None, and its ``choices``; none where a place of the picture
    is asked for. ``best``: the number of the right choice; ``place`` x, y px, within ``near_px`` of which a click is
    right. ``reason``: why, with the program's figures."""

    kind: str
    seed: int
    question: str
    reason: str
    picture: np.ndarray | None = None
    choices: tuple[Choice, ...] = ()
    best: int = -1
    place: tuple[float, float] | None = None
    near_px: float = 0.0

    def is_right(self, answer) -> bool:
        """Whether a choice's number, or a place x, y px, is right."""
        if self.place is None:
            return answer == self.best
        return bool(np.hypot(answer[0] - self.place[0], answer[1] - self.place[1]) <= self.near_px)


@dataclass(frozen=True, slots=True)
class Progress:
    """How often a kind was answered, how often rightly, and the next one's number."""

    tried: int = 0
    right: int = 0
    next: int = 0

    def after(self, is_right: bool) -> "Progress":
        return Progress(self.tried + 1, self.right + is_right, self.next + 1)


def progress_from(data) -> dict[str, Progress]:
    """Progress by kind from plain data of any origin; what is none is passed over."""
    made: dict[str, Progress] = {}
    for kind, one in (data.items() if isinstance(data, dict) else ()):
        figures = {name: one.get(name) for name in ("tried", "right", "next")} if isinstance(one, dict) else {}
        if kind in KINDS and figures and all(type(v) is int and 0 <= v < 10**9 for v in figures.values()):
            made[kind] = Progress(one["tried"], one["right"], one["next"])
    return made


def progress_to(progress: dict[str, Progress]) -> dict:
    return {kind: {"tried": p.tried, "right": p.right, "next": p.next} for kind, p in progress.items()}


@dataclass(frozen=True, slots=True)
class Shuffled:
    """Answers in an order drawn by lot, so that the right one has no place of its own."""

    seed: int
    order: tuple[int, ...] = field(init=False)
    count: int = 3

    def __post_init__(self):
        object.__setattr__(self, "order", tuple(
            int(n) for n in np.random.default_rng(self.seed).permutation(self.count)))

    def of(self, some) -> tuple:
        return tuple(some[n] for n in self.order)

    def where(self, number: int) -> int:
        return self.order.index(number)
