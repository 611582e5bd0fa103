"""What became of files that were to leave."""

from collections.abc import Callable
from dataclasses import dataclass
from pathlib import Path

from sketchloom.evaluate.work import Work
from sketchloom.evaluate.work_plan import WorkPlan
from sketchloom.files.carving import CarvedWork


@dataclass(frozen=True, slots=True)
class InTheWay:
    """Files that are ``there`` already and were not replaced; ``again(target)`` writes, and replaces them."""

    there: tuple[Path, ...]
    target: Path
    again: Callable[[Path], None]


@dataclass(frozen=True, slots=True)
class HeldBack:
    """Findings that say stop; ``again()`` writes all the same."""

    stops: tuple
    again: Callable[[], None]


@dataclass(frozen=True, slots=True)
class Approved:
    """Files of a page to approve."""

    files: list[Path]


@dataclass(frozen=True, slots=True)
class Released:
    """Files that go to a machine; ``plan`` of their sheets and the ``carved`` work, None where they have none;
    ``others``: other works whose parts are in them."""

    files: list[Path]
    plan: WorkPlan | None = None
    carved: CarvedWork | None = None
    others: tuple[Work, ...] = ()
