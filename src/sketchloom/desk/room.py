"""Room beyond a picture: set on any side, or grown by what is laid on."""

from dataclasses import replace

import numpy as np

from sketchloom.core.picture.preparing.placing import moved
from sketchloom.core.picture.preparing.preparation import prepared_px
from sketchloom.core.picture.preparing.steps import MAX_ROOM
from sketchloom.evaluate.work import Work
from sketchloom.recipe.document import Recipe
from sketchloom.recipe.sections import MAX_SIZE_MM

_MARGIN_MM = 2.0
"""Room that grows leaves so much beyond what is laid on (common practice, no source)."""

def room_mm(work: Work) -> tuple[float, float, float, float]:
    """Room on the left, top, right and bottom, mm."""
    width, height = _bare_mm(work)
    room = work.recipe.preparation.room or (0.0, 0.0, 0.0, 0.0)
    return tuple(share * side for share, side in zip(room, (width, height, width, height), strict=True))


def with_room(work: Work, recipe: Recipe, sides_mm) -> Recipe:
    """The recipe whose page has so much room on the left, top, right and bottom, mm; what is on it keeps its size."""
    width, height = _bare_mm(work)
    shares = tuple(min(max(mm / side, 0.0), MAX_ROOM)
                   for mm, side in zip(sides_mm, (width, height, width, height), strict=True))
    shares = _within_sizes(shares, (width, height))
    steps = replace(recipe.preparation, room=shares if any(shares) else None)
    made = replace(recipe, preparation=steps)
    if recipe.size_mm is None:
        return made
    k = 0 if recipe.size_side == "width" else 1
    sizes = [prepared_px(work.original, one)[k] for one in (recipe.preparation, steps)]
    # room is of whole pixels: the largest page may come out a pixel too large
    return replace(made, size_mm=min(recipe.size_mm * sizes[1] / sizes[0], MAX_SIZE_MM))


def _within_sizes(shares, bare_mm):
    """Room on four sides, less of it where the page would be larger than a page can be."""
    made = list(shares)
    for k, side in enumerate(bare_mm):
        most = max(MAX_SIZE_MM / side - 1.0, 0.0)
        total = shares[k] + shares[k + 2]
        if total > most:
            made[k], made[k + 2] = (shares[n] * most / total for n in (k, k + 2))
    return tuple(made)


def grown_room(work: Work) -> Recipe:
    """The recipe with room for all that is laid on beyond the page."""
    low, high = beyond_px(work)
    more = np.concatenate([np.maximum(-low, 0), np.maximum(high - (work.picture.width, work.picture.height), 0)])
    sides = [had + (px * work.mm_per_px + _MARGIN_MM if px > 0 else 0.0)
             for had, px in zip(room_mm(work), more.tolist(), strict=True)]
    return with_room(work, work.recipe, sides)


def beyond_px(work: Work) -> tuple[np.ndarray, np.ndarray]:
    """The lowest and the highest place, px, that shapes reach to; the page's own corners where there are none."""
    size = np.array([work.picture.width, work.picture.height], float)
    places = [moved(work.move, ring) * size for shape in work.recipe.shapes if shape.on for ring in shape.rings]
    every = np.concatenate([np.zeros((1, 2)), size[None], *places])
    return every.min(0), every.max(0)


def _bare_mm(work):
    """The size of the page without its room, mm."""
    width, height = prepared_px(work.original, replace(work.recipe.preparation, room=None, enlarge=1))
    full = prepared_px(work.original, replace(work.recipe.preparation, enlarge=1))
    scale = work.size_mm[0] / full[0]
    return width * scale, height * scale
