"""Fitted segments of a map together with the points that they were fitted to."""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.curves.curveset import CurveSet

_NEAR_PX = 8.0
"""Side of the cells that curves are sorted into for finding pairs."""


@dataclass(frozen=True, slots=True, eq=False)
class Spliced:
    """Segments with the points they were fitted to, in the order of arcs and points.

    ``controls`` (S, 4, 2), ``straight``, ``miss`` (S,) as of a CurveSet; ``arc`` (S,);
    ``first``, ``last`` (S,) the points from and to which a segment was fitted; pieces of one
    exact shape share them. ``points`` (N, 2) in rings with offsets ``starts`` (R + 1,), closed
    ones with their first point repeated; ``ring_arc`` (R,) the arc of each; ``base`` (N, 2) their
    places in the pixel grid, or None; ``together`` (N,) number shared by points that are one
    place, -1 elsewhere; ``pulled_px`` (N,) how far points were pulled back, None for not at all.
    """

    controls: np.ndarray
    straight: np.ndarray
    miss: np.ndarray
    arc: np.ndarray
    first: np.ndarray
    last: np.ndarray
    points: np.ndarray
    base: np.ndarray | None
    starts: np.ndarray
    ring_arc: np.ndarray
    together: np.ndarray
    pulled_px: np.ndarray | None = None

    def curves(self, arcs: int) -> CurveSet:
        return CurveSet(self.controls, self.straight, self.miss, np.searchsorted(self.arc, np.arange(arcs + 1)))


def shapes_of(spliced: Spliced) -> np.ndarray:
    """Offsets of the runs of segments that share their points."""
    fresh = (np.diff(spliced.first, prepend=-1) != 0) | (np.diff(spliced.arc, prepend=-1) != 0)
    return np.append(np.flatnonzero(fresh), len(spliced.arc))


def beside(controls, fresh) -> np.ndarray:
    """(S,) bool: segments whose box comes near that of a segment marked."""
    a, b, c, d = (controls[:, k] for k in range(4))
    low = np.floor(np.minimum(np.minimum(a, b), np.minimum(c, d)) * (1 / _NEAR_PX)).astype(np.intp)
    high = np.floor(np.maximum(np.maximum(a, b), np.maximum(c, d)) * (1 / _NEAR_PX)).astype(np.intp) + 1
    origin = low.min(0)
    low, high = low - origin, high - origin
    # boxes are laid down by their corners, then counted by sums over rows and columns
    laid = np.zeros((high[:, 1].max() + 1, high[:, 0].max() + 1), np.int32)
    (x0, y0), (x1, y1) = low[fresh].T, high[fresh].T
    for y, x, sign in ((y0, x0, 1), (y0, x1, -1), (y1, x0, -1), (y1, x1, 1)):
        np.add.at(laid, (y, x), sign)
    mask = laid[:-1, :-1].cumsum(0).cumsum(1) > 0
    total = np.pad(mask.cumsum(0).cumsum(1), ((1, 0), (1, 0)))
    return (total[high[:, 1], high[:, 0]] - total[low[:, 1], high[:, 0]] - total[high[:, 1], low[:, 0]]
            + total[low[:, 1], low[:, 0]]) > 0


def directions(vector) -> np.ndarray:
    """(K, 2) unit vectors; of none, to the right."""
    size = np.hypot(vector[:, 0], vector[:, 1])[:, None]
    return np.where(size > 1e-12, vector / np.maximum(size, 1e-12), [1.0, 0.0])


def with_pulled(spliced: Spliced, first, last, miss) -> np.ndarray:
    """(K,) by how much curves from and to points miss their outline: what points were pulled aside, too."""
    if spliced.pulled_px is None:
        return miss
    reach = ragged.lengths_to_starts(last - first + 1)
    own = np.arange(reach[-1]) + np.repeat(first - reach[:-1], last - first + 1)
    return miss + ragged.reduce_pieces(np.maximum, spliced.pulled_px[own], reach)
