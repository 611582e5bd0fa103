"""Curves of a mirrored picture, made its mirror image bit for bit."""

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.curves.chains import replaced
from sketchloom.core.curves.curveset import CurveSet, evaluate, line_controls, segment_areas
from sketchloom.core.planar.cracks import STEP
from sketchloom.core.planar.planar_map import PlanarMap

_SMOOTH = np.tan(np.radians(25.0))
"""A curve that crosses the axis within 25 degrees of squarely goes on without a kink."""


def made_symmetric(planar: PlanarMap, curves: CurveSet, is_upright: bool, keeps_first: bool) -> CurveSet:
    """Curves in which arcs on one side of the middle are the mirror images of those on the other.

    Parameters
    ----------
    is_upright : the axis is the upright middle of the picture; else the level one.
    keeps_first : the left (upper) half stays as it is.

    Notes
    -----
    Arcs are paired by their cracks: an arc whose cracks are not mirrored by those of another stays. Arcs that
    cross the axis are halved there; one that crosses it nearly squarely gets a tangent that is square to it.
    """
    partner = _partners(planar, is_upright)
    k = 0 if is_upright else 1
    middle = (planar.width if is_upright else planar.height) / 2
    flip = np.array([-1.0, 1.0]) if is_upright else np.array([1.0, -1.0])
    def mirror(c):
        return np.where(flip < 0, 2 * middle, 0.0) + c * flip
    stays = (lambda x: x < middle) if keeps_first else (lambda x: x > middle)
    made = {}
    for arc in np.flatnonzero(partner >= 0).tolist():
        own = curves.controls[curves.starts[arc]:curves.starts[arc + 1]]
        other = int(partner[arc])
        if len(own) == 0:
            continue
        if other == arc:
            whole = _own_mirror(own, bool(planar.closed[arc]), k, middle, mirror, stays)
            if whole is not None:
                made[arc] = whole
        elif stays(own[:, 0, k].mean()):
            theirs = curves.controls[curves.starts[other]:curves.starts[other + 1]]
            image = mirror(own)
            made[other] = image if _runs_alike(image, theirs, bool(planar.closed[arc])) else image[::-1, ::-1]
    return _with(planar, curves, made)


def _partners(planar, is_upright):
    """(A,) the arc on the other side that is each arc's mirror image, itself for one that crosses the axis, -1 for
    none."""
    y, x = np.divmod(planar.vertex, planar.width + 1)
    step = STEP[planar.heading]
    mx, my = 2 * x + step[:, 0], 2 * y + step[:, 1]
    wide = 2 * planar.width + 1
    rng = np.random.default_rng(5)
    value = rng.integers(0, 2**63, size=wide * (2 * planar.height + 1), dtype=np.uint64)
    here = my * wide + mx
    there = my * wide + (2 * planar.width - mx) if is_upright else (2 * planar.height - my) * wide + mx
    own, image = (ragged.reduce_pieces(np.add, value[code], planar.arc_starts, np.uint64(0)) for code in (here, there))
    order = np.argsort(own)
    at = np.minimum(np.searchsorted(own[order], image), len(own) - 1)
    found = order[at]
    return np.where(own[found] == image, found, -1)


def _runs_alike(image, theirs, closed):
    if closed:
        return np.sign(segment_areas(image).sum()) == np.sign(segment_areas(theirs).sum())
    def apart(a, b):
        return float(np.hypot(*(a - b)))
    return apart(image[0, 0], theirs[0, 0]) + apart(image[-1, 3], theirs[-1, 3]) <= apart(
        image[0, 0], theirs[-1, 3]
    ) + apart(image[-1, 3], theirs[0, 0])


def _own_mirror(own, closed, k, middle, mirror, stays):
    """An arc that crosses the axis from its half on the side that stays; None where it crosses in another way."""
    parts = _cut_at(own, k, middle)
    side = np.array(
        [
            bool(stays(p[[0, 3], k].mean()))
            if abs(p[[0, 3], k].mean() - middle) > 1e-9
            else bool(stays(evaluate(p, 0.5)[k]))
            for p in parts
        ]
    )
    if side.all() or not side.any():
        return None
    # a curve may waver about the axis where it crosses it: what counts is the way up to its first crossing
    if closed:
        begins = np.flatnonzero(side & ~np.roll(side, 1))
        runs = [np.roll(parts, -b, 0)[:int(np.argmin(np.roll(side, -b)))] for b in begins.tolist()]
        half = max(runs, key=lambda run: float(np.hypot(*(run[:, 3] - run[:, 0]).T).sum())).copy()
    elif side[0]:
        half = parts[:int(np.argmin(side))].copy()
    elif side[-1]:
        half = parts[len(parts) - int(np.argmin(side[::-1])):].copy()
    else:
        return None
    meets_first, meets_last = closed or not side[0], closed or bool(side[0])
    for meets, end, handle in ((meets_first, (0, 0), (0, 1)), (meets_last, (-1, 3), (-1, 2))):
        if meets:
            half[end][k] = middle
            way = half[handle] - half[end]
            if abs(way[1 - k]) <= _SMOOTH * abs(way[k]):
                half[handle][1 - k] = half[end][1 - k]
    image = mirror(half)[::-1, ::-1]
    return np.concatenate([half, image] if meets_last else [image, half])


def _cut_at(controls, k, middle):
    """Cubics cut where they cross the axis."""
    out = []
    for c in controls:
        w = c[:, k] - middle
        roots = (
            np.roots([-w[0] + 3 * w[1] - 3 * w[2] + w[3], 3 * w[0] - 6 * w[1] + 3 * w[2], -3 * w[0] + 3 * w[1], w[0]])
            if np.sign(w).min() < np.sign(w).max()
            else np.empty(0)
        )
        at = np.sort(roots.real[(np.abs(roots.imag) < 1e-9) & (roots.real > 1e-6) & (roots.real < 1 - 1e-6)])
        last = 0.0
        rest = c
        for t in at.tolist():
            local = (t - last) / (1 - last)
            one, rest = _halved(rest, local)
            out.append(one)
            last = t
        out.append(rest)
    return np.array(out)


def _halved(c, t):
    a = c[:-1] + t * np.diff(c, axis=0)
    b = a[:-1] + t * np.diff(a, axis=0)
    m = b[0] + t * (b[1] - b[0])
    return np.stack([c[0], a[0], b[0], m]), np.stack([m, b[1], a[2], c[3]])


def _with(planar, curves, made):
    """Curves with some arcs' put in, and the ends of all arcs at each node in one place."""
    if not made:
        return curves
    whole = replaced(curves, made)
    controls, straight, miss, starts = whole.controls, whole.straight, whole.miss_px, whole.starts
    count = np.diff(starts)
    node_at = {}
    for arc, part in made.items():
        miss[starts[arc]:starts[arc + 1]] = curves.miss_px[curves.starts[arc]:curves.starts[arc + 1]].max(initial=0.0)
        if not planar.closed[arc]:
            node_at[int(planar.start_node[arc])], node_at[int(planar.end_node[arc])] = part[0, 0], part[-1, 3]
    for arc in range(len(count)):
        if count[arc] and not planar.closed[arc]:
            for node, at, near in ((planar.start_node[arc], (starts[arc], 0), (starts[arc], 1)),
                                   (planar.end_node[arc], (starts[arc + 1] - 1, 3), (starts[arc + 1] - 1, 2))):
                place = node_at.get(int(node))
                if place is not None and not np.array_equal(controls[at], place):
                    controls[near] += place - controls[at]
                    controls[at] = place
    line = np.flatnonzero(straight)
    controls[line] = line_controls(controls[line, 0], controls[line, 3])
    return CurveSet(controls, straight, miss, starts)
