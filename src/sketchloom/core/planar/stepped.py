"""Boundary points of pictures whose renderer counted coverage in coarse steps.

Many renderers look at a pixel along a few lines only, four or sixteen of them. A boundary that runs nearly along the
pixels' rows or columns then lies at one of a few places for many pixels, and jumps to the next: a staircase whose
treads are up to an eighth of a pixel from the outline, or up to half a one where a pixel is all of one colour or all of
the other. Where it jumps the outline crosses one of those lines, half way
between two treads, so there it is known exactly; between two such places the points are laid on a smooth curve through
them.
"""

from dataclasses import replace

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.planar.subpixel import BoundaryPoints

_LEVEL_PX = 0.012
"""Points of a tread lie at one height within so much: values of eight bits round."""
_LEAST_STEP_PX, _MOST_STEP_PX = 0.05, 0.3
"""Steps of sixteen lines a pixel, and of four (0.25)."""
_ALL = 0.98
"""Of all points; a few lie where several colours meet."""
_ALONG_PX = 0.02
"""Points of a tread follow each other by a pixel, within so much."""
_LONE = 0.6
"""The slope at a lone step, as a share of the steepest that would not have made another."""
_ALIKE = 3.0
"""Two treads with a lone step between them are a leaning edge where the longer has no more than so many times the
length of the shorter; else a level one ends there."""
_LONGER = 1.3
"""A tread at the end of a staircase that is so much longer than its slope explains is level farther on, and stays."""
_MOST_BULGE = 1.5
"""So does one between two that fall away from it, where a parabola would rise by more steps than this: it is an edge
with round corners."""
_MOST_OFF = 0.55
"""Points move by no more than this share of the step beside them."""


def in_whole_pixels(points: BoundaryPoints) -> bool:
    """Whether boundaries run along the edges of pixels everywhere: the picture was drawn without a pixel between two
    colours, or its lines are all level and upright."""
    off = np.abs(points.xy - points.middle).max(1)
    return len(off) > 0 and bool((off < _LEVEL_PX).mean() >= _ALL)


def smoothed(points: BoundaryPoints, of_whole: bool = False) -> BoundaryPoints:
    """The same points, those of staircases where the outline ran; ``of_whole`` pixels, too."""
    if len(points.xy) < 4:
        return points
    xy = points.xy.copy()
    arc = ragged.owner(points.starts)
    for across in (1, 0):
        _smooth(points.xy, xy, arc, across, of_whole)
    return replace(points, xy=xy)


def _smooth(old, new, arc, across, of_whole):
    """Move points of staircases whose treads lie along one axis; ``across``: the other."""
    value, along = old[:, across], old[:, 1 - across]
    run, rise = np.diff(along), np.diff(value)
    level = (arc[1:] == arc[:-1]) & (np.abs(np.abs(run) - 1) < _ALONG_PX) & (np.abs(rise) < _LEVEL_PX)
    level[1:] &= ~level[:-1] | (np.sign(run[1:]) == np.sign(run[:-1]))  # a tread does not turn back
    edges = np.flatnonzero(np.diff(np.concatenate([[False], level, [False]])))
    first, last = edges[::2], edges[1::2]
    if len(first) < 2:
        return
    height = np.add.reduceat(np.append(value, 0.0), np.stack([first, last + 1], 1).ravel())[::2] / (last - first + 1)
    heading = np.sign(run[first])
    gap, step = first[1:] - last[:-1], np.diff(height)
    size = np.abs(step)
    middle = last[:-1] + 1
    linked = ((gap == 1) | (gap == 2)) & (arc[first[1:]] == arc[last[:-1]]) & (heading[1:] == heading[:-1])
    whole = linked & (np.abs(size - 1) < _LEVEL_PX) & of_whole  # from one row of pixels to the next
    linked &= (size >= _LEAST_STEP_PX) & (size <= _MOST_STEP_PX) | whole
    span = (along[first[1:]] - along[last[:-1]]) * heading[1:]
    linked &= np.abs(span - np.where(whole, 1, gap)) < 2 * _ALONG_PX
    beside = np.concatenate([[False], linked, [False]])
    linked &= ~whole | beside[:-2] | beside[2:]  # a lone step of a pixel is as likely drawn
    if not linked.any():
        return
    # the outline crosses from one tread to the next half way, or as far on as the point between them has come
    share = np.clip((value[middle] - height[:-1]) / np.where(size > 1e-9, step, 1.0), 0, 1)
    share = np.where(whole, 0.5, share)
    place = np.where(gap == 1, 0.5 * (along[last[:-1]] + along[first[1:]]) * heading[1:],
                     along[middle] * heading[1:] + 0.5 - share)
    level_at = 0.5 * (height[1:] + height[:-1])
    slope, flat = _slopes(linked, place, level_at, step, last - first + 1)
    for there, index in _points_of(first, last, linked, middle, gap):
        _lay(new[:, across], along[index] * heading[there], index, there, linked, place, level_at, slope, height, size,
             last - first + 1, flat)


def _slopes(linked, place, level_at, step, length):
    """The outline's slope where it crosses from tread k to the next: from what lies beside it.

    A tread between two crossings that go the same way has the slope from one to the other. One that the outline comes
    back from, at an extreme, lies on a parabola, which has crossed another line where the treads beside it end.
    """
    secant = np.zeros(len(linked) + 1)
    both = np.zeros(len(linked) + 1, bool)
    both[1:-1] = linked[1:] & linked[:-1]
    k = np.flatnonzero(both)
    span = np.maximum(place[k] - place[k - 1], 1e-6)
    secant[k] = (level_at[k] - level_at[k - 1]) / span
    entering, leaving = secant.copy(), secant.copy()  # of tread k, where it begins and where it ends
    turns = step[k] * step[k - 1] < 0
    e, half = k[turns], 0.5 * span[turns]
    beside = 0.5 * (length[e - 1] + length[np.minimum(e + 1, len(length) - 1)])
    bend = 0.5 * (np.abs(step[e]) + np.abs(step[e - 1])) / ((half + beside) ** 2 - half**2)
    steep = 2 * bend * half * np.sign(step[e - 1])
    flat = np.zeros(len(linked) + 1, bool)
    flat[e[bend * half**2 > _MOST_BULGE * np.maximum(np.abs(step[e]), np.abs(step[e - 1]))]] = True
    steep[flat[e]] = 0.0
    entering[e], leaving[e] = steep, -steep
    count = both[:-1].astype(int) + both[1:]
    longer, shorter = np.maximum(length[:-1], length[1:]), np.minimum(length[:-1], length[1:])
    lone = np.where(longer <= _ALIKE * shorter, _LONE * step / longer, 0.0)
    beside_it = leaving[:-1] * both[:-1] + entering[1:] * both[1:]
    return np.where(count > 0, beside_it / np.maximum(count, 1), lone), flat


def _points_of(first, last, linked, middle, gap):
    """Treads that are moved, and their points; then points between two treads, with the tread before."""
    tread = np.zeros(len(first), bool)
    tread[:-1] |= linked
    tread[1:] |= linked
    chosen = np.flatnonzero(tread)
    starts = ragged.lengths_to_starts(last[chosen] - first[chosen] + 1)
    owner = ragged.owner(starts)
    yield chosen[owner], np.arange(starts[-1]) - starts[owner] + first[chosen][owner]
    between = np.flatnonzero(linked & (gap == 2))
    yield between, middle[between]


def _lay(value, s, index, tread, linked, place, level_at, slope, height, size, length, flat):
    """Put points ``index`` of treads, at ``s`` along them, on the curve through the crossings at their ends."""
    before, after = tread - 1, np.minimum(tread, len(linked) - 1)
    has_before = (before >= 0) & linked[before]
    has_after = (tread < len(linked)) & linked[after]
    a, b = place[before], place[after]
    span = np.maximum(b - a, 1e-6)
    t = (s - a) / span
    inner = ((1 + 2 * t) * (1 - t) ** 2 * level_at[before] + t * (1 - t) ** 2 * span * slope[before]
             + t * t * (3 - 2 * t) * level_at[after] - t * t * (1 - t) * span * slope[after])
    def beyond(k, way):
        """Straight on from one crossing, with nothing known of the other end."""
        return level_at[k] + way * slope[k] * np.abs(s - place[k])
    def is_level(k):
        """Whether a tread is so much longer than its slope explains that it is level farther on."""
        return (slope[k] == 0) | (length[tread] * np.abs(slope[k]) > _LONGER * size[k])
    made = np.where(has_before & has_after, inner, np.where(has_before, beyond(before, 1.0), beyond(after, -1.0)))
    stays = flat[tread] | (has_before & ~has_after & is_level(before)) | (has_after & ~has_before & is_level(after))
    room = _MOST_OFF * np.maximum(np.where(has_before, size[before], 0), np.where(has_after, size[after], 0))
    kept = np.clip(made, height[tread] - room, height[tread] + room)
    value[index] = np.where((has_before | has_after) & ~stays, kept, value[index])
