"""Shapes of the geometry library moved, scaled and turned."""

import numpy as np
import shapely


def shifted(shape, dx: float, dy: float):
    """A shape moved."""
    return shapely.transform(shape, lambda xy: xy + (dx, dy))


def scaled(shape, fx: float, fy: float):
    """A shape larger or smaller from the origin."""
    return shapely.transform(shape, lambda xy: xy * (fx, fy))


def rotated(shape, degrees: float, about=(0.0, 0.0)):
    """A shape turned about a place, from x towards y."""
    c, s = np.cos(np.radians(degrees)), np.sin(np.radians(degrees))
    turn = np.array([[c, s], [-s, c]])
    return shapely.transform(shape, lambda xy: (xy - about) @ turn + about)
