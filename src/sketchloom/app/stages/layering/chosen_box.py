"""What is decided about the chosen layer: its name, sheet, place in the stack, lock, group and material."""

from PySide6.QtCore import Signal
from PySide6.QtGui import QColor
from PySide6.QtWidgets import QColorDialog, QComboBox, QLineEdit

from sketchloom.app.parts.widgets import button, label, swatch
from sketchloom.app.stages.box import Box
from sketchloom.app.stages.layering.sheet_list import NAME_MOST
from sketchloom.app.words import named
from sketchloom.evaluate.sheet_order import grouped_by_sheet
from sketchloom.files.user_data import materials
from sketchloom.recipe import layer_edits


class ChosenBox(Box):
    """Edits of one layer. ``moved``: its key and its new place from the base."""

    table_wanted = Signal()
    moved = Signal(str, int)

    def __init__(self, ways: dict):
        super().__init__()
        self._plan = None
        self._build_names()
        self._build_places()
        self._build_groups()
        self._own = QComboBox()
        self._own.setAccessibleName(self.tr("Way of layering of the chosen layer"))
        self._own.addItem(self.tr("Layered like the rest"), None)
        for key, name in ways.items():
            self._own.addItem(self.tr("{0}, whatever the rest is").format(name), key)
        self._own.activated.connect(lambda _: self._edit(self.tr("way of one layer"), layering=self._own.currentData()))
        self._build_material()
        self.add(
            (self._name, self._colour),
            (self._out, self._base),
            (self._merge, self._unmerge),
            (self._lock, self._hide),
            (label(self.tr("Group")), self._group),
            self._own,
            self._material,
            self._caution,
        )
        self.for_all = (self._all_of_it, self._by_sheet), self._table
        """What the chosen layer gives to all, and the table of materials; they stand with what holds for all layers."""

    def _build_names(self):
        self._name = QLineEdit()
        self._name.setAccessibleName(self.tr("Name of the layer"))
        self._name.setMaxLength(NAME_MOST)
        self._name.editingFinished.connect(self._rename)
        self._colour = button(self.tr("Cut colour…"), tip=self.tr("The colour of the sheet this layer is cut from"))
        self._colour.clicked.connect(self._recolour)

    def _build_places(self):
        self._out = button(self.tr("Leave out"), "circle", checkable=True,
                           tip=self.tr("No sheet for it: what it is laid on shows there"))
        self._out.clicked.connect(lambda on: self._edit(self.tr("left out"), left_out=on))
        self._base = button(self.tr("Make base"), "arrow-bar-to-down", self.tr("Move it under all others"))
        self._base.clicked.connect(lambda: self._plan is not None and self.moved.emit(self._plan.key, 0))
        self._merge = button(self.tr("Merge down"), "arrows-join-2", self.tr("One layer with the one below it"))
        self._merge.clicked.connect(self._merge_down)
        self._unmerge = button(self.tr("Part again"), "arrows-split-2", self.tr("Take apart what was merged"))
        self._unmerge.clicked.connect(self._part)

    def _build_groups(self):
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
            self.tr("Group by sheet"), "",
            self.tr("All layers that are cut from one colour and material become a group")
        )
        self._by_sheet.clicked.connect(self._group_by_sheet)

    def _build_material(self):
        self._material = QComboBox()
        self._material.setAccessibleName(self.tr("Material of the chosen layer"))
        self.fill_materials()
        self._material.activated.connect(lambda _: self._take_material(for_all=False))
        self._all_of_it = button(self.tr("All of its material"), "",
                                 self.tr("Every layer is cut from the material of the chosen one"))
        self._all_of_it.clicked.connect(lambda: self._take_material(for_all=True))
        self._table = button(self.tr("Materials…"), "", self.tr("The table of materials, to be changed"))
        self._table.clicked.connect(self.table_wanted)
        self._caution = label("", "caution")
        self._caution.hide()

    def fill_materials(self) -> None:
        """The table of materials as it is now."""
        self._material.clear()
        self._material.addItem(self.tr("No material said"), None)
        for material in materials():
            words = self.tr("{0}, {1:g} mm").format(named(material.name), material.thickness_mm)
            self._material.addItem(words, material)
        if self._plan is not None:
            self._show_material()

    # -- showing -----------------------------------------------------------------------

    def show_plan(self, work, plan) -> None:
        """Another layer is chosen, or what is known of it changed; None for no layer."""
        self.work, self._plan = work, plan
        edit = self.recipe.edit_of(plan.key) if plan is not None else None
        is_free = plan is not None and not edit.locked
        for part in (self._name, self._colour, self._out, self._own, self._material, self._all_of_it, self._group):
            part.setEnabled(is_free)
        for part in (self._lock, self._hide):
            part.setEnabled(plan is not None)
        for part in (self._base, self._merge):
            part.setEnabled(is_free and self._place() > 0)
        self._unmerge.setEnabled(is_free and any(e.merged_into == plan.key for e in self.recipe.layers))
        if plan is None:
            self._name.setText("")
            self._name.setPlaceholderText(self.tr("click a layer"))
            return
        self._lock.setChecked(edit.locked)
        self._hide.setChecked(edit.hidden)
        if not self._group.hasFocus():
            self._group.setText(edit.group or "")
        if not self._name.hasFocus():
            self._name.setText(plan.name)
        self._colour.setIcon(swatch(plan.hex))
        self._out.setChecked(plan.left_out)
        self._own.setCurrentIndex(max(self._own.findData(edit.layering), 0))
        self._show_material()

    def _place(self):
        return self.work.plans.index(self._plan)

    def _show_material(self):
        material = self.recipe.material_of(self._plan.key)
        keys = [None, *(self._material.itemData(n).key for n in range(1, self._material.count()))]
        self._material.setCurrentIndex(keys.index(material.key) if material is not None and material.key in keys else 0)
        self._caution.setText("" if material is None else named(material.caution))
        self._caution.setVisible(bool(material is not None and material.caution))

    # -- edits -------------------------------------------------------------------------

    def _edit(self, what, **changes):
        if self._plan is not None:
            self.change.emit(self.recipe.with_edit(self._plan.key, **changes), what, "")

    def _edit_group(self, what, **changes):
        """Change a layer and all that share its group."""
        if self._plan is None:
            return
        keys = layer_edits.in_their_groups(self.recipe, (self._plan.key,))
        self.change.emit(layer_edits.edited(self.recipe, keys, **changes), what, "")

    def _take_group(self):
        text = self._group.text().strip() or None
        if self._plan is not None and text != self.recipe.edit_of(self._plan.key).group:
            self._edit(self.tr("group of a layer"), group=text)

    def _group_by_sheet(self):
        if self.work is not None:
            self.change.emit(grouped_by_sheet(self.recipe, self.work.plans), self.tr("layers grouped by sheet"), "")

    def _take_material(self, for_all):
        if self._plan is None:
            return
        recipe, material = self.recipe, self._material.currentData()
        every = (
            *(p.key for p in self.work.plans),
            *(layer.plan.key for layer in self.work.layers if not layer.plan.labels),
        )
        for key in every if for_all else (self._plan.key,):
            recipe = recipe.with_material(key, material)
        self.change.emit(recipe, self.tr("material"), "")

    def _rename(self):
        text = self._name.text().strip()
        if self._plan is not None and text != self._plan.name:
            self._edit(self.tr("layer name"), name=text or None)

    def _recolour(self):
        if self._plan is None:
            return
        colour = QColorDialog.getColor(
            QColor(self._plan.hex), self, self.tr("Cut colour of {0}").format(self._plan.name))
        if colour.isValid():
            self._edit(self.tr("cut colour"), hex=colour.name())

    def _merge_down(self):
        if self._plan is not None and self._place() > 0:
            order = tuple(plan.key for plan in self.work.plans)
            self.change.emit(layer_edits.merged(self.recipe, order, (self._plan.key,)), self.tr("merged layers"), "")

    def _part(self):
        if self._plan is not None:
            self.change.emit(layer_edits.parted(self.recipe, (self._plan.key,)), self.tr("parted layers"), "")
