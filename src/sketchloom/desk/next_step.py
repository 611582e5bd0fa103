"""What comes next in the work, and what stands in its way."""

from dataclasses import dataclass

from sketchloom.core.preflight.findings import NOTE, RELEASE, SOURCE, STAGES, STOP, Finding
from sketchloom.desk import mends
from sketchloom.evaluate.work import Work

WAIT, FIRST, PREPARE, GO, WRITE, NOTHING = "wait", "first", "prepare", "go", "write", "nothing"


@dataclass(frozen=True, slots=True)
class NextStep:
    """``kind``: wait for the result, see to what stands in the way first, prepare the picture, go to a ``stage``
    (its number), write the files, or nothing as there is nothing to cut. ``finding``: what stands in the way; ``open``:
    how many kinds of warnings the stage has."""

    kind: str
    stage: int = -1
    finding: Finding | None = None
    open: int = 0


def next_step(stage: int, work: Work | None, findings) -> NextStep:
    """What comes after a stage, by its number; ``work`` None until the exact result is there."""
    if work is None:
        return NextStep(WAIT)
    mine = [one for one in findings if one.rule.stage == STAGES[stage] or (
        STAGES[stage] == RELEASE and one.severity == STOP)]
    stop = next((one for one in mine if one.severity == STOP), None)
    if stop is not None:
        return NextStep(FIRST, STAGES.index(stop.rule.stage), stop)
    if STAGES[stage] == RELEASE:
        return NextStep(WRITE if work.layers else NOTHING)
    if STAGES[stage] == SOURCE and mends.prepared(work) is not None:
        return NextStep(PREPARE)
    return NextStep(GO, stage + 1, open=len({one.code for one in mine if one.severity != NOTE}))
