"""Says what is known of the work: the states of the stages, what failed, what was stopped, what was mended."""

from PySide6.QtCore import QObject

from sketchloom.app.parts.announce import SPEAKER
from sketchloom.app.parts.rail import ATTENTION, BLOCKED, FINE, UNKNOWN, UNTOUCHED
from sketchloom.app.parts.widgets import counted
from sketchloom.app.stages.numbers import RELEASE, SOURCE, TRACE
from sketchloom.core.preflight.findings import STAGES, STOP, WARN


class Telling(QObject):
    """Keeps the rail, the line of findings and the notices of a window true to its session."""

    def __init__(self, window):
        super().__init__(window)
        self._window = window
        self._step = self._result = ""

    def speak_step(self) -> None:
        """Say aloud what was done last."""
        step = self._window.session.document.undo_text() or ""
        if step and step != self._step:
            SPEAKER.say(self._window, step)
        self._step = step

    def speak_result(self) -> None:
        """Say aloud what came out, where it is another than before."""
        work, found = self._window.session.work, len(self._window.found())
        result = ", ".join((
            counted(len(work.layers), self.tr("1 layer"), self.tr("{0} layers")),
            counted(sum(x.outline.pieces for x in work.layers), self.tr("1 piece"), self.tr("{0} pieces")),
            counted(found, self.tr("1 finding"), self.tr("{0} findings"))))
        if result != self._result:
            SPEAKER.say(self._window, result)
        self._result = result

    def show_unknown(self, why=None):
        """A preview is shown, or nothing of the last change: what is to be looked at is not known."""
        self._window.findings.show_unknown(
            why or self.tr("What there is to look at is known once the exact result is there."))
        self.show_states()

    def show_states(self) -> None:
        """How each stage stands."""
        latest = self._window.session.latest
        work = latest.work if latest is not None else None
        for number, stage in enumerate(STAGES):
            found = [f for f in (self._window.found() if work else ()) if f.rule.stage == stage or (
                number == RELEASE and f.severity == STOP)]  # nothing leaves with one, whatever stage it is of
            count = len({f.code for f in found if f.severity == WARN})  # kinds, as the list has a row for each
            self._window.rail.buttons[number].set_state(self._state_of(number, latest, found, count), count)

    def _state_of(self, number, latest, found, count):
        """How a stage stands, with what was found in it."""
        if self._window.session.document is not None and (latest is None or latest.coarse):
            return UNKNOWN
        if latest is None or number not in self._window.visited:
            return UNTOUCHED
        if any(f.severity == STOP for f in found) or (number == RELEASE and not latest.work.layers):
            return BLOCKED
        return ATTENTION if count else FINE

    def show_trouble(self, topic, text) -> None:
        """Something failed: beside what it belongs to."""
        if topic == "write":
            self._window.show_stage(RELEASE)
            self._window.panels[RELEASE].show_trouble(text)
            self.stand_beside()
        else:
            if topic == "evaluate":
                self._window.let(SOURCE, TRACE, also=True)
                self.show_unknown(self.tr("The last change could not be worked out; what there is to look at is not "
                                           "known."))
            self._window.notices.say(topic, "trouble", text)

    def stand_beside(self, *_):
        """Whether something that failed is said elsewhere: then there is not nothing to look at."""
        self._window.findings.stand_beside(self._window.notices.is_troubled or self._window.panels[RELEASE].is_troubled)

    def show_mishap(self, log):
        """Something inside the program failed; what is open is kept and can be gone on with."""
        if self._window.session.document is not None:
            self._window.session.document.write_recovery().result()
        text = self.tr("Something went wrong inside the program. Your work is kept, with an unsaved copy for the next "
                       "start; go on, or undo the last step.")
        if log:
            text += " " + self.tr("What happened is written in {0}.").format(log)
        self._window.notices.say("mishap", "trouble", text)

    def show_stopped(self) -> None:
        """What is there after a stop, and the way on."""
        latest = self._window.session.latest
        self._window.let(SOURCE, TRACE, also=True)
        if latest is None:
            text = self.tr("Stopped. Nothing is traced yet.")
        elif latest.coarse:
            text = self.tr("Stopped. The bench shows a preview of a small copy; it can be neither judged nor written.")
        else:
            text = self.tr("Stopped. The bench shows the result before this change.")
        is_there = latest is not None and not latest.coarse
        if is_there:
            self.show_unknown(self.tr("Stopped: what there is to look at after the last change is not known."))
        self._window.notices.say("stopped", "ask", text, (
            (self.tr("Trace again") if is_there else self.tr("Trace it now"), self._window.session.evaluate),))

    def mend_all(self, code):
        """Mend every finding of a kind, show it, and offer the way back."""
        def ask():
            text = self.tr("All of this kind are mended as shown on the bench. Keep it so?")
            self._window.notices.say("mended", "ask", text, (
                (self.tr("Keep"), lambda: None), (self.tr("Take back"), self._window.undo)))
        self._window.session.mend_all(code, ask)
