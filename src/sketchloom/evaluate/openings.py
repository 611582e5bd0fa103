"""Openings of a work's sheets, and what pieces laid on top in their place would save."""

from dataclasses import replace

import numpy as np

from sketchloom.core.layers.layering import cut_of, sheet_faces
from sketchloom.core.layers.openings import Opening, Sheet, openings_of
from sketchloom.core.layers.ways import BASED, FITTED, LEAN
from sketchloom.evaluate.sheet_order import PIECE_MM
from sketchloom.evaluate.work import Work, solid_faces

_MOST_TRIED = 24
"""Openings of lean sheets that are tried one by one; each takes a least cut of every sheet, 19 ms on six sheets of a
photo in 209 regions, so all of them half a second at most there."""


def openings(work: Work, depth=None, also=()) -> list[Opening]:
    """Openings of sheets with what they cost, as of ``openings_of``; ``depth`` if another than the work's own.

    What a lean sheet covers depends on all of it, so what a piece would save there is tried, one on the other; those
    beyond the dearest are left as openings.
    """
    if work.draws_with_pens:
        return []
    depth = work.depth if depth is None else depth
    solid = solid_faces(work.recipe, work.traced, depth, work.plans, work.layers, work.laying.way)
    sheets, ways = [], []
    level = {plan.key: n for n, plan in enumerate(work.plans)}
    for faces, layer in zip(solid, work.layers, strict=True):
        if (at := level.get(layer.plan.key)) is not None:
            way = work.recipe.edit_of(layer.plan.key).layering or work.laying.way
            sheets.append(Sheet(faces, at, way == FITTED or (way == BASED and at > 0)))
            ways.append((at, way))
    piece_px = PIECE_MM / work.mm_per_px
    found = openings_of(work.traced.planar, work.traced.arc_length_px, depth, sheets, piece_px, also)
    if all(way != LEAN for _, way in ways):
        return found
    tried, untried = _tried(work, depth, ways, found, piece_px, set(also))
    return sorted([*tried, *untried], key=lambda one: -one.saved_px)


def _tried(work, depth, ways, found, piece_px, also):
    """Openings with what each piece saves once those before it are laid; and those that were not tried."""
    planar, length = work.traced.planar, work.traced.arc_length_px
    top = len(work.plans)

    def cost(lifted):
        cut = [cut_of(planar, length, sheet_faces(planar, length, lifted, level, way)) for level, way in ways]
        return sum(px + piece_px * pieces for px, pieces in cut)
    asked = [one for one in found if one.saved_px > 0 or one.face in also]
    rest = [one for one in found if one.saved_px <= 0 and one.face not in also]
    around, depth = np.zeros(planar.face_count), depth.copy()
    for side in (planar.left, planar.right):
        around += np.bincount(side[side >= 0], length[side >= 0], planar.face_count)
    now, tried = cost(depth), []
    for one in asked[:_MOST_TRIED]:
        own, depth[one.face] = depth[one.face], top
        laid = cost(depth)
        on_top = float(around[one.face]) + piece_px
        tried.append(replace(one, opening_px=now - laid, piece_px=on_top))
        if now - laid > on_top:
            now = laid
        else:
            depth[one.face] = own
    return tried, [*rest, *(replace(one, piece_px=max(one.piece_px, one.opening_px)) for one in asked[_MOST_TRIED:])]
