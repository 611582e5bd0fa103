"""What lies along boundary points, flag by flag and run by run."""

import numpy as np

from sketchloom.core.base import ragged

_GAP = 2
"""Single points that miss a run without ending it."""
_SNAP = 6
"""A run reaches on to a corner so many points away."""


class View:
    """Points of all arcs with a margin, so that windows run round closed arcs."""

    def __init__(self, lines, is_corner, margin, unclear=None):
        self.lines = lines
        lengths = np.diff(lines.starts)
        self.arc = np.repeat(np.arange(len(lengths)), lengths)
        self.local = np.arange(len(lines.xy)) - lines.starts[self.arc]
        ends = np.zeros(len(lines.xy), bool)
        full = np.flatnonzero((lengths > 0) & ~lines.closed)
        ends[lines.starts[full]] = ends[lines.starts[full + 1] - 1] = True
        self.bar, self.node = is_corner | ends, ends & ~is_corner
        self.mute = self.bar if unclear is None else self.bar | unclear
        ext_starts = ragged.lengths_to_starts(np.where(lengths > 0, lengths + 2 * margin, 0))
        ext_arc = ragged.owner(ext_starts)
        at = np.arange(ext_starts[-1]) - ext_starts[ext_arc] - margin
        size = np.maximum(lengths[ext_arc], 1)
        at = np.where(lines.closed[ext_arc], np.mod(at, size), np.clip(at, 0, size - 1))
        self.source = lines.starts[ext_arc] + at
        self.centre = ext_starts[self.arc] + margin + self.local
        self.x, self.y = np.ascontiguousarray(lines.xy[self.source].T)

    def bow(self, half):
        """Height of the bow over ``2 * half + 1`` points around each, px: the least-squares parabola's."""
        if len(self.x) == 0:
            return np.zeros(0)
        k = np.arange(-half, half + 1.0)
        weights = np.linalg.pinv(np.vander(k, 3, increasing=True))[2] * half * half
        bx = np.convolve(self.x, weights, "same")[self.centre]
        by = np.convolve(self.y, weights, "same")[self.centre]
        tx = self.x[self.centre + half] - self.x[self.centre - half]
        ty = self.y[self.centre + half] - self.y[self.centre - half]
        return np.abs(bx * ty - by * tx) / np.maximum(np.hypot(tx, ty), 1e-9)

    def barred(self, half):
        """Windows with a corner or an open end inside."""
        if len(self.x) == 0:
            return np.zeros(0, bool)
        inside = np.convolve(self.mute[self.source].astype(np.float32), np.ones(2 * half - 1, np.float32), "same")
        return inside[self.centre] > 0.5

    def closed_up(self, flag):
        """Short gaps in a run are scatter."""
        at = ragged.Neighbours(self.lines.starts, self.lines.closed)
        grown = flag.copy()
        for k in range(1, _GAP + 1):
            grown |= flag[at(k)] | flag[at(-k)]
        kept = grown.copy()
        for k in range(1, _GAP + 1):
            kept &= grown[at(k)] & grown[at(-k)]
        return kept | flag

    def runs(self, flag):
        """First and last points of the stretches of flagged points; those without end are left out."""
        at = ragged.Neighbours(self.lines.starts, self.lines.closed)
        index = np.arange(len(flag))
        before, after = at(-1), at(1)
        first = np.flatnonzero(flag & (~flag[before] | (before == index)))
        last = np.flatnonzero(flag & (~flag[after] | (after == index)))
        # in a closed arc the last stretch may run over the seam: its end then comes first
        arcs = np.arange(len(self.lines.starts) - 1)
        a, b = np.searchsorted(self.arc[first], arcs), np.searchsorted(self.arc[last], arcs)
        has = np.flatnonzero(np.diff(np.append(a, len(first))) > 0)
        over = has[last[b[has]] < first[a[has]]]
        stop = np.append(b, len(last))
        for arc in over:
            last[b[arc]:stop[arc + 1]] = np.roll(last[b[arc]:stop[arc + 1]], -1)
        return first, last

    def reach(self, index, offset):
        """Points ``offset`` places on, drawn to a corner or an open end close by."""
        arc = self.arc[index]
        moved = self.moved(index, arc, offset)
        found = np.zeros(len(index), bool)
        sign = 1 if offset > 0 else -1
        from_here = moved
        for k in range(_SNAP + 1):
            ahead = self.moved(from_here, arc, sign * k)
            hit = self.bar[ahead] & ~found
            found |= hit
            moved = np.where(hit, ahead, moved)
        return moved

    def moved(self, index, arc, offset):
        start = self.lines.starts[arc]
        size = self.lines.starts[arc + 1] - start
        at = index - start + offset
        return start + np.where(self.lines.closed[arc], np.mod(at, size), np.clip(at, 0, size - 1))
