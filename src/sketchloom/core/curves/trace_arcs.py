"""From polylines of arcs to fitted curves: breaks, tangents, cubics."""

import numpy as np

from sketchloom.core import parallel, ragged
from sketchloom.core.curves.corners import find_corners
from sketchloom.core.curves.curveset import CurveSet, line_controls
from sketchloom.core.curves.exact_runs import round_corners, settled, with_corners
from sketchloom.core.curves.fit import Spans, end_tangent, fit_spans, local_tangent
from sketchloom.core.curves.loops import exact_loops
from sketchloom.core.curves.straights import scatter_of, straight_runs
from sketchloom.core.planar.junctions import Polylines
from sketchloom.core.planar.planar_map import PlanarMap
from sketchloom.core.progress import QUIET

DEFAULT_TOLERANCE_PX = 0.1
_PER_SCATTER, _LARGEST_TOLERANCE_PX = 8.5, 0.5
_LOOP_BREAKS = 4
_PART_POINTS = 100_000
"""Smaller parts spend their time on the calls, larger ones leave cores idle."""
BREAK, CORNER, LINE, ROUND = 1, 2, 4, 3
"""Bits of the marks; from bit ROUND on they hold the number of a round corner, counted from one."""
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
    recognise : whether circles, ellipses, level lines and round corners between lines are made exact.

    Returns
    -------
    CurveSet
        One or more cubics an arc, in the arcs' order and direction.

    Raises
    ------
    GeometryError : points that are not finite. Cancelled : the caller asked to stop.
    """
    cuts = parallel.even_cuts(lines.starts, _PART_POINTS)
    parts = [_Part(lines.part(a, b), a) for a, b in zip(cuts[:-1].tolist(), cuts[1:].tolist())]
    scatter = scatter_of(lines)
    parallel.in_threads(lambda part: part.divide(tolerance_px, blur_px, scatter, recognise), parts)
    # junctions join arcs of all parts
    joined = {name: np.concatenate([getattr(p, name) for p in parts]) for name in _AT_NODES} if parts else {}
    if parts:
        _run_through_nodes(planar, **joined)
    sizes = np.cumsum([len(p.arc) for p in parts])[:-1]
    for name in _AT_NODES:
        for part, values in zip(parts, np.split(joined[name], sizes) if parts else ()):
            setattr(part, name, values)
    parallel.in_threads(lambda part: part.fit(tolerance_px, progress), parts)
    return _put_together(parts, planar.arc_count)


_AT_NODES = ("arc", "at_start", "at_end", "leave", "arrive", "smooth_first", "smooth_last")


class _Part:
    """A group of neighbouring arcs, worked on by itself except where junctions join it to others."""

    def __init__(self, lines, first_arc):
        self.lines, self.first_arc = lines, first_arc

    def divide(self, tolerance, blur, scatter, recognise):
        """Find corners, straight runs and exact loops, and the tangents at the ends of what is to be fitted."""
        lines = self.lines
        points, starts, marks, plain, self.rounds = _with_breaks(lines, tolerance, blur, scatter, recognise)
        self.loops = exact_loops(lines, plain & recognise, tolerance)
        is_corner = marks & CORNER > 0
        first, last, arc = _spans_between(starts, marks & BREAK > 0)
        to_fit = ~np.isin(arc, self.loops.arc)
        first, last, arc = first[to_fit], last[to_fit], arc[to_fit]
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
        self.round_number, self.round_first, self.round_arc = number[made] - 1, first[made], arc[made]
        free = number == 0
        self.points, self.starts, self.first, self.last, self.line = points, starts, first[free], last[free], line[free]
        self.arc, self.leave, self.arrive = arc[free] + self.first_arc, leave[free], arrive[free]
        self.smooth_first, self.smooth_last = smooth_first[free], smooth_last[free]
        self.at_start = (~closed & (first == ring_first) & ~line)[free]
        self.at_end = (~closed & (last == ring_last) & ~line)[free]

    def fit(self, tolerance, progress):
        spans = Spans(self.first, self.last, self.leave, self.arrive, self.smooth_first, self.smooth_last, self.line)
        self.fitted = fit_spans(self.points, spans, tolerance, progress=progress)
        arc = np.searchsorted(self.starts, self.fitted.spans.first, side="right") - 1
        cubics, starts = self.rounds.cubics()
        piece, starts = ragged.take(starts, self.round_number)
        of = ragged.owner(starts)
        four = np.repeat(self.loops.arc, 4)
        join = lambda *parts: np.concatenate(parts)  # noqa: E731
        self.owner = join(arc, four, self.round_arc[of]) + self.first_arc
        self.place = join(self.fitted.spans.first, np.zeros_like(four), self.round_first[of])
        self.controls = join(self.fitted.controls, self.loops.controls.reshape(-1, 4, 2), cubics[piece])
        self.straight = np.pad(self.fitted.straight, (0, len(four) + len(piece)))
        self.miss = join(self.fitted.miss, np.repeat(self.loops.miss, 4), self.rounds.miss[self.round_number][of])


def _put_together(parts, arcs):
    """Fitted spans, exact loops and round corners in the order of the arcs."""
    if not parts:
        return CurveSet(np.empty((0, 4, 2)), np.empty(0, bool), np.empty(0), np.zeros(arcs + 1, np.intp))
    every = lambda name: np.concatenate([getattr(p, name) for p in parts])  # noqa: E731
    owner = every("owner")
    order = np.lexsort((every("place"), owner))
    return CurveSet(every("controls")[order], every("straight")[order], every("miss")[order],
                    np.searchsorted(owner[order], np.arange(arcs + 1)))


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


def _with_breaks(lines, tolerance, blur, scatter, recognise):
    """Points with corners and ends of lines put in place; loops turned to begin at a break and closed.

    Returns points, starts, marks for each point (BREAK where curves end, CORNER where they
    end with a corner, LINE where a straight run begins), which loops have no mark, and the
    round corners.
    """
    corners = find_corners(lines, blur, scatter)
    xy = lines.xy.copy()
    count = len(xy)
    marks = np.zeros(count, np.int32)
    marks[corners.index] = BREAK | CORNER
    xy[corners.index] = corners.xy
    moved = Polylines(xy, lines.starts, lines.closed)
    runs = straight_runs(moved, marks > 0, tolerance, scatter, blur)
    if recognise:
        runs = settled(moved, runs, marks > 0, tolerance)
    rounds = round_corners(moved, runs, marks if recognise else np.ones(count), tolerance)
    runs = with_corners(runs, rounds)
    xy[runs.first], xy[runs.last] = runs.begin, runs.end
    marks[rounds.first] |= (np.arange(len(rounds.first)) + 1) << ROUND
    marks[runs.first] |= BREAK | LINE
    marks[runs.last] |= BREAK
    marks[runs.last[runs.meets]] |= CORNER

    keep = np.ones(count, bool)
    at = ragged.Neighbours(lines.starts, lines.closed)
    reach = 4 + int(np.ceil(3 * blur))
    for k in (*range(-reach, 0), *range(1, reach + 1)):
        near = at(k)[corners.index]
        close = np.hypot(*(lines.xy[near] - corners.xy).T) < corners.clear_px
        keep[near[close]] = False
    lengths = np.diff(lines.starts)
    ends = np.concatenate([lines.starts[:-1][lengths > 0], lines.starts[1:][lengths > 0] - 1])
    open_end = ends[~lines.closed[ragged.owner(lines.starts)[ends]]]
    marks[open_end] |= BREAK
    keep[marks > 0] = True
    marked = ragged.reduce_pieces(np.maximum, marks, lines.starts, empty=0) > 0
    return *_turn_loops(lines, xy, keep, marks), lines.closed & ~marked, rounds


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
    return xy[source], out, out_marks


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
