"""A list in whose chosen row the details unfold."""

from PySide6.QtCore import QEvent, QSize, QTimer
from PySide6.QtGui import QColor
from PySide6.QtWidgets import QListWidget, QStyle, QStyledItemDelegate, QWidget

from sketchloom.app import theme

_INSET, _BAR = 8, 4


class UnfoldingList(QListWidget):
    """As high as its rows, and the details of the current one; ``least`` and ``most`` rows are seen at a time."""

    def __init__(self, row_px: int, least: int, most: int):
        super().__init__()
        self.row_px, self._least, self._most = row_px, least, most
        self._details: QWidget | None = None
        self.setItemDelegate(UnfoldedRow(self))
        self.currentItemChanged.connect(lambda *_: self.unfold())
        self.model().rowsMoved.connect(lambda *_: self.unfold())

    def set_details(self, details: QWidget) -> None:
        """Show a widget within the row of what is chosen, below its words."""
        self._details = details
        details.setParent(self.viewport())
        details.setObjectName("unfolded")
        details.installEventFilter(self)
        self.unfold()

    def eventFilter(self, watched, event):
        if watched is self._details and event.type() == QEvent.Type.LayoutRequest:
            QTimer.singleShot(0, self, self.unfold)
        return super().eventFilter(watched, event)

    def resizeEvent(self, event):
        super().resizeEvent(event)
        self.unfold()

    def minimumSizeHint(self):
        wide = 0 if self._details is None else self._details.minimumSizeHint().width() + theme.px(2 * _INSET) + 4
        return QSize(max(wide, super().minimumSizeHint().width()), super().minimumSizeHint().height())

    def shows_details(self) -> bool:
        """Whether the current row has details now."""
        return self.currentItem() is not None

    def unfold(self) -> None:
        """The chosen row is as high as its details need, and the list as its rows."""
        details, current = self._details, self.currentItem()
        if details is None:
            return
        is_shown = self.shows_details()
        wide = self.viewport().width() - theme.px(2 * _INSET)
        layout = details.layout()
        layout.activate()
        high = layout.totalHeightForWidth(wide) if layout.hasHeightForWidth() else layout.sizeHint().height()
        high = high + theme.px(_INSET) if is_shown else 0
        for row in range(self.count()):
            size = QSize(0, theme.px(self.row_px) + (high if self.item(row) is current else 0))
            if self.item(row).sizeHint() != size:
                self.item(row).setSizeHint(size)
        details.setVisible(is_shown)
        rows = min(max(self.count(), self._least), self._most)
        self.setFixedHeight(theme.px(self.row_px * rows) + high + 6)
        self.updateGeometry()
        self._place()

    def _place(self):
        if self._details is not None and self.currentItem() is not None:
            box, head = self.visualItemRect(self.currentItem()), theme.px(self.row_px)
            self._details.setGeometry(box.left() + theme.px(_INSET), box.top() + head,
                                      self.viewport().width() - theme.px(2 * _INSET),
                                      max(box.height() - head - theme.px(_INSET), 0))

    def updateGeometries(self):
        super().updateGeometries()
        self._place()

    def scrollContentsBy(self, dx, dy):
        super().scrollContentsBy(dx, dy)
        self._place()


class UnfoldedRow(QStyledItemDelegate):
    """Paints the words of a row at its head."""

    def paint(self, painter, option, index):
        if option.state & QStyle.StateFlag.State_Selected:
            painter.fillRect(option.rect, QColor(theme.SCHEMES[theme.scheme]["CHOSEN"]))
            painter.fillRect(option.rect.left(), option.rect.top(), _BAR, option.rect.height(), QColor(theme.WOAD))
        option.rect.setHeight(theme.px(self.parent().row_px))  # what is unfolded stands below
        super().paint(painter, option, index)

