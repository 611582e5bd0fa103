"""A plan of what goes into the machine, of one work or several."""

from dataclasses import dataclass

from sketchloom.core.preflight.findings import Finding
from sketchloom.core.sheets.dividing.division import Divided
from sketchloom.core.sheets.machine import Machine
from sketchloom.core.sheets.plan import Ready, Sheet, Timed
from sketchloom.core.sheets.tally import Tally


@dataclass(frozen=True, eq=False)
class WorkPlan:
    """A plan of one or several works: its ``machine``, ``sheets`` in the order in which they are laid, base first, how
    each is cut (``timed``), what fits on no carrier (``left_over``), how layers were divided (by work, key and piece),
    what it takes (``tally``), and what may go wrong."""

    machine: Machine
    sheets: tuple[Sheet, ...]
    timed: tuple[Timed, ...]
    left_over: tuple[Ready, ...]
    divided: dict[tuple[int, str, int], Divided]
    tally: Tally
    findings: tuple[Finding, ...]
