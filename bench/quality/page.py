"""A page of before and after pictures for the eye: the worst cases of a run, source beside trace.

    python -m bench.quality.page OUT.png [all | aside] [numbers of conditions]
"""

import io
import re
import sys

import numpy as np
import resvg_py
from PIL import Image, ImageDraw

from bench.quality import run
from bench.quality.conditions import CONDITIONS, picture_of, recipe_of
from sketchloom.core.formats import svg as svg_format
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.files import release

_SIDE, _COLUMNS, _SHOWN = 300, 4, 12
_GROUND = (200, 196, 188)


def rendered(work, side: int) -> np.ndarray:
    """Our layers on a neutral ground, by the general renderer."""
    svg = svg_format.write(release.whole_drawing(work)).decode()
    svg = re.sub(r'width="[\d.]+mm" height="[\d.]+mm"', f'width="{side}" height="{side}"', svg, count=1)
    image = Image.open(io.BytesIO(bytes(resvg_py.svg_to_bytes(svg_string=svg)))).convert("RGBA")
    page = Image.new("RGBA", image.size, (*_GROUND, 255))
    page.alpha_composite(image)
    return np.asarray(page.convert("RGB"))


def pair(number: int, condition_number: int) -> Image.Image:
    """Source and trace of one icon in one condition, with their names."""
    icon, condition = run.icons()[number], CONDITIONS[condition_number]
    picture = picture_of(icon, condition, number)
    work = Pipeline().evaluate(picture, recipe_of(condition))
    tile = Image.new("RGB", (2 * _SIDE + 10, _SIDE + 22), "white")
    source = Image.fromarray(picture.rgb if picture.alpha is None else picture.field[..., :3])
    tile.paste(source.resize((_SIDE, _SIDE)), (0, 22))
    if work.layers:
        tile.paste(Image.fromarray(rendered(work, _SIDE)), (_SIDE + 10, 22))
    ImageDraw.Draw(tile).text((2, 4), f"{icon['name']}, {condition.name}", fill="black")
    return tile


def main(words) -> None:
    conditions = {int(w) for w in words[1:] if w.isdigit()} or None
    results = run.run(aside=True if "aside" in words else None if "all" in words else False, conditions=conditions)
    scored = [(r[0].mean_px, n, c) for n, c, r in results if not isinstance(r, str)]
    tiles = [pair(n, c) for _, n, c in sorted(scored, reverse=True)[:_SHOWN]]
    rows = -(-len(tiles) // (_COLUMNS // 2))
    page = Image.new("RGB", ((_COLUMNS // 2) * tiles[0].width, rows * tiles[0].height), "white")
    for k, tile in enumerate(tiles):
        page.paste(tile, (k % (_COLUMNS // 2) * tile.width, k // (_COLUMNS // 2) * tile.height))
    page.save(words[0])


if __name__ == "__main__":
    main(sys.argv[1:])
