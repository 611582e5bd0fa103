"""A list of what was drawn, each with a switch; the chosen ones can be taken back."""

from dataclasses import replace

from PySide6.QtCore import QPointF, QSize, Qt, Signal
from PySide6.QtGui import QColor, QIcon, QPainter, QPainterPath, QPen, QPixmap, QPolygonF
from PySide6.QtWidgets import QAbstractItemView, QListWidget, QListWidgetItem, QVBoxLayout, QWidget

from sketchloom.app import theme
from sketchloom.app.parts.widgets import button, plain_tip

_NUMBER = Qt.ItemDataRole.UserRole
_ROW, _ROWS, _ICON = 29, 4, 22
_LISTED = 200


def drawn_icon(lines, hex_colour: str | None = None, closed: bool = False) -> QIcon:
    """A small picture of lines, each a list of points; filled when closed and of a colour."""
    every = [p for line in lines for p in line]
    pixmap = QPixmap(2 * _ICON, 2 * _ICON)
    pixmap.setDevicePixelRatio(2)
    pixmap.fill(Qt.GlobalColor.transparent)
    x0, y0 = min(x for x, _ in every), min(y for _, y in every)
    size = max(max(x for x, _ in every) - x0, max(y for _, y in every) - y0, 1e-6)
    painter = QPainter(pixmap)
    painter.setRenderHint(QPainter.RenderHint.Antialiasing)
    path = QPainterPath()
    for line in lines:
        step = max(1, len(line) // 120)
        path.addPolygon(
            QPolygonF(
                [
                    QPointF(2 + (x - x0) / size * (_ICON - 4), 2 + (y - y0) / size * (_ICON - 4))
                    for x, y in (*line[:-1:step], line[-1])
                ]
            )
        )
    if closed and hex_colour:
        painter.fillPath(path, QColor(hex_colour))
    painter.strokePath(
        path, QPen(QColor(theme.INK if closed or hex_colour is None else hex_colour), 0.8 if closed else 1.6)
    )
    painter.end()
    icon = QIcon(pixmap)
    icon.addPixmap(pixmap, QIcon.Mode.Selected)
    return icon


class _Row(QListWidgetItem):
    """Its icon is drawn when it is seen."""

    def __init__(self, make_icon, text):
        super().__init__(text)
        self._make, self._icon = make_icon, None

    def data(self, role):
        if role == Qt.ItemDataRole.DecorationRole and self._make is not None:
            if self._icon is None:
                self._icon = self._make()
            return self._icon
        return super().data(role)


class KeptList(QWidget):
    """Rows of one field of the recipe, the latest first. ``chosen_changed`` when others are chosen."""

    chosen_changed = Signal()

    def __init__(self, box, field: str, name: str, what: str):
        super().__init__()
        self._box, self._field, self._what = box, field, what
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.setSpacing(6)
        self._awaited: int | None = None
        self._listed: object = None  # what the rows were made of
        self.list = QListWidget()
        self.list.setAccessibleName(name)
        self.list.setIconSize(QSize(_ICON, _ICON))
        self.list.setFixedHeight(theme.px(_ROWS * _ROW + 6))
        self.list.setSelectionMode(QListWidget.SelectionMode.ExtendedSelection)
        self.list.setDragDropMode(QAbstractItemView.DragDropMode.InternalMove)
        self.list.setDefaultDropAction(Qt.DropAction.MoveAction)
        self.list.model().rowsMoved.connect(self._reorder)
        self.list.setToolTip(self.tr("Drag to change the order in which they are done; the lowest is first"))
        self.list.itemChanged.connect(self._switch)
        self.list.itemSelectionChanged.connect(self._enable)
        self.back = button(self.tr("Take back"), "restore", self.tr("The chosen ones go"))
        self.back.clicked.connect(self.take_back)
        column.addWidget(self.list)
        column.addWidget(self.back)

    def show_rows(self, row_of) -> None:
        """Bring the list up to date; ``row_of(number, part)`` gives what makes its icon, or None, and a text. Of very
        many the latest are listed."""
        kept = set(self.chosen())
        parts = getattr(self._box.recipe, self._field)
        if self._awaited is not None and self._awaited < len(parts):
            kept, self._awaited = {self._awaited}, None
        numbers = range(len(parts) - 1, max(len(parts) - _LISTED, 0) - 1, -1)
        rows = [row_of(number, parts[number]) for number in numbers]
        listed = parts, [text for _, text in rows], theme.INK, theme.px(_ROW)
        if listed == self._listed and kept == set(self.chosen()):
            return  # most results change none of it, and rows take long to make
        self._listed = listed
        self.list.blockSignals(True)
        self.list.clear()
        for number, (make_icon, text) in zip(numbers, rows, strict=True):
            item = _Row(make_icon, text)
            item.setToolTip(plain_tip(text))
            item.setData(_NUMBER, number)
            item.setSizeHint(QSize(0, theme.px(_ROW)))
            item.setFlags(item.flags() | Qt.ItemFlag.ItemIsUserCheckable)
            item.setCheckState(Qt.CheckState.Checked if parts[number].on else Qt.CheckState.Unchecked)
            self.list.addItem(item)
            item.setSelected(number in kept)
        self.list.blockSignals(False)
        self.list.setFixedHeight(theme.px(min(max(len(parts), 1), _ROWS) * _ROW + 6))
        self.setVisible(bool(parts))
        self._enable()

    def chosen(self) -> list[int]:
        """Numbers of the chosen parts, the latest first."""
        return sorted((item.data(_NUMBER) for item in self.list.selectedItems()), reverse=True)

    def choose_once_there(self, number: int) -> None:
        """Choose one part alone as soon as it is listed."""
        self._awaited = number

    def choose(self, number: int) -> None:
        """Choose one part alone."""
        self.list.clearSelection()
        for row in range(self.list.count()):
            if self.list.item(row).data(_NUMBER) == number:
                self.list.item(row).setSelected(True)

    def choose_all(self, numbers) -> None:
        """Choose these parts and no others."""
        if set(self.chosen()) == set(numbers):
            return
        self.list.blockSignals(True)
        for row in range(self.list.count()):
            self.list.item(row).setSelected(self.list.item(row).data(_NUMBER) in numbers)
        self.list.blockSignals(False)
        self._enable()

    def _enable(self):
        self.back.setEnabled(bool(self.list.selectedItems()))
        self.chosen_changed.emit()

    def _parts(self):
        return getattr(self._box.recipe, self._field)

    def _switch(self, item):
        self._listed = None  # the switch stands as it was set, whatever becomes of it
        parts, number = list(self._parts()), item.data(_NUMBER)
        on = item.checkState() == Qt.CheckState.Checked
        if number < len(parts) and parts[number].on != on:
            parts[number] = replace(parts[number], on=on)
            self._box.emit(self.tr("{0} on or off").format(self._what), **{self._field: tuple(parts)})

    def _reorder(self, *_):
        self._listed = None
        listed = [self.list.item(row).data(_NUMBER) for row in range(self.list.count() - 1, -1, -1)]
        parts = self._parts()
        if sorted(listed) == list(range(len(parts))):
            self._box.emit(self.tr("order of {0}").format(self._what), **{self._field: tuple(parts[n] for n in listed)})

    def take_back(self) -> None:
        """The chosen parts go."""
        gone = set(self.chosen())
        self.list.clearSelection()
        self._box.emit(self.tr("{0} taken back").format(self._what),
                       **{self._field: tuple(part for n, part in enumerate(self._parts()) if n not in gone)})
