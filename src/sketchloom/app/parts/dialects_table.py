"""The dialects of machine code, to be changed: their lines, and how a disc comes out in them."""

from PySide6.QtCore import Qt, QTimer, Signal
from PySide6.QtWidgets import (
    QCheckBox,
    QDialog,
    QFormLayout,
    QHBoxLayout,
    QLineEdit,
    QListWidget,
    QListWidgetItem,
    QPlainTextEdit,
    QSpinBox,
    QVBoxLayout,
)

from sketchloom.app import theme
from sketchloom.app.parts.widgets import button, label
from sketchloom.app.words import named, told
from sketchloom.app.work.jobs import Lane
from sketchloom.core.base.errors import AppError
from sketchloom.core.formats.dialects import PLACES, SHIPPED, Dialect
from sketchloom.desk.rehearsal import sample_of
from sketchloom.files import user_data

_LINES_PX = 58
_SOON_MS = 150


class DialectsTable(QDialog):
    """A list of dialects beside the lines of the chosen one. ``kept`` when the table changed."""

    kept = Signal()

    def __init__(self, parent=None):
        super().__init__(parent)
        self.setWindowTitle(self.tr("Dialects of machine code"))
        # not at every letter: a hand types faster than a disc is cut into arcs
        self._soon = QTimer(self, singleShot=True, interval=_SOON_MS)
        self._soon.timeout.connect(self._show_sample)
        self.resize(980, 640)
        whole = QVBoxLayout(self)
        whole.addWidget(label(self.tr(
            "What a machine's manual asks for. In braces stand figures of the machine and the material: {0}.").format(
                ", ".join("{" + place + "}" for place in PLACES)), "quiet"))
        columns = QHBoxLayout()
        whole.addLayout(columns, 1)
        self.list = QListWidget()
        self.list.setAccessibleName(self.tr("Dialects of machine code"))
        self.list.setSpacing(theme.px(3))
        self.list.currentRowChanged.connect(self._turn)
        columns.addWidget(self.list, 2)
        form = QFormLayout()
        columns.addLayout(form, 4)
        self.name = QLineEdit()
        form.addRow(self.tr("Name"), self.name)
        self.lines: dict[str, QPlainTextEdit] = {}
        for field, text in (("header", self.tr("At the beginning")), ("on", self.tr("Tool on")),
                            ("off", self.tr("Tool off")), ("change", self.tr("Another tool")),
                            ("footer", self.tr("At the end"))):
            part = QPlainTextEdit()
            part.setAccessibleName(text)
            part.setTabChangesFocus(True)
            part.setFixedHeight(theme.px(_LINES_PX))
            part.textChanged.connect(self._sample_soon)
            self.lines[field] = part
            form.addRow(text, part)
        self.arcs, self.numbered = QCheckBox(self.tr("Arcs (G2, G3)")), QCheckBox(self.tr("Numbered lines"))
        self.decimals = QSpinBox()
        self.decimals.setRange(1, 6)
        self.decimals.setAccessibleName(self.tr("Decimals"))
        for tick in (self.arcs, self.numbered):
            tick.clicked.connect(self._sample_soon)
        self.decimals.valueChanged.connect(self._sample_soon)
        form.addRow("", self.arcs)
        form.addRow("", self.numbered)
        form.addRow(self.tr("Decimals"), self.decimals)
        self.sample = QPlainTextEdit()
        self.sample.setReadOnly(True)
        self.sample.setAccessibleName(self.tr("A disc of 10 mm in this dialect"))
        side = QVBoxLayout()
        side.addWidget(label(self.tr("A disc of 10 mm in this dialect"), "section"))
        side.addWidget(self.sample, 1)
        columns.addLayout(side, 3)
        self._said = label("", "trouble")
        self._said.hide()
        whole.addWidget(self._said)
        whole.addLayout(self._buttons())
        self._dialects: list[Dialect] = []
        self._row = -1
        self._lane = self._ended = None  # a lane while it is seen: a disc is cut into arcs beside the window
        self._is_filling = False
        self._fill(user_data.dialects())

    def _buttons(self):
        row = QHBoxLayout()
        for text, icon, tip, act in (
            (self.tr("Add"), "plus", self.tr("A copy of the chosen one"), self._add),
            (self.tr("Take out"), "trash", self.tr("The chosen one, where it is your own"), self._take_out),
            (self.tr("As shipped"), "restore", self.tr("The plain kinds that come with the program"),
             lambda: self._fill(SHIPPED)),
        ):
            one = button(text, icon, tip)
            one.clicked.connect(lambda _=False, do=act: do())
            row.addWidget(one)
        row.addStretch(1)
        close = button(self.tr("Close"), "x", self.tr("Changes that were not kept are left"))
        close.clicked.connect(self.close)
        keep = button(self.tr("Keep"), "", self.tr("The table is used from now on"))
        keep.setObjectName("primary")
        keep.clicked.connect(self._take)
        row.addWidget(close)
        row.addWidget(keep)
        return row

    def _fill(self, dialects):
        self._row = -1
        self._dialects = list(dialects)
        self.list.clear()
        for one in self._dialects:
            self.list.addItem(QListWidgetItem(named(one.name)))
        self._said.hide()
        self.list.setCurrentRow(0)

    def _turn(self, row):
        """Show another one; what was typed of the last is held, and stays where it is none."""
        if row == self._row or row < 0:
            return
        if self._row >= 0 and not self._hold():
            self.list.blockSignals(True)
            self.list.setCurrentRow(self._row)
            self.list.blockSignals(False)
            return
        self._row = row
        one = self._dialects[row]
        self._is_filling = True
        self.name.setText(named(one.name))
        for field, part in self.lines.items():
            part.setPlainText("\n".join(getattr(one, field)))
        self.arcs.setChecked(one.arcs)
        self.numbered.setChecked(one.numbered)
        self.decimals.setValue(one.decimals)
        self._is_filling = False
        self._show_sample()

    def _typed(self) -> Dialect:
        """The dialect as it is typed; raises SettingError."""
        return Dialect(self._dialects[self._row].key, self.name.text().strip(),
                       **{field: tuple(part.toPlainText().splitlines()) for field, part in self.lines.items()},
                       arcs=self.arcs.isChecked(), numbered=self.numbered.isChecked(), decimals=self.decimals.value())

    def _hold(self) -> bool:
        try:
            made = self._typed()
        except AppError as error:
            self._said.setText(told(error.message))
            self._said.show()
            return False
        self._said.hide()
        old = self._dialects[self._row]
        if made.name == named(old.name):
            made = Dialect(**{f: getattr(made, f) for f in made.__dataclass_fields__ if f != "name"}, name=old.name)
        self._dialects[self._row] = made
        self.list.item(self._row).setText(named(made.name))
        return True

    def _sample_soon(self, *_):
        if not self._is_filling:
            self._soon.start()

    def _show_sample(self):
        self._soon.stop()
        if self._row < 0 or self._lane is None:
            return
        try:
            typed = self._typed()
        except AppError as error:
            self._lane.forget()
            self.sample.setPlainText(told(error.message))
            return
        self._lane.run("", lambda _: sample_of(typed), self.sample.setPlainText,
                       lambda why: self.sample.setPlainText(told(why)))

    def showEvent(self, event):
        super().showEvent(event)
        if self._lane is None:
            self._lane = Lane("sample")
            self._show_sample()

    def hideEvent(self, event):
        super().hideEvent(event)
        if self._lane is not None:
            self._lane.close()
            # held until the next one is: what its own thread let go of last would be taken down beside the window
            self._ended, self._lane = self._lane, None

    def _add(self):
        if self._row >= 0 and self._hold():
            one = self._dialects[self._row]
            keys = {d.key for d in self._dialects}
            number = next(n for n in range(1, 10_000) if f"own-{n}" not in keys)
            fields = {f: getattr(one, f) for f in one.__dataclass_fields__ if f not in ("key", "name")}
            self._dialects.append(Dialect(f"own-{number}", self.tr("{0}, another").format(named(one.name))[:100],
                                          **fields))
            self.list.addItem(QListWidgetItem(self._dialects[-1].name))
            self.list.setCurrentRow(len(self._dialects) - 1)

    def _take_out(self):
        if self._row < 0:
            return
        if any(one.key == self._dialects[self._row].key for one in SHIPPED):
            self._said.setText(self.tr("What comes with the program stays; change it, or add another."))
            self._said.show()
            return
        row, self._row = self._row, -1
        del self._dialects[row]
        self.list.blockSignals(True)
        self.list.takeItem(row)
        self.list.blockSignals(False)
        self._turn(max(min(row, len(self._dialects) - 1), 0))
        self.list.setCurrentRow(self._row)

    def _take(self):
        if not self._hold():
            return
        try:
            user_data.keep_dialects(tuple(self._dialects))
        except AppError as error:
            self._said.setText(told(error.message))
            self._said.show()
            return
        self.kept.emit()
        self.close()

    def keyPressEvent(self, event):
        if event.key() in (Qt.Key.Key_Return, Qt.Key.Key_Enter):
            return  # a line was typed; it is no wish to close
        super().keyPressEvent(event)
