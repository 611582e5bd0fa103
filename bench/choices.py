"""How good the program's own choices are: cut-off, number of colours; and how fast they are worked out."""

import os
import sys
import time
from concurrent.futures import ProcessPoolExecutor
from dataclasses import replace

import numpy as np

from bench import drawing
from bench.quality import measure
from bench.quality.conditions import CONDITIONS, picture_of, recipe_of
from bench.quality.run import icons
from bench.quality.truth import Truth
from bench.table import Row
from sketchloom.core.errors import AppError
from sketchloom.core.segment.cut_offs import count_cut_offs
from sketchloom.pipeline import Pipeline

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

    proposed = count_cut_offs(picture.grey).proposed
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


def curve_row() -> Row:
    page = drawing.line_drawing(2360, 3390)
    took = min(_timed(lambda: count_cut_offs(page)) for _ in range(3))
    return Row("curve of 256 cut-offs, 8 MP", took, 0.5, "s", "best of 3")


def _timed(work):
    begin = time.perf_counter()
    work()
    return time.perf_counter() - begin
