"""Ways of layering: exact orders and least cuts, how fast and how much they save, and the section while it is dragged.
"""

import time
from dataclasses import replace
from types import SimpleNamespace

import numpy as np

from bench.quality.conditions import CONDITIONS, picture_of, recipe_of
from bench.quality.run import icons
from bench.table import Row
from sketchloom.core.curves.curveset import segment_areas
from sketchloom.core.curves.outline import Outline
from sketchloom.core.layers.lean import lean_faces
from sketchloom.core.layers.order import best_order
from sketchloom.core.layers.order_costs import Faces, Weights
from sketchloom.core.layers.section import SectionCutter
from sketchloom.core.layers.ways import FITTED, LEAN
from sketchloom.core.planar.planar_map import build_map
from sketchloom.core.shapes import makers
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.files.demo_works import demo
from sketchloom.files.opening import open_file

_EVERY = 4


def order_rows() -> list[Row]:
    rng, rows = np.random.default_rng(1), []
    for colours, limit in ((12, 0.3), (16, 6.0)):
        boundary = rng.uniform(0, 10, (colours + 1,) * 2)
        boundary, area = boundary + boundary.T, rng.uniform(1, 9, colours)
        begin = time.perf_counter()
        best_order(boundary, area)
        rows.append(Row(f"order of {colours} colours by cutting", time.perf_counter() - begin, limit, "s"))
        planar = build_map(np.kron(rng.integers(0, colours, (20, 20)), np.ones((4, 4), int)).astype(np.uint8))
        inner = planar.left >= 0
        faces = Faces(planar.face_label, planar.left[inner], planar.right[inner])
        begin = time.perf_counter()
        best_order(boundary, area, Weights(1.0, 50.0, 0.1), faces)
        rows.append(
            Row(
                f"order of {colours} colours by cutting, pieces and film",
                time.perf_counter() - begin,
                limit,
                "s",
                f"{planar.face_count} faces",
            )
        )
    return rows


def lean_row() -> Row:
    rng = np.random.default_rng(2)
    planar = build_map(np.kron(rng.integers(0, 12, (75, 75)), np.ones((3, 3), int)).astype(np.uint8))
    depth, length = planar.face_label.astype(int), rng.uniform(2, 30, planar.arc_count)
    begin = time.perf_counter()
    for level in range(12):
        lean_faces(planar, length, depth, level)
    return Row("lean, all twelve sheets", time.perf_counter() - begin, 0.5, "s", f"{planar.face_count} faces")


def saving_rows() -> list[Row]:
    """Medians over every fourth picture of the open icon set that has three colours or more."""
    fitted, stacked, order, rng, condition = [], [], [], np.random.default_rng(3), CONDITIONS[0]
    for number, icon in enumerate(icons()[::_EVERY]):
        pipeline, picture = Pipeline(), picture_of(icon, condition, number)
        cut = {}
        for way in ("stacked", FITTED, LEAN):
            work = pipeline.evaluate(picture, replace(recipe_of(condition), layering=way), measured=False)
            cut[way] = sum(layer.cut_length_mm for layer in work.layers)
        if len(work.plans) < 3:
            continue
        fitted.append(cut[LEAN] / cut[FITTED])
        stacked.append(cut[LEAN] / cut["stacked"])
        keys, lengths = [p.key for p in work.plans], []
        for _ in range(7):
            other = pipeline.evaluate(
                picture, replace(recipe_of(condition), order=tuple(rng.permutation(keys))), measured=False
            )
            lengths.append(sum(layer.cut_length_mm for layer in other.layers))
        order.append(cut["stacked"] / float(np.median(lengths)))
    note = f"medians of {len(order)} pictures"
    return [
        Row("lean cutting / fitted", float(np.median(fitted)), 0.90, "", note),
        Row("lean cutting / best stacked", float(np.median(stacked)), 0.75, "", note),
        Row("best order / median random order, cutting", float(np.median(order)), 0.75, "", note),
    ]


def _ring_sheet(rings):
    controls = np.concatenate(rings)
    area = np.array([segment_areas(r).sum() for r in rings])
    starts = np.concatenate([[0], np.cumsum([len(r) for r in rings])])
    return SimpleNamespace(outline=Outline(controls, np.zeros(len(controls), bool), starts, area, area < 0))


def section_row() -> Row:
    rng = np.random.default_rng(4)
    layers = [
        _ring_sheet(
            [makers.ellipse(rng.uniform(0, 1000, 2), *rng.uniform(5, 60, 2), rng.uniform(0, 3)) for _ in range(150)]
        )
        for _ in range(20)
    ]
    cutter = SectionCutter(layers, 0.1)
    begin = time.perf_counter()
    for n in range(60):
        cutter.cut((0, 100 + 10 * n), (1000, 120 + 9 * n), [0.1] * 20, [0.0] * 20)
    return Row(
        "section, seconds a picture at 20 sheets",
        (time.perf_counter() - begin) / 60,
        1 / 30,
        "s",
        "3000 rings; painting not counted",
    )


def drag_row() -> Row:
    picture, pipeline, base = open_file(demo("lighthouse").picture_path).picture, Pipeline(), demo("lighthouse").recipe
    work = pipeline.evaluate(picture, base)
    keys, took = [p.key for p in work.plans], []
    for n in range(5):
        other = keys[:n] + keys[n + 1:n + 2] + keys[n:n + 1] + keys[n + 2:]
        begin = time.perf_counter()
        pipeline.evaluate(picture, replace(base, order=tuple(other)), measured=False)
        took.append(time.perf_counter() - begin)
    return Row(
        "a sheet moved to its new figures", float(np.median(took)), 0.1, "s", "median of 5; widths come after it"
    )


def rows() -> list[Row]:
    return [*order_rows(), lean_row(), *saving_rows(), section_row(), drag_row()]
