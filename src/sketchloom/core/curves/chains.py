"""Cubics that follow each other: parts of them, and arcs that become them."""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.curves.curveset import CurveSet, is_straight, line_controls


@dataclass(frozen=True, slots=True, eq=False)
class Chain:
    """Cubics that follow each other, (S, 4, 2) px; ``closed`` when the last ends where the first begins."""

    controls: np.ndarray
    closed: bool


def ring_controls(points) -> np.ndarray:
    """(S, 4, 2) cubics of 3 n + 1 points."""
    points = np.asarray(points, float)
    return np.stack([points[0:-1:3], points[1::3], points[2::3], points[3::3]], 1)


def ring_points(controls) -> tuple[tuple[float, float], ...]:
    """The points of cubics that follow each other, as ``ring_controls`` takes them; their ends are joined exactly."""
    inner = np.asarray(controls)[:, :3].reshape(-1, 2)
    return tuple((round(float(x), 9), round(float(y), 9)) for x, y in np.concatenate([inner, inner[:1]]))


def between(controls, begin, end):
    """Cubics of a chain from one place to another (a segment's number plus the parameter on it); places beyond its
    end go round."""
    count = len(controls)
    first, last = int(np.floor(begin + 1e-9)), int(np.ceil(end - 1e-9)) - 1
    made = controls[np.arange(first, max(last, first) + 1) % count].copy()
    t0, t1 = begin - first, end - max(last, first)
    if len(made) == 1:
        made[0] = part_of_cubic(made[0], max(t0, 0.0), min(t1, 1.0))
    else:
        made[0], made[-1] = part_of_cubic(made[0], max(t0, 0.0), 1.0), part_of_cubic(made[-1], 0.0, min(t1, 1.0))
    return made


def part_of_cubic(cubic, t0: float, t1: float) -> np.ndarray:
    """(4, 2) the part of a cubic between two parameters, backwards when t1 is the lower one (de Casteljau, by
    blossoms)."""

    def blossom(a, b, c):
        p = cubic
        for t in (a, b, c):
            p = p[:-1] * (1 - t) + p[1:] * t
        return p[0]
    return np.stack([blossom(t0, t0, t0), blossom(t0, t0, t1), blossom(t0, t1, t1), blossom(t1, t1, t1)])


def replaced(curves: CurveSet, exact: dict) -> CurveSet:
    """Curves in which arcs, by number, are other cubics (S, 4, 2)."""
    parts = [np.diff(curves.starts)]
    count = parts[0].copy()
    for arc, controls in exact.items():
        count[arc] = len(controls)
    starts = ragged.lengths_to_starts(count)
    controls, straight, miss = np.empty((starts[-1], 4, 2)), np.zeros(starts[-1], bool), np.zeros(starts[-1])
    other = np.ones(len(count), bool)
    other[list(exact)] = False
    rest = np.flatnonzero(other)
    source, _ = ragged.take(curves.starts, rest)
    target, _ = ragged.take(starts, rest)
    controls[target], straight[target], miss[target] = (
        curves.controls[source],
        curves.straight[source],
        curves.miss_px[source],
    )
    for arc, made in exact.items():
        line = is_straight(made)
        made = made.copy()
        made[line] = line_controls(made[line, 0], made[line, 3])
        controls[starts[arc]:starts[arc + 1]], straight[starts[arc]:starts[arc + 1]] = made, line
    return CurveSet(controls, straight, miss, starts)
