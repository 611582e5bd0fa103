"""A work carved in the window: proposed, changed, looked at from all sides, written."""

import json
from dataclasses import replace

import numpy as np
import pytest
from PySide6.QtCore import QPoint, QPointF, Qt
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QApplication

from app.driver import pause, wait
from app.person import Person
from app.test_clean import night_file  # noqa: F401
from sketchloom.app.stages.numbers import LAYERS, RELEASE, SHEETS
from sketchloom.core.sheets.machine import shipped
from sketchloom.files import release
from sketchloom.files.carving import LOOKS, CarvedWork
from sketchloom.files.outgoing import Wanted, files_of
from sketchloom.files.recipients import APPROVAL, PACKAGE

ROUTER = next(m for m in shipped() if m.key == "router")


@pytest.fixture
def person(driver, night_file):  # noqa: F811
    driver.open(night_file)
    made = Person(driver)
    driver.session.change(replace(driver.session.document.recipe, machine=ROUTER, size_mm=120.0), "machine")
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
    assert box.target.currentData() == person.recipe.operations[0].of
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
    wait(lambda: not view._is_coarse, what="the sharp picture")


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
    several = files_of(work, None, tmp_path, "night", Wanted("gcode", release.SHEETS))
    assert len(several) == made.job.changes and all(p.suffix == ".nc" for p, _ in several)
    person.window.show_stage(RELEASE)
    QApplication.processEvents()


def test_a_blank_that_cannot_be_is_said_and_nothing_changes(person):
    person.stage("Sheets")
    box = person.window.panels[SHEETS].carving
    person.window.panels[SHEETS].folds["carve"].head.click()
    before = person.recipe
    box.blank.changed.emit("recess_mm", 50.0)
    assert person.recipe is before
    assert box.blank.parts["recess_mm"].text().startswith("0")


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
