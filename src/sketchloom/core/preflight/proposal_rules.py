"""Rules over what was proposed at first and would be proposed otherwise now: it stays until it is asked for."""

from sketchloom.core.base.colour import from_hex, srgb_to_lab
from sketchloom.core.base.said import said
from sketchloom.core.judge.paper import PAPER_LIGHT
from sketchloom.core.layers.ways import BASED, FITTED, LEAN, STACKED, WINDOWED
from sketchloom.core.preflight.findings import LAYERS, NOTE, TRACE, counted, rule

_READINGS = {"colour": said("colour"), "tone": said("tone"), "line": said("line"), "photo": said("photo")}
_WAYS = {STACKED: said("stacked"), FITTED: said("fitted"), WINDOWED: said("windowed"), LEAN: said("lean"),
         BASED: said("on a base")}

READING = rule(
    "proposal.reading", NOTE, TRACE, said("as prepared now, the picture would be read otherwise"),
    said("It was read as {kept}. As it is prepared now, {better} would be proposed: other regions, so edits are found "
         "again by their places."), said("Read it so"))
COLOURS = rule(
    "proposal.colours", NOTE, TRACE, said("as prepared now, the picture has another number of colours"),
    said("It was opened with {kept:d} colours. As it is prepared now, {better:d} would be proposed."),
    said("Take that number"))
CUT_OFF = rule(
    "proposal.cut_off", NOTE, TRACE, said("as prepared now, another cut-off would be proposed"),
    said("The cut-off stays at {kept:d}, as it was proposed at first. As the picture is prepared now, {better:d} would "
         "be."), said("Take that cut-off"))
WAY = rule(
    "proposal.way", NOTE, LAYERS, said("another way of layering would be proposed now"),
    said("The sheets stay {kept}, as it was proposed at first. For what is cut now, {better} would be proposed."),
    said("Lay them so"))
GROUND = rule(
    "proposal.ground", NOTE, TRACE, said("a colour around the drawing is taken for its ground"),
    said("What runs all around the drawing, {name}, is taken for ground and not cut ({share:.0%} of the picture)."),
    said("Keep it as a layer"))
ENCLOSED = rule(
    "proposal.enclosed", NOTE, LAYERS, said("the ground's own colour within the drawing is cut as a sheet"),
    {"one": said("{name}, the ground's own colour, is cut as a sheet for 1 place within the drawing. Leave it open if "
                 "what the work is laid on is to show there."),
     "many": said("{name}, the ground's own colour, is cut as a sheet for {count} places within the drawing. Leave it "
                  "open if what the work is laid on is to show there.")},
    said("Leave it open"))
BAND = rule(
    "proposal.band", NOTE, LAYERS, said("a colour is only the soft edge between two others"),
    {"": said("{name} is only a band, about {width:.1f} mm wide, in a shade between {core} and {other}: a soft edge. "
              "Join it with {core}."),
     "ground": said("{name} is only a band, about {width:.1f} mm wide, in a shade between {core} and the ground: a "
                    "soft edge. Join it with {core}.")},
    said("Join it"))
_ANOTHER = 10
"""Cut-offs so near give the same regions on a drawing worth cutting (its long flat stretch is wider; common practice,
no source)."""


def check_ground(hex_colour: str, name: str, share: float):
    """A finding where what is left out as ground is no paper."""
    if srgb_to_lab(from_hex(hex_colour))[0] < PAPER_LIGHT:
        yield GROUND.found(name=name, share=share)


def check_enclosed(plan, places: int, at):
    """A finding where places of the ground's colour within the drawing, the largest ``at`` (x, y) px, are a sheet."""
    yield ENCLOSED.found(counted(places), plan=plan, at=at, name=plan.name, count=places)


def check_bands(bands, plans, mm_per_px: float):
    """Findings of colours that are only soft edges; ``bands`` as of ``bands_of``, by the number of their plan."""
    for colour, core, other, width in bands:
        ends = {"core": plans[core].name, "other": plans[other].name if other < len(plans) else ""}
        yield BAND.found("" if other < len(plans) else "ground", plan=plans[colour], name=plans[colour].name,
                         width=width * mm_per_px, into=plans[core].key, **ends)


def check_proposals(kept, reading: str | None, colours: int | None, cut_off: int | None, way: str,
                    better_way: str | None):
    """Findings on choices that would be others now.

    Parameters
    ----------
    kept : what stays (``reading``, ``colours``, ``cut_off``), None where nothing does. reading, colours, cut_off : what
    would be proposed now, None where that is not known. way, better_way : the way of layering and what would be.
    """
    if kept is not None and reading is not None and kept.reading not in (None, reading):
        yield READING.found(kept=_READINGS[kept.reading], better=_READINGS[reading])
    if kept is not None and colours is not None and kept.colours not in (None, colours):
        yield COLOURS.found(kept=kept.colours, better=colours)
    known = kept is not None and cut_off is not None and kept.cut_off is not None
    if known and abs(kept.cut_off - cut_off) >= _ANOTHER:
        yield CUT_OFF.found(kept=kept.cut_off, better=cut_off)
    if better_way is not None:
        yield WAY.found(kept=_WAYS[way], better=_WAYS[better_way])
