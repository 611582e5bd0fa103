"""Edits of single regions: found again by place, size and colour; applied in order; moments and likeness of shapes."""

from dataclasses import replace

import cv2
import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from hypothesis.extra import numpy as hnp
from skimage.measure import moments_central

import shapes
from amounts import examples
from sketchloom.core.edits.choosing import RegionSizes
from sketchloom.core.edits.decisions import COLOUR, DROP, KEEP, WINDOW, RegionEdit
from sketchloom.core.edits.region_edits import find_regions, inner_place, with_edits
from sketchloom.core.picture.preparing.steps import Preparation
from sketchloom.core.planar.describe import RegionIndex
from sketchloom.core.planar.moments import face_moments, perimeters
from sketchloom.core.planar.planar_map import build_map
from sketchloom.desk.regions import RegionDesk
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.recipe.document import Recipe

SIZE = 300
HEXES = ["#ffffff", "#c83c32", "#1e3557", "#e3ae4a"]
RECIPE = Recipe(reading="colour", size_mm=150.0, smallest_mm=0.5)
random_maps = hnp.arrays(
    np.uint8, hnp.array_shapes(min_dims=2, max_dims=2, min_side=2, max_side=14), elements=st.integers(0, 3)
)


def painted(moons=(60, 240), star=(150, 80)):
    """A dark disc on white; on it a yellow star and two red moons of one size."""
    pixels = np.full((SIZE, SIZE, 3), 255.0)
    parts = [(shapes.disc(150, 150, 130), (30, 53, 87)), (shapes.disc(*star, 14), (227, 174, 74)),
             *((shapes.disc(x, 170, 20), (200, 60, 50)) for x in moons)]
    for shape, colour in parts:
        cover = shapes.cover_of(shape, SIZE)[..., None]
        pixels = pixels * (1 - cover) + np.array(colour) * cover
    return shapes.picture(np.rint(pixels).astype(np.uint8))


def desk_of(picture, recipe=RECIPE, pipeline=None):
    work = (pipeline or Pipeline()).evaluate(picture, recipe)
    return RegionDesk(work, RegionIndex(work.traced.planar))


def face_at(desk, x, y):
    """The face at a place given as in the picture of SIZE."""
    scale = desk.work.picture.width / SIZE
    return desk.index.at(x * scale, y * scale).face


def hex_seen(work, x, y):
    scale = work.picture.width / SIZE
    face = work.traced.planar.faces[int(y * scale), int(x * scale)]
    return None if work.ground[face] else work.segmentation.entries[work.edited.label[face]].hex


@given(random_maps)
@settings(max_examples=examples(60))
def test_moments_are_those_of_the_pixels(labels):
    """scikit-image's central moments of pixels, each a unit square (1/12 of its area about its middle)."""
    planar = build_map(labels)
    found = face_moments(planar)
    for face in range(planar.face_count):
        mask = planar.faces == face
        m = moments_central(mask.astype(float), order=2)
        ys, xs = np.nonzero(mask)
        want = [mask.sum(), xs.mean() + 0.5, ys.mean() + 0.5, m[0, 2] + m[0, 0] / 12, m[1, 1], m[2, 0] + m[0, 0] / 12]
        assert found[face] == pytest.approx(want, abs=1e-6)
    assert perimeters(planar, np.diff(planar.arc_starts)).sum() == 2 * len(planar.vertex) - 2 * sum(labels.shape)


@given(random_maps)
@settings(max_examples=examples(60))
def test_the_inner_place_lies_in_its_face_farthest_from_the_edge(labels):
    planar = build_map(labels)
    index = RegionIndex(planar)
    for face in range(planar.face_count):
        x, y = inner_place(planar, face, index.box(face))
        assert planar.faces[int(y), int(x)] == face
        away = cv2.distanceTransform(
            np.pad((planar.faces == face).astype(np.uint8), 1), cv2.DIST_L2, cv2.DIST_MASK_PRECISE
        )[1:-1, 1:-1]
        assert away[int(y), int(x)] == away.max()


def test_of_a_large_face_the_inner_place_is_looked_for_coarsely_and_of_a_thin_one_exactly():
    labels = np.zeros((900, 1000), np.uint8)
    cv2.circle(labels, (480, 430), 400, 1, -1)
    cv2.circle(labels, (330, 430), 90, 2, -1)
    cv2.line(labels, (3, 880), (996, 870), 3, 3)
    planar = build_map(labels)
    index = RegionIndex(planar)
    for value, off in ((0, 6), (1, 6), (2, 0), (3, 0)):  # a thousand pixels are looked at every five
        face = int(planar.faces[labels == value][0])
        mask = np.pad((planar.faces == face).astype(np.uint8), 1)
        away = cv2.distanceTransform(mask, cv2.DIST_L2, cv2.DIST_MASK_PRECISE)[1:-1, 1:-1]
        x, y = inner_place(planar, face, index.box(face))
        assert away[int(y), int(x)] >= away.max() - off


@given(
    random_maps,
    st.lists(
        st.tuples(
            st.integers(0, 10**6), st.sampled_from([DROP, WINDOW, COLOUR, KEEP]), st.integers(1, 3), st.booleans()
        ),
        max_size=8,
    ),
    st.booleans(),
)
@settings(max_examples=examples(120))
def test_any_edits_keep_the_map_and_say_what_they_changed(labels, wanted, all_off):
    planar = build_map(labels)
    index = RegionIndex(planar)
    edits = []
    for number, action, colour, on in wanted:
        face = number % planar.face_count
        x, y = inner_place(planar, face, index.box(face))
        edits.append(RegionEdit(x / planar.width, y / planar.height, action, HEXES[planar.face_label[face]],
                                planar.face_area_px[face] / labels.size, HEXES[colour], on))
    ground = planar.face_label == 0
    done = with_edits(planar, ground, HEXES, HEXES, np.eye(3), tuple(edits), all_off)
    assert done.found.tolist() == [n % planar.face_count for n, *_ in wanted]
    assert done.changed.tolist() == ((done.label != planar.face_label) | (done.ground != ground)).tolist()
    assert set(done.label) <= set(range(4))
    touched = {f for f, e in zip(done.found.tolist(), edits, strict=False) if e.on}
    for face in set(range(planar.face_count)) - touched:
        assert done.label[face] == planar.face_label[face] and done.ground[face] == (ground[face] or all_off)
    last = {f: e for f, e in zip(done.found.tolist(), edits, strict=False) if e.on}
    for face, edit in last.items():
        if edit.action == COLOUR:
            assert done.label[face] == HEXES.index(edit.hex) and not done.ground[face]
        elif edit.action == WINDOW:
            assert done.ground[face]


def test_a_dropped_region_goes_to_what_lies_around_it_and_comes_back():
    pipeline, picture = Pipeline(), painted()
    desk = desk_of(picture, pipeline=pipeline)
    star = face_at(desk, 150, 80)
    dropped = desk.decided(RECIPE, [star], DROP)
    work = pipeline.evaluate(picture, dropped)
    assert hex_seen(work, 150, 80) == hex_seen(work, 150, 120) == "#1e3557"
    assert {x.plan.hex for x in desk.work.layers} - {x.plan.hex for x in work.layers} == {"#e3ae4a"}
    opened = pipeline.evaluate(picture, desk.decided(RECIPE, [star], WINDOW))
    assert hex_seen(opened, 150, 80) is None
    assert sum(x.outline.holes for x in opened.layers if x.plan.hex == "#1e3557") == 1
    coloured = pipeline.evaluate(picture, desk.decided(RECIPE, [star], COLOUR, "#c83c32"))
    assert hex_seen(coloured, 150, 80) == "#c83c32"
    again = RegionDesk(work, desk.index)
    assert again.is_so(star, DROP, None) and not again.is_so(star, WINDOW, None)
    assert again.undecided(dropped, [star]) == RECIPE


def test_everything_off_then_chosen():
    pipeline, picture = Pipeline(), painted()
    off = replace(RECIPE, all_off=True)
    desk = desk_of(picture, off, pipeline)
    assert desk.work.layers == () and any(f.code == "layer.empty" for f in desk.work.findings)
    moons = [face_at(desk, x, 170) for x in (60, 240)]
    work = pipeline.evaluate(picture, desk.decided(off, moons, KEEP))
    assert [(x.plan.hex, x.outline.pieces) for x in work.layers] == [("#c83c32", 2)]


@pytest.mark.parametrize(
    "steps",
    [
        Preparation(crop=(0.1, 0.15, 0.95, 0.9)),
        Preparation(turn_deg=12.0),
        Preparation(enlarge=2),
        Preparation(turn_deg=90.0, crop=(0.05, 0.0, 0.9, 0.95)),
    ],
)
def test_an_edit_is_found_again_when_the_picture_is_prepared_otherwise(steps):
    picture = painted()
    desk = desk_of(picture)
    recipe = desk.decided(RECIPE, [face_at(desk, 150, 80), face_at(desk, 60, 170)], DROP)
    work = Pipeline().evaluate(picture, replace(recipe, preparation=steps))
    assert (work.edited.found >= 0).all()
    fewer = Pipeline().evaluate(picture, replace(RECIPE, preparation=steps))
    assert (
        len({e.hex for e in fewer.segmentation.entries} - {p.hex for p in work.plans} - {"#ffffff"}) == 1
    )  # no star any more
    assert not any(f.code == "clean.edit_lost" for f in work.findings)
    # an edit made on the prepared picture holds on the plain one
    turned = desk_of(picture, replace(RECIPE, preparation=steps))
    yellow = int(
        np.flatnonzero([turned.hex_of(f) == "#e3ae4a" for f in range(turned.work.traced.planar.face_count)])[0]
    )
    back = Pipeline().evaluate(picture, turned.decided(RECIPE, [yellow], DROP))
    assert back.edited.found.tolist() == [face_at(desk, 150, 80)]


def test_a_region_that_moved_is_found_and_one_that_is_gone_is_told():
    desk = desk_of(painted())
    recipe = desk.decided(RECIPE, [face_at(desk, 150, 80)], DROP)
    moved = Pipeline().evaluate(painted(star=(170, 84)), recipe)
    assert hex_seen(moved, 170, 84) == "#1e3557"
    far = Pipeline().evaluate(painted(star=(230, 120)), recipe)
    assert far.edited.found.tolist() == [-1] and hex_seen(far, 230, 120) == "#e3ae4a"
    lost = [f for f in far.findings if f.code == "clean.edit_lost"]
    assert len(lost) == 1 and (lost[0].x_px, lost[0].y_px) == pytest.approx((150, 80), abs=2)
    # what ran together with the sky must not take the sky along
    none = Pipeline().evaluate(painted(), replace(recipe, colours=2))
    assert hex_seen(none, 150, 200) is not None
    off = Pipeline().evaluate(
        painted(star=(230, 120)), replace(recipe, edits=tuple(replace(e, on=False) for e in recipe.edits))
    )
    assert not any(f.code == "clean.edit_lost" for f in off.findings)


def test_like_regions():
    labels = np.zeros((120, 200), np.uint8)
    for x, y, w, h, label in (
        (10, 10, 10, 10, 1),
        (40, 10, 10, 10, 1),
        (70, 10, 30, 30, 1),
        (120, 10, 10, 10, 2),
        (150, 10, 8, 24, 1),
        (10, 60, 24, 8, 2),
        (60, 60, 16, 48, 1),
    ):
        labels[y:y + h, x:x + w] = label
    planar = build_map(labels)
    sizes = RegionSizes(planar, np.diff(planar.arc_starts).astype(float))
    def at(x, y):
        return int(planar.faces[y, x])
    small = at(12, 12)
    assert set(sizes.alike(small, planar.face_label, 1.2)) == {small, at(42, 12)}
    assert set(sizes.alike(small, planar.face_label)) == {
        f for f in range(planar.face_count) if planar.face_label[f] == 1
    }
    assert set(sizes.alike(small, planar.face_label, None, True)) == {small, at(42, 12), at(72, 12), at(122, 12)}
    # turned by a quarter, and twice as large
    assert set(sizes.alike(at(152, 12), planar.face_label, None, True)) == {at(152, 12), at(12, 62), at(62, 62)}
    assert sizes.by_size()[0] in {small, at(42, 12), at(122, 12)}


def test_edits_are_found_again_with_more_colours_than_there_are():
    desk = desk_of(painted())
    faces = list(range(desk.work.traced.planar.face_count))
    recipe = desk.decided(RECIPE, faces, DROP)
    for count in (len(desk.work.segmentation.entries), len(desk.work.segmentation.entries) + 2):
        work = Pipeline().evaluate(painted(), replace(recipe, colours=count))
        assert (work.edited.found == faces).all()


def test_find_regions_of_none_is_none():
    planar = build_map(np.zeros((3, 3), np.uint8))
    assert len(find_regions(planar, HEXES, np.eye(3), ())) == 0
