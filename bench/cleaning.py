"""The Clean stage: bridges proposed, decisions found again, and how soon a gesture is answered."""

import time
from dataclasses import replace

import cv2
import numpy as np

from bench.gap_drawings import gap_drawing
from bench.table import Row
from sketchloom.core.edits.gaps import find_gaps
from sketchloom.core.picture.picture import Picture, frozen_array
from sketchloom.core.planar.describe import RegionIndex
from sketchloom.desk.regions import RegionDesk
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.files.demo_works import DEMOS
from sketchloom.files.opening import open_file
from sketchloom.recipe.document import Recipe

_CUT_OFF = 140
_COLOURS = ("#c83c32", "#1e3557", "#e3ae4a", "#2f6f7e")
FIRST_SEED = 1000
"""Seeds below it were looked at while the method was made."""


def gap_rows(count: int = 200) -> list[Row]:
    cuts = found = proposed = false = 0
    for seed in range(FIRST_SEED, FIRST_SEED + count):
        grey, truth = gap_drawing(seed)
        gaps = find_gaps(grey < _CUT_OFF)
        middle = (gaps.start + gaps.end) / 2
        near = np.array([[np.hypot(*(m - c.xy)) < c.gap / 2 + 5 for c in truth] for m in middle]).reshape(
            len(middle), len(truth)
        )
        cuts, found = cuts + len(truth), found + int(near.any(0).sum())
        proposed, false = proposed + len(middle), false + int((~near.any(1)).sum())
    return [
        Row(
            "gaps of 1 to 12 px without a bridge proposed",
            1 - found / cuts,
            0.10,
            "",
            f"{found} of {cuts} in {count} drawings",
        ),
        Row("bridges proposed where no gap is", false / max(proposed, 1), 0.05, "", f"{false} of {proposed}"),
    ]


def found_again_row() -> Row:
    """Every region of the demo pictures is decided about; then the cut-off or the number of colours is another."""
    made = again = 0
    for one in DEMOS:
        if len(one.paths) != 1:
            continue
        opened = open_file(one.picture_path)
        pipeline, picture = Pipeline(), opened.picture.reduced(900)
        recipe = replace(one.recipe, size_mm=None)
        work = pipeline.evaluate(picture, recipe)
        if work.reading not in ("tone", "colour"):
            continue
        desk = RegionDesk(work, RegionIndex(work.traced.planar))
        decided = desk.decided(recipe, range(work.traced.planar.face_count), "drop")
        for other in _others(work, decided):
            found = pipeline.evaluate(picture, replace(other, all_off=False), measured=False).edited.found
            made, again = made + len(found), again + int((found >= 0).sum())
    return Row(
        "decisions not found again",
        1 - again / max(made, 1),
        0.03,
        "",
        f"{again} of {made}, cut-offs of the stretch or two colours more or fewer",
    )


def _others(work, recipe):
    if work.reading == "tone" and work.segmentation.cut_offs is not None:
        best = work.segmentation.cut_offs.stretches[0]
        return [
            replace(recipe, cut_off=v)
            for v in (best.first, (best.first + best.best) // 2, (best.best + best.last) // 2, best.last)
        ]
    count = len(work.segmentation.entries)
    return [
        replace(recipe, palette=None, colours=n) for n in range(count - 2, count + 3) if 2 <= n <= 24 and n != count
    ]


def _discs(side: int, count: int = 2000) -> Picture:
    page = np.full((side, side, 3), 255, np.uint8)
    rng, across = np.random.default_rng(1), int(np.ceil(count**0.5))
    for k in range(count):
        at = tuple(int((v + 0.5) * side / across * 16) for v in (k % across, k // across))
        colour = tuple(int(_COLOURS[k % 4][i:i + 2], 16) for i in (1, 3, 5))
        cv2.circle(page, at, int(rng.uniform(0.25, 0.42) * side / across * 16), colour, -1, cv2.LINE_AA, 4)
    return Picture(frozen_array(page))


def gesture_rows() -> list[Row]:
    """From a click to its new look, and to sheets cut anew; without the time to paint them."""
    rows = []
    for side, limit in ((1400, 0.05), (2840, 0.15)):
        picture, pipeline = _discs(side), Pipeline()
        recipe = Recipe(reading="colour", colours=5, size_mm=200.0, smallest_mm=0.3)
        work = pipeline.evaluate(picture, recipe)
        index = RegionIndex(work.traced.planar)
        look, cut = [], []
        for face in range(100, 108):
            desk = RegionDesk(work, index)
            begin = time.perf_counter()
            recipe = desk.decided(recipe, [face], "drop")
            desk.looks(recipe, [face])
            look.append(time.perf_counter() - begin)
            work = pipeline.evaluate(picture, recipe, measured=False)
            cut.append(time.perf_counter() - begin)
        words = f"{work.traced.planar.face_count} regions, {side * side / 1e6:.0f} MP"
        rows += [Row(f"gesture to the region's new look, {words}", float(np.median(look)), limit, "s", "median of 8"),
                 Row(f"the same to sheets cut anew, {words}", float(np.median(cut)), limit, "s", "median of 8")]
        begin = time.perf_counter()
        pipeline.evaluate(picture, replace(recipe, edits=recipe.edits[:-1]), measured=False)
        rows.append(Row(f"undone, {words}", time.perf_counter() - begin, 0.05, "s"))
    return rows


def rows() -> list[Row]:
    return [*gap_rows(), found_again_row(), *gesture_rows()]
