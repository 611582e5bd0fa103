"""The logbook in the window: a release becomes a job, a film is found right, stock is kept."""

import json

import pytest
from PySide6.QtWidgets import QFileDialog

from app.driver import pause, wait
from app.person import Person
from sketchloom.app.logbook.page import KINDS
from sketchloom.app.stages.numbers import RELEASE, SOURCE
from sketchloom.core.logbook.records import Job, Stock, Try
from sketchloom.core.logbook.store import Logbook
from sketchloom.files.demo_works import demo
from sketchloom.files.outgoing import Wanted
from sketchloom.files.user_data import data_folder


@pytest.fixture(autouse=True)
def own_logbook(tmp_path, monkeypatch):
    monkeypatch.setenv("XDG_DATA_HOME", str(tmp_path / "data"))


@pytest.fixture
def person(own_logbook, driver):
    made = Person(driver)
    made.window.resize(1280, 800)
    return made


def listed(page, count):
    wait(lambda: page.table.rowCount() == count, 30, f"{count} entries")


def kept(kind):
    with Logbook(data_folder() / "logbook.db") as book:
        return [one.one for one in book.all(kind)]


def turned(page, kind):
    page.which.chosen.emit(("jobs", "tests", "stock")[KINDS.index(kind)])
    pause(20)


def test_a_release_becomes_a_job_whose_real_time_is_written_down(person, tmp_path):
    window, page = person.window, person.window.logbook
    person.press(window.rail.logbook)
    assert window.middle.currentWidget() is page and not window.splitter.panel.isVisible()
    wait(lambda: "No job yet" in page.said.text(), 30, "the list")
    person.driver.open(demo("lighthouse").picture_path)
    assert window.middle.currentWidget() is window.bench and not window.rail.logbook.isChecked()
    done = []
    person.driver.session.leaving.written.connect(done.append)
    person.driver.session.leaving.write(tmp_path / "badge.svg", Wanted(unchecked=("single",)), anyway=True)
    wait(lambda: done, 60, "the file")
    person.key("Alt+7")
    listed(page, 1)
    page.table.selectRow(0)
    page.jobs.minutes.setValue(42.0)
    person.press(page.jobs.done)
    wait(lambda: page.table.item(0, 6).text() == "done", 30, "what it took")
    (job,) = kept(Job)
    assert job.work == "lighthouse-badge" and job.real_s == 42 * 60 and job.ended and len(job.digest) == 64
    assert job.files.endswith("badge.svg") and json.loads(job.settings)["unit"] == "mm" and job.width_mm == 120
    page.search.setText("nothing like it")
    page.ask()
    listed(page, 0)
    page.search.setText("LIGHT badge")
    page.ask()
    listed(page, 1)

    # deleted only when that is said twice
    page.table.selectRow(0)
    person.press(page.remove)
    assert kept(Job)
    person.click("Delete", window.notices)
    listed(page, 0)
    assert not kept(Job)
    window.show_stage(RELEASE)
    assert window.middle.currentWidget() is window.bench and window.splitter.panel.isVisible()
    assert not window.rail.logbook.isChecked() and window.rail.buttons[RELEASE].isChecked()


def test_a_film_is_found_right_in_the_window(person, tmp_path, monkeypatch):
    window, page = person.window, person.window.logbook
    person.press(window.rail.logbook)
    turned(page, Try)
    tries = page.tries
    assert not any(one.isEnabled() for one in tries.verdicts.values()), "nothing is judged before it is proposed"
    tries.family.setCurrentIndex(tries.family.findData("heat film"))
    tries.material.setText("red film")
    tries._ask()
    wait(lambda: tries.verdicts["right"].isEnabled(), 60, "the first try")
    first = tries.force.value()
    person.press(tries.verdicts["not through"])
    wait(lambda: tries.force.value() != first, 60, "the next try")
    assert tries.force.value() > first and "Tries so far: 1" in tries.said.text()
    listed(page, 1)
    person.press(tries.verdicts["right"])
    wait(lambda: "Right before" in tries.said.text(), 60, "what is right")
    assert [one.verdict for one in kept(Try)] == ["right", "not through"]
    target = tmp_path / "piece.svg"
    monkeypatch.setattr(QFileDialog, "getSaveFileName", staticmethod(lambda *_: (str(target), "")))
    person.press(tries.piece)
    wait(target.exists, 30, "the test piece")
    monkeypatch.setattr(QFileDialog, "getSaveFileName", staticmethod(lambda *_: (str(tmp_path / "t.csv"), "")))
    person.press(page.export)
    wait((tmp_path / "t.csv").exists, 30, "the table")
    assert (tmp_path / "t.csv").read_text().count("red film") == 2


def test_stock_is_kept_and_a_damaged_logbook_is_told(person):
    window, page = person.window, person.window.logbook
    person.press(window.rail.logbook)
    turned(page, Stock)
    page.stock.keep.click()
    assert "Nothing in stock" in page.said.text() or not page.table.rowCount(), "a material has a name"
    page.stock.material.setText("red film")
    person.press(page.stock.keep)
    listed(page, 1)
    assert kept(Stock)[0].width_mm == 300.0
    window.logging.close()


def test_what_is_no_logbook_is_said_on_the_page(person):
    path = data_folder() / "logbook.db"
    path.write_bytes(b"not a database at all")
    person.press(person.window.rail.logbook)
    wait(lambda: not person.window.logbook.note.isHidden(), 30, "what is wrong")
    assert "is not a logbook" in person.window.logbook.note.text()
    assert path.read_bytes() == b"not a database at all"
    person.window.show_stage(SOURCE)
    assert person.window.middle.currentWidget() is person.window.welcome
