"""What a person prefers: how the window looks and speaks, and the unit of new works."""

from PySide6.QtCore import QSettings, Signal
from PySide6.QtWidgets import QApplication, QComboBox, QDialog, QDialogButtonBox, QFormLayout, QVBoxLayout

from sketchloom.app import languages, theme
from sketchloom.app.parts.widgets import button, label
from sketchloom.app.preferred import UNIT_KEY

_OWN_NAMES = {"en": "English", "de": "Deutsch"}


class Preferences(QDialog):
    """Choices that are kept at once; what needs another start says so."""

    keys_wanted = Signal()

    def __init__(self, parent=None):
        super().__init__(parent)
        self.setWindowTitle(self.tr("Preferences"))
        self.setMinimumWidth(theme.px(420))
        column, form = QVBoxLayout(self), QFormLayout()
        self.look = self._choice(self.tr("Look"), theme.SCHEME_KEY, (
            ("", self.tr("As the desktop has it")), ("light", self.tr("Light")), ("dark", self.tr("Dark"))))
        self.language = self._choice(self.tr("Language"), languages.LANGUAGE_KEY, (
            ("", self.tr("As the system has it")),
            *((one, _OWN_NAMES.get(one, one)) for one in languages.shipped())))
        self.unit = self._choice(self.tr("Unit of new works"), UNIT_KEY, (
            ("mm", self.tr("Millimetres")), ("in", self.tr("Inches"))))
        for name, part in ((self.tr("Look"), self.look), (self.tr("Language"), self.language),
                           (self.tr("Unit of new works"), self.unit)):
            form.addRow(name, part)
        keys = button(self.tr("Keys…"))
        keys.clicked.connect(self.keys_wanted)
        form.addRow(self.tr("Keys"), keys)
        self.said = label(
            self.tr("Machines, materials and prices are tables of their own, in Sheets and Layers."), "quiet")
        box = QDialogButtonBox(QDialogButtonBox.StandardButton.Close)
        box.rejected.connect(self.close)
        column.addLayout(form)
        column.addWidget(self.said)
        column.addWidget(box)

    def _choice(self, name, key, options):
        made = QComboBox()
        made.setAccessibleName(name)
        for value, text in options:
            made.addItem(text, value)
        made.setCurrentIndex(max(made.findData(str(QSettings().value(key, ""))), 0))
        made.activated.connect(lambda _: self._keep(key, made.currentData()))
        return made

    def _keep(self, key, value):
        QSettings().setValue(key, value)
        if key == theme.SCHEME_KEY:
            theme.follow(QApplication.instance())
        self.said.setText({UNIT_KEY: self.tr("Kept; new works begin with it."), theme.SCHEME_KEY: self.tr("Kept.")}.get(
            key, self.tr("Kept; the window has it at the next start.")))
