"""Progress that can also say stop."""

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
