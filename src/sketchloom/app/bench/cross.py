"""A cross on the bench that is moved by keys, so that everything a pointer does there can be done without one."""

from PySide6.QtCore import QEvent, QObject, QPointF, Qt
from PySide6.QtGui import QColor, QPainter, QPen
from PySide6.QtWidgets import QLineEdit

from sketchloom.app import dyes, theme
from sketchloom.app.bench.rulers import RULER
from sketchloom.app.parts.announce import SPEAKER
from sketchloom.core.base.errors import SettingError
from sketchloom.core.base.units import parse_length_mm

_STEP_PX = 8.0
_ARM, _GAP, _EDGE = 13.0, 3.0, 24.0
_WAYS = {Qt.Key.Key_Left: (-1, 0), Qt.Key.Key_Right: (1, 0), Qt.Key.Key_Up: (0, -1), Qt.Key.Key_Down: (0, 1)}
_DIGITS = "0123456789.,"


class Cross(QObject):
    """Moves by arrows (8 px of the screen; with Shift 1 mm of the work), clicks by Space, holds the button down from
    Ctrl+Space to the next Space, and goes to a place that is typed. ``bench`` has ``hand``, ``view``, ``unit`` and
    ``frame()``."""

    def __init__(self, bench):
        super().__init__(bench)
        self._bench = bench
        self.at: QPointF | None = None
        self._is_down = False
        self.field = QLineEdit(bench)
        self.field.setAccessibleName(self.tr("Place of the cross, across and down"))
        self.field.setPlaceholderText(self.tr("across, down: 25, 40.5"))
        self.field.setMaxLength(40)
        self.field.setFixedWidth(theme.px(180))
        self.field.returnPressed.connect(self._go_typed)
        self.field.installEventFilter(self)
        self.field.hide()

    def put_away(self) -> None:
        """Show no cross: the pointer is used."""
        self.at, self._is_down = None, False
        self.field.hide()

    def wants(self, event) -> bool:
        """Whether a key is the cross's, even where an action of the window has it."""
        return self.at is not None and self._bench.hand is not None and (
            (event.text() != "" and event.text() in _DIGITS) or event.key() == Qt.Key.Key_Space)

    def key(self, event) -> bool:
        """A key; True where the cross used it."""
        bench, held = self._bench, event.modifiers()
        if bench.hand is None:
            return False
        if event.key() in _WAYS and not held & Qt.KeyboardModifier.ControlModifier:
            step = bench.view.scale if held & Qt.KeyboardModifier.ShiftModifier else _STEP_PX
            x, y = _WAYS[event.key()]
            self._move_to(self._place() + QPointF(x * step, y * step))
            return True
        if event.key() == Qt.Key.Key_Space and self.at is not None:
            self._press(held)
            return True
        if self.at is not None and event.text() and event.text() in _DIGITS:
            self._ask(event.text())
            return True
        return False

    def _place(self):
        """Where the cross is, or comes up: in the middle of what is seen."""
        if self.at is None:
            self.at = QPointF((self._bench.width() + RULER) / 2, (self._bench.height() + RULER) / 2)
        return self.at

    def _move_to(self, place):
        """The work moves on under the cross where that would leave the bench."""
        bench = self._bench
        low, high = RULER + _EDGE, QPointF(bench.width() - _EDGE, bench.height() - _EDGE)
        inside = QPointF(min(max(place.x(), low), high.x()), min(max(place.y(), low), high.y()))
        if inside != place:
            bench.pan(inside.x() - place.x(), inside.y() - place.y())
        self.at = inside
        bench.hand.move(bench.frame(), inside, self._is_down)
        if bench.hand.hint != bench.accessibleDescription():
            bench.setAccessibleDescription(bench.hand.hint)
            SPEAKER.say(bench, bench.hand.hint)
        bench.update()

    def _press(self, held):
        bench = self._bench
        tool, frame = bench.hand, bench.frame()
        if self._is_down:
            self._is_down = False
            tool.release(frame, self.at)
        else:
            tool.modifiers = held & Qt.KeyboardModifier.ShiftModifier
            tool.press(frame, self.at)
            if held & Qt.KeyboardModifier.ControlModifier:
                self._is_down = True
            elif bench.hand is tool:  # a press may have put it down
                tool.release(frame, self.at)
        bench.update()

    # -- a place that is typed -----------------------------------------------------------

    def _ask(self, text):
        self.field.move(RULER + 10, self._bench.height() - theme.px(80))
        self.field.setText(text)
        self.field.show()
        self.field.raise_()
        self.field.setFocus()

    def _go_typed(self):
        bench = self._bench
        try:
            x, y = (parse_length_mm(part.strip(), bench.unit, or_zero=True) for part in _parted(self.field.text()))
        except (SettingError, ValueError):
            self.field.selectAll()  # it stays until it is a place
            return
        self.field.hide()
        bench.setFocus()
        bench.bring_into_view(x, y)
        self._move_to(bench.place_of(x, y))

    def eventFilter(self, watched, event):
        if event.type() == QEvent.Type.KeyPress and event.key() == Qt.Key.Key_Escape:
            self.field.hide()
            self._bench.setFocus()
            return True
        return super().eventFilter(watched, event)

    def paint(self, painter: QPainter) -> None:
        """Draw it over the work."""
        if self.at is None or self._bench.hand is None:
            return
        for colour, width in (("#ffffff", 4.0), (dyes.INK, 1.6)):
            painter.setPen(QPen(QColor(colour), width))
            for dx, dy in _WAYS.values():
                way = QPointF(dx, dy)
                painter.drawLine(self.at + way * _GAP, self.at + way * _ARM)
        if self._is_down:
            painter.setPen(QPen(QColor(dyes.MADDER), 2.0))
            painter.setBrush(Qt.BrushStyle.NoBrush)
            painter.drawEllipse(self.at, _ARM, _ARM)


def _parted(text):
    """Two lengths: parted by a comma with a space, a semicolon or a space; else by the only comma."""
    for mark in (";", ", "):
        if mark in text:
            return text.split(mark)
    return text.split() if " " in text.strip() else text.split(",")
