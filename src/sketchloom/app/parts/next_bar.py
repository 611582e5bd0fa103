"""The next step: one button at the same place of every stage, with what comes next or why not yet."""

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QFrame, QVBoxLayout

from sketchloom.app.parts.widgets import button, counted, label
from sketchloom.app.words import told
from sketchloom.desk import next_step as steps


class NextBar(QFrame):
    """Shows a step; ``taken`` when it is to be done."""

    taken = Signal(object)

    def __init__(self):
        super().__init__()
        self.setObjectName("nextbar")
        column = QVBoxLayout(self)
        column.setContentsMargins(16, 8, 16, 10)
        column.setSpacing(6)
        self.said = label("", "quiet")
        self.button = button("")
        self.button.setObjectName("primary")
        self.button.clicked.connect(lambda: self.taken.emit(self._step))
        column.addWidget(self.said)
        column.addWidget(self.button)
        self._step = steps.NextStep(steps.WAIT)
        self._stages = (self.tr("Source"), self.tr("Trace"), self.tr("Clean"), self.tr("Layers"), self.tr("Sheets"),
                        self.tr("Release"))

    @property
    def step(self) -> steps.NextStep:
        return self._step

    def show_step(self, step: steps.NextStep, waits_for: str = "") -> None:
        """Say what comes next; ``waits_for``: what is under way."""
        self._step = step
        text, why = self._words(step, waits_for)
        self.button.setText(text)
        self.button.setEnabled(step.kind not in (steps.WAIT, steps.NOTHING))
        self.said.setText(why)
        self.said.setVisible(bool(why))
        self.setAccessibleDescription(why)

    def _words(self, step, waits_for):
        if step.kind == steps.FIRST:
            return self.tr("See to it first"), told(step.finding.message)
        if step.kind == steps.PREPARE:
            return self.tr("Prepare all that helps"), self.tr("You see before and after, and can take it back.")
        if step.kind == steps.WRITE:
            return self.tr("Write cut files…"), ""
        if step.kind == steps.NOTHING:
            return self.tr("Write cut files…"), self.tr("Nothing is cut: choose another reading, or bring regions in.")
        if step.kind == steps.WAIT:
            return self.tr("Next"), waits_for or self.tr("Not yet: the exact result is on its way.")
        why = "" if not step.open else counted(
            step.open, self.tr("1 thing to look at here first, if you like."),
            self.tr("{0} things to look at here first, if you like."))
        return self.tr("Next: {0}").format(self._stages[step.stage]), why
