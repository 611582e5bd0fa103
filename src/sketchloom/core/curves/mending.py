"""Curves that cross are fitted again, closer to their points, until none do."""

from dataclasses import dataclass, replace

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.base.progress import QUIET
from sketchloom.core.curves.chords import crossing_chords
from sketchloom.core.curves.crossings import crossings
from sketchloom.core.curves.curveset import CurveSet, line_controls
from sketchloom.core.curves.fit import fit_spans
from sketchloom.core.curves.spans import Spans

_ROUNDS = (0.8, 0.6, 0.35, 0.1, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0)
"""Shares of the tolerance, round by round; in the last ones the points themselves are joined."""
_UNTIL = 0.35
"""Down to this share only curves are fitted anew; below it points that cross are pulled back as well."""
_PULLED_BACK = (0.5, 0.2, 0.0)
"""Handles of curves that cross are shortened to these shares, in this order; 0 makes chords, which follow the points.
"""
_BESIDE = 2
"""Points of so many neighbours on each side are fitted with what crosses."""
_NEAR_PX = 8.0
"""Side of the cells that curves are sorted into for finding pairs."""


@dataclass(frozen=True, slots=True, eq=False)
class Spliced:
    """Segments with the points they were fitted to, in the order of arcs and points.

    ``controls`` (S, 4, 2), ``straight``, ``miss`` (S,) as of a CurveSet; ``arc`` (S,);
    ``first``, ``last`` (S,) the points from and to which a segment was fitted; pieces of one
    exact shape share them. ``points`` (N, 2) in rings with offsets ``starts`` (R + 1,), closed
    ones with their first point repeated; ``ring_arc`` (R,) the arc of each; ``base`` (N, 2) their
    places in the pixel grid, or None; ``together`` (N,) number shared by points that are one
    place, -1 elsewhere; ``pulled_px`` (N,) how far points were pulled back, None for not at all.
    """

    controls: np.ndarray
    straight: np.ndarray
    miss: np.ndarray
    arc: np.ndarray
    first: np.ndarray
    last: np.ndarray
    points: np.ndarray
    base: np.ndarray | None
    starts: np.ndarray
    ring_arc: np.ndarray
    together: np.ndarray
    pulled_px: np.ndarray | None = None

    def curves(self, arcs: int) -> CurveSet:
        return CurveSet(self.controls, self.straight, self.miss, np.searchsorted(self.arc, np.arange(arcs + 1)))


def without_crossings(spliced: Spliced, tolerance_px: float, *, few: bool = False, progress=QUIET) -> Spliced:
    """Segments of which no two cross; ``few`` as of ``fit_spans``.

    Notes
    -----
    A curve may leave its points by the tolerance, so where an area is thinner than that its
    two sides can cross. Only the segments that do are fitted again, between the same ends and
    tangents. Where the points themselves cross, they are pulled back towards the pixels they
    were found from, which cannot.
    """
    crossing = _crossing(spliced)
    for number, share in enumerate(_ROUNDS):
        if not crossing.any():
            break
        progress.step(number, len(_ROUNDS), "Parting curves that cross")
        if share < _UNTIL and spliced.base is not None:
            spliced, moved = _untangled(spliced, crossing)
            crossing |= moved
        spliced, fresh = _refitted(spliced, crossing, share * tolerance_px, few)
        # only what has changed, or lies beside it, can cross now
        crossing = _crossing(spliced, _beside(spliced.controls, fresh))
    return spliced


def _crossing(spliced, among=slice(None)):
    """(S,) bool: segments that cross another or themselves, with all pieces of their shape."""
    found = np.zeros(len(spliced.arc), bool)
    number = np.arange(len(found))[among]
    pairs = crossings(spliced.controls[number], spliced.straight[number])
    found[number[pairs.ravel()]] = True
    return _with_all_pieces(spliced, found)


def _beside(controls, fresh):
    """(S,) bool: segments whose box comes near that of a segment marked."""
    a, b, c, d = (controls[:, k] for k in range(4))
    low = np.floor(np.minimum(np.minimum(a, b), np.minimum(c, d)) * (1 / _NEAR_PX)).astype(np.intp)
    high = np.floor(np.maximum(np.maximum(a, b), np.maximum(c, d)) * (1 / _NEAR_PX)).astype(np.intp) + 1
    origin = low.min(0)
    low, high = low - origin, high - origin
    # boxes are laid down by their corners, then counted by sums over rows and columns
    laid = np.zeros((high[:, 1].max() + 1, high[:, 0].max() + 1), np.int32)
    (x0, y0), (x1, y1) = low[fresh].T, high[fresh].T
    for y, x, sign in ((y0, x0, 1), (y0, x1, -1), (y1, x0, -1), (y1, x1, 1)):
        np.add.at(laid, (y, x), sign)
    mask = laid[:-1, :-1].cumsum(0).cumsum(1) > 0
    total = np.pad(mask.cumsum(0).cumsum(1), ((1, 0), (1, 0)))
    return (total[high[:, 1], high[:, 0]] - total[low[:, 1], high[:, 0]] - total[high[:, 1], low[:, 0]]
            + total[low[:, 1], low[:, 0]]) > 0


def _with_all_pieces(spliced, found):
    shape = _shapes(spliced)
    return np.logical_or.reduceat(found, shape[:-1])[ragged.owner(shape)] if len(found) else found


def _shapes(spliced):
    """Offsets of the runs of segments that share their points."""
    fresh = (np.diff(spliced.first, prepend=-1) != 0) | (np.diff(spliced.arc, prepend=-1) != 0)
    return np.append(np.flatnonzero(fresh), len(spliced.arc))


def _refitted(spliced, which, tolerance, few):
    """The segments marked fitted again, for tolerance 0 their points joined; and which are new."""
    shape = _shapes(spliced)
    chosen = np.flatnonzero(which[shape[:-1]])
    head, tail = shape[chosen], shape[chosen + 1] - 1
    first, last = spliced.first[head], spliced.last[head]
    if tolerance > 0:
        leave = _direction(spliced.controls[head, 1] - spliced.controls[head, 0])
        arrive = _direction(spliced.controls[tail, 2] - spliced.controls[tail, 3])
        yes, no = np.ones(len(first), bool), np.zeros(len(first), bool)
        fitted = fit_spans(spliced.points, Spans(first, last, leave, arrive, yes, yes, no), tolerance, few=few)
        controls, straight, miss = fitted.controls, fitted.straight, fitted.miss
        new_first, new_last = fitted.spans.first, fitted.spans.last
        # nodes of what was settled together lie beside the points they were found at
        points = spliced.points.copy()
        points[new_first], points[new_last] = controls[:, 0], controls[:, 3]
        spliced = replace(spliced, points=points)
    else:
        legs = ragged.lengths_to_starts(last - first)
        new_first = np.arange(legs[-1]) + np.repeat(first - legs[:-1], last - first)
        new_last = new_first + 1
        controls = line_controls(spliced.points[new_first], spliced.points[new_last])
        straight, miss = np.ones(len(new_first), bool), np.zeros(len(new_first))
    if spliced.pulled_px is not None:
        # a curve misses its outline by what its points were pulled aside, too
        reach = ragged.lengths_to_starts(new_last - new_first + 1)
        own = np.arange(reach[-1]) + np.repeat(new_first - reach[:-1], new_last - new_first + 1)
        miss = miss + ragged.reduce_pieces(np.maximum, spliced.pulled_px[own], reach)
    new_arc = spliced.ring_arc[np.searchsorted(spliced.starts, new_first, side="right") - 1]
    stay = ~which
    def mixed(old, new):
        return np.concatenate([old[stay], new])
    first, arc = mixed(spliced.first, new_first), mixed(spliced.arc, new_arc)
    order = np.lexsort((first, arc))
    return replace(
        spliced, controls=mixed(spliced.controls, controls)[order], straight=mixed(spliced.straight, straight)[order],
        miss=mixed(spliced.miss, miss)[order], arc=arc[order], first=first[order],
        last=mixed(spliced.last, new_last)[order]), (order >= stay.sum())


def _direction(vector):
    size = np.hypot(vector[:, 0], vector[:, 1])[:, None]
    return np.where(size > 1e-12, vector / np.maximum(size, 1e-12), [1.0, 0.0])


def _untangled(spliced, crossing):
    """Points of crossing segments pulled back as far as they cross, and the segments that feel it."""
    points = spliced.points.copy()
    first, last = spliced.first[crossing], spliced.last[crossing]
    legs = ragged.lengths_to_starts(last - first)
    legs = np.unique(np.arange(legs[-1]) + np.repeat(first - legs[:-1], last - first))
    joint = np.flatnonzero(spliced.together >= 0)
    moved = np.zeros(len(points), bool)
    for share in _PULLED_BACK:
        pairs = legs[crossing_chords(points[legs], points[legs + 1]).ravel()]
        if len(pairs) == 0:
            break
        ring = np.searchsorted(spliced.starts, pairs, side="right") - 1
        reach = pairs[:, None] + np.arange(-_BESIDE, _BESIDE + 2)
        tangled = np.clip(reach, spliced.starts[ring][:, None], spliced.starts[ring + 1][:, None] - 1).ravel()
        # what is one place moves as one
        shared = spliced.together[tangled]
        tangled = np.union1d(tangled, joint[np.isin(spliced.together[joint], shared[shared >= 0])])
        points[tangled] = spliced.base[tangled] + share * (spliced.points[tangled] - spliced.base[tangled])
        moved[tangled] = True
    count = np.concatenate([[0], np.cumsum(moved)])
    feels = count[spliced.last + 1] > count[spliced.first]
    pulled = np.zeros(len(points)) if spliced.pulled_px is None else spliced.pulled_px.copy()
    pulled[moved] += np.hypot(*(points[moved] - spliced.points[moved]).T)
    return replace(spliced, points=points, pulled_px=pulled), _with_all_pieces(spliced, feels)
