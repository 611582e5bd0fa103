"""Lines painted into the picture itself before it is read: bridges over gaps, ink added, ink taken away."""

from dataclasses import dataclass, replace

import numpy as np

from sketchloom.core import checks
from sketchloom.core.colour import from_hex
from sketchloom.core.picture.picture import Picture, frozen_array
from sketchloom.core.picture.preparing.placing import growth, moved
from sketchloom.core.strokes.drawing import cover_along

MAX_POINTS = 4000
_SPACING_PX = 0.25


@dataclass(frozen=True, slots=True)
class PaintedLine:
    """A line through ``points`` with round ends, in the colour ``hex``.

    Points are shares of the sides of the picture as it came, ``width`` a share of its width.
    """

    points: tuple[tuple[float, float], ...]
    width: float
    hex: str
    on: bool = True

    def __post_init__(self):
        checks.points("lines.points", self.points, 2, MAX_POINTS)
        checks.within("lines.width", self.width, 0.0, 1.0, (int, float), optional=False)
        checks.true_or_false("lines.on", self.on)
        from_hex(self.hex)


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
        cover = cover_along(_dense(points), line.width * came_px[0] * larger**0.5, rgb.shape[:2])
        rgb += cover[..., None] * (np.array(from_hex(line.hex), np.float32) - rgb)
        if alpha is not None:
            alpha = np.maximum(alpha, np.rint(255 * cover).astype(np.uint8))
    return replace(picture, rgb=frozen_array(np.rint(rgb).astype(np.uint8)),
                   alpha=None if alpha is None else frozen_array(alpha))


def _dense(points):
    """Points along a line through some, rounded where it bends, at most a quarter of a pixel apart."""
    for _ in range(2 if len(points) > 2 else 0):  # Chaikin 1974: corners cut twice
        a, b = points[:-1], points[1:]
        inner = np.stack([0.75 * a + 0.25 * b, 0.25 * a + 0.75 * b], 1).reshape(-1, 2)
        points = np.concatenate([points[:1], inner, points[-1:]])
    way = np.concatenate([[0.0], np.cumsum(np.hypot(*np.diff(points, axis=0).T))])
    at = np.linspace(0, way[-1], max(int(way[-1] / _SPACING_PX), 1) + 1)
    return np.stack([np.interp(at, way, points[:, c]) for c in (0, 1)], -1)
