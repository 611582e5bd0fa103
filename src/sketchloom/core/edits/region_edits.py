"""What a person decided about single regions, kept by place so that it outlives a new trace."""

from dataclasses import dataclass

import cv2
import numpy as np

from sketchloom.core.base.colour import ciede2000, from_hex, srgb_to_lab, to_hex
from sketchloom.core.edits.decisions import BELOW, COLOUR, DROP, KEEP, OWN_SHEET, WINDOW
from sketchloom.core.picture.preparing.mirroring import Halves
from sketchloom.core.picture.preparing.placing import growth, moved
from sketchloom.core.planar.cracks import OUTSIDE
from sketchloom.core.planar.planar_map import PlanarMap

_ALIKE = 2.5
"""Areas that differ by no more than this factor may be the same region before and after a change."""
_NEAR = 1.5
"""How far from its place a region is looked for, in radii of a disc of its area."""
_SAME_COLOUR = 12.0
"""CIEDE2000 within which a region has kept its colour."""
_LOOKED_AT, _THICK = 200, 4.0
"""Pixels across a face's box that its inner place is looked for at, and how many of them from its edge are enough."""


def own_hex(hex_colour: str, action: str) -> str:
    """The colour by which a sheet of a region's own is known: a shade off that of the region, which no eye sees."""
    red, green, blue = from_hex(hex_colour)
    return (
        to_hex((red, green, blue - 1 if blue else 1))
        if action == BELOW
        else to_hex((red - 1 if red else 1, green, blue))
    )


@dataclass(frozen=True, slots=True, eq=False)
class Edited:
    """A map's faces after edits: ``label`` and ``ground`` (F,); ``found`` (E,) the face of each edit, -1 where
    its region is gone; ``twin`` (E,) the face on the other half of a mirrored picture that it holds for too, -1 for
    none; ``changed`` (F,) bool; ``was_ground`` (F,) before all edits."""

    label: np.ndarray
    ground: np.ndarray
    found: np.ndarray
    twin: np.ndarray
    changed: np.ndarray
    was_ground: np.ndarray


def find_regions(planar: PlanarMap, face_hex, move, edits) -> np.ndarray:
    """(E,) the face that each edit is about, -1 where none is like it.

    Parameters
    ----------
    face_hex : colour of each label. move : as of ``placing``.

    Notes
    -----
    The face at the place is taken when it is about as large as it was. Else a face beside the place
    that is, and has about the colour: a shape that moved a little. A region that ran together with
    a larger one is not found: what was meant for a star must not happen to the sky.
    """
    if not edits:
        return np.empty(0, np.intp)
    size = np.array([planar.width, planar.height])
    places = np.array([(e.x, e.y) for e in edits])
    at = np.floor(moved(move, places) * size).astype(int)
    wanted = np.array([e.area for e in edits]) * growth(move, places) * planar.faces.size
    inside = ((at >= 0) & (at < size)).all(1)
    clipped = np.clip(at, 0, size - 1)
    found = np.where(inside, planar.faces[clipped[:, 1], clipped[:, 0]], -1).astype(np.intp)
    ratio = planar.face_area_px[found] / np.maximum(wanted, 1.0)
    unlike = inside & ((ratio > _ALIKE) | (ratio < 1 / _ALIKE))
    for number in np.flatnonzero(unlike).tolist():
        found[number] = _beside(planar, face_hex, at[number], wanted[number], edits[number].seen)
    return found


def _beside(planar, face_hex, at, wanted, seen):
    """The face near a place with about the area and colour wanted, -1 for none."""
    reach = int(np.ceil(_NEAR * (wanted / np.pi) ** 0.5)) + 1
    x0, y0 = np.maximum(at - reach, 0)
    window = planar.faces[y0:at[1] + reach + 1, x0:at[0] + reach + 1]
    near = np.unique(window)
    ratio = planar.face_area_px[near] / max(wanted, 1.0)
    near = near[(ratio < _ALIKE) & (ratio > 1 / _ALIKE)]
    if len(near) == 0:
        return -1
    lab = srgb_to_lab(np.array([from_hex(face_hex[label]) for label in planar.face_label[near]]))
    apart = ciede2000(srgb_to_lab(from_hex(seen))[None], lab)
    near, apart = near[apart < _SAME_COLOUR], apart[apart < _SAME_COLOUR]
    if len(near) == 0:
        return -1
    ys, xs = np.nonzero(np.isin(window, near))
    face = np.searchsorted(near, window[ys, xs])
    count = np.maximum(np.bincount(face, minlength=len(near)), 1)
    centre = np.stack(
        [np.bincount(face, xs + x0, len(near)) / count, np.bincount(face, ys + y0, len(near)) / count], -1
    )
    away = np.hypot(*(centre - at).T) / max(reach, 1)
    return int(near[np.argmin(away + apart / _SAME_COLOUR)])


def with_edits(planar: PlanarMap, ground, entries_hex, face_hex, move, edits, all_off: bool = False,
               halves: Halves | None = None) -> Edited:
    """Apply edits in their order.

    Parameters
    ----------
    ground : (F,) bool before any edit. entries_hex : colours of the palette, label by label.
    face_hex, move, edits : as of ``find_regions``; edits that are off change nothing, but are looked for.
    all_off : nothing is there but what edits keep or colour. halves : of a mirrored picture; what was decided about the
        half that stays holds for its image, unless something else was decided there.
    """
    found = find_regions(planar, face_hex, move, edits)
    twin = _twins(planar, halves, move, edits, found)
    label, before = planar.face_label.copy(), np.array(ground, bool)
    ground = np.ones_like(before) if all_off else before.copy()
    dropped = [e.action == DROP and e.on for e in edits]
    around = _longest_neighbour(planar, np.concatenate([found[dropped], twin[dropped]]) if edits else found)
    nearest = {e.hex: _nearest(entries_hex, e.hex) for e in edits if e.action in (COLOUR, *OWN_SHEET)}
    faces = np.stack([found, twin], 1).ravel().tolist()
    for face, edit in zip(faces, (e for e in edits for _ in range(2)), strict=True):
        if face < 0 or not edit.on:
            continue
        if edit.action == WINDOW:
            ground[face] = True
        elif edit.action == KEEP:
            ground[face] = False
        elif edit.action in (COLOUR, *OWN_SHEET):
            label[face], ground[face] = nearest[edit.hex], False
        else:
            other = around.get(face, -1)
            if other < 0:
                ground[face] = True
            else:
                label[face], ground[face] = label[other], ground[other]
    return Edited(label, ground, found, twin, (label != planar.face_label) | (ground != before), before)


def _twins(planar, halves, move, edits, found):
    """(E,) faces that are the mirror images of those found on the half that stays, -1 for none."""
    twin = np.full(len(edits), -1, np.intp)
    if halves is None or not len(edits):
        return twin
    places = moved(move, [(e.x, e.y) for e in edits])
    size = np.array([planar.width, planar.height])
    at = np.clip(np.floor(halves.images(places) * size).astype(int), 0, size - 1)
    image = planar.faces[at[:, 1], at[:, 0]]
    decided = set(found[[e.on for e in edits]].tolist())
    own, other = planar.face_area_px[np.maximum(found, 0)], planar.face_area_px[image]
    alike = np.maximum(own, other) <= _ALIKE * np.maximum(np.minimum(own, other), 1)
    use = halves.stays(places) & (found >= 0) & (image != found) & alike & [f not in decided for f in image.tolist()]
    twin[use] = image[use]
    return twin


def _nearest(entries_hex, hex_colour):
    if hex_colour in entries_hex:
        return entries_hex.index(hex_colour)
    lab = srgb_to_lab(np.array([from_hex(h) for h in entries_hex]))
    return int(ciede2000(srgb_to_lab(from_hex(hex_colour))[None], lab).argmin())


def _longest_neighbour(planar, faces):
    """The face that each of some faces shares most boundary with, as a table; what only meets the outside has none."""
    faces = np.unique(faces[faces >= 0])
    if len(faces) == 0:
        return {}
    length = np.diff(planar.arc_starts)
    mine, other, weight = [], [], []
    for one, two in ((planar.left, planar.right), (planar.right, planar.left)):
        arcs = np.flatnonzero(np.isin(one, faces) & (two != OUTSIDE))
        mine, other, weight = [*mine, one[arcs]], [*other, two[arcs]], [*weight, length[arcs]]
    mine, other, weight = np.concatenate(mine), np.concatenate(other), np.concatenate(weight)
    pair, number = np.unique(mine.astype(np.int64) * planar.face_count + other, return_inverse=True)
    total = np.bincount(number, weight)
    owner, neighbour = np.divmod(pair, planar.face_count)
    order = np.lexsort((neighbour, total, owner))
    last = np.flatnonzero(np.diff(owner[order], append=-1))
    return dict(zip(owner[order][last].tolist(), neighbour[order][last].tolist(), strict=False))


def inner_place(planar: PlanarMap, face: int, box) -> tuple[float, float]:
    """The place of a face that lies farthest from its boundary, px; ``box`` (x0, y0, x1, y1) px that holds it. Of a
    large face only every few pixels are looked at, unless it is thin."""
    x0, y0, x1, y1 = (int(v) for v in box)
    step = max(max(x1 - x0, y1 - y0) // _LOOKED_AT, 1)
    x, y, away = _deepest(planar.faces[y0:y1:step, x0:x1:step] == face)
    if step > 1 and away < _THICK:
        step = 1
        x, y, _ = _deepest(planar.faces[y0:y1, x0:x1] == face)
    return float(x0 + step * x) + 0.5, float(y0 + step * y) + 0.5


def _deepest(mask):
    """Column and row of the place of a mask that lies farthest from its edge, and how far that is."""
    away = cv2.distanceTransform(np.pad(mask.astype(np.uint8), 1), cv2.DIST_L2, cv2.DIST_MASK_PRECISE)
    y, x = np.unravel_index(int(away.argmax()), away.shape)
    return int(x) - 1, int(y) - 1, float(away[y, x])
