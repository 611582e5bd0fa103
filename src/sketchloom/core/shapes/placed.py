"""Shapes and split lines as a recipe keeps them: places in the picture as it came."""

import numpy as np

from sketchloom.core.curves.chains import ring_controls
from sketchloom.core.picture.preparing.placing import moved
from sketchloom.core.shapes.drawn import PlacedShape


def rings_px(shape: PlacedShape, move, size) -> list[np.ndarray]:
    """Each ring as (S, 4, 2) cubics in px of the prepared picture of (width, height) ``size``; ``move`` as of
    ``placing``."""
    size = np.asarray(size, float)
    return [ring_controls(moved(move, ring) * size) for ring in shape.rings]


def reordered(shapes, chosen, by: int) -> tuple:
    """Shapes in an order in which the ones with the numbers ``chosen`` lie one place higher (1) or lower (-1)."""
    shapes = list(enumerate(shapes))
    for n in sorted(chosen, reverse=by > 0):
        at = next(k for k, (number, _) in enumerate(shapes) if number == n)
        to = at + by
        if 0 <= to < len(shapes) and shapes[to][0] not in chosen:
            shapes[at], shapes[to] = shapes[to], shapes[at]
    return tuple(shape for _, shape in shapes)
