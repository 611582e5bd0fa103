"""Points of many stretches as rows of one table: every stretch is seen at the same number of places, (M, K)."""

import numpy as np

from sketchloom.core.curves.least_squares import power_form


class Placed:
    """Points of stretches, ``x``, ``y`` (M, K), which of them count, ``counts`` (M, K) 0 or 1, at which ``share`` of
    their stretch they lie, and how long it is, ``total`` (K,)."""

    __slots__ = ("counts", "share", "total", "x", "y")

    def __init__(self, x, y, counts, share, total):
        self.x, self.y, self.counts, self.share, self.total = x, y, counts, share, total

    @classmethod
    def of(cls, points, first, last, most: int, trust=None):
        """At most so many points of each stretch from one of the ``points`` (N, 2) to another, ends among them; those
        without ``trust`` (N,) do not count."""
        size = last - first
        steps = np.minimum(size, most - 1)
        place = np.arange(most)[:, None]
        index = first + np.rint(np.minimum(place, steps) * (size / steps)).astype(np.intp)
        way = np.concatenate([[0.0], np.cumsum(np.hypot(*np.diff(points, axis=0).T))])
        begin = way[first]
        total = np.maximum(way[last] - begin, 1e-12)
        x, y = points[:, 0][index], points[:, 1][index]
        counts = place <= steps
        if trust is not None:
            counts &= trust[index]
        return cls(x, y, counts.astype(float), (way[index] - begin) / total, total)

    def some(self, which) -> "Placed":
        """Those stretches alone."""
        return Placed(self.x[:, which], self.y[:, which], self.counts[:, which], self.share[:, which],
                     self.total[which])


def along(controls, seen: Placed, t):
    """What lies between the points and their places on the cubics, and the cubics' first derivatives, x and y of
    each (M, K), with the coefficients."""
    form = power_form(controls)
    def horner(axis, wanted):
        c0, c1, c2, c3 = form[axis]
        place = c3 * t
        slope = 3.0 * place
        place += c2
        place *= t
        slope += 2.0 * c2
        slope *= t
        slope += c1
        place += c1
        place *= t
        place += c0
        return np.subtract(wanted, place, out=place), slope
    (gx, dx), (gy, dy) = horner(0, seen.x), horner(1, seen.y)
    return gx, gy, dx, dy, form


def nearer(controls, seen: Placed, t):
    """One step of Newton's rule towards the foot of each point on its cubic."""
    gx, gy, dx, dy, form = along(controls, seen, t)
    c2, c3 = 2.0 * form[:, 2], 6.0 * form[:, 3]
    fall = dx * dx + dy * dy - gx * (c2[0] + c3[0] * t) - gy * (c2[1] + c3[1] * t)
    fall[fall <= 1e-9] = np.inf
    move = gx * dx
    move += gy * dy
    move /= fall
    np.clip(move, -0.1, 0.1, out=move)
    move += t
    return np.clip(move, 0.0, 1.0, out=move)
