"""The user's own settings under a name."""

from dataclasses import replace
from pathlib import Path

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QComboBox, QFileDialog, QHBoxLayout, QLineEdit, QMenu, QWidget

from sketchloom.app import theme
from sketchloom.app.parts.widgets import button, label
from sketchloom.app.stages.box import Box
from sketchloom.app.words import told
from sketchloom.core.base.errors import AppError
from sketchloom.core.picture.decode import read_bytes
from sketchloom.files import user_data
from sketchloom.files.writing import write_whole
from sketchloom.recipe import presets


class _List(QComboBox):
    """A list that is filled anew whenever it opens."""

    opening = Signal()

    def showPopup(self):
        self.opening.emit()
        super().showPopup()


class PresetsBox(Box):
    """Take a preset, keep the present settings as one, hand them on as a file."""

    trouble = Signal(str)

    def __init__(self):
        super().__init__()
        self._list = _List()
        self._list.opening.connect(self._fill)
        self._list.setAccessibleName(self.tr("Presets"))
        self._list.activated.connect(self._take)
        self._more = button(
            self.tr("Keep…"), "bookmark", self.tr("Keep the present settings, hand presets on, or remove one")
        )
        menu = QMenu(self)
        menu.addAction(self.tr("Keep the present settings…")).triggered.connect(self.ask_name)
        self._remove = menu.addMenu(self.tr("Remove"))
        self._remove.aboutToShow.connect(self._fill_remove)
        menu.addSeparator()
        menu.addAction(self.tr("Write presets to a file…")).triggered.connect(self._ask_export)
        menu.addAction(self.tr("Read presets from a file…")).triggered.connect(self._ask_import)
        self._more.setMenu(menu)
        self._name = QLineEdit()
        self._name.setPlaceholderText(self.tr("Name of the preset"))
        self._name.setAccessibleName(self.tr("Name of the preset"))
        self._name.returnPressed.connect(self._keep)
        self._keep_button = button(self.tr("Keep"))
        self._keep_button.clicked.connect(self._keep)
        self._row = QWidget()
        row = QHBoxLayout(self._row)
        row.setContentsMargins(0, 0, 0, 0)
        row.addWidget(self._name, 1)
        row.addWidget(self._keep_button)
        self._row.hide()
        self._said = label("", "quiet")
        self._said.hide()
        self.add((self._list, self._more), self._row, self._said)
        self._list.setMinimumWidth(theme.px(190))
        self._presets: tuple = ()
        self._last: tuple = ()
        self._fill()

    def _fill(self):
        self._presets, self._last = user_data.presets(), user_data.last_settings()
        self._list.clear()
        self._list.addItem(self.tr("Presets"))
        words = {
            "tone": self.tr("Last used: tone"),
            "colour": self.tr("Last used: colour"),
            "line": self.tr("Last used: line"),
            "photo": self.tr("Last used: photo"),
        }
        for one in self._last:
            self._list.addItem(words.get(one.name, one.name), one)
        if self._last and self._presets:
            self._list.insertSeparator(self._list.count())
        for one in self._presets:
            self._list.addItem(one.name, one)

    def _take(self, index):
        one = self._list.itemData(index)
        self._list.setCurrentIndex(0)
        if one is not None:
            self.change.emit(one.applied(self.recipe), self.tr("preset {0}").format(one.name), "")

    def ask_name(self) -> None:
        """Room for a name; Enter keeps the present settings under it."""
        self._row.show()
        self._name.setFocus()

    def _keep(self):
        try:
            one = presets.preset_of(self._name.text(), self._seen())
            self._write(presets.with_preset(self._presets, one))
        except AppError as error:
            self.trouble.emit(told(error.message))
            return
        self._row.hide()
        self._name.clear()
        self._tell(self.tr("Kept as “{0}”.").format(one.name))

    def _seen(self):
        """The recipe with what was chosen by the program written out, so that it means the same elsewhere."""
        return replace(self.recipe, reading=self.work.reading)

    def _write(self, kept):
        user_data.keep_presets(kept)
        self._fill()

    def _fill_remove(self):
        self._remove.clear()
        for one in self._presets:
            self._remove.addAction(one.name).triggered.connect(
                lambda _=False, n=one.name: self._write(tuple(p for p in self._presets if p.name != n)))
        if not self._presets:
            self._remove.addAction(self.tr("None yet")).setEnabled(False)

    def _ask_export(self):
        path, _ = QFileDialog.getSaveFileName(
            self, self.tr("Write presets to a file"), str(Path.home() / "presets.json"), "JSON (*.json)"
        )
        if path:
            self.export(path)

    def export(self, path) -> None:
        try:
            write_whole(path, presets.to_bytes(self._presets))
        except AppError as error:
            self.trouble.emit(told(error.message))
            return
        self._tell(self.tr("{0} presets written.").format(len(self._presets)))

    def _ask_import(self):
        path, _ = QFileDialog.getOpenFileName(
            self, self.tr("Read presets from a file"), str(Path.home()), "JSON (*.json)"
        )
        if path:
            self.take_file(path)

    def take_file(self, path) -> None:
        """Add the presets of a file; those of the same name are replaced."""
        try:
            found = presets.from_bytes(read_bytes(path), str(path))
            kept = self._presets
            for one in found:
                kept = presets.with_preset(kept, one)
            self._write(kept)
        except AppError as error:
            self.trouble.emit(told(error.message))
            return
        self._tell(self.tr("{0} presets read.").format(len(found)))

    def _tell(self, text):
        self._said.setText(text)
        self._said.show()
