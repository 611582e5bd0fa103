"""The ground on which a work is seen."""

from types import SimpleNamespace

import pytest

from sketchloom.desk.grounds import best_ground, contrast

GROUNDS = {"middle": "#8f8b84", "light": "#d9d5cd", "dark": "#33312e"}


def work(*sheets):
    return SimpleNamespace(layers=[SimpleNamespace(plan=SimpleNamespace(hex=hex_), area_mm2=area)
                                   for hex_, area in sheets])


def test_contrast_is_that_of_the_standard():
    """WCAG 2.2, the definition of contrast ratio: black on white has 21, a colour on itself 1; #767676 is the lightest
    grey with 4.5 on white (W3C, understanding 1.4.3)."""
    assert contrast("#000000", "#ffffff") == pytest.approx(21.0)
    assert contrast("#345678", "#345678") == 1.0
    assert contrast("#767676", "#ffffff") == pytest.approx(4.54, abs=0.01)
    assert contrast("#777777", "#ffffff") == contrast("#ffffff", "#777777") < 4.5


def test_dark_lines_stand_on_a_light_ground_and_pale_ones_on_a_dark():
    assert best_ground(work(("#262626", 40.0)), GROUNDS) == "light"
    assert best_ground(work(("#f3ead7", 40.0)), GROUNDS) == "dark"
    assert best_ground(work(), GROUNDS) == "middle"
    # a sheet that would vanish counts more than one that is seen anyway
    assert best_ground(work(("#30302e", 10.0), ("#b5483c", 90.0)), GROUNDS) != "dark"
