"""How wide thin lines are: one width where they are drawn with one, else as they swell and taper."""

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.base.late import late
from sketchloom.core.curves.curveset import evaluate, segment_lengths
from sketchloom.core.strokes.centre import centred
from sketchloom.core.strokes.drawing import cover_along
from sketchloom.core.strokes.strokes import Strokes

ndimage = late("scipy.ndimage")

_EVEN, _SHORT_PX = 0.35, 8.0
"""Lines whose width is within this share of the typical one are of that width, and so are all so short: theirs is that
of the meetings at their ends."""
_SWELLS = 0.22
"""A line swells when this share of its width lies between its quarters."""
_OVER_PX = 6.0
"""A width is that of so long a stretch; where lines meet each has some of the other's colour."""
_LEAST, _MOST = 0.4, 2.2
"""Shares of the typical width that a line has at least and at most."""


def typical_width(lines: Strokes) -> float:
    """Median width along all lines."""
    if not len(lines.width_px):
        return 0.0
    order = np.argsort(lines.width_px)
    run = np.cumsum(lines.length_px[order])
    return float(lines.width_px[order][np.searchsorted(run, run[-1] / 2)])


def drawn_lines(lines: Strokes, seen, times: int) -> np.ndarray:
    """(H, W) float32, 0 to 1: the lines drawn with their widths.

    Parameters
    ----------
    lines : in pixels of a picture ``times`` as fine. seen : (H, W) float32, their cover there as it was seen.
    """
    points, starts = _points_along(lines)
    chain = ragged.owner(starts)
    typical = typical_width(lines)
    short = lines.length_px < _SHORT_PX * times
    half = np.maximum(0.5 * lines.width_px, 0.5)
    _, local = centred(points, starts, lines.closed, seen, half[chain])
    width = lines.width_px.copy()
    alike = (np.abs(width / typical - 1) < _EVEN) | short
    width[alike] = typical
    wide = width[chain]
    for k in range(len(width)):
        own = local[starts[k]:starts[k + 1]]
        quarter, half_way, three = np.percentile(own, (25, 50, 75))
        if not short[k] and three - quarter > _SWELLS * half_way:
            reach = max(int(_OVER_PX * times), 1)
            calm = ndimage.uniform_filter1d(ndimage.median_filter(own, reach, mode="nearest"), reach, mode="nearest")
            wide[starts[k]:starts[k + 1]] = np.clip(calm, _LEAST * typical, _MOST * typical)
    return cover_along(points, wide, seen.shape)


def _points_along(lines):
    """(N, 2) points about half a pixel apart along each line, and their offsets."""
    count = np.maximum(np.ceil(segment_lengths(lines.controls, lines.straight) * 2).astype(int), 2)
    starts = ragged.lengths_to_starts(count)
    of = ragged.owner(starts)
    points = evaluate(lines.controls[of], (np.arange(starts[-1]) - starts[of]) / (count[of] - 1))
    return points, starts[lines.starts]
