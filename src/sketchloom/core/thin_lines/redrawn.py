"""A picture some times as fine in which thin lines are drawn whole: one colour, one width, two smooth edges."""

import cv2
import numpy as np

from sketchloom.core.base.progress import breathe
from sketchloom.core.picture.picture import Picture, frozen_array
from sketchloom.core.picture.preparing.enlarging import enlarged
from sketchloom.core.thin_lines.network import larger

_ZONE_PX = 2.0
"""So far from a line, in pixels of the picture, its renderer's blends reach, and are taken away."""
_SOLID, _RIM_PX = 0.8, 0.35
"""From this cover on a place is of the lines' colour, if it lies so far beside them, in pixels of the picture."""
_STEEP = 3.0
"""In tight places between lines the cover itself says what is of their colour, its edge made so much steeper."""


def redrawn(picture: Picture, mixed, colours, line, cover, times: int) -> Picture:
    """The picture ``times`` as fine with lines drawn anew.

    Parameters
    ----------
    mixed : of the picture. colours : (B, 3) flat colours, of a transparent picture the last is its ground. line : (3,)
        the lines' colour. cover : (times H, times W) float32, of the lines, 0 to 1.
    """
    large = enlarged(picture, times)
    cover = np.array(cover)
    # where lines run together there is more of their colour than they cover
    seen = larger(mixed.cover, times)
    breathe()
    core = cover >= 0.5
    reach = cv2.distanceTransform((~core).astype(np.uint8), cv2.DIST_L2, 5)
    zone = reach <= _ZONE_PX * times
    solid = (seen > _SOLID) & (reach > _RIM_PX * times)
    side, tight = _sides(mixed, len(colours), core | solid, zone | solid, times)
    np.maximum(cover, np.clip(_STEEP * (seen - 0.5) + 0.5, 0, 1), out=cover, where=tight)
    zone |= solid
    values = np.concatenate([np.asarray(colours, np.float32), np.asarray(line, np.float32)[None]])
    y, x = np.nonzero(zone)
    share, beside = cover[y, x], side[y, x]
    rgb, alpha = np.array(large.rgb), large.alpha
    if alpha is not None:
        alpha, clear = np.array(alpha), beside == len(colours) - 1
        alpha[y, x] = np.where(clear, np.rint(255 * share), 255).astype(np.uint8)
        beside = np.where(clear, len(colours), beside)
        alpha = frozen_array(alpha)
    share = share[:, None]
    rgb[y, x] = np.rint(values[beside] * (1 - share) + values[-1] * share).astype(np.uint8)
    return Picture(frozen_array(rgb), alpha, large.dpi, large.name, large.notes)


def _sides(mixed, count, core, zone, times):
    """What lies beside lines: (H, W) the number of a flat colour, that of the lines (B) where there is none, and (H, W)
    bool, tight places, which no flat pixel's colour comes to; it grows up to the lines and not across."""
    height, width = core.shape
    # a pixel more around, so that neighbours need no bounds
    label = np.full((height + 2, width + 2), -1, np.int16)
    label[1:-1, 1:-1] = np.where(core, -1, np.repeat(np.repeat(mixed.owner, times, 0), times, 1))
    flat = label.ravel()
    step = (1, -1, width + 2, -(width + 2))

    def grown(where, rounds):
        y, x = np.nonzero(where)
        todo = (y + 1) * (width + 2) + x + 1
        for _ in range(rounds):
            if not len(todo):
                break
            found = np.full(len(todo), -1, np.int16)
            for off in step:
                np.copyto(found, flat[todo + off], where=found < 0)
            flat[todo] = found
            todo = todo[found < 0]
        return np.divmod(todo, width + 2)

    rows, columns = grown(zone & (label[1:-1, 1:-1] < 0) & ~core, 3 * times)
    tight = np.zeros(core.shape, bool)
    tight[rows - 1, columns - 1] = True
    # the edge of a line is blended with what lies beside it
    rows, columns = grown(zone & (label[1:-1, 1:-1] < 0) & ~tight, times)
    side = label[1:-1, 1:-1].copy()
    left = side < 0
    y, x = np.nonzero(left & zone)
    side[y, x] = mixed.side[y // times, x // times]
    return np.where(side < 0, count, side), tight | (left & zone)
