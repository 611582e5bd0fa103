"""Photographs in few tones: pieces too narrow or too small to cut, and colours that hues kept apart are nearer to.

The photographs are those that come with scikit-image (see its ``data/README.txt``); the last three of them were not
looked at while anything was chosen.
"""

import numpy as np
import shapely
import skimage.data

from bench.table import Row
from sketchloom.core.base.colour import from_hex, srgb_to_lab
from sketchloom.core.picture.picture import Picture, frozen_array
from sketchloom.core.shapes.polygons import area_of_outline
from sketchloom.evaluate.pipeline import Pipeline
from sketchloom.recipe.document import Recipe

_SEEN = ("astronaut", "camera", "chelsea", "coffee", "coins", "moon", "rocket", "hubble_deep_field", "retina")
_UNSEEN = ("immunohistochemistry", "clock", "page")
_TONES = (3, 4, 6)
_LONG_MM, _NARROW_MM = 200.0, 0.5
_PAIRS = ("astronaut", "rocket")


def rows() -> list[Row]:
    found = []
    for kind, names in (("", _SEEN), ("unseen, ", _UNSEEN)):
        for tones in _TONES:
            narrow, small, every = np.sum([_pieces(_work(name, tones)) for name in names], 0).tolist()
            found.append(Row(f"{kind}{tones} tones: pieces narrower than {_NARROW_MM} mm", narrow, 0, "",
                             f"{len(names)} photographs, {every} pieces, {small} smaller than the smallest detail"))
    off = [_off(_work(name, 6)) / _off(_work(name, 6, hues="ramp")) for name in _PAIRS]
    return [*found, Row("colour off the picture, hues apart ÷ one ramp", max(off), 0.9, "", "six tones, worst of two")]


def _picture(name):
    pixels = getattr(skimage.data, name)()
    rgb = np.stack([pixels] * 3, -1) if pixels.ndim == 2 else pixels[..., :3]
    return Picture(frozen_array(np.ascontiguousarray(rgb)))


def _work(name, tones, **changes):
    picture = _picture(name)
    side = "width" if picture.width >= picture.height else "height"
    return Pipeline().evaluate(picture, Recipe(reading="photo", tones=tones, size_mm=_LONG_MM, size_side=side,
                                               layering="fitted", ground="keep", **changes))


def _pieces(work):
    """How many pieces no disc of half a millimetre fits into, how many are under the smallest detail, and all."""
    areas = shapely.transform([area_of_outline(x.outline, 0.05) for x in work.layers], lambda xy: work.mm_per_px * xy)
    every = shapely.get_parts(areas)
    least = np.pi / 4 * work.recipe.smallest_mm**2
    return np.array([shapely.is_empty(shapely.buffer(every, -_NARROW_MM / 2)).sum(),
                     (shapely.area(every) < least).sum(), len(every)])


def _off(work):
    """Mean CIELAB distance of the picture from what is cut."""
    made = work.segmentation
    colours = srgb_to_lab(np.array([from_hex(e.hex) for e in made.entries]))
    return float(np.linalg.norm(srgb_to_lab(work.picture.rgb) - colours[made.labels], axis=-1).mean())
