"""Openings of a work's sheets, and what pieces laid on top in their place would save."""

from dataclasses import replace

import numpy as np

from sketchloom.core.edits.decisions import BELOW, OWN_SHEET
from sketchloom.core.edits.region_edits import own_hex
from sketchloom.core.layers.layering import cut_of, sheet_faces
from sketchloom.core.layers.openings import Opening, Sheet, alone, openings_of
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
    ways = _ways(work)
    sheets = [Sheet(faces, at, way == FITTED or (way == BASED and at > 0))
              for faces, (at, way) in zip(_of_picture(work, solid), ways, strict=True)]
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
        return _cost(planar, length, lifted, ways, piece_px)
    asked = [one for one in found if one.saved_px > 0 or one.face in also]
    rest = [one for one in found if one.saved_px <= 0 and one.face not in also]
    around, depth = _around(planar, length), depth.copy()
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


def pieces(work: Work) -> list[Opening]:
    """Seen faces that are a piece by themselves on lower sheets, with what each costs as a piece and as an opening down
    to a sheet below all others; the one whose opening saves most first.

    One that lies on no other sheet could be no opening. Of very many the smallest are tried. A
    sheet below that is there for the colour already is used.
    """
    if work.draws_with_pens:
        return []
    planar, length, depth = work.traced.planar, work.traced.arc_length_px, work.depth
    ways = _ways(work)
    solid = solid_faces(work.recipe, work.traced, depth, work.plans, work.layers, work.laying.way)
    single = np.zeros(planar.face_count, bool)
    own = _of_picture(work, solid)
    for faces, (at, _) in zip(own, ways, strict=True):
        single |= alone(planar, faces, depth == at)
    lies_on = _lies_on_lower(planar, depth)
    has_own_sheet = np.zeros(planar.face_count, bool)
    for face, edit in zip(work.edited.found.tolist(), work.recipe.edits, strict=True):
        has_own_sheet[face] |= face >= 0 and edit.on and edit.action in OWN_SHEET
    found = np.flatnonzero(single & lies_on & ~has_own_sheet)
    found = found[np.argsort(planar.face_area_px[found], kind="stable")][:_MOST_TRIED]
    if not len(found):
        return []
    piece_px = PIECE_MM / work.mm_per_px
    now = _cost(planar, length, depth, ways, piece_px)
    edge = _around(planar, length)
    level = {plan.key: n for n, plan in enumerate(work.plans)}
    hex_of = {label: plan.hex for plan in work.plans for label in plan.labels}
    made = []
    for face in found.tolist():
        there = level.get(own_hex(hex_of[int(work.edited.label[face])], BELOW))
        lowered, shifted = depth.copy(), ways
        if there is None:
            lowered[lowered >= 0] += 1
            shifted = [(0, work.laying.way), *((at + 1, way) for at, way in ways)]
        lowered[face] = there or 0
        on_top = float(edge[face]) + piece_px
        more = _cost(planar, length, lowered, shifted, piece_px) - now
        pierced = sum(bool(faces[face]) and at not in (depth[face], there)
                      for faces, (at, _) in zip(own, ways, strict=True))
        if pierced > 0:
            made.append(Opening(face, pierced, on_top + more, on_top))
    return sorted(made, key=lambda one: one.saved_px)


def _lies_on_lower(planar, depth):
    """(F,) bool: faces on which nothing else lies, with a lower sheet all around them."""
    count, around = planar.face_count, np.append(depth, -1)
    one, two = np.concatenate([planar.left, planar.right]), np.concatenate([planar.right, planar.left])
    one, two = one[one >= 0], two[one >= 0]
    pairs = np.unique(np.stack([one, two], -1), axis=0)
    single = np.bincount(pairs[:, 0], minlength=count) == 1
    carries = np.zeros(count + 1, bool)
    carries[pairs[single[pairs[:, 0]], 1]] = True
    bare = np.bincount(one, (around[two] < 0) | (around[two] >= depth[one]), count) > 0
    return ~bare & ~carries[:-1] & (depth > 0)


def _ways(work):
    """Level and way of every sheet of the picture that is cut."""
    level = {plan.key: n for n, plan in enumerate(work.plans)}
    return [(level[layer.plan.key], work.recipe.edit_of(layer.plan.key).layering or work.laying.way)
            for layer in work.layers if layer.plan.key in level]


def _of_picture(work, solid):
    """Of what each layer is solid on, that of the picture's own sheets."""
    keys = {plan.key for plan in work.plans}
    return [faces for faces, layer in zip(solid, work.layers, strict=True) if layer.plan.key in keys]


def _cost(planar, length, depth, ways, piece_px):
    cut = [cut_of(planar, length, sheet_faces(planar, length, depth, level, way)) for level, way in ways]
    return sum(px + piece_px * pieces for px, pieces in cut)


def _around(planar, length):
    """(F,) length of the edge of every face, px."""
    around = np.zeros(planar.face_count)
    for side in (planar.left, planar.right):
        around += np.bincount(side[side >= 0], length[side >= 0], planar.face_count)
    return around
