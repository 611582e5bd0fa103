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
from scipy.spatial import cKDTree

from bench.journeys import walk
from bench.journeys.proposals import written
from bench.objects.hand import correction, drop_stroke, keep_stroke
from bench.objects.pictures import cutout
from bench.objects.run import overlap
from bench.proposals.conditions import rendered
from bench.proposals.scenes import blob
from sketchloom.app.stages.numbers import CLEAN, LAYERS, RELEASE
from sketchloom.core.shapes import polygons

MOST = {"flower": 14, "page": 22, "creature": 30, "emblem": 25, "cut_out": 25, "colouring": 18, "ornament": 30,
        "watermarked": 28}
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
    """A blurry emblem of 460 px redrawn: two bows, a spine of even width, four bars along it, stripes, a fine rim."""
    body = ('<path d="M150 560A360 360 0 0 1 850 560" fill="none" stroke="#23406b" stroke-width="70"/>'
            '<path d="M250 640A260 260 0 0 1 750 640" fill="none" stroke="#23406b" stroke-width="50"/>'
            '<path d="M180 780H820" stroke="#23406b" stroke-width="26"/>'
            + "".join(f'<path d="M{x} {y}v{h}" stroke="#23406b" stroke-width="{w}"/>'
                      for y, h, w, xs in ((710, 140, 30, (220, 407, 593, 780)), (860, 80, 16, (200, 400, 600, 800)))
                      for x in xs))
    small = cv2.resize(_svg(body), (460, 460), interpolation=cv2.INTER_AREA)
    _opened(person, cv2.GaussianBlur(small, (0, 0), 3.0), "emblem")
    person.stage("Clean")
    person.fold("Backing and rim")  # it goes around whatever is drawn later
    person.click("Add it", person.window.panels[CLEAN].rims)
    person.settled()
    person.fold("Shapes and words")
    box = person.window.panels[CLEAN].shapes
    person.press(box.as_drawn)
    person.click("Bow…", box)
    for places in (((0.15, 0.56), (0.85, 0.56), (0.5, 0.284)), ((0.25, 0.64), (0.75, 0.64), (0.5, 0.451))):
        for place in places:
            person.point(*place)
        person.settled()
    person.click("Line…", box)
    for line in (((0.18, 0.78), (0.82, 0.78)), ((0.2, 0.86), (0.2, 0.94)), ((0.22, 0.71), (0.22, 0.85))):
        person.drag(*line)
        person.settled()
    person.type(box.copies, "4")
    person.click("Along a line…", box)
    person.drag((0.22, 0.78), (0.5, 0.78), (0.78, 0.78))
    person.settled()
    person.row(box.kept.list, 1)
    person.click("Along a line…", box)
    person.drag((0.2, 0.9), (0.5, 0.9), (0.8, 0.9))
    person.settled()
    work = person.settled()
    scale = person.driver.work.size_mm[0] / 1000
    shapes = {name: [s for s in work.recipe.shapes if s.name == name] for name in ("bow", "line")}
    desk = person.window.drawing.desk
    wide = [polygons.area_of(desk.rings(s)) for s in shapes["bow"]]
    found = [2 * one.area * work.mm_per_px / one.length for one in wide]
    target, paths, sheets = written(person)
    assert target.exists() and np.any(sheets, axis=0).any()
    return f"{len(work.recipe.shapes)} shapes on {len(paths)} sheets, bows {found} of {[70 * scale, 50 * scale]} mm"


def colouring(person):
    """A colouring page: one figure taken off the crate it leans on, as a single outline."""
    around = ('d="M560 160C700 160 760 300 740 420C850 520 850 720 760 800H420C340 700 350 560 430 450'
              'C360 330 420 160 560 160Z"')
    body = ('<g fill="none" stroke="#111" stroke-width="14">'
            '<path d="M420 800H200V470H380" stroke-linejoin="round"/><path d="M200 580H400M200 690H412"/>'
            f'<path {around}/><circle cx="510" cy="310" r="30"/><circle cx="640" cy="310" r="30"/>'
            '<path d="M500 400q75 60 150 0"/></g>')
    _opened(person, _svg(body), "colouring")
    person.stage("Clean")
    person.fold("Split lines")
    person.press(person.window.panels[CLEAN].splits.draw)
    for line in (((0.385, 0.45), (0.385, 0.49)), ((0.335, 0.56), (0.335, 0.6)), ((0.335, 0.67), (0.335, 0.71)),
                 ((0.395, 0.78), (0.395, 0.82))):
        person.drag(*line)
        person.settled()
    person.key("Esc")
    person.point(0.2, 0.6)  # the crate's lines, then a sweep over its cells
    person.drag((0.3, 0.52), (0.3, 0.63), (0.3, 0.75))
    person.settled()
    person.fold("Several regions")
    box = person.window.panels[CLEAN].together
    person.press(box.choose)
    person.point(0.55, 0.165)
    person.settled()
    person.click("Fill inside", box)
    person.settled()
    _, paths, sheets = written(person)
    rings = sum(len(list(path.as_subpaths())) for path in paths)
    assert len(paths) == 1 and rings == 1, (len(paths), rings)
    truth = _svg(f'<path {around} fill="#111" stroke="#111" stroke-width="14"/>')[..., 0] < 128
    found = _shares_area(sheets[0], truth)
    assert found > 0.985, found
    return f"one outline, {found:.3f} of it the drawn figure's"


def _shares_area(sheet, truth):
    """Overlap of what a sheet is solid on with what it is to be, of any sizes."""
    sheet = cv2.resize(sheet.astype(np.float32), truth.shape[::-1], interpolation=cv2.INTER_AREA) > 0.5
    return float((sheet & truth).sum() / (sheet | truth).sum())


def ornament(person):
    """An ornament for a sign: a part taken off and the line closed, mirrored, two words, a plate and a groove."""
    body = ('<g fill="none" stroke="#111" stroke-width="34" stroke-linecap="round">'
            '<path d="M500 180V820"/><path d="M500 420C400 300 260 300 220 400S280 560 340 500"/>'
            '<path d="M500 700C400 640 300 660 260 740"/><path d="M330 330L250 220"/>'
            '<path d="M500 420C600 300 720 300 760 400S720 560 660 500"/></g>')
    _opened(person, _svg(body), "ornament")
    person.stage("Clean")
    panel = person.window.panels[CLEAN]
    person.fold("Mirror one half")
    person.click("Draw the line…", panel.mirror)
    person.point(0.5, 0.06)
    person.point(0.5, 0.94)
    person.settled()
    person.fold("Shapes and words")
    for word, place in (("LANTERN", (0.5, 0.09)), ("NIGHT", (0.5, 0.92))):
        person.type(panel.shapes.text, word)  # and Enter
        person.point(*place)
        person.settled()
    person.fold("Split lines")
    person.press(panel.splits.draw)
    person.drag((0.285, 0.31), (0.36, 0.285))  # the thorn is parted from its scroll, and dropped
    person.settled()
    person.key("Esc")
    person.point(0.255, 0.23)
    person.settled()
    person.fold("Gaps and ink")
    person.click("Draw a bridge…", panel.lines)
    person.drag((0.34, 0.5), (0.497, 0.6))  # the scroll is closed to the stem
    person.settled()
    person.fold("Backing and rim")
    person.type(panel.rims._distance, "8 mm")
    person.click("Add it", panel.rims)
    person.settled()
    person.click("Inner line", panel.rims)
    person.type(panel.rims._distance, "3 mm")
    person.choose(panel.rims._of, "backing")
    person.click("Add it", panel.rims)
    work = person.settled()
    _, paths, _ = written(person)
    off = _off_axis_mm(paths[1])
    pieces = [layer.outline.pieces for layer in work.layers]
    assert off < 0.05 and pieces == [1, 13, 1], (off, pieces)  # plate; ornament and 12 letters; groove
    return f"{len(paths)} sheets of {pieces} pieces, its halves alike to {off:.3f} mm"


def _off_axis_mm(path):
    """How far the largest ring of a path is at most from its own mirror image about an upright line."""
    ring = max((np.asarray(svgelements.Path(part).npoint(np.linspace(0, 1, 20_000))) for part in path.as_subpaths()),
               key=lambda xy: np.ptp(xy[:, 0]) * np.ptp(xy[:, 1])) * 25.4 / 96
    axis = (ring[:, 0].min() + ring[:, 0].max()) / 2
    return float(cKDTree(ring).query(np.stack([2 * axis - ring[:, 0], ring[:, 1]], -1))[0].max())


def watermarked(person):
    """Line art under a watermark: six colours, a gap closed, an accessory taken off, a tail put on."""
    body = ('<g fill="none" stroke="#111" stroke-width="12">'
            '<ellipse cx="480" cy="560" rx="260" ry="190"/><path d="M480 370V750M310 417V703M650 417V703"/>'
            '<circle cx="480" cy="250" r="112"/><circle cx="440" cy="240" r="22"/><circle cx="520" cy="240" r="22"/>'
            '<path d="M420 120L480 40L540 120Z"/><path d="M150 840V900H800V840"/>'
            '<path d="M150 840H440M458 840H800"/></g>')
    pixels = np.full((_PX, _PX, 3), 255, np.uint8)
    for n in range(7):
        cv2.putText(pixels, "TIDEWALK", (-60 + 260 * (n % 4), 150 + 130 * n), cv2.FONT_HERSHEY_SIMPLEX, 2.2,
                    (205, 205, 205), 9, cv2.LINE_AA)
    _opened(person, np.minimum(pixels, _svg(body)), "watermarked")
    before = person.driver.work
    assert len(before.layers) == 1, [plan.name for plan in before.plans]  # the watermark is none
    person.stage("Clean")
    panel = person.window.panels[CLEAN]
    person.point(0.48, 0.043)  # the hat is dropped
    person.settled()
    person.fold("Gaps and ink")
    person.until(lambda: panel.lines._all.isEnabled(), "gaps")
    person.click("Close all", panel.lines)
    person.settled()
    person.click("Add ink…", panel.lines)
    person.drag(*((0.735 + 0.15 * t, 0.56 - 0.2 * t + 0.03 * np.sin(6 * t)) for t in np.linspace(0, 1, 9)))
    person.settled()
    cells = ((0.27, 0.56), (0.39, 0.56), (0.57, 0.56), (0.69, 0.56), (0.48, 0.31), (0.4, 0.87))
    hexes = ("#c8553d", "#f2b632", "#2f8f5f", "#2b5d8c", "#7a4f9a", "#b0c4b1")
    for place, hex_colour in zip(cells, hexes, strict=True):
        person.colour(lambda: person.click("Another colour", panel.regions), hex_colour)
        person.point(*place)
        person.settled()
    work = person.settled()
    assert [_hex_at(work, *place) for place in cells] == list(hexes)
    _, paths, _ = written(person)
    assert len(paths) == 7, len(paths)
    return f"{len(paths)} sheets, {[layer.outline.pieces for layer in work.layers]} pieces"


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
    ("mark", "emblem of 460 px redrawn by bows, a spine, bars and stripes, fine rim", emblem),
    ("mark", "colouring page: a figure off its crate, single outline", colouring),
    ("mark", "ornament for a sign: part off, line closed, mirrored, two words, plate, groove", ornament),
    ("mark", "watermarked line art, six colours, gap, accessory, tail", watermarked),
    ("mark", "object cut out of a photograph, contour with bleed", cut_out),
)


def main(words) -> None:
    """Do all journeys, or those whose names hold one of some words."""
    walk.prepare()
    walk.run(0, JOURNEYS, words)
