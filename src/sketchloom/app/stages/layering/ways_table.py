"""The ways of layering side by side: a column a way, a row a figure."""

from itertools import pairwise

from PySide6.QtCore import Qt, Signal
from PySide6.QtGui import QColor
from PySide6.QtWidgets import QAbstractButton, QHeaderView, QTableWidget, QTableWidgetItem

from sketchloom.app import theme
from sketchloom.core.base.units import MM_PER_IN

_ROW = 24
_LEFT = 4


class WaysTable(QTableWidget):
    """A click into a column, or on its head, takes that way."""

    taken = Signal(str)

    def __init__(self, names: dict[str, str]):
        super().__init__(0, len(names))
        self._names = names
        self.setAccessibleName(self.tr("The ways of layering compared; click one to take it"))
        self.setHorizontalHeaderLabels(list(names.values()))
        self.setEditTriggers(QTableWidget.EditTrigger.NoEditTriggers)
        self.setSelectionBehavior(QTableWidget.SelectionBehavior.SelectColumns)
        self.setSelectionMode(QTableWidget.SelectionMode.SingleSelection)
        for policy in (self.setHorizontalScrollBarPolicy, self.setVerticalScrollBarPolicy):
            policy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
        self.horizontalHeader().setSectionResizeMode(QHeaderView.ResizeMode.Fixed)
        self.horizontalHeader().setHighlightSections(False)
        self.horizontalHeader().setMinimumSectionSize(30)
        self.verticalHeader().setDefaultSectionSize(theme.px(_ROW))
        self.verticalHeader().setSectionResizeMode(QHeaderView.ResizeMode.Fixed)
        self.verticalHeader().setHighlightSections(False)
        self.setWordWrap(False)
        corner = self.findChild(QAbstractButton)
        corner.setAccessibleName(self.tr("Figures of each way"))
        corner.setEnabled(False)
        self.setStyleSheet(f"QTableWidget {{ font-size: {theme.text_px(12)}px; }}"
                           f"QTableWidget::item {{ padding: 0px 2px; }}"
                           f"QHeaderView::section {{ padding: 3px 0px; font-size: {theme.text_px(11)}px; }}"
                           f"QHeaderView::section:vertical {{ padding-left: {theme.px(_LEFT)}px; }}")
        self.cellClicked.connect(lambda _, column: self.taken.emit(tuple(names)[column]))
        self.horizontalHeader().sectionClicked.connect(lambda column: self.taken.emit(tuple(names)[column]))
        self._label(True)
        self.setFixedHeight(theme.px(self.rowCount() * _ROW + 30))
        self.clear_figures()

    def resizeEvent(self, event):
        super().resizeEvent(event)
        self._share_width()

    def _share_width(self):
        """Every column as wide as its name and its figures, and an equal share of the rest."""
        head = self.horizontalHeader()
        needed = [max(head.fontMetrics().horizontalAdvance(name), self.sizeHintForColumn(column))
                  for column, name in enumerate(self._names.values())]
        left = (self.viewport().width() - sum(needed)) / len(needed)
        ends = [round(sum(needed[:n]) + left * n) for n in range(len(needed) + 1)]
        for column, (start, end) in enumerate(pairwise(ends)):
            head.resizeSection(column, end - start)

    def _figures(self, metric):
        """Name of each figure, what it means, and its text for a way."""
        unit, far = (self.tr("mm"), self.tr("m")) if metric else (self.tr("in"), self.tr("ft"))
        def short(mm):
            return f"{mm:.2f}" if metric else f"{mm / MM_PER_IN:.3f}"
        def cut(mm):
            return mm / (1000 if metric else 12 * MM_PER_IN)
        return (
            (self.tr("Sheets"), self.tr("Sheets to cut"), lambda w: str(w.sheets)),
            (self.tr("Pieces"), self.tr("Pieces to lay by hand"), lambda w: str(w.pieces)),
            (self.tr("Windows"), self.tr("Holes in sheets, to be weeded"), lambda w: str(w.windows)),
            (
                self.tr("Cut, {0}").format(far),
                self.tr("Length of all cuts"),
                lambda w: f"{cut(w.cut_mm):.{2 if cut(w.cut_mm) < 10 else 1 if cut(w.cut_mm) < 100 else 0}f}",
            ),
            (self.tr("Film, cm²"), self.tr("Film or paper in all sheets"), lambda w: f"{w.film_mm2 / 100:.0f}"),
            (self.tr("Thickest"), self.tr("Sheets on each other at the thickest spot"), lambda w: str(w.thickest)),
            (
                self.tr("High, {0}").format(unit),
                self.tr("Height of the stack at its highest, spacers too"),
                lambda w: short(w.height_mm),
            ),
            (
                self.tr("Narrowest, {0}").format(unit),
                self.tr("Smallest detail: the narrowest place of any sheet; a dash where nothing is under 8 mm"),
                lambda w: "–" if w.smallest_mm is None else short(w.smallest_mm),
            ),
            (
                self.tr("May slip, {0}").format(unit),
                self.tr(
                    "How far a piece may be laid amiss before the ground shows; “any” where a sheet goes on under it"
                ),
                lambda w: self.tr("any") if w.slack_mm is None else short(w.slack_mm),
            ),
        )

    def _label(self, metric):
        figures = self._figures(metric)
        self.setRowCount(len(figures))
        self.setVerticalHeaderLabels([name for name, _, _ in figures])
        head = self.verticalHeader()
        widest = max(head.fontMetrics().horizontalAdvance(name) for name, _, _ in figures)
        head.setFixedWidth(widest + theme.px(6 + _LEFT))
        for row, (_, tip, _) in enumerate(figures):
            self.verticalHeaderItem(row).setToolTip(tip)
        return figures

    def clear_figures(self) -> None:
        """The figures come a moment later."""
        for row in range(self.rowCount()):
            for column in range(self.columnCount()):
                self._put(row, column, "…", "")

    def fade(self) -> None:
        """The figures are of the work before; new ones come a moment later."""
        for row in range(self.rowCount()):
            for column in range(self.columnCount()):
                item, font = self.item(row, column), self.font()
                font.setItalic(True)
                item.setFont(font)
                item.setForeground(QColor(theme.INK_SOFT))

    def show_ways(self, ways, unit: str, taken: str) -> None:
        for row, (_, tip, text) in enumerate(self._label(unit == "mm")):
            for one in ways:
                self._put(row, tuple(self._names).index(one.way), text(one), tip)
        self._share_width()
        self.mark(taken)

    def mark(self, way: str) -> None:
        """Which way is taken now."""
        self.selectColumn(tuple(self._names).index(way))

    def _put(self, row, column, text, tip):
        item = QTableWidgetItem(text)
        item.setTextAlignment(Qt.AlignmentFlag.AlignCenter)
        item.setToolTip(tip)
        self.setItem(row, column, item)
