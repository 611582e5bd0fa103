"""Jobs that end right only when gestures do what a person means. ``loom bench journeys-gestures [words of a name]``

Each picture is made by rule; the files are read again by a reader and a renderer that are not ours.
"""

import tempfile
import xml.etree.ElementTree as ET
from pathlib import Path

import cv2
import numpy as np
import shapely
import svgelements
from PIL import Image
from PySide6.QtCore import Qt
from PySide6.QtWidgets import QFileDialog

from bench.journeys import walk
from bench.journeys.proposals import written
from bench.objects.hand import correction, drop_stroke, keep_stroke
from bench.objects.pictures import cutout
from bench.objects.run import overlap
from bench.proposals.conditions import rendered
from bench.proposals.scenes import blob
from sketchloom.app.stages.numbers import CLEAN, LAYERS, RELEASE

MOST = {"flower": 14, "page": 22, "creature": 30, "emblem": 25, "cut_out": 25}
"""Gestures that each may take."""
_PX = 900
_OBJECT, _BLEED_MM = 64, 3.0
"""A picture of the bench of objects that neither it nor any choice uses; a bleed of common practice (no source)."""
SVG = "{http://www.w3.org/2000/svg}"


def _opened(person, pixels, name):
    path = Path(tempfile.mkdtemp()) / f"{name}.png"
    Image.fromarray(pixels).save(path)
    person.driver.open(path)
    person.gestures = 0
    return person.settled()


def _svg(body):
    return rendered(f'<rect width="1000" height="1000" fill="#fff"/>{body}', _PX)[..., :3].copy()


def _hex_at(work, x, y):
    """The colour cut at a place given in shares, None for none."""
    faces = work.traced.planar.faces
    face = faces[int(y * faces.shape[0]), int(x * faces.shape[1])]
    return None if work.ground[face] else work.segmentation.entries[work.edited.label[face]].hex


def flower(person):
    """A drawn flower: petals in three colours by turns, its outline the base, a fine rim around."""
    turn = np.arange(9) * 2 * np.pi / 9
    petals = [(500 + 250 * np.cos(a), 500 + 250 * np.sin(a)) for a in turn]
    body = '<circle cx="500" cy="500" r="395" fill="#111"/>' + "".join(
        f'<ellipse cx="{x}" cy="{y}" rx="110" ry="70" fill="#fff" transform="rotate({np.degrees(a)} {x} {y})"/>'
        for (x, y), a in zip(petals, turn, strict=True)) + '<circle cx="500" cy="500" r="100" fill="#fff"/>'
    _opened(person, _svg(body), "flower")
    person.stage("Layers")
    panel = person.window.panels[LAYERS]
    person.fold("Line art to sheets")
    person.until(lambda: panel.line_art.ladder.rowCount() > 1, "the ladder of sheets")
    rows = [panel.line_art.ladder.item(r, 0).text() for r in range(panel.line_art.ladder.rowCount())]
    person.cell(panel.line_art.ladder, rows.index("3"), 0)
    person.settled()
    person.choose(panel.line_art.spread, "… around its centre, three")
    person.click("Paint the depth", panel.line_art)
    person.until(lambda: person.window.cleaning.desk.work is person.driver.work, "regions to paint")
    person.point(petals[0][0] / 1000, petals[0][1] / 1000)
    work = person.settled()
    colours = [_hex_at(work, x / 1000, y / 1000) for x, y in petals]
    assert len(set(colours)) == 3 and colours[:3] * 3 == colours, colours
    person.click("Base", panel)
    person.settled()
    person.stage("Clean")
    person.fold("Backing and rim")
    rims = person.window.panels[CLEAN].rims
    person.type(rims._distance, "1 mm")
    person.click("Add it", rims)
    work = person.settled()
    _, paths, _ = written(person)
    assert len(paths) == len(work.layers) >= 5
    return f"{len(paths)} sheets, petals {colours[:3]}"


def page(person):
    """Six drawings on a page, each in its colours: every colour of one goes with one gesture, the others stay."""
    rng = np.random.default_rng(4)
    body = ""
    for n in range(6):
        x, y = 190 + 310 * (n % 3), 260 + 470 * (n // 3)
        body += f'<path d="{blob(rng, x, y, 125, 0.06)}" fill="#26324f"/>'
        body += f'<path d="{blob(rng, x - 40, y, 38, 0.05)}" fill="#d8493f"/>'
        body += f'<path d="{blob(rng, x + 45, y + 10, 30, 0.05)}" fill="#d8493f"/>'
        body += f'<path d="{blob(rng, x, y - 60, 26, 0.05)}" fill="#f2b632"/>'
    before = _opened(person, _svg(body), "page")
    person.stage("Clean")
    regions = person.window.panels[CLEAN].regions
    person.click("In this design", regions)
    person.row(regions.colours, next(r for r in range(regions.colours.count())
                                     if regions.colours.item(r).data(Qt.ItemDataRole.UserRole).startswith("#f2")))
    for n in (0, 4):  # the red of two drawings becomes the yellow
        person.twice((150 + 310 * (n % 3)) / 1000, (260 + 470 * (n // 3)) / 1000)
        person.settled()
    work = person.settled()
    reds = [_hex_at(work, (150 + 310 * (n % 3)) / 1000, (260 + 470 * (n // 3)) / 1000) for n in range(6)]
    assert [hex_.startswith("#f2") for hex_ in reds] == [True, False, False, False, True, False], reds
    person.stage("Release")
    person.click("Per design", person.window.panels[RELEASE])
    folder = Path(tempfile.mkdtemp())
    person.driver.session.write(folder, "design", False, False)
    person.gestures += 2
    person.until(lambda: len(list(folder.glob("*.svg"))) == 6, "six files")
    sheets = [len(ET.parse(path).getroot().findall(SVG + "g")) for path in sorted(folder.glob("*.svg"))]
    assert sorted(sheets) == [2, 2, 3, 3, 3, 3], sheets
    return f"{len(before.layers)} colours; sheets of each {sheets}"


def creature(person):
    """Half a creature, filled: four versions with ornaments drawn by hand, in one file two by two."""
    rng = np.random.default_rng(9)
    body = (f'<path d="{blob(rng, 330, 430, 210, 0.08)}" fill="#1c1c22"/>'
            '<rect x="300" y="380" width="200" height="420" fill="#1c1c22"/>')
    _opened(person, _svg(body), "creature")
    person.stage("Clean")
    person.key("V")
    person.until(lambda: person.window.variants.isVisible(), "the strip")
    person.fold("Mirror one half")
    person.click("Draw the line…", person.window.panels[CLEAN].mirror)
    person.point(0.5, 0.06)
    person.point(0.5, 0.94)
    person.settled()
    person.fold("Shapes and words")
    box = person.window.panels[CLEAN].shapes
    person.choose(box._colour, "Cut out")
    areas = [person.driver.work.layers[0].area_mm2]
    for y in (0.34, 0.42, 0.5):
        person.click("Keep the present one", person.window.variants)
        person.settled()
        person.click("Line…", box)
        person.drag(*((x, y + 0.02 * np.sin(20 * x)) for x in np.linspace(0.32, 0.68, 12)))
        areas.append(person.settled().layers[0].area_mm2)
    assert all(np.diff(areas) < -5), areas
    person.stage("Release")
    panel, target = person.window.panels[RELEASE], Path(tempfile.mkdtemp()) / "versions.svg"
    person.click("Versions", panel)
    asked, QFileDialog.getSaveFileName = QFileDialog.getSaveFileName, staticmethod(lambda *_: (str(target), ""))
    try:
        person.click("Write SVG", panel)
        person.gestures += 1
        person.until(target.exists, "the file")
    finally:
        QFileDialog.getSaveFileName = asked
    versions = ET.parse(target).getroot().findall(SVG + "g")
    assert len(versions) == 4
    return f"{len(versions)} versions, {[round(a) for a in areas]} mm²"


def emblem(person):
    """A blurry emblem of 460 px redrawn: two bows, a spine of even width, four bars along it, a fine rim."""
    body = ('<path d="M150 560A360 360 0 0 1 850 560" fill="none" stroke="#23406b" stroke-width="70"/>'
            '<path d="M250 640A260 260 0 0 1 750 640" fill="none" stroke="#23406b" stroke-width="50"/>'
            '<path d="M180 780H820" stroke="#23406b" stroke-width="26"/>')
    small = cv2.resize(_svg(body), (460, 460), interpolation=cv2.INTER_AREA)
    _opened(person, cv2.GaussianBlur(small, (0, 0), 3.0), "emblem")
    person.stage("Clean")
    person.fold("Shapes and words")
    box = person.window.panels[CLEAN].shapes
    size = person.driver.work.size_mm[0]
    bows = ((70, ((0.15, 0.56), (0.85, 0.56), (0.5, 0.284))), (50, ((0.25, 0.64), (0.75, 0.64), (0.5, 0.451))))
    for width, places in bows:
        person.type(box._line, f"{width / 1000 * size:.2f} mm")
        person.click("Bow…", box)
        for place in places:
            person.point(*place)
        person.settled()
    person.type(box._line, f"{26 / 1000 * size:.2f} mm")
    person.click("Line…", box)
    person.drag((0.18, 0.78), (0.82, 0.78))
    person.settled()
    person.click("Line…", box)
    person.drag((0.22, 0.72), (0.22, 0.84))
    person.settled()
    person.row(box.kept.list, 0)
    person.menu(box.more, "Repeat along a line")
    person.drag((0.22, 0.78), (0.5, 0.78), (0.78, 0.78))
    work = person.settled()
    target, paths, sheets = written(person)
    whole = np.any(sheets, axis=0)
    assert target.exists() and whole.any()
    return f"{len(work.recipe.shapes)} shapes on {len(paths)} sheet"


def _area_mm2(path):
    """The area of a compound path of the reader, whose unit is the px of 96 an inch."""
    total = 0.0
    for part in path.as_subpaths():
        x, y = np.asarray(svgelements.Path(part).npoint(np.linspace(0, 1, 4000))).T * 25.4 / 96
        total += 0.5 * float((x * np.roll(y, -1) - y * np.roll(x, -1)).sum())
    return abs(total)


def cut_out(person):
    """An object out of a photograph by two strokes, what came out wrong mended, and a contour that leaves a bleed."""
    one, rng = cutout(_OBJECT), np.random.default_rng(_OBJECT)
    _opened(person, one.picture.rgb, "object")
    step, tries = keep_stroke(one.cover, rng), [drop_stroke(one.cover, rng)]
    while step is not None:
        person.click("Keep…" if step.keep else "Drop…")
        person.drag(*step.points[::max(1, len(step.points) // 40)]) if len(step.points) > 1 else person.point(
            *step.points[0])
        work = person.settled()
        kept = work.picture.alpha > 127
        step = tries.pop() if tries else correction(one.cover, kept, rng)
    found = overlap(kept, one.cover)
    assert found > 0.97, found
    person.stage("Clean")
    person.fold("Backing and rim")
    rims = person.window.panels[CLEAN].rims
    person.type(rims._distance, f"{_BLEED_MM:g} mm")
    person.click("Add it", rims)
    work = person.settled()
    _, paths, _ = written(person)
    # the contour against the drawn object grown by a geometry library
    outline, _ = cv2.findContours((one.cover > 0.5).astype(np.uint8), cv2.RETR_EXTERNAL, cv2.CHAIN_APPROX_NONE)
    truth = shapely.Polygon(max(outline, key=len)[:, 0] + 0.5).buffer(_BLEED_MM / work.mm_per_px)
    contour = max(_area_mm2(p) for p in paths)
    off = contour / (truth.area * work.mm_per_px**2) - 1
    assert abs(off) < 0.02, off
    return f"overlap {found:.3f}, {len(paths)} sheets, contour's area off by {100 * off:.2f} %"


JOURNEYS = (
    ("mark", "flower, petals in three colours by turns, outline the base, fine rim", flower),
    ("mark", "page of six drawings, each in its colours", page),
    ("mark", "creature by half, four versions with ornaments in one file", creature),
    ("mark", "emblem of 460 px redrawn by bows, a spine and bars", emblem),
    ("mark", "object cut out of a photograph, contour with bleed", cut_out),
)


def main(words) -> None:
    """Do all journeys, or those whose names hold one of some words."""
    walk.prepare()
    walk.run(0, JOURNEYS, words)
