"""Figures, words and outlines laid on the work as regions like any other."""

from dataclasses import replace

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QCheckBox, QComboBox, QGridLayout, QLineEdit, QMenu, QSpinBox, QWidget

from sketchloom.app.parts.fields import LengthEdit
from sketchloom.app.parts.widgets import button, label, swatch
from sketchloom.app.stages.box import Box
from sketchloom.app.stages.cleaning.kept_list import KeptList, drawn_icon
from sketchloom.app.stages.cleaning.shape_tools import ShapeTools
from sketchloom.app.words import colour_word
from sketchloom.core.shapes.drawn import CIRCLE, POLYGON, ROUNDED, STAR
from sketchloom.files import user_data

PATH, REGION, LINE, AREA, BOW = "path", "region", "line", "area", "bow"
EVERYWHERE, WITHIN, BESIDE = "everywhere", "within", "beside"


class ShapesBox(Box):
    """What to lay on, and what to do with what was laid on."""

    figure_wanted = Signal(str)
    word_wanted = Signal(bool)
    other_colour_wanted = Signal()
    move_wanted = Signal(bool)
    around_wanted = Signal()
    combine_wanted = Signal(str)
    turn_over_wanted = Signal()
    align_wanted = Signal(str)
    change_wanted = Signal(str)
    numbers_wanted = Signal(float, float)
    pen_changed = Signal()
    own_wanted = Signal(object)
    keep_wanted = Signal()
    forget_wanted = Signal(str)

    def __init__(self):
        super().__init__()
        self.radius_mm, self.word_mm = 2.0, 12.0
        self._build_places()
        self._build_figures()
        self._build_words()
        self._build_kept()
        self.add(
            (label(self.tr("Colour")), self._colour),
            (label(self.tr("Where")), self._where),
            self._figures,
            (label(self.tr("Corners")), self.corners, label(self.tr("Radius")), self._radius),
            (label(self.tr("Line width")), self._line, self.round_ends),
            self.as_drawn,
            self.text,
            self.fonts,
            (label(self.tr("Size")), self._size),
            (self._place, self._along),
            self.kept,
            self.tools,
        )

    def _build_places(self):
        self._colour = QComboBox()
        self._colour.setAccessibleName(self.tr("Colour of what is laid on"))
        self._colour.activated.connect(self._take_colour)
        self._other: list[str] = []
        self._where = QComboBox()
        self._where.setAccessibleName(self.tr("Where it is laid on"))
        self._where.setToolTip(self.tr("Regions are chosen under “Several regions”; they count with all they enclose"))
        for text, key in (
            (self.tr("Everywhere"), EVERYWHERE),
            (self.tr("Only on the chosen regions"), WITHIN),
            (self.tr("Not on the chosen regions"), BESIDE),
        ):
            self._where.addItem(text, key)

    def _build_figures(self):
        self._radius = LengthEdit(self.tr("Radius of the corners"), 0.0, 200.0)
        self._radius.committed.connect(lambda mm: setattr(self, "radius_mm", mm))
        self.corners = QSpinBox()
        self.corners.setRange(3, 48)
        self.corners.setValue(5)
        self.corners.setAccessibleName(self.tr("Points of the star, corners of the polygon"))
        self.line_mm = 2.0
        self._line = LengthEdit(self.tr("Width of lines and bows"), 0.05, 200.0)
        self._line.committed.connect(self._take_width)
        self.as_drawn = QCheckBox(self.tr("As wide as drawn"))
        self.as_drawn.setToolTip(self.tr("A line or bow gets the width of what is drawn there, measured along it; else "
                                         "the width given here"))
        self.round_ends = QCheckBox(self.tr("Round ends"))
        self.round_ends.setChecked(True)
        self._figures = QWidget()
        grid = QGridLayout(self._figures)
        grid.setContentsMargins(0, 0, 0, 0)
        grid.setSpacing(6)
        for n, (kind, text, tip) in enumerate(
            (
                (CIRCLE, self.tr("Circle…"), self.tr("Drag a box; the circle fills it")),
                (ROUNDED, self.tr("Rectangle…"), self.tr("Drag a box; the corners are rounded by the radius")),
                (STAR, self.tr("Star…"), self.tr("Drag a box; the star fills it")),
                (POLYGON, self.tr("Polygon…"), self.tr("Drag a box; the polygon fills it")),
                (
                    PATH,
                    self.tr("Path along edges…"),
                    self.tr("Click from place to place; it follows the picture's edges in between"),
                ),
                (
                    LINE,
                    self.tr("Line…"),
                    self.tr("Draw it by hand, or click from point to point; it gets the width below. Esc ends."),
                ),
                (
                    BOW,
                    self.tr("Bow…"),
                    self.tr("Click both ends, then a place it passes through: an even bar, spine or stripe. Esc ends."),
                ),
                (AREA, self.tr("Area…"), self.tr("Draw round it by hand; the inside is filled, or cut out")),
                (
                    REGION,
                    self.tr("From a region…"),
                    self.tr("Click a region: its outline becomes a shape that can be moved and copied"),
                ),
            )
        ):
            one = button(text, "", tip)
            one.clicked.connect(lambda _=False, k=kind: self.figure_wanted.emit(k))
            grid.addWidget(one, n // 2, n % 2)
        self.own = button(self.tr("My figures"), "", self.tr("Figures you have kept, for this work and later ones"))
        self._own_menu = QMenu(self.own)
        self._own_menu.aboutToShow.connect(self._fill_own)
        self.own.setMenu(self._own_menu)
        grid.addWidget(self.own, (n + 1) // 2, (n + 1) % 2)

    def _fill_own(self):
        """Read anew each time: another window may have kept one."""
        menu, kept = self._own_menu, user_data.figures()
        menu.clear()
        for one in reversed(kept):
            menu.addAction(drawn_icon(one.rings, "#5a544a", True), one.name,
                           lambda one=one: self.own_wanted.emit(one)).setToolTip(
                               self.tr("Drag a box; the figure fills it"))
        if not kept:
            menu.addAction(self.tr("None kept yet: choose a shape and keep it")).setEnabled(False)
        menu.addSeparator()
        menu.addAction(self.tr("Keep the chosen shape as a figure…"), self.keep_wanted.emit).setEnabled(
            len(self.kept.chosen()) == 1)
        if kept:
            gone = menu.addMenu(self.tr("Take one out"))
            for one in reversed(kept):
                gone.addAction(one.name, lambda one=one: self.forget_wanted.emit(one.name))

    def _build_words(self):
        self.text = QLineEdit()
        self.text.setAccessibleName(self.tr("Words"))
        self.text.setPlaceholderText(self.tr("Words to lay on"))
        self.text.setMaxLength(200)
        self.text.setToolTip(self.tr("Enter, then a click where their middle is to be"))
        self.text.returnPressed.connect(lambda: self.text.text().strip() and self.word_wanted.emit(False))
        self.fonts = QComboBox()
        self.fonts.setAccessibleName(self.tr("Font"))
        self.fonts.setMaxVisibleItems(16)
        self.fonts.setSizeAdjustPolicy(QComboBox.SizeAdjustPolicy.AdjustToMinimumContentsLengthWithIcon)
        self._size = LengthEdit(self.tr("Size of the letters"), 1.0, 500.0)
        self._size.committed.connect(lambda mm: setattr(self, "word_mm", mm))
        self._place = button(self.tr("Place…"), "target", self.tr("Click where the middle of the words is to be"))
        self._along = button(self.tr("Along a path…"), "vector", self.tr("Draw the line the words stand on"))
        self._place.clicked.connect(lambda: self.word_wanted.emit(False))
        self._along.clicked.connect(lambda: self.word_wanted.emit(True))
        for part in (self._place, self._along):
            part.setEnabled(False)
        self.text.textChanged.connect(
            lambda text: [p.setEnabled(bool(text.strip())) for p in (self._place, self._along)]
        )

    def _build_kept(self):
        self.kept = KeptList(self, "shapes", self.tr("Shapes laid on, the latest first"), self.tr("shape"))
        self.kept.chosen_changed.connect(self._enable)
        self.tools = ShapeTools()
        self.move_one, self.copies = self.tools.move_one, self.tools.copies
        for name in ("move", "around", "combine", "turn_over", "align", "change", "numbers"):
            getattr(self.tools, f"{name}_wanted").connect(getattr(self, f"{name}_wanted"))

    def show_fonts(self, fonts) -> None:
        self.fonts.clear()
        for font in fonts:
            self.fonts.addItem(font.name, font)

    def font(self):
        return self.fonts.currentData()

    def hex(self) -> str | None:
        """The colour chosen; None cuts out."""
        return self._colour.currentData()

    def where(self) -> str:
        """Whether all of it is laid on, or only what lies on the chosen regions or beside them."""
        return self._where.currentData()

    def bring_colour(self, hex_colour: str) -> None:
        """A colour that the picture does not have."""
        if hex_colour not in self._other:
            self._other.append(hex_colour)
        self._fill_colours(hex_colour)

    def _take_width(self, mm):
        self.line_mm = mm
        self.pen_changed.emit()

    def _take_colour(self, _):
        if self._colour.currentData() == "other":
            self._fill_colours(self._last)
            self.other_colour_wanted.emit()
        self._last = self._colour.currentData()
        self.pen_changed.emit()

    def _fill_colours(self, chosen):
        hexes = [] if self.work is None else [e.hex for e in self.work.segmentation.entries]
        self._colour.blockSignals(True)
        self._colour.clear()
        for one in dict.fromkeys([*hexes, *self._other]):
            self._colour.addItem(swatch(one, 16), colour_word(one), one)
        self._colour.addItem(self.tr("Cut out of all sheets"), None)
        self._colour.addItem(self.tr("Another colour…"), "other")
        at = next((n for n in range(self._colour.count()) if self._colour.itemData(n) == chosen), 0)
        self._colour.setCurrentIndex(at)
        self._last = self._colour.currentData()
        self._colour.blockSignals(False)

    def show_work(self, work) -> None:
        chosen = self._colour.currentData() if self._colour.count() else (work.plans[-1].key if work.plans else None)
        super().show_work(work)
        self._fill_colours(chosen)
        unit = work.recipe.unit
        self._radius.show_value(self.radius_mm, unit)
        self._line.show_value(self.line_mm, unit)
        self._size.show_value(self.word_mm, unit)
        self.kept.show_rows(
            lambda _, s: (
                lambda: drawn_icon(s.rings, s.hex, True),
                s.name if s.hex is not None else self.tr("{0}, cut out").format(s.name),
            )
        )
        self.tools.setVisible(bool(work.recipe.shapes))
        self._enable()

    def _enable(self):
        self.tools.let(len(self.kept.chosen()))

    def give_colour(self, hex_colour: str | None) -> None:
        """The chosen shapes get a colour; None cuts them out of all sheets."""
        chosen = self.kept.chosen()
        self.replace_each({n: replace(self.recipe.shapes[n], hex=hex_colour) for n in chosen},
                          self.tr("coloured shape"))

    def lay_on(self, shape, what: str) -> None:
        """Another shape, which is then the chosen one."""
        self.kept.choose_once_there(len(self.recipe.shapes))
        self.emit(what, shapes=(*self.recipe.shapes, shape))

    def replace_each(self, made: dict, what: str) -> None:
        """Other shapes in the places of some, by their numbers."""
        self.emit(what, shapes=tuple(made.get(n, shape) for n, shape in enumerate(self.recipe.shapes)))

    def replace_shapes(self, gone, made, what: str) -> None:
        """Other shapes in place of some; the first of them stands where the first stood."""
        shapes = list(self.recipe.shapes)
        first = min(gone)
        rest = [s for n, s in enumerate(shapes) if n not in set(gone)]
        at = sum(n not in set(gone) for n in range(first))
        self.emit(what, shapes=(*rest[:at], *made, *rest[at:]))

