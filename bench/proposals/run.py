"""Proposals for every scene, and for sketches and photo-like pictures: how many are what was drawn.

    python -m bench.proposals.run [aside | all] [KIND …] [FOLDER for contact sheets]
"""

import os
import sys
from collections import Counter
from concurrent.futures import ProcessPoolExecutor
from pathlib import Path

import numpy as np
from PIL import Image, ImageDraw
from scipy import ndimage

from bench.proposals import measure
from bench.proposals.conditions import FILES, by_hand, photo_like, picture_of, rendered
from bench.proposals.scenes import KINDS, Scene
from bench.table import Row
from sketchloom.core.picture.preparing.steps import Preparation
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.recipe.document import Recipe

LIGHTS = ("even", "slope", "shadow", "tint", "pale")
STEPS = (Preparation(level_light=True), Preparation(denoise=2), Preparation(level_light=True, lift_pencil=1))
_SKETCHES, _PHOTOS = 20, 12
_RIM, _INSIDE = 0.97, 0.01
"""Ground is right with so much of what lies around the drawing left out, and no more than that of the drawing."""
_TRUE = {"jpeg": {"source.blocks", "source.noise", "source.soft"}, "shaded": {"source.shaded"},
         "small": {"source.small"}}
"""What is rightly said of such pictures."""
_SIZES_PX, _SIZED = (350, 550, 700, 825, 1100, 1600), ("outlined", "flat", "soft")
"""Copies that are to have the same sheets, and the kinds that have a true number of them."""
_THUMB = 200


def cases():
    """(kind, number, aside) of all pictures."""
    for kind, (_, count) in KINDS.items():
        yield from ((kind, seed, seed % 3 == 2) for seed in range(count))
    yield from (("sketch", n, n % 3 == 2) for n in range(_SKETCHES))
    yield from (("photo", n, n % 3 == 2) for n in range(_PHOTOS))


def picture(kind: str, number: int):
    """The picture of a case, its scene or None, and how its file came."""
    if kind == "photo":
        return photo_like(number), None, "jpeg"
    if kind == "sketch":
        make, seed = (KINDS["cells"][0], 100 + number) if number % 2 else (KINDS["line"][0], 100 + number)
        scene = make(seed)
        rgb = rendered(scene.body, 900)[..., :3]
        return by_hand(rgb, number, LIGHTS[number % len(LIGHTS)]), scene, LIGHTS[number % len(LIGHTS)]
    scene = KINDS[kind][0](number)
    how, size = FILES[number % len(FILES)]
    return picture_of(scene, how, size), scene, f"{how} {size}"


def one(case):
    """Figures of a case, its thumbnails, and what is wrong with it."""
    kind, number, _ = case
    seen, scene, how = picture(kind, number)
    figures, work = measure.measured(f"{kind} {number} ({how})", seen)
    wanted = ("photo",) if scene is None else scene.readings
    if kind == "cells" and how.startswith("transparent"):
        wanted = ("tone", "colour")  # there its white is drawn, not paper
    if figures.reading not in wanted:
        figures.wrong.append(f"reading {figures.reading} for {'/'.join(wanted)}")
    elif scene is not None:
        figures.wrong += _ground(work, scene, kind)
    if kind == "sketch":  # no step of preparing changes what it is
        for step in STEPS:
            prepared = measure.reading_of(seen, Recipe(preparation=step))
            if prepared not in wanted:
                figures.wrong.append(f"reading {prepared} after a step")
    if kind in KINDS and scene.base is not None and not measure.near(figures.base, scene.base):
        figures.wrong.append(f"base {figures.base} for {scene.base}")
    rightly = set().union(*(codes for word, codes in _TRUE.items() if word in f"{kind} {how}"), _TRUE["small"])
    if kind in KINDS:
        figures.wrong += [f"says {code}" for code in figures.codes if code not in rightly]
    return figures, _thumbs(work, seen)


def _ground(work, scene: Scene, kind):
    faces, size = work.traced.planar.faces, work.picture.width
    left_out = work.ground[faces] if not work.draws_with_pens else None
    if left_out is None:
        return []
    if scene.ground is None:
        return ["ground taken from a full picture"] if left_out.mean() > _INSIDE else []
    body = scene.body.replace(f'fill="{scene.ground}"/>', 'fill="none"/>', 1)
    around = rendered(body, size)[..., 3] == 0
    part, _ = ndimage.label(around)
    rim = np.unique(np.concatenate([part[0], part[-1], part[:, 0], part[:, -1]]))
    outside = np.isin(part, rim[rim > 0])
    found = []
    if left_out[outside].mean() < _RIM:
        found.append("ground kept")
    if work.reading == "colour" and left_out[~ndimage.binary_dilation(outside, iterations=3)].mean() > _INSIDE:
        found.append("ground taken inside")
    return found


def _thumbs(work, seen):
    ours = measure.shown(work, (214, 209, 200)) if not work.draws_with_pens else seen.rgb
    rgb = seen.rgb
    if seen.alpha is not None:
        alpha = seen.alpha[..., None] / 255
        rgb = np.rint(rgb * alpha + 214 * (1 - alpha)).astype(np.uint8)
    return [np.asarray(Image.fromarray(np.ascontiguousarray(i)).resize((_THUMB, _THUMB))) for i in (rgb, ours)]


def run(aside=False, kinds=()):
    chosen = [c for c in cases() if (aside is None or c[2] == aside) and (not kinds or c[0] in kinds)]
    with ProcessPoolExecutor(os.cpu_count()) as pool:
        return [(case, *found) for case, found in zip(chosen, pool.map(one, chosen), strict=True)]


def _sheets(case):
    kind, number, how, size = case
    work = Pipeline().evaluate(picture_of(KINDS[kind][0](number), how, size), Recipe())
    return work.reading, len(work.layers)


def sizes(aside=False):
    """Scene and kind of file, and reading and sheets of its copy of each size."""
    scenes = [(kind, n, how) for kind in _SIZED for n in range(KINDS[kind][1]) if (n % 3 == 2) == aside
              for how in ("png", "jpeg")]
    with ProcessPoolExecutor(os.cpu_count()) as pool:
        found = list(pool.map(_sheets, [(*scene, size) for scene in scenes for size in _SIZES_PX], chunksize=6))
    return [(scene, found[n * len(_SIZES_PX):(n + 1) * len(_SIZES_PX)]) for n, scene in enumerate(scenes)]


def _apart(found):
    """Copies that differ from most of the same scene."""
    return sum(len(copies) - max(Counter(copies).values()) for _, copies in found)


def show(results) -> None:
    for _, f, _ in results:
        sys.stdout.write(f"{f.name:<28} {f.reading:<7}{f.way:<9}{f.layers:>3} layers  base {f.base:<8} ground "
                         f"{f.ground!s:<8} hidden {f.hidden}/{f.pieces}  ÷ lean {f.over_lean:.2f}  unlike "
                         f"{f.unlike:.2%}  {'; '.join(f.wrong)}\n")


def rows(aside=True) -> list[Row]:
    """The table's rows for the pictures set aside, or for others."""
    found = run(aside)
    drawn = [(c, f) for c, f, _ in found if c[0] in KINDS]
    hand = [(c, f) for c, f, _ in found if c[0] not in KINDS]

    def count(some, word):
        return sum(any(w.startswith(word) for w in f.wrong) for _, f in some)
    sheets = [f for _, f in drawn if f.layers > 1]
    based = [f for c, f in drawn if KINDS[c[0]][0](c[1]).base]
    bold = [f.unlike for c, f in drawn if c[0] in ("outlined", "flat")]
    soft = [f.unlike for c, f in drawn if c[0] == "shaded"]
    copies = sizes(aside)
    false = Counter(w for _, f in drawn for w in f.wrong if w.startswith("says"))
    return [
        Row("drawn pictures whose reading is wrong", count(drawn, "reading"), 1 / 60 * len(drawn), "",
            f"of {len(drawn)}"),
        Row("sketches and photo-like pictures whose reading is wrong", count(hand, "reading"), 0.05 * len(hand), "",
            f"of {len(hand)}"),
        Row("drawn pictures whose ground is wrong", count(drawn, "ground"), 2 / 120 * len(drawn), "",
            f"of {len(drawn)}"),
        Row("base that is not the outline's or the plate's colour", count([(0, f) for f in based], "base"),
            len(based) / 12, "", f"of {len(based)}"),
        Row("pieces that show nowhere", sum(f.hidden for f in sheets) / max(sum(f.pieces for f in sheets), 1), 0.0, "",
            f"of {sum(f.pieces for f in sheets)} in {len(sheets)} works"),
        Row("cutting ÷ lean", float(np.median([f.over_lean for f in sheets])), 1.25, "", "median"),
        Row("false words a picture", sum(false.values()) / len(drawn), 0.05, "", ", ".join(false)),
        Row("pixels of another colour, flat and outlined, median", float(np.median(bold)), 0.001, ""),
        Row("the same, worst", max(bold), 0.02, ""),
        Row("the same, shaded, median", float(np.median(soft)), 0.02, ""),
        Row("the same, shaded, worst", max(soft), 0.08, ""),
        Row("copies of another size with other sheets", _apart(copies), 0.02 * len(copies) * len(_SIZES_PX), "",
            f"of {len(copies) * len(_SIZES_PX)}")]


def contact_sheets(results, folder: Path, across: int = 5, down: int = 6) -> None:
    """Source beside proposal, each with its name and what is wrong."""
    folder.mkdir(parents=True, exist_ok=True)
    for page in range(0, len(results), across * down):
        sheet = Image.new("RGB", (across * (2 * _THUMB + 12), down * (_THUMB + 26)), "white")
        for k, (_, figures, thumbs) in enumerate(results[page:page + across * down]):
            x, y = k % across * (2 * _THUMB + 12), k // across * (_THUMB + 26)
            for n, thumb in enumerate(thumbs):
                sheet.paste(Image.fromarray(thumb), (x + n * (_THUMB + 2), y + 24))
            text = f"{figures.name} {figures.reading} {figures.way} {figures.base} {'; '.join(figures.wrong)}"
            ImageDraw.Draw(sheet).text((x + 2, y), text[:62], fill="red" if figures.wrong else "black")
        sheet.save(folder / f"proposals-{page // (across * down)}.png")


def main(words) -> None:
    kinds = [w for w in words if w in (*KINDS, "sketch", "photo")]
    found = run(True if "aside" in words else None if "all" in words else False, kinds)
    show(found)
    if "sizes" in words:
        for scene, copies in sizes("aside" in words):
            if len(set(copies)) > 1:
                sys.stdout.write(f"{scene}  {dict(zip(_SIZES_PX, copies, strict=True))}\n")
    for word in words:
        if "/" in word:
            contact_sheets(found, Path(word))


if __name__ == "__main__":
    main(sys.argv[1:])
