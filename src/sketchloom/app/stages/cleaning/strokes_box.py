"""Strokes of an ink drawing as things: taken away, thinner, thicker, extended, joined, opened."""

from PySide6.QtCore import Signal

from sketchloom.app.parts.widgets import button, label, rows_of
from sketchloom.app.stages.box import Box

REMOVE, THINNER, THICKER, EXTEND, JOIN, WINDOW = "remove", "thinner", "thicker", "extend", "join", "window"


class StrokesBox(Box):
    """Chooses a stroke on the bench and says what is to become of it."""

    choose_wanted = Signal(bool)
    act_wanted = Signal(str)

    def __init__(self):
        super().__init__()
        self.choose = button(
            self.tr("Choose strokes on the bench"),
            "target",
            self.tr("A stroke runs from one meeting of lines to the next"),
            checkable=True,
        )
        self.choose.clicked.connect(self.choose_wanted)
        self.said = label("", "quiet")
        self._acts = {}
        for what, text, tip in (
            (REMOVE, self.tr("Take away"), self.tr("The paper shows there; what it met stays whole")),
            (WINDOW, self.tr("Open"), self.tr("It becomes a window through all sheets")),
            (THINNER, self.tr("Thinner"), self.tr("By a fifth; click again for more")),
            (THICKER, self.tr("Thicker"), self.tr("By a quarter; click again for more")),
            (
                EXTEND,
                self.tr("Extend to the next"),
                self.tr("Its free end runs straight on until it meets another stroke"),
            ),
            (JOIN, self.tr("Join to…"), self.tr("Then click the stroke whose free end it is to be joined to")),
        ):
            one = button(text, "", tip)
            one.clicked.connect(lambda _=False, w=what: self.act_wanted.emit(w))
            self._acts[what] = one
        self.add(self.choose, self.said, rows_of(*self._acts.values()))
        self.show_stroke(False, False, "")

    def show_stroke(self, has_one: bool, has_end: bool, said: str) -> None:
        """Whether a stroke is chosen, and one with a free end."""
        self.said.setText(
            said or self.tr("For ink drawings. What is done here is kept as painted lines, under “Gaps and ink”.")
        )
        for what, one in self._acts.items():
            one.setEnabled(has_one and (has_end or what not in (EXTEND, JOIN)))

    def show_work(self, work) -> None:
        super().show_work(work)
        self.choose.setEnabled(work.reading in ("tone", "line"))
