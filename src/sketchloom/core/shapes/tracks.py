"""Curves that something else may run along, where places lie on them and where they meet."""

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.base.late import late
from sketchloom.core.curves.curveset import evaluate, segment_lengths

spatial = late("scipy.spatial")
_SPACING_PX = 0.25
"""Spacing of samples on a known curve."""
_MEETS_PX, CORNER_PX = 2.5, 0.02
"""Two curves meet at most so far from where pixels say; a corner of one so near to the other is where they meet."""
_PARALLEL = 0.02
"""Curves that cross under a smaller angle (its sine) have no sure crossing."""
_STEPS = 12


class Track:
    """Chains of a group with a tree of their points, to find the nearest."""

    def __init__(self, chains):
        self.chains = chains
        chain, segment, t, controls = [], [], [], []
        for number, one in enumerate(chains):
            count = np.maximum(np.ceil(segment_lengths(one.controls) / _SPACING_PX), 2).astype(np.intp)
            starts = ragged.lengths_to_starts(count + 1)
            of = ragged.owner(starts)
            segment.append(of)
            t.append((np.arange(starts[-1]) - starts[of]) / count[of])
            chain.append(np.full(len(of), number))
            controls.append(one.controls[of])
        self.chain, self.segment, self.t = np.concatenate(chain), np.concatenate(segment), np.concatenate(t)
        self.controls = np.concatenate(controls)
        self.tree = spatial.cKDTree(evaluate(self.controls, self.t))
        self.corners = np.concatenate([one.controls[:, 0] for one in chains])

    def nearest(self, xy):
        """Foot of each point on the chains: place (K, 2), chain and segment-and-parameter (K,), distance (K,)."""
        foot, chain, place, away, _ = self.nearest_with_way(xy)
        return foot, chain, place, away

    def nearest_with_way(self, xy):
        """The same, with the unit tangent at each foot (K, 2)."""
        _, at = self.tree.query(xy)
        controls = self.controls[at]
        foot, t = feet_of(controls, self.t[at], xy)
        ahead = _quadratic(np.diff(controls, axis=1), t)
        ahead /= np.maximum(np.hypot(*ahead.T), 1e-12)[:, None]
        return foot, self.chain[at], self.segment[at] + t, np.hypot(*(xy - foot).T), ahead


def feet_of(controls, t, xy):
    """Feet of points on their cubics, and the parameters there: Newton on the distance from parameters close by, as
    long as it comes nearer (where a handle is of no length it may leap)."""
    foot = evaluate(controls, t)
    off = ((xy - foot) ** 2).sum(-1)
    share = np.ones(len(t))
    for _ in range(_STEPS):
        ahead = 3 * _quadratic(np.diff(controls, axis=1), t)
        speed = np.maximum((ahead * ahead).sum(-1), 1e-12)
        step = np.clip(((xy - foot) * ahead).sum(-1) / speed, -0.1, 0.1)
        if (np.abs(step) < 1e-12).all() or share.max() < 1e-4:
            break
        tried = np.clip(t + share * step, 0, 1)
        there = evaluate(controls, tried)
        left = ((xy - there) ** 2).sum(-1)
        nearer = left < off
        share = np.where(nearer, 1.0, 0.25 * share)
        t, off = np.where(nearer, tried, t), np.where(nearer, left, off)
        foot = np.where(nearer[:, None], there, foot)
    return foot, t


def _quadratic(legs, t):
    s = (1 - t)[:, None]
    t = t[:, None]
    return s * s * legs[:, 0] + 2 * s * t * legs[:, 1] + t * t * legs[:, 2]


def meeting(one: Track, two: Track, near) -> np.ndarray | None:
    """Where two groups of curves meet near a place (2,): at a corner of one that lies on the other, else where they
    cross; None for neither."""
    near = np.asarray(near, float)
    best, best_away = None, _MEETS_PX
    for mine, other in ((one, two), (two, one)):
        away = np.hypot(*(mine.corners - near).T)
        for at in np.flatnonzero(away < best_away):
            if away[at] < best_away and other.nearest(mine.corners[at][None])[3][0] < CORNER_PX:
                best, best_away = mine.corners[at], float(away[at])
    crossing = _crossing(one, two, near)
    if crossing is not None and np.hypot(*(crossing - near)) < best_away - CORNER_PX:
        return crossing
    return best


def _crossing(one, two, near):
    """Newton on both curves from a place: the crossing of their tangents at its feet, until it stays."""
    place = near
    off_a = off_b = np.inf
    for _ in range(_STEPS):
        (a,), _, _, (off_a,), (u,) = one.nearest_with_way(place[None])
        (b,), _, _, (off_b,), (v,) = two.nearest_with_way(place[None])
        if max(off_a, off_b) < 1e-9:
            return place
        cross = u[0] * v[1] - u[1] * v[0]
        if abs(cross) < _PARALLEL:
            return None
        gap = b - a
        place = a + (gap[0] * v[1] - gap[1] * v[0]) / cross * u
        if np.hypot(*(place - near)) > _MEETS_PX:
            return None
    return place if max(off_a, off_b) < 1e-4 else None
