"""How the finished stack will look: material, light and shadow."""

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QCheckBox

from sketchloom.app.parts.fields import NamedSlider
from sketchloom.app.parts.widgets import label
from sketchloom.app.stages.box import Box


class LookBox(Box):
    """Only the look on the bench; nothing that is cut changes. ``changed`` when it is to be shown otherwise."""

    changed = Signal()

    def __init__(self):
        super().__init__()
        self.grain = QCheckBox(self.tr("In the look of their material"))
        self.shadows = QCheckBox(self.tr("Shadows"))
        self.shadows.setToolTip(
            self.tr("Each sheet's on those below, by the thickness of the sheets and the spacers between")
        )
        for part in (self.grain, self.shadows):
            part.clicked.connect(lambda _: self._show())
        self.light = NamedSlider(self.tr("Light from"), 0, 23)
        self.slant = NamedSlider(self.tr("Light stands"), 1, 8)
        for part, value in ((self.light, 21), (self.slant, 4)):
            part.slider.setValue(value)
            part.moved.connect(lambda _: self._show())
        self._said = label("", "quiet")
        self.add(self.grain, self.shadows, self.light, self.slant, self._said)
        self._show()

    @property
    def light_deg(self) -> float:
        return 15.0 * self.light.slider.value()

    @property
    def slant_share(self) -> float:
        """mm of shadow for a mm of height."""
        return self.slant.slider.value() / 4

    def _show(self):
        hours = (
            self.tr("above"),
            self.tr("upper right"),
            self.tr("right"),
            self.tr("lower right"),
            self.tr("below"),
            self.tr("lower left"),
            self.tr("left"),
            self.tr("upper left"),
        )
        self.light.value_label.setText(hours[round(self.light_deg / 45) % 8])
        low = self.slant.slider.value()
        self.slant.value_label.setText(
            self.tr("high") if low <= 2 else self.tr("low") if low >= 6 else self.tr("halfway")
        )
        for part in (self.light, self.slant):
            part.setEnabled(self.shadows.isChecked())
        self.changed.emit()

    def say(self, text: str) -> None:
        self._said.setText(text)
        self._said.setVisible(bool(text))
