"""Rounded rectangles, level lines and symmetric outlines become exact, and only within the tolerance."""

import numpy as np
import pytest
import shapely
from PIL import Image, ImageDraw

import shapes
from sketchloom.core.curves import symmetry
from sketchloom.core.curves.curveset import evaluate
from sketchloom.core.curves.exact_runs import RoundCorners
from sketchloom.core.curves.symmetric_runs import symmetric_runs
from sketchloom.core.planar.junctions import Polylines
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.recipe.document import Recipe

INK, PAPER = (30, 53, 87), (250, 248, 240)


def outline(inside, size=160, **settings):
    picture = shapes.picture(shapes.colour_of(shapes.cover_of(inside, size), INK, PAPER))
    work = Pipeline().evaluate(picture, Recipe(reading="colour", size_mm=float(size), smallest_mm=1.0, **settings))
    assert len(work.layers) == 1
    return work.layers[0].outline


def nearest_turns(controls):
    """Turn of each cubic, rad, from its end tangents."""
    a, b = controls[:, 1] - controls[:, 0], controls[:, 3] - controls[:, 2]
    return np.arctan2(a[:, 0] * b[:, 1] - a[:, 1] * b[:, 0], (a * b).sum(1))


@pytest.mark.parametrize("w, h, r", [(100.4, 60.2, 14.3), (90.0, 90.0, 5.0), (110.7, 41.1, 3.0), (80.3, 70.2, 24.1)])
def test_a_rounded_rectangle_is_four_level_lines_and_four_equal_corners(w, h, r):
    """Area w h - (4 - pi) r^2, length 2 (w + h) - (8 - 2 pi) r (textbook)."""
    x, y = 24.3, 27.6
    got = outline(shapes.rounded_rectangle(x, y, w, h, r))
    assert got.segments == 8 and got.straight.sum() == 4
    lines = got.controls[got.straight]
    level = np.abs(lines[:, 3] - lines[:, 0]).min(1)
    assert (level == 0).all()
    bends = got.controls[~got.straight]
    assert np.abs(nearest_turns(bends)) == pytest.approx(np.pi / 2, abs=1e-9)
    radius = np.abs(bends[:, 3] - bends[:, 0])
    assert np.ptp(radius) < 1e-9
    assert radius.mean() == pytest.approx(r, abs=0.12)
    assert got.area_px.sum() == pytest.approx(w * h - (4 - np.pi) * r * r, rel=1.5e-3)
    assert got.length_px() == pytest.approx(2 * (w + h) - (8 - 2 * np.pi) * r, rel=1e-3)


def test_turned_and_pill_shaped_ones_too():
    got = outline(shapes.rounded_rectangle(30.2, 50.4, 100, 50, 12.0, turn=0.3))
    assert got.segments == 8 and got.straight.sum() == 4
    pill = outline(shapes.rounded_rectangle(22.3, 50.4, 110.0, 48.6, 24.3))
    # a half turn is two cubics
    assert pill.segments == 6 and pill.straight.sum() == 2
    assert pill.area_px.sum() == pytest.approx(110.0 * 48.6 - (4 - np.pi) * 24.3**2, rel=1.5e-3)


def test_exact_shapes_can_be_switched_off():
    shape = shapes.rounded_rectangle(24.3, 27.6, 100.4, 60.2, 14.3, turn=0.0006)
    on, off = outline(shape), outline(shape, exact_shapes=False)
    def level(got):
        return (np.abs(got.controls[got.straight][:, 3] - got.controls[got.straight][:, 0]).min(1) == 0).sum()
    assert level(on) == 4 and level(off) == 0


def test_a_lean_that_shows_stays():
    """At 1.5 degrees an edge of 100 px rises by 2.6 px: no edge may become level."""
    got = outline(shapes.rounded_rectangle(28.3, 40.6, 100.4, 60.2, 8.0, turn=np.radians(1.5)))
    chord = got.controls[got.straight][:, 3] - got.controls[got.straight][:, 0]
    lean = np.degrees(np.arctan2(np.abs(chord).min(1), np.abs(chord).max(1)))
    assert lean == pytest.approx(1.5, abs=0.1)


def test_the_cubics_of_a_round_corner():
    """A quarter circle's cubic leaves it by 2.73e-4 of the radius at most (facts of the field); pieces meet."""
    start, centre = np.array([[10.0, 0.0]] * 3), np.zeros((3, 2))
    turn = np.array([np.pi / 2, -np.pi, 0.4])
    end = 10 * np.stack([np.cos(turn), np.sin(turn)], -1)
    number = np.arange(3)
    cubics, starts = RoundCorners(number, number, number, number, start, end, centre, turn, np.zeros(3)).cubics()
    assert np.diff(starts).tolist() == [1, 2, 1]
    dense = evaluate(cubics[:, None], np.linspace(0, 1, 200)[None])
    assert np.abs(np.hypot(*np.moveaxis(dense, -1, 0)) - 10).max() < 10 * 2.8e-4
    assert (cubics[1, 3] == cubics[2, 0]).all() and np.allclose(cubics[[0, 2, 3], 3], end)


def heart(x, y, size, turn=0.0):
    """A closed curve symmetric about one axis: an even sum of cosines in polar form with a dent."""
    def inside(px, py):
        c, s = np.cos(turn), np.sin(turn)
        u, v = ((px - x) * c + (py - y) * s) / size, ((py - y) * c - (px - x) * s) / size
        angle = np.arctan2(v, u)
        return np.hypot(u, v) <= 0.7 + 0.18 * np.cos(angle) + 0.12 * np.cos(2 * angle) - 0.07 * np.cos(3 * angle)
    return inside


@pytest.mark.parametrize("turn", [0.0, np.pi / 2, 0.7])
def test_a_symmetric_outline_is_its_own_mirror_image(turn):
    got = outline(heart(80.3, 79.8, 70, turn))
    inner = got.controls[:, 0]
    direction = np.array([np.cos(turn), np.sin(turn)])
    middle = got.controls.reshape(-1, 2).mean(0)
    # the mirror image of every node is a node; the axis runs through the two nodes on it
    on_axis = inner[np.argsort(np.abs((inner - middle) @ [-direction[1], direction[0]]))[:2]]
    axis = on_axis[1] - on_axis[0]
    axis /= np.hypot(*axis)
    assert np.abs(axis @ direction) == pytest.approx(1.0, abs=1e-4)
    image = symmetry.mirrored(inner, on_axis[0], axis)
    gap = np.hypot(*np.moveaxis(image[:, None] - inner[None], -1, 0)).min(1)
    assert gap.max() < 1e-9


def test_what_is_not_symmetric_stays_so():
    wide = heart(80.3, 79.8, 70)
    def lopsided(px, py):
        return wide(px, py) | ((px - 110) ** 2 + (py - 112) ** 2 <= 150)
    work = outline(lopsided)
    ring = evaluate(work.controls[:, None], np.linspace(0, 1, 16)[None]).reshape(-1, 2)
    truth = shapes.polygon_of(lopsided, 160)
    assert shapely.distance(truth.exterior, shapely.points(ring)).max() < 0.3


def polyline(points):
    return Polylines(points, np.array([0, len(points)]), np.array([True]))


def test_halves_are_found_by_their_correlation():
    t = np.linspace(0, 2 * np.pi, 400, endpoint=False)
    r = 60 + 15 * np.cos(t) + 8 * np.cos(3 * t)
    points = np.stack([100 + r * np.cos(t), 100 + r * np.sin(t)], -1)
    found = symmetry.symmetric_halves(polyline(points), np.array([True]), 0.1)
    assert len(found) == 1 and np.abs(found.axis[0]) == pytest.approx([1, 0])
    assert not found.corner.any()
    r = r + 3 * np.sin(2 * t)
    points = np.stack([100 + r * np.cos(t), 100 + r * np.sin(t)], -1)
    assert len(symmetry.symmetric_halves(polyline(points), np.array([True]), 0.1)) == 0
    assert len(symmetry.symmetric_halves(polyline(points), np.array([False]), 9.0)) == 0


def two_coloured(whole, upper, size=300):
    pixels = np.full((size, size, 3), 255.0)
    for shape, colour in ((whole, (200, 60, 50)), (upper, (30, 53, 87))):
        cover = shapes.cover_of(shape, size)[..., None]
        pixels = pixels * (1 - cover) + np.array(colour) * cover
    return shapes.picture(np.rint(pixels).astype(np.uint8))


def asymmetries(work):
    """For each long curved open arc: segments, and how far it is from its image in the line that halves its chord."""
    planar, curves, found = work.traced.planar, work.traced.curves, []
    for arc in range(planar.arc_count):
        part = slice(curves.starts[arc], curves.starts[arc + 1])
        controls = curves.controls[part]
        if planar.closed[arc] or not len(controls) or curves.straight[part].all():
            continue
        a, b = controls[0, 0], controls[-1, 3]
        length = np.hypot(*(b - a))
        if length > 40:
            axis = np.array([-(b - a)[1], (b - a)[0]]) / length
            found.append(
                (
                    len(controls),
                    float(np.abs(symmetry.mirrored(controls[::-1, ::-1], (a + b) / 2, axis) - controls).max()),
                    arc,
                )
            )
    return found


@pytest.mark.parametrize("middle", [(150.3, 149.7), (151.0, 140.2)])
def test_an_arc_between_nodes_that_is_its_own_image_becomes_exactly_so(middle):
    x0, y0 = middle
    disc = shapes.disc(x0, y0, 100)
    def half(x, y):
        return (np.hypot(x - x0, y - y0) < 100) & (x < x0 - 10)
    found = asymmetries(Pipeline().evaluate(two_coloured(disc, half), Recipe(reading="colour")))
    exact = [(n, arc) for n, off, arc in found if off < 1e-9]
    assert exact
    work = Pipeline().evaluate(two_coloured(disc, half), Recipe(reading="colour"))
    planar, curves = work.traced.planar, work.traced.curves
    for count, arc in exact:
        part = curves.controls[curves.starts[arc]:curves.starts[arc + 1]]
        assert count <= 6  # no more pieces than fitting it whole takes
        dense = evaluate(np.repeat(part, 9, 0), np.tile(np.linspace(0, 1, 9), len(part)))
        off = np.abs(np.hypot(*(dense - middle).T) - 100)
        assert np.median(off) < 0.08 and off.max() < 0.35  # the nodes, which stay, are up to 0.15 px off the circle
    for arc in range(planar.arc_count):  # nodes are shared bit for bit
        if not planar.closed[arc] and curves.starts[arc + 1] > curves.starts[arc]:
            ends = curves.controls[curves.starts[arc], 0], curves.controls[curves.starts[arc + 1] - 1, 3]
            assert all(np.isfinite(e).all() for e in ends)


def test_what_is_not_its_own_image_or_is_to_stay_as_drawn_is_left():
    disc = shapes.disc(150, 150, 100)
    def half(x, y):
        return (np.hypot(x - 150, y - 150) < 100) & (x < 140)
    as_drawn = asymmetries(Pipeline().evaluate(two_coloured(disc, half), Recipe(reading="colour", exact_shapes=False)))
    assert as_drawn and min(off for _, off, _ in as_drawn) > 1e-6
    # a shore that is steep on one side only
    def shore(x, y):
        return (y > 150 - 60 * np.exp(-(((x - 110) / np.where(x < 110, 20, 70)) ** 2))) & (
            np.hypot(x - 150, y - 150) < 120
        )
    found = asymmetries(Pipeline().evaluate(two_coloured(shapes.disc(150, 150, 120), shore), Recipe(reading="colour")))
    longest = max(found, key=lambda one: one[0])
    assert longest[1] > 1


@pytest.mark.parametrize("bend", [0.4, 1.0, 1.8, 3.0, 8.0])
@pytest.mark.parametrize("turn", [0.0, 4.5])
def test_lines_that_bend_by_little_on_the_axis_keep_to_their_places(bend, turn):
    """A rope between two posts, its own mirror image, and a board with such a top: no line is made square to the axis
    where that would take it away from its points."""
    rng = np.radians(turn)
    cos, sin = np.cos(rng), np.sin(rng)

    def turned(ring):
        return (np.array(ring, float) - 120) @ np.array([[cos, sin], [-sin, cos]]) + 120

    fall = np.tan(np.radians(bend)) * 90
    rope = turned([(30, 60 + fall), (120, 60), (210, 60 + fall), (210, 72 + fall), (120, 72), (30, 72 + fall)])
    board = turned([(40, 120 + fall), (120, 120 + fall / 9), (200, 120 + fall), (200, 170), (40, 170)])
    posts = [turned([(x, 40), (x + 9, 40), (x + 9, 110), (x, 110)]) for x in (56, 175)]
    pixels = Image.new("RGB", (240 * 8, 240 * 8), INK)
    for ring, colour in ((rope, (224, 170, 60)), (board, (190, 60, 60)), *((p, PAPER) for p in posts)):
        ImageDraw.Draw(pixels).polygon([tuple(8 * xy) for xy in ring], fill=colour)
    pixels = np.asarray(pixels.resize((240, 240), Image.Resampling.BOX))
    work = Pipeline().evaluate(shapes.picture(pixels), Recipe(reading="colour", colours=4, size_mm=240.0,
                                                              smallest_mm=4.0, layering="fitted"))
    wide = shapely.union_all([shapely.Polygon(p) for p in posts])
    truth = shapely.union_all([shapely.Polygon(rope).boundary, wide.boundary, shapely.Polygon(board).boundary,
                               shapely.box(0, 0, 240, 240).boundary])
    assert len(work.layers) >= 3
    for layer in work.layers:
        xy = evaluate(np.repeat(layer.outline.controls, 40, 0), np.tile(np.linspace(0, 1, 40), layer.outline.segments))
        assert shapely.distance(shapely.points(xy), truth).max() < 0.7


def test_symmetric_runs_are_found_by_their_points():
    angle = np.linspace(0.3, np.pi - 0.3, 160)
    arch = np.stack([150 + 100 * np.cos(angle), 150 - 80 * np.sin(angle)], -1)
    lean = arch + np.stack([np.zeros(160), 4 * np.sin(np.linspace(0, 2 * np.pi, 160))], -1)
    level = np.stack([np.linspace(0, 200, 160), np.full(160, 20.0)], -1)
    lines = Polylines(np.concatenate([arch, lean, level]), np.array([0, 160, 320, 480]), np.zeros(3, bool))
    halves = symmetric_runs(lines, np.ones(3, bool), 0.1)
    assert halves.arc.tolist() == [0]
    assert np.array_equal(halves.lines.xy[0], arch[0]) and halves.lines.xy[-1] == pytest.approx((150, 70), abs=0.05)
    assert len(symmetric_runs(lines, np.zeros(3, bool), 0.1)) == 0
