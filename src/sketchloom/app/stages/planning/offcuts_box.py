"""Rests of material that are used up before a new sheet is taken."""

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QComboBox, QLineEdit, QListWidget

from sketchloom.app import theme
from sketchloom.app.parts.beside import hush_beside, say_beside
from sketchloom.app.parts.widgets import button, counted, label
from sketchloom.app.stages.box import Box
from sketchloom.app.words import named, told
from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.units import format_length
from sketchloom.core.sheets.choices import MAX_OFFCUTS, Offcut, own_carrier

_ROWS = 4


class OffcutsBox(Box):
    """The rests of a work: their sizes, and of which material they are. ``stock_wanted``: those of the stock that were
    proposed are to be used; ``told``: how many those are."""

    stock_wanted = Signal()
    told = Signal(str)

    def __init__(self):
        super().__init__()
        self.stock = button("", "sheet", self.tr("Rests of the logbook's stock that suit, in their true shape"))
        self.stock.setObjectName("primary")
        self.stock.clicked.connect(self.stock_wanted)
        self.stock.hide()
        self._in_stock = label("", "quiet")
        self._in_stock.hide()
        self.list = QListWidget()
        self.list.setAccessibleName(self.tr("Rests"))
        self.list.currentRowChanged.connect(lambda row: self._drop.setEnabled(row >= 0))
        self._size, self._material = QLineEdit(), QComboBox()
        self._size.setAccessibleName(self.tr("Size of the rest"))
        self._size.setPlaceholderText(self.tr("120 × 300 mm"))
        self._size.returnPressed.connect(self._add)
        self._material.setAccessibleName(self.tr("Material of the rest"))
        self._put = button(self.tr("Add"), "plus", self.tr("Into the list of rests"))
        self._put.clicked.connect(self._add)
        self._drop = button(self.tr("Take out"), "trash", self.tr("The chosen rest"))
        self._drop.clicked.connect(self._take_out)
        self._drop.setEnabled(False)
        self.add(label(self.tr("What is left of other work is used up before a new sheet is taken."), "quiet"),
                 self._in_stock, self.stock, self.list, (self._size, self._material), (self._put, self._drop))

    def show_work(self, work) -> None:
        super().show_work(work)
        its, at = work.recipe.offcuts, self.list.currentRow()
        names = {m.key: named(m.name) for m in work.recipe.materials}
        self.list.clear()
        for one in its:
            size = " × ".join(format_length(v, work.recipe.unit) for v in (one.wide, one.high))
            self.list.addItem(f"{size}, " + (self.tr("any material") if one.material is None else
                                             names.get(one.material, one.material)))
        self.list.setVisible(bool(its))
        self._drop.setVisible(bool(its))
        self.list.setCurrentRow(min(at, len(its) - 1))
        rows = min(max(len(its), 1), _ROWS)
        self.list.setFixedHeight(rows * max(self.list.sizeHintForRow(0), theme.px(22)) + 2 * self.list.frameWidth()
                                 + theme.px(6))
        chosen = self._material.currentData()
        self._material.clear()
        self._material.addItem(self.tr("Any material"), None)
        for key, name in names.items():
            self._material.addItem(name, key)
        self._material.setCurrentIndex(max(self._material.findData(chosen), 0))
        self._material.setVisible(bool(names))

    def show_stock(self, some) -> None:
        """Rests of the stock that suit the plan and are not used yet."""
        unit = "mm" if self.recipe is None else self.recipe.unit
        sizes = [" × ".join(format_length(v, unit) for v in (one.width_mm, one.height_mm)) for one in some]
        for part in (self.stock, self._in_stock):
            part.setVisible(bool(some))
        self.stock.setText(counted(len(some), self.tr("Use the rest in stock"), self.tr("Use the {0} rests in stock")))
        self._in_stock.setText(self.tr("In stock: {0}").format("; ".join(sizes[:_ROWS])
                                                              + (" …" if len(sizes) > _ROWS else "")))
        self.told.emit(counted(len(some), self.tr("1 in stock"), self.tr("{0} in stock")) if some else "")

    def take(self, offcuts) -> None:
        """Use these, before those that are there."""
        if self.recipe is not None and offcuts:
            self.emit(self.tr("rests of the stock"), offcuts=(*offcuts, *self.recipe.offcuts)[:MAX_OFFCUTS])

    def _add(self):
        text = self._size.text().replace(" ", "")
        if not text or self.recipe is None:
            return
        try:
            size = own_carrier(text)
            if size is None:
                raise SettingError("offcuts", "", text)
            made = Offcut(*size, material=self._material.currentData())
        except SettingError as error:
            say_beside(self._size, told(error.message) if error.expected else
                       self.tr("Type a size such as 120 × 300 mm or 5 × 12 in."))
            return
        if len(self.recipe.offcuts) >= MAX_OFFCUTS:
            say_beside(self._size, self.tr("There are {0} rests already, the most there can be.").format(MAX_OFFCUTS))
            return
        hush_beside(self._size)
        self._size.clear()
        self.emit(self.tr("rest added"), offcuts=(*self.recipe.offcuts, made))

    def _take_out(self):
        row = self.list.currentRow()
        if 0 <= row < len(self.recipe.offcuts):
            self.emit(self.tr("rest taken out"),
                      offcuts=tuple(o for n, o in enumerate(self.recipe.offcuts) if n != row))
