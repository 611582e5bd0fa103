"""Printed and cut in register: colours that bleed past the cut, marks, and the camera that finds them."""

import cv2
import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st

from amounts import examples
from sketchloom.core.base.errors import PictureError
from sketchloom.core.printing.bleed import with_bleed
from sketchloom.core.printing.camera import page_found
from sketchloom.core.printing.marks import HOLE_MM, MARK_MM, marks_of

A4 = (210.0, 297.0)
"""ISO 216."""
MM_PX = 0.25


def page(dark=True):
    """A printed page, drawn at a tenth of a millimetre by a general image library."""
    scale = 10
    picture = np.full((int(A4[1] * scale), int(A4[0] * scale)), 245, np.uint8)
    for mark in marks_of(*A4):
        at = tuple(round((v * scale - 0.5) * 16) for v in (mark.x, mark.y))  # in sixteenths, from a pixel's middle
        cv2.circle(picture, at, round(MARK_MM * scale * 16), 15, -1, cv2.LINE_AA, 4)
        if mark.is_ring:
            cv2.circle(picture, at, round(HOLE_MM * scale * 16), 245, -1, cv2.LINE_AA, 4)
    if dark:  # what is printed: round things of other sizes among them
        for n in range(12):
            cv2.circle(picture, (500 + 110 * n, 900 + 97 * (n % 5)), 12 + 9 * n, 60 + 10 * n, -1, cv2.LINE_AA)
        cv2.rectangle(picture, (600, 1800), (1400, 2300), 120, -1)
    return picture, scale


def photo(turn, dx, dy, scale, seed=0, blur=0.8, noise=4.0, slope=0.0):
    """The bed, 260 × 350 mm, with the page on it: turned about its middle, moved by mm, larger or smaller."""
    picture, per_mm = page()
    angle, middle = np.radians(turn), np.array(A4) / 2
    turned = scale * np.array([[np.cos(angle), -np.sin(angle)], [np.sin(angle), np.cos(angle)]])
    moved = middle + (20.0 + dx, 22.0 + dy) - turned @ middle  # page mm to bed mm
    whole = np.column_stack([turned, moved])
    to_px = np.array([[1 / MM_PX, 0, -0.5], [0, 1 / MM_PX, -0.5], [0, 0, 1]])
    from_px = np.array([[1 / per_mm, 0, 0.5 / per_mm], [0, 1 / per_mm, 0.5 / per_mm], [0, 0, 1]])
    matrix = to_px @ np.vstack([whole, (0, 0, 1)]) @ from_px
    bed = cv2.warpPerspective(cv2.GaussianBlur(picture, (0, 0), 1.2), matrix, (1040, 1400), flags=cv2.INTER_AREA,
                              borderValue=150)
    rng = np.random.default_rng(seed)
    light = 1 - slope * np.linspace(0, 1, bed.shape[1])
    seen = cv2.GaussianBlur(bed, (0, 0), blur) * light + rng.normal(0, noise, bed.shape)
    return np.clip(seen, 0, 255).astype(np.uint8), whole


@settings(max_examples=examples(25), deadline=None)
@given(st.floats(-5, 5), st.floats(-5, 5), st.floats(-5, 5), st.floats(0.99, 1.01), st.integers(0, 99),
       st.floats(0, 0.4))
def test_the_page_is_found_within_a_tenth_of_a_millimetre(turn, dx, dy, scale, seed, slope):
    seen, whole = photo(turn, dx, dy, scale, seed, slope=slope)
    found = page_found(seen, MM_PX, *A4)
    places = np.array([(x, y) for x in (20, 105, 190) for y in (20, 150, 280)], float)
    wanted = places @ whole[:, :2].T + whole[:, 2]
    assert np.hypot(*(found.at(places) - wanted).T).max() <= 0.1
    assert found.turned_deg == pytest.approx(turn, abs=0.05) and found.scale == pytest.approx(scale, abs=5e-4)


@pytest.mark.parametrize("turn", [90.0, 180.0, 270.0])
def test_a_page_that_lies_turned_is_known_by_its_ring(turn):
    picture, per_mm = page()
    turned = np.rot90(picture, -round(turn / 90))
    small = cv2.resize(turned, None, fx=1 / (per_mm * MM_PX), fy=1 / (per_mm * MM_PX), interpolation=cv2.INTER_AREA)
    found = page_found(small, MM_PX, *A4)
    assert (found.turned_deg - turn + 180) % 360 - 180 == pytest.approx(0, abs=0.05)


@pytest.mark.parametrize("spoil", ["no ring", "covered", "turned over", "blank"])
def test_a_page_that_is_not_there_is_told(spoil):
    picture, per_mm = page()
    if spoil == "no ring":
        cv2.circle(picture, tuple(round(v * per_mm) for v in (marks_of(*A4)[3].x, marks_of(*A4)[3].y)), 40, 245, -1)
    elif spoil == "covered":
        picture[:400, :400] = 245
    elif spoil == "turned over":
        picture = picture[:, ::-1].copy()
    else:
        picture[:] = 245
    small = cv2.resize(picture, None, fx=0.4, fy=0.4, interpolation=cv2.INTER_AREA)
    with pytest.raises(PictureError, match="marks"):
        page_found(small, MM_PX, *A4)


@settings(max_examples=examples(20), deadline=None)
@given(st.integers(0, 1000), st.integers(2, 14))
def test_a_bleed_has_the_colours_of_the_edge_and_nothing_of_the_ground(seed, bleed):
    rng = np.random.default_rng(seed)
    y, x = np.mgrid[:120, :120]
    solid = np.hypot(x - 60, y - 60) < rng.uniform(20, 40)
    colours = rng.integers(20, 200, (2, 3))
    rgb = np.where((x < 60)[..., None], colours[0], colours[1]).astype(np.uint8)
    ground = np.array([255, 255, 255], np.uint8)
    mixed = cv2.GaussianBlur(np.where(solid[..., None], rgb, ground).astype(np.uint8), (0, 0), 0.8)
    made = with_bleed(mixed, solid, bleed)
    shown = made[..., 3] > 0
    away = cv2.distanceTransform((~solid).astype(np.uint8), cv2.DIST_L2, 5)
    assert np.array_equal(shown, away <= bleed) and set(np.unique(made[..., 3])) <= {0, 255}
    ring = (away <= bleed + 2) & ~solid & (np.abs(x - 60) > 6)  # what is mixed in where the picture is drawn smaller
    wanted = np.where((x < 60)[..., None], colours[0], colours[1])
    assert np.abs(made[ring][:, :3].astype(int) - wanted[ring]).max() <= 12


def test_a_hair_keeps_its_colour():
    solid = np.zeros((40, 40), bool)
    solid[20, 5:35] = True
    rgb = np.zeros((40, 40, 3), np.uint8)
    rgb[solid] = (200, 30, 40)
    made = with_bleed(rgb, solid, 4)
    assert (made[made[..., 3] > 0][:, :3] == (200, 30, 40)).all()
