"""The strokes of an ink drawing between their meetings, as things to take away, thin, thicken, extend and join.

Everything is said as lines to paint: first in the colour of the paper, then in ink; so it works for a drawing of areas
and for pen lines alike.
"""

from typing import NamedTuple

import cv2
import numpy as np

from sketchloom.core.base.late import late
from sketchloom.core.strokes.branches import find_branches
from sketchloom.core.strokes.centre import centred
from sketchloom.core.strokes.thinning import thinned

spatial = late("scipy.spatial")

_WIDER_PX = 3.0
"""A stroke is painted over so much wider than it is, to take its soft edge with it."""
_HEAL = 3.0
"""Strokes that were crossed are healed over so many widths."""
_TANGENT_PX = 8.0
"""An end's direction is taken over this."""
_SMOOTH = 3
"""Rounds of smoothing a line of pixels."""
_SPACING_PX = 0.5
"""Steps in which a stroke is extended."""


class Paint(NamedTuple):
    """A line (N, 2) px to paint, in ink or in the colour of the paper."""

    points: np.ndarray
    width_px: float
    in_ink: bool


class Held(NamedTuple):
    """A place in the middle of a stroke, and the direction in which the stroke ends there; None on its way."""

    xy: np.ndarray
    way: np.ndarray | None
    number: int


class InkLines:
    """Strokes between meetings and free ends of a drawing, (H, W) bool ``ink``."""

    def __init__(self, ink):
        half = cv2.distanceTransform(np.pad(ink, 1).astype(np.uint8), cv2.DIST_L2, cv2.DIST_MASK_PRECISE)[1:-1, 1:-1]
        found = find_branches(thinned(ink))
        self._shape, self._ends, self._meeting = ink.shape, found.ends, found.meeting_xy
        self._closed = found.closed
        here = np.floor(found.xy).astype(int)
        self._half = np.maximum(half[here[:, 1], here[:, 0]] - 0.5, 0.5) if len(here) else np.empty(0)
        self._starts, self._xy = found.starts, found.xy
        # the distance to paper is a whole number along a stroke and so off by up to half a pixel; the sum across is not
        _, self._wide = centred(found.xy, found.starts, found.closed, ink.astype(np.float32), self._half)
        self._owner = np.repeat(np.arange(len(self._starts) - 1), np.diff(self._starts))
        self._tree = spatial.cKDTree(self._xy) if len(self._xy) else None

    def __len__(self):
        return len(self._starts) - 1

    def nearest(self, x_px: float, y_px: float, reach_px: float) -> int:
        """Number of the stroke at a place, -1 for none."""
        if self._tree is None:
            return -1
        away, at = self._tree.query((x_px, y_px))
        return int(self._owner[at]) if away <= reach_px + self._half[at] else -1

    def line(self, number: int) -> np.ndarray:
        """(N, 2) the middle of a stroke, from meeting to meeting."""
        points = self._xy[self._starts[number]:self._starts[number + 1]]
        if self._closed[number]:
            return _calm(np.concatenate([points, points[:1]]))
        first, last = self._ends[number]
        parts = [self._meeting[first][None]] if first >= 0 else []
        parts.append(points)
        parts += [self._meeting[last][None]] if last >= 0 else []
        return _calm(np.concatenate(parts))

    def width_px(self, number: int) -> float:
        return float(np.median(self._wide[self._starts[number]:self._starts[number + 1]]))

    def widest_px(self, number: int) -> float:
        return float(2 * self._half[self._starts[number]:self._starts[number + 1]].max())

    def has_free_end(self, number: int) -> bool:
        return bool((self._ends[number] < 0).any()) and not self._closed[number]

    # -- what becomes of it --------------------------------------------------------------

    def without(self, number: int) -> list[Paint]:
        """Take a stroke away; what it meets is drawn again where it was hurt."""
        line = self.line(number)
        return [Paint(line, self.widest_px(number) + _WIDER_PX, False), *self._healed(number)]

    def of_width(self, number: int, factor: float) -> list[Paint]:
        """A stroke thinner or thicker by a factor."""
        line, width = self.line(number), self.width_px(number) * factor
        drawn = Paint(line, max(width, 1.0), True)
        return [drawn] if factor >= 1 else [*self.without(number), drawn]

    def extended(self, number: int, place) -> list[Paint]:
        """A stroke drawn on from its free end nearest to a place until it meets another; nothing where it meets none.
        """
        end = self._free_end(number, place)
        if end is None:
            return []
        start, way = end
        limit = float(max(self._shape))
        clear = self.width_px(number) + 2.0
        steps = start + np.arange(clear, limit, _SPACING_PX)[:, None] * way
        inside = ((steps >= 0) & (steps < self._shape[::-1])).all(1)
        away, at = self._tree.query(steps)
        hit = np.flatnonzero(inside & (away <= np.maximum(self._half[at], 1.0)))
        beyond = np.flatnonzero(~inside)
        if len(hit) == 0 or (len(beyond) and beyond[0] < hit[0]):
            return []
        return [Paint(np.array([start - way * clear / 2, self._xy[at[hit[0]]]]), self.width_px(number), True)]

    def joined(self, number: int, place, other: int, other_place) -> list[Paint]:
        """Two free ends joined by a curve that leaves both in their own direction."""
        one, two = self._free_end(number, place), self._free_end(other, other_place)
        if one is None or two is None:
            return []
        curve = _between(*one, *two)
        return [] if curve is None else [Paint(curve, 0.5 * (self.width_px(number) + self.width_px(other)), True)]

    def snapped(self, place, reach_px: float) -> Held | None:
        """The free end nearest to a place, else the nearest place in the middle of a stroke; None beyond the reach."""
        if self._tree is None:
            return None
        ends = [
            (*self._free_end(n, place), n) for n in np.flatnonzero((self._ends < 0).any(1) & ~self._closed).tolist()
        ]
        near = [one for one in ends if np.hypot(*(one[0] - place)) <= reach_px + self.width_px(one[2])]
        if near:
            xy, way, number = min(near, key=lambda one: float(np.hypot(*(one[0] - place))))
            return Held(xy, way, number)
        away, at = self._tree.query(place)
        return Held(self._xy[at], None, int(self._owner[at])) if away <= reach_px + self._half[at] else None

    def bridged(self, place, other_place, reach_px: float) -> Paint | None:
        """A bridge between two strokes, in their width; it leaves free ends in their own direction. None where one is
        not near, or both are one place."""
        one, two = self.snapped(place, reach_px), self.snapped(other_place, reach_px)
        if one is None or two is None:
            return None
        curve = _between(one.xy, one.way, two.xy, two.way)
        ends = [held for held in (one, two) if held.way is not None] or [one, two]  # a side may be of a thicker stroke
        return (
            None if curve is None else Paint(curve, float(np.mean([self.width_px(held.number) for held in ends])), True)
        )

    def _free_end(self, number, place):
        """The free end of a stroke nearest to a place and the direction in which it leaves."""
        if number < 0 or not self.has_free_end(number):
            return None
        points = _calm(self._xy[self._starts[number]:self._starts[number + 1]])
        found = []
        for free, along in ((self._ends[number, 0] < 0, points), (self._ends[number, 1] < 0, points[::-1])):
            if free:
                way = np.hypot(*(along - along[0]).T)
                back = along[min(int(np.argmax(way >= _TANGENT_PX)) or len(along) - 1, len(along) - 1)]
                size = np.hypot(*(along[0] - back))
                found.append((along[0], (along[0] - back) / size if size > 0 else np.array([1.0, 0.0])))
        return min(found, key=lambda one: float(np.hypot(*(one[0] - place))))

    def _healed(self, number):
        """The strokes that met a stroke at its ends, through each meeting."""
        made = []
        for meeting in {int(m) for m in self._ends[number] if m >= 0}:
            others = [b for b in np.flatnonzero((self._ends == meeting).any(1)).tolist() if b != number]
            stubs = []
            for b in others:
                points = self._xy[self._starts[b]:self._starts[b + 1]]
                points = points if self._ends[b, 0] == meeting else points[::-1]
                reach = max(_HEAL * self.width_px(number), 6.0)
                near = np.hypot(*(points - self._meeting[meeting]).T) <= reach
                stop = int(np.argmin(near)) if not near.all() else len(points)
                stubs.append((points[:max(stop, 1)], self.width_px(b)))
            # the two that run on into each other best are one line
            if len(stubs) >= 2:
                pair = min(
                    ((i, j) for i in range(len(stubs)) for j in range(i)),
                    key=lambda ij: float(
                        np.dot(
                            _unit(stubs[ij[0]][0][-1] - self._meeting[meeting]),
                            _unit(stubs[ij[1]][0][-1] - self._meeting[meeting]),
                        )
                    ),
                )
                one, two = stubs[pair[0]], stubs[pair[1]]
                made.append(Paint(_calm(np.concatenate([one[0][::-1], two[0]])), 0.5 * (one[1] + two[1]), True))
                rest = [s for k, s in enumerate(stubs) if k not in pair]
            else:
                rest = stubs
            made += [
                Paint(np.concatenate([self._meeting[meeting][None], points]), width, True)
                for points, width in rest
                if len(others) > 1
            ]
        return made


def _between(a, u, b, v):
    """The cubic in Hermite form from one place to another, leaving each in its direction; straight where it has none.
    """
    reach = float(np.hypot(*(b - a)))
    if reach < 1e-6:
        return None
    u, v = ((b - a) / reach if u is None else u), ((a - b) / reach if v is None else v)
    t = np.linspace(0, 1, max(int(reach), 8) + 1)[:, None]
    return (
        (2 * t**3 - 3 * t**2 + 1) * a
        + (t**3 - 2 * t**2 + t) * reach * u
        + (3 * t**2 - 2 * t**3) * b
        - (t**3 - t**2) * reach * v
    )


def _unit(v):
    return v / max(float(np.hypot(*v)), 1e-9)


def _calm(points):
    """Stairs of pixels taken out; the ends stay."""
    if len(points) < 5:
        return np.asarray(points, float)
    out = np.asarray(points, float).copy()
    for _ in range(_SMOOTH):
        out[1:-1] = 0.25 * out[:-2] + 0.5 * out[1:-1] + 0.25 * out[2:]
    return out
