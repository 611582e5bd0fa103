"""What is chosen on the sheet, and what can be done with it."""

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QComboBox, QVBoxLayout, QWidget

from sketchloom.app.parts.widgets import Figures, button, label, rows_of
from sketchloom.app.stages.planning.seam_box import SeamBox
from sketchloom.core.base.units import format_length


class PartBox(QWidget):
    """The chosen part: its figures; turned, sent to another sheet, or placed by the program again."""

    turn_wanted = Signal()
    free_wanted = Signal()
    all_wanted = Signal()
    send_wanted = Signal(int)

    def __init__(self):
        super().__init__()
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        self._name = label("", "")
        self._figures = Figures()
        self._turn = button(self.tr("Turn by 90°"), "rotate-clockwise", self.tr("On the spot (T)"))
        self._turn.clicked.connect(self.turn_wanted)
        self._free = button(self.tr("Let it be placed"), "restore", self.tr("Where the program finds best (Delete)"))
        self._free.clicked.connect(self.free_wanted)
        self._sheets = QComboBox()
        self._sheets.setAccessibleName(self.tr("Sheet it lies on"))
        self._sheets.activated.connect(lambda n: self.send_wanted.emit(self._sheets.itemData(n)))
        self._all = button(self.tr("Let all be placed"), "restore", self.tr("Nothing stays where it was put by hand"))
        self._all.clicked.connect(self.all_wanted)
        self._chosen = QWidget()
        inner = QVBoxLayout(self._chosen)
        inner.setContentsMargins(0, 0, 0, 0)
        self.seam = SeamBox()
        for part in (self._figures, self._sheets, rows_of(self._turn, self._free), self.seam):
            inner.addWidget(part)
        for part in (self._name, self._chosen, self._all):
            column.addWidget(part)

    def show_part(self, plan, number: int, n: int, unit: str, any_by_hand: bool, several: int = 1) -> None:
        """The part ``n`` of a sheet of a plan, -1 for none; the last one where ``several`` are chosen."""
        self._all.setVisible(any_by_hand)
        parts = plan.sheets[number].placed if plan is not None else ()
        placed = parts[n] if 0 <= n < len(parts) else None
        self._chosen.setVisible(placed is not None)
        if placed is None:
            self._name.setText(self.tr("Click a part on the sheet to choose it."))
            return
        name = placed.part.name if not placed.ready.test else self.tr("Test cut")
        self._name.setText(name if several < 2 else
                           self.tr("{0} parts are chosen, the last: {1}").format(several, name))
        left, top, right, bottom = placed.box
        self._figures.show_values((
            (self.tr("Size"), " × ".join(format_length(v, unit) for v in (right - left, bottom - top))),
            (self.tr("From left and top"), ", ".join(format_length(v, unit) for v in (left, top))),
            (self.tr("Turned"), self.tr("{0}°").format(round(placed.turn, 1))),
            (self.tr("Put here"), self.tr("by hand") if placed.by_hand else self.tr("by the program")),
        ))
        for part in (self._turn, self._free, self._sheets):
            part.setEnabled(not placed.ready.test)
        self._free.setEnabled(placed.by_hand)
        self._sheets.clear()
        group = plan.sheets[number].group
        for k, sheet in enumerate(plan.sheets):
            if sheet.group is group or sheet.group.key == group.key:
                self._sheets.addItem(self.tr("on sheet {0}").format(k + 1), k)
        self._sheets.addItem(self.tr("on another sheet"), -1)
        self._sheets.setCurrentIndex(self._sheets.findData(number))
