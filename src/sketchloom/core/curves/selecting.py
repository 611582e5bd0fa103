"""Curves of some arcs taken from another fit of the same map."""

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.curves.curveset import CurveSet
from sketchloom.core.planar.junctions import Polylines


def with_other_fit(curves: CurveSet, other: CurveSet, lines: Polylines, polygon) -> CurveSet:
    """Curves in which arcs that lie mostly in a polygon come from another fit.

    Parameters
    ----------
    curves, other : two fits of ``lines``. polygon : (P, 2) px.

    Notes
    -----
    Whole arcs only, and only where both fits begin and end in the same places bit for bit, so that
    every face stays closed.
    """
    within = ragged.reduce_pieces(np.add, _inside(lines.xy, polygon).astype(float), lines.starts)
    take = within > 0.5 * np.diff(lines.starts)
    has = (np.diff(curves.starts) > 0) & (np.diff(other.starts) > 0)
    arcs = np.flatnonzero(has)
    same = np.zeros(len(has), bool)
    same[arcs] = (curves.controls[curves.starts[arcs], 0] == other.controls[other.starts[arcs], 0]).all(1) & (
        curves.controls[curves.starts[arcs + 1] - 1, 3] == other.controls[other.starts[arcs + 1] - 1, 3]
    ).all(1)
    take &= same | (has & lines.closed)  # a loop meets nothing
    offset = len(curves.controls)
    both = [np.concatenate([getattr(curves, n), getattr(other, n)]) for n in ("controls", "straight", "miss_px")]
    first = np.where(take, other.starts[:-1] + offset, curves.starts[:-1])
    count = np.where(take, np.diff(other.starts), np.diff(curves.starts))
    starts = ragged.lengths_to_starts(count)
    arc = ragged.owner(starts)
    segment = first[arc] + np.arange(starts[-1]) - starts[arc]
    controls, straight, miss_px = (values[segment] for values in both)
    return CurveSet(controls, straight, miss_px, starts)


def _inside(xy, polygon):
    """Even-odd test of points."""
    odd = np.zeros(len(xy), bool)
    for (x0, y0), (x1, y1) in zip(polygon, np.roll(polygon, -1, 0), strict=False):
        crosses = (y0 > xy[:, 1]) != (y1 > xy[:, 1])
        if y1 != y0:
            odd ^= crosses & (xy[:, 0] < (x1 - x0) * (xy[:, 1] - y0) / (y1 - y0) + x0)
    return odd
