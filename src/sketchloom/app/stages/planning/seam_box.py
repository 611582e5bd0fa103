"""The seam of a divided layer, moved by hand: what both parts are then is said while it moves."""

from PySide6.QtCore import QTimer, Signal
from PySide6.QtWidgets import QVBoxLayout, QWidget

from sketchloom.app.parts.fields import NamedSlider
from sketchloom.app.parts.widgets import button, label
from sketchloom.core.base.units import format_length

_REACH, _REST_MS = 60, 250


class SeamBox(QWidget):
    """``moved``: number of the seam and by how much, mm, once the hand rests; ``back``: the best one again."""

    moved = Signal(int, float)
    back = Signal()

    def __init__(self):
        super().__init__()
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        self.slider = NamedSlider(self.tr("Move the seam"), -_REACH, _REACH)
        self.slider.moved.connect(self._try)
        self._said = label("", "quiet")
        self._back = button(self.tr("The best seam again"), "restore", self.tr("Where it is seen least"))
        self._back.clicked.connect(self.back)
        for part in (self.slider, self._said, self._back):
            column.addWidget(part)
        self._desk, self._number, self._unit = None, 0, "mm"
        self._rest = QTimer(self, singleShot=True, interval=_REST_MS)
        self._rest.timeout.connect(self._take)

    def show_seams(self, desk, numbers: tuple[int, ...], unit: str) -> None:
        """The seams of a layer, the ``numbers`` of those along the chosen part; None where nothing is divided."""
        self.setVisible(desk is not None)
        self._desk, self._unit = desk, unit
        if desk is not None:
            self._number = self._number if self._number in numbers else numbers[0]
            self.slider.show_value(0, format_length(0.0, unit))
            self._back.setEnabled(desk.is_by_hand)
            self._say(0.0)

    def hold(self, number: int, by: float) -> None:
        """A seam is held on the sheet, moved by so much."""
        self._number = number
        self._say(by)

    def can_take(self, number: int, by: float) -> bool:
        """Whether all parts would fit a carrier with a seam moved so."""
        made = None if self._desk is None else self._desk.moved(number, by)
        return made is not None and made.fits

    @property
    def said(self) -> str:
        return self._said.text()

    def _try(self, by):
        self._say(float(by))
        self._rest.start()

    def _say(self, by):
        self.slider.show_value(round(by), format_length(by, self._unit))
        made = self._desk.moved(self._number, by)
        if made is None:
            self._said.setText(self.tr("It parts nothing there."))
            return
        sizes = self.tr(" and ").join(" × ".join(format_length(v, self._unit) for v in size) for size in made.sizes)
        text = self.tr("{0}; {1} of the seam are seen, {2} where it is now").format(
            sizes, format_length(made.seen, self._unit), format_length(self._desk.seen(self._number), self._unit))
        self._said.setText(text if made.fits else text + ". " + self.tr("One of them fits no carrier."))

    def _take(self):
        by = float(self.slider.slider.value())
        if by and self.can_take(self._number, by):
            self.moved.emit(self._number, by)
