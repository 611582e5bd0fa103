"""Loose pieces of a stencil, and bridges that hold them."""

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QSpinBox

from sketchloom.app.parts.fields import LengthEdit
from sketchloom.app.parts.widgets import button, counted, label
from sketchloom.app.stages.box import Box


class StencilBox(Box):
    """Number and width of bridges for each loose piece."""

    hold_wanted = Signal(int, float)
    look_wanted = Signal()
    move_wanted = Signal(bool)

    def __init__(self):
        super().__init__()
        self.width_mm = 1.5
        self._count = QSpinBox()
        self._count.setRange(1, 8)
        self._count.setValue(2)
        self._count.setAccessibleName(self.tr("Bridges for each loose piece"))
        self._width = LengthEdit(self.tr("Width of the bridges"), 0.1, 50.0)
        self._width.committed.connect(lambda mm: setattr(self, "width_mm", mm))
        self._look = button(
            self.tr("Show loose pieces"), "target", self.tr("What falls out when all that is cut is cut away")
        )
        self._look.clicked.connect(self.look_wanted)
        self._hold = button(
            self.tr("Hold them"),
            "circle-check",
            self.tr("Bridges where the way across is shortest, evenly around each piece"),
        )
        self._hold.clicked.connect(lambda: self.hold_wanted.emit(self._count.value(), self.width_mm))
        self.move_ends = button(
            self.tr("Move bridges on the bench"),
            "target",
            self.tr("Drag the end of a bridge, or all of it by its middle"),
            checkable=True,
        )
        self.move_ends.clicked.connect(self.move_wanted)
        self._said = label(
            self.tr(
                "In a stencil the drawing is cut away and the sheet stays; what the sheet does not hold falls out."
            ),
            "quiet",
        )
        self.add(
            self._said,
            (label(self.tr("Bridges a piece")), self._count, label(self.tr("Width")), self._width),
            (self._look, self._hold),
            self.move_ends,
        )

    def show_loose(self, bridges, added: bool) -> None:
        if bridges.loose == 0:
            text = self.tr("Nothing falls out.")
        elif added:
            text = self.tr("{0}, held by {1} bridges. They are lines under “Gaps and ink”.").format(
                self._pieces(bridges.loose), len(bridges.start)
            )
        else:
            text = self.tr("{0} would fall out.").format(self._pieces(bridges.loose))
        self._said.setText(text)

    def _pieces(self, count):
        return counted(count, self.tr("1 loose piece"), self.tr("{0} loose pieces"))

    def show_work(self, work) -> None:
        super().show_work(work)
        self._width.show_value(self.width_mm, work.recipe.unit)
        self.move_ends.setVisible(any(len(line.points) == 2 for line in work.recipe.lines))
