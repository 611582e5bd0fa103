"""A work carved in the window: proposed, changed, looked at from all sides, written."""

import json
from dataclasses import replace

import numpy as np
import pytest
from PySide6.QtCore import QPoint, QPointF, Qt
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QApplication
from shapely.geometry import Point, Polygon

from app.driver import pause, wait
from app.person import Person
from app.test_clean import night_file  # noqa: F401
from sketchloom.app.stages.numbers import LAYERS, RELEASE, SHEETS
from sketchloom.core.carve.operations import Operation, Target
from sketchloom.core.carve.tools import shipped as shipped_tools
from sketchloom.core.sheets.machine import shipped
from sketchloom.files import release, user_data
from sketchloom.files.carving import LOOKS, CarvedWork
from sketchloom.files.outgoing import Wanted, files_of
from sketchloom.files.recipients import APPROVAL, PACKAGE

ROUTER = next(m for m in shipped() if m.key == "router")


@pytest.fixture
def person(driver, night_file):  # noqa: F811
    driver.open(night_file)
    made = Person(driver)
    driver.session.change(replace(driver.session.document.recipe, machine=ROUTER, size_mm=70.0), "machine")
    made.settled()
    return made


def carved(person):
    """What is carved, once it is of the present work."""
    carving = person.window.carving
    wait(lambda: carving.made is not None and carving.made.work is person.driver.session.work, 60, "the blank")
    pause(20)
    return carving.made


def test_a_work_is_carved_as_proposed_then_as_a_hand_wants_it(person):
    window = person.window
    person.stage("Sheets")
    panel, view = window.panels[SHEETS], window.carve_view
    box = panel.carving
    fold = panel.folds["carve"]
    assert fold.isVisible() and window.middle.currentWidget() is window.sheet_view, "nothing is carved yet"
    fold.head.click()
    box.propose.click()
    person.settled()
    made = carved(person)
    assert window.middle.currentWidget() is view and not window.sheets.isVisible()
    assert person.recipe.blank.width_mm == pytest.approx(1.2 * person.driver.work.size_mm[0], abs=0.1)
    assert box.list.count() == len(person.recipe.operations) == len({s.number for s in made.job.steps})
    assert person.recipe.operations[-1].kind == "profile" and person.recipe.operations[-1].tabs == 4
    assert not [f for f in window.found() if f.severity == "stop"]
    assert not panel.part.isVisible() and not panel.placed.isVisible() and box.figures.isVisible()
    assert panel.widget().height() <= 2 * panel.viewport().height() or window.height() < 700

    # the chosen operation shows its own target, and is changed
    box.list.setCurrentRow(0)
    assert box.chosen.target.currentData() == person.recipe.operations[0].of
    before = made.field().removed_mm3
    box.chosen.changed.emit("from_mm", 2.0)
    person.settled()
    assert person.recipe.operations[0].from_mm == 2.0 and carved(person).field().removed_mm3 > before
    person.key("Ctrl+Z")
    person.settled()
    assert person.recipe.operations[0].from_mm == 0.0

    # left out, taken out, another one added, and in another order
    count = len(person.recipe.operations)
    box.list.item(0).setCheckState(Qt.CheckState.Unchecked)
    person.settled()
    assert not person.recipe.operations[0].on and 0 not in {s.number for s in carved(person).job.steps}
    box.list.setCurrentRow(0)
    person.press(box._less)
    person.settled()
    assert len(person.recipe.operations) == count - 1
    box._add("groove")
    person.settled()
    assert [one.kind for one in person.recipe.operations].count("groove") == 1
    first = person.recipe.operations[0]
    box.list.model().moveRow(box.list.rootIndex(), 0, box.list.rootIndex(), box.list.count())
    person.settled()
    assert person.recipe.operations[-1] == first


def test_what_is_carved_is_turned_by_pointer_and_keys(person):
    person.stage("Sheets")
    person.window.panels[SHEETS].carving.propose.click()
    person.settled()
    carved(person)
    view = person.window.carve_view

    def seen():
        image = view.grab().toImage()
        return np.array(image.constBits(), np.uint8).copy()
    before, turn, tilt = seen(), view.turn_deg, view.tilt_deg
    middle = view.rect().center()
    QTest.mousePress(view, Qt.MouseButton.LeftButton, pos=middle)
    QTest.mouseMove(view, middle + QPoint(60, 30))
    QTest.mouseRelease(view, Qt.MouseButton.LeftButton, pos=middle + QPoint(60, 30))
    assert view.turn_deg != turn and view.tilt_deg != tilt and (seen() != before).any()
    at = view.section
    QTest.keyClick(view, Qt.Key.Key_Down, Qt.KeyboardModifier.ShiftModifier)
    assert view.section[0][1] > at[0][1]
    QTest.keyClick(view, Qt.Key.Key_Right, Qt.KeyboardModifier.ShiftModifier)
    assert view.section[0][1] < view.section[1][1], "turned about its middle"

    # a line of one's own from one place to another
    begin, end = middle - QPoint(60, 20), middle + QPoint(50, 30)
    QTest.mousePress(view, Qt.MouseButton.LeftButton, Qt.KeyboardModifier.ShiftModifier, begin)
    QTest.mouseMove(view, middle)
    QTest.mouseMove(view, end)
    QTest.mouseRelease(view, Qt.MouseButton.LeftButton, Qt.KeyboardModifier.ShiftModifier, end)
    wanted = np.array([view.place_under(QPointF(p)) for p in (begin, end)]) / view._field.board_mm
    assert np.abs(wanted - view.section).max() < 0.02
    turn = view.turn_deg
    QTest.keyClick(view, Qt.Key.Key_Right)
    assert view.turn_deg != turn
    scale = view.view.scale
    person.window.actions_by_name["zoom_in"].trigger()
    assert view.view.scale > scale
    wait(lambda: view.is_sharp, what="the sharp picture")


def test_the_stage_goes_between_sheets_and_the_blank_as_the_machine_says(person):
    window = person.window
    person.stage("Sheets")
    window.panels[SHEETS].carving.propose.click()
    person.settled()
    carved(person)
    window.show_stage(LAYERS)
    assert window.middle.currentWidget() is window.bench
    window.show_stage(SHEETS)
    assert window.middle.currentWidget() is window.carve_view
    blade = next(m for m in shipped() if m.key == "blade")
    person.driver.session.change(replace(person.recipe, machine=blade), "machine")
    person.settled()
    panel = window.panels[SHEETS]
    assert window.middle.currentWidget() is window.sheet_view and window.sheets.isVisible()
    assert not panel.folds["carve"].isVisible() and panel.part.isVisible()
    wait(lambda: window.planning.plan is not None, 60, "a plan of sheets")


def test_machine_code_of_a_carved_work_has_its_operations(person, tmp_path):
    person.stage("Sheets")
    person.window.panels[SHEETS].carving.propose.click()
    person.settled()
    made = carved(person)
    work = person.driver.session.work
    ((path, make),) = files_of(work, None, tmp_path / "night.nc", "night", Wanted("gcode"))
    assert path.name == "night.nc" and make() == CarvedWork(work, made.job).coded("night").data
    *_, (report, told) = files_of(work, None, tmp_path / "night.nc", "night", Wanted("gcode", report=True))
    assert report.suffix == ".json" and json.loads(told())["carving"]["carved_back_share"] > 0.999
    every = files_of(work, None, tmp_path / "night.nc", "night", Wanted("gcode", report=True, plan=True))
    assert all(len(one()) > 100 for _, one in every) and len(every) > 2
    several = files_of(work, None, tmp_path, "night", Wanted("gcode", release.SHEETS))
    assert len(several) == made.job.changes and all(p.suffix == ".nc" for p, _ in several)
    person.window.show_stage(RELEASE)
    QApplication.processEvents()


def test_a_blank_that_cannot_be_is_said_and_nothing_changes(person):
    person.stage("Sheets")
    box = person.window.panels[SHEETS].blank
    person.window.panels[SHEETS].folds["blank"].head.click()
    before = person.recipe
    box.fields.changed.emit("recess_mm", 50.0)
    assert person.recipe is before
    assert box.fields.parts["recess_mm"].text().startswith("0")


def test_all_of_a_carved_work_leaves_by_release(person, tmp_path):
    person.stage("Sheets")
    person.window.panels[SHEETS].carving.propose.click()
    person.settled()
    made = carved(person)
    window, work, panel = person.window, person.driver.session.work, person.window.panels[RELEASE]
    window.show_stage(RELEASE)
    wait(lambda: panel.is_checked, 60, "the checks")
    keys = {one.check.key for one in panel.checks._checked}
    assert "carved_within" in keys and "on_sheet" not in keys
    forms = [panel._form.itemData(n) for n in range(panel._form.count())]
    assert set(LOOKS) < set(forms)
    for key, head in (("carved-stl", b""), ("carved-glb", b"glTF"), ("carved-png", b"\x89PNG"), (APPROVAL, b"%PDF")):
        panel._form.setCurrentIndex(forms.index(key))
        panel._show_form()
        target = tmp_path / f"{key}{panel.wanted.suffix}"
        ((path, make),) = files_of(work, None, target, "night", panel.wanted, carved=made)
        assert path == target and make().startswith(head)
    session = person.driver.session
    done = []
    session.leaving.written.connect(done.append)
    session.leaving.write(tmp_path / "all", replace(Wanted(PACKAGE), report=True), replace=True)
    wait(lambda: done, 120, "the folder")
    names = sorted(p.name for p in (tmp_path / "all").iterdir())
    assert len([n for n in names if n.endswith(".nc")]) == made.job.changes + 1
    assert {n.rsplit(".", 1)[-1] for n in names} == {"nc", "png", "stl", "glb", "pdf", "json"}
    told = json.loads(next((tmp_path / "all").glob("*-report.json")).read_text())
    assert {c["check"]: c["state"] for c in told["preflight"]}["carved_back"] == "passed"


def test_a_cut_into_the_bed_holds_the_file_back_until_it_is_asked_for_all_the_same(person, tmp_path):
    person.stage("Sheets")
    person.window.panels[SHEETS].carving.propose.click()
    person.settled()
    its = person.recipe.operations
    person.driver.session.change(replace(person.recipe, operations=(*its[:-1], replace(its[-1], depth_mm=60.0))), "")
    person.settled()
    carved(person)
    leaving, told, done = person.driver.session.leaving, [], []
    leaving.held_back.disconnect()  # the window would ask
    leaving.held_back.connect(lambda stops, again: told.append((stops, again)))
    leaving.written.connect(done.append)
    target = tmp_path / "deep.nc"
    leaving.write(target, Wanted("gcode", unchecked=("carved_within",)))
    wait(lambda: told, 60, "why it is held back")
    assert "carve.deep" in {one.code for one in told[0][0]} and not target.exists()
    assert "carve.deep" in {one.code for one in leaving.stops()}
    told[0][1]()
    wait(lambda: done, 60, "the file")
    assert target.exists()


def click(view, x_mm, y_mm):
    """A click on a place of the upper face."""
    x, y = view._camera().seen([[x_mm, y_mm]])[0]
    QTest.mouseClick(view, Qt.MouseButton.LeftButton, pos=QPoint(round(x), round(y)))


def test_what_is_carved_is_pointed_at_on_the_blank(person):
    person.stage("Sheets")
    panel, view = person.window.panels[SHEETS], person.window.carve_view
    panel.folds["carve"].head.click()
    box = panel.carving
    box.propose.click()
    person.settled()
    made = carved(person)
    # without pointing a click chooses what is carved there
    first = made.job.steps[0]
    place = first.area.representative_point()
    box.choose(len(person.recipe.operations) - 1)
    click(view, place.x, place.y)
    assert box.row == made.number_at(*view.place_under(QPointF(*view._camera().seen([[place.x, place.y]])[0])))
    assert view._marked and box.row != len(person.recipe.operations) - 1

    # with it, it says what the operation is of; another click there means what lies below
    row, before = box.row, person.recipe.operations[box.row].of
    person.press(box.chosen.point)
    assert view.cursor().shape() == Qt.CursorShape.CrossCursor
    click(view, place.x, place.y)
    wait(lambda: person.recipe.operations[row].of != before, 30, "another target")
    person.settled()
    carved(person)
    found = [person.recipe.operations[row].of]
    for _ in range(2):
        now = person.recipe.operations[row].of
        click(view, place.x, place.y)
        wait(lambda: person.recipe.operations[row].of != now, 30, "what lies below")  # noqa: B023
        person.settled()
        carved(person)
        found.append(person.recipe.operations[row].of)
    assert [one.kind for one in found][:2] == ["region", "layer"] and len(set(found)) == 3

    # what stays standing
    box.choose(row)
    box._change_chosen("kind", "pocket")
    person.settled()
    carved(person)
    person.press(box.chosen.point_raised)
    assert not box.chosen.point.isChecked(), "one is down at a time"
    click(view, place.x, place.y)
    wait(lambda: person.recipe.operations[row].raised, 30, "what stays")
    person.settled()
    carved(person)
    assert box.chosen.raised.text() not in ("", "nothing")
    person.window.show_stage(LAYERS)
    assert not panel.pointing.is_on


def test_the_blank_takes_the_outline_of_a_layer_or_of_a_region(person):
    person.stage("Sheets")
    panel, view = person.window.panels[SHEETS], person.window.carve_view
    panel.carving.propose.click()
    person.settled()
    carved(person)
    panel.folds["blank"].head.click()
    shape = panel.blank.fields.parts["shape"]
    for kind in ("own", "region"):
        shape.setCurrentIndex(shape.findData(kind))
        shape.activated.emit(shape.currentIndex())
        person.settled()
        made = carved(person)
        assert panel.blank.own.isVisible() == (kind == "own")
    person.press(panel.blank.point)
    middle = made.job.board.representative_point()
    before = person.recipe.blank
    click(view, middle.x, middle.y)
    wait(lambda: person.recipe.blank != before, 30, "the region")
    person.settled()
    made = carved(person)
    assert made.job.board.bounds == pytest.approx((0, 0, before.width_mm, before.height_mm), abs=0.1)
    part = panel.blank.fields.parts["work_x_mm"]
    part.setFocus()
    part.setText("-12.5 mm")
    part.setModified(True)
    part.editingFinished.emit()
    assert person.recipe.blank.work_x_mm == -12.5


def test_tools_of_ones_own_are_kept_and_come_with_the_work(person):
    person.stage("Sheets")
    panel = person.window.panels[SHEETS]
    panel.folds["carve"].head.click()
    panel.carving.propose.click()
    person.settled()
    carved(person)
    person.press(panel.carving._tools)
    table = person.window.carving._table
    assert table.isVisible() and table.table.rowCount() == len(shipped_tools())
    table.table.selectRow(1)
    table.add_row()
    row = table.table.rowCount() - 1
    table.table.item(row, 0).setText("Long end mill")
    table.table.item(row, 2).setText("1/0")
    table.keep.click()
    assert table.isVisible() and table._said.text(), "no length, and said so"
    table.table.item(row, 2).setText("0.2 in")
    table.keep.click()
    assert not table.isVisible()
    mine = user_data.cutters()[-1]
    assert mine.name == "Long end mill" and mine.diameter_mm == pytest.approx(5.08)
    assert person.recipe.cutters == (), "what is not used is not kept"
    box = panel.carving
    box.choose(0)
    tool = box.chosen.tool
    tool.setCurrentIndex(tool.findData(mine.key))
    tool.activated.emit(tool.currentIndex())
    person.settled()
    assert person.recipe.operations[0].tool == mine.key and person.recipe.cutters == (mine,)
    assert mine in carved(person).job.tools
    # changed in the table, it is changed in the work that is open, in one step that can be taken back
    person.press(box._tools)
    table = person.window.carving._table
    table.table.item(table.table.rowCount() - 1, 6).setText("12")
    table.keep.click()
    person.settled()
    assert person.recipe.cutters[0].feed == 12.0
    person.key("Ctrl+Z")
    person.settled()
    assert person.recipe.cutters == (mine,)


def test_a_finding_shows_its_place_and_a_groove_is_one_click(person):
    person.stage("Sheets")
    panel, view = person.window.panels[SHEETS], person.window.carve_view
    panel.carving.propose.click()
    person.settled()
    its = (Operation("pocket", Target("layer", person.driver.work.layers[-1].plan.key), "end-12", 2.0),)
    blank = replace(person.recipe.blank, rim_mm=9.0, recess_mm=2.0)
    person.driver.session.change(replace(person.recipe, blank=blank, operations=(*its, *person.recipe.operations)), "")
    person.settled()
    made = carved(person)
    uncut = next(f for f in made.findings if f.code in ("carve.uncut", "carve.nothing") and f.figures["number"] == 1)
    panel.carving.choose(2)
    person.window.show_stage(LAYERS)
    person.window.go_to(uncut)
    assert person.window.middle.currentWidget() is view and panel.carving.row == 0
    if uncut.x_px is not None:
        x, y = view._camera().seen([view._pointed])[0]
        assert view._area().contains(QPointF(x, y))
        assert view._uncut and any(Polygon(ring).buffer(0.5).contains(Point(view._pointed)) for ring in view._uncut)
    panel.folds["blank"].head.click()
    assert panel.blank.groove.isVisible()
    person.press(panel.blank.groove)
    person.settled()
    kinds = [one.kind for one in person.recipe.operations]
    assert kinds[-2:] == ["groove", "profile"] and not panel.blank.groove.isVisible()
    groove = carved(person).job.steps[-2]
    rim = made.rim_mm[0]  # in its middle: half of the measured rim from the board (22 mm rim, 11 mm offset; the trade)
    assert groove.area.distance(made.job.board.boundary) == pytest.approx(rim / 2, abs=0.05)
