"""Layers stage: which sheet lies where, and what each choice costs."""

from dataclasses import replace

from PySide6.QtCore import Qt, Signal
from PySide6.QtGui import QKeySequence, QShortcut

from sketchloom.app.parts.fields import LengthEdit
from sketchloom.app.parts.uncut_note import UncutNote
from sketchloom.app.parts.widgets import Choice, Figures, Panel, button, label
from sketchloom.app.stages.fold import Fold
from sketchloom.app.stages.layering.chosen_box import ChosenBox
from sketchloom.app.stages.layering.details_box import DetailsBox
from sketchloom.app.stages.layering.every_layer_box import EveryLayerBox
from sketchloom.app.stages.layering.laying_box import LayingBox
from sketchloom.app.stages.layering.line_art_box import LineArtBox
from sketchloom.app.stages.layering.look_box import LookBox
from sketchloom.app.stages.layering.order_box import OrderBox
from sketchloom.app.stages.layering.order_note import OrderNote
from sketchloom.app.stages.layering.sheet_list import SheetList
from sketchloom.app.stages.layering.ways_table import WaysTable
from sketchloom.app.words import named
from sketchloom.core.base.units import format_length
from sketchloom.core.layers.ways import PROPOSED, UNDER
from sketchloom.recipe.sections import MAX_OVERLAP_MM


class LayersPanel(Panel):
    """Order, way of layering, and edits of single layers."""

    change = Signal(object, str, str)
    selected = Signal(object)
    apart_wanted = Signal(bool)
    section_wanted = Signal(bool)
    table_wanted = Signal()

    def __init__(self, parent=None):
        super().__init__("", parent)
        self.column.itemAt(0).widget().setText(self.tr("Layers"))
        self._recipe, self._work, self._compared_of, self._ways_of = None, None, None, None
        self._names = {
            "stacked": self.tr("Stacked"),
            "fitted": self.tr("Fitted"),
            "windowed": self.tr("Windowed"),
            "lean": self.tr("Lean"),
            "based": self.tr("Base"),
        }
        self.chosen = ChosenBox(self._names)
        self.chosen.change.connect(self.change)
        self.chosen.moved.connect(self._move)
        self.chosen.table_wanted.connect(self.table_wanted)
        self._build_list()
        self._build_ways()
        self._build_boxes()
        self.order_note = OrderNote()
        self.order_note.change.connect(self.change)
        self._figures = Figures()
        self.add(self.order_note, self._figures)
        self.uncut = UncutNote()
        self.add(self.uncut)
        self.section(self.tr("All layers"))
        self.every = EveryLayerBox()
        self.every.change.connect(self.change)
        self.add(self.every)
        self.column.addStretch(1)

    def _build_ways(self):
        tips = {
            "stacked": self.tr("A solid base, each sheet whole under what lies above"),
            "fitted": self.tr("Each sheet cut to what is seen of it, and a little more under what covers it"),
            "windowed": self.tr("Whole sheets with windows through which lower ones show: few pieces to lay"),
            "lean": self.tr("What is covered is chosen so that least is cut"),
            "based": self.tr("The lowest sheet whole, cut once around; every other fitted on it, a hair under its "
                             "neighbours"),
        }
        self._way = Choice(tuple((key, name, tips[key]) for key, name in self._names.items()),
                           self.tr("Way of layering"))
        self._way.chosen.connect(self._take_way)
        self._way_note = label("", "quiet")
        self._propose_way = button(self.tr("Use the proposed way"), "arrow-bar-to-down")
        self._propose_way.clicked.connect(lambda: self._emit(self.tr("proposed way"), layering=PROPOSED))
        self._compared = WaysTable(self._names)
        self._compared.taken.connect(self._take_way)
        self._overlap = LengthEdit(self.tr("Overlap under what covers"), 0.0, MAX_OVERLAP_MM)
        self._overlap.committed.connect(lambda mm: self._emit(self.tr("overlap"), overlap_mm=mm))
        self._overlap_label = label(self.tr("Overlap"))
        self._overlap_label.setToolTip(self.tr("How far a sheet goes on under what covers it, up to 2 mm"))
        self._apart = button(self.tr("Pull apart"), "stack-2", self.tr("The sheets at a slant above each other"),
                             checkable=True)
        self._apart.clicked.connect(self.apart_wanted)
        self._section = button(self.tr("Section"), "arrows-split-2",
                               self.tr("The stack from the side, along a line on the bench"), checkable=True)
        self._section.clicked.connect(self.section_wanted)
        self.add(
            self._way,
            self._way_note,
            self._propose_way,
            (self._overlap_label, self._overlap),
            self._compared,
            (self._apart, self._section),
        )

    def _build_list(self):
        self._list = SheetList()
        self._list.ordered.connect(self._take_order)
        self._list.named.connect(self._take_name)
        self._list.currentItemChanged.connect(lambda *_: self._show_current())
        for keys, up in (("Ctrl+Up", True), ("Ctrl+Down", False)):  # the list would take them as moves of its mark
            shortcut = QShortcut(QKeySequence(keys), self, context=Qt.ShortcutContext.WidgetWithChildrenShortcut)
            shortcut.activated.connect(lambda u=up: self.move_current(u))
        self._list.set_details(self.chosen)
        self.add(label(self.tr("Uppermost first; click one for all about it, drag to reorder (Ctrl+↑, Ctrl+↓), F2 to "
                               "name."), "quiet"), self._list)
        self.section(self.tr("How they are laid"))

    def _build_boxes(self):
        self.orders = OrderBox()
        self.orders.change.connect(self.change)
        self.selected.connect(self.orders.show_chosen)
        self.add(Fold(self.tr("What the order is to save"), self.orders))
        self.line_art = LineArtBox()
        self._line_art = Fold(self.tr("Line art to sheets"), self.line_art)
        self.add(self._line_art)
        self.look = LookBox()
        self.add(Fold(self.tr("How it will look"), self.look))
        self.details = DetailsBox()
        self.details_fold = Fold(self.tr("Openings, or pieces on top"), self.details)
        self.add(self.details_fold)
        self.laying = LayingBox()
        self.laying_fold = Fold(self.tr("Pieces and how they are laid"), self.laying)
        self.add(self.laying_fold)

    # -- showing -----------------------------------------------------------------------

    def show_document(self, document) -> None:
        self._recipe = self.orders.recipe = self.chosen.recipe = document.recipe
        self._show_way()
        self.every.show_recipe(document.recipe)

    def show_work(self, work) -> None:
        self._work = work
        unit = work.recipe.unit
        way = work.laying.way
        self._show_way()
        kind = {
            "stacked": self.tr("Forgiving to lay, thick, uses the most material."),
            "fitted": self.tr("Thin and flat; with an overlap it forgives that much, without one a gap shows at once."),
            "windowed": self.tr("Fewest pieces to lay; whole sheets, so much film and the greatest thickness."),
            "lean": self.tr("Least cutting; looks the same from above, and forgives as much as the overlap."),
            "based": self.tr("One base to lay the rest on; forgives as much as the overlap."),
        }[way]
        self._way_note.setText(
            kind if not work.laying.why else self.tr("Proposed: {0}.").format(named(work.laying.why)) + " " + kind)
        self._show_overlap(work)
        self._line_art.explain("" if work.reading == "tone" else self.tr(
            "Line art is gathered where a drawing is read as ink against paper: choose Tone under Trace."))
        if work.reading == "tone":
            self.line_art.show_work(work)
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
                (self.tr("Sheets"), str(len(work.layers))),
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

    def _show_overlap(self, work):
        for part in (self._overlap, self._overlap_label):
            part.setEnabled(work.laying.way in UNDER or any(e.layering in UNDER for e in work.recipe.layers))
        self._overlap.show_value(work.laying.overlap_mm, work.recipe.unit)

    @property
    def ways(self) -> Choice:
        """The ways of layering."""
        return self._way

    def show_ways(self, work, ways) -> None:
        """Figures of all ways of layering, which come a moment later."""
        self._compared_of, self._ways_of = work.traced, work
        self._compared.show_ways(ways, work.recipe.unit, work.laying.way)

    def _show_way(self):
        """Which way is taken: the one asked for, else the one that the last work was proposed."""
        asked = self._recipe.layering if self._recipe is not None else PROPOSED
        self._propose_way.setVisible(asked != PROPOSED)
        if asked == PROPOSED and self._work is None:
            return
        way = self._work.laying.way if asked == PROPOSED else asked
        self._way.show_value(way)
        self._compared.mark(way)

    def _take_way(self, way):
        """Take a way with the overlap that is shown, proposed or not."""
        overlap = self._recipe.overlap_mm
        if overlap is None and way in UNDER and self._work is not None and self._work.laying.overlap_mm > 0:
            overlap = self._work.laying.overlap_mm
        self._emit(self.tr("way of layering"), layering=way, overlap_mm=overlap)

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
        self._apart.setChecked(apart)
        self._section.setChecked(section)

    def move_current(self, up: bool) -> None:
        """Move the chosen layer one place up or down in the stack."""
        plan = self._current()
        if plan is not None:
            self._move(plan.key, self._work.plans.index(plan) + (1 if up else -1))

    def _take_name(self, key, text):
        self.change.emit(self._recipe.with_edit(key, name=text or None), self.tr("layer name"), "")
