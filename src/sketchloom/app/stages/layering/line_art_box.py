"""Line art to sheets: what gathers regions, how many sheets by a ladder with figures, and depth painted by hand."""

from PySide6.QtCore import Qt, Signal
from PySide6.QtWidgets import QCheckBox, QComboBox, QTableWidgetItem

from sketchloom.app import theme
from sketchloom.app.parts.widgets import button, figures_table, label
from sketchloom.app.stages.box import Box
from sketchloom.app.stages.cleaning.regions_box import Colours
from sketchloom.core.layers.ways import COLOURS, INWARD, NESTED, SIZE, TOUCHING

_ROW = 26
ONE, MOTIF = "one", "motif"


class LineArtBox(Box):
    """A row of the ladder gathers into so many sheets."""

    ladder_wanted = Signal(str)
    gather_wanted = Signal(str, int)
    paint_wanted = Signal(object)

    def __init__(self):
        super().__init__()
        self.rule = QComboBox()
        self.rule.setAccessibleName(self.tr("What gathers regions into sheets"))
        for key, name in (
            (TOUCHING, self.tr("Neighbours differ")),
            (NESTED, self.tr("More lines around: deeper")),
            (SIZE, self.tr("Larger: deeper")),
            (INWARD, self.tr("Farther in: deeper")),
            (COLOURS, self.tr("Like colours together")),
        ):
            self.rule.addItem(name, key)
        self.rule.activated.connect(lambda _: self.ask())
        self.ladder = figures_table(
            5, self.tr("Numbers of sheets below the frame; click one to gather into so many"), _ROW
        )
        self.ladder.cellClicked.connect(
            lambda row, _: self.gather_wanted.emit(self.rule.currentData(), self._rungs[row].sheets)
        )
        self._rungs = ()
        self._laddered = None
        self.colours = Colours()
        self.colours.setAccessibleName(self.tr("Sheets below the frame, the deepest first"))
        self.colours.setDragEnabled(False)
        self.colours.setToolTip(self.tr("Choose the sheet that clicked regions go to"))
        self.colours.itemClicked.connect(
            lambda _: self.paint_wanted.emit(self.colours.chosen()) if self.paint.isChecked() else None
        )
        self.paint = button(
            self.tr("Paint the depth"),
            "brush",
            self.tr("Click or sweep over regions on the bench: they go to the sheet chosen below"),
            checkable=True,
        )
        self.paint.clicked.connect(self._take_paint)
        self.spread = QComboBox()
        self.spread.setAccessibleName(self.tr("What a click paints"))
        for text, key in (
            (self.tr("A click paints one cell"), ONE),
            (self.tr("… its whole motif"), MOTIF),
            (self.tr("… all around its centre"), 1),
            (self.tr("… around its centre, two sheets by turns"), 2),
            (self.tr("… around its centre, three sheets by turns"), 3),
        ):
            self.spread.addItem(text, key)
        self.spread.setToolTip(self.tr("Cells alike around one centre, as petals are; by turns the sheets follow the "
                                       "chosen one, upwards and round again"))
        self.spread.activated.connect(lambda _: self.paint.isChecked() or self.paint.click())
        self.frame = QCheckBox(self.tr("The frame too"))
        self.frame.setToolTip(self.tr("The ink stays the frame on top while this is off, wherever a sweep goes"))
        self._said = label(
            self.tr(
                "The ink becomes a frame on top; what it encloses goes to sheets below. What is covered is not cut."
            ),
            "quiet",
        )
        self._nothing = label("", "quiet")
        self._nothing.hide()
        self.add(self._said, self.rule, self.ladder, self._nothing, self.paint, self.colours, self.spread, self.frame)

    def _take_paint(self, on):
        if on and self.colours.chosen() is None and self.colours.count():
            self.colours.setCurrentRow(0)
        self.paint_wanted.emit(self.colours.chosen() if on else None)

    def ask(self) -> None:
        """Have the ladder of the present rule worked out."""
        self._laddered = None
        if self.work is not None and self.isVisible():
            self.ladder_wanted.emit(self.rule.currentData())

    def showEvent(self, event):
        super().showEvent(event)
        if self._laddered is None or (self.work is not None and self._laddered is not self.work.segmentation.regions):
            self.ask()

    def show_ladder(self, work, rungs) -> None:
        """Figures of two sheets and more."""
        self._laddered, self._rungs = work.segmentation.regions, rungs
        metric = work.recipe.unit == "mm"
        names = (
            (self.tr("Sheets"), ""),
            (self.tr("Pieces"), self.tr("Pieces to lay, the frame among them")),
            (self.tr("Cut m") if metric else self.tr("Cut ft"), self.tr("As layered now")),
            (
                self.tr("Saved m") if metric else self.tr("Saved ft"),
                self.tr("Less than if every region were cut by itself"),
            ),
            (self.tr("Alike"), self.tr("Neighbours across a line on the same sheet")),
        )
        self.ladder.setHorizontalHeaderLabels([name for name, _ in names])
        for column, (_, tip) in enumerate(names):
            self.ladder.horizontalHeaderItem(column).setToolTip(tip)
        self.ladder.setRowCount(len(rungs))
        for row, one in enumerate(rungs):
            cut, saved = (v / (1000 if metric else 304.8) for v in (one.cut_mm, one.saved_mm))
            for column, text in enumerate(
                (str(one.sheets), str(one.pieces), f"{cut:.2f}", f"{saved:.2f}", str(one.alike))
            ):
                item = QTableWidgetItem(text)
                item.setTextAlignment(Qt.AlignmentFlag.AlignRight | Qt.AlignmentFlag.AlignVCenter)
                self.ladder.setItem(row, column, item)
        self.ladder.setFixedHeight(theme.px(len(rungs) * _ROW + 30))
        self.ladder.setVisible(bool(rungs))
        self._nothing.setText(
            self.tr(
                "The picture has one colour within its lines. Give regions colours in Clean first, or take another "
                "rule."
            )
            if self.rule.currentData() == COLOURS
            else self.tr("Its lines enclose too little for two sheets.")
        )
        self._nothing.setVisible(not rungs)

    def show_work(self, work) -> None:
        super().show_work(work)
        top = work.plans[-1].key if work.plans else None
        # a sheet that nothing is left on can be painted again
        known = [key for key in work.recipe.order if key.startswith("#") and key != top]
        below = dict.fromkeys([*known, *(plan.hex for plan in work.plans[:-1])])
        self.colours.show_colours(below)
        for part in (self.paint, self.colours, self.spread, self.frame):
            part.setVisible(len(below) > 1)
        if self._laddered is not work.segmentation.regions:
            self.ask()

    def painted(self, desk, face: int, hex_colour: str) -> tuple[tuple[int, ...], tuple[str, ...]]:
        """The cells that a click on one paints, and the sheets they get by turns."""
        key = self.spread.currentData()
        if key == ONE:
            return (face,), (hex_colour,)
        if key == MOTIF:
            return desk.motif(face), (hex_colour,)
        every = [self.colours.item(n).data(Qt.ItemDataRole.UserRole) for n in range(self.colours.count())]
        first = every.index(hex_colour) if hex_colour in every else 0
        return desk.ring(face), tuple(every[(first + n) % len(every)] for n in range(min(key, len(every))))

    def show_painting(self, on: bool) -> None:
        self.paint.setChecked(on)
