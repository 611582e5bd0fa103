"""Objects cut out of photographs by strokes: overlap, what corrections do, and the old background left at the edge.

    python -m bench.objects.run [aside | all] [WORD of a name …] [FOLDER for pictures]
"""

import os
import sys
import time
from concurrent.futures import ProcessPoolExecutor
from dataclasses import dataclass
from pathlib import Path

import cv2
import numpy as np

from bench.objects.hand import correction, drop_stroke, edge_line, keep_stroke
from bench.objects.pictures import COUNT, KINDS, UNSEEN, Cutout, cutout
from bench.table import Row
from sketchloom.core.background.mask import freed
from sketchloom.core.background.steps import MAX_POINTS, Background, BackgroundStep

CLICKS = 30
"""Clicks along an edge, of objects whose outline is no longer than so many can follow."""
_COMPACT = ("icon", "fish")
THIRDS = ("tune", "aside", "all")
_CORRECTIONS = 6
_WORSE = 0.002
"""A correction made it worse when the overlap fell by more than this."""
_NEAR_PX, _CONTRAST = 5, 40.0


@dataclass(frozen=True, slots=True)
class Found:
    """``overlap`` after two strokes and after each correction (intersection over union); ``left_px`` of old background
    along the edge, ``off_px`` by which the edge lies outside; ``seconds`` of the slowest step."""

    name: str
    overlap: tuple[float, ...]
    worse: int
    left_px: float
    off_px: float
    seconds: float


def overlap(kept, cover) -> float:
    truth = cover > 0.5
    return float((kept & truth).sum() / max((kept | truth).sum(), 1))


def fringe(one: Cutout, rgb, alpha) -> tuple[float, float]:
    """Old background kept along the outline, and how far outside the edge lies, in px across the edge.

    Only where the cut follows the outline and the two sides differ.
    """
    truth, kept = one.cover > 0.5, alpha > 127
    edge = cv2.morphologyEx(truth.astype(np.uint8), cv2.MORPH_GRADIENT, np.ones((3, 3), np.uint8)) > 0
    wrong = cv2.morphologyEx((truth != kept).astype(np.uint8), cv2.MORPH_OPEN, np.ones((4, 4), np.uint8))
    bad = cv2.dilate(wrong, np.ones((4 * _NEAR_PX + 1,) * 2, np.uint8)) > 0
    band = (cv2.dilate(edge.astype(np.uint8), np.ones((2 * _NEAR_PX + 1,) * 2, np.uint8)) > 0) & ~bad
    line = (one.ground - one.colours)[band]
    size = (line * line).sum(1)
    plain = size > _CONTRAST**2
    share = ((rgb[band].astype(float) - one.colours[band]) * line).sum(1)[plain] / size[plain]
    cover, soft = one.cover[band][plain], alpha[band][plain] / 255.0
    # outline length: the integral of the gradient of the cover
    length = float(np.hypot(*np.gradient(one.cover))[band][plain].sum())
    return float((soft * share).sum() / max(length, 1)), float((soft - cover).sum() / max(length, 1))


def measured(number: int, folder: Path | None = None) -> Found:
    """Two strokes, then corrections of the largest fault as long as one is seen."""
    one, rng = cutout(number), np.random.default_rng(number)
    steps = [keep_stroke(one.cover, rng), drop_stroke(one.cover, rng)]
    overlaps, worse, slowest = [], 0, 0.0
    for n in range(_CORRECTIONS + 1):
        begin = time.perf_counter()
        cut = freed(one.picture, Background(tuple(steps)))
        slowest = max(slowest, time.perf_counter() - begin)
        alpha = np.full(one.cover.shape, 255, np.uint8) if cut.alpha is None else cut.alpha
        overlaps.append(overlap(alpha > 127, one.cover))
        worse += n > 0 and overlaps[-1] < overlaps[-2] - _WORSE
        if folder is not None and n in (0, 2):
            _picture(one, cut.rgb, alpha, steps, folder / f"{one.name.replace(' ', '_')}_{n}.jpg")
        step = correction(one.cover, alpha > 127, rng) if n < _CORRECTIONS else None
        if step is None:
            break
        steps.append(step)
    overlaps += overlaps[-1:] * (_CORRECTIONS + 1 - len(overlaps))
    return Found(one.name, tuple(overlaps), worse, *fringe(one, cut.rgb, alpha), slowest)


def along_edge(number: int) -> float:
    """Overlap of an object cut out by a line along its edge."""
    one = cutout(number)
    line = edge_line(one.picture, one.cover, CLICKS, np.random.default_rng(number))
    cut = freed(one.picture, Background((BackgroundStep("edge", True, line[:MAX_POINTS]),)))
    return overlap(cut.alpha > 127, one.cover)


def _picture(one, rgb, alpha, steps, path):
    """The picture with its strokes beside the cut on magenta."""
    soft = alpha[..., None] / 255.0
    shown = one.picture.rgb.copy()
    for step in steps:
        at = np.rint(np.array(step.points) * shown.shape[1::-1]).astype(np.int32)
        wide = max(2, round(step.width * max(shown.shape)))
        colour = (40, 255, 40) if step.keep else (255, 40, 40)
        cv2.circle(shown, tuple(at[0].tolist()), wide, colour, 2) if len(at) == 1 else cv2.polylines(
            shown, [at], False, colour, wide)
    page = np.concatenate([shown, np.rint(rgb * soft + np.array([255, 0, 255]) * (1 - soft)).astype(np.uint8)], 1)
    scale = 1000 / page.shape[1]
    cv2.imwrite(str(path), cv2.resize(page, None, fx=scale, fy=scale, interpolation=cv2.INTER_AREA)[..., ::-1])


def numbers(third: str):
    """The last quarter of the pictures, and one kind as a whole, are set aside: never looked at while choosing."""
    return [n for n in range(COUNT)
            if third == "all" or (n >= 0.75 * COUNT or KINDS[n % len(KINDS)] == UNSEEN) == (third == "aside")]


def _one(args):
    return measured(*args)


def found(third="aside", words=(), folder=None) -> list[Found]:
    with ProcessPoolExecutor(os.cpu_count() or 1) as pool:
        return [f for f in pool.map(_one, [(n, folder) for n in numbers(third)]) if not words
                or any(w in f.name for w in words)]


def rows() -> list[Row]:
    """Of the pictures set aside."""
    all_of = found()
    compact = [n for n in numbers("aside") if KINDS[n % len(KINDS)] in _COMPACT]
    with ProcessPoolExecutor(os.cpu_count() or 1) as pool:
        edges = np.array(list(pool.map(along_edge, compact)))
    two = np.array([f.overlap[2] for f in all_of])
    return [
        Row("objects by strokes: missing of overlap after two corrections", 100 * (1 - float(np.median(two))), 3.0, "%",
            f"median of {len(all_of)}; worst {100 * (1 - two.min()):.1f}"),
        Row("objects by strokes: corrections that made it worse", float(sum(f.worse for f in all_of)), 0.0, ""),
        Row("objects by strokes: old background along the edge", float(np.median([abs(f.left_px) for f in all_of])),
            0.1, "px"),
        Row(f"objects along their edge: missing of overlap with {CLICKS} clicks", 100 * (1 - float(np.median(edges))),
            2.0, "%", f"median of {len(edges)}; worst {100 * (1 - edges.min()):.1f}"),
    ]


def main(words) -> None:
    third = next((w for w in words if w in THIRDS), "tune")
    folder = next((Path(w) for w in words if "/" in w), None)
    names = [w for w in words if w not in THIRDS and "/" not in w]
    if folder:
        folder.mkdir(parents=True, exist_ok=True)
    every = found(third, names, folder)
    for f in every:
        sys.stdout.write(f"{f.name:42} " + " ".join(f"{o:.3f}" for o in f.overlap)
                         + f"  worse {f.worse}  left {f.left_px:+.2f}  off {f.off_px:+.2f} px  {f.seconds:.1f} s\n")
    for n in (0, 1, 2, _CORRECTIONS):
        part = np.array([f.overlap[n] for f in every])
        sys.stdout.write(f"after {n} corrections: median {np.median(part):.3f}, worst {part.min():.3f}, "
                         f"{(part >= 0.97).sum()} of {len(part)} at 0.97\n")
    sys.stdout.write(f"worse {sum(f.worse for f in every)}, left {np.median([abs(f.left_px) for f in every]):.3f} px, "
                     f"off {np.median([abs(f.off_px) for f in every]):.3f} px\n")


if __name__ == "__main__":
    main(sys.argv[1:])
