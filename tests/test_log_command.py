"""``loom log``: the logbook without a window."""

import csv
import io
import json
from dataclasses import replace

import pytest

from sketchloom.command.main import main
from sketchloom.core.base.errors import AppError
from sketchloom.core.logbook import inventory
from sketchloom.core.logbook.calibration import motion_of
from sketchloom.core.logbook.records import Batch, Device, Job, Stock
from sketchloom.core.logbook.store import Logbook
from sketchloom.core.sheets import machine, response
from sketchloom.core.sheets.prices import Price, Prices
from sketchloom.desk.shop import Names, Service, price_of, service_of
from sketchloom.files import user_data, workshop
from sketchloom.files.demo_works import demo
from sketchloom.files.user_data import data_folder


@pytest.fixture(autouse=True)
def own_folders(tmp_path, monkeypatch):
    monkeypatch.setenv("XDG_DATA_HOME", str(tmp_path / "data"))


def log(*words):
    return main(["log", *words])


def star(force, verdict):
    return log("add", "tests", "family=heat film", "material=red film", f"force={force}", "speed=100",
               f"verdict={verdict}")


def test_a_film_is_found_right_by_the_command(capsys, tmp_path):
    assert log("next", "heat film", "red film", "--json") == 0
    first = json.loads(capsys.readouterr().out)
    assert first["tries"] == 0 and first["known"] == []
    star(first["force"], "not through")
    capsys.readouterr()
    assert log("next", "heat film", "red film", "--json") == 0
    second = json.loads(capsys.readouterr().out)
    assert second["force"] > first["force"] and second["tries"] == 1
    star(second["force"], "right")
    capsys.readouterr()
    assert log("next", "heat film", "red film") == 0
    told = capsys.readouterr().out
    assert f"right before: force {second['force']:g}" in told and "manual comes first" in told
    for name, begins in (("piece.svg", b"<?xml"), ("piece.plt", b"IN;")):
        assert log("next", "heat film", "red film", "--ladder", str(tmp_path / name)) == 0
        assert (tmp_path / name).read_bytes().startswith(begins)
    assert (tmp_path / "piece.svg").read_text().count("<g ") == 12, "a layer for each star"
    assert log("next", "heat film", "red film", "--ladder", str(tmp_path / "piece.xyz")) == 2


def test_entries_are_told_changed_and_removed(capsys, tmp_path):
    assert log("jobs") == 0 and "nothing yet" in capsys.readouterr().out
    assert log("add", "jobs", "work=badge", "width_mm=4in", "planned_s=600", "customer=stall 5") == 0
    assert log("add", "jobs", "work=banner", "planned_s=60") == 0
    assert log("change", "jobs", "1", "state=done", "real_s=700") == 0
    capsys.readouterr()
    assert log("jobs", "--search", "stall", "--json") == 0
    (one,) = json.loads(capsys.readouterr().out)
    assert one["entry"] == 1 and one["width_mm"] == 101.6 and one["real_s"] == 700 and one["at"]
    assert log("jobs", "--csv", str(tmp_path / "jobs.csv")) == 0
    rows = list(csv.DictReader(io.StringIO((tmp_path / "jobs.csv").read_text(), newline="")))
    assert [row["work"] for row in rows] == ["badge", "banner"]
    assert log("remove", "jobs", "1") == 0 and log("jobs") == 0
    told = capsys.readouterr().out
    assert "banner" in told and "badge" not in told


def test_out_and_in_again(capsys, tmp_path):
    star(80, "right")
    log("add", "stock", "material=red film", "kind=roll", "width_mm=300", "height_mm=5000")
    assert log("export", str(tmp_path / "all.json")) == 0
    other = str(tmp_path / "other.db")
    assert log("import", str(tmp_path / "all.json"), "--book", other) == 0
    (tmp_path / "stock.csv").write_text("material,width_in,height_mm\nblue film,12,800\n")
    assert log("import", "stock", str(tmp_path / "stock.csv"), "--book", other) == 0
    capsys.readouterr()
    assert log("stock", "--json", "--book", other) == 0
    assert sorted(round(one["width_mm"], 1) for one in json.loads(capsys.readouterr().out)) == [300, 304.8]
    assert log("save", str(tmp_path / "saved.db"), "--book", other) == 0
    assert "3 entries saved, 0 places" in capsys.readouterr().out
    assert log("save", str(tmp_path / "saved.db"), "--book", other) == 4


def test_rates_come_of_jobs(capsys, tmp_path):
    assert log("rates") == 2 and "too few" in capsys.readouterr().err
    for n in range(6):
        log("add", "jobs", f"work=badge {n}", "planned_s=600", f"cut_s={300 + 20 * n}", "weed_s=200", "real_s=900")
    capsys.readouterr()
    assert log("rates", "--json") == 0
    told = json.loads(capsys.readouterr().out)
    assert told["jobs"] == 6 and told["off_after"] < told["off_before"] and told["factors"]["cut_s"] > 1
    assert log("rates") == 0 and "times as long" in capsys.readouterr().out


@pytest.mark.parametrize(("words", "code"), [
    (("add",), 2), (("add", "films"), 2), (("add", "jobs"), 2), (("add", "jobs", "work"), 2),
    (("add", "tests", "force=much"), 2), (("add", "jobs", "work=a", "width_mm=7 miles"), 2), (("change", "jobs"), 2),
    (("change", "jobs", "7", "state=done"), 2), (("remove", "jobs", "all"), 2), (("next", "film"), 2),
    (("import", "none.json"), 3), (("import",), 3)])
def test_wrong_words_are_told_in_a_sentence(words, code, capsys):
    assert log(*words) == code
    told = capsys.readouterr().err
    assert told.startswith("loom: ") and "Traceback" not in told


def test_bad_files_are_told_and_left(tmp_path, capsys):
    bad = tmp_path / "bad.db"
    bad.write_bytes(b"not a database")
    assert log("jobs", "--book", str(bad)) == 3 and bad.read_bytes() == b"not a database"
    (tmp_path / "bad.json").write_text("[1, 2")
    assert log("import", str(tmp_path / "bad.json")) == 3
    (tmp_path / "bad.csv").write_text("material,width_mm,height_mm\nfilm,300,1\nfilm,wide,1\n")
    assert log("import", "stock", str(tmp_path / "bad.csv")) == 3
    assert "Line 3" in capsys.readouterr().err
    (found,) = (tmp_path / "data").rglob("logbook.db")
    with Logbook(found) as kept:
        assert kept.count(Job) == 0


def test_a_release_without_a_window_becomes_a_job_and_runs(tmp_path, capsys):
    """Traced onto a machine's sheets, kept, run from the stock, timed; its rests are there for the next."""
    words = ["trace", str(demo("lighthouse").picture_path), "--out-dir", str(tmp_path / "out"), "--machine", "blade",
             "--carrier", "12x12in", "--material", "all", "adhesive-film", "--width", "60mm", "--quiet"]
    assert main([*words, "--job"]) == 0
    with Logbook(data_folder() / "logbook.db") as book:
        ((number, job),) = [(k.number, k.one) for k in book.all(Job)]
        assert job.sheets >= 1 and job.planned_s > 0 and job.width_mm == pytest.approx(60.0) and job.digest
        takes = inventory.accounts_of(job).takes
        assert sum(one.sheets for one in takes) == job.sheets and {one.material for one in takes} == {"adhesive-film"}
        assert inventory.rests_of(job)
        # how its cuts answer to the machine, and the machine itself, are kept with it
        assert response.as_planned(motion_of(job)) == pytest.approx(job.cut_s, rel=0.01)
        ((entry, device),) = [(k.number, k.one) for k in book.all(Device)]
        blade = next(one for one in user_data.machines() if one.key == "blade")
        assert device.name == job.machine == blade.name and workshop.machine_of(device) == blade
        book.change(entry, replace(device, since="2026-05-01"))
        book.add(Stock("Adhesive film", 305.0, 305.0, count=job.sheets + 1))
    assert workshop.work_of(job).recipe.size_mm == 60.0
    capsys.readouterr()
    assert main(["log", "jobs"]) == 0 and main(["log", "machines"]) == 0
    told = capsys.readouterr().out  # nothing that only the program reads
    assert "2026-05-01" in told and "[[" not in told and '{"' not in told
    assert main(["log", "ran", str(number), "running"]) == 0
    with Logbook(data_folder() / "logbook.db") as book:
        assert book.all(Stock)[0].one.count == 1
    assert main(["log", "ran", str(number), "done", "--minutes", "12.5"]) == 0
    with Logbook(data_folder() / "logbook.db") as book:
        assert book.one(Job, number).one.real_s == 750.0
        assert any(k.one.kind == "offcut" for k in book.all(Stock))
    assert main(["log", "ran", str(number), "planned"]) == 0
    with Logbook(data_folder() / "logbook.db") as book:
        assert [(k.one.kind, k.one.count) for k in book.all(Stock)] == [("sheet", job.sheets + 1)]
    assert main(["log", "ran", "99", "done"]) == 2 and main(["log", "ran", str(number), "lost"]) == 2
    assert main([*words[:2], "--approval", str(tmp_path / "a.pdf"), "--job"]) == 2


def test_a_machine_is_kept_once_and_as_its_last_job_had_it(tmp_path):
    project = demo("lighthouse").project()
    blade = machine.shipped()[0]
    with Logbook(tmp_path / "own.db") as book:
        workshop.keep_job(book, Job("badge"), blade, project, None)
        (first,) = book.all(Device)
        book.change(first.number, replace(first.one, since="2026-05-01", note="new belt"))
        workshop.keep_job(book, Job("badge"), replace(blade, speed=55.0), project, None)
        (kept,) = book.all(Device)
        assert workshop.machine_of(kept.one).speed == 55.0 and kept.one.note == "new belt"
        assert workshop.machine_of(Device("bought", "blade")) is None
        for damaged in ("{", "[]", '{"key": 1}', "[" * 4000):
            with pytest.raises(AppError):
                workshop.machine_of(Device("bought", "blade", described=damaged))
        book.add(Job("badge", machine=blade.name, state="done", real_s=600.0, ended="2026-11-30T10:00"),
                 Job("badge", machine=blade.name, state="planned", real_s=0.0))
        assert service_of(book, blade.name) == Service(1, 600.0, "2026-11-30T10:00")
        assert service_of(book, "none") == Service(0, 0.0, "")


def test_the_price_of_a_batch_is_that_of_its_material():
    names = Names.from_table(user_data.materials())
    film = Batch("Adhesive film", "film", price=4.5, per="metre")
    price = price_of(film, names)
    assert (price.material, price.amount, price.per) == ("adhesive-film", 4.5, "metre")
    assert price_of(replace(film, name="own card"), names).material == "own card"
    assert price_of(replace(film, material="heat-film"), names).material == "heat-film"
    assert price_of(replace(film, price=0.0), names) is None
    table = Prices(materials=(Price("adhesive-film", 9.0, "m2"), Price("card", 2.0)), margin=0.2)
    kept = table.with_price(price)
    assert kept.of("adhesive-film") == price and kept.of("card").amount == 2.0 and len(kept.materials) == 2


def test_rates_are_taken_by_a_word(capsys):
    with Logbook(data_folder() / "logbook.db") as book:
        book.add(*(Job("badge", machine="cutter", planned_s=s, cut_s=0.5 * s, weed_s=0.4 * s, real_s=1.5 * s)
                   for s in (600.0, 900.0, 2000.0, 1200.0)))
    assert main(["log", "rates", "--take"]) == 2 and not user_data.prices().rates.paces
    assert main(["log", "rates", "cutter", "--take"]) == 0
    assert user_data.prices().rates.pace_of("cutter").cut > 1.2
    assert "take them from now on" in capsys.readouterr().out
