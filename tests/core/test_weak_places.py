"""Spaces between cuts, thickened necks, sharp points, pieces too small: against closed forms."""

import numpy as np
import pytest

from shapes import cover_of, grey_of, picture
from sketchloom.core.curves.curveset import is_straight, line_controls, segment_areas
from sketchloom.core.curves.outline import Outline
from sketchloom.core.layers.tips import sharp_points
from sketchloom.core.layers.width import local_widths, space_widths, stretch_around
from sketchloom.core.shapes import makers
from sketchloom.desk import mends, narrow
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.recipe.document import Recipe


def outline_of(*rings):
    controls = np.concatenate(rings)
    area = np.array([segment_areas(r).sum() for r in rings])
    return Outline(
        controls, is_straight(controls), np.concatenate([[0], np.cumsum([len(r) for r in rings])]), area, area < 0
    )


@pytest.mark.parametrize("gap", [1.5, 4.0, 9.0])
def test_the_space_between_two_pieces_is_measured(gap):
    two = outline_of(makers.ellipse((50, 50), 30, 30), makers.ellipse((110 + gap, 50), 30, 30))
    found = space_widths(two, 30.0, 0.5)
    # a ball that touches both circles at r sin t above their line has the diameter 2 ((r + gap / 2) / cos t - r)
    assert found.width.min() == pytest.approx(gap, abs=0.1)
    height = np.abs(found.xy[:, 1] - 50)
    near = height < 8
    assert np.abs(found.width[near] - 2 * ((30 + gap / 2) / np.sqrt(1 - (height[near] / 30) ** 2) - 30)).mean() < 0.1


def test_holes_near_each_other_have_a_bar_and_no_space():
    frame = outline_of(
        makers.rectangle((60, 60), 100, 100), *(makers.rectangle((x, 60), 30, 30)[::-1, ::-1] for x in (40, 76))
    )
    assert local_widths(frame, 20.0, 0.5).width.min() == pytest.approx(6.0, abs=0.1)
    assert space_widths(frame, 20.0, 0.5).narrowest() is None


def neck(width):
    """Two discs joined by a neck of a width, soft edges."""
    return picture(
        grey_of(
            cover_of(
                lambda x, y: (
                    (np.hypot(x - 60, y - 120) < 42)
                    | (np.hypot(x - 180, y - 120) < 42)
                    | ((np.abs(y - 120) < width / 2) & (x > 60) & (x < 180))
                ),
                240,
            )
        )
    )


@pytest.mark.parametrize("wanted_mm", [3.0, 5.0])
def test_a_neck_is_thickened_to_what_was_asked_and_nothing_else_moves(wanted_mm):
    source, pipeline = neck(7.0), Pipeline()  # 240 px on 120 mm: 3.5 mm wide
    recipe = Recipe(reading="tone", thin_mm=wanted_mm / 1.05, smallest_mm=0.5)
    work = pipeline.evaluate(source, recipe)
    thin = [f for f in work.findings if f.code == "layer.thin"]
    assert bool(thin) == (wanted_mm > 3.5 * 1.05)
    if not thin:
        return
    assert work.layers[0].min_feature_mm == pytest.approx(3.5, abs=0.06)
    mended = pipeline.evaluate(source, mends.mended_all("layer.thin", work))
    assert not [f for f in mended.findings if f.code == "layer.thin"]
    assert mended.layers[0].min_feature_mm == pytest.approx(wanted_mm, abs=0.1)
    # the discs stay: the neck between them, 39.5 px long at its middle, became wider by (wanted - 3.5) mm
    grown = mended.layers[0].area_mm2 - work.layers[0].area_mm2
    assert 0.5 * 18 * (wanted_mm - 3.5) < grown < 1.4 * 20 * (wanted_mm - 3.5)


def test_the_stretch_around_a_place_is_the_neck_in_order():
    work = Pipeline().evaluate(neck(7.0), Recipe(reading="tone"))
    points = stretch_around(work.layers[0].widths, (120, 120), 10.0)
    assert len(points) > 4 and np.abs(points[:, 1] - 120).max() < 0.3
    steps = np.diff(points[:, 0])
    assert (steps > 0).all() or (steps < 0).all()


@pytest.mark.parametrize("degrees", [8, 15, 30, 60])
def test_a_point_opens_by_its_angle(degrees):
    half = np.radians(degrees / 2)
    wedge = outline_of(
        makers.polygon([(0, 0), (200 * np.cos(half), -200 * np.sin(half)), (200 * np.cos(half), 200 * np.sin(half))])
    )
    found = sharp_points(wedge, 8.0, np.radians(20))
    if degrees >= 20:
        assert len(found) == 0
    else:
        assert len(found) == 1
        assert np.hypot(*found[0, :2]) < 2.0 and np.degrees(found[0, 2]) == pytest.approx(degrees, abs=1.5)


def test_a_sharp_notch_is_no_point_that_tears():
    notch = [(0, 0), (100, 0), (100, 100), (52, 100), (50, 20), (48, 100), (0, 100)]
    points = sharp_points(outline_of(makers.polygon(notch)), 6.0, np.radians(20))
    assert len(points) == 0
    assert (
        len(
            sharp_points(
                Outline(
                    line_controls(np.empty((0, 2)), np.empty((0, 2))),
                    np.empty(0, bool),
                    np.zeros(1, np.intp),
                    np.empty(0),
                    np.empty(0, bool),
                ),
                6.0,
                0.3,
            )
        )
        == 0
    )


def test_pieces_too_small_are_counted_and_dropped_at_once():
    def spots(x, y):
        big = np.hypot(x - 120, y - 120) < 40
        for k in range(6):
            big = big | (np.hypot(x - 20 - 40 * k, y - 30) < 1.3)
        return big
    source, pipeline = picture(grey_of(cover_of(spots, 240))), Pipeline()
    work = pipeline.evaluate(source, Recipe(reading="tone", smallest_mm=0.0, thin_mm=2.0))
    small = [f for f in work.findings if f.code == "layer.small_pieces"]
    assert len(small) == 1 and small[0].message.startswith("6 pieces")
    done = pipeline.evaluate(source, mends.mended(small[0], work))
    assert done.layers[0].outline.pieces == 1 and not [f for f in done.findings if f.code == "layer.small_pieces"]
    assert len(done.recipe.edits) == 6  # kept as decisions, so that they can be brought back


def star_of_threads(count=9):
    """Threads of 3 px that cross in one place and end at a ring: thickening one leaves narrow places beside it."""
    def inside(x, y):
        away, turn = np.hypot(x - 150, y - 150), np.arctan2(y - 150, x - 150)
        thread = np.abs(away * np.sin(count * turn) / count) < 1.5
        return ((away < 120) & thread) | (np.abs(away - 120) < 2.2)
    return picture(grey_of(cover_of(inside, 300)))


def test_thicken_all_leaves_no_place_under_the_limit():
    """Two rounds and more are needed; the button says all, so all it is."""
    pipeline, drawn = Pipeline(), star_of_threads()
    work = pipeline.evaluate(drawn, Recipe(reading="tone", size_mm=100.0, thin_mm=2.0))
    def under(one):
        return [p for p in narrow.narrow_places(one, 400) if p.width_mm < p.least_mm]
    assert len(under(work)) > 8
    recipe, left = narrow.all_thickened(work, lambda r: pipeline.evaluate(drawn, r))
    after = pipeline.evaluate(drawn, recipe)
    assert left == len(under(after)) <= 1
    assert narrow.all_thickened(after, lambda r: pipeline.evaluate(drawn, r)) == (recipe, left)
