"""The table of machines, to be changed: what each can cut, how fast it moves, its carriers."""

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
from sketchloom.core.sheets.machine import KINDS, Carrier, Machine, shipped
from sketchloom.files import user_data

_NAME, _KIND, _FIRST = 0, 1, 2
_NUMBERS = ("speed", "travel", "acceleration", "corner_mm", "lift_s", "load_s", "offset_mm", "overcut_mm", "passes",
            "force")


class MachinesTable(QDialog):
    """Rows of machines, and the carriers of the chosen one; kept when *Keep* is clicked. ``kept`` when it changed."""

    kept = Signal()

    def __init__(self, parent=None):
        super().__init__(parent)
        self.setWindowTitle(self.tr("Machines"))
        self.resize(1120, 620)
        column = QVBoxLayout(self)
        column.addWidget(label(self.tr(
            "Sizes in mm, speeds in mm/s, accelerations in mm/s². Speeds and times are from memory to begin with: the "
            "machine's manual comes first. Works keep the machine they were planned for."), "quiet"))
        self.table = self._table(self.tr("Machines"), [
            self.tr("Name"), self.tr("Kind"), self.tr("Cuts at"), self.tr("Travels at"), self.tr("Speeds up\nby"),
            self.tr("Corner\ntolerance"), self.tr("Lift and\nlower, s"), self.tr("Loading, s"),
            self.tr("Blade\noffset"), self.tr("Overcut"), self.tr("Passes"), self.tr("Force"),
            self.tr("Tools it takes"), self.tr("Caution")])
        self.carriers = self._table(self.tr("Carriers of the chosen machine"), [
            self.tr("Name"), self.tr("Width"), self.tr("Height, 0 for\na roll"), self.tr("Not cut at\nthe sides"),
            self.tr("Not cut at\nthe ends")])
        self.table.itemSelectionChanged.connect(self._show_carriers)
        column.addWidget(self.table, 3)
        column.addWidget(label(self.tr("Carriers of the chosen machine"), "section"))
        column.addWidget(self.carriers, 2)
        self._said = label("", "trouble")
        self._said.hide()
        column.addWidget(self._said)
        row = QHBoxLayout()
        self._keep = button(self.tr("Keep"), "", self.tr("The table is used from now on"))
        self._keep.setObjectName("primary")
        self._keep.clicked.connect(self._take)
        for text, icon, tip, act in (
            (self.tr("Add a machine"), "plus", self.tr("A copy of the chosen one, or of the first"), self._add),
            (self.tr("Take it out"), "trash", self.tr("The chosen machine"), self._take_out),
            (self.tr("Add a carrier"), "plus", self.tr("To the chosen machine"), self._add_carrier),
            (self.tr("Take the carrier out"), "trash", self.tr("The chosen carrier"), self._take_carrier_out),
            (self.tr("As shipped"), "restore", self.tr("The plain kinds that come with the program"),
             lambda: self._fill(shipped())),
        ):
            one = button(text, icon, tip)
            one.clicked.connect(lambda _=False, do=act: do())
            row.addWidget(one)
        row.addStretch(1)
        close = button(self.tr("Close"), "x", self.tr("Changes that were not kept are left"))
        close.clicked.connect(self.close)
        row.addWidget(close)
        row.addWidget(self._keep)
        column.addLayout(row)
        self._keys: list[str] = []
        self._carriers: list[list[Carrier]] = []
        self._shown = -1
        self._fill(user_data.machines())

    def _table(self, name, heads):
        table = QTableWidget(0, len(heads))
        table.setAccessibleName(name)
        table.setHorizontalHeaderLabels(heads)
        table.verticalHeader().hide()
        table.setSelectionBehavior(QAbstractItemView.SelectionBehavior.SelectRows)
        table.setSelectionMode(QAbstractItemView.SelectionMode.SingleSelection)
        table.setTabKeyNavigation(False)
        table.horizontalHeader().setSectionResizeMode(QHeaderView.ResizeMode.Interactive)
        table.horizontalHeader().setStretchLastSection(len(heads) > 5)  # of five figures the last needs no more room
        return table

    def _fill(self, machines):
        self._shown = -1
        self.table.setRowCount(0)
        self._keys, self._carriers = [], []
        for one in machines:
            self._put(one)
        for column in range(self.table.columnCount() - 1):
            self.table.resizeColumnToContents(column)
        self.table.setColumnWidth(_NAME, theme.px(180))
        self._said.hide()
        if machines:
            self.table.selectRow(0)

    def _put(self, machine: Machine):
        row = self.table.rowCount()
        self._keys.append(machine.key)
        self._carriers.append(list(machine.carriers))
        self.table.insertRow(row)
        self.table.setItem(row, _NAME, QTableWidgetItem(named(machine.name)))
        kinds = QComboBox()
        kinds.setAccessibleName(self.tr("Kind of {0}").format(named(machine.name)))
        words = {"blade": self.tr("blade"), "laser": self.tr("laser"), "router": self.tr("router"),
                 "pen": self.tr("pen")}
        for kind in KINDS:
            kinds.addItem(words[kind], kind)
        kinds.setCurrentIndex(KINDS.index(machine.kind))
        kinds.setMinimumWidth(theme.px(92))
        self.table.setCellWidget(row, _KIND, kinds)
        for n, name in enumerate(_NUMBERS):
            text = f"{getattr(machine, name):g}"
            if name == "force" and machine.force_unit:
                text += f" {machine.force_unit}"
            item = QTableWidgetItem(text)
            item.setTextAlignment(Qt.AlignmentFlag.AlignRight | Qt.AlignmentFlag.AlignVCenter)
            self.table.setItem(row, _FIRST + n, item)
        self.table.setItem(row, _FIRST + len(_NUMBERS), QTableWidgetItem(named(machine.tools)))
        self.table.setItem(row, _FIRST + len(_NUMBERS) + 1, QTableWidgetItem(named(machine.caution)))

    def _row(self):
        rows = {index.row() for index in self.table.selectedIndexes()}
        return min(rows) if rows else -1

    def _show_carriers(self):
        if self._shown >= 0 and not self._hold_carriers():
            return
        self._shown = self._row()
        self.carriers.setRowCount(0)
        if self._shown < 0:
            return
        for one in self._carriers[self._shown]:
            self._put_carrier(one)
        for column in range(5):
            self.carriers.resizeColumnToContents(column)
        self.carriers.setColumnWidth(0, theme.px(180))

    def _put_carrier(self, one):
        row = self.carriers.rowCount()
        self.carriers.insertRow(row)
        for column, text in enumerate((named(one.name), *(f"{v:g}" for v in (
                one.width_mm, one.height_mm, one.side_mm, one.end_mm)))):
            item = QTableWidgetItem(text)
            item.setData(Qt.ItemDataRole.UserRole, one.key)
            self.carriers.setItem(row, column, item)

    def _hold_carriers(self) -> bool:
        """Take what is typed of the carriers that are shown; False, and a sentence, where it is none."""
        if not 0 <= self._shown < len(self._carriers):
            return True
        made = []
        for row in range(self.carriers.rowCount()):
            texts = [self.carriers.item(row, n).text().strip() for n in range(5)]
            try:
                sizes = [float(t.replace(",", ".").removesuffix("mm")) for t in texts[1:]]
                made.append(Carrier(self.carriers.item(row, 0).data(Qt.ItemDataRole.UserRole), texts[0], *sizes))
            except (AppError, ValueError) as error:
                why = _why(error, self.tr("sizes are numbers, in mm."))
                self._tell(self.tr("Carrier {0}: {1}").format(row + 1, why))
                return False
        self._carriers[self._shown] = made
        return True

    def _add(self):
        row = max(self._row(), 0)
        made = self._made(row) if self.table.rowCount() else shipped()[0]
        if made is not None:
            number = next(n for n in range(1, 10_000) if f"own-{n}" not in self._keys)
            self._put(replace(made, key=f"own-{number}", name=self.tr("{0}, another").format(named(made.name))[:100]))
            self.table.selectRow(self.table.rowCount() - 1)
            self.table.scrollToBottom()

    def _take_out(self):
        row = self._row()
        if row >= 0:
            self._shown = -1
            # the table chooses another row before this one is gone, by numbers that are those of before
            self.table.blockSignals(True)
            self.table.removeRow(row)
            self.table.blockSignals(False)
            del self._keys[row], self._carriers[row]
            self._show_carriers()

    def _add_carrier(self):
        if self._shown >= 0 and self._hold_carriers():
            keys = {c.key for c in self._carriers[self._shown]}
            number = next(n for n in range(1, 10_000) if f"own-{n}" not in keys)
            self._put_carrier(Carrier(f"own-{number}", self.tr("300 × 400 mm"), 300.0, 400.0, 5.0, 5.0))
            self._hold_carriers()

    def _take_carrier_out(self):
        row = self.carriers.currentRow()
        if row >= 0 and self.carriers.rowCount() > 1:
            self.carriers.removeRow(row)
            self._hold_carriers()

    def _made(self, row) -> Machine | None:
        """The machine of a row; None, and a sentence, where it is none."""
        if row == self._shown and not self._hold_carriers():
            return None
        values: dict = {}
        try:
            for n, name in enumerate(_NUMBERS):
                text = self.table.item(row, _FIRST + n).text().strip().replace(",", ".")
                if name == "force":
                    number, _, values["force_unit"] = text.partition(" ")
                    values[name] = float(number or 0)
                else:
                    values[name] = int(float(text)) if name == "passes" else float(text)
            old = next((m for m in user_data.machines() if m.key == self._keys[row]), shipped()[0])
            return replace(
                old, key=self._keys[row], name=self.table.item(row, _NAME).text().strip(),
                kind=self.table.cellWidget(row, _KIND).currentData(), carriers=tuple(self._carriers[row]),
                tools=self.table.item(row, _FIRST + len(_NUMBERS)).text().strip(),
                caution=self.table.item(row, _FIRST + len(_NUMBERS) + 1).text().strip(), **values)
        except (AppError, ValueError) as error:
            self.table.selectRow(row)
            self._tell(self.tr("Row {0}: {1}").format(row + 1, _why(error, self.tr("these are numbers."))))
            return None

    def _tell(self, text):
        self._said.setText(text)
        self._said.show()

    def _take(self):
        self._said.hide()
        made = [self._made(row) for row in range(self.table.rowCount())]
        if not made or any(one is None for one in made):
            return
        try:
            user_data.keep_machines(tuple(made))
        except AppError as error:
            self._tell(told(error.message))
            return
        self.kept.emit()
        self.close()


def _why(error, plain):
    return told(error.message) if isinstance(error, AppError) else plain
