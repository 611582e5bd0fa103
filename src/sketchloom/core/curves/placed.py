"""Points of many stretches as rows of one table: every stretch is seen at the same number of places, (M, K)."""

from dataclasses import dataclass

import numpy as np


@dataclass(frozen=True, slots=True, eq=False)
class Trail:
    """Points that stretches are taken from, ``xy`` (N, 2) px, how ``far`` on each lies, (N,) px, and which of them tell
    where an outline runs, ``trust`` (N,) bool."""

    xy: np.ndarray
    far: np.ndarray
    trust: np.ndarray

    @classmethod
    def of(cls, xy, trust=None) -> "Trail":
        """Points end to end, all trusted if nothing is said."""
        far = np.concatenate([[0.0], np.cumsum(np.hypot(*np.diff(xy, axis=0).T))])
        return cls(xy, far, np.ones(len(xy), bool) if trust is None else trust)


class Placed:
    """Points of stretches, ``xy`` (2, M, K), which of them count, ``counts`` (M, K) 0 or 1, at which ``share`` of their
    stretch they lie, and how long it is, ``total`` (K,)."""

    __slots__ = ("counts", "share", "total", "xy")

    def __init__(self, xy, counts, share, total):
        self.xy, self.counts, self.share, self.total = xy, counts, share, total

    @classmethod
    def of(cls, trail: Trail, first, last, most: int):
        """At most so many points of each stretch from one of the trail to another, ends among them; those without trust
        do not count."""
        size = last - first
        steps = np.minimum(size, most - 1)
        place = np.arange(most)[:, None]
        index = first + np.rint(np.minimum(place, steps) * (size / steps)).astype(np.intp)
        begin = trail.far[first]
        total = np.maximum(trail.far[last] - begin, 1e-12)
        xy = np.empty((2, *index.shape))
        xy[0], xy[1] = trail.xy[:, 0][index], trail.xy[:, 1][index]
        counts = (place <= steps) & trail.trust[index]
        return cls(xy, counts.astype(float), (trail.far[index] - begin) / total, total)

    def some(self, which) -> "Placed":
        """Those stretches alone."""
        return Placed(self.xy[:, :, which], self.counts[:, which], self.share[:, which], self.total[which])


def along(form, seen: Placed, t):
    """What lies between the points and their places on the cubics, and the cubics' first derivatives, both (2, M, K).

    ``form`` are the cubics as of ``power_form``; both coordinates go through Horner's rule side by side, for on few
    stretches the calls are what takes the time.
    """
    c0, c1, c2, c3 = form[:, :, None].swapaxes(0, 1)
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
    return np.subtract(seen.xy, place, out=place), slope


def nearer(form, seen: Placed, t):
    """One step of Newton's rule towards the foot of each point on its cubic."""
    gap, slope = along(form, seen, t)
    turn = (6.0 * form[:, 3, None]) * t
    turn += 2.0 * form[:, 2, None]
    turn *= gap
    gap *= slope
    slope *= slope
    fall = slope[0] + slope[1]
    fall -= turn[0]
    fall -= turn[1]
    fall[fall <= 1e-9] = np.inf
    move = gap[0] + gap[1]
    move /= fall
    np.clip(move, -0.1, 0.1, out=move)
    move += t
    return np.clip(move, 0.0, 1.0, out=move)
