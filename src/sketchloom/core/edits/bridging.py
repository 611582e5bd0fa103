"""A bridge over a gap: a curve in the ink's own width that goes on where both sides point."""

import cv2
import numpy as np

from sketchloom.core.edits.gaps import is_end

_BEND_REACH = 4.0
"""A stroke's direction is taken over so many of its widths."""


def bridge_curve(ink, start, end, width_px: float) -> np.ndarray:
    """(N, 2) px from one side of a gap to the other, leaving each stroke that ends there in its own direction.

    A side that is no end, or whose direction is more than 60 degrees off, is met straight. Between the two runs a
    cubic in Hermite form.
    """
    start, end = np.asarray(start, float), np.asarray(end, float)
    chord = end - start
    length = float(np.hypot(*chord))
    if length < 2.0:
        return np.array([start, end])
    drawn = np.ascontiguousarray(ink, np.uint8)
    unit = chord / length
    start, end = (_in_the_middle(drawn, place, unit, width_px) for place in (start, end))
    unit, length = (end - start) / max(np.hypot(*(end - start)), 1e-9), float(np.hypot(*(end - start)))
    leave, arrive = (_direction(drawn, place, outward, width_px) for place, outward in ((start, unit), (end, -unit)))
    t = np.linspace(0, 1, max(int(2 * length), 8) + 1)[:, None]
    return ((2 * t**3 - 3 * t**2 + 1) * start + (t**3 - 2 * t**2 + t) * length * leave + (3 * t**2 - 2 * t**3) * end
            - (t**3 - t**2) * length * arrive)


def _in_the_middle(drawn, place, unit, width):
    """A place in a stroke moved across it to its middle."""
    normal = np.array([-unit[1], unit[0]])
    offset = np.arange(-1.5 * width, 1.5 * width + 0.25, 0.25)
    x, y = np.floor(place + offset[:, None] * normal).astype(int).T
    inside = (x >= 0) & (y >= 0) & (x < drawn.shape[1]) & (y < drawn.shape[0])
    solid = np.zeros(len(offset), bool)
    solid[inside] = drawn[y[inside], x[inside]] > 0
    middle = len(offset) // 2
    if not solid[middle]:
        return place
    right = np.logical_and.accumulate(solid[middle:])
    left = np.logical_and.accumulate(solid[middle::-1])
    if right.all() or left.all():
        return place  # the side of a stroke, not its end
    return place + 0.5 * (offset[middle + int(right.sum()) - 1] + offset[middle - int(left.sum()) + 1]) * normal


def _direction(drawn, place, outward, width):
    """The direction in which the stroke around a place ends; ``outward`` where it does not."""
    reach = int(np.ceil(max(_BEND_REACH * width, 8.0)))
    if not is_end(drawn, place - outward * width / 2, width / 2, outward):
        return outward
    x, y = np.floor(place).astype(int)
    x0, y0 = max(x - reach, 0), max(y - reach, 0)
    part = drawn[y0:y + reach + 1, x0:x + reach + 1]
    _, labels = cv2.connectedComponents(part, connectivity=8)
    ys, xs = np.nonzero((labels == labels[y - y0, x - x0]) & (part > 0))
    back = np.stack([xs + x0 + 0.5, ys + y0 + 0.5], -1) - place
    near = np.hypot(*back.T)
    shell = (near > 0.6 * reach) & (near <= reach)
    if shell.sum() < 2 or not part[y - y0, x - x0]:
        return outward
    # the direction turns as fast beyond the end as before it: the far chord is half a turn behind
    far, close = -back[shell].mean(0), -back[(near > 0.25 * reach) & (near <= 0.6 * reach)].mean(0) if (
        (near > 0.25 * reach) & (near <= 0.6 * reach)).any() else -back[shell].mean(0)
    far, close = far / max(np.hypot(*far), 1e-9), close / max(np.hypot(*close), 1e-9)
    way = 2 * close - far
    way /= max(np.hypot(*way), 1e-9)
    return way if way @ outward > 0.5 else outward
