"""Straight runs where they meet, overlap, or reach into bends."""

import numpy as np
import pytest

from core.test_curves import even, loop_of, open_line, rounded_rectangle
from sketchloom.core.curves import straights
from sketchloom.core.curves.breaks import CORNER, LINE, ROUND, with_breaks
from sketchloom.core.curves.corners import find_corners


def runs_of(lines, scatter=0.002):
    return straights.straight_runs(lines, np.zeros(len(lines.xy), bool), 0.1, scatter)


def sizes(lines, runs):
    arc = np.searchsorted(lines.starts, runs.first, side="right") - 1
    length = np.diff(lines.starts)[arc]
    return np.where(lines.closed[arc], (runs.last - runs.first) % length, runs.last - runs.first)


@pytest.mark.parametrize("radius", [2.5, 3.0, 4.0, 8.0, 12.4, 20.0])
def test_sides_end_where_their_round_corners_begin(radius):
    lines = loop_of(even(rounded_rectangle(90, 60, radius), 0.97, closed=True))
    runs = runs_of(lines)
    assert len(runs.first) == 4 and not runs.meets.any()
    # no run holds more points than its side has
    sides = np.hypot(*(runs.end - runs.begin).T)
    wanted = np.array([90, 60]) - 2 * radius
    assert sorted(np.round(sides)) == pytest.approx(sorted([*wanted, *wanted]), abs=5.5)
    assert (sizes(lines, runs) > 0).all() and (sizes(lines, runs) < sides / 0.9 + 3).all()
    broken = with_breaks(lines, 0.1, 0.0, 0.002, True)
    assert ((broken.marks & LINE) > 0).sum() == 4 and ((broken.marks >> ROUND) > 0).sum() == 4
    assert not (broken.marks & CORNER).any()


@pytest.mark.parametrize("turn", [30, 60, 90, 120])
def test_two_sides_that_meet_in_a_corner_keep_it(turn):
    a = np.radians(turn)
    line = np.stack([np.linspace(0, 50, 52), np.zeros(52)], -1)
    other = np.array([50.0, 0]) + np.linspace(0, 50, 52)[1:, None] * [np.cos(a), np.sin(a)]
    lines = open_line(np.concatenate([line, other]) + [10.2, 20.7])
    runs = runs_of(lines)
    assert len(runs.first) == 2
    assert (runs.end[0] == runs.begin[1]).all()
    assert runs.end[0] == pytest.approx([60.2, 20.7], abs=0.05)


def test_the_first_and_the_last_run_of_an_open_arc_are_no_neighbours():
    """A flat U: its two arms are parallel and far apart, and nothing joins their free ends."""
    u = np.concatenate(
        [
            np.stack([np.zeros(60), np.linspace(80, 20, 60)], -1),
            np.stack([10 - 10 * np.cos(np.linspace(0, np.pi, 33)), 20 - 10 * np.sin(np.linspace(0, np.pi, 33))], -1)[
                1:
            ],
            np.stack([np.full(60, 20.0), np.linspace(20, 80, 60)], -1)[1:],
        ]
    )
    lines = open_line(u + [30.3, 30.1])
    runs = runs_of(lines)
    assert len(runs.first) == 2
    assert (sizes(lines, runs) > 50).all()


@pytest.mark.parametrize("radius", [9.0, 12.4, 16.0])
def test_where_a_line_turns_into_an_arc_is_no_corner(radius):
    lines = loop_of(even(rounded_rectangle(100, 80, radius), closed=True))
    assert len(find_corners(lines).index) == 0


@pytest.mark.parametrize("turn", [28, 35, 50, 75, 90, 120, 150])
def test_corners_of_every_turn_are_found_in_place(turn):
    a = np.radians(turn)
    legs = [np.array([1.0, 0]), np.array([np.cos(a), np.sin(a)])]
    place = np.array([40.3, 30.8])
    points = np.concatenate([place + np.linspace(-30, -1.1, 30)[:, None] * legs[0],
                             place + np.linspace(1.1, 30, 30)[:, None] * legs[1]])
    found = find_corners(open_line(points))
    assert len(found.index) == 1
    assert np.hypot(*(found.xy[0] - place)) < 0.1


@pytest.mark.parametrize("off, ends_there", [(0.05, True), (2.4, False)])
def test_a_run_ends_at_a_node_only_where_that_lies_on_its_line(off, ends_there):
    """A side with a round tip before its node: a chord to the node would cut the tip off."""
    way = np.arange(0, 41.0)
    points = np.stack([way, 0.5 * way], -1) / np.hypot(1, 0.5)
    normal = np.array([-0.5, 1.0]) / np.hypot(1, 0.5)
    points[-1] = points[-2] + (points[-1] - points[-2]) * 2.5 + off * normal
    runs = runs_of(open_line(points))
    assert len(runs.first) == 1 and (runs.last[0] == len(points) - 1) == ends_there
    middle = 0.5 * (runs.begin[0] + runs.end[0])
    assert abs(middle @ normal) < 0.03 and abs(runs.end[0] @ normal) < 0.06
