"""What is beside the list of test cuts: the next try, its verdict, the piece to cut."""

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QComboBox, QDoubleSpinBox, QLineEdit, QWidget

from sketchloom.app import theme
from sketchloom.app.logbook.forms import form, names_of
from sketchloom.app.logbook.look import Look
from sketchloom.app.logbook.star_grid import StarGrid
from sketchloom.app.parts.widgets import button, label
from sketchloom.app.words import named, told
from sketchloom.core.logbook.records import VERDICTS, Try
from sketchloom.core.sheets.material import FAMILIES


class TryDetails(QWidget):
    """``wanted``: the next try of a family and a material is asked for; ``judged``: force, speed and verdict of a star,
    the piece it is on (empty for none) and its number there; ``piece_wanted``: the cut file of a numbered piece;
    ``picture_wanted``: of the chosen star."""

    wanted = Signal(str, str)
    judged = Signal(float, float, str, str, int)
    piece_wanted = Signal()
    picture_wanted = Signal()

    def __init__(self):
        super().__init__()
        self.family, self.material = QComboBox(), QLineEdit()
        for one in FAMILIES:
            self.family.addItem(told(one), str(one))
        self.material.setPlaceholderText(self.tr("as it is called"))
        self.family.activated.connect(lambda _: self._ask())
        self.material.editingFinished.connect(self._ask)
        self.blade = QComboBox()
        self.blade.setToolTip(self.tr("Those of the list of tools; a new blade cuts deeper"))
        self.machine = QComboBox()
        self.machine.setToolTip(self.tr("Forces are of one machine: what another one was set to says nothing of it"))
        self.machine.activated.connect(lambda _: self._ask())
        self.show_machines(())
        self.show_blades(())
        self.look = Look(self.tr("How the star looks"))
        self.picture = button(self.tr("Picture of the chosen star…"), "photo")
        self.picture.setEnabled(False)
        self.picture.clicked.connect(self.picture_wanted)
        self.force, self.speed = QDoubleSpinBox(), QDoubleSpinBox()
        for part, unit in ((self.force, ""), (self.speed, " mm/s")):
            part.setRange(1.0, 10_000.0)
            part.setDecimals(0)
            part.setSuffix(unit)
            part.setMinimumHeight(theme.px(28))
        self.said = label(self.tr("Name the material; the next try is proposed."), "quiet")
        self.verdicts = {}
        for verdict, words in zip(VERDICTS, names_of(Try, "verdict"), strict=True):
            one = button(told(words))
            one.clicked.connect(lambda _=False, v=verdict: self._judge(v))
            self.verdicts[verdict] = one
        self.stars = StarGrid()
        self.stars.chosen.connect(self._take_star)
        self.piece = button(self.tr("Write a piece with twelve stars…"), "file-export", self.tr(
            "Half an inch each, numbered on the film, a layer for each try"))
        self.piece.clicked.connect(self.piece_wanted)
        caution = label(self.tr("Starting values are from memory; the machine's manual comes first."), "caution")
        one, two = tuple(self.verdicts.values())[:3], tuple(self.verdicts.values())[3:]
        form(self, (self.tr("Family"), self.family), (self.tr("Material"), self.material),
             (self.tr("Machine"), self.machine), (self.tr("Tool"), self.blade), self.said, self.stars,
             (self.tr("Force"), self.force), (self.tr("Speed"), self.speed),
             label(self.tr("The star is"), "section"), one, two, self.picture, self.look, self.piece, caution)
        self._enable()

    @property
    def asked(self) -> tuple[str, str]:
        """Family and material."""
        return self.family.currentData(), self.material.text().strip()

    def _judge(self, verdict):
        name, number = self.stars.taken
        self.judged.emit(self.force.value(), self.speed.value(), verdict, name, number)

    def _take_star(self, force, speed):
        self.force.setValue(force)
        self.speed.setValue(speed)

    def show_pieces(self, pieces) -> None:
        """Pieces of the material: each with the verdicts on its stars so far, by their numbers."""
        self.stars.show_pieces(pieces)

    @property
    def machine_name(self) -> str:
        """The machine that cuts, empty where that is not said."""
        return self.machine.currentData() or ""

    def show_machines(self, names, usual: str = "") -> None:
        """Machines that can be said; ``usual``: the one that is meant where none was chosen."""
        chosen = self.machine.currentData() or usual
        self.machine.clear()
        self.machine.addItem(self.tr("not said"), "")
        for name in dict.fromkeys((*names, *filter(None, (chosen,)))):
            self.machine.addItem(named(name), name)
        self.machine.setCurrentIndex(max(self.machine.findData(chosen), 0))

    def show_blades(self, names) -> None:
        """Tools that can be said."""
        chosen = self.blade.currentData()
        self.blade.clear()
        self.blade.addItem(self.tr("not said"), "")
        for name in names:
            self.blade.addItem(named(name), name)
        self.blade.setCurrentIndex(max(self.blade.findData(chosen), 0))

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
        self.picture.setEnabled(one is not None)
        self.look.show_png(None)
        if one is not None:
            self.blade.setCurrentIndex(max(self.blade.findData(one.blade), 0))
            if self.machine.findData(one.machine) < 0:
                self.machine.addItem(named(one.machine), one.machine)
            self.machine.setCurrentIndex(self.machine.findData(one.machine))
            self.family.setCurrentIndex(max(self.family.findData(one.family), 0))
            self.material.setText(one.material)
            self._ask()

    def show_proposal(self, made, tries: int, known) -> None:
        """The next try, and what is ``known``: the settings that were right last, how sure they are, 0 to 1, and since
        when their tool is new, empty where that is not said."""
        self._enable(True)
        if not self.stars.taken[0]:
            self.force.setValue(made.force)
            self.speed.setValue(made.speed)
        text = self.tr("Tries so far: {0}. Next: force {1}, speed {2} mm/s; {3} % likely to be right.").format(
            tries, f"{made.force:g}", f"{made.speed:g}", f"{100 * made.right:.0f}")
        if known is not None:
            one, sure, since = known
            before = self.tr("Right before: force {0}, speed {1} mm/s ({2}); {3} % sure.").format(
                f"{one.force:g}", f"{one.speed:g}", one.at[:10], f"{100 * sure:.0f}")
            if since:
                before += " " + self.tr("The tool was new on {0}.").format(since[:10])
            text = before + "\n" + text
        self.said.setText(text)
