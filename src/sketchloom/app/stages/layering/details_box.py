"""Openings of whole sheets and pieces laid in their place: what each costs, and a box to make one the other."""

from PySide6.QtCore import QSize, Qt, Signal
from PySide6.QtWidgets import QListWidget, QListWidgetItem

from sketchloom.app import theme
from sketchloom.app.parts.widgets import button, counted, label, plain_tip, swatch
from sketchloom.app.stages.box import Box
from sketchloom.core.base.units import format_length
from sketchloom.evaluate.sheet_order import PIECE_MM

_LISTED, _ROW, _ROWS = 200, 27, 6
_NUMBER = Qt.ItemDataRole.UserRole


class DetailsBox(Box):
    """``pointed``: a detail to show on the bench; ``wanted``: details that are to be pieces, and to be openings."""

    pointed = Signal(object)
    wanted = Signal(list, list)

    def __init__(self):
        super().__init__()
        self._details = ()
        self._said = label("", "quiet")
        self.list = QListWidget()
        self.list.setAccessibleName(self.tr("Openings, ticked where a piece is laid on top"))
        self.list.setIconSize(theme.size(16, 16))
        self.list.setFixedHeight(theme.px(_ROWS * _ROW + 6))
        self.list.currentRowChanged.connect(
            lambda row: self.pointed.emit(self._details[row] if 0 <= row < len(self._details) else None))
        self.list.itemChanged.connect(self._take_tick)
        self._all = button(self.tr("Take the cheaper of each"), "circle-check")
        self._all.clicked.connect(self._take_better)
        self.add(self._said, self.list, self._all)

    def show_details(self, details, unit) -> None:
        """Openings and pieces of a result; worked out when they are seen."""
        self._details = tuple(details)[:_LISTED]
        self.list.blockSignals(True)
        kept = self.list.currentRow()
        self.list.clear()
        for number, detail in enumerate(self._details):
            sheets = counted(detail.sheets, self.tr("1 sheet"), self.tr("{0} sheets"))
            text = self.tr("{0}: {1} · piece: {2}").format(
                sheets, format_length(detail.opening_mm, unit, 0), format_length(detail.piece_mm, unit, 0))
            item = QListWidgetItem(swatch(detail.hex, 16), text)
            item.setData(_NUMBER, number)
            item.setSizeHint(QSize(0, theme.px(_ROW)))
            item.setFlags(item.flags() | Qt.ItemFlag.ItemIsUserCheckable)
            item.setCheckState(Qt.CheckState.Checked if detail.is_piece else Qt.CheckState.Unchecked)
            if detail.better:
                font = item.font()
                font.setBold(True)
                item.setFont(font)
            item.setToolTip(plain_tip(text))
            self.list.addItem(item)
        self.list.setCurrentRow(min(kept, self.list.count() - 1))
        self.list.blockSignals(False)
        better = sum(detail.better for detail in self._details)
        self._said.setText(
            self.tr("Sheets laid whole have no opening here, or are laid another way.") if not self._details else
            self.tr("Cut through so many sheets as an opening, or once as a piece laid on top (ticked); laying one "
                    "counts as {0}. What costs less the other way is bold.").format(format_length(PIECE_MM, unit, 0)))
        self.list.setVisible(bool(self._details))
        self._all.setEnabled(better > 0)
        self._all.setVisible(bool(self._details))

    def _take_tick(self, item):
        detail, ticked = self._details[item.data(_NUMBER)], item.checkState() == Qt.CheckState.Checked
        self.wanted.emit([detail] if ticked else [], [] if ticked else [detail])

    def _take_better(self):
        better = [detail for detail in self._details if detail.better]
        self.wanted.emit([d for d in better if not d.is_piece], [d for d in better if d.is_piece])
