"""The page to approve of a carved work: shaded views, sizes, tools."""

from sketchloom.core.base.said import said
from sketchloom.core.base.setting import settings_of
from sketchloom.core.carve.blank import SHAPES, Blank
from sketchloom.core.carve.operations import KINDS, Operation
from sketchloom.core.carve.tools import shipped
from sketchloom.core.formats.handing import A4, PAPER_MM
from sketchloom.core.formats.paper import Paper
from sketchloom.files.papers import to_sign


def _choices(kind, name, values):
    """What people call the choices of a setting."""
    its = next(one for one in settings_of(kind) if one.name == name)
    return {f"{name}.{value}": words for value, words in zip(values, its.names, strict=True)}


WORDS = {
    "approval": said("For approval"), "blank": said("Blank"), "size": said("{wide:.0f} × {high:.0f} mm, {thick:g} mm "
                                                                          "thick"),
    "rim": said("rim {rim:g} mm, field {recess:g} mm below it"), "work": said("Work: {wide:.0f} × {high:.0f} mm"),
    "operations": said("What is carved"), "tool": said("{tool}, {depth:g} mm deep"), "times": said(
        "{minutes:.0f} minutes of the machine, {tools} tools"), "sign": said("Approved as shown"), "name": said("Name"),
    "date": said("Date"), "looks": said("Wood, stone and paint differ from piece to piece; a sample decides. What is "
                                        "shown is computed from the tools' own moves."),
    "right": said("Whoever orders says that they may use this picture."),
    **_choices(Blank, "shape", SHAPES), **_choices(Operation, "kind", KINDS),
    **{f"tool.{one.key}": one.name for one in shipped()},
}
"""Texts of the page, by their use."""
_EDGE_MM, _INK, _SOFT = 15.0, "#2b2620", "#6f675a"
_MOST_ROWS = 14


def approval(one, title: str, words=None) -> bytes:
    """A page to approve."""
    from sketchloom.files.carving import VIEWS, picture

    words = words or WORDS
    paper = Paper(title)
    wide, high = PAPER_MM[A4]
    paper.page(wide, high)
    inner = wide - 2 * _EDGE_MM
    paper.text(_EDGE_MM, 22, title, 7, bold=True, most_mm=inner - 45, colour=_INK)
    paper.text(_EDGE_MM, 29, words["approval"], 3.6, colour=_SOFT)
    y, shown = 34.0, inner * 0.42
    for turn, tilt in VIEWS:
        paper.picture(picture(one, turn, tilt, (1500, 630)), _EDGE_MM, y, inner, shown)
        y += shown + 3
    blank, job = one.job.blank, one.job
    y += 5
    form = words[f"shape.{blank.shape}"]
    size = words["size"].format(wide=blank.width_mm, high=blank.height_mm, thick=blank.thickness_mm)
    paper.text(_EDGE_MM, y, f"{words['blank']}: {form}, {size}", 3.8, bold=True, most_mm=inner, colour=_INK)
    if blank.rim_mm > 0:
        y += 5.5
        paper.text(_EDGE_MM, y, words["rim"].format(rim=blank.rim_mm, recess=blank.recess_mm), 3.4, colour=_INK)
    y += 5.5
    wide_mm, high_mm = one.work.size_mm
    paper.text(_EDGE_MM, y, words["work"].format(wide=wide_mm, high=high_mm), 3.4, colour=_INK)
    y += 8
    paper.text(_EDGE_MM, y, words["operations"], 3.8, bold=True, colour=_INK)
    for step in job.steps[:_MOST_ROWS]:
        y += 5
        kind = words[f"kind.{step.operation.kind}"]
        tool = words.get(f"tool.{step.tool.key}", step.tool.name)
        deep = max((-float(s[:, 2].min()) for s in step.strokes), default=0.0)
        paper.text(_EDGE_MM, y, f"{step.number + 1}  {step.operation.name or kind}", 3.1, most_mm=inner * 0.5,
                   colour=_INK)
        paper.text(_EDGE_MM + inner * 0.55, y, words["tool"].format(tool=tool, depth=round(deep, 2)), 3.1,
                   most_mm=inner * 0.45, colour=_SOFT)
    y += 6
    times = words["times"].format(minutes=one.seconds / 60, tools=len(job.tools))
    paper.text(_EDGE_MM, y, times, 3.1, colour=_SOFT)
    to_sign(paper, words, high - 30, inner, f"{words['looks']} {words['right']}")
    return paper.done()

