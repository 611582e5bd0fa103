"""The middle of each stroke of a drawing, as open curves with a width."""

from dataclasses import dataclass

import cv2
import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.base.progress import breathe
from sketchloom.core.curves.curveset import segment_lengths
from sketchloom.core.curves.trace_arcs import fit_strokes
from sketchloom.core.planar.junctions import Polylines
from sketchloom.core.strokes.branches import Branches, find_branches
from sketchloom.core.strokes.centre import centred, tangents
from sketchloom.core.strokes.thinning import thinned

TOLERANCE_PX = 0.3
"""How far a stroke's curve may keep from its middle."""
_RUNS_ON = np.cos(np.radians(40.0))
"""Two branches run on into each other at a meeting when they turn by less than this."""
_CLEAR = 1.15
"""Half widths around a meeting within which its ink belongs to several strokes."""
_NEAR = 6.0
"""A stroke is found again within so many px of its place."""


@dataclass(frozen=True, slots=True, eq=False)
class Strokes:
    """Curves, px. ``controls`` (S, 4, 2) and ``straight`` (S,) of all strokes, ``starts`` (K + 1,)
    their offsets; ``closed`` (K,) those that end where they began; ``width_px`` and ``length_px`` (K,)."""

    controls: np.ndarray
    straight: np.ndarray
    starts: np.ndarray
    closed: np.ndarray
    width_px: np.ndarray
    length_px: np.ndarray


def find_strokes(ink, cover, spur_px: float, removed=(), tolerance_px: float = TOLERANCE_PX,
                 few: bool = False) -> Strokes:
    """Follow the strokes of a line drawing.

    Parameters
    ----------
    ink : (H, W) bool. cover : (H, W) float32, share of ink of each pixel.
    spur_px : side strokes that stick out less than this are dropped.
    removed : (R, 2) places, px; the branch nearest to each, within a few pixels, is left out.
    tolerance_px : greatest distance of the curves from the middles found. few : as of ``fit_spans``.

    Notes
    -----
    Lines thinned to one pixel are bent where strokes meet, by up to half a stroke's width. So
    each branch is taken only where it is clear of its meetings; branches that run on into each
    other there are joined by one smooth piece, which keeps strokes straight through crossings.
    """
    breathe()
    half = cv2.distanceTransform(np.pad(ink, 1).astype(np.uint8), cv2.DIST_L2, cv2.DIST_MASK_PRECISE)[1:-1, 1:-1]
    breathe()
    found = find_branches(thinned(ink))
    breathe()
    here = np.floor(found.xy).astype(int)
    own_half = half[here[:, 1], here[:, 0]] - 0.5 if len(here) else np.empty(0)
    meeting_half = _at(half, found.meeting_xy)
    ends, meeting_xy, meeting_half = _without_bridges(found, meeting_half)
    alive = _without_spurs(found, ends, meeting_half, spur_px) & (ends[:, 0] > -2) & ~_removed(found, removed)
    points, starts, closed, ends, trimmed = _clear_of_meetings(found, ends, alive, meeting_xy, meeting_half)
    points, width = centred(points, starts, closed, cover, np.maximum(own_half[trimmed], 0.5))
    joined = _joined(points, starts, closed, ends, width, meeting_xy) + _dots(found, ink, alive)
    if not joined:
        return Strokes(
            np.empty((0, 4, 2)), np.empty(0, bool), np.zeros(1, np.intp), np.zeros(0, bool), np.empty(0), np.empty(0)
        )
    xy = [line for line, _, _ in joined]
    rings = np.array([ring for _, ring, _ in joined])
    curves = fit_strokes(
        Polylines(np.concatenate(xy), ragged.lengths_to_starts([len(v) for v in xy]), rings), tolerance_px, few
    )
    lengths = ragged.reduce_pieces(np.add, segment_lengths(curves.controls, curves.straight), curves.starts)
    return Strokes(curves.controls, curves.straight, curves.starts, rings, np.array([w for _, _, w in joined]), lengths)


def _at(image, xy):
    if len(xy) == 0:
        return np.empty(0)
    x = np.clip(np.floor(xy[:, 0]).astype(int), 0, image.shape[1] - 1)
    y = np.clip(np.floor(xy[:, 1]).astype(int), 0, image.shape[0] - 1)
    return np.maximum(image[y, x], 1.0)


def _lengths(found: Branches):
    step = np.zeros(len(found.xy))
    step[1:] = np.hypot(*np.diff(found.xy, axis=0).T)
    step[found.starts[:-1]] = 0.0
    return ragged.reduce_pieces(np.add, step, found.starts) + 1.0


def _without_bridges(found, meeting_half):
    """Meetings closer than a stroke is wide are one; the branch between them is no stroke (ends -2)."""
    ends = found.ends.copy()
    count = len(found.meeting_xy)
    between = (ends >= 0).all(1) & (ends[:, 0] != ends[:, 1])
    limit = (
        np.where(between, 1.25 * np.maximum(*(meeting_half[np.maximum(ends[:, k], 0)] for k in (0, 1))), 0)
        if count
        else np.zeros(len(ends))
    )
    bridge = np.flatnonzero(between & (_lengths(found) <= limit))
    into = np.arange(count)
    for a, b in ends[bridge].tolist():  # meetings are few
        a, b = _root(into, a), _root(into, b)
        into[max(a, b)] = min(a, b)
    root = np.array([_root(into, k) for k in range(count)], int)
    known = ends >= 0
    ends[known] = root[ends[known]]
    ends[bridge] = -2
    size = np.maximum(np.bincount(root, minlength=count), 1) if count else np.empty(0)
    xy = (
        np.stack([np.bincount(root, found.meeting_xy[:, k], count) / size for k in (0, 1)], -1)
        if count
        else found.meeting_xy
    )
    widest = np.zeros(count)
    np.maximum.at(widest, root, meeting_half)
    return ends, xy, widest


def _root(into, k):
    while into[k] != k:
        k = into[k]
    return k


def _without_spurs(found, ends, meeting_half, spur_px):
    """(B,) bool: branches that are more than a bump at the side of another."""
    alive = np.ones(len(ends), bool)
    length = _lengths(found)
    free = (ends == -1).sum(1) == 1
    at = np.maximum(ends.max(1), 0)
    # the branch starts in the middle of the stroke it leaves
    outside = length - (meeting_half[at] if len(meeting_half) else 0.0)
    alive[free & ~found.closed & (outside < np.maximum(spur_px, 1.0))] = False
    return alive


def _removed(found, places):
    gone = np.zeros(len(found.ends), bool)
    for place in places:
        if len(found.xy) == 0:
            break
        away = np.hypot(*(found.xy - np.asarray(place, float)).T)
        nearest = int(np.argmin(away))
        if away[nearest] <= _NEAR:
            gone[np.searchsorted(found.starts, nearest, side="right") - 1] = True
    return gone


def _clear_of_meetings(found, ends, alive, meeting_xy, meeting_half):
    """What is left of the living branches away from their meetings; which points those are."""
    branch = ragged.owner(found.starts)
    keep = alive[branch]
    for side in (0, 1):
        at = ends[branch, side]
        meets = at >= 0
        away = np.hypot(*(found.xy[meets] - meeting_xy[at[meets]]).T)
        keep[meets] &= away > _CLEAR * meeting_half[at[meets]]
    count = np.bincount(branch[keep], minlength=len(ends))
    # a branch that lies wholly within its meetings is their ink; shorter than three points it has no direction
    fine = count >= 3
    keep &= fine[branch]
    kept = np.flatnonzero(keep)
    return (found.xy[kept], ragged.lengths_to_starts(count[fine]), found.closed[fine], ends[fine], kept)


def _dots(found, ink, alive):
    """Ink about as wide as long is left as a pixel or two: a pen sets a dot in its middle, a stroke of one pixel."""
    short = np.flatnonzero(alive & (np.diff(found.starts) < 3) & (found.ends == -1).all(1))
    if len(short) == 0:
        return []
    _, piece, stats, middle = cv2.connectedComponentsWithStats(ink.astype(np.uint8), connectivity=8)
    at = np.floor(found.xy[found.starts[:-1][short]]).astype(int)
    dots = []
    for number in np.unique(piece[at[:, 1], at[:, 0]]).tolist():
        x, y = middle[number] + 0.5
        width = 2.0 * float(np.sqrt(stats[number, cv2.CC_STAT_AREA] / np.pi))
        dots.append((np.array([[x - 0.5, y], [x, y], [x + 0.5, y]]), False, width))
    return dots


def _joined(points, starts, closed, ends, width, meeting_xy):
    """Branches run together to strokes: [(points, is a ring, width)]."""
    branches = len(closed)
    if branches == 0:
        return []
    along = tangents(points, starts, closed, 8)
    outward = np.stack([-along[starts[:-1]], along[starts[1:] - 1]], 1)
    tip = np.stack([points[starts[:-1]], points[starts[1:] - 1]], 1)
    partner = _partners(ends, outward, tip)
    middle = _median_of(width, starts)
    lines, seen = [], np.zeros(branches, bool)
    order = np.argsort([partner[b][0] >= 0 and partner[b][1] >= 0 for b in range(branches)], kind="stable")
    for b in order.tolist():
        if seen[b]:
            continue
        if closed[b]:
            seen[b] = True
            lines.append((points[starts[b]:starts[b + 1]], True, float(middle[b])))
            continue
        chain, ring = _chain(b, partner, seen)
        lines.append(_line_of(chain, ring, points, starts, outward, tip, ends, middle, meeting_xy))
    return [line for line in lines if len(line[0]) >= 3]


def _median_of(values, starts):
    chain = ragged.owner(starts)
    order = np.lexsort((values, chain))
    return values[order][(starts[:-1] + starts[1:] - 1) // 2]


def _partners(ends, outward, tip):
    """(B, 2) number 2 b + side of the branch end that each end runs on into, -1 for none."""
    partner = np.full(ends.size, -1)
    meeting = ends.ravel()
    open_ends = np.flatnonzero(meeting >= 0)
    way, place = outward.reshape(-1, 2), tip.reshape(-1, 2)
    order = open_ends[np.argsort(meeting[open_ends], kind="stable")]
    pairs = []
    for group in np.split(order, np.flatnonzero(np.diff(meeting[order])) + 1):
        for i, a in enumerate(group):
            for b in group[i + 1:]:
                across = place[b] - place[a]
                across = across / max(float(np.hypot(*across)), 1e-9)
                # both must point along the gap, or two parallel strokes would be joined by a step
                straight = min(float(way[a] @ across), float(-way[b] @ across), float(-way[a] @ way[b]))
                if straight > _RUNS_ON:
                    pairs.append((-straight, int(a), int(b)))
    for _, a, b in sorted(pairs):
        if partner[a] < 0 and partner[b] < 0:
            partner[a], partner[b] = b, a
    return partner.reshape(ends.shape)


def _chain(b, partner, seen):
    """Branches from one free end on, as (branch, turned round); whether they close a ring."""
    at, back = b, partner[b][0] >= 0 and partner[b][1] < 0
    chain = []
    while True:
        seen[at] = True
        chain.append((at, back))
        following = partner[at][0 if back else 1]
        if following < 0:
            return chain, False
        at, side = divmod(int(following), 2)
        if seen[at]:
            return chain, at == chain[0][0]
        back = side == 1


def _line_of(chain, ring, points, starts, outward, tip, ends, middle, meeting_xy):
    parts, before = [], None
    size = np.array([starts[b + 1] - starts[b] for b, _ in chain], float)
    width = float((size * middle[[b for b, _ in chain]]).sum() / size.sum())
    for b, back in chain:
        line = points[starts[b]:starts[b + 1]]
        enter, leave = (1, 0) if back else (0, 1)
        if before is not None:
            parts.append(_bridge(*before, tip[b, enter], -outward[b, enter]))
        parts.append(line[::-1] if back else line)
        before = tip[b, leave], outward[b, leave]
    first, last = chain[0], chain[-1]
    if ring:
        b, back = first
        parts.append(_bridge(*before, tip[b, 1 if back else 0], -outward[b, 1 if back else 0]))
        return np.concatenate(parts), True, width
    # an end that runs into another stroke goes on to the middle of the meeting
    for (b, back), at_end in ((first, False), (last, True)):
        side = int(at_end != bool(back))
        if ends[b, side] >= 0:
            full = _on_to(meeting_xy[ends[b, side]], tip[b, side], outward[b, side])
            parts = [*parts, full] if at_end else [full[::-1], *parts]
    return np.concatenate(parts), False, width


def _on_to(meeting, tip, outward):
    """Points straight on from a tip as far as the meeting: its own middle is moved by the strokes that meet."""
    far = max(float((meeting - tip) @ outward), 1.0)
    return tip + np.linspace(0, far, max(int(far), 1) + 1)[1:, None] * outward


def _bridge(start, start_way, end, end_way):
    """Points a pixel apart between two ends, exclusive, along a cubic that keeps both directions."""
    gap = float(np.hypot(*(end - start)))
    count = int(gap)
    if count < 1:
        return np.empty((0, 2))
    t = (np.arange(1, count) / count)[:, None] if count > 1 else np.empty((0, 1))
    one = start + start_way * gap / 3
    two = end - end_way * gap / 3
    s = 1 - t
    return s**3 * start + 3 * s * s * t * one + 3 * s * t * t * two + t**3 * end
