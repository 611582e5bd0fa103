"""Halves of symmetric loops and arcs: fitted as open arcs, then completed by their mirror images."""

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.curves.curveset import evaluate, line_controls
from sketchloom.core.curves.parts import Part
from sketchloom.core.curves.symmetry import mirrored

_SQUARE = 1e-6
"""Lines that were made square to the axis lean by no more."""


class Mirrored(Part):
    """Halves of symmetric loops: fitted as open arcs, then completed by their mirror images."""

    begins_on_axis = True

    def __init__(self, halves, arcs):
        super().__init__(halves.lines, arcs)
        self.halves = halves
        self.axes = halves.centre, halves.axis, self.begins_on_axis

    def divide(self, tolerance, blur, scatter, recognise):
        super().divide(tolerance, blur, scatter, recognise)
        # the ends lie on the axis, not at nodes; without a corner the outline crosses it squarely
        for ends, smooth, towards, corner in ((self.at_start, self.smooth_first, self.leave, 0),
                                              (self.at_end, self.smooth_last, self.arrive, 1)):
            end = np.flatnonzero(ends)
            half = np.searchsorted(self.arcs, self.arc[end])
            axis = self.halves.axis[half]
            square = np.stack([-axis[:, 1], axis[:, 0]], -1)
            square *= np.sign((square * towards[end]).sum(1))[:, None]
            plain = ~self.halves.corner[half, corner]
            towards[end[plain]], smooth[end[plain]] = square[plain], True
            ends[:] = False

    def take(self, fitted, tolerance):
        super().take(fitted, tolerance)
        self._meet(tolerance)
        points = np.split(self.points, self.starts[1:-1])
        rings = [self._completed(k, points[k]) for k in range(len(self.arcs))]
        names = ("owner", "controls", "straight", "miss", "segment_first", "segment_last", "points")
        starts = ragged.lengths_to_starts([len(ring[-1]) for ring in rings])
        for name, values in zip(names, zip(*rings, strict=False), strict=False):
            setattr(
                self,
                name,
                np.concatenate(
                    [v + o if name.startswith("segment") else v for v, o in zip(values, starts, strict=False)]
                ),
            )
        self.starts = starts

    def _meet(self, tolerance):
        """What holds for all halves at once where they cross the axis."""

    def _completed(self, k, points):
        """One half with its mirror image: segments, their points' numbers within the loop, and the points."""
        centre, axis, corner = self.halves.centre[k], self.halves.axis[k], self.halves.corner[k]
        mine = np.flatnonzero(self.owner == self.arcs[k])
        mine = mine[np.argsort(self.segment_first[mine], kind="stable")]
        controls, straight, miss = self.controls[mine].copy(), self.straight[mine], self.miss[mine]
        image = mirrored(controls, centre, axis)[::-1, ::-1].copy()
        image[0, 0], image[-1, 3] = controls[-1, 3], controls[0, 0]  # the halves meet bit for bit
        first, last = self.segment_first[mine] - self.starts[k], self.segment_last[mine] - self.starts[k]
        round_ = 2 * (len(points) - 1)
        firsts, lasts = np.concatenate([first, round_ - last[::-1]]), np.concatenate([last, round_ - first[::-1]])
        every = np.concatenate([controls, image])
        straight, miss = np.concatenate([straight, straight[::-1]]), np.concatenate([miss, miss[::-1]])
        points = np.concatenate([points[:-1], mirrored(points[:0:-1], centre, axis)])
        # a line that crosses the axis squarely is one with its image
        if straight[len(mine) - 1] and not corner[1] and _is_square(controls[-1], axis):
            every, straight, miss, firsts, lasts = _one_line(len(mine) - 1, every, straight, miss, firsts, lasts)
        if straight[0] and not corner[0] and len(every) > 2 and _is_square(controls[0], axis):
            turn = lasts[0]
            every, straight, miss = (np.roll(v, -1, axis=0) for v in (every, straight, miss))
            firsts, lasts = np.roll(firsts, -1) - turn, np.roll(lasts, -1) - turn
            firsts[-1], lasts[-1] = round_ - turn, round_
            every, straight, miss, firsts, lasts = _one_line(len(every) - 2, every, straight, miss, firsts, lasts)
            points = np.roll(points, -turn, axis=0)
        return (np.full(len(every), self.arcs[k]), every, straight, miss, firsts, lasts,
                np.concatenate([points, points[:1]]))


class MirroredRuns(Mirrored):
    """Halves of symmetric open arcs, from their first node to the axis. ``leave``: direction at that node, NaN
    where it is free;
    ``stop`` (K, 2) their other nodes."""

    begins_on_axis = False

    def __init__(self, halves, arcs, leave, stop):
        super().__init__(halves, arcs)
        self._leave, self._stop = leave, stop

    def divide(self, tolerance, blur, scatter, recognise):
        Part.divide(self, tolerance, blur, scatter, recognise)
        half = np.searchsorted(self.arcs, self.arc)
        end, begin = np.flatnonzero(self.at_end), np.flatnonzero(self.at_start)
        axis = self.halves.axis[half[end]]
        square = np.stack([-axis[:, 1], axis[:, 0]], -1)
        square *= np.sign((square * self.arrive[end]).sum(1))[:, None]
        self.arrive[end], self.smooth_last[end] = square, True
        given = np.isfinite(self._leave[half[begin], 0])
        self.leave[begin[given]], self.smooth_first[begin[given]] = self._leave[half[begin[given]]], True
        self.at_start[:] = self.at_end[:] = False

    def _completed(self, k, points):
        centre, axis = self.halves.centre[k], self.halves.axis[k]
        mine = np.flatnonzero(self.owner == self.arcs[k])
        mine = mine[np.argsort(self.segment_first[mine], kind="stable")]
        controls, straight, miss = self.controls[mine].copy(), self.straight[mine], self.miss[mine]
        image = mirrored(controls, centre, axis)[::-1, ::-1].copy()
        image[0, 0] = controls[-1, 3]
        image[-1, 3] = self._stop[k]  # bit for bit
        first, last = self.segment_first[mine] - self.starts[k], self.segment_last[mine] - self.starts[k]
        whole = 2 * (len(points) - 1)
        firsts, lasts = np.concatenate([first, whole - last[::-1]]), np.concatenate([last, whole - first[::-1]])
        every, straight, miss = (
            np.concatenate([controls, image]),
            np.concatenate([straight, straight[::-1]]),
            np.concatenate([miss, miss[::-1]]),
        )
        points = np.concatenate([points[:-1], mirrored(points[:0:-1], centre, axis), self._stop[k][None]])
        middle = len(mine) - 1
        if straight[middle] and _is_square(controls[-1], axis):  # a line that crosses the axis so is one with its image
            every, straight, miss, firsts, lasts = _one_line(middle, every, straight, miss, firsts, lasts)
        elif not straight[middle] and miss[middle] + self._off[k] <= self._tolerance:
            every[middle, 1:3], every[middle, 3] = (
                self._one[k, 1:3],
                every[middle + 1, 3],
            )  # the end may be a node, and stays it bit for bit
            lasts[middle], miss[middle] = lasts[middle + 1], miss[middle] + self._off[k]
            every, straight, miss, firsts, lasts = (
                np.delete(v, middle + 1, axis=0) for v in (every, straight, miss, firsts, lasts)
            )
        return np.full(len(every), self.arcs[k]), every, straight, miss, firsts, lasts, points

    def _meet(self, tolerance):
        self._tolerance = tolerance
        order = np.lexsort((self.segment_first, self.owner))
        last = order[np.searchsorted(self.owner[order], self.arcs, side="right") - 1]
        self._one, self._off = _across_axes(self.controls[last], self.halves.centre, self.halves.axis)


def _across_axes(left, centre, axis):
    """For cubics (K, 4, 2) that end on their axes, one cubic in place of each and its image, through their common
    point, and how far it is off, px;
    infinitely far where there is none."""
    image = mirrored(left, centre[:, None], axis[:, None])
    a, b = left[:, 0], image[:, 0]
    u = left[:, 1] - a
    size = np.hypot(*u.T)
    u = u / np.maximum(size, 1e-9)[:, None]
    back = mirrored(u, np.zeros(2), axis)
    rise = ((left[:, 3] - 0.5 * (a + b)) * axis).sum(1)
    share = ((u + back) * axis).sum(1)
    good = (size >= 1e-9) & (np.abs(share) >= 1e-6)
    reach = 8 / 3 * rise / np.where(good, share, 1.0)
    good &= reach > 0
    one = np.stack([a, a + reach[:, None] * u, b + reach[:, None] * back, b], 1)
    t = np.linspace(0, 1, 17)
    dense, own = evaluate(one[:, None], np.linspace(0, 0.5, 65)[None]), evaluate(left[:, None], t[None])
    away = np.hypot(*np.moveaxis(own[:, :, None] - dense[:, None], -1, 0)).min(2).max(1)
    return one, np.where(good, away, np.inf)


def _is_square(line, axis):
    """Whether a line (4, 2) runs straight across the axis, and not at a slant."""
    leg = line[3] - line[0]
    return abs(leg @ axis) <= _SQUARE * np.hypot(*leg)


def _one_line(at, controls, straight, miss, first, last):
    """Segments with that at ``at`` and the one after it joined to one line."""
    controls, last = controls.copy(), last.copy()
    controls[at], last[at] = line_controls(controls[at, 0], controls[at + 1, 3]), last[at + 1]
    return (*(np.delete(v, at + 1, axis=0) for v in (controls, straight, miss, first)), np.delete(last, at + 1))
