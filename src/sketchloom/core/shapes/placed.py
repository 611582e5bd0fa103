"""Shapes and split lines as a recipe keeps them: places in the picture as it came."""


import numpy as np

from sketchloom.core.curves.curveset import line_controls
from sketchloom.core.picture.preparing.placing import moved
from sketchloom.core.shapes.drawn import PlacedShape

_STRAIGHT = 1e-6
"""Handles so near to the thirds of a chord make a line."""


def ring_controls(points) -> np.ndarray:
    """(S, 4, 2) cubics of 3 n + 1 points."""
    points = np.asarray(points, float)
    return np.stack([points[0:-1:3], points[1::3], points[2::3], points[3::3]], 1)


def ring_points(controls) -> tuple[tuple[float, float], ...]:
    """The points of cubics that follow each other, as ``ring_controls`` takes them; their ends are joined exactly."""
    inner = np.asarray(controls)[:, :3].reshape(-1, 2)
    return tuple((round(float(x), 9), round(float(y), 9)) for x, y in np.concatenate([inner, inner[:1]]))


def is_straight(controls) -> np.ndarray:
    """(S,) bool: handles lie at the thirds of the chord."""
    thirds = line_controls(controls[:, 0], controls[:, 3])
    size = np.abs(controls[:, 3] - controls[:, 0]).max(1)
    return np.abs(controls - thirds).max((1, 2)) <= _STRAIGHT * np.maximum(size, 1e-12) + 1e-9


def rings_px(shape: PlacedShape, move, size) -> list[np.ndarray]:
    """Each ring as (S, 4, 2) cubics in px of the prepared picture of (width, height) ``size``; ``move`` as of
    ``placing``."""
    size = np.asarray(size, float)
    return [ring_controls(moved(move, ring) * size) for ring in shape.rings]
