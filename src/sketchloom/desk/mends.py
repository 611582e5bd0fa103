"""Findings that the program can mend: the recipe that no longer has them.

Each mend stands under the code of its kind of finding. The words of its button are with the rule (``core/preflight``).
"""

from dataclasses import replace

import numpy as np

from sketchloom.core.base.colour import to_hex
from sketchloom.core.edits.decisions import ABOVE, DROP
from sketchloom.core.layers.added import UNDERLAY, USUAL_MM, Rim
from sketchloom.core.planar.describe import RegionIndex
from sketchloom.core.preflight.findings import Finding
from sketchloom.core.preflight.rules import thin_found
from sketchloom.desk import (  # those of the source enter themselves in the table
    figures,
    mends_of_source,  # noqa: F401
    narrow,
    room,
)
from sketchloom.desk.mending import MENDS, STEPS, mend_of, with_width
from sketchloom.desk.regions import RegionDesk
from sketchloom.evaluate.openings import openings
from sketchloom.evaluate.work import Work
from sketchloom.recipe.document import Recipe
from sketchloom.recipe.parts import PaletteEntry
from sketchloom.recipe.sections import MAX_COLOURS, MAX_PLACES

_MANY = 200
"""Narrow places that are thickened in one go: a person looks at the result, not at each."""
_WIDER = 1.05
"""A place is thickened to this much over the limit, so that what is measured anew is not a hair under it."""
_OF_THE_PLAN = "sheets."
"""Codes of what is found of a plan of sheets."""
_MOVING = ("source.page", "source.skew", "source.frame")
"""Codes of what moves the picture, in the order in which it is done."""
_ROUNDS = 6
"""Page, slant, frame, light, grain: each at most once, and one more."""


def mendable() -> frozenset[str]:
    """Codes of the findings that the program can mend."""
    return frozenset(MENDS)


def mended(finding: Finding, work: Work) -> Recipe | None:
    """The recipe with a finding mended, None when there is nothing to change."""
    mend = MENDS.get(finding.code)
    changed = work.recipe if mend is None else mend(finding, work)
    return None if changed == work.recipe else changed


def prepared(work: Work) -> Recipe | None:
    """The recipe with the steps of preparing that findings ask for; None where none does. What moves the picture goes
    first and alone, since all else is judged anew after it."""
    recipe = work.recipe
    found = [finding for finding in work.findings if finding.code in STEPS]
    moving = [finding for code in _MOVING for finding in found if finding.code == code]
    for finding in moving[:1] or found:
        recipe = mended(finding, replace(work, recipe=recipe)) or recipe
    return None if recipe == work.recipe else recipe


def all_prepared(work: Work, evaluate) -> Recipe:
    """The recipe with everything done that helps the picture: round after round, each judged anew by
    ``evaluate(recipe)``, until no finding asks for more."""
    for _ in range(_ROUNDS):
        recipe = prepared(work)
        if recipe is None:
            break
        work = evaluate(recipe)
    return work.recipe


def mended_all(code: str, work: Work) -> Recipe | None:
    """The recipe with all findings of a kind mended; of narrow places also those too many to be listed."""
    recipe = work.recipe
    todo = [finding for finding in work.findings if finding.code == code]
    if code == "layer.thin":
        plans = {layer.plan.key: layer.plan for layer in work.layers}
        todo = [
            thin_found(
                plans[one.key], (one.x_mm / work.mm_per_px, one.y_mm / work.mm_per_px), one.width_mm, recipe.thin_mm,
                recipe.tool,
            )
            for one in narrow.narrow_places(work, _MANY)
            if one.width_mm < recipe.thin_mm
        ]
    if code.startswith(_OF_THE_PLAN) and code in MENDS:  # the work does not hold them, and one mend does for all
        recipe = MENDS[code](None, work)
    for finding in todo:
        recipe = mended(finding, replace(work, recipe=recipe)) or recipe
    return None if recipe == work.recipe else recipe


# -- the sheets that go into the machine ------------------------------------------------------


@mend_of("sheets.too_near", "sheets.over_edge")
def _placed_again(_, work):
    return replace(work.recipe, spots=())


@mend_of("sheets.mirror")
def _mirrored_as_asked(_, work):
    return replace(work.recipe, mirroring="auto")


@mend_of("release.rights")
def _may_use(_, work):
    return replace(work.recipe, may_use=True)


# -- regions and what was decided about them ---------------------------------------------------


@mend_of("trace.colour_unused")
def _without_unused(_, work):
    used = {int(label) for label in work.traced.planar.face_label}
    kept = tuple(e for i, e in enumerate(work.segmentation.own_entries) if i in used)
    return replace(work.recipe, palette=kept, colours=None) if kept else work.recipe


@mend_of("trace.unlike")
def _cut_too(_, work):
    entries, found = work.segmentation.own_entries, work.unlike
    if found is None or not len(found.colours) or len(entries) >= MAX_COLOURS:
        return work.recipe
    return replace(work.recipe, palette=(*entries, PaletteEntry((to_hex(found.colours[0]),))), colours=None)


@mend_of("trace.small_details")
def _details_back(_, work):
    lost = tuple((one.x_share, one.y_share) for one in figures.details_lost(work))
    return replace(work.recipe, kept=tuple(dict.fromkeys((*work.recipe.kept, *lost)))[:MAX_PLACES])


@mend_of("clean.edit_lost")
def _without_lost(_, work):
    here, recipe = work.edited.found.tolist(), work.recipe
    return replace(recipe, edits=tuple(e for n, e in enumerate(recipe.edits) if n >= len(here) or here[n] >= 0))


@mend_of("clean.shape_idle")
def _without_idle(_, work):
    recipe, cut = work.recipe, work.segmentation.cut_in
    curves = tuple(c for c, so in zip(recipe.curves, work.traced.curves_found, strict=False) if so)
    done = iter([] if cut is None else cut.splits_done.tolist())
    return replace(recipe, curves=curves, splits=tuple(s for s in recipe.splits if not s.on or next(done, True)))


@mend_of("clean.shape_beyond")
def _room_made(_, work):
    return room.grown_room(work)


# -- layers ------------------------------------------------------------------------------------


@mend_of("layer.thin")
def _thickened(finding, work):
    to_mm = max(work.recipe.thin_mm * _WIDER, 0.05)
    line = narrow.thickened(work, finding.x_px, finding.y_px, finding.key, to_mm)
    return work.recipe if line is None else replace(work.recipe, lines=(*work.recipe.lines, line))


@mend_of("layer.small_pieces")
def _without_small_pieces(finding, work):
    """The regions of a sheet's pieces that are too small go to what lies around them."""
    desk = RegionDesk(work, RegionIndex(work.traced.planar))
    least = np.pi / 4 * work.recipe.thin_mm**2 / work.mm_per_px**2
    depth = next((k for k, plan in enumerate(work.plans) if plan.key == finding.key), None)
    if depth is None:
        return work.recipe
    small = np.flatnonzero((work.depth == depth) & (work.traced.planar.face_area_px < least))
    return desk.decided(work.recipe, list(small), DROP)


@mend_of("layer.like_ground")
def _left_out(finding, work):
    return work.recipe.with_edit(finding.key, left_out=True)


@mend_of("layer.empty")
def _brought_back(_, work):
    return replace(work.recipe, ground="keep", layers=tuple(replace(e, left_out=False) for e in work.recipe.layers))


@mend_of("material.shrinks")
def _apart(finding, work):
    return work.recipe.with_edit(finding.key, apart=True)


@mend_of("layer.shines_through")
def _white_under(_, work):
    return replace(work.recipe, rims=(*work.recipe.rims, Rim(USUAL_MM[UNDERLAY], UNDERLAY)))


@mend_of("layer.short_strokes")
def _by_tone(_, work):
    return replace(work.recipe, reading="tone")


@mend_of("layer.openings")
def _on_top(_, work):
    desk = RegionDesk(work, RegionIndex(work.traced.planar))
    return desk.decided(work.recipe, [one.face for one in openings(work) if one.saved_px > 0], ABOVE)


@mend_of("size.over_carrier")
def _to_carrier(finding, work):
    alike = [f for f in work.findings if f.code == finding.code and f.severity == finding.severity]
    shares = [f.figures["share"] for f in alike]
    smaller = with_width(work, work.size_mm[0] * min(shares))
    # all mended together: what another asked for may be less
    before = work.recipe.size_mm if work.recipe.size_side == "width" else None
    return smaller if before is None or smaller.size_mm < before else work.recipe
