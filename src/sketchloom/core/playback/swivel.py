"""A blade that is dragged: where its tip cuts, when only the path of its axis is known.

References
----------
A point that is pulled on a rigid rod follows a tractrix; along a straight pull of length s the angle φ between rod and
pull follows tan(φ/2) = tan(φ₀/2) exp(-s / offset) (textbook).
"""

import numpy as np

from sketchloom.core.playback.moves import Moves, chords_of

_TURNS = 8.0
"""A straight cut of no more than so many offsets turns the blade, and is no cut of the work."""
_STEP_SHARE = 0.15
"""Arcs are taken for pulls this share of the offset long, at most."""


def cut_by_tip(moves: Moves, offset_mm: float) -> Moves:
    """What the tip of a dragged blade cuts, as moves of its own; short cuts that only turn the blade are left out."""
    if offset_mm <= 0 or not moves.count:
        return moves
    tip, down, _, move = tip_path(moves, offset_mm)
    first, past = moves.strokes()
    down, number = down[:-1].copy(), move[:-1]
    lift = moves.lift[number]
    for a, b in zip(first.tolist(), past.tolist(), strict=True):
        length = np.hypot(*(moves.end[a:b] - moves.begin[a:b]).T).sum()
        if b - a == 1 and length <= _TURNS * offset_mm:
            down &= ~((number >= a) & (number < b))
    count = len(tip) - 1
    return Moves(tip[:-1], tip[1:], tip[:-1], np.zeros(count), down, moves.speed[number], moves.tool[number],
                 moves.word[number], moves.depth[number], lift, moves.troubles)


def tip_path(moves: Moves, offset_mm: float, angle: float = 0.0):
    """Places (M, 2) of the tip, whether it cuts from there on (M,), the way the blade points there (M,) radians, and
    the number of the move (M,). With the tool up the blade keeps its way."""
    xy, owner = chords_of(moves.begin, moves.end, moves.centre, moves.sweep,
                          max(0.05 * _STEP_SHARE * offset_mm, 1e-3))
    if not len(xy):
        return xy, np.empty(0, bool), np.empty(0), owner
    xy = np.concatenate([xy, moves.end[-1:]])
    owner = np.concatenate([owner, owner[-1:]])
    down = moves.down[owner]
    if offset_mm <= 0:
        step = np.diff(xy, axis=0, append=xy[-1:])
        return xy, down, np.arctan2(step[:, 1], step[:, 0]), owner
    step = np.diff(xy, axis=0)
    length, pull = np.hypot(*step.T), np.arctan2(step[:, 1], step[:, 0])
    shrink = np.exp(-length / offset_mm)
    ways = np.empty(len(xy))
    ways[0] = way = angle
    lengths, pulls, shrinks, downs = length.tolist(), pull.tolist(), shrink.tolist(), down.tolist()
    for n in range(len(step)):  # each angle hangs on the one before
        if downs[n] and lengths[n] > 0:
            off = (way - pulls[n] + np.pi) % (2 * np.pi) - np.pi
            way = pulls[n] + 2 * np.arctan(np.tan(off / 2) * shrinks[n])
        ways[n + 1] = way
    return xy - offset_mm * np.column_stack([np.cos(ways), np.sin(ways)]), down, ways, owner
