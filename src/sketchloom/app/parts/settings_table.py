"""A table of things that are made from the descriptions of their settings, to be changed and kept."""

from collections.abc import Callable
from dataclasses import dataclass, replace
from typing import Any

from PySide6.QtCore import Qt, Signal
from PySide6.QtWidgets import (
    QAbstractItemView,
    QComboBox,
    QDialog,
    QHBoxLayout,
    QHeaderView,
    QTableWidget,
    QTableWidgetItem,
    QVBoxLayout,
)

from sketchloom.app import theme
from sketchloom.app.parts.widgets import button, label
from sketchloom.app.words import named, told
from sketchloom.core.base import setting as settings
from sketchloom.core.base.errors import AppError
from sketchloom.core.base.units import MM_PER_IN, parse_length_mm

_NAME_PX = 190
_DIGITS = 4


@dataclass(frozen=True, slots=True)
class TableOf:
    """What a table holds: things of a ``kind`` (a data class with ``key`` and ``name``), the ``names`` of the settings
    that are its columns, those that are ``shipped``, those the user has ``now``, how they are ``kept``, what the window
    is called and what it says, and what one of them is called."""

    kind: type
    names: tuple[str, ...]
    shipped: tuple
    now: tuple
    keep: Callable[[tuple], None]
    title: str
    about: str
    add: str


class SettingsTable(QDialog):
    """Rows that are kept when *Keep* is clicked. ``kept`` when the table changed."""

    kept = Signal()

    def __init__(self, of: TableOf, unit: str, parent=None):
        super().__init__(parent)
        self._of, self._unit = of, unit
        its = {one.name: one for one in settings.settings_of(of.kind)}
        self._settings = [its[name] for name in of.names]
        self._rows: list[Any] = []
        self.setWindowTitle(of.title)
        self.resize(1180, 600)
        column = QVBoxLayout(self)
        column.addWidget(label(of.about, "quiet"))
        self.table = QTableWidget(0, len(self._settings))
        self.table.setAccessibleName(of.title)
        self.table.setHorizontalHeaderLabels([told(one.label) for one in self._settings])
        for n, one in enumerate(self._settings):
            if one.about:
                self.table.horizontalHeaderItem(n).setToolTip(told(one.about))
        self.table.verticalHeader().hide()
        self.table.setSelectionBehavior(QAbstractItemView.SelectionBehavior.SelectRows)
        self.table.setSelectionMode(QAbstractItemView.SelectionMode.SingleSelection)
        self.table.setTabKeyNavigation(False)
        self.table.horizontalHeader().setSectionResizeMode(QHeaderView.ResizeMode.Interactive)
        column.addWidget(self.table, 1)
        self._said = label("", "trouble")
        self._said.hide()
        column.addWidget(self._said)
        column.addLayout(self._buttons())
        self._fill(of.now)

    def _buttons(self):
        row = QHBoxLayout()
        for text, icon, tip, act in (
            (self._of.add, "plus", self.tr("A copy of the chosen one, or of the first"), self.add_row),
            (self.tr("Take it out"), "trash", self.tr("The chosen row"), self.take_out),
            (self.tr("As shipped"), "restore", self.tr("The plain kinds that come with the program"),
             lambda: self._fill(self._of.shipped)),
        ):
            one = button(text, icon, tip)
            one.clicked.connect(lambda _=False, do=act: do())
            row.addWidget(one)
        row.addStretch(1)
        close = button(self.tr("Close"), "x", self.tr("Changes that were not kept are left"))
        close.clicked.connect(self.close)
        row.addWidget(close)
        self.keep = button(self.tr("Keep"), "", self.tr("The table is used from now on"))
        self.keep.setObjectName("primary")
        self.keep.clicked.connect(self._take)
        row.addWidget(self.keep)
        return row

    def _fill(self, rows):
        self.table.setRowCount(0)
        self._rows = []
        for one in rows:
            self._put(one)
        self.table.resizeColumnsToContents()
        self.table.setColumnWidth(0, theme.px(_NAME_PX))
        self._said.hide()
        if self._rows:
            self.table.selectRow(0)

    def _put(self, one):
        row = self.table.rowCount()
        self._rows.append(one)
        self.table.insertRow(row)
        for n, its in enumerate(self._settings):
            value = getattr(one, its.name)
            if its.kind == settings.CHOICE:
                part = QComboBox()
                part.setAccessibleName(self.tr("{0} of {1}").format(told(its.label), named(one.name)))
                for choice, words in zip(its.choices, its.names, strict=True):
                    part.addItem(told(words), choice)
                part.setCurrentIndex(its.choices.index(value))
                part.setMinimumWidth(theme.px(138))
                self.table.setCellWidget(row, n, part)
            else:
                item = QTableWidgetItem(self._text(its, value))
                if its.kind != settings.TEXT:
                    item.setTextAlignment(Qt.AlignmentFlag.AlignRight | Qt.AlignmentFlag.AlignVCenter)
                self.table.setItem(row, n, item)

    def _text(self, its, value):
        if its.kind == settings.LENGTH:
            return f"{round(value / (MM_PER_IN if self._unit == 'in' else 1.0), _DIGITS):g} {self._unit}"
        return named(value) if its.kind == settings.TEXT else f"{value:g}"

    def _made(self, row):
        """The thing of a row; None, and a sentence, where it is none. What was not touched is as it was."""
        old, values = self._rows[row], {}
        try:
            for n, its in enumerate(self._settings):
                part = self.table.cellWidget(row, n)
                if part is not None:
                    values[its.name] = part.currentData()
                    continue
                text = self.table.item(row, n).text().strip()
                if text == self._text(its, getattr(old, its.name)):
                    continue
                values[its.name] = self._value(its, text)
            return replace(old, **values)
        except (AppError, ValueError) as error:
            self.table.selectRow(row)
            why = told(error.message) if isinstance(error, AppError) else self.tr("these are numbers.")
            self._tell(self.tr("Row {0}: {1}").format(row + 1, why))
            return None

    def _value(self, its, text):
        if its.kind == settings.LENGTH:
            return parse_length_mm(text, self._unit, its.least == 0)
        return text if its.kind == settings.TEXT else float(text.replace(",", "."))

    def add_row(self) -> None:
        """A copy of the chosen row, or of the first that is shipped."""
        row = self.table.currentRow()
        made = self._made(row) if 0 <= row < len(self._rows) else self._of.shipped[0]
        if made is not None:
            keys = {one.key for one in self._rows}
            key = next(f"own-{n}" for n in range(1, 10_000) if f"own-{n}" not in keys)
            self._put(replace(made, key=key, name=self.tr("{0}, another").format(named(made.name))[:100]))
            self.table.selectRow(self.table.rowCount() - 1)
            self.table.scrollToBottom()

    def take_out(self) -> None:
        row = self.table.currentRow()
        if 0 <= row < len(self._rows):
            del self._rows[row]
            self.table.removeRow(row)

    def _tell(self, text):
        self._said.setText(text)
        self._said.show()

    def _take(self):
        self._said.hide()
        made = [self._made(row) for row in range(self.table.rowCount())]
        if not made or any(one is None for one in made):
            return
        try:
            self._of.keep(tuple(made))
        except AppError as error:
            self._tell(told(error.message))
            return
        self.kept.emit()
        self.close()
