"""What else an order of whole sheets can cost: colours that show where a sheet is laid amiss, and sheets laid for
little."""

import numpy as np

from sketchloom.core.base.colour import ciede2000

_PLAIN_DELTA = 25.0
"""A sliver so far (CIEDE2000) from the colours beside it shows fully; nearer ones in proportion (common practice, no
source)."""
LITTLE = 0.05
"""A sheet of which less than this share is seen is laid for little (common practice, no source; chosen with a grey of
which 0.2 % was seen and a sheet of 15 000 mm² for 115 mm² in mind)."""


def slivers(boundary, lab) -> np.ndarray:
    """(n, n + 1, n + 1) how much of each edge between two colours shows a third one whose sheet ends there, too.

    Parameters
    ----------
    boundary : (n + 1, n + 1) shared lengths, the last row what is not cut. lab : (n + 1, 3) CIELAB of the colours, and
    of what everything is laid on.

    Notes
    -----
    Where a colour meets one that lies lower, every sheet between the two ends as well: laid amiss by a hair, it shows
    along the whole edge. A sheet whose colour is one of the two, or near to it, does not.
    """
    boundary, lab = np.asarray(boundary, float), np.asarray(lab, float)
    count = len(boundary) - 1
    delta = np.minimum(ciede2000(lab[:, None], lab[None]) / _PLAIN_DELTA, 1.0)
    shown = boundary[None] * np.minimum(delta[:count, :, None], delta[:count, None, :])
    for c in range(count):
        shown[c, c], shown[c, :, c] = 0.0, 0.0
    return shown


def cost_of_order(order, shown, area, mislaid: float, little: float) -> float:
    """What an order, base first, costs beside cutting, pieces and film; ``shown`` as of ``slivers``."""
    area, total = np.asarray(area, float), 0.0
    above = np.ones(len(area) + 1, bool)
    above[-1] = False
    for colour in order:
        above[colour] = False
        below = ~above
        below[colour] = False
        total += mislaid * float(shown[colour][np.ix_(above, below)].sum())
        laid = float(area[above[:-1]].sum() + area[colour])
        total += little * (laid - area[colour]) * (area[colour] < LITTLE * laid)
    return total
