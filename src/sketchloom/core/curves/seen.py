"""What of an outline can be seen in a box at a scale: rings that come near it, cut to it, without what is too small
to see.

Filled or stroked within the box, what is left looks as the whole outline does.
"""

from dataclasses import dataclass
from functools import cached_property

import numpy as np

from sketchloom.core.curves.outline import Outline

_THIN_PX = 0.35
"""Nodes nearer to the one before than this, px of the screen, are passed over; at a third of a pixel no eye sees
it, and
a sheet of 30 000 regions seen as a whole has a quarter of its segments left."""
_FLAT_PX = 0.12
"""A cubic whose handles lie this near to its chord is a line."""


@dataclass(frozen=True, eq=False)
class Bounded:
    """An outline with the boxes of its segments and rings, for asking many times."""

    outline: Outline

    @cached_property
    def low(self) -> np.ndarray:
        """(S, 2) least coordinates of each segment's control points."""
        return self.outline.controls.min(1)

    @cached_property
    def high(self) -> np.ndarray:
        return self.outline.controls.max(1)

    @cached_property
    def ring_boxes(self) -> tuple[np.ndarray, np.ndarray]:
        """(R, 2) least and greatest coordinates of each ring."""
        first = self.outline.starts[:-1]
        if len(first) == 0:
            return np.empty((0, 2)), np.empty((0, 2))
        return np.minimum.reduceat(self.low, first), np.maximum.reduceat(self.high, first)


@dataclass(frozen=True, slots=True, eq=False)
class Seen:
    """Segments of rings: ``controls`` (S, 4, 2), ``straight`` (S,), ``starts`` (R + 1,)."""

    controls: np.ndarray
    straight: np.ndarray
    starts: np.ndarray


def seen_in(bounded: Bounded, box, pixel: float) -> Seen:
    """What of an outline is seen in a box.

    Parameters
    ----------
    box : left, top, right, bottom in units of the outline. pixel : size of a pixel of the screen in those units.

    Notes
    -----
    Segments that come near the box stay as they are. Of others only the ends count, moved to the nearest place of the
    box: an edge that lies wholly on one side of a box stays on that side, so what is inside changes nowhere within it.
    Lines for a pen are cut only by rings.
    """
    outline = bounded.outline
    low, high = np.array(box[:2], float), np.array(box[2:], float)
    ring_low, ring_high = bounded.ring_boxes
    near = ((ring_low <= high) & (ring_high >= low)).all(1)
    is_pen = outline.pen_px is not None
    if not is_pen:  # an area of less than a sixteenth of a pixel is not seen
        near &= (ring_high - ring_low).max(1, initial=0.0) > 0.25 * pixel
    rings = np.flatnonzero(near)
    if len(rings) == 0:
        return Seen(np.empty((0, 4, 2)), np.empty(0, bool), np.zeros(1, np.intp))
    counts = np.diff(outline.starts)[rings]
    starts = np.concatenate([[0], np.cumsum(counts)])
    index = np.arange(starts[-1]) - np.repeat(starts[:-1], counts) + np.repeat(outline.starts[:-1][rings], counts)
    controls, straight = (
        outline.controls[index],
        outline.straight[index] | _flat(outline.controls[index], _FLAT_PX * pixel),
    )
    if is_pen:
        return Seen(controls, straight, starts)
    touches = ((bounded.low[index] <= high) & (bounded.high[index] >= low)).all(1)
    if touches.all():
        return _thinned(controls, straight, starts, pixel)
    ends = np.clip(controls, low, high)
    controls = np.where(touches[:, None, None], controls, ends)
    straight = straight | ~touches
    controls, straight, starts = _joined(controls, straight, starts, touches)
    return _thinned(controls, straight, starts, pixel)


def _flat(controls, by):
    """(S,) bool: both handles lie near the thirds of the chord, or at least beside it."""
    start, end = controls[:, 0], controls[:, 3]
    chord = end - start
    length = np.hypot(*chord.T)
    away = np.stack(
        [
            np.abs(chord[:, 0] * (h - start)[:, 1] - chord[:, 1] * (h - start)[:, 0])
            for h in (controls[:, 1], controls[:, 2])
        ]
    )
    beside = away.max(0) <= by * np.maximum(length, 1e-12)
    short = np.abs(controls - start[:, None]).max((1, 2)) <= by
    # handles that reach beyond the ends make a line that doubles back
    along = np.stack([((h - start) * chord).sum(1) for h in (controls[:, 1], controls[:, 2])])
    within = (along.min(0) >= -by * length) & (along.max(0) <= length**2 + by * length)
    return beside & within | short


def _joined(controls, straight, starts, touches):
    """Rings in which a segment that was moved to the box meets its neighbours again: a line is put between them."""
    ring = np.repeat(np.arange(len(starts) - 1), np.diff(starts))
    last = starts[1:] - 1
    after = np.arange(1, len(controls) + 1)
    after[last] = starts[:-1]
    gap = touches != touches[after]
    between = np.stack([controls[:, 3], controls[:, 3], controls[after, 0], controls[after, 0]], 1)[gap]
    order = np.argsort(np.concatenate([np.arange(len(controls)), np.flatnonzero(gap) + 0.5]), kind="stable")
    made = np.concatenate([controls, between])[order]
    lines = np.concatenate([straight, np.ones(int(gap.sum()), bool)])[order]
    owner = np.concatenate([ring, ring[gap]])[order]
    return made, lines, np.searchsorted(owner, np.arange(len(starts)))


def _thinned(controls, straight, starts, pixel):
    """Runs of short lines with fewer nodes."""
    chord = np.abs(controls[:, 3] - controls[:, 0]).max(1)
    short = straight & (chord < _THIN_PX * pixel)
    if not short.any():
        return Seen(controls, straight, starts)
    # a short line is dropped when the way since the last node that stays is short too; the next one begins there
    way = np.cumsum(np.where(short, chord, 0.0))
    ring = np.repeat(np.arange(len(starts) - 1), np.diff(starts))
    step = np.floor(way / (_THIN_PX * pixel))
    same = np.zeros(len(short), bool)
    same[1:] = (step[1:] == step[:-1]) & (ring[1:] == ring[:-1]) & short[1:]
    drop = short & same
    last = starts[1:] - 1
    drop[last] = False  # the ring still closes
    kept = np.flatnonzero(~drop)
    made = controls[kept].copy()
    before = np.concatenate([[-1], kept[:-1]])
    moved = (before >= 0) & (ring[np.maximum(before, 0)] == ring[kept])
    # the node before may have been dropped: begin where the one that stays ended
    made[moved, 0] = controls[before[moved], 3]
    return Seen(made, straight[kept], np.searchsorted(ring[kept], np.arange(len(starts))))
