"""Split lines through shapes, and areas covered with what is around them."""

from PySide6.QtCore import Signal

from sketchloom.app.parts.widgets import button, counted, label
from sketchloom.app.stages.box import Box
from sketchloom.app.stages.cleaning.kept_list import KeptList, drawn_icon


class SplitsBox(Box):
    """Draws split lines, or takes likely ones. ``likely_wanted`` carries whether they are to be shown."""

    draw_wanted = Signal()
    likely_wanted = Signal(bool)

    def __init__(self):
        super().__init__()
        self._said = label(
            self.tr(
                "A split line parts a shape in two; each part can then be coloured, dropped or put on a sheet of its "
                "own."
            ),
            "quiet",
        )
        self.draw = button(
            self.tr("Draw a split line…"),
            "scissors",
            self.tr("Drag through the shape, or click from point to point; it need not be exact at the ends"),
        )
        self.draw.clicked.connect(self.draw_wanted)
        self.likely = button(
            self.tr("Likely places"),
            "target",
            self.tr("Where a shape narrows or bends inwards is marked; a click splits it there"),
            checkable=True,
        )
        self.likely.clicked.connect(self.likely_wanted)
        self.kept = KeptList(self, "splits", self.tr("Split lines, the latest first"), self.tr("split line"))
        self.add(self._said, (self.draw, self.likely), self.kept)

    def show_likely(self, on: bool, count: int | None = None) -> None:
        self.likely.setChecked(on)
        self.likely.setText(
            self.tr("Likely places")
            if count is None
            else counted(count, self.tr("1 likely place"), self.tr("{0} likely places"))
        )

    def show_work(self, work) -> None:
        super().show_work(work)
        cut = work.segmentation.cut_in
        done = iter([] if cut is None else cut.splits_done.tolist())
        parts = [next(done, False) if line.on else True for line in work.recipe.splits]
        self.kept.show_rows(
            lambda n, line: (
                lambda: drawn_icon([line.points]),
                self.tr("Split line {0}").format(n + 1)
                if n >= len(parts) or parts[n]
                else self.tr("Split line {0} · parts nothing").format(n + 1),
            )
        )

    def split(self, line) -> None:
        self.emit(self.tr("split line"), splits=(*self.recipe.splits, line))


class CoversBox(Box):
    """Areas that show what runs on into them."""

    draw_wanted = Signal()

    def __init__(self):
        super().__init__()
        self.draw = button(
            self.tr("Cover an area…"),
            "lasso",
            self.tr("Draw round something held or written over the picture: what lies around it goes on there"),
        )
        self.draw.clicked.connect(self.draw_wanted)
        self.kept = KeptList(self, "covers", self.tr("Covered areas, the latest first"), self.tr("covered area"))
        self.add(
            label(self.tr("Takes out a held object or a caption: areas run on into it, lines end at it."), "quiet"),
            self.draw,
            self.kept,
        )

    def show_work(self, work) -> None:
        super().show_work(work)
        self.kept.show_rows(
            lambda n, c: (
                lambda: drawn_icon([(*c.points, c.points[0])], closed=True),
                self.tr("Covered area {0}").format(n + 1),
            )
        )

    def cover(self, area) -> None:
        self.emit(self.tr("covered area"), covers=(*self.recipe.covers, area))
