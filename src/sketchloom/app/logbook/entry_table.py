"""Entries of the logbook, one below the other."""

from PySide6.QtWidgets import QAbstractItemView, QHeaderView, QTableWidget, QTableWidgetItem

from sketchloom.app import theme
from sketchloom.app.logbook.tables import WIDE, cells, heads

_WIDEST_PX = 146


class EntryTable(QTableWidget):
    """One row an entry; one can be chosen."""

    def __init__(self):
        super().__init__(0, 0)
        self.setAccessibleName(self.tr("Entries"))
        self.setEditTriggers(QTableWidget.EditTrigger.NoEditTriggers)
        self.setSelectionBehavior(QAbstractItemView.SelectionBehavior.SelectRows)
        self.setSelectionMode(QAbstractItemView.SelectionMode.SingleSelection)
        self.setTabKeyNavigation(False)
        self.setWordWrap(False)
        self.verticalHeader().hide()

    def put_row(self, kept, unit: str) -> None:
        """One more entry, below the others."""
        row = self.rowCount()
        self.insertRow(row)
        for column, text in enumerate(cells(kept.one, unit)):
            self.setItem(row, column, QTableWidgetItem(text))

    def show_entries(self, kind, entries, unit: str) -> None:
        """Entries of a kind and no others."""
        names = heads(kind)
        self.setColumnCount(len(names))
        self.setHorizontalHeaderLabels(names)
        self.setRowCount(0)
        for one in entries:
            self.put_row(one, unit)
        header = self.horizontalHeader()
        header.setSectionResizeMode(QHeaderView.ResizeMode.Interactive)  # else what was stretched keeps its width
        self.resizeColumnsToContents()
        for column in range(len(names)):
            self.setColumnWidth(column, min(self.columnWidth(column), theme.px(_WIDEST_PX)))
        header.setSectionResizeMode(WIDE.get(kind, 1), QHeaderView.ResizeMode.Stretch)
