"""Middles of strokes: thinning, branches, crossings, widths, spurs, and the way back to shapes."""

import io
from dataclasses import replace

import cv2
import numpy as np
import pytest
from hypothesis import given, settings
from hypothesis import strategies as st
from scipy.ndimage import distance_transform_edt, label
from skimage.morphology import skeletonize
from svgelements import SVG, Path

import shapes
from amounts import examples
from sketchloom.core.curves.curveset import evaluate
from sketchloom.core.picture.picture import Picture, frozen_array
from sketchloom.core.strokes import pens
from sketchloom.core.strokes.branches import find_branches
from sketchloom.core.strokes.drawing import drawn, samples
from sketchloom.core.strokes.kind import is_pen_drawing
from sketchloom.core.strokes.strokes import TOLERANCE_PX, find_strokes
from sketchloom.core.strokes.thinning import thinned
from sketchloom.desk import figures
from sketchloom.desk.mends import mended
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.recipe.document import Recipe
from svgs import whole as whole_svg

SIZE = 240


X, Y = np.meshgrid(np.arange(SIZE) + 0.5, np.arange(SIZE) + 0.5)


def bar(x0, y0, x1, y1, width):
    """Cover of a straight stroke with round ends: its distance field, soft over one pixel."""
    along = np.array([x1 - x0, y1 - y0], float)
    t = np.clip(((X - x0) * along[0] + (Y - y0) * along[1]) / (along @ along), 0, 1)
    return np.clip(width / 2 + 0.5 - np.hypot(X - x0 - t * along[0], Y - y0 - t * along[1]), 0, 1)


def ring(x, y, radius, half):
    return np.clip(half + 0.5 - np.abs(np.hypot(X - x, Y - y) - radius), 0, 1)


def disc(x, y, radius):
    return np.clip(radius + 0.5 - np.hypot(X - x, Y - y), 0, 1)


def any_of(*covers):
    return np.maximum.reduce(covers)


def open_paths(svg: bytes) -> dict:
    """Subpaths of the one path of an SVG, read by a general library."""
    (path,) = [e for e in SVG.parse(io.BytesIO(svg)).elements() if isinstance(e, Path)]
    parts = list(path.as_subpaths())
    return {"count": len(parts), "closed": sum("Z" in Path(p).d() for p in parts), "fill": path.values["fill"],
            "width_mm": float(path.values["stroke-width"])}


def strokes_of(cover, spur=6.0, removed=()):
    cover = cover.astype(np.float32)
    return find_strokes(cover > 0.5, cover, spur, removed)


@pytest.mark.parametrize("picture", ["bars", "ring", "blob"])
def test_thinning_lies_where_a_general_librarys_does(picture):
    cover = {"bars": any_of(bar(30, 40, 200, 170, 9), bar(40, 200, 210, 60, 13)), "ring": ring(120, 120, 70, 6),
              "blob": any_of(bar(40, 90, 200, 150, 38), bar(60, 30, 120, 120, 10))}[picture]
    ink = cover > 0.5
    own, other = thinned(ink), skeletonize(ink)
    assert label(own, np.ones((3, 3)))[1] == label(ink)[1]
    for a, b in ((own, other), (other, own)):
        # thinning from one side then the other differs by the order of wearing off: a few pixels at ends
        assert np.percentile(distance_transform_edt(~b)[a], 97) <= 2.0


@given(st.integers(0, 2**32 - 1))
@settings(max_examples=examples(25), deadline=None)
def test_thinning_keeps_pieces_and_never_adds(seed):
    rng = np.random.default_rng(seed)
    ink = cv2.GaussianBlur(rng.normal(0, 1, (60, 60)).astype(np.float32), (0, 0), 3) > 0.1
    line = thinned(ink)
    assert not (line & ~ink).any()
    # the whole paper keeps its holes: same number of pieces of ink over corners
    assert label(line, np.ones((3, 3)))[1] == label(ink, np.ones((3, 3)))[1]
    found = find_branches(line)
    steps = np.abs(np.diff(found.xy, axis=0)).max(1) if len(found.xy) > 1 else np.empty(0)
    inner = np.ones(len(steps), bool)
    inner[found.starts[1:-1] - 1] = False
    assert (steps[inner] <= 1.0).all()


@pytest.mark.parametrize("turn", [0, 17, 45, 78])
def test_two_bars_that_cross_are_two_straight_strokes(turn):
    a, b = np.radians(turn), np.radians(turn + 65)
    ends = [(120 - 90 * np.cos(t), 120 - 90 * np.sin(t), 120 + 90 * np.cos(t), 120 + 90 * np.sin(t)) for t in (a, b)]
    found = strokes_of(any_of(bar(*ends[0], 9), bar(*ends[1], 12)))
    assert len(found.closed) == 2 and not found.closed.any()
    assert sorted(found.width_px) == pytest.approx([9, 12], abs=0.35)
    points = samples(found, 1.0)
    for t in (a, b):
        off = np.abs((points - 120) @ [-np.sin(t), np.cos(t)])
        along = np.abs((points - 120) @ [np.cos(t), np.sin(t)])
        mine = off < 4
        # straight through the crossing, and nowhere off the drawn middle by more than the tolerance
        assert off[mine & (along > 12)].max() <= TOLERANCE_PX and np.median(off[mine & (along > 12)]) < 0.13
        near = mine & (along < 12) & (off < 2)
        assert near.any()


def test_a_ring_is_closed_and_lies_on_its_middle():
    found = strokes_of(ring(118.3, 121.7, 71, 4.5))
    assert found.closed.tolist() == [True] and found.width_px[0] == pytest.approx(9, abs=0.3)
    away = np.hypot(*(samples(found, 1.0) - [118.3, 121.7]).T) - 71
    assert np.abs(away).max() < 0.2
    assert found.length_px[0] == pytest.approx(2 * np.pi * 71, rel=2e-3)


def test_spurs_are_dropped_and_branches_removed():
    comb = [bar(30, 120, 210, 120, 7)] + [bar(x, 120, x, 120 - h, 6) for x, h in ((70, 9), (120, 60), (170, 40))]
    assert len(strokes_of(any_of(*comb), 14).closed) == 3  # the shortest tooth is a bump
    lines = strokes_of(any_of(*comb), 2)
    assert len(lines.closed) == 4
    left = strokes_of(any_of(*comb), 14, removed=[(120, 80)])
    assert len(left.closed) == 2
    # the stroke it left from is whole again
    assert max(left.length_px) == pytest.approx(180, abs=8)


def test_strokes_given_a_width_become_the_shape_again():
    truth = any_of(bar(40, 60, 200, 90, 8), bar(60, 200, 180, 120, 8))
    again = drawn(strokes_of(truth), 8.0, (SIZE, SIZE))
    assert np.abs(again - truth).sum() / truth.sum() < 0.03
    assert again.sum() == pytest.approx(truth.sum(), rel=0.02)


def test_pen_lines_are_open_paths_with_a_width_and_shapes_are_closed():
    cover = any_of(bar(40, 60, 200, 90, 8), bar(60, 200, 180, 120, 8))
    picture = shapes.picture(shapes.grey_of(cover))
    recipe = Recipe(reading="line", size_mm=120.0)
    work = Pipeline().evaluate(picture, recipe)
    assert len(work.layers) == 1 and work.layers[0].outline.pieces == 2 and work.layers[0].area_mm2 == 0
    path = open_paths(whole_svg(work))
    assert path == {"count": 2, "closed": 0, "width_mm": pytest.approx(4.0, abs=0.2), "fill": "none"}
    from dataclasses import replace
    shape = Pipeline().evaluate(picture, replace(recipe, pen_mm=2.0))
    assert shape.layers[0].outline.pieces == 2 and shape.layers[0].outline.pen_px is None
    # two bars of 2 mm with round ends
    lengths = [np.hypot(160, 30) / 2, np.hypot(120, 80) / 2]
    assert shape.layers[0].area_mm2 == pytest.approx(sum(lengths) * 2 + 2 * np.pi, rel=0.04)


def test_each_width_of_stroke_has_its_pen():
    thin, wide = [bar(20, y, 220, y + 8, 4) for y in (30, 60, 90)], [bar(20, y, 220, y + 5, 12) for y in (140, 190)]
    found = strokes_of(any_of(*thin, *wide))
    pen = pens.pens_of(found.width_px, found.length_px, 2)
    assert sorted(pen.tolist()) == [0, 0, 1, 1, 1]
    assert pens.pen_width_px(found, pen == 0) == pytest.approx(12, abs=0.3)
    assert pens.pen_width_px(found, pen == 1) == pytest.approx(4, abs=0.3)
    # a third pen has nothing to draw, nor has a second where widths are alike
    assert pens.pens_of(found.width_px, found.length_px, 4).max() == 1
    assert not pens.pens_of(np.array([4.0, 4.3, 4.1]), np.ones(3), 3).any()
    assert len(pens.pens_of(np.empty(0), np.empty(0), 3)) == 0
    # three widths told apart by hand
    assert pens.pens_of([1, 2.1, 4, 1.05, 2], np.ones(5), 3).tolist() == [2, 1, 0, 2, 1]


def test_a_stroke_is_found_where_it_lies():
    found = strokes_of(any_of(bar(20, 40, 220, 40, 6), bar(20, 120, 220, 200, 10)))
    upper = pens.stroke_at(found, 120, 42.5)
    assert found.width_px[upper] == pytest.approx(6, abs=0.3) and pens.stroke_at(found, 120, 45) == -1
    assert pens.stroke_at(found, 120, 45, reach_px=6) == upper
    assert pens.stroke_at(found, 120, 163) == 1 - upper
    line = pens.pen_outline(found, [upper])
    assert line.pieces == 1 and line.length_px() == pytest.approx(200, abs=4)
    assert pens.stroke_at(strokes_of(np.zeros((SIZE, SIZE))), 5, 5) == -1


def test_pens_are_layers_with_a_path_each():
    cover = any_of(bar(20, 40, 220, 40, 4), bar(20, 90, 220, 100, 4), bar(20, 170, 220, 180, 12))
    picture = shapes.picture(shapes.grey_of(cover))
    recipe = Recipe(reading="line", size_mm=float(SIZE), pens=2)
    work = Pipeline().evaluate(picture, recipe)
    assert [(x.outline.pieces, x.plan.name) for x in work.layers] == [(1, "pen 12 mm"), (2, "pen 4 mm")]
    paths = [e for e in SVG.parse(io.BytesIO(whole_svg(work))).elements() if isinstance(e, Path)]
    assert [float(p.values["stroke-width"]) for p in paths] == pytest.approx([12, 4], abs=0.3)
    keys = [p.key for p in work.plans]
    one = Pipeline().evaluate(picture, recipe.with_edit(keys[1], merged_into=keys[0]))
    assert [x.outline.pieces for x in one.layers] == [3]
    turned = Pipeline().evaluate(picture, replace(recipe, order=tuple(keys[::-1])))
    assert [x.plan.key for x in turned.layers] == keys[::-1]
    without = Pipeline().evaluate(picture, recipe.with_edit(keys[0], left_out=True))
    assert [x.outline.pieces for x in without.layers] == [2]
    widths = sorted(width for width, _ in figures.strokes_mm(work))
    assert widths == pytest.approx([4, 4, 12], abs=0.3)


def test_a_dot_stays_a_dot():
    found = strokes_of(any_of(bar(40, 60, 200, 90, 8), disc(120, 160, 6)))
    assert len(found.closed) == 2
    dot = int(np.argmin(found.length_px))
    assert found.length_px[dot] == pytest.approx(1, abs=0.1) and found.width_px[dot] == pytest.approx(12, abs=1.5)
    middle = found.controls[found.starts[dot], [0, 3]].mean(0)
    assert middle == pytest.approx([120, 160], abs=1.0)


def test_nothing_drawn_gives_no_stroke():
    none = find_strokes(np.zeros((40, 40), bool), np.zeros((40, 40), np.float32), 2.0)
    assert len(none.closed) == 0 and drawn(none, 3.0, (40, 40)).max() == 0


def test_open_lines_suit_a_pen_and_areas_do_not():
    wave = any_of(*(bar(20 + 20 * k, 60 + 25 * (k % 2), 40 + 20 * k, 60 + 25 * ((k + 1) % 2), 3) for k in range(9)))
    lines = any_of(wave, bar(20, 180, 220, 150, 3), bar(20, 200, 220, 210, 3))
    assert is_pen_drawing(lines > 0.5)
    assert not is_pen_drawing(any_of(lines, disc(120, 120, 25)) > 0.5)
    assert not is_pen_drawing(ring(120, 120, 95, 2) > 0.5)


def test_every_stroke_is_continuous():
    rng = np.random.default_rng(4)
    ends = rng.uniform(20, 220, (6, 4))
    found = strokes_of(any_of(*(bar(*e, 7) for e in ends)))
    for a, b in zip(found.starts[:-1], found.starts[1:], strict=False):
        controls = found.controls[a:b]
        assert np.array_equal(controls[1:, 0], controls[:-1, 3])
        assert np.isfinite(evaluate(controls, np.full(len(controls), 0.5))).all()


def _leaves(side, width):
    """Solid leaves that taper to both ends, and dots, in a picture of a side; ``width`` of a leaf as a share of it."""
    rng, (y, x) = np.random.default_rng(11), np.mgrid[:side, :side] / side
    ink = np.zeros((side, side), bool)
    for cx, cy, turn in zip(*rng.uniform(0.12, 0.88, (2, 22)), rng.uniform(0, np.pi, 22), strict=True):
        along = (x - cx) * np.cos(turn) + (y - cy) * np.sin(turn)
        across = (y - cy) * np.cos(turn) - (x - cx) * np.sin(turn)
        ink |= np.abs(across) < width / 2 * (1 - (along / 0.07) ** 2)
    for cx, cy in rng.uniform(0.1, 0.9, (20, 2)):
        ink |= np.hypot(x - cx, y - cy) < 0.007
    return ink


@pytest.mark.parametrize("side", [350, 700, 1100])
@pytest.mark.parametrize("width", [0.012, 0.018, 0.026])
def test_leaves_and_dots_are_no_pen_lines(side, width):
    assert not is_pen_drawing(_leaves(side, width))


def test_strokes_that_are_dots_are_told_with_a_way_out():
    ink = _leaves(700, 0.018)
    picture = Picture(frozen_array(np.where(ink[..., None], 20, 255).astype(np.uint8).repeat(3, 2)))
    work = Pipeline().evaluate(picture, Recipe(reading="line", size_mm=50.0, smallest_mm=0.0))
    (said,) = [f for f in work.findings if f.code == "layer.short_strokes"]
    assert said.figures["count"] >= 5
    solid = Pipeline().evaluate(picture, mended(said, work))
    assert solid.reading == "tone" and "layer.short_strokes" not in {f.code for f in solid.findings}
