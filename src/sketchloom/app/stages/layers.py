"""Layers stage: which sheet lies where, and what each choice costs."""

from dataclasses import replace

from PySide6.QtCore import Qt, Signal
from PySide6.QtGui import QKeySequence, QShortcut

from sketchloom.app.parts.choice_strip import ChosenWords
from sketchloom.app.parts.tool_row import APART, CHOOSE, LAYER_ROW, SECTION, ToolRow
from sketchloom.app.parts.uncut_note import UncutNote
from sketchloom.app.parts.widgets import Choice, Figures, Panel, label
from sketchloom.app.stages.drawer import Drawer, called_one_at_a_time
from sketchloom.app.stages.layering.chosen_box import ChosenBox
from sketchloom.app.stages.layering.details_box import DetailsBox
from sketchloom.app.stages.layering.every_layer_box import EveryLayerBox
from sketchloom.app.stages.layering.laying_box import LayingBox
from sketchloom.app.stages.layering.line_art_box import LineArtBox
from sketchloom.app.stages.layering.look_box import LookBox
from sketchloom.app.stages.layering.order_box import OrderBox
from sketchloom.app.stages.layering.order_note import OrderNote
from sketchloom.app.stages.layering.sheet_list import SheetList
from sketchloom.app.stages.layering.way_box import WayBox
from sketchloom.app.stages.layering.ways_table import WaysTable
from sketchloom.core.base.units import format_length


class LayersPanel(Panel):
    """Order, way of layering, and edits of single layers."""

    change = Signal(object, str, str)
    selected = Signal(object)
    apart_wanted = Signal(bool)
    section_wanted = Signal(bool)
    table_wanted = Signal()
    choose_wanted = Signal()

    def __init__(self, parent=None):
        super().__init__("", parent)
        self.head(self.tr("Layers"))
        self._recipe = self._work = self._compared_of = self._ways_of = self._line_art_of = None
        self._names = {
            "stacked": self.tr("Stacked"),
            "fitted": self.tr("Fitted"),
            "windowed": self.tr("Windowed"),
            "lean": self.tr("Lean"),
            "based": self.tr("Base"),
        }
        self._compared = WaysTable(self._names)
        self.chosen = ChosenBox(self._names)
        self.chosen.change.connect(self.change)
        self.chosen.moved.connect(self._move)
        self.chosen.table_wanted.connect(self.table_wanted)
        self.every = EveryLayerBox()
        self._build_list()
        self.way = WayBox(self._names, self._compared)
        self.way.change.connect(self.change)
        self.add(self.way, self.every.laid_on)
        self._build_boxes()
        self.order_note = OrderNote()
        self.order_note.change.connect(self.change)
        self._figures = Figures()
        self.add(self.order_note, self._figures)
        self.uncut = UncutNote()
        self.add(self.uncut)
        self.column.addStretch(1)

    def _build_list(self):
        self.tools = ToolRow(LAYER_ROW)
        self.tools.taken.connect(self._take_tool)
        self._views, self._is_choosing = {APART: False, SECTION: False}, False
        self._list = SheetList()
        self._list.ordered.connect(self._take_order)
        self._list.named.connect(self._take_name)
        self._list.currentItemChanged.connect(lambda *_: self._show_current())
        for keys, up in (("Ctrl+Up", True), ("Ctrl+Down", False)):  # the list would take them as moves of its mark
            shortcut = QShortcut(QKeySequence(keys), self, context=Qt.ShortcutContext.WidgetWithChildrenShortcut)
            shortcut.activated.connect(lambda u=up: self.move_current(u))
        self._list.set_details(self.chosen)
        self.piece = ChosenWords()
        self.piece.hide()
        self.add(self.tools, self.piece, label(self.tr("Uppermost first; drag to reorder, F2 to name."), "quiet"),
                 self._list)
        self.section(self.tr("How they are laid"))

    def _build_boxes(self):
        self.orders, self.line_art, self.look = OrderBox(), LineArtBox(), LookBox()
        self.details, self.laying = DetailsBox(), LayingBox()
        self.every.add(*self.chosen.for_all)
        self.selected.connect(self.orders.show_chosen)
        for box in (self.orders, self.every):
            box.change.connect(self.change)
        self.drawers = {name: Drawer(title, box) for name, title, box in (
            ("ways", self.tr("The ways side by side"), self._compared),
            ("order", self.tr("What the order is to save"), self.orders),
            ("line_art", self.tr("Line art to sheets"), self.line_art),
            ("look", self.tr("How it will look"), self.look),
            ("details", self.tr("Openings, or pieces on top"), self.details),
            ("laying", self.tr("Pieces and how they are laid"), self.laying),
            ("every", self.tr("All layers"), self.every),
        )}
        self.details_fold, self.laying_fold = self.drawers["details"], self.drawers["laying"]
        called_one_at_a_time(self.drawers, self.tools)
        self.add(*self.drawers.values())

    def purpose(self):
        return self.tr("Which sheet lies on which, what each is cut from, and what every way of layering costs.")

    def landmarks(self):
        return (
            (self.tools, self.tr("Click a layer on the bench, pull the stack apart, or see it from the side.")),
            (self._list, self.tr("One row a sheet, the uppermost first. The chosen one unfolds: name, colour, "
                                 "material, lock. Drag to reorder.")),
            (self.ways, self.tr("How sheets lie under each other: whole, fitted, with windows. The proposed way has "
                                "its reason below.")),
            (self.every.laid_on, self.tr("The shirt, wall or card: what looks like it needs no sheet.")),
            (self.order_note, self.tr("Whether another order would save cutting, and how much.")),
        )

    # -- showing -----------------------------------------------------------------------

    def show_document(self, document) -> None:
        self._recipe = self.orders.recipe = self.chosen.recipe = document.recipe
        self.way.show_recipe(document.recipe)
        self.every.show_recipe(document.recipe)

    def show_work(self, work) -> None:
        self._work = work
        unit = work.recipe.unit
        self.way.show_work(work, self._recipe)
        self.drawers["line_art"].explain("" if work.reading == "tone" else self.tr(
            "Line art is gathered where a drawing is read as ink against paper: choose Tone under Trace."))
        if work.reading == "tone":
            self.line_art.show_work(work)
            if self._line_art_of is not work.picture and not work.rough:
                self.drawers["line_art"].head.setChecked(True)  # what such pictures come here for
                self._line_art_of = work.picture
        self.orders.show_work(work)
        self.orders.recipe = self._recipe or work.recipe  # the document may be ahead of what is shown
        if self._compared_of is not work.traced:
            self._compared.clear_figures()
        elif self._ways_of is not work:
            self._compared.fade()
        self._list.show_sheets(work, self._recipe or work.recipe)
        self._show_current()
        self.order_note.show_work(work, self._recipe or work.recipe)
        area = sum(x.area_mm2 for x in work.layers)
        narrow = [x.min_feature_mm for x in work.layers if x.min_feature_mm is not None]
        self._figures.show_values(
            (
                (self.tr("Pieces to lay"), str(sum(x.outline.pieces for x in work.layers))),
                (self.tr("Holes"), str(sum(x.outline.holes for x in work.layers))),
                (self.tr("Cutting"), format_length(work.cut_length_mm, unit, 0)),
                *(
                    ((self.tr("Of it helper cuts"), format_length(work.weeding_length_mm, unit, 0)),)
                    if work.recipe.weeding_mm > 0
                    else ()
                ),
                (self.tr("Material"), self.tr("{0:.0f} cm²").format(area / 100)),
                (
                    self.tr("Narrowest place"),
                    format_length(min(narrow), unit, 2) if narrow else self.tr("none under 8 mm"),
                ),
            ), known=not work.rough)

    @property
    def ways(self) -> Choice:
        """The ways of layering."""
        return self.way.ways

    def show_ways(self, work, ways) -> None:
        """Figures of all ways of layering, which come a moment later."""
        self._compared_of, self._ways_of = work.traced, work
        self._compared.show_ways(ways, work.recipe.unit, work.laying.way)

    def _current(self):
        key = self._list.current_key()
        return next((p for p in self._work.plans if p.key == key), None) if self._work else None

    def _show_current(self):
        self.chosen.show_plan(self._work, self._current())
        self.announce()

    def announce(self) -> None:
        """Say again which layer is chosen."""
        plan = self._current()
        self.selected.emit(plan.key if plan else None)

    def select(self, key: str) -> None:
        self._list.select(key)

    @property
    def rows(self) -> SheetList:
        """The list of layers."""
        return self._list

    # -- edits -------------------------------------------------------------------------

    def _emit(self, what, **changes):
        if self._recipe is not None:
            self.change.emit(replace(self._recipe, **changes), what, "")

    def _keys_from_base(self):
        return tuple(reversed(self._list.keys()))

    def _take_order(self, *_):
        self._emit(self.tr("order"), order=self._keys_from_base())

    def _move(self, key, to):
        keys = [k for k in self._keys_from_base() if k != key]
        keys.insert(max(0, min(to, len(keys))), key)
        self._emit(self.tr("order"), order=tuple(keys))

    def move_to(self, key: str, place: int) -> None:
        """A sheet dragged to another place among those that are cut."""
        cut = [layer.plan.key for layer in self._work.layers if layer.plan.labels]
        if key in cut and cut:
            other = cut[
                max(0, min(place - sum(not layer.plan.labels for layer in self._work.layers[:1]), len(cut) - 1))
            ]
            self._move(key, self._keys_from_base().index(other))

    def set_heights(self, sheet_mm: float, spacer_mm: float) -> None:
        self._emit(self.tr("thickness of the sheets"), sheet_mm=sheet_mm, spacer_mm=spacer_mm)

    def show_views(self, apart: bool, section: bool) -> None:
        """Which views of the stack are open."""
        self._views = {APART: apart, SECTION: section}
        self._show_tools()

    def show_piece(self, words: str, acts=(), hexes=()) -> None:
        """The piece of a layer that is chosen on the bench, and what can be done to it; no words for none."""
        self.piece.setVisible(bool(words))
        if words:
            self.piece.show_choice(words, acts, hexes)

    def show_choosing(self, on: bool) -> None:
        """Whether a click on the bench chooses."""
        self._is_choosing = on
        self._show_tools()

    def _show_tools(self):
        on_bench = self._is_choosing and not self._views[APART]  # the stack has no things to choose
        self.tools.show_tool(CHOOSE if on_bench else None, *(name for name, on in self._views.items() if on))

    def _take_tool(self, name):
        if name == CHOOSE:
            self.choose_wanted.emit()
        else:
            self.turn_view(name)
        self._show_tools()

    def turn_view(self, name: str) -> None:
        """Open a view of the stack, or close it."""
        (self.apart_wanted if name == APART else self.section_wanted).emit(not self._views[name])

    def ask_name(self, key: str) -> None:
        """Let a layer's name be typed in its row."""
        self._list.select(key)
        self.ensureWidgetVisible(self._list)
        self._list.setFocus()
        self._list.editItem(self._list.currentItem())

    def move_current(self, up: bool) -> None:
        """Move the chosen layer one place up or down in the stack."""
        plan = self._current()
        if plan is not None:
            self._move(plan.key, self._work.plans.index(plan) + (1 if up else -1))

    def _take_name(self, key, text):
        self.change.emit(self._recipe.with_edit(key, name=text or None), self.tr("layer name"), "")
