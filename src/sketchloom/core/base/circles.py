"""The circle through three places."""

import numpy as np


def centre_through(a, b, c, flat: float = 1e-6) -> np.ndarray | None:
    """The centre (2,) of the circle through three places; None where they lie on a line, as nearly as the sine of
    ``flat`` says."""
    a, b, c = (np.asarray(place, float) for place in (a, b, c))
    way, off = b - a, c - a
    cross = way[0] * off[1] - way[1] * off[0]
    if abs(cross) < flat * max(float(way @ way), float(off @ off), 1e-9):
        return None
    to_b, to_c = way @ way / 2, off @ off / 2
    return a + np.array([off[1] * to_b - way[1] * to_c, way[0] * to_c - off[0] * to_b]) / cross
