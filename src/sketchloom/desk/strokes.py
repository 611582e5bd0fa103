"""Strokes of an ink drawing or of dark outlines, and what is drawn at their ends."""

from functools import cached_property

import numpy as np

from sketchloom.core.edits.decisions import PaintedLine
from sketchloom.core.segment import tone
from sketchloom.core.strokes.ink_lines import InkLines
from sketchloom.desk import lines
from sketchloom.desk.boundaries import BoundaryDesk, thinned


class StrokeDesk(BoundaryDesk):
    """Draws at the strokes of one work. All places are px of its prepared picture."""

    @property
    def has_strokes(self) -> bool:
        return self.work.reading in ("tone", "line")

    @cached_property
    def strokes(self) -> InkLines:
        """Strokes of an ink drawing between their meetings."""
        work = self.work
        # a line reading that was drawn again as shapes has its own labels; what is painted is painted on the picture
        return InkLines(work.segmentation.labels == tone.INK)

    @cached_property
    def outlines(self) -> InkLines | None:
        """Strokes of the ink or of the dark outlines of a coloured picture; None where nothing is drawn in outlines."""
        label = lines.outline_label(self.work)
        if label is None:
            return None
        is_ink = label == tone.INK and self.has_strokes
        return self.strokes if is_ink else InkLines(self.work.segmentation.labels == label)

    def bridge(self, place, other_place, reach_mm: float) -> tuple[np.ndarray, PaintedLine] | None:
        """A bridge between the strokes at two places: its course, px, and as it is kept; None where there are none."""
        outlines, ink = self.outlines, lines.outline_label(self.work)
        if outlines is None or ink is None:
            return None
        made = outlines.bridged(
            np.asarray(place, float), np.asarray(other_place, float), reach_mm / self.work.mm_per_px
        )
        if made is None:
            return None
        hex_colour = self.work.segmentation.entries[ink].hex
        return made.points, lines.painted_line(
            self.work, np.clip(thinned(made.points) / self.size, 0.0, 1.0), made.width_px, hex_colour
        )

    def end_near(self, place, reach_mm: float) -> np.ndarray | None:
        """Where a bridge that is begun at a place would begin, px."""
        outlines = self.outlines
        if outlines is None:
            return None
        held = outlines.snapped(np.asarray(place, float), reach_mm / self.work.mm_per_px)
        return None if held is None else held.xy

    def painted(self, paints) -> tuple[PaintedLine, ...]:
        """Lines to paint as a recipe keeps them."""
        return tuple(
            lines.painted_line(
                self.work,
                np.clip(thinned(p.points) / self.size, 0.0, 1.0),
                p.width_px,
                lines.brush_hex(self.work, p.in_ink, None),
            )
            for p in paints
        )
