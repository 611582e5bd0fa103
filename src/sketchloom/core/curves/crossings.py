"""Do any two curves of a map cross? Arcs may meet at their nodes and nowhere else."""

import numpy as np

from sketchloom.core import ragged
from sketchloom.core.curves.chords import crossing_chords
from sketchloom.core.curves.curveset import flatten

_FLAT_PX = 0.02


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
