"""The tool that grows a region from a colour, with its outline live."""

from PySide6.QtCore import QPointF, QRectF, Qt, Signal
from PySide6.QtGui import QImage, QPainter

from sketchloom.app.bench.paint import tint_of
from sketchloom.app.tools.tool import Frame, Tool, draw_handle
from sketchloom.core.base.colour import to_hex
from sketchloom.core.picture.places import pixel_at
from sketchloom.core.segment.growing import MAX_TOLERANCE, grown, proposed_tolerance

_LIVE_PX = 900


class GrowTool(Tool):
    """Click a colour; drag sideways, or use the slider, to set how far it reaches. Enter takes it."""

    taken = Signal(float, float, float, bool, str)
    changed = Signal()

    def __init__(self, picture):
        super().__init__()
        self.hint = self.tr(
            "Click a colour. Drag sideways to set how far it reaches; Enter makes it a region. Esc leaves it."
        )
        self._picture = picture.reduced(_LIVE_PX)
        self.seed = None
        self.tolerance = self.proposed = 0
        self.everywhere = False
        self.share = 0.0
        self._veil: QImage | None = None
        self._from = 0.0
        self._before = 0

    def press(self, frame: Frame, at: QPointF) -> None:
        x, y = frame.share(at)
        if 0 <= x < 1 and 0 <= y < 1:
            self.seed = (x, y)
            self.tolerance = self.proposed = proposed_tolerance(self._picture, x, y, self.everywhere)
            self._from, self._before = at.x(), self.tolerance
            self._grow()

    def move(self, frame: Frame, at: QPointF, held: bool) -> None:
        if held and self.seed is not None:
            self.set_tolerance(self._before + round((at.x() - self._from) / 6))

    def set_tolerance(self, value: int) -> None:
        value = min(max(value, 0), MAX_TOLERANCE)
        if self.seed is not None and value != self.tolerance:
            self.tolerance = value
            self._grow()

    def set_everywhere(self, on: bool) -> None:
        self.everywhere = on
        if self.seed is not None:
            self._grow()

    def _grow(self):
        mask = grown(self._picture, *self.seed, self.tolerance, self.everywhere)
        self.share = float(mask.mean())
        self._veil = tint_of(mask)
        self.changed.emit()
        self.repaint.emit()

    def key(self, key) -> bool:
        if key in (Qt.Key.Key_Return, Qt.Key.Key_Enter) and self.seed is not None:
            column, row = pixel_at(self._picture, *self.seed)
            self.taken.emit(*self.seed, float(self.tolerance), self.everywhere, to_hex(self._picture.rgb[row, column]))
            self.done.emit()
            return True
        return False

    def paint(self, painter: QPainter, frame: Frame) -> None:
        if self._veil is not None:
            painter.drawImage(QRectF(frame.rect), self._veil)
        if self.seed is not None:
            draw_handle(painter, frame.place(*self.seed))
