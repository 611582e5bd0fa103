"""Corners of blurred pictures: alike ones come out alike."""

import cv2
import numpy as np
import pytest

import shapes
from sketchloom.core.picture.picture import Picture, frozen_array
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.recipe.document import Recipe


def _star(side, blur_px, colours):
    """A star with seven alike tips in a picture of a side, blurred."""
    angle = 0.3 + np.arange(14) * np.pi / 7
    reach = np.where(np.arange(14) % 2, 0.2, 0.4) * side
    points = np.stack([side / 2 + reach * np.cos(angle), side / 2 + reach * np.sin(angle)], -1)
    fine = cv2.fillPoly(np.zeros((4 * side, 4 * side), np.uint8), [np.rint(4 * points - 0.5).astype(int)], 255)
    cover = cv2.resize(fine, (side, side), interpolation=cv2.INTER_AREA)[..., None] / 255
    if colours:
        y, x = np.mgrid[:side, :side] + 0.5
        ground = np.where((np.hypot(x - side / 2, y - side / 2) < 0.46 * side)[..., None], (242, 182, 50), 255)
    else:
        ground = np.full((side, side, 3), 255)
    rgb = cv2.GaussianBlur(cover * (216, 30, 40) + (1 - cover) * ground, (0, 0), blur_px)
    return Picture(frozen_array(rgb.round().astype(np.uint8))), points


@pytest.mark.parametrize("colours", [False, True])
@pytest.mark.parametrize("blur_px", [0.6, 0.9, 1.2, 1.6])
@pytest.mark.parametrize("side", [350, 700])
def test_alike_corners_of_a_blurred_picture_are_all_sharp(side, blur_px, colours):
    picture, points = _star(side, blur_px, colours)
    work = Pipeline().evaluate(picture, Recipe(smallest_mm=0.5))
    ends = np.concatenate([layer.outline.controls for layer in work.layers])
    joined = np.concatenate([ends[:, 0], ends[:, 3]])
    straight = np.concatenate([layer.outline.straight for layer in work.layers])
    assert straight.sum() >= 14  # every side from tip to notch
    assert all(np.hypot(*(joined - p).T).min() < 0.8 + 0.5 * blur_px for p in points)


@pytest.mark.parametrize(("r", "apart"), [(14, 16), (18, 16)])
def test_the_tips_of_a_small_crescent_are_corners_where_its_sides_meet(r, apart):
    """Both sides bend; lines laid through them meet beside the tip, and it came out round."""
    size, x, y = 100, 40.3, 50.6
    def inside(px, py):
        return (np.hypot(px - x, py - y) < r) & (np.hypot(px - x - apart, py - y) >= r)
    rgb = np.rint(shapes.colour_of(shapes.cover_of(inside, size), (30, 53, 87), (255, 255, 255))).astype(np.uint8)
    work = Pipeline().evaluate(Picture(frozen_array(rgb), None, None, "moon", ()),
                               Recipe(reading="colour", smallest_mm=0.0, exact_shapes=False))
    curves = work.traced.curves.controls
    curves = curves[((curves > 1) & (curves < size - 1)).all((1, 2))]
    high = np.sqrt(r * r - apart * apart / 4)
    for tip in ((x + apart / 2, y - high), (x + apart / 2, y + high)):
        begins = int(np.hypot(*(curves[:, 0] - tip).T).argmin())
        ends = int(np.hypot(*(curves[:, 3] - curves[begins, 0]).T).argmin())
        into, out = curves[ends, 3] - curves[ends, 2], curves[begins, 1] - curves[begins, 0]
        assert np.hypot(*(curves[begins, 0] - tip)) < 0.4
        assert np.degrees(np.abs(np.arctan2(into[0] * out[1] - into[1] * out[0], into @ out))) > 90
    assert len(curves) <= 4
