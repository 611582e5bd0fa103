"""The side view through a stack, against what can be worked out by hand."""

from types import SimpleNamespace

import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from sketchloom.core.curves.curveset import is_straight, segment_areas
from sketchloom.core.curves.outline import Outline
from sketchloom.core.layers.section import SectionCutter
from sketchloom.core.shapes import makers


def sheet(*rings):
    controls = np.concatenate(rings)
    area = np.array([segment_areas(r).sum() for r in rings])
    return SimpleNamespace(
        outline=Outline(
            controls, is_straight(controls), np.concatenate([[0], np.cumsum([len(r) for r in rings])]), area, area < 0
        )
    )


BASE, DISC = sheet(makers.rectangle((50, 50), 80, 80)), sheet(makers.ellipse((50, 50), 20, 20))
FRAME = sheet(makers.rectangle((50, 50), 80, 80), makers.rectangle((50, 50), 40, 40)[::-1, ::-1])


def test_a_disc_on_a_base_lies_on_it_and_steps_down_beside_it():
    section = SectionCutter([BASE, DISC], 0.5).cut((0, 50), (100, 50), [0.2, 0.1], [0, 0])
    assert section.at_mm == pytest.approx([0, 5, 15, 35, 45, 50], abs=0.06)
    assert section.solid.tolist() == [[False, True, True, True, False], [False, False, True, False, False]]
    assert section.bottom_mm[1, 2] == pytest.approx(0.2) and section.height_mm == pytest.approx(0.3)
    assert section.uppermost().tolist() == [-1, 0, 1, 0, -1]
    step, at = section.highest_step()
    assert step == pytest.approx(0.2) and at == pytest.approx(5, abs=0.06)


def test_film_sinks_into_a_hole_and_a_spacer_holds_it_level():
    cutter = SectionCutter([FRAME, BASE], 1.0)
    film = cutter.cut((0, 50), (100, 50), [3.0, 0.1], [0, 0])
    assert film.bottom_mm[1, film.solid[1]].tolist() == pytest.approx([3.0, 0.0, 3.0])
    level = cutter.cut((0, 50), (100, 50), [3.0, 0.1], [0, 2.0])
    assert np.unique(level.bottom_mm[1]).tolist() == [5.0] and level.height_mm == pytest.approx(5.1)


@given(st.floats(0, 2 * np.pi), st.floats(-19, 19))
def test_a_chord_of_a_disc_is_as_long_as_geometry_says(turn, aside):
    unit, normal = np.array([np.cos(turn), np.sin(turn)]), np.array([-np.sin(turn), np.cos(turn)])
    middle = np.array([50.0, 50.0]) + aside * normal
    section = SectionCutter([DISC], 1.0).cut(middle - 60 * unit, middle + 60 * unit, [1], [0])
    inside = float((np.diff(section.at_mm) * section.solid[0]).sum())
    # flattened to a tenth of a pixel, which matters most where the line grazes the disc
    assert inside == pytest.approx(2 * (400 - aside**2) ** 0.5, abs=0.3 + 0.4 / max(1 - abs(aside) / 20, 0.05) ** 0.5)


def test_a_line_that_begins_inside_and_one_that_meets_nothing():
    section = SectionCutter([BASE], 1.0).cut((50, 50), (150, 50), [1], [0])
    assert section.solid[0].tolist() == [True, False] and section.at_mm[1] == pytest.approx(40, abs=0.01)
    empty = SectionCutter([DISC], 1.0).cut((0, 0), (100, 0), [1], [0])
    assert not empty.solid.any() and empty.height_mm == 0
    assert SectionCutter([], 1.0).cut((0, 0), (1, 0), [], []).uppermost().tolist() == [-1]


def test_a_section_through_no_sheets_is_flat():
    """Seen: all layers left out with the section open, an error in the middle of painting."""
    section = SectionCutter((), 0.1).cut((0.0, 0.0), (10.0, 0.0), (), ())
    assert section.height_mm == 0.0 and section.highest_step()[0] == 0.0 and (section.uppermost() == -1).all()
