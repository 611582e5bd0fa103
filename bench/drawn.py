"""The exactness of what is drawn in the Clean stage: rims, mirrored halves, widths, shapes, and how soon they are
there."""

import time
from dataclasses import replace

import numpy as np
from scipy.spatial import cKDTree

from bench.table import Row
from sketchloom.core.curves.curveset import evaluate, is_straight, segment_areas, segment_lengths
from sketchloom.core.curves.outline import Outline
from sketchloom.core.layers.added import Rim
from sketchloom.core.layers.rims import rim_outline
from sketchloom.core.picture.picture import Picture, frozen_array
from sketchloom.core.picture.preparing.mirroring import find_axis, mirror_frame
from sketchloom.core.picture.preparing.steps import FIRST, SECOND, Mirror, Preparation
from sketchloom.core.shapes import makers
from sketchloom.desk import lines
from sketchloom.desk.shapes import ShapeDesk
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.files.demo_works import DEMOS, demo
from sketchloom.files.opening import open_file
from sketchloom.recipe.document import Recipe

_SUB = 8


def rim_row() -> Row:
    """Steiner's formula on 40 convex shapes, grown by a hundredth to half of their size."""
    rng, worst = np.random.default_rng(7), 0.0
    for n in range(40):
        ring = (
            makers.ellipse((300, 300), *rng.uniform(40, 200, 2), rng.uniform(0, 3))
            if n % 2
            else makers.regular((300, 300), rng.uniform(40, 200), 3 + n % 7)
        )
        area, around, by = segment_areas(ring).sum(), segment_lengths(ring).sum(), rng.uniform(1, 90)
        outline = Outline(ring, is_straight(ring), np.array([0, len(ring)]), np.array([area]), np.zeros(1, bool))
        truth = area + around * by + np.pi * by**2
        worst = max(worst, abs(rim_outline(outline, Rim(by), 1.0).area_px.sum() / truth - 1))
    return Row("rim against Steiner's formula, worst of 40", worst * 100, 0.1, "% of area")


def mirror_row() -> Row:
    """Greatest distance of a mirrored curve from the nearest one, over the demo pictures."""
    worst, count = 0.0, 0
    for one in DEMOS:
        if len(one.paths) != 1:
            continue
        source = open_file(one.picture_path).picture.reduced(600)
        for mirror in (find_axis(source), Mirror(0.44, 0.05, 0.53, 0.97, SECOND), Mirror(0.1, 0.52, 0.9, 0.49, FIRST)):
            work = Pipeline().evaluate(
                source,
                replace(
                    one.recipe, size_mm=None, pen_mm=one.recipe.pen_mm or 1.0, preparation=Preparation(mirror=mirror)
                ),
                measured=False,
            )
            upright = mirror_frame(source.width, source.height, mirror).is_upright
            points = evaluate(work.traced.curves.controls[:, None], np.linspace(0, 1, 33)[None]).reshape(-1, 2)
            image = points.copy()
            k = 0 if upright else 1
            image[:, k] = (work.picture.width if upright else work.picture.height) - image[:, k]
            worst, count = max(worst, float(cKDTree(points).query(image)[0].max())), count + 1
    return Row("mirrored half, worst asymmetry", worst, 0.01, "px", f"{count} mirrored demo pictures")


def _picture(inside, size):
    at = (np.arange(size * _SUB) + 0.5) / _SUB
    cover = inside(at[None], at[:, None]).reshape(size, _SUB, size, _SUB).mean((1, 3))
    return Picture(frozen_array(np.rint(255 * (1 - cover)).astype(np.uint8)[..., None].repeat(3, 2)))


def width_row() -> Row:
    """Widths of traced annuli, bars and wedges against what was drawn, at every place found."""
    errors = []
    for width in (3.0, 5.5, 9.0, 14.0):
        for kind in ("ring", "bar", "wedge"):
            if kind == "ring":
                shape, truth = (
                    (lambda x, y, w=width: np.abs(np.hypot(x - 150.3, y - 149.6) - 90) < w / 2),
                    lambda xy, w=width: np.full(len(xy), w),
                )
            elif kind == "bar":
                c, s = np.cos(0.3), np.sin(0.3)
                def shape(x, y, w=width):
                    return (
                        (np.abs((x - 150) * s - (y - 150) * c) < w / 2) & (np.abs((x - 150) * c + (y - 150) * s) < 120)  # noqa: B023
                    )
                def truth(xy, w=width):
                    return np.full(len(xy), w)
            else:
                # a wedge that opens by 0.03 a px: a ball at x is 2 h cos t wide, t half its opening
                def half(x, w=width):
                    return w / 2 + 0.015 * (x - 150)
                def shape(x, y, h=half):
                    return (np.abs(y - 150) < h(x)) & (x > 60) & (x < 240)
                def truth(xy, h=half):
                    return 2 * h(xy[:, 0]) * np.cos(np.arctan(0.015))
            work = Pipeline().evaluate(_picture(shape, 300), Recipe(reading="tone", smallest_mm=0.1))
            found = work.layers[0].widths
            inner = np.ones(len(found.width), bool) if kind == "ring" else (np.abs(found.xy[:, 0] - 150) < 75)
            errors += np.abs(found.width[inner] - truth(found.xy[inner])).tolist()
    return Row(
        "width measured on traced shapes, mean error",
        float(np.mean(errors)),
        0.1,
        "px",
        f"worst {max(errors):.2f} px at {len(errors)} places",
    )


def shape_rows() -> list[Row]:
    """A word and a star on the lighthouse: exactness of the star, time to the exact result."""
    picture, pipeline = open_file(demo("lighthouse").picture_path).picture, Pipeline()
    work = pipeline.evaluate(picture, demo("lighthouse").recipe)
    desk = ShapeDesk(work)
    ring = makers.star((400.0, 500.0), 60, 27)
    recipe = replace(work.recipe, shapes=(desk.shape([ring], "#f3ead7", "star"),))
    begin = time.perf_counter()
    done = pipeline.evaluate(picture, recipe)
    took = time.perf_counter() - begin
    ends = done.traced.curves.controls[:, 0]
    off = max(float(np.hypot(*(ends - p).T).min()) for p in ring[:, 0])
    return [Row("corners of a star laid on, worst distance", off, 0.01, "px"),
            Row("a shape laid on to the exact result", took, 1.5, "s", f"{picture.width} × {picture.height} px")]


def undo_row() -> Row:
    """The slowest undo of a shape, split line, cover, boundary, rim, painted line and mirror on the lighthouse."""
    picture, pipeline, base = open_file(demo("lighthouse").picture_path).picture, Pipeline(), demo("lighthouse").recipe
    work = pipeline.evaluate(picture, base)
    desk = ShapeDesk(work)
    width, height = desk.size
    ring = desk.ring(desk.size / 2, width)
    worst = 0.0
    for changes in (
        {"shapes": (desk.shape([makers.star(desk.size / 2, 60, 27)], "#f3ead7", "star"),)},
        {"rims": (Rim(3.0),)},
        {"splits": (desk.split([(0.1 * width, 0.7 * height), (0.9 * width, 0.7 * height)]),)},
        {"covers": (desk.cover(desk.size * [(0.4, 0.4), (0.6, 0.4), (0.5, 0.6)]),)},
        {"curves": (desk.curve_edit("smooth", ring.points, desk.reshaped("smooth", ring), False),)},
        {"lines": (lines.painted_line(work, [(0.2, 0.2), (0.4, 0.4)], 6.0, "#f3ead7"),)},
        {"preparation": Preparation(mirror=Mirror(0.5, 0.0, 0.5, 1.0))},
    ):
        pipeline.evaluate(picture, replace(base, **changes))
        took = []
        for _ in range(3):
            begin = time.perf_counter()
            pipeline.evaluate(picture, base)
            took.append(time.perf_counter() - begin)
            pipeline.evaluate(picture, replace(base, **changes))
        worst = max(worst, float(np.median(took)))
    return Row("undo of what is drawn, the slowest of seven kinds", worst, 0.05, "s", "without painting")


def drawn_rows() -> list[Row]:
    return [rim_row(), mirror_row(), width_row(), *shape_rows(), undo_row()]
