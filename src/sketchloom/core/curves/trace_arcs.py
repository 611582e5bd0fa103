"""From polylines of arcs to fitted curves: breaks, tangents, cubics."""

import numpy as np

from sketchloom.core.base import parallel, ragged
from sketchloom.core.base.progress import QUIET
from sketchloom.core.curves.curveset import CurveSet, line_controls
from sketchloom.core.curves.fit import fit_spans
from sketchloom.core.curves.mending import without_crossings
from sketchloom.core.curves.mirrored_parts import Mirrored, MirroredRuns
from sketchloom.core.curves.parts import AT_NODES, Part
from sketchloom.core.curves.scatter import scatter_of
from sketchloom.core.curves.spans import Spans
from sketchloom.core.curves.splicing import Spliced
from sketchloom.core.planar.junctions import Polylines
from sketchloom.core.planar.planar_map import PlanarMap

DEFAULT_TOLERANCE_PX = 0.1
"""How far a curve may keep from boundary points of a clean picture: twice what they lie off the drawn truth."""
_WHOLE_TOLERANCE_PX = 0.3
"""Of pictures in whole pixels (chosen on discs, ellipses, blobs, polygons and stars by rule: with 0.25 and 0.4 outlines
lie as near, with less there are more nodes, with more corners are lost)."""
_PER_SCATTER, _LARGEST_TOLERANCE_PX = 8.5, 0.5
"""The tolerance grows by so much for each pixel that points scatter, up to the second."""
_PART_POINTS = 60_000
"""Smaller parts spend their time on the calls, larger ones leave cores idle."""
_RUN_ON = np.cos(np.radians(32.0))
"""Two arcs of a junction run on into each other when they turn by less than this."""


def fitting_tolerance(lines: Polylines, noisy: bool, of_whole: bool = False) -> float:
    """Distance, px, within which curves should keep to the boundary points.

    Grain and compression push points aside over lengths of several pixels; a curve that
    followed them would be no closer to the drawing, only bumpier. Neither would one that follows the edges of pixels,
    where the picture is ``of_whole`` ones.
    """
    if not noisy:
        return _WHOLE_TOLERANCE_PX if of_whole else DEFAULT_TOLERANCE_PX
    return float(
        np.clip(DEFAULT_TOLERANCE_PX + _PER_SCATTER * scatter_of(lines), DEFAULT_TOLERANCE_PX, _LARGEST_TOLERANCE_PX)
    )


def fit_arcs(planar: PlanarMap, lines: Polylines, tolerance_px: float = DEFAULT_TOLERANCE_PX, *,
             blur_px: float = 0.0, recognise: bool = True, few: bool = False, progress=QUIET) -> CurveSet:
    """Fit every arc once, for both faces beside it.

    Parameters
    ----------
    planar : gives which arcs meet at which node.
    lines : the arcs' sub-pixel polylines.
    tolerance_px : greatest distance of the boundary from its curve, > 0, as in ``fit_spans``.

    blur_px : standard deviation of the picture's blur, which rounds corners.
    recognise : whether circles, ellipses, symmetric loops, level lines and round corners between
        lines are made exact.
    few : as of ``fit_spans``.

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
    parts = [
        Part(lines.part(a, b), np.arange(a, b)) for a, b in zip(cuts[:-1].tolist(), cuts[1:].tolist(), strict=False)
    ]
    if not parts:
        return CurveSet(np.empty((0, 4, 2)), np.empty(0, bool), np.empty(0), np.zeros(1, np.intp))
    found = parallel.in_threads(lambda part: part.divide(tolerance_px, blur_px, scatter, recognise), parts)
    halves = [Mirrored(h, part.arcs[h.arc]) for h, part in zip(found, parts, strict=False) if len(h)]
    parallel.in_threads(lambda half: half.divide(tolerance_px, blur_px, scatter, recognise), halves)
    parts += halves
    # junctions join arcs of all parts
    joined = {name: np.concatenate([getattr(p, name) for p in parts]) for name in AT_NODES}
    _run_through_nodes(planar, **joined)
    sizes = np.cumsum([len(p.arc) for p in parts])[:-1]
    for name in AT_NODES:
        for part, values in zip(parts, np.split(joined[name], sizes), strict=False):
            setattr(part, name, values)
    if recognise:
        runs = parallel.in_threads(
            lambda part: part.symmetric_runs(tolerance_px, blur_px, scatter, MirroredRuns),
            [p for p in parts if p.axes is None],
        )
        parts += [run for run in runs if run is not None]
    _fit_parts(parts, tolerance_px, few, progress)
    spliced = _put_together(parts, planar)
    return without_crossings(spliced, tolerance_px, few=few, progress=progress).curves(planar.arc_count)


def fit_strokes(lines: Polylines, tolerance_px: float, few: bool = False) -> CurveSet:
    """Fit lines that belong to no map, such as the middles of strokes; they may cross.

    Parameters and result as of ``fit_arcs``; nothing is made exact.
    """
    part = Part(lines, np.arange(len(lines.closed)))
    part.divide(tolerance_px, 0.0, scatter_of(lines), False)
    _fit_parts([part], tolerance_px, few, QUIET)
    order = np.lexsort((part.segment_first, part.owner))
    starts = np.searchsorted(part.owner[order], np.arange(len(lines.closed) + 1))
    return CurveSet(part.controls[order], part.straight[order], part.miss[order], starts)


def _fit_parts(parts, tolerance_px, few, progress):
    """Fit the spans of all parts; small parts in one go, since their time would go into the calls."""
    size = ragged.lengths_to_starts([len(p.points) for p in parts])
    cuts = parallel.even_cuts(size, _PART_POINTS)
    groups = [parts[a:b] for a, b in zip(cuts[:-1].tolist(), cuts[1:].tolist(), strict=False)]

    def fit(group):
        offset = ragged.lengths_to_starts([len(p.points) for p in group])
        spans = Spans.join([p.spans(o) for p, o in zip(group, offset.tolist(), strict=False)])
        fitted = fit_spans(np.concatenate([p.points for p in group]), spans, tolerance_px, few=few,
                           progress=progress)
        ends = np.searchsorted(fitted.spans.first, offset)
        for part, o, a, b in zip(group, offset.tolist(), ends[:-1].tolist(), ends[1:].tolist(), strict=False):
            part.take(fitted.part(a, b, o), tolerance_px)

    parallel.in_threads(fit, groups)


def _put_together(parts, planar):
    """Fitted spans, exact loops and round corners in the order of the arcs, with their points."""
    def every(name):
        return np.concatenate([getattr(p, name) for p in parts])
    offset = ragged.lengths_to_starts([len(p.points) for p in parts])
    def shifted(name):
        return np.concatenate([getattr(p, name) + o for p, o in zip(parts, offset, strict=False)])
    owner, first = every("owner"), shifted("segment_first")
    order = np.lexsort((first, owner))
    starts = np.append(np.concatenate([p.starts[:-1] + o for p, o in zip(parts, offset, strict=False)]), offset[-1])
    ring_arc = every("arcs")
    base = None if parts[0].base is None else np.concatenate([p.points if p.base is None else p.base for p in parts])
    together = _moving_together(planar, starts, ring_arc)
    if base is not None:
        # halves have no places in the pixel grid of their own; where they end at a node it is the node's, as for all
        # who meet there
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
