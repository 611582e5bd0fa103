"""A list of what was drawn, each with a switch; the chosen ones can be taken back."""

from dataclasses import replace

from PySide6.QtCore import QSize, Qt, Signal
from PySide6.QtGui import QIcon
from PySide6.QtWidgets import QListWidget, QListWidgetItem, QVBoxLayout, QWidget

from sketchloom.app.widgets import button

_NUMBER = Qt.ItemDataRole.UserRole
_ROW, _ROWS = 27, 4


class KeptList(QWidget):
    """Rows of one field of the recipe, the latest first. ``chosen_changed`` when others are chosen."""

    chosen_changed = Signal()

    def __init__(self, box, field: str, name: str, what: str):
        super().__init__()
        self._box, self._field, self._what = box, field, what
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.setSpacing(6)
        self.list = QListWidget()
        self.list.setAccessibleName(name)
        self.list.setIconSize(QSize(16, 16))
        self.list.setFixedHeight(_ROWS * _ROW + 6)
        self.list.setSelectionMode(QListWidget.SelectionMode.ExtendedSelection)
        self.list.itemChanged.connect(self._switch)
        self.list.itemSelectionChanged.connect(self._enable)
        self.back = button(self.tr("Take back"), "restore", self.tr("The chosen ones go"))
        self.back.clicked.connect(self._take_back)
        column.addWidget(self.list)
        column.addWidget(self.back)

    def show_rows(self, rows) -> None:
        """A pair of an icon or None and a text for each part of the field."""
        kept = set(self.chosen())
        parts = getattr(self._box.recipe, self._field)
        self.list.blockSignals(True)
        self.list.clear()
        for number in range(len(parts) - 1, -1, -1):
            icon, text = rows[number]
            item = QListWidgetItem(icon or QIcon(), text)
            item.setToolTip(text)
            item.setData(_NUMBER, number)
            item.setSizeHint(QSize(0, _ROW))
            item.setFlags(item.flags() | Qt.ItemFlag.ItemIsUserCheckable)
            item.setCheckState(Qt.CheckState.Checked if parts[number].on else Qt.CheckState.Unchecked)
            self.list.addItem(item)
            item.setSelected(number in kept)
        self.list.blockSignals(False)
        self.list.setFixedHeight(min(max(len(parts), 1), _ROWS) * _ROW + 6)
        self.setVisible(bool(parts))
        self._enable()

    def chosen(self) -> list[int]:
        """Numbers of the chosen parts, the latest first."""
        return sorted((item.data(_NUMBER) for item in self.list.selectedItems()), reverse=True)

    def choose(self, number: int) -> None:
        """Choose one part alone."""
        self.list.clearSelection()
        for row in range(self.list.count()):
            if self.list.item(row).data(_NUMBER) == number:
                self.list.item(row).setSelected(True)

    def _enable(self):
        self.back.setEnabled(bool(self.list.selectedItems()))
        self.chosen_changed.emit()

    def _parts(self):
        return getattr(self._box.recipe, self._field)

    def _switch(self, item):
        parts, number = list(self._parts()), item.data(_NUMBER)
        on = item.checkState() == Qt.CheckState.Checked
        if number < len(parts) and parts[number].on != on:
            parts[number] = replace(parts[number], on=on)
            self._box.emit(self.tr("{0} on or off").format(self._what), **{self._field: tuple(parts)})

    def _take_back(self):
        gone = set(self.chosen())
        self.list.clearSelection()
        self._box.emit(self.tr("{0} taken back").format(self._what),
                       **{self._field: tuple(part for n, part in enumerate(self._parts()) if n not in gone)})
