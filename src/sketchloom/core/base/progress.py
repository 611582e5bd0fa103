"""Progress that can also say stop."""

import math
from collections.abc import Iterator
from contextlib import contextmanager
from contextvars import ContextVar
from typing import Protocol


class Progress(Protocol):
    """What a long stage calls between its steps."""

    def step(self, done: float, total: float, label: str) -> None:
        """Report; raises ``Cancelled`` when the caller wants the work ended."""


class _Quiet:
    def step(self, done: float, total: float, label: str) -> None:
        return None


QUIET: Progress = _Quiet()


class Part:
    """Passes steps of a part of the work on as steps of the whole, so that the share that is done is known.

    The whole is 1; the part goes ``from_share`` ``to_share`` of it. A part of a part is a part.
    """

    def __init__(self, progress: Progress, from_share: float, to_share: float):
        self.progress, self.from_share, self.to_share = progress, from_share, to_share

    def step(self, done: float, total: float, label: str) -> None:
        share = self.from_share + (self.to_share - self.from_share) * min(done / max(total, 1e-9), 1.0)
        self.progress.step(share, 1.0, label)


class _Watched:
    """Passes steps on and knows the last one, for those who have nothing new to say but can be stopped."""

    def __init__(self, progress: Progress):
        self.progress, self.last = progress, (0.0, 1.0, "")

    def step(self, done: float, total: float, label: str) -> None:
        self.last = (done, total, label)
        self.progress.step(done, total, label)


_WATCHED: ContextVar[_Watched | None] = ContextVar("watched", default=None)


@contextmanager
def watched(progress: Progress) -> Iterator[Progress]:
    """Whatever ``breathe``s within reports to ``progress``, in threads of ``parallel.in_threads`` too."""
    watch = _Watched(progress)
    token = _WATCHED.set(watch)
    try:
        yield watch
    finally:
        _WATCHED.reset(token)


def is_watched() -> bool:
    """Whether anybody watches, so that it is worth while to breathe."""
    return _WATCHED.get() is not None


def breathe() -> None:
    """A moment at which the work may be stopped, in kernels too deep to be handed a ``Progress``: says the last step
    again. Raises ``Cancelled`` when the caller wants the work ended; does nothing where nobody watches."""
    watch = _WATCHED.get()
    if watch is not None:
        watch.progress.step(*watch.last)


_TOLD_S, _TOLD_SHARE = 1.0, 0.08
"""Before so many seconds and such a share nothing is said of the time left: it would be a guess."""


def seconds_left(elapsed_s: float, share: float) -> int | None:
    """Seconds that work still takes which has come so far in so long, if it goes on as it went: 1, 2, 3, 5 and then
    steps of five; None where that cannot be told yet."""
    if elapsed_s < _TOLD_S or not _TOLD_SHARE <= share < 1.0:
        return None
    left = elapsed_s * (1.0 - share) / share
    return next((step for step in (1, 2, 3, 5) if left <= step), 5 * math.ceil(left / 5))
