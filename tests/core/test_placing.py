"""Places before and after preparing: against the very pixels that preparing moves."""

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

import shapes
from amounts import examples
from sketchloom.core.picture.preparing.placing import growth, moved, placing
from sketchloom.core.picture.preparing.preparation import prepared
from sketchloom.core.picture.preparing.steps import PLAIN, Preparation

PAGE = ((0.1, 0.08), (0.93, 0.14), (0.88, 0.95), (0.06, 0.86))
STEPS = [PLAIN, Preparation(page=PAGE), Preparation(turn_deg=7.5), Preparation(turn_deg=90), Preparation(turn_deg=-90),
         Preparation(turn_deg=180), Preparation(crop=(0.13, 0.2, 0.9, 0.87)), Preparation(enlarge=2),
         Preparation(page=PAGE, turn_deg=-4.0, crop=(0.05, 0.1, 0.95, 0.9), enlarge=2), Preparation(turn_deg=50)]


@pytest.mark.parametrize("steps", STEPS)
def test_a_spot_is_found_where_preparing_puts_it(steps):
    width, height = 360, 240
    y, x = np.mgrid[:height, :width] + 0.5
    for spot in ((150.0, 100.0), (220.5, 140.25)):
        # a soft spot: its centre of gravity moves as its place does
        grey = 255 * np.exp(-((x - spot[0]) ** 2 + (y - spot[1]) ** 2) / (2 * 6.0**2))
        out = prepared(shapes.picture(np.rint(grey).astype(np.uint8)), steps)
        weight = out.grey.astype(float)
        v, u = np.mgrid[:out.height, :out.width] + 0.5
        seen = np.array([(weight * u).sum(), (weight * v).sum()]) / weight.sum()
        want = moved(placing(width, height, steps), [(spot[0] / width, spot[1] / height)])[0] * (out.width, out.height)
        assert np.hypot(*(seen - want)) < 0.4
        # areas: second moments of the spot grow as the map does
        grown = growth(placing(width, height, steps), [(spot[0] / width, spot[1] / height)])[0]
        area = weight.sum() / (grey.sum())
        assert grown * (out.width * out.height) / (width * height) == pytest.approx(area, rel=0.03)


@given(st.floats(0, 1), st.floats(0, 1), st.sampled_from(STEPS))
@settings(max_examples=examples(60))
def test_there_and_back(x, y, steps):
    move = placing(300, 200, steps)
    assert moved(np.linalg.inv(move), moved(move, [(x, y)]))[0] == pytest.approx((x, y), abs=1e-6)
