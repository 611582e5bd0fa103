"""The list of sheets, the uppermost first: dragged into another order, named in place."""

from PySide6.QtCore import Qt, Signal
from PySide6.QtGui import QColor
from PySide6.QtWidgets import (
    QAbstractItemView,
    QLineEdit,
    QListWidgetItem,
)

from sketchloom.app import theme
from sketchloom.app.parts.unfolding import UnfoldedRow, UnfoldingList
from sketchloom.app.parts.widgets import UNKNOWN, counted, plain_tip, swatch
from sketchloom.core.base.units import format_length

KEY = Qt.ItemDataRole.UserRole
NAME_MOST = 60
"""Characters of a layer's name."""
_NAME = Qt.ItemDataRole.UserRole + 1
_ROW_PX, _LEAST_ROWS, _MOST_ROWS = 42, 2, 7


class SheetList(UnfoldingList):
    """``ordered``: the rows were dragged; ``named``: a layer's key and its new name."""

    ordered = Signal()
    named = Signal(str, str)

    def __init__(self):
        super().__init__(_ROW_PX, _LEAST_ROWS, _MOST_ROWS)
        self.setAccessibleName(self.tr("Layers, the uppermost first"))
        self.setDragDropMode(QAbstractItemView.DragDropMode.InternalMove)
        self.setEditTriggers(QAbstractItemView.EditTrigger.DoubleClicked | QAbstractItemView.EditTrigger.EditKeyPressed)
        self.setIconSize(theme.size(22, 22))
        self.setItemDelegate(_NameEdit(self))
        self.model().rowsMoved.connect(lambda *_: self.ordered.emit())

    def keys(self) -> list[str]:
        """Keys of the rows, the uppermost first."""
        return [self.item(row).data(KEY) for row in range(self.count())]

    def current_key(self) -> str | None:
        return None if self.currentItem() is None else self.currentItem().data(KEY)

    def select(self, key: str) -> None:
        if key in self.keys():
            self.setCurrentRow(self.keys().index(key))

    def show_sheets(self, work, recipe) -> None:
        """Show the sheets of a work, with what a recipe that may be ahead of it says of them."""
        current, keys = self.current_key(), [plan.key for plan in reversed(work.plans)]
        self.blockSignals(True)
        if self.keys() != keys:  # else the rows stay, and with them a name that is being typed
            self.clear()
            for key in keys:
                item = QListWidgetItem()
                item.setData(KEY, key)
                self.addItem(item)
            if current in keys:
                self.setCurrentRow(keys.index(current))
        layers = {layer.plan.key: layer for layer in work.layers}
        cuts = dict(zip(layers, work.sheet_cuts_mm, strict=False))
        for row, place in enumerate(range(len(work.plans) - 1, -1, -1)):
            plan = work.plans[place]
            edit, layer = recipe.edit_of(plan.key), layers.get(plan.key)
            figures = self._figures(plan, layer, work, cuts)
            self._show_sheet(self.item(row), place, plan, edit, figures, layer is not None)
        self.blockSignals(False)
        self.unfold()

    def _figures(self, plan, layer, work, cuts):
        if layer is None:
            return self.tr("left out") if plan.left_out else self.tr("nothing to cut")
        if work.rough:
            return UNKNOWN
        pieces = counted(layer.outline.pieces, self.tr("1 piece"), self.tr("{0} pieces"))
        return self.tr("{0}, {1}").format(pieces, format_length(cuts[plan.key], work.recipe.unit, 0))

    def _show_sheet(self, item, place, plan, edit, figures, is_cut):
        role = self.tr(" · base") if place == 0 else ""
        role += self.tr(" · locked") if edit.locked else ""
        role += self.tr(" · hidden") if edit.hidden else ""
        role += self.tr(" · {0}").format(edit.group) if edit.group else ""
        item.setText(f"{place + 1}  {plan.name}{role}\n{figures}")
        item.setIcon(swatch(plan.hex))
        item.setData(_NAME, plan.name)
        item.setToolTip(plain_tip(plan.name))
        item.setData(Qt.ItemDataRole.ForegroundRole, None if is_cut else QColor(theme.INK_SOFT))
        may_be_named = Qt.ItemFlag.ItemIsEditable
        item.setFlags(item.flags() & ~may_be_named if edit.locked else item.flags() | may_be_named)


class _NameEdit(UnfoldedRow):
    """A field over the row of a sheet, with its name alone; the Tab key goes on to the next sheet."""

    def createEditor(self, parent, option, index):
        field = QLineEdit(parent)
        field.setMaxLength(NAME_MOST)
        field.setAccessibleName(self.tr("Name of the layer"))
        return field

    def setEditorData(self, editor, index):
        if not editor.isModified():  # it is asked again whenever the row's figures change
            editor.setText(index.data(_NAME))
            editor.selectAll()

    def updateEditorGeometry(self, editor, option, index):
        left = self.parent().iconSize().width() + theme.px(8)
        box = option.rect
        box.setHeight(theme.px(_ROW_PX))
        editor.setGeometry(box.adjusted(left, 2, -2, -2))

    def setModelData(self, editor, model, index):
        name = editor.text().strip()
        if name != index.data(_NAME):
            self.parent().named.emit(index.data(KEY), name)
