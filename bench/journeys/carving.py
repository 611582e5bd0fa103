"""A sign from a traced ornament to what the router runs, done in the window. ``python -m bench.journeys.carving``"""

import tempfile
from pathlib import Path

import numpy as np
from PySide6.QtCore import QPoint, Qt
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QFileDialog

from bench.journeys import walk
from bench.journeys.start import hex_at, opened, svg
from sketchloom.app.parts.tool_row import MIRROR, WORD
from sketchloom.app.stages.numbers import CLEAN, RELEASE, SHEETS
from sketchloom.core.formats.solids import stl
from sketchloom.files.carving import LOOKS
from sketchloom.files.recipients import APPROVAL

_SCROLL = ('<g fill="none" stroke="#1e3557" stroke-width="30" stroke-linecap="round">'
           '<path d="M500 240V640"/><path d="M500 430C400 310 260 310 220 410S280 570 340 510"/>'
           '<path d="M500 600C420 560 330 570 280 640"/>'
           '<path d="M500 430C600 310 720 310 760 410S720 570 660 510"/></g>'
           '<path d="M318 352C300 300 270 270 215 262C225 315 255 350 318 352Z" fill="#1e3557"/>')


def _chosen(combo, value):
    combo.setCurrentIndex(next(n for n in range(combo.count()) if combo.itemData(n) == value))
    combo.activated.emit(combo.currentIndex())


def _drawn(person):
    """The ornament: a leaf off, the line closed smoothly, one half mirrored, two words of two sizes."""
    opened(person, svg(_SCROLL), "ornament")
    person.stage("Clean")
    panel = person.window.panels[CLEAN]
    person.point(0.25, 0.29)
    person.key_on(person.window.bench, "L")  # the leaf is parted from its scroll, and dropped
    person.drag((0.25, 0.345), (0.322, 0.315))
    person.settled()
    person.point(0.24, 0.28)
    person.key_on(person.window.bench, "Delete")
    person.settled()
    box = panel.curves
    person.click("Choose a stretch", box)  # the line is closed smoothly where the leaf was
    person.drag(*(np.array(places) / 120 for places in ((29.0, 43.0), (30.5, 41.6), (34.0, 39.5), (37.0, 38.4),
                                                        (40.0, 38.35))))
    person.click("Smooth", box)
    person.settled()
    assert [edit.what for edit in person.recipe.curves], "the stretch was smoothed"
    person.tool(MIRROR)
    person.point(0.5, 0.06)
    person.point(0.5, 0.94)
    person.settled()
    person.tool(WORD)
    for word, place, high in (("LANTERN", (0.5, 0.13), "16 mm"), ("NIGHT", (0.5, 0.8), "10 mm")):
        person.type(panel.shapes._size, high)
        person.type(panel.shapes.text, word)
        person.point(*place)
        person.settled()
    work = person.driver.work
    pieces = [layer.outline.pieces for layer in work.layers]
    assert pieces == [1 + len("LANTERNNIGHT")], pieces
    at = hex_at(work, 0.25, 0.29), hex_at(work, 0.75, 0.29), hex_at(work, 0.5, 0.5)
    assert at[:2] == (None, None) and at[2] is not None, f"the leaf is off on both sides, the stem is there: {at}"


def _carved(person):
    carving = person.window.carving
    person.until(lambda: carving.made is not None and carving.made.work is person.driver.session.work, "the blank")
    return carving.made


def _planned(person):
    """The blank with a rim, and the operations with all their tools."""
    person.stage("Sheets")
    panel = person.window.panels[SHEETS]
    person.choose(panel.machine.machine, "Router bed")
    person.settled()
    panel.folds["carve"].head.click()
    person.press(panel.carving.propose)
    person.settled()
    panel.folds["blank"].head.click()
    for name, value in (("rim_mm", "8 mm"), ("recess_mm", "3 mm"), ("corner_mm", "10 mm")):
        person.type(panel.blank.fields.parts[name], value)
        person.settled()
    _chosen(panel.blank.fields.parts["shape"], "plaque")
    person.gestures += 1
    person.settled()
    panel.folds["carve"].head.click()
    box = panel.carving
    box.choose(0)  # what is proposed is carved into the ornament; here it stands, and the field around it is cleared
    box._change_chosen("of", next(t for n in range(box.chosen.target.count())
                                  if (t := box.chosen.target.itemData(n)).kind == "field"))
    person.settled()
    box._change_chosen("kind", "pocket")
    box._change_chosen("tool", "end-3")
    person.gestures += 3
    person.settled()
    made = _carved(person)
    person.press(box.chosen.point_raised)
    x, y = person.window.carve_view._camera().seen(
        [np.add(made.job.blank.work_middle_mm, (0.0, -0.05 * person.driver.work.size_mm[1]))])[0]
    QTest.mouseClick(person.window.carve_view, Qt.MouseButton.LeftButton, pos=QPoint(round(x), round(y)))
    person.gestures += 1
    person.until(lambda: person.recipe.operations[0].raised, "the ornament that stays standing")
    person.settled()
    for kind, target, tool in (("groove", "middle", "ball-3"), ("carve", "shape", "vee-60"),
                               ("engrave", "shape", "point-30"), ("edge", "board", "vee-90")):
        box._add(kind)
        person.settled()
        row = box.row
        kinds = [box.chosen.target.itemData(n) for n in range(box.chosen.target.count())]
        of = [t for t in kinds if t.kind == target][-1 if kind == "engrave" else 0]
        box._change_chosen("of", of)
        box._change_chosen("tool", tool)
        person.gestures += 4
        person.settled()
        if target == "shape":
            box.choose(row)
            box._change_chosen("from_mm", 3.0)
            person.settled()
    return _carved(person)


def _out(person, form):
    """Write in a form from Release."""
    person.stage("Release")
    panel = person.window.panels[RELEASE]
    _chosen(panel._form, form)
    target = Path(tempfile.mkdtemp()) / f"sign{panel.wanted.suffix}"
    asked, QFileDialog.getSaveFileName = QFileDialog.getSaveFileName, staticmethod(lambda *_: (str(target), ""))
    try:
        person.press(panel._write)
        person.gestures += 1
        person.until(target.exists, "the file")
    finally:
        QFileDialog.getSaveFileName = asked
    return target


def sign(person):
    """Traced, a leaf off, mirrored, two words, a blank with rim and groove, all tools, approved, read back."""
    _drawn(person)
    made = _planned(person)
    stops = [one.code for one in made.findings if one.severity == "stop"]
    assert not stops, stops
    assert person.recipe.operations[0].raised[0].kind == "region"
    middle = np.add(made.job.blank.work_middle_mm, (0.0, -0.05 * made.work.size_mm[1]))
    field = made.field()
    row, column = (int(v / field.mm_per_px) for v in middle[::-1])
    assert field.z[row, column] == 0 and field.z[row, int(0.14 * field.z.shape[1])] < -2.9, "the stem stands"
    assert made.rim_mm is not None and abs(made.rim_mm[0] - 8.0) < 0.05, made.rim_mm
    page, code = _out(person, APPROVAL), _out(person, "gcode")
    assert page.read_bytes().startswith(b"%PDF")
    share = made.carved_back(code.stem)[1]
    assert share > 0.998 and code.read_bytes().count(b"M6 T") >= len(made.job.tools), share
    solid = _out(person, next(iter(LOOKS)))
    assert solid.exists() and len(stl(made.field(1.0))) > 1000
    tools = [tool.key for tool in made.job.tools]
    return f"{len(made.job.steps)} steps by {tools}, {made.seconds / 60:.0f} minutes of the machine, {share:.4f} alike"


JOURNEYS = (("mark", "sign from a traced ornament to machine code", sign),)


def main(words) -> None:
    """Do all journeys, or those whose names hold one of some words."""
    walk.prepare()
    walk.run(0, JOURNEYS, words)


if __name__ == "__main__":
    import sys

    main(sys.argv[1:])
