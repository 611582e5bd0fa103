"""Lists of regions with pictures: the smallest, and what was decided."""

from dataclasses import replace

import numpy as np
from PySide6.QtCore import QSize, Qt, Signal
from PySide6.QtGui import QIcon, QImage, QPixmap
from PySide6.QtWidgets import (
    QAbstractItemView,
    QListWidget,
    QListWidgetItem,
    QStyledItemDelegate,
    QStyleOptionViewItem,
)

from sketchloom.app import theme
from sketchloom.app.parts.widgets import button, counted, label
from sketchloom.app.stages.box import Box
from sketchloom.app.words import colour_word
from sketchloom.core.base.units import format_length
from sketchloom.core.edits.decisions import ABOVE, BELOW, COLOUR, DROP, KEEP, WINDOW

_ICON = 34
_SMALLEST, _LISTED = 60, 300
_FACE = Qt.ItemDataRole.UserRole


def region_icon(pixels) -> QIcon:
    """A small picture (n, n, 3) as an icon that is not tinted when its row is chosen."""
    pixels = np.ascontiguousarray(pixels)
    image = QImage(pixels.data, pixels.shape[1], pixels.shape[0], 3 * pixels.shape[1], QImage.Format.Format_RGB888)
    pixmap = QPixmap.fromImage(image).scaled(
        2 * _ICON, 2 * _ICON, Qt.AspectRatioMode.KeepAspectRatio, Qt.TransformationMode.SmoothTransformation
    )
    pixmap.setDevicePixelRatio(2)
    icon = QIcon(pixmap)
    icon.addPixmap(pixmap, QIcon.Mode.Selected)
    return icon


class _WithPictures(QStyledItemDelegate):
    """Draws the rows of a list with their pictures, made when they come into sight."""

    def initStyleOption(self, option, index):
        super().initStyleOption(option, index)
        icon = self.parent().icon_of(index.data(_FACE))
        if icon is not None:
            option.icon = icon
            option.decorationSize = self.parent().iconSize()
            option.features |= QStyleOptionViewItem.ViewItemFeature.HasDecoration


class _Pictured(QListWidget):
    """Rows with a small picture each. ``picture_of`` what a row stands for gives its pixels or None; of hundreds of
    rows a few are seen."""

    def __init__(self, name, rows):
        super().__init__()
        self.picture_of = lambda data: None
        self._icons: dict[int, QIcon | None] = {}
        self.setItemDelegate(_WithPictures(self))
        self.setAccessibleName(name)
        self.setIconSize(QSize(_ICON, _ICON))
        self.setSelectionMode(QAbstractItemView.SelectionMode.ExtendedSelection)
        self.setFixedHeight(theme.px(rows * (_ICON + 8) + 6))

    def begin(self, picture_of):
        """No rows yet, and where their pictures come from."""
        self.clear()
        self._icons.clear()
        self.picture_of = picture_of

    def icon_of(self, data):
        if data not in self._icons:
            pixels = self.picture_of(data)
            self._icons[data] = None if pixels is None else region_icon(pixels)
        return self._icons[data]

    def add(self, text, data):
        item = QListWidgetItem(text)
        item.setData(_FACE, data)
        item.setSizeHint(QSize(0, _ICON + 8))
        self.addItem(item)
        return item

    def chosen(self):
        return [item.data(_FACE) for item in self.selectedItems()]


class SmallBox(Box):
    """The smallest regions, for what is too small to hit."""

    pointed = Signal(int)
    act_wanted = Signal(list)

    def __init__(self):
        super().__init__()
        self.list = _Pictured(self.tr("The smallest regions"), 4)
        self.list.currentItemChanged.connect(lambda item, _: item is not None and self.pointed.emit(item.data(_FACE)))
        self.list.itemSelectionChanged.connect(self._enable)
        self._go = button(
            self.tr("Do it to the chosen"),
            "circle-check",
            self.tr("Drop, open or colour the chosen regions, as a click would"),
        )
        self._go.clicked.connect(lambda: self.act_wanted.emit(self.list.chosen()))
        self.add(
            label(self.tr("The smallest first; keys . and , step through them on the bench."), "quiet"),
            self.list,
            self._go,
        )
        self._of = None

    def show_desk(self, desk) -> None:
        if self._of is desk:
            return
        self._of = desk
        work = desk.work
        keep = self.list.chosen()
        self.list.blockSignals(True)
        self.list.begin(desk.picture)
        for face in desk.smallest(_SMALLEST):
            across = 2 * (desk.area_mm2(face) / np.pi) ** 0.5
            hex_colour = desk.hex_of(face)
            item = self.list.add(self.tr("{0}, {1} across").format(
                colour_word(hex_colour), format_length(across, work.recipe.unit, 2)), face)
            item.setSelected(face in keep)
        self.list.blockSignals(False)
        self._enable()

    def _enable(self):
        self._go.setEnabled(bool(self.list.selectedItems()))


class EditsBox(Box):
    """What was decided about regions: on or off, taken back, put in another order."""

    pointed = Signal(int)

    def __init__(self):
        super().__init__()
        self._said = label("", "quiet")
        self.list = _Pictured(self.tr("What was decided about regions"), 4)
        self.list.setDragDropMode(QAbstractItemView.DragDropMode.InternalMove)
        self.list.setDefaultDropAction(Qt.DropAction.MoveAction)
        self.list.itemChanged.connect(self._switch)
        self.list.currentItemChanged.connect(
            lambda item, _: item is not None and self.pointed.emit(self._face_of(item.data(_FACE)))
        )
        self.list.itemSelectionChanged.connect(self._enable)
        self.list.model().rowsMoved.connect(self._reorder)
        self._back = button(self.tr("Take back"), "restore", self.tr("The chosen regions are as they were traced"))
        self._all = button(self.tr("Take all back"), "", self.tr("Every region is as it was traced"))
        self._lost = button(self.tr("Clear lost ones"), "", self.tr("Take out what finds no region any more"))
        self._back.clicked.connect(self._take_back)
        self._all.clicked.connect(lambda: self.emit(self.tr("all decisions taken back"), edits=(), all_off=False))
        self._lost.clicked.connect(self._clear_lost)
        self.add(self._said, self.list, (self._back, self._all), self._lost)
        self._desk = None
        for part in (self.list, self._back, self._all, self._lost):
            part.hide()

    def show_desk(self, desk) -> None:
        work = desk.work
        super().show_work(work)
        self._desk = desk
        edits, found = work.recipe.edits, work.edited.found.tolist()
        words = {
            DROP: self.tr("dropped"),
            WINDOW: self.tr("opened"),
            COLOUR: self.tr("now {0}"),
            KEEP: self.tr("kept"),
            BELOW: self.tr("from a sheet below"),
            ABOVE: self.tr("on a sheet on top"),
        }
        self.list.blockSignals(True)
        self.list.begin(lambda number: desk.picture(found[number]) if 0 <= number < len(found) and found[number] >= 0
                        else None)
        shown = range(max(len(edits) - _LISTED, 0), len(edits))
        for number in reversed(shown):
            edit, face = edits[number], found[number] if number < len(found) else -1
            filled = edit.action == DROP and face >= 0 and work.edited.was_ground[face]
            done = (
                self.tr("filled") if filled else words[edit.action].format(colour_word(edit.hex or edit.seen))
            )
            text = self.tr("{0}, {1}").format(colour_word(edit.seen), done)
            item = self.list.add(text if face >= 0 else self.tr("{0} · not found").format(text), number)
            item.setFlags(item.flags() | Qt.ItemFlag.ItemIsUserCheckable)
            item.setCheckState(Qt.CheckState.Checked if edit.on else Qt.CheckState.Unchecked)
        self.list.blockSignals(False)
        lost = sum(face < 0 for face in found)
        told = counted(len(edits), self.tr("1 region was decided about"), self.tr("{0} regions were decided about"))
        self._said.setText(self.tr("Nothing was changed yet.") if not edits else
                           self.tr("{0}, the latest first.").format(told) if not lost else
                           self.tr("{0}; {1} not found again.").format(told, lost))
        for part in (self.list, self._back, self._all):
            part.setVisible(bool(edits))
        self._lost.setVisible(lost > 0)
        self._enable()

    def _face_of(self, number):
        found = self._desk.work.edited.found
        return int(found[number]) if number < len(found) else -1

    def _enable(self):
        self._back.setEnabled(bool(self.list.selectedItems()))

    def _switch(self, item):
        number, on = item.data(_FACE), item.checkState() == Qt.CheckState.Checked
        edits = list(self.recipe.edits)
        if number < len(edits) and edits[number].on != on:
            edits[number] = replace(edits[number], on=on)
            self.emit(self.tr("decision on or off"), edits=tuple(edits))

    def _take_back(self):
        gone = set(self.list.chosen())
        self.emit(
            self.tr("decision taken back"), edits=tuple(e for n, e in enumerate(self.recipe.edits) if n not in gone)
        )

    def _clear_lost(self):
        if self._desk is None:
            return
        found = self._desk.work.edited.found.tolist()
        self.emit(self.tr("lost decisions"), edits=tuple(
            e for n, e in enumerate(self.recipe.edits) if n >= len(found) or found[n] >= 0))

    def _reorder(self, *_):
        listed = [self.list.item(row).data(_FACE) for row in range(self.list.count() - 1, -1, -1)]
        edits = self.recipe.edits
        rest = [n for n in range(len(edits)) if n not in set(listed)]
        self.emit(self.tr("order of decisions"), edits=tuple(edits[n] for n in (*rest, *listed)))
