"""Where sheets are narrow: a line on the bench, and a list."""

from PySide6.QtCore import QSize, Qt, Signal
from PySide6.QtWidgets import QListWidget, QListWidgetItem

from sketchloom.app.stages.box import Box
from sketchloom.app.widgets import LengthEdit, button, counted, label, swatch
from sketchloom.core.units import format_length
from sketchloom.recipe import MAX_DETAIL_MM

_PLACE = Qt.ItemDataRole.UserRole


class NarrowBox(Box):
    """The smallest width wanted, what is under it, and every narrow stretch."""

    line_wanted = Signal(bool)
    pointed = Signal(float, float)

    def __init__(self):
        super().__init__()
        self._least = LengthEdit(self.tr("Smallest width wanted"), 0.05, MAX_DETAIL_MM)
        self._least.committed.connect(lambda mm: self.emit(self.tr("smallest width"), thin_mm=mm))
        self._said = label("", "quiet")
        self._line = button(self.tr("Show widths on the bench"), "target", self.tr("Red is under the smallest width, blue is near it, green up to three times"),
                            checkable=True)
        self._line.clicked.connect(self.line_wanted)
        self.list = QListWidget()
        self.list.setAccessibleName(self.tr("Narrow places, the narrowest first"))
        self.list.setIconSize(QSize(16, 16))
        self.list.setFixedHeight(136)
        self.list.currentItemChanged.connect(lambda item, _: item is not None and self.pointed.emit(*item.data(_PLACE)))
        self.add((label(self.tr("Smallest width")), self._least), self._said, self._line, self.list)

    def shows_line(self) -> bool:
        return self._line.isChecked()

    def show_work(self, work) -> None:
        super().show_work(work)
        unit, least = work.recipe.unit, work.recipe.thin_mm
        self._least.show_value(max(least, 0.05), unit)
        places = work.narrow_places()
        under = sum(one.width_mm < least for one in places)
        self._said.setText(self.tr("No sheet is narrower than {0} anywhere.").format(format_length(least, unit, 2)) if not under else counted(
            under, self.tr("1 stretch is under it."), self.tr("{0} stretches are under it.")))
        self.list.blockSignals(True)
        self.list.clear()
        for one in places:
            item = QListWidgetItem(swatch(one.hex, 16), self.tr("{0}{1} · {2}").format(
                format_length(one.width_mm, unit, 2), self.tr(", too narrow") if one.width_mm < least else "", one.layer))
            item.setSizeHint(QSize(0, 27))
            item.setData(_PLACE, (one.x_mm, one.y_mm))
            self.list.addItem(item)
        self.list.blockSignals(False)
