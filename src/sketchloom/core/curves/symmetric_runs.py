"""Open arcs that are symmetric in the line that halves the chord between their nodes, made exactly so."""

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.curves.least_squares import averaged
from sketchloom.core.curves.symmetry import MOST, Halves, mirrored, no_halves
from sketchloom.core.planar.junctions import Polylines

_LEAST_RUN, _LEAST_CHORD_PX, _LONGEST_RUN, _SLIP_PX = 24, 8.0, 4.0, 0.6
"""Open arcs: points and chord at least, length by the chord at most, slip of their image at most."""
_SQUARE, _FEW_PLACES = np.radians(25.0), 17
"""The ends of an open arc lie this square to its axis; it is first compared in so many places."""
_RUN_GAP = 1.6
"""An arc and its image may be so many tolerances apart: the mean keeps half of it off either."""


def symmetric_runs(lines: Polylines, candidate, tolerance_px: float) -> Halves:
    """Find the open arcs that are symmetric, within the tolerance, in the line that halves the chord between their
    nodes.

    Parameters and result as of ``symmetric_halves``; each half runs from the arc's first node to the axis, where it
    is smooth unless the outline has a corner there.
    """
    many = np.diff(lines.starts)
    chord = (
        lines.xy[np.maximum(lines.starts[1:] - 1, 0)]
        - lines.xy[np.minimum(lines.starts[:-1], max(len(lines.xy) - 1, 0))]
        if len(lines.xy)
        else np.empty((0, 2))
    )
    arcs = (
        np.flatnonzero(candidate & ~lines.closed & (many >= _LEAST_RUN) & (np.hypot(*chord.T) >= _LEAST_CHORD_PX))
        if len(chord)
        else np.empty(0, np.intp)
    )
    arcs = arcs[_may_be_symmetric(lines, arcs, tolerance_px)]
    if len(arcs) > MOST:
        arcs = np.sort(arcs[np.argsort(-many[arcs], kind="stable")[:MOST]])
    kept, half, starts, centre, axis = _half_runs(lines, arcs, tolerance_px)
    return (
        Halves(
            arcs[kept], Polylines(half, starts, np.zeros(len(kept), bool)), centre, axis, np.zeros((len(kept), 2), bool)
        )
        if len(kept)
        else no_halves()
    )


def _may_be_symmetric(lines, arcs, tolerance):
    """(K,) bool: open arcs that lie near their image at a few places, all arcs at once."""
    if len(arcs) == 0:
        return np.empty(0, bool)
    index, starts = ragged.take(lines.starts, arcs)
    xy, run = lines.xy[index], ragged.owner(starts)
    way, total = _open_ways(xy, starts)
    # runs are told apart by whole numbers, so one interpolation serves them all
    wanted = np.linspace(0, 1, _FEW_PLACES)[None] + 2.0 * np.arange(len(arcs))[:, None]
    place = way / np.maximum(total, 1e-9)[run] + 2.0 * run
    points = np.stack([np.interp(wanted, place, xy[:, c]) for c in (0, 1)], -1)
    a, b = points[:, :1], points[:, -1:]
    chord = (b - a) / np.maximum(np.hypot(*np.moveaxis(b - a, -1, 0)), 1e-9)[..., None]
    image = mirrored(points[:, ::-1], 0.5 * (a + b), np.stack([-chord[..., 1], chord[..., 0]], -1))
    return np.hypot(*np.moveaxis(image - points, -1, 0)).max(1) <= _SLIP_PX + 2 * _RUN_GAP * tolerance


def _half_runs(lines, arcs, tolerance):
    """Of open arcs the symmetric ones: their numbers among ``arcs``, their first halves as the mean of both as
    polylines, centres, axes."""
    none = np.empty(0, np.intp), np.empty((0, 2)), np.zeros(1, np.intp), np.empty((0, 2)), np.empty((0, 2))
    if len(arcs) == 0:
        return none
    index, starts = ragged.take(lines.starts, arcs)
    xy, run = lines.xy[index], ragged.owner(starts)
    way, total = _open_ways(xy, starts)
    a, b = xy[starts[:-1]], xy[starts[1:] - 1]
    length = np.hypot(*(b - a).T)
    unit = (b - a) / length[:, None]
    centre, axis = 0.5 * (a + b), np.stack([-unit[:, 1], unit[:, 0]], -1)
    back = starts[run] + starts[run + 1] - 1 - np.arange(len(xy))
    image = mirrored(xy[back], centre[run], axis[run])
    at = total[run] - way[back]
    base = np.concatenate([[0.0], np.cumsum(total + 10.0)])[:-1][run]  # one interpolation serves all arcs
    def along(where):
        return np.stack([np.interp(where + base, way + base, xy[:, c]) for c in (0, 1)], -1)
    # the point of the arc that is as far along, and the distance across its own direction there
    own = along(at)
    ahead = along(np.minimum(at + 1.5, total[run])) - along(np.maximum(at - 1.5, 0))
    ahead /= np.maximum(np.hypot(*ahead.T), 1e-9)[:, None]
    gap = image - own
    across = gap[:, 1] * ahead[:, 0] - gap[:, 0] * ahead[:, 1]
    def worst(values):
        return np.maximum.reduceat(values, starts[:-1])
    good = worst(np.abs((gap * ahead).sum(1))) <= _SLIP_PX
    good &= worst(averaged(across, np.abs(across), starts)) <= _RUN_GAP * tolerance
    good &= total <= _LONGEST_RUN * length
    # next to straight, lines look after themselves
    good &= worst(np.abs(((xy - a[run]) * axis[run]).sum(1))) >= 4 * tolerance
    end = np.stack([np.interp(0.5 * total + base[starts[:-1]], way + base, xy[:, c]) for c in (0, 1)], -1)
    end = centre + ((end - centre) * axis).sum(1)[:, None] * axis
    # a corner on the axis would have to be found by both halves; such arcs are left as they are
    before = np.stack(
        [np.interp(np.maximum(0.5 * total - 4.0, 0) + base[starts[:-1]], way + base, xy[:, c]) for c in (0, 1)], -1
    )
    leg = end - before
    good &= np.abs((leg * unit).sum(1)) >= np.cos(_SQUARE) * np.hypot(*leg.T)
    mean = own + 0.5 * across[:, None] * np.stack([-ahead[:, 1], ahead[:, 0]], -1)
    halves = [
        np.concatenate([a[k][None], mean[part][(at[part] > 0.3) & (at[part] < 0.5 * total[k] - 0.3)], end[k][None]])
        for k, part in ((k, slice(starts[k], starts[k + 1])) for k in np.flatnonzero(good).tolist())
    ]
    if not halves:
        return none
    kept = np.flatnonzero(good)
    return kept, np.concatenate(halves), ragged.lengths_to_starts([len(h) for h in halves]), centre[kept], axis[kept]


def _open_ways(xy, starts):
    """Way along its arc at each point of open polylines, and their lengths."""
    step = np.hypot(*np.diff(xy, axis=0, prepend=xy[:1]).T)
    step[starts[:-1]] = 0.0
    way = np.cumsum(step)
    way -= way[starts[:-1]][ragged.owner(starts)]
    return way, way[starts[1:] - 1]
