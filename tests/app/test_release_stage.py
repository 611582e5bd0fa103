"""The stage Release in the real window: who gets it, files looked at before they are written, and what holds them."""

import json
import threading
from dataclasses import replace

import numpy as np
import pypdfium2
import pytest
from PIL import Image
from PySide6.QtCore import QPointF, Qt
from PySide6.QtGui import QGuiApplication
from PySide6.QtTest import QTest
from PySide6.QtWidgets import QFileDialog, QInputDialog

from app.driver import pause, wait, written
from app.known import knowing_driver
from app.person import Person
from sketchloom.app.stages.numbers import LAYERS, RELEASE
from sketchloom.core.logbook.records import Job
from sketchloom.core.logbook.store import Logbook
from sketchloom.core.playback.machine import Bed, StandIn
from sketchloom.core.sheets.machine import shipped
from sketchloom.core.sheets.material import shipped as materials
from sketchloom.core.simulate.camera import Shot
from sketchloom.files import cut_files, print_and_cut, user_data, workshop
from sketchloom.files.standing_in import Line
from sketchloom.recipe.parts import LayerEdit


@pytest.fixture
def badge(tmp_path, monkeypatch, smaller):
    monkeypatch.setenv("XDG_DATA_HOME", str(tmp_path / "data"))
    monkeypatch.setenv("XDG_CONFIG_HOME", str(tmp_path / "config"))
    driver = knowing_driver()
    driver.open(smaller("lighthouse"))
    person = Person(driver)
    person.stage("Release")
    driver.settled()
    yield person
    driver.close()


def looked_at(person):
    """Press the button and wait for the looks."""
    view = person.window.play_view
    person.press(person.window.panels[RELEASE]._look)
    wait(lambda: person.window.middle.currentWidget() is view and view._look is not None, 60, "a look at the files")
    pause(30)
    return view


def test_who_gets_it_says_format_files_and_settings(badge):
    panel = badge.window.panels[RELEASE]
    assert panel.wanted.form == "svg" and panel._write.text() == "Write SVG…"
    badge.click("A laser shop", panel)
    assert (panel.wanted.form, panel.wanted.split) == ("dxf", "sheet") and badge.recipe.dxf_curves == "arcs"
    assert panel._write.text() == "Write DXF…"
    badge.key("Ctrl+Z")
    assert badge.recipe.dxf_curves == "splines"
    badge.click("The customer", panel)
    assert "approve" in panel._write.text() and not panel._report.isEnabled() and not panel._how.isEnabled()


def test_every_way_of_parting_can_be_looked_at_or_says_so(badge):
    panel = badge.window.panels[RELEASE]
    badge.click("Versions", panel)
    assert not panel._look.isEnabled() and panel._write.isEnabled()
    for name, count in (("Per layer", 6), ("Per design", 1)):
        badge.click(name, panel)
        view = looked_at(badge)
        assert len(view._looks) == count and all(look.film is not None for look in view._looks)
        badge.window.viewing.end_looks()


def test_what_was_chosen_for_somebody_is_kept(badge):
    panel = badge.window.panels[RELEASE]
    badge.click("Another designer", panel)
    badge.choose(panel._form, "PDF in true size")
    badge.press(panel._report)
    badge.press(panel._keep)
    assert next(r for r in user_data.recipients() if r.key == "designer").format == "pdf"
    badge.driver.session.change(replace(badge.recipe, prints_picture=True, kerf_mm=0.3, picture_dpi=99), "other")
    badge.click("A printer", panel)
    badge.click("Another designer", panel)
    assert panel.wanted.form == "pdf" and panel.wanted.report
    assert (badge.recipe.prints_picture, badge.recipe.kerf_mm, badge.recipe.picture_dpi) == (False, 0.0, 300)
    assert next(r for r in user_data.recipients() if r.key == "laser").format == "dxf"  # others stay


def test_files_are_played_as_a_machine_runs_them(badge):
    panel = badge.window.panels[RELEASE]
    badge.click("My cutter", panel)
    view = looked_at(badge)
    looks = view._looks
    assert len(looks) == len(badge.driver.work.layers) and all(look.name.endswith(".plt") for look in looks)
    for look in looks:
        assert look.film.seconds == pytest.approx(look.planned_s, rel=0.05)
        assert look.told.open == 0 and not look.moves.troubles
    assert f"{looks[0].told.strokes} cuts" in view._said.text()
    before = view.canvas.grab().toImage()
    view.speed.setCurrentIndex(4)
    QTest.keyClick(view, Qt.Key.Key_Space)
    assert view.is_playing
    wait(lambda: not view.is_playing, 20, "the film's end")
    assert view.second == pytest.approx(looks[0].film.seconds)
    assert view.canvas.grab().toImage() != before
    view.time.setValue(500)
    assert view.second == pytest.approx(looks[0].film.seconds / 4, rel=0.01)
    QTest.keyClick(view, Qt.Key.Key_Right)
    assert view.second == pytest.approx(looks[0].film.seconds / 4 + 1.0, rel=0.02)
    view.files.setCurrentIndex(1)
    view.files.activated.emit(1)
    assert view._look is looks[1] and view.second == 0.0
    badge.click("Back to the work", view)
    assert badge.window.middle.currentWidget() is badge.window.bench


@pytest.mark.parametrize(("who", "pages"), [("A printer", 1), ("The customer", 1)])
def test_papers_are_looked_at_as_pages(badge, who, pages):
    badge.click(who, badge.window.panels[RELEASE])
    view = looked_at(badge)
    assert len(view._look.pages) == pages and not view._controls.isVisible()
    badge.stage("Layers")
    assert badge.window.middle.currentWidget() is badge.window.bench and badge.window.stage == LAYERS


def test_a_page_to_approve_keeps_its_revision(badge, tmp_path, monkeypatch):
    panel, target = badge.window.panels[RELEASE], tmp_path / "page.pdf"
    monkeypatch.setattr(QFileDialog, "getSaveFileName", lambda *_: (str(target), ""))
    badge.click("The customer", panel)
    texts = []
    for _ in range(2):
        target.unlink(missing_ok=True)
        badge.press(panel._write)
        wait(target.exists, 30, "the page")
        badge.settled()
        texts.append(pypdfium2.PdfDocument(target.read_bytes())[0].get_textpage().get_text_range())
        badge.driver.session.change(badge.recipe.with_width(150.0), "size")
        badge.settled()
    assert [a.name for a in badge.recipe.alternatives] == ["Revision 1", "Revision 2"]
    assert "Revision 1" in texts[0] and "Changed since" not in texts[0]
    assert "Revision 2" in texts[1] and "size, before 120.0" in texts[1]


def test_a_job_is_kept_in_one_folder(badge, tmp_path, monkeypatch):
    panel, folder = badge.window.panels[RELEASE], tmp_path / "job"
    folder.mkdir()
    monkeypatch.setattr(QFileDialog, "getExistingDirectory", lambda *_: str(folder))
    badge.click("All of it, to keep", panel)
    badge.press(panel._write)
    wait(lambda: len(written(folder)) > 10, 60, "the package")
    names = {p.suffix for p in folder.iterdir()}
    assert names == {".plt", ".svg", ".pdf", ".png", ".json"}
    for path in folder.glob("*.plt"):
        assert not cut_files.read(path).moves.troubles
    report = json.loads(next(folder.glob("*report.json")).read_text())
    assert report["sheets"] and report["written_anyway"] == []


def test_a_finding_that_says_stop_is_asked_about(badge, tmp_path, monkeypatch):
    folder = tmp_path / "out"
    folder.mkdir()
    laser = next(m for m in shipped() if m.key == "laser")
    film = next(m for m in materials() if "laser" not in m.tools)
    layers = (LayerEdit(badge.driver.work.layers[0].plan.key, material=film.key),)
    badge.driver.session.change(replace(badge.recipe, machine=laser, materials=(film,), layers=layers), "laser")
    badge.settled()
    monkeypatch.setattr(QFileDialog, "getExistingDirectory", lambda *_: str(folder))
    panel = badge.window.panels[RELEASE]
    badge.click("A laser shop", panel)
    badge.settled()
    badge.press(panel._write)
    notices = badge.window.notices
    wait(lambda: notices.text_of("write"), 60, "a question")
    assert "Nothing was written" in notices.text_of("write") and not list(folder.iterdir())
    badge.click("Write all the same; the report says it", notices)
    wait(lambda: written(folder, "*.dxf"), 60, "the files")


def test_the_work_is_copied_and_dragged_as_svg(badge):
    panel = badge.window.panels[RELEASE]
    badge.click("Copy as SVG", panel)
    data = QGuiApplication.clipboard().mimeData()
    assert data.hasFormat("image/svg+xml") and data.text().startswith("<?xml") and "layer-01" in data.text()
    path = panel.drag.make()
    assert path.suffix == ".svg" and path.read_bytes() == bytes(data.data("image/svg+xml"))


def test_settings_of_handing_over_are_in_their_fold_and_change_the_files(badge):
    panel = badge.window.panels[RELEASE]
    panel.fold.head.setChecked(True)
    pause(20)
    badge.click("A laser shop", panel)
    badge.settled()
    assert {"kerf_mm", "dxf_version", "svg_reader"} <= set(panel.placed.controls)
    plain = looked_at(badge)._looks
    badge.driver.session.change(replace(badge.recipe, kerf_mm=0.4), "kerf")
    badge.settled()
    badge.window.viewing.end_looks()
    cut = looked_at(badge)._looks
    grown = [a.told.width_mm - b.told.width_mm for a, b in zip(cut, plain, strict=True)]
    assert np.array(grown) == pytest.approx(0.4, abs=0.03)


def test_a_sheet_is_sent_to_a_machine_that_cuts_what_was_played(badge, monkeypatch):
    machine = StandIn("hpgl", Bed(305.0, 610.0))
    line, over = Line(machine), threading.Event()
    serving = threading.Thread(target=line.serve, args=(over.is_set, 0.02))
    serving.start()
    try:
        badge.click("My cutter", badge.window.panels[RELEASE])
        view = looked_at(badge)
        monkeypatch.setattr(QInputDialog, "getText", lambda *_, **__: (line.address, True))
        badge.press(view.send)
        wait(lambda: badge.window.notices.text_of("send"), 30, "the machine to have taken it")
    finally:
        over.set()
        serving.join()
        line.close()
    assert "Sent" in badge.window.notices.text_of("send") and not machine.errors
    assert np.array_equal(machine.moves().end, view._look.moves.end)

    def jobs():
        with Logbook(user_data.data_folder() / workshop.BOOK) as book:
            return [kept.one for kept in book.all(Job)]
    wait(lambda: [job.state for job in jobs()] == ["running"], 60, "the job that runs")
    assert jobs()[0].began and jobs()[0].planned_s > 0 and jobs()[0].work == badge.driver.session.document.name
    monkeypatch.setattr(QInputDialog, "getText", lambda *_, **__: ("/dev/nowhere-at-all", True))
    badge.press(view.send)
    wait(lambda: "cannot be reached" in badge.window.notices.text_of("send"), 30, "a sentence")
    badge.click("A printer", badge.window.panels[RELEASE])
    badge.window.viewing.end_looks()
    assert looked_at(badge).send.isHidden()


def test_what_is_forgotten_can_no_more_be_sent(badge):
    """Seen: the button of a file that was gone, and an error that said so."""
    badge.click("My cutter", badge.window.panels[RELEASE])
    view, wanted = looked_at(badge), []
    view.send_wanted.connect(wanted.append)
    assert not view.send.isHidden() and view.files.count()
    view.forget()
    view.send.click()
    assert view.send.isHidden() and view._controls.isHidden() and not view.files.count() and not wanted


def test_a_picture_of_the_bed_puts_the_cuts_where_the_page_lies(badge, tmp_path, monkeypatch):
    monkeypatch.setattr(print_and_cut, "Shot", lambda: Shot(pixels=1600))  # half of what a phone gives
    panel = badge.window.panels[RELEASE]
    camera = panel.camera
    assert not camera.isVisible()
    badge.click("Print, then cut", panel)
    assert camera.isVisible() and camera.found is None and panel.wanted.found is None
    badge.choose(camera.bed, "12 × 24 in")
    badge.press(camera.simulated)
    wait(lambda: camera.found is not None, 60, "the page in the picture")
    assert camera.found.turned_deg == pytest.approx(Shot().turn_deg, abs=0.05)
    seen = camera._grey
    # the same picture as a file, of a bed whose edge is not in it
    Image.fromarray(seen[:, : seen.shape[1] * 9 // 10]).save(tmp_path / "phone.png")
    monkeypatch.setattr(QFileDialog, "getOpenFileName", lambda *a, **k: (str(tmp_path / "phone.png"), ""))
    badge.press(camera.take)
    wait(lambda: camera.said.objectName() == "trouble", 60, "it is said that no bed was found")
    assert camera.found is None and "corners" in camera.said.text()
    Image.fromarray(seen).save(tmp_path / "phone.png")
    badge.press(camera.take)
    wait(lambda: camera.found is not None, 60, "the page in the file")
    # a corner that is moved by hand goes back onto the bed's
    corners = [QPointF(p) for p in camera.picture.corners]
    camera.picture.setFocus()
    for key in (Qt.Key.Key_Right, Qt.Key.Key_Down, Qt.Key.Key_Return):
        QTest.keyClick(camera.picture, key)
    moved = camera.picture.corners[0]
    assert (moved - corners[0]).manhattanLength() > 3
    wait(lambda: camera.picture.corners[0] is not moved, 60, "looked for again")
    assert (camera.picture.corners[0] - corners[0]).manhattanLength() < 1.5
    out = tmp_path / "cuts"
    out.mkdir()
    monkeypatch.setattr(QFileDialog, "getExistingDirectory", lambda *a, **k: str(out))
    badge.press(panel._write)

    def first():
        return next((cut_files.read(path).moves for path in written(out, "*-cut-01*")), None)

    wait(first, 60, "the files")
    there = first()
    badge.press(camera.forget)
    assert panel.wanted.found is None
    badge.driver.session.leaving.write(out, panel.wanted, replace=True)

    def are_as_printed():
        now = first()
        return now is not None and np.abs(now.end[0] - there.end[0]).max() > 3

    wait(are_as_printed, 60, "files as printed")
