"""Ways of layering: lean against brute force and a general flow library, orders against brute force, what is seen from
above."""

import itertools

import cv2
import networkx as nx
import numpy as np
import pytest
import shapely
from hypothesis import given, settings
from hypothesis import strategies as st

from amounts import examples
from shapes import picture
from sketchloom.core.base.raster import filled
from sketchloom.core.curves.curveset import flatten
from sketchloom.core.curves.outline import outline_of
from sketchloom.core.layers import order, order_costs
from sketchloom.core.layers.added import BACKING, Rim
from sketchloom.core.layers.layering import sheet_faces
from sketchloom.core.layers.lean import lean_faces
from sketchloom.core.layers.overlap import overlapped
from sketchloom.core.layers.ways import FITTED, LEAN, STACKED, WAYS, WINDOWED
from sketchloom.core.planar.describe import RegionIndex
from sketchloom.core.planar.planar_map import build_map
from sketchloom.core.shapes.polygons import area_of_outline
from sketchloom.desk.regions import RegionDesk
from sketchloom.desk.ways import orders_offered, ways_compared
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.files.demo_works import demo
from sketchloom.files.opening import open_file
from sketchloom.recipe.document import Recipe


def random_map(seed, colours=4, size=9):
    """A small map of blocks with random depths and lengths."""
    rng = np.random.default_rng(seed)
    planar = build_map(np.kron(rng.integers(0, colours, (size // 3, size // 3)), np.ones((3, 3), int)).astype(np.uint8))
    depth = rng.integers(-1, colours, planar.face_count)
    return planar, depth, rng.uniform(0.5, 20, planar.arc_count)


def cutting(planar, length, inside):
    within = np.append(inside, False)
    return float(length[within[planar.left] != within[planar.right]].sum())


@given(st.integers(0, 100_000))
def test_lean_is_the_least_of_all_choices_of_free_faces(seed):
    planar, depth, length = random_map(seed)
    for level in range(4):
        free = np.flatnonzero(depth > level)
        if not (depth == level).any() or len(free) > 9:
            continue
        found = lean_faces(planar, length, depth, level)
        assert found[depth == level].all() and not found[depth < level].any()
        best = np.inf
        for choice in itertools.product((False, True), repeat=len(free)):
            inside = depth == level
            inside[free] = choice
            best = min(best, cutting(planar, length, inside))
        # lengths are counted in 64ths of a pixel
        assert cutting(planar, length, found) <= best + planar.arc_count / 64


@given(st.integers(0, 100_000))
@settings(max_examples=examples(25))
def test_lean_cuts_as_much_as_a_general_flow_library_says(seed):
    planar, depth, length = random_map(seed, 6, 24)
    for level in range(6):
        if not (depth == level).any():
            continue
        graph = nx.DiGraph()
        graph.add_nodes_from(("s", "t"))
        def name(f):
            return "t" if f < 0 or depth[f] < level else "s" if depth[f] == level else int(f)  # noqa: B023
        for left, right, size in zip(planar.left.tolist(), planar.right.tolist(), length.tolist(), strict=False):
            a, b = name(left), name(right)
            if a != b:
                for u, v in ((a, b), (b, a)):
                    graph.add_edge(u, v, capacity=graph.get_edge_data(u, v, {"capacity": 0.0})["capacity"] + size)
        value, _ = nx.minimum_cut(graph, "s", "t")
        assert cutting(planar, length, lean_faces(planar, length, depth, level)) == pytest.approx(
            value, abs=planar.arc_count / 64
        )


@given(st.integers(0, 100_000))
def test_from_above_every_way_shows_the_same_faces(seed):
    planar, depth, length = random_map(seed, 5, 18)
    for way in WAYS:
        top = np.full(planar.face_count, -1)
        for level in range(5):
            if (depth == level).any():
                top[sheet_faces(planar, length, depth, level, way)] = level
        assert (top == depth).all()


# -- orders --------------------------------------------------------------------------------------

def test_pieces_of_every_set_of_colours_are_those_of_a_graph_library():
    planar, depth, _ = random_map(5, 5, 24)
    inner = planar.left >= 0
    faces = order_costs.Faces(depth, planar.left[inner], planar.right[inner])
    found = order_costs.subset_pieces(faces, 5)
    for subset in range(32):
        there = [f for f in range(planar.face_count) if depth[f] >= 0 and subset >> depth[f] & 1]
        graph = nx.Graph()
        graph.add_nodes_from(there)
        graph.add_edges_from(
            (a, b) for a, b in zip(faces.one.tolist(), faces.two.tolist(), strict=False) if a in graph and b in graph
        )
        assert found[subset] == nx.number_connected_components(graph)


@given(st.integers(0, 100_000), st.sampled_from([(1.0, 0.0, 0.0), (0.0, 30.0, 0.0), (1.0, 15.0, 0.2), (0.0, 0.0, 1.0)]))
@settings(max_examples=examples(25))
def test_a_weighted_order_is_the_best_of_all(seed, weights):
    planar, depth, length = random_map(seed, 5, 15)
    n = 5
    area = np.bincount(depth[depth >= 0], planar.face_area_px[depth >= 0], n).astype(float)
    colour = np.append(depth, -1)
    one, two = (np.where(c < 0, n, c) for c in (colour[planar.left], colour[planar.right]))
    boundary = np.zeros((n + 1, n + 1))
    np.add.at(boundary, (one, two), length)
    boundary = boundary + boundary.T
    np.fill_diagonal(boundary, 0)
    inner = planar.left >= 0
    faces = order_costs.Faces(depth, planar.left[inner], planar.right[inner])
    cut, piece, film = weights
    pieces = order_costs.subset_pieces(faces, n)

    def cost(way):
        inside, total = 0, cut * order.stacked_length(boundary, way)
        for c in reversed(way):
            inside |= 1 << c
            total += piece * pieces[inside] + film * sum(area[k] for k in range(n) if inside >> k & 1)
        return total
    found = order.best_order(boundary, area, order_costs.Weights(*weights), faces)
    assert found.exact
    assert cost(found.order) <= min(cost(p) for p in itertools.permutations(range(n))) * (1 + 1e-5) + 1e-3


# -- in a work -------------------------------------------------------------------------------------

@pytest.fixture(scope="module")
def badge():
    source = open_file(demo("lighthouse").picture_path).picture.reduced(500)
    return Pipeline(), source, Recipe(colours=6)


@pytest.mark.parametrize("overlap", [0.0, 0.5, 2.0])
@pytest.mark.parametrize("way", WAYS)
def test_what_is_seen_from_above_is_the_traced_picture(badge, way, overlap):
    pipeline, source, _recipe = badge
    work = pipeline.evaluate(source, Recipe(colours=6, layering=way, overlap_mm=overlap), measured=False)
    planar, curves = work.traced.planar, work.traced.curves
    hidden = shapely.MultiPolygon()
    for layer in reversed(work.layers):
        level = [p.key for p in work.plans].index(layer.plan.key)
        mine = area_of_outline(layer.outline)
        seen = area_of_outline(outline_of(planar, curves, work.depth == level))
        # by set algebra: less what lies above, just what is seen is left
        assert mine.difference(hidden).symmetric_difference(seen).area == pytest.approx(
            0, abs=2e-4 * source.width * source.height
        )
        hidden = hidden.union(mine)
    # and by rendering: sheets painted from the base up show each pixel's face, but for those an edge runs through
    shown = np.full(planar.faces.shape, -1)
    for layer in work.layers:
        level = [p.key for p in work.plans].index(layer.plan.key)
        rings = [
            flatten(layer.outline.controls[a:b], layer.outline.straight[a:b], 0.02)[0]
            for a, b in zip(layer.outline.starts[:-1], layer.outline.starts[1:], strict=False)
        ]
        shown[filled(rings, planar.faces.shape)] = level
    differs = shown != work.depth[planar.faces]
    edge = np.zeros(differs.shape, bool)
    edge[1:] |= planar.faces[1:] != planar.faces[:-1]
    edge[:-1] |= planar.faces[1:] != planar.faces[:-1]
    edge[:, 1:] |= planar.faces[:, 1:] != planar.faces[:, :-1]
    edge[:, :-1] |= planar.faces[:, 1:] != planar.faces[:, :-1]
    beyond = differs & ~cv2.dilate(edge.astype(np.uint8), np.ones((3, 3), np.uint8)).astype(bool)
    assert beyond.sum() == 0, beyond.sum()
    assert differs.mean() < 0.002


def test_edges_that_are_seen_stay_the_very_same_curves(badge):
    pipeline, source, _ = badge
    work = pipeline.evaluate(source, Recipe(colours=6), measured=False)
    planar, curves, depth = work.traced.planar, work.traced.curves, work.depth
    for level in range(len(work.plans) - 1):
        inside, covered = depth == level, depth > level
        made = overlapped(planar, curves, inside, covered, 8.0)
        within = np.append(depth, -1)
        one, two = within[planar.left], within[planar.right]
        seen = np.flatnonzero(((one == level) & (two < level)) | ((two == level) & (one < level)))
        have = {tuple(np.round(c, 6).ravel()) for c in made.controls} | {
            tuple(np.round(c[::-1], 6).ravel()) for c in made.controls
        }
        whole = outline_of(planar, curves, inside | covered)  # straight neighbours in one line are joined in an outline
        known = {tuple(np.round(c, 6).ravel()) for c in whole.controls} | {
            tuple(np.round(c[::-1], 6).ravel()) for c in whole.controls
        }
        kept = total = 0
        for arc in seen.tolist():
            for c in curves.controls[curves.starts[arc]:curves.starts[arc + 1]]:
                if tuple(np.round(c, 6).ravel()) in known:
                    total, kept = total + 1, kept + (tuple(np.round(c, 6).ravel()) in have)
        assert kept >= 0.85 * total  # where a hidden edge meets a seen one, the seen one is cut there


def test_an_overlap_grows_hidden_edges_by_its_length(badge):
    # a bar over a disc: the disc's edge under the bar is moved out, and only that
    _y, x = np.mgrid[:200, :200] + 0.5
    rgb = np.full((200, 200, 3), 255, np.uint8)
    rgb[(x < 100)] = (200, 60, 50)
    rgb[(x >= 100) & (x < 160)] = (30, 53, 87)
    rgb[:20], rgb[-20:], rgb[:, :20] = 255, 255, 255
    work = Pipeline().evaluate(
        picture(rgb), Recipe(colours=3, layering=FITTED, overlap_mm=2.0, size_mm=100.0, order=("#c83c32", "#1e3557"))
    )
    plain = Pipeline().evaluate(
        picture(rgb), Recipe(colours=3, layering=FITTED, size_mm=100.0, order=("#c83c32", "#1e3557"))
    )
    red, before = (next(layer for layer in w.layers if layer.plan.key == "#c83c32") for w in (work, plain))
    # 80 mm of hidden edge, 2 mm far
    assert red.area_mm2 - before.area_mm2 == pytest.approx(160, rel=0.01)
    blue, blue_before = (next(layer for layer in w.layers if layer.plan.key == "#1e3557") for w in (work, plain))
    assert blue.area_mm2 == blue_before.area_mm2


def test_each_way_is_best_at_what_it_is_for(badge):
    pipeline, source, recipe = badge
    ways = {one.way: one for one in ways_compared(pipeline.evaluate(source, recipe))}
    assert ways[LEAN].cut_mm == min(w.cut_mm for w in ways.values())
    assert ways[WINDOWED].pieces == min(w.pieces for w in ways.values())
    assert ways[FITTED].film_mm2 == min(w.film_mm2 for w in ways.values()) and ways[FITTED].thickest == 1
    assert ways[STACKED].slack_mm is None and ways[STACKED].thickest == ways[STACKED].sheets


def test_a_layer_may_follow_a_way_of_its_own(badge):
    pipeline, source, recipe = badge
    stacked = pipeline.evaluate(source, recipe, measured=False)
    key = stacked.plans[2].key
    mixed = pipeline.evaluate(source, recipe.with_edit(key, layering=FITTED), measured=False)
    for one, other in zip(stacked.layers, mixed.layers, strict=False):
        assert (one.cut_length_mm != other.cut_length_mm) == (one.plan.key == key)


def test_a_region_from_a_sheet_below_is_a_window_through_all_above():
    rgb = np.full((160, 160, 3), 255, np.uint8)
    y, x = np.mgrid[:160, :160] + 0.5
    rgb[np.hypot(x - 80, y - 80) < 70] = (30, 53, 87)
    for eye in (55, 105):
        rgb[np.hypot(x - eye, y - 60) < 12] = (240, 230, 200)
    rgb[np.hypot(x - 80, y - 115) < 9] = (240, 230, 200)
    pipeline, source = Pipeline(), picture(rgb)
    work = pipeline.evaluate(source, Recipe(colours=3, layering="stacked"))
    body, pale = (p.key for p in work.plans)
    assert [layer.outline.holes for layer in work.layers] == [0, 0] and work.layers[1].outline.pieces == 3
    desk = RegionDesk(work, RegionIndex(work.traced.planar))
    faces = [int(work.traced.planar.faces[60, 55]), int(work.traced.planar.faces[60, 105])]
    recipe = desk.decided(work.recipe, faces, "below")
    assert [look is not None for look in desk.looks(recipe, faces)] == [True, True]
    done = pipeline.evaluate(source, recipe)
    assert [p.name.endswith("below") for p in done.plans] == [True, False, False]
    below, middle, top = done.layers
    # the eyes are windows in the dark film; the mouth stays a piece on top of it
    assert middle.plan.key == body and middle.outline.holes == 2 and top.outline.pieces == 1
    assert below.outline.pieces == 1 and below.outline.holes == 0
    # with one colour fewer asked for and with more they are still there
    for colours in (2, 4):
        again = pipeline.evaluate(source, Recipe(colours=colours, edits=recipe.edits))
        assert (again.edited.found >= 0).all() and again.plans[0].name.endswith("below")
    assert pale in [p.key for p in done.plans]


@pytest.mark.parametrize("way", WAYS)
def test_layers_left_out_one_after_the_other_leave_orders_of_those_that_are_there(way):
    """With a backing of 0 below all, as it was reported to fail."""
    source, pipeline = open_file(demo("lighthouse").picture_path).picture.reduced(160), Pipeline()
    recipe = Recipe(layering=way, rims=(Rim(0.0, BACKING),))
    for plan in pipeline.evaluate(source, recipe).plans:
        recipe = recipe.with_edit(plan.key, left_out=True)
        work = pipeline.evaluate(source, recipe)
        keys = [plan.key for plan in work.plans]
        assert all(sorted(offer.order) == sorted(keys) for offer in orders_offered(work))
        assert ways_compared(work)
