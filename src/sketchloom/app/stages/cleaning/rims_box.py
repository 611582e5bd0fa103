"""Backings, rims and inner lines: sheets of an outline moved by a distance."""

from dataclasses import replace

from PySide6.QtCore import Signal
from PySide6.QtWidgets import QCheckBox, QColorDialog, QComboBox

from sketchloom.app.parts.fields import LengthEdit
from sketchloom.app.parts.widgets import Choice, button, label, swatch
from sketchloom.app.stages.box import Box
from sketchloom.app.stages.cleaning.kept_list import KeptList
from sketchloom.app.words import named
from sketchloom.core.base.units import format_length
from sketchloom.core.layers.added import BACKING, INNER, LINE_MM, MAX_DISTANCE_MM, RIM, UNDERLAY, USUAL_MM, Rim, rim_key
from sketchloom.files.user_data import materials


class RimsBox(Box):
    """One more rim, and those there are. ``groove_wanted``: an inner line that is cut out."""

    groove_wanted = Signal(object)

    def __init__(self):
        super().__init__()
        self._new = Rim(USUAL_MM[BACKING])
        self._kind = Choice(
            (
                (BACKING, self.tr("Backing"), self.tr("A sheet below everything, that much larger")),
                (RIM, self.tr("Rim"), self.tr("A band around, with the work cut out of it")),
                (INNER, self.tr("Inner line"), self.tr("A line of a width that far within the edge: a groove, a "
                                                         "stitching line")),
                (
                    UNDERLAY,
                    self.tr("Underlay"),
                    self.tr(
                        "A sheet below, that much smaller, only where what the work is laid on (Layers) would shine "
                        "through"
                    ),
                ),
            ),
            self.tr("Kind"),
        )
        self._kind.chosen.connect(self._take_kind)
        self._of = QComboBox()
        self._of.setAccessibleName(self.tr("What it goes around"))
        self._of.activated.connect(lambda _: self._set(of=self._of.currentData()))
        self._distance = LengthEdit(self.tr("Distance; 0 gives the silhouette itself"), 0.0, MAX_DISTANCE_MM)
        self._distance.committed.connect(lambda mm: self._set(distance_mm=mm))
        self._width = LengthEdit(self.tr("Width of the line"), 0.05, MAX_DISTANCE_MM)
        self._width.committed.connect(lambda mm: self._set(width_mm=mm))
        self._groove = QCheckBox(self.tr("A groove: cut out of what lies there"))
        self._of_line = (label(self.tr("Line width")), self._width)
        self._corners = Choice(
            (
                ("round", self.tr("Round"), self.tr("Corners are rounded")),
                ("sharp", self.tr("Sharp"), self.tr("Corners stay corners")),
            ),
            self.tr("Corners"),
        )
        self._corners.chosen.connect(lambda key: self._set(is_round=key == "round"))
        self._islands = QCheckBox(self.tr("Holes stay open"))
        self._islands.setToolTip(self.tr("Otherwise what is enclosed is filled"))
        self._islands.clicked.connect(lambda on: self._set(islands=on))
        self._colour = button(self.tr("Colour…"))
        self._colour.clicked.connect(self._ask_colour)
        self._material = QComboBox()
        self._material.setAccessibleName(self.tr("What its sheet is cut from"))
        self._add = button(self.tr("Add it"), "plus", self.tr("It becomes a sheet of its own in every figure and file"))
        self._add.clicked.connect(self._add_one)
        self.kept = KeptList(self, "rims", self.tr("Backings, rims and inner lines, the latest first"), self.tr("rim"))
        self._said = label("", "quiet")
        self.add(
            self._kind,
            (label(self.tr("Around")), self._of),
            (label(self.tr("Distance")), self._distance),
            self._of_line,
            self._groove,
            self._corners,
            self._islands,
            self._material,
            (self._colour, self._add),
            self._said,
            self.kept,
        )
        self._show_new()

    def _take_kind(self, kind):
        """A distance that was not chosen goes with the kind."""
        usual = self._new.distance_mm == USUAL_MM[self._new.kind]
        self._set(kind=kind, distance_mm=USUAL_MM[kind] if usual else self._new.distance_mm,
                  width_mm=LINE_MM if kind == INNER else None)

    def _set(self, **changes):
        self._new = replace(self._new, **changes)
        self._show_new()

    def _show_new(self):
        self._kind.show_value(self._new.kind)
        self._corners.show_value("round" if self._new.is_round else "sharp")
        self._islands.setChecked(self._new.islands)
        self._islands.setEnabled(self._new.kind != UNDERLAY)
        self._islands.setText(self.tr("Around holes too") if self._new.kind == INNER else self.tr("Holes stay open"))
        for part in (*self._of_line, self._groove):
            part.setVisible(self._new.kind == INNER)
        added = self._new.of is not None and not self._new.of.startswith("#")
        self._groove.setEnabled(not added)
        self._groove.setToolTip(
            self.tr("A sheet that was added is no region to cut out of; its groove is a line of its own") if added else
            self.tr("Instead of a sheet of its own; it is kept under “Shapes and words”"))
        self._width.show_value(self._new.width_mm or LINE_MM, "mm" if self.recipe is None else self.recipe.unit)
        self._colour.setIcon(swatch(self._new.hex, 16))
        self._distance.show_value(self._new.distance_mm, "mm" if self.recipe is None else self.recipe.unit)

    def _ask_colour(self):
        colour = QColorDialog.getColor(self._new.hex, self, self.tr("Colour of the sheet"))
        if colour.isValid():
            self._set(hex=colour.name())

    def _add_one(self):
        if self._new.kind == INNER and self._groove.isChecked() and self._groove.isEnabled():
            self.groove_wanted.emit(self._new)
            return
        recipe = replace(self.recipe, rims=(*self.recipe.rims, self._new))
        if self._material.currentData() is not None:
            recipe = recipe.with_material(rim_key(self._new, len(self.recipe.rims)), self._material.currentData())
        self.change.emit(recipe, self.tr("added {0}").format(self._words(self._new.kind)), "")

    def _words(self, kind):
        return {
            BACKING: self.tr("backing"),
            RIM: self.tr("rim"),
            INNER: self.tr("inner line"),
            UNDERLAY: self.tr("underlay"),
        }[kind]

    def show_work(self, work) -> None:
        super().show_work(work)
        kept = self._of.currentData()
        self._of.clear()
        self._of.addItem(self.tr("Everything together"), None)
        for plan in work.plans:
            if not plan.left_out:
                self._of.addItem(swatch(plan.hex, 16), plan.name, plan.key)
        for layer in work.layers:
            if not layer.plan.labels:
                self._of.addItem(swatch(layer.plan.hex, 16), layer.plan.name, layer.plan.key)
        self._of.setCurrentIndex(max(self._of.findData(kept), 0))
        self._new = replace(self._new, of=self._of.currentData())
        chosen = self._material.currentIndex()
        self._material.clear()
        self._material.addItem(self.tr("No material said"), None)
        for material in materials():
            words = self.tr("{0}, {1:g} mm").format(named(material.name), material.thickness_mm)
            self._material.addItem(words, material)
        self._material.setCurrentIndex(max(min(chosen, self._material.count() - 1), 0))
        self._show_new()
        unit = work.recipe.unit
        self.kept.show_rows(
            lambda _, r: (
                lambda: swatch(r.hex, 16),
                self.tr("{0}, {1}").format(r.name or self._words(r.kind), format_length(r.distance_mm, unit, 2)),
            )
        )
        made = [layer for layer in work.layers if not layer.plan.labels]
        lost = sum(r.on for r in work.recipe.rims) - len(made)
        self._said.setVisible(lost > 0)
        self._said.setText(
            self.tr("Nothing is left at one of these distances.")
            if lost == 1
            else self.tr("Nothing is left at {0} of these distances.").format(lost)
        )
