"""Where curves begin and end on the polylines of arcs: corners, straight runs, round corners, seams of loops."""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.curves.corners import find_corners
from sketchloom.core.curves.exact_runs import RoundCorners, round_corners, settled, squared, with_corners
from sketchloom.core.curves.straights import straight_runs
from sketchloom.core.planar.junctions import Polylines

_LOOP_BREAKS = 4
"""A closed outline without corners is begun in so many places."""
BREAK, CORNER, LINE, ROUND = 1, 2, 4, 3
"""Bits of the marks; from bit ROUND on they hold the number of a round corner, counted from one."""


@dataclass(frozen=True, slots=True, eq=False)
class Broken:
    """Points of arcs with the places where curves end.

    ``points`` (N, 2) with corners and ends of lines put in place, loops turned to begin at a
    break and closed; ``starts`` (A + 1,); ``marks`` (N,) BREAK where curves end, CORNER where
    they end with a corner, LINE where a straight run begins; ``source`` (N,) the point of the
    polylines each comes from; ``plain`` (A,) loops without any mark; ``rounds`` round corners.
    """

    points: np.ndarray
    starts: np.ndarray
    marks: np.ndarray
    source: np.ndarray
    plain: np.ndarray
    rounds: RoundCorners


def with_breaks(lines: Polylines, tolerance, blur, scatter, recognise, axes=None) -> Broken:
    """Divide the polylines of arcs.

    ``recognise``: level lines and round corners are made exact. ``axes``: for halves of symmetric
    outlines, a point and the direction of each one's axis, and whether they begin on it, too.
    """
    corners = find_corners(lines, blur, scatter)
    xy = lines.xy.copy()
    count = len(xy)
    marks = np.zeros(count, np.int32)
    marks[corners.index] = BREAK | CORNER
    xy[corners.index] = corners.xy
    moved = Polylines(xy, lines.starts, lines.closed)
    keep = np.ones(count, bool)
    at = ragged.Neighbours(lines.starts, lines.closed)
    reach = 4 + int(np.ceil(3 * blur))
    for sign in (-1, 1):
        close = np.zeros(len(corners.index), bool)
        for k in range(reach, 0, -1):
            near = at(sign * k)[corners.index]
            # with a point, all between it and the corner go: some lie on the corner's other side
            close |= np.hypot(*(lines.xy[near] - corners.xy).T) < corners.clear_px
            keep[near[close]] = False
    runs = straight_runs(moved, marks > 0, tolerance, scatter, blur, ~keep)
    if axes is not None:
        runs = squared(moved, runs, tolerance, *axes)
    if recognise:
        runs = settled(moved, runs, marks > 0, tolerance)
    rounds = round_corners(moved, runs, marks if recognise else np.ones(count), tolerance)
    runs = with_corners(runs, rounds)
    xy[runs.first], xy[runs.last] = runs.begin, runs.end
    marks[rounds.first] |= (np.arange(len(rounds.first)) + 1) << ROUND
    marks[runs.first] |= BREAK | LINE
    marks[runs.last] |= BREAK
    marks[runs.last[runs.meets]] |= CORNER

    lengths = np.diff(lines.starts)
    ends = np.concatenate([lines.starts[:-1][lengths > 0], lines.starts[1:][lengths > 0] - 1])
    open_end = ends[~lines.closed[ragged.owner(lines.starts)[ends]]]
    marks[open_end] |= BREAK
    keep[marks > 0] = True
    marked = ragged.reduce_pieces(np.maximum, marks, lines.starts, empty=0) > 0
    points, starts, marks, source = _turn_loops(lines, xy, keep, marks)
    return Broken(points, starts, marks, np.flatnonzero(keep)[source], lines.closed & ~marked, rounds)


def _turn_loops(lines, xy, keep, marks):
    arc = ragged.owner(lines.starts)[keep]
    xy, marks = xy[keep], marks[keep]
    starts = np.searchsorted(arc, np.arange(len(lines.starts)))
    lengths = np.diff(starts)
    seam = marks & (CORNER | LINE) > 0
    breaks = ragged.reduce_pieces(np.add, (marks & BREAK > 0).astype(np.intp), starts, empty=0)
    local = np.arange(len(xy)) - starts[arc]
    first_seam = ragged.reduce_pieces(np.minimum, np.where(seam, local, len(xy)), starts, empty=0)
    turn = np.where(lines.closed & (breaks > 0), first_seam, 0)
    brk = marks & BREAK > 0
    # loops without breaks: even ones
    smooth_loop = lines.closed & (breaks == 0)
    quarter = (local * _LOOP_BREAKS) // np.maximum(lengths[arc], 1)
    before = ((local - 1) * _LOOP_BREAKS) // np.maximum(lengths[arc], 1)
    brk |= smooth_loop[arc] & (quarter != before)
    # a loop with one break needs one more to have a chord
    lone = lines.closed & (breaks == 1)
    opposite = (first_seam + lengths // 2) % np.maximum(lengths, 1)
    brk |= lone[arc] & (local == opposite[arc])
    # so does an arc that comes back to the node it left
    full = np.flatnonzero(lengths > 2)
    returns = np.zeros(len(lengths), bool)
    returns[full] = ~lines.closed[full] & (xy[starts[full]] == xy[starts[full + 1] - 1]).all(1)
    brk |= (returns & (breaks == 2))[arc] & (local == (lengths // 2)[arc])
    marks = marks | brk * BREAK

    out = ragged.lengths_to_starts(lengths + lines.closed)
    out_arc = ragged.owner(out)
    out_local = np.arange(out[-1]) - out[out_arc]
    source = starts[out_arc] + (out_local + turn[out_arc]) % np.maximum(lengths, 1)[out_arc]
    out_marks = marks[source]
    # the closing copy of a loop's first point ends a span and begins none
    closing = out[1:][lines.closed & (lengths > 0)] - 1
    out_marks[closing] &= BREAK | CORNER
    return xy[source], out, out_marks, source
