"""Straight runs inside arcs, found before anything is fitted.

Where an outline goes from a line into a curve there is no corner, and a fit that does not
know of the line divides the two in the wrong place. A run is straight where a window of
points shows no bow beyond what the points' own scatter explains; the window is so long
that only circles of more than about 700 px look straight in it, and a whole run must keep
to its line.
"""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.curves.least_squares import averaged
from sketchloom.core.curves.run_view import View
from sketchloom.core.planar.junctions import Polylines

_SHORTEST, _LONGEST, SHORT = 7, 20, 3
"""Half windows that a bow is measured over: from, to, and the small one that finds ends."""
_PER_SCATTER = 13.4
"""A parabola's bow over n points scatters by 3.35 / sqrt(n) times the points' scatter, which
hangs together from point to point (half as much again); this is two and a half times that."""
_DRAWN_IN = 5
"""Points by which a run is drawn in at most until it keeps to its line."""
_NODE_OFF_PX, _NODE_OFF, _BEFORE_NODE = 0.15, 1.5, 4
"""A run ends at a node that lies at most so far (px, tolerances) off its line; else up to so many points before it."""
_LEAST_BOW_PX = 0.035
"""A bow under this is not told from none, whatever the scatter."""
_LEAST_LENGTH_PX = 10.0
"""Shorter runs are left to the fit."""
_SHARE = 0.7
"""A line keeps closer than a cubic must, as everywhere in the fit."""
_MEETING = np.sin(np.radians(4.0))
"""Two runs meeting under a smaller angle have no sure crossing."""
_MEETING_GAP = 4
"""Points between two runs that still meet in a corner."""
_ROUND_TURN = np.radians(25.0)
"""Runs that turn by less into each other have no round corner between them."""


@dataclass(frozen=True, slots=True, eq=False)
class Runs:
    """Straight runs: ``first``, ``last`` (K,) point indices, ``begin``, ``end`` (K, 2) their
    places on the line, ``meets`` (K,) bool: the run ends where the next begins, in a corner
    too blunt to be found as one; ``mean``, ``unit`` (K, 2) a point and the direction of the line."""

    first: np.ndarray
    last: np.ndarray
    begin: np.ndarray
    end: np.ndarray
    meets: np.ndarray
    mean: np.ndarray
    unit: np.ndarray


def straight_runs(lines: Polylines, is_corner, tolerance_px: float, scatter_px: float, blur_px: float = 0.0,
                  unclear=None) -> Runs:
    """Find the straight runs of all arcs.

    Parameters
    ----------
    lines : arcs as polylines, about one point a pixel.
    is_corner : (N,) bool, points that are corners.
    tolerance_px : as of the fit. scatter_px : typical distance of a point from its outline.
    blur_px : standard deviation of the picture's blur, which rounds corners.
    unclear : (N,) bool, points so near to a corner that they say nothing of its sides.
    """
    half = _half_window(scatter_px)
    view = View(lines, is_corner, half, unclear)
    flag = ~view.barred(half)
    for reach in (half, SHORT):
        flag &= view.bow(reach) < max(_LEAST_BOW_PX, _PER_SCATTER * scatter_px / np.sqrt(2 * reach + 1))
    flag = view.closed_up(flag)
    first, last = view.runs(flag)
    # one lucky window among many is no run
    several = _size(lines, view, first, last) >= half // 3
    first, last = first[several], last[several]
    first, last = view.reach(first, -half), view.reach(last, half)
    return _accepted(lines, view, first, last, tolerance_px, scatter_px, blur_px)


def _half_window(scatter):
    """Points on either side so that a circle of 700 px shows its bow above the scatter."""
    for half in range(_SHORTEST, _LONGEST):
        if half * half / 1400.0 >= 12.0 * scatter / np.sqrt(2 * half + 1):
            return half
    return _LONGEST


def _accepted(lines, view, first, last, tolerance, scatter, blur):
    """Runs that keep to their line as a whole, parted where two overlap."""
    if len(first) == 0:
        none = np.empty((0, 2))
        return Runs(first, last, none, none, np.empty(0, bool), none, none)
    first, last, mean, unit = _that_keep(lines, view, first, last, tolerance, scatter)
    first, last = _short_of_nodes(lines, view, first, last, mean, unit, tolerance)
    long = _size(lines, view, first, last) > 2 * SHORT
    first, last, mean, unit = first[long], last[long], mean[long], unit[long]
    begin, end = foot_on(lines.xy[first], mean, unit), foot_on(lines.xy[last], mean, unit)
    begin[view.bar[first]], end[view.bar[last]] = lines.xy[first[view.bar[first]]], lines.xy[last[view.bar[last]]]
    meets = np.zeros(len(first), bool)
    keep = np.ones(len(first), bool)
    length = _size(lines, view, first, last)
    for i, j in _neighbouring(view.arc[first], lines.closed):
        gap = _gap(lines, view, last[i], first[j])
        if not (keep[i] and keep[j]) or gap > _MEETING_GAP or (gap == 0 and view.bar[last[i]]):
            continue
        arc = view.arc[first[i]]
        place, half = _met(lines, view, (mean[i], unit[i]), (mean[j], unit[j]), last[i], arc, gap, scatter, blur)
        # what would be left of both runs, in points
        left_i, left_j = length[i] + gap // 2 - (half or 0), length[j] + gap - gap // 2 - (half or 0)
        if half is None or min(left_i, left_j) < SHORT:
            keep[j if length[j] < length[i] else i] = False
            continue
        middle = view.moved(last[i], arc, gap // 2)
        length[i], length[j] = left_i, left_j
        last[i], first[j] = view.moved(middle, arc, -half), view.moved(middle, arc, half)
        if half:
            end[i] = foot_on(lines.xy[last[i]][None], mean[i], unit[[i]])[0]
            begin[j] = foot_on(lines.xy[first[j]][None], mean[j], unit[[j]])[0]
        else:
            end[i] = begin[j] = place
            meets[i] = True
    return Runs(*(v[keep] for v in (first, last, begin, end, meets, mean, unit)))


def _met(lines, view, one, two, last, arc, gap, scatter, blur):
    """Where two runs, each (point, direction), meet, and points of each that a round corner takes; None for neither."""
    place = _meeting(*one, *two)
    if place is None:
        return None, None
    near = lines.xy[view.moved(last, arc, np.arange(min(gap, 0) - 3, max(gap, 0) + 4))]
    return place, _half_round(place, near, one[1] @ two[1], scatter, blur)


def _that_keep(lines, view, first, last, tolerance, scatter):
    """Runs that keep to their line, those that reach into a bend drawn in until they do."""
    first, last = first.copy(), last.copy()
    count = len(first)
    mean, unit, good = np.zeros((count, 2)), np.zeros((count, 2)), np.zeros(count, bool)
    open_ = np.arange(count)
    for _ in range(_DRAWN_IN + 1):
        mean[open_], unit[open_], good[open_] = _lines_through(
            lines, view, first[open_], last[open_], tolerance, scatter
        )
        open_ = open_[~good[open_]]
        # ends at corners stay
        at_first, at_last = view.bar[first[open_]], view.bar[last[open_]]
        open_ = open_[~(at_first & at_last) & (_size(lines, view, first[open_], last[open_]) > 2 * SHORT + 3)]
        if len(open_) == 0:
            break
        arc = view.arc[first[open_]]
        inward = np.where(view.bar[first[open_]], 0, 1), np.where(view.bar[last[open_]], 0, -1)
        first[open_], last[open_] = view.moved(first[open_], arc, inward[0]), view.moved(last[open_], arc, inward[1])
    return first[good], last[good], mean[good], unit[good]


def _short_of_nodes(lines, view, first, last, mean, unit, tolerance):
    """Ends of runs, drawn back from nodes that do not lie on their lines: a round tip may come between."""
    limit = max(_NODE_OFF_PX, _NODE_OFF * tolerance)
    arc, ends = view.arc[first], []
    for at, inward in ((first.copy(), 1), (last.copy(), -1)):
        open_ = np.flatnonzero(view.node[at])
        for _ in range(_BEFORE_NODE):
            gap = lines.xy[at[open_]] - mean[open_]
            open_ = open_[np.abs(gap[:, 0] * unit[open_, 1] - gap[:, 1] * unit[open_, 0]) > limit]
            at[open_] = view.moved(at[open_], arc[open_], inward)
        ends.append(at)
    return ends


def _half_round(place, outline, cosine, scatter, blur):
    """Points from the middle of the outline between two runs to either of them.

    0: they meet in a corner at ``place``; more: in a round corner, whose circle touches both
    so far away; None: they do not meet at all.
    """
    turn = float(np.arccos(np.clip(cosine, -1.0, 1.0)))
    away = float(np.hypot(*(place - outline).T).min())
    blunt = np.tan(min(0.5 * turn, 1.4))
    if away <= min((0.85 + 0.8 * blur) * blunt, 3.0) + min(0.1 + 4.0 * scatter, 0.4):
        return 0
    radius = away / (1 / np.cos(min(0.5 * turn, 1.5)) - 1)
    half = round(0.5 * turn * radius)
    return half if turn >= _ROUND_TURN and half > 0 else None


def _meeting(mean_a, unit_a, mean_b, unit_b):
    """Where two lines meet; None when they are one line, or nearly."""
    cross = unit_a[0] * unit_b[1] - unit_a[1] * unit_b[0]
    if abs(cross) < _MEETING:
        return None
    apart = mean_b - mean_a
    return mean_a + (apart[0] * unit_b[1] - apart[1] * unit_b[0]) / cross * unit_a


def _gap(lines, view, last, first):
    """Points from a run's last to the next one's first, negative where they overlap."""
    arc = view.arc[last]
    if not lines.closed[arc]:
        return int(first - last)
    size = int(lines.starts[arc + 1] - lines.starts[arc])
    gap = int(first - last) % size
    return gap if gap <= size // 2 else gap - size


def _size(lines, view, first, last):
    """Points from first on to last, round closed arcs."""
    arc = view.arc[first]
    size = lines.starts[arc + 1] - lines.starts[arc]
    return np.where(lines.closed[arc], np.mod(last - first, size), last - first)


def _neighbouring(arc, closed):
    """Pairs of runs that follow each other in one arc; in closed arcs the last and the first among them."""
    starts = np.flatnonzero(np.diff(arc, prepend=-1))
    stops = np.append(starts[1:], len(arc))
    for a, b in zip(starts.tolist(), stops.tolist(), strict=False):
        if b - a > 1:
            for k in range(a, b - 1):
                yield k, k + 1
            if closed[arc[a]]:
                yield b - 1, a


def _lines_through(lines, view, first, last, tolerance, scatter):
    """Mean and direction of each run's line, and whether the run keeps to it."""
    size = _size(lines, view, first, last) + 1
    starts = ragged.lengths_to_starts(size)
    run = ragged.owner(starts)
    index = view.moved(first[run], view.arc[first[run]], np.arange(starts[-1]) - starts[run])
    xy = lines.xy[index]
    # next to a corner the points are drawn aside
    inner = ~view.mute[index]
    weight = inner.astype(float)
    total = np.maximum(np.add.reduceat(weight, starts[:-1]), 1e-9)
    mean = np.stack([np.add.reduceat(weight * xy[:, c], starts[:-1]) for c in (0, 1)], -1) / total[:, None]
    dx, dy = (xy - mean[run]).T
    xx, yy, xy_ = (np.add.reduceat(weight * v, starts[:-1]) for v in (dx * dx, dy * dy, dx * dy))
    along = 0.5 * np.arctan2(2 * xy_, xx - yy)
    unit = np.stack([np.cos(along), np.sin(along)], -1)
    unit *= np.sign(((lines.xy[last] - lines.xy[first]) * unit).sum(1))[:, None]
    across = (dx * unit[run, 1] - dy * unit[run, 0]) * weight
    bow = _bows(dx * unit[run, 0] + dy * unit[run, 1], across, weight, starts, run)
    certain = np.maximum(_LEAST_BOW_PX, _PER_SCATTER * scatter / np.sqrt(total))
    miss = np.maximum.reduceat(averaged(across, np.abs(across), starts), starts[:-1])
    length = np.hypot(*(lines.xy[last] - lines.xy[first]).T)
    return (
        mean,
        unit,
        (miss <= _SHARE * tolerance) & (bow <= certain) & (length >= _LEAST_LENGTH_PX) & (size > 2 * SHORT),
    )


def _bows(along, across, weight, starts, run):
    """Height of each run's bow, px: a long gentle arc is straight in every window, not as a whole."""
    def total(v):
        return np.add.reduceat(v, starts[:-1])
    half = np.maximum(np.maximum.reduceat(np.abs(along), starts[:-1]), 1e-9)
    square = (along / half[run]) ** 2
    square -= (total(weight * square) / np.maximum(total(weight), 1e-9))[run]
    return np.abs(total(weight * square * across)) / np.maximum(total(weight * square * square), 1e-9)


def foot_on(points, mean, unit) -> np.ndarray:
    """Feet of points (K, 2) on lines through ``mean`` along ``unit``."""
    return mean + ((points - mean) * unit).sum(1)[:, None] * unit


