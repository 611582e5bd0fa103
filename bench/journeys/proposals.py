"""Jobs that go out as they were proposed, done in the window. ``loom bench journeys-proposals [words of a name]``

Each opens a picture made by rule, and its files are read again by a reader and a renderer that are not ours.
"""

import io
import re
import tempfile
from pathlib import Path

import numpy as np
import resvg_py
import svgelements
from PIL import Image
from PySide6.QtWidgets import QFileDialog

from bench.journeys import walk
from bench.proposals.conditions import picture_of, rendered
from bench.proposals.scenes import blob, cells, outlined
from sketchloom.app.parts.fields import LengthEdit
from sketchloom.app.parts.layer_order import LayerOrderDialog

MOST = {"logo": 6, "figure": 3, "line_art": 14, "layer_pictures": 15, "emblem": 12, "page": 10}
"""Gestures that each may take."""
_PX = 900


def _opened(person, scene, name):
    path = Path(tempfile.mkdtemp()) / f"{name}.png"
    Image.fromarray(picture_of(scene, "png", _PX).rgb).save(path)
    person.driver.open(path)
    person.gestures = 0
    return person.settled()


def written(person):
    """The file of the release, its layers as the reader finds them, each drawn alone by the renderer."""
    target = Path(tempfile.mkdtemp()) / "cut.svg"
    asked, QFileDialog.getSaveFileName = QFileDialog.getSaveFileName, staticmethod(lambda *_: (str(target), ""))
    try:
        person.key("Ctrl+E")
        person.gestures += 1  # Enter in the system's window for files
    finally:
        QFileDialog.getSaveFileName = asked
    person.until(target.exists, "the file")
    person.until(lambda: not person.driver.session.writing.busy, "the file to be whole")
    page = svgelements.SVG.parse(str(target))
    groups = [g for g in page if isinstance(g, svgelements.Group) and (g.id or "").startswith("layer-")]
    paths = [[p for p in g.select() if isinstance(p, svgelements.Path)] for g in groups]
    assert all(len(one) == 1 for one in paths), "a layer is not one compound path"
    return target, [one[0] for one in paths], [_alone(target, n) for n in range(len(groups))]


def _alone(target, number):
    """(H, W) bool: where one layer of a file is solid."""
    text = target.read_text()
    head, *layers = text.split('<g id="layer-')
    svg = head + '<g id="layer-' + layers[number].split("</svg>")[0] + "</svg>"
    image = Image.open(io.BytesIO(bytes(resvg_py.svg_to_bytes(svg_string=svg, dpi=60)))).convert("RGBA")
    return np.asarray(image)[..., 3] > 127


def _shows_all(sheets):
    """Share of each sheet that nothing above it hides, the least of all."""
    above, least = np.zeros_like(sheets[0]), 1.0
    for sheet in reversed(sheets):
        least = min(least, float((sheet & ~above).sum() / max(sheet.sum(), 1)))
        above |= sheet
    return least


def logo(person):
    scene = outlined(6)
    _opened(person, scene, "logo")
    width = next(f for f in person.window.panels[0].findChildren(LengthEdit) if f.isVisible())
    person.type(width, "19in")
    work = person.settled()
    target, _, sheets = written(person)
    whole = np.any(sheets, axis=0)
    assert (sheets[0] == whole).mean() > 0.999, "the base does not carry all of it"
    assert len(sheets) == 6 and all((a & b).sum() < 0.05 * min(a.sum(), b.sum())
                                    for i, a in enumerate(sheets[1:]) for b in sheets[i + 2:])
    page = svgelements.SVG.parse(str(target))
    return (f"{len(sheets)} sheets on {work.plans[0].hex}, the base carries {float((sheets[0] == whole).mean()):.2%}, "
            f"page {page.width * 25.4 / 96:.1f} mm wide")


def figure(person):
    work = _opened(person, outlined(7), "figure")
    _, paths, sheets = written(person)
    whole = np.any(sheets, axis=0)
    assert (sheets[0] == whole).mean() > 0.999 and work.laying.way == "based"
    return (f"{len(paths)} sheets, base {work.plans[0].hex}, every sheet shows at least {_shows_all(sheets):.0%} of "
            "itself")


def line_art(person):
    _opened(person, cells(4), "window")
    person.stage("Layers")
    box = person.window.panels[3].line_art
    person.fold("Line art to sheets")
    person.until(lambda: box.ladder.rowCount() > 2, "the ladder of sheets")
    rows = [box.ladder.item(r, 0).text() for r in range(box.ladder.rowCount())]
    row = rows.index("5") if "5" in rows else len(rows) - 1
    wanted = int(box.ladder.item(row, 0).text())
    person.cell(box.ladder, row, 0)
    work = person.settled()
    _, paths, sheets = written(person)
    return (f"{len(paths)} sheets for {wanted} and a frame, {work.laying.way} with {work.laying.overlap_mm:g} mm; "
            f"every sheet shows at least {_shows_all(sheets):.0%} of itself")


def _layer_pictures(folder):
    """Five pictures of one frame: a flower in pieces, its stems drawn last."""
    rng = np.random.default_rng(5)
    leaves = "".join(f'<path d="{blob(rng, x, 700, 90, 0.1)}" fill="#3f8f5d"/>' for x in (330, 670))
    petals = "".join(f'<path d="{blob(rng, 500 + 150 * np.cos(a), 380 + 150 * np.sin(a), 105, 0.05)}" fill="#d8493f"/>'
                     for a in np.arange(0, 6.28, 1.257))
    parts = {"a": leaves, "b": petals, "c": f'<path d="{blob(rng, 500, 380, 100, 0.03)}" fill="#f2b632"/>',
             "d": '<circle cx="500" cy="380" r="38" fill="#6e4a32"/>',
             "e": '<path d="M480 380H520V930H480ZM340 690L490 800V840L320 720Z" fill="#26522f"/>'}
    for name, body in parts.items():
        Image.fromarray(rendered(body, _PX)).save(folder / f"{name}.png")
    return [folder / f"{name}.png" for name in parts]


def layer_pictures(person):
    """Dropped on the window, put in order, named one after another."""
    paths = _layer_pictures(Path(tempfile.mkdtemp()))
    person.gestures = 1  # the drop
    person.window.opening.open_paths(paths)
    person.click("Layers of one work…")
    person.until(lambda: person.window.findChild(LayerOrderDialog) is not None, "the order")
    dialog = person.window.findChild(LayerOrderDialog)
    stems = next(row for row in range(5) if dialog.list.item(row).text().startswith("e"))
    person.row(dialog.list, stems)
    person.carry(dialog.list, stems, 4)
    assert [Path(p).stem for p in dialog.paths()] == ["e", "a", "b", "c", "d"]
    person.click("Open as one work", dialog)
    person.until(lambda: person.driver.session.document is not None
                 and person.driver.session.document.recipe.order, "the work")
    person.settled()
    person.stage("Layers")
    listing = person.window.panels[3]._list
    wanted = ["seeds", "heart", "petals", "leaves", "stems"]
    person.row_twice(listing, 0)
    for name in wanted:
        person.type_over(listing, name, "Tab" if name != wanted[-1] else "Return")
    work = person.settled()
    assert [plan.name for plan in work.plans] == wanted[::-1], [plan.name for plan in work.plans]
    target, _, sheets = written(person)
    groups = re.findall(r'<g id="(layer-[^"]+)"', target.read_text())
    assert [g.split("-")[-1] for g in groups] == wanted[::-1] and sheets[0].any(), groups
    return f"{[plan.name for plan in work.plans]}, {work.laying.way}"


def emblem(person):
    """Two inks printed with wear, one of them the colour of the shirt."""
    rng = np.random.default_rng(8)
    body = (f'<path d="{blob(rng, 500, 500, 430, 0.02)}" fill="#16161a"/>'
            f'<path d="{blob(rng, 500, 500, 370, 0.03)}" fill="#f2b632"/>'
            + "".join(f'<path d="{blob(rng, *rng.uniform(330, 670, 2), 85, 0.1)}" fill="#16161a"/>' for _ in range(3)))
    picture = rendered(f'<rect width="1000" height="1000" fill="#fff"/>{body}', _PX)[..., :3].copy()
    for x, y, r in zip(*rng.uniform(0, _PX, (2, 260)), rng.uniform(1, 3.5, 260), strict=True):
        at = np.hypot(*np.ogrid[-y:_PX - y, -x:_PX - x]) < r
        picture[at] = 255
    path = Path(tempfile.mkdtemp()) / "emblem.png"
    Image.fromarray(picture).save(path)
    person.driver.open(path)
    person.gestures = 0
    every = person.settled()
    person.stage("Layers")
    person.choose(person.window.panels[3].every.laid_on, "Black shirt")
    person.settled()
    findings = person.window.findings
    person.press(findings._fold)
    person.click("Leave it out", findings)
    person.settled()
    person.click("Lay white under", findings)
    work = person.settled()
    _, _, sheets = written(person)
    names = [layer.plan.name for layer in work.layers]
    assert len(sheets) == 2 and (sheets[0] & ~sheets[1]).sum() == 0, "white shows beside the colour"
    return f"{names} of {len(every.plans)} colours; {work.layers[0].outline.holes} worn holes in the white"


def page(person):
    """A drawn page of an ornament between two rules, lying on its side."""
    rng = np.random.default_rng(6)
    body = "".join(f'<path d="{blob(rng, *rng.uniform((250, 300), (750, 700)), 85, 0.15)}" fill="#14361f"/>'
                   for _ in range(6))
    rules = '<path d="M60 90H940V104H60ZM60 896H940V910H60Z" fill="#14361f"/>'
    picture = rendered(f'<rect width="1000" height="1000" fill="#fff"/>{body}{rules}', _PX)[..., :3]
    path = Path(tempfile.mkdtemp()) / "page.png"
    Image.fromarray(np.rot90(picture, 1).copy()).save(path)
    person.driver.open(path)
    person.gestures = 0
    person.settled()
    steps = person.window.panels[0].preparing
    person.press(steps._quarter)
    person.settled()
    person.press(steps._crop)
    person.drag((0.05, 0.15), (0.5, 0.5), (0.95, 0.85))
    person.key_on(person.window.bench, "Return")
    work = person.settled()
    assert work.picture.width > work.picture.height
    _, paths, sheets = written(person)
    wide = np.flatnonzero(sheets[0].any(0))
    assert len(paths) == 1 and wide[-1] - wide[0] < 0.85 * sheets[0].shape[1], "a rule is still there"
    return f"{len(paths)} sheet of {work.layers[0].outline.pieces} pieces"


JOURNEYS = (
    ("mark", "logo 19 in wide, one base, the rest fitted", logo),
    ("mark", "figure with a dark outline taken as proposed", figure),
    ("mark", "line art to sheets and a frame", line_art),
    ("mark", "layer pictures of a flower, named, stems below", layer_pictures),
    ("mark", "emblem of two worn colours, one the shirt's, white under the other", emblem),
    ("mark", "page on its side, rules above and below taken away", page),
)


def main(words) -> None:
    """Do all journeys, or those whose names hold one of some words."""
    walk.prepare()
    walk.run(0, JOURNEYS, words, MOST)
