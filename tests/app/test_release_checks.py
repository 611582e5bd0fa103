"""The checks before a work leaves in the real window, the dialects of machine code, and names of a package."""

import json
from concurrent.futures import Executor, Future
from contextlib import nullcontext
from dataclasses import replace

import numpy as np
import pytest
from PIL import Image
from PySide6.QtGui import QGuiApplication
from PySide6.QtWidgets import QCheckBox, QFileDialog, QInputDialog, QPushButton

from app.driver import pause, wait, written
from app.known import knowing_driver
from app.person import Person
from sketchloom.app.stages.numbers import RELEASE
from sketchloom.command.main import main
from sketchloom.core.formats.registry import formats
from sketchloom.core.sheets.machine import shipped
from sketchloom.core.sheets.material import shipped as materials
from sketchloom.desk.preflight import findings_of_file
from sketchloom.desk.rehearsal import looked_at
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.files import release, user_data
from sketchloom.files.demo_works import demo
from sketchloom.files.made import Made
from sketchloom.files.opening import open_file
from sketchloom.files.recipients import SHIPPED
from sketchloom.recipe.parts import LayerEdit


@pytest.fixture
def ring(tmp_path, monkeypatch):
    """A ring with an island in it, open in the real window at Release."""
    monkeypatch.setenv("XDG_DATA_HOME", str(tmp_path / "data"))
    monkeypatch.setenv("XDG_CONFIG_HOME", str(tmp_path / "config"))
    y, x = np.mgrid[0:200, 0:200]
    far = np.hypot(x - 100, y - 100)
    ink = ((far < 80) & (far > 40)) | (far < 15)
    Image.fromarray(np.where(ink, 30, 255).astype(np.uint8)).convert("RGB").save(tmp_path / "ring.png", dpi=(100, 100))
    driver = knowing_driver()
    driver.open(tmp_path / "ring.png")
    person = Person(driver)
    person.stage("Release")
    driver.settled()
    yield person
    driver.close()


def states(person):
    panel = person.window.panels[RELEASE]
    wait(lambda: panel._of_work is not None and panel._work is person.window.session.work, 60, "checks")
    return {one.check.key: one.state for one in panel.checks._checked}


def test_the_list_says_how_each_check_stands_and_mends(ring):
    panel = ring.window.panels[RELEASE]
    found = states(ring)
    assert found["loose"] == "note" and found["rights"] == "note" and found["closed"] == "unknown"
    assert found["single"] == "off"
    assert panel.checks.findChild(object, "check-small") is None  # what passes is folded away
    ring.click("I may use it", panel)
    wait(lambda: ring.recipe.may_use, 10, "the mend")
    ring.driver.settled()
    wait(lambda: states(ring)["rights"] == "passed", 30, "the check passes")
    ring.key("Ctrl+Z")
    ring.driver.settled()
    wait(lambda: states(ring)["rights"] == "note", 30, "taken back")


def test_looking_at_the_files_makes_the_rest_of_the_checks(ring):
    panel = ring.window.panels[RELEASE]
    states(ring)
    ring.press(panel._look)
    wait(lambda: panel._of_files is not None, 60, "the files")
    found = states(ring)
    assert found["closed"] == found["register"] == found["inside"] == "passed"


def test_what_is_checked_is_chosen_and_kept_for_who_gets_it(ring):
    panel = ring.window.panels[RELEASE]
    states(ring)
    ring.press(panel.checks.all)
    pause(30)
    tick = panel.checks.findChild(object, "check-single").findChild(QCheckBox)
    ring.press(tick)
    pause(30)
    assert states(ring)["single"] == "warn"
    must = panel.checks.findChild(object, "check-machine").findChild(QCheckBox)
    assert must.isChecked() and not must.isEnabled()
    ring.press(panel._keep)
    ring.click("A printer", panel)
    assert states(ring)["single"] == "off"
    ring.click("Another designer", panel)
    assert states(ring)["single"] == "warn"
    assert next(r for r in user_data.recipients() if r.key == "designer").unchecked == ()


def test_a_stop_that_is_not_wanted_holds_nothing_but_what_hurts_does(ring, tmp_path, monkeypatch):
    panel, work = ring.window.panels[RELEASE], ring.window.session.work
    flake = next(m for m in materials() if m.family == "flake film")
    key = work.layers[0].plan.key
    laser = next(m for m in shipped() if m.kind == "laser")
    recipe = replace(ring.recipe, materials=materials(), layers=(LayerEdit(key, material=flake.key),), machine=laser,
                     tool="laser")
    ring.window.session.change(recipe, "film under a laser")
    ring.driver.settled()
    panel.checks.take([one.check.key for one in panel.checks._checked])
    assert states(ring)["machine"] == "stop"
    target = tmp_path / "held.svg"
    monkeypatch.setattr(QFileDialog, "getSaveFileName", lambda *a, **k: (str(target), ""))
    ring.press(panel._write)
    offers(ring, "all the same")
    assert not target.exists()


def offers(ring, words):
    """A notice's button with these words, waited for."""
    def found():
        return [b for b in ring.window.notices.findChildren(QPushButton) if words in b.text()]
    wait(found, 60, words)
    return found()[0]


def test_nothing_leaves_by_any_way_while_a_finding_says_stop(ring, tmp_path, monkeypatch):
    panel = ring.window.panels[RELEASE]
    flake = next(m for m in materials() if m.family == "flake film")
    recipe = replace(ring.recipe, materials=materials(), machine=next(m for m in shipped() if m.kind == "laser"),
                     tool="laser", layers=(LayerEdit(ring.window.session.work.layers[0].plan.key, material=flake.key),))
    ring.window.session.change(recipe, "film under a laser")
    ring.driver.settled()
    QGuiApplication.clipboard().setText("before")
    ring.press(panel._copy)
    again = offers(ring, "Copy all the same")
    assert QGuiApplication.clipboard().text() == "before"
    ring.press(again)
    assert "<svg" in QGuiApplication.clipboard().text()
    assert panel.drag.make() is None
    ring.press(offers(ring, "dragged all the same"))
    assert panel.drag.make().exists()
    target = tmp_path / "versions.svg"
    monkeypatch.setattr(QFileDialog, "getSaveFileName", lambda *a, **k: (str(target), ""))
    ring.click("Versions", panel)
    ring.press(panel._write)
    again = offers(ring, "Write all the same")
    assert not target.exists()
    ring.press(again)
    wait(target.exists, 60, "the file")
    monkeypatch.setattr(QFileDialog, "getOpenFileNames", lambda *a, **k: ([str(tmp_path / "ring.png")], ""))
    monkeypatch.setattr(QFileDialog, "getExistingDirectory", lambda *a, **k: str(tmp_path / "shared"))
    (tmp_path / "shared").mkdir()
    ring.press(panel._shared)
    again = offers(ring, "Write all the same")
    assert not list((tmp_path / "shared").iterdir())
    ring.press(again)
    wait(lambda: written(tmp_path / "shared", "*.svg"), 60, "the sheets")


def shifted(monkeypatch):
    """From now on a layer lies elsewhere in its file than in the work."""
    made = Made.__call__
    monkeypatch.setattr(Made, "__call__", lambda self: made(self).replace(
        b"<g id=", b'<g transform="translate(0.4 0)" id=', 1))


def test_files_are_read_back_before_they_are_written(ring, tmp_path, monkeypatch):
    panel = ring.window.panels[RELEASE]
    states(ring)
    target = tmp_path / "shifted.svg"
    monkeypatch.setattr(QFileDialog, "getSaveFileName", lambda *a, **k: (str(target), ""))
    with monkeypatch.context() as wrong:
        shifted(wrong)
        ring.press(panel._write)
        offers(ring, "Write all the same")
        assert not target.exists()
    ring.press(panel._write)
    wait(target.exists, 60, "the file")


@pytest.mark.parametrize("to", ["--out", "--out-dir", "--package", "batch"])
def test_files_are_read_back_without_a_window_too(to, tmp_path, monkeypatch, capsys):
    Image.fromarray(np.pad(np.full((60, 60, 3), 20, np.uint8), ((20, 20), (20, 20), (0, 0)), constant_values=255)
                    ).save(tmp_path / "plate.png", dpi=(100, 100))
    shifted(monkeypatch)
    target = tmp_path / {"--out": "a.svg", "--package": "job.zip"}.get(to, "sheets")
    if to == "batch":
        monkeypatch.setattr("sketchloom.files.batch.processes", lambda _: nullcontext(OnTheSpot()))
        (tmp_path / "list.txt").write_text("plate.png\n")
        words = ["batch", str(tmp_path / "list.txt"), "--out-dir", str(target)]
    else:
        words = ["trace", str(tmp_path / "plate.png"), to, str(target), "--machine", "blade", "--width", "60mm"]
    assert main(words) != 0
    assert "--anyway" in capsys.readouterr().err
    assert not target.exists() or not list(target.glob("*.svg"))
    report = [] if to == "batch" else ["--report", str(tmp_path / "r.json")]
    assert main([*words, "--anyway", *report]) == 0
    assert target.is_file() or list(target.glob("*.svg"))
    if report:
        told = json.loads((tmp_path / "r.json").read_text())
        assert told["written_anyway"] == ["release.register"]
        assert {one["check"]: one["state"] for one in told["preflight"]}["register"] == "stop"


class OnTheSpot(Executor):
    """An executor in this process."""

    def submit(self, do, *given):
        done = Future()
        done.set_result(do(*given))
        return done


def test_somebody_is_added_to_who_gets_it_and_taken_off_again(ring, monkeypatch):
    panel = ring.window.panels[RELEASE]
    ring.click("A laser shop", panel)
    ring.choose(panel._form, "PDF in true size")
    names = iter(["", "a printer", "Pier workshop"])
    monkeypatch.setattr(QInputDialog, "getText", lambda *a, **k: (next(names), True))
    for _ in range(2):  # no name, and one that is there
        ring.press(panel.who.add)
        assert panel.is_troubled
    ring.press(panel.who.add)
    assert user_data.recipients()[-1].name == "Pier workshop" and panel.who.one.format == "pdf"
    ring.click("A printer", panel)
    assert not panel.who.forget.isEnabled()  # as it came already
    ring.click("Pier workshop", panel)
    assert (panel.wanted.form, panel.wanted.split) == ("pdf", "sheet")
    ring.press(panel.who.forget)
    assert user_data.recipients() == SHIPPED
    ring.click("My cutter", panel)
    ring.choose(panel._form, "Machine code")
    ring.press(panel._keep)
    assert user_data.recipients()[0].format == "gcode"
    ring.press(panel.who.forget)
    assert panel.wanted.form == "hpgl" and user_data.recipients() == SHIPPED


def test_a_dialect_is_made_in_the_window_and_used(ring, tmp_path):
    panel = ring.window.panels[RELEASE]
    panel.dialect.table_button.click()
    table = panel.dialect.table
    table._add()
    table.name.setText("Lamp")
    table.lines["on"].setPlainText("M3 S777")
    assert "M3 S777" not in table.sample.toPlainText()
    wait(lambda: "M3 S777" in table.sample.toPlainText())
    table.lines["off"].setPlainText("x" * 300)
    table.list.setCurrentRow(0)
    assert table.list.currentRow() != 0 and not table._said.isHidden()  # what is none is said, and stays
    table.lines["off"].setPlainText("M5")
    table._take()
    made = next(d for d in user_data.dialects() if d.name == "Lamp")
    place = panel.dialect.choice.findData(made.key)
    panel.dialect.choice.setCurrentIndex(place)
    panel.dialect.choice.activated.emit(place)
    ring.driver.settled()
    assert ring.recipe.dialect == made.key
    work = ring.window.session.work
    (_, make), = release.outgoing(work, tmp_path / "a.nc")
    assert b"M3 S777" in make()
    table._fill(user_data.dialects())
    table.list.setCurrentRow(0)
    table._take_out()
    assert "stays" in table._said.text() or len(table._dialects) == len(user_data.dialects()) - 1


def test_names_of_a_package_follow_the_pattern_of_the_window(ring, tmp_path, monkeypatch):
    panel = ring.window.panels[RELEASE]
    field = panel.placed.controls["file_names"].part
    field.setText("job-{what}-{width}")
    field.editingFinished.emit()
    ring.driver.settled()
    assert ring.recipe.file_names == "job-{what}-{width}"
    ring.click("All of it, to keep", panel)
    monkeypatch.setattr(QFileDialog, "getExistingDirectory", lambda *a, **k: str(tmp_path))
    ring.press(panel._write)
    wait(lambda: (tmp_path / "job-quote-120.pdf").exists(), 90, "the package")
    assert (tmp_path / "job-settings-120.json").exists()


def test_a_layer_that_was_moved_in_its_file_is_found(ring):
    work = ring.window.session.work
    (_, make), = release.outgoing(work, "a.svg")
    data, drawing = make(), make.drawing()
    look = looked_at("a.svg", ".svg", data, None)
    assert findings_of_file(look, drawing, ".svg") == ()
    moved = data.replace(b"<g id=", b'<g transform="translate(0.4 0)" id=', 1)
    assert moved != data
    found = findings_of_file(looked_at("a.svg", ".svg", moved, None), drawing, ".svg")
    assert [f.code for f in found] == ["release.register"]
    with_text = data.replace(b"</svg>", b'<text x="1" y="1">Tide</text></svg>')
    found = findings_of_file(looked_at("a.svg", ".svg", with_text, None), drawing, ".svg")
    assert "release.inside" in [f.code for f in found]


@pytest.mark.parametrize("kind", ["svg", "dxf", "hpgl", "gcode"])
def test_files_of_a_plain_work_have_nothing_against_them(kind, tmp_path):
    """What comes with the program: cuts of a blade that trails and runs on past its beginning, open lines of a pen."""
    form = formats()[kind]
    for key in ("mark", "pen"):
        recipe = replace(demo(key).recipe, machine=shipped()[0])
        work = Pipeline().evaluate(open_file(demo(key).picture_path).picture, recipe)
        (path, make), = release.outgoing(work, tmp_path / f"a{form.suffix}")
        look = looked_at(path.name, path.suffix, make(), recipe.machine)
        assert findings_of_file(look, make.drawing(), path.suffix) == (), key
