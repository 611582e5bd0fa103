"""How wide an area is across a line drawn over it."""

import numpy as np
import shapely

_SAMPLES = 60
_REACH = 3.0
"""Chords reach so many times the area's widest inner circle to either side: beyond it they end elsewhere."""
_STOUT = 0.5
"""What is wider than this share of the line's length is no line (common practice, no source)."""
_AWAY = 1.0
"""A chord that lies farther from the line than so many widths is of something beside it."""


def width_along(area, points) -> float | None:
    """Width of an area (shapely) across a line (N, 2), the median of its chords at right angles; None where most of
    the line lies beside the area, or where that is too wide for a line.

    A tenth of the line at either end is left out: what is drawn may be narrower there.
    """
    points = np.asarray(points, float)
    away = np.concatenate([[0.0], np.cumsum(np.hypot(*np.diff(points, axis=0).T))])
    if area.is_empty or away[-1] <= 0:
        return None
    at = np.linspace(0.1, 0.9, _SAMPLES) * away[-1]
    step = 0.02 * away[-1]
    place, before, after = (np.stack([np.interp(at + by, away, points[:, k]) for k in (0, 1)], -1)
                            for by in (0, -step, step))
    along = after - before
    across = np.stack([-along[:, 1], along[:, 0]], -1) / np.maximum(np.hypot(*along.T), 1e-12)[:, None]
    reach = _REACH * shapely.maximum_inscribed_circle(area).length
    chords = shapely.intersection(
        shapely.linestrings(np.stack([place - reach * across, place + reach * across], 1)), area)
    parts, owner = shapely.get_parts(chords, return_index=True)
    length = shapely.length(parts)
    is_line = length > 0
    parts, owner, length = parts[is_line], owner[is_line], length[is_line]
    apart = shapely.distance(parts, shapely.points(place)[owner])
    order = np.lexsort([apart, owner])
    first = order[np.diff(owner[order], prepend=-1) > 0]
    near = first[apart[first] <= _AWAY * length[first]]
    if len(near) <= _SAMPLES / 2:
        return None
    width = float(np.median(length[near]))
    return width if width < _STOUT * away[-1] else None
