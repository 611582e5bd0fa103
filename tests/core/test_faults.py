"""Faults: found where they are put, and not where they are not. (How often is the benchmark's matter.)"""

import io

import cv2
import numpy as np
import pytest
from PIL import Image

from sketchloom.core.judge.faults import find_faults
from sketchloom.core.picture.picture import Picture, frozen_array
from sketchloom.core.preflight.findings import RULES
from sketchloom.desk import mends
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.recipe.document import Recipe


def drawing(size=640):
    """Ink on paper with straight and round strokes."""
    grey = np.full((size, size), 255, np.uint8)
    cv2.rectangle(grey, (150, 160), (480, 470), 0, 8, cv2.LINE_AA)
    cv2.circle(grey, (320, 310), 90, 0, -1, cv2.LINE_AA)
    for y in (190, 430):
        cv2.line(grey, (180, y), (450, y), 0, 5, cv2.LINE_AA)
    return grey


def scanned(grey, ink=25, paper=235):
    values = cv2.GaussianBlur(grey.astype(np.float32), (0, 0), 0.8) * ((paper - ink) / 255) + ink
    return np.dstack([values] * 3) + np.random.default_rng(3).normal(0, 4, (*grey.shape, 1))


def picture_of(values):
    return Picture(frozen_array(np.clip(np.rint(values), 0, 255).astype(np.uint8)))


def turned(grey, degrees):
    move = cv2.getRotationMatrix2D((320, 320), -degrees, 0.9)
    return cv2.warpAffine(grey, move, grey.shape[::-1], flags=cv2.INTER_AREA, borderValue=255)


def test_an_even_straight_scan_has_no_fault():
    found = find_faults(picture_of(scanned(drawing())))
    assert found.page is None and found.skew_deg is None and found.uneven_light is None and found.screen_px is None
    assert not found.blocks and found.pale is None and found.frame is None and found.texture is None


def test_skew_is_measured():
    assert find_faults(picture_of(scanned(turned(drawing(), 3.0)))).skew_deg == pytest.approx(3.0, abs=0.1)


def test_uneven_light_is_measured():
    lit = scanned(drawing()) * np.linspace(1.0, 0.7, 640)[None, :, None]
    assert find_faults(picture_of(lit)).uneven_light == pytest.approx(0.3, abs=0.06)


def test_pale_ink():
    assert find_faults(picture_of(scanned(drawing(), ink=180))).pale == pytest.approx(55, abs=8)


def test_compression_leaves_blocks():
    buffer = io.BytesIO()
    Image.fromarray(picture_of(scanned(drawing())).rgb).save(buffer, "JPEG", quality=25)
    assert find_faults(picture_of(np.asarray(Image.open(buffer).convert("RGB")))).blocks


def test_a_watermark_under_the_drawing():
    coarse = cv2.GaussianBlur(np.random.default_rng(1).normal(0, 1, (640, 640)), (0, 0), 5)
    marked = scanned(drawing()) - 12 * np.abs(coarse / coarse.std())[..., None]
    assert find_faults(picture_of(marked)).texture is not None


def test_a_dark_border_is_a_frame_and_a_line_around_too():
    border = cv2.copyMakeBorder(drawing(), 20, 20, 20, 20, cv2.BORDER_CONSTANT, value=40)
    line = drawing()
    cv2.rectangle(line, (18, 18), (621, 621), 0, 4)
    for grey, depth in ((border, 20), (line, 21)):
        left, top, right, bottom = find_faults(picture_of(scanned(grey))).frame
        size = grey.shape[0]
        for share in (left, top, 1 - right, 1 - bottom):
            assert depth <= share * size <= depth + 5
        # a sign or a card drawn by a program has its border because it is a sign
        assert find_faults(picture_of(np.dstack([grey] * 3))).frame is None
    assert find_faults(picture_of(scanned(drawing()))).frame is None


def doubled():
    """Two rings 8 px apart, 5 px wide each, and a double bar."""
    grey = np.full((640, 640), 255, np.uint8)
    for radius in (200, 212):
        cv2.circle(grey, (320, 320), radius, 0, 5, cv2.LINE_AA)
    cv2.rectangle(grey, (250, 300), (390, 312), 0, 5, cv2.LINE_AA)
    return grey


def test_double_strokes_are_found_and_filled():
    assert find_faults(picture_of(scanned(drawing()))).double_px is None
    for values in (scanned(doubled()), np.dstack([doubled()] * 3)):
        picture = picture_of(values)
        assert find_faults(picture).double_px == pytest.approx(8, abs=2.5)
        pipeline = Pipeline()
        work = pipeline.evaluate(picture, Recipe(reading="tone", smallest_mm=0.2))
        finding = next(f for f in work.findings if f.code == "source.double")
        mended = pipeline.evaluate(picture, mends.mended(finding, work))
        # two rings are one, the bar is solid: ring with its hole, and the bar
        assert (work.layers[0].outline.pieces, mended.layers[0].outline.pieces) == (3, 2)
        assert mended.layers[0].outline.holes == 1


def test_transparent_pictures_are_not_judged_as_scans():
    alpha = frozen_array(np.where(drawing() < 128, 255, 0).astype(np.uint8))
    found = find_faults(Picture(frozen_array(np.dstack([drawing()] * 3)), alpha))
    assert found.page is None and found.skew_deg is None


@pytest.mark.parametrize("damage, code", [
    (lambda g: scanned(turned(g, -2.5)), "source.skew"),
    (lambda g: scanned(g) * np.linspace(1, 0.7, 640)[None, :, None], "source.light"),
    (lambda g: scanned(g, ink=190), "source.pale"),
    (lambda g: scanned(cv2.copyMakeBorder(g, 20, 20, 20, 20, cv2.BORDER_CONSTANT, value=40)), "source.frame")])
def test_the_button_beside_a_fault_mends_it(damage, code):
    """The whole way: found, offered, mended in the recipe, gone from the findings."""
    assert code in RULES and code in mends.mendable()
    pipeline, picture = Pipeline(), picture_of(damage(drawing()))
    work = pipeline.evaluate(picture, Recipe())
    for _ in range(3):  # pale pencil may want more than one step
        finding = next((f for f in work.findings if f.code == code), None)
        if finding is None:
            break
        work = pipeline.evaluate(picture, mends.mended(finding, work))
    assert code not in {f.code for f in work.findings} and not work.recipe.preparation.is_plain
