"""Mirrored halves: symmetric by construction, checked by reflecting every curve."""

from dataclasses import replace

import numpy as np
import pytest
from scipy.spatial import cKDTree

from shapes import colour_of, cover_of, disc, picture
from sketchloom.core.base.errors import SettingError
from sketchloom.core.curves.curveset import evaluate
from sketchloom.core.picture.preparing.mirroring import find_axis, mirror_frame, mirrored
from sketchloom.core.picture.preparing.placing import moved, placing
from sketchloom.core.picture.preparing.preparation import prepared, prepared_size
from sketchloom.core.picture.preparing.steps import BOTH, FIRST, SECOND, Mirror, Preparation
from sketchloom.core.planar.describe import RegionIndex
from sketchloom.core.shapes.drawn import SplitLine
from sketchloom.desk.regions import RegionDesk
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.files.demo_works import demo
from sketchloom.files.opening import open_file
from sketchloom.recipe.document import Recipe

LINES = [
    Mirror(0.5, 0.0, 0.5, 1.0),
    Mirror(0.44, 0.05, 0.53, 0.97, SECOND),
    Mirror(0.1, 0.52, 0.9, 0.49, FIRST),
    Mirror(0.33, 0.0, 0.33, 1.0, SECOND),
]


def asymmetry_px(work, is_upright):
    """Greatest distance of a point on an arc's mirror image from the nearest arc."""
    t = np.linspace(0, 1, 33)
    points = evaluate(work.traced.curves.controls[:, None], t[None]).reshape(-1, 2)
    image = points.copy()
    k, length = (0, work.picture.width) if is_upright else (1, work.picture.height)
    image[:, k] = length - image[:, k]
    return float(cKDTree(points).query(image)[0].max())


@pytest.mark.parametrize("mirror", LINES)
@pytest.mark.parametrize("key", ["lighthouse", "kingfisher"])
def test_a_mirrored_half_is_symmetric_to_a_hundredth_of_a_pixel(key, mirror):
    source = open_file(demo(key).picture_path).picture.reduced(420)
    work = Pipeline().evaluate(source, Recipe(preparation=Preparation(mirror=mirror)), measured=False)
    frame = mirror_frame(source.width, source.height, mirror)
    assert (work.picture.width, work.picture.height) == frame.size
    assert asymmetry_px(work, frame.is_upright) <= 0.01
    assert work.traced.planar.euler_excess() == 0


def test_the_seam_has_no_kink():
    # a disc whose left half stays: its outline crosses the axis squarely
    rgb = colour_of(cover_of(disc(104.3, 120.6, 70), 240), (30, 60, 90), (255, 255, 255))
    work = Pipeline().evaluate(picture(rgb), Recipe(preparation=Preparation(mirror=Mirror(0.4, 0, 0.4, 1))))
    controls = work.layers[0].outline.controls
    middle = work.picture.width / 2
    on_axis = np.flatnonzero(np.abs(controls[:, 0, 0] - middle) < 1e-9)
    assert len(on_axis) == 2
    for n in on_axis:
        leave, arrive = controls[n, 1] - controls[n, 0], controls[n - 1, 3] - controls[n - 1, 2]
        assert abs(leave[1]) < 1e-9 and abs(arrive[1]) < 1e-9 and leave[0] * arrive[0] > 0


@pytest.mark.parametrize("mirror", LINES)
def test_places_of_the_half_that_stays_are_found_where_they_went(mirror):
    rng = np.random.default_rng(2)
    rgb = np.full((150, 220, 3), 250, np.uint8)
    spots = []
    frame = mirror_frame(220, 150, mirror)
    for place in rng.uniform(0.1, 0.9, (60, 2)):
        x, y = place * (220, 150)
        to = (frame.move @ (x, y, 1))[:2]
        k = 0 if frame.is_upright else 1
        stays = to[k] < frame.size[k] / 2 - 6 if mirror.keep == FIRST else to[k] > frame.size[k] / 2 + 6
        if stays and all(np.hypot(x - a, y - b) > 12 for a, b in spots):
            spots.append((x, y))
            rgb[int(y) - 2:int(y) + 3, int(x) - 2:int(x) + 3] = (200, 30, 30)
    steps = Preparation(mirror=mirror)
    made = prepared(picture(rgb), steps)
    assert (made.width, made.height) == prepared_size(picture(rgb), steps)
    shares = moved(placing(220, 150, steps), np.array([(int(x) + 0.5, int(y) + 0.5) for x, y in spots]) / (220, 150))
    at = np.floor(shares * (made.width, made.height)).astype(int)
    inside = ((at >= 0) & (at < (made.width, made.height))).all(1)
    assert len(spots) >= 4 and inside.sum() >= 3
    assert (made.rgb[at[inside, 1], at[inside, 0], 1] < 120).all()


@pytest.mark.parametrize("degrees, across", [(0.0, 0.5), (12.0, 0.55), (-20.0, 0.42), (90.0, 0.5)])
def test_the_line_of_a_symmetric_figure_is_found(degrees, across):
    # a heart-like figure, symmetric about one line only
    y, x = np.mgrid[:240, :260] + 0.5
    turn = np.radians(degrees)
    cx, cy = across * 260, 120
    u, v = (x - cx) * np.cos(turn) + (y - cy) * np.sin(turn), -(x - cx) * np.sin(turn) + (y - cy) * np.cos(turn)
    inside = (np.hypot(np.abs(u) - 25, v + 20) < 28) | ((np.abs(u) < 50 - 0.6 * (v + 10)) & (v > -10) & (v < 70))
    found = find_axis(picture(np.where(inside[..., None], 20, 240).astype(np.uint8).repeat(3, 2)))
    a, b = np.array([found.x0 * 260, found.y0 * 240]), np.array([found.x1 * 260, found.y1 * 240])
    way = (b - a) / np.hypot(*(b - a))
    slant = np.degrees(np.arctan2(way[0], way[1]))
    assert min(abs((slant + degrees) % 180), 180 - abs((slant + degrees) % 180)) < 1.0
    assert abs((np.array([cx, cy]) - a) @ np.array([-way[1], way[0]])) < 1.5


def test_the_mean_of_two_halves_lies_half_way_between_them():
    # a large disc left of the line and a smaller one, farther away, right of it
    def both(x, y):
        return (np.hypot(x - 60, y - 100) < 34) | (np.hypot(x - 184, y - 100) < 26)
    rgb = colour_of(cover_of(both, 240), (30, 60, 90), (255, 255, 255))
    work = Pipeline().evaluate(picture(rgb), Recipe(preparation=Preparation(mirror=Mirror(0.5, 0, 0.5, 1, BOTH))))
    assert asymmetry_px(work, True) <= 0.01
    (layer,) = work.layers
    assert layer.outline.pieces == 2
    points = evaluate(layer.outline.controls[:, None], np.linspace(0, 1, 9)[None]).reshape(-1, 2)
    left = points[points[:, 0] < 120] - (120, 100)
    # mirrored, the right disc has its middle 64 from the line, the left one 60; the sides lie at 26, 94 and 38, 90
    assert -left[:, 0].min() == pytest.approx(92, abs=1.5) and -left[:, 0].max() == pytest.approx(32, abs=1.5)


def test_a_mirrored_picture_is_its_own_mirror_image_to_the_bit():
    rng = np.random.default_rng(3)
    source = picture(rng.integers(0, 256, (60, 81, 3)).astype(np.uint8))
    for mirror in LINES:
        made = mirrored(source, mirror).rgb
        axis = 1 if mirror_frame(81, 60, mirror).is_upright else 0
        assert np.array_equal(made, np.flip(made, axis))


def test_a_line_of_no_length_is_refused():
    with pytest.raises(SettingError, match="line"):
        Mirror(0.5, 0.5, 0.5, 0.5)


def leaves():
    """A stem in the middle, and on its left a leaf and a berry, on its right other things."""
    y, x = np.mgrid[:240, :320]
    rgb = np.full((240, 320, 3), 255, np.uint8)
    rgb[:, 152:168] = (90, 60, 40)
    for (cx, cy, r), colour in (((80, 70, 40), (60, 140, 80)), ((70, 180, 26), (190, 50, 50)),
                                ((240, 120, 50), (60, 140, 80))):
        rgb[np.hypot(x - cx, y - cy) < r] = colour
    return picture(rgb)


@pytest.mark.parametrize("keep", [FIRST, SECOND])
def test_what_was_decided_about_the_half_that_stays_goes_with_it(keep):
    """Dropped, coloured and split before the half is mirrored; the other way round with the picture turned over."""
    source = leaves() if keep == FIRST else picture(np.ascontiguousarray(leaves().rgb[:, ::-1]))
    def side(x):
        return x if keep == FIRST else 320 - x
    before = Pipeline().evaluate(source, Recipe())
    desk = RegionDesk(before, RegionIndex(before.traced.planar))
    def at(work, x, y):
        return int(work.traced.planar.faces[y, int(side(x))])
    recipe = desk.decided(Recipe(), [at(before, 80, 70)], "drop")
    recipe = desk.decided(recipe, [at(before, 70, 180)], "colour", "#5a3c28")
    line = tuple((side(x) / 320, y / 240) for x, y in ((40, 180), (100, 180)))
    recipe = replace(recipe, splits=(SplitLine(line),),
                     preparation=Preparation(mirror=Mirror(0.5, 0, 0.5, 1, keep)))
    work = Pipeline().evaluate(source, recipe)
    assert work.segmentation.cut_in.splits_done.tolist() == [True]
    assert not [f for f in work.findings if f.code.startswith("clean.")]
    label, ground = work.edited.label[work.traced.planar.faces], work.ground[work.traced.planar.faces]
    assert np.array_equal(ground, ground[:, ::-1]) and np.array_equal(label[~ground], label[:, ::-1][~ground])
    assert ground[70, 80] and ground[70, 240] and not ground[180, 250]
    for x in (70, 250):  # the berry is parted on both sides
        faces = work.traced.planar.faces
        assert faces[170, x] != faces[190, x]
    desk = RegionDesk(work, RegionIndex(work.traced.planar))
    image = at(work, 240, 70)
    assert desk.is_so(image, "drop", None)
    back = Pipeline().evaluate(source, desk.taken_back(recipe, [image]))
    there = ~back.ground[back.traced.planar.faces]
    assert there[70, 80] and there[70, 240]  # both come back


def test_what_is_decided_on_the_other_half_holds_there_alone():
    recipe = Recipe(preparation=Preparation(mirror=Mirror(0.5, 0, 0.5, 1)))
    work = Pipeline().evaluate(leaves(), recipe)
    desk = RegionDesk(work, RegionIndex(work.traced.planar))
    faces = work.traced.planar.faces
    made = Pipeline().evaluate(leaves(), desk.decided(recipe, [int(faces[70, 240])], "window"))
    there = ~made.ground[made.traced.planar.faces]
    assert there[70, 80] and not there[70, 240]
    recipe = desk.decided(recipe, [int(faces[70, 80])], "window")
    recipe = desk.decided(recipe, [int(faces[70, 240])], "colour", "#be3232")
    made = Pipeline().evaluate(leaves(), recipe)
    there = ~made.ground[made.traced.planar.faces]
    assert not there[70, 80] and there[70, 240]
