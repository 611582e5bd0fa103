"""Progress that can also say stop."""

from typing import Protocol


class Progress(Protocol):
    """What a long stage calls between its steps."""

    def step(self, done: int, total: int, label: str) -> None:
        """Report; raises ``Cancelled`` when the caller wants the work ended."""


class _Quiet:
    def step(self, done: int, total: int, label: str) -> None:
        return None


QUIET: Progress = _Quiet()
