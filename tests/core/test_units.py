"""Lengths as people write them; 1 in = 25.4 mm (W3C, CSS Values and Units)."""

import pytest
from hypothesis import given
from hypothesis import strategies as st

from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.units import format_length, parse_length_mm


@pytest.mark.parametrize("text, mm", [("120mm", 120), ("120 mm", 120), ("4.5in", 114.3), ("1 IN", 25.4), ('7"', 177.8),
                                      ("12,5 cm", 125), (".5in", 12.7), ("  3 ", 3)])
def test_what_people_type(text, mm):
    assert parse_length_mm(text) == pytest.approx(mm)


def test_a_bare_number_is_in_the_unit_shown():
    assert parse_length_mm("2", "in") == pytest.approx(50.8)


@pytest.mark.parametrize("text", ["", "0", "-3mm", "mm", "1e3", "5 ft", "1.2.3mm", "nan", "inf"])
def test_what_is_no_length_is_refused(text):
    with pytest.raises(SettingError, match="number above 0"):
        parse_length_mm(text)


@given(st.floats(0.1, 9999), st.sampled_from(["mm", "in"]))
def test_a_length_shown_can_be_typed_again(mm, unit):
    text = format_length(mm, unit, 4).replace("\u202f", "")
    assert parse_length_mm(text) == pytest.approx(mm, abs=0.0015 if unit == "in" else 0.0001)


@pytest.mark.parametrize("text", ["0", "0 mm", "0.0in", " 0,0 "])
def test_nothing_is_a_length_only_where_that_is_asked_for(text):
    assert parse_length_mm(text, or_zero=True) == 0.0
    with pytest.raises(SettingError):
        parse_length_mm(text)
    for bad in ("", "-1 mm", "none"):
        with pytest.raises(SettingError):
            parse_length_mm(bad, or_zero=True)
