"""Groups of arcs on their way from polylines to cubics: each is divided, fitted and put together by itself, except at
junctions."""

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.curves.breaks import BREAK, CORNER, LINE, ROUND, with_breaks
from sketchloom.core.curves.loops import exact_loops
from sketchloom.core.curves.spans import Spans
from sketchloom.core.curves.symmetric_runs import symmetric_runs
from sketchloom.core.curves.symmetry import mirrored, symmetric_halves
from sketchloom.core.curves.tangents import end_tangent, local_tangent

_SEEN = np.radians(0.5)
"""A bend of less than half a degree is not seen."""
AT_NODES = ("arc", "at_start", "at_end", "leave", "arrive", "smooth_first", "smooth_last")
"""What a part says of the ends of its spans, which junctions then settle."""


class Part:
    """A group of arcs, worked on by itself except where junctions join it to others."""

    axes = None

    def __init__(self, lines, arcs):
        self.lines, self.arcs = lines, arcs

    def divide(self, tolerance, blur, scatter, recognise):
        """Find corners, straight runs and exact loops, and the tangents at the ends of what is to be fitted.

        Returns the halves of symmetric loops, which are fitted by themselves.
        """
        lines = self.lines
        broken = with_breaks(lines, tolerance, blur, scatter, recognise, self.axes)
        self.points, self.starts, self.rounds = broken.points, broken.starts, broken.rounds
        self.base = None if lines.base is None else lines.base[broken.source]
        self.loops = exact_loops(lines, broken.plain & recognise, tolerance)
        first, last, arc = _spans_between(self.starts, broken.marks & BREAK > 0)
        halves = self._symmetric(broken, first, arc, tolerance, blur, scatter, recognise)
        to_fit = ~np.isin(arc, np.concatenate([self.loops.arc, halves.arc]))
        self._tangents(broken.marks, first[to_fit], last[to_fit], arc[to_fit])
        return halves

    def symmetric_runs(self, tolerance, blur, scatter, make):
        """Open arcs that are symmetric, taken out of this part as one of their own, which ``make`` makes; None when
        there are none.

        Directions at the nodes are settled by now. Where an arc runs on smoothly at one, it must leave both alike,
        within a joint that no one sees.
        """
        arcs = np.unique(self.arc)
        local = np.zeros(len(self.arcs), bool)
        local[np.searchsorted(self.arcs, arcs)] = True
        local[self.round_arc] = False
        spans = np.bincount(np.searchsorted(self.arcs, self.arc), minlength=len(self.arcs))
        curved = np.bincount(np.searchsorted(self.arcs, self.arc), ~self.line, minlength=len(self.arcs)) > 0
        halves = symmetric_runs(self.lines, local & curved, tolerance)
        if len(halves) == 0:
            return None
        first, last = np.full(len(self.arcs), -1), np.full(len(self.arcs), -1)
        own = np.searchsorted(self.arcs, self.arc)
        first[own[self.first == self.starts[own]]] = np.flatnonzero(self.first == self.starts[own])
        last[own[self.last == self.starts[own + 1] - 1]] = np.flatnonzero(self.last == self.starts[own + 1] - 1)
        begin, end = first[halves.arc], last[halves.arc]
        leave, arrive = self.leave[begin], mirrored(self.arrive[end], np.zeros(2), halves.axis)
        smooth = self.smooth_first[begin] | self.smooth_last[end]
        alike = (leave * arrive).sum(1) >= np.cos(_SEEN)
        # corners within the arc would have to pair off; only arcs without are taken
        plain = (spans[halves.arc] == 1) | ~self._has_corner(halves.arc)
        use = np.flatnonzero((begin >= 0) & (end >= 0) & (alike | ~smooth) & plain)
        if len(use) == 0:
            return None
        taken = halves.some(use)
        direction = leave[use] + arrive[use]
        direction /= np.hypot(*direction.T)[:, None]
        made = make(
            taken,
            self.arcs[taken.arc],
            np.where(smooth[use, None], direction, np.nan),
            self.lines.xy[self.lines.starts[taken.arc + 1] - 1],
        )
        self._leave_out(np.isin(self.arc, made.arcs))
        made.divide(tolerance, blur, scatter, True)
        return made

    def _has_corner(self, arcs):
        inner = np.zeros(len(self.arcs), bool)
        own = np.searchsorted(self.arcs, self.arc)
        inside = (self.first != self.starts[own]) & ~self.smooth_first
        inner[own[inside]] = True
        return inner[arcs]

    def _leave_out(self, gone):
        for name in ("first", "last", "line", *AT_NODES):
            setattr(self, name, getattr(self, name)[~gone])

    def _symmetric(self, broken, first, arc, tolerance, blur, scatter, recognise):
        """Halves of the loops that are symmetric and not made of lines and round corners alone."""
        free = np.bincount(arc, broken.marks[first] & LINE == 0, len(self.arcs)) - np.bincount(
            arc, broken.marks[first] >> ROUND > 0, len(self.arcs)) > 0
        free[self.loops.arc] = False
        return symmetric_halves(self.lines, free & recognise, tolerance, blur, scatter)

    def _tangents(self, marks, first, last, arc):
        points, starts, lines = self.points, self.starts, self.lines
        is_corner = marks & CORNER > 0
        closed = lines.closed[arc]
        # where a closed loop without corners meets itself it runs on like anywhere else
        ring_first, ring_last = starts[arc], starts[arc + 1] - 1
        wraps = closed & ~is_corner[ring_first]
        smooth_first = ~is_corner[first] & ((first != ring_first) | wraps)
        smooth_last = ~is_corner[last] & ((last != ring_last) | wraps)
        leave = end_tangent(points, first, last)
        arrive = end_tangent(points, last, first)
        _share_loop_tangents(points, starts, arc, first, last, smooth_first, smooth_last, leave, arrive)
        line = marks[first] & LINE > 0
        _follow_lines(points, first, last, arc, line, wraps, smooth_first, smooth_last, leave, arrive)
        number = np.where(line, 0, marks[first] >> ROUND)
        made = np.flatnonzero(number)
        self.round_number, self.round_ends, self.round_arc = number[made] - 1, (first[made], last[made]), arc[made]
        free = number == 0
        self.first, self.last, self.line = first[free], last[free], line[free]
        self.arc, self.leave, self.arrive = self.arcs[arc[free]], leave[free], arrive[free]
        self.smooth_first, self.smooth_last = smooth_first[free], smooth_last[free]
        self.at_start = (~closed & (first == ring_first) & ~line)[free]
        self.at_end = (~closed & (last == ring_last) & ~line)[free]

    def spans(self, offset):
        """What is to be fitted, its points counted from ``offset``."""
        return Spans(
            self.first + offset,
            self.last + offset,
            self.leave,
            self.arrive,
            self.smooth_first,
            self.smooth_last,
            self.line,
        )

    def take(self, fitted, tolerance):
        """Put fitted spans, exact loops and round corners together."""
        arc = np.searchsorted(self.starts, fitted.spans.first, side="right") - 1
        cubics, starts = self.rounds.cubics()
        piece, starts = ragged.take(starts, self.round_number)
        of = ragged.owner(starts)
        four = np.repeat(self.loops.arc, 4)
        def join(*parts):
            return np.concatenate(parts)
        self.owner = self.arcs[join(arc, four, self.round_arc[of])]
        self.segment_first = join(fitted.spans.first, self.starts[four], self.round_ends[0][of])
        # nodes of what was settled together lie beside the points they were found at
        self.points[fitted.spans.first], self.points[fitted.spans.last] = fitted.controls[:, 0], fitted.controls[:, 3]
        self.segment_last = join(fitted.spans.last, self.starts[four + 1] - 1, self.round_ends[1][of])
        self.controls = join(fitted.controls, self.loops.controls.reshape(-1, 4, 2), cubics[piece])
        self.straight = np.pad(fitted.straight, (0, len(four) + len(piece)))
        self.miss = join(fitted.miss, np.repeat(self.loops.miss, 4), self.rounds.miss[self.round_number][of])


def _follow_lines(points, first, last, arc, forced, wraps, smooth_first, smooth_last, leave, arrive):
    """Curves leave a straight run in its direction."""
    line = np.flatnonzero(forced)
    chord = points[last[line]] - points[first[line]]
    unit = chord / np.maximum(np.hypot(*chord.T), 1e-12)[:, None]
    leave[line], arrive[line] = unit, -unit
    count = len(first)
    follows = np.full(count, -1)
    same = np.flatnonzero(arc[1:] == arc[:-1])
    follows[same] = same + 1
    ring_begin = np.flatnonzero(np.diff(arc, prepend=-1))
    ring_end = np.append(ring_begin[1:], count) - 1
    round_ = wraps[ring_begin]
    follows[ring_end[round_]] = ring_begin[round_]
    after = follows[line]
    use = (after >= 0) & smooth_last[line]
    free = use & ~forced[after]
    leave[after[free]] = unit[free]
    before = np.full(count, -1)
    known = np.flatnonzero(follows >= 0)
    before[follows[known]] = known
    ahead = before[line]
    use = (ahead >= 0) & smooth_first[line]
    free = use & ~forced[ahead]
    arrive[ahead[free]] = -unit[free]


def _spans_between(starts, is_break):
    at = np.flatnonzero(is_break)
    arc = np.searchsorted(starts, at, side="right") - 1
    same = arc[:-1] == arc[1:]
    return at[:-1][same], at[1:][same], arc[:-1][same]


def _share_loop_tangents(points, starts, arc, first, last, smooth_first, smooth_last, leave, arrive):
    """One tangent for both spans at the smooth breaks of loops, seen from both sides."""
    at_seam = smooth_first & (first == starts[arc])
    inner = smooth_first & ~at_seam
    tangent = local_tangent(points, first, starts[arc], starts[arc + 1] - 1)
    leave[inner] = tangent[inner]
    arrive[:-1][inner[1:]] = -tangent[1:][inner[1:]]
    seam = np.flatnonzero(at_seam)
    if len(seam) == 0:
        return
    # the seam's neighbours lie at both ends of the ring: lay them out in a row
    reach = 9
    ring = arc[seam]
    size = starts[ring + 1] - starts[ring] - 1
    offset = np.arange(-reach, reach + 1)
    row = points[starts[ring][:, None] + offset % size[:, None]].reshape(-1, 2)
    width = 2 * reach + 1
    begin = np.arange(len(seam)) * width
    half = np.minimum(reach, size // 3)
    shared = local_tangent(row, begin + reach, begin + reach - half, begin + reach + half, reach)
    leave[seam] = shared
    closing = np.searchsorted(last, starts[ring + 1] - 1)
    arrive[closing] = -shared
