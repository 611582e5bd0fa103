"""Where sheets are narrow: a line on the bench, and a list."""

from PySide6.QtCore import QSize, Qt, Signal
from PySide6.QtWidgets import QListWidget, QListWidgetItem

from sketchloom.app import theme
from sketchloom.app.parts.fields import LengthEdit
from sketchloom.app.parts.widgets import Choice, button, counted, label, swatch
from sketchloom.app.stages.box import Box
from sketchloom.core.base.units import format_length
from sketchloom.desk import narrow
from sketchloom.recipe.sections import MAX_DETAIL_MM

_PLACE = Qt.ItemDataRole.UserRole


class NarrowBox(Box):
    """The smallest width wanted, what is under it, and every narrow stretch."""

    line_wanted = Signal(bool)
    pointed = Signal(float, float)
    all_wanted = Signal()

    def __init__(self):
        super().__init__()
        self._least = LengthEdit(self.tr("Smallest width wanted"), 0.05, MAX_DETAIL_MM)
        self._least.committed.connect(lambda mm: self.emit(self.tr("smallest width"), thin_mm=mm))
        self._said = label("", "quiet")
        self._line = button(
            self.tr("Show widths on the bench"),
            "target",
            self.tr("Red is under the smallest width, blue is near it, green up to three times"),
            checkable=True,
        )
        self._line.clicked.connect(self.line_wanted)
        self.list = QListWidget()
        self.list.setAccessibleName(self.tr("Narrow places, the narrowest first"))
        self.list.setIconSize(theme.size(16, 16))
        self.list.setFixedHeight(theme.px(136))
        self.list.currentItemChanged.connect(
            lambda item, _: item is not None and self.pointed.emit(*item.data(_PLACE)[:2])
        )
        self._where = Choice(
            (
                ("sheets", self.tr("Sheets"), self.tr("Where what is cut out is narrow")),
                ("spaces", self.tr("Spaces"), self.tr("Where two cuts come near each other")),
            ),
            self.tr("What is measured"),
        )
        self._where.show_value("sheets")
        self._where.chosen.connect(self._take_where)
        self._key = "sheets"
        self._thicken = button(
            self.tr("Thicken here"), "plus", self.tr("The chosen places get the smallest width, smoothly")
        )
        self._thicken.clicked.connect(
            lambda: self._thicken_at([item.data(_PLACE) for item in self.list.selectedItems()])
        )
        self._thicken_all = button(
            self.tr("Thicken all"), "circle-check",
            self.tr("Every place under the smallest width, round after round until none is left")
        )
        self._thicken_all.clicked.connect(self.all_wanted)
        self.list.setSelectionMode(QListWidget.SelectionMode.ExtendedSelection)
        self.list.itemSelectionChanged.connect(lambda: self._thicken.setEnabled(bool(self.list.selectedItems())))
        self.add(
            (label(self.tr("Smallest width")), self._least),
            self._where,
            self._said,
            self._line,
            self.list,
            (self._thicken, self._thicken_all),
        )

    def _take_where(self, key):
        self._key = key
        if self.shows_line():
            self.line_wanted.emit(True)
        if self.work is not None:
            self._fill(self.work)

    def _thicken_at(self, places):
        work, scale = self.work, self.work.mm_per_px
        made = (narrow.thickened(work, x / scale, y / scale, key, least * narrow.OVER) for x, y, key, least in places)
        made = tuple(line for line in made if line is not None)
        if made:
            self.emit(self.tr("thickened"), lines=(*self.recipe.lines, *made))

    def shows_line(self) -> bool:
        return self._line.isChecked()

    def of_spaces(self) -> bool:
        """Whether the spaces between cuts are meant instead of the sheets."""
        return self._key == "spaces"

    def show_work(self, work) -> None:
        super().show_work(work)
        self._least.show_value(max(work.recipe.thin_mm, 0.05), work.recipe.unit)
        self._fill(work)

    def _fill(self, work):
        unit, least = work.recipe.unit, work.recipe.thin_mm
        sheets = self._key == "sheets"
        places = narrow.narrow_places(work) if sheets else narrow.narrow_spaces(work)
        under = sum(one.width_mm < one.least_mm for one in places)
        nowhere = (
            self.tr("No sheet is narrower than {0} anywhere.")
            if sheets
            else self.tr("No two cuts are nearer to each other than {0}.")
        )
        for part in (self._thicken, self._thicken_all):
            part.setVisible(sheets)
        self._thicken_all.setEnabled(under > 0)
        self._thicken.setEnabled(False)
        self._said.setText(nowhere.format(format_length(least, unit, 2)) if not under else counted(
            under, self.tr("1 stretch is under it."), self.tr("{0} stretches are under it.")))
        self.list.blockSignals(True)
        self.list.clear()
        for one in places:
            item = QListWidgetItem(
                swatch(one.hex, 16),
                self.tr("{0}{1} · {2}").format(
                    format_length(one.width_mm, unit, 2),
                    self.tr(", too narrow") if one.width_mm < one.least_mm else "",
                    one.layer,
                ),
            )
            item.setSizeHint(QSize(0, theme.px(27)))
            item.setData(_PLACE, (one.x_mm, one.y_mm, one.key, one.least_mm))
            self.list.addItem(item)
        self.list.blockSignals(False)
