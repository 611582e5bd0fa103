"""All 256 cut-offs as curves to drag along."""

from math import log1p

from PySide6.QtCore import QPointF, QRectF, Qt, Signal
from PySide6.QtGui import QColor, QPainter, QPen, QPolygonF
from PySide6.QtWidgets import QAbstractSlider, QSizePolicy

from sketchloom.app import theme
from sketchloom.app.painted import painted
from sketchloom.app.parts.widgets import counted


class ToneCurve(QAbstractSlider):
    """Bars: how many pixels have which tone. Lines: pieces and holes of each cut-off. Bands: where the drawing stands
    still."""

    dragged = Signal(int)

    def __init__(self):
        super().__init__()
        self.setFixedHeight(theme.px(132))
        self.setMouseTracking(True)
        self.setSizePolicy(QSizePolicy.Policy.Expanding, QSizePolicy.Policy.Fixed)
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setCursor(Qt.CursorShape.SizeHorCursor)
        self.setAccessibleName(self.tr("Cut-offs: drag along, or use the arrow keys"))
        self.setToolTip(
            self.tr(
                "Drag to set the cut-off. In the marked bands the drawing hardly changes; the flag is the one "
                "proposed. The lines count pieces and holes of every cut-off, specks and all, on a scale of tenfold "
                "steps."
            )
        )
        self.setRange(0, 255)
        self.setPageStep(16)
        self.setValue(128)
        self.valueChanged.connect(self._moved)
        self._bars, self._bands, self._proposed = [], (), None
        self._pieces, self._holes, self._pointed = [], [], None
        self._is_shown = False

    def show_values(self, bars, cut, cut_offs=None, dark_is_ink=True) -> None:
        self._bars = bars
        self._is_shown = True
        self.setValue(cut)
        self._is_shown = False
        self._bands = () if cut_offs is None else tuple((s.first, s.last) for s in cut_offs.stretches)
        self._proposed = None if cut_offs is None else cut_offs.proposed(dark_is_ink)
        self.update()

    def show_counts(self, pieces, holes) -> None:
        """Pieces and holes of each cut-off, or two empty lists while they are not known."""
        self._pieces, self._holes = list(pieces), list(holes)
        self.update()

    def _said(self, level):
        if not self._pieces:
            return str(level)
        return self.tr("{0}: {1}, {2}").format(
            level, counted(self._pieces[level], self.tr("1 piece"), self.tr("{0} pieces")),
            counted(self._holes[level], self.tr("1 hole"), self.tr("{0} holes")))

    def _x(self, level):
        return (level + 0.5) * self.width() / 256

    @painted
    def paintEvent(self, painter):
        painter.fillRect(self.rect(), QColor(theme.LINEN_LIGHT))
        height = self.height() - 18
        step = self.width() / 256
        for number, (first, last) in enumerate(self._bands):
            shade = QColor(theme.WOAD)
            shade.setAlpha(70 if number == 0 else 34)
            painter.fillRect(QRectF(first * step, 0, (last - first + 1) * step, height), shade)
        for level, share in enumerate(self._bars):
            bar = share * (height - 22)
            painter.fillRect(
                QRectF(level * step, height - bar, step + 0.5, bar),
                QColor(theme.INK if level <= self.value() else theme.LINE),
            )
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        most = log1p(max([1, *self._pieces, *self._holes]))
        for counts, colour, style in (
            (self._holes, theme.WOAD, Qt.PenStyle.DashLine),
            (self._pieces, theme.MADDER, Qt.PenStyle.SolidLine),
        ):
            painter.setPen(QPen(QColor(colour), 1.6, style))
            painter.drawPolyline(
                QPolygonF(
                    [QPointF(self._x(v), 18 + (1 - log1p(n) / most) * (height - 22)) for v, n in enumerate(counts)]
                )
            )
        if self._proposed is not None:
            x = self._x(self._proposed)
            painter.setPen(Qt.PenStyle.NoPen)
            painter.setBrush(QColor(theme.MOSS))
            painter.drawPolygon(QPolygonF([QPointF(x, 17), QPointF(x + 11, 21), QPointF(x, 25)]))
            painter.drawRect(QRectF(x - 1, 17, 2, height - 17))
        x = self._x(self.value())
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
        font.setPixelSize(theme.text_px(11))
        painter.setFont(font)
        painter.setPen(QColor(theme.INK_SOFT))
        area = QRectF(2, height + 4, self.width() - 4, 14)
        painter.drawText(area, Qt.AlignmentFlag.AlignLeft, self.tr("dark"))
        painter.drawText(area, Qt.AlignmentFlag.AlignRight, self.tr("light"))
        if self._pieces:
            self._paint_legend(painter, area)
        if self._pointed is not None:
            x = self._x(self._pointed)
            painter.setPen(QPen(QColor(theme.INK_SOFT), 1, Qt.PenStyle.DotLine))
            painter.drawLine(QPointF(x, 14), QPointF(x, height))
        self._paint_said(painter, self.value() if self._pointed is None else self._pointed)

    def _paint_said(self, painter, level):
        """Counts of a cut-off, as near to it as the edges allow."""
        text = self._said(level)
        width = painter.fontMetrics().horizontalAdvance(text) + 10
        left = min(max(self._x(level) - width / 2, 1.0), self.width() - width - 1)
        box = QRectF(left, 0, width, 16)
        painter.setPen(QPen(QColor(theme.LINE), 1))
        painter.setBrush(QColor(theme.LINEN_LIGHT))
        painter.drawRoundedRect(box, 3, 3)
        painter.setPen(QColor(theme.INK))
        painter.drawText(box, Qt.AlignmentFlag.AlignCenter, text)

    def _paint_legend(self, painter, area):
        metrics = painter.fontMetrics()
        names = (self.tr("pieces"), self.tr("holes"))
        x = area.center().x() - (sum(metrics.horizontalAdvance(n) for n in names) + 60) / 2
        for name, colour, style in zip(
            names, (theme.MADDER, theme.WOAD), (Qt.PenStyle.SolidLine, Qt.PenStyle.DashLine), strict=False
        ):
            painter.setPen(QPen(QColor(colour), 1.6, style))
            painter.drawLine(QPointF(x, area.center().y()), QPointF(x + 18, area.center().y()))
            painter.setPen(QColor(theme.INK_SOFT))
            painter.drawText(QPointF(x + 22, area.y() + metrics.ascent()), name)
            x += metrics.horizontalAdvance(name) + 38

    def mousePressEvent(self, event):
        self._drag(event.position().x())

    def mouseMoveEvent(self, event):
        self._pointed = self._level_at(event.position().x())
        self.update()
        if event.buttons() & Qt.MouseButton.LeftButton:
            self._drag(event.position().x())

    def leaveEvent(self, _):
        self._pointed = None
        self.update()

    def wheelEvent(self, event):
        event.ignore()  # the panel scrolls

    def _drag(self, x):
        self.setValue(self._level_at(x))

    def _level_at(self, x):
        return min(max(int(x * 256 / max(self.width(), 1)), 0), 255)

    def _moved(self, level):
        self.update()
        if not self._is_shown:
            self.dragged.emit(level)
