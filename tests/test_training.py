"""Exercises of the trainer: the program's own answer is the right one by another measure, and the same each time."""

import re

import cv2
import numpy as np
import pytest
from scipy import ndimage

from sketchloom.core.segment.tone import otsu_threshold
from sketchloom.files.training.exercise import (
    CUT_OFF,
    DIVIDE,
    KINDS,
    LEAK,
    ORDER,
    TEARS,
    TITLES,
    Progress,
    progress_from,
    progress_to,
)
from sketchloom.files.training.making import made

_SEEDS = (0, 1, 2, 5)


def figures(text):
    return [float(number) for number in re.findall(r"\d+(?:\.\d+)?", text)]


@pytest.mark.parametrize("seed", _SEEDS)
def test_the_leak_parts_two_areas_once_it_is_bridged(seed):
    """Counted by scipy.ndimage.label: closing it makes one area of paper two."""
    one = made(LEAK, seed)
    grey = cv2.cvtColor(one.picture, cv2.COLOR_RGB2GRAY)
    ink = grey <= otsu_threshold(grey)
    before = ndimage.label(~ink)[1]
    x, y = one.place
    near = np.hypot(*(np.indices(ink.shape)[::-1] - np.array([x, y])[:, None, None])) < 14
    assert ndimage.label(~(ink | near))[1] > before
    assert one.is_right((x + 3, y - 3)) and not one.is_right((x + 80, y))


@pytest.mark.parametrize("seed", _SEEDS)
def test_the_best_cut_off_is_told_with_its_pieces(seed):
    """Pieces by scipy.ndimage.label, over corners too."""
    one = made(CUT_OFF, seed)
    assert len(one.choices) == 3
    ink = one.choices[one.best].picture[..., 0] < 128
    assert ndimage.label(ink, np.ones((3, 3)))[1] == figures(one.reason)[3]
    assert figures(one.reason)[0] <= int(one.choices[one.best].text) <= figures(one.reason)[1]


@pytest.mark.parametrize(("kind", "seed"), [(ORDER, 0), (ORDER, 1), (DIVIDE, 0), (DIVIDE, 3)])
def test_the_best_order_and_the_best_seam_have_the_least_figure(kind, seed):
    one = made(kind, seed)
    numbers = figures(one.reason)
    best, others = numbers[0], numbers[2:4] if kind == ORDER else numbers[1:3]
    assert all(best < other for other in others) and 0 <= one.best < 3
    again = made(kind, seed)
    assert again.reason == one.reason and again.best == one.best and np.array_equal(again.picture, one.picture)


@pytest.mark.parametrize("seed", range(12))
def test_what_is_faster_tears(seed):
    """A fact of the trade (common practice, no source): corners tear as the blade is drawn too fast."""
    one = made(TEARS, seed)
    speeds = [figures(choice.text)[1] for choice in one.choices]
    assert one.best == int(np.argmax(speeds)) and "manual" in one.reason


def test_progress_is_kept_and_what_is_none_is_passed_over():
    kept = {LEAK: Progress(3, 2, 4)}
    assert progress_from(progress_to(kept)) == kept and set(TITLES) == set(KINDS)
    assert Progress().after(True) == Progress(1, 1, 1) and Progress().after(False) == Progress(1, 0, 1)
    for data in (None, [], {"leak": 3}, {"leak": {"tried": -1, "right": 0, "next": 0}}, {"else": {"tried": 1}},
                 {"leak": {"tried": True, "right": 0, "next": 0}}):
        assert progress_from(data) == {}
