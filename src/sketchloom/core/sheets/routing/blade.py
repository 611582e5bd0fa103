"""The path of a dragged blade's axis, so that its tip, which trails behind, runs along the cut.

Along a line the axis runs ahead by the offset. At a corner the tip stays where it is while the axis swings round it;
before a stroke it swings from the way the blade was left. Where the turn is slight one place serves both.

References
----------
A trailing tip follows its axis on a tractrix (textbook); on this path it needs none, as the blade always lies along
the cut.
"""

import numpy as np

_ONE_PLACE_MM = 0.004
"""One place serves a turn where the tip strays by no more, but for turns that are corners for certain: joints of the
chords of a curve must not be such, or the blade would tremble (chosen on discs from 1 mm on and on four works)."""
_LEAST_SLIGHT, _MOST_SLIGHT = np.radians(8.0), np.radians(14.0)
STRAY_MM = 0.002
"""Chords of a swing stray from its circle by no more: each pulls the tip along by as much."""
PRIME = 6.0
"""Before the first stroke the blade is drawn so many offsets along x, which turns it from wherever it stood."""


def axis_path(points, starts, offset_mm: float, angle: float = 0.0, stray_mm: float = STRAY_MM):
    """The path of the axis.

    Parameters
    ----------
    points : (N, 2) mm of strokes end to end. starts : (K + 1,) their offsets. offset_mm : from the axis to the tip.
    angle : radians, the way the blade points before the first stroke. stray_mm : of chords from a swing's circle.

    Returns
    -------
    points (M, 2) and offsets (K + 1,) of the same strokes.
    """
    points, starts = _without_stops(np.asarray(points, float), np.asarray(starts, np.intp))
    if offset_mm <= 0 or not len(points):
        return points, starts
    begins, ends = starts[:-1], starts[1:] - 1
    step = np.diff(points, axis=0)
    way = np.empty(len(points))  # of the segment that leaves each point; of the last one that comes
    way[:-1] = np.arctan2(step[:, 1], step[:, 0])
    way[ends] = way[np.maximum(ends - 1, 0)]
    before = np.empty(len(points))
    before[1:] = way[:-1]
    before[begins] = np.concatenate([[angle], way[ends[:-1]]])  # as the stroke before left it
    turn = (way - before + np.pi) % (2 * np.pi) - np.pi
    slight = 2 * np.arccos(1 - min(_ONE_PLACE_MM / offset_mm, 0.1))
    swing = np.abs(turn) > min(max(slight, _LEAST_SLIGHT), _MOST_SLIGHT)
    per = 2 * np.arccos(1 - min(stray_mm / offset_mm, 0.1))
    count = np.where(swing, np.ceil(np.abs(turn) / per).astype(np.intp) + 1, 1)  # the swing's points, both ends
    count[ends] = 1
    owner = np.repeat(np.arange(len(points)), count)
    k = np.arange(len(owner)) - np.repeat(np.cumsum(count) - count, count)
    share = np.where(count[owner] > 1, k / np.maximum(count[owner] - 1, 1), 0.5)  # a slight turn: half way between
    theta = np.where(np.isin(owner, ends), before[owner], before[owner] + share * turn[owner])
    made = points[owner] + offset_mm * np.column_stack([np.cos(theta), np.sin(theta)])
    offsets = np.concatenate([[0], np.cumsum(count)])[starts]
    return made, offsets


def primed(points, offset_mm: float) -> np.ndarray:
    """A short cut (2, 2) that turns the blade the way of x before the first stroke, at the corner it starts from."""
    return np.array([(0.0, 0.0), (PRIME * offset_mm, 0.0)]) + points


def _without_stops(points, starts):
    """Without points that repeat the one before in their stroke."""
    keep = np.ones(len(points), bool)
    keep[1:] = np.hypot(*np.diff(points, axis=0).T) > 1e-9
    keep[starts[:-1]] = True
    return points[keep], np.concatenate([[0], np.cumsum(keep)])[starts]
