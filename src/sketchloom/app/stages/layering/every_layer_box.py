"""What holds for all layers: what they are laid on, their language, weeding, what cuts them, and a frame's depth."""

from PySide6.QtWidgets import QColorDialog, QComboBox

from sketchloom.app.parts.fields import LengthEdit
from sketchloom.app.parts.widgets import Choice, label, swatch
from sketchloom.app.stages.box import Box
from sketchloom.core.base.words import languages
from sketchloom.core.sheets.material import BLADE, LASER, ROUTER
from sketchloom.recipe.document import SETTINGS


class EveryLayerBox(Box):
    """Settings of all layers together."""

    def __init__(self):
        super().__init__()
        self._build_ground()
        self._weeding = LengthEdit(self.tr("A frame is cut so far around every sheet; 0 for none"), 0.0, 200.0)
        self._weeding.committed.connect(lambda mm: self.emit(self.tr("weeding frame"), weeding_mm=mm))
        self._every = LengthEdit(self.tr("Helper cuts through the waste so far apart; 0 for none"), 0.0, 500.0,
                                 SETTINGS["weeding_every_mm"].least_if_any)
        self._every.committed.connect(lambda mm: self.emit(self.tr("helper cuts"), weeding_every_mm=mm))
        self._names_in = QComboBox()
        self._names_in.setAccessibleName(self.tr("Language that layers are named in"))
        for code, name in languages().items():
            self._names_in.addItem(self.tr("Layers named in {0}").format(name), code)
        self._names_in.activated.connect(
            lambda _: self.emit(self.tr("language of names"), names_in=self._names_in.currentData()))
        self._tool = Choice(
            ((BLADE, self.tr("Blade"), ""), (LASER, self.tr("Laser"), ""), (ROUTER, self.tr("Router"), "")),
            self.tr("What cuts"),
        )
        self._tool.chosen.connect(lambda tool: self.emit(self.tr("tool"), tool=tool))
        self._depth = LengthEdit(self.tr("Inner depth of a frame, 0 for none"), 0.0, 1000.0)
        self._depth.committed.connect(
            lambda mm: self.emit(self.tr("depth of the frame"), frame_depth_mm=mm if mm >= 0.1 else None))
        self.add(
            self._names_in,
            (label(self.tr("Weeding frame")), self._weeding),
            (label(self.tr("Helper cuts every")), self._every),
            label(self.tr("Cut by"), "quiet"),
            self._tool,
            (label(self.tr("Frame depth")), self._depth),
        )

    def _build_ground(self):
        self.laid_on = QComboBox()
        """It stands with the ways of layering, as it is asked for most."""
        self.laid_on.setAccessibleName(self.tr("What the work is laid on"))
        for name, hex_colour in (
            (self.tr("Laid on: not said"), None),
            (self.tr("White shirt, wall or card"), "#ffffff"),
            (self.tr("Black shirt or card"), "#141414"),
            (self.tr("Grey"), "#9a9a9a"),
            (self.tr("Kraft card or wood"), "#b98d5e"),
            (self.tr("Another colour…"), "other"),
        ):
            if hex_colour in (None, "other"):
                self.laid_on.addItem(name, hex_colour)
            else:
                self.laid_on.addItem(swatch(hex_colour, 16), name, hex_colour)
        self.laid_on.activated.connect(self._take_ground)

    def show_recipe(self, recipe) -> None:
        """The settings as they are now in the document."""
        self.recipe, unit = recipe, recipe.unit
        self._names_in.setCurrentIndex(self._names_in.findData(recipe.names_in))
        self._tool.show_value(recipe.tool)
        at = self.laid_on.findData(recipe.laid_on)
        if at < 0:
            at = self.laid_on.count() - 1
            self.laid_on.insertItem(at, swatch(recipe.laid_on, 16), recipe.laid_on, recipe.laid_on)
        self.laid_on.setCurrentIndex(at)
        self._weeding.show_value(recipe.weeding_mm, unit)
        self._every.show_value(recipe.weeding_every_mm, unit)
        self._every.setEnabled(recipe.weeding_mm > 0)
        self._depth.show_value(recipe.frame_depth_mm or 0.0, unit)

    def _take_ground(self, _):
        hex_colour = self.laid_on.currentData()
        if hex_colour == "other":
            colour = QColorDialog.getColor(parent=self, title=self.tr("Colour of what the work is laid on"))
            hex_colour = colour.name() if colour.isValid() else self.recipe.laid_on
        self.emit(self.tr("what it is laid on"), laid_on=hex_colour)
        self.laid_on.setCurrentIndex(max(self.laid_on.findData(hex_colour), 0))
