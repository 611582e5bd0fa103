"""Papers of a work, as PDF: a sheet to approve, the quote, the order of laying with pictures."""

import io
from dataclasses import replace

import numpy as np

from sketchloom.core.base.said import said
from sketchloom.core.drawing.drawing import Drawing, Look
from sketchloom.core.formats.handing import A4, PAPER_MM
from sketchloom.core.formats.paper import Paper
from sketchloom.core.formats.png import drawn
from sketchloom.core.sheets import choices
from sketchloom.evaluate.work import Work
from sketchloom.evaluate.work_plan import WorkPlan
from sketchloom.files.release import whole_drawing

WORDS = {
    "approval": said("For approval"), "revision": said("Revision {number}"), "size": said("Size"),
    "colours": said("Colours and materials"), "layers": said("Every layer"), "no_material": said("material not said"),
    "sign": said("Approved as shown"), "date": said("Date"), "name": said("Name"), "unchanged": said(
        "Nothing has changed since the last revision."), "changes": said("Changed since the last revision"),
    "resized": said("size, before {wide:.1f} × {high:.1f} mm"), "gone": said("without {name}"),
    "new": said("new: {name}"), "other_colour": said("{name} was {hex}"), "marked": said(
        "{count} places of the picture, framed in red"), "by_screen": said(
        "Colours on screen and paper differ from those of the material; a sample decides."),
    "right": said("Whoever orders says that they may use this picture."),
    "quote": said("Quote"), "material": said("Material"), "machine": said("Machine time"), "hands": said("Hand time"),
    "margin": said("Margin"), "total": said("Total"), "no_prices": said("No prices were given."),
    "laying": said("The order of laying"), "from_sheets": said("from sheet {sheets}"), "parts": said(
        "{count} parts: the first to the left or above, marks across the seam meet"),
    "pieces": said("{count} pieces"), "press": said("press, as the film's sheet says; hot: mind your skin"),
    "spacer": said("then a spacer of {thick:g} mm"), "time": said("{low:.0f} to {high:.0f} minutes with weeding and "
                                                                  "laying"),
    "sheet": said("Sheet {number}: {name}, {carrier}, {wide:.0f} × {high:.0f} mm"),
}
"""Texts of the papers, by their use."""
_EDGE_MM, _INK, _SOFT, _MARK = 15.0, "#2b2620", "#6f675a", "#b3261e"
_PIXELS, _OFF, _REACH = 700, 12, 5
"""Pictures are compared so large, by differences of more than so many of 255, joined over so many pixels: an edge that
is drawn anew differs by less."""
_STEPS = 6


def approval(work: Work, title: str, number: int = 1, before: Work | None = None, words=None) -> bytes:
    """A page to approve: the finished look, sizes, colours with their materials, every layer small, and what changed
    since ``before``, the last revision."""
    words = words or WORDS
    paper = Paper(title)
    wide, high = PAPER_MM[A4]
    paper.page(wide, high)
    inner = wide - 2 * _EDGE_MM
    paper.text(_EDGE_MM, 22, title, 7, bold=True, most_mm=inner - 45, colour=_INK)
    paper.text(wide - _EDGE_MM, 22, words["revision"].format(number=number), 4.5, align="right", colour=_INK)
    paper.text(_EDGE_MM, 29, words["approval"], 3.6, colour=_SOFT)
    drawing = whole_drawing(work)
    box = _fitted(drawing, _EDGE_MM, 34.0, inner, 108.0)
    paper.box(box[0] - 1, box[1] - 1, box[2] + 2, box[3] + 2, fill=work.recipe.laid_on or "#f4f1ea")
    scale = box[2] / drawing.frame[2]
    paper.drawing(drawing, box[0], box[1], scale)
    changes = []
    if before is not None:
        changes, places = _changes(work, before, words)
        for x, y, w, h in places:
            paper.box(box[0] + x * box[2], box[1] + y * box[3], w * box[2], h * box[3], stroke=_MARK, width_mm=0.5)
    y = 150.0
    size = " × ".join(f"{v:.1f}" for v in work.size_mm) + " mm   (" + " × ".join(
        f"{v / 25.4:.2f}" for v in work.size_mm) + " in)"
    paper.text(_EDGE_MM, y, f"{words['size']}: {size}", 3.8, bold=True, colour=_INK)
    y = _colours(paper, work, y + 8, inner, words)
    y = _small_layers(paper, work, y + 3, inner, words)
    if before is not None:
        paper.text(_EDGE_MM, y + 4, words["changes"], 3.8, bold=True, colour=_MARK)
        y = paper.words(_EDGE_MM, y + 9.5, "; ".join(changes) if changes else words["unchanged"], inner, 3.4, _INK)
    to_sign(paper, words, high - 34, inner, f"{words['by_screen']} {words['right']}")
    return paper.done()


def to_sign(paper: Paper, words, foot: float, inner: float, text: str) -> None:
    """The foot of a page to approve: what is said there, and lines for a name, a date and a hand."""
    paper.words(_EDGE_MM, foot - 6, text, inner, 2.8, _SOFT)
    for n, key in enumerate(("sign", "name", "date")):
        x, long = _EDGE_MM + n * inner / 3, inner / 3 - 6
        paper.line(x, foot + 14, x + long, foot + 14, _INK, 0.25)
        paper.text(x, foot + 18.5, words[key], 3.0, colour=_SOFT)


def _fitted(drawing, x, y, wide, high):
    """The box in which a drawing is shown as large as it fits, in the middle of another."""
    scale = min(wide / drawing.frame[2], high / drawing.frame[3])
    w, h = drawing.frame[2] * scale, drawing.frame[3] * scale
    return x + (wide - w) / 2, y + (high - h) / 2, w, h


def _colours(paper, work, y, inner, words):
    paper.text(_EDGE_MM, y, words["colours"], 3.8, bold=True, colour=_INK)
    y, column = y + 6, inner / 3
    for n, layer in enumerate(work.layers[:24]):
        x, row = _EDGE_MM + n % 3 * column, y + n // 3 * 7
        paper.box(x, row - 3.6, 5, 5, fill=layer.plan.hex, stroke=_SOFT, width_mm=0.1)
        material = work.recipe.material_of(layer.plan.key)
        paper.text(x + 7, row - 1.2, f"{n + 1}  {layer.plan.name}", 3.0, most_mm=column - 9, colour=_INK)
        paper.text(x + 7, row + 2.0, f"{layer.plan.hex}, " + (
            words["no_material"] if material is None else str(material.name)), 2.5, most_mm=column - 9, colour=_SOFT)
    return y + -(-min(len(work.layers), 24) // 3) * 7


def _small_layers(paper, work, y, inner, words):
    paper.text(_EDGE_MM, y, words["layers"], 3.8, bold=True, colour=_INK)
    drawing = whole_drawing(work)
    count = max(len(drawing.layers), 1)
    columns = min(max(count, 4), 8)
    side = inner / columns
    high = min(side * drawing.frame[3] / drawing.frame[2], 34.0)
    for n, group in enumerate(drawing.layers[:2 * columns]):
        x, top = _EDGE_MM + n % columns * side, y + 3 + n // columns * (high + 5)
        box = _fitted(drawing, x + 1, top, side - 2, high)
        paper.box(box[0], box[1], box[2], box[3], fill="#e9e5db")
        paper.drawing(Drawing("", drawing.frame, (group,)), box[0], box[1], box[2] / drawing.frame[2])
        paper.text(x + side / 2, top + high + 3, str(n + 1), 2.4, align="middle", colour=_SOFT)
    return y + 5 + -(-min(count, 2 * columns) // columns) * (high + 5)


def _changes(work, before, words):
    """What differs between two works, in words, and boxes around places that look otherwise, as shares of the page."""
    told = []
    if np.abs(np.subtract(work.size_mm, before.size_mm)).max() > 0.05:
        told.append(words["resized"].format(wide=before.size_mm[0], high=before.size_mm[1]))
    now, was = ({layer.plan.key: layer.plan for layer in one.layers} for one in (work, before))
    told += [words["gone"].format(name=plan.name) for key, plan in was.items() if key not in now]
    told += [words["new"].format(name=plan.name) for key, plan in now.items() if key not in was]
    told += [words["other_colour"].format(name=plan.name, hex=was[key].hex) for key, plan in now.items()
             if key in was and was[key].hex != plan.hex]
    places = _places(work, before)
    if places:
        told.append(words["marked"].format(count=len(places)))
    return told, places


def _places(work, before):
    import cv2
    from PIL import Image

    pictures = []
    for one in (work, before):
        drawing = whole_drawing(one)
        dpi = _PIXELS / max(drawing.frame[2:]) * 25.4
        picture = Image.open(io.BytesIO(drawn(drawing, round(dpi, 3)))).convert("RGBA")
        ground = Image.new("RGBA", picture.size, "#f4f1ea")
        ground.alpha_composite(picture)
        pictures.append(ground.convert("RGB"))
    size = pictures[0].size
    if abs(pictures[1].size[0] / pictures[1].size[1] - size[0] / size[1]) > 0.02:
        return []  # another shape altogether is said in words
    one, two = (np.asarray(p.resize(size), np.int16) for p in pictures)
    off = (np.abs(one - two).max(-1) > _OFF).astype(np.uint8)
    off = cv2.morphologyEx(off, cv2.MORPH_OPEN, np.ones((2, 2), np.uint8))  # edges drawn half a pixel aside
    count, _, stats, _ = cv2.connectedComponentsWithStats(cv2.dilate(off, np.ones((2 * _REACH + 1,) * 2, np.uint8)))
    boxes = [stats[n, :4] for n in range(1, count) if stats[n, 4] > (2 * _REACH + 4) ** 2]
    return [(x / size[0], y / size[1], w / size[0], h / size[1]) for x, y, w, h in boxes][:60]


def quote(plan: WorkPlan, title: str, words=None) -> bytes:
    """The quote with its lines, and the sheets it is for."""
    words = words or WORDS
    paper = Paper(title)
    wide, high = PAPER_MM[A4]
    paper.page(wide, high)
    paper.text(_EDGE_MM, 24, f"{words['quote']}: {title}", 6.5, bold=True, most_mm=wide - 2 * _EDGE_MM, colour=_INK)
    y = 36.0
    if not plan.tally.lines:
        paper.text(_EDGE_MM, y, words["no_prices"], 3.8, colour=_INK)
    for line in plan.tally.lines:
        what = words[line.what] + (f": {line.material}" if line.material else "")
        paper.text(_EDGE_MM, y, what, 3.8, most_mm=95, colour=_INK)
        paper.text(140, y, f"{line.count:.2f} {line.unit}", 3.8, align="right", colour=_SOFT)
        paper.text(wide - _EDGE_MM, y, f"{line.cost:.2f}", 3.8, align="right", colour=_INK)
        y += 7
    if plan.tally.lines:
        paper.line(_EDGE_MM, y - 3, wide - _EDGE_MM, y - 3, _INK, 0.25)
        paper.text(_EDGE_MM, y + 3, words["total"], 4.4, bold=True, colour=_INK)
        paper.text(wide - _EDGE_MM, y + 3, f"{plan.tally.cost:.2f}", 4.4, bold=True, align="right", colour=_INK)
    y += 16
    paper.text(_EDGE_MM, y, words["time"].format(low=plan.tally.low_s / 60, high=plan.tally.high_s / 60), 3.4,
               colour=_SOFT)
    for number, sheet in enumerate(plan.sheets, 1):
        y += 6
        if y > high - 15:
            paper.page(wide, high)
            y = 22.0
        paper.text(_EDGE_MM, y, words["sheet"].format(number=number, name=sheet.group.name, carrier=sheet.carrier.name,
                                                      wide=sheet.carrier.width_mm, high=sheet.length_mm), 3.2,
                   most_mm=wide - 2 * _EDGE_MM, colour=_INK)
    return paper.done()


def laying(work: Work, plan: WorkPlan | None, title: str, words=None) -> bytes:
    """The order of laying, a picture a step with the work as laid so far; what lies below is pale."""
    words = words or WORDS
    paper, drawing = Paper(title), whole_drawing(work)
    wide, high = PAPER_MM[A4]
    inner, row = wide - 2 * _EDGE_MM, (high - 40) / 3
    for n, group in enumerate(drawing.layers):
        place = n % _STEPS
        if place == 0:
            paper.page(wide, high)
            paper.text(_EDGE_MM, 20, f"{words['laying']}: {title}", 5.5, bold=True, most_mm=inner, colour=_INK)
        x, y = _EDGE_MM + place % 2 * inner / 2, 28 + place // 2 * row
        box = _fitted(drawing, x, y, inner / 2 - 6, row - 26)
        paper.box(box[0], box[1], box[2], box[3], fill=work.recipe.laid_on or "#f4f1ea")
        below = Drawing("", drawing.frame, drawing.layers[:n])
        paper.drawing(below, box[0], box[1], box[2] / drawing.frame[2], _pale)
        paper.drawing(Drawing("", drawing.frame, (group,)), box[0], box[1], box[2] / drawing.frame[2])
        text = y + row - 21
        paper.text(x, text, f"{n + 1}  {group.name}", 4.0, bold=True, most_mm=inner / 2 - 8, colour=_INK)
        for line in _step(work, plan, n, words):
            text += 4.2
            paper.text(x, text, line, 2.9, most_mm=inner / 2 - 8, colour=_SOFT)
    if not drawing.layers:
        paper.page(wide, high)
    return paper.done()


def _pale(look: Look) -> Look:
    return replace(look, opacity=0.35 * look.opacity)


def _step(work, plan, n, words):
    """What is said of a step of laying."""
    layer, recipe = work.layers[n], work.recipe
    material = recipe.material_of(layer.plan.key)
    lines = [f"{layer.plan.hex}, " + (words["no_material"] if material is None else str(material.name))]
    if plan is not None:
        mine = [(k, p) for k, sheet in enumerate(plan.sheets, 1) for p in sheet.placed
                if p.part.key == layer.plan.key and p.part.work == 0]
        if mine:
            lines.append(words["from_sheets"].format(sheets=", ".join(map(str, sorted({k for k, _ in mine})))))
        count = max((p.part.count for _, p in mine), default=1)
        if count > 1:
            lines.append(words["parts"].format(count=count))
    if layer.outline.pieces > 1:
        lines.append(words["pieces"].format(count=layer.outline.pieces))
    if material is not None and material.family in choices.HEAT_FAMILIES:
        lines.append(words["press"])
    if n < len(work.layers) - 1 and recipe.spacer_mm > 0:
        lines.append(words["spacer"].format(thick=recipe.spacer_mm))
    return lines
