"""Rows of a benchmark and how they are printed."""

import sys
from dataclasses import dataclass


@dataclass(frozen=True, slots=True)
class Row:
    """A measured value beside the most it may be; ``note`` says what was measured."""

    what: str
    value: float
    limit: float
    unit: str
    note: str = ""

    @property
    def reached(self) -> bool:
        return self.value <= self.limit


def show(title: str, rows) -> None:
    """Print a table."""
    out = sys.stdout
    out.write(f"\n{title}\n{'-' * len(title)}\n")
    for row in rows:
        mark = "ok  " if row.reached else "OVER"
        out.write(f"{mark}  {row.what:<62} {row.value:>9.3f} {row.unit:<4} at most {row.limit:g}  {row.note}\n")
    out.flush()
