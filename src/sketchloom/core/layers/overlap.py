"""Edges that something higher hides are cut a little farther out; edges that are seen stay the very same curves."""

import numpy as np
import shapely

from sketchloom.core.base import parallel, ragged
from sketchloom.core.curves.chains import part_of_cubic
from sketchloom.core.curves.curveset import CurveSet, flatten, line_controls, segment_areas
from sketchloom.core.curves.outline import Outline, outline_of
from sketchloom.core.planar.planar_map import PlanarMap
from sketchloom.core.shapes.polygons import area_of_outline, areas_of
from sketchloom.core.shapes.refit import refitted_runs

_FLAT_PX = 0.06
"""Edges that are seen come back as they were, so only hidden ones are off by this."""
_QUADRANT = 24
"""Pieces of a quarter turn where an area is grown: 0.05 % off round."""
_FIT_PX = 0.05
"""How near curves keep to the grown area."""
_LEAST_PX2 = 0.5
"""Smaller bits of overlap are rounding."""


def overlapped(planar: PlanarMap, curves: CurveSet, inside, covered, overlap_px: float) -> Outline:
    """The outline of faces grown under what covers them.

    Parameters
    ----------
    inside : (F,) bool, the faces of the sheet. covered : (F,) bool, faces that something higher lies on.
    overlap_px : how far hidden edges are moved out, at most as far as there is cover.

    Notes
    -----
    The sheet's area grown by the overlap is cut back to what it and its cover take up together. Where that is
    bounded by an edge of the map, the cubics of the edge are put back in place of its chords.
    """
    exact = outline_of(planar, curves, inside)
    if overlap_px <= 0 or not len(exact.controls) or not _meet(planar, inside, covered):
        return exact
    together = outline_of(planar, curves, np.asarray(inside) | covered)
    own = area_of_outline(exact, _FLAT_PX)
    grown = parallel.beside(lambda: own.buffer(overlap_px, quad_segs=_QUADRANT))
    within = area_of_outline(together, _FLAT_PX)
    area = areas_of(parallel.beside(lambda: grown.intersection(within)))
    chords, holes = [], []
    for piece in area.geoms:
        if piece.area < _LEAST_PX2:
            continue
        piece = shapely.geometry.polygon.orient(piece, 1.0)
        for ring, hole in ((piece.exterior, False), *((h, True) for h in piece.interiors)):
            points = np.asarray(ring.coords)[:-1]
            if len(points) >= 3:
                chords.append(points)
                holes.append(hole)
    if not chords:
        return exact
    rings = _Known(together).curves_along(chords)
    controls = np.concatenate([c for c, _ in rings])
    starts = ragged.lengths_to_starts([len(c) for c, _ in rings])
    signed = ragged.reduce_pieces(np.add, segment_areas(controls), starts)
    return Outline(controls, np.concatenate([s for _, s in rings]), starts, signed, np.array(holes))


def _meet(planar, inside, covered) -> bool:
    """Whether any face of the sheet has one beside it that covers: a base parts most."""
    one, two = np.append(inside, False), np.append(covered, False)
    left, right = planar.left, planar.right
    return bool(((one[left] & two[right]) | (two[left] & one[right])).any())


class _Known:
    """The chords of an outline, by the places of their ends."""

    def __init__(self, outline):
        self._outline = outline
        xy, starts = flatten(outline.controls, outline.straight, _FLAT_PX)
        of = ragged.owner(starts)
        self._count = np.diff(starts)
        key = _keys(xy)
        self._order = np.argsort(key, kind="stable")
        self._sorted = key[self._order]
        self._segment, self._step = of, np.arange(len(xy)) - starts[of]
        ring = ragged.owner(outline.starts)
        index = np.arange(len(outline.controls))
        self._after = np.where(index + 1 == outline.starts[ring + 1], outline.starts[ring], index + 1)

    def _chords(self, points):
        """For each side of a polygon the segment it is a chord of, -1 for none, and its parameters (n, 2)."""
        key = _keys(points)
        at = np.minimum(np.searchsorted(self._sorted, key), len(self._sorted) - 1)
        found = np.where(self._sorted[at] == key, self._order[at], -1)
        one, two = found, np.roll(found, -1)
        segment, t = np.full(len(points), -1), np.zeros((len(points), 2))
        for a, b, forward in ((one, two, True), (two, one, False)):
            both = (a >= 0) & (b >= 0)
            s, r, i, j = self._segment[a], self._segment[b], self._step[a], self._step[b]
            same = (
                both
                & (((s == r) & (j == i + 1)) | ((i + 1 == self._count[s]) & (j == 0) & (self._after[s] == r)))
                & (segment < 0)
            )
            segment[same] = s[same]
            ends = np.stack([i, i + 1], -1) / self._count[s][:, None]
            t[same] = (ends if forward else ends[:, ::-1])[same]
        return segment, t

    def curves_along(self, rings):
        """For each ring of chords its cubics, and which are straight: known ones as they are, others fitted."""
        parts, runs = [], []
        for points in rings:
            parts.append(self._parts(points, runs))
        fitted = refitted_runs(runs, _FIT_PX)
        return [_joined([fitted[part] if isinstance(part, int) else part for part in ring]) for ring in parts]

    def _parts(self, points, runs):
        """Parts of a ring: known curves, or the number of a polyline to be fitted, which joins the ``runs``."""
        segment, t = self._chords(points)
        n = len(points)
        # a part ends where a chord is of another segment, or does not go on from the one before
        goes_on = (segment == np.roll(segment, 1)) & ((segment < 0) | (t[:, 0] == np.roll(t[:, 1], 1)))
        breaks = np.flatnonzero(~goes_on)
        if len(breaks) == 0:
            breaks = np.zeros(1, np.intp)
        parts = []
        for first, stop in zip(breaks.tolist(), [*breaks[1:].tolist(), int(breaks[0]) + n], strict=False):
            s = int(segment[first])
            if s < 0:
                parts.append(len(runs))
                runs.append(points[np.arange(first, stop + 1) % n])
            else:
                t0, t1 = float(t[first, 0]), float(t[(stop - 1) % n, 1])
                whole = self._outline.controls[s]
                c = (whole if (t0, t1) == (0.0, 1.0) else part_of_cubic(whole, t0, t1))[None]
                parts.append((c, self._outline.straight[s:s + 1]))
        return parts


def _joined(parts):
    """Cubics of a ring, each beginning where the one before ends, bit for bit."""
    made = np.concatenate([c for c, _ in parts])
    made[:, 3] = np.roll(made[:, 0], -1, 0)
    line = np.concatenate([straight for _, straight in parts])
    made[line] = line_controls(made[line, 0], made[line, 3])
    return made, line


def _keys(xy):
    """(N,) one number for each place, equal only for equal places: the two halves of a complex number."""
    return np.ascontiguousarray(xy, float).view(np.complex128).ravel()
