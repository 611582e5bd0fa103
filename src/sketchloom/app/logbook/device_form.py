"""A machine of the workshop as a form: since when it is there, what it did, and what the logbook keeps of it."""

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QVBoxLayout, QWidget

from sketchloom.app.logbook.forms import RecordForm
from sketchloom.app.parts.sheets_strip import minutes_text
from sketchloom.app.parts.widgets import Figures, button, label
from sketchloom.core.logbook.records import Device


class DeviceForm(RecordForm):
    """``table_wanted``: the machine as the logbook keeps it goes into the table of machines."""

    table_wanted = Signal()

    def __init__(self):
        super().__init__(Device, ("name", "kind", "since", "note"), self.tr("One more"), self.tr("Keep this machine"))

    def _look(self):
        made = QWidget()
        self._figures, self._told = Figures(), label("", "quiet")
        self.into_table = button(self.tr("Into the table of machines"), "restore", self.tr(
            "As the last job had it: its speeds, carriers and settings for materials"))
        self.into_table.clicked.connect(self.table_wanted)
        column = QVBoxLayout(made)
        column.setContentsMargins(0, 0, 0, 0)
        for part in (self._figures, self._told, self.into_table):
            column.addWidget(part)
        made.hide()
        return made

    def show_one(self, one) -> None:
        super().show_one(one)
        self.look.hide()

    def show_service(self, service, is_kept: bool, is_same: bool) -> None:
        """What it did, whether the logbook keeps its figures, and whether the table of machines has the same."""
        self._figures.show_values((
            (self.tr("Jobs done"), str(service.jobs)),
            (self.tr("Running, as said"), minutes_text(service.seconds) if service.seconds else "–"),
            (self.tr("Last"), service.last[:16].replace("T", "  ") or "–")))
        self._told.setText(self.tr("Its figures come with its first job.") if not is_kept else
                           self.tr("The table of machines has the same figures.") if is_same else
                           self.tr("The table of machines has other figures than its last job, or none."))
        self.into_table.setEnabled(is_kept and not is_same)
        self.look.show()
