"""Jobs that end right only when gestures do what a person means. ``loom bench journeys-gestures [words of a name]``

Each picture is made by rule; the files are read again by a reader and a renderer that are not ours.
"""

import tempfile
import xml.etree.ElementTree as ET
from pathlib import Path

import cv2
import numpy as np
from PySide6.QtCore import Qt
from PySide6.QtWidgets import QFileDialog

from bench.journeys import walk
from bench.journeys.apart import colouring, cut_out, ornament, watermarked
from bench.journeys.proposals import written
from bench.journeys.start import hex_at, opened, svg
from bench.proposals.scenes import blob
from sketchloom.app.parts.tool_row import SHAPE
from sketchloom.app.stages.numbers import CLEAN, LAYERS, RELEASE
from sketchloom.core.shapes import polygons
from sketchloom.files.outgoing import Wanted

MOST = {"flower": 14, "page": 22, "creature": 30, "emblem": 25, "cut_out": 25, "colouring": 18, "ornament": 30,
        "watermarked": 28}
"""Gestures that each may take."""
SVG = "{http://www.w3.org/2000/svg}"


def flower(person):
    """A drawn flower: petals in three colours by turns, its outline the base, a fine rim around."""
    turn = np.arange(9) * 2 * np.pi / 9
    petals = [(500 + 250 * np.cos(a), 500 + 250 * np.sin(a)) for a in turn]
    body = '<circle cx="500" cy="500" r="395" fill="#111"/>' + "".join(
        f'<ellipse cx="{x}" cy="{y}" rx="110" ry="70" fill="#fff" transform="rotate({np.degrees(a)} {x} {y})"/>'
        for (x, y), a in zip(petals, turn, strict=True)) + '<circle cx="500" cy="500" r="100" fill="#fff"/>'
    opened(person, svg(body), "flower")
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
    colours = [hex_at(work, x / 1000, y / 1000) for x, y in petals]
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
    before = opened(person, svg(body), "page")
    person.stage("Clean")
    regions = person.window.panels[CLEAN].regions
    person.click("In this design", regions)
    person.row(regions.colours, next(r for r in range(regions.colours.count())
                                     if regions.colours.item(r).data(Qt.ItemDataRole.UserRole).startswith("#f2")))
    for n in (0, 4):  # the red of two drawings becomes the yellow
        person.twice((150 + 310 * (n % 3)) / 1000, (260 + 470 * (n // 3)) / 1000)
        person.settled()
    work = person.settled()
    reds = [hex_at(work, (150 + 310 * (n % 3)) / 1000, (260 + 470 * (n // 3)) / 1000) for n in range(6)]
    assert [hex_.startswith("#f2") for hex_ in reds] == [True, False, False, False, True, False], reds
    person.stage("Release")
    person.click("Per design", person.window.panels[RELEASE])
    folder = Path(tempfile.mkdtemp())
    person.driver.session.leaving.write(folder, Wanted(split="design"))
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
    opened(person, svg(body), "creature")
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
    small = cv2.resize(svg(body), (460, 460), interpolation=cv2.INTER_AREA)
    opened(person, cv2.GaussianBlur(small, (0, 0), 3.0), "emblem")
    person.stage("Clean")
    person.fold("Backing and rim")  # it goes around whatever is drawn later
    person.click("Add it", person.window.panels[CLEAN].rims)
    person.settled()
    person.tool(SHAPE)
    box = person.window.panels[CLEAN].shapes
    person.press(box.as_drawn)
    person.click("Bow…", box)
    for (x, y), radius, half in (((0.5, 0.644), 0.36, 0.35), ((0.5, 0.711), 0.26, 0.25)):
        turn = np.linspace(np.pi + np.arccos(half / radius), 2 * np.pi - np.arccos(half / radius), 24)
        person.drag(*zip(x + radius * np.cos(turn), y + radius * np.sin(turn), strict=True))  # along the bow
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
    walk.run(0, JOURNEYS, words, MOST)
