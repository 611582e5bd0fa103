"""Fields that a value is typed or dragged in."""

from PySide6.QtCore import Qt, Signal
from PySide6.QtWidgets import (
    QGridLayout,
    QLineEdit,
    QSlider,
    QWidget,
)

from sketchloom.app import theme
from sketchloom.app.parts.beside import hush_beside, say_beside
from sketchloom.app.parts.widgets import button, label
from sketchloom.app.words import told
from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.units import MM_PER_IN, format_length, parse_length_mm


def _digits(mm, unit):
    """Digits after the point: one for mm and two for inches, of less than 1 mm as many as it has, up to two more."""
    least = 1 if unit == "mm" else 2
    value = mm if unit == "mm" else mm / MM_PER_IN
    if not 0 < mm < 1:
        return least
    return next((n for n in (least, least + 1) if abs(round(value, n) - value) < 1e-6), least + 2)


class LengthEdit(QLineEdit):
    """A length with its unit; takes mm, cm or in whatever unit it shows."""

    committed = Signal(float)

    def __init__(self, name: str, low_mm: float, high_mm: float, least_if_any_mm: float = 0.0):
        super().__init__()
        self.setAccessibleName(name)
        self._low, self._high, self._least_if_any = low_mm, high_mm, least_if_any_mm
        self._mm, self._unit = low_mm, "mm"
        self.editingFinished.connect(self._commit)
        self.textEdited.connect(lambda: self.property("wrong") == "true" and self._mark(False))

    def show_value(self, mm: float, unit: str) -> None:
        self._mm, self._unit = mm, unit
        if not self.hasFocus() or not self.isModified():
            self.setText(format_length(mm, unit, _digits(mm, unit)))
            if self.property("wrong") == "true":
                self._mark(False)

    def _commit(self):
        if not self.isModified():
            return
        try:
            text = self.text().strip().replace("\u2212", "-")
            below = self._low < 0 and text.startswith("-")
            mm = parse_length_mm(text[1:] if below else text, self._unit, or_zero=self._low <= 0)
            mm = -mm if below else mm
        except SettingError as error:
            self._mark(True, told(error.message))
            return
        if not self._low <= mm <= self._high:
            self._mark(True, self.tr("Between {0} and {1}.").format(
                format_length(self._low, self._unit), format_length(self._high, self._unit)))
            return
        if 0 < mm < self._least_if_any:
            self._mark(True, self.tr("0 for none, or between {0} and {1}.").format(
                format_length(self._least_if_any, self._unit), format_length(self._high, self._unit)))
            return
        self.setModified(False)
        self._mark(False)
        self.committed.emit(mm)

    def keyPressEvent(self, event):
        if event.key() == Qt.Key.Key_Escape and self.isModified():
            self._restore()
        else:
            super().keyPressEvent(event)

    def focusOutEvent(self, event):
        super().focusOutEvent(event)  # takes what was typed, or says why not
        if self.isModified() and event.reason() != Qt.FocusReason.PopupFocusReason:
            self._restore(keep_reason=True)

    def _restore(self, keep_reason=False):
        """Back to the length that holds; the reason why what was typed does not stays to be read."""
        self.setModified(False)
        self.setText(format_length(self._mm, self._unit, 1 if self._unit == "mm" else 2))
        self.setProperty("wrong", "false")
        if not keep_reason:
            hush_beside(self)
        self.setAccessibleDescription("")
        _look_anew(self)

    def _mark(self, wrong, why=""):
        self.setProperty("wrong", "true" if wrong else "false")
        if why:
            say_beside(self, why)
        else:
            hush_beside(self)
        self.setAccessibleDescription(why)
        _look_anew(self)


def _look_anew(part):
    part.style().unpolish(part)
    part.style().polish(part)


class NamedSlider(QWidget):
    """A slider with its name, its value in words, and a way back to the program's choice."""

    moved = Signal(int)
    auto = Signal()

    def __init__(self, name: str, low: int, high: int, auto_text: str = "", in_a_row: bool = False):
        """``in_a_row``: beside its name, where many stand below each other."""
        super().__init__()
        grid = QGridLayout(self)
        grid.setContentsMargins(0, 0, 0, 0)
        grid.setVerticalSpacing(4)
        self.value_label = label("", "")
        self.value_label.setAlignment(Qt.AlignmentFlag.AlignRight | Qt.AlignmentFlag.AlignVCenter)
        self.slider = QSlider(Qt.Orientation.Horizontal)
        self.slider.setRange(low, high)
        self.slider.setPageStep(max(1, (high - low) // 12))
        self.slider.setAccessibleName(name)
        self.slider.setMinimumHeight(theme.px(26))
        self.slider.valueChanged.connect(self.moved)
        grid.addWidget(label(name), 0, 0)
        if in_a_row:
            grid.addWidget(self.slider, 0, 1)
            grid.addWidget(self.value_label, 0, 2)
            self.value_label.setFixedWidth(theme.px(44))
            self.slider.setFixedWidth(theme.px(110))
        else:
            grid.addWidget(self.value_label, 0, 1, 1, 1 if auto_text else 2)
            grid.addWidget(self.slider, 1, 0, 1, 3)
        grid.setColumnStretch(0, 1)
        if auto_text:
            self.auto_button = button(self.tr("Auto"), tip=auto_text, checkable=True)
            self.auto_button.setAccessibleName(auto_text)
            self.auto_button.clicked.connect(lambda: self.auto.emit())
            grid.addWidget(self.auto_button, 0, 2)

    def put_beside_name(self, part: QWidget) -> None:
        """A field in the place of the value in words."""
        self.value_label.hide()
        part.setFixedWidth(theme.px(104))
        self.layout().addWidget(part, 0, 1, 1, 2, Qt.AlignmentFlag.AlignRight)

    def show_value(self, value: int, text: str, is_auto: bool | None = None) -> None:
        self.slider.blockSignals(True)
        if not self.slider.isSliderDown():
            self.slider.setValue(value)
        self.slider.blockSignals(False)
        self.value_label.setText(text)
        if is_auto is not None:
            self.auto_button.setChecked(is_auto)
