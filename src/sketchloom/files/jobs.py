"""A release as a job of the logbook: what was written of which work, for which machine, and what was planned."""

import hashlib
import json
from typing import Any

from sketchloom.core.logbook.records import Job, now
from sketchloom.evaluate.planning import machine_of
from sketchloom.evaluate.work import Work
from sketchloom.evaluate.work_plan import WorkPlan
from sketchloom.recipe.document import to_json

_MOST_NAMES = 200
_AT_ONCE = 1 << 20


def job_of(work: Work, name: str, paths, plan: WorkPlan | None = None, carved_s: float = 0.0) -> Job:
    """The job of files that were written.

    Parameters
    ----------
    paths : of the files. plan : its sheets, where they were planned. carved_s : what a router takes, where it carves.
    """
    machine = machine_of(work)
    planned: dict[str, Any] = {"planned_s": carved_s, "cut_s": carved_s}
    film = cost = 0.0
    if plan is not None:
        tally = plan.tally
        planned = {"planned_s": tally.total_s, **{part: getattr(tally, part) for part in (
            "cut_s", "travel_s", "lift_s", "weed_s", "lay_s")}}
        film, cost = sum(one.m2 for one in tally.used) * 1e6, tally.cost
    materials = dict.fromkeys(m.name for layer in work.layers
                              if (m := work.recipe.material_of(layer.plan.key)) is not None)
    wide, high = work.size_mm
    return Job(
        name[:300], "\n".join(str(p) for p in list(paths)[:_MOST_NAMES])[:20_000], digest_of(paths), width_mm=wide,
        height_mm=high, sheets=0 if plan is None else len(plan.sheets), machine=machine.name[:300],
        material=", ".join(materials), film_mm2=film, cost=cost, at=now(),
        settings=json.dumps(to_json(work.recipe), ensure_ascii=False), **planned)


def digest_of(paths) -> str:
    """SHA-256 of files, one after the other in the order of their names; of those that can be read."""
    made = hashlib.sha256()
    for path in sorted(paths):
        try:
            with path.open("rb") as stream:
                while part := stream.read(_AT_ONCE):
                    made.update(part)
        except OSError:
            continue
    return made.hexdigest()
