"""The table of materials, to be changed: what each bears, may lie on and may be cut by."""

from dataclasses import replace

from PySide6.QtCore import Qt, Signal
from PySide6.QtWidgets import (
    QAbstractItemView,
    QComboBox,
    QDialog,
    QHBoxLayout,
    QHeaderView,
    QTableWidget,
    QTableWidgetItem,
    QVBoxLayout,
)

from sketchloom.app import theme
from sketchloom.app.parts.widgets import button, label
from sketchloom.app.words import named, told
from sketchloom.core.base.errors import AppError
from sketchloom.core.sheets.material import FAMILIES, TOOLS, Material, shipped
from sketchloom.files import user_data

_NAME, _FAMILY, _SIZES, _SHRINKS, _LIES, _TOOLS, _CAUTION = 0, 1, 2, 5, 6, 7, 10
_FIELDS = ("thickness_mm", "smallest_mm", "gap_mm")


class MaterialsTable(QDialog):
    """Rows of materials; kept when *Keep* is clicked. Not modal: the work stays at hand. ``kept`` when the table
    changed."""

    kept = Signal()

    def __init__(self, parent=None):
        super().__init__(parent)
        self.setWindowTitle(self.tr("Materials"))
        self.resize(1060, 520)
        column = QVBoxLayout(self)
        column.addWidget(
            label(
                self.tr(
                    "Sizes in mm are common practice to begin with, not promises: a test cut on the very sheet "
                    "decides. Works keep the figures they were made with."
                ),
                "quiet",
            )
        )
        self.table = QTableWidget(0, 11)
        self.table.setAccessibleName(self.tr("Materials"))
        self.table.setHorizontalHeaderLabels(
            [
                self.tr("Name"),
                self.tr("Kind"),
                self.tr("Thick"),
                self.tr("Smallest\ndetail"),
                self.tr("Smallest\ngap"),
                self.tr("Shrinks\nunder heat"),
                self.tr("Lies on\nits like"),
                self.tr("Blade"),
                self.tr("Laser"),
                self.tr("Router"),
                self.tr("Caution shown beside it"),
            ]
        )
        self.table.verticalHeader().hide()
        self.table.setSelectionBehavior(QAbstractItemView.SelectionBehavior.SelectRows)
        self.table.horizontalHeader().setSectionResizeMode(QHeaderView.ResizeMode.Interactive)
        self.table.setColumnWidth(_NAME, 190)
        self.table.horizontalHeader().setSectionResizeMode(_FAMILY, QHeaderView.ResizeMode.Fixed)
        self.table.setColumnWidth(_FAMILY, 132)
        self.table.horizontalHeader().setSectionResizeMode(_CAUTION, QHeaderView.ResizeMode.Stretch)
        column.addWidget(self.table, 1)
        self._said = label("", "trouble")
        self._said.hide()
        column.addWidget(self._said)
        row = QHBoxLayout()
        self._keep = button(self.tr("Keep"), "", self.tr("The table is used from now on, in every work"))
        self._keep.setObjectName("primary")
        for text, icon, tip, act in (
            (self.tr("Add"), "plus", self.tr("A copy of the chosen one, or of the first"), self._add),
            (self.tr("Take out"), "trash", self.tr("The chosen ones"), self._take_out),
            (
                self.tr("As shipped"),
                "restore",
                self.tr("The plain kinds that come with the program"),
                lambda: self._fill(shipped()),
            ),
        ):
            one = button(text, icon, tip)
            one.clicked.connect(act)
            row.addWidget(one)
        row.addStretch(1)
        close = button(self.tr("Close"), "x", self.tr("Changes that were not kept are left"))
        close.clicked.connect(self.close)
        self._keep.clicked.connect(self._take)
        row.addWidget(close)
        row.addWidget(self._keep)
        column.addLayout(row)
        self._keys: list[str] = []
        self._fill(user_data.materials())

    def _fill(self, materials):
        self.table.setRowCount(0)
        self._keys = []
        for material in materials:
            self._put(material)
        for column in range(_SIZES, _CAUTION):  # once: a header that does it by itself does so for every cell
            self.table.resizeColumnToContents(column)
        self._said.hide()

    def _put(self, material: Material):
        row = self.table.rowCount()
        self.table.insertRow(row)
        self._keys.append(material.key)
        self.table.setItem(row, _NAME, QTableWidgetItem(named(material.name)))
        kinds = QComboBox()
        kinds.setAccessibleName(self.tr("Kind of {0}").format(named(material.name)))
        for family in FAMILIES:
            kinds.addItem(told(family), str(family))
        kinds.setSizeAdjustPolicy(QComboBox.SizeAdjustPolicy.AdjustToContents)
        kinds.setMinimumWidth(theme.px(124))
        kinds.setCurrentIndex(FAMILIES.index(material.family))
        self.table.setCellWidget(row, _FAMILY, kinds)
        for n, name in enumerate(_FIELDS):
            item = QTableWidgetItem(f"{getattr(material, name):g}")
            item.setTextAlignment(Qt.AlignmentFlag.AlignRight | Qt.AlignmentFlag.AlignVCenter)
            self.table.setItem(row, _SIZES + n, item)
        ticks = (
            (_SHRINKS, material.shrinks),
            (_LIES, material.lies_on),
            *((_TOOLS + n, tool in material.tools) for n, tool in enumerate(TOOLS)),
        )
        for place, on in ticks:
            item = QTableWidgetItem()
            item.setFlags(Qt.ItemFlag.ItemIsUserCheckable | Qt.ItemFlag.ItemIsEnabled | Qt.ItemFlag.ItemIsSelectable)
            item.setCheckState(Qt.CheckState.Checked if on else Qt.CheckState.Unchecked)
            item.setData(
                Qt.ItemDataRole.AccessibleTextRole, self.table.horizontalHeaderItem(place).text().replace("\n", " ")
            )
            self.table.setItem(row, place, item)
        self.table.setItem(row, _CAUTION, QTableWidgetItem(named(material.caution)))

    def _add(self):
        rows = sorted({index.row() for index in self.table.selectedIndexes()})
        made = self._made(rows[0] if rows else 0) if self.table.rowCount() else shipped()[0]
        if made is not None:
            number = next(n for n in range(1, 10_000) if f"own-{n}" not in self._keys)
            self._put(replace(made, key=f"own-{number}", name=self.tr("{0}, another").format(named(made.name))[:100]))
            self.table.selectRow(self.table.rowCount() - 1)
            self.table.scrollToBottom()

    def _take_out(self):
        for row in sorted({index.row() for index in self.table.selectedIndexes()}, reverse=True):
            self.table.removeRow(row)
            del self._keys[row]

    def _made(self, row) -> Material | None:
        """The material of a row; None, and a sentence, where it is none."""
        def text(place):
            return self.table.item(row, place).text().strip()
        def on(place):
            return self.table.item(row, place).checkState() == Qt.CheckState.Checked
        try:
            sizes = {
                name: float(text(_SIZES + n).replace(",", ".").removesuffix("mm")) for n, name in enumerate(_FIELDS)
            }
            return Material(
                self._keys[row],
                text(_NAME),
                self.table.cellWidget(row, _FAMILY).currentData(),
                **sizes,
                shrinks=on(_SHRINKS),
                lies_on=on(_LIES),
                tools=tuple(tool for n, tool in enumerate(TOOLS) if on(_TOOLS + n)),
                caution=text(_CAUTION),
            )
        except (AppError, ValueError) as error:
            self.table.selectRow(row)
            self._said.setText(
                self.tr("Row {0}: {1}").format(
                    row + 1, error if isinstance(error, AppError) else self.tr("sizes are numbers, in mm.")
                )
            )
            self._said.show()
            return None

    def _take(self):
        self._said.hide()
        made = []
        for row in range(self.table.rowCount()):
            material = self._made(row)
            if material is None:
                return
            made.append(material)
        try:
            user_data.keep_materials(tuple(made))
        except AppError as error:
            self._said.setText(told(error.message))
            self._said.show()
            return
        self.kept.emit()
        self.close()
