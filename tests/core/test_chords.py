"""How wide what is drawn is along a line: against bars and rings of known width, made by a geometry library."""

import numpy as np
import pytest
import shapely
from hypothesis import given
from hypothesis import strategies as st

from sketchloom.core.shapes.chords import width_along
from sketchloom.core.shapes.makers import bow


@given(st.floats(2, 40), st.floats(-3, 3), st.floats(-0.3, 0.3))
def test_a_bar_has_its_width_though_the_line_is_off_its_middle(width, turn, off):
    along = np.array([np.cos(turn), np.sin(turn)])
    across = np.array([-along[1], along[0]])
    bar = shapely.LineString([-100 * along, 100 * along]).buffer(width / 2, cap_style="flat")
    line = np.linspace(-95, 95, 50)[:, None] * along + off * width * across
    assert width_along(bar, line) == pytest.approx(width, rel=1e-6)


@pytest.mark.parametrize("width", [3.0, 12.0, 30.0])
def test_a_bow_has_its_width_beside_another(width):
    course = bow((0, 0), (200, 0), (100, -60))
    area = shapely.union_all([shapely.LineString(course).buffer(width / 2, 64),
                              shapely.box(-50, 40, 250, 90)])
    assert width_along(area, course + (0, width / 5)) == pytest.approx(width, rel=0.02)


def test_a_line_beside_what_is_drawn_has_no_width():
    bar = shapely.box(0, 0, 200, 10)
    assert width_along(bar, np.linspace((0, 60), (200, 60), 20)) is None
    assert width_along(bar, np.linspace((0, 5), (900, 5), 20)) is None  # most of it lies beside
    assert width_along(shapely.MultiPolygon(), np.linspace((0, 5), (9, 5), 20)) is None
