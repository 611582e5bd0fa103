"""Speed of the tracing core, as ratios in one run where a general library does something comparable."""

import time

import numpy as np
from skimage.measure import find_contours

from bench import drawing, speed
from bench.table import Row
from sketchloom.core.curves import trace_arcs
from sketchloom.core.picture.picture import Picture, frozen_array
from sketchloom.core.planar import junctions, subpixel
from sketchloom.core.planar.planar_map import build_map
from sketchloom.core.segment import tone
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.recipe.document import Recipe


def rows() -> list[Row]:
    page = drawing.line_drawing(2480, 3508)
    return [*_page(page), *_large(), *_small(), *_slope()]


def _best(work, times=3):
    took = []
    for _ in range(times):
        begin = time.perf_counter()
        work()
        took.append(time.perf_counter() - begin)
    return min(took)


def _page(page):
    labels = tone.ink_labels(page, 127)

    def ours():
        planar = build_map(labels)
        levels = subpixel.LocalLevels(planar.face_label, tone.local_levels(page, labels), tone.LEVEL_STEP)
        points = subpixel.boundary_points(planar, page[..., None], levels)
        lines = junctions.join_polylines(planar, points, junctions.place_nodes(planar, points))
        trace_arcs.fit_arcs(planar, lines, few=True)

    ratio = _best(ours) / _best(lambda: find_contours(page.astype(float), 127.5))
    with speed.saved(page) as path:
        report, took = speed.run_trace([str(path), "--mode", "tone"])
    return [Row("A4 line drawing, labels to cubics ÷ find_contours", ratio, 2.0, "", "2480 x 3508 px, best of 3"),
            Row("the same drawing, whole command", took, 4.0, "s",
                ", ".join(f"{k} {v:.2f}" for k, v in report["timings_s"].items()))]


def _large():
    with speed.saved(drawing.flat_picture(4000, 3000, 8, 120)) as path:
        report, took = speed.run_trace([str(path), "--colours", "8"])
    return [Row("12 megapixels, 8 colours, whole command", took, 6.0, "s",
                ", ".join(f"{k} {v:.2f}" for k, v in report["timings_s"].items())),
            Row("memory of the same", report["peak_memory_mb"] / 1024, 1.5, "GB")]


def _small():
    pixels = drawing.flat_picture(512, 512, 6, 40)
    took = _best(lambda: Pipeline().evaluate(Picture(frozen_array(pixels)), Recipe()), 7)
    return [Row("512 px flat picture inside the running process", took, 0.06, "s", "everything, widths too")]


def _slope():
    """Time and memory against megapixels: the exponent of a power law, 1 for linear."""
    sizes, seconds, memory = (1, 4, 16, 48), [], []
    for megapixels in sizes:
        side = int(1000 * megapixels**0.5)
        with speed.saved(drawing.flat_picture(side, side, 6, 40)) as path:
            report, _ = speed.run_trace([str(path), "--colours", "6"])
        parts = report["timings_s"]
        seconds.append(sum(v for k, v in parts.items() if k != "total"))
        memory.append(report["peak_memory_mb"])
    grown = np.polyfit(np.log(sizes), np.log(seconds), 1)[0]
    more = (memory[-1] - memory[0]) / (sizes[-1] - sizes[0])
    return [Row("time from 1 to 48 megapixels, exponent of growth", grown, 1.1, "",
                " / ".join(f"{s:.2f}" for s in seconds) + " s at 1, 4, 16, 48"),
            Row("memory a megapixel from 1 to 48", more, 60.0, "MB",
                " / ".join(f"{m:.0f}" for m in memory) + " MB")]
