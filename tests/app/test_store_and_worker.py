"""Files kept for the user, the document's history, and the two workers."""

import json
import threading
import time
from dataclasses import replace

import pytest
from PySide6.QtWidgets import QApplication

import shapes
from app.driver import pause, wait
from sketchloom.app import start
from sketchloom.app.bench.paint import SourceImage
from sketchloom.app.parts.notice import Notices
from sketchloom.app.work import disk
from sketchloom.app.work.document import Document
from sketchloom.app.work.jobs import Lane
from sketchloom.app.work.worker import Evaluator
from sketchloom.core.base.errors import ExportError
from sketchloom.core.base.progress import breathe
from sketchloom.desk import mends
from sketchloom.evaluate.cache import Cache
from sketchloom.files import project as projects
from sketchloom.files import recovery, user_data
from sketchloom.files.opening import open_bytes
from sketchloom.recipe.document import Recipe


@pytest.fixture(autouse=True)
def application():
    start.application()


@pytest.fixture
def opened():
    cover = shapes.cover_of(shapes.disc(40, 40, 25), 80)
    return open_bytes(shapes.png(shapes.colour_of(cover, (30, 53, 87), (255, 255, 255))), "disc.png")


def document_of(opened):
    return Document(opened.project, opened.pages)


def test_recent_files_are_those_that_exist_latest_first(tmp_path):
    files = [tmp_path / f"{k}.png" for k in range(15)]
    for file in files:
        file.touch()
        user_data.remember(file)
    user_data.remember(files[3])
    files[14].unlink()
    recent = user_data.recent_files()
    assert recent[0] == files[3] and len(recent) <= 12 and files[14] not in recent
    (user_data.data_folder() / "recent.json").write_text("{nonsense")
    assert user_data.recent_files() == []


def test_history_has_no_end_and_forgets_what_was_undone(opened):
    document = document_of(opened)
    for k in range(300):
        document.change(replace(document.recipe, smallest_mm=0.1 + k / 10), f"step {k}")
    assert document.undo_text() == "step 299"
    for _ in range(300):
        document.undo()
    assert document.recipe == Recipe() and document.undo_text() is None and document.redo_text() == "step 0"
    document.redo()
    document.change(replace(document.recipe, unit="in"), "unit")
    assert document.redo_text() is None
    document.drop_recovery().result()


def test_saved_is_known_through_undo_and_redo(opened, tmp_path):
    document = document_of(opened)
    document.change(replace(document.recipe, unit="in"), "unit")
    saving = document.saving(tmp_path / "a.sloom")
    assert saving.write(lambda: None, False)
    document.take_saved(saving)
    assert document.is_saved and not document.is_worth_keeping
    document.undo()
    assert not document.is_saved and document.is_worth_keeping
    document.redo()
    assert document.is_saved
    document.undo()
    document.change(replace(document.recipe, layering="fitted"), "other")
    document.undo()
    assert not document.is_saved  # what was saved can no longer be reached
    document.drop_recovery().result()


def test_a_recovery_copy_that_cannot_be_written_is_said(opened, monkeypatch):
    document, said = document_of(opened), []
    document.trouble.connect(said.append)
    monkeypatch.setattr(recovery, "write_whole", lambda *a: (_ for _ in ()).throw(ExportError("x", "no room.")))
    document.change(replace(document.recipe, unit="in"), "unit")
    document.write_recovery().result()
    pause()
    assert len(said) == 1 and "no room" in said[0]


def test_a_slow_disk_holds_no_hand_and_the_last_state_is_kept(opened, monkeypatch):
    """Copies are written beside the window, one after the other; who closes waits for the last."""
    document, at_once, threads, whole = document_of(opened), [], [], recovery.write_whole
    document._autosave.setInterval(1)

    def slow(path, data):
        threads.append(threading.current_thread())
        at_once.append(len(at_once))
        time.sleep(0.2)
        whole(path, data)

    monkeypatch.setattr(recovery, "write_whole", slow)
    document.change(replace(document.recipe, unit="in"), "unit")
    wait(lambda: at_once)
    document.change(replace(document.recipe, size_mm=77.0), "size")
    wait(lambda: len(at_once) == 3, what="the source and two states to be written")
    assert threading.main_thread() not in threads, "no write in the window's thread"
    document.change(replace(document.recipe, size_mm=78.0), "size")
    document.keep_for_next_start().result()
    (found,) = recovery.left_behind()
    assert found.project.recipe.size_mm == 78.0 and found.project.recipe.unit == "in"
    recovery.discard(found.folder)


def test_whatever_goes_wrong_beside_is_said(opened, monkeypatch):
    document, said = document_of(opened), []
    document.trouble.connect(said.append)
    monkeypatch.setattr(recovery, "to_json", lambda recipe: 1 / 0)
    document._autosave.setInterval(1)
    document.change(replace(document.recipe, unit="in"), "unit")
    wait(lambda: said)
    assert "recovery copy" in said[0]
    document.drop_recovery().result()


@pytest.mark.parametrize("harm", ["state", "source", "recipe"])
def test_a_damaged_copy_is_passed_over(opened, harm):
    document = document_of(opened)
    document.change(replace(document.recipe, unit="in"), "unit")
    document.keep_for_next_start().result()
    (folder,) = (user_data.data_folder() / "recovery").iterdir()
    assert len(recovery.left_behind()) == 1
    if harm == "state":
        (folder / "state.json").write_text("{")
    elif harm == "source":
        (folder / "source").unlink()
    else:
        plain = json.loads((folder / "state.json").read_text())
        plain["recipe"]["colours"] = 999
        (folder / "state.json").write_text(json.dumps(plain))
    assert recovery.left_behind() == []


def test_the_copy_of_a_running_program_is_not_offered(opened):
    document = document_of(opened)
    document.change(replace(document.recipe, unit="in"), "unit")
    document.write_recovery().result()
    assert recovery.left_behind() == []
    document.drop_recovery().result()


def test_only_the_newest_request_is_answered(opened):
    evaluator, seen = Evaluator(Cache()), []
    evaluator.ready.connect(lambda shown: seen.append(shown.number))
    numbers = [evaluator.request(opened.pages, Recipe(size_mm=50.0 + k), SourceImage(opened.picture)) for k in range(6)]
    wait(lambda: numbers[-1] in seen)
    pause(50)
    assert seen == sorted(seen) and seen[-1] == numbers[-1] and len(seen) <= 3
    evaluator.lane.close()


def test_a_failure_inside_is_a_sentence_and_the_worker_goes_on(opened, monkeypatch):
    evaluator, failed, ready = Evaluator(Cache()), [], []
    evaluator.failed.connect(lambda number, text: failed.append(text))
    evaluator.ready.connect(ready.append)
    real = evaluator._exact.evaluate
    monkeypatch.setattr(evaluator._exact, "evaluate", lambda *a, **k: 1 / 0)
    evaluator.request(opened.pages, Recipe(), SourceImage(opened.picture))
    wait(lambda: failed)
    assert "the work itself is safe" in failed[0] and "ZeroDivision" not in failed[0]
    monkeypatch.setattr(evaluator._exact, "evaluate", real)
    evaluator.request(opened.pages, Recipe(), SourceImage(opened.picture))
    wait(lambda: ready)
    evaluator.lane.close()


def lane_and_answers(**how):
    lane, got = Lane("test", **how), []
    return (
        lane,
        got,
        lambda work, name="": lane.run(
            name,
            work,
            lambda v: got.append(("then", v)),
            lambda w: got.append(("trouble", str(w))),
            lambda: got.append(("stopped", name)),
        ),
    )


def test_a_job_answers_once_with_its_result_or_a_sentence():
    lane, got, run = lane_and_answers()
    run(lambda _: 41 + 1)
    wait(lambda: got)
    run(lambda _: (_ for _ in ()).throw(ExportError("f", "no.")))
    wait(lambda: len(got) == 2)
    run(lambda _: 1 / 0)
    wait(lambda: len(got) == 3)
    assert got[:2] == [("then", 42), ("trouble", "f: no.")] and "inside the program" in got[2][1] and not lane.busy
    lane.close()


def test_the_newest_job_wins_or_jobs_queue_up():
    gate = threading.Event()
    for newest_wins, wanted in ((True, ["c"]), (False, ["a", "b", "c"])):
        lane, got, run = lane_and_answers(newest_wins=newest_wins)
        gate.clear()
        run(lambda progress: (gate.wait(5), progress.step(1, 2, "half"), "a")[-1])
        run(lambda _: "b")
        run(lambda _: "c")
        gate.set()
        wait(lambda: not lane.busy)  # noqa: B023
        assert [v for _, v in got] == wanted
        lane.close()


def test_cancel_stops_a_job_at_its_next_step_and_says_so_when_it_has_ended():
    lane, got, run = lane_and_answers()
    at, gate, after = threading.Event(), threading.Event(), []
    run(lambda progress: (at.set(), gate.wait(5), progress.step(1, 2, "half"), after.append(1)), "long")
    assert at.wait(5)
    lane.cancel()
    assert lane.busy and lane.is_stopping and not got
    gate.set()
    wait(lambda: got)
    assert got == [("stopped", "long")] and not after and not lane.busy
    lane.close()


def test_cancel_reaches_kernels_that_know_of_no_progress():
    lane, got, run = lane_and_answers()
    at, told = threading.Event(), []
    lane.progressed.connect(lambda share, text: told.append((share, text)))

    def deep(progress):
        progress.step(1, 2, "half")
        at.set()
        while True:
            time.sleep(0.01)
            breathe()
    run(deep, "long")
    assert at.wait(5)
    lane.cancel()
    wait(lambda: got)
    assert got == [("stopped", "long")] and set(told) <= {(0.5, "half")}
    lane.close()


def test_closing_never_waits_for_a_long_job():
    lane, got, run = lane_and_answers()
    at, gate = threading.Event(), threading.Event()
    run(lambda _: (at.set(), gate.wait(20)))
    assert at.wait(5)
    began = time.monotonic()
    lane.close()
    assert time.monotonic() - began < 0.5
    gate.set()
    pause(30)
    assert not got


def test_a_notice_replaces_the_one_before_on_its_topic():
    notices, clicked = Notices(), []
    notices.show()
    notices.say("open", "trouble", "first")
    notices.say("open", "ask", "second", (("Do it", lambda: clicked.append(1)),))
    assert notices.text_of("open") == "second"
    notices.drop("open")
    QApplication.processEvents()
    assert notices.text_of("open") is None and not clicked
    notices.deleteLater()


def slow_disk(monkeypatch, module):
    """Every file takes 0.3 s; the threads that wrote are noted."""
    threads, whole = [], module.write_whole

    def slow(path, data):
        threads.append(threading.current_thread())
        time.sleep(0.3)
        whole(path, data)
    monkeypatch.setattr(module, "write_whole", slow)
    return threads


def test_a_slow_disk_holds_no_window_that_saves(lighthouse, tmp_path, monkeypatch):
    """Seen: a window stood still for 4.4 s while its project was saved."""
    threads, path = slow_disk(monkeypatch, projects), tmp_path / "sign.sloom"
    session, document = lighthouse.session, lighthouse.session.document
    session.change(replace(document.recipe, unit="in"), "unit")
    session.save(path)
    session.change(replace(document.recipe, size_mm=77.0), "size")  # meanwhile the hand goes on
    lighthouse.save()
    assert threads and threading.main_thread() not in threads
    assert projects.load(path).recipe.size_mm != 77.0 and not document.is_saved
    document.undo()
    assert document.is_saved
    document.redo()
    for _ in range(2):  # the second waits for the first, and is not taken for what another window wrote
        session.save(path)
    assert lighthouse.save() and projects.load(path).recipe.size_mm == 77.0
    assert lighthouse.window.notices.text_of("save").startswith("Saved")


def test_who_closes_or_goes_on_while_it_is_saved_finds_it_saved_and_nothing_else(lighthouse, smaller, tmp_path,
                                                                               monkeypatch):
    slow_disk(monkeypatch, projects)
    session, path, set_aside = lighthouse.session, tmp_path / "sign.sloom", []
    session.set_aside.connect(lambda name, folder: set_aside.append(folder))
    session.change(replace(session.document.recipe, unit="in"), "unit")
    session.save(path)
    lighthouse.open(smaller("panel"))
    lighthouse.save()
    assert projects.load(path).recipe.unit == "in" and set_aside == [None]
    session.change(replace(session.document.recipe, size_mm=80.0), "size")
    session.save(path)
    lighthouse.window.close()
    disk.finish()
    assert projects.load(path).recipe.size_mm == 80.0 and recovery.left_behind() == []


def test_what_mends_is_worked_out_beside_the_window_and_left_where_the_work_changed_meanwhile(lighthouse, monkeypatch):
    """Seen: thickening all narrow places held the window for 0.9 s."""
    session, threads, mended = lighthouse.session, [], mends.mended
    session.change(replace(session.document.recipe, size_mm=400.0), "size")
    work, recipe = lighthouse.settled(), session.document.recipe
    found = next(f for f in work.findings if f.code == "size.over_carrier")

    def slow(finding, of):
        threads.append(threading.current_thread())
        time.sleep(0.2)
        return mended(finding, of)
    monkeypatch.setattr(mends, "mended", slow)
    session.mend(found)
    assert session.document.recipe is recipe
    assert "size.over_carrier" not in {f.code for f in lighthouse.settled().findings}
    assert threading.main_thread() not in threads
    session.document.undo()
    lighthouse.settled()
    session.mend(found)
    session.change(replace(session.document.recipe, unit="in"), "unit")
    changed = session.document.recipe
    lighthouse.settled()
    now = session.document.recipe
    assert len(threads) == 2 and (now.unit, now.size_mm) == ("in", changed.size_mm)


def test_a_saved_work_that_is_saved_again_and_left_meanwhile_ends_without_an_error(lighthouse, smaller, tmp_path,
                                                                                   monkeypatch):
    """Seen: the answer came to a document that was gone; what went wrong is looked for by the fixture."""
    path = tmp_path / "sign.sloom"
    assert lighthouse.save(path)
    slow_disk(monkeypatch, projects)
    document, saved = lighthouse.session.document, []
    lighthouse.session.saved.connect(saved.append)
    gone = []
    document.destroyed.connect(lambda: gone.append(True))
    lighthouse.session.save(path)
    lighthouse.open(smaller("panel"))
    wait(lambda: gone and saved)
    assert saved == [path] and recovery.left_behind() == []


def test_a_full_disk_is_told_and_nothing_counts_as_saved(lighthouse, tmp_path, monkeypatch):
    session = lighthouse.session
    session.change(replace(session.document.recipe, unit="in"), "unit")
    monkeypatch.setattr(projects, "write_whole", lambda *a: (_ for _ in ()).throw(ExportError("x", "no room.")))
    assert not lighthouse.save(tmp_path / "sign.sloom")
    assert "no room" in lighthouse.window.notices.text_of("save") and session.document.path is None
    lighthouse.window.close()
    disk.finish()
    assert [found.project.recipe.unit for found in recovery.left_behind()] == ["in"]
