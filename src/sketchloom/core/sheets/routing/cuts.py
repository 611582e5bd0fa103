"""The cuts of a sheet: closed and open ones, what lies within what, and where each may begin."""

from dataclasses import dataclass

import numpy as np
import shapely

from sketchloom.core.base import ragged
from sketchloom.core.curves.curveset import evaluate, flatten, line_controls, segment_areas, segment_lengths

TRIED, WORK, HELPERS, FRAMES = range(4)
_FLAT_MM = 0.1
PLACES = 12
"""Beginnings that a closed cut may have."""
_CLEAR_MM, _BENT = 1.5, 0.25
"""A beginning keeps so far from corners, as an overcut runs on past it, and prefers curves that turn by less than so
many radians over a segment (common practice, no source)."""


@dataclass(frozen=True, slots=True, eq=False)
class Cuts:
    """Cuts in mm: ``controls`` (S, 4, 2), ``straight`` (S,), ``starts`` (N + 1,) offsets, ``closed`` (N,) bool;
    ``turn`` (N,) int: cuts of a lower one are made before all of a higher one (of ``TRIED`` to ``FRAMES``)."""

    controls: np.ndarray
    straight: np.ndarray
    starts: np.ndarray
    closed: np.ndarray
    turn: np.ndarray

    @property
    def count(self) -> int:
        return len(self.closed)


def cuts_of(outlines, lines=(), frames=(), tests=()) -> Cuts:
    """Cuts of outlines in mm, of open polylines (K, 2) through the waste, and of closed frames (K, 2) around it; tests
    are outlines that are cut first."""
    parts, straight = [], []
    counts: list[int] = []
    closed: list[bool] = []
    turns: list[int] = []
    for outline, turn in (*((one, TRIED) for one in tests), *((one, WORK) for one in outlines)):
        parts.append(outline.controls)
        straight.append(outline.straight)
        counts += np.diff(outline.starts).tolist()
        ends = outline.controls[outline.starts[1:] - 1, 3] if len(outline.controls) else np.empty((0, 2))
        begins = outline.controls[outline.starts[:-1], 0] if len(outline.controls) else np.empty((0, 2))
        is_closed = (np.full(len(begins), True) if outline.pen_px is None
                     else np.hypot(*(ends - begins).T) < 1e-9 if len(begins) else np.empty(0, bool))
        closed += is_closed.tolist()
        turns += [turn] * len(begins)
    for several, turn in ((lines, HELPERS), (frames, FRAMES)):
        for line in several:
            line = np.asarray(line, float)
            parts.append(line_controls(line[:-1], line[1:]))
            straight.append(np.ones(len(line) - 1, bool))
            counts.append(len(line) - 1)
            closed.append(bool(np.hypot(*(line[0] - line[-1])) < 1e-9))
            turns.append(turn)
    starts = ragged.lengths_to_starts(counts) if counts else np.zeros(1, np.intp)
    return Cuts(np.concatenate(parts) if parts else np.empty((0, 4, 2)),
                np.concatenate(straight) if straight else np.empty(0, bool), starts, np.array(closed, bool),
                np.array(turns, np.intp))


def around(cuts: Cuts) -> tuple[np.ndarray, np.ndarray]:
    """(N,) number of the smallest closed cut that each lies in, -1 for none, and (N,) the area it encloses, mm²."""
    area = np.abs(ragged.reduce_pieces(np.add, segment_areas(cuts.controls), cuts.starts))
    area[~cuts.closed] = 0.0
    parent = np.full(cuts.count, -1)
    closed = np.flatnonzero(cuts.closed & (area > 0))
    if not cuts.count or not len(closed):
        return parent, area
    xy, starts = flatten(cuts.controls, cuts.straight, _FLAT_MM)
    rings = starts[cuts.starts]
    polygons = shapely.polygons([shapely.linearrings(xy[rings[n]:rings[n + 1]]) if rings[n + 1] - rings[n] >= 3
                                 else shapely.linearrings(np.repeat(xy[rings[n]:rings[n] + 1], 4, 0)) for n in closed])
    probes = shapely.points(evaluate(cuts.controls[cuts.starts[:-1]], np.full(cuts.count, 0.37)))
    one, two = shapely.STRtree(polygons).query(probes, predicate="within")
    two = closed[two]
    good = (one != two) & (area[two] > area[one])
    one, two = one[good], two[good]
    order = np.lexsort([-area[two], one])
    parent[one[order]] = two[order]  # the smallest is written last
    return parent, area


def beginnings(cuts: Cuts) -> tuple[np.ndarray, np.ndarray, np.ndarray]:
    """Where each cut may begin: places (N, PLACES, 2) mm, and the segment (N, PLACES) and t (N, PLACES) of each. Of a
    closed cut spread over its straight and calm stretches; of an open one its two ends by turns."""
    length = segment_lengths(cuts.controls, cuts.straight)
    legs = np.diff(cuts.controls, axis=1)
    bend = np.abs(np.arctan2(_cross(legs[:, 0], legs[:, 2]), (legs[:, 0] * legs[:, 2]).sum(1)))
    worth = np.maximum(length - 2 * _CLEAR_MM, 0.05 * length) * np.where(cuts.straight, 2.0, np.exp(-bend / _BENT))
    segment = np.empty((cuts.count, PLACES), np.intp)
    t = np.empty((cuts.count, PLACES))
    for n in range(cuts.count):
        first, last = int(cuts.starts[n]), int(cuts.starts[n + 1])
        if not cuts.closed[n]:
            segment[n] = np.where(np.arange(PLACES) % 2 == 0, first, last - 1)
            t[n] = np.arange(PLACES) % 2
            continue
        total = np.cumsum(worth[first:last])
        wanted = (np.arange(PLACES) + 0.5) / PLACES * total[-1]
        at = np.minimum(np.searchsorted(total, wanted), last - first - 1)
        within = (wanted - (total[at] - worth[first + at])) / np.maximum(worth[first + at], 1e-12)
        clear = np.minimum(_CLEAR_MM / np.maximum(length[first + at], 1e-12), 0.45)
        segment[n], t[n] = first + at, clear + np.clip(within, 0, 1) * (1 - 2 * clear)
    places = evaluate(cuts.controls[segment], t) if cuts.count else np.empty((0, PLACES, 2))
    return places, segment, t


def _cross(a, b):
    return a[..., 0] * b[..., 1] - a[..., 1] * b[..., 0]
