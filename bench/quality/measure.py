"""Measures of a trace against its truth."""

from dataclasses import dataclass

import numpy as np
import shapely
from scipy.spatial import cKDTree

from bench.quality.truth import Truth
from sketchloom.core.base.colour import ciede2000, from_hex, srgb_to_lab
from sketchloom.core.curves.curveset import evaluate
from sketchloom.core.planar.cracks import OUTSIDE

_STEP_PX = 0.25
_CORNER = np.radians(28)
_SHARE = 0.003


@dataclass(frozen=True, slots=True)
class Score:
    """Figures of one picture; distances in px, both ways."""

    mean_px: float
    p95_px: float
    wrong_share: float
    missing: int
    extra: int
    segments_ratio: float
    tiny: int
    corners_found: float
    corners_invented: int
    seconds: float

    @property
    def colours_exact(self) -> bool:
        return self.missing == 0 and self.extra == 0


def both_ways(lines, boundary) -> tuple[float, float]:
    """Mean and 95th percentile of the distance from each side's points to the other's lines."""
    ours = _points(lines)
    truth = _points([shapely.get_coordinates(part) for part in shapely.get_parts(boundary) if part.length > 0])
    if len(ours[0]) == 0 or len(truth[0]) == 0:
        return float("inf"), float("inf")
    away = np.concatenate([_distance(ours, truth), _distance(truth, ours)])
    return float(away.mean()), float(np.percentile(away, 95))


def _points(lines):
    """Evenly spaced points of polylines, and for each point the one that follows it."""
    xy, following = [], []
    for line in lines:
        lengths = np.hypot(*np.diff(line, axis=0).T)
        total = lengths.sum()
        if total <= 0:
            continue
        way = np.concatenate([[0], np.cumsum(lengths)])
        at = np.linspace(0, total, max(2, int(np.ceil(total / _STEP_PX)) + 1))
        points = np.stack([np.interp(at, way, line[:, 0]), np.interp(at, way, line[:, 1])], -1)
        xy.append(points)
        following.append(np.concatenate([points[1:], points[-1:]]))
    if not xy:
        return np.empty((0, 2)), np.empty((0, 2))
    return np.concatenate(xy), np.concatenate(following)


def _distance(points, lines):
    """Distance of points to the nearest of the short legs that begin or end near them."""
    tree = cKDTree(lines[0])
    _, near = tree.query(points[0], k=4)
    best = np.full(len(points[0]), np.inf)
    for column in near.T:
        a, b = lines[0][column], lines[1][column]
        leg = b - a
        along = np.clip(((points[0] - a) * leg).sum(1) / np.maximum((leg * leg).sum(1), 1e-12), 0, 1)
        best = np.minimum(best, np.hypot(*(points[0] - a - along[:, None] * leg).T))
    return best


def fineness(work) -> int:
    """How many times as fine as its picture a map is."""
    return 1 if work.thin_lines is None else work.thin_lines.times


def labels_of(work) -> np.ndarray:
    """(H, W) labels at the pixels of the picture."""
    times = fineness(work)
    return work.segmentation.labels[times // 2::times, times // 2::times]


def map_lines(work, condition):
    """Polylines of all arcs between different colours, in the picture's pixels, the number of segments, and the
    corners."""
    planar, curves = work.traced.planar, work.traced.curves
    inner = planar.left != OUTSIDE
    arc_of = np.repeat(np.arange(planar.arc_count), np.diff(curves.starts))
    keep = inner[arc_of]
    controls = curves.controls[keep] / fineness(work)
    # a long curve in as many chords as keep within a thousandth of a pixel of it
    reach = np.hypot(*np.diff(controls, axis=1).transpose(2, 0, 1)).sum(1)
    dense = [evaluate(one[None], np.linspace(0, 1, int(np.clip(2 * length, 24, 2000)) + 1)).reshape(-1, 2)
             for one, length in zip(controls, reach.tolist(), strict=True)]
    return dense, int(keep.sum()), _corners(work, inner) / fineness(work)


def _corners(work, inner):
    """Nodes inside arcs where the direction turns sharply, and junctions where no arc runs on."""
    curves, planar = work.traced.curves, work.traced.planar
    leave = curves.controls[:, 1] - curves.controls[:, 0]
    arrive = curves.controls[:, 3] - curves.controls[:, 2]
    def turn(a, b):
        return np.arccos(np.clip((a * b).sum(-1) / np.maximum(
            np.hypot(*a.T) * np.hypot(*b.T), 1e-12), -1, 1))
    index = np.arange(len(leave))
    arc = np.repeat(np.arange(planar.arc_count), np.diff(curves.starts))
    nxt = index + 1
    last = index == curves.starts[arc + 1] - 1
    wrap = last & planar.closed[arc]
    nxt[wrap] = curves.starts[arc[wrap]]
    usable = inner[arc] & (~last | wrap)
    sharp = usable.copy()
    sharp[usable] = turn(arrive[usable], leave[nxt[usable]]) > _CORNER
    return curves.controls[sharp, 3]


def corner_score(ours, truth_corners, junctions):
    """Share of the truth's corners with one of ours (or a junction) within 1 px; how many of ours have none."""
    have = np.concatenate([ours, junctions]) if len(junctions) else ours
    if len(truth_corners) == 0:
        return 1.0, len(ours)
    if len(have) == 0:
        return 0.0, 0
    found = cKDTree(have).query(truth_corners)[0] <= 1.0
    invented = int((cKDTree(truth_corners).query(ours)[0] > 1.5).sum()) if len(ours) else 0
    return float(found.mean()), invented


def colour_score(work, truth: Truth, ground):
    """Colours of the truth without a match of ours, and ours without one of the truth's."""
    wanted = [c for c, share in truth.colours.items() if share >= _SHARE]
    optional = [c for c, share in truth.colours.items() if share < _SHARE]
    if ground is not None and tuple(ground) not in wanted:
        wanted.append(tuple(ground))
    have = [from_hex(e.hex) for i, e in enumerate(work.segmentation.entries)
            if (work.traced.planar.face_label == i).any()]
    apart = ciede2000(srgb_to_lab(np.array(wanted, float))[:, None], srgb_to_lab(np.array(have, float))[None])
    missing = extra = 0
    free = np.ones(len(have), bool)
    for row in apart[np.argsort(apart.min(1))]:
        candidates = np.where(free, row, np.inf)
        best = int(candidates.argmin())
        if candidates[best] < 5:
            free[best] = False
        else:
            missing += 1
    for k in np.flatnonzero(free):
        gap = ciede2000(srgb_to_lab(np.array(optional, float)), srgb_to_lab(have[k])) if optional else np.array([99.0])
        extra += bool(gap.min() >= 5)
    return missing, extra


def tiny_pieces(work) -> int:
    return int((work.traced.planar.face_area_px < 4 * fineness(work) ** 2).sum())
