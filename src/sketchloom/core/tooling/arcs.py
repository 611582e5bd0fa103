"""Arcs instead of cubics, within a distance: machines run them without a flat.

Every smooth stretch of a path is taken by as few arcs as keep the distance, each going on with the tangent of the one
before (:mod:`~sketchloom.core.tooling.arc_search`).
"""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.curves.curveset import chord_counts, evaluate, segment_areas
from sketchloom.core.tooling.arc_search import fewest
from sketchloom.core.tooling.arc_spans import Course

_SAMPLES = 16
"""Places at least on a cubic at which an arc may end, its distance measured there and half way between (a cubic of a
fitted outline bends one way or has one inflection); a long one has more, so that chords between them stray by no more
than the arcs may. Twice as many saved 4 % of the arcs of two demo works for five times the time."""
_SMOOTH = 0.02
"""Tangents that differ by less, radians, are one: a fifth of what a machine tells as a corner."""
_FLAT = 1e-7
_AREA, _CLOSER, _BY = 0.0003, 6, 0.75
"""Share by which a sheet may be larger or smaller for being cut in arcs, a hair under what is promised, and how often
the distance is made less for it, by which share: small sheets of thin strips were off by 0.06 % at the distance that is
asked for."""


@dataclass(frozen=True, slots=True, eq=False)
class Arcs:
    """Arcs end to end: from ``begin`` (A, 2) to ``end`` (A, 2) mm about ``centre`` (A, 2); ``sweep`` (A,) radians,
    positive where it turns from x towards y, 0 for a straight line; ``starts`` (N + 1,) offsets of the paths."""

    begin: np.ndarray
    end: np.ndarray
    centre: np.ndarray
    sweep: np.ndarray
    starts: np.ndarray

    @property
    def bulge(self) -> np.ndarray:
        """Tangent of a quarter of the sweep, as drawing files have it."""
        return np.tan(self.sweep / 4)


def arcs_of(controls, straight, starts, within_mm: float = 0.005) -> Arcs:
    """Paths of cubics as arcs and lines within a distance; closed ones whose area that would change are taken closer.

    Parameters
    ----------
    controls : (S, 4, 2) cubics, those of a path end to end. straight : (S,) bool. starts : (N + 1,) offsets of the
    paths.
    """
    controls, straight, starts = np.asarray(controls, float), np.asarray(straight, bool), np.asarray(starts, np.intp)
    arcs = _fitted(controls, straight, starts, within_mm)
    for _ in range(_CLOSER):
        within_mm *= _BY
        off = np.flatnonzero(_area_is_off(arcs, controls, starts))
        if not len(off):
            break
        own, its = ragged.take(starts, off)
        arcs = _replaced(arcs, off, _fitted(controls[own], straight[own], its, within_mm))
    return arcs


def _area_is_off(arcs, controls, starts):
    """(N,) whether a path is closed and encloses another area than its cubics."""
    first, last = starts[:-1], np.maximum(starts[1:] - 1, starts[:-1])
    if not len(controls):
        return np.zeros(len(first), bool)
    closed = (starts[1:] > first) & (np.hypot(*(controls[last, 3] - controls[first % len(controls), 0]).T) < _FLAT)
    wanted = ragged.reduce_pieces(np.add, segment_areas(controls), starts)
    radius2 = ((arcs.begin - arcs.centre) ** 2).sum(1)
    (x, y), (u, v) = arcs.begin.T, arcs.end.T
    given = ragged.reduce_pieces(np.add, 0.5 * (x * v - u * y + radius2 * (arcs.sweep - np.sin(arcs.sweep))),
                                 arcs.starts)
    return closed & (np.abs(given - wanted) > _AREA * np.abs(wanted))


def _replaced(arcs, paths, closer):
    """Arcs with those of some paths in place of theirs."""
    owner, other = ragged.owner(arcs.starts), paths[ragged.owner(closer.starts)]
    kept = ~np.isin(owner, paths)
    every = np.concatenate([owner[kept], other])
    order = np.argsort(every, kind="stable")
    parts = (np.concatenate([getattr(arcs, name)[kept], getattr(closer, name)])[order]
             for name in ("begin", "end", "centre", "sweep"))
    return Arcs(*parts, np.searchsorted(every[order], np.arange(len(arcs.starts))))


def _fitted(controls, straight, starts, within_mm):
    if not len(controls):
        none = np.empty((0, 2))
        return Arcs(none, none, none, np.empty(0), starts)
    runs = _runs(controls, straight, starts)
    points, tangents, offsets, between = _sampled(controls, runs, within_mm)
    course = Course(points, tangents, offsets, np.stack([points, between], 1).reshape(-1, 2),
                    _at_corners(controls, runs, starts), within_mm)
    run, begin, end, centre, sweep = fewest(course)
    owner = np.searchsorted(starts, runs[run, 0], "right") - 1
    place = runs[run, 0].astype(float)
    lines = np.flatnonzero(straight)
    every = [np.concatenate(both) for both in (
        (begin, controls[lines, 0]), (end, controls[lines, 3]), (centre, controls[lines, 0]),
        (sweep, np.zeros(len(lines))), (owner, np.searchsorted(starts, lines, "right") - 1),
        (place, lines.astype(float)))]
    order = np.argsort(every[5], kind="stable")
    begin, end, centre, sweep, owner, _ = (one[order] for one in every)
    real = np.hypot(*(end - begin).T) > 1e-9
    begin, end, centre, sweep, owner = (one[real] for one in (begin, end, centre, sweep, owner))
    return Arcs(begin, end, centre, sweep, np.searchsorted(owner, np.arange(len(starts))))


def _runs(controls, straight, starts):
    """(R, 2) first and past-the-last cubic of every smooth stretch without a corner or a straight line."""
    curved = ~straight
    into, out = _tangents(controls)
    turn = np.abs(np.arctan2(into[:-1, 0] * out[1:, 1] - into[:-1, 1] * out[1:, 0], (into[:-1] * out[1:]).sum(1)))
    joined = np.zeros(len(controls), bool)
    joined[1:] = curved[1:] & curved[:-1] & (turn < _SMOOTH)
    joined[starts[(starts > 0) & (starts < len(controls))]] = False
    first = np.flatnonzero(curved & ~joined)
    past = np.append(np.flatnonzero(~joined), len(controls))
    return np.column_stack([first, past[np.searchsorted(past, first, "right")]]) if len(first) else np.empty(
        (0, 2), np.intp)


def _tangents(controls):
    """Unit tangents of cubics at their ends (into the next one) and at their beginnings."""
    legs = np.diff(controls, axis=1)
    long = np.hypot(legs[..., 0], legs[..., 1])
    ahead = np.where(long[:, 0, None] > _FLAT, legs[:, 0], np.where(long[:, 1, None] > _FLAT, legs[:, 1], legs[:, 2]))
    behind = np.where(long[:, 2, None] > _FLAT, legs[:, 2], np.where(long[:, 1, None] > _FLAT, legs[:, 1], legs[:, 0]))
    return tuple(v / np.maximum(np.hypot(v[:, 0], v[:, 1]), 1e-12)[:, None] for v in (behind, ahead))


def _at_corners(controls, runs, starts):
    """(R, 2) whether a path turns or ends where a run begins and ends, so that no neighbour asks for its tangent."""
    into, out = _tangents(controls)
    path = np.searchsorted(starts, runs[:, 0], "right") - 1
    first, past = starts[path], starts[path + 1]
    before = np.where(runs[:, 0] > first, runs[:, 0], past) - 1
    after = np.where(runs[:, 1] < past, runs[:, 1], first)

    def turns(one, other):
        apart = np.hypot(*(controls[other, 0] - controls[one, 3]).T) > _FLAT
        return apart | ((into[one] * out[other]).sum(1) < np.cos(_SMOOTH))

    return np.column_stack([turns(before, runs[:, 0]), turns(runs[:, 1] - 1, after)])


def _sampled(controls, runs, within):
    """Places (P, 2) with unit tangents (P, 2) along runs, and their offsets (R + 1,), ends of runs included; and the
    place half way to the next (P, 2), for an arc may stray where its ends do not."""
    if not len(runs):
        return np.empty((0, 2)), np.empty((0, 2)), np.zeros(1, np.intp), np.empty((0, 2))
    own = np.concatenate([np.arange(a, b) for a, b in runs.tolist()])
    cubics = runs[:, 1] - runs[:, 0]
    count = np.maximum(chord_counts(controls[own], within), _SAMPLES)
    starts = ragged.lengths_to_starts(count)
    of = ragged.owner(starts)
    t = ((np.arange(starts[-1]) - starts[of]) / count[of])[:, None]
    points, legs, u = evaluate(controls[own][of], t[:, 0]), np.diff(controls[own], axis=1)[of], 1 - t
    speed = legs[:, 0] * u**2 + 2 * legs[:, 1] * u * t + legs[:, 2] * t**2
    into, out = _tangents(controls[own])
    length = np.hypot(*speed.T)[:, None]
    speed = np.where((length > _FLAT) & (t > 0), speed / np.maximum(length, 1e-12), out[of])
    run_of = np.repeat(np.arange(len(runs)), cubics)
    offsets = ragged.lengths_to_starts(np.bincount(run_of, count, len(runs)).astype(np.intp) + 1)
    where = np.arange(len(points)) + run_of[of]
    xy, tangents, between = np.empty((3, offsets[-1], 2))
    xy[where], tangents[where] = points, speed
    between[where] = evaluate(controls[own][of], t[:, 0] + 0.5 / count[of])
    last = np.cumsum(cubics) - 1
    xy[offsets[1:] - 1], tangents[offsets[1:] - 1] = controls[runs[:, 1] - 1, 3], into[last]
    between[offsets[1:] - 1] = xy[offsets[1:] - 1]
    return xy, tangents, offsets, between
