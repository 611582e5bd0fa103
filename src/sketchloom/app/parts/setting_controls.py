"""Controls made from the descriptions of settings: words, limits and choices are those of the description."""

from collections.abc import Callable

from PySide6.QtWidgets import QCheckBox, QComboBox, QHBoxLayout, QLineEdit, QWidget

from sketchloom.app import theme
from sketchloom.app.parts.fields import LengthEdit, NamedSlider
from sketchloom.app.parts.widgets import label
from sketchloom.app.words import told
from sketchloom.core.base.setting import CHOICE, LENGTH, SWITCH, TEXT, WHOLE, Setting
from sketchloom.recipe.document import SETTINGS, Recipe

FIELD_PX = 104


class SettingControl(QWidget):
    """One setting; ``commit(value, gesture)`` is called when a hand changed it."""

    def __init__(self, setting: Setting, commit: Callable[[object, str], None]):
        super().__init__()
        self.setting, self._commit = setting, commit
        row = QHBoxLayout(self)
        row.setContentsMargins(0, 0, 0, 0)
        row.setSpacing(6)
        self.part = _MAKERS[setting.kind](self, row)
        self.setToolTip(told(setting.about))

    @property
    def name(self) -> str:
        """What people call it."""
        return told(self.setting.label)

    def show_recipe(self, recipe: Recipe) -> None:
        """Bring it up to date."""
        value = getattr(recipe, self.setting.name)
        match self.setting.kind:
            case "switch":
                self.part.setChecked(value)
            case "whole":
                names = self.setting.names
                self.part.show_value(value, told(names[value - int(self.setting.least)]) if names else str(value))
            case "length":
                self.part.show_value(value if value is not None else self.setting.least, recipe.unit)
            case "choice":
                self.part.setCurrentIndex(self.part.findData(value))
            case "text":
                if not self.part.hasFocus():  # what is being typed stays
                    self.part.setText(value)

    def _switch(self, row):
        part = QCheckBox(self.name)
        part.clicked.connect(lambda on: self._commit(on, ""))
        row.addWidget(part)
        return part

    def _whole(self, row):
        part = NamedSlider(self.name, int(self.setting.least), int(self.setting.most))
        part.moved.connect(lambda value: self._commit(value, self.setting.name))
        row.addWidget(part)
        return part

    def _length(self, row):
        part = LengthEdit(self.name, self.setting.least, self.setting.most, self.setting.least_if_any)
        part.setFixedWidth(theme.px(FIELD_PX))
        part.committed.connect(lambda mm: self._commit(mm, ""))
        row.addWidget(label(self.name), 1)
        row.addWidget(part)
        return part

    def _choice(self, row):
        part = QComboBox()
        part.setAccessibleName(self.name)
        for value, name in zip(self.setting.choices, self.setting.names or self.setting.choices, strict=True):
            part.addItem(told(name), value)
        part.activated.connect(lambda index: self._commit(part.itemData(index), ""))
        row.addWidget(label(self.name))
        row.addWidget(part, 1)
        return part

    def _text(self, row):
        part = QLineEdit()
        part.setAccessibleName(self.name)
        part.setMaxLength(int(self.setting.most))
        part.editingFinished.connect(lambda: self._commit(part.text(), ""))
        row.addWidget(label(self.name))
        row.addWidget(part, 1)
        return part


_MAKERS = {
    SWITCH: SettingControl._switch,
    WHOLE: SettingControl._whole,
    LENGTH: SettingControl._length,
    CHOICE: SettingControl._choice,
    TEXT: SettingControl._text,
}


def settings_placed(place: str) -> list[Setting]:
    """Settings for which a panel makes controls by itself."""
    return [setting for setting in SETTINGS.values() if setting.place == place]
