"""A plan of sheets as files and as a part of the report."""

from dataclasses import replace

import numpy as np

from sketchloom.core.curves.outline import Outline
from sketchloom.core.drawing.drawing import Drawing, Group, Look, Shape, Strokes, strand_of, strand_of_lines
from sketchloom.core.formats.svg import layer_id
from sketchloom.core.sheets.plan import Sheet, Timed, timed
from sketchloom.core.tooling.kerf import kept_whole
from sketchloom.evaluate.work_plan import WorkPlan

_HELPER_MM, _LEAST_PEN_MM = 0.1, 0.01


def part_name(part) -> str:
    """What a part is called: its layer, and which part of it, or which piece."""
    text = part.name
    if part.piece:
        text += f", piece {part.piece}"
    if part.count > 1:
        text += f", {part.number} of {part.count}"
    return text + (f", copy {part.copy}" if part.copy > 1 else "")


def with_kerf(sheet: Sheet, kerf_mm: float) -> Sheet:
    """A sheet whose cuts are moved by half the kerf into the waste."""
    if kerf_mm <= 0:
        return sheet
    kept: dict[int, Outline] = {}
    def its(part):
        if id(part.outline) not in kept:
            kept[id(part.outline)] = kept_whole(part.outline, kerf_mm)
        return replace(part, outline=kept[id(part.outline)])
    return replace(sheet, placed=tuple(replace(p, ready=replace(p.ready, part=its(p.part))) for p in sheet.placed))


def strokes_planned(timed: Timed) -> Strokes:
    """What the machine does, in the order of the route, all with one tool."""
    run = timed.run
    return Strokes(run.controls, run.straight, run.starts, np.ones(len(run.starts) - 1, np.intp))


def sheet_drawing(sheet: Sheet, title: str, strokes: Strokes | None = None) -> Drawing:
    """A sheet as it goes into the machine, on its carrier: a group for each part, with its helper cuts."""
    groups = []
    for number, placed in enumerate(sheet.placed, 1):
        pen, colour = placed.outline.pen_px, placed.part.hex
        look = Look(colour) if pen is None else Look(None, colour, max(pen, _LEAST_PEN_MM), True)
        shapes = [Shape((strand_of(placed.outline, 1.0),), look)]
        lines = [placed.line(line) for line in placed.ready.helpers]
        if placed.ready.frame is not None:
            lines.append(placed.line(placed.ready.frame))
        if lines:
            shapes.append(Shape((strand_of_lines(lines),), Look(None, colour, _HELPER_MM)))
        groups.append(Group(tuple(shapes), part_name(placed.part), number))
    return Drawing(title, (0.0, 0.0, sheet.carrier.width_mm, sheet.length_mm), tuple(groups), strokes)


def sheet_drawings(plan: WorkPlan, stem: str, kerf_mm: float = 0.0) -> dict[str, Drawing]:
    """File stem to drawing, one for each sheet, in the order of laying."""
    made = {}
    for number, (sheet, known) in enumerate(zip(plan.sheets, plan.timed, strict=True), 1):
        cut = with_kerf(sheet, kerf_mm)
        how = known if cut is sheet else timed(cut, plan.machine, thorough=False)
        made[f"{stem}-sheet-{layer_id(number, sheet.group.name)[len('layer-'):]}"] = sheet_drawing(
            cut, f"{stem}, sheet {number} of {len(plan.sheets)}, {sheet.group.name}, {sheet.carrier.name}",
            strokes_planned(how))
    return made


def sheets_told(plan: WorkPlan) -> list[dict]:
    """Plain data of the sheets; see docs/formats.md."""
    cost = _shared_cost(plan)
    return [{
        "machine": plan.machine.key,
        "carrier": sheet.carrier.key,
        "material": sheet.group.material,
        "width_mm": round(sheet.carrier.width_mm, 3),
        "height_mm": round(sheet.length_mm, 3),
        "parts": [_part(p) for p in sheet.placed],
        "used_share": round(sheet.used_share, 4),
        "cut_mm": round(timed.run.cut_mm, 3),
        "travel_mm": round(timed.route.travel_mm, 3),
        "time_s": round(timed.machine_s, 2),
        "cost": None if cost is None else round(cost[number], 2),
    } for number, (sheet, timed) in enumerate(zip(plan.sheets, plan.timed, strict=True))]


def _part(placed):
    left, top, right, bottom = placed.box
    return {
        "layer": placed.part.name, "name": part_name(placed.part),
        "width_mm": round(right - left, 3), "height_mm": round(bottom - top, 3),
        "x_mm": round(left, 3), "y_mm": round(top, 3),
        "turned_deg": placed.turn, "mirrored": placed.ready.mirrored,
    }


def _shared_cost(plan):
    """What each sheet costs: its share of the whole by its time and its material alike; None without prices."""
    if not plan.tally.lines or not plan.sheets:
        return None
    area = [s.carrier.width_mm * s.length_mm for s in plan.sheets]
    time = [t.machine_s for t in plan.timed]
    return [plan.tally.cost * 0.5 * (a / max(sum(area), 1e-9) + t / max(sum(time), 1e-9))
            for a, t in zip(area, time, strict=True)]


def plan_told(plan: WorkPlan) -> dict:
    """Plain data of the sums of a plan."""
    t = plan.tally
    return {
        "machine": plan.machine.key,
        "sheets": len(plan.sheets),
        "left_over": [part_name(r.part) for r in plan.left_over],
        "divided": [{"layer": made.parts[0].name, "parts": len(made.parts), "seen_mm": round(made.seen, 2),
                     "straight_seen_mm": round(made.straight_seen, 2)}
                    for made in plan.divided.values() if len(made.parts) > 1],
        "cut_s": round(t.cut_s, 1), "travel_s": round(t.travel_s, 1), "lift_s": round(t.lift_s, 1),
        "load_s": round(t.load_s, 1), "weed_s": round(t.weed_s, 1), "lay_s": round(t.lay_s, 1),
        "low_s": round(t.low_s, 1), "high_s": round(t.high_s, 1),
        "rates": "measured" if t.measured else "from memory",
        "cut_mm": round(t.cut_mm, 1), "travel_mm": round(t.travel_mm, 1), "naive_travel_mm": round(t.naive_mm, 1),
        "material": [{"material": u.material, "sheets": u.sheets, "metres": round(u.metres, 3), "m2": round(u.m2, 4)}
                     for u in t.used],
        "waste_share": round(t.waste_share, 4),
        "quote": [{"what": line.what, "material": line.material, "count": round(line.count, 4), "unit": line.unit,
                   "cost": round(line.cost, 2)} for line in t.lines],
        "cost": round(t.cost, 2) if t.lines else None,
    }
