"""What can be done to an entry of the logbook: a job that ran, the next try of a test cut, what is in stock."""

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QComboBox, QDoubleSpinBox, QHBoxLayout, QLineEdit, QSpinBox, QVBoxLayout, QWidget

from sketchloom.app import theme
from sketchloom.app.parts.fields import LengthEdit
from sketchloom.app.parts.sheets_strip import minutes_text
from sketchloom.app.parts.widgets import Figures, button, label
from sketchloom.app.words import named, told
from sketchloom.core.base.setting import settings_of
from sketchloom.core.logbook.records import DONE, FAILED, RUNNING, STOCK_KINDS, VERDICTS, Stock, Try
from sketchloom.core.sheets.material import FAMILIES


def _names(kind, field):
    return next(one for one in settings_of(kind) if one.name == field).names


def _form(parent, *parts):
    """Rows below each other: a widget, or a pair of words and a widget."""
    column = QVBoxLayout(parent)
    column.setContentsMargins(0, 0, 0, 0)
    column.setSpacing(8)
    for part in parts:
        if isinstance(part, tuple):
            row = QHBoxLayout()
            if isinstance(part[0], str):
                row.addWidget(label(part[0]), 1)
                part[1].setAccessibleName(part[0])
                part[1].setFixedWidth(theme.px(168))
                row.addWidget(part[1])
            else:
                for one in part:
                    row.addWidget(one)
            column.addLayout(row)
        else:
            column.addWidget(part)
    column.addStretch(1)


class JobDetails(QWidget):
    """``ran``: how the chosen job stands now, and the minutes it took."""

    ran = Signal(str, float)

    def __init__(self):
        super().__init__()
        self.figures = Figures()
        self.minutes = QDoubleSpinBox()
        self.minutes.setRange(0.0, 100_000.0)
        self.minutes.setDecimals(1)
        self.minutes.setSuffix(self.tr(" min"))
        self.minutes.setMinimumHeight(theme.px(28))
        self.begin = button(self.tr("It runs now"), "play")
        self.done = button(self.tr("It is done"), "circle-check")
        self.failed = button(self.tr("It failed"), "x")
        for one, state in ((self.begin, RUNNING), (self.done, DONE), (self.failed, FAILED)):
            one.clicked.connect(lambda _=False, s=state: self.ran.emit(s, self.minutes.value()))
        self._files = label("", "quiet")
        self._hint = label(self.tr("Times as they came out make the next plans true."), "quiet")
        _form(self, self.figures, (self.tr("It took"), self.minutes), (self.begin, self.done, self.failed), self._hint,
              self._files)

    def show_one(self, job) -> None:
        """A job, None for none."""
        self.setVisible(job is not None)
        if job is None:
            return
        self.figures.show_values((
            (self.tr("Planned"), minutes_text(job.planned_s) if job.planned_s else "–"),
            (self.tr("Real"), minutes_text(job.real_s) if job.real_s else "–"),
            (self.tr("Sheets"), str(job.sheets or "–")), (self.tr("Film"), f"{job.film_mm2 / 1e6:.2f} m²"),
            (self.tr("Cost"), f"{job.cost:.2f}" if job.cost else "–")))
        self.minutes.setValue((job.real_s or job.planned_s) / 60)
        names = job.files.split("\n")
        self._files.setText("\n".join(names[:3]) + (self.tr("\nand {0} more").format(len(names) - 3)
                                                    if len(names) > 3 else ""))


class TryDetails(QWidget):
    """``wanted``: the next try of a family and a material is asked for; ``judged``: force, speed and verdict of a
    star; ``piece_wanted``: the cut file of a numbered piece."""

    wanted = Signal(str, str)
    judged = Signal(float, float, str)
    piece_wanted = Signal()

    def __init__(self):
        super().__init__()
        self.family, self.material = QComboBox(), QLineEdit()
        for one in FAMILIES:
            self.family.addItem(told(one), str(one))
        self.material.setPlaceholderText(self.tr("as it is called"))
        self.family.activated.connect(lambda _: self._ask())
        self.material.editingFinished.connect(self._ask)
        self.force, self.speed = QDoubleSpinBox(), QDoubleSpinBox()
        for part, unit in ((self.force, ""), (self.speed, " mm/s")):
            part.setRange(1.0, 10_000.0)
            part.setDecimals(0)
            part.setSuffix(unit)
            part.setMinimumHeight(theme.px(28))
        self.said = label(self.tr("Name the material; the next try is proposed."), "quiet")
        self.verdicts = {}
        for verdict, words in zip(VERDICTS, _names(Try, "verdict"), strict=True):
            one = button(told(words))
            one.clicked.connect(lambda _=False, v=verdict: self.judged.emit(self.force.value(), self.speed.value(), v))
            self.verdicts[verdict] = one
        self.piece = button(self.tr("Write a piece with twelve stars…"), "file-export", self.tr(
            "Half an inch each, numbered on the film, a layer for each try"))
        self.piece.clicked.connect(self.piece_wanted)
        caution = label(self.tr("Starting values are from memory; the machine's manual comes first."), "caution")
        one, two = tuple(self.verdicts.values())[:3], tuple(self.verdicts.values())[3:]
        _form(self, (self.tr("Family"), self.family), (self.tr("Material"), self.material), self.said,
              (self.tr("Force"), self.force), (self.tr("Speed"), self.speed), label(self.tr("The star is"), "section"),
              one, two, self.piece, caution)
        self._enable()

    @property
    def asked(self) -> tuple[str, str]:
        """Family and material."""
        return self.family.currentData(), self.material.text().strip()

    def _enable(self, is_proposed=False):
        """A star is judged once force and speed are those of a proposal, or of a hand after it."""
        for one in self.verdicts.values():
            one.setEnabled(is_proposed)
        self.piece.setEnabled(bool(self.asked[1]))

    def _ask(self):
        self._enable()
        if self.asked[1]:
            self.said.setText(self.tr("Working out the next try …"))
            self.wanted.emit(*self.asked)

    def show_one(self, one) -> None:
        """A try, whose material is asked about; None changes nothing."""
        if one is not None:
            self.family.setCurrentIndex(max(self.family.findData(one.family), 0))
            self.material.setText(one.material)
            self._ask()

    def show_proposal(self, made, tries: int, known) -> None:
        """The next try, and the settings that were right before."""
        self._enable(True)
        self.force.setValue(made.force)
        self.speed.setValue(made.speed)
        text = self.tr("Tries so far: {0}. Next: force {1}, speed {2} mm/s; {3} % likely to be right.").format(
            tries, f"{made.force:g}", f"{made.speed:g}", f"{100 * made.right:.0f}")
        if known is not None:
            text = self.tr("Right before: force {0}, speed {1} mm/s ({2}).").format(
                f"{known.force:g}", f"{known.speed:g}", known.at[:10]) + "\n" + text
        self.said.setText(text)


class StockDetails(QWidget):
    """``kept``: one more in stock."""

    kept = Signal(object)

    def __init__(self):
        super().__init__()
        self.material, self.kind, self.count = QLineEdit(), QComboBox(), QSpinBox()
        for kind, words in zip(STOCK_KINDS, _names(Stock, "kind"), strict=True):
            self.kind.addItem(told(words), kind)
        self.wide = LengthEdit(self.tr("Width"), 1.0, 1e5)
        self.long = LengthEdit(self.tr("Length"), 1.0, 1e6)
        self._mm = {"width": 300.0, "long": 500.0}
        self.wide.committed.connect(lambda mm: self._mm.update(width=mm))
        self.long.committed.connect(lambda mm: self._mm.update(long=mm))
        self.count.setRange(1, 100_000)
        self.count.setMinimumHeight(theme.px(28))
        self.keep = button(self.tr("Put it into stock"), "plus")
        self.keep.clicked.connect(self._take)
        _form(self, label(self.tr("One more"), "section"), (self.tr("Material"), self.material),
              (self.tr("Kind"), self.kind), (self.tr("Width"), self.wide), (self.tr("Length"), self.long),
              (self.tr("Count"), self.count), self.keep)
        self.show_unit("mm")

    def show_unit(self, unit: str) -> None:
        self.wide.show_value(self._mm["width"], unit)
        self.long.show_value(self._mm["long"], unit)

    def _take(self):
        if self.material.text().strip():
            self.kept.emit(Stock(self.material.text().strip(), self._mm["width"], self._mm["long"],
                                 self.kind.currentData(), self.count.value()))

    def show_one(self, one) -> None:
        """The material of what is chosen; None changes nothing."""
        if one is not None:
            self.material.setText(named(one.material))
