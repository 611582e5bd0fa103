"""Which size: by a side, by the place it goes, by the smallest detail; and what a size means for every layer."""

from dataclasses import replace

from PySide6.QtWidgets import QComboBox, QListWidget, QListWidgetItem

from sketchloom.app import theme
from sketchloom.app.parts.fields import LengthEdit
from sketchloom.app.parts.widgets import button, label, swatch
from sketchloom.app.stages.box import Box
from sketchloom.app.words import named
from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.units import format_length, parse_length_mm
from sketchloom.core.sheets.sizing import PLACES
from sketchloom.desk import sizes
from sketchloom.recipe.sections import MAX_SIZE_MM, MIN_SIZE_MM


class SizeBox(Box):
    """Sizes all layers together, always. What is typed is judged while it is typed."""

    def __init__(self):
        super().__init__()
        self.wide = LengthEdit(self.tr("Width"), MIN_SIZE_MM, MAX_SIZE_MM)
        self.high = LengthEdit(self.tr("Height"), MIN_SIZE_MM, MAX_SIZE_MM)
        for side, part in (("width", self.wide), ("height", self.high)):
            part.committed.connect(lambda mm, s=side: self.emit(self.tr("size"), "", size_mm=mm, size_side=s))
            part.textEdited.connect(lambda text, s=side: self._try(text, s))
        self.place = QComboBox()
        self.place.setAccessibleName(self.tr("The place it goes"))
        self.place.addItem(self.tr("As large as a place takes …"), None)
        for n, one in enumerate(PLACES):
            self.place.addItem(named(one.name), n)
        self.place.activated.connect(self._fit_into)
        self._details = button(
            self.tr("As small as its details bear"), "",
            self.tr("The least size at which the narrowest place of every layer survives its material"))
        self._details.clicked.connect(self._fit_details)
        self._said = label("", "quiet")
        self.list = QListWidget()
        self.list.setAccessibleName(self.tr("How each layer fits a carrier at this size"))
        self.list.setSelectionMode(QListWidget.SelectionMode.NoSelection)
        self.list.setWordWrap(True)
        self.add((label(self.tr("Width")), self.wide, label(self.tr("Height")), self.high), self.place,
                 self._details, self._said, self.list)

    def show_work(self, work) -> None:
        super().show_work(work)
        for part, mm in zip((self.wide, self.high), work.size_mm, strict=True):
            part.show_value(mm, work.recipe.unit)
        self.place.setCurrentIndex(0)
        factor = sizes.least_factor(work)
        self._details.setEnabled(factor > 0)
        self._said.setText("")
        self._show_fits(1.0)

    def _try(self, text, side):
        """What the size that is being typed would mean."""
        try:
            mm = parse_length_mm(text, self.recipe.unit)
        except (SettingError, AttributeError):
            return
        if MIN_SIZE_MM <= mm <= MAX_SIZE_MM:
            now = self.work.size_mm[side == "height"]
            self._show_fits(mm / now)

    def _show_fits(self, factor):
        self.list.clear()
        unit = self.recipe.unit
        for one in sizes.fits_at(self.work, factor):
            size = " × ".join(format_length(v, unit) for v in one.size)
            if one.fit.room is not None:
                how = self.tr("fits, turned") if one.fit.room.turned else self.tr("fits")
                how += f", {one.fit.room.carrier}"
            elif one.fit.parts:
                how = self.tr("divided into {0} parts").format(one.fit.parts)
            else:
                how = self.tr("fits no carrier")
            item = QListWidgetItem(swatch(one.hex, 16), f"{one.name}: {size}\n{how}")
            self.list.addItem(item)
        rows = min(max(self.list.count(), 1), 5)
        self.list.setFixedHeight(theme.px(8 + 40 * rows))

    def _fit_into(self, index):
        number = self.place.itemData(index)
        if number is None:
            return
        factor, _ = sizes.into(self.work, PLACES[number])
        if factor > 0:
            self._take(factor, self.tr("size that fits"))

    def _fit_details(self):
        factor = sizes.least_factor(self.work)
        if factor > 0:
            self._take(factor, self.tr("least size"))

    def _take(self, factor, what):
        made = sizes.resized(self.work, factor)
        self.change.emit(replace(self.recipe, size_mm=made.size_mm, size_side=made.size_side), what, "")
        self._said.setText(self.tr("All layers together: {0} × {1}.").format(
            *(format_length(v * factor, self.recipe.unit) for v in sizes.extents_mm(self.work))))
