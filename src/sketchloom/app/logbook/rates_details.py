"""What is beside the plot of times: rates fitted to the jobs of a machine, shown before they are taken."""

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QComboBox, QWidget

from sketchloom.app.logbook.forms import form
from sketchloom.app.parts.widgets import Figures, button, label
from sketchloom.app.words import named, told
from sketchloom.core.base.setting import settings_of
from sketchloom.core.sheets.prices import PACES, PARTS, Pace

_LARGE = 10
"""Numbers from here on are told whole."""
_UNBROKEN = "\N{NO-BREAK SPACE}"


class RatesDetails(QWidget):
    """``wanted``: rates of a machine; ``taken``: plans take the rates that are shown; ``dropped``: plans go by what is
    worked out again."""

    wanted = Signal(str)
    taken = Signal(str)
    dropped = Signal(str)

    def __init__(self):
        super().__init__()
        self.machine = QComboBox()
        self.machine.activated.connect(lambda _: self.wanted.emit(self.machine.currentData()))
        self.figures = Figures()
        self.said = label("", "quiet")
        self.now = label("", "quiet")
        self.take = button(self.tr("Plans take these rates"))
        self.take.setObjectName("primary")
        self.take.clicked.connect(lambda: self.taken.emit(self.machine.currentData()))
        self.drop = button(self.tr("As worked out again"), "restore", self.tr("Plans go by the machine's own figures"))
        self.drop.clicked.connect(lambda: self.dropped.emit(self.machine.currentData()))
        form(self, label(self.tr("Rates from real times"), "section"), (self.tr("Machine"), self.machine), self.said,
             self.figures, self.take, self.drop, self.now)

    def show_machines(self, names) -> None:
        """Machines that have jobs with a real time."""
        chosen = self.machine.currentData()
        self.machine.clear()
        for name in names:
            self.machine.addItem(named(name), name)
        self.machine.setCurrentIndex(max(self.machine.findData(chosen), 0))

    @property
    def shown(self) -> str:
        """The machine whose rates are shown, empty for none."""
        return self.machine.currentData() or ""

    def show_fit(self, found, rates, wrong, pace) -> None:
        """Rates, the numbers of jobs that do not go with the others, and the pace that plans take now."""
        names = {one.name: told(one.label) for one in settings_of(Pace)}
        self.figures.show_values(tuple((names[one.name], self._words(one)) for one in rates))
        text = self.tr("{0} jobs. Their plans were {1} % off in the middle; with these rates {2} %. Each rate as it is "
                       "said → as it is fitted, and how sure that is.").format(
            found.jobs, round(100 * found.before), round(100 * found.after))
        if wrong:
            text += " " + self.tr("Not like the others, and hardly counted: {0}.").format(", ".join(map(str, wrong)))
        self.said.setText(text)
        self._let(True, pace)

    def _words(self, rate):
        sure = self.tr("± {0} %").format(round(100 * rate.spread)).replace(" ", _UNBROKEN)
        if not rate.unit:
            return (self.tr("{0} × as long, {1}") if rate.name in PARTS else self.tr("{0} × as much, {1}")).format(
                f"{rate.fitted:.2f}", sure)
        return self.tr("{0} → {1} {2}, {3}").format(_short(rate.said), _short(rate.fitted), rate.unit, sure)

    def show_none(self, why: str, pace=None) -> None:
        """Why there are no rates yet."""
        self.figures.show_values(())
        self.said.setText(why)
        self._let(False, pace)

    def _let(self, is_known, pace):
        self.take.setEnabled(is_known)
        self.drop.setEnabled(pace is not None)
        self.now.setText(self.tr("Plans go by what is worked out from the machine's figures.") if pace is None else
                         self.tr("Plans go by rates fitted before: {0}.").format(", ".join(
                             f"{told(one.label)} {getattr(pace, one.name):.2f} ×" for one in settings_of(Pace)
                             if one.name in PACES)))


def _short(number):
    return f"{number:.0f}" if number >= _LARGE else f"{number:.2g}"
