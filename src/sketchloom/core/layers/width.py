"""Local width of shapes, by the largest ball that touches the outline from inside.

Method: the shrinking ball (Ma, Bae, Choi 2012, "3D medial axis point approximation using
nearest neighbors and the normal field"). A ball that touches at two nearly opposite places
measures the width there; one that touches two sides of a corner does not.
"""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.base.late import late
from sketchloom.core.curves.curveset import evaluate, segment_lengths
from sketchloom.core.curves.outline import Outline

spatial = late("scipy.spatial")

MAX_SAMPLES = 24_000
"""Places measured on one sheet; more would not be told one by one."""
_OPPOSITE = 2 * np.sin(np.radians(70))
"""Feet seen from the ball's centre at least 140 degrees apart: sides that face each other."""
_TIP = 8.0
"""Feet nearer to each other along the outline than this many widths lie on the two sides of
a tip, whose width goes to nothing by design; a neck or a stroke has a longer way round."""
_ROUNDS = 24
"""Rounds of shrinking a ball until it touches on two sides."""
_NARROW_SHARE = 0.4
"""What is much narrower than the limit is found first and thins out what is left."""


@dataclass(frozen=True, slots=True, eq=False)
class Widths:
    """Local widths along an outline, px.

    ``xy`` (K, 2) middles of the ball's two feet and ``width`` (K,) where sides face each
    other; ``ring`` (K,) the ring it was met on.
    """

    xy: np.ndarray
    width: np.ndarray
    ring: np.ndarray

    def narrowest(self) -> float | None:
        return float(self.width.min()) if len(self.width) else None


NO_WIDTHS = Widths(np.empty((0, 2)), np.empty(0), np.empty(0, np.intp))
"""Of a sheet without outlines."""


def apart(widths: Widths, under_px: float, away_px: float, most: int) -> list[int]:
    """Numbers of the narrowest places under a width, one for each stretch: no two nearer than ``away_px``."""
    under = np.flatnonzero(widths.width < under_px)
    order = under[np.argsort(widths.width[under], kind="stable")]
    found: list = []
    while len(order) and len(found) < most:
        found.append(int(order[0]))
        order = order[np.hypot(*(widths.xy[order] - widths.xy[order[0]]).T) > away_px]
    return found


def space_widths(outline: Outline, limit_px: float, spacing_px: float = 1.0) -> Widths:
    """The same for the space between cuts: what lies outside the rings, gaps between pieces and holes alike."""
    owner = ragged.owner(outline.starts)
    turned = outline.starts[owner] + outline.starts[owner + 1] - 1 - np.arange(len(owner))
    inside_out = Outline(
        outline.controls[turned][:, ::-1], outline.straight[turned], outline.starts, -outline.area_px, ~outline.hole
    )
    return local_widths(inside_out, limit_px, spacing_px)


def stretch_around(widths: Widths, place, under_px: float) -> np.ndarray:
    """(N, 2) middles of the narrow stretch that a place belongs to, in order along it; those under a width only."""
    narrow = np.flatnonzero(widths.width < under_px)
    if len(narrow) == 0:
        return np.asarray(place, float)[None]
    xy = widths.xy[narrow]
    tree = spatial.cKDTree(xy)
    reach, most = max(0.6 * under_px, 3.0), max(4.0 * under_px, 24.0)
    seen, front = set(), [int(tree.query(place)[1])]
    while front:
        here = front.pop()
        if here in seen or np.hypot(*(xy[here] - place)) > most:
            continue
        seen.add(here)
        front += [n for n in tree.query_ball_point(xy[here], reach) if n not in seen]
    points = xy[sorted(seen)]
    if len(points) < 2:
        return points
    along = np.linalg.svd(points - points.mean(0), full_matrices=False)[2][0]
    at = (points - points.mean(0)) @ along
    bins = np.floor((at - at.min()) / reach).astype(int)
    return np.array([points[bins == b].mean(0) for b in np.unique(bins)])


def local_widths(outline: Outline, limit_px: float, spacing_px: float = 1.0) -> Widths:
    """Measure the width of a shape where it is narrow.

    Looked for up to a share of ``limit_px`` first; where nothing is that narrow, up to all
    of it. The narrowest place is right either way. A compact piece without facing sides (a dot) is measured by its
    largest inner ball. Feet lie at samples, so a width w reads at most ``hypot(w, spacing / 2)``.
    """
    xy, normal, ring, place = _samples(outline, spacing_px)
    if len(xy) == 0:
        return NO_WIDTHS
    tree = spatial.cKDTree(xy)
    for limit in (_NARROW_SHARE * limit_px, limit_px):
        found = _under(tree, xy, normal, ring, place, outline.hole, limit, spacing_px)
        if len(found.width):
            break
    return found


def _under(tree, xy, normal, ring, place, hole, limit_px, spacing_px):
    radius, other = _shrink(tree, xy, normal, 0.5 * limit_px)
    foot = xy[other]
    chord = np.hypot(*(xy - foot).T)
    width = 2.0 * radius
    rings = len(hole)
    round_way = np.zeros(rings)
    np.maximum.at(round_way, ring, place)
    way = np.abs(place - place[other])
    way = np.where(ring == ring[other], np.minimum(way, round_way[ring] - way), np.inf)
    facing = (radius < 0.4999 * limit_px) & (chord >= _OPPOSITE * radius) & (way > _TIP * width + 6 * spacing_px)
    widest = np.zeros(rings)
    np.maximum.at(widest, ring, width)
    has = np.zeros(rings, bool)
    has[ring[facing]] = True
    dot = ~hole & ~has & (widest < 0.999 * limit_px) & (widest > 0)
    of_dot = dot[ring] & (width >= widest[ring])
    use = facing | of_dot
    middle = np.where(facing[:, None], 0.5 * (xy + foot), xy + radius[:, None] * normal)
    return Widths(middle[use], width[use], ring[use])


def _samples(outline, spacing):
    length = segment_lengths(outline.controls, outline.straight) if len(outline.controls) else np.zeros(0)
    spacing = max(spacing, length.sum() / MAX_SAMPLES)
    count = np.maximum(np.ceil(length / spacing), 1).astype(np.intp)
    starts = ragged.lengths_to_starts(count)
    segment = ragged.owner(starts)
    t = (np.arange(starts[-1]) - starts[segment] + 0.5) / count[segment]
    controls = outline.controls[segment]
    xy = evaluate(controls, t)
    ahead = evaluate(controls, np.minimum(t + 1e-4, 1)) - evaluate(controls, np.maximum(t - 1e-4, 0))
    size = np.hypot(ahead[:, 0], ahead[:, 1])
    good = size > 1e-12
    normal = np.stack([-ahead[good, 1], ahead[good, 0]], -1) / size[good, None]
    # how far along its ring each sample lies
    travelled = np.concatenate([[0.0], np.cumsum(length)])
    ring = ragged.owner(outline.starts)[segment[good]]
    place = travelled[segment[good]] + t[good] * length[segment[good]] - travelled[outline.starts[ring]]
    return xy[good], normal, ring, place


def _shrink(tree, xy, normal, largest):
    """Radius of the inner ball touching each sample, and the sample that is its other foot."""
    radius = np.full(len(xy), float(largest))
    foot = np.arange(len(xy))
    open_ = np.arange(len(xy))
    for _ in range(_ROUNDS):
        if len(open_) == 0:
            break
        centre = xy[open_] + radius[open_, None] * normal[open_]
        # nothing farther than the largest ball can be inside one; beyond it the tree answers with its size
        distance, near = tree.query(centre, distance_upper_bound=float(radius[open_].max()) * (1 - 1e-6))
        near = np.minimum(near, len(xy) - 1)
        gap = xy[near] - xy[open_]
        depth = (gap * normal[open_]).sum(1)
        inside = (distance < radius[open_] * (1 - 1e-6)) & (depth > 1e-9)
        open_, near, gap, depth = open_[inside], near[inside], gap[inside], depth[inside]
        smaller = (gap * gap).sum(1) / (2 * depth)
        foot[open_] = near
        shrunk = smaller < radius[open_] * (1 - 1e-4)
        radius[open_] = np.minimum(smaller, radius[open_])
        open_ = open_[shrunk]
    return radius, foot
