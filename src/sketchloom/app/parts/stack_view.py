"""The stack pulled apart: sheets drawn at a slant above each other, dragged to another place in the order."""

from PySide6.QtCore import QPointF, QRectF, Qt, Signal
from PySide6.QtGui import QColor, QPainter, QPen, QTransform
from PySide6.QtWidgets import QHBoxLayout, QLabel, QSlider, QVBoxLayout, QWidget

from sketchloom.app import dyes, theme
from sketchloom.app.bench import looks
from sketchloom.app.painted import Picture, painted
from sketchloom.app.parts.widgets import button

_LEAN, _FLAT = -0.42, 0.5
"""A sheet's depth goes to the left and up, at half its size."""


class _Stack(Picture):
    """Paints the sheets; one can be held and moved up or down."""

    moved = Signal(str, int)
    pointed = Signal(str)

    def __init__(self):
        super().__init__()
        self.work, self._paths = None, ()
        self.up_to, self.alone = 0, False
        self._held, self._from, self._by = -1, None, 0.0
        self.families: tuple = ()
        self.setMouseTracking(True)
        self.setAccessibleName(self.tr("The stack pulled apart; drag a sheet to another place"))

    def show_work(self, work, paths) -> None:
        self.work, self._paths = work, paths
        self._held = -1
        self.update()

    def _geometry(self):
        """Scale, gap between sheets and the transform of each level."""
        width, height = self.work.size_mm
        count = max(len(self.work.layers), 1)
        space = (self.width() - 150, self.height() - 60)
        scale = min(
            space[0] / (width + abs(_LEAN) * height), space[1] / (height * _FLAT + 0.55 * height * _FLAT * (count - 1))
        )
        gap = max((space[1] - height * _FLAT * scale) / max(count - 1, 1), 10.0) if count > 1 else 0.0
        gap = min(gap, 0.9 * height * _FLAT * scale)
        whole = (width + abs(_LEAN) * height) * scale
        left = max((self.width() - 130 - whole) / 2, 20) + abs(_LEAN) * height * scale
        return scale, gap, left

    def _transform(self, level, scale, gap, left):
        height = self.work.size_mm[1]
        top = self.height() - 30 - height * _FLAT * scale - gap * level - (self._by if level == self._held else 0.0)
        # (x, y) mm to the screen: depth leans to the left as it comes nearer
        return QTransform(scale, 0, _LEAN * scale, _FLAT * scale, left, top)

    @painted
    def paintEvent(self, painter):
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        painter.fillRect(self.rect(), QColor("#8f8a82"))
        if self.work is None or not self.work.layers:
            return
        scale, gap, left = self._geometry()
        width, height = self.work.size_mm
        for level, (layer, path) in enumerate(zip(self.work.layers, self._paths, strict=False)):
            if level > self.up_to or (self.alone and level != self.up_to):
                continue
            transform = self._transform(level, scale, gap, left)
            painter.setTransform(transform)
            pen = QPen(QColor(255, 255, 255, 90), 1)
            pen.setCosmetic(True)
            painter.setPen(pen)
            painter.setBrush(QColor(255, 255, 255, 26))
            painter.drawRect(QRectF(0, 0, width, height))
            if layer.plan.hidden:
                continue
            painter.fillPath(path.whole, QColor(layer.plan.hex))
            if level < len(self.families):
                looks.paint_texture(painter, path.whole, self.families[level])
            edge = QPen(QColor(dyes.MADDER if level == self._held else "#2b2620"), 2.2 if level == self._held else 0.7)
            edge.setCosmetic(True)
            painter.strokePath(path.whole, edge)
            painter.resetTransform()
            corner = transform.map(QPointF(width, height * 0.5))
            painter.setPen(QColor("#ffffff"))
            painter.drawText(
                QRectF(corner.x() + 10, corner.y() - 10, self.width() - corner.x() - 14, 20),
                Qt.AlignmentFlag.AlignVCenter,
                painter.fontMetrics().elidedText(
                    f"{level + 1}  {layer.plan.name}", Qt.TextElideMode.ElideRight, int(self.width() - corner.x() - 14)
                ),
            )

    def _level_at(self, place):
        scale, gap, left = self._geometry()
        for level in range(min(self.up_to, len(self.work.layers) - 1), -1, -1):
            if self.alone and level != self.up_to:
                continue
            inverted, _ = self._transform(level, scale, gap, left).inverted()
            if self._paths[level].whole.contains(inverted.map(QPointF(place))):
                return level
        return -1

    def mousePressEvent(self, event):
        if self.work is not None and self.work.layers:
            self._held, self._from, self._by = self._level_at(event.position()), event.position(), 0.0
            if self._held >= 0:
                self.pointed.emit(self.work.layers[self._held].plan.key)
            self.update()

    def mouseMoveEvent(self, event):
        if self._held >= 0 and self._from is not None:
            self._by = self._from.y() - event.position().y()
            self.update()

    def mouseReleaseEvent(self, event):
        if self._held >= 0 and self._from is not None:
            _, gap, _ = self._geometry()
            to = self._held + round(self._by / max(gap, 1.0))
            key, to = self.work.layers[self._held].plan.key, max(0, min(to, len(self.work.layers) - 1))
            was, self._from, self._by = self._held, None, 0.0
            if to != was:
                self.moved.emit(key, to)
            self.update()


class StackView(QWidget):
    """The stack with what is shown of it: all, up to a sheet as it is laid, or one alone."""

    moved = Signal(str, int)
    pointed = Signal(str)
    closed = Signal()

    def __init__(self):
        super().__init__()
        self.stack = _Stack()
        self.stack.moved.connect(self.moved)
        self.stack.pointed.connect(self.pointed)
        self._up_to = QSlider(Qt.Orientation.Horizontal)
        self._up_to.setAccessibleName(self.tr("As laid so far"))
        self._up_to.setFixedWidth(theme.px(180))
        self._up_to.valueChanged.connect(self._show_up_to)
        self._said = QLabel()
        self._said.setTextFormat(Qt.TextFormat.PlainText)
        self._alone = button(self.tr("Alone"), "", self.tr("Only the uppermost of these"), checkable=True)
        self._alone.clicked.connect(self._show_alone)
        close = button(self.tr("Lay together again"))
        close.clicked.connect(self.closed)
        head = QHBoxLayout()
        head.setContentsMargins(10, 6, 10, 6)
        head.setSpacing(12)
        for part in (QLabel(self.tr("As laid so far")), self._up_to, self._said, self._alone):
            head.addWidget(part)
        head.addStretch(1)
        head.addWidget(close)
        column = QVBoxLayout(self)
        column.setContentsMargins(0, 0, 0, 0)
        column.setSpacing(0)
        column.addLayout(head)
        column.addWidget(self.stack, 1)

    def show_work(self, work, paths) -> None:
        """Another result; as much as before is shown of it, all at first."""
        count = len(work.layers)
        was_all = self.stack.work is None or self._up_to.value() >= self._up_to.maximum()
        self.stack.show_work(work, paths)
        self._up_to.setRange(0, max(count - 1, 0))
        if was_all:
            self._up_to.setValue(max(count - 1, 0))
        self._show_up_to(self._up_to.value())

    def _show_up_to(self, level):
        self.stack.up_to = level
        work = self.stack.work
        if work is not None and work.layers:
            self._said.setText(
                self.tr("{0} of {1}: {2}").format(
                    level + 1, len(work.layers), work.layers[min(level, len(work.layers) - 1)].plan.name
                )
            )
        self.stack.update()

    def _show_alone(self, on):
        self.stack.alone = on
        self.stack.update()
