"""What can be told of the moves of a file: how long they take, what is cut twice, which cuts stay open."""

import itertools
from dataclasses import dataclass

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.base.late import late
from sketchloom.core.playback.moves import Moves, chords_of
from sketchloom.core.sheets.motion import Dynamics, curves_along, paced_along

spatial = late("scipy.spatial")

HAIR_MM = 0.1
"""Cuts nearer to each other part off a hair of stuff (common practice, no source)."""
_SAMPLE_MM, _ALONG_MM = 0.25, 3.0
_ALIKE = np.cos(np.radians(20.0))
"""Cuts beside each other run one way within so much."""
_END_MM, _FLAT_MM = 0.05, 0.005


@dataclass(frozen=True, slots=True, eq=False)
class Told:
    """``strokes`` of the lowered tool, how many of them stay ``open``; ``cut_mm`` and ``travel_mm``; ``doubled_mm`` of
    the cut run on or within a hair of another, ``doubled`` places (D, 2) mm; ``width_mm`` and ``height_mm`` of what is
    cut; ``tools`` with the length each cuts."""

    strokes: int
    open: int
    cut_mm: float
    travel_mm: float
    doubled_mm: float
    doubled: np.ndarray
    width_mm: float
    height_mm: float
    tools: dict[int, float]


def lengths_of(moves: Moves) -> np.ndarray:
    """(N,) length of each move, mm."""
    radius = np.hypot(*(moves.begin - moves.centre).T)
    return np.where(moves.sweep == 0, np.hypot(*(moves.end - moves.begin).T), radius * np.abs(moves.sweep))


def told_of(moves: Moves, overcut_mm: float = 1.0) -> Told:
    """What the moves do. A cut that runs on past its beginning by no more than an overcut is no double one."""
    length = lengths_of(moves)
    first, _ = moves.strokes()
    left, bottom, right, top = moves.box
    tools = {int(t): float(length[moves.down & (moves.tool == t)].sum()) for t in np.unique(moves.tool[moves.down])}
    xy, starts = stroke_points(moves, _FLAT_MM)
    opened = [n for n, (a, b) in enumerate(itertools.pairwise(starts.tolist())) if not closes(xy[a:b], overcut_mm)]
    doubled = _doubled(moves, overcut_mm)
    return Told(len(first), len(opened), float(length[moves.down].sum()), float(length[~moves.down].sum()),
                len(doubled) * _SAMPLE_MM / 2, doubled, right - left, top - bottom, tools)


def closes(points, overcut_mm: float) -> bool:
    """Whether a stroke of points (N, 2) mm comes back to its beginning, at its end or an overcut before it."""
    if len(points) < 3:
        return False
    step = np.diff(points, axis=0)
    length = np.hypot(*step.T)
    left = np.cumsum(length[::-1])[::-1] - length  # from the end of each chord on
    late = (left <= overcut_mm) & (np.cumsum(length) > min(overcut_mm + _END_MM, 0.6 * length.sum()))
    a, d, long = points[:-1][late], step[late], np.maximum(length[late], 1e-12)
    share = np.clip(((points[0] - a) * d).sum(1) / long**2, 0, 1)
    return bool(np.hypot(*(a + share[:, None] * d - points[0]).T).min(initial=np.inf) < _END_MM)


def _samples(moves):
    """Places along what is cut, the way each is run, its move, and how far along all of it each lies."""
    xy, owner = chords_of(moves.begin, moves.end, moves.centre, moves.sweep, 0.01)
    ends = np.concatenate([xy[1:], moves.end[-1:]])
    last = np.append(np.diff(owner) > 0, True)
    ends[last] = moves.end[owner[last]]
    down = moves.down[owner]
    a, b = xy[down], ends[down]
    length = np.hypot(*(b - a).T)
    past = np.cumsum(length)
    along = (np.arange(int(past[-1] / _SAMPLE_MM)) + 0.5) * _SAMPLE_MM  # by the whole length: chords may be shorter
    chord = np.minimum(np.searchsorted(past, along, "right"), len(a) - 1)
    way = (b - a) / np.maximum(length, 1e-12)[:, None]
    share = np.clip((along - past[chord] + length[chord]) / np.maximum(length[chord], 1e-12), 0, 1)
    return a[chord] + share[:, None] * (b - a)[chord], way[chord], owner[down][chord], along


def _doubled(moves, overcut):
    """Places that lie on another cut, or within a hair of it."""
    if not moves.down.any():
        return np.empty((0, 2))
    # moves of a depth below another repeat it on purpose: only the first pass is looked at
    depth = moves.depth
    top = moves.down & (depth >= depth[moves.down].max() - 1e-9)
    kept = Moves(*(getattr(moves, name)[top] if name != "down" else np.ones(int(top.sum()), bool)
                   for name in ("begin", "end", "centre", "sweep", "down", "speed", "tool", "word", "depth", "lift")))
    jump = np.concatenate([[True], np.hypot(*(kept.begin[1:] - kept.end[:-1]).T) > 1e-9])
    places, way, move, along = _samples(kept)
    if len(places) < 2:
        return np.empty((0, 2))
    pairs = spatial.cKDTree(places).query_pairs(HAIR_MM, output_type="ndarray")
    one, two = pairs.T if len(pairs) else (np.empty(0, int), np.empty(0, int))
    ring, tool = (np.cumsum(jump) - 1)[move], kept.tool[move]
    same = ring[one] == ring[two]
    length = np.bincount(ring, minlength=ring.max() + 1) * _SAMPLE_MM
    apart = np.abs(along[one] - along[two])
    near_end = np.minimum(apart, np.abs(length[ring[one]] - apart))
    alike = np.abs((way[one] * way[two]).sum(1)) > _ALIKE
    far = ~same | ((apart > _ALONG_MM) & (near_end > overcut + _ALONG_MM))
    bad = alike & far & (tool[one] == tool[two])  # what is cut from two sheets may lie on each other
    found = np.unique(np.concatenate([one[bad], two[bad]]))
    return places[found]


def stroke_points(moves: Moves, within: float) -> tuple[np.ndarray, np.ndarray]:
    """Points (N, 2) mm of all strokes of the lowered tool end to end, both ends of each included, and their offsets."""
    first, past = moves.strokes()
    keep = moves.down
    chord, owner = chords_of(moves.begin[keep], moves.end[keep], moves.centre[keep], moves.sweep[keep], within)
    stroke = np.searchsorted(first, np.flatnonzero(keep)[owner], "right") - 1
    starts = ragged.lengths_to_starts(np.bincount(stroke, minlength=len(first)) + 1)
    xy = np.empty((starts[-1], 2))
    xy[np.arange(len(chord)) + stroke] = chord
    xy[starts[1:] - 1] = moves.end[past - 1]
    return xy, starts


def seconds_of(moves: Moves, cutting: Dynamics, travelling: Dynamics, lift_s: float) -> float:
    """How long a machine takes for the moves: each stroke from rest to rest, lifted and lowered between them."""
    first, _ = moves.strokes()
    total = lift_s * len(first)
    if len(first):
        xy, starts = stroke_points(moves, max(min(cutting.corner / 2, _FLAT_MM), 1e-4))
        total += float(paced_along(xy, starts, curves_along(xy, starts), cutting).seconds.sum())
    # travel between two strokes goes from rest to rest, straight on
    return total + float(travelling.along(lengths_of(moves)[~moves.down]).sum())
