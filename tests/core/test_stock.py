"""Stock: taken, given back, short, proposed; what becomes of jobs; what plots show."""

from dataclasses import replace

import numpy as np
import pytest
from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st

from amounts import examples
from sketchloom.core.base.errors import AppError, SettingError
from sketchloom.core.logbook import inventory, records
from sketchloom.core.logbook.records import Job, Stock, Try
from sketchloom.core.logbook.store import Logbook
from sketchloom.core.sheets.prices import Prices
from sketchloom.desk import charts, shop


@pytest.fixture
def path(tmp_path):
    return tmp_path / "log" / "logbook.db"


# -- stock ---------------------------------------------------------------------------------


def film(number, kind=records.SHEET, wide=305.0, high=305.0, count=1, **more):
    return store_kept(number, Stock("film", wide, high, kind, count, **more))


def store_kept(number, one):
    from sketchloom.core.logbook.store import Kept

    return Kept(number, one)


SHEETS_2 = inventory.Taken("film", "#aa0000", 304.8, 304.8, sheets=2)


def test_sheets_rolls_and_rests_are_taken_and_given_back_to_the_last_one():
    stock = [film(1, wide=400.0, high=400.0, count=9, value=90.0), film(2, count=1, value=5.0),
             film(3, records.ROLL, 610.0, 1500.0, value=30.0), film(4, records.OFFCUT, 80.0, 60.0),
             film(5, count=9, hex="#00ff00"), store_kept(6, Stock("card", 305.0, 305.0, count=9))]
    takes = (SHEETS_2, inventory.Taken("film", "#aa0000", 610.0, 0.0, length_mm=500.0),
             inventory.Taken("film", "", 80.0, 60.0, 1, entry=4))
    changed, booked, missing = inventory.taken_from(stock, takes)
    now = dict(changed)
    assert not missing and set(now) == {1, 2, 3, 4}, "of another colour, or card, is nothing taken"
    assert now[2].count == 0 and now[1].count == 8 and now[1].value == 80.0 and now[2].value == 0.0
    assert now[3].height_mm == 1000.0 and now[3].value == 20.0 and now[4].count == 0
    later = [store_kept(k.number, now.get(k.number, k.one)) for k in stock]
    back = dict(inventory.given_back(later, booked))
    assert all(back[k.number] == k.one for k in stock if k.number in back) and set(back) == set(now)


def test_what_is_not_there_is_told_and_what_there_is_is_taken():
    changed, booked, missing = inventory.taken_from(
        [film(1), film(2, records.ROLL, 610.0, 300.0)],
        (SHEETS_2, inventory.Taken("film", "", 610.0, 0.0, length_mm=1000.0),
         inventory.Taken("film", "", 9.0, 9.0, 1, entry=7)))
    assert [(m.sheets, m.length_mm, m.entry) for m in missing] == [(1, 0.0, 0), (0, 700.0, 0), (1, 0.0, 7)]
    assert len(booked) == 2 and dict(changed)[1].count == 0 and dict(changed)[2].height_mm == 0.0


@given(st.lists(st.tuples(st.integers(0, 5), st.floats(0, 100), st.sampled_from([200.0, 305.0, 500.0])), max_size=6),
       st.lists(st.integers(1, 6), max_size=4))
@settings(max_examples=examples(60), deadline=None)
def test_nothing_is_made_or_lost_by_taking_and_giving_back(shelves, wanted):
    stock = [film(n, wide=side, high=side, count=count, value=value)
             for n, (count, value, side) in enumerate(shelves, 1)]
    takes = tuple(replace(SHEETS_2, sheets=n) for n in wanted)
    changed, booked, missing = inventory.taken_from(stock, takes)
    taken = sum(b.sheets for b in booked)
    assert taken + sum(m.sheets for m in missing) == sum(wanted)
    later = {k.number: k.one for k in stock} | dict(changed)
    assert sum(one.count for one in later.values()) + taken == sum(k.one.count for k in stock)
    assert all(one.count >= 0 and one.value >= -1e-9 for one in later.values())
    back = {k.number: k.one for k in stock} | dict(inventory.given_back(
        [store_kept(n, one) for n, one in later.items()], booked))
    assert all(back[k.number].count == k.one.count and np.isclose(back[k.number].value, k.one.value) for k in stock)


def test_what_is_short_is_told_first_and_rests_count_by_their_outline():
    window = "0,0 100,0 100,100 0,100; 20,20 80,20 80,80 20,80"
    one = Stock("film", 100.0, 100.0, records.OFFCUT, outline=window, least=1e5)
    assert one.area_mm2 == 100 * 100 - 60 * 60
    some = inventory.amounts([Stock("card", 300.0, 300.0), one, Stock("Film ", 100.0, 200.0, value=3.0)])
    assert [(a.material, a.is_short) for a in some] == [("film", True), ("card", False)]
    assert some[0].area_mm2 == 6400 + 20_000 and some[0].value == 3.0
    with pytest.raises(SettingError):
        Stock("film", 10.0, 10.0, outline="0,0 1")


def test_rests_that_suit_are_proposed_the_smallest_first():
    stock = [film(1, records.OFFCUT, 200.0, 90.0), film(2, records.OFFCUT, 90.0, 90.0, hex="#aa0000"),
             film(3, records.OFFCUT, 50.0, 50.0, hex="#00ff00"), film(4, records.OFFCUT, 40.0, 40.0, count=0), film(5)]
    assert [k.number for k in inventory.proposed(stock, [("film", "#AA0000")])] == [2, 1]
    named = [store_kept(1, Stock("Matt film", 90.0, 90.0, records.OFFCUT))]
    assert inventory.proposed(named, [("film", "#aa0000")], lambda key: ("matt FILM",)) == named


def test_accounts_that_are_damaged_are_none():
    made = inventory.Accounts((SHEETS_2,), (inventory.Booking(1, 2, 0.0, 3.0),), (4,))
    assert inventory.accounts_of(Job("a", takes=inventory.as_text(made))) == made
    for text in ("{", "[]", '{"takes": [1]}', "[" * 2000):
        assert inventory.accounts_of(Job("a", takes=text)) == inventory.Accounts()
        assert inventory.rests_of(Job("a", rests=text)) == ()


def a_book(path):
    """A logbook with stock and a job that takes a sheet of it and leaves a rest."""
    book = Logbook(path)
    takes = inventory.Accounts((replace(SHEETS_2, sheets=1),))
    rest = (inventory.Left("film", "#aa0000", 90.0, 60.0), inventory.Left("", "", 90.0, 60.0))
    book.add(Stock("film", 305.0, 305.0, count=3, value=3.0),
             Job("badge", takes=inventory.as_text(takes), rests=inventory.as_text(rest)))
    return book


def stock_of(book):
    return [(k.one.kind, k.one.count) for k in book.all(Stock, newest_first=False)]


@given(st.lists(st.sampled_from(records.STATES), min_size=1, max_size=6))
@settings(max_examples=examples(30), deadline=None, suppress_health_check=[HealthCheck.function_scoped_fixture])
def test_whatever_becomes_of_a_job_its_film_is_taken_once_and_its_rest_is_there_only_when_it_is_done(
        tmp_path_factory, states):
    names, prices = shop.Names({"film": ("Film",)}), Prices()
    with a_book(tmp_path_factory.mktemp("log") / "a.db") as book:
        for state in states:
            assert shop.ran(book, 1, state, names, prices, 60.0) == ()
            assert book.one(Job, 1).one.state == state
            taken = state != records.PLANNED
            rests = [] if state in (records.PLANNED, records.FAILED) else None
            now = stock_of(book)
            assert now[0] == ("sheet", 2 if taken else 3)
            assert rests is None or now[1:] == rests
            assert state != records.DONE or now[1:] == [("offcut", 1)], "what it is of is not known of the other"
        shop.ran(book, 1, records.PLANNED, names, prices)
        assert stock_of(book) == [("sheet", 3)] and book.all(Stock)[0].one.value == 3.0


def test_what_is_not_in_stock_is_told_to_who_keeps_one(path):
    names, prices = shop.Names({}), Prices()
    with a_book(path) as book:
        book.change(1, Stock("card", 305.0, 305.0))
        (missing,) = shop.ran(book, 1, records.RUNNING, names, prices)
        assert missing.sheets == 1 and missing.material == "film"
        book.remove(Stock, 1)
        assert shop.ran(book, 1, records.RUNNING, names, prices) == ()
        with pytest.raises(AppError, match="not there"):
            shop.ran(book, 9, records.RUNNING, names, prices)


def test_a_month_has_its_jobs_by_their_days(path):
    with Logbook(path) as book:
        book.add(Job("one", at="2026-12-31T23:59:00+01:00"), Job("two", at="2026-12-01"), Job("three", at="2027-01-01"))
        assert shop.month(book, 2026, 12) == {1: [(2, "two", "planned")], 31: [(1, "one", "planned")]}
        assert shop.month(book, 2027, 1) == {1: [(3, "three", "planned")]}


# -- plots ---------------------------------------------------------------------------------


@given(st.floats(1e-3, 1e4), st.floats(1.01, 1e5))
@settings(max_examples=examples(80), deadline=None)
def test_numbers_beside_an_axis_are_round_and_few(low, times):
    for ticks in (charts._ticks(low, low * times), charts._log_ticks(low, low * times)):
        assert len(ticks) <= 13 and all(low * 0.999 <= t <= low * times * 1.001 for t in ticks)
        for tick in ticks:
            first = f"{tick:.6e}".split("e")[0].rstrip("0").rstrip(".")
            assert len(first) <= 7
    assert len(charts._ticks(low, low * times)) >= 2


def test_a_plot_of_times_rings_what_does_not_go_with_the_others():
    rows = np.array([[600.0, 700.0], [0.0, 50.0], [1200.0, 1300.0], [900.0, 90000.0]])
    chart = charts.times(rows, [-1])
    assert chart.count == 3 and len(chart.marks[charts.RING]) == 1
    assert chart.marks[charts.RING][0].tolist() == [15.0, 1500.0]
    assert charts.times(np.zeros((0, 2))) is None and charts.stock([]) is None and charts.verdicts("film", ()) is None
    share = chart.x.share([chart.x.low, chart.x.high])
    assert share == pytest.approx([0.0, 1.0])


def test_the_band_of_a_plot_holds_what_was_right():
    tries = (Try("a", "film", 60.0, 50.0, "not through"), Try("a", "film", 90.0, 50.0, "right"),
             Try("a", "film", 130.0, 50.0, "too deep"))
    band = charts.verdicts("film", tries).band
    low, high = (float(np.interp(50.0, band[:, 0], band[:, k])) for k in (1, 2))
    assert 60.0 < low <= high < 130.0
