"""A whole logbook taken into another one: what names something by its number still names the same."""

import json
from dataclasses import replace

import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from amounts import examples
from sketchloom.core.base.errors import AppError
from sketchloom.core.logbook import exchange, inventory
from sketchloom.core.logbook.inventory import Accounts, Taken
from sketchloom.core.logbook.moving import everything, take_in, taken_in
from sketchloom.core.logbook.records import DONE, PLANNED, RUNNING, Approval, Batch, Job, Stock
from sketchloom.core.logbook.store import Logbook
from sketchloom.core.sheets.prices import Prices
from sketchloom.desk.shop import Names, ran

NAMES = Names({"film": ("film",)})
SQUARE = "0,0 100,0 100,100 0,100"


def workshop(path):
    """A logbook with jobs that took of the stock, gave a rest to it, and were approved."""
    with Logbook(path) as book:
        book.add(Job("thrown away"))
        book.remove(Job, 1)
        sheets, rest = book.add(Stock("film", 300.0, 300.0, count=5), Stock("film", 90.0, 90.0, kind="offcut"))
        left = inventory.as_text((inventory.Left("film", "", 100.0, 100.0, SQUARE),))
        first, second = book.add(
            Job("badge", takes=inventory.as_text(Accounts((Taken("film", "", 300.0, 300.0, 2),))), rests=left),
            Job("sign", takes=inventory.as_text(Accounts((Taken("film", "", 90.0, 90.0, 1, entry=rest),)))))
        for job in (first, second):
            ran(book, job, RUNNING, NAMES, Prices())
        ran(book, first, DONE, NAMES, Prices(), 60.0)
        book.add(Approval(second, "a.pdf"), Batch("Film", "film"))
        assert book.one(Stock, sheets).one.count == 3
    return path


def state(book):
    """What there is, whatever its numbers."""
    stock = sorted((k.one.kind, k.one.width_mm, k.one.count) for k in book.all(Stock))
    jobs = {k.number: k.one.work for k in book.all(Job)}
    return (stock, sorted((k.one.work, k.one.state) for k in book.all(Job)),
            sorted((jobs.get(k.one.job), k.one.file) for k in book.all(Approval)),
            sorted(str(jobs.get(k.one.job)) for k in book.all(Stock)))


@settings(max_examples=examples(12))
@given(there=st.integers(0, 4))
def test_jobs_still_give_back_what_they_took(tmp_path_factory, there):
    folder = tmp_path_factory.mktemp("books")
    source = workshop(folder / "one.db")
    whole = folder / "whole.json"
    with Logbook(source) as book, Logbook(folder / "two.db") as other:
        whole.write_bytes(everything(book))
        if there:
            other.add(*(Job("here") for _ in range(there)), *(Stock("card", 10.0, 10.0) for _ in range(there)))
        before = state(other)
        count = taken_in(other, whole)
        assert count == sum(len(rows) for rows in exchange.to_plain(book).values())
        for n, (mine, its) in enumerate(zip(state(other), state(book), strict=True)):
            assert sorted([*before[n], *its]) == mine
        for one in (book, other):
            for work in ("badge", "sign"):
                ran(one, one.all(Job, work=work)[0].number, PLANNED, NAMES, Prices())
            # by hand: five sheets and the rest of 90 mm, and the rest of 100 mm gone again
            assert [row for row in state(one)[0] if row[1] != 10.0] == [("offcut", 90.0, 1), ("sheet", 300.0, 5)]


def test_what_names_nothing_of_the_file_names_nothing_here(tmp_path):
    with Logbook(workshop(tmp_path / "one.db")) as book:
        plain = exchange.to_plain(book)
    plain["stock"] = []
    with Logbook(tmp_path / "two.db") as other:
        other.add(Job("here"), Stock("card", 10.0, 10.0), Stock("card", 20.0, 20.0), Stock("card", 30.0, 30.0))
        take_in(other, exchange.from_plain(json.loads(json.dumps(plain))))
        for work in ("badge", "sign"):
            ran(other, other.all(Job, work=work)[0].number, PLANNED, NAMES, Prices())
        assert state(other)[0] == [("sheet", 10.0, 1), ("sheet", 20.0, 1), ("sheet", 30.0, 1)]
        take_in(other, [replace(kept, one=Approval(77, "b.pdf")) for kept in other.all(Approval)])
        assert other.all(Approval)[0].one.job == 0


def test_a_file_is_taken_in_whole_or_not_at_all(tmp_path):
    with Logbook(tmp_path / "one.db") as book:
        for name, text in (("a.json", "{"), ("b.json", "[" * 5000), ("c.json", '{"jobs": [{"work": 3}]}'),
                           ("e.json", '{"jobs": [{"work": "a", "entry": 1}, {"work": 2}]}')):
            (tmp_path / name).write_text(text)
            with pytest.raises(AppError, match=name):
                taken_in(book, tmp_path / name, Job)
        with pytest.raises(AppError, match="none"):
            taken_in(book, tmp_path / "none.json")
        (tmp_path / "good.csv").write_text("work\nbadge\n")
        assert book.count(Job) == 0 and taken_in(book, tmp_path / "good.csv", Job) == 1
