"""How much of a line's colour is in each pixel, where every other pixel is of one of a few flat colours."""

from dataclasses import dataclass

import cv2
import numpy as np

from sketchloom.core.base.progress import breathe
from sketchloom.core.segment.labels import nearest

_REACH = np.ones((11, 11), np.uint8)
"""Within five pixels both sides of a thin line have flat pixels, also where another line runs beside it."""
_FEW = 30_000
"""The surroundings of so few pixels are looked at one by one."""
_LEVEL = 0.12
"""Sine of the angle between the ways to two colours below which both and the line's are taken for shades of one."""
_TWO_COST = 4.0
"""A pixel is a mixture with two flat colours rather than with one where that explains so much more (squared steps)."""


@dataclass(frozen=True, slots=True, eq=False)
class Mixed:
    """``cover`` (H, W) float32, the share of the line's colour; ``least``, the smallest share that explains the pixel;
    ``side`` (H, W) int16, the flat colour that there is most of, -1 where there is none; ``owner`` (H, W) int16, the
    flat colour of flat pixels, B for the line's own, -1 elsewhere; ``rest`` (H, W) float32, squared steps that no
    mixture explains."""

    cover: np.ndarray
    least: np.ndarray
    side: np.ndarray
    owner: np.ndarray
    rest: np.ndarray


def mixed(rgb, owner, colours, line) -> Mixed:
    """What each pixel is a mixture of: the line's colour and one or two flat colours that are near.

    Parameters
    ----------
    rgb : (H, W, 3) uint8. owner : (H, W) int16, as of ``Mixed``. colours : (B, 3) the flat colours without the line's.
    line : (3,) the line's.

    Notes
    -----
    Three colours that lie on one way in colour space cannot be told apart by a pixel; there it is taken for a mixture
    of the line with one side alone, which is true of lines of a pixel and more.
    """
    count = len(colours)
    y, x = np.nonzero(owner < 0)
    covered, lowest, second, pair, rest = explained(rgb, owner, colours, line, y, x)
    told = np.isfinite(rest)
    y, x, covered, second, pair = y[told], x[told], covered[told], second[told], pair[:, told]
    planes = np.zeros((3, *owner.shape), np.float32)
    planes[:2, owner == count] = 1.0
    planes[:, y, x] = covered, lowest[told], rest[told]
    side = np.where(owner < count, owner, -1).astype(np.int16)
    first = 1.0 - covered - second
    side[y, x] = np.where(np.maximum(first, second) > 0, np.where(second > first, pair[1], pair[0]), -1)
    return Mixed(planes[0], planes[1], side, owner, planes[2])


def owners(rgb, flat, colours) -> np.ndarray:
    """(H, W) int16, the nearest of (B, 3) colours for flat pixels, -1 elsewhere."""
    return np.where(flat, nearest(rgb, np.asarray(colours, np.float32)).astype(np.int16), np.int16(-1))


def explained(rgb, owner, colours, line, y, x):
    """What pixels that are not flat are mixtures of: the line's share (N,) and its least one, the share of the second
    of two flat colours, their numbers (2, N), and the squared steps left over, infinite where none is near."""
    line, colours = np.asarray(line, np.float32), np.asarray(colours, np.float32)
    count, seen = len(colours), rgb[y, x].astype(np.float32)
    near = _near(owner, count, y, x)
    best = np.full(len(y), np.inf, np.float32)
    covered, lowest, second = (np.zeros(len(y), np.float32) for _ in range(3))
    pair = np.zeros((2, len(y)), np.int16)
    for i in range(count):
        breathe()
        for j in range(i, count):
            at = np.flatnonzero(near[i] & near[j])
            if not len(at):
                continue
            other, cover, least, rest = (_with_one(seen[at], colours[i], line) if i == j
                                         else _with_two(seen[at], colours[i], colours[j], line))
            better = rest < best[at]
            at = at[better]
            best[at], covered[at], lowest[at], second[at] = (v[better] for v in (rest, cover, least, other))
            pair[0, at], pair[1, at] = i, j
    return covered, lowest, second, pair, best


def _near(owner, count, y, x):
    """(count, N) bool: which flat colours are within reach of pixels."""
    if len(y) > _FEW:
        return np.stack([cv2.dilate((owner == k).astype(np.uint8), _REACH)[y, x] > 0 for k in range(count)])
    reach = _REACH.shape[0] // 2
    framed = np.pad(owner, reach, constant_values=-1)
    near = np.zeros((count + 2, len(y)), bool)  # the last two for the line's own and for none
    at = np.arange(len(y))
    for down in range(2 * reach + 1):
        for right in range(2 * reach + 1):
            near[framed[y + down, x + right], at] = True
    return near[:count]


def _with_one(seen, side, line):
    way = line - side
    covered = np.clip((seen - side) @ way / max(float(way @ way), 1.0), 0, 1)
    return np.zeros_like(covered), covered, covered, ((seen - side - covered[:, None] * way) ** 2).sum(1)


def _with_two(seen, one, two, line):
    """Shares of the second colour and of the line's, the least share of that, and what is left over."""
    across, way, from_two = two - one, line - one, line - two
    here = seen - one
    aa, aw, ww = float(across @ across), float(across @ way), float(way @ way)
    # on an edge of the triangle: one side and the line, the other and the line, or both sides
    _, first, _, first_rest = _with_one(seen, one, line)
    _, second, _, second_rest = _with_one(seen, two, line)
    between = np.clip(here @ across / max(aa, 1.0), 0, 1)
    between_rest = ((here - between[:, None] * across) ** 2).sum(1)
    none = np.zeros_like(first)
    choices = np.stack([none, 1.0 - second, between]), np.stack([first, second, none])
    rests = np.stack([first_rest, second_rest, between_rest])
    area = aa * ww - aw * aw
    if area <= _LEVEL**2 * aa * ww or float(from_two @ from_two) < 1.0:
        # shades of one colour: what is darker than the darker side, or as near as that
        rests[2] += _TWO_COST
        pick = rests.argmin(0)
        lowest = np.where(between_rest <= rests[:2].min(0) + _TWO_COST, 0.0, np.minimum(first, second))
        return *(np.take_along_axis(c, pick[None], 0)[0] for c in choices), lowest, rests.min(0) + _TWO_COST
    pick = rests.argmin(0)
    other, covered = (np.take_along_axis(c, pick[None], 0)[0] for c in choices)
    rest = rests.min(0)
    ha, hw = here @ across, here @ way
    t, c = (ha * ww - hw * aw) / area, (hw * aa - ha * aw) / area
    inside = (t >= 0) & (c >= 0) & (t + c <= 1)
    other, covered = np.where(inside, t, other), np.where(inside, c, covered)
    off = ((here - t[:, None] * across - c[:, None] * way) ** 2).sum(1)
    return other, covered, covered, np.where(inside, off, rest) + _TWO_COST
