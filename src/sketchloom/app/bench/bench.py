"""The bench: the work at true scale between rulers, source and cut on either side of a curtain."""

from PySide6.QtCore import QEvent, QPointF, Qt
from PySide6.QtGui import QCursor, QNativeGestureEvent

from sketchloom.app.bench.paint import COLOUR_MIME
from sketchloom.app.bench.painting import Painting
from sketchloom.app.bench.rulers import RULER
from sketchloom.app.bench.touch import Touch
from sketchloom.app.tools.tool import Frame
from sketchloom.app.work.jobs import close_all

_WHEEL_STEP = 1.2
_GRAB = 10
_NEAR = 4
_CLICK = 5
"""A press that moves on by less is a click, px of the screen."""
_CHOOSES = Qt.KeyboardModifier.ShiftModifier | Qt.KeyboardModifier.ControlModifier
"""With one of these a drag chooses, where it pans else."""


class Bench(Painting):
    """Shows a work. Drag pans, the wheel zooms to the pointer, the curtain's handle drags."""

    _click_from = None

    def __init__(self, parent=None):
        super().__init__(parent)
        self.touch = Touch(self, self._let_go, lambda at: self.menu_wanted.emit(at, False))

    def _let_go(self):
        """What was begun with one finger is over: it was meant otherwise."""
        if self._drag == "tool" and self.tool is not None:
            self.tool.give_up()
        elif self._drag == "resting" and self.resting is not None:
            self.resting.give_up()
        self._drag = self._click_from = None

    def set_tool(self, tool) -> None:
        """Take up a tool, or none; one that was held is put down."""
        if tool is self.tool:
            return
        old, self.tool = self.tool, tool
        if self._drag == "tool":
            self._drag = None  # what was drawn with the tool that goes is over
        if old is not None:
            old.done.disconnect(self.put_down)
            old.repaint.disconnect(self.update)
        if tool is not None:
            tool.done.connect(self.put_down)
            tool.repaint.connect(self.update)
        self._seen = None
        self._pointed.forget()
        self.setCursor(Qt.CursorShape.ArrowCursor if tool is None else tool.cursor)
        self.tool_changed.emit(tool)
        self.update()

    def put_down(self) -> None:
        """Hold no tool."""
        self.set_tool(None)

    def set_resting(self, tool) -> None:
        """Let a tool take the clicks that no other tool takes; None for no such tool."""
        if tool is self.resting:
            return
        if self.resting is not None:
            self.resting.repaint.disconnect(self.update)
        self.resting = tool
        if tool is not None:
            tool.repaint.connect(self.update)
        self.tool_changed.emit(self.tool)
        self.update()

    # -- pointer and keys ----------------------------------------------------------------

    def keyPressEvent(self, event):
        if self.hand is not None:
            self.hand.modifiers = event.modifiers()
            if self.hand.key(event.key()) or self.cross.key(event):
                return
        step = {Qt.Key.Key_Left: (40, 0), Qt.Key.Key_Right: (-40, 0), Qt.Key.Key_Up: (0, 40),
                Qt.Key.Key_Down: (0, -40)}.get(event.key())
        if step is not None and not event.modifiers() & Qt.KeyboardModifier.ControlModifier:
            self.pan(*step)
        elif event.text() in ("[", "]"):
            self.move_curtain(self.curtain + (0.04 if event.text() == "]" else -0.04))
        else:
            super().keyPressEvent(event)

    def wheelEvent(self, event):
        pixels = event.pixelDelta()
        if not pixels.isNull() and not event.modifiers() & Qt.KeyboardModifier.ControlModifier:
            self.pan(pixels.x(), pixels.y())
        else:
            turns = (event.angleDelta().y() or event.angleDelta().x()) / 120.0
            self.zoom(_WHEEL_STEP**turns, event.position())
        event.accept()

    def event(self, event):
        if event.type() == QEvent.Type.ShortcutOverride and self.hand is not None and (
                self.hand.wants(event.key()) or self.cross.wants(event)):
            event.accept()  # what acts on a choice goes before the window's own keys
            return True
        is_gesture = event.type() == QEvent.Type.NativeGesture and isinstance(event, QNativeGestureEvent)
        if is_gesture and event.gestureType() == Qt.NativeGestureType.ZoomNativeGesture:
            self.zoom(1.0 + event.value(), event.position())
            return True
        return super().event(event)

    def dragEnterEvent(self, event):
        if self.takes_colours and event.mimeData().hasFormat(COLOUR_MIME):
            event.acceptProposedAction()
        else:
            event.ignore()  # the window may take it

    def dragMoveEvent(self, event):
        self.dragEnterEvent(event)
        if event.isAccepted() and self.tool is not None:
            self.tool.move(Frame(self._page()), event.position(), False)

    def dropEvent(self, event):
        mx, my = self._view.to_mm(event.position().x(), event.position().y())
        if self._shown is None or not event.mimeData().hasFormat(COLOUR_MIME):
            event.ignore()
            return
        scale = self._shown.work.mm_per_px
        self.colour_dropped.emit(
            bytes(event.mimeData().data(COLOUR_MIME)).decode("ascii", "replace"), mx / scale, my / scale
        )
        event.acceptProposedAction()

    def frame(self) -> Frame:
        """Where the picture lies, for tools."""
        return Frame(self._page())

    def mousePressEvent(self, event):
        at = event.position()
        self.asked = ""
        self.cross.put_away()
        if self.tool is not None and event.button() == Qt.MouseButton.LeftButton:
            self._drag = "tool"
            self.tool.modifiers = event.modifiers()
            self.tool.press(Frame(self._page()), at)
        elif self.resting is not None and not self.picking and event.modifiers() & _CHOOSES and (
                event.button() == Qt.MouseButton.LeftButton):
            self._drag = "resting"
            self.resting.modifiers = event.modifiers()
            self.resting.press(Frame(self._page()), at)
        elif self.picking and event.button() == Qt.MouseButton.LeftButton:
            self._pick(at)
        elif self._on_curtain(at) and event.button() == Qt.MouseButton.LeftButton:
            self._drag, self._click_from = "curtain", at
        elif event.button() in (Qt.MouseButton.LeftButton, Qt.MouseButton.MiddleButton):
            self._drag = at
            self._click_from = at if event.button() == Qt.MouseButton.LeftButton else None
            self.setCursor(Qt.CursorShape.ClosedHandCursor)

    def mouseMoveEvent(self, event):
        at = event.position()
        self._pointer = at
        if self.tool is not None and self._drag in (None, "tool"):
            self.tool.move(Frame(self._page()), at, self._drag == "tool")
        elif self._drag == "resting":
            self.resting.move(Frame(self._page()), at, True)
        elif self._drag == "curtain":
            self.move_curtain((at.x() - RULER) / max(self.width() - RULER, 1))
        elif self._drag is not None:
            self.pan(at.x() - self._drag.x(), at.y() - self._drag.y())
            self._drag = at
        else:
            self._describe(at)
            self._choose_cursor(at)
        self.update()

    def mouseReleaseEvent(self, event):
        drag, self._drag = self._drag, None
        if drag == "tool" and self.tool is not None:
            self.tool.release(Frame(self._page()), event.position())
        elif drag == "resting" and self.resting is not None:
            self.resting.release(Frame(self._page()), event.position())
        elif drag is not None:
            self._click(event.position())
        self._choose_cursor(event.position())

    def say(self, words: str) -> None:
        """Say what is asked for, until the hand acts."""
        self.asked = words
        self.setAccessibleDescription(words)
        self.update()

    def _click(self, at):
        """What was pressed and let go without a drag is a click for the tool that rests."""
        start, self._click_from = self._click_from, None
        if self.resting is None or start is None or (at - start).manhattanLength() > _CLICK:
            return
        self.resting.modifiers = Qt.KeyboardModifier.NoModifier
        self.resting.press(Frame(self._page()), start)
        self.resting.release(Frame(self._page()), start)

    def mouseDoubleClickEvent(self, event):
        if self.tool is not None:
            self.tool.double_click(Frame(self._page()), event.position())
        elif self.resting is not None and self.resting.under(Frame(self._page()), event.position()) is not None:
            self._drag = self._click_from = event.position()  # the second click goes on to what lies below
        else:
            self.fit()

    def contextMenuEvent(self, event):
        self._drag = None
        is_by_key = event.reason() == event.Reason.Keyboard
        at = self.cross.at if is_by_key and self.cross.at is not None else QPointF(event.pos())
        self.menu_wanted.emit(at, is_by_key and self.cross.at is None)

    def leaveEvent(self, _):
        self._pointer = None
        self._describe(None)
        self.update()

    def show_source_only(self, on: bool) -> None:
        """The source alone, all over."""
        self.source_only = on
        self.update()

    def set_picking(self, on: bool) -> None:
        """While on, a click takes the picture's colour under the pointer."""
        self.picking = on
        self.show_source_only(on)
        self.setCursor(Qt.CursorShape.CrossCursor if on else Qt.CursorShape.ArrowCursor)
        self.update()

    def _on_curtain(self, at):
        return (self.curtain_on and self._shown is not None and not self.source_only and self.tool is None
                and abs(at.x() - self._curtain_x()) <= _GRAB and at.y() > RULER)

    def _describe(self, at):
        """Find what is under the pointer and say what it is."""
        place = None
        if at is not None and not self.picking:
            place = self._view.to_mm(at.x(), at.y())
        self._pointed.look(self._shown, place, self.unit, _NEAR / self._view.scale)

    def _choose_cursor(self, at):
        if self.tool is not None:
            shape = self.tool.cursor
        elif self.picking:
            shape = Qt.CursorShape.CrossCursor
        else:
            shape = Qt.CursorShape.SplitHCursor if self._on_curtain(at) else Qt.CursorShape.ArrowCursor
        if self.cursor().shape() != shape:
            self.setCursor(QCursor(shape))

    def _pick(self, at):
        place = self._pixel_at(at)
        if place is not None:
            r, g, b = self._picture.rgb[place[1], place[0]]
            self.picked.emit(f"#{r:02x}{g:02x}{b:02x}")

    def _pixel_at(self, at):
        mx, my = self._view.to_mm(at.x(), at.y())
        x = int(mx / self._size_mm[0] * self._picture.width)
        y = int(my / self._size_mm[1] * self._picture.height)
        inside = 0 <= x < self._picture.width and 0 <= y < self._picture.height and mx >= 0 and my >= 0
        return (x, y) if inside else None

    @property
    def is_sharp(self) -> bool:
        """Whether nothing that is seen is still being drawn."""
        return self.tiles.is_sharp and self._pinned_tiles.is_sharp

    def close_lanes(self) -> None:
        """End what draws beside the window."""
        close_all((self.tiles.lane, self._pinned_tiles.lane))
