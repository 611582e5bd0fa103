"""Settings of the photo reading."""

from PySide6.QtWidgets import QCheckBox

from sketchloom.app.stages.box import Box
from sketchloom.app.widgets import NamedSlider, label
from sketchloom.recipe import MAX_TONES, MIN_TONES


class PhotoBox(Box):
    """Tones, outlines and the small details a face needs."""

    def __init__(self):
        super().__init__()
        self._tones = NamedSlider(self.tr("Tones, one sheet each"), MIN_TONES, MAX_TONES)
        self._tones.moved.connect(lambda n: self.emit(self.tr("tones"), "tones", tones=n))
        self._features = QCheckBox(self.tr("Keep eyes and other strong small details"))
        self._features.setToolTip(self.tr("A small region that differs by several tones from what surrounds it stays, even under the smallest detail"))
        self._features.clicked.connect(lambda on: self.emit(self.tr("strong small details"), features=on))
        self._outlines = QCheckBox(self.tr("Draw dark outlines on top"))
        self._outlines.clicked.connect(lambda on: self.emit(self.tr("outlines"), photo_outlines=on))
        self._said = label("", "quiet")
        self.add(self._tones, self._features, self._outlines, self._said)

    def show_work(self, work) -> None:
        super().show_work(work)
        recipe = work.recipe
        self._tones.show_value(recipe.tones, str(recipe.tones))
        self._features.setChecked(recipe.features)
        self._outlines.setChecked(recipe.photo_outlines)
        kept = work.small_kept()
        self._said.setText(self.tr("Face-safe: {0} small details under the smallest one stay.").format(kept) if kept else
                           self.tr("No detail had to be kept under the smallest one."))
        self._said.setVisible(recipe.features)
