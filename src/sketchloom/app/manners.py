"""How every window and dialog behaves, whoever builds it: the wheel, keys in tables and lists, a key held down."""

from PySide6.QtCore import QEvent, QObject, Qt, Signal
from PySide6.QtWidgets import (
    QAbstractItemView,
    QAbstractScrollArea,
    QAbstractSlider,
    QAbstractSpinBox,
    QApplication,
    QComboBox,
    QLineEdit,
    QListWidget,
    QMainWindow,
    QScrollBar,
    QTableView,
    QTableWidget,
)

from sketchloom.app.parts.beside import say_beside

_TURNED = (QAbstractSlider, QAbstractSpinBox, QComboBox)
"""Controls that a wheel turns."""
_SOUGHT_IN = (QAbstractItemView, QComboBox)
"""Parts in which typed letters look for a row."""
_NEITHER = Qt.KeyboardModifier.NoModifier, Qt.KeyboardModifier.ShiftModifier, Qt.KeyboardModifier.KeypadModifier


_KEYS = QEvent.Type.KeyPress, QEvent.Type.KeyRelease
_HELD = Qt.Key.Key_O
_TAKES = Qt.Key.Key_Return, Qt.Key.Key_Enter
_OF_ITS_OWN = (QLineEdit, QAbstractSpinBox, *_SOUGHT_IN)
"""Parts that letters are typed in."""


class Manners(QObject):
    """An event filter of the application; ``source_held`` while O is held down in a window."""

    source_held = Signal(bool)

    def eventFilter(self, watched, event):
        kind = event.type()
        if kind == QEvent.Type.Wheel:
            return self._wheel(watched, event)
        if kind in _KEYS:
            return self._key(watched, event, kind)
        if kind == QEvent.Type.Polish:
            self._bring_up(watched)
        elif kind == QEvent.Type.ShortcutOverride and isinstance(watched, _SOUGHT_IN) and _is_letter(event):
            # what is typed in a list belongs to the list, not to an action whose key is that letter
            event.accept()
            return True
        return False

    def _key(self, watched, event, kind):
        if event.key() == _HELD and not event.modifiers() and isinstance(QApplication.activeWindow(), QMainWindow) \
                and not isinstance(QApplication.focusWidget(), _OF_ITS_OWN):
            if not event.isAutoRepeat():
                self.source_held.emit(kind == QEvent.Type.KeyPress)
            return True
        if kind == QEvent.Type.KeyPress and event.key() in _TAKES and watched is QApplication.focusWidget():
            return _taken(watched)
        return False

    def _wheel(self, watched, event):
        """A control takes the wheel only when it has the focus; else what it lies in scrolls."""
        if not isinstance(watched, _TURNED) or isinstance(watched, QScrollBar) or watched.hasFocus():
            return False
        area = watched.parentWidget()
        while area is not None and not (isinstance(area, QAbstractScrollArea) and area.verticalScrollBar().maximum()):
            area = area.parentWidget()
        if area is not None:
            QApplication.sendEvent(area.viewport(), event)
        return True

    def _too_long(self, field):
        if len(field.text()) >= field.maxLength():
            say_beside(field, self.tr("No more than {0} letters fit here; what is beyond was not taken.").format(
                field.maxLength()))

    def _bring_up(self, part):
        if isinstance(part, _TURNED) and not isinstance(part, QScrollBar):
            if part.focusPolicy() == Qt.FocusPolicy.WheelFocus:
                part.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        elif isinstance(part, QLineEdit):
            part.inputRejected.connect(lambda: self._too_long(part))
        elif isinstance(part, QTableView):
            part.setTabKeyNavigation(False)  # Tab leaves a table, the arrows go through it


def _is_letter(event) -> bool:
    return event.modifiers() in _NEITHER and event.text().isprintable() and bool(event.text().strip())


def _taken(part) -> bool:
    """What a click does to the row or cell that the arrows went to, Enter does."""
    if isinstance(part, QTableWidget) and part.editTriggers() == QTableWidget.EditTrigger.NoEditTriggers:
        if part.currentRow() >= 0:
            part.cellClicked.emit(part.currentRow(), max(part.currentColumn(), 0))
        return True
    if isinstance(part, QListWidget) and part.currentItem() is not None:
        part.itemClicked.emit(part.currentItem())
    return False


def of(app: QApplication) -> Manners:
    """The manners of an application, taught once."""
    install(app)
    return app.property("manners")


def install(app: QApplication) -> None:
    """Teach an application its manners, once."""
    if app.property("manners") is None:
        app.setProperty("manners", Manners(app))
        app.installEventFilter(app.property("manners"))
