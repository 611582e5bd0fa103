"""Layers stage: which sheet lies where, and what each choice costs."""

from dataclasses import replace

from PySide6.QtCore import Qt, Signal
from PySide6.QtGui import QColor, QKeySequence, QShortcut
from PySide6.QtWidgets import QColorDialog, QComboBox, QLineEdit

from sketchloom.app.parts.fields import LengthEdit
from sketchloom.app.parts.widgets import UNKNOWN, Choice, Figures, Panel, button, label, swatch
from sketchloom.app.stages.fold import Fold
from sketchloom.app.stages.layering.details_box import DetailsBox
from sketchloom.app.stages.layering.laying_box import LayingBox
from sketchloom.app.stages.layering.line_art_box import LineArtBox
from sketchloom.app.stages.layering.look_box import LookBox
from sketchloom.app.stages.layering.order_box import OrderBox
from sketchloom.app.stages.layering.sheet_list import NAME_MOST, SheetList
from sketchloom.app.stages.layering.ways_table import WaysTable
from sketchloom.app.words import named
from sketchloom.core.base.units import format_length
from sketchloom.core.base.words import languages
from sketchloom.core.layers.ways import PROPOSED, UNDER
from sketchloom.core.sheets.material import BLADE, LASER, ROUTER
from sketchloom.evaluate.sheet_order import grouped_by_sheet, order_shares
from sketchloom.files.user_data import materials
from sketchloom.recipe.document import SETTINGS
from sketchloom.recipe.sections import MAX_OVERLAP_MM


class LayersPanel(Panel):
    """Order, way of layering, and edits of single layers."""

    change = Signal(object, str, str)
    selected = Signal(object)
    apart_wanted = Signal(bool)
    section_wanted = Signal(bool)
    table_wanted = Signal()

    def __init__(self):
        super().__init__("")
        self.column.itemAt(0).widget().setText(self.tr("Layers"))
        self._recipe, self._work, self._compared_of, self._ways_of = None, None, None, None
        self._names = {
            "stacked": self.tr("Stacked"),
            "fitted": self.tr("Fitted"),
            "windowed": self.tr("Windowed"),
            "lean": self.tr("Lean"),
            "based": self.tr("Base"),
        }
        self._way = Choice(
            (
                ("stacked", self._names["stacked"], self.tr("A solid base, each sheet whole under what lies above")),
                (
                    "fitted",
                    self._names["fitted"],
                    self.tr("Each sheet cut to what is seen of it, and a little more under what covers it"),
                ),
                (
                    "windowed",
                    self._names["windowed"],
                    self.tr("Whole sheets with windows through which lower ones show: few pieces to lay"),
                ),
                ("lean", self._names["lean"], self.tr("What is covered is chosen so that least is cut")),
                (
                    "based",
                    self._names["based"],
                    self.tr("The lowest sheet whole, cut once around; every other fitted on it, a hair under its "
                            "neighbours"),
                ),
            ),
            self.tr("Way of layering"),
        )
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
        self._apart = button(
            self.tr("Pull apart"), "stack-2", self.tr("The sheets at a slant above each other"), checkable=True
        )
        self._apart.clicked.connect(self.apart_wanted)
        self._section = button(
            self.tr("Section"),
            "arrows-split-2",
            self.tr("The stack from the side, along a line on the bench"),
            checkable=True,
        )
        self._section.clicked.connect(self.section_wanted)
        self.add(
            self._way,
            self._way_note,
            self._propose_way,
            (self._overlap_label, self._overlap),
            self._compared,
            (self._apart, self._section),
        )
        self._list = SheetList()
        self._list.ordered.connect(self._take_order)
        self._list.named.connect(self._take_name)
        self._list.currentItemChanged.connect(lambda *_: self._show_current())
        for keys, up in (
            ("Ctrl+Up", True),
            ("Ctrl+Down", False),
        ):  # the list itself would take the keys as moves of its mark
            shortcut = QShortcut(QKeySequence(keys), self, context=Qt.ShortcutContext.WidgetWithChildrenShortcut)
            shortcut.activated.connect(lambda u=up: self.move_current(u))
        self.add(label(self.tr("Uppermost first; drag to reorder (Ctrl+↑, Ctrl+↓), F2 to name."), "quiet"), self._list)
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
        self._order = button(self.tr("Use the proposed order"), "arrow-bar-to-down")
        self._order.clicked.connect(self._take_proposed_order)
        self._order_note = label("", "quiet")
        self.add(self._order, self._order_note)
        self._figures = Figures()
        self.add(self._figures)
        self._build_edits()
        self.column.addStretch(1)

    def _build_edits(self):
        self.section(self.tr("Chosen layer"))
        self._name = QLineEdit()
        self._name.setAccessibleName(self.tr("Name of the layer"))
        self._name.setMaxLength(NAME_MOST)
        self._name.editingFinished.connect(self._rename)
        self._colour = button(self.tr("Cut colour…"), tip=self.tr("The colour of the sheet this layer is cut from"))
        self._colour.clicked.connect(self._recolour)
        self._out = button(self.tr("Leave out"), "circle", checkable=True,
                           tip=self.tr("No sheet for it: what it is laid on shows there"))
        self._out.clicked.connect(lambda on: self._edit(self.tr("left out"), left_out=on))
        self._base = button(self.tr("Make base"), "arrow-bar-to-down", self.tr("Move it under all others"))
        self._base.clicked.connect(self._make_base)
        self._merge = button(self.tr("Merge down"), "arrows-join-2", self.tr("One layer with the one below it"))
        self._merge.clicked.connect(self._merge_down)
        self._unmerge = button(self.tr("Part again"), "arrows-split-2", self.tr("Take apart what was merged"))
        self._unmerge.clicked.connect(self._part)
        self._lock = button(
            self.tr("Lock"),
            "pin",
            self.tr("Its regions, name and colour stay as they are; so do those of its group"),
            checkable=True,
        )
        self._lock.clicked.connect(lambda on: self._edit_group(self.tr("locked layer"), locked=on))
        self._hide = button(
            self.tr("Hide"),
            "eye-off",
            self.tr("It is not painted on the bench, but cut all the same; nor are those of its group"),
            checkable=True,
        )
        self._hide.clicked.connect(lambda on: self._edit_group(self.tr("hidden layer"), hidden=on))
        self._group = QLineEdit()
        self._group.setAccessibleName(self.tr("Group of the layer"))
        self._group.setPlaceholderText(self.tr("no group"))
        self._group.setMaxLength(40)
        self._group.editingFinished.connect(self._take_group)
        self._by_sheet = button(
            self.tr("By sheet"), "", self.tr("All layers that are cut from one colour and material become a group")
        )
        self._by_sheet.clicked.connect(
            lambda: (
                self._work is not None
                and self.change.emit(
                    grouped_by_sheet(self._recipe, self._work.plans), self.tr("layers grouped by sheet"), ""
                )
            )
        )
        self._own = QComboBox()
        self._own.setAccessibleName(self.tr("Way of layering of the chosen layer"))
        self._own.addItem(self.tr("Layered like the rest"), None)
        for key, name in self._names.items():
            self._own.addItem(self.tr("{0}, whatever the rest is").format(name), key)
        self._own.activated.connect(lambda _: self._edit(self.tr("way of one layer"), layering=self._own.currentData()))
        self._material = QComboBox()
        self._material.setAccessibleName(self.tr("Material of the chosen layer"))
        self.fill_materials()
        self._material.activated.connect(lambda _: self._take_material(self._material.currentData(), False))
        self._all_of_it = button(self.tr("All layers of it"), "", self.tr("Every layer is cut from this material"))
        self._table = button(self.tr("Materials…"), "", self.tr("The table of materials, to be changed"))
        self._table.clicked.connect(self.table_wanted)
        self._all_of_it.clicked.connect(lambda: self._take_material(self._material.currentData(), True))
        self._caution = label("", "caution")
        self._caution.hide()
        self._tool = Choice(
            ((BLADE, self.tr("Blade"), ""), (LASER, self.tr("Laser"), ""), (ROUTER, self.tr("Router"), "")),
            self.tr("What cuts"),
        )
        self._tool.chosen.connect(lambda tool: self._emit(self.tr("tool"), tool=tool))
        self._depth = LengthEdit(self.tr("Inner depth of a frame, 0 for none"), 0.0, 1000.0)
        self._depth.committed.connect(
            lambda mm: self._emit(self.tr("depth of the frame"), frame_depth_mm=mm if mm >= 0.1 else None)
        )
        self.add(
            (self._name, self._colour),
            (self._out, self._base),
            (self._merge, self._unmerge),
            (self._lock, self._hide),
            (label(self.tr("Group")), self._group, self._by_sheet),
            self._own,
            self._material,
            self._caution,
            (self._all_of_it, self._table),
        )
        self.section(self.tr("All layers"))
        self._laid_on = QComboBox()
        self._laid_on.setAccessibleName(self.tr("What the work is laid on"))
        for name, hex_colour in (
            (self.tr("Laid on: not said"), None),
            (self.tr("White shirt, wall or card"), "#ffffff"),
            (self.tr("Black shirt or card"), "#141414"),
            (self.tr("Grey"), "#9a9a9a"),
            (self.tr("Kraft card or wood"), "#b98d5e"),
            (self.tr("Another colour…"), "other"),
        ):
            if hex_colour in (None, "other"):
                self._laid_on.addItem(name, hex_colour)
            else:
                self._laid_on.addItem(swatch(hex_colour, 16), name, hex_colour)
        self._laid_on.activated.connect(self._take_ground)
        self.add(self._laid_on)
        self._weeding = LengthEdit(self.tr("A frame is cut so far around every sheet; 0 for none"), 0.0, 200.0)
        self._weeding.committed.connect(lambda mm: self._emit(self.tr("weeding frame"), weeding_mm=mm))
        self._every = LengthEdit(self.tr("Helper cuts through the waste so far apart; 0 for none"), 0.0, 500.0,
                                 SETTINGS["weeding_every_mm"].least_if_any)
        self._every.committed.connect(lambda mm: self._emit(self.tr("helper cuts"), weeding_every_mm=mm))
        self._names_in = QComboBox()
        self._names_in.setAccessibleName(self.tr("Language that layers are named in"))
        for code, name in languages().items():
            self._names_in.addItem(self.tr("Layers named in {0}").format(name), code)
        self._names_in.activated.connect(
            lambda _: self._emit(self.tr("language of names"), names_in=self._names_in.currentData())
        )
        self.add(self._names_in)
        self.add((label(self.tr("Weeding frame")), self._weeding), (label(self.tr("Helper cuts every")), self._every))
        self.add(label(self.tr("Cut by"), "quiet"), self._tool, (label(self.tr("Frame depth")), self._depth))

    def fill_materials(self) -> None:
        """The table of materials as it is now."""
        self._material.clear()
        self._material.addItem(self.tr("No material said"), None)
        for material in materials():
            words = self.tr("{0}, {1:g} mm").format(named(material.name), material.thickness_mm)
            self._material.addItem(words, material)
        if self._work is not None:
            self._show_current()

    # -- showing -----------------------------------------------------------------------

    def show_document(self, document) -> None:
        self._recipe = self.orders.recipe = document.recipe
        self._show_way()
        self._names_in.setCurrentIndex(self._names_in.findData(self._recipe.names_in))
        self._tool.show_value(self._recipe.tool)
        laid_on = self._recipe.laid_on
        at = self._laid_on.findData(laid_on)
        if at < 0:
            at = self._laid_on.count() - 1
            self._laid_on.insertItem(at, swatch(laid_on, 16), laid_on, laid_on)
        self._laid_on.setCurrentIndex(at)
        self._weeding.show_value(self._recipe.weeding_mm, self._recipe.unit)
        self._every.show_value(self._recipe.weeding_every_mm, self._recipe.unit)
        self._every.setEnabled(self._recipe.weeding_mm > 0)
        self._depth.show_value(self._recipe.frame_depth_mm or 0.0, self._recipe.unit)

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
        self._show_order(work, unit)
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

    def _take_proposed_order(self):
        """Leave the order to the program again; where it is, take what would be proposed now."""
        if self._recipe.order or self._work is None:
            self._emit(self.tr("proposed order"), order=())
        else:
            self._emit(self.tr("proposed order"), order=self._work.proposed_keys)

    def _show_order(self, work, unit):
        best = work.proposed_order.length * work.mm_per_px
        more = work.order_length_mm - best
        self._order.setEnabled(bool(work.recipe.order) or more > 0.5)
        if work.rough:
            self._order_note.setText(UNKNOWN)
            return
        if work.laying.way in ("fitted", "based"):
            text = self.tr("With fitted sheets the order hardly changes the cutting.")
        elif work.laying.way != "stacked" or any(order_shares(work.recipe, work.laying.way)[1:]):
            text = self.tr("As a stack, this order cuts {0}; the proposed one {1}.").format(
                format_length(work.order_length_mm, unit, 0), format_length(best, unit, 0))
        elif abs(more) > 0.5:
            text = (self.tr("This order cuts {0} more than the proposed one.") if more > 0 else
                    self.tr("This order cuts {0} less than the proposed one.")).format(
                        format_length(abs(more), unit, 0))
        elif work.proposed_order.exact:
            text = self.tr("The proposed order: of whole sheets, none cuts less.")
        else:
            text = self.tr(
                "A good order, at most {0:.0f} % above the best: with so many colours not all can be looked at."
            ).format(100 * work.proposed_order.gap)
        self._order_note.setText(text)

    def _current(self):
        key = self._list.current_key()
        return next((p for p in self._work.plans if p.key == key), None) if self._work else None

    def _show_current(self):
        plan = self._current()
        edit = self._recipe.edit_of(plan.key) if plan is not None else None
        for part in (
            self._name,
            self._colour,
            self._out,
            self._base,
            self._merge,
            self._unmerge,
            self._own,
            self._material,
            self._all_of_it,
            self._group,
        ):
            part.setEnabled(plan is not None and not edit.locked)
        for part in (self._lock, self._hide):
            part.setEnabled(plan is not None)
        if plan is None:
            self._name.setText("")
            self._name.setPlaceholderText(self.tr("click a layer"))
            self.selected.emit(None)
            return
        self._show_its(plan, edit)
        self._show_its_material(plan)
        place = self._work.plans.index(plan)
        self._base.setEnabled(place > 0 and not edit.locked)
        self._merge.setEnabled(place > 0 and not edit.locked)
        self._unmerge.setEnabled(not edit.locked and any(e.merged_into == plan.key for e in self._recipe.layers))
        self.selected.emit(plan.key)

    def _show_its(self, plan, edit):
        self._lock.setChecked(edit.locked)
        self._hide.setChecked(edit.hidden)
        if not self._group.hasFocus():
            self._group.setText(edit.group or "")
        if not self._name.hasFocus():
            self._name.setText(plan.name)
        self._colour.setIcon(swatch(plan.hex))
        self._out.setChecked(plan.left_out)
        self._own.setCurrentIndex(max(self._own.findData(edit.layering), 0))

    def _show_its_material(self, plan):
        material = self._recipe.material_of(plan.key)
        keys = [None, *(self._material.itemData(n).key for n in range(1, self._material.count()))]
        self._material.setCurrentIndex(keys.index(material.key) if material is not None and material.key in keys else 0)
        self._caution.setText("" if material is None else named(material.caution))
        self._caution.setVisible(bool(material is not None and material.caution))

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

    def _edit(self, what, **changes):
        plan = self._current()
        if plan is not None:
            self.change.emit(self._recipe.with_edit(plan.key, **changes), what, "")

    def _edit_group(self, what, **changes):
        """Change a layer and all that share its group."""
        plan = self._current()
        if plan is None:
            return
        group = self._recipe.edit_of(plan.key).group
        keys = {plan.key, *(e.key for e in self._recipe.layers if group is not None and e.group == group)}
        recipe = self._recipe
        for key in sorted(keys):
            recipe = recipe.with_edit(key, **changes)
        self.change.emit(recipe, what, "")

    def _take_group(self):
        plan = self._current()
        text = self._group.text().strip() or None
        if plan is not None and text != self._recipe.edit_of(plan.key).group:
            self._edit(self.tr("group of a layer"), group=text)

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

    def _take_ground(self, _):
        hex_colour = self._laid_on.currentData()
        if hex_colour == "other":
            colour = QColorDialog.getColor(parent=self, title=self.tr("Colour of what the work is laid on"))
            hex_colour = colour.name() if colour.isValid() else self._recipe.laid_on
        self._emit(self.tr("what it is laid on"), laid_on=hex_colour)
        self._laid_on.setCurrentIndex(max(self._laid_on.findData(hex_colour), 0))

    def _take_material(self, material, for_all):
        plan = self._current()
        if plan is None:
            return
        recipe = self._recipe
        every = [
            *(p.key for p in self._work.plans),
            *(layer.plan.key for layer in self._work.layers if not layer.plan.labels),
        ]
        for key in every if for_all else [plan.key]:
            recipe = recipe.with_material(key, material)
        self.change.emit(recipe, self.tr("material"), "")

    def _make_base(self):
        plan = self._current()
        if plan is not None:
            self._move(plan.key, 0)

    def move_current(self, up: bool) -> None:
        """Move the chosen layer one place up or down in the stack."""
        plan = self._current()
        if plan is not None:
            self._move(plan.key, self._work.plans.index(plan) + (1 if up else -1))

    def _rename(self):
        plan = self._current()
        text = self._name.text().strip()
        if plan is not None and text != plan.name:
            self._take_name(plan.key, text)

    def _take_name(self, key, text):
        self.change.emit(self._recipe.with_edit(key, name=text or None), self.tr("layer name"), "")

    def _recolour(self):
        plan = self._current()
        if plan is None:
            return
        colour = QColorDialog.getColor(QColor(plan.hex), self, self.tr("Cut colour of {0}").format(plan.name))
        if colour.isValid():
            self._edit(self.tr("cut colour"), hex=colour.name())

    def _merge_down(self):
        plan = self._current()
        if plan is not None and (place := self._work.plans.index(plan)) > 0:
            self._edit(self.tr("merged layers"), merged_into=self._work.plans[place - 1].key)

    def _part(self):
        plan = self._current()
        recipe = self._recipe
        for edit in recipe.layers:
            if plan is not None and edit.merged_into == plan.key:
                recipe = recipe.with_edit(edit.key, merged_into=None)
        self.change.emit(recipe, self.tr("parted layers"), "")
