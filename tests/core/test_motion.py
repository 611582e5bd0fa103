"""The pace of a machine, against closed forms of uniformly accelerated motion and against step by step integration."""

import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from amounts import examples
from sketchloom.core.curves.curveset import line_controls
from sketchloom.core.shapes.makers import ellipse
from sketchloom.core.sheets.motion import Dynamics, paced, paced_along

PLAIN = Dynamics(200.0, 3000.0, 0.05)


def lines(points):
    points = np.asarray(points, float)
    return line_controls(points[:-1], points[1:])


def seconds(controls, dynamics=PLAIN, straight=True):
    made = paced(controls, np.full(len(controls), straight), [0, len(controls)], dynamics)
    return float(made.seconds.sum())


@pytest.mark.parametrize("length", [1.0, 13.3, 13.4, 100.0, 2500.0])
def test_a_straight_line_is_uniformly_accelerated_motion(length):
    """t = 2 √(s / a) while the speed is not reached, else s / v + v / a (textbook)."""
    v, a = PLAIN.speed, PLAIN.acceleration
    closed = 2 * np.sqrt(length / a) if length < v * v / a else length / v + v / a
    assert seconds(lines([(0, 0), (length, 0)])) == pytest.approx(closed, rel=1e-9)
    assert PLAIN.along(length) == pytest.approx(closed, rel=1e-12)


@pytest.mark.parametrize("degrees", [0.0, 13.0, 32.4, 57.6, 115.6])
@pytest.mark.parametrize("curve", [0, -1])
def test_a_line_in_parts_takes_no_other_time_than_in_one(degrees, curve):
    """Parts of a line turn by rounding alone, to either side."""
    away = np.array([np.cos(np.radians(degrees)), np.sin(np.radians(degrees))])
    xy = np.array([0.0, 0.7, 34.3943, 34.6942, 41.1])[:, None] * away + (3.6, 21.65)
    made = paced_along(xy, np.array([0, len(xy)]), np.full(len(xy) - 1, curve), PLAIN)
    assert made.seconds[0] == pytest.approx(float(PLAIN.along(41.1)), rel=1e-9)


@pytest.mark.parametrize("radius", [0.5, 3.0, 10.0, 40.0])
def test_a_circle_is_held_by_its_radius(radius):
    """v² = a r at most; speeding up and slowing down along it takes v / a more than L / v (textbook)."""
    v = min(PLAIN.speed, np.sqrt(PLAIN.acceleration * radius))
    around = 2 * np.pi * radius
    closed = around / v + v / PLAIN.acceleration
    assert seconds(ellipse((0, 0), radius, radius), straight=False) == pytest.approx(closed, rel=1e-3)


@pytest.mark.parametrize(("side", "corner"), [(100.0, 0.05), (10.0, 0.05), (30.0, 0.5), (50.0, 0.0)])
def test_a_square_slows_down_at_its_corners(side, corner):
    """v² = a δ sin(θ/2) / (1 - sin(θ/2)) with θ = 90° at three of them; closed forms of four straight lines."""
    dynamics = Dynamics(200.0, 3000.0, corner)
    half = np.sin(np.pi / 4)
    turn = min(dynamics.speed, np.sqrt(dynamics.acceleration * corner * half / (1 - half)))

    def line(begin, end):
        peak = np.sqrt((begin**2 + end**2) / 2 + dynamics.acceleration * side)
        top = min(peak, dynamics.speed)
        even = side - (2 * top**2 - begin**2 - end**2) / (2 * dynamics.acceleration)
        return (2 * top - begin - end) / dynamics.acceleration + even / top
    closed = 2 * line(0, turn) + 2 * line(turn, turn)
    assert seconds(lines([(0, 0), (side, 0), (side, side), (0, side), (0, 0)]), dynamics) == pytest.approx(
        closed, rel=1e-9)


def stepped(points, dynamics, ds=2e-4):
    """The same by steps along the way: limits at every place, then back and forth, then the sum of ds / v."""
    limits = []
    for n in range(1, len(points) - 1):
        one, two = points[n] - points[n - 1], points[n + 1] - points[n]
        turn = abs(np.arctan2(one[0] * two[1] - one[1] * two[0], one @ two))
        half = np.cos(turn / 2)
        limits.append(np.inf if turn < 1e-9 else dynamics.acceleration * dynamics.corner * half / max(1 - half, 1e-12))
    way = np.concatenate([[0.0], np.cumsum(np.hypot(*np.diff(points, axis=0).T))])
    count = int(way[-1] / ds) + 2
    place = np.linspace(0, way[-1], count)
    most = np.full(count, dynamics.speed**2)
    for at, limit in zip(way[1:-1], limits, strict=True):
        k = round(at / way[-1] * (count - 1))
        most[k] = min(most[k], limit)
    most[0] = most[-1] = 0
    rise = 2 * dynamics.acceleration * (place[1] - place[0])
    for k in range(1, count):
        most[k] = min(most[k], most[k - 1] + rise)
    for k in range(count - 2, -1, -1):
        most[k] = min(most[k], most[k + 1] + rise)
    speed = np.sqrt(most)
    return float((2 * (place[1] - place[0]) / (speed[1:] + speed[:-1])).sum())


@settings(max_examples=examples(12))
@given(st.lists(st.tuples(st.floats(0, 30), st.floats(0, 30)), min_size=3, max_size=7, unique=True))
def test_any_polyline_agrees_with_integration_step_by_step(points):
    points = np.array(points)
    points = points[np.concatenate([[True], np.hypot(*np.diff(points, axis=0).T) > 0.5])]
    if len(points) > 2:
        assert seconds(lines(points)) == pytest.approx(stepped(points, PLAIN), rel=1e-3)


def test_strokes_are_paced_each_from_rest_to_rest():
    one, two = lines([(0, 0), (20, 0), (20, 9)]), ellipse((50, 50), 8.0, 8.0)
    straight = np.array([True, True, False, False, False, False])
    made = paced(np.concatenate([one, two]), straight, [0, 2, 6], PLAIN)
    assert made.seconds == pytest.approx([seconds(one), seconds(two, straight=False)])
    assert (made.speed[made.starts[:-1]] == 0).all() and (made.speed[made.starts[1:] - 1] == 0).all()
    assert made.speed.max() <= PLAIN.speed and len(paced(one[:0], straight[:0], [0], PLAIN).xy) == 0
