"""Line art gathered into sheets: on drawings made by rule, and on the lantern panel."""

import cv2
import networkx as nx
import numpy as np
import pytest
from scipy.ndimage import label

from shapes import picture
from sketchloom.core.base.colour import from_hex, srgb_to_lab
from sketchloom.core.edits.decisions import COLOUR
from sketchloom.core.layers.gathering import enclosed_faces, gathered, ladder, sheet_colours, touching_across_ink
from sketchloom.core.layers.layering import sheet_faces
from sketchloom.core.layers.ways import COLOURS, INWARD, NESTED, RULES, SIZE, TOUCHING
from sketchloom.core.planar.describe import RegionIndex
from sketchloom.core.segment import tone
from sketchloom.desk.regions import RegionDesk
from sketchloom.desk.ways import gathering_colours, line_art_ladder
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.files.demo_works import demo
from sketchloom.files.opening import open_file
from sketchloom.recipe.document import Recipe


@pytest.fixture(scope="module")
def rings():
    """Four rings in each other, the inner three cut in two by a bar."""
    page = np.full((300, 300), 255, np.uint8)
    for radius in (130, 100, 70, 40):
        cv2.circle(page, (150, 150), radius, 0, 5, cv2.LINE_AA)
    cv2.line(page, (150, 50), (150, 250), 0, 5)
    return Pipeline().evaluate(picture(page), Recipe(reading="tone"))


def ink(work):
    return work.traced.planar.face_label == tone.INK


def test_regions_on_both_sides_of_a_line_touch_and_others_do_not(rings):
    planar = rings.traced.planar
    def at(x, y):
        return int(planar.faces[y, x])
    pairs = {tuple(p) for p in touching_across_ink(planar, ink(rings)).tolist()}
    def touch(a, b):
        return (min(a, b), max(a, b)) in pairs
    assert len(enclosed_faces(planar, ink(rings))) == 7
    assert (
        touch(at(5, 5), at(150, 35))
        and touch(at(150, 35), at(60, 150))
        and touch(at(140, 150), at(160, 150))
        and touch(at(95, 150), at(60, 150))
    )
    assert not touch(at(60, 150), at(140, 150)) and not touch(at(5, 5), at(60, 150))


def test_nested_and_inward_go_deeper_to_the_middle_and_size_by_area(rings):
    planar = rings.traced.planar
    for rule in (NESTED, INWARD):
        faces, sheet = gathered(planar, ink(rings), rule, 4)
        of = dict(zip(faces.tolist(), sheet.tolist(), strict=False))
        way = [of[int(planar.faces[150, x])] for x in (35, 65, 95, 140)]
        assert way == sorted(way, reverse=True) and way[0] > way[-1] == 0
    faces, sheet = gathered(planar, ink(rings), SIZE, 3)
    area = planar.face_area_px[faces]
    assert all(area[sheet == k].min() >= area[sheet == k + 1].max() for k in range(2))


def test_neighbours_differ_wherever_a_graph_library_can_do_it_as_well():
    work = Pipeline().evaluate(open_file(demo("panel").picture_path).picture.reduced(700), Recipe(reading="tone"))
    planar = work.traced.planar
    faces, sheet = gathered(planar, ink(work), TOUCHING, 5)
    of = dict(zip(faces.tolist(), sheet.tolist(), strict=False))
    pairs = [(a, b) for a, b in touching_across_ink(planar, ink(work)).tolist() if a in of and b in of]
    graph = nx.Graph(pairs)
    needed = max(nx.greedy_color(graph, "DSATUR").values()) + 1
    assert needed <= 5 and not [p for p in pairs if of[p[0]] == of[p[1]]]
    assert len(set(sheet.tolist())) <= needed + 1


@pytest.mark.parametrize("rule", [r for r in RULES if r != COLOURS])
def test_the_ink_becomes_a_frame_on_top_of_its_sheets(rings, rule):
    pipeline, source = Pipeline(), rings.original
    recipe = RegionDesk(rings, RegionIndex(rings.traced.planar)).gathered(rings.recipe, rule, 3)
    work = pipeline.evaluate(source, recipe)
    assert work.plans[-1].key == rings.segmentation.entries[tone.INK].hex
    assert [p.key for p in work.plans[:-1]] == [c for c in sheet_colours(3) if c in {p.key for p in work.plans}]
    frame = work.layers[-1].outline
    assert (frame.pieces, frame.holes) == (2, 7)  # the outermost ring stands by itself
    # what the frame covers is not cut: lean cuts less than fitted
    def cut(way):
        return sum(x.cut_length_mm for x in pipeline.evaluate(source, recipe.__class__(**{
            **{f: getattr(recipe, f) for f in recipe.__slots__}, "layering": way})).layers)
    assert cut("lean") < cut("fitted")
    assert not work.ground[[int(work.traced.planar.faces[150, x]) for x in (35, 65, 95, 140)]].any()


def test_a_drawing_that_encloses_nothing_gives_no_sheets():
    page = np.full((100, 100), 255, np.uint8)
    cv2.line(page, (20, 50), (80, 50), 0, 5)
    work = Pipeline().evaluate(picture(page), Recipe(reading="tone"))
    for rule in RULES:
        faces, sheet = gathered(work.traced.planar, ink(work), rule, 3)
        assert len(faces) == len(sheet) == 0


@pytest.mark.parametrize("way", ["stacked", "fitted", "lean"])
def test_the_ladder_counts_what_the_sheets_then_have(rings, way):
    planar, inked = rings.traced.planar, ink(rings)
    length = np.diff(planar.arc_starts).astype(float)  # cracks, so that pixels can be counted
    rungs = ladder(planar, length, inked, TOUCHING, way)
    assert [r.sheets for r in rungs] == sorted({r.sheets for r in rungs}) and rungs
    for rung in rungs:
        faces, sheet = gathered(planar, inked, TOUCHING, rung.sheets)
        depth = np.full(planar.face_count, -1)
        depth[faces], depth[inked] = sheet, rung.sheets
        cut = pieces = 0
        for level in range(rung.sheets + 1):
            solid = sheet_faces(planar, length, depth, level, way)[planar.faces]
            framed = np.pad(solid, 1).astype(int)
            cut += int(np.abs(np.diff(framed, axis=0)).sum() + np.abs(np.diff(framed, axis=1)).sum())
            pieces += label(solid)[1]
        assert (rung.cut_px, rung.pieces) == (cut, pieces)
        assert rung.saved_px >= 0 or way == "stacked"
    assert [r.alike for r in rungs] == sorted((r.alike for r in rungs), reverse=True) and rungs[-1].alike == 0


def _window_of_colours():
    """A leaded window of sixteen panes in three colours that glow a little unevenly, with a pane of a fourth."""
    rng = np.random.default_rng(7)
    page = np.full((340, 340, 3), 255, np.uint8)
    glass = {0: (233, 196, 106), 1: (90, 160, 168), 2: (214, 118, 96)}
    which = np.arange(16).reshape(4, 4) % 3
    for y in range(4):
        for x in range(4):
            colour = (178, 205, 120) if (x, y) == (3, 3) else glass[which[y, x]]
            page[20 + 75 * y : 95 + 75 * y, 20 + 75 * x : 95 + 75 * x] = np.clip(
                np.array(colour) + rng.integers(-2, 3, 3), 0, 255
            )
    for k in range(5):
        page[18 + 75 * k - 2:18 + 75 * k + 5, 14:326] = page[14:326, 18 + 75 * k - 2:18 + 75 * k + 5] = (20, 18, 24)
    return page, which


def test_regions_of_like_colours_share_a_sheet_the_darkest_lowest():
    page, which = _window_of_colours()
    work = Pipeline().evaluate(picture(page), Recipe(reading="tone", cut_off=60))
    planar, rgb = work.traced.planar, gathering_colours(work)
    def pane(x, y):
        return int(planar.faces[57 + 75 * y, 57 + 75 * x])
    assert np.abs(rgb[pane(0, 0)] - (233, 196, 106)).max() <= 3  # the pane alone: nothing of the lead's edge
    faces, sheet = gathered(planar, ink(work), COLOURS, 8, rgb)
    of = dict(zip(faces.tolist(), sheet.tolist(), strict=False))
    assert len(of) == 16 and set(of.values()) == {0, 1, 2, 3}
    for y in range(4):
        for x in range(4):
            if (x, y) != (3, 3):
                assert of[pane(x, y)] == of[pane(*np.argwhere(which == which[y, x])[0][::-1])]
    light = [srgb_to_lab(rgb[[f for f in of if of[f] == k]].mean(0))[0] for k in range(4)]
    assert light == sorted(light)
    faces, sheet = gathered(planar, ink(work), COLOURS, 2, rgb)
    assert set(sheet.tolist()) == {0, 1}
    assert [r.sheets for r in line_art_ladder(work, COLOURS)] == [2, 3, 4]


def test_gathering_by_colours_takes_the_pictures_colours_and_those_given_by_hand():
    page, _ = _window_of_colours()
    pipeline, recipe = Pipeline(), Recipe(reading="tone", cut_off=60)
    work = pipeline.evaluate(picture(page), recipe)
    desk = RegionDesk(work, RegionIndex(work.traced.planar))
    def face(w, x, y):
        return int(w.traced.planar.faces[57 + 75 * y, 57 + 75 * x])
    recipe = desk.decided(recipe, [face(work, 0, 0)], COLOUR, "#7040b0")
    work = pipeline.evaluate(work.original, recipe)
    desk = RegionDesk(work, RegionIndex(work.traced.planar))
    made = pipeline.evaluate(work.original, desk.gathered(recipe, COLOURS, 8))
    hexes = [plan.hex for plan in made.plans]
    assert len(hexes) == 6 and "#7040b0" in hexes and made.plans[-1].key == made.segmentation.entries[tone.INK].hex
    def near(h, rgb):
        return np.abs(from_hex(h) - rgb).max() <= 3
    assert all(
        any(near(h, rgb) for h in hexes) for rgb in ((233, 196, 106), (90, 160, 168), (214, 118, 96), (178, 205, 120))
    )


def test_line_art_without_colours_is_not_gathered_by_them(rings):
    assert line_art_ladder(rings, COLOURS) == ()
