"""The next step of each stage: shown, and done."""

from PySide6.QtCore import QObject

from sketchloom.app.stages.numbers import RELEASE
from sketchloom.desk import mends
from sketchloom.desk import next_step as steps


class Stepping(QObject):
    """Keeps the button of the next step true to the work and the stage that is seen."""

    def __init__(self, window, bar):
        super().__init__(window)
        self._window, self._session, self._bar = window, window.session, bar
        self._before = None
        bar.taken.connect(lambda _: self.take())
        self._session.stopped.connect(self.refresh)

    def refresh(self) -> None:
        """The stage, the work or what was found in it is another."""
        window, work = self._window, self._session.work
        self._bar.setVisible(self._session.document is not None)
        self._bar.show_step(steps.next_step(window.stage, work, window.found() if work is not None else ()),
                            "" if self._session.is_busy or work is not None else
                            self.tr("Not yet: the exact result is not there."))

    def take(self) -> None:
        """Do what comes next."""
        window, step = self._window, self._bar.step
        if self._session.work is None:
            return
        if step.kind == steps.FIRST:
            window.go_to(step.finding)
            if not window.findings.is_open:
                window.findings.toggle()
        elif step.kind == steps.PREPARE:
            self.prepare()
        elif step.kind == steps.GO:
            window.show_stage(step.stage)
        elif step.kind == steps.WRITE:
            window.panels[RELEASE].ask()

    def prepare(self) -> None:
        """Do everything that helps the picture, and show it beside what it was."""
        self._before = self._session.latest
        self._session.tried(self.tr("Preparing"), mends.all_prepared, self._take_prepared)

    def _take_prepared(self, recipe):
        window, before = self._window, self._before
        if recipe == self._session.document.recipe:
            return
        self._session.change(recipe, self.tr("prepared"))
        window.bench.pin(before, self.tr("before"))
        window.notices.say("prepared", "ask", self.tr(
            "Prepared: on the left of the curtain as it was, on the right as it is now."), (
            (self.tr("Keep"), self._end), (self.tr("Take back"), lambda: (self._end(), window.undo()))),
            on_close=self._end)

    def _end(self):
        self._window.bench.pin(None)
