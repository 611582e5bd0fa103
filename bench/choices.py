"""How good the program's own choices are: reading, cut-off, faults, background; and how fast they are worked out."""

import os
import sys
import time
from concurrent.futures import ProcessPoolExecutor
from dataclasses import replace

import cv2
import numpy as np

from bench import drawing, faults, readings
from bench.quality import measure
from bench.quality.conditions import CONDITIONS, picture_of, recipe_of
from bench.quality.run import icons
from bench.quality.truth import Truth
from bench.table import Row
from sketchloom.core.background.mask import kept_alpha
from sketchloom.core.background.steps import Background, BackgroundStep
from sketchloom.core.base.errors import AppError
from sketchloom.core.picture.picture import Picture, frozen_array
from sketchloom.core.segment.cut_offs import count_cut_offs, pieces_and_holes
from sketchloom.core.segment.ladder import colour_ladder
from sketchloom.core.segment.palette import find_colours
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.files.demo_works import demo
from sketchloom.files.opening import open_file

_SCAN = next(c for c in CONDITIONS if c.reading == "tone")
_STEP = 8


def _cut_off_ratio(number):
    """Outline error at the proposed cut-off over that of the best one, by steps of eight and then two."""
    icon = icons()[number]
    truth = Truth.of(icon["body"], icon["size"], _SCAN.size_px, _SCAN.ground)
    picture, recipe, pipeline = picture_of(icon, _SCAN, number), recipe_of(_SCAN), Pipeline()

    def error(cut_off):
        try:
            lines, _, _ = measure.map_lines(pipeline.evaluate(picture, replace(recipe, cut_off=cut_off)), _SCAN)
        except AppError:
            return np.inf
        return measure.both_ways(lines, truth.boundary)[0]

    proposed = count_cut_offs(picture.grey).proposed()
    tried = {c: error(c) for c in range(28, 240, _STEP)}
    near = min(tried, key=tried.get)
    tried |= {c: error(c) for c in range(near - 6, near + 7, 2)}
    return icon["name"], proposed, error(proposed), min(tried, key=tried.get), min(tried.values())


def cut_off_row(aside: bool, most: int = 16) -> Row:
    numbers = [n for n, icon in enumerate(icons()) if icon["kind"] in _SCAN.kinds and icon["aside"] == aside][:most]
    with ProcessPoolExecutor(os.cpu_count()) as pool:
        found = list(pool.map(_cut_off_ratio, numbers))
    ratio = [ours / best for _, _, ours, _, best in found]
    for name, proposed, ours, best_at, best in found:
        sys.stdout.write(f"  {name:<34} proposed {proposed:3d} {ours:.3f} px   best {best_at:3d} {best:.3f} px\n")
    return Row("cut-off on scans: error ÷ that of the best of all", float(np.median(ratio)), 1.15, "",
               f"{len(ratio)} scans, worst {max(ratio):.2f}")


def curve_rows() -> list[Row]:
    """The curve with its stretches, and with pieces and holes told apart, of a clean and of a grainy page."""
    page = drawing.line_drawing(2360, 3390)
    grainy = np.clip(page + np.random.default_rng(3).normal(0, 3, page.shape), 0, 255).round().astype(np.uint8)
    found = []
    for name, grey in (("", page), (", grainy", grainy)):
        for words, work in (
            ("curve of 256 cut-offs", count_cut_offs),
            ("the same, pieces and holes apart", lambda grey: pieces_and_holes(grey, True, count_cut_offs(grey))),
        ):
            found.append(
                Row(f"{words}, 8 MP{name}", min(_timed(lambda: work(grey)) for _ in range(3)), 0.5, "s", "best of 3")  # noqa: B023
            )
    return found


def ladder_rows() -> list[Row]:
    """Tree and ladder of a picture of 26 flat colours, from its pixels on."""
    found = []
    for width, height, limit in ((1000, 1000, 0.7), (3464, 2310, 2.0)):
        flat = _discs(width, height)
        took, rungs = [], ()
        for _ in range(3):
            picture = Picture(frozen_array(flat))  # nothing is at hand
            begin = time.perf_counter()
            rungs = colour_ladder(picture, find_colours(picture), 16.0).rungs
            took.append(time.perf_counter() - begin)
        found.append(Row(f"ladder of 24 with its tree, {width * height / 1e6:.0f} MP", min(took), limit, "s",
                         f"{rungs[0].count} down to {rungs[-1].count}, best of 3"))
    return found


def _discs(width, height):
    """Discs in 26 colours on white, antialiased."""
    hue = np.array([[(k * 180 // 13) % 180, 200 - 70 * (k % 2), 130 + 100 * (k % 2)] for k in range(26)], np.uint8)
    colours = cv2.cvtColor(hue[None], cv2.COLOR_HSV2RGB)[0]
    rng = np.random.default_rng(7)
    page = np.full((height, width, 3), 255, np.uint8)
    for k in range(208):
        at = (rng.uniform(0.04, 0.96, 2) * [width, height] * 16).astype(int)
        radius = int(rng.uniform(0.012, 0.045) * width * 16)
        cv2.circle(page, tuple(int(v) for v in at), radius, tuple(int(v) for v in colours[k % 26]), -1, cv2.LINE_AA, 4)
    return page


def page_row() -> Row:
    def seen():
        opened = open_file(demo("page").picture_path)
        Pipeline().evaluate(opened.picture, replace(opened.project.recipe, page_dpi=300))

    return Row(
        "page of a PDF at 300 dpi, opened and traced", min(_timed(seen) for _ in range(3)), 3.0, "s", "best of 3"
    )


def two_objects(seed: int):
    """A shaded object before a shaded ground with grain, the truth, and a stroke on each."""
    rng = np.random.default_rng(300 + seed)
    size = 900
    y, x = np.mgrid[:size, :size].astype(np.float32)
    def soft(s):
        return cv2.GaussianBlur(rng.normal(0, 1, (size, size)).astype(np.float32), (0, 0), s) * s * 3.5
    angle = np.arctan2(y - 460, x - 450)
    radius = 230 + sum(rng.uniform(-40, 40) / k * np.cos(k * angle + rng.uniform(0, 6)) for k in range(2, 7))
    inside = np.hypot(x - 450, y - 460) < radius
    light = (x * np.cos(seed) + y * np.sin(seed)) / size
    ground = rng.uniform(40, 210, 3) + 60 * light[..., None] + 10 * soft(40)[..., None]
    thing = (rng.uniform(40, 210, 3) + rng.choice([-1, 1], 3) * 45) - 70 * light[..., None] + 10 * soft(25)[..., None]
    cover = cv2.GaussianBlur(inside.astype(np.float32), (0, 0), 1.0)[..., None]
    pixels = ground * (1 - cover) + thing * cover + rng.normal(0, 4, (size, size, 1))
    turn = np.linspace(0, 2 * np.pi, 40)
    keep = BackgroundStep("stroke", True, tuple((0.5 + 0.1 * np.cos(t), 0.51 + 0.1 * np.sin(t)) for t in turn[:30]))
    drop = BackgroundStep("stroke", False, tuple((0.5 + 0.45 * np.cos(t), 0.5 + 0.45 * np.sin(t)) for t in turn[:36]))
    return Picture(frozen_array(np.clip(np.rint(pixels), 0, 255).astype(np.uint8))), inside, Background((keep, drop))


def background_row(count: int = 8) -> Row:
    wrong = []
    for seed in range(count):
        picture, truth, steps = two_objects(seed)
        wrong.append(float(((kept_alpha(picture, steps) >= 128) != truth).mean()))
    return Row("pixels wrong after two strokes, photo-like pictures", max(wrong), 0.02, "",
               f"worst of {count}, median {np.median(wrong):.4f}")


def rows(aside: bool = True) -> list[Row]:
    return [
        *readings.rows(),
        cut_off_row(aside),
        *curve_rows(),
        *ladder_rows(),
        background_row(),
        page_row(),
        *faults.rows(aside),
    ]


def _timed(work):
    begin = time.perf_counter()
    work()
    return time.perf_counter() - begin
