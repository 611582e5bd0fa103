"""Thin strokes that a blur made paler are no colour of their own; what is drawn paler is."""

import cv2
import numpy as np
import pytest

from sketchloom.core.picture.picture import Picture, frozen_array
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.recipe.document import Recipe

INK, PALE = (35, 64, 107), (120, 140, 170)


def drawn(blur_px, pale=()):
    """A thick bow, thin stripes in the same ink, and pale ones of a width."""
    pixels = np.full((460, 460, 3), 255, np.uint8)
    cv2.ellipse(pixels, (230, 250), (160, 160), 0, 180, 360, INK, 32, cv2.LINE_AA)
    for n in range(4):
        cv2.line(pixels, (100 + 90 * n, 330), (100 + 90 * n, 420), INK, 7, cv2.LINE_AA)
    for n in range(3):
        for width in pale:
            cv2.line(pixels, (150 + 70 * n, 250), (150 + 70 * n, 320), PALE, width, cv2.LINE_AA)
    return Picture(frozen_array(cv2.GaussianBlur(pixels, (0, 0), blur_px) if blur_px else pixels))


@pytest.mark.parametrize("blur_px", [0.0, 1.0, 2.0, 3.0])
def test_thin_strokes_are_of_the_ink_however_blurred(blur_px):
    work = Pipeline().evaluate(drawn(blur_px), Recipe())
    assert [plan.name for plan in work.plans] == ["dark blue"]
    assert work.layers[0].outline.pieces == 5


@pytest.mark.parametrize("blur_px", [0.0, 2.0])
def test_what_is_drawn_paler_and_wide_stays_a_colour(blur_px):
    work = Pipeline().evaluate(drawn(blur_px, pale=(26,)), Recipe())
    assert len(work.plans) == 2


def test_sharp_thin_strokes_in_a_paler_colour_stay_a_colour():
    work = Pipeline().evaluate(drawn(0.0, pale=(8,)), Recipe())
    assert len(work.plans) == 2
