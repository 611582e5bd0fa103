"""Gaps in outlines with the bridges offered, and ink added and taken away with a brush."""

from PySide6.QtCore import Signal

from sketchloom.app.parts.fields import LengthEdit
from sketchloom.app.parts.widgets import button, counted, label
from sketchloom.app.stages.box import Box
from sketchloom.app.stages.cleaning.kept_list import KeptList, drawn_icon
from sketchloom.app.words import colour_word
from sketchloom.core.base.units import format_length
from sketchloom.desk import lines


class LinesBox(Box):
    """Bridges over gaps, and lines painted by hand. ``brush_wanted`` carries whether ink is added."""

    brush_wanted = Signal(bool)
    gaps_wanted = Signal(bool)
    own_wanted = Signal(bool)

    def __init__(self):
        super().__init__()
        self._said = label("", "quiet")
        self._choose = button(
            self.tr("Choose bridges on the bench"),
            "target",
            self.tr("Each gap is marked; a click closes it"),
            checkable=True,
        )
        self._choose.clicked.connect(self.gaps_wanted)
        self._all = button(self.tr("Close all"), "circle-check", self.tr("A bridge over every gap that was found"))
        self._all.clicked.connect(self._close_all)
        self.own = button(
            self.tr("Draw a bridge…"),
            "vector",
            self.tr("From one stroke to another: it begins and ends at their ends, in their width and curve"),
            checkable=True,
        )
        self.own.clicked.connect(self.own_wanted)
        self._add = button(
            self.tr("Add ink…"), "brush", self.tr("Paint a line: a bridge of your own, a missing piece of outline")
        )
        self._less = button(self.tr("Take ink away…"), "eraser", self.tr("Paint in the colour of the paper"))
        self._add.clicked.connect(lambda: self.brush_wanted.emit(True))
        self._less.clicked.connect(lambda: self.brush_wanted.emit(False))
        self._width = LengthEdit(self.tr("Width of the brush"), 0.05, 100.0)
        self._width.committed.connect(self._set_width)
        self.width_mm = 1.0
        self.kept = KeptList(
            self, "lines", self.tr("Bridges and painted lines, the latest first"), self.tr("painted line")
        )
        self.add(
            self._said,
            (self._choose, self._all),
            self.own,
            (self._add, self._less),
            (label(self.tr("Brush")), self._width),
            self.kept,
        )
        self.gaps = self._gaps_of = None

    def show_gaps(self, work, gaps) -> None:
        """The gaps are looked for beside the trace and come a moment later."""
        self.gaps, self._gaps_of = gaps, work.segmentation.regions
        count = len(gaps)
        unit, scale = work.recipe.unit, work.mm_per_px
        if lines.outline_label(work) is None:
            text = self.tr("Nothing here is drawn in dark outlines, so no gaps are looked for.")
        elif count == 0:
            text = self.tr("No gap in an outline was found.")
        else:
            least, most = (format_length(float(v) * scale, unit, 2) for v in (gaps.gap_px.min(), gaps.gap_px.max()))
            text = self.tr("1 gap in an outline, {0} wide.").format(least) if count == 1 else self.tr(
                "{0} gaps in outlines, {1} to {2} wide.").format(count, least, most)
            leaks = int(gaps.leaks.sum())
            if leaks:
                text += " " + counted(leaks, self.tr("Through one of them the outside runs in.") if count > 1 else
                                      self.tr("Through it the outside runs in."),
                                      self.tr("Through {0} of them the outside runs in."))
        self._said.setText(text)
        for part in (self._choose, self._all):
            part.setEnabled(count > 0)

    def show_choosing(self, on: bool) -> None:
        self._choose.setChecked(on)

    def show_work(self, work) -> None:
        super().show_work(work)
        if self._gaps_of is not work.segmentation.regions:
            self.gaps = self._gaps_of = None
            self._said.setText(self.tr("Looking for gaps in outlines…"))
            for part in (self._choose, self._all):
                part.setEnabled(False)
        self.own.setEnabled(lines.outline_label(work) is not None)
        self._width.show_value(self.width_mm, work.recipe.unit)
        widths_mm = lines.line_widths_mm(work, work.recipe.lines)
        self.kept.show_rows(lambda n, line: (
            lambda: drawn_icon([line.points], line.hex), self.tr("{0} line, {1} wide").format(
                colour_word(line.hex), format_length(widths_mm[n], work.recipe.unit, 2))))

    def _set_width(self, mm):
        self.width_mm = mm
        self._width.show_value(mm, self.recipe.unit)

    def _close_all(self):
        self.bridge(range(len(self.gaps)))

    def bridge(self, numbers) -> None:
        """Close gaps by their numbers."""
        gaps, work = self.gaps, self.work
        made = tuple(lines.bridge(work, gaps.start[n], gaps.end[n], float(gaps.width_px[n])) for n in numbers)
        if made:
            self.emit(self.tr("bridge"), lines=(*self.recipe.lines, *made))

    def paint(self, points, hex_colour: str) -> None:
        """A line was painted on the bench, its points in shares of the prepared picture."""
        made = lines.painted_line(self.work, points, self.width_mm / self.work.mm_per_px, hex_colour)
        self.emit(self.tr("painted line"), lines=(*self.recipe.lines, made))
