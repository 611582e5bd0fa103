"""Says what lies under the pointer: the region with its layer, or the pen line."""

from PySide6.QtCore import QObject

from sketchloom.app.work.paths import SheetPath
from sketchloom.core.base.units import format_length
from sketchloom.core.curves.outline import face_outline
from sketchloom.desk import figures


class Pointed(QObject):
    """``text`` about what is under the pointer and ``path`` of its outline, None where there is nothing to show."""

    def __init__(self, bench):
        super().__init__(bench)
        self._bench = bench
        self._found = -1
        self.path: SheetPath | None = None
        self.text = ""

    def forget(self) -> None:
        """Nothing is under the pointer until it is looked for again."""
        self._found, self.path, self.text = -1, None, ""

    def look(self, shown, place_mm, unit: str, near_mm: float) -> None:
        """Find what is at a place of what is shown, None for nowhere; a pen line from ``near_mm`` away."""
        found, text = -1, ""
        if place_mm is not None and shown is not None and shown.index is not None:
            work = shown.work
            x, y = place_mm[0] / work.mm_per_px, place_mm[1] / work.mm_per_px
            find = self._stroke if work.draws_with_pens else self._region
            found, text = find(shown, x, y, unit, near_mm / work.mm_per_px)
        if found != self._found:
            self._found = found
            self.path = None if found < 0 else self._outline(shown.work, found)
        if text != self.text:
            self.text = text
            self._bench.setAccessibleDescription(text)

    def _outline(self, work, found):
        if work.draws_with_pens:
            return SheetPath(figures.stroke_outline(work, found), work.mm_per_px)
        if work.ground[found]:
            return None
        return SheetPath(face_outline(work.traced.planar, work.traced.curves, found), work.mm_per_px)

    def _stroke(self, shown, x, y, unit, near_px):
        work = shown.work
        found = figures.stroke_at(work, x, y, near_px)
        if found < 0:
            return found, ""
        line = figures.stroke_outline(work, found)
        return found, self.tr("stroke · {0} wide · {1} long").format(
            format_length(line.pen_px * work.mm_per_px, unit, 2),
            format_length(line.length_px() * work.mm_per_px, unit))

    def _region(self, shown, x, y, unit, _):
        work, region = shown.work, shown.index.at(x, y)
        if region is None:
            return -1, ""
        if work.ground[region.face]:
            return region.face, self.tr("ground, not cut")
        size = " × ".join(format_length(v * work.mm_per_px, unit) for v in (region.width_px, region.height_px))
        depth = int(work.depth[region.face])
        plan = next((p for p in work.plans if region.label in p.labels), None)
        if plan is None or depth < 0:
            return region.face, self.tr("region left out · {0}").format(size)
        return region.face, self.tr("region · {0} · layer {1} {2} · {3}").format(plan.hex, depth + 1, plan.name, size)
