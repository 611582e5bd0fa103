"""The dialect of machine code that a work is written in."""

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QComboBox, QHBoxLayout, QWidget

from sketchloom.app.parts.widgets import button, label
from sketchloom.app.words import named
from sketchloom.files import user_data


class DialectBox(QWidget):
    """``chosen``: the key of a dialect, empty for the machine's own."""

    chosen = Signal(str)

    def __init__(self):
        super().__init__()
        self.choice = QComboBox()
        self.choice.setAccessibleName(self.tr("Dialect of machine code"))
        self.choice.setToolTip(self.tr("The words of G-code that the machine knows; its manual tells them"))
        self.choice.setMinimumContentsLength(10)
        self.choice.setSizeAdjustPolicy(QComboBox.SizeAdjustPolicy.AdjustToMinimumContentsLengthWithIcon)
        self.choice.activated.connect(lambda n: self.chosen.emit(self.choice.itemData(n)))
        self.table_button = button(self.tr("Table…"), tip=self.tr("Dialects, to be changed or added to"))
        self.table_button.clicked.connect(self._open)
        row = QHBoxLayout(self)
        row.setContentsMargins(0, 0, 0, 0)
        row.setSpacing(6)
        row.addWidget(label(self.tr("Machine code")))
        row.addWidget(self.choice, 1)
        row.addWidget(self.table_button)
        self.table = None
        self._key = ""
        self._fill()

    def show_recipe(self, recipe) -> None:
        """Bring it up to date."""
        self._key = recipe.dialect
        self._show()

    def _fill(self):
        self.choice.clear()
        self.choice.addItem(self.tr("The machine's own"), "")
        for one in user_data.dialects():
            self.choice.addItem(named(one.name), one.key)
        self._show()

    def _show(self):
        place = self.choice.findData(self._key)
        if place < 0:  # a work from elsewhere names one that is not here
            self.choice.addItem(self._key, self._key)
            place = self.choice.count() - 1
        self.choice.setCurrentIndex(place)

    def _open(self):
        from sketchloom.app.parts.dialects_table import DialectsTable

        if self.table is None:
            self.table = DialectsTable(self.window())
            self.table.kept.connect(self._fill)
        self.table.show()
        self.table.raise_()
