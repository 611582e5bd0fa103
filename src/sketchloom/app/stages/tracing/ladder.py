"""The ladder of colours: what each smaller number loses and saves."""

from PySide6.QtCore import QPointF, Qt, Signal
from PySide6.QtGui import QColor, QIcon, QPainter, QPixmap, QPolygonF
from PySide6.QtWidgets import (
    QAbstractItemView,
    QHeaderView,
    QTableWidget,
    QTableWidgetItem,
)

from sketchloom.app import theme
from sketchloom.app.words import colour_word
from sketchloom.core.base.units import format_length


class Ladder(QTableWidget):
    """A rung for each number of colours: what goes, how much of the picture, which pieces, what is saved."""

    chosen = Signal(int)
    pointed = Signal(int)

    def __init__(self):
        super().__init__(0, 4)
        self.setHorizontalHeaderLabels(
            [self.tr("Colours"), self.tr("Area lost"), self.tr("Pieces"), self.tr("Cut saved")]
        )
        self.setAccessibleName(self.tr("Colour ladder"))
        self.setToolTip(
            self.tr(
                "What each step down loses and saves; every step saves one sheet. The flag marks the number proposed. "
                "Point at a step to see on the bench what it takes; click to take it."
            )
        )
        self.verticalHeader().hide()
        self.verticalHeader().setDefaultSectionSize(theme.px(28))
        self.horizontalHeader().setSectionResizeMode(QHeaderView.ResizeMode.Stretch)
        self.horizontalHeader().setSectionResizeMode(0, QHeaderView.ResizeMode.Fixed)
        self.setColumnWidth(0, 104)
        self.setShowGrid(False)
        self.setSelectionMode(QAbstractItemView.SelectionMode.SingleSelection)
        self.setSelectionBehavior(QAbstractItemView.SelectionBehavior.SelectRows)
        self.setEditTriggers(QAbstractItemView.EditTrigger.NoEditTriggers)
        self.setIconSize(theme.size(62, 18))
        self.setHorizontalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
        self._counts = []
        self.setMouseTracking(True)
        self.cellEntered.connect(lambda row, _: self.pointed.emit(row))
        self.currentCellChanged.connect(lambda row, *_: self.hasFocus() and self.pointed.emit(row))
        self.cellClicked.connect(lambda row, _: self.chosen.emit(self._counts[row]))

    def leaveEvent(self, event):
        self.pointed.emit(-1)
        super().leaveEvent(event)

    def focusOutEvent(self, event):
        self.pointed.emit(-1)
        super().focusOutEvent(event)

    def show_rungs(self, rungs, proposed: int, mm_per_px: float, unit: str) -> None:
        self._counts = [r.count for r in rungs]
        self.setRowCount(len(rungs))
        for row, rung in enumerate(rungs):
            texts = (str(rung.count), "" if rung.gone is None else f"{rung.gone_share:.1%}",
                     "" if rung.gone is None else f"−{rung.regions_lost}" if rung.regions_lost else "0",
                     "" if rung.gone is None else format_length(rung.cut_saved_px * mm_per_px, unit, 0))
            for column, text in enumerate(texts):
                item = QTableWidgetItem(text)
                item.setTextAlignment(Qt.AlignmentFlag.AlignVCenter | (
                    Qt.AlignmentFlag.AlignLeft if column == 0 else Qt.AlignmentFlag.AlignRight))
                item.setToolTip(_told(self, rung, rung.count == proposed))
                self.setItem(row, column, item)
            is_proposed = rung.count == proposed
            self.item(row, 0).setIcon(_rung_icon(rung, is_proposed))
            if is_proposed:
                font = self.item(row, 0).font()
                font.setBold(True)
                self.item(row, 0).setFont(font)
        self.setFixedHeight(theme.px(min(28 * len(rungs) + 34, 204)))

    def mark(self, count: int) -> None:
        """Show which rung the work is on."""
        self.blockSignals(True)
        if count in self._counts:
            self.selectRow(self._counts.index(count))
            self.scrollToItem(self.item(self._counts.index(count), 0), QAbstractItemView.ScrollHint.PositionAtCenter)
        else:
            self.clearSelection()
        self.blockSignals(False)


def _told(widget, rung, is_proposed):
    told = (
        []
        if rung.gone is None
        else [
            widget.tr("{0} goes into {1}: hatched on the bench, pieces that are lost ringed").format(
                colour_word(rung.gone), colour_word(rung.into)
            )
        ]
    )
    return ". ".join([*told, *([widget.tr("The number proposed")] if is_proposed else [])])


def _rung_icon(rung, proposed: bool) -> QIcon:
    """Two swatches with an arrow, the first goes into the second; a flag where the number is the proposed one."""
    pixmap = QPixmap(124, 36)
    pixmap.setDevicePixelRatio(2)
    pixmap.fill(Qt.GlobalColor.transparent)
    painter = QPainter(pixmap)
    painter.setRenderHint(QPainter.RenderHint.Antialiasing)
    painter.setPen(QColor(theme.INK_SOFT))
    if rung.gone is not None:
        for x, colour in ((1, rung.gone), (27, rung.into)):
            painter.setBrush(QColor(colour))
            painter.drawRoundedRect(x, 2, 14, 14, 3, 3)
        painter.drawLine(18, 9, 24, 9)
        painter.drawLine(21, 6, 24, 9)
        painter.drawLine(21, 12, 24, 9)
    if proposed:
        painter.setPen(Qt.PenStyle.NoPen)
        painter.setBrush(QColor(theme.MOSS))
        painter.drawPolygon(QPolygonF([QPointF(50, 2), QPointF(60, 6), QPointF(50, 10)]))
        painter.drawRect(49, 2, 2, 14)
    painter.end()
    made = QIcon(pixmap)
    made.addPixmap(pixmap, QIcon.Mode.Selected)
    return made
