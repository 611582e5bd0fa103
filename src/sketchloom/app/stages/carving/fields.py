"""Controls for the settings of one thing, made from their descriptions."""

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QAbstractSpinBox, QComboBox, QDoubleSpinBox, QGridLayout, QSpinBox, QWidget

from sketchloom.app import theme
from sketchloom.app.parts.fields import LengthEdit
from sketchloom.app.parts.widgets import label
from sketchloom.app.words import told
from sketchloom.core.base import setting as settings


class Fields(QWidget):
    """A row for each of some settings of a data class. ``changed``: the name of one and its value."""

    changed = Signal(str, object)

    def __init__(self, kind: type):
        super().__init__()
        self._its = {one.name: one for one in settings.settings_of(kind)}
        self._grid = QGridLayout(self)
        self._grid.setContentsMargins(0, 0, 0, 0)
        self._grid.setColumnStretch(0, 1)
        self._grid.setVerticalSpacing(4)
        self.parts: dict[str, QWidget] = {}
        self._texts: dict[str, QWidget] = {}

    def add(self, name: str) -> None:
        """A control of its own kind for a setting."""
        self.put(name, self._made(self._its[name]))

    def put(self, name: str, part: QWidget, text: str = "") -> None:
        """A control that was made elsewhere."""
        its = self._its.get(name)
        words = label(text or told(its.label))
        if its is not None and its.about:
            words.setToolTip(told(its.about))
            part.setToolTip(told(its.about))
        part.setFixedWidth(theme.px(172))
        row = len(self.parts)
        self._grid.addWidget(words, row, 0)
        self._grid.addWidget(part, row, 1)
        self.parts[name], self._texts[name] = part, words

    def show_names(self, names) -> None:
        """Only these rows are seen."""
        for name, part in self.parts.items():
            part.setVisible(name in names)
            self._texts[name].setVisible(name in names)

    def show_values(self, one, unit: str) -> None:
        """What the settings of something are now."""
        for name, part in self.parts.items():
            value = getattr(one, name)
            part.blockSignals(True)
            if isinstance(part, LengthEdit):
                part.show_value(value, unit)
            elif isinstance(part, QComboBox):
                its = [part.itemData(n) for n in range(part.count())]  # the toolkit finds no objects that are equal
                part.setCurrentIndex(its.index(value) if value in its else 0)
            elif isinstance(part, QAbstractSpinBox) and not part.hasFocus():
                part.setValue(value)
            part.blockSignals(False)

    def _made(self, its):
        name, words = its.name, told(its.label)
        if its.kind == settings.LENGTH:
            made = LengthEdit(words, its.least, its.most)
            made.committed.connect(lambda mm: self.changed.emit(name, mm))
            return made
        if its.kind == settings.CHOICE:
            made = QComboBox()
            for value, text in zip(its.choices, its.names, strict=True):
                made.addItem(told(text), value)
            made.activated.connect(lambda _: self.changed.emit(name, made.currentData()))
        else:
            made = QSpinBox() if its.kind == settings.WHOLE else QDoubleSpinBox()
            made.setRange(int(its.least) if its.kind == settings.WHOLE else its.least,
                          int(its.most) if its.kind == settings.WHOLE else its.most)
            made.setKeyboardTracking(False)
            made.setMinimumHeight(theme.px(28))
            made.valueChanged.connect(lambda value: self.changed.emit(name, value))
        made.setAccessibleName(words)
        return made
