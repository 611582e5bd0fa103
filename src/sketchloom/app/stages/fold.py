"""A box under a heading that opens and closes."""

from PySide6.QtCore import QEvent, QPoint, QTimer
from PySide6.QtWidgets import QPushButton, QScrollArea, QVBoxLayout, QWidget

from sketchloom.app import theme
from sketchloom.app.parts.widgets import label


class Fold(QWidget):
    """A box under a heading that opens and closes."""

    def __init__(self, title: str, box: QWidget, is_open: bool = False):
        super().__init__()
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.setSpacing(8)
        self.head = QPushButton(title)
        self.head.setObjectName("foldhead")
        self.head.setCheckable(True)
        self.head.clicked.connect(self._opened)
        self._kept_at = None
        """Where the panel was scrolled to for what was opened: it stays in view as it grows, until somebody scrolls."""
        box.installEventFilter(self)
        column.addWidget(self.head)
        self._why = label("", "quiet")
        self._why.hide()
        column.addWidget(self._why)
        column.addWidget(box)
        self.box, self._applies = box, True
        self.head.setChecked(is_open)
        self._point(is_open)
        if not is_open:  # to show what is to be seen anyway would give it all its look before it has its place
            box.hide()
        self.head.toggled.connect(self._turn)

    def _point(self, is_open):
        self.head.setIcon(theme.icon("chevron-up" if is_open else "chevron-down", "INK"))

    def _turn(self, is_open):
        self._point(is_open)
        self.box.setVisible(is_open and self._applies)
        self._why.setVisible(is_open and not self._applies)

    def _opened(self, is_open):
        self._kept_at = None
        if is_open:
            QTimer.singleShot(0, self.bring_into_view)

    def eventFilter(self, watched, event):
        if event.type() == QEvent.Type.Resize and self._kept_at is not None:
            QTimer.singleShot(0, self._follow)
        return super().eventFilter(watched, event)

    def bring_into_view(self) -> None:
        """Scroll so far that what was opened is seen, its head and the one above uppermost where there is not room
        for all of it."""
        area = self._area()
        if area is None or not self.head.isVisible():
            return
        area.widget().layout().activate()
        bar, top = area.verticalScrollBar(), self.mapTo(area.widget(), QPoint(0, 0)).y()
        lowest = top + max(self.height(), self.sizeHint().height()) - area.viewport().height()
        if lowest > bar.value():
            bar.setValue(min(lowest, max(top - self.head.height(), 0)))
        self._kept_at = bar.value()

    def _follow(self):
        area = self._area()
        if area is not None and self.head.isChecked() and area.verticalScrollBar().value() == self._kept_at:
            self.bring_into_view()
        else:
            self._kept_at = None

    def _area(self):
        area = self.parentWidget()
        while area is not None and not isinstance(area, QScrollArea):
            area = area.parentWidget()
        return area

    def explain(self, why: str) -> None:
        """Where the box does not apply: why, and what to change, in its place. Empty where it does."""
        self._applies = not why
        self._why.setText(why)
        self._turn(self.head.isChecked())


def one_at_a_time(folds) -> None:
    """Boxes of which opening one closes the others, so that a panel stays short."""
    folds = tuple(folds)

    def close_others(opened):
        for fold in folds:
            if fold is not opened and fold.head.isChecked():
                fold.head.setChecked(False)

    for fold in folds:
        fold.head.toggled.connect(lambda on, f=fold: on and close_others(f))
