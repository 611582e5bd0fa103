"""Curves that cross are fitted again, closer to their points, until none do."""

from dataclasses import replace

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.base.progress import QUIET
from sketchloom.core.curves.chords import crossing_chords
from sketchloom.core.curves.crossings import crossings
from sketchloom.core.curves.curveset import line_controls
from sketchloom.core.curves.fit import fit_spans
from sketchloom.core.curves.rejoining import rejoined
from sketchloom.core.curves.spans import Spans
from sketchloom.core.curves.splicing import Spliced, beside, directions, shapes_of, with_pulled

_ROUNDS = (0.8, 0.6, 0.35, 0.1, 0.0, 0.0, 0.0, 0.0, 0.0, 0.0)
"""Shares of the tolerance, round by round; in the last ones the points themselves are joined."""
_UNTIL = 0.35
"""Down to this share only curves are fitted anew; below it points that cross are pulled back as well."""
_PULLED_BACK = (0.5, 0.2, 0.0)
"""Handles of curves that cross are shortened to these shares, in this order; 0 makes chords, which follow the points.
"""
_BESIDE = 2
"""Points of so many neighbours on each side are fitted with what crosses."""


def without_crossings(spliced: Spliced, tolerance_px: float, *, few: bool = False, progress=QUIET) -> Spliced:
    """Segments of which no two cross; ``few`` as of ``fit_spans``.

    Notes
    -----
    A curve may leave its points by the tolerance, so where an area is thinner than that its
    two sides can cross. Only the segments that do are fitted again, between the same ends and
    tangents. Where the points themselves cross, they are pulled back towards the pixels they
    were found from, which cannot.
    """
    crossing, before = _crossing(spliced), spliced
    for number, share in enumerate(_ROUNDS):
        if not crossing.any():
            break
        progress.step(number, len(_ROUNDS), "Parting curves that cross")
        if share < _UNTIL and spliced.base is not None:
            spliced, moved = _untangled(spliced, crossing)
            crossing |= moved
        spliced, fresh = _refitted(spliced, crossing, share * tolerance_px, few)
        # only what has changed, or lies beside it, can cross now
        crossing = _crossing(spliced, beside(spliced.controls, fresh))
    return spliced if spliced is before else rejoined(spliced, before, tolerance_px, progress=progress)


def _crossing(spliced, among=slice(None)):
    """(S,) bool: segments that cross another or themselves, with all pieces of their shape."""
    found = np.zeros(len(spliced.arc), bool)
    number = np.arange(len(found))[among]
    pairs = crossings(spliced.controls[number], spliced.straight[number])
    found[number[pairs.ravel()]] = True
    return _with_all_pieces(spliced, found)


def _with_all_pieces(spliced, found):
    shape = shapes_of(spliced)
    return np.logical_or.reduceat(found, shape[:-1])[ragged.owner(shape)] if len(found) else found


def _refitted(spliced, which, tolerance, few):
    """The segments marked fitted again, for tolerance 0 their points joined; and which are new."""
    shape = shapes_of(spliced)
    chosen = np.flatnonzero(which[shape[:-1]])
    head, tail = shape[chosen], shape[chosen + 1] - 1
    first, last = spliced.first[head], spliced.last[head]
    if tolerance > 0:
        leave = directions(spliced.controls[head, 1] - spliced.controls[head, 0])
        arrive = directions(spliced.controls[tail, 2] - spliced.controls[tail, 3])
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
    miss = with_pulled(spliced, new_first, new_last, miss)
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
