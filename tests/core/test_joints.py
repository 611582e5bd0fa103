"""Thin places within one region, of shapes whose widths are known; limbs and petals are none."""

import numpy as np
import pytest

from sketchloom.core.edits.gaps import find_gaps
from sketchloom.core.edits.joints import joints_of

Y, X = np.mgrid[:400, :600]


def disc(x, y, radius):
    return np.hypot(X - x, Y - y) < radius


@pytest.mark.parametrize("width", [2, 3, 5, 9])
def test_two_discs_joined_by_a_hair(width):
    hair = (np.abs(Y - 200 - (width % 2 == 0) * 0.5) < width / 2) & (X > 180) & (X < 420)
    joints = joints_of(disc(180, 200, 90) | disc(420, 200, 90) | hair)
    assert len(joints) == 1 and joints.width_px[0] == pytest.approx(width, abs=1.1)
    middle = (joints.start[0] + joints.end[0]) / 2
    assert 270 < middle[0] < 330 and middle[1] == pytest.approx(200.5, abs=1.5)


@pytest.mark.parametrize("gap", [3, 8])
def test_the_outside_that_runs_into_a_ring_is_a_leak(gap):
    ring = disc(300, 200, 150) & ~disc(300, 200, 142)
    ring &= ~((np.abs(Y - 200) < gap / 2) & (X > 300))
    joints, gaps = joints_of(~ring), find_gaps(ring)
    assert len(joints) == len(gaps) == 1 and gaps.leaks.all()
    for start in (joints.start[0], gaps.start[0]):
        assert np.hypot(*(start - (446, 200))) < gap + 8
    inner = find_gaps(ring | (disc(300, 200, 190) & ~disc(300, 200, 182)))
    assert len(inner) == 1 and not inner.leaks.any()  # runs into what another outline encloses


@pytest.mark.parametrize("shape", [
    np.hypot(X - 300, Y - 200) < 80 + 60 * np.cos(5 * np.arctan2(Y - 200, X - 300)),
    disc(200, 200, 80) | disc(330, 200, 80),
    (np.abs(Y - 200) < 3) & (X > 50) & (X < 550),
    disc(180, 200, 60) | disc(420, 200, 60) | ((np.abs(Y - 200) < 12) & (X > 180) & (X < 420)),
    np.ones((40, 40), bool),
    np.zeros((40, 40), bool),
])
def test_petals_limbs_and_lines_are_no_joints(shape):
    assert len(joints_of(shape)) == 0
