"""Rules over what goes into the machine."""

from sketchloom.core.base.said import said
from sketchloom.core.preflight.findings import NOTE, SHEETS, STOP, WARN, counted, rule

TOO_LARGE = rule(
    "sheets.too_large", STOP, SHEETS, said("a layer fits no carrier and is not divided"),
    said("{name} is {wide:.0f} × {high:.0f} mm and fits no carrier of this machine. Let it be divided, make the work "
         "smaller, or choose another machine."))
TOO_MANY = rule(
    "sheets.too_many", STOP, SHEETS, said("there are more parts than one plan takes"),
    said("There are more than {most} parts, and no more are planned at once. Make fewer copies, let the pieces keep "
         "their places, or plan in several goes."))
THROUGH_DETAIL = rule(
    "sheets.seam_seen", NOTE, SHEETS, said("a layer is divided where the seam is seen"),
    said("{name} is divided into {parts} parts; {seen:.0f} mm of the seam are seen. Move it, or make the work "
         "smaller."))
NO_JOINT = rule(
    "sheets.no_joint", WARN, SHEETS, said("the joint of a divided layer found no room"),
    said("{name}: the seam is too short, or the parts too large, for the joint that was asked for; they meet edge to "
         "edge. Make it narrower, or move the seam."))
SLIVER = rule(
    "sheets.sliver", WARN, SHEETS, said("a divided part is narrower than its material bears"),
    said("{name}: beside the seam a part is narrower than the {bears:g} mm that are wanted. Move the seam."))
TOO_NEAR = rule(
    "sheets.too_near", STOP, SHEETS, said("two parts lie nearer than the gap, or on each other"),
    {"one": said("On sheet {sheet} a part lies nearer to another than {gap:g} mm. Move it, or let it be placed."),
     "many": said("On sheet {sheet} {count} parts lie nearer to each other than {gap:g} mm. Move them, or let them be "
                  "placed.")}, said("Let them be placed"))
OVER_EDGE = rule(
    "sheets.over_edge", STOP, SHEETS, said("a part hangs over what can be cut"),
    {"one": said("On sheet {sheet} a part hangs over the edge of what can be cut. Move it, or let it be placed."),
     "many": said("On sheet {sheet} {count} parts hang over the edge of what can be cut. Move them, or let them be "
                  "placed.")}, said("Let them be placed"))
MIRROR = rule(
    "sheets.mirror", STOP, SHEETS, said("heat film is not mirrored, or what is no heat film is"),
    {"missing": said("{name} is {family}, which the press bonds face down: it has to be cut mirrored."),
     "needless": said("{name} is cut mirrored, though it is no film for the press: laid as it is cut it would be the "
                      "wrong way round.")}, said("Mirror as the material asks"))
NEARLY_EMPTY = rule(
    "sheets.nearly_empty", NOTE, SHEETS, said("a sheet is nearly empty"),
    said("Sheet {sheet}, {name}, is {share:.0%} used. Something else of this colour could be cut from it."))
DETAIL = rule(
    "sheets.detail", WARN, SHEETS, said("the smallest detail is under what the machine's blade turns in"),
    said("{name} has a detail of {width:.2f} mm; a blade that trails by {offset:g} mm wants {least:g} mm at least."))
TIME = rule(
    "sheets.time", WARN, SHEETS, said("the work takes longer than is allowed"),
    said("Cutting, weeding and laying take {minutes:.0f} minutes; {most} are allowed."))
TOOL = rule(
    "sheets.machine", STOP, SHEETS, said("the machine must not cut this material"),
    said("{name} is not cut by a {tool}. Choose another machine or material; the machine's manual decides."))
NO_STOCK = rule(
    "sheets.no_stock", NOTE, SHEETS, said("a layer has no material yet"),
    {"one": said("{name} has no material yet: what it is cut from, how it is turned and whether it is mirrored is not "
                 "known."),
     "many": said("{count} layers have no material yet, {name} first: what they are cut from, how they are turned and "
                  "whether they are mirrored is not known.")})

LITTLE = 0.08
"""A sheet used less than this is nearly empty (common practice, no source)."""
BLADE_TURNS = 4.0
"""A dragged blade turns cleanly in so many times its offset (from memory)."""


def check_trouble(number: int, near, over, gap_mm: float):
    """Findings on a sheet whose parts lie badly."""
    if near:
        yield TOO_NEAR.found(counted(len(near)), sheet=number, count=len(near), gap=gap_mm)
    if over:
        yield OVER_EDGE.found(counted(len(over)), sheet=number, count=len(over))


def check_empty(number: int, name: str, share: float, is_roll: bool):
    """A finding on a sheet that little is cut from; a roll is cut off where it ends."""
    if share < LITTLE and not is_roll:
        yield NEARLY_EMPTY.found(sheet=number, name=name, share=share)


def check_mirror(plan, family: str | None, mirrored: bool, heat_families):
    """A finding on a layer that is mirrored the wrong way."""
    if family in heat_families and not mirrored:
        yield MIRROR.found("missing", plan=plan, name=plan.name, family=family)
    if mirrored and family is not None and family not in heat_families:
        yield MIRROR.found("needless", plan=plan, name=plan.name, family=family)


def check_detail(plan, width_mm: float | None, offset_mm: float):
    """A finding on a layer with a detail that a dragged blade does not turn in."""
    least = BLADE_TURNS * offset_mm
    if width_mm is not None and 0 < width_mm < least:
        yield DETAIL.found(plan=plan, name=plan.name, width=width_mm, offset=offset_mm, least=least)
