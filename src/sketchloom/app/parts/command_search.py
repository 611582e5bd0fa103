"""Finds every action and setting by its words, and runs it or goes there."""

from collections.abc import Callable
from dataclasses import dataclass

from PySide6.QtCore import QEvent, QRect, QSignalBlocker, QSize, Qt
from PySide6.QtGui import QColor, QFont
from PySide6.QtWidgets import (
    QApplication,
    QFrame,
    QLineEdit,
    QListWidget,
    QListWidgetItem,
    QStyle,
    QStyledItemDelegate,
    QVBoxLayout,
)

from sketchloom.app import theme
from sketchloom.app.parts.widgets import label
from sketchloom.core.base.lookup import Index

_WIDE, _ROW, _ROWS, _MOST = 560, 34, 10, 60
_ENTRY = Qt.ItemDataRole.UserRole


@dataclass(frozen=True, slots=True)
class Entry:
    """Something that can be found: its words, where it lives, its present value and key; ``near`` and ``about``: what
    else it is found by; ``run`` does it or goes there; ``why_not`` where it cannot be done now."""

    words: str
    where: str
    run: Callable[[], None]
    near: str = ""
    about: str = ""
    value: str = ""
    key: str = ""
    why_not: str = ""


class _Rows(QStyledItemDelegate):
    """Words and where they live at the left, the value and the key at the right."""

    def paint(self, painter, option, index):
        entry = index.data(_ENTRY)
        is_chosen = bool(option.state & QStyle.StateFlag.State_Selected)
        painter.save()
        if is_chosen:
            painter.fillRect(option.rect, QColor(theme.WOAD))
        ink = QColor(theme.ON_WOAD if is_chosen else theme.FADED if entry.why_not else theme.INK)
        soft = QColor(theme.ON_WOAD if is_chosen else theme.FADED if entry.why_not else theme.INK_SOFT)
        room = option.rect.adjusted(theme.px(10), 0, -theme.px(10), 0)
        font = QFont(option.font)
        right = " · ".join(text for text in (entry.value, entry.key) if text)
        painter.setFont(font)
        wide = painter.fontMetrics().horizontalAdvance(right)
        painter.setPen(soft)
        painter.drawText(room, int(Qt.AlignmentFlag.AlignRight | Qt.AlignmentFlag.AlignVCenter), right)
        left = QRect(room.left(), room.top(), room.width() - wide - theme.px(16), room.height())
        words = painter.fontMetrics().elidedText(entry.words, Qt.TextElideMode.ElideRight, left.width())
        painter.setPen(ink)
        painter.drawText(left, int(Qt.AlignmentFlag.AlignLeft | Qt.AlignmentFlag.AlignVCenter), words)
        left.setLeft(left.left() + painter.fontMetrics().horizontalAdvance(words) + theme.px(10))
        painter.setPen(soft)
        where = painter.fontMetrics().elidedText(entry.why_not or entry.where, Qt.TextElideMode.ElideRight,
                                                 max(left.width(), 0))
        painter.drawText(left, int(Qt.AlignmentFlag.AlignLeft | Qt.AlignmentFlag.AlignVCenter), where)
        painter.restore()

    def sizeHint(self, option, index):
        return QSize(0, theme.px(_ROW))


class CommandSearch(QFrame):
    """A field and what is found, over the window. ``entries()`` is asked each time it opens."""

    def __init__(self, window, entries: Callable[[], list[Entry]]):
        super().__init__(window)
        self._entries_of = entries
        self._entries: list[Entry] = []
        self._index = Index(())
        self._before = None
        self.setObjectName("search")
        self.setAccessibleName(self.tr("Search everything"))
        column = QVBoxLayout(self)
        column.setContentsMargins(10, 10, 10, 8)
        column.setSpacing(6)
        self.field = QLineEdit()
        self.field.setPlaceholderText(self.tr("What do you want to do?  mirror, kerf, make thicker …"))
        self.field.setAccessibleName(self.tr("What is looked for"))
        self.field.setMaxLength(100)
        self.list = QListWidget()
        self.list.setAccessibleName(self.tr("What was found"))
        self.list.setItemDelegate(_Rows(self.list))
        self.list.setHorizontalScrollBarPolicy(Qt.ScrollBarPolicy.ScrollBarAlwaysOff)
        self.said = label("", "quiet")
        for part in (self.field, self.list, self.said):
            column.addWidget(part)
        self.field.textChanged.connect(lambda _: self._fill())
        self.list.itemClicked.connect(self._run)
        self.list.currentItemChanged.connect(self._describe)
        self.field.installEventFilter(self)
        self.list.installEventFilter(self)
        QApplication.instance().focusChanged.connect(self._focus_changed)
        self.hide()

    def open(self) -> None:
        """Come up, with everything that can be found now."""
        if self.isVisible():
            self.put_away()
            return
        self._before = QApplication.focusWidget()
        self._entries = self._entries_of()
        self._index = Index([(entry.words, " ".join((entry.near, entry.where)), entry.about)
                             for entry in self._entries])
        wide = min(theme.px(_WIDE), self.parentWidget().width() - 40)
        self.setGeometry((self.parentWidget().width() - wide) // 2, theme.px(60), wide, theme.px(_ROW))
        with QSignalBlocker(self.field):  # what was typed the last time is not looked for once more
            self.field.clear()
        self._fill()
        self.show()
        self.raise_()
        self.field.setFocus()

    def put_away(self) -> None:
        """Go, and give the focus back."""
        if self.isVisible():
            self.hide()
            if self._before is not None and self._before.isVisible():
                self._before.setFocus()

    def _focus_changed(self, _, now):
        if self.isVisible() and now is not None and not self.isAncestorOf(now):
            self.hide()

    def _fill(self):
        found = self._index.ranked(self.field.text())
        self.list.clear()
        for number in found[:_MOST]:
            entry = self._entries[number]
            item = QListWidgetItem()
            item.setData(_ENTRY, entry)
            item.setData(Qt.ItemDataRole.AccessibleTextRole, " · ".join(
                text for text in (entry.words, entry.where, entry.value, entry.key, entry.why_not) if text))
            self.list.addItem(item)
        self.list.setCurrentRow(0)
        shown = max(min(self.list.count(), _ROWS), 1)
        self.list.setFixedHeight(theme.px(_ROW) * shown + 4)
        self.layout().activate()
        self.resize(self.width(), self.sizeHint().height())
        if not found:
            self.said.setText(self.tr("Nothing is called so. Try another word."))

    def _describe(self, item, _=None):
        entry = item.data(_ENTRY) if item is not None else None
        self.said.setText("" if entry is None else entry.why_not or entry.about)

    def _run(self, item):
        entry = item.data(_ENTRY)
        if entry.why_not:
            self.said.setText(entry.why_not)
            return
        self.put_away()
        entry.run()

    def eventFilter(self, watched, event):
        if event.type() == QEvent.Type.KeyPress:
            key = event.key()
            if key == Qt.Key.Key_Escape:
                self.put_away()
                return True
            if key in (Qt.Key.Key_Return, Qt.Key.Key_Enter):
                if self.list.currentItem() is not None:
                    self._run(self.list.currentItem())
                return True
            if watched is self.field and key in (Qt.Key.Key_Down, Qt.Key.Key_Up, Qt.Key.Key_PageDown,
                                                 Qt.Key.Key_PageUp):
                QApplication.sendEvent(self.list, event)
                return True
        return super().eventFilter(watched, event)
