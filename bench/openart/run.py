"""Traces the open drawings in every condition and tells how an author's outlines compare.

    python -m bench.openart.run [CONDITION …] [all | aside] [grown] [FILE.json]

``grown``: without looking for the fewest curves.
"""

import io
import json
import os
import sys
import time
from concurrent.futures import ProcessPoolExecutor
from dataclasses import asdict
from pathlib import Path

import numpy as np
from PIL import Image

from bench.openart.collection import chosen, folder
from bench.openart.measure import Figures, figures
from bench.openart.truth import Drawn
from sketchloom.core.picture.picture import Picture, frozen_array
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.files.opening import picture_of
from sketchloom.recipe.document import Recipe

WHITE = (255, 255, 255)


def _on_white(rgba):
    alpha = rgba[..., 3:].astype(np.float32) / 255
    return np.rint(rgba[..., :3] * alpha + 255 * (1 - alpha)).astype(np.uint8)


def _jpeg(quality):
    def make(rgba):
        buffer = io.BytesIO()
        Image.fromarray(_on_white(rgba)).save(buffer, "JPEG", quality=quality)
        return Picture(frozen_array(np.asarray(Image.open(buffer).convert("RGB"))))
    return make


def _clean(rgba):
    return Picture(frozen_array(_on_white(rgba)))


def _clear(rgba):
    return Picture(frozen_array(rgba[..., :3].copy()), frozen_array(rgba[..., 3].copy()))


CONDITIONS = {"clean512": (512, _clean, WHITE), "clean200": (200, _clean, WHITE), "clean1100": (1100, _clean, WHITE),
              "jpeg600": (600, _jpeg(75), WHITE), "jpeg400": (400, _jpeg(40), WHITE), "clear512": (512, _clear, None)}
"""Longer side in px, what the picture is made by, the ground."""


_CURVES = "curves"
"""The file itself, read as a drawing, in place of a picture of it."""


def _score_curves(number: int) -> Figures:
    path = folder() / chosen()[number]["file"]
    recipe = Recipe(reading="colour", smallest_mm=0.0, as_drawing=True)
    begin = time.perf_counter()
    picture = picture_of(path.read_bytes(), path.name, recipe)
    work = Pipeline().evaluate(picture, recipe)
    seconds = time.perf_counter() - begin
    ground = WHITE if picture.alpha is None else None
    truth = Drawn(path).truth(max(picture.width, picture.height), ground)
    return figures(work, truth, ground, np.asarray(picture.rgb), seconds)


def score(number: int, name: str, grown: bool = False) -> Figures:
    if name == _CURVES:
        return _score_curves(number)
    size, make, ground = CONDITIONS[name]
    drawn = Drawn(folder() / chosen()[number]["file"])
    truth = drawn.truth(size, ground)
    picture = make(drawn.rgba(size))
    begin = time.perf_counter()
    work = Pipeline().evaluate(picture, Recipe(reading="colour", smallest_mm=0.0, few_nodes=not grown))
    return figures(work, truth, ground, np.asarray(picture.rgb), time.perf_counter() - begin)


def _job(words):
    try:
        return (*words[:2], score(*words))
    except Exception as error:
        return (*words[:2], f"{type(error).__name__}: {error}")


def run(names, aside: bool | None, grown: bool = False):
    every = [n for n, one in enumerate(chosen()) if aside is None or one["aside"] == aside]
    jobs = [(n, name, grown) for name in names for n in every]
    with ProcessPoolExecutor(os.cpu_count()) as pool:
        return list(pool.map(_job, jobs, chunksize=2))


def show(results, worst: int = 6) -> None:
    out, files = sys.stdout, chosen()
    out.write(f"{'condition':<11}{'mean':>7}{'95 %':>7}{'segm':>6}{'worst':>6}{'stack':>6}{'worst':>6}{'bumps':>7}"
              f"{'near':>7}{'needl':>7}{'jump':>6}{'pieces':>7}{'lost':>7}{'worst':>6}{'far':>7}{'tiny':>5}{'exact':>6}{'s':>6}\n")
    for name in (*CONDITIONS, _CURVES):
        rows = [(n, r) for n, c, r in results if c == name]
        for n, r in rows:
            if isinstance(r, str):
                out.write(f"  failed: {files[n]['file']} {r}\n")
        rows = [(n, r) for n, r in rows if not isinstance(r, str)]
        if not rows:
            continue
        def of(what, rows=rows):
            return np.array([getattr(r, what) for _, r in rows], float)
        def middle(what, of=of):
            return float(np.median(of(what)))
        exact = float(np.mean((of("missing") == 0) & (of("extra") == 0)))
        out.write(f"{name:<11}{middle('mean_px'):7.3f}{middle('p95_px'):7.3f}{middle('segments'):6.2f}"
                  f"{of('segments').max():6.1f}{middle('stacked'):6.2f}{of('stacked').max():6.1f}{middle('bumps'):7.2f}"
                  f"{of('near').mean():7.3f}{of('needless').mean():7.3f}{middle('jump_deg'):6.2f}{middle('pieces'):7.2f}"
                  f"{of('lost').mean():7.4f}{of('lost').max():6.2f}"
                  f"{of('far').mean():7.4f}{int(of('tiny').sum()):5d}{exact:6.2f}{middle('seconds'):6.2f}\n")
        for n, r in sorted(rows, key=lambda row: -row[1].segments)[:worst]:
            out.write(f"    {files[n]['file']:<52} mean {r.mean_px:.3f} segm {r.segments:.2f} bumps {r.bumps:.2f} "
                      f"lost {r.lost:.3f} missing {r.missing} extra {r.extra}\n")
    out.flush()


def main(words) -> None:
    names = [w for w in words if w in CONDITIONS or w == _CURVES] or [*CONDITIONS, _CURVES]
    found = run(names, True if "aside" in words else None if "all" in words else False,
                "grown" in words)
    show(found)
    for word in words:
        if word.endswith(".json"):
            plain = [{"file": chosen()[n]["file"], "condition": c,
                      **(asdict(r) if not isinstance(r, str) else {"failed": r})} for n, c, r in found]
            Path(word).write_text(json.dumps(plain, indent=0))


if __name__ == "__main__":
    main(sys.argv[1:])
