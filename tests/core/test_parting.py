"""Likely split lines, stencil bridges, covers, strokes as things, curved bridges: on drawings made by rule."""

import cv2
import numpy as np
import pytest
from hypothesis import given
from hypothesis import strategies as st

from shapes import picture
from sketchloom.core.edits.bridging import bridge_curve
from sketchloom.core.edits.gaps import find_gaps
from sketchloom.core.edits.necks import likely_cuts
from sketchloom.core.edits.stencil import find_bridges
from sketchloom.core.segment.covering import covered
from sketchloom.core.strokes.ink_lines import InkLines
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.recipe.document import Recipe


def drawn(paint, size=(300, 400)):
    """A drawing in black on white; ``paint`` draws on it with smooth lines."""
    page = np.full(size, 255, np.uint8)
    paint(page)
    return page


def cuts_of(grey):
    work = Pipeline().evaluate(picture(grey), Recipe(reading="tone"))
    return likely_cuts(work.traced.planar, work.traced.curves, np.flatnonzero(~work.ground))


def dumbbell(neck):
    def paint(page):
        cv2.circle(page, (100, 150), 60, 0, -1, cv2.LINE_AA)
        cv2.circle(page, (300, 150), 50, 0, -1, cv2.LINE_AA)
        cv2.rectangle(page, (100, 150 - neck // 2), (300, 150 + neck // 2), 0, -1)
    return drawn(paint)


@pytest.mark.parametrize("neck", [12, 20, 28])
def test_a_neck_between_two_bodies_is_a_likely_place(neck):
    cuts = cuts_of(dumbbell(neck))
    assert 1 <= len(cuts) <= 2
    for a, b in zip(cuts.start, cuts.end, strict=False):
        assert np.hypot(*(a - b)) == pytest.approx(neck + 1, abs=4) and 140 < (a[0] + b[0]) / 2 < 260


def test_a_tail_at_a_body_is_a_likely_place_and_a_plain_shape_has_none():
    def fish(page):
        cv2.ellipse(page, (150, 150), (90, 55), 0, 0, 360, 0, -1, cv2.LINE_AA)
        cv2.fillPoly(page, [np.array([[225, 150], [330, 95], [330, 205]])], 0, cv2.LINE_AA)
    cuts = cuts_of(drawn(fish))
    assert len(cuts) == 1 and abs((cuts.start[0, 0] + cuts.end[0, 0]) / 2 - 232) < 14
    assert len(cuts_of(drawn(lambda page: cv2.circle(page, (200, 150), 90, 0, -1, cv2.LINE_AA)))) == 0
    assert len(cuts_of(drawn(lambda page: cv2.rectangle(page, (80, 60), (320, 240), 0, -1)))) == 0


# -- stencils ---------------------------------------------------------------------------------

def falls_out(opened, least=1):
    """Pieces of a stencil, of so many pixels, that do not reach its edge, by a general library's labelling."""
    _, labels, stats, _ = cv2.connectedComponentsWithStats((~opened).astype(np.uint8), connectivity=4)
    edge = np.unique(np.concatenate([labels[0], labels[-1], labels[:, 0], labels[:, -1]]))
    loose = set(np.unique(labels).tolist()) - set(edge.tolist()) - {0}
    return sum(stats[n, cv2.CC_STAT_AREA] >= least for n in loose)


@given(st.integers(0, 10_000), st.integers(1, 4), st.floats(2, 9))
def test_whatever_is_drawn_nothing_falls_out_of_a_stencil_with_its_bridges(seed, count, width):
    rng = np.random.default_rng(seed)
    opened = np.zeros((240, 320), np.uint8)
    for _ in range(int(rng.integers(1, 5))):
        centre = tuple(int(v) for v in rng.uniform((50, 50), (270, 190)))
        radius = int(rng.uniform(18, 46))
        cv2.circle(opened, centre, radius, 1, int(rng.uniform(4, 12)))
        if rng.random() < 0.5:
            cv2.circle(opened, centre, radius // 2, 1, 4)  # a loose piece within a loose piece
    loose = falls_out(opened > 0)
    found = find_bridges(opened > 0, count, width)
    held = opened.copy()
    for a, b in zip(found.start, found.end, strict=False):
        cv2.line(
            held,
            tuple(np.floor(a).astype(int).tolist()),
            tuple(np.floor(b).astype(int).tolist()),
            0,
            max(round(width), 2),
        )
    # pieces under six pixels are crumbs of the grid and need no bridge
    assert found.loose <= loose
    assert falls_out(held > 0, 6) == 0


def test_bridges_lie_evenly_around_a_piece():
    opened = np.zeros((300, 300), np.uint8)
    cv2.circle(opened, (150, 150), 70, 1, 14)
    for count in (1, 2, 3, 4):
        found = find_bridges(opened > 0, count, 5.0)
        assert found.loose == 1 and len(found.start) == count
        angle = np.sort(np.arctan2(*((found.start + found.end) / 2 - 150.5).T[::-1]))
        gaps = np.diff(np.append(angle, angle[0] + 2 * np.pi))
        assert gaps.min() > 0.6 * 2 * np.pi / count


# -- covers --------------------------------------------------------------------------------------

def test_a_cover_lets_wide_areas_run_on_and_lines_end():
    labels = np.zeros((160, 200), np.uint8)
    labels[80:] = 1
    labels[:, 60:64] = 2
    square = np.array([[40.0, 40.0], [160.0, 40.0], [160.0, 120.0], [40.0, 120.0]])
    made, inside = covered(labels, [square])
    assert inside.sum() == 120 * 80 and (made[~inside] == labels[~inside]).all()
    assert (made[44:76, 90:150] == 0).all() and (made[84:116, 90:150] == 1).all()
    # by symmetry the boundary between the two halves goes straight on
    assert abs(np.flatnonzero(made[:, 130] == 1)[0] - 80) <= 2
    assert (made[inside] == 2).sum() < 60


def test_a_cover_in_one_colour_and_one_over_everything():
    labels = np.zeros((50, 50), np.uint8)
    labels[20:30, 20:30] = 1
    made, _ = covered(labels, [np.array([[15.0, 15.0], [35.0, 15.0], [35.0, 35.0], [15.0, 35.0]])])
    assert (made == 0).all()
    all_over, inside = covered(labels, [np.array([[-1.0, -1.0], [60.0, -1.0], [60.0, 60.0], [-1.0, 60.0]])])
    assert (all_over == labels).all() and not inside.any()


# -- strokes ---------------------------------------------------------------------------------------

def crossing():
    page = np.zeros((200, 300), np.uint8)
    cv2.line(page, (30, 100), (270, 100), 255, 7, cv2.LINE_AA)
    cv2.line(page, (150, 20), (150, 180), 255, 5, cv2.LINE_AA)
    cv2.line(page, (60, 150), (110, 150), 255, 5, cv2.LINE_AA)
    return page > 127


def painted(ink, paints):
    page = ink.astype(np.uint8)
    for paint in paints:
        points = np.rint(paint.points - 0.5).astype(np.int32)
        cv2.polylines(page, [points], False, int(paint.in_ink), max(round(paint.width_px), 1))
    return page > 0


def test_a_stroke_is_taken_away_and_what_it_met_stays_whole():
    ink = crossing()
    lines = InkLines(ink)
    up = lines.nearest(150.5, 40.5, 6)
    assert up >= 0 and lines.width_px(up) == pytest.approx(ink[40].sum(), abs=1.2) and lines.has_free_end(up)
    done = painted(ink, lines.without(up))
    assert not done[20:85, 140:160].any()
    assert done[98:103, 40:260].all() and done[120:170, 150].all()


def test_a_stroke_is_thinner_or_thicker_where_it_is():
    ink = crossing()
    lines = InkLines(ink)
    left = lines.nearest(60.5, 100.5, 6)
    for factor in (0.5, 1.8):
        done = painted(ink, lines.of_width(left, factor))
        assert done[80:120, 80].sum() == pytest.approx(ink[80:120, 80].sum() * factor, abs=1.6)
        assert done[98:103, 200].all()


def test_an_end_runs_on_to_the_next_stroke_and_not_out_of_the_picture():
    ink = crossing()
    lines = InkLines(ink)
    short = lines.nearest(85.5, 150.5, 6)
    (paint,) = lines.extended(short, (108, 150))
    assert painted(ink, [paint])[150, 60:150].all()
    assert lines.extended(short, (62, 150)) == []


def test_two_ends_are_joined_in_their_own_directions():
    page = np.zeros((240, 240), np.uint8)
    cv2.ellipse(page, (120, 120), (80, 80), 0, 20, 160, 255, 6, cv2.LINE_AA)
    cv2.ellipse(page, (120, 120), (80, 80), 0, 200, 340, 255, 6, cv2.LINE_AA)
    lines = InkLines(page > 127)
    one, two = lines.nearest(120, 200, 8), lines.nearest(120, 40, 8)
    (paint,) = lines.joined(one, (195, 147), two, (195, 93))
    away = np.hypot(*(paint.points - 120.5).T)
    assert np.abs(away - 80).max() < 4  # it goes round, where a straight bridge would lie 5 px inside


def test_a_bridge_drawn_by_hand_begins_and_ends_at_strokes():
    page = np.zeros((240, 240), np.uint8)
    cv2.ellipse(page, (120, 120), (80, 80), 0, 20, 340, 255, 6, cv2.LINE_AA)
    cv2.line(page, (20, 120), (20, 220), 255, 10, cv2.LINE_AA)
    lines = InkLines(page > 127)
    # both places are a few pixels off the ends of the ring
    paint = lines.bridged((201, 139), (190, 96), 12.0)
    away = np.hypot(*(paint.points - 120.5).T)
    assert np.abs(away - 80).max() < 4 and paint.width_px == pytest.approx(lines.width_px(0), abs=0.1)
    # from an end to the side of another stroke: it leaves the end in its direction, and has the end's width
    side = lines.bridged((196, 147), (24, 160), 12.0)
    assert side.points[-1] == pytest.approx((20.5, 160), abs=1.5) and side.width_px == pytest.approx(
        paint.width_px, abs=0.1
    )
    assert lines.bridged((196, 147), (120, 120), 12.0) is None  # no stroke there
    assert lines.bridged((22, 150), (22, 150), 12.0) is None  # one place


@pytest.mark.parametrize("radius", [40, 80, 150])
def test_a_bridge_follows_the_curve_of_the_strokes_it_joins(radius):
    page = np.zeros((400, 400), np.uint8)
    cv2.circle(page, (200 * 16, 200 * 16), radius * 16, 255, 5, cv2.LINE_AA, 4)
    y, x = np.mgrid[:400, :400] + 0.5
    page[np.abs(np.arctan2(y - 200.5, x - 200.5)) < 6 / radius] = 0
    ink = page > 127
    gaps = find_gaps(ink)
    assert len(gaps) == 1
    curve = bridge_curve(ink, gaps.start[0], gaps.end[0], gaps.width_px[0])
    assert np.abs(np.hypot(*(curve - 200.5).T) - radius).max() < 0.8
