"""Machines and their carriers: sizes of the trade and of ISO 216, the table in and out."""

import json
from dataclasses import replace

import pytest

from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.units import MM_PER_IN
from sketchloom.core.sheets import machine
from sketchloom.core.sheets.machine import Carrier, shipped
from sketchloom.files import user_data

CUTTER = shipped()[0]


def test_inch_carriers_cut_half_an_inch_less_across():
    """A 12 in carrier cuts about 11.5 in across (trade)."""
    for key, wide, high in (("12x12in", 12, 12), ("12x24in", 12, 24)):
        one = CUTTER.carrier(key)
        assert (one.width_mm, one.height_mm) == pytest.approx((wide * MM_PER_IN, high * MM_PER_IN))
        assert one.usable_mm[0] == pytest.approx(11.5 * MM_PER_IN)


def test_paper_carriers_are_those_of_the_standard():
    """ISO 216: 210 × 297 and 297 × 420 mm."""
    assert [(c.width_mm, c.height_mm) for c in CUTTER.carriers[2:]] == [(210, 297), (297, 420)]


def test_the_worked_example_of_the_trade_fits_as_told():
    """A base of 19 by nearly 22 in does not fit a 12 × 24 in carrier; its halves of 10.8 and 11.0 in do, and a sister
    layer of 11.28 × 17 in (trade, worked example)."""
    long = CUTTER.carrier("12x24in")

    def takes(wide, high):
        return long.takes(wide * MM_PER_IN, high * MM_PER_IN)
    assert takes(19, 21.9) is None
    assert takes(10.8, 21.9) == takes(11.0, 21.9) == takes(11.28, 17) == 0.0
    assert takes(17, 11.28) == 90.0 and long.takes(17 * MM_PER_IN, 11.28 * MM_PER_IN, may_turn=False) is None


def test_a_roll_has_no_limit_of_length():
    roll = shipped()[1].carriers[1]
    assert roll.takes(580.0, 25_000.0) == 0.0 and roll.takes(620.0, 25_000.0) is None


def test_the_table_goes_out_and_comes_back():
    text = json.dumps(machine.to_plain(shipped()))
    assert machine.from_plain(json.loads(text)) == shipped()
    assert len({one.key for one in shipped()}) == len(shipped()) == 5
    assert {one.kind for one in shipped()} == set(machine.KINDS)


def test_the_users_own_table_stands_for_the_shipped_one(tmp_path, monkeypatch):
    monkeypatch.setattr(user_data, "data_folder", lambda: tmp_path)
    assert user_data.machines() == shipped()
    user_data.keep_machines([replace(CUTTER, name="The one by the window")])
    assert [one.name for one in user_data.machines()] == ["The one by the window"]
    (tmp_path / "machines.json").write_text("{")
    assert user_data.machines() == shipped()


@pytest.mark.parametrize("change", [
    {"key": ""}, {"kind": "saw"}, {"speed": 0.0}, {"acceleration": float("nan")}, {"carriers": []}, {"passes": 0},
    {"carriers": [{"key": "a", "name": "A", "width_mm": 20.0, "side_mm": 10.0}]},
    {"carriers": [{"key": "a", "name": "A", "width_mm": 20.0}] * 2}])
def test_what_no_machine_can_be_is_told(change):
    data = machine.to_plain(shipped())[:1]
    data[0].update(change)
    with pytest.raises(SettingError):
        machine.from_plain(data)


def test_machines_of_one_key_are_told():
    with pytest.raises(SettingError):
        machine.from_plain(machine.to_plain([CUTTER, replace(CUTTER, name="another")]))
    assert Carrier("a", "A", 20.0).usable_mm == (20.0, float("inf"))
