"""An outline parted along a seam: both sides get the same seam, bit for bit, and the rest of their curves as it was."""

import itertools

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.curves.curveset import evaluate, is_straight, line_controls, segment_areas
from sketchloom.core.curves.outline import Outline
from sketchloom.core.sheets.routing.run import split

_ASIDE_MM = 1e-4
"""A seam that touches a node or runs along an edge is moved by this much: a tenth of a hair."""
_TRIES = 8


class SeamError(ValueError):
    """A seam that parts an outline nowhere cleanly."""


def parted(outline: Outline, seam) -> tuple[Outline, Outline]:
    """What lies to the left and to the right of a seam, seen as the picture is: x to the right.

    Parameters
    ----------
    outline : rings in mm. seam : (K, 2) mm polyline from above downwards, never upwards; it begins above the outline
        and ends below it.

    Raises
    ------
    SeamError : the seam lies so badly that it cannot be told what is on which side.
    """
    seam = np.asarray(seam, float)
    for number in range(_TRIES):
        try:
            return _parted(outline, seam + (-1) ** number * number * _ASIDE_MM * np.array([np.sqrt(2), 0.6]))
        except SeamError:
            if number == _TRIES - 1:
                raise
    raise AssertionError


def side_of(seam, points) -> np.ndarray:
    """(N,) how far points lie to the right of a seam that never goes upwards, mm, along their level."""
    points = np.asarray(points, float)
    y = np.maximum.accumulate(seam[:, 1] + 1e-12 * np.arange(len(seam)))
    return points[:, 0] - np.interp(points[:, 1], y, seam[:, 0])


def _parted(outline, seam):
    segment, t, place = _crossings(outline, seam)
    if not len(segment):
        right = side_of(seam, outline.controls[outline.starts[:-1], 0]) > 0
        return _rings(outline, np.flatnonzero(~right)), _rings(outline, np.flatnonzero(right))
    owner = np.searchsorted(outline.starts, segment, "right") - 1
    crossed, count = np.unique(owner, return_counts=True)
    if (count % 2).any() or (np.diff(np.sort(place)) < 1e-9).any():
        raise SeamError("touched")
    whole = np.setdiff1d(np.arange(len(outline.starts) - 1), crossed)
    right = side_of(seam, outline.controls[outline.starts[whole], 0]) > 0
    bits = _bits(outline, seam, segment, t, place)
    mate = _mates(place)
    made = []
    for is_right in (False, True):
        rings = [outline.controls[outline.starts[n]:outline.starts[n + 1]] for n in whole[right == is_right]]
        rings += _linked([bit for bit in bits if bit[3] == is_right], mate, place, seam)
        made.append(_outline(rings))
    return made[0], made[1]


def _crossings(outline, seam):
    """Segments that cross the seam, where on each (t), and where along the seam, mm; ordered along the rings."""
    length = np.concatenate([[0.0], np.cumsum(np.hypot(*np.diff(seam, axis=0).T))])
    found_segment, found_t, found_place = [], [], []
    low, high = outline.controls.min(1), outline.controls.max(1)
    for n, (a, b) in enumerate(itertools.pairwise(seam)):
        if length[n + 1] - length[n] < 1e-12:
            continue
        near = np.flatnonzero((np.minimum(a, b) <= high + 1e-9).all(1) & (np.maximum(a, b) >= low - 1e-9).all(1))
        if not len(near):
            continue
        along = (b - a) / (length[n + 1] - length[n])
        local = outline.controls[near] - a
        away = local[..., 1] * along[0] - local[..., 0] * along[1]
        at, roots = _roots(away)
        on = evaluate(outline.controls[near[at]], roots) - a
        share = on @ along
        inside = (share >= 0) & (share < length[n + 1] - length[n])
        found_segment.append(near[at[inside]])
        found_t.append(roots[inside])
        found_place.append(length[n] + share[inside])
    if not found_segment:
        return np.empty(0, np.intp), np.empty(0), np.empty(0)
    segment, t, place = np.concatenate(found_segment), np.concatenate(found_t), np.concatenate(found_place)
    order = np.lexsort([t, segment])
    segment, t, place = segment[order], t[order], place[order]
    if ((t < 1e-7) | (t > 1 - 1e-7)).any():
        raise SeamError("a node lies on it")
    return segment, t, place


def _roots(values):
    """Where cubics of Bernstein values (N, 4) are 0 within (0, 1): numbers of the cubics, and t.

    Signs are read at fixed places between the turning points, then each root is found by bisection.
    """
    n = len(values)
    a = values[:, 3] - 3 * values[:, 2] + 3 * values[:, 1] - values[:, 0]
    b = 2 * (values[:, 2] - 2 * values[:, 1] + values[:, 0])
    c = values[:, 1] - values[:, 0]
    with np.errstate(divide="ignore", invalid="ignore"):
        root = np.sqrt(np.maximum(b * b - 4 * a * c, 0))
        q = -0.5 * (b + np.where(b >= 0, root, -root))
        turns = np.stack([q / a, c / q], -1)
    turns = np.sort(np.where((turns > 0) & (turns < 1), turns, 0.0), -1)
    places = np.concatenate([np.zeros((n, 1)), turns, np.ones((n, 1))], -1)
    def value(v, t):
        s = 1 - t
        return v[..., 0] * s**3 + 3 * v[..., 1] * s * s * t + 3 * v[..., 2] * s * t * t + v[..., 3] * t**3
    signs = np.sign(value(values[:, None], places))
    rows, part = np.nonzero((signs[:, :-1] * signs[:, 1:] < 0) & (np.diff(places, axis=1) > 0))
    if (signs == 0).any():
        raise SeamError("touched in a turning point")
    low, high, start = places[rows, part], places[rows, part + 1], signs[rows, part]
    v = values[rows]
    for _ in range(40):
        middle = 0.5 * (low + high)
        same = np.sign(value(v, middle)) == start
        low, high = np.where(same, middle, low), np.where(same, high, middle)
    return rows, 0.5 * (low + high)


def _bits(outline, seam, segment, t, place):
    """Stretches of rings between crossings: controls, number of the crossing at the begin and at the end, whether they
    lie to the right."""
    points = _on(seam, place)
    bits = []
    ring_of = np.searchsorted(outline.starts, segment, "right") - 1
    for ring in np.unique(ring_of).tolist():
        mine = np.flatnonzero(ring_of == ring)
        first, last = int(outline.starts[ring]), int(outline.starts[ring + 1])
        for k, begin in enumerate(mine.tolist()):
            end = int(mine[(k + 1) % len(mine)])
            controls = _stretch(outline.controls, first, last, (segment[begin], t[begin]), (segment[end], t[end]))
            controls[0, 0], controls[-1, 3] = points[begin], points[end]
            bits.append((controls, begin, end, _is_right(seam, controls)))
    return bits


def _is_right(seam, controls):
    """Whether a stretch lies to the right: by the place of it that is farthest from the seam."""
    count = max(1, 64 // len(controls))
    t = np.tile((np.arange(count) + 0.5) / count, len(controls))
    away = side_of(seam, evaluate(np.repeat(controls, count, 0), t))
    return bool(away[np.abs(away).argmax()] > 0)


def _stretch(controls, first, last, begin, end):
    """Cubics of a ring from one place on it to another, onwards."""
    (s0, t0), (s1, t1) = begin, end
    if s0 == s1 and t1 > t0:
        return _between(controls[s0], t0, t1)[None]
    count = (int(s1) - int(s0) - 1) % (last - first)
    inner = first + (np.arange(int(s0) + 1 - first, int(s0) + 1 - first + count) % (last - first))
    begun, ended = _between(controls[s0], t0, 1.0), _between(controls[s1], 0.0, t1)
    return np.concatenate([begun[None], controls[inner], ended[None]])


def _between(cubic, t0, t1):
    """The stretch of a cubic between two places (de Casteljau)."""
    if t1 < 1:
        cubic = split(cubic, t1)[0]
    return split(cubic, t0 / t1)[1] if t0 > 0 else cubic.copy()


def _mates(place):
    """For every crossing the one at the other end of the stretch of seam that lies inside: sorted along the seam they
    go in and out by turns."""
    order = np.argsort(place)
    mate = np.empty(len(place), np.intp)
    mate[order[0::2]], mate[order[1::2]] = order[1::2], order[0::2]
    return mate


def _linked(bits, mate, place, seam):
    """Rings of one side: stretches of the outline, joined along the seam."""
    begins = {begin: n for n, (_, begin, _, _) in enumerate(bits)}
    left = set(range(len(bits)))
    rings = []
    while left:
        n = first = min(left)
        ring = []
        while True:
            if n not in left:
                raise SeamError("sides do not close")
            left.discard(n)
            controls, _, end, _ = bits[n]
            ring += [controls, _along(seam, place[end], place[mate[end]])]
            n = begins.get(int(mate[end]), -1)
            if n == first:
                break
        rings.append(np.concatenate(ring))
    return rings


def _along(seam, start, end):
    """Straight cubics along the seam between two places of it; the same points in either direction."""
    length = np.concatenate([[0.0], np.cumsum(np.hypot(*np.diff(seam, axis=0).T))])
    low, high = min(start, end), max(start, end)
    inner = seam[(length > low + 1e-9) & (length < high - 1e-9)]
    points = np.concatenate([_on(seam, np.array([low])), inner, _on(seam, np.array([high]))])
    if start > end:
        points = points[::-1]
    return line_controls(points[:-1], points[1:])


def _on(seam, place):
    length = np.concatenate([[0.0], np.cumsum(np.hypot(*np.diff(seam, axis=0).T))])
    return np.column_stack([np.interp(place, length, seam[:, k]) for k in (0, 1)])


def _rings(outline, numbers):
    segments, starts = ragged.take(outline.starts, numbers)
    return Outline(outline.controls[segments], outline.straight[segments], starts, outline.area_px[numbers],
                   outline.hole[numbers], outline.pen_px)


def _outline(rings):
    """Rings as an outline; a hole is what runs the other way round."""
    if not rings:
        return Outline(np.empty((0, 4, 2)), np.empty(0, bool), np.zeros(1, np.intp), np.empty(0), np.empty(0, bool))
    controls = np.concatenate(rings)
    starts = ragged.lengths_to_starts([len(r) for r in rings])
    area = ragged.reduce_pieces(np.add, segment_areas(controls), starts)
    return Outline(controls, is_straight(controls), starts, area, area < 0)
