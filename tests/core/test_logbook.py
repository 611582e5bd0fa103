"""The logbook: nothing lost, nothing half, damage told; the next try of a test cut; rates fitted to real times."""

import csv
import io
import os
import sqlite3
import stat
import subprocess
import sys
import threading
import time
from dataclasses import fields, replace
from pathlib import Path

import numpy as np
import pytest
from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st

from sketchloom.core.base.errors import AppError, SettingError
from sketchloom.core.base.setting import CHOICE, TEXT, WHOLE, settings_of
from sketchloom.core.logbook import book_file, exchange, records, schema, trials
from sketchloom.core.logbook.book_file import LogbookError
from sketchloom.core.logbook.records import KINDS, Approval, Job, Stock, Try
from sketchloom.core.logbook.rescue import save_into
from sketchloom.core.logbook.store import Logbook
from sketchloom.core.logbook.trials import Family, Guesses, Settings

ROOT = Path(__file__).parents[2]
STAR = Try("red film", "heat film", 80.0, 100.0, "not through", at="2026-11-30T10:00")


@pytest.fixture
def path(tmp_path):
    return tmp_path / "log" / "logbook.db"


def a_record(kind):
    """Any record of a kind, by the descriptions of its fields."""
    def values(one):
        if one.name in ("at", "began", "ended", "since"):
            return st.sampled_from(["", "2026-11-30T10:00:00+01:00", "2025-02-28"])
        if one.name == "stars":
            return st.just("90,50 120.5,50")
        if one.name == "hex":
            return st.sampled_from(["", "#12aBcd"])
        if one.name == "outline":
            return st.sampled_from(["", "0,0 10.5,0 0,7; 1,1 2,1 1,2"])
        if one.kind == CHOICE:
            return st.sampled_from(one.choices)
        if one.kind == TEXT:
            return st.text(st.characters(exclude_categories=("Cs", "Cc")), max_size=30)
        if one.kind == WHOLE:
            return st.integers(int(one.least), int(min(one.most, 10**6)))
        return st.floats(one.least, min(one.most, 1e6), allow_nan=False)
    return st.builds(kind, **{one.name: values(one) for one in settings_of(kind)})


any_record = st.sampled_from(list(KINDS.values())).flatmap(a_record)


@settings(max_examples=60, suppress_health_check=[HealthCheck.function_scoped_fixture])
@given(st.lists(any_record, max_size=12))
def test_what_is_kept_is_there_again_in_any_form(tmp_path_factory, some):
    path = tmp_path_factory.mktemp("log") / "a.db"
    with Logbook(path) as book:
        numbers = book.add(*some)
        assert book.is_sound()
    with Logbook(path) as book:
        assert [book.one(type(one), n).one for one, n in zip(some, numbers, strict=True)] == some
        for kind in KINDS.values():
            its = [one for one in some if type(one) is kind]
            kept = book.all(kind, newest_first=False)
            assert sorted(map(repr, its)) == sorted(repr(k.one) for k in kept) and book.count(kind) == len(its)
            assert exchange.from_csv(kind, exchange.to_csv(kind, kept)) == [
                replace(k.one, **{f.name: getattr(k.one, f.name).strip() for f in fields(kind) if f.type is str})
                for k in kept]
        again = [kept.one for kept in exchange.from_plain(exchange.to_plain(book))]
        assert sorted(map(repr, again)) == sorted(map(repr, some))
    path.unlink()


def test_search_finds_what_has_all_its_words_and_takes_signs_as_they_are(path):
    with Logbook(path) as book:
        book.add(Job("Lighthouse badge", customer="stall 5", at="2026-01-01"), Job("50% off_sign!", at="2026-01-02"),
                 Job("lighthouse banner", settings="badge", at="2026-01-03"))
        def found(words):
            return [k.one.work for k in book.all(Job, words)]
        assert found("LIGHT badge") == ["Lighthouse badge"]
        assert found("light") == ["lighthouse banner", "Lighthouse badge"], "the newest first"
        assert found("50%") == ["50% off_sign!"] == found("off_sign!") and found("5_") == []
        assert found("'; DROP TABLE jobs; --") == [] and book.count(Job) == 3
        assert book.all(Job, limit=1)[0].one.at == "2026-01-03"
        assert book.figures(Job, ("planned_s", "real_s")).shape == (3, 2)


def test_changed_and_deleted_for_good(path):
    with Logbook(path) as book:
        one, two = book.add(Job("badge", note="secret words"), Job("banner"))
        book.change(two, Job("banner", state="done", real_s=60.0))
        assert book.one(Job, two).one.real_s == 60.0
        with pytest.raises(LogbookError, match="gone"):
            book.change(99, Job("x"))
        book.remove(Job, one)
        assert book.one(Job, one) is None
    assert all(b"secret words" not in p.read_bytes() for p in path.parent.iterdir())
    with Logbook(path) as book:
        assert book.add(Job("next")) == [3], "numbers are never given twice"


def test_all_or_none_of_what_is_added_together(path, monkeypatch):
    with Logbook(path) as book:
        put = book.put
        def fails(one, number=None):
            if isinstance(one, Stock):
                raise sqlite3.OperationalError("disk is full")
            return put(one, number)
        monkeypatch.setattr(book, "put", fails)
        with pytest.raises(LogbookError, match=r"logbook\.db"):
            book.add(Job("badge"), Stock("film", 300.0, 500.0))
        assert book.count(Job) == 0


def test_two_windows_write_at_once_and_both_are_kept(path):
    Logbook(path).close()
    def write(name):
        with Logbook(path) as book:
            for n in range(40):
                book.add(Job(f"{name} {n}"))
    some = [threading.Thread(target=write, args=(name,)) for name in "ab"]
    for one in some:
        one.start()
    for one in some:
        one.join()
    with Logbook(path) as book:
        assert book.count(Job) == 80 and book.is_sound()


def test_what_was_said_to_be_kept_is_there_after_a_kill(path):
    # the bench kills 200 times (bench/logbook/kills.py); PRAGMA integrity_check says that the file is sound
    code = ("import sys\nfrom sketchloom.core.logbook.store import Logbook\n"
            "from sketchloom.core.logbook.records import Job\nbook = Logbook(sys.argv[1])\nn = 0\n"
            "while True:\n    n += 1\n    print(*book.add(Job(f'a {n}'), Job(f'b {n}')), flush=True)\n")
    said = set()
    for pause in (0.0, 0.01, 0.03):
        one = subprocess.Popen([sys.executable, "-c", code, str(path)], stdout=subprocess.PIPE, text=True,
                               env=os.environ | {"PYTHONPATH": str(ROOT / "src")})
        first = one.stdout.readline()
        time.sleep(pause)
        one.kill()
        rest = one.stdout.read().split("\n")[:-1]
        one.wait()
        said |= {int(n) for line in (first, *rest) for n in line.split()}
        with Logbook(path) as book:
            there = {kept.number for kept in book.all(Job)}
            assert said <= there and len(there) % 2 == 0 and book.is_sound()


def test_another_programs_lock_is_told_and_nothing_changes(path, monkeypatch):
    monkeypatch.setattr(book_file, "_WAIT_MS", 50)
    with Logbook(path) as book:
        other = sqlite3.connect(path, isolation_level=None)
        other.execute("BEGIN IMMEDIATE")
        with pytest.raises(LogbookError, match="another program holds it"):
            book.add(Job("badge"))
        other.execute("ROLLBACK")
        other.close()
        assert book.add(Job("badge")) == [1]


@pytest.mark.skipif(os.geteuid() == 0, reason="nothing is closed to the super user")
def test_a_folder_that_cannot_be_written_to_is_read_and_told(path):
    with Logbook(path) as book:
        book.add(Job("badge"))
    for one in (path, path.parent):
        one.chmod(stat.S_IRUSR | (stat.S_IXUSR if one.is_dir() else 0))
    try:
        with Logbook(path) as book:
            assert book.is_read_only and "only read" in book.note and book.count(Job) == 1
            with pytest.raises(LogbookError):
                book.add(Job("banner"))
    finally:
        path.parent.chmod(0o700)
        path.chmod(0o600)


def test_a_full_disk_is_told_and_nothing_changes(path):
    with Logbook(path) as book:
        book.add(Job("badge"))
        book._db.execute("PRAGMA max_page_count = 30")  # what SQLite says then is what it says of a full disk
        with pytest.raises(LogbookError, match="no space left"):
            book.add(*(Job("banner", note="x" * 20_000) for _ in range(40)))
        assert book.count(Job) == 1 and book.is_sound()


def test_a_damaged_logbook_is_only_read_and_what_can_be_read_is_saved(path):
    with Logbook(path) as book:
        book.add(*(Job(f"work {n}", note="y" * 3000) for n in range(60)))
        book._db.execute("PRAGMA wal_checkpoint(TRUNCATE)")
    data = bytearray(path.read_bytes())
    page = 4096
    for n in range(len(data) // page // 3, len(data) // page // 3 + 5):  # rows, not only what is searched
        data[n * page:n * page + page] = b"\x5a" * page
    path.write_bytes(data)
    with Logbook(path) as book:
        assert book.is_read_only and "damaged" in book.note
        copies = list(path.parent.glob("*-damaged*"))
        assert len(copies) == 1 and copies[0].read_bytes() == bytes(data)
        with pytest.raises(LogbookError):
            book.add(Job("more"))
        saved, lost = save_into(book, path.parent / "saved.db")
        assert 30 <= saved < 60 and lost
        with pytest.raises(LogbookError, match="already"):
            save_into(book, path.parent / "saved.db")
    with Logbook(path.parent / "saved.db") as book:
        assert book.count(Job) == saved and book.is_sound()
        assert {k.one.work for k in book.all(Job)} <= {f"work {n}" for n in range(60)}
    assert path.read_bytes() == bytes(data), "what is damaged is left as it is"
    Logbook(path).close()
    assert len(list(path.parent.glob("*-damaged*"))) == 1, "one copy, however often it is opened"


@pytest.mark.parametrize("data", [b"no database at all, whatever it is called", b"SQLite format 3\x00" + b"\xff" * 500])
def test_what_is_no_logbook_is_told_and_left(path, data):
    path.parent.mkdir()
    path.write_bytes(data)
    with pytest.raises(LogbookError):
        Logbook(path)
    assert path.read_bytes() == data


def test_another_programs_database_and_a_newer_one_are_left(path):
    path.parent.mkdir()
    other = sqlite3.connect(path)
    other.execute("CREATE TABLE mine (x)")
    other.commit()
    for version in (0, 1):
        other.execute(f"PRAGMA user_version = {version}")
        other.commit()
        before = path.read_bytes()
        with pytest.raises(LogbookError, match="no logbook"):
            Logbook(path)
        assert path.read_bytes() == before, "not even its way of keeping a journal"
    other.close()
    newer = path.with_name("newer.db")
    with Logbook(newer) as book:
        book.add(Job("badge"))
        book._db.execute("PRAGMA user_version = 99")
    before = newer.read_bytes()
    with pytest.raises(LogbookError, match="newer version"):
        Logbook(newer)
    assert newer.read_bytes() == before


def test_an_older_one_is_brought_forward_with_a_copy(path):
    with Logbook(path) as book:
        book.add(Job("badge"))
    def step(db):
        db.execute("ALTER TABLE jobs ADD COLUMN extra TEXT NOT NULL DEFAULT ''")
    with Logbook(path, [*schema.STEPS, step]) as book:
        copy = path.with_name(f"logbook-version-{len(schema.STEPS)}.db")
        assert copy.exists() and copy.name in book.note
        assert book._db.execute("SELECT extra FROM jobs").fetchall() == [("",)] and book.count(Job) == 1
    with Logbook(copy) as book:
        assert book.count(Job) == 1
    def fails(db):
        db.execute("ALTER TABLE jobs ADD COLUMN more TEXT")
        raise sqlite3.OperationalError("stopped")
    with pytest.raises(LogbookError):
        Logbook(path, [*schema.STEPS, step, fails])
    with Logbook(path, [*schema.STEPS, step]) as book:
        assert "more" not in [row[1] for row in book._db.execute("PRAGMA table_info(jobs)")]


FIRST_JOB = ("work", "files", "digest", "width_mm", "height_mm", "sheets", "machine", "material", "planned_s", "real_s",
             "cut_s", "travel_s", "lift_s", "weed_s", "lay_s", "film_mm2", "cost", "state", "customer", "note",
             "settings", "picture", "at", "began", "ended")
"""Columns of a job in the first version, which was shipped: written out, so that no change can change them."""


def first_version(path):
    """A file as the first version made it, with a job."""
    path.parent.mkdir(parents=True)
    with Logbook(path, schema.STEPS[:1]) as book:
        assert [row[1] for row in book.rows("PRAGMA table_info(jobs)")] == ["entry", *FIRST_JOB, "words"]
        its = [getattr(Job("badge", planned_s=90.0), name) for name in FIRST_JOB]
        marks = ", ".join("?" * (len(FIRST_JOB) + 1))
        book._db.execute(f"INSERT INTO jobs ({', '.join(FIRST_JOB)}, words) VALUES ({marks})", [*its, "badge"])


def test_a_file_of_the_first_version_is_read_where_it_is_closed_and_brought_forward_where_it_can_be(path):
    first_version(path)
    with Logbook(path, schema.STEPS[:1]) as book:  # as it is where the folder is closed: nothing brought forward
        assert [kept.one for kept in book.all(Job)] == [Job("badge", planned_s=90.0)]
    saved = path.with_name("saved.db")
    with Logbook(path, schema.STEPS[:1]) as book:
        assert save_into(book, saved) == (1, 0)
    with Logbook(path) as book:
        assert "version-1" in book.note and book.one(Job, 1).one == Job("badge", planned_s=90.0)
        book.change(1, Job("badge", source="/a.loom"))
        assert book.all(Job)[0].one.source == "/a.loom" and book.is_sound()


def test_several_changes_are_one(path):
    with Logbook(path) as book:
        book.add(Job("one"), Job("two"))
        with pytest.raises(LogbookError, match="entry 9 is gone"):
            book.apply([Stock("film", 10.0, 10.0)], [(1, Job("other")), (9, Job("none"))], [(Job, 2)])
        assert [k.one.work for k in book.all(Job, newest_first=False)] == ["one", "two"] and not book.count(Stock)
        assert book.apply([Stock("film", 10.0, 10.0)], [(1, Job("other"))], [(Job, 2)]) == [1]
        assert [k.one.work for k in book.all(Job)] == ["other"]


def test_records_that_cannot_be_are_refused():
    for wrong in (lambda: Try("a", "film", -1.0, 10.0, "right"), lambda: Try("a", "film", 1.0, 10.0, "fine"),
                  lambda: Job("a", at="yesterday"), lambda: Stock("a", 0.0, 1.0), lambda: Job("a" * 400),
                  lambda: Approval(-1, "f")):
        with pytest.raises(SettingError):
            wrong()
    assert records.now()[:2] == "20" and Job("a", at=records.now())
    assert Stock("film", 300.0, 500.0, count=3).area_mm2 == 450_000


# -- in and out ----------------------------------------------------------------------------


def test_csv_is_that_of_the_standard_to_another_reader(path):
    # RFC 4180: lines end in CR LF, quotes are doubled, fields with commas and breaks are quoted
    with Logbook(path) as book:
        book.add(Job('a "quoted", work', note="two\nlines", planned_s=1.5), Job("=1+2"))
        data = exchange.to_csv(Job, book.all(Job, newest_first=False))
    assert data.count(b"\r\n") == 3 and b'"a ""quoted"", work"' in data
    rows = list(csv.DictReader(io.StringIO(data.decode(), newline="")))
    assert rows[0]["work"] == 'a "quoted", work' and rows[0]["note"] == "two\nlines"
    assert float(rows[0]["planned_s"]) == 1.5 and rows[1]["work"] == "'=1+2", "no spreadsheet runs it"


def test_csv_from_elsewhere(path):
    made = exchange.from_csv(Stock, b"height_in,Nonsense,material,width_mm\n10,x,film,300\n\n20,,card,12.5\n")
    assert [(one.material, one.width_mm, one.height_mm) for one in made] == [("film", 300, 254), ("card", 12.5, 508)]
    for data, why in ((b"material,width_mm\nfilm,300\n", "height_mm"), (b"\xff\xfe", "UTF-8"),
                      (b"material,width_mm,height_mm\nfilm,wide,3\n", "Line 2"), (b"", "first line"),
                      (b"material,width_mm,height_mm\nfilm,300,1\nfilm,1e9,1\n", "Line 3"),
                      (b'material,width_mm,height_mm\n"film,300,1\n', "no CSV"),
                      (b"material,width_mm,height_mm\nfilm,,1\n", "Line 2"),
                      (b"material,width_mm,height_mm\nfilm,12,7 mm\n", "Line 2")):
        with pytest.raises(AppError, match=why):
            exchange.from_csv(Stock, data)
    for data in ([], {"jobs": 3}, {"jobs": [{"work": 3}]}, {"jobs": [{}]}):
        with pytest.raises(AppError):
            exchange.from_plain(data)


# -- test cuts -----------------------------------------------------------------------------


@given(st.floats(20, 300), st.floats(1.05, 1.5), st.floats(20, 300))
def test_the_chances_are_monotone_and_add_up(force, more, speed):
    guesses = Guesses("film")
    one, two = guesses.chances(force, speed), guesses.chances(force * more, speed)
    assert np.abs(one.sum(0) - 1).max() < 1e-9 and (one >= -1e-12).all()
    assert (two[0] <= one[0] + 1e-12).all(), "more force never cuts less"
    slower = guesses.chances(force, speed / more)
    assert (slower[0] <= one[0] + 1e-12).all()
    cut = np.minimum(1 - one[0], 1 - slower[0]) > 1e-3  # of what goes through a slower blade tears no more
    assert (slower[3][cut] / (1 - slower[0][cut]) <= one[3][cut] / (1 - one[0][cut]) + 1e-9).all()


def test_verdicts_move_the_limits_as_bayes_says():
    # with one limit that matters the weights are those of Bayes's rule, worked out by hand
    guesses = Guesses("film")
    before = guesses.weight.copy()
    chance = guesses.chances(80.0, 50.0)[0]
    guesses.take(80.0, 50.0, "not through")
    wanted = before * np.maximum(chance, 1e-4)
    assert guesses.weight == pytest.approx(wanted / wanted.sum())
    assert guesses.weight @ guesses.low > before @ guesses.low, "it takes more than was thought"
    with pytest.raises(SettingError):
        guesses.take(80.0, 50.0, "fine")


def test_the_next_try_is_right_after_few():
    rng = np.random.default_rng(4)
    for family in ("film", "heat film", "card"):
        known = trials.KNOWN[family]
        low = np.log(known.force) + np.log(known.spread) * rng.normal()
        tried, guesses = [], Guesses(family)
        for _ in range(6):
            one = guesses.next(Settings(), tried)
            bite = np.log(one.force) - 0.12 * np.log(one.speed / 50)
            verdict = ("not through" if bite < low else "torn" if one.speed > known.speed else
                       "right" if bite < low + np.log1p(known.window) else "too deep")
            if verdict == "right":
                break
            assert (one.force, one.speed) not in tried
            tried.append((one.force, one.speed))
            guesses.take(one.force, one.speed, verdict)
        assert verdict == "right", tried
        guesses.take(one.force, one.speed, "right")
        again = guesses.next(Settings(), tried)
        assert again.right > 0.5 and again.low <= again.high


def test_a_ladder_spans_what_is_not_known_and_narrows():
    wide = trials.ladder(Guesses("film"), Settings())
    assert len(wide) == 12 and len(set(wide)) == 12
    told = tuple(Try("a", "film", f, s, "right" if f > 90 else "not through") for f, s in wide[:4] if f < 130)
    narrow = trials.ladder(Guesses("film", told), Settings())
    def span(some):
        return max(f for f, _ in some) / min(f for f, _ in some)
    assert span(narrow) < span(wide)
    with pytest.raises(SettingError):
        Settings(force=(10.0, 5.0, 1.0))
    own = Guesses("unheard of", known=Family(100.0, 1.1, 0.3, 1.1, 100.0, 1.1)).next(Settings())
    assert 80 < own.force < 160
