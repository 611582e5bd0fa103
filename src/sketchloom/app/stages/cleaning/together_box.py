"""Several regions taken as one: joined, cut out of each other, what they share; what they enclose filled."""

from PySide6.QtCore import Signal

from sketchloom.app.parts.fields import LengthEdit
from sketchloom.app.parts.widgets import button, counted, label, rows_of
from sketchloom.app.stages.box import Box
from sketchloom.app.words import colour_word
from sketchloom.core.base.units import format_length

JOINED, CUT_OUT, SHARED, INSIDE, HOLES = "join", "cut", "common", "inside", "holes"


class TogetherBox(Box):
    """Chooses regions on the bench and says what is to become of them."""

    choose_wanted = Signal(bool)
    none_wanted = Signal()
    act_wanted = Signal(str)

    def __init__(self):
        super().__init__()
        self.choose = button(
            self.tr("Choose regions on the bench"),
            "target",
            self.tr("A click takes a region in, a second one lets it go; drag to sweep over many"),
            checkable=True,
        )
        self.choose.clicked.connect(self.choose_wanted)
        self._none = button(self.tr("Let go"), "x", self.tr("No region is chosen any more"))
        self._none.clicked.connect(self.none_wanted)
        self._said = label("", "quiet")
        self.under_mm = 3.0
        self._under = LengthEdit(self.tr("Holes less across than this are filled"), 0.05, 500.0)
        self._under.committed.connect(self._take_under)
        self._acts = {}
        for what, text, tip in (
            (JOINED, self.tr("Join"), self.tr("All get the colour of the first and become one where they touch")),
            (
                CUT_OUT,
                self.tr("Cut out"),
                self.tr("The later ones, with all they enclose, are cut out of the first through all sheets"),
            ),
            (
                SHARED,
                self.tr("Keep common part"),
                self.tr("Of the first and what it encloses only what lies within all the others stays"),
            ),
            (INSIDE, self.tr("Fill inside"), self.tr("All that each one encloses gets its colour")),
        ):
            one = button(text, "", tip)
            one.clicked.connect(lambda _=False, w=what: self.act_wanted.emit(w))
            self._acts[what] = one
        fill = self._acts[HOLES] = button(
            self.tr("Fill holes under"),
            "",
            self.tr("Only the holes that are smaller: a disc of their area is less across"),
        )
        fill.clicked.connect(lambda: self.act_wanted.emit(HOLES))
        self.add((self.choose, self._none), self._said, rows_of(*self._acts.values(), self._under))
        self.faces: tuple[int, ...] = ()
        self._holes: list[float] = []
        self._note = ""

    def _take_under(self, mm):
        self.under_mm = mm
        self._show_said()

    def show_chosen(self, desk, faces, said: str = "") -> None:
        """Regions that are chosen, the first first; ``said`` in place of what they are."""
        self.faces = tuple(faces)
        self._holes = desk.holes(faces) if desk is not None and faces else []
        self._first = "" if not faces else colour_word(desk.hex_of(faces[0]))
        self._note = said
        self._show_said()

    def _show_said(self):
        said, count, unit = self._note, len(self.faces), "mm" if self.recipe is None else self.recipe.unit
        under = sum(h < self.under_mm for h in self._holes)
        if not count:
            text = said or self.tr(
                "The first one chosen gives the colour; the others are joined to it or cut out of it."
            )
        else:
            told = counted(
                count,
                self.tr("1 region: {0}.").format(self._first),
                self.tr("{0} regions; the first is {1}.").format(count, self._first),
            )
            if self._holes:
                told = self.tr("{0} {1}, {2} under {3}.").format(
                    told,
                    counted(len(self._holes), self.tr("1 hole"), self.tr("{0} holes")),
                    under,
                    format_length(self.under_mm, unit),
                )
            text = told if not said else self.tr("{0} {1}").format(said, told)
        self._said.setText(text)
        self._none.setEnabled(count > 0)
        for what, one in self._acts.items():
            one.setEnabled(
                count >= 2 if what in (JOINED, CUT_OUT, SHARED) else bool(self._holes) if what == INSIDE else under > 0
            )

    def show_work(self, work) -> None:
        super().show_work(work)
        self._under.show_value(self.under_mm, work.recipe.unit)
        self._show_said()
