"""The keys of all actions, to be changed."""

from PySide6.QtCore import Signal
from PySide6.QtGui import QKeySequence
from PySide6.QtWidgets import (
    QDialog,
    QHeaderView,
    QKeySequenceEdit,
    QLineEdit,
    QTableWidget,
    QTableWidgetItem,
    QVBoxLayout,
)

from sketchloom.app import actions
from sketchloom.app.parts.widgets import button, figures_table, label, put, say_on
from sketchloom.app.words import told
from sketchloom.core.base.errors import AppError
from sketchloom.core.base.lookup import ranked

_ROW = 28


class KeysTable(QDialog):
    """A row an action. A key is typed into the field, and given at once. ``kept`` when one changed."""

    kept = Signal()

    def __init__(self, parent=None):
        super().__init__(parent)
        self.setWindowTitle(self.tr("Keys"))
        self.resize(620, 640)
        column = QVBoxLayout(self)
        self._sought = QLineEdit()
        self._sought.setPlaceholderText(self.tr("Words of what is looked for"))
        self._sought.setAccessibleName(self.tr("Words of what is looked for"))
        self._sought.setClearButtonEnabled(True)
        self._sought.textChanged.connect(lambda _: self._fill())
        self.table: QTableWidget = figures_table(2, self.tr("Actions and their keys"), _ROW)
        self.table.setHorizontalHeaderLabels([self.tr("Action"), self.tr("Keys")])
        self.table.horizontalHeader().setSectionResizeMode(1, QHeaderView.ResizeMode.ResizeToContents)
        self.table.itemSelectionChanged.connect(self._show_chosen)
        self.field = QKeySequenceEdit()
        self.field.setMaximumSequenceLength(1)
        self.field.setAccessibleName(self.tr("Another key for the chosen action"))
        self.field.keySequenceChanged.connect(self._typed)
        self.give = button(self.tr("Give it this key"), "circle-check")
        self.none = button(self.tr("No key"), "", self.tr("The action is then reached by menus and by the search"))
        self.shipped = button(self.tr("As shipped"), "restore", self.tr("The keys it came with"))
        self.give.clicked.connect(self._give)
        self.none.clicked.connect(lambda: self._keep(()))
        self.shipped.clicked.connect(lambda: self._keep(None))
        self._said = label(self.tr("Choose an action, then press the key it is to have."), "quiet")
        put(column, (self._sought, self.table, self._said, (label(self.tr("Key")), self.field, self.give),
                     (self.none, self.shipped)))
        self._names: list[str] = []
        self._fill()

    def chosen(self) -> str | None:
        """The name of the chosen action."""
        row = self.table.currentRow()
        return self._names[row] if self.table.selectedItems() and 0 <= row < len(self._names) else None

    def choose(self, name: str) -> None:
        """Choose an action's row."""
        if name in self._names:
            self.table.selectRow(self._names.index(name))

    def _fill(self):
        kept = self.chosen()
        rows = list(actions.ROWS.values())
        order = ranked(self._sought.text(), [(row.plain, told(row.near)) for row in rows])
        self._names = [rows[n].name for n in order]
        self.table.setRowCount(len(order))
        for at, name in enumerate(self._names):
            self.table.setItem(at, 0, QTableWidgetItem(actions.ROWS[name].plain))
            self.table.setItem(at, 1, QTableWidgetItem(_shown(actions.keys_of(name))))
        self.table.clearSelection()
        if kept in self._names:
            self.choose(kept)
        self._show_chosen()

    def _show_chosen(self):
        has_one = self.chosen() is not None
        for part in (self.field, self.none, self.shipped):
            part.setEnabled(has_one)
        self.field.clear()
        self.give.setEnabled(False)
        say_on(self._said, self.tr("Press the key it is to have.") if has_one else
               self.tr("Choose an action, then press the key it is to have."), "quiet")

    def _typed(self, sequence):
        key = sequence.toString()
        self.give.setEnabled(bool(key) and self.chosen() is not None)
        owner = actions.owner_of(key, self.chosen() or "") if key else None
        if owner is not None:
            say_on(self._said, self.tr("{0} belongs to “{1}”; given here, it is taken from there.").format(
                sequence.toString(QKeySequence.SequenceFormat.NativeText), actions.ROWS[owner].plain), "caution")

    def _give(self):
        key, name = self.field.keySequence().toString(), self.chosen()
        owner = actions.owner_of(key, name)
        if owner is not None:
            rest = [k for k in actions.keys_of(owner) if QKeySequence(k) != QKeySequence(key)]
            self._keep(rest, owner)
        self._keep((key,))

    def _keep(self, keys, name=None):
        try:
            actions.give_keys(name or self.chosen(), keys)
        except AppError as error:
            say_on(self._said, told(error.message), "trouble")
            return
        self.kept.emit()
        self._fill()


def _shown(keys):
    return ", ".join(QKeySequence(key).toString(QKeySequence.SequenceFormat.NativeText) for key in keys)
