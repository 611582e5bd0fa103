"""Round corners between straight runs, as equations solved for all corners at once."""

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.curves.least_squares import averaged

LEAST_RADIUS_PX, LEAST_STRAIGHT_PX = 0.8, 0.5
"""Smaller rounds are the picture's own softness; less straight run than this on a side is none."""
HALF_TURN = np.radians(178.0)
"""Sides this near to opposite are the two of a rounded bar."""
MARGIN, STEPS = 6, 4
"""Points beyond a round that are looked at, and Newton steps."""


def normal_of(v):
    """Quarter turn in the sense of growing angles."""
    return np.stack([-v[..., 1], v[..., 0]], -1)


def turned(v, angle):
    cos, sin = np.cos(angle)[:, None], np.sin(angle)[:, None]
    return v * cos + normal_of(v) * sin


def crossings(mean_a, unit_a, mean_b, unit_b):
    """Where pairs of lines cross, (K, 2), and whether they do."""
    cross = unit_a[:, 0] * unit_b[:, 1] - unit_a[:, 1] * unit_b[:, 0]
    crossing = np.abs(cross) > 1e-3
    apart = mean_b - mean_a
    along = (apart[:, 0] * unit_b[:, 1] - apart[:, 1] * unit_b[:, 0]) / np.where(crossing, cross, 1.0)
    return mean_a + along[:, None] * unit_a, crossing


class Cases:
    """Gaps between two lines each, with the points in and beside them."""

    def __init__(self, lines, runs, before, after, arc, size, turn):
        self.ua, self.ub = runs.unit[before], runs.unit[after]
        self.far_a, self.far_b = runs.begin[before], runs.end[after]
        mean_a, mean_b = runs.mean[before], runs.mean[after]
        self.parallel = np.abs(turn) > HALF_TURN
        vertex, _ = crossings(mean_a, self.ua, mean_b, self.ub)
        inward = self.ub - self.ua
        # between parallel lines: the middle line, and half their distance
        apart = mean_b - mean_a
        across = apart - (apart * self.ua).sum(1)[:, None] * self.ua
        middle = runs.end[before] + 0.5 * across
        self.fixed_radius = 0.5 * np.hypot(*across.T)
        cos_half = np.maximum(np.cos(0.5 * np.abs(turn)), 1e-9)
        flat = self.parallel[:, None]
        self.origin = np.where(flat, middle, vertex)
        length = np.maximum(np.hypot(*inward.T), 1e-9)[:, None]
        self.way = np.where(flat, self.ua, inward / length)
        # the centre lies at origin + way * (factor * unknown); the unknown is the radius, or for a half turn the place
        self.factor = np.where(self.parallel, 1.0, 1.0 / cos_half)
        self.bow = np.where(self.parallel, np.inf, 1.0 / cos_half - 1.0)
        self.starts = ragged.lengths_to_starts(size + 1 + 2 * MARGIN)
        self.of = ragged.owner(self.starts)
        local = (
            np.arange(self.starts[-1])
            - self.starts[self.of]
            - MARGIN
            + (runs.last[before] - lines.starts[arc])[self.of]
        )
        length = (lines.starts[arc + 1] - lines.starts[arc])[self.of]
        at = np.where(lines.closed[arc][self.of], np.mod(local, length), np.clip(local, 0, length - 1))
        self.index = lines.starts[arc][self.of] + at
        self.xy = lines.xy[self.index]
        place = np.arange(self.starts[-1]) - self.starts[self.of]
        self.inside = (place > MARGIN) & (place < size[self.of] + MARGIN)

    def size_of(self, unknown):
        """The radii."""
        return np.where(self.parallel, self.fixed_radius, unknown)

    def _centre(self, unknown):
        return self.origin + (self.factor * unknown)[:, None] * self.way

    def solved(self):
        weight = self.inside.astype(float)
        def total(v):
            return np.add.reduceat(weight * v, self.starts[:-1])
        gap = self.xy - self.origin[self.of]
        deep = (gap * self.way[self.of]).sum(1)
        least = np.minimum.reduceat(np.where(self.inside, np.hypot(*gap.T), np.inf), self.starts[:-1])
        mean = total(deep) / np.maximum(total(1.0), 1e-9)
        unknown = np.where(self.parallel, mean - 0.6 * self.fixed_radius,
                           least / np.where(self.parallel, 1.0, np.maximum(self.bow, 1e-3)))
        for _ in range(STEPS):
            arm = self.xy - self._centre(unknown)[self.of]
            away = np.maximum(np.hypot(*arm.T), 1e-9)
            rest = away - self.size_of(unknown)[self.of]
            slope = -(arm * self.way[self.of]).sum(1) / away * self.factor[self.of] - ~self.parallel[self.of]
            unknown = unknown - total(rest * slope) / np.maximum(total(slope * slope), 1e-9)
        return unknown

    def at(self, unknown):
        """Centres, and where the circles touch the two lines."""
        centre = self._centre(unknown)
        return (centre, self.far_a + ((centre - self.far_a) * self.ua).sum(1)[:, None] * self.ua,
                self.far_b + ((centre - self.far_b) * self.ub).sum(1)[:, None] * self.ub)

    def nearest(self, place):
        """The point next to a place of each case."""
        gap = self.xy - place[self.of]
        away = (gap * gap).sum(1)
        least = np.minimum.reduceat(away, self.starts[:-1])
        at = np.flatnonzero(away == least[self.of])
        _, first = np.unique(self.of[at], return_index=True)
        return self.index[at[first]]

    def room(self, start, end):
        """Whether a piece of both lines is left."""
        return ((((start - self.far_a) * self.ua).sum(1) >= LEAST_STRAIGHT_PX)
                & (((self.far_b - end) * self.ub).sum(1) >= LEAST_STRAIGHT_PX))

    def misses(self, unknown, centre):
        """Greatest distance of the points from line, circle and line, px."""
        arm = self.xy - centre[self.of]
        away = np.hypot(*arm.T) - self.size_of(unknown)[self.of]
        ahead = (arm * self.ua[self.of]).sum(1)
        behind = (arm * self.ub[self.of]).sum(1)
        def line(u, far):
            return (self.xy - far)[:, 0] * u[:, 1] - (self.xy - far)[:, 1] * u[:, 0]
        place = np.arange(self.starts[-1]) - self.starts[self.of]
        first_half = place < np.diff(self.starts)[self.of] // 2
        on_a, on_b = first_half & (ahead < 0), ~first_half & (behind > 0)
        across = np.where(on_a, line(self.ua[self.of], self.far_a[self.of]),
                          np.where(on_b, line(self.ub[self.of], self.far_b[self.of]), away))
        return np.maximum.reduceat(averaged(across, np.abs(across), self.starts), self.starts[:-1])
