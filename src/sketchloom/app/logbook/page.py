"""The logbook in the middle of the window: a list, a search, and what can be done to what is chosen."""

from PySide6.QtCore import Qt, QTimer, Signal
from PySide6.QtWidgets import (
    QAbstractItemView,
    QHBoxLayout,
    QHeaderView,
    QLineEdit,
    QScrollArea,
    QStackedWidget,
    QTableWidget,
    QTableWidgetItem,
    QVBoxLayout,
    QWidget,
)

from sketchloom.app import theme
from sketchloom.app.logbook.details import JobDetails, StockDetails, TryDetails
from sketchloom.app.logbook.tables import cells, heads
from sketchloom.app.parts.widgets import Choice, button, counted, label
from sketchloom.core.logbook.records import Job, Stock, Try

SHOWN = 200
"""Entries that are listed; a search finds others."""
_TYPING_MS = 180
KINDS = (Job, Try, Stock)


class LogbookPage(QWidget):
    """``asked``: a kind and words to be listed; ``chosen``: an entry; ``remove_wanted``; ``export_wanted``."""

    asked = Signal(object, str)
    remove_wanted = Signal(object, int)
    export_wanted = Signal(object)

    def __init__(self):
        super().__init__()
        self.setAccessibleName(self.tr("Logbook"))
        self.kind, self.unit, self._kept = Job, "mm", []
        self.jobs, self.tries, self.stock = JobDetails(), TryDetails(), StockDetails()
        self.which = Choice((("jobs", self.tr("Jobs"), self.tr("What was released, and how long it really took")),
                             ("tests", self.tr("Test cuts"), self.tr("What was tried, and what to try next")),
                             ("stock", self.tr("Stock"), self.tr("Rolls, sheets and offcuts that are there"))),
                            self.tr("What is shown"), 3)
        self.which.show_value("jobs")
        self.which.chosen.connect(self._turn)
        self.search = QLineEdit()
        self.search.setPlaceholderText(self.tr("Search"))
        self.search.setAccessibleName(self.tr("Search the logbook"))
        self.search.setClearButtonEnabled(True)
        self._rest = QTimer(self, singleShot=True, interval=_TYPING_MS)
        self._rest.timeout.connect(self.ask)
        self.search.textEdited.connect(lambda _: self._rest.start())
        self.table = QTableWidget(0, 0)
        self.table.setEditTriggers(QTableWidget.EditTrigger.NoEditTriggers)
        self.table.setSelectionBehavior(QAbstractItemView.SelectionBehavior.SelectRows)
        self.table.setSelectionMode(QAbstractItemView.SelectionMode.SingleSelection)
        self.table.setTabKeyNavigation(False)
        self.table.verticalHeader().hide()
        self.table.itemSelectionChanged.connect(self._show_chosen)
        self.said = label("", "quiet")
        self.note = label("", "trouble")
        self.note.hide()
        self.export = button(self.tr("As a table (CSV)…"), "file-export")
        self.export.clicked.connect(lambda: self.export_wanted.emit(self.kind))
        self.remove = button(self.tr("Delete it for good"), "trash", self.tr("The chosen entry; it cannot be undone"))
        self.remove.clicked.connect(self._remove)
        self.details = QStackedWidget()
        for part in (self.jobs, self.tries, self.stock):
            self.details.addWidget(part)
        self._lay()

    def _lay(self):
        left = QVBoxLayout()
        head = QHBoxLayout()
        head.addWidget(self.which)
        head.addStretch(1)
        head.addWidget(self.search)
        self.search.setFixedWidth(theme.px(240))
        foot = QHBoxLayout()
        foot.addWidget(self.said, 1)
        foot.addWidget(self.export)
        foot.addWidget(self.remove)
        left.addWidget(label(self.tr("Logbook"), "section"))
        left.addWidget(self.note)
        left.addLayout(head)
        left.addWidget(self.table, 1)
        left.addLayout(foot)
        side = QScrollArea()
        side.setAccessibleName(self.tr("What can be done to the chosen entry"))
        side.setWidgetResizable(True)
        side.setFrameShape(QScrollArea.Shape.NoFrame)
        side.setWidget(self.details)
        side.setFixedWidth(theme.px(340))
        side.setHorizontalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
        whole = QHBoxLayout(self)
        whole.setContentsMargins(16, 12, 16, 12)
        whole.setSpacing(16)
        whole.addLayout(left, 1)
        whole.addWidget(side)

    def _turn(self, key):
        self.kind = KINDS[("jobs", "tests", "stock").index(key)]
        self.details.setCurrentIndex(KINDS.index(self.kind))
        self.ask()

    def ask(self) -> None:
        """List what is asked for anew."""
        self.asked.emit(self.kind, self.search.text())

    def show_kept(self, kind, kept, count: int) -> None:
        """Entries of a kind, of so many there are."""
        if kind is not self.kind:
            return
        chosen = self.chosen
        self._kept = list(kept)
        self.table.blockSignals(True)
        names = heads(kind)
        self.table.setColumnCount(len(names))
        self.table.setHorizontalHeaderLabels(names)
        self.table.setRowCount(len(self._kept))
        for row, one in enumerate(self._kept):
            for column, text in enumerate(cells(one.one, self.unit)):
                self.table.setItem(row, column, QTableWidgetItem(text))
        self.table.resizeColumnsToContents()
        self.table.horizontalHeader().setSectionResizeMode(1, QHeaderView.ResizeMode.Stretch)
        row = next((n for n, one in enumerate(self._kept) if chosen is not None and one.number == chosen.number), -1)
        self.table.blockSignals(False)
        if row >= 0:
            self.table.selectRow(row)
        else:
            self.table.clearSelection()
            self._show_chosen()
        if not count:
            self.said.setText(self.tr("Nothing found.") if self.search.text() else {
                Job: self.tr("No job yet: every release becomes one."),
                Try: self.tr("No test cut yet: name a material beside, cut a star, say what it is."),
                Stock: self.tr("Nothing in stock yet.")}[kind])
        elif count > len(self._kept):
            self.said.setText(self.tr("{0} of {1}; a search finds the others.").format(len(self._kept), count))
        else:
            self.said.setText(counted(count, self.tr("1 entry"), self.tr("{0} entries")))

    @property
    def chosen(self):
        """The chosen entry, None where there is none."""
        rows = {index.row() for index in self.table.selectedIndexes()}
        return self._kept[min(rows)] if rows and min(rows) < len(self._kept) else None

    def _show_chosen(self):
        chosen = self.chosen
        self.remove.setEnabled(chosen is not None)
        self.details.currentWidget().show_one(None if chosen is None else chosen.one)

    def _remove(self):
        if self.chosen is not None:
            self.remove_wanted.emit(self.kind, self.chosen.number)

    def say(self, text: str) -> None:
        """What is wrong with the logbook; empty for nothing."""
        self.note.setText(text)
        self.note.setVisible(bool(text))
