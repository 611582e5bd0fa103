"""What a click on a region does, which others are alike, and the colours to give."""

from PySide6.QtCore import QByteArray, QMimeData, Qt, Signal
from PySide6.QtWidgets import (
    QAbstractItemView,
    QCheckBox,
    QColorDialog,
    QComboBox,
    QListView,
    QListWidget,
    QListWidgetItem,
)

from sketchloom.app import theme
from sketchloom.app.bench.paint import COLOUR_MIME
from sketchloom.app.parts.widgets import Choice, button, label, swatch
from sketchloom.app.stages.box import Box
from sketchloom.app.words import colour_word
from sketchloom.core.edits.decisions import ABOVE, BELOW, COLOUR, DROP, KEEP, WINDOW
from sketchloom.desk.regions import Likeness

LIKE = {"size": Likeness(1.6), "any": Likeness(), "shape": Likeness(is_of_shape=True),
         "design": Likeness(is_in_design=True)}


class Colours(QListWidget):
    """The palette as swatches; one can be dragged onto a region."""

    def __init__(self):
        super().__init__()
        self.setObjectName("swatches")
        self.setViewMode(QListView.ViewMode.IconMode)
        self.setFlow(QListView.Flow.LeftToRight)
        self.setMovement(QListView.Movement.Static)
        self.setResizeMode(QListView.ResizeMode.Adjust)
        self.setIconSize(theme.size(28, 28))
        self.setGridSize(theme.size(36, 36))
        self.setDragEnabled(True)
        self.setDragDropMode(QAbstractItemView.DragDropMode.DragOnly)
        self.setAccessibleName(self.tr("Colours to give"))
        self.setToolTip(self.tr("Choose a colour and click regions, or drag it onto one"))

    def mimeTypes(self):
        return [COLOUR_MIME]

    def mimeData(self, items):
        data = QMimeData()
        if items:
            data.setData(COLOUR_MIME, QByteArray(items[0].data(Qt.ItemDataRole.UserRole).encode()))
        return data

    def show_colours(self, hexes) -> None:
        chosen, hexes = self.chosen(), list(hexes)
        if hexes == [self.item(row).data(Qt.ItemDataRole.UserRole) for row in range(self.count())]:
            return
        self.blockSignals(True)
        self.clear()
        for one in hexes:
            item = QListWidgetItem(swatch(one, 28), "")
            item.setData(Qt.ItemDataRole.UserRole, one)
            item.setToolTip(f"{colour_word(one)}  {one}")
            item.setData(Qt.ItemDataRole.AccessibleTextRole, f"{colour_word(one)} {one}")
            self.addItem(item)
            if one == chosen:
                self.setCurrentItem(item)
        rows = -(-max(self.count(), 1) // 8)
        self.setFixedHeight(theme.px(36 * min(rows, 3) + 8))
        self.blockSignals(False)

    def chosen(self) -> str | None:
        item = self.currentItem()
        return item.data(Qt.ItemDataRole.UserRole) if item else None


class RegionsBox(Box):
    """Drop, open or colour; all alike; everything off."""

    hold_wanted = Signal()
    box_wanted = Signal()
    lasso_wanted = Signal()
    magnify = Signal(bool)
    only_wanted = Signal()

    def __init__(self):
        super().__init__()
        self._build_clicks()
        self._build_colours()
        self._build_alike()
        self._off = QCheckBox(self.tr("Everything off, then choose"))
        self._off.setToolTip(self.tr("Nothing is there but the regions you click"))
        self._off.clicked.connect(lambda on: self.emit(self.tr("everything off"), all_off=on))
        self.outside = QCheckBox(self.tr("The outside too"))
        self.outside.setToolTip(self.tr("What lies around the drawing, up to the edge of the page, is left alone while "
                                        "this is off"))
        self._large = QCheckBox(self.tr("Magnify what is small"))
        self._large.setChecked(True)
        self._large.clicked.connect(self.magnify)
        self._only = QComboBox()
        self._only.setAccessibleName(self.tr("Show only"))
        self._only.setToolTip(self.tr("Everything else is hatched; clicks work all the same"))
        self._only.activated.connect(lambda _: self.only_wanted.emit())
        self.action = DROP
        self._way.show_value(DROP)
        self.add(
            label(self.tr("A click on a region"), "quiet"),
            self._way,
            self.colours,
            self._more,
            self._note,
            label(self.tr("Two clicks take all that are alike"), "quiet"),
            self._alike,
            (self._lasso, self._box),
            (label(self.tr("Show")), self._only),
            self._off,
            self.outside,
            self._large,
        )
        self._show_note()

    def _build_clicks(self):
        self._way = Choice(
            (
                (DROP, self.tr("Drop"), self.tr("The region goes to what lies around it")),
                (WINDOW, self.tr("Open"), self.tr("The region becomes a window through all sheets")),
                (COLOUR, self.tr("Colour"), self.tr("The region gets the colour chosen below")),
                (
                    BELOW,
                    self.tr("Below"),
                    self.tr(
                        "The region shows through a window from a sheet of its colour below all others, as an eye does"
                    ),
                ),
                (
                    ABOVE,
                    self.tr("On top"),
                    self.tr(
                        "The region is a piece on a sheet of its colour above all others; in Layers that sheet can be "
                        "put at any height"
                    ),
                ),
            ),
            self.tr("A click"),
        )
        self._way.chosen.connect(self._take_way_up)

    def _build_colours(self):
        self._note = label("", "quiet")
        self._brought: list[str] = []
        self._more = button(
            self.tr("Another colour…"),
            "plus",
            self.tr("A colour that the picture does not have; it gets a sheet of its own"),
        )
        self._more.clicked.connect(self._ask_colour)
        self.colours = Colours()
        self.colours.itemClicked.connect(lambda _: self._take_way(COLOUR))

    def _build_alike(self):
        self._alike = Choice((
            ("size", self.tr("Like in size"), self.tr("The same colour, and not much larger or smaller")),
            ("any", self.tr("Any size"), self.tr("All of the same colour")),
            ("design", self.tr("In this design"), self.tr("All of the same colour in what hangs together here")),
            ("shape", self.tr("Like in shape"), self.tr("The same shape in any size, colour or turn")),
        ), self.tr("Two clicks take all that are"), 2)
        self._alike.show_value("size")
        self._alike.chosen.connect(lambda key: setattr(self, "_alike_key", key))
        self._alike_key = "size"
        self._lasso = button(self.tr("Lasso…"), "lasso", self.tr("Draw round the regions"))
        self._box = button(self.tr("Box…"), "crop", self.tr("Drag a box round the regions"))
        self._lasso.clicked.connect(self.lasso_wanted)
        self._box.clicked.connect(self.box_wanted)

    def _ask_colour(self):
        colour = QColorDialog.getColor(parent=self, title=self.tr("A colour for regions"))
        if colour.isValid():
            self.bring_colour(colour.name())
            self._take_way_up(COLOUR)

    def bring_colour(self, hex_colour: str) -> None:
        """Another colour to give, which is then the chosen one."""
        if hex_colour not in self._brought:
            self._brought.append(hex_colour)
        self._show_colours()
        for row in range(self.colours.count()):
            if self.colours.item(row).data(Qt.ItemDataRole.UserRole) == hex_colour:
                self.colours.setCurrentRow(row)
        self._take_way(COLOUR)

    @property
    def brought(self) -> tuple[str, ...]:
        """Colours that were brought beside those of the picture, the latest first."""
        return tuple(reversed(self._brought))

    def note_colour(self, hex_colour: str) -> None:
        """A colour was given elsewhere: it is offered from now on."""
        known = [] if self.work is None else [e.hex for e in self.work.segmentation.entries]
        if hex_colour not in (*known, *self._brought):
            self._brought.append(hex_colour)
            self._show_colours()

    def _show_colours(self):
        hexes = [] if self.work is None else [e.hex for e in self.work.segmentation.entries]
        self.colours.show_colours(dict.fromkeys([*hexes, *self._brought]))
        if self.action == COLOUR and self.colours.chosen() is None:
            self._take_way(DROP)  # the colour that was chosen is none of this work's

    def _take_way_up(self, key):
        """Who says what a click does to a region clicks regions next."""
        self._take_way(key)
        self.hold_wanted.emit()

    def _take_way(self, key):
        self.action = key
        self._way.show_value(key)
        if key == COLOUR and self.colours.chosen() is None and self.colours.count():
            self.colours.setCurrentRow(0)
        self._show_note()

    def _show_note(self):
        if self.recipe is not None and self.recipe.all_off and self.action != COLOUR:
            text = self.tr("A click brings a region in; a second one takes it out again.")
        else:
            text = {
                DROP: self.tr("It goes to what lies around it; a hole is filled."),
                WINDOW: self.tr("It is opened through all sheets."),
                BELOW: self.tr("It shows through a window from a sheet below all others; Layers can move that sheet."),
                ABOVE: self.tr("It lies on a sheet above all others; Layers can move that sheet."),
                COLOUR: self.tr("It gets the colour chosen above, and that colour's sheet."),
            }[self.action]
            text += (self.tr(" Drag to sweep over many.") if self.action == COLOUR else
                     self.tr(" Click again to bring it back; drag to sweep over many."))
        self._note.setText(text)

    def wanted(self) -> tuple[str, str | None]:
        """The action of a click and its colour."""
        if self.recipe is not None and self.recipe.all_off and self.action != COLOUR:
            return KEEP, None
        return self.action, self.colours.chosen() if self.action == COLOUR else None

    def likeness(self) -> Likeness:
        """What makes regions alike."""
        return LIKE[self._alike_key]

    def only(self) -> str | None:
        """A colour, or ``changed``, that alone is to be seen; None for everything."""
        return self._only.currentData()

    def _fill_only(self, hexes):
        kept = self.only()
        self._only.clear()
        self._only.addItem(self.tr("Everything"), None)
        self._only.addItem(self.tr("Only what was changed"), "changed")
        for one in hexes:
            self._only.addItem(swatch(one, 16), self.tr("Only {0}").format(colour_word(one)), one)
        self._only.setCurrentIndex(max(self._only.findData(kept), 0))

    def show_work(self, work) -> None:
        super().show_work(work)
        hexes = [e.hex for e in work.segmentation.entries]
        self._show_colours()
        self._fill_only(hexes)
        self._off.setChecked(work.recipe.all_off)
        self._show_note()
