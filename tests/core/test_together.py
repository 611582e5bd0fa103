"""Several regions as one: against a general image library's holes and set operations on pixels."""

import numpy as np
import pytest
from hypothesis import assume, given, settings
from hypothesis import strategies as st
from hypothesis.extra import numpy as hnp
from scipy.ndimage import binary_fill_holes, label

import shapes
from amounts import examples
from core.test_region_edits import RECIPE, desk_of, face_at, hex_seen
from sketchloom.core.edits.decisions import COLOUR, WINDOW
from sketchloom.core.edits.together import enclosed, filled, together
from sketchloom.core.planar.describe import RegionIndex
from sketchloom.core.planar.planar_map import build_map
from sketchloom.desk.regions import RegionDesk
from sketchloom.evaluate.pipeline import Pipeline

SIZE = 300
random_maps = hnp.arrays(
    np.uint8, hnp.array_shapes(min_dims=2, max_dims=2, min_side=2, max_side=14), elements=st.integers(0, 3)
)


@given(random_maps, st.data())
@settings(max_examples=examples(80))
def test_what_is_enclosed_is_what_an_image_library_fills(labels, data):
    planar = build_map(labels)
    chosen = np.array(data.draw(st.lists(st.booleans(), min_size=planar.face_count, max_size=planar.face_count)))
    inside = chosen[planar.faces]
    found = enclosed(planar, chosen)
    # regions hang together by shared sides, as faces do; scipy's default structure is the same
    assert np.array_equal(filled(planar, chosen)[planar.faces], binary_fill_holes(inside))
    holes, count = label(binary_fill_holes(inside) & ~inside)
    assert len(found) == count
    assert sorted(found.area_px.tolist()) == sorted(np.bincount(holes.ravel())[1:].tolist())


@given(random_maps, st.data())
@settings(max_examples=examples(80))
def test_set_operations_are_those_of_the_filled_areas(labels, data):
    planar = build_map(labels)
    assume(planar.face_count > 1)
    faces = data.draw(st.lists(st.integers(0, planar.face_count - 1), min_size=2, max_size=4, unique=True))
    regions = [np.arange(planar.face_count) == face for face in faces]
    areas = [binary_fill_holes(region[planar.faces]) for region in regions]
    made, gone = together(planar, regions, "join")
    assert np.flatnonzero(made).tolist() == sorted(faces) and not gone.any()
    made, gone = together(planar, regions, "common")
    common = np.logical_and.reduce(areas)
    assert np.array_equal(made[planar.faces], common) and np.array_equal(gone[planar.faces], areas[0] & ~common)
    made, gone = together(planar, regions, "cut")
    rest = np.logical_or.reduce(areas[1:])
    assert np.array_equal(gone[planar.faces], areas[0] & rest)
    assert not (made & gone).any()


def board():
    """A dark ring with a red disc and two small yellow ones in it, and a red bar beside it."""
    pixels = np.full((SIZE, SIZE, 3), 255.0)
    def ring(x, y):
        return np.abs(np.hypot(x - 130, y - 150) - 100) < 14
    parts = (
        (ring, (30, 53, 87)),
        (shapes.disc(130, 150, 40), (200, 60, 50)),
        (shapes.disc(130, 90, 10), (227, 174, 74)),
        (shapes.disc(130, 150, 14), (227, 174, 74)),
        (lambda x, y: (x > 250) & (x < 280) & (y > 40) & (y < 260), (200, 60, 50)),
    )
    for shape, colour in parts:
        cover = shapes.cover_of(shape, SIZE)[..., None]
        pixels = pixels * (1 - cover) + np.array(colour) * cover
    return shapes.picture(np.rint(pixels).astype(np.uint8))


def test_regions_are_joined_cut_out_of_each_other_and_filled():
    pipeline, picture = Pipeline(), board()
    desk = desk_of(picture, pipeline=pipeline)
    ring, red, small, bar = (face_at(desk, *at) for at in ((130, 50), (130, 120), (130, 90), (265, 150)))
    joined = pipeline.evaluate(picture, desk.together(RECIPE, [ring, bar], "join"))
    assert hex_seen(joined, 265, 150) == hex_seen(joined, 130, 50) == "#1e3557"
    assert len(joined.edited.found) == 1 and hex_seen(joined, 130, 120) == "#c83c32"
    cut = desk.together(RECIPE, [ring, red], "cut")
    assert {e.action for e in cut.edits} == {WINDOW}
    after = pipeline.evaluate(picture, cut)
    # what the red disc encloses goes with it; the small one beside it stays
    assert (
        hex_seen(after, 130, 120) is None
        and hex_seen(after, 130, 150) is None
        and hex_seen(after, 130, 90) == "#e3ae4a"
    )
    common = pipeline.evaluate(picture, desk.together(RECIPE, [ring, red], "common"))
    assert hex_seen(common, 130, 50) is None and hex_seen(common, 130, 150) == hex_seen(common, 130, 120) == "#1e3557"
    assert sorted(round(h) for h in desk.holes([red])) == [round(28 / 2)]  # 150 mm wide: half a mm a px
    inside = desk.filled(RECIPE, [ring])
    assert {e.action for e in inside.edits} == {COLOUR}
    full = pipeline.evaluate(picture, inside)
    assert (
        hex_seen(full, 130, 90) == hex_seen(full, 60, 150) == "#1e3557"
        and sum(x.outline.holes for x in full.layers) == 0
    )
    few = desk.filled(RECIPE, [red, ring], under_mm=20.0)
    assert [e.hex for e in few.edits] == ["#c83c32"]  # the ring's own hole is larger
    again = RegionDesk(full, desk.index)
    assert set(again.found_again(desk.remembered([ring, small]))) == {ring, small}


@pytest.mark.parametrize("way", ["join", "cut", "common"])
def test_one_region_with_itself_is_left_alone(way):
    planar = build_map(np.array([[0, 0, 0], [0, 1, 0], [0, 0, 0]], np.uint8))
    only = np.array([False, True])
    made, gone = together(planar, [only, only], way)
    assert np.array_equal(made, only & (way != "cut")) and np.array_equal(gone, only & (way == "cut"))


def test_decisions_made_one_after_the_other_keep_to_their_regions():
    """A recipe ahead of the desk's work, by what the same desk decided just before: no other decision is lost."""
    picture, pipeline = board(), Pipeline()
    desk = desk_of(picture, pipeline=pipeline)
    ring, red, small, bar = (face_at(desk, *at) for at in ((130, 50), (130, 120), (130, 90), (265, 150)))
    first = RECIPE
    for face in (ring, red, small, bar):
        first = desk.decided(first, [face], COLOUR, "#2f7f4f")
    again = RegionDesk(pipeline.evaluate(picture, first), desk.index)
    second = again.decided(again.decided(first, [ring], WINDOW), [red], WINDOW)
    work = pipeline.evaluate(picture, second)
    assert hex_seen(work, 130, 50) is None and hex_seen(work, 130, 120) is None
    assert hex_seen(work, 130, 90) == hex_seen(work, 265, 150) == "#2f7f4f"


def test_holes_between_several_regions_are_filled_as_they_are_counted():
    """What no region encloses alone, but all together do: the number told is the number filled."""
    rgb = np.full((120, 120, 3), 255, np.uint8)
    rgb[20:100, 20:60], rgb[20:100, 60:100] = (30, 53, 87), (200, 60, 50)
    rgb[50:70, 52:68] = 255
    picture = shapes.picture(rgb)
    work = Pipeline().evaluate(picture, RECIPE)
    desk = RegionDesk(work, RegionIndex(work.traced.planar))
    both = [int(work.traced.planar.faces[30, x]) for x in (30, 90)]
    assert len(desk.holes(both)) == 1
    filled = Pipeline().evaluate(picture, desk.filled(RECIPE, both, under_mm=100.0))
    assert sum(layer.outline.holes for layer in filled.layers) == 0
    assert desk.filled(RECIPE, both, under_mm=1.0) == RECIPE
