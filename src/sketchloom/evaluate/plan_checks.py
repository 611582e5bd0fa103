"""Findings of a plan of what goes into the machine."""

import shapely

from sketchloom.core.preflight import sheet_rules as rules
from sketchloom.core.preflight.findings import Finding, counted
from sketchloom.core.preflight.release_rules import check_cuts
from sketchloom.core.sheets import choices
from sketchloom.core.sheets.machine import PEN
from sketchloom.core.sheets.part import in_mm
from sketchloom.evaluate.work import Work
from sketchloom.evaluate.work_plan import WorkPlan

_ROUND_MM = 0.05


def findings_of_plan(works: tuple[Work, ...], plan: WorkPlan, gap_mm: float, most: int | None = None
                     ) -> tuple[Finding, ...]:
    """What may go wrong with a plan; places are those of the first work, px. ``most``: so many parts were planned and
    there are more."""
    if most is not None:
        return (rules.TOO_MANY.found(most=most), *_of_sheets(plan, gap_mm), *_of_all(works, plan))
    return (*_of_layers(works, plan), *_of_parts(works, plan), *_of_sheets(plan, gap_mm), *_of_all(works, plan))


def _of_layers(works, plan):
    """Materials and machine of each layer."""
    nameless = []
    for work in works:
        for layer in work.layers:
            material = work.recipe.material_of(layer.plan.key)
            if layer.outline.pen_px is not None:
                continue
            yield from check_cuts(layer.plan, in_mm(layer.outline, work.mm_per_px), plan.machine.offset_mm,
                                  work.mm_per_px)
            if material is None:
                nameless.append(layer.plan)
                continue
            if plan.machine.kind != PEN and plan.machine.kind not in material.tools:
                yield rules.TOOL.found(plan=layer.plan, name=material.name, tool=plan.machine.name)
            yield from rules.check_detail(layer.plan, layer.min_feature_mm, plan.machine.offset_mm)
    if nameless:
        yield rules.NO_STOCK.found(counted(len(nameless)), plan=nameless[0], name=nameless[0].name, count=len(nameless))


def _of_parts(works, plan):
    """What fits nowhere, is divided where it is seen, or is mirrored the wrong way."""
    plans = {(n, layer.plan.key): layer.plan for n, work in enumerate(works) for layer in work.layers}
    told = set()
    for ready in plan.left_over:
        key = (ready.part.work, ready.part.key)
        if key not in told:
            told.add(key)
            wide, high = ready.part.size
            yield rules.TOO_LARGE.found(plan=plans.get(key), name=ready.part.name, wide=wide, high=high)
    for key, made in plan.divided.items():
        work, layer = works[key[0]], plans[key[:2]]
        if made.seen > _ROUND_MM:
            seam = made.seams[0]
            at = seam[len(seam) // 2] / work.mm_per_px
            yield rules.THROUGH_DETAIL.found(plan=layer, at=at if key[0] == 0 else None, name=layer.name,
                                             parts=len(made.parts), seen=made.seen)
        if made.unjoined:
            yield rules.NO_JOINT.found(plan=layer, name=layer.name)
        yield from _slivers(work, layer, made)
    seen = set()
    for sheet in plan.sheets:
        for placed in sheet.placed:
            key = (placed.part.work, placed.part.key)
            if key in plans and key not in seen:
                seen.add(key)
                material = works[key[0]].recipe.material_of(key[1])
                yield from rules.check_mirror(plans[key], None if material is None else material.family,
                                              placed.ready.mirrored, choices.HEAT_FAMILIES)


def _slivers(work, layer, made):
    """Parts that the seam made narrower than their material bears, though the whole was not so narrow there."""
    material = work.recipe.material_of(layer.key)
    least = work.recipe.thin_mm if material is None else material.smallest_mm
    if least <= 0:
        return
    seam = shapely.union_all([shapely.LineString(s) for s in made.seams]).buffer(least)
    for part in made.parts:
        opened = part.area.buffer(-least / 2 + _ROUND_MM).buffer(least / 2, quad_segs=8)
        lost = part.area.difference(opened.buffer(_ROUND_MM)).intersection(seam)
        # corners that a disc does not reach are no slivers
        if not lost.is_empty and max(p.area for p in getattr(lost, "geoms", [lost])) > least**2:
            yield rules.SLIVER.found(plan=layer, name=layer.name, bears=least)
            return


def _of_sheets(plan, gap_mm):
    for number, sheet in enumerate(plan.sheets, 1):
        near, over = sheet.trouble(gap_mm)
        yield from rules.check_trouble(number, near, over, gap_mm)
        yield from rules.check_empty(number, sheet.group.name, sheet.used_share, sheet.carrier.height_mm <= 0)


def _of_all(works, plan):
    most = works[0].recipe.most_minutes
    if most is not None and plan.tally.total_s > 60 * most:
        yield rules.TIME.found(minutes=plan.tally.total_s / 60, most=most)
