"""From polylines of arcs to fitted curves: breaks, tangents, cubics."""

import numpy as np

from sketchloom.core import parallel, ragged
from sketchloom.core.curves.breaks import BREAK, CORNER, LINE, ROUND, with_breaks
from sketchloom.core.curves.curveset import CurveSet, evaluate, line_controls
from sketchloom.core.curves.fit import Spans, end_tangent, fit_spans, local_tangent
from sketchloom.core.curves.loops import exact_loops
from sketchloom.core.curves.mending import Spliced, without_crossings
from sketchloom.core.curves.straights import scatter_of
from sketchloom.core.curves.symmetry import mirrored, symmetric_halves, symmetric_runs
from sketchloom.core.planar.junctions import Polylines
from sketchloom.core.planar.planar_map import PlanarMap
from sketchloom.core.progress import QUIET

DEFAULT_TOLERANCE_PX = 0.1
_PER_SCATTER, _LARGEST_TOLERANCE_PX = 8.5, 0.5
_PART_POINTS = 60_000
"""Smaller parts spend their time on the calls, larger ones leave cores idle."""
_SEEN = np.radians(0.5)
_RUN_ON = np.cos(np.radians(32.0))
"""Two arcs of a junction run on into each other when they turn by less than this."""


def fitting_tolerance(lines: Polylines, noisy: bool) -> float:
    """Distance, px, within which curves should keep to the boundary points.

    Grain and compression push points aside over lengths of several pixels; a curve that
    followed them would be no closer to the drawing, only bumpier.
    """
    if not noisy:
        return DEFAULT_TOLERANCE_PX
    return float(np.clip(DEFAULT_TOLERANCE_PX + _PER_SCATTER * scatter_of(lines), DEFAULT_TOLERANCE_PX, _LARGEST_TOLERANCE_PX))


def fit_arcs(planar: PlanarMap, lines: Polylines, tolerance_px: float = DEFAULT_TOLERANCE_PX, *,
             blur_px: float = 0.0, recognise: bool = True, progress=QUIET) -> CurveSet:
    """Fit every arc once, for both faces beside it.

    Parameters
    ----------
    planar : gives which arcs meet at which node.
    lines : the arcs' sub-pixel polylines.
    tolerance_px : greatest distance of the boundary from its curve, > 0, as in ``fit_spans``.

    blur_px : standard deviation of the picture's blur, which rounds corners.
    recognise : whether circles, ellipses, symmetric loops, level lines and round corners between
        lines are made exact.

    Returns
    -------
    CurveSet
        One or more cubics an arc, in the arcs' order and direction.

    Raises
    ------
    GeometryError : points that are not finite. Cancelled : the caller asked to stop.
    """
    scatter = scatter_of(lines)
    cuts = parallel.even_cuts(lines.starts, _PART_POINTS)
    parts = [_Part(lines.part(a, b), np.arange(a, b)) for a, b in zip(cuts[:-1].tolist(), cuts[1:].tolist())]
    if not parts:
        return CurveSet(np.empty((0, 4, 2)), np.empty(0, bool), np.empty(0), np.zeros(1, np.intp))
    found = parallel.in_threads(lambda part: part.divide(tolerance_px, blur_px, scatter, recognise), parts)
    halves = [_Mirrored(h, part.arcs[h.arc]) for h, part in zip(found, parts) if len(h)]
    parallel.in_threads(lambda half: half.divide(tolerance_px, blur_px, scatter, recognise), halves)
    parts += halves
    # junctions join arcs of all parts
    joined = {name: np.concatenate([getattr(p, name) for p in parts]) for name in _AT_NODES}
    _run_through_nodes(planar, **joined)
    sizes = np.cumsum([len(p.arc) for p in parts])[:-1]
    for name in _AT_NODES:
        for part, values in zip(parts, np.split(joined[name], sizes)):
            setattr(part, name, values)
    if recognise:
        runs = parallel.in_threads(lambda part: part.symmetric_runs(tolerance_px, blur_px, scatter), [p for p in parts if p.axes is None])
        parts += [run for run in runs if run is not None]
    _fit_parts(parts, tolerance_px, progress)
    spliced = _put_together(parts, planar)
    return without_crossings(spliced, tolerance_px, progress=progress).curves(planar.arc_count)


def fit_strokes(lines: Polylines, tolerance_px: float) -> CurveSet:
    """Fit lines that belong to no map, such as the middles of strokes; they may cross.

    Parameters and result as of ``fit_arcs``; nothing is made exact.
    """
    part = _Part(lines, np.arange(len(lines.closed)))
    part.divide(tolerance_px, 0.0, scatter_of(lines), False)
    _fit_parts([part], tolerance_px, QUIET)
    order = np.lexsort((part.segment_first, part.owner))
    starts = np.searchsorted(part.owner[order], np.arange(len(lines.closed) + 1))
    return CurveSet(part.controls[order], part.straight[order], part.miss[order], starts)


def _fit_parts(parts, tolerance_px, progress):
    """Fit the spans of all parts; small parts in one go, since their time would go into the calls."""
    size = ragged.lengths_to_starts([len(p.points) for p in parts])
    cuts = parallel.even_cuts(size, _PART_POINTS)
    groups = [parts[a:b] for a, b in zip(cuts[:-1].tolist(), cuts[1:].tolist())]

    def fit(group):
        offset = ragged.lengths_to_starts([len(p.points) for p in group])
        spans = Spans.join([p.spans(o) for p, o in zip(group, offset.tolist())])
        fitted = fit_spans(np.concatenate([p.points for p in group]), spans, tolerance_px, progress=progress)
        ends = np.searchsorted(fitted.spans.first, offset)
        for part, o, a, b in zip(group, offset.tolist(), ends[:-1].tolist(), ends[1:].tolist()):
            part.take(fitted.part(a, b, o), tolerance_px)

    parallel.in_threads(fit, groups)


_AT_NODES = ("arc", "at_start", "at_end", "leave", "arrive", "smooth_first", "smooth_last")


class _Part:
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

    def symmetric_runs(self, tolerance, blur, scatter):
        """Open arcs that are symmetric, taken out of this part as one of their own; None when there are none.

        Directions at the nodes are settled by now. Where an arc runs on smoothly at one, it must leave both alike, within a joint that no one sees.
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
        made = _MirroredRuns(taken, self.arcs[taken.arc], np.where(smooth[use, None], direction, np.nan), self.lines.xy[self.lines.starts[taken.arc + 1] - 1])
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
        for name in ("first", "last", "line", *_AT_NODES):
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
        return Spans(self.first + offset, self.last + offset, self.leave, self.arrive, self.smooth_first, self.smooth_last, self.line)

    def take(self, fitted, tolerance):
        """Put fitted spans, exact loops and round corners together."""
        arc = np.searchsorted(self.starts, fitted.spans.first, side="right") - 1
        cubics, starts = self.rounds.cubics()
        piece, starts = ragged.take(starts, self.round_number)
        of = ragged.owner(starts)
        four = np.repeat(self.loops.arc, 4)
        join = lambda *parts: np.concatenate(parts)  # noqa: E731
        self.owner = self.arcs[join(arc, four, self.round_arc[of])]
        self.segment_first = join(fitted.spans.first, self.starts[four], self.round_ends[0][of])
        self.segment_last = join(fitted.spans.last, self.starts[four + 1] - 1, self.round_ends[1][of])
        self.controls = join(fitted.controls, self.loops.controls.reshape(-1, 4, 2), cubics[piece])
        self.straight = np.pad(fitted.straight, (0, len(four) + len(piece)))
        self.miss = join(fitted.miss, np.repeat(self.loops.miss, 4), self.rounds.miss[self.round_number][of])


class _Mirrored(_Part):
    """Halves of symmetric loops: fitted as open arcs, then completed by their mirror images."""

    def __init__(self, halves, arcs):
        super().__init__(halves.lines, arcs)
        self.halves = halves
        self.axes = halves.centre, halves.axis

    def divide(self, tolerance, blur, scatter, recognise):
        super().divide(tolerance, blur, scatter, recognise)
        # the ends lie on the axis, not at nodes; without a corner the outline crosses it squarely
        for ends, smooth, towards, corner in ((self.at_start, self.smooth_first, self.leave, 0),
                                              (self.at_end, self.smooth_last, self.arrive, 1)):
            end = np.flatnonzero(ends)
            half = np.searchsorted(self.arcs, self.arc[end])
            axis = self.halves.axis[half]
            square = np.stack([-axis[:, 1], axis[:, 0]], -1)
            square *= np.sign((square * towards[end]).sum(1))[:, None]
            plain = ~self.halves.corner[half, corner]
            towards[end[plain]], smooth[end[plain]] = square[plain], True
            ends[:] = False

    def take(self, fitted, tolerance):
        super().take(fitted, tolerance)
        self._meet(tolerance)
        points = np.split(self.points, self.starts[1:-1])
        rings = [self._completed(k, points[k]) for k in range(len(self.arcs))]
        names = ("owner", "controls", "straight", "miss", "segment_first", "segment_last", "points")
        starts = ragged.lengths_to_starts([len(ring[-1]) for ring in rings])
        for name, values in zip(names, zip(*rings)):
            setattr(self, name, np.concatenate([v + o if name.startswith("segment") else v for v, o in zip(values, starts)]))
        self.starts = starts

    def _meet(self, tolerance):
        """What holds for all halves at once where they cross the axis."""

    def _completed(self, k, points):
        """One half with its mirror image: segments, their points' numbers within the loop, and the points."""
        centre, axis, corner = self.halves.centre[k], self.halves.axis[k], self.halves.corner[k]
        mine = np.flatnonzero(self.owner == self.arcs[k])
        mine = mine[np.argsort(self.segment_first[mine], kind="stable")]
        controls, straight, miss = self.controls[mine].copy(), self.straight[mine], self.miss[mine]
        image = mirrored(controls, centre, axis)[::-1, ::-1].copy()
        image[0, 0], image[-1, 3] = controls[-1, 3], controls[0, 0]  # the halves meet bit for bit
        first, last = self.segment_first[mine] - self.starts[k], self.segment_last[mine] - self.starts[k]
        round_ = 2 * (len(points) - 1)
        firsts, lasts = np.concatenate([first, round_ - last[::-1]]), np.concatenate([last, round_ - first[::-1]])
        every = np.concatenate([controls, image])
        straight, miss = np.concatenate([straight, straight[::-1]]), np.concatenate([miss, miss[::-1]])
        points = np.concatenate([points[:-1], mirrored(points[:0:-1], centre, axis)])
        # a line that crosses the axis squarely is one with its image
        if straight[len(mine) - 1] and not corner[1]:
            every, straight, miss, firsts, lasts = _one_line(len(mine) - 1, every, straight, miss, firsts, lasts)
        if straight[0] and not corner[0] and len(every) > 2:
            turn = lasts[0]
            every, straight, miss = (np.roll(v, -1, axis=0) for v in (every, straight, miss))
            firsts, lasts = np.roll(firsts, -1) - turn, np.roll(lasts, -1) - turn
            firsts[-1], lasts[-1] = round_ - turn, round_
            every, straight, miss, firsts, lasts = _one_line(len(every) - 2, every, straight, miss, firsts, lasts)
            points = np.roll(points, -turn, axis=0)
        return (np.full(len(every), self.arcs[k]), every, straight, miss, firsts, lasts,
                np.concatenate([points, points[:1]]))


class _MirroredRuns(_Mirrored):
    """Halves of symmetric open arcs, from their first node to the axis. ``leave``: direction at that node, NaN where it is free;
    ``stop`` (K, 2) their other nodes."""

    def __init__(self, halves, arcs, leave, stop):
        super().__init__(halves, arcs)
        self._leave, self._stop = leave, stop

    def divide(self, tolerance, blur, scatter, recognise):
        _Part.divide(self, tolerance, blur, scatter, recognise)
        half = np.searchsorted(self.arcs, self.arc)
        end, begin = np.flatnonzero(self.at_end), np.flatnonzero(self.at_start)
        axis = self.halves.axis[half[end]]
        square = np.stack([-axis[:, 1], axis[:, 0]], -1)
        square *= np.sign((square * self.arrive[end]).sum(1))[:, None]
        self.arrive[end], self.smooth_last[end] = square, True
        given = np.isfinite(self._leave[half[begin], 0])
        self.leave[begin[given]], self.smooth_first[begin[given]] = self._leave[half[begin[given]]], True
        self.at_start[:] = self.at_end[:] = False

    def _completed(self, k, points):
        centre, axis = self.halves.centre[k], self.halves.axis[k]
        mine = np.flatnonzero(self.owner == self.arcs[k])
        mine = mine[np.argsort(self.segment_first[mine], kind="stable")]
        controls, straight, miss = self.controls[mine].copy(), self.straight[mine], self.miss[mine]
        image = mirrored(controls, centre, axis)[::-1, ::-1].copy()
        image[0, 0] = controls[-1, 3]
        image[-1, 3] = self._stop[k]  # bit for bit
        first, last = self.segment_first[mine] - self.starts[k], self.segment_last[mine] - self.starts[k]
        whole = 2 * (len(points) - 1)
        firsts, lasts = np.concatenate([first, whole - last[::-1]]), np.concatenate([last, whole - first[::-1]])
        every, straight, miss = np.concatenate([controls, image]), np.concatenate([straight, straight[::-1]]), np.concatenate([miss, miss[::-1]])
        points = np.concatenate([points[:-1], mirrored(points[:0:-1], centre, axis), self._stop[k][None]])
        middle = len(mine) - 1
        if straight[middle]:  # a line that crosses the axis squarely is one with its image
            every, straight, miss, firsts, lasts = _one_line(middle, every, straight, miss, firsts, lasts)
        elif miss[middle] + self._off[k] <= self._tolerance:
            every[middle, 1:3], every[middle, 3] = self._one[k, 1:3], every[middle + 1, 3]  # the end may be a node, and stays it bit for bit
            lasts[middle], miss[middle] = lasts[middle + 1], miss[middle] + self._off[k]
            every, straight, miss, firsts, lasts = (np.delete(v, middle + 1, axis=0) for v in (every, straight, miss, firsts, lasts))
        return np.full(len(every), self.arcs[k]), every, straight, miss, firsts, lasts, points

    def _meet(self, tolerance):
        self._tolerance = tolerance
        order = np.lexsort((self.segment_first, self.owner))
        last = order[np.searchsorted(self.owner[order], self.arcs, side="right") - 1]
        self._one, self._off = _across_axes(self.controls[last], self.halves.centre, self.halves.axis)


def _across_axes(left, centre, axis):
    """For cubics (K, 4, 2) that end on their axes, one cubic in place of each and its image, through their common point, and how far it is off, px;
    infinitely far where there is none."""
    image = mirrored(left, centre[:, None], axis[:, None])
    a, b = left[:, 0], image[:, 0]
    u = left[:, 1] - a
    size = np.hypot(*u.T)
    u = u / np.maximum(size, 1e-9)[:, None]
    back = mirrored(u, np.zeros(2), axis)
    rise = ((left[:, 3] - 0.5 * (a + b)) * axis).sum(1)
    share = ((u + back) * axis).sum(1)
    good = (size >= 1e-9) & (np.abs(share) >= 1e-6)
    reach = 8 / 3 * rise / np.where(good, share, 1.0)
    good &= reach > 0
    one = np.stack([a, a + reach[:, None] * u, b + reach[:, None] * back, b], 1)
    t = np.linspace(0, 1, 17)
    dense, own = evaluate(one[:, None], np.linspace(0, 0.5, 65)[None]), evaluate(left[:, None], t[None])
    away = np.hypot(*np.moveaxis(own[:, :, None] - dense[:, None], -1, 0)).min(2).max(1)
    return one, np.where(good, away, np.inf)


def _one_line(at, controls, straight, miss, first, last):
    """Segments with that at ``at`` and the one after it joined to one line."""
    controls, last = controls.copy(), last.copy()
    controls[at], last[at] = line_controls(controls[at, 0], controls[at + 1, 3]), last[at + 1]
    return (*(np.delete(v, at + 1, axis=0) for v in (controls, straight, miss, first)), np.delete(last, at + 1))


def _put_together(parts, planar):
    """Fitted spans, exact loops and round corners in the order of the arcs, with their points."""
    every = lambda name: np.concatenate([getattr(p, name) for p in parts])  # noqa: E731
    offset = ragged.lengths_to_starts([len(p.points) for p in parts])
    shifted = lambda name: np.concatenate([getattr(p, name) + o for p, o in zip(parts, offset)])  # noqa: E731
    owner, first = every("owner"), shifted("segment_first")
    order = np.lexsort((first, owner))
    starts = np.append(np.concatenate([p.starts[:-1] + o for p, o in zip(parts, offset)]), offset[-1])
    ring_arc = every("arcs")
    base = None if parts[0].base is None else np.concatenate([p.points if p.base is None else p.base for p in parts])
    together = _moving_together(planar, starts, ring_arc)
    if base is not None:
        # halves have no places in the pixel grid of their own; where they end at a node it is the node's, as for all who meet there
        joint = np.flatnonzero(together >= 0)
        _, first_of, group = np.unique(together[joint], return_index=True, return_inverse=True)
        base[joint] = base[joint[first_of[group]]]
    return Spliced(every("controls")[order], every("straight")[order], every("miss")[order], owner[order],
                   first[order], shifted("segment_last")[order], every("points"), base, starts, ring_arc,
                   together)


def _moving_together(planar, starts, ring_arc):
    """(N,) number shared by points that are one place: ends of arcs at a node, seams of loops; -1 elsewhere."""
    group = np.full(starts[-1], -1)
    rings = np.flatnonzero(np.diff(starts) > 0)
    first, last, arcs = starts[rings], starts[rings + 1] - 1, ring_arc[rings]
    closed = planar.closed[arcs]
    group[first] = np.where(closed, len(planar.node_xy) + rings, planar.start_node[arcs])
    group[last] = np.where(closed, len(planar.node_xy) + rings, planar.end_node[arcs])
    return group


def chords(lines: Polylines) -> CurveSet:
    """Every other point of the polylines joined by straight segments: no fitting, for a quick look."""
    arc = ragged.owner(lines.starts)
    local = np.arange(len(lines.xy)) - lines.starts[arc]
    last = (np.diff(lines.starts) - 1)[arc]
    few = lines.closed[arc] & (last < 8)
    kept = np.flatnonzero(few | (local % 2 == 0) | (~lines.closed[arc] & (local == last)))
    xy, arc = lines.xy[kept], arc[kept]
    starts = np.searchsorted(arc, np.arange(len(lines.starts)))
    lengths = np.diff(starts)
    segments = ragged.lengths_to_starts(np.where(lines.closed, lengths, np.maximum(lengths - 1, 0)))
    arc = ragged.owner(segments)
    local = np.arange(segments[-1]) - segments[arc]
    begin = xy[starts[arc] + local]
    end = xy[starts[arc] + (local + 1) % np.maximum(lengths, 1)[arc]]
    return CurveSet(line_controls(begin, end), np.ones(len(arc), bool), np.zeros(len(arc)), segments)


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


def _run_through_nodes(planar, arc, at_start, at_end, leave, arrive, smooth_first, smooth_last):
    """Give the two arcs of a junction that are most nearly collinear one tangent."""
    begin, end = np.flatnonzero(at_start), np.flatnonzero(at_end)
    node = np.concatenate([planar.start_node[arc[begin]], planar.end_node[arc[end]]])
    if len(node) == 0:
        return
    span = np.concatenate([begin, end])
    is_end = np.concatenate([np.zeros(len(begin), bool), np.ones(len(end), bool)])
    direction = np.concatenate([leave[begin], arrive[end]])
    table = np.full((len(planar.node_xy), 4), -1, np.intp)
    order = np.argsort(node, kind="stable")
    slot = np.arange(len(node)) - np.searchsorted(node[order], node[order])
    table[node[order], slot] = order
    pairs = [(0, 1), (0, 2), (1, 2), (0, 3), (1, 3), (2, 3)]
    cosine = np.stack([
        np.where((table[:, i] >= 0) & (table[:, j] >= 0),
                 (direction[table[:, i]] * direction[table[:, j]]).sum(1), 1.0)
        for i, j in pairs
    ])
    best = cosine.argmin(0)
    chosen = np.flatnonzero((cosine.min(0) < -_RUN_ON) & (planar.node_degree > 2))
    if len(chosen) == 0:
        return
    pair = np.array(pairs)[best[chosen]]
    one, two = table[chosen, pair[:, 0]], table[chosen, pair[:, 1]]
    shared = direction[one] - direction[two]
    shared /= np.hypot(shared[:, 0], shared[:, 1])[:, None]
    for ends, value in ((one, shared), (two, -shared)):
        leaving, arriving = ends[~is_end[ends]], ends[is_end[ends]]
        leave[span[leaving]] = value[~is_end[ends]]
        arrive[span[arriving]] = value[is_end[ends]]
        smooth_first[span[leaving]] = True
        smooth_last[span[arriving]] = True
