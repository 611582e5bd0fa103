"""Findings that the program can mend: the recipe that no longer has them."""

from dataclasses import replace

import numpy as np

from sketchloom.core.edits.decisions import DROP
from sketchloom.core.judge.fitness import COMFORTABLE_PX_PER_MM
from sketchloom.core.picture.preparing.finding import within_edge
from sketchloom.core.picture.preparing.steps import MAX_STEP
from sketchloom.core.planar.describe import RegionIndex
from sketchloom.core.preflight.findings import WARN, Finding
from sketchloom.core.preflight.rules import CARRIER_MM
from sketchloom.desk.regions import RegionDesk
from sketchloom.evaluate.work import Work
from sketchloom.recipe.document import Recipe
from sketchloom.recipe.sections import MAX_DETAIL_MM, MIN_SIZE_MM

_MANY = 200
MENDABLE = ("source.small", "source.shaded", "source.page", "source.skew", "source.light", "source.screen", "source.blocks",
            "source.noise", "source.pale", "source.frame", "source.texture", "source.double",
            "trace.colour_unused", "layer.empty", "size.over_carrier", "layer.thin", "layer.small_pieces", "trace.small_details",
            "clean.edit_lost", "clean.shape_idle", "layer.like_ground")


def mended(finding: Finding, work: Work) -> Recipe | None:
    """The recipe with a finding mended, None when there is nothing to change."""
    recipe = work.recipe
    match finding.code:
        case "source.small":
            changed = _with_width(work, work.picture.width / COMFORTABLE_PX_PER_MM)
        case "source.shaded":
            changed = replace(recipe, reading="photo")
        case code if code in _STEPS:
            changed = replace(recipe, preparation=_STEPS[code](recipe.preparation, work))
        case "source.double":
            gap = min(work.faults.double_px * work.mm_per_px, MAX_DETAIL_MM)
            changed = replace(recipe, double_mm=round(gap, 3), double_to="filled")
        case "trace.colour_unused":
            used = {int(label) for label in work.traced.planar.face_label}
            kept = tuple(e for i, e in enumerate(work.segmentation.own_entries) if i in used)
            changed = replace(recipe, palette=kept, colours=None) if kept else recipe
        case "layer.thin":
            line = work.thickened(finding.x_px, finding.y_px, finding.layer, max(recipe.thin_mm * 1.05, 0.05))
            changed = recipe if line is None else replace(recipe, lines=(*recipe.lines, line))
        case "layer.small_pieces":
            changed = _without_small_pieces(finding.layer, work)
        case "trace.small_details":
            lost = tuple((one.x_share, one.y_share) for one in work.details_lost())
            changed = replace(recipe, kept=tuple(dict.fromkeys((*recipe.kept, *lost)))[:1000])
        case "clean.edit_lost":
            here = work.edited.found.tolist()
            changed = replace(recipe, edits=tuple(e for n, e in enumerate(recipe.edits) if n >= len(here) or here[n] >= 0))
        case "material.shrinks":
            key = next((layer.plan.key for layer in work.layers if layer.plan.name == finding.layer), None)
            changed = recipe if key is None else recipe.with_edit(key, apart=True)
        case "clean.shape_idle":
            changed = _without_idle(work)
        case "layer.like_ground":
            plan = next((p for p in work.plans if p.name == finding.layer), None)
            changed = recipe if plan is None else recipe.with_edit(plan.key, left_out=True)
        case "layer.empty":
            changed = replace(recipe, ground="keep", layers=tuple(replace(e, left_out=False) for e in recipe.layers))
        case "size.over_carrier":
            changed = _with_width(work, work.size_mm[0] * CARRIER_MM / max(_extent_mm(work)))
        case _:
            changed = recipe
    return None if changed == recipe else changed


def mended_all(code: str, work: Work) -> Recipe | None:
    """The recipe with all findings of a kind mended; of narrow places also those too many to be listed."""
    recipe = work.recipe
    if code == "layer.thin":
        todo = [Finding(code, WARN, "", one.layer, one.x_mm / work.mm_per_px, one.y_mm / work.mm_per_px)
                for one in work.narrow_places(_MANY) if one.width_mm < recipe.thin_mm]
    else:
        todo = [finding for finding in work.findings if finding.code == code]
    for finding in todo:
        recipe = mended(finding, replace(work, recipe=recipe)) or recipe
    return None if recipe == work.recipe else recipe


def _without_small_pieces(layer, work):
    """The regions of a sheet's pieces that are too small go to what lies around them."""
    desk = RegionDesk(work, RegionIndex(work.traced.planar))
    least = np.pi / 4 * work.recipe.thin_mm**2 / work.mm_per_px**2
    depth = next((k for k, plan in enumerate(work.plans) if plan.name == layer), None)
    small = np.flatnonzero((work.depth == depth) & (work.traced.planar.face_area_px < least)) if depth is not None else []
    return desk.decided(work.recipe, list(small), DROP)


def _without_idle(work):
    recipe, cut = work.recipe, work.segmentation.cut_in
    curves = tuple(c for c, so in zip(recipe.curves, work.traced.curves_found) if so)
    done = iter([] if cut is None else cut.splits_done.tolist())
    return replace(recipe, curves=curves, splits=tuple(s for s in recipe.splits if not s.on or next(done, True)))


def _straightened(steps, work):
    return replace(steps, turn_deg=round(_within_half_turn(steps.turn_deg - work.faults.skew_deg), 2))


def _within_half_turn(degrees):
    return (degrees + 180.0) % 360.0 - 180.0


def _cropped(steps, work):
    """The inner part of what is shown, in shares of what the present crop was taken from."""
    x0, y0, x1, y1 = steps.crop or (0.0, 0.0, 1.0, 1.0)
    a, b, c, d = work.faults.frame
    return replace(steps, crop=(x0 + a * (x1 - x0), y0 + b * (y1 - y0), x0 + c * (x1 - x0), y0 + d * (y1 - y0)))


_STEPS = {
    "source.page": lambda steps, work: replace(steps, page=within_edge(work.faults.page)),
    "source.skew": _straightened,
    "source.light": lambda steps, work: replace(steps, level_light=True),
    "source.screen": lambda steps, work: replace(steps, descreen=True),
    "source.blocks": lambda steps, work: replace(steps, denoise=min(steps.denoise + 1, MAX_STEP)),
    "source.noise": lambda steps, work: replace(steps, denoise=min(steps.denoise + 1, MAX_STEP)),
    "source.pale": lambda steps, work: replace(steps, lift_pencil=min(steps.lift_pencil + 1, MAX_STEP)),
    "source.frame": _cropped,
    "source.texture": lambda steps, work: replace(steps, level_light=True, denoise=min(steps.denoise + 1, MAX_STEP)),
}


def _with_width(work, width_mm):
    return replace(work.recipe, size_mm=max(round(width_mm - 0.05, 1), MIN_SIZE_MM), size_side="width")


def _extent_mm(work):
    """Width and height of the largest layer; the base holds all others in a stack."""
    widest = highest = 0.0
    for layer in work.layers:
        ends = layer.outline.controls[:, [0, 3]].reshape(-1, 2)
        size = (ends.max(0) - ends.min(0)) * work.mm_per_px
        widest, highest = max(widest, float(size[0])), max(highest, float(size[1]))
    return widest, highest
