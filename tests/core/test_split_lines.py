"""Split lines that part nothing alone part together; loops close; splinters go."""

import numpy as np
import pytest

from sketchloom.core.segment.merging import merge_small
from sketchloom.core.shapes.cutting_in import cut_in

Y, X = np.mgrid[:300, :300]
AWAY = np.hypot(X - 150, Y - 150)
DISC, RING, SQUARE = AWAY < 120, (AWAY < 120) & (AWAY > 70), (abs(X - 150) < 100) & (abs(Y - 150) < 100)


def around(turn, *radii):
    return [(150 + r * np.cos(turn), 150 + r * np.sin(turn)) for r in radii]


def split(mask, *lines):
    """Faces more than before, their areas by the face they came from, and whether each line parts anything."""
    before = merge_small(mask.astype(np.int32), 0)
    cut = cut_in(before, [], [np.array(line, float) for line in lines], 0)
    made = cut.regions
    assert np.array_equal(made.labels, before.labels)
    assert np.array_equal(np.bincount(made.faces.ravel(), minlength=len(made.face_label)), made.face_area)
    return len(made.face_label) - len(before.face_label), cut.splits_done.tolist(), made


@pytest.mark.parametrize(("mask", "lines", "more"), [
    (RING, [around(0, 60, 130)], 0),
    (RING, [around(turn, 60, 130) for turn in (0, 1.6)], 1),
    (RING, [around(turn, 60, 130) for turn in (0, 2.1, 4.2)], 2),
    (DISC, [around(turn, 6, 60, 125) for turn in (0, 2.1, 4.2)], 2),
    (SQUARE, [[(100, 100), (200, 100)], [(200, 103), (200, 198)], [(198, 200), (101, 200)], [(100, 199), (100, 103)]],
     1),
    (SQUARE, [[(100, 40), (100, 260)], [(40, 100), (260, 100)]], 3),
    (DISC, [[around(turn, 40)[0] for turn in np.linspace(0, 6.1, 40)]], 1),
])
def test_lines_count_together(mask, lines, more):
    made, done, _ = split(mask, *lines)
    assert made == more and done == [more > 0] * len(lines)


def test_three_equal_parts_of_a_ring_are_equal():
    _, _, made = split(RING, *(around(turn, 60, 130) for turn in (0, 2 * np.pi / 3, 4 * np.pi / 3)))
    parts = np.sort(made.face_area[made.face_label == 1])
    assert len(parts) == 3 and parts == pytest.approx(RING.sum() / 3, rel=0.02)


def test_a_line_that_comes_back_parts_what_it_encloses():
    _, _, made = split(DISC, [around(turn, 40)[0] for turn in np.linspace(0, 6.1, 40)])
    assert made.face_area[made.faces[150, 150]] == pytest.approx(np.pi * 40**2, rel=0.02)


def test_no_splinter_is_left_along_an_edge():
    near = [around(turn, 119.2)[0] for turn in np.linspace(0.2, 2, 40)]
    assert split(DISC, near)[:2] == (0, [False])
    assert split(DISC, [around(turn, 112)[0] for turn in np.linspace(-0.2, 2.2, 40)])[0] == 1


def test_a_stroke_as_thin_as_a_splinter_is_parted_across():
    thin = (abs(Y - 150) < 1.5) & (abs(X - 150) < 100)
    assert split(thin, [(150, 140), (150, 160)])[:2] == (1, [True])
