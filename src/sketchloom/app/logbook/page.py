"""The logbook in the middle of the window: lists, a calendar, plots, and what can be done to what is chosen."""

from PySide6.QtCore import Qt, QTimer, Signal
from PySide6.QtWidgets import (
    QHBoxLayout,
    QLineEdit,
    QScrollArea,
    QStackedWidget,
    QVBoxLayout,
    QWidget,
)

from sketchloom.app import theme
from sketchloom.app.logbook.batch_form import BatchForm
from sketchloom.app.logbook.device_form import DeviceForm
from sketchloom.app.logbook.entry_table import EntryTable
from sketchloom.app.logbook.forms import RecordForm
from sketchloom.app.logbook.job_calendar import Month
from sketchloom.app.logbook.job_details import JobDetails
from sketchloom.app.logbook.plot import Plot
from sketchloom.app.logbook.rates_details import RatesDetails
from sketchloom.app.logbook.stock_form import StockForm
from sketchloom.app.logbook.tables import KEYS
from sketchloom.app.logbook.trainer import Trainer
from sketchloom.app.logbook.try_details import TryDetails
from sketchloom.app.parts.widgets import Choice, button, counted, label, rows_of
from sketchloom.core.logbook.records import Batch, Blade, Device, Job, Stock, Try

SHOWN = 200
"""Entries that are listed; a search finds others."""
_TYPING_MS = 180
KINDS = tuple(KEYS)
LIST, CALENDAR, PLOT = LOOKS = ("list", "calendar", "plot")
_TRAINER = "trainer"
_LOOKS_OF = {Job: LOOKS, Try: (LIST, PLOT), Stock: (LIST, PLOT)}


class LogbookPage(QWidget):
    """``asked``: a kind and words to be listed; ``plot_wanted``: of a kind; ``chosen_changed``: the chosen entry, None
    for none; ``entry_wanted``: one that is not listed; ``remove_wanted``; ``export_wanted``, ``import_wanted``: tables;
    ``save_wanted``: what can be read of a damaged one."""

    asked = Signal(object, str)
    plot_wanted = Signal(object)
    chosen_changed = Signal(object)
    entry_wanted = Signal(object, int)
    remove_wanted = Signal(object, int)
    export_wanted = Signal(object)
    import_wanted = Signal(object)
    save_wanted = Signal()

    def __init__(self, parent=None):
        super().__init__(parent)
        self.setAccessibleName(self.tr("Logbook"))
        self._make_frame()
        self.kind, self.unit, self._kept, self.look, self._meant = Job, "mm", [], LIST, None

    def make(self):
        """Steps of making all that is in it; it is used when they are done."""
        self.jobs, self.rates, self.trainer = JobDetails(), RatesDetails(), Trainer()
        yield
        self.tries = TryDetails()
        yield
        self.stock, self.batches, self.devices = StockForm(), BatchForm(), DeviceForm()
        self.blades = RecordForm(Blade, ("name", "machine", "since", "note"), self.tr("One more"),
                                 self.tr("Keep this tool"))
        self._parts = {Job: self.jobs, Try: self.tries, Stock: self.stock, Batch: self.batches,
                       Device: self.devices, Blade: self.blades}
        yield
        self._make_head()
        self._make_middle()
        yield
        self._lay()
        self._enable()

    def _make_frame(self):
        """What holds the others, before they are there: what comes to another parent is styled all anew."""
        self.views, self.details, self.side = QStackedWidget(), QStackedWidget(), QScrollArea()
        self.views.setMinimumSize(theme.size(240, 110))  # else the tallest of its pages would say
        self.side.setAccessibleName(self.tr("What can be done to the chosen entry"))
        self.side.setWidgetResizable(True)
        self.side.setFrameShape(QScrollArea.Shape.NoFrame)
        self.side.setWidget(self.details)
        self.side.setMinimumWidth(theme.px(216))
        self.side.setMaximumWidth(theme.px(340))
        self.side.setHorizontalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
        self._left, whole = QVBoxLayout(), QHBoxLayout(self)
        whole.setContentsMargins(16, 12, 16, 12)
        whole.setSpacing(16)
        whole.addLayout(self._left, 5)
        whole.addWidget(self.side, 4)
        self.setMinimumSize(theme.size(320, 200))  # of a window; in it there is more

    def _make_head(self):
        self.which = Choice((
            ("jobs", self.tr("Jobs"), self.tr("What was released, and how long it really took")),
            ("tests", self.tr("Test cuts"), self.tr("What was tried, and what to try next")),
            ("stock", self.tr("Stock"), self.tr("Rolls, sheets and offcuts that are there")),
            ("batches", self.tr("Materials"), self.tr("What was bought, by batch and price")),
            ("machines", self.tr("Machines"), self.tr("What each did, and since when it is there")),
            ("blades", self.tr("Tools"), self.tr("Blades and pens, and since when they are new")),
            (_TRAINER, self.tr("Trainer"), self.tr("Small exercises on the demo works"))), self.tr("What is shown"),
            3 if theme.is_large() else None)
        self.which.show_value("jobs")
        self.which.chosen.connect(self._turn)
        self.looks = Choice((
            (LIST, self.tr("List"), self.tr("One below the other, the newest first")),
            (CALENDAR, self.tr("Calendar"), self.tr("Jobs by their days")),
            (PLOT, self.tr("Plot"), self.tr("Figures against each other"))), self.tr("How it is shown"))
        self.looks.show_value(LIST)
        self.looks.chosen.connect(self._look)
        self.search = QLineEdit()
        self.search.setPlaceholderText(self.tr("Search"))
        self.search.setAccessibleName(self.tr("Search the logbook"))
        self.search.setClearButtonEnabled(True)
        self._rest = QTimer(self, singleShot=True, interval=_TYPING_MS)
        self._rest.timeout.connect(self.ask)
        self.search.textEdited.connect(lambda _: self._rest.start())

    def _make_middle(self):
        self.table = EntryTable()
        self.table.itemSelectionChanged.connect(self._show_chosen)
        self.month, self.plot = Month(), Plot()
        self.calendar = self.month.calendar
        self.calendar.taken.connect(self.choose)
        for part in (self.table, self.month, self.plot, self.trainer):
            self.views.addWidget(part)
        self.said = label("", "quiet")
        self.note = label("", "trouble")
        self.note.hide()
        self.save = button(self.tr("Save what can be read…"), "file-export")
        self.save.clicked.connect(self.save_wanted)
        self.save.hide()
        self.take_in = button(self.tr("Take in a table…"), "folder-open", self.tr(
            "CSV, its columns named in its first line; or JSON, a whole logbook"))
        self.take_in.clicked.connect(lambda: self.import_wanted.emit(self.kind))
        self.export = button(self.tr("Write it out…"), "file-export", self.tr(
            "This table as CSV, or the whole logbook as JSON"))
        self.export.clicked.connect(lambda: self.export_wanted.emit(self.kind))
        self.remove = button(self.tr("Delete it for good"), "trash", self.tr("The chosen entry; it cannot be undone"))
        self.remove.clicked.connect(self._remove)
        for part in (self.jobs, self.tries, self.stock, self.batches, self.devices, self.blades, self.rates):
            self.details.addWidget(part)

    def _lay(self):
        left = self._left
        second, foot, told_row = QHBoxLayout(), QHBoxLayout(), QHBoxLayout()
        head = QHBoxLayout()
        head.addWidget(self.which)
        head.addStretch(1)
        second.addWidget(self.looks)
        second.addStretch(1)
        second.addWidget(self.search)
        self.search.setMaximumWidth(theme.px(240))
        self.search.setMinimumWidth(theme.px(120))
        foot.addWidget(self.said, 1)
        acts = (self.take_in, self.export, self.remove)
        if not theme.is_large():
            for part in acts:
                foot.addWidget(part)
        told_row.addWidget(self.note, 1)
        told_row.addWidget(self.save)
        left.addWidget(label(self.tr("Logbook"), "section"))
        left.addLayout(told_row)
        left.addLayout(head)
        left.addLayout(second)
        left.addWidget(self.views, 1)
        left.addLayout(foot)
        if theme.is_large():
            left.addWidget(rows_of(*acts))

    @property
    def is_training(self) -> bool:
        """Whether the trainer is seen."""
        return self.views.currentWidget() is self.trainer

    def _turn(self, key):
        if key == _TRAINER:
            self.views.setCurrentWidget(self.trainer)
            self.trainer.turn()
        else:
            self.kind = next(kind for kind, its in KEYS.items() if its == key)
            if self.look not in _LOOKS_OF.get(self.kind, (LIST,)):
                self.look = LIST
                self.looks.show_value(LIST)
            self.table.setRowCount(0)
            self._kept = []
            self._look(self.look)
        self._enable()

    def _look(self, key):
        """One of the ways to look at the entries."""
        self.look = key
        self.views.setCurrentWidget({LIST: self.table, CALENDAR: self.month, PLOT: self.plot}[key])
        self._enable()
        self.ask()

    def _enable(self):
        """Only what the kind has."""
        its = () if self.is_training else _LOOKS_OF.get(self.kind, (LIST,))
        self.looks.let(its)
        self.looks.setVisible(len(its) > 1)
        is_plot = self.look == PLOT
        fits = is_plot and self.kind is Job
        self.details.setCurrentWidget(self.rates if fits else self._parts[self.kind])
        for part in (self.side, self.said, self.take_in, self.export, self.remove, self.search):
            part.setVisible(not self.is_training)
        self.search.setEnabled(self.look == LIST)
        self.remove.setEnabled(self.chosen is not None)

    def ask(self) -> None:
        """List what is asked for anew."""
        if self.is_training:
            return
        self.asked.emit(self.kind, self.search.text() if self.look == LIST else "")
        if self.look == CALENDAR:
            self.calendar.ask()
        elif self.look == PLOT:
            self.plot_wanted.emit(self.kind)

    def choose(self, number: int) -> None:
        """An entry by its number: shown beside, once the list has it."""
        self._meant = number
        row = next((n for n, one in enumerate(self._kept) if one.number == number), -1)
        if row >= 0:
            self.table.selectRow(row)
        else:
            self.entry_wanted.emit(self.kind, number)

    def show_entry(self, kept) -> None:
        """One more entry below those that are listed, chosen: it is older than they are."""
        if kept is None or not isinstance(kept.one, self.kind):
            return
        self._kept.append(kept)
        self.table.put_row(kept, self.unit)
        self.table.selectRow(len(self._kept) - 1)

    def show_kept(self, kind, kept, count: int) -> None:
        """Entries of a kind, of so many there are."""
        if kind is not self.kind:
            return
        chosen = self.chosen
        meant = self._meant if self._meant is not None else None if chosen is None else chosen.number
        self._meant = None
        self._kept = list(kept)
        self.table.blockSignals(True)
        self.table.show_entries(kind, self._kept, self.unit)
        row = next((n for n, one in enumerate(self._kept) if one.number == meant), -1)
        self.table.blockSignals(False)
        if row >= 0:
            self.table.selectRow(row)
            self._show_chosen()
        else:
            self.table.clearSelection()
            self._show_chosen()
        self._say_count(kind, count)

    def _say_count(self, kind, count):
        if not count:
            self.said.setText(self.tr("Nothing found.") if self.search.text() else {
                Job: self.tr("No job yet: every release becomes one."),
                Try: self.tr("No test cut yet: name a material beside, cut a star, say what it is."),
                Stock: self.tr("Nothing in stock yet."),
                Batch: self.tr("No material yet: what was bought, with its batch and price."),
                Device: self.tr("No machine yet: each comes with its first job."),
                Blade: self.tr("No tool yet: a blade is soon blunt, so its first day counts.")}[kind])
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
        self._parts[self.kind].show_one(None if chosen is None else chosen.one)
        self.chosen_changed.emit(chosen)

    def _remove(self):
        if self.chosen is not None:
            self.remove_wanted.emit(self.kind, self.chosen.number)

    def show_unit(self, unit: str) -> None:
        """Lengths in a unit."""
        self.unit = unit
        for part in (self.jobs, self.stock):
            part.show_unit(unit)

    def say(self, text: str, is_damaged: bool = False) -> None:
        """What is wrong with the logbook; empty for nothing."""
        self.note.setText(text)
        self.note.setVisible(bool(text))
        self.save.setVisible(is_damaged)
