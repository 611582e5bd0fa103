"""What the pointer does on the bench while a tool is taken up: one small protocol for all tools."""

from PySide6.QtCore import QObject, QPointF, Qt, Signal
from PySide6.QtGui import QColor, QPainter, QPen, QPolygonF

from sketchloom.app import dyes

HANDLE = 7.0


class Frame:
    """Where the picture lies on the bench; turns pointer places into shares of it and back."""

    def __init__(self, rect):
        self.rect = rect

    def share(self, at: QPointF) -> tuple[float, float]:
        return ((at.x() - self.rect.x()) / max(self.rect.width(), 1e-9),
                (at.y() - self.rect.y()) / max(self.rect.height(), 1e-9))

    def inside(self, at: QPointF) -> tuple[float, float]:
        """The share nearest to a place that lies within the picture."""
        x, y = self.share(at)
        return min(max(x, 0.0), 1.0), min(max(y, 0.0), 1.0)

    def place(self, x: float, y: float) -> QPointF:
        return QPointF(self.rect.x() + x * self.rect.width(), self.rect.y() + y * self.rect.height())


class Tool(QObject):
    """A tool on the bench. ``done`` says that it has put itself down.

    ``wants_source``: the source is shown alone while it is held. ``wants_original``: the picture
    as it came, unprepared; ``wants_cut``: the cut alone. ``hint`` is shown on the bench.
    """

    done = Signal()
    repaint = Signal()
    wants_source = True
    wants_original = False
    wants_cut = False
    cursor = Qt.CursorShape.CrossCursor
    inner = None
    """A tool within this one, for what is chosen with it."""
    modifiers = Qt.KeyboardModifier.NoModifier
    """Keys held with the pointer; the bench says them."""

    hint = ""

    def holds(self, frame: Frame, at: QPointF) -> bool:
        """Whether a press at a place is meant for what this tool shows there."""
        return True

    def uses_click(self, frame: Frame, at: QPointF) -> bool:
        """Whether a click there, without a drag, does something."""
        return False

    def wants(self, key) -> bool:
        """Whether a key is this tool's, even where an action of the window has it."""
        return False

    def press(self, frame: Frame, at: QPointF) -> None:
        """The button went down."""

    def move(self, frame: Frame, at: QPointF, held: bool) -> None:
        """The pointer moved."""

    def release(self, frame: Frame, at: QPointF) -> None:
        """The button came up."""

    def give_up(self) -> None:
        """What was begun with the press is not to be done."""

    def double_click(self, frame: Frame, at: QPointF) -> None:
        """Two clicks in one place."""

    def key(self, key) -> bool:
        """A key; True when the tool used it."""
        return False

    def paint(self, painter: QPainter, frame: Frame) -> None:
        """Draw over the picture."""


class WaitTool(Tool):
    """Stands in for a tool of a hand that is not ready yet: nothing else acts meanwhile. ``again()`` begins anew, when
    the result it was for is gone."""

    wants_source = False
    cursor = Qt.CursorShape.WaitCursor

    def __init__(self, stands_for, text: str, again):
        super().__init__()
        self.stands_for, self.again = stands_for, again
        self.hint = self.tr("{0}…").format(text)


class EnterTool(Tool):
    """A tool whose drawing is taken by Enter or two clicks."""

    def take(self) -> None:
        """Hand over what was drawn, if that is enough."""
        raise NotImplementedError

    def double_click(self, frame: Frame, at: QPointF) -> None:
        self.take()

    def key(self, key) -> bool:
        if key in (Qt.Key.Key_Return, Qt.Key.Key_Enter):
            self.take()
            return True
        return False


class PointsTool(EnterTool):
    """A tool that gathers points, shares of the picture's sides; Backspace takes the last one back."""

    def __init__(self):
        super().__init__()
        self._points: list = []

    def key(self, key) -> bool:
        if key == Qt.Key.Key_Backspace and self._points:
            self._points.pop()
            self.repaint.emit()
            return True
        return super().key(key)


def draw_line(painter: QPainter, points, closed: bool = False) -> None:
    """A line that shows on any ground."""
    shape = QPolygonF(list(points))
    painter.setBrush(Qt.BrushStyle.NoBrush)
    for colour, width in (("#ffffff", 3.5), (dyes.MADDER, 1.6)):
        painter.setPen(
            QPen(QColor(colour), width, Qt.PenStyle.SolidLine, Qt.PenCapStyle.RoundCap, Qt.PenJoinStyle.RoundJoin)
        )
        painter.drawPolygon(shape) if closed else painter.drawPolyline(shape)


def draw_handle(painter: QPainter, at: QPointF, held: bool = False) -> None:
    painter.setPen(QPen(QColor(dyes.MADDER), 2))
    painter.setBrush(QColor(dyes.MADDER if held else "#ffffff"))
    painter.drawEllipse(at, HANDLE, HANDLE)
