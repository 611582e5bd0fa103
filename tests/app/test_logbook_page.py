"""The logbook in the window: a release becomes a job, a film is found right, stock is kept."""

import json
from dataclasses import replace

import pytest
from PySide6.QtCore import QDate, QPoint
from PySide6.QtWidgets import QFileDialog, QLabel

from app.driver import pause, wait, written
from app.person import Person
from sketchloom.app.logbook.tables import KEYS
from sketchloom.app.stages.numbers import LAYERS, RELEASE, SHEETS, SOURCE
from sketchloom.core.logbook import inventory
from sketchloom.core.logbook.records import DONE, OFFCUT, Approval, Batch, Blade, Device, Job, Piece, Stock, Try, now
from sketchloom.core.logbook.store import Logbook
from sketchloom.core.sheets.machine import to_plain
from sketchloom.files import user_data, workshop
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
    page.which.chosen.emit(KEYS[kind])
    pause(20)


def test_a_release_becomes_a_job_whose_real_time_is_written_down(person, tmp_path):
    window, page = person.window, person.window.logging.page
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
    person.driver.type_into(page.jobs.note, "the blade was blunt")
    wait(lambda: kept(Job)[0].note, 30, "what really happened")
    assert kept(Job)[0].note == "the blade was blunt" and kept(Job)[0].real_s == 42 * 60
    page.search.setText("blunt")
    page.ask()
    listed(page, 1)
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
    window, page = person.window, person.window.logging.page
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
    # another machine has forces of its own: nothing is known of it yet
    tries.machine.setCurrentIndex(1)
    tries.machine.activated.emit(1)
    wait(lambda: "Tries so far: 0" in tries.said.text() and "Right before" not in tries.said.text(), 60, "anew")
    tries.machine.setCurrentIndex(0)
    tries.machine.activated.emit(0)
    wait(lambda: "Right before" in tries.said.text(), 60, "what is right")
    target = tmp_path / "piece.svg"
    monkeypatch.setattr(QFileDialog, "getSaveFileName", staticmethod(lambda *_: (str(target), "")))
    person.press(tries.piece)
    wait(lambda: target.exists() and not tries.stars.isHidden(), 30, "the test piece")
    # one click a star, then its verdict; the next one without a verdict is taken
    force, speed = kept(Piece)[0].settings()[6]
    person.press(tries.stars.button(7))
    assert (tries.force.value(), tries.speed.value()) == (force, speed)
    person.press(tries.verdicts["too deep"])
    wait(lambda: "↑" in tries.stars.button(7).text(), 60, "the verdict on the star")
    assert tries.stars.taken == ("piece", 8)
    assert next((one.ladder, one.number, one.force) for one in kept(Try)) == ("piece", 7, force)
    monkeypatch.setattr(QFileDialog, "getSaveFileName", staticmethod(lambda *_: (str(tmp_path / "t.csv"), "")))
    person.press(page.export)
    wait((tmp_path / "t.csv").exists, 30, "the table")
    assert (tmp_path / "t.csv").read_text().count("red film") == 3


def test_stock_is_kept_and_a_damaged_logbook_is_told(person):
    window, page = person.window, person.window.logging.page
    person.press(window.rail.logbook)
    turned(page, Stock)
    wait(lambda: "Nothing in stock" in page.said.text(), 30, "the list")
    page.stock.keep.click()
    pause(50)
    assert not kept(Stock) and not page.stock._said.isHidden(), "a material has a name"
    page.stock.fields["material"].setText("red film")
    person.press(page.stock.keep)
    listed(page, 1)
    assert kept(Stock)[0].width_mm == 300.0
    window.logging.close()


def test_what_is_no_logbook_is_said_on_the_page(person):
    path = data_folder() / "logbook.db"
    path.write_bytes(b"not a database at all")
    person.press(person.window.rail.logbook)
    wait(lambda: not person.window.logging.page.note.isHidden(), 30, "what is wrong")
    assert "is not a logbook" in person.window.logging.page.note.text()
    assert path.read_bytes() == b"not a database at all"
    person.window.show_stage(SOURCE)
    assert person.window.middle.currentWidget() is person.window.welcome


def answers(monkeypatch, path):
    """What a file dialog is answered with."""
    for name in ("getSaveFileName", "getOpenFileName"):
        monkeypatch.setattr(QFileDialog, name, staticmethod(lambda *_: (str(path), "")))


def planned(person):
    person.window.show_stage(SHEETS)
    person.settled()
    wait(lambda: person.window.planning.plan_of(person.driver.session.work) is not None
         and not person.window.planning.planner.lane.busy, 120, "the plan")
    return person.window.planning.plan


def released(person, path):
    done = []
    person.driver.session.leaving.released.connect(done.append)
    person.driver.session.leaving.write(path, Wanted(unchecked=("single",)), anyway=True)
    wait(lambda: done, 120, "the file")


def stocked(person, key, carrier, count):
    """So many sheets of a carrier's size, each worth 10, put into stock by hand."""
    page = person.window.logging.page
    person.press(person.window.rail.logbook)
    turned(page, Stock)
    wait(lambda: "Nothing in stock" in page.said.text(), 30, "the list")
    for name, value in (("material", key), ("count", count), ("value", 10.0 * count)):
        part = page.stock.fields[name]
        part.setText(value) if name == "material" else part.setValue(value)
    page.stock._mm.update(width_mm=carrier.width_mm, height_mm=carrier.height_mm)
    person.press(page.stock.keep)
    listed(page, 1)


def run_taken_back_and_done(person, sheets):
    """The chosen job runs, did not run after all, runs, and is done in 55 minutes."""
    page = person.window.logging.page
    assert not page.jobs.back.isEnabled()
    person.press(page.jobs.begin)
    wait(lambda: kept(Job)[0].state == "running", 30, "running")
    assert kept(Stock)[0].count == 2 and kept(Stock)[0].value == pytest.approx(20.0)
    wait(lambda: page.jobs.back.isEnabled(), 30, "the way back")
    person.press(page.jobs.back)
    wait(lambda: kept(Stock)[0].count == sheets + 2, 30, "what it took is back")
    wait(lambda: page.jobs.begin.isEnabled(), 30, "planned again")
    person.press(page.jobs.begin)
    wait(lambda: kept(Job)[0].state == "running", 30, "running")
    page.jobs.minutes.setValue(55.0)
    person.press(page.jobs.done)
    wait(lambda: any(one.kind == OFFCUT for one in kept(Stock)), 30, "the rests")


def rates_taken(person, job):
    """Rates from three more jobs like one, shown before plans take them."""
    page = person.window.logging.page
    with Logbook(data_folder() / "logbook.db") as book:
        book.add(*(replace(job, takes="", rests="", at=now(), real_s=factor * job.planned_s, state=DONE)
                   for factor in (1.4, 1.5, 1.6)))
    page.looks.chosen.emit("plot")
    wait(lambda: page.rates.take.isEnabled() and page.plot._chart is not None, 60, "the rates")
    assert page.plot._chart.count == 4 and "4 jobs" in page.rates.said.text()
    assert not user_data.prices().rates.paces and not page.rates.drop.isEnabled()
    person.press(page.rates.take)
    wait(lambda: page.rates.drop.isEnabled(), 30, "the rates are taken")


def test_the_whole_way_of_a_job_and_the_next_one_from_its_rest(person, tmp_path):
    """What the logbook is for: a film from the stock, a job released, run, timed, its time in the rates, its rest in
    the stock, and the rest under the next job."""
    window, page = person.window, person.window.logging.page
    person.driver.open(demo("lighthouse").picture_path)
    work = person.settled()
    film = user_data.materials()[0]
    edits = tuple(replace(work.recipe.edit_of(layer.plan.key), key=layer.plan.key, material=film.key)
                  for layer in work.layers)
    person.driver.session.change(replace(person.recipe, materials=(film,), layers=edits), "film")
    plan = planned(person)
    sheets = len(plan.sheets)
    carrier = plan.sheets[0].carrier

    stocked(person, film.key, carrier, sheets + 2)
    window.show_stage(RELEASE)
    person.settled()
    released(person, tmp_path / "badge.svg")
    person.press(window.rail.logbook)
    turned(page, Job)
    listed(page, 1)
    page.table.selectRow(0)
    wait(lambda: not page.jobs.look.isHidden(), 30, "how the work looks")
    run_taken_back_and_done(person, sheets)
    rests = [one for one in kept(Stock) if one.kind == OFFCUT]
    assert all(one.job == 1 and one.material == film.key and one.area_mm2 > 0 for one in rests)
    (job,) = kept(Job)
    assert len(rests) == len(inventory.rests_of(job)) and job.real_s == 55 * 60
    before = plan.tally.total_s
    rates_taken(person, job)
    pace = user_data.prices().rates.pace_of(job.machine)
    assert pace is not None and pace.cut > 1.0

    # the next job: the rest is proposed, used, and the plan takes so long as jobs do
    paced = planned(person)
    assert paced.tally.total_s > 1.15 * before and paced.tally.measured
    box = window.panels[SHEETS].offcuts
    wait(lambda: not box.stock.isHidden(), 30, "the rests that suit")
    person.click("Use", window.notices)
    wait(lambda: person.recipe.offcuts, 30, "the rests are used")
    plan = planned(person)
    used = [sheet for sheet in plan.sheets if sheet.is_offcut]
    assert used and all(sheet.rest.stock for sheet in used) and not plan.left_over
    for sheet in used:
        assert sheet.trouble(person.recipe.parts_gap_mm) == (set(), set())
    window.show_stage(RELEASE)
    released(person, tmp_path / "next.svg")
    wait(lambda: len(kept(Job)) == 5, 60, "the next job")
    newest = kept(Job)[0]
    takes = inventory.accounts_of(newest).takes
    assert {t.entry for t in takes if t.entry} == {sheet.rest.stock for sheet in used} and newest.paces
    person.press(window.rail.logbook)
    page.looks.show_value("list")
    page.looks.chosen.emit("list")
    listed(page, 5)
    page.table.selectRow(0)
    person.press(page.jobs.begin)
    wait(lambda: kept(Job)[0].state == "running", 30, "running")
    gone = [one for one in kept(Stock) if one.kind == OFFCUT and not one.count]
    assert len(gone) == len({sheet.rest.stock for sheet in used})


def test_a_job_is_opened_again_in_another_size_and_its_approval_is_kept_with_it(person, tmp_path, monkeypatch):
    window, page = person.window, person.window.logging.page
    person.driver.open(demo("lighthouse").picture_path)
    person.settled()
    person.driver.session.change(replace(person.recipe, smallest_mm=1.25), "detail")
    person.settled()
    released(person, tmp_path / "badge.svg")
    person.press(window.rail.logbook)
    listed(page, 1)
    page.table.selectRow(0)
    paper = tmp_path / "yes.txt"
    paper.write_text("Cut it.")
    answers(monkeypatch, paper)
    person.press(page.jobs.approve)
    wait(lambda: page.jobs.approvals.count() == 1, 30, "the approval")
    (approval,) = kept(Approval)
    assert workshop.path_of(approval.file).read_text() == "Cut it."
    answers(monkeypatch, tmp_path / "tool.exe")
    (tmp_path / "tool.exe").write_text("no")
    person.press(page.jobs.approve)
    wait(lambda: "none of the kinds" in (window.notices.text_of("logbook") or ""), 30, "what is not kept")

    person.driver.open(demo("panel").picture_path)
    person.settled()
    person.press(window.rail.logbook)
    listed(page, 1)
    page.table.selectRow(0)
    person.driver.type_into(page.jobs.wide, "60 mm")
    person.press(page.jobs.other)
    wait(lambda: window.stage == LAYERS and person.driver.session.document.recipe.smallest_mm == 1.25, 60, "again")
    work = person.settled()
    assert work.size_mm[0] == pytest.approx(60.0) and person.driver.session.document.path is None

    # all that belongs to it goes with it, files as well
    assert len(list(workshop.folder().iterdir())) == 3
    person.press(window.rail.logbook)
    listed(page, 1)
    page.table.selectRow(0)
    person.press(page.remove)
    person.click("Delete", window.notices)
    listed(page, 0)
    assert not kept(Approval) and not list(workshop.folder().iterdir())


def test_the_calendar_and_the_plots_show_what_there_is(person):
    window, page = person.window, person.window.logging.page
    with Logbook(data_folder() / "logbook.db") as book:
        book.add(Job("badge", at="2026-11-05T10:00:00+01:00", planned_s=600, real_s=700, state=DONE),
                 Job("sign", at="2026-11-05T12:00:00+01:00"), Job("banner", at="2026-12-01T00:00:00+01:00"))
        book.add(Try("red film", "film", 60.0, 50.0, "not through"), Try("red film", "film", 90.0, 50.0, "right"))
        book.add(Stock("film", 300.0, 300.0, least=1e6), Stock("card", 300.0, 300.0))
    person.press(window.rail.logbook)
    listed(page, 3)
    page.looks.chosen.emit("calendar")
    page.calendar.setCurrentPage(2026, 11)
    wait(lambda: page.calendar.jobs_of(QDate(2026, 11, 5)), 30, "the month")
    assert [name for _, name, _ in page.calendar.jobs_of(QDate(2026, 11, 5))] == ["badge", "sign"]
    assert not page.calendar.jobs_of(QDate(2026, 12, 1))
    page.calendar.setSelectedDate(QDate(2026, 11, 5))
    wait(lambda: page.chosen is not None and page.chosen.one.work == "badge", 30, "the job of a day")
    assert "badge, sign" in page.calendar.accessibleDescription()
    page.calendar.setFocus()
    page.calendar.activated.emit(page.calendar.selectedDate())
    wait(lambda: page.chosen.one.work == "sign", 30, "the next job of the day")
    # one that is too old to be listed is shown all the same
    page._kept, _ = [], page.table.setRowCount(0)
    page.calendar.activated.emit(page.calendar.selectedDate())
    wait(lambda: page.chosen is not None and page.chosen.one.work == "badge", 30, "the first one again")
    # the toolkit goes on with the bar that is hidden: years and months come and go, and the days' limits too
    for year in (2025, 2030, 1999):
        for month in range(1, 13):
            page.calendar.setCurrentPage(year, month)
    page.calendar.setDateRange(QDate(2020, 6, 1), QDate(2027, 3, 1))
    page.calendar.setCurrentPage(2020, 7)
    page.calendar.setCurrentPage(2027, 2)
    page.calendar.clearMinimumDate()
    pause(50)
    page.looks.chosen.emit("plot")
    wait(lambda: page.plot._chart is not None, 30, "the plot")
    assert page.plot._chart.count == 1 and "too few" in page.rates.said.text() and not page.rates.take.isEnabled()
    turned(page, Try)
    wait(lambda: page.plot._chart is not None and page.plot._chart.band is not None, 60, "the plot of tries")
    assert page.plot._chart.count == 2
    turned(page, Stock)
    wait(lambda: page.plot._chart is not None and page.plot._chart.bars, 30, "the plot of stock")
    assert [name for name, _, _ in page.plot._chart.bars] == ["film", "card"], "what is short comes first"
    page.plot.grab()  # it paints
    turned(page, Batch)
    assert page.look == "list" and page.looks.isHidden()


def test_materials_and_tools_are_kept_and_changed(person):
    window, page = person.window, person.window.logging.page
    person.press(window.rail.logbook)
    turned(page, Blade)
    page.blades.fields["name"].setText("Blade 3")
    page.blades.fields["since"].setText("last week")
    person.press(page.blades.keep)
    wait(lambda: not page.blades._said.isHidden(), 10, "why not")
    assert "moment" in page.blades._said.text() and not kept(Blade)
    page.blades.fields["since"].setText("2026-11-02")
    person.press(page.blades.keep)
    listed(page, 1)
    turned(page, Try)
    wait(lambda: page.tries.blade.count() == 2, 30, "the tools")
    page.tries.blade.setCurrentIndex(1)
    page.tries.material.setText("red film")
    page.tries._ask()
    wait(lambda: page.tries.verdicts["right"].isEnabled(), 60, "the first try")
    person.press(page.tries.verdicts["right"])
    wait(lambda: "new on 2026-11-02" in page.tries.said.text(), 60, "since when the tool is new")
    assert "% sure" in page.tries.said.text() and kept(Try)[0].blade == "Blade 3"
    turned(page, Blade)
    listed(page, 1)
    page.table.selectRow(0)
    page.blades.fields["note"].setText("blunt")
    person.press(page.blades.change)
    wait(lambda: kept(Blade)[0].note == "blunt", 30, "what was changed")
    assert len(kept(Blade)) == 1


def test_a_table_is_taken_in_whole_or_not_at_all(person, tmp_path, monkeypatch):
    window, page = person.window, person.window.logging.page
    person.press(window.rail.logbook)
    turned(page, Stock)
    path = tmp_path / "stock.csv"
    path.write_text("material,width_in,height_mm\nfilm,12,300\ncard,wide,3\n")
    answers(monkeypatch, path)
    person.press(page.take_in)
    wait(lambda: "Line 3" in (window.notices.text_of("logbook") or ""), 30, "what is wrong")
    assert not kept(Stock)
    path.write_text("material,width_in,height_mm\nfilm,12,300\n")
    person.press(page.take_in)
    listed(page, 1)
    assert kept(Stock)[0].width_mm == pytest.approx(304.8)
    # or all of it, out and in again
    whole = tmp_path / "all.json"
    answers(monkeypatch, whole)
    person.press(page.export)
    wait(lambda: written(tmp_path, "all.json"), 30, "the logbook")
    assert [row["material"] for row in json.loads(whole.read_text())["stock"]] == ["film"]
    person.press(page.take_in)
    listed(page, 2)


def test_what_can_be_read_of_a_damaged_logbook_is_saved_from_the_window(person, tmp_path, monkeypatch):
    path = data_folder() / "logbook.db"
    with Logbook(path) as book:
        book.add(*(Job(f"badge {n}", settings="x" * 3000) for n in range(60)))
    data = bytearray(path.read_bytes())
    data[len(data) // 2:len(data) // 2 + 5000] = b"\xff" * 5000
    path.write_bytes(data)
    window, page = person.window, person.window.logging.page
    person.press(window.rail.logbook)
    wait(lambda: not page.save.isHidden(), 30, "the way out")
    assert "damaged" in page.note.text()
    answers(monkeypatch, tmp_path / "saved.db")
    person.press(page.save)
    wait(lambda: "Saved" in (window.notices.text_of("logbook") or ""), 30, "what was saved")
    with Logbook(tmp_path / "saved.db") as book:
        assert 30 < book.count(Job) < 60 and book.is_sound()


def test_a_page_to_approve_is_no_job(person, tmp_path):
    person.driver.open(demo("lighthouse").picture_path)
    person.settled()
    done = []
    person.driver.session.leaving.written.connect(done.append)
    wanted = Wanted(form="approval", unchecked=("single",))
    person.driver.session.leaving.write(tmp_path / "page.pdf", wanted, anyway=True)
    wait(lambda: done, 120, "the page")
    pause(200)
    assert not kept(Job)


def test_the_trainer_asks_answers_and_keeps_the_progress(person):
    window, page = person.window, person.window.logging.page
    person.press(window.rail.logbook)
    page.which.chosen.emit("trainer")
    trainer = page.trainer
    wait(lambda: trainer.board.is_asked, 60, "the leak")
    board = trainer.board
    one = window.logging.training._one
    scale, left, top = board._scale()
    person.press(board, QPoint(round(left + scale * one.place[0]), round(top + scale * one.place[1])))
    assert trainer.said.text().startswith("Right.") and "mm wide" in trainer.said.text()
    board.placed.emit(0.0, 0.0)  # only the first answer counts
    assert user_data.training()["leak"].tried == 1 and user_data.training()["leak"].right == 1
    assert "1 of 1 right" in trainer.list.item(0).text()
    person.press(trainer.another)
    wait(lambda: window.logging.training._one is not None and window.logging.training._one.seed == 1, 60, "another")
    trainer.list.setCurrentRow(4)
    wait(lambda: len(trainer.buttons) == 2, 60, "which setting tears")
    best = window.logging.training._one.best
    person.press(trainer.buttons[1 - best])
    assert "own answer" in trainer.said.text() and "✓" in trainer.buttons[best].text()
    assert user_data.training()["tears"].right == 0 and page.side.isHidden()
    page.which.chosen.emit("jobs")
    assert not page.side.isHidden()


def test_machines_tell_what_they_did_and_go_back_into_the_table(person):
    window, page = person.window, person.window.logging.page
    own = replace(user_data.machines()[0], speed=55.0)
    with Logbook(data_folder() / "logbook.db") as book:
        book.add(Device(own.name, own.kind, described=json.dumps(to_plain((own,))[0])), Device("old pen", "pen"))
        book.add(Job("badge", machine=own.name, state=DONE, real_s=5400.0, ended="2026-11-29T10:00"))
    person.press(window.rail.logbook)
    turned(page, Device)
    listed(page, 2)
    page.table.selectRow(next(n for n, one in enumerate(page._kept) if one.one.name == "old pen"))
    wait(lambda: page.devices.look.isVisible(), 30, "what it did")
    assert not page.devices.into_table.isEnabled()
    assert page.table.columnWidth(0) > 300 > page.table.columnWidth(1)  # the names have what room is left
    page.table.selectRow(next(n for n, one in enumerate(page._kept) if one.one.name == own.name))
    wait(lambda: page.devices.look.isVisible() and page.devices.into_table.isEnabled(), 30, "what it did")
    assert "1" in [one.text() for one in page.devices.look.findChildren(QLabel)]
    person.press(page.devices.into_table)
    wait(lambda: not page.devices.into_table.isEnabled(), 30, "the table")
    assert own in user_data.machines() and len(user_data.machines()) == 5
    page.devices.fields["since"].setText("2026-05-01")
    person.press(page.devices.change)
    wait(lambda: any(one.since for one in kept(Device)), 30, "since when")
    assert next(one for one in kept(Device) if one.since).described  # what the form does not show stays


def test_plans_reckon_with_what_a_batch_cost(person):
    window, page = person.window, person.window.logging.page
    with Logbook(data_folder() / "logbook.db") as book:
        book.add(Batch("Adhesive film", "film", price=4.5, per="metre"))
    person.press(window.rail.logbook)
    turned(page, Batch)
    listed(page, 1)
    assert not page.batches.into_plans.isEnabled()
    page.table.selectRow(0)
    person.press(page.batches.into_plans)
    wait(lambda: user_data.prices().of("adhesive-film") is not None, 30, "the price")
    assert user_data.prices().of("adhesive-film").amount == 4.5
    assert "4.5" in window.notices.text_of("rates")


def test_sheets_shared_with_another_work_are_a_job_with_its_parts_in_the_plan(person, smaller, tmp_path):
    person.driver.open(smaller("lighthouse"))
    alone = planned(person).tally
    (tmp_path / "both").mkdir()
    done = []
    person.driver.session.leaving.written.connect(done.append)
    person.driver.session.leaving.write_shared([smaller("lighthouse")], tmp_path / "both", anyway=True)
    wait(lambda: done, 120, "the files")
    wait(lambda: kept(Job), 120, "the job")
    (job,) = kept(Job)
    assert job.work == "lighthouse-badge + 1" and job.sheets >= 1
    assert job.cut_s > 1.5 * alone.cut_s and job.motion
