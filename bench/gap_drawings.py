"""Closed line drawings made by rule, with gaps cut into them: the truth for bridges.

Each drawing has two to six closed outlines (circles, wavy rings, polygons, rectangles) in strokes of
2.5 to 9 px that may cross. One to three gaps of 1 to 12 px are cut straight across strokes, away from
corners (20 degrees), from other outlines and from each other. Everything follows from the seed.
"""

import itertools
from dataclasses import dataclass

import cv2
import numpy as np

_FINER, _SHIFT = 4, 4
_TRIES = 60


@dataclass(frozen=True, slots=True, eq=False)
class Cut:
    """A gap: its middle, how wide it is, and the stroke's width, px."""

    xy: np.ndarray
    gap: float
    stroke: float


def gap_drawing(seed: int) -> tuple[np.ndarray, list[Cut]]:
    """(H, W) uint8 drawing, dark on white and antialiased, and its cuts."""
    rng = np.random.default_rng(seed)
    size = int(rng.integers(300, 700))
    page = np.zeros((size * _FINER, size * _FINER), np.uint8)
    outlines = []
    for _ in range(int(rng.integers(2, 7))):
        points, width = _outline(rng, size), rng.uniform(2.5, 9)
        outlines.append((points, width))
        cv2.polylines(page, [_fixed(points)], True, 255, max(int(width * _FINER), 1), cv2.LINE_8, _SHIFT)
    cuts = []
    for _ in range(int(rng.integers(1, 4))):
        for _ in range(_TRIES):
            cut = _cut(rng, outlines, cuts, size)
            if cut is not None:
                (cut, corners) = cut
                cv2.fillPoly(page, [_fixed(corners)], 0, cv2.LINE_8, _SHIFT)
                cuts.append(cut)
                break
    cover = cv2.resize(page, (size, size), interpolation=cv2.INTER_AREA)
    return (255 - 0.9 * cover).astype(np.uint8), cuts


def _fixed(points):
    return np.rint(points * _FINER * 2**_SHIFT).astype(np.int32)


def _outline(rng, size):
    kind, centre, radius = rng.integers(4), rng.uniform(0.25, 0.75, 2) * size, rng.uniform(0.08, 0.24) * size
    turn = np.linspace(0, 2 * np.pi, 721)[:-1]
    if kind == 2:
        sides = rng.integers(3, 8)
        angle = (
            np.sort(rng.uniform(0, 2 * np.pi, sides))
            if rng.random() < 0.3
            else np.arange(sides) * 2 * np.pi / sides + rng.uniform(0, 6)
        )
        corners = np.stack([np.cos(angle), np.sin(angle)], -1) * radius
    elif kind == 3:
        wide, high = radius * rng.uniform(0.6, 1.2), radius * rng.uniform(0.5, 1.1)
        corners = np.array([(-wide, -high), (wide, -high), (wide, high), (-wide, high)])
    else:
        away = np.full_like(turn, radius)
        if kind == 1:
            away = radius * (
                1 + 0.18 * np.sin(3 * turn + rng.uniform(0, 6)) + 0.1 * np.sin(5 * turn + rng.uniform(0, 6))
            )
        return np.stack([np.cos(turn), np.sin(turn)], -1) * away[:, None] + centre
    ring = np.concatenate([corners, corners[:1]])
    return np.concatenate([np.linspace(a, b, 100)[:-1] for a, b in itertools.pairwise(ring)]) + centre


def _cut(rng, outlines, cuts, size):
    """A place to cut and the corners of what is taken out; None where the rule forbids it."""
    k = int(rng.integers(len(outlines)))
    points, width = outlines[k]
    i, gap = int(rng.integers(len(points))), rng.uniform(1, 12)
    at = points[i]
    beside = min((np.hypot(*(p - at).T).min() for j, (p, _) in enumerate(outlines) if j != k), default=np.inf)
    if (
        not (at.min() > 20 and at.max() < size - 20)
        or beside < width + gap + 14
        or any(np.hypot(*(at - c.xy)) < 40 for c in cuts)
    ):
        return None
    def way(a, b):
        return (points[b % len(points)] - points[a]) / np.hypot(*(points[b % len(points)] - points[a]))
    if way(i - 12, i) @ way(i, i + 12) < np.cos(np.radians(20)):
        return None
    along = way(i - 3, i + 3)
    across = np.array([-along[1], along[0]]) * (width / 2 + 2.5)
    half = along * gap / 2
    return Cut(at, gap, width), np.array(
        [at + half + across, at + half - across, at - half - across, at - half + across]
    )
