"""What may go wrong where a blank is carved: tools that do not reach, cuts that go through, parts that come loose."""

from dataclasses import replace

import numpy as np
import shapely

from sketchloom.core.base.progress import breathe
from sketchloom.core.base.said import said
from sketchloom.core.carve import carving_v, pocketing, profiling
from sketchloom.core.carve.field import uncut
from sketchloom.core.carve.job import Job, Step, bottom_of
from sketchloom.core.carve.operations import CARVE, EDGE, ON, POCKET, PROFILE, SURFACE
from sketchloom.core.carve.sweeping import sweep
from sketchloom.core.preflight.findings import NOTE, RELEASE, SHEETS, STOP, WARN, Finding, rule
from sketchloom.core.shapes.polygons import areas_of
from sketchloom.core.sheets.machine import Machine

_THROUGH_MM = 0.05
"""What ends no farther above the lower face goes through."""
_BELOW_MM = 1.0
"""A cut may go so far into what lies under the blank (common practice, no source)."""
_UNCUT_SHARE, _UNCUT_MM2 = 0.002, 1.0
_AIR_SHARE = 0.9
_COARSE_MM, _MOST_COARSE, _SAME_MM = 0.8, 400_000, 0.05
_FLOOR_SHARE = 0.05

LOST = rule("carve.lost", WARN, SHEETS, said("an operation whose target is gone"),
            said("Operation {number}: what it is to carve is gone."))
TOOLLESS = rule("carve.toolless", STOP, SHEETS, said("an operation whose tool is not known"),
                said("Operation {number}: its tool is not in the table."))
NOTHING = rule("carve.nothing", WARN, SHEETS, said("an operation that cuts nothing"),
               said("Operation {number}: {tool} is too wide for all of it; nothing is cut."))
UNCUT = rule("carve.uncut", WARN, SHEETS, said("places that a tool is too wide for"),
             said("Operation {number}: {tool} leaves {mm2:.0f} mm² uncut, {share:.1f} % of it. A smaller tool can "
                  "clear the rests."))
FLOOR = rule("carve.floor", WARN, SHEETS, said("a V that is to clear wide ground"),
             said("Operation {number}: {mm2:.0f} mm² are wider than the V goes deep. Let a flat tool clear them."))
DEEP = rule("carve.deep", STOP, SHEETS, said("a cut deeper than the blank"),
            said("Operation {number} goes {mm:.1f} mm below the upper face; the blank is {thick:.1f} mm thick."))
EDGES = rule("carve.edge", WARN, SHEETS, said("a tool that is to go deeper than it cuts"),
             said("Operation {number} goes {mm:.1f} mm deep; {tool} cuts {edge:.1f} mm of its length."))
TABS = rule("carve.tabs", WARN, SHEETS, said("what comes loose when it is cut out"),
            said("Operation {number}: without tabs what is cut out comes loose under the tool."))
FEED = rule("carve.feed", WARN, SHEETS, said("a feed beyond the machine"),
            said("Operation {number}: a feed of {feed:g} mm/s is more than the machine's {most:g}."))
LOOSE = rule("carve.after", WARN, SHEETS, said("carving after the blank was cut out"),
             said("Operation {number} comes after operation {before} has cut the piece off: it may move. Cut out "
                  "last."))
AIR = rule("carve.air", NOTE, SHEETS, said("an operation that cuts air"),
           said("Operation {number} finds {share:.0f} % of its ground already cut as deep."))
BEFORE = rule("carve.before", WARN, SHEETS, said("rests cleared before they are there"),
              said("Operation {number} clears what {tool} left, which comes later or not at all."))
BED = rule("carve.bed", STOP, SHEETS, said("a blank larger than the machine's bed"),
           said("The blank is {wide:.0f} × {high:.0f} mm; the machine cuts {bed_wide:.0f} × {bed_high:.0f} mm."))
UNLIKE = rule("carve.unlike", STOP, RELEASE, said("machine code that carves something else"),
              said("Run from its bytes alone, the code carves {share:.1f} % of the blank otherwise than planned. Do "
                   "not run it; choose another dialect."))
_LIKE_SHARE = 0.998
"""Beyond what two grids of places make of one wall."""


def findings_of_code(share: float) -> tuple[Finding, ...]:
    """Of machine code that carves the ``share`` of the blank as it was planned."""
    return () if share >= _LIKE_SHARE else (UNLIKE.found(share=100 * (1 - share)),)


def findings_of_job(job: Job, machine: Machine, tools=(), place_of=lambda x, y: (x, y)) -> tuple[Finding, ...]:
    """All of a job, the worst of each operation.

    Parameters
    ----------
    tools : those that operations may name, by which rests are told. place_of : the place of a finding for a place of
    the blank in mm.
    """
    known = {one.key: one for one in tools}
    found = [LOST.found(number=n + 1) for n in job.lost] + [TOOLLESS.found(number=n + 1) for n in job.toolless]
    found += _bed(job, machine)
    for n, step in enumerate(job.steps):
        found += _reach(step, known, job.steps[n + 1:])
        found += _depth(job, step)
        found += _held(job, step)
        if min(step.feed, step.plunge) > 0 and step.feed > machine.speed:
            found.append(FEED.found(number=step.number + 1, feed=step.feed, most=machine.speed))
    found += _order(job, known) + _air(job)
    return tuple(one if one.x_px is None else replace(one, **dict(zip(("x_px", "y_px"), place_of(one.x_px, one.y_px),
                                                                     strict=True))) for one in found)


def _bed(job, machine):
    wide, high = job.blank.width_mm, job.blank.height_mm
    beds = [one.usable_mm for one in machine.carriers]
    if any((wide <= w and high <= h) or (high <= w and wide <= h) for w, h in beds):
        return []
    w, h = max(beds, key=lambda one: one[0] * min(one[1], 1e9))
    return [BED.found(wide=wide, high=high, bed_wide=w, bed_high=min(h, 1e9))]


def uncut_by(step: Step, known=None):
    """What of a step's ground its tool is too wide for."""
    operation, tool = step.operation, step.tool
    area = areas_of(step.area)
    if operation.kind in (POCKET, SURFACE) or (operation.kind == CARVE and not tool.is_pointed):
        left = pocketing.rest_of(area, tool)
        larger = (known or {}).get(operation.rest_of)
        return areas_of(left.intersection(pocketing.rest_of(area, larger))) if larger is not None else left
    if operation.kind == PROFILE and operation.side != ON:
        course = profiling.course_of(area, operation, tool)
        if operation.side == "inside":
            return pocketing.rest_of(area, tool)
        grown = profiling.rings.moved(course, -tool.radius_mm)
        return areas_of(grown.difference(area))
    return areas_of(shapely.MultiPolygon())


def _reach(step, known, later):
    operation, number = step.operation, step.number + 1
    if not step.strokes:
        return [NOTHING.found(number=number, tool=step.tool.name)] if operation.rest_of == "" else []
    area = areas_of(step.area)
    if operation.kind == CARVE and step.tool.is_pointed and not operation.clear_with:
        wide = carving_v.floor_of(area, operation, step.tool)
        if wide.area > _FLOOR_SHARE * area.area:
            place = wide.representative_point()
            return [FLOOR.found(number=number, mm2=wide.area, at=(place.x, place.y))]
        return []
    left = uncut_by(step, known)
    for one in later:  # another tool is to clear them
        if one.operation.rest_of == step.tool.key and one.strokes and bottom_of(one) >= bottom_of(step) - _THROUGH_MM:
            left = left.difference(areas_of(one.area).difference(uncut_by(one, known)))
    left = areas_of(left)
    parts = [one for one in left.geoms if one.area > 1e-3]
    size = sum(one.area for one in parts)
    if size < max(_UNCUT_SHARE * area.area, _UNCUT_MM2):
        return []
    place = max(parts, key=lambda one: one.area).representative_point()
    return [UNCUT.found(number=number, tool=step.tool.name, mm2=size, share=100 * size / max(area.area, 1e-9),
                        at=(place.x, place.y))]


def _depth(job, step):
    number, bottom, thick = step.number + 1, bottom_of(step), job.blank.thickness_mm
    found = []
    most = thick + _BELOW_MM if step.operation.kind in (PROFILE, "drill") else thick - _THROUGH_MM
    if bottom > most + 1e-9:
        found.append(DEEP.found(number=number, mm=bottom, thick=thick))
    deep = bottom - (step.operation.from_mm if step.operation.kind != EDGE else 0.0)
    if deep > step.tool.edge_mm + 1e-9:
        found.append(EDGES.found(number=number, mm=deep, tool=step.tool.name, edge=step.tool.edge_mm))
    return found


def _is_through(job, step):
    return step.operation.kind == PROFILE and bottom_of(step) >= job.blank.thickness_mm - _THROUGH_MM


def _held(job, step):
    if not step.strokes or not _is_through(job, step):
        return []
    cuts, has_tabs = profiling.freed(areas_of(step.area), step.operation, step.tool)
    return [TABS.found(number=step.number + 1)] if cuts and not has_tabs else []


def _order(job, known):
    found, cut_off = [], None
    done: list[Step] = []
    for step in job.steps:
        if not step.strokes:
            continue
        if cut_off is not None and step.number != cut_off:
            found.append(LOOSE.found(number=step.number + 1, before=cut_off + 1))
        rest_of = step.operation.rest_of
        if rest_of and not any(one.tool.key == rest_of for one in done):
            tool = known.get(rest_of)
            found.append(BEFORE.found(number=step.number + 1, tool=rest_of if tool is None else tool.name))
        done.append(step)
        if _is_through(job, step) and step.operation.of.kind == "board":
            cut_off = step.number
    return found


def _air(job):
    """Operations that find their ground cut already, on a coarse field: what each cuts alone, against what was cut
    before it."""
    if len({step.number for step in job.steps}) < 2:
        return []
    fine = max(_COARSE_MM, float(np.sqrt(job.blank.width_mm * job.blank.height_mm / _MOST_COARSE)))
    before = uncut(job.board, job.blank.thickness_mm, fine, (job.blank.width_mm, job.blank.height_mm))
    shares: dict[int, list[int]] = {}
    for step in job.steps:
        breathe()
        alone = replace(before, z=np.zeros_like(before.z))
        sweep(alone, step.strokes, step.tool)
        cut = alone.board & (alone.z < -_SAME_MM)
        was = before.z <= alone.z + _SAME_MM
        if not step.operation.rest_of:
            count = shares.setdefault(step.number, [0, 0])
            count[0] += int((cut & was).sum())
            count[1] += int(cut.sum())
        np.minimum(before.z, alone.z, out=before.z)
    return [AIR.found(number=n + 1, share=100 * air / all_) for n, (air, all_) in shares.items()
            if all_ and air > _AIR_SHARE * all_]
