"""Lines painted into the picture itself before it is read: bridges over gaps, ink added, ink taken away."""

from dataclasses import replace

import numpy as np

from sketchloom.core.base.colour import from_hex
from sketchloom.core.picture.picture import Picture, frozen_array
from sketchloom.core.picture.preparing.placing import growth, moved
from sketchloom.core.strokes.drawing import cover_along

_SPACING_PX = 0.25
"""Spacing of samples along a painted line: a quarter pixel leaves no steps."""


def painted(picture: Picture, lines, move, came_px: tuple[int, int]) -> Picture:
    """A prepared picture with lines painted on it, soft by a pixel as a renderer would draw them.

    Parameters
    ----------
    lines : those that are on are painted, in their order. move : as of ``placing``.
    came_px : width and height of the picture as it came.
    """
    lines = [line for line in lines if line.on]
    if not lines:
        return picture
    size = np.array([picture.width, picture.height])
    rgb, alpha = picture.rgb.astype(np.float32), picture.alpha
    for line in lines:
        points = moved(move, line.points) * size
        larger = float(growth(move, [line.points[0]])[0]) * size.prod() / (came_px[0] * came_px[1])
        dense, width = rounded_line(points), line.width * came_px[0] * larger**0.5
        box = _box(dense, width, rgb.shape[:2])
        if box is None:
            continue
        part = rgb[box]
        cover = cover_along(dense - (box[1].start, box[0].start), width, part.shape[:2])
        part += cover[..., None] * (np.array(from_hex(line.hex), np.float32) - part)
        if alpha is not None:
            alpha = alpha.copy()
            alpha[box] = np.maximum(alpha[box], np.rint(255 * cover).astype(np.uint8))
    return replace(picture, rgb=frozen_array(np.rint(rgb).astype(np.uint8)),
                   alpha=None if alpha is None else frozen_array(alpha))


def _box(points, width, shape):
    """The part of a picture that a line touches, None for none."""
    reach = int(np.ceil(width / 2)) + 3
    (x0, y0), (x1, y1) = np.floor(points.min(0)).astype(int) - reach, np.ceil(points.max(0)).astype(int) + reach
    x0, y0, x1, y1 = max(x0, 0), max(y0, 0), min(x1, shape[1]), min(y1, shape[0])
    return np.s_[y0:y1, x0:x1] if x0 < x1 and y0 < y1 else None


def rounded_line(points) -> np.ndarray:
    """(N, 2) points along a line through some, rounded where it bends, at most a quarter of a pixel apart."""
    for _ in range(2 if len(points) > 2 else 0):  # Chaikin 1974: corners cut twice
        a, b = points[:-1], points[1:]
        inner = np.stack([0.75 * a + 0.25 * b, 0.25 * a + 0.75 * b], 1).reshape(-1, 2)
        points = np.concatenate([points[:1], inner, points[-1:]])
    way = np.concatenate([[0.0], np.cumsum(np.hypot(*np.diff(points, axis=0).T))])
    at = np.linspace(0, way[-1], max(int(way[-1] / _SPACING_PX), 1) + 1)
    return np.stack([np.interp(at, way, points[:, c]) for c in (0, 1)], -1)
