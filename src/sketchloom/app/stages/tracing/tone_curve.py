"""All 256 cut-offs as a curve to drag along."""

from PySide6.QtCore import QPointF, QRectF, Qt, Signal
from PySide6.QtGui import QColor, QPainter, QPen, QPolygonF
from PySide6.QtWidgets import QSizePolicy, QWidget

from sketchloom.app import theme


class ToneCurve(QWidget):
    """Bars: how many pixels have which tone. Line: how restless the drawing is there. Bands: where it stands still."""

    dragged = Signal(int)

    def __init__(self):
        super().__init__()
        self.setFixedHeight(118)
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setCursor(Qt.CursorShape.SizeHorCursor)
        self.setAccessibleName(self.tr("Cut-offs: drag along, or use the arrow keys"))
        self.setToolTip(self.tr("Drag to set the cut-off. In the marked bands the drawing hardly changes; the flag is the one proposed."))
        self._bars, self._cut, self._restless, self._bands, self._proposed = [], 128, [], (), None

    def show_values(self, bars, cut, cut_offs=None) -> None:
        self._bars, self._cut = bars, cut
        self._restless = [] if cut_offs is None else cut_offs.restlessness().tolist()
        self._bands = () if cut_offs is None else tuple((s.first, s.last) for s in cut_offs.stretches)
        self._proposed = None if cut_offs is None else cut_offs.proposed
        self.update()

    def _x(self, level):
        return (level + 0.5) * self.width() / 256

    def paintEvent(self, _):
        painter = QPainter(self)
        painter.fillRect(self.rect(), QColor(theme.LINEN_LIGHT))
        height = self.height() - 18
        step = self.width() / 256
        for number, (first, last) in enumerate(self._bands):
            shade = QColor(theme.WOAD)
            shade.setAlpha(70 if number == 0 else 34)
            painter.fillRect(QRectF(first * step, 0, (last - first + 1) * step, height), shade)
        for level, share in enumerate(self._bars):
            bar = share * (height - 22)
            painter.fillRect(QRectF(level * step, height - bar, step + 0.5, bar), QColor(theme.INK if level <= self._cut else theme.LINE))
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        if self._restless:
            painter.setPen(QPen(QColor(theme.MADDER), 1.4))
            painter.drawPolyline(QPolygonF([QPointF(self._x(v), 4 + (1 - r) * (height - 8)) for v, r in enumerate(self._restless)]))
        if self._proposed is not None:
            x = self._x(self._proposed)
            painter.setPen(Qt.PenStyle.NoPen)
            painter.setBrush(QColor(theme.MOSS))
            painter.drawPolygon(QPolygonF([QPointF(x, 1), QPointF(x + 11, 5), QPointF(x, 9)]))
            painter.drawRect(QRectF(x - 1, 1, 2, height - 1))
        x = self._x(self._cut)
        painter.setPen(QPen(QColor("#ffffff"), 4))
        painter.drawLine(QPointF(x, 0), QPointF(x, height))
        painter.setPen(QPen(QColor(theme.INK), 2))
        painter.drawLine(QPointF(x, 0), QPointF(x, height))
        painter.setBrush(QColor(theme.WOAD))
        painter.setPen(QPen(QColor("#ffffff"), 1.5))
        painter.drawEllipse(QPointF(x, height), 7, 7)
        if self.hasFocus():
            painter.setBrush(Qt.BrushStyle.NoBrush)
            painter.setPen(QPen(QColor(theme.WOAD), 2))
            painter.drawRect(self.rect().adjusted(1, 1, -1, -1))
        font = painter.font()
        font.setPixelSize(11)
        painter.setFont(font)
        painter.setPen(QColor(theme.INK_SOFT))
        area = QRectF(2, height + 4, self.width() - 4, 14)
        painter.drawText(area, Qt.AlignmentFlag.AlignLeft, self.tr("dark"))
        painter.drawText(area, Qt.AlignmentFlag.AlignRight, self.tr("light"))

    def mousePressEvent(self, event):
        self._drag(event.position().x())

    def mouseMoveEvent(self, event):
        if event.buttons() & Qt.MouseButton.LeftButton:
            self._drag(event.position().x())

    def keyPressEvent(self, event):
        step = {Qt.Key.Key_Left: -1, Qt.Key.Key_Right: 1, Qt.Key.Key_Down: -1, Qt.Key.Key_Up: 1, Qt.Key.Key_PageDown: -16,
                Qt.Key.Key_PageUp: 16}.get(event.key())
        if step is None:
            super().keyPressEvent(event)
        else:
            self._set(self._cut + step)

    def _drag(self, x):
        self._set(int(x * 256 / max(self.width(), 1)))

    def _set(self, level):
        level = min(max(level, 0), 255)
        if level != self._cut:
            self._cut = level
            self.update()
            self.dragged.emit(level)
