"""The bed of a machine found in a picture taken by hand, by the page that lies on it."""

from dataclasses import replace

import cv2
import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from amounts import examples
from core.test_printing import A4, page
from sketchloom.core.base.errors import PictureError
from sketchloom.core.printing.bed import bed_corners
from sketchloom.core.printing.camera import page_found, spots_of, straightened
from sketchloom.core.simulate.camera import Shot, photographed

BED, SQUARE, LONG = (330.2, 482.6), (304.8, 304.8), (304.8, 609.6)
"""Carriers of 13 × 19, 12 × 12 and 12 × 24 in (sizes of the trade)."""
MM_PX = 0.2


PX = 1600
"""Longer side of the pictures: half of what a phone gives."""


def off_mm(shot, bed=BED):
    """How far places of the page come to lie from where they are on the bed, mm; no corner is told."""
    seen, laid, _ = photographed(page()[0], A4, bed, replace(shot, pixels=PX))
    corners = bed_corners(seen, A4, bed)
    found = page_found(straightened(seen, corners, *bed, MM_PX), MM_PX, *A4)
    places = np.array([(x, y) for x in (20, 105, 190) for y in (20, 150, 280)], float)
    return np.hypot(*(found.at(places) - (places @ laid[:, :2].T + laid[:, 2])).T).max()


@settings(max_examples=examples(5))
@given(st.floats(-5, 5), st.floats(-5, 5), st.floats(-3, 3), st.floats(0.99, 1.01), st.floats(3, 22),
       st.floats(0, 360), st.integers(0, 99))
def test_cuts_lie_within_a_tenth_of_a_millimetre_with_no_corner_told(turn, dx, dy, scale, tilt, towards, seed):
    assert off_mm(Shot(turn, dx, dy, scale, tilt, towards, seed=seed)) <= 0.1


@pytest.mark.parametrize(("bed", "ground", "grid"), [
    (120, 70, True), (60, 140, True), (30, 90, False), (200, 60, True), (160, 110, False)])
def test_beds_of_many_tones_on_many_grounds(bed, ground, grid):
    assert off_mm(Shot(bed=bed, ground=ground, grid=grid)) <= 0.1


def test_a_page_that_nearly_fills_its_bed():
    assert off_mm(Shot(turn_deg=0.4, dx_mm=2.0, dy_mm=0.5), SQUARE) <= 0.1


@pytest.mark.parametrize("turn", [90.0, 180.0])
def test_a_page_across_a_long_bed(turn):
    assert off_mm(Shot(turn_deg=turn, dx_mm=0.0, dy_mm=80.0), LONG) <= 0.1


def test_what_is_not_there_is_told():
    seen, *_ = photographed(page()[0], A4, BED, Shot(bed=100, ground=100, grid=False, pixels=PX))
    with pytest.raises(PictureError, match="four sides"):
        bed_corners(seen, A4, BED)
    with pytest.raises(PictureError, match="four marks"):
        bed_corners(np.full((900, 700), 128, np.uint8), A4, BED)
    seen, *_ = photographed(page()[0], A4, BED, Shot(pixels=PX))
    with pytest.raises(PictureError, match="four sides"):
        bed_corners(cv2.copyMakeBorder(seen, 0, 0, 0, 0, cv2.BORDER_CONSTANT)[:, :seen.shape[1] * 9 // 10], A4, BED)


def test_a_bed_of_any_size_is_looked_for_in_bounded_memory():
    """A carrier of 90 m, as a table from elsewhere may have it: a sentence, and no picture of as many pixels."""
    seen, *_ = photographed(page()[0], A4, BED, Shot(pixels=900))
    with pytest.raises(PictureError, match="four sides"):
        bed_corners(seen, A4, (90_000.0, 90_000.0))


@pytest.mark.parametrize("edge", ["left", "right", "top", "bottom"])
def test_a_mark_at_the_edge_of_the_picture_is_a_spot_like_others(edge):
    """A picture cut off close beside a mark (random gestures met it: the program's own error was shown)."""
    radius = 14
    grey = np.full((120, 160), 255, np.uint8)
    x, y = {"left": (radius, 60), "right": (159 - radius, 60), "top": (80, radius), "bottom": (80, 119 - radius)}[edge]
    cv2.circle(grey, (x, y), radius, 0, cv2.FILLED)
    (spot,) = spots_of(grey, radius)
    assert (spot.x, spot.y) == pytest.approx((x + 0.5, y + 0.5), abs=0.3)
    assert spot.radius == pytest.approx(radius, rel=0.1)
