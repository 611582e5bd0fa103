"""Do any two curves of a map cross? Arcs may meet at their nodes and nowhere else."""

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.curves.chords import crossing_chords
from sketchloom.core.curves.curveset import flatten

_FLAT_PX = 0.02
"""Curves are flattened so far for finding crossings: well under what a machine repeats."""


def crossings(controls, straight) -> np.ndarray:
    """Pairs of segments that cross, (K, 2), the lower number first; a segment may cross itself.

    ``controls`` (S, 4, 2) px, ``straight`` (S,) bool, as of a CurveSet.

    The curves are compared as chords that keep within a fiftieth of a pixel.
    """
    xy, starts = flatten(controls, straight, _FLAT_PX)
    last = np.zeros(len(xy), bool)
    last[starts[1:] - 1] = True
    segment = ragged.owner(starts)
    end = np.empty_like(xy)
    end[:-1] = xy[1:]
    end[last] = controls[segment[last], 3]
    pairs = segment[crossing_chords(xy, end)]
    return np.unique(np.sort(pairs, axis=1), axis=0)


def crossings_near(controls, straight, segments) -> np.ndarray:
    """The same for some segments only, with each other and with what lies near them; numbers are those of all."""
    low, high = controls.min(1), controls.max(1)
    box = low[segments].min(0), high[segments].max(0)
    near = np.flatnonzero(((low <= box[1]) & (high >= box[0])).all(1))
    pairs = near[crossings(controls[near], straight[near])].reshape(-1, 2)
    return pairs[np.isin(pairs, segments).any(1)]
