"""A group of settings within a panel."""

from dataclasses import replace

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QVBoxLayout, QWidget

from sketchloom.app.parts.setting_controls import SettingControl, settings_placed
from sketchloom.app.parts.widgets import put
from sketchloom.app.words import told
from sketchloom.recipe.document import SETTINGS


class Box(QWidget):
    """Rows of settings that change one recipe. ``change``: the new recipe, what it does, its gesture."""

    change = Signal(object, str, str)

    def __init__(self):
        super().__init__()
        self.recipe = self.work = None
        self.controls: dict[str, SettingControl] = {}  # by the names of their settings
        self._column = QVBoxLayout(self)
        self._column.setContentsMargins(0, 0, 0, 0)
        self._column.setSpacing(8)

    def add(self, *parts) -> None:
        """Widgets below each other; a tuple stands side by side."""
        put(self._column, parts, 6)

    def control(self, name: str) -> SettingControl:
        """A control for a setting, made from its description; it is kept up to date and changes the recipe."""
        setting = SETTINGS[name]
        made = SettingControl(
            setting, lambda value, gesture: self.emit(told(setting.label).lower(), gesture, **{name: value})
        )
        self.controls[name] = made
        return made

    def show_work(self, work) -> None:
        """Bring all parts up to date with a result."""
        self.work, self.recipe = work, work.recipe
        for control in self.controls.values():
            control.show_recipe(work.recipe)

    def emit(self, what: str, gesture: str = "", **changes) -> None:
        """Change the recipe as it is now in the document, which may be ahead of the result shown."""
        if self.recipe is not None:
            self.change.emit(replace(self.recipe, **changes), what, gesture)


class PlacedBox(Box):
    """Controls of all settings that say they belong to a panel; shows nothing where there are none."""

    def __init__(self, place: str):
        super().__init__()
        self.add(*(self.control(setting.name) for setting in settings_placed(place)))
        if not self.controls:
            self.hide()
