"""Fitted arcs: cubics end to end, and what can be measured on them in closed form."""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.base import ragged

_STRAIGHT = 1e-6
"""Handles so near to the thirds of a chord make a line."""

_GAUSS_X, _GAUSS_W = np.polynomial.legendre.leggauss(12)
"""Twelve nodes measure a cubic's length to machine precision, save at cusps."""


@dataclass(frozen=True, slots=True, eq=False)
class CurveSet:
    """Cubics of all arcs, px.

    ``controls`` (S, 4, 2); ``straight`` (S,) bool, segments that are lines (their handles
    lie at the thirds); ``miss_px`` (S,) by how much each misses the boundary points, averaged
    over seven of them; ``starts`` (A + 1,) offsets of the arcs. Each segment begins where
    the one before ends, bit for bit; closed arcs end where they began.
    """

    controls: np.ndarray
    straight: np.ndarray
    miss_px: np.ndarray
    starts: np.ndarray


def line_controls(start, end) -> np.ndarray:
    """(n, 4, 2) cubics that run straight from ``start`` to ``end``."""
    third = (end - start) / 3.0
    return np.stack([start, start + third, end - third, end], axis=-2)


def is_straight(controls) -> np.ndarray:
    """(S,) bool: handles lie at the thirds of the chord."""
    thirds = line_controls(controls[:, 0], controls[:, 3])
    size = np.abs(controls[:, 3] - controls[:, 0]).max(1)
    return np.abs(controls - thirds).max((1, 2)) <= _STRAIGHT * np.maximum(size, 1e-12) + 1e-9


def evaluate(controls, t) -> np.ndarray:
    """Points of cubics: ``controls`` (..., 4, 2) and ``t`` (...) broadcast to (..., 2)."""
    t = np.asarray(t)[..., None]
    s = 1.0 - t
    c0, c1, c2, c3 = (controls[..., i, :] for i in range(4))
    return s * s * s * c0 + 3 * s * s * t * c1 + 3 * s * t * t * c2 + t * t * t * c3


def segment_lengths(controls, straight=None) -> np.ndarray:
    """Arc lengths, (S,), by 12-point Gauss-Legendre quadrature of the speed; lines by their chord."""
    length = np.hypot(*(controls[:, 3] - controls[:, 0]).T)
    bent = np.arange(len(controls)) if straight is None else np.flatnonzero(~straight)
    if len(bent) == 0:
        return length
    t = 0.5 * (_GAUSS_X + 1.0)
    legs = np.diff(controls[bent], axis=1) * 3.0
    weights = np.stack([(1 - t) ** 2, 2 * t * (1 - t), t * t])  # of the three legs in the speed
    dx, dy = legs[..., 0] @ weights, legs[..., 1] @ weights
    length[bent] = 0.5 * np.sqrt(dx * dx + dy * dy) @ _GAUSS_W
    return length


def sampled(controls, spacing: float) -> np.ndarray:
    """(N, 2) points along cubics that follow each other, at most so far apart; the last one's end left out."""
    return sampled_along(controls, spacing)[0]


def sampled_along(controls, spacing: float) -> tuple[np.ndarray, np.ndarray]:
    """The same, and the offsets (S + 1,) of each cubic's points: the first of them is its begin."""
    count = np.maximum(np.ceil(segment_lengths(controls) / spacing), 1).astype(np.intp)
    starts = ragged.lengths_to_starts(count)
    of = ragged.owner(starts)
    return evaluate(controls[of], (np.arange(starts[-1]) - starts[of]) / count[of]), starts


def segment_areas(controls) -> np.ndarray:
    """Share of each cubic in the ring area, (x dy - y dx) / 2 integrated, (S,).

    Green's theorem; the weights are the exact integrals of Bernstein products.
    """
    x, y = controls[..., 0], controls[..., 1]
    def cross(i, j):
        return x[:, i] * y[:, j] - x[:, j] * y[:, i]
    return (
        6 * cross(0, 1) + 3 * cross(0, 2) + cross(0, 3) + 3 * cross(1, 2) + 3 * cross(1, 3) + 6 * cross(2, 3)
    ) / 20.0


def arc_lengths(curves: CurveSet) -> np.ndarray:
    """Length of each arc, (A,) px."""
    return ragged.reduce_pieces(np.add, segment_lengths(curves.controls, curves.straight), curves.starts)


def arc_areas(curves: CurveSet) -> np.ndarray:
    """Share of each arc in the ring areas beside it, (A,) px^2; added right, taken left."""
    return ragged.reduce_pieces(np.add, segment_areas(curves.controls), curves.starts)


def face_areas(curves: CurveSet, left, right, face_count: int) -> np.ndarray:
    """Exact area of every face, (F,) px^2, from the arcs around it."""
    share = arc_areas(curves)
    inner = left >= 0
    return np.bincount(right, share, face_count) - np.bincount(left[inner], share[inner], face_count)


def bounds(controls) -> tuple[float, float, float, float]:
    """Tight box (x0, y0, x1, y1) of cubics, from the roots of their derivatives.

    A cubic lies within its control points: only those with a handle beyond the ends of all are looked at.
    """
    ends = controls[:, ::3].reshape(-1, 2)
    low, high = ends.min(0), ends.max(0)
    handles = controls[:, 1:3]
    beyond = controls[((handles < low) | (handles > high)).any((1, 2))]
    legs = np.diff(beyond, axis=1)
    a = legs[:, 0] - 2 * legs[:, 1] + legs[:, 2]
    b = 2 * (legs[:, 1] - legs[:, 0])
    c = legs[:, 0]
    with np.errstate(divide="ignore", invalid="ignore"):
        root = np.sqrt(b * b - 4 * a * c)
        candidates = np.stack([(-b + root) / (2 * a), (-b - root) / (2 * a), -c / b])
    candidates = np.where((candidates > 0) & (candidates < 1), candidates, 0.0)
    every = np.concatenate([
        np.stack([low, high]), *(evaluate(beyond[None], candidates[..., axis]).reshape(-1, 2) for axis in (0, 1))])
    return (*every.min(0), *every.max(0))


def chord_counts(controls, tolerance: float) -> np.ndarray:
    """(S,) even steps of the parameter whose chords stay within a distance of cubics (S, 4, 2); 0 for a point."""
    second = np.abs(np.diff(controls, n=2, axis=1)).sum(-1).max(1) if len(controls) else np.zeros(0)
    return np.ceil(np.sqrt(0.75 * second / tolerance)).astype(np.intp)


def flatten(controls, straight, tolerance: float) -> tuple[np.ndarray, np.ndarray]:
    """Polyline points of segments within a distance.

    Returns ``xy`` (N, 2), without each segment's last point, and ``starts`` (S + 1,).
    The number of chords follows from the largest second difference of the control points.
    """
    chords = np.where(straight, 1, chord_counts(controls, tolerance))
    starts = ragged.lengths_to_starts(np.maximum(chords, 1))
    segment = ragged.owner(starts)
    t = (np.arange(starts[-1]) - starts[segment]) / np.maximum(chords, 1)[segment]
    return evaluate(controls[segment], t), starts
