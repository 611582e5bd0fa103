"""A release as a job of the logbook: what was written of which work, for which machine, and what was planned."""

import hashlib
import json
from dataclasses import replace
from typing import Any

from sketchloom.core.logbook.calibration import motion_text, paces_text
from sketchloom.core.logbook.inventory import Accounts, Left, Taken, as_text
from sketchloom.core.logbook.records import Job, now
from sketchloom.core.sheets.choices import rings_as_text
from sketchloom.core.sheets.prices import Pace
from sketchloom.core.sheets.rests import rests_of
from sketchloom.core.sheets.routing.run import response_of
from sketchloom.evaluate.planning import machine_of
from sketchloom.evaluate.work import Work
from sketchloom.evaluate.work_plan import WorkPlan
from sketchloom.recipe.document import to_json

_MOST_NAMES, _MOST_RESTS = 200, 100
_AT_ONCE = 1 << 20


def job_of(work: Work, name: str, paths, plan: WorkPlan | None = None, carved_s: float = 0.0, source: str = "",
           pace: Pace | None = None) -> Job:
    """The job of files that were written.

    Parameters
    ----------
    paths : of the files. plan : its sheets, where they were planned, at the ``pace``. carved_s : what a router takes,
    where it carves. source : the work's own file.
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
        settings=json.dumps(to_json(work.recipe), ensure_ascii=False), source=source,
        paces=paces_text(pace), **planned,
        **({} if plan is None else _of_stock(plan, work.recipe.parts_gap_mm) | {"motion": _motion(plan)}))


def _motion(plan):
    """How the cuts of all sheets answer to the machine's rates."""
    tables = []
    for sheet, its in zip(plan.sheets, plan.timed, strict=True):
        machine = plan.machine.cutting_it(sheet.group.material)
        if len(its.run.controls):
            tables.append(response_of(its.run, machine.cutting, machine.passes, machine.offset_mm))
    return motion_text(sum(tables)) if tables else ""


def _of_stock(plan, gap_mm):
    """What a plan takes of the stock, and the rests it leaves."""
    takes, left = [], []
    for sheet in plan.sheets:
        group, carrier = sheet.group, sheet.carrier
        material = group.material
        if material is None:
            continue  # nobody knows of what
        if sheet.rest is not None:
            if not sheet.rest.stock:
                continue  # typed in; the stock knows nothing of it
            takes.append(Taken(material, group.hex, carrier.width_mm, carrier.height_mm, 1, entry=sheet.rest.stock))
        elif carrier.height_mm > 0:
            takes.append(Taken(material, group.hex, carrier.width_mm, carrier.height_mm, sheets=1))
        else:
            takes.append(Taken(material, group.hex, carrier.width_mm, 0.0, length_mm=sheet.length_mm))
        left += [Left(material, group.hex, wide, high, rings_as_text(rings))
                 for wide, high, rings in rests_of(sheet, gap_mm)]
    return {"takes": as_text(Accounts(_summed(takes))), "rests": as_text(tuple(left[:_MOST_RESTS]))}


def _summed(takes):
    """Sheets of one size and lengths of one roll together."""
    made: dict[Any, Taken] = {}
    for one in takes:
        key = one.entry or (one.material, one.hex, one.width_mm, one.height_mm)
        so_far = made.get(key)
        made[key] = one if so_far is None else replace(so_far, sheets=so_far.sheets + one.sheets,
                                                       length_mm=so_far.length_mm + one.length_mm)
    return tuple(made.values())


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
