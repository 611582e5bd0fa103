"""Local widths against closed forms."""

import numpy as np
import pytest

from sketchloom.core.curves.curveset import line_controls
from sketchloom.core.curves.outline import Outline
from sketchloom.core.layers.width import local_widths


def outline_of_rings(*rings):
    """Outline of polygons given with their inside on the right; later ones are holes."""
    controls = np.concatenate([line_controls(r, np.roll(r, -1, 0)) for r in rings])
    starts = np.cumsum([0] + [len(r) for r in rings])
    area = np.array([0.5 * (r[:, 0] * np.roll(r[:, 1], -1) - r[:, 1] * np.roll(r[:, 0], -1)).sum() for r in rings])
    return Outline(controls, np.ones(len(controls), bool), starts, area, area < 0)


def circle(r, n=360):
    t = 2 * np.pi * np.arange(n) / n
    return np.stack([100 + r * np.cos(t), 100 + r * np.sin(t)], -1)


def test_an_annulus_is_as_wide_as_its_radii_say():
    widths = local_widths(outline_of_rings(circle(60), circle(53)[::-1]), 30.0)
    assert widths.narrowest() == pytest.approx(7.0, abs=0.05)
    assert np.median(widths.width) == pytest.approx(7.0, abs=0.1)


@pytest.mark.parametrize("turn", [0.0, 0.35])
def test_a_bar(turn):
    c, s = np.cos(turn), np.sin(turn)
    bar = np.array([[0, 0], [80, 0], [80, 5], [0, 5]], float) @ [[c, s], [-s, c]] + 60
    assert local_widths(outline_of_rings(bar), 30.0).narrowest() == pytest.approx(5.0, abs=0.1)


def test_a_neck_between_two_squares_is_the_narrowest_place_and_is_found_there():
    shape = np.array([[0, 0], [30, 0], [30, 13], [50, 13], [50, 0], [80, 0], [80, 30], [50, 30], [50, 17], [30, 17],
                      [30, 30], [0, 30]], float)
    widths = local_widths(outline_of_rings(shape), 40.0)
    assert widths.narrowest() == pytest.approx(4.0, abs=0.1)
    x, y = widths.xy[widths.width.argmin()]
    assert 29 < x < 51 and y == pytest.approx(15, abs=0.6)


def test_a_corner_is_not_a_narrow_place():
    square = np.array([[0, 0], [100, 0], [100, 100], [0, 100]], float)
    assert local_widths(outline_of_rings(square), 40.0).narrowest() is None


def test_a_wedge_is_not_called_narrow_at_its_tip():
    wedge = np.array([[0, 0], [100, 14], [0, 28]], float)
    narrowest = local_widths(outline_of_rings(wedge), 20.0).narrowest()
    assert narrowest is None or narrowest > 1.0
