"""Lines of less than two pixels between flat colours: found as lines, drawn whole."""

import cv2
import numpy as np
import pytest
import shapely

from sketchloom.core.base.errors import Cancelled
from sketchloom.core.curves.curveset import evaluate
from sketchloom.core.picture.picture import Picture, frozen_array
from sketchloom.core.segment.palette import find_colours
from sketchloom.core.thin_lines import mixing, network
from sketchloom.core.thin_lines.finding import find_thin_lines
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.files.report import report_of
from sketchloom.recipe.document import Recipe

PAGE, SUN, SEA, INK = (252, 250, 244), (238, 150, 92), (70, 140, 190), (34, 28, 30)
TIMES = 16


def pond(size, width, times=TIMES):
    """A lantern boat in outline, drawn ``times`` as fine: a sail and a hull on a page, each outlined, a mast between.

    Returns rgb (size, size, 3), the line's cover (size, size), and where its middle runs, shapely, px.
    """
    n, f = size * times, size * times / 100.0
    big, line = np.full((n, n, 3), PAGE, np.uint8), np.zeros((n, n), np.uint8)
    turn = np.linspace(0, np.pi, 120)
    hull = np.stack([50 + 36 * np.cos(turn), 62 + 24 * np.sin(turn)], -1)
    sail = np.array([[50, 12], [80, 50], [50, 56]])
    middles = []
    pen = max(1, round(width * times))
    for points, colour, ring in ((hull, SEA, True), (sail, SUN, True), (np.array([[50, 12], [50, 62]]), None, False)):
        at = np.rint(points * f * 16).astype(np.int32)[None]
        if colour is not None:
            cv2.fillPoly(big, at, colour, cv2.LINE_8, 4)
        cv2.polylines(big, at, ring, INK, pen, cv2.LINE_8, 4)
        cv2.polylines(line, at, ring, 255, pen, cv2.LINE_8, 4)
        px = points * size / 100.0
        middles.append(shapely.LinearRing(px) if ring else shapely.LineString(px))
    def small(plane):
        return cv2.resize(plane, (size, size), interpolation=cv2.INTER_AREA)
    return small(big), small(line.astype(np.float32) / 255), shapely.union_all(middles)


def picture(rgb, alpha=None):
    return Picture(frozen_array(rgb), None if alpha is None else frozen_array(alpha))


def dark_pieces(work) -> int:
    """Pieces, joined by sides, of what is darkest."""
    values = [sum(int(e.hex[k:k + 2], 16) for k in (1, 3, 5)) for e in work.segmentation.entries]
    dark = (work.segmentation.labels == int(np.argmin(values))).astype(np.uint8)
    return cv2.connectedComponents(dark, connectivity=4)[0] - 1


@pytest.mark.parametrize("width", [0.8, 1.0, 1.3, 1.7])
def test_how_much_of_a_line_is_in_each_pixel(width):
    rgb, cover, _ = pond(160, width)
    flat = picture(rgb).local_range <= 6
    colours = np.array([PAGE, SUN, SEA], float)
    seen = mixing.mixed(rgb, mixing.owners(rgb, flat, colours), colours, INK)
    off = np.abs(seen.cover - cover)
    assert off.sum() < 0.04 * cover.sum() and np.percentile(off[cover > 0], 95) < 0.12
    assert (seen.least <= seen.cover + 1e-6).all() and ((seen.side >= 0) | (seen.cover > 0.9)).mean() > 0.99


def test_two_lines_that_nearly_touch_are_two():
    """A pixel and a half between their middles' edges."""
    cover = np.zeros((40, 60), np.float32)
    cover[18], cover[21] = 0.9, 0.9
    cover[19] = cover[20] = 0.35
    fine = network.larger(cover, 3)
    count, _ = cv2.connectedComponents(network.line_mask(fine, 3).astype(np.uint8)[:, 10:-10])
    assert count - 1 == 2


def test_a_line_between_pixels_is_as_whole_as_one_on_them():
    """Its cover swings between half in two pixels and all in one as it leans."""
    x = np.arange(120)
    y = 20.0 + x * 0.07
    rows = np.arange(60)[:, None]
    cover = np.clip(np.minimum(rows + 1, y + 0.45) - np.maximum(rows, y - 0.45), 0, 1).astype(np.float32)
    assert cover.max(0).min() < 0.6 and cover.max(0).max() > 0.85
    mask = network.line_mask(network.larger(cover, 3), 3)
    assert cv2.connectedComponents(mask.astype(np.uint8))[0] - 1 == 1


@pytest.mark.parametrize(("size", "width"), [(160, 0.9), (160, 1.3), (240, 1.1), (320, 1.6)])
def test_outlines_come_out_as_one_network_of_an_even_width(size, width):
    rgb, cover, middle = pond(size, width)
    work, plain = (Pipeline().evaluate(picture(rgb), Recipe(reading="colour", smallest_mm=0.0, thin_lines=on))
                   for on in (True, False))
    found = work.thin_lines
    assert plain.thin_lines is None and found is not None
    assert dark_pieces(work) == 1
    true = cover.sum() / middle.length
    assert found.width_px == pytest.approx(true, rel=0.15)
    assert found.length_px == pytest.approx(middle.length, rel=0.08)
    # both edges of the lines, in pixels of the picture as it came: half a width from their middle, but for the corners
    curves = work.traced.curves
    points = evaluate(curves.controls[:, None], np.linspace(0, 1, 30)[None]).reshape(-1, 2) / found.times
    inside = ((points > 1) & (points < size - 1)).all(1)
    away = np.abs(shapely.distance(middle, shapely.points(points[inside])) - true / 2)
    assert np.median(away) < 0.08 and np.percentile(away, 85) < 0.35
    assert work.size_mm == pytest.approx(plain.size_mm)


def test_what_was_dashes_is_whole():
    """The same picture without: at nine tenths of a pixel the outline falls to pieces."""
    rgb, _, _ = pond(160, 0.9)
    plain = Pipeline().evaluate(picture(rgb), Recipe(reading="colour", smallest_mm=0.0, thin_lines=False))
    assert dark_pieces(plain) > 1 or len(plain.segmentation.entries) > 4


def test_lines_on_transparent_ground():
    """What a renderer gives that draws on nothing: the mean of what is drawn, and how much of a pixel that is."""
    big, line, _ = pond(200 * TIMES, 1.2 * TIMES, times=1)
    drawn = ((np.abs(big.astype(int) - PAGE).max(-1) > 0) | (line > 0)).astype(np.float32)
    def small(plane):
        return cv2.resize(plane, (200, 200), interpolation=cv2.INTER_AREA)
    share = small(drawn)
    rgb = small(big * drawn[..., None]) / np.maximum(share, 1e-6)[..., None]
    work = Pipeline().evaluate(picture(np.rint(rgb).clip(0, 255).astype(np.uint8), np.rint(255 * share).astype(
        np.uint8)), Recipe(reading="colour", smallest_mm=0.0))
    assert work.picture.alpha is not None
    assert work.thin_lines is not None and dark_pieces(work) == 1


@pytest.mark.parametrize("grey", [110, 160, 200])
def test_the_edge_between_two_shades_of_the_lines_colour_is_no_line(grey):
    """White beside grey, black elsewhere in plenty: blends of white and grey are no thin black line."""
    big = np.full((1600, 1600, 3), 255, np.uint8)
    cv2.circle(big, (620, 700), 400, (grey,) * 3, -1)
    cv2.rectangle(big, (1150, 1000), (1500, 1450), (20, 20, 20), -1)
    rgb = cv2.resize(big, (200, 200), interpolation=cv2.INTER_AREA)
    assert find_thin_lines(picture(rgb), find_colours(picture(rgb))) is None


def test_a_drawing_without_thin_lines_has_none():
    for width in (2.6, 4.0):
        rgb, _, _ = pond(200, width)
        assert find_thin_lines(picture(rgb), find_colours(picture(rgb))) is None


def test_the_report_says_what_was_found_and_speaks_of_the_picture_as_it_came():
    rgb, _, _ = pond(160, 1.2)
    work = Pipeline().evaluate(picture(rgb), Recipe(reading="colour"))
    source = report_of(work, "pond.png", {})["source"]
    assert (source["width_px"], source["height_px"]) == (160, 160)
    assert source["thin_lines"]["times"] == work.thin_lines.times
    assert work.came_mm_per_px == pytest.approx(work.mm_per_px * work.thin_lines.times)


def test_it_can_be_stopped():
    rgb, _, _ = pond(160, 1.2)

    class Stop:
        def step(self, *_):
            raise Cancelled

    with pytest.raises(Cancelled):
        find_thin_lines(picture(rgb), find_colours(picture(rgb)), progress=Stop())
