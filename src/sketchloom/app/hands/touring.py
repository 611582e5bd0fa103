"""A first job in ten steps, done on the real window: what to click is lit up, and each step goes on by itself."""

from collections.abc import Callable
from dataclasses import dataclass

from PySide6.QtCore import QObject, Qt, QTimer
from PySide6.QtWidgets import QFrame, QHBoxLayout, QVBoxLayout, QWidget

from sketchloom.app import theme
from sketchloom.app.parts.spot import Spot
from sketchloom.app.parts.widgets import button, label
from sketchloom.app.stages.numbers import CLEAN, LAYERS, RELEASE, SHEETS, SOURCE, TRACE

_LOOKS_MS = 250
_PICTURE = "lighthouse"
_WIDE, _EDGE = 330, 18


@dataclass(frozen=True, slots=True)
class Step:
    """``words`` say what to do; ``part`` is lit; the step is over when ``done`` says so. ``stage`` it is done in."""

    words: str
    part: Callable[[], QWidget]
    done: Callable[[], bool]
    stage: int


class Card(QFrame):
    """The words of a step at the foot of the window."""

    def __init__(self, window):
        super().__init__(window)
        self.setObjectName("tour")
        column = QVBoxLayout(self)
        self.count = label("", "quiet")
        self.words = label("")
        column.addWidget(self.count)
        column.addWidget(self.words)
        row = QHBoxLayout()
        self.end, self.on = button(self.tr("End")), button(self.tr("Skip"))
        for part in (self.end, self.on):
            part.setFocusPolicy(Qt.FocusPolicy.TabFocus)
            row.addWidget(part)
        column.addLayout(row)
        self.hide()

    def say(self, count: str, words: str, is_last: bool) -> None:
        self.count.setText(count)
        self.words.setText(words)
        self.on.setText(self.tr("Done") if is_last else self.tr("Skip"))
        self.setFixedWidth(theme.px(_WIDE))
        self.show()
        self.layout().activate()
        self.resize(self.width(), self.layout().totalHeightForWidth(self.width()))
        self.stand()

    def stand(self) -> None:
        """At the left foot, where neither panel nor button of the next step is."""
        window = self.parentWidget()
        self.move(theme.px(110), window.height() - self.height() - theme.px(60) - _EDGE)
        self.raise_()


class Touring(QObject):
    """Leads through a job with the badge of the demo."""

    def __init__(self, window):
        super().__init__(window)
        self._window = window
        self.card, self._spot = Card(window), Spot(window)
        self.at = -1
        self._begun = None
        self._lit = None
        self._waits = False
        window.session.opened.connect(self._opened)
        self._timer = QTimer(self, interval=_LOOKS_MS)
        self._timer.timeout.connect(self._look)
        self.card.end.clicked.connect(self.end)
        self.card.on.clicked.connect(lambda: self._go(self.at + 1))

    def begin(self) -> None:
        """Open the picture of the badge and say the first step."""
        self._waits = True
        self._window.opening.open_demo_picture(_PICTURE)

    def _opened(self, *_):
        if self._waits:
            self._waits = False
            self._go(0)

    def end(self) -> None:
        """No step is shown any more; the work stays."""
        self.at = -1
        self._timer.stop()
        self._spot.put_away()
        self.card.hide()

    def steps(self) -> tuple[Step, ...]:
        """The steps, in words for the window as it is."""
        window = self._window
        panels, session = window.panels, window.session

        def recipe():
            return None if session.document is None else session.document.recipe

        def at(stage):
            return lambda: window.stage == stage
        follow = window.splitter.next.button
        return (
            Step(self.tr("How wide is the work to be? Type 90 mm and press Enter: everything follows."),
                 lambda: panels[SOURCE].width_field, lambda: self._begun.size_mm != recipe().size_mm, SOURCE),
            Step(self.tr("This button always says what comes next. Click it."), lambda: follow, at(TRACE), SOURCE),
            Step(self.tr("Seven colours were found. Each row says what fewer would lose; click one of six or five, or "
                         "skip."), lambda: panels[TRACE].colour, lambda: self._begun.colours != recipe().colours,
                 TRACE),
            Step(self.tr("On to Clean, by the same button."), lambda: follow, at(CLEAN), TRACE),
            Step(self.tr("Click a star on the bench. What can be done to it stands beside it."), lambda: window.bench,
                 lambda: bool(window.choosing.chosen), CLEAN),
            Step(self.tr("Drop it, or give it another colour. Backspace brings it back."),
                 lambda: window.choosing.strip, lambda: bool(recipe().edits), CLEAN),
            Step(self.tr("Anything you miss is found by its words: press Ctrl+K, type “thicker”, and Esc."),
                 lambda: panels[CLEAN].tools.search, lambda: window.searching.search.isVisible(), CLEAN),
            Step(self.tr("Layers: one sheet a colour, in the order that cuts least. Click another way of laying them "
                         "to see what it costs."), lambda: panels[LAYERS].ways,
                 lambda: self._begun.layering != recipe().layering, LAYERS),
            Step(self.tr("Sheets: what goes into the machine, with its time and cost. Look at the strip below, then go "
                         "on."), lambda: window.sheets, lambda: window.stage == RELEASE, SHEETS),
            Step(self.tr("Release: choose who gets it, and write the cut files. That was a job, from picture to file."),
                 lambda: follow, lambda: False, RELEASE),
        )

    def _go(self, number):
        steps = self.steps()
        if number >= len(steps):
            self.end()
            return
        self.at, self._lit = number, None
        self._begun = None
        self._timer.start()
        step = steps[number]
        self.card.say(self.tr("Step {0} of {1}").format(number + 1, len(steps)), step.words, number == len(steps) - 1)
        self._look()

    def _look(self):
        """Light what is to be clicked once it is there, and go on when it was done."""
        window = self._window
        document = window.session.document
        if self.at < 0 or document is None:
            return
        step = self.steps()[self.at]
        if self._begun is None:
            self._begun = document.recipe
            if window.stage != step.stage and not step.done():
                window.show_stage(step.stage)
        part = step.part()
        if part.isVisible() and self._lit is not part:
            self._lit = part
            self._spot.stand_around(part, stays=True)
        elif not part.isVisible():
            self._lit = None
        self.card.stand()
        if step.done():
            self._go(self.at + 1)
