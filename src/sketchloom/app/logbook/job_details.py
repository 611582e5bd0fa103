"""What is beside the list of jobs: how one stands, what it took, its picture, its approvals, and to do it again."""

from PySide6.QtCore import Qt, Signal
from PySide6.QtWidgets import QDoubleSpinBox, QLineEdit, QListWidget, QListWidgetItem, QVBoxLayout, QWidget

from sketchloom.app import theme
from sketchloom.app.logbook.forms import form
from sketchloom.app.logbook.look import Look
from sketchloom.app.parts.fields import LengthEdit
from sketchloom.app.parts.sheets_strip import minutes_text
from sketchloom.app.parts.widgets import Figures, button, label
from sketchloom.core.logbook.records import DONE, FAILED, PLANNED, RUNNING
from sketchloom.recipe.document import MAX_SIZE_MM, MIN_SIZE_MM

_ROWS = 3
_CUSTOMER, _NOTE = 300, 2000


class JobDetails(QWidget):
    """``ran``: how the chosen job stands now, and the minutes it took; ``again``: it is to be opened with another width
    and, with True, at its colours; ``approval_wanted``; ``approval_opened``: the name of its file;
    ``noted``: whom it is for, and what is to be remembered of it."""

    ran = Signal(str, float)
    again = Signal(float, bool)
    approval_wanted = Signal()
    approval_opened = Signal(str)
    noted = Signal(str, str)

    def __init__(self):
        super().__init__()
        self._mm, self._unit = 100.0, "mm"
        self.look = Look(self.tr("How the work looks"))
        self.figures = Figures()
        self.minutes = QDoubleSpinBox()
        self.minutes.setRange(0.0, 100_000.0)
        self.minutes.setDecimals(1)
        self.minutes.setSuffix(self.tr(" min"))
        self.minutes.setMinimumHeight(theme.px(28))
        self.begin = button(self.tr("It runs now"), "play", self.tr("What it takes goes out of the stock"))
        self.done = button(self.tr("It is done"), "circle-check", self.tr("Its rests come into the stock"))
        self.failed = button(self.tr("It failed"), "x", self.tr("What it took is lost"))
        self.back = button(self.tr("It did not run"), "restore", self.tr("What it took comes back into the stock"))
        for one, state in ((self.begin, RUNNING), (self.done, DONE), (self.failed, FAILED), (self.back, PLANNED)):
            one.clicked.connect(lambda _=False, s=state: self.ran.emit(s, self.minutes.value()))
        self.customer, self.note = QLineEdit(), QLineEdit()
        self.customer.setMaxLength(_CUSTOMER)
        self.note.setMaxLength(_NOTE)
        self.note.setPlaceholderText(self.tr("what really happened"))
        for one in (self.customer, self.note):
            one.editingFinished.connect(self._take_note)
        self.wide = LengthEdit(self.tr("Width"), MIN_SIZE_MM, MAX_SIZE_MM)
        self.wide.committed.connect(self._take_size)
        self.same = button(self.tr("Open it again"), "refresh", self.tr("As it was released, at this width"))
        self.other = button(self.tr("In other colours"), "brush", self.tr("The same, at its layers"))
        self.same.clicked.connect(lambda: self.again.emit(self._mm, False))
        self.other.clicked.connect(lambda: self.again.emit(self._mm, True))
        self.approvals = QListWidget()
        self.approvals.setAccessibleName(self.tr("Approvals"))
        self.approvals.itemActivated.connect(
            lambda item: self.approval_opened.emit(item.data(Qt.ItemDataRole.UserRole)))
        self.approve = button(self.tr("Keep an approval…"), "plus", self.tr(
            "A file in which the customer says yes; a double click opens it"))
        self.approve.clicked.connect(self.approval_wanted)
        self._files = label("", "quiet")
        self._body = QWidget()
        whole = QVBoxLayout(self)
        whole.setContentsMargins(0, 0, 0, 0)
        whole.addWidget(self._body)
        form(self._body, self.look, self.figures, (self.tr("It took"), self.minutes), (self.begin, self.done),
             (self.failed, self.back), (self.tr("Customer"), self.customer), (self.tr("Note"), self.note),
             label(self.tr("Again"), "section"), (self.tr("Width"), self.wide),
             (self.same, self.other), label(self.tr("Approvals"), "section"), self.approvals, self.approve, self._files)

    def show_unit(self, unit: str) -> None:
        self._unit = unit
        self.wide.show_value(self._mm, unit)

    def _take_size(self, mm):
        self._mm = mm

    def _take_note(self):
        """Only what was typed, and only once."""
        if self.customer.isModified() or self.note.isModified():
            self.customer.setModified(False)
            self.note.setModified(False)
            self.noted.emit(self.customer.text().strip(), self.note.text().strip())

    def show_one(self, job) -> None:
        """A job, None for none."""
        self._body.setVisible(job is not None)
        if job is None:
            return
        self.figures.show_values((
            (self.tr("Planned"), minutes_text(job.planned_s) if job.planned_s else "–"),
            (self.tr("Real"), minutes_text(job.real_s) if job.real_s else "–"),
            (self.tr("Sheets"), str(job.sheets or "–")), (self.tr("Film"), f"{job.film_mm2 / 1e6:.2f} m²"),
            (self.tr("Cost"), f"{job.cost:.2f}" if job.cost else "–")))
        self.minutes.setValue((job.real_s or job.planned_s) / 60)
        for part, is_on in ((self.begin, job.state == PLANNED), (self.back, job.state != PLANNED),
                            (self.same, bool(job.source)), (self.other, bool(job.source))):
            part.setEnabled(is_on)
        self._mm = min(max(job.width_mm, MIN_SIZE_MM), MAX_SIZE_MM)
        self.wide.show_value(self._mm, self._unit)
        for part, text in ((self.customer, job.customer), (self.note, job.note)):
            if not (part.hasFocus() and part.isModified()):
                part.setText(text)
        self.look.show_png(None)
        self.show_approvals(())
        names = job.files.split("\n")
        self._files.setText("\n".join(names[:_ROWS]) + (self.tr("\nand {0} more").format(len(names) - _ROWS)
                                                        if len(names) > _ROWS else ""))

    def show_approvals(self, some) -> None:
        """Approvals of the job, as they are kept."""
        self.approvals.clear()
        for one in some:
            item = QListWidgetItem(f"{one.at[:10]}  {one.by or one.file[-12:]}")
            item.setData(Qt.ItemDataRole.UserRole, one.file)
            self.approvals.addItem(item)
        self.approvals.setVisible(bool(some))
        height = min(len(some), _ROWS) * max(self.approvals.sizeHintForRow(0), theme.px(22))
        self.approvals.setFixedHeight(height + 2 * self.approvals.frameWidth())
