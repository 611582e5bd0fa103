"""What is taken from a picture by strips is what all of it gives."""

import cv2
import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from sketchloom.core.base import raster
from sketchloom.core.picture.picture import Picture
from sketchloom.core.planar import subpixel
from sketchloom.core.planar.planar_map import build_map


@pytest.fixture
def short(monkeypatch):
    """Strips of a few rows."""
    monkeypatch.setattr(raster, "_STRIP_PX", 1500)


@given(st.integers(0, 2**32 - 1), st.integers(1, 400), st.integers(1, 90), st.integers(1, 90))
def test_every_nth_pixel_of_a_mask(seed, step, height, width):
    mask = np.random.default_rng(seed).random((height, width)) < 0.4
    with pytest.MonkeyPatch.context() as patch:
        patch.setattr(raster, "_STRIP_PX", 300)
        assert np.array_equal(raster.every_nth(mask, step), np.flatnonzero(mask)[::step])


def test_local_range(short):
    rgb = np.random.default_rng(1).integers(0, 256, (90, 70, 3), np.uint8)
    kernel = np.ones((3, 3), np.uint8)
    whole = cv2.subtract(cv2.dilate(rgb, kernel), cv2.erode(rgb, kernel)).max(2)
    assert np.array_equal(Picture(rgb).local_range, whole)


def test_means_of_faces(short):
    """Against a mean over the inner pixels of each face, or over all where it has none."""
    rng = np.random.default_rng(2)
    soft = cv2.GaussianBlur(rng.normal(0, 1, (110, 90)).astype(np.float32), (0, 0), 3)
    planar = build_map((soft > 0.02).astype(np.int32) + (soft > 0.08))
    field = rng.integers(0, 256, (110, 90, 3), np.uint8)
    faces = np.pad(planar.faces, 1, mode="edge")
    middle = faces[1:-1, 1:-1]
    inner = np.all([faces[1 + y:faces.shape[0] - 1 + y, 1 + x:faces.shape[1] - 1 + x] == middle
                    for y, x in ((0, 1), (1, 0), (0, -1), (-1, 0))], 0)
    found = subpixel.face_means(planar, field)
    for number in range(planar.face_count):
        mine = middle == number
        assert found[number] == pytest.approx(field[mine & inner if (mine & inner).any() else mine].mean(0))
