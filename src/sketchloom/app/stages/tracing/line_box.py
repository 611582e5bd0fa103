"""Settings of the line reading."""

from PySide6.QtCore import Signal

from sketchloom.app.parts.fields import LengthEdit, NamedSlider
from sketchloom.app.parts.widgets import Choice, button, counted, label
from sketchloom.app.stages.box import Box
from sketchloom.app.words import told
from sketchloom.core.base.units import format_length
from sketchloom.desk import figures
from sketchloom.recipe.document import SETTINGS
from sketchloom.recipe.sections import MAX_DETAIL_MM, MAX_PENS

_FIRST_WIDTH_MM = 1.5


class LineBox(Box):
    """Pen lines or shapes of a width, and which strokes stay."""

    remove_wanted = Signal()

    def __init__(self):
        super().__init__()
        self._said = label("", "quiet")
        self._kind = Choice((
            ("pen", self.tr("Pen lines"), self.tr("The middle of each stroke, open, for a pen")),
            ("shape", self.tr("Shapes to cut"), self.tr("Each stroke as a shape of one width")),
        ), self.tr("What strokes become"))
        self._kind.chosen.connect(
            lambda k: self.emit(self.tr("what strokes become"), pen_mm=_FIRST_WIDTH_MM if k == "shape" else None)
        )
        self._pens = NamedSlider(told(SETTINGS["pens"].label), 1, MAX_PENS)
        self._pens.setToolTip(
            self.tr(
                "Strokes are given to the pen whose width is nearest theirs. Point at a stroke on the bench for its "
                "width."
            )
        )
        self._pens.moved.connect(lambda n: self.emit(self.tr("pens"), "pens", pens=n))
        self._width = LengthEdit(self.tr("Width of the strokes"), 0.05, MAX_DETAIL_MM)
        self._width.committed.connect(lambda mm: self.emit(self.tr("width of the strokes"), pen_mm=mm))
        self._width_row = label(self.tr("Width"))
        self._remove = button(
            self.tr("Remove strokes…"), "eraser", self.tr("Click strokes on the bench to take them out")
        )
        self._remove.clicked.connect(self.remove_wanted)
        self._back = button("", "restore", self.tr("Bring all removed strokes back"))
        self._back.clicked.connect(lambda: self.emit(self.tr("removed strokes"), strokes_removed=()))
        self.add(self._said, self._kind, self._pens, (self._width_row, self._width), self.control("spur_mm"),
                 (self._remove, self._back))

    def show_work(self, work) -> None:
        super().show_work(work)
        recipe, strokes = work.recipe, work.segmentation.strokes
        if strokes is None:
            return
        known = figures.strokes_mm(work)
        widths = sorted(width for width, _ in known) or [0.0]
        self._said.setText(self.tr("{0}, {1} to {2} wide, mostly {3}; {4} in all.").format(
            counted(len(known), self.tr("1 stroke"), self.tr("{0} strokes")), format_length(widths[0], recipe.unit, 2),
            format_length(widths[-1], recipe.unit, 2), format_length(widths[len(widths) // 2], recipe.unit, 2),
            format_length(sum(length for _, length in known), recipe.unit, 0)))
        drawn = [
            format_length(x.outline.pen_px * work.mm_per_px, recipe.unit, 2)
            for x in work.layers
            if x.outline.pen_px is not None
        ]
        drawn = [*(text.split()[0] for text in drawn[:-1]), *drawn[-1:]]  # the unit once
        self._pens.setVisible(recipe.pen_mm is None)
        self._pens.show_value(recipe.pens, " · ".join(drawn) or str(recipe.pens))
        self._kind.show_value("pen" if recipe.pen_mm is None else "shape")
        for part in (self._width, self._width_row):
            part.setVisible(recipe.pen_mm is not None)
        if recipe.pen_mm is not None:
            self._width.show_value(recipe.pen_mm, recipe.unit)
        self._back.setVisible(bool(recipe.strokes_removed))
        self._back.setText(counted(len(recipe.strokes_removed), self.tr("Bring 1 back"), self.tr("Bring {0} back")))

    def remove_at(self, place) -> None:
        """A place in shares of the picture's sides: the stroke there goes."""
        self.emit(
            self.tr("removed stroke"), strokes_removed=(*self.recipe.strokes_removed, *self.work.as_came((place,)))
        )
