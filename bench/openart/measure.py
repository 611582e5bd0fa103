"""Measures of outlines as an author would draw them: nodes, bumps, colours, beside where they lie."""

from dataclasses import dataclass

import cv2
import numpy as np
import shapely
from scipy.spatial import cKDTree

from bench.quality import measure as places
from sketchloom.core.base.colour import ciede2000, from_hex, srgb_to_lab
from sketchloom.core.planar.cracks import OUTSIDE

_STEP_PX, _OVER_PX, _NEAR_PX = 0.5, 3.0, 2.0
_CORNER, _SMOOTH, _END = np.radians(28.0), np.radians(8.0), np.radians(45.0)
_FAR_DE, _LEAST_PX = 12.0, 4.0


@dataclass(frozen=True, slots=True)
class Figures:
    """``mean_px``, ``p95_px`` from the truth both ways; ``segments``: those of the map, each counted once, over the
    visible stretches of the artist's; ``stacked``: those of the layers' file over the same; ``bumps``: how often
    curvature changes along smooth runs, over the truth's; ``near``: share of nodes nearer than 2 px to another on a
    smooth run; ``needless``: those of them between which the line hardly turns, so that they are not the end of a
    thin stroke or the half of a dot, which an author draws by two nodes too; ``jump_deg``: the largest change of
    direction at nodes that are no corners; ``lost``: share of the outline that is farther than 2 px from any of
    ours; ``far``: share of the page over CIEDE2000 12 from the picture; ``tiny``: faces under 4 px²; ``pieces``:
    faces of the map over the areas of the truth, which dashes of one line drive up."""

    mean_px: float
    p95_px: float
    segments: float
    stacked: float
    bumps: float
    near: float
    jump_deg: float
    lost: float
    far: float
    tiny: int
    missing: int
    extra: int
    seconds: float
    pieces: float = 1.0
    needless: float = 0.0


def figures(work, truth, ground, rgb, seconds: float) -> Figures:
    """Figures of a trace of a picture ``rgb`` on its ``ground`` (None: transparent)."""
    lines, count, _ = places.map_lines(work, None)
    mean, p95 = places.both_ways(lines, truth.boundary)
    missing, extra = (0, 0) if work.reading == "tone" else places.colour_score(work, truth, ground)
    jump, near, needless = _nodes(work)
    return Figures(
        mean, p95, count / max(truth.segments, 1),
        sum(layer.outline.segments for layer in work.layers) / max(truth.segments, 1),
        bumpiness(lines, truth.boundary), near, jump, _lost(lines, truth.boundary), far_share(work, rgb),
        places.tiny_pieces(work), missing, extra, seconds, _pieces(work, truth, rgb.shape),
        needless)


def _pieces(work, truth, shape):
    page = shapely.box(0, 0, shape[1], shape[0])
    regions = [*truth.regions.values(), page.difference(shapely.union_all(list(truth.regions.values())))]
    areas = sum(part.area >= _LEAST_PX for region in regions for part in shapely.get_parts(region.intersection(page)))
    ours = int((work.traced.planar.face_area_px >= _LEAST_PX * places.fineness(work) ** 2).sum())
    return ours / max(areas, 1)


def _nodes(work):
    """The largest change of direction at smooth nodes inside arcs, degrees, and the share of smooth nodes that lie
    near another: all, and those that the line does not turn between."""
    curves, planar = work.traced.curves, work.traced.planar
    inner = planar.left != OUTSIDE
    arc = np.repeat(np.arange(planar.arc_count), np.diff(curves.starts))
    index = np.arange(len(arc))
    last = index == curves.starts[arc + 1] - 1
    follower = np.where(last, np.where(planar.closed[arc], curves.starts[arc], -1), index + 1)
    use = np.flatnonzero(inner[arc] & (follower >= 0) & (follower != index))
    if not len(use):
        return 0.0, 0.0, 0.0
    c = curves.controls / places.fineness(work)
    def way(k, ends):
        for a, b in ends:
            d = c[k, b] - c[k, a]
            if a == ends[0][0] and b == ends[0][1]:
                best = d
            best = np.where((np.hypot(*best.T) > 1e-6)[:, None], best, d)
        return best
    out = way(use, ((2, 3), (1, 3), (0, 3)))
    on = way(follower[use], ((0, 1), (0, 2), (0, 3)))
    turn = _turn(out, on)
    smooth = turn < _SMOOTH
    length = np.hypot(*(c[:, 3] - c[:, 0]).T)
    is_smooth = np.zeros(len(c), bool)
    is_smooth[use[smooth]] = True
    close = is_smooth[use] & (length[follower[use]] < _NEAR_PX) & is_smooth[follower[use]]
    between = follower[use[close]]
    straight_on = _turn(way(between, ((0, 1), (0, 2), (0, 3))), way(between, ((2, 3), (1, 3), (0, 3)))) < _END
    count = max(smooth.sum(), 1)
    return (float(np.degrees(turn[smooth].max(initial=0.0))), float(close.sum() / count),
            float(straight_on.sum() / count))


def _turn(a, b):
    """(K,) angles between directions, radians."""
    return np.abs(np.arctan2(a[:, 0] * b[:, 1] - a[:, 1] * b[:, 0], (a * b).sum(1)))


def _sampled(line):
    length = np.hypot(*np.diff(line, axis=0).T)
    way = np.concatenate([[0], np.cumsum(length)])
    keep = np.concatenate([[True], np.diff(way) > 0])
    line, way = line[keep], way[keep]
    count = int(way[-1] / _STEP_PX)
    if count < 7 * _OVER_PX / _STEP_PX:
        return None
    at = np.arange(count) * _STEP_PX
    return np.stack([np.interp(at, way, line[:, k]) for k in (0, 1)], -1)


def _changes(line):
    """Places along a line and how much its curvature changes at each, 1/px, nothing near corners."""
    xy = _sampled(line)
    if xy is None:
        return None
    k = int(_OVER_PX / _STEP_PX)
    chord = xy[k:] - xy[:-k]
    heading = np.unwrap(np.arctan2(chord[:, 1], chord[:, 0]))
    turn = heading[k:] - heading[:-k]  # over _OVER_PX
    change = np.abs(np.diff(turn)) / _OVER_PX
    sharp = np.convolve((np.abs(turn) > _CORNER).astype(float), np.ones(4 * k + 1), "same")[:-1] > 0
    return xy[k:k + len(change)][~sharp], change[~sharp]


def bumpiness(lines, boundary) -> float:
    """How much the curvature of our lines changes in all, over how much the truth's does, where both run."""
    merged = shapely.line_merge(boundary) if boundary.length else boundary
    theirs = [np.asarray(g.coords) for g in getattr(merged, "geoms", [merged]) if g.length > 0]
    ours = _runs(lines)
    sums = []
    every = [[c for c in map(_changes, side) if c is not None and len(c[0])] for side in (ours, theirs)]
    if not all(every):
        return 1.0
    points = [np.concatenate([xy for xy, _ in side]) for side in every]
    for mine, other, side in ((0, 1, every[0]), (1, 0, every[1])):
        change = np.concatenate([c for _, c in side])
        away, _ = cKDTree(points[other]).query(points[mine])
        sums.append(float(change[away < 1.0].sum()))
    return (sums[0] + 0.05) / (sums[1] + 0.05)


def _runs(lines):
    """Lines of cubics end to end that run on into each other as one."""
    made, run = [], []
    for line in lines:
        if run and np.hypot(*(run[-1][-1] - line[0])) > 1e-6:
            made.append(np.concatenate(run))
            run = []
        run.append(line)
    return [*made, np.concatenate(run)] if run else made


def _lost(lines, boundary):
    """Share of the truth's outline that lies farther than 2 px from ours."""
    if not boundary.length:
        return 0.0
    truth = places._points([shapely.get_coordinates(p) for p in shapely.get_parts(boundary) if p.length > 0])[0]
    ours = places._points(lines)[0]
    if not len(ours):
        return 1.0
    return float((cKDTree(ours).query(truth)[0] > 2.0).mean())


def far_share(work, rgb) -> float:
    """Share of the page that is cut in a colour far from the picture's, away from edges."""
    labels = places.labels_of(work)
    table = np.array([from_hex(e.hex) for e in work.segmentation.entries] or [(255, 255, 255)], float)
    if labels.shape != rgb.shape[:2] or work.reading != "colour":
        return 0.0
    ours = table[np.clip(labels, 0, len(table) - 1)]
    apart = ciede2000(srgb_to_lab(ours.reshape(-1, 3)), srgb_to_lab(rgb.reshape(-1, 3).astype(float)))
    edge = cv2.morphologyEx(rgb, cv2.MORPH_GRADIENT, np.ones((3, 3), np.uint8)).max(2) > 12
    apart = np.where((labels < len(table)) & ~edge, apart.reshape(labels.shape), 0.0)
    return float((apart > _FAR_DE).mean())


