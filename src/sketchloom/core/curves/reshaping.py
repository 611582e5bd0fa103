"""Stretches of boundary that a person gave another course: kept by place, and found again on a new map."""

from dataclasses import dataclass, replace

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.base.late import late
from sketchloom.core.curves.chains import ring_controls
from sketchloom.core.curves.courses import NODES, course_points
from sketchloom.core.curves.curveset import evaluate
from sketchloom.core.picture.preparing.placing import moved
from sketchloom.core.planar.junctions import Polylines

spatial = late("scipy.spatial")

_NEAR_PX, _NEAR_SHARE = 2.5, 0.003
"""A boundary belongs to a stretch when it runs so near to it; the larger of both, the second a share of its size."""
_BINS, _FOUND = 24, 0.7
"""A stretch is found again when boundary runs beside so many of its parts."""
_SPACING_PX = 0.5
"""Spacing of samples on a course."""
_BLEND, _BLEND_PX = 5.0, 6.0
"""Points beyond the ends of a stretch over which its move fades out, by the size of the move."""
_GAP = 2
"""Single points off a stretch that do not part it."""
_ABOUT = 0.5
"""An edit that takes this share of an arc along is about it."""
_TOOTH, _TOOTH_POINTS = 8.0, 80
"""Boundary that leaves a stretch for no more points, and comes back no farther along than so many times its width, is
a tooth of the same stretch."""


@dataclass(frozen=True, slots=True, eq=False)
class Reshaped:
    """Polylines after edits; ``found`` (E,) bool whether the stretch of each edit is still there; ``arcs`` those each
    one changed. ``owner`` (N,) the edit by whose nodes a point runs, -1 for none; ``place`` (N,) where on them."""

    lines: Polylines
    found: np.ndarray
    arcs: tuple[np.ndarray, ...]
    owner: np.ndarray
    place: np.ndarray


def reshaped(lines: Polylines, edits, move, size, drawn=None) -> Reshaped:
    """Polylines that run as edits want, for both neighbours at once.

    Parameters
    ----------
    move : as of ``placing``. size : (width, height) px of the prepared picture. drawn : (A,) bool arcs that run along
        curves that were laid on; they stay where they are unless an edit is about them.

    Notes
    -----
    A boundary point that lies near a stretch goes to the place on the path that is as far along. Where a path
    ends beside its stretch, what follows is drawn along, less and less.
    """
    size = np.asarray(size, float)
    near = max(_NEAR_PX, _NEAR_SHARE * float(size.max()))
    xy = lines.xy.copy()
    found = np.zeros(len(edits), bool)
    border = ((lines.xy <= 0) | (lines.xy >= size)).any(1)
    arc = ragged.owner(lines.starts)
    owner, place = np.full(len(xy), -1, np.intp), np.zeros(len(xy))
    changed = [np.empty(0, np.intp)] * len(edits)
    for number, edit in enumerate(edits):
        if not edit.on:
            found[number] = True
            continue
        stretch, path = (moved(move, points) * size for points in (edit.stretch, course_points(edit)))
        dense, share = _dense(stretch)
        away, at = spatial.cKDTree(dense).query(xy, distance_upper_bound=near)
        hit = np.flatnonzero(np.isfinite(away) & _followed(xy, lines, dense, near))
        s = share[at[hit]]
        if len(hit) == 0 or len(np.unique(np.minimum((s * _BINS).astype(int), _BINS - 1))) < _FOUND * _BINS:
            continue
        found[number] = True
        inner = slice(None) if edit.closed else (s > 0) & (s < 1) | (away[hit] < 0.75)
        hit, s = _without_gaps(lines, hit[inner], s[inner], near / max(_way(stretch)[-1], 1e-9), edit.closed)
        before, old = xy[hit].copy(), xy.copy()
        if edit.what == NODES:
            owner[hit], place[hit] = number, _place(edit, s)
            xy[hit] = _on_nodes(ring_controls(moved(move, edit.path) * size), place[hit])
        else:
            owner[hit] = -1
            xy[hit] = _at(path, s)
        if not edit.closed:
            for end, first in ((0.0, True), (1.0, False)):
                _draw_along(xy, lines, hit, s, before, end, path[0 if first else -1] - stretch[0 if first else -1],
                            stretch[0 if first else -1])
        fixed = border.copy()  # the picture ends where it ends
        if drawn is not None:
            share = np.bincount(arc[hit], minlength=len(drawn)) / np.maximum(np.diff(lines.starts), 1)
            fixed |= (drawn & (share < _ABOUT))[arc]
        xy[fixed] = old[fixed]
        owner[fixed] = -1
        _hold_together(xy, old, lines, hit, fixed)
        changed[number] = np.unique(arc[(xy != old).any(1)])
    return Reshaped(replace(lines, xy=xy), found, tuple(changed), owner, place)


def _place(edit, share):
    """(K,) places on an edit's nodes, a cubic's number plus the parameter, of shares along its stretch."""
    knots = np.asarray(edit.knots, float)
    if edit.closed:
        share = (share - knots[0]) % 1.0 + knots[0]
    return np.interp(share, knots, np.arange(len(knots)))


def _on_nodes(controls, place):
    """(K, 2) points of cubics at places."""
    segment = np.minimum(place.astype(np.intp), len(controls) - 1)
    return evaluate(controls[segment], place - segment)


def _without_gaps(lines, hit, share, near_share, closed):
    """Hits with the short runs between them that lie farther off, teeth of a ragged edge, and one way along each run.

    ``hit`` numbers of boundary points, rising; ``share`` how far along the stretch each is; ``near_share`` reach as
    a share of it.
    """
    arc = ragged.owner(lines.starts)[hit]
    step = np.diff(hit)
    apart = np.abs(np.diff(share))
    apart = np.minimum(apart, 1 - apart) if closed else apart
    joined = (arc[1:] == arc[:-1]) & ((step == 1) | (step <= _TOOTH_POINTS) & (apart <= _TOOTH * near_share))
    run = np.concatenate([[0], np.cumsum(~joined)])
    first = np.flatnonzero(np.diff(run, prepend=-1))
    last = np.append(first[1:], len(hit)) - 1
    every, shares = [], []
    for a, b in zip(first.tolist(), last.tolist(), strict=False):
        index = np.arange(hit[a], hit[b] + 1)
        along = np.unwrap(share[a:b + 1], period=1.0) if closed else share[a:b + 1]
        along = np.interp(index, hit[a:b + 1], along)
        turn = np.diff(along)
        if (turn > 0).any() and (turn < 0).any():  # back and forth over teeth: evenly from end to end instead
            along = np.linspace(along[0], along[-1], len(along))
        every.append(index)
        shares.append(np.mod(along, 1.0) if closed else along)
    return np.concatenate(every), np.concatenate(shares)


def _followed(xy, lines, dense, near):
    """(N,) bool: boundary points that the stretch runs along, and not beside, as the other side of a thin stroke does.
    """
    away, nearest = spatial.cKDTree(xy).query(dense)
    seen = np.zeros(len(xy), bool)
    seen[nearest[away < near]] = True
    arc = ragged.owner(lines.starts)
    wide = seen.copy()
    for by in range(1, _GAP + 1):
        same = arc[by:] == arc[:-by]
        wide[by:] |= seen[:-by] & same
        wide[:-by] |= seen[by:] & same
    return wide


def _hold_together(xy, old, lines, hit, fixed):
    """Arcs that met in one place still do: one that only ends at the stretch is drawn along, less the farther from
    its end.

    ``fixed`` (N,) bool: points that stay; a stretch that ends at one is drawn to it.
    """
    open_ = np.flatnonzero(~lines.closed & (np.diff(lines.starts) > 1))
    ends = np.concatenate([lines.starts[open_], lines.starts[open_ + 1] - 1])
    moved = fixed.copy()
    moved[hit] = True
    _, node = np.unique(old[ends], axis=0, return_inverse=True)
    node = node.ravel()
    target = np.full((node.max(initial=-1) + 1, 2), np.nan)
    for leading in (
        np.flatnonzero(moved[ends])[::-1],
        np.flatnonzero(fixed[ends]),
    ):  # what stays leads, else the first that moved
        target[node[leading]] = xy[ends[leading]]
    for number in np.flatnonzero(np.isfinite(target[node, 0])).tolist():
        end, by = ends[number], target[node[number]] - xy[ends[number]]
        size = float(np.hypot(*by))
        if size > 0:
            arc = open_[number % len(open_)]
            index = np.arange(lines.starts[arc], lines.starts[arc + 1])
            index = index[~fixed[index]]
            reach = min(
                _BLEND * size + _BLEND_PX, lines.starts[arc + 1] - lines.starts[arc] - 1
            )  # the other end is another node's
            share = np.clip(np.abs(index - end) / reach, 0, 1)
            xy[index] += (0.5 + 0.5 * np.cos(np.pi * share))[:, None] * by
        xy[end] = target[node[number]]


def _draw_along(xy, lines, hit, s, before, end, by, place):
    """Points of the same arcs beyond an end follow it, less the farther they are."""
    size = float(np.hypot(*by))
    if size < 0.05:
        return
    reach = _BLEND * size + _BLEND_PX
    rest = np.ones(len(xy), bool)
    rest[hit] = False
    near = rest & (np.hypot(*(xy - place).T) < reach)
    fall = 0.5 + 0.5 * np.cos(np.pi * np.hypot(*(xy[near] - place).T) / reach)
    xy[near] += fall[:, None] * by


def _dense(points):
    """Points along a polyline half a pixel apart, and how far along each is, 0 to 1."""
    way = _way(points)
    at = np.linspace(0, way[-1], max(int(way[-1] / _SPACING_PX), 2) + 1)
    return np.stack([np.interp(at, way, points[:, c]) for c in (0, 1)], -1), at / max(way[-1], 1e-12)


def _at(points, share):
    way = _way(points)
    return np.stack([np.interp(share * way[-1], way, points[:, c]) for c in (0, 1)], -1)


def _way(points):
    return np.concatenate([[0.0], np.cumsum(np.hypot(*np.diff(points, axis=0).T))])
