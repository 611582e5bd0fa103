"""Figures of what is proposed for one picture, against what was drawn."""

import io
import re
from dataclasses import dataclass, field, replace

import numpy as np
import resvg_py
from PIL import Image
from scipy.sparse import csr_array
from scipy.sparse.csgraph import connected_components
from skimage.color import deltaE_ciede2000, rgb2lab

from sketchloom.core.base.colour import ciede2000, from_hex, srgb_to_lab
from sketchloom.core.formats import svg as svg_format
from sketchloom.core.judge import fitness
from sketchloom.core.judge.reading import proposed_reading
from sketchloom.core.layers.ways import LEAN
from sketchloom.core.picture.preparing.preparation import prepared
from sketchloom.core.segment.palette import find_colours
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.evaluate.work import Work, solid_faces
from sketchloom.files import release
from sketchloom.recipe.document import Recipe

SAME = 12.0
"""CIEDE2000 from which a pixel shows another colour than the picture (of the issue's table)."""


@dataclass(slots=True)
class Figures:
    """``hidden`` of ``pieces`` show nowhere; ``over_lean`` cutting ÷ that of lean sheets; ``unlike`` share of pixels
    of another colour than the picture's; ``codes`` of what is said about the picture."""

    name: str
    reading: str = ""
    way: str = ""
    layers: int = 0
    base: str = ""
    ground: str | None = None
    pieces: int = 0
    hidden: int = 0
    over_lean: float = 1.0
    unlike: float = 0.0
    said: str = ""
    codes: list[str] = field(default_factory=list)
    wrong: list[str] = field(default_factory=list)


def pieces_seen(work: Work) -> tuple[int, int]:
    """Pieces of all sheets, and those of them that show nothing of their sheet; the map and a general library's
    components."""
    planar, total, hidden = work.traced.planar, 0, 0
    if work.draws_with_pens:
        return 0, 0
    inner = planar.left >= 0
    one, two = planar.left[inner], planar.right[inner]
    level = {plan.key: n for n, plan in enumerate(work.plans)}
    faces = solid_faces(work.recipe, work.traced, work.depth, work.plans, work.layers, work.laying.way)
    for layer, solid in zip(work.layers, faces, strict=True):
        if layer.plan.key not in level:
            continue
        use = solid[one] & solid[two]
        graph = csr_array((np.ones(int(use.sum()), np.int8), (one[use], two[use])), shape=(len(solid),) * 2)
        part = connected_components(graph, directed=False)[1]
        mine = np.unique(part[solid])
        shows = np.unique(part[work.depth == level[layer.plan.key]])
        total += len(mine)
        hidden += len(mine) - len(np.intersect1d(mine, shows))
    return total, hidden


def shown(work: Work, ground) -> np.ndarray:
    """(H, W, 3) uint8: the layers on a ground, by a general renderer, at the picture's size."""
    svg = svg_format.write(release.whole_drawing(work)).decode()
    size = f'width="{work.picture.width}" height="{work.picture.height}"'
    svg = re.sub(r'width="[\d.]+mm" height="[\d.]+mm"', size, svg, count=1)
    image = Image.open(io.BytesIO(bytes(resvg_py.svg_to_bytes(svg_string=svg)))).convert("RGBA")
    page = Image.new("RGBA", image.size, (*(round(float(v)) for v in ground), 255))
    page.alpha_composite(image)
    return np.asarray(page.convert("RGB"))


def unlike_share(work: Work) -> float:
    """Share of pixels whose colour is not the picture's; what is left out shows the colour it has there."""
    ground = _ground_hex(work) or "#ffffff"
    ours = shown(work, from_hex(ground))
    rgb = work.picture.rgb
    if work.picture.alpha is not None:
        alpha = work.picture.alpha[..., None] / 255
        rgb = np.rint(rgb * alpha + np.array(from_hex(ground)) * (1 - alpha)).astype(np.uint8)
    return float((deltaE_ciede2000(rgb2lab(ours), rgb2lab(rgb)) > SAME).mean())


def _ground_hex(work):
    number = work.segmentation.ground_label
    if number is None or number >= len(work.segmentation.entries) or not work.ground.any():
        return None
    return work.segmentation.entries[number].hex


def measured(name: str, picture, pipeline=None, recipe: Recipe | None = None) -> tuple[Figures, Work]:
    """What is proposed for a picture as it is opened."""
    pipeline = pipeline or Pipeline()
    work = pipeline.evaluate(picture, recipe or Recipe())
    found = Figures(name, work.reading, work.laying.way, len(work.layers))
    found.ground = _ground_hex(work)
    found.codes = [f.code for f in work.findings if f.code.startswith("source.")]
    found.pieces, found.hidden = pieces_seen(work)
    if work.plans and not work.draws_with_pens:
        found.base = next((layer.plan.hex for layer in work.layers), "")
        lean = pipeline.evaluate(picture, replace(recipe or Recipe(), layering=LEAN), measured=False)
        cut = sum(layer.cut_length_mm for layer in work.layers)
        found.over_lean = cut / max(sum(layer.cut_length_mm for layer in lean.layers), 1e-9)
    if not work.draws_with_pens:
        found.unlike = unlike_share(work)
    return found, work


def reading_of(picture, recipe: Recipe) -> str:
    """The reading that is proposed for a picture as a recipe prepares it."""
    whole = prepared(picture, recipe.preparation)
    return proposed_reading(whole, fitness.measure(whole), find_colours(whole))


def near(one: str, other: str, delta: float = SAME) -> bool:
    """Whether two colours are one to the eye."""
    return bool(one and other) and float(
        ciede2000(srgb_to_lab(from_hex(one)), srgb_to_lab(from_hex(other)))) < delta
