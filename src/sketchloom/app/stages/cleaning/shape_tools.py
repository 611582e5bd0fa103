"""What can be done to shapes that were laid on."""

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QGridLayout, QMenu, QSpinBox, QWidget

from sketchloom.app.parts.widgets import button, label
from sketchloom.core.shapes.drawn import COMMON, CUT, JOIN

COPY, ALONG, THICKER, THINNER, HIGHER, LOWER = "copy", "along", "thicker", "thinner", "higher", "lower"
MOST_COPIES = 72


class ShapeTools(QWidget):
    """Buttons for the chosen ones."""

    move_wanted = Signal(bool)
    around_wanted = Signal()
    combine_wanted = Signal(str)
    turn_over_wanted = Signal()
    align_wanted = Signal(str)
    change_wanted = Signal(str)
    numbers_wanted = Signal(float, float)

    def __init__(self):
        super().__init__()
        self.move_one = button(
            self.tr("Move and turn"),
            "target",
            self.tr("Drag the chosen shape; its corners make it larger, the round handle turns it"),
            checkable=True,
        )
        self.move_one.clicked.connect(self.move_wanted)
        self._build_more()
        self.copies = QSpinBox()
        self.copies.setRange(2, MOST_COPIES)
        self.copies.setValue(6)
        self.copies.setAccessibleName(self.tr("How many around a place or along a line"))
        row = QGridLayout(self)
        row.setContentsMargins(0, 0, 0, 0)
        row.setSpacing(6)
        row.addWidget(self.move_one, 0, 0)
        row.addWidget(self.more, 0, 1)
        row.addWidget(label(self.tr("Copies"), "quiet"), 1, 0)
        row.addWidget(self.copies, 1, 1)
        around = button(self.tr("Around a place…"), "", self.tr("Repeats the chosen shape around the place clicked"))
        around.clicked.connect(self.around_wanted)
        along = button(self.tr("Along a line…"), "", self.tr("Repeats the chosen shape along the line drawn"))
        along.clicked.connect(lambda: self.change_wanted.emit(ALONG))
        row.addWidget(around, 2, 0)
        row.addWidget(along, 2, 1)
        self._repeats = (around, along, self.copies)
        self.percent, self.turn = QSpinBox(), QSpinBox()
        for field, least, most, start, unit, name in (
            (self.percent, 1, 2000, 100, " %", self.tr("Size of the chosen, per cent of what it is")),
            (self.turn, -360, 360, 0, "°", self.tr("Turn of the chosen, degrees clockwise")),
        ):
            field.setRange(least, most)
            field.setValue(start)
            field.setSuffix(unit)
            field.setAccessibleName(name)
        self._by_number = button(self.tr("Scale and turn"), "", self.tr("All that are chosen, about their middle"))
        self._by_number.clicked.connect(
            lambda: self.numbers_wanted.emit(self.percent.value() / 100, float(self.turn.value())))
        row.addWidget(self.percent, 3, 0)
        row.addWidget(self.turn, 3, 1)
        row.addWidget(self._by_number, 4, 0, 1, 2)

    def _build_more(self):
        self.more = button(self.tr("More"))
        menu = QMenu(self.more)
        self._one = [menu.addAction(self.tr("Turn over"), self.turn_over_wanted.emit)]
        menu.addSeparator()
        self._any = [menu.addAction(text, lambda w=what: self.change_wanted.emit(w)) for what, text in (
            (COPY, self.tr("Copy")), (THICKER, self.tr("Thicker")), (THINNER, self.tr("Thinner")),
            (HIGHER, self.tr("Lay higher")), (LOWER, self.tr("Lay lower")))]
        menu.addSeparator()
        self._many = [
            menu.addAction(text, lambda w=way: self.combine_wanted.emit(w))
            for way, text in (
                (JOIN, self.tr("Join the chosen")),
                (CUT, self.tr("Cut the later out of the first")),
                (COMMON, self.tr("Keep what they have in common")),
            )
        ]
        self._many += [menu.addAction(text, lambda w=way: self.align_wanted.emit(w)) for way, text in (
            ("upright", self.tr("Middles on an upright line")), ("level", self.tr("Middles on a level line")))]
        self.more.setMenu(menu)

    def let(self, count: int) -> None:
        """What can be done to so many."""
        self.move_one.setEnabled(count == 1)
        self.more.setEnabled(count >= 1)
        for part in (*self._one, *self._repeats):
            part.setEnabled(count == 1)
        self._by_number.setEnabled(count >= 1)
        for action in self._many:
            action.setEnabled(count >= 2)
