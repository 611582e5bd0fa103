"""The side view through a stack of sheets along a line."""

from dataclasses import dataclass

import numpy as np

from sketchloom.core.base import ragged
from sketchloom.core.curves.curveset import flatten

_FLAT_PX = 0.1
"""Outlines are flattened so far to find where the line crosses them."""


@dataclass(frozen=True, slots=True, eq=False)
class Section:
    """``at_mm`` (B + 1,) places along the line where something begins or ends; between two of them ``solid`` (L, B)
    which
    sheets are there, the lowest first, and ``bottom_mm``, ``top_mm`` (L, B) their heights."""

    at_mm: np.ndarray
    solid: np.ndarray
    bottom_mm: np.ndarray
    top_mm: np.ndarray

    @property
    def length_mm(self) -> float:
        return float(self.at_mm[-1])

    @property
    def height_mm(self) -> float:
        return float(self.top_mm[self.solid].max(initial=0.0))

    def uppermost(self) -> np.ndarray:
        """(B,) the sheet seen from above, -1 for none."""
        count = len(self.solid)
        return (
            np.where(self.solid.any(0), count - 1 - self.solid[::-1].argmax(0), -1)
            if count
            else np.full(len(self.at_mm) - 1, -1)
        )

    def highest_step(self) -> tuple[float, float]:
        """The greatest difference of height between neighbours, mm, and where it is along the line."""
        top = np.where(self.solid, self.top_mm, 0.0).max(0) if len(self.solid) else np.zeros(len(self.at_mm) - 1)
        steps = np.abs(np.diff(np.concatenate([[0.0], top, [0.0]])))
        n = int(steps.argmax())
        return float(steps[n]), float(self.at_mm[n])


class SectionCutter:
    """Cuts sections through the same sheets again and again: their outlines are flattened once."""

    def __init__(self, layers, mm_per_px: float):
        self._mm = mm_per_px
        self._edges = []
        for layer in layers:
            outline = layer.outline
            xy, starts = flatten(outline.controls, outline.straight, _FLAT_PX)
            ring_starts = starts[outline.starts]
            ring = ragged.owner(ring_starts)
            index = np.arange(len(xy))
            after = np.where(index + 1 == ring_starts[ring + 1], ring_starts[ring], index + 1) if len(xy) else index
            self._edges.append((xy, xy[after]) if outline.pen_px is None else (xy[:0], xy[:0]))

    def cut(self, start_px, end_px, thickness_mm, spacer_mm) -> Section:
        """The section along a line.

        Parameters
        ----------
        start_px, end_px : ends of the line, px. thickness_mm, spacer_mm : (L,) of each sheet, and the spacer below it.

        Notes
        -----
        Without spacers a sheet lies on whatever is under it at each place, as film does. Spacers hold a sheet level:
        it and all above it rest at the height of everything below together.
        """
        a, b = np.asarray(start_px, float), np.asarray(end_px, float)
        length = max(float(np.hypot(*(b - a))), 1e-6)
        crossings = [self._crossings(edges, a, (b - a) / length) for edges in self._edges]
        inner = np.concatenate([c[(c > 0) & (c < length)] for c in crossings] or [np.empty(0)])
        at = np.unique(np.concatenate([[0.0], inner, [length]]))
        middle = 0.5 * (at[:-1] + at[1:])
        within = [np.searchsorted(c, middle) % 2 == 1 for c in crossings]
        solid = np.array(within, bool).reshape(len(crossings), len(middle))  # of no sheets too
        thick, spacer = np.asarray(thickness_mm, float), np.asarray(spacer_mm, float)
        bottom = np.zeros(solid.shape)
        lying, level = np.zeros(len(middle)), 0.0
        for k in range(len(crossings)):
            if spacer[k] > 0:
                lying[:] = level = max(level, float(lying.max(initial=0.0))) + spacer[k]
            bottom[k] = lying
            lying = np.where(solid[k], lying + thick[k], lying)
        return Section(at * self._mm, solid, bottom, bottom + thick[:, None])

    def _crossings(self, edges, a, unit):
        """Sorted places along the infinite line, px, at which the outline crosses it."""
        one, two = edges
        normal = np.array([-unit[1], unit[0]])
        d0, d1 = (one - a) @ normal, (two - a) @ normal
        hit = np.flatnonzero((d0 >= 0) != (d1 >= 0))
        share = d0[hit] / (d0[hit] - d1[hit])
        return np.sort((one[hit] - a + share[:, None] * (two[hit] - one[hit])) @ unit)
