"""Areas of a drawing laid on pixels: what is seen at each, and of which area it is."""

from dataclasses import dataclass, replace

import numpy as np

from sketchloom.core.base.colour import from_hex
from sketchloom.core.base.late import late
from sketchloom.core.base.progress import breathe
from sketchloom.core.base.raster import crossings
from sketchloom.core.curves.chains import Chain
from sketchloom.core.curves.curveset import flatten, is_straight
from sketchloom.core.picture.painted import Area, Painted, Part
from sketchloom.core.shapes.guides import Guides

ndimage = late("scipy.ndimage")

_FLAT_PX = 0.01
"""Curves are flattened so far for deciding pixels."""
_UNLIKE = 24
"""A pixel of the drawn page that no colour around it explains by more than this, of 255, shows something else: words,
a filter, a marker (chosen above what rounding and a renderer's own rules of coverage make, on the open drawings)."""
_LIKE_SHARE = 0.0005
"""Fewer such pixels are a renderer's own rules."""


@dataclass(frozen=True, slots=True, eq=False)
class Laid:
    """``colour`` (H, W) int32: 0xRRGGBB of what is seen, -1 where nothing is painted; ``owner`` (H, W) int32: number of
    the uppermost area from 1, 0 for none; ``by_look`` (H, W) bool: where what is seen is no one colour."""

    colour: np.ndarray
    owner: np.ndarray
    by_look: np.ndarray


def laid(painted: Painted, size, on_paper: bool) -> Laid:
    """Paint all areas in their order.

    Parameters
    ----------
    painted : its places in px of a picture of ``size`` (height, width). on_paper : nothing painted is white.
    """
    colour = np.full(size, 0xFFFFFF if on_paper else -1, np.int32)
    owner, by_look = np.zeros(size, np.int32), np.zeros(size, bool)
    clips: dict[int, np.ndarray] = {}

    def clip(number):
        if number not in clips:
            clips[number] = np.any([_inside(part, size, (0, 0)) for part in painted.clips[number]], axis=0) if (
                painted.clips[number]) else np.zeros(size, bool)
        return clips[number]

    for number, area in enumerate(painted.areas, 1):
        breathe()
        box = _box(area.part, size)
        if box is None:
            continue
        window = np.s_[box[1]:box[3], box[0]:box[2]]
        inside = _inside(area.part, (box[3] - box[1], box[2] - box[0]), box[:2])
        for one in area.clips:
            inside &= clip(one)[window]
        if not inside.any():
            continue
        owner[window][inside] = number
        _paint(colour[window], by_look[window], inside, area)
    return Laid(colour, owner, by_look)


def _paint(colour, by_look, inside, area):
    red, green, blue = (int(v) for v in from_hex(area.hex))
    if area.opacity >= 1:
        colour[inside] = red << 16 | green << 8 | blue
        by_look[inside] = area.by_look
        return
    below = colour[inside]
    bare = below < 0
    mixed = np.zeros(len(below), np.int32)
    for shift, value in ((16, red), (8, green), (0, blue)):
        part = np.where(bare, 255, below >> shift & 255)
        mixed |= np.rint(part + (value - part) * area.opacity).astype(np.int32) << shift
    colour[inside] = mixed
    by_look[inside] |= area.by_look | bare


def _box(part, size):
    low = np.min([ring.min((0, 1)) for ring in part.rings], axis=0)
    high = np.max([ring.max((0, 1)) for ring in part.rings], axis=0)
    left, top = np.maximum(np.floor(low), 0).astype(int).tolist()
    right, bottom = np.minimum(np.ceil(high), size[::-1]).astype(int).tolist()
    return (left, top, right, bottom) if left < right and top < bottom else None


def _inside(part: Part, shape, corner):
    """(h, w) pixels of a window whose middles lie inside."""
    height, width = shape
    turn = np.zeros((height, width + 1), np.int16)
    for ring in part.rings:
        points = flatten(ring, is_straight(ring), _FLAT_PX)[0] - corner
        row, x, down, _ = crossings(points, np.roll(points, -1, 0), height)
        at = np.clip(np.ceil(x - 0.5), 0, width).astype(np.intp)
        np.add.at(turn, (row, at), 1 if part.even else down)
    made = np.cumsum(turn[:, :-1], 1, dtype=np.int16)
    return made & 1 > 0 if part.even else made != 0


def picture_from(painted: Painted) -> tuple[np.ndarray, np.ndarray]:
    """Areas drawn on nothing, each pixel by four of its own: (H, W, 3) uint8 colours and (H, W) uint8 alpha."""
    def fine(part):
        return Part(tuple(2 * ring for ring in part.rings), part.even)

    size = 2 * painted.height, 2 * painted.width
    one = laid(Painted(size[1], size[0], tuple(replace(area, part=fine(area.part)) for area in painted.areas),
                       tuple(tuple(fine(part) for part in clip) for clip in painted.clips)), size, False)
    shown = one.colour >= 0

    def mean(values):
        return values.reshape(painted.height, 2, painted.width, 2).mean((1, 3))

    cover = mean(shown.astype(float))
    parts = [mean(np.where(shown, one.colour >> shift & 255, 0)) / np.maximum(cover, 0.25) for shift in (16, 8, 0)]
    return np.rint(np.stack(parts, -1)).astype(np.uint8), np.rint(255 * cover).astype(np.uint8)


def with_unlike(one: Laid, rgb) -> Laid:
    """With what the drawn page shows otherwise as read by its look: nobody's, so that no curve is laid along it."""
    shown = np.stack([one.colour >> shift & 255 for shift in (16, 8, 0)], -1).astype(np.uint8)
    low, high = (f(shown, (3, 3, 1), mode="nearest") for f in (ndimage.minimum_filter, ndimage.maximum_filter))
    rgb = np.asarray(rgb, np.int16)
    unlike = ((rgb < low.astype(np.int16) - _UNLIKE) | (rgb > high.astype(np.int16) + _UNLIKE)).any(-1)
    unlike &= ~one.by_look & (one.colour >= 0)
    if unlike.mean() < _LIKE_SHARE:
        return one
    unlike = ndimage.binary_dilation(unlike, iterations=2)
    return replace(one, owner=np.where(unlike, 0, one.owner).astype(np.int32), by_look=one.by_look | unlike)


def guides_of(painted: Painted, owner) -> Guides:
    """The outlines of all areas, those of their clips among them, along which the boundaries of what is seen run."""
    seen = np.zeros(len(painted.areas) + 1, bool)
    seen[np.unique(owner)] = True
    groups = tuple(_chains(painted, area) if seen[n] else () for n, area in enumerate(painted.areas, 1))
    none = np.empty(0, np.int64)
    return Guides(groups, owner, none, none)


def _chains(painted, area: Area):
    parts = [area.part, *(part for n in area.clips for part in painted.clips[n])]
    return tuple(Chain(ring, True) for part in parts for ring in part.rings)


def owners_after(owner, before, labels) -> np.ndarray:
    """Owners where pixels were given another label since: that of a neighbour with the same label now."""
    changed = before != labels
    if not changed.any():
        return owner
    made = owner.copy()
    left = changed.copy()
    for _ in range(max(labels.shape)):
        rows, columns = np.nonzero(left)
        if not len(rows):
            break
        found = np.zeros(len(rows), bool)
        for dy, dx in ((0, 1), (1, 0), (0, -1), (-1, 0)):
            y = np.clip(rows + dy, 0, labels.shape[0] - 1)
            x = np.clip(columns + dx, 0, labels.shape[1] - 1)
            take = ~found & ~left[y, x] & (labels[y, x] == labels[rows, columns])
            made[rows[take], columns[take]] = made[y[take], x[take]]
            found |= take
        if not found.any():
            break
        left[rows[found], columns[found]] = False
    return made
