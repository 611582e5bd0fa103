"""Where a shape would be parted: a tail at a body, an arm at a shoulder.

People see parts of a shape end where its outline bends inwards most, and prefer the shortest cut
(the minima rule of Hoffman, Richards 1984, "Parts of recognition", and the short-cut rule of Singh,
Seyranian, Hoffman 1999). So cuts are looked for from each inward bend to the nearest place across.
"""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.base.late import late
from sketchloom.core.curves.curveset import CurveSet, sampled
from sketchloom.core.curves.outline import face_outline
from sketchloom.core.planar.planar_map import PlanarMap

spatial = late("scipy.spatial")

_SPACING_PX = 1.5
"""Spacing of samples of an outline."""
_SPANS = (5, 9)
"""Samples on each side that a bend is measured over; it bends in both."""
_BEND = np.radians(28.0)
"""A turn inward of more may be where two things meet."""
_APART = 6
"""Samples between two such places."""
_LEAST_SHARE, _LEAST_PART_PX = 0.02, 60.0
"""A split leaves at least this share, and this area, on its smaller side."""
_SHORT = 0.62
"""A cut is likely when it is shorter than this much of the root of the smaller part's area ..."""
_ROUND = 2.2
"""... and the way round along the outline at least so many times as long."""
_FACES, _LEAST_FACE_PX = 80, 400
"""Faces looked at, the largest, and how large they are at least."""


@dataclass(frozen=True, slots=True, eq=False)
class Cuts:
    """Likely split lines: ``start``, ``end`` (K, 2) px on the outline; ``face`` (K,); the clearest first."""

    start: np.ndarray
    end: np.ndarray
    face: np.ndarray

    def __len__(self):
        return len(self.face)


def likely_cuts(planar: PlanarMap, curves: CurveSet, faces, most: int = 24) -> Cuts:
    """Likely split lines of the largest of some faces, (N,) numbers."""
    faces = np.asarray(faces, np.intp)
    faces = faces[planar.face_area_px[faces] >= _LEAST_FACE_PX]
    faces = faces[np.argsort(-planar.face_area_px[faces], kind="stable")][:_FACES]
    found = []
    for face in faces.tolist():
        found += [(score, a, b, face) for score, a, b in _cuts_of(planar, curves, face)]
    found.sort(key=lambda one: one[0])
    found = found[:most]
    return Cuts(
        np.array([a for _, a, _, _ in found]).reshape(-1, 2),
        np.array([b for _, _, b, _ in found]).reshape(-1, 2),
        np.array([f for *_, f in found], np.intp),
    )


def _cuts_of(planar, curves, face):
    outline = face_outline(planar, curves, face)
    rings = [
        sampled(outline.controls[a:b], _SPACING_PX)
        for a, b, hole in zip(outline.starts[:-1], outline.starts[1:], outline.hole, strict=False)
        if not hole
    ]
    found = []
    for ring in rings:
        if len(ring) >= 24:
            found += _cuts_of_ring(planar.faces, face, ring)
    return found


def _cuts_of_ring(faces, face, ring):
    n = len(ring)
    bend = np.min([_turn(ring, span) for span in _SPANS if 2 * span < n], axis=0)
    # the inside is on the right: turning left is inwards
    inward = np.flatnonzero((bend > _BEND) & (bend >= _around_max(bend, _APART)))
    if len(inward) == 0:
        return []
    ahead = np.roll(ring, -1, 0)
    share = np.concatenate([[0.0], np.cumsum(0.5 * (ring[:, 0] * ahead[:, 1] - ring[:, 1] * ahead[:, 0]))])
    whole = abs(share[-1])
    tree = spatial.cKDTree(ring)
    candidates = []
    for i in inward.tolist():
        reach = _SHORT * (0.5 * whole) ** 0.5
        near = np.array(tree.query_ball_point(ring[i], reach), np.intp)
        length = np.hypot(*(ring[near] - ring[i]).T)
        step = np.abs(near - i)
        way = np.minimum(step, n - step) * _SPACING_PX
        ok = way > _ROUND * length
        near, length = (
            near[ok],
            length[ok] * np.where(bend[near[ok]] > _BEND, 0.75, 1.0),
        )  # two inward bends make the better cut
        for k in near[np.argsort(length, kind="stable")][:6].tolist():
            candidates.append((i, k))
    found = []
    for i, k in candidates:
        a, b = min(i, k), max(i, k)
        chord = float(np.hypot(*(ring[a] - ring[b])))
        part = abs(share[b] - share[a] + 0.5 * (ring[b, 0] * ring[a, 1] - ring[b, 1] * ring[a, 0]))
        smaller = min(part, whole - part)
        if (
            smaller < max(_LEAST_SHARE * whole, _LEAST_PART_PX)
            or chord > _SHORT * smaller**0.5
            or not _inside(faces, face, ring[a], ring[b])
        ):
            continue
        bends = (bend[a] > _BEND) + (bend[b] > _BEND)
        found.append((chord / smaller**0.5 * (0.75 if bends > 1 else 1.0), ring[a], ring[b]))
    found.sort(key=lambda one: one[0])
    kept = []
    for one in found:
        middle, size = (one[1] + one[2]) / 2, np.hypot(*(one[1] - one[2]))
        if all(np.hypot(*(middle - (k[1] + k[2]) / 2)) > max(size, np.hypot(*(k[1] - k[2])), 8.0) for k in kept):
            kept.append(one)
    return kept


def _turn(ring, span):
    before, after = ring - np.roll(ring, span, 0), np.roll(ring, -span, 0) - ring
    return -np.arctan2(before[:, 0] * after[:, 1] - before[:, 1] * after[:, 0], (before * after).sum(1))


def _around_max(values, reach):
    return np.max([np.roll(values, by) for by in range(-reach, reach + 1)], axis=0)


def _inside(faces, face, a, b):
    steps = a + np.linspace(0, 1, max(int(np.hypot(*(b - a)) * 2), 4) + 1)[1:-1, None] * (b - a)
    length = np.hypot(*(steps - a).T), np.hypot(*(steps - b).T)
    steps = steps[np.minimum(*length) > 1.2]
    x, y = np.floor(steps).astype(int).T
    good = (x >= 0) & (y >= 0) & (x < faces.shape[1]) & (y < faces.shape[0])
    return bool(len(steps)) and bool(good.all()) and bool((faces[y, x] == face).all())
