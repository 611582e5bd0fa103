"""How every window and dialog behaves, whoever builds it: the wheel, keys in tables and lists, a key held down."""

from PySide6.QtCore import QEvent, QObject, Qt, Signal
from PySide6.QtGui import QKeySequence
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
    QProxyStyle,
    QScrollBar,
    QTableView,
    QTableWidget,
    QWidget,
)

from sketchloom.app import actions
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
_EDITING = (QKeySequence.StandardKey.Undo, QKeySequence.StandardKey.Redo, QKeySequence.StandardKey.Paste)
_WATCHED = (*_TURNED, *_SOUGHT_IN, QLineEdit, QMainWindow)


class Manners(QObject):
    """Watches parts that need it; ``source_held`` while O is held down in a window."""

    source_held = Signal(bool)

    def bring_up(self, part: QWidget) -> None:
        """Teach a part what is expected of its kind, once."""
        if isinstance(part, _WATCHED) and not isinstance(part, QScrollBar):
            part.installEventFilter(self)  # again is not twice
        if isinstance(part, _TURNED) and not isinstance(part, QScrollBar):
            if part.focusPolicy() == Qt.FocusPolicy.WheelFocus:
                part.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        elif isinstance(part, QLineEdit):
            part.inputRejected.connect(self._too_long, Qt.ConnectionType.UniqueConnection)
        elif isinstance(part, QTableView):
            part.setTabKeyNavigation(False)  # Tab leaves a table, the arrows go through it

    def eventFilter(self, watched, event):
        kind = event.type()
        if kind == QEvent.Type.Wheel:
            return isinstance(watched, _TURNED) and self._wheel(watched, event)
        if kind in _KEYS:
            return self._key(watched, event, kind)
        if kind == QEvent.Type.ShortcutOverride and isinstance(watched, QLineEdit):
            return _is_an_actions(event)
        if kind == QEvent.Type.ShortcutOverride and isinstance(watched, _SOUGHT_IN) and _is_letter(event):
            # what is typed in a list belongs to the list, not to an action whose key is that letter
            event.accept()
            return True
        return False

    def _key(self, watched, event, kind):
        if isinstance(watched, QMainWindow):
            if event.key() != _HELD or event.modifiers() or isinstance(QApplication.focusWidget(), _OF_ITS_OWN):
                return False
            if not event.isAutoRepeat():
                self.source_held.emit(kind == QEvent.Type.KeyPress)
            return True
        if kind == QEvent.Type.KeyPress and event.key() in _TAKES and watched is QApplication.focusWidget():
            return _taken(watched)
        return False

    def _wheel(self, watched, event):
        """A control takes the wheel only when it has the focus; else what it lies in scrolls."""
        if watched.hasFocus():
            return False
        area = watched.parentWidget()
        while area is not None and not (isinstance(area, QAbstractScrollArea) and area.verticalScrollBar().maximum()):
            area = area.parentWidget()
        if area is not None:
            QApplication.sendEvent(area.viewport(), event)
        return True

    def _too_long(self):
        field = self.sender()
        if len(field.text()) >= field.maxLength():
            say_beside(field, self.tr("No more than {0} letters fit here; what is beyond was not taken.").format(
                field.maxLength()))


class _Style(QProxyStyle):
    """Fusion, which brings up every part as it is polished. A filter of the application would see each event of all
    parts: half of the time that building a window takes."""

    def __init__(self, manners):
        super().__init__("Fusion")
        self._manners = manners

    def polish(self, one):
        made = super().polish(one)
        if isinstance(one, QWidget):
            self._manners.bring_up(one)
        return made


def _is_letter(event) -> bool:
    return event.modifiers() in _NEITHER and event.text().isprintable() and bool(event.text().strip())


def _is_an_actions(event) -> bool:
    """Whether a key with Ctrl, typed in a field, is the window's: on some desktops fields take Ctrl+E for the end of a
    line, and cut files would then not be written. The keys of editing stay the field's."""
    if not event.modifiers() & Qt.KeyboardModifier.ControlModifier or any(event.matches(one) for one in _EDITING):
        return False
    if QKeySequence(event.keyCombination()) not in actions.sequences():
        return False
    event.ignore()
    return True


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
        manners = Manners(app)
        app.setProperty("manners", manners)
        app.setStyle(_Style(manners))
