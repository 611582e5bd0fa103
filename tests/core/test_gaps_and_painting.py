"""Gaps in outlines, the bridges over them, and lines painted into the picture."""

from dataclasses import replace

import cv2
import numpy as np
import pytest
from shapely.geometry import LineString

import shapes
from bench.gap_drawings import gap_drawing
from sketchloom.core.base.errors import SettingError
from sketchloom.core.edits.decisions import PaintedLine
from sketchloom.core.edits.gaps import find_gaps
from sketchloom.core.edits.painting import painted
from sketchloom.core.picture.preparing.placing import placing
from sketchloom.core.picture.preparing.steps import PLAIN, Preparation
from sketchloom.desk import lines
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.recipe.document import Recipe, from_json, to_json

SIZE = 240


def ring_with_gap(gap, stroke=6.0, radius=70.0):
    """Cover of a ring at the middle with a gap at its right."""
    def inside(x, y):
        return (np.abs(np.hypot(x - 120, y - 120) - radius) < stroke / 2) & ~((x > 120) & (np.abs(y - 120) < gap / 2))
    return shapes.cover_of(inside, SIZE)


@pytest.mark.parametrize("gap", [2.0, 4.0, 7.0, 12.0])
@pytest.mark.parametrize("stroke", [3.0, 6.0, 9.0])
def test_a_gap_is_found_with_its_size_and_the_strokes_width(gap, stroke):
    gaps = find_gaps(ring_with_gap(gap, stroke) > 0.5)
    assert len(gaps) == 1
    assert (gaps.start + gaps.end)[0] / 2 == pytest.approx((190, 120), abs=2.5)
    assert gaps.gap_px[0] == pytest.approx(gap, abs=1.2) and gaps.width_px[0] == pytest.approx(stroke, abs=1.6)


def test_what_is_closed_or_only_comes_near_has_no_gap():
    ring = np.hypot(*np.mgrid[-120:120, -120:120])
    assert len(find_gaps((ring < 60) & (ring > 54))) == 0
    two = np.zeros((SIZE, SIZE), np.uint8)
    cv2.circle(two, (70, 120), 50, 1, 5)
    cv2.circle(two, (178, 120), 50, 1, 5)  # 3 px of paper between
    assert len(find_gaps(two > 0)) == 0
    assert len(find_gaps(np.zeros((20, 20), bool))) == 0 and len(find_gaps(np.ones((20, 20), bool))) == 0


def test_several_gaps_of_one_outline_are_all_found():
    ink = np.zeros((SIZE, SIZE), np.uint8)
    cv2.rectangle(ink, (40, 40), (200, 200), 1, 5)
    for x, y in ((120, 40), (40, 100), (200, 150)):
        cv2.rectangle(ink, (x - 3, y - 3), (x + 3, y + 3), 0, -1)
    gaps = find_gaps(ink > 0)
    middle = (gaps.start + gaps.end) / 2
    assert sorted(map(tuple, middle.round(-1).tolist())) == [(40, 100), (120, 40), (200, 150)]


def test_an_end_before_the_side_of_another_stroke_is_a_gap():
    ink = np.zeros((SIZE, SIZE), np.uint8)
    cv2.rectangle(ink, (30, 30), (210, 210), 1, 5)
    cv2.line(ink, (120, 30), (120, 202), 1, 5)  # stops short of the lower side
    gaps = find_gaps(ink > 0)
    assert len(gaps) == 1 and ((gaps.start + gaps.end)[0] / 2)[1] == pytest.approx(206, abs=2.5)


def test_bridges_of_drawings_made_by_rule():
    """A few of those the benchmark takes; most gaps are found and hardly anything else."""
    cuts = found = false = 0
    for seed in range(5000, 5012):
        grey, truth = gap_drawing(seed)
        gaps = find_gaps(grey < 140)
        middle = (gaps.start + gaps.end) / 2
        near = np.array([[np.hypot(*(m - c.xy)) < c.gap / 2 + 5 for c in truth] for m in middle]).reshape(
            len(middle), len(truth)
        )
        cuts, found, false = cuts + len(truth), found + int(near.any(0).sum()), false + int((~near.any(1)).sum())
    assert found >= 0.85 * cuts and false <= 1


@pytest.mark.parametrize("points, width", [(((0.2, 0.3), (0.8, 0.55)), 0.05), (((0.3, 0.2), (0.3, 0.9)), 0.02)])
def test_a_painted_line_covers_what_a_general_library_says(points, width):
    """shapely's buffer of the line with round ends."""
    white = shapes.picture(np.full((SIZE, SIZE), 255, np.uint8))
    out = painted(white, [PaintedLine(points, width, "#000000")], placing(SIZE, SIZE, PLAIN), (SIZE, SIZE))
    want = LineString(np.array(points) * SIZE).buffer(width * SIZE / 2, quad_segs=64).area
    assert (255.0 - out.grey).sum() / 255 == pytest.approx(want, rel=0.01)
    assert painted(white, [PaintedLine(points, width, "#000000", on=False)], np.eye(3), (SIZE, SIZE)) is white


def test_a_painted_line_follows_the_preparation():
    steps = Preparation(crop=(0.1, 0.2, 0.9, 1.0), enlarge=2)
    line = PaintedLine(((0.3, 0.5), (0.6, 0.5)), 0.04, "#000000")
    white = shapes.picture(np.full((round(0.8 * SIZE) * 2,) * 2, 255, np.uint8))
    out = painted(white, [line], placing(SIZE, SIZE, steps), (SIZE, SIZE))
    ys, xs = np.nonzero(out.grey < 128)
    assert ys.mean() + 0.5 == pytest.approx((0.5 - 0.2) * SIZE * 2, abs=1)
    assert ys.max() - ys.min() + 1 == pytest.approx(0.04 * SIZE * 2, abs=1.1)
    assert (xs.min(), xs.max()) == pytest.approx(((0.2 * 2 - 0.04) * SIZE, (0.5 * 2 + 0.04) * SIZE), abs=2)


def test_a_bridge_parts_inside_from_outside_and_follows_the_outline():
    picture = shapes.picture(shapes.grey_of(ring_with_gap(6.0)))
    recipe = Recipe(reading="tone", size_mm=float(SIZE), smallest_mm=0.5)
    work = Pipeline().evaluate(picture, recipe)
    assert work.traced.planar.face_count == 2
    gaps = lines.gaps(work)
    bridged = replace(recipe, lines=(lines.bridge(work, gaps.start[0], gaps.end[0], float(gaps.width_px[0])),))
    closed = Pipeline().evaluate(picture, bridged)
    assert closed.traced.planar.face_count == 3 and closed.layers[0].outline.holes == 1
    # the two circles of the ring, 2 pi (r + w/2 + r - w/2)
    assert closed.layers[0].cut_length_mm == pytest.approx(4 * np.pi * 70, rel=0.02)
    assert len(lines.gaps(closed)) == 0 and closed.segmentation.cut_off == work.segmentation.cut_off
    # another cut-off, another crop: the bridge is still there
    again = Pipeline().evaluate(
        picture,
        replace(bridged, cut_off=work.segmentation.cut_off + 30, preparation=Preparation(crop=(0.1, 0.1, 0.95, 0.95))),
    )
    assert again.layers[0].outline.holes == 1
    off = Pipeline().evaluate(picture, replace(bridged, lines=tuple(replace(x, on=False) for x in bridged.lines)))
    assert off.traced.planar.face_count == 2


def test_ink_is_added_and_taken_away_in_every_reading():
    picture = shapes.picture(shapes.grey_of(ring_with_gap(0.0)))
    for reading in ("tone", "colour"):
        recipe = Recipe(reading=reading, size_mm=float(SIZE), smallest_mm=0.5)
        work = Pipeline().evaluate(picture, recipe)
        cut = lines.painted_line(work, np.array(((0.5, 0.5), (0.95, 0.5))), 6.0, lines.brush_hex(work, False, None))
        dot = lines.painted_line(work, np.array(((0.1, 0.1), (0.12, 0.1))), 10.0, lines.brush_hex(work, True, None))
        done = Pipeline().evaluate(picture, replace(recipe, lines=(cut, dot)))
        assert sum(x.outline.holes for x in done.layers) == 0 and sum(x.outline.pieces for x in done.layers) == 2


def test_a_line_is_as_wide_as_asked_for_however_the_picture_is_prepared():
    for steps in (PLAIN, Preparation(enlarge=2), Preparation(crop=(0.2, 0.1, 0.8, 0.9), turn_deg=10.0)):
        work = Pipeline().evaluate(
            shapes.picture(shapes.grey_of(ring_with_gap(0.0))), Recipe(reading="tone", size_mm=100.0, preparation=steps)
        )
        line = lines.painted_line(work, ((0.4, 0.4), (0.6, 0.4)), 3.0 / work.mm_per_px, "#000000")
        assert lines.line_widths_mm(work, (line,))[0] == pytest.approx(3.0, rel=1e-4)


def test_lines_and_edits_are_written_and_read_again():
    recipe = Recipe(lines=(PaintedLine(((0.1, 0.2), (-0.3, 1.4)), 0.01, "#102030", False),))
    assert from_json(to_json(recipe)) == recipe
    for broken in ({"points": [[0, 0]]}, {"points": [[0, 0], [9, 9]]}, {"width": 2}, {"hex": "red"}, {"on": 1}):
        with pytest.raises(SettingError):
            from_json({"lines": [{"points": [[0, 0], [1, 1]], "width": 0.1, "hex": "#000000", **broken}]})
    for broken in ({"action": "burn"}, {"x": 99}, {"area": -1}, {"seen": "?"}, {"action": "colour"}):
        with pytest.raises(SettingError):
            from_json({"edits": [{"x": 0.5, "y": 0.5, "action": "drop", "seen": "#000000", "area": 0.1, **broken}]})


def test_a_leak_in_the_outline_of_a_coloured_picture_is_found_and_closed():
    # two fields that would be one: the same colour on both sides of a dark line with a gap in it
    page = np.full((240, 320, 3), (240, 200, 90), np.uint8)
    page[:20], page[-20:], page[:, :20], page[:, -20:] = 255, 255, 255, 255
    for box in (
        np.s_[20:26, 20:300],
        np.s_[214:220, 20:300],
        np.s_[20:220, 20:26],
        np.s_[20:220, 294:300],
        np.s_[20:110, 157:163],
        np.s_[118:220, 157:163],
    ):
        page[box] = (30, 30, 40)
    page[60:80, 60:80] = (60, 120, 160)
    pipeline, source = Pipeline(), shapes.picture(page)
    work = pipeline.evaluate(source, Recipe(reading="colour", colours=4))
    faces = work.traced.planar.faces
    assert lines.outline_label(work) is not None and faces[150, 100] == faces[150, 220]
    gaps = lines.gaps(work)
    assert len(gaps) == 1 and gaps.gap_px[0] == pytest.approx(8, abs=1.5)
    closed = pipeline.evaluate(
        source,
        Recipe(
            reading="colour",
            colours=4,
            lines=(lines.bridge(work, gaps.start[0], gaps.end[0], float(gaps.width_px[0])),),
        ),
    )
    faces = closed.traced.planar.faces
    assert faces[150, 100] != faces[150, 220]
