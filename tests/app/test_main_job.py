"""The main job in the real window, as a new user does it."""

import json
import xml.etree.ElementTree as ET

import pytest
from PySide6.QtCore import QMimeData, QPoint, QPointF, Qt, QUrl
from PySide6.QtGui import QDragEnterEvent, QDropEvent, QGuiApplication, QImage
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QApplication, QFileDialog

from app.driver import Driver, pause, wait
from sketchloom.app.parts.fields import LengthEdit
from sketchloom.app.stages.numbers import LAYERS, RELEASE, SOURCE, TRACE
from sketchloom.files import project as projects
from sketchloom.files import recovery, user_data
from sketchloom.files.demo_works import demo
from sketchloom.files.opening import open_file

SVG = "{http://www.w3.org/2000/svg}"


def test_the_lighthouse_from_drop_to_file(driver, tmp_path, monkeypatch):
    """Opened, traced, put in order, sized to 7 in, written."""
    data = QMimeData()
    data.setUrls([QUrl.fromLocalFile(str(demo("lighthouse").picture_path))])
    buttons, none = Qt.MouseButton.LeftButton, Qt.KeyboardModifier.NoModifier
    enter = QDragEnterEvent(QPoint(400, 300), Qt.DropAction.CopyAction, data, buttons, none)
    QApplication.sendEvent(driver.window, enter)
    assert enter.isAccepted() and driver.window.drop_hint.isVisible()
    QApplication.sendEvent(driver.window, QDropEvent(QPointF(400, 300), Qt.DropAction.CopyAction, data, buttons, none))
    wait(lambda: driver.session.document is not None)
    work = driver.settled()
    assert len(work.layers) == 6 and not driver.window.drop_hint.isVisible()

    width = driver.window.panels[SOURCE].findChildren(LengthEdit)[0]
    driver.type_into(width, "7in")
    assert driver.settled().size_mm == pytest.approx((177.8, 177.8))

    driver.key("Alt+4")
    assert driver.window.stage == LAYERS
    panel = driver.window.panels[LAYERS]
    rows = [panel._list.item(r).text().split("\n")[0] for r in range(panel._list.count())]
    assert rows[-1].endswith("base") and len(rows) == 6
    assert "Proposed" in panel.way._note.text() and driver.work.laying.why
    driver.click("Stacked", panel)
    driver.settled()
    panel.select(driver.work.plans[2].key)
    moved = driver.work.plans[2].key
    panel._list.setFocus()
    driver.click("Make base")
    assert driver.settled().plans[0].key == moved
    assert "more than the proposed one" in panel.order_note.note.text()
    driver.click("Use the proposed order")
    assert "of whole sheets, none cuts less" in (driver.settled(), panel.order_note.note.text())[1]

    target = tmp_path / "badge.svg"
    monkeypatch.setattr(QFileDialog, "getSaveFileName", lambda *a, **k: (str(target), ""))
    driver.key("Ctrl+E")
    wait(target.exists, what="the file")
    wait(lambda: "badge.svg" in driver.window.panels[RELEASE]._result.text())
    root = ET.parse(target).getroot()
    assert root.get("width") == "177.8mm" and len(root.findall(SVG + "g")) == 6


def test_the_sketch_thresholded_cleaned_and_written_by_layer(driver, smaller, tmp_path, monkeypatch):
    driver.open(smaller("kingfisher"))
    assert driver.work.reading == "tone"
    driver.key("Alt+2")
    panel = driver.window.panels[TRACE]
    before = driver.work.layers[0].area_mm2
    panel.tone.curve.setFocus()
    QTest.keyClick(panel.tone.curve, Qt.Key.Key_PageUp)
    work = driver.settled()
    assert work.recipe.cut_off == panel.tone.curve.value() and work.layers[0].area_mm2 > before
    driver.type_into(panel.detail._edit, "2 mm")
    work = driver.settled()
    assert work.recipe.smallest_mm == 2.0 and len(work.segmentation.dropped) > 5
    driver.click("Show")
    assert len(driver.window.bench.marks) == len(work.segmentation.dropped)

    monkeypatch.setattr(QFileDialog, "getExistingDirectory", lambda *a, **k: str(tmp_path))
    driver.key("Alt+6")
    driver.click("Per layer")
    driver.window.panels[RELEASE]._report.setChecked(True)
    driver.click("Write SVG")
    wait(lambda: (tmp_path / "kingfisher-sketch-report.json").exists())
    wait(lambda: not driver.session.writing.busy)
    assert len(list(tmp_path.glob("kingfisher-sketch-01-*.svg"))) == 1
    told = json.loads((tmp_path / "kingfisher-sketch-report.json").read_text())
    assert told["source"]["mode"] == "tone" and [w["way"] for w in told["ways"]] == [
        "stacked",
        "fitted",
        "windowed",
        "lean",
        "based",
    ]


def test_everything_can_be_undone_all_the_way_back(lighthouse):
    driver = lighthouse
    first = driver.session.document.recipe
    svg = [layer.outline.controls.tobytes() for layer in driver.work.layers]
    driver.key("Alt+2")
    trace = driver.window.panels[TRACE]
    trace.colour._count.slider.setValue(4)
    driver.settled()
    driver.key("Alt+4")
    layers = driver.window.panels[LAYERS]
    layers._list.setCurrentRow(0)
    driver.click("Leave out")
    driver.settled()
    driver.click("Fitted")
    driver.settled()
    driver.key("U")
    assert driver.settled().recipe.unit == "in"
    steps = 0
    while driver.session.document.undo_text() is not None:
        driver.key("Ctrl+Z")
        steps += 1
    assert steps == 4 and driver.session.document.recipe == first
    assert [layer.outline.controls.tobytes() for layer in driver.settled().layers] == svg
    for _ in range(steps):
        driver.key("Ctrl+Shift+Z")
    assert driver.settled().recipe.unit == "in" and driver.work.recipe.layering == "fitted"


def test_a_slider_drag_is_one_step_of_undo(lighthouse):
    lighthouse.key("Alt+2")
    slider = lighthouse.window.panels[TRACE].colour._count.slider
    for value in (6, 5, 4, 3):
        slider.setValue(value)
    assert lighthouse.settled().recipe.colours == 3
    lighthouse.key("Ctrl+Z")
    assert lighthouse.session.document.undo_text() is None


def test_killed_and_recovered(monkeypatch):
    """The program ends without a word; the next start offers the work, and it is as it was."""
    killed = Driver()
    killed.open(demo("lighthouse").picture_path)
    killed.key("U")
    wait(lambda: list((user_data.data_folder() / "recovery").glob("*/state.json")), 2.0, "the copy within 2 s")
    wanted = killed.session.document.recipe
    # as after a kill: no closing, and the process that wrote the copy is gone
    killed.session.document._copy.release()  # as the end of the program does
    assert [found.project.recipe for found in recovery.left_behind()] == [wanted]

    again = Driver()
    again.window.opening.offer_recovery()
    again.click("Go on with it")
    wait(lambda: again.session.document is not None)
    assert again.session.document.recipe == wanted and not again.session.document.is_saved
    again.settled()
    again.close()
    killed.close()


def test_closing_loses_nothing_and_asks_nothing():
    one = Driver()
    one.open(demo("lighthouse").picture_path)
    one.key("U")
    one.close()
    (found,) = recovery.left_behind()
    assert found.project.recipe.unit == "in"
    two = Driver()
    two.open(demo("panel").picture_path)
    two.close()  # nothing was changed: nothing is left to offer
    assert len(recovery.left_behind()) == 1


def test_saving_and_opening_again(lighthouse, tmp_path, monkeypatch):
    path = tmp_path / "mine"
    monkeypatch.setattr(QFileDialog, "getSaveFileName", lambda *a, **k: (str(path), ""))
    lighthouse.key("U", "Ctrl+S")
    assert lighthouse.save()
    saved = path.with_suffix(".sloom")
    assert saved.exists() and lighthouse.session.document.is_saved
    assert open_file(saved).project.recipe == lighthouse.session.document.recipe
    assert user_data.recent_files()[0] == saved
    assert "·" not in lighthouse.window.windowTitle()
    lighthouse.key("U")
    assert "·" in lighthouse.window.windowTitle()
    lighthouse.key("Ctrl+S")
    assert lighthouse.save()
    assert projects.load(saved).recipe.unit == "mm"
    assert list((user_data.data_folder() / "recovery").glob("*")) == []


def test_another_work_sets_an_unsaved_one_aside_and_back(lighthouse):
    lighthouse.key("U")
    lighthouse.open(demo("panel").picture_path)
    assert lighthouse.session.document.name == "lantern-panel"
    lighthouse.click("Go on with it")
    wait(lambda: lighthouse.session.document.name == "lighthouse-badge")
    assert lighthouse.settled().recipe.unit == "in"


@pytest.mark.parametrize("name, data, why", [
    ("a.png", b"", "empty"), ("b.png", b"just text", "not a picture"), ("c.sloom", b"PK", "damaged"),
])
def test_bad_input_leaves_the_open_work_untouched(lighthouse, tmp_path, name, data, why):
    before = lighthouse.session.document
    (tmp_path / name).write_bytes(data)
    lighthouse.session.open_path(tmp_path / name)
    wait(lambda: lighthouse.window.notices.text_of("open") is not None)
    said = lighthouse.window.notices.text_of("open")
    assert why in said and name in said
    assert lighthouse.session.document is before and lighthouse.work is not None


def test_pasting(driver):
    image = QImage(60, 60, QImage.Format.Format_RGB32)
    image.fill(0xFFFFFF)
    for x in range(20, 40):
        for y in range(20, 40):
            image.setPixel(x, y, 0x1E3557)
    QGuiApplication.clipboard().setImage(image)
    driver.key("Ctrl+V")
    wait(lambda: driver.session.document is not None)
    assert [x.plan.hex for x in driver.settled().layers] == ["#1e3557"]
    QGuiApplication.clipboard().clear()
    driver.key("Ctrl+V")
    assert "holds no picture" in driver.window.notices.text_of("open")


def test_a_file_that_cannot_be_written_is_said_in_the_stage(lighthouse, tmp_path, monkeypatch):
    monkeypatch.setattr(QFileDialog, "getSaveFileName", lambda *a, **k: (str(tmp_path / "none" / "x.svg"), ""))
    lighthouse.key("Ctrl+E")
    result = lighthouse.window.panels[RELEASE]._result
    wait(lambda: "does not exist" in result.text())
    assert result.objectName() == "trouble" and result.isVisible()


def test_the_figures_of_all_ways_are_read_whole(lighthouse):
    panel = lighthouse.window.panels[3]
    lighthouse.window.show_stage(3)
    table = panel._compared
    wait(lambda: all(table.item(3, column).text() != "…" for column in range(5)), 20, "the figures of the ways")
    pause(20)
    for column in range(5):
        assert table.columnWidth(column) >= table.sizeHintForColumn(column), table.item(3, column).text()
