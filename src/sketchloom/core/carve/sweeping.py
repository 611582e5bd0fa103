"""Sweeps tools along their moves over a height field: the lower envelope of all that each leaves.

What a tool leaves at a place beside a straight move is exact: the lowest that its form reaches anywhere on the move, in
closed form for flat ends, balls and cones. Which moves are looked at for a place: for level moves the one whose pixels
lie nearest, and for slanting ones, and those that run over each other, every move within the tool's reach.
"""

import cv2
import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.base.progress import breathe
from sketchloom.core.carve.field import HeightField
from sketchloom.core.carve.tools import BALL, END, Tool

_SPACING = 0.5
"""Points of a move lie so far apart, px, where its pixels are looked for."""
_SAME_Z = 1e-6
_FEW = 40
_AT_ONCE = 2_000_000
_STEP = 8
"""Boxes around moves are that many pixels larger from one size to the next."""
_BAND = 1.5
"""Pixels around the nearest one of a move that are looked at, so that no place is missed by rounding."""


def sweep(field: HeightField, strokes, tool: Tool) -> None:
    """Cut strokes (N, 3), mm, into a field, in place."""
    begin, end = _moves(strokes)
    if not len(begin):
        return
    is_level = np.abs(begin[:, 2] - end[:, 2]) < _SAME_Z
    heights, which, count = np.unique(np.round(begin[:, 2], 6), return_inverse=True, return_counts=True)
    is_level &= count[which] >= _FEW  # a level of its own for a few moves costs more than they do
    for n in np.unique(which[is_level]).tolist():
        breathe()
        at = is_level & (which == n)
        _level(field, begin[at], end[at], tool, float(heights[n]))
    if not is_level.all():
        _box_by_box(field, begin[~is_level], end[~is_level], tool)


def _moves(strokes):
    """Begin and end (M, 3) of every move; a stroke of one point is a move to itself."""
    begin = [s[:-1] if len(s) > 1 else s for s in strokes if len(s)]
    end = [s[1:] if len(s) > 1 else s for s in strokes if len(s)]
    if not begin:
        return np.empty((0, 3)), np.empty((0, 3))
    return np.concatenate(begin), np.concatenate(end)


def _pixels(begin, end, scale, shape):
    """Pixels that moves pass through, and the move of each: (P, 2) row and column, (P,)."""
    long = np.hypot(*((end - begin)[:, :2] / scale).T)
    count = np.maximum(np.ceil(long / _SPACING), 1).astype(np.intp) + 1
    starts = ragged.lengths_to_starts(count)
    move = ragged.owner(starts)
    share = (np.arange(starts[-1]) - starts[move]) / np.maximum(count - 1, 1)[move]
    at = (begin[move, :2] + share[:, None] * (end - begin)[move, :2]) / scale
    pixel = np.floor(at[:, ::-1]).astype(np.intp)
    return pixel, move, begin[move, 2] + share * (end - begin)[move, 2]


def left_by(place, begin, end, tool: Tool) -> np.ndarray:
    """How high a tool leaves places (..., 2) by moves (..., 3) and (..., 3), one for each; infinite beyond its reach.

    With h the distance from the move's line and g its slope, a cone of the slope m is lowest where u = -g h / sqrt(m² -
    g²) along it, a ball where u = -g sqrt((r² - h²) / (1 + g²)), a flat end at the lower end of its chord.
    """
    way = end[..., :2] - begin[..., :2]
    long = np.sqrt((way * way).sum(-1))
    unit = way / np.maximum(long, 1e-12)[..., None]
    rel = place - begin[..., :2]
    along = (rel * unit).sum(-1)
    beside = np.abs(rel[..., 0] * unit[..., 1] - rel[..., 1] * unit[..., 0])
    beside = np.where(long > 1e-12, beside, np.sqrt((rel * rel).sum(-1)))
    slope = (end[..., 2] - begin[..., 2]) / np.maximum(long, 1e-12)
    slope = np.where(long > 1e-12, slope, 0.0)
    radius = tool.radius_mm
    chord = np.sqrt(np.maximum(radius**2 - beside * beside, 0.0))
    if tool.kind == END:
        shift = -np.sign(slope) * chord
    elif tool.kind == BALL:
        shift = -slope * chord / np.sqrt(1 + slope * slope)
    else:
        steep = np.maximum(tool.slope**2 - slope * slope, 1e-9)
        shift = -slope * np.maximum(beside, tool.tip_mm / 2) / np.sqrt(steep)
    shift = np.clip(shift, -chord, chord)
    at = np.clip(along + shift, 0.0, long)
    away = np.sqrt((at - along) ** 2 + beside * beside)
    low = begin[..., 2] + slope * at
    plunge = np.minimum(begin[..., 2], end[..., 2])
    low = np.where(long > 1e-12, low, plunge)
    return low + tool.rise(np.where(away <= radius + 1e-9, np.minimum(away, radius), away))


def _level(field, begin, end, tool, z):
    """Moves at one depth: each place by the move whose pixels are nearest."""
    scale, shape = field.mm_per_px, field.z.shape
    reach = float(tool.radius_at(-z)) if z < 0 else tool.radius_mm
    if z >= 0:
        return
    pad = int(np.ceil(reach / scale)) + 2
    pixel, move, _ = _pixels(begin, end, scale, shape)
    low = np.maximum(pixel.min(0) - pad, -pad)
    high = np.minimum(pixel.max(0) + pad + 1, np.array(shape) + pad)
    near = ((pixel >= low) & (pixel < high)).all(1)
    pixel, move = pixel[near] - low, move[near]
    if not len(pixel):
        return
    free = np.ones(tuple(high - low), np.uint8)
    free[pixel[:, 0], pixel[:, 1]] = 0
    owner = np.zeros(free.shape, np.intp)
    owner[pixel[:, 0], pixel[:, 1]] = move
    # moves that share a pixel with others than those beside them would be lost; of flat ends it is the same ground
    shared = np.abs(owner[pixel[:, 0], pixel[:, 1]] - move) > 1
    if shared.any() and tool.kind != END:
        both = np.unique(np.concatenate([move[shared], owner[pixel[shared, 0], pixel[shared, 1]]]))
        _box_by_box(field, begin[both], end[both], tool)
    away, label = cv2.distanceTransformWithLabels(free, cv2.DIST_L2, cv2.DIST_MASK_5,
                                                  labelType=cv2.DIST_LABEL_PIXEL)
    of = np.zeros(int(label.max()) + 1, np.intp)
    on = free == 0
    of[label[on]] = owner[on]
    # the part of the crop that lies on the field
    first = np.maximum(low, 0)
    last = np.minimum(high, shape)
    if (first >= last).any():
        return
    inner = tuple(slice(a, b) for a, b in zip(first - low, last - low, strict=True))
    whole = tuple(slice(a, b) for a, b in zip(first, last, strict=True))
    cut = field.z[whole]
    away = away[inner]
    if tool.kind == END:
        cut[away < reach / scale - _BAND] = np.minimum(cut[away < reach / scale - _BAND], np.float32(z))
    owner = of[label]
    at = np.flatnonzero((away <= reach / scale + _BAND) & (cut > z))
    # where another move is as near within a pixel, that is looked at as well
    for dy, dx in ((0, 0), (0, 1), (0, -1), (1, 0), (-1, 0)):
        its = np.roll(owner, (dy, dx), (0, 1))[inner].ravel()[at]
        mine = owner[inner].ravel()[at]
        other = np.flatnonzero(its != mine) if dy or dx else np.arange(len(at))
        for a in range(0, len(other), _AT_ONCE):
            part = other[a:a + _AT_ONCE]
            row, column = np.divmod(at[part], cut.shape[1])
            place = np.column_stack([column + first[1] + 0.5, row + first[0] + 0.5]) * scale
            left = left_by(place, begin[its[part]], end[its[part]], tool)
            cut[row, column] = np.minimum(cut[row, column], left)


def _box_by_box(field, begin, end, tool):
    """Each move over all places within its reach, those of about one size together."""
    scale, shape = field.mm_per_px, field.z.shape
    reach = tool.radius_at(-np.minimum(begin[:, 2], end[:, 2]))
    under = reach > 0
    begin, end, reach = begin[under], end[under], reach[under]
    # long moves in parts, else the box around one that runs aslant would be nearly empty
    parts = np.maximum(np.ceil(np.hypot(*(end - begin)[:, :2].T) / np.maximum(reach, 8 * scale)), 1).astype(np.intp)
    starts = ragged.lengths_to_starts(parts)
    of = ragged.owner(starts)
    share = (np.arange(starts[-1]) - starts[of]) / parts[of]
    way = (end - begin)[of]
    one = begin[of] + share[:, None] * way
    two = begin[of] + (share + 1 / parts[of])[:, None] * way
    low = np.floor((np.minimum(one, two)[:, :2] - reach[of, None]) / scale).astype(np.intp) - 1
    size = (np.floor((np.maximum(one, two)[:, :2] + reach[of, None]) / scale).astype(np.intp) + 2 - low).max(1)
    size = -(-size // _STEP) * _STEP
    flat = field.z.reshape(-1)
    for side in np.unique(size).tolist():
        its = np.flatnonzero(size == side)
        dy, dx = (v.ravel() for v in np.mgrid[:side, :side])
        for at in np.array_split(its, max(-(-len(its) * side * side // _AT_ONCE), 1)):
            breathe()
            column, row = low[at, :1] + dx, low[at, 1:] + dy
            on = (row >= 0) & (row < shape[0]) & (column >= 0) & (column < shape[1])
            number, k = np.nonzero(on)
            row, column = row[number, k], column[number, k]
            place = np.column_stack([column + 0.5, row + 0.5]) * scale
            left = left_by(place, one[at[number]], two[at[number]], tool)
            lower = left < 0
            np.minimum.at(flat, (row * shape[1] + column)[lower], left[lower].astype(np.float32))
