"""Mends of what is found of the picture, and of what was proposed for it at first."""

from dataclasses import replace

from sketchloom.core.judge.fitness import COMFORTABLE_PX_PER_MM
from sketchloom.core.picture.preparing.steps import MAX_STEP
from sketchloom.desk.mending import mend_of, step_of, with_width
from sketchloom.recipe.sections import MAX_DETAIL_MM

# -- the picture -------------------------------------------------------------------------------


@mend_of("source.small")
def _smaller(_, work):
    return with_width(work, work.whole.width / COMFORTABLE_PX_PER_MM)


@mend_of("source.shaded")
def _as_photo(_, work):
    return replace(work.recipe, reading="photo")


@mend_of("source.double")
def _gap_filled(_, work):
    gap = min(work.faults.double_px * work.mm_per_px, MAX_DETAIL_MM)
    return replace(work.recipe, double_mm=round(gap, 3), double_to="filled")


@step_of("source.page")
def _flattened(steps, work):
    return replace(steps, page=work.faults.page)


@step_of("source.skew")
def _straightened(steps, work):
    turned = steps.turn_deg - work.faults.skew_deg
    return replace(steps, turn_deg=round((turned + 180.0) % 360.0 - 180.0, 2))


@step_of("source.light")
def _levelled(steps, _):
    return replace(steps, level_light=True)


@step_of("source.screen")
def _without_screen(steps, _):
    return replace(steps, descreen=True)


@step_of("source.blocks", "source.noise")
def _calmer(steps, _):
    return replace(steps, denoise=min(steps.denoise + 1, MAX_STEP))


@step_of("source.pale")
def _lifted(steps, _):
    return replace(steps, lift_pencil=min(steps.lift_pencil + 1, MAX_STEP))


@step_of("source.frame")
def _cropped(steps, work):
    """The inner part of what is shown, in shares of what the present crop was taken from."""
    x0, y0, x1, y1 = steps.crop or (0.0, 0.0, 1.0, 1.0)
    a, b, c, d = work.faults.frame
    return replace(steps, crop=(x0 + a * (x1 - x0), y0 + b * (y1 - y0), x0 + c * (x1 - x0), y0 + d * (y1 - y0)))


@step_of("source.texture")
def _clean_paper(steps, work):
    return _calmer(_levelled(steps, work), work)


# -- what was proposed at first --------------------------------------------------------------------


@mend_of("proposal.ground")
def _keep_ground(finding, work):
    return replace(work.recipe, ground="keep")


@mend_of("proposal.enclosed")
def _leave_it_open(finding, work):
    return replace(work.recipe, ground="everywhere")


@mend_of("proposal.band")
def _join_band(finding, work):
    return work.recipe.with_edit(finding.key, merged_into=finding.figures["into"])


@mend_of("proposal.reading")
def _read_so(finding, work):
    return work.recipe if work.reading_now is None else replace(work.recipe, reading=work.reading_now)


@mend_of("proposal.colours")
def _that_number(finding, work):
    return replace(work.recipe, colours=finding.figures["better"])


@mend_of("proposal.cut_off")
def _that_cut_off(finding, work):
    return replace(work.recipe, cut_off=finding.figures["better"])


@mend_of("proposal.way")
def _lay_so(finding, work):
    return work.recipe if work.laying.better is None else replace(work.recipe, layering=work.laying.better)
