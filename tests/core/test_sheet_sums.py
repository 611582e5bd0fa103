"""Sizes, times, material and quotes of sheets: figures that can be worked out by hand."""

import json

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st
from shapely import box

from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.units import MM_PER_IN
from sketchloom.core.shapes.polygons import areas_of, straight_outline
from sketchloom.core.sheets import aids, choices, plan, prices, sizing, tally
from sketchloom.core.sheets.dividing.room import rooms_of
from sketchloom.core.sheets.machine import shipped
from sketchloom.core.sheets.part import Part

BLADE, ROLL = shipped()[:2]


def sheet_of(machine, carrier, *boxes, key="k"):
    ready = tuple(plan.Ready(Part(f"{key}{n}", "n", "#204060", "film", straight_outline(areas_of(box(*b)))))
                  for n, b in enumerate(boxes))
    group = plan.Group("film", "n", "#204060", ready)
    placed = tuple(plan.Placed(r, 0.0, 0.0, 0.0) for r in ready)
    return plan.Sheet(group, 0, machine.carrier(carrier), placed)


def test_the_board_of_the_trade():
    """A board of 19.5 × 26.5 in with a margin (trade): what fills its width of 18.5 in."""
    (board,) = [p for p in sizing.PLACES if p.name.startswith("board")]
    factor, turned = sizing.largest_in((100.0, 100.0), board)
    assert factor == pytest.approx(18.5 * MM_PER_IN / 100) and not turned
    assert sizing.largest_in((200.0, 100.0), board, may_turn=True) == (pytest.approx(25.5 * MM_PER_IN / 200), True)
    assert sizing.largest_in((10.0, 10.0), sizing.Place("", 20.0, 20.0, 10.0)) == (0.0, False)


@given(st.floats(1, 500), st.floats(1, 500), st.floats(20, 900), st.floats(20, 900), st.floats(0, 9))
def test_the_largest_fits_and_a_hair_more_does_not(wide, high, room_wide, room_high, margin):
    place = sizing.Place("", room_wide, room_high, margin)
    factor, turned = sizing.largest_in((wide, high), place, may_turn=True)
    room = np.array([room_wide, room_high])[::-1 if turned else 1] - 2 * margin
    assert (factor * np.array([wide, high]) <= room * (1 + 1e-9)).all()
    both = [np.array([wide, high]), np.array([high, wide])]
    assert not any((1.001 * factor * size <= np.array([room_wide, room_high]) - 2 * margin).all() for size in both)


def test_the_least_size_at_which_details_survive():
    assert sizing.least_for([(0.5, 1.0), (2.0, 1.0)]) == 2.0
    assert sizing.least_for([]) == 0.0


def test_how_a_size_fits():
    its = rooms_of([("12x12in", 292.1, 292.1), ("12x24in", 292.1, 596.9)], 0.0, True)
    assert sizing.fit_of((280.0, 200.0), its).room.carrier == "12x12in"
    one = sizing.fit_of((500.0, 250.0), its)
    assert one.room.carrier == "12x24in" and one.room.turned
    # 19 by nearly 22 in is divided once (trade, worked example)
    assert sizing.fit_of((19 * MM_PER_IN, 21.9 * MM_PER_IN), its).parts == 2
    assert sizing.fit_of((900.0, 900.0), its, may_divide=False).parts == 0


def test_times_and_material_add_up():
    """Two squares of 100 mm: 800 mm of cutting; sheets of 304.8 mm."""
    sheet = sheet_of(BLADE, "12x12in", (10, 10, 110, 110), (120, 10, 220, 110))
    timed = (plan.timed(sheet, BLADE),)
    made = tally.tally_of((sheet,), timed, BLADE, prices.Prices())
    assert made.cut_mm == pytest.approx(800 + 2 * BLADE.overcut_mm)
    rates = prices.Rates()
    assert made.weed_s == pytest.approx(made.cut_mm / 1000 * rates.weed_s_per_m + 2 * rates.weed_s_per_piece)
    assert made.lay_s == pytest.approx(2 * rates.lay_s_per_piece + rates.lay_s_per_sheet)
    assert made.load_s == BLADE.load_s
    assert made.lift_s == pytest.approx(3 * BLADE.lift_s)  # one is of the cut that turns the blade
    assert made.low_s < made.total_s < made.high_s
    (used,) = made.used
    assert used.sheets == 1 and used.m2 == pytest.approx(0.3048**2)
    assert made.waste_share == pytest.approx(1 - 20_000 / 304.8**2)
    assert made.lines == () and made.cost == 0.0


def test_a_roll_is_cut_off_where_it_ends():
    sheet = sheet_of(ROLL, "roll-610", (10, 0, 110, 480))
    assert sheet.length_mm == pytest.approx(480.0)
    made = tally.tally_of((sheet,), (plan.timed(sheet, ROLL),), ROLL, prices.Prices())
    assert made.used[0].metres == pytest.approx(0.48) and made.used[0].m2 == pytest.approx(0.48 * 0.61)


def test_a_quote_line_by_line():
    materials = prices.Price("film", 2.0, prices.SHEET), prices.Price("roll", 5.0, prices.METRE)
    table = prices.Prices("EUR", materials, 4.0, 12.0, 30.0, 0.2)
    lines = prices.quote(table, [("film", 3, 1.0, 0.3), ("roll", 1, 2.5, 1.0), (None, 1, 1.0, 0.5)], 1800.0, 7200.0)
    assert [(line.what, line.cost) for line in lines] == [
        ("material", 6.0), ("material", 12.5), ("material", 2.0), ("machine", 6.0), ("hands", 60.0),
        ("margin", pytest.approx(0.2 * 86.5))]
    assert prices.total(lines) == pytest.approx(1.2 * 86.5)


def test_a_table_of_prices_goes_out_and_in():
    table = prices.Prices("kr", (prices.Price("film", 2.0, prices.AREA),), margin=0.5)
    assert prices.from_plain(json.loads(json.dumps(prices.to_plain(table)))) == table
    assert prices.from_plain({}) == prices.Prices() and prices.Prices().is_empty
    for wrong in ([], {"margin": -1}, {"materials": [{"material": "x"}]}, {"rates": {"spread": 2}}):
        with pytest.raises(SettingError):
            prices.from_plain(wrong)


@pytest.mark.parametrize(("text", "size"), [
    ("300x400mm", (300.0, 400.0)), ("12x24in", (304.8, 609.6)), ("11.5×20in", (292.1, 508.0)), ("A4", None),
    ("axb", None), ("30cmx40cm", (300.0, 400.0))])
def test_a_carrier_named_by_its_size(text, size):
    got = choices.own_carrier(text)
    assert got == (None if size is None else pytest.approx(size))


def test_a_carrier_of_no_size_is_refused():
    with pytest.raises(SettingError):
        choices.own_carrier("1x1mm")


def test_the_test_cut_is_a_star_of_half_an_inch():
    """About half an inch (trade)."""
    points = aids.star()
    assert np.ptp(points[:, 1]) == pytest.approx(12.7, rel=0.1) and np.array_equal(points[0], points[-1])
    rings = aids.detail(areas_of(box(0, 0, 100, 2)), (50.0, 1.0))
    assert len(rings) == 1 and np.ptp(rings[0][:, 0]) == pytest.approx(aids.DETAIL_MM, rel=0.02)
    assert np.ptp(rings[0][:, 1]) == pytest.approx(2.0)
