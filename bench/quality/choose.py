"""Chooses the truth pictures from two open icon sets by a written rule and a fixed seed.

Run once by a developer with the unpacked npm packages at hand; the result is committed as
``icons.json``, so that the benchmark and the tests need no network.

    python -m bench.quality.choose FOLDER-OF-FLAT-SET FOLDER-OF-SINGLE-COLOUR-SET

The rule. Icons are taken in the order of their names. Left out are: flags and brands (by
the set's own categories, with all icons whose name begins with the same word, and those in
no category, where withdrawn marks stand), variants of one figure in several skin tones, and icons that use
anything but groups, paths, circles, ellipses and rectangles with plain fills (gradients,
strokes, opacity, clips, filters, transforms). Of the flat set those stay that show 3 to 10
colours of at least 0.3 % of the area, any two of them at least CIEDE2000 3 apart. Then a
random sample of 60 and of 40 with seed 2026, and of each every third is set aside.
"""

import json
import random
import re
import sys
from pathlib import Path

import numpy as np

from bench.quality.truth import Truth
from sketchloom.core.base.colour import ciede2000, srgb_to_lab

SEED, FLAT, SINGLE = 2026, 60, 40
TARGET = Path(__file__).with_name("icons.json")
_ALLOWED_TAGS = {"g", "path", "circle", "ellipse", "rect"}
_ALLOWED_WORDS = {"d", "fill", "fill-rule", "clip-rule", "cx", "cy", "r", "rx", "ry", "x", "y", "width", "height"}
_VARIANT = re.compile(r"-(light|medium-light|medium|medium-dark|dark)$")
_NO = ("flag", "brand", "logo")


def plain(body: str) -> bool:
    """Whether a body uses only what the rule allows."""
    tags = set(re.findall(r"<(\w+)", body))
    words = set(re.findall(r"\s([\w-]+)=", body))
    fills = set(re.findall(r'fill="([^"]*)"', body))
    return tags <= _ALLOWED_TAGS and words <= _ALLOWED_WORDS and all(
        f in ("none", "currentColor") or re.fullmatch("#[0-9a-f]{3}|#[0-9a-f]{6}", f) for f in fills)


def candidates(folder: Path):
    """Names and bodies of a set in order, without those the rule names."""
    data = json.loads((folder / "icons.json").read_text())
    categories = json.loads((folder / "metadata.json").read_text())["categories"]
    barred = {name for title, names in categories.items() if any(w in title.lower() for w in _NO) for name in names}
    sorted_in = {name for names in categories.values() for name in names}
    words = {name.split("-")[0] for name in barred}
    size = data.get("width", 24)
    for name in sorted(data["icons"]):
        body = data["icons"][name]["body"]
        if name in sorted_in and name.split("-")[0] not in words and not _VARIANT.search(name) and plain(body):
            yield name, body, data["icons"][name].get("width", size)


def wanted_colours(truth: Truth) -> bool:
    colours = np.array([c for c, share in truth.colours.items() if share >= 0.003])
    if not 3 <= len(colours) <= 10:
        return False
    lab = srgb_to_lab(colours)
    apart = ciede2000(lab[:, None], lab[None])
    return bool((apart[np.triu_indices(len(colours), 1)] >= 3.0).all())


def main(flat_folder, single_folder) -> None:
    rng = random.Random(SEED)
    flat = list(candidates(Path(flat_folder)))
    rng.shuffle(flat)
    chosen = []
    for name, body, size in flat:
        if len(chosen) == FLAT:
            break
        if wanted_colours(Truth.of(body, size, 512, None)):
            chosen.append({"name": name, "kind": "flat", "size": size, "body": body})
    single = list(candidates(Path(single_folder)))
    rng.shuffle(single)
    chosen += [{"name": n, "kind": "single", "size": s, "body": b} for n, b, s in single[:SINGLE]]
    for number, icon in enumerate(chosen):
        icon["aside"] = number % 3 == 2
    TARGET.write_text(json.dumps(chosen, indent=0))


if __name__ == "__main__":
    main(*sys.argv[1:])
