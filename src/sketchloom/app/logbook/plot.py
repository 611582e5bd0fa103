"""A plot of the logbook: axes with round numbers, marks told apart by their shapes, a band, a line, bars."""

from PySide6.QtCore import QPointF, QRectF, Qt
from PySide6.QtGui import QColor, QPainter, QPainterPath, QPen, QPolygonF

from sketchloom.app import theme
from sketchloom.app.painted import Picture, painted
from sketchloom.desk import charts

_LEFT, _TOP, _RIGHT, _BOTTOM = 64, 20, 20, 48
_MARK_PX = 5.0
_LEGEND_PX = 22
_DYES = {charts.DOT: "MOSS", charts.RING: "MADDER", charts.CROSS: "MADDER", charts.UP: "WELD", charts.DOWN: "WOAD",
         charts.SQUARE: "INK_SOFT"}


class Plot(Picture):
    """Shows a chart, or why there is none."""

    def __init__(self):
        super().__init__()
        self.setMinimumSize(theme.px(320), theme.px(240))
        self._chart, self._empty = None, ""
        self._titles, self._legend = ("", ""), ()
        self.setAccessibleName(self.tr("Plot"))

    def show_chart(self, chart, x: str, y: str, legend=(), empty: str = "") -> None:
        """A chart with the names of its axes; ``legend``: what each shape means; ``empty``: said where there is none.
        """
        self._chart, self._titles, self._legend, self._empty = chart, (x, y), tuple(legend), empty
        marks = "" if chart is None else self.tr("{0} marks").format(chart.count or len(chart.bars))
        self.setAccessibleName(self.tr("Plot: {0} by {1}. {2}").format(y, x, marks or empty))
        self.update()

    def _area(self):
        top = _TOP + (_LEGEND_PX if self._legend else 0)
        return QRectF(_LEFT, top, max(self.width() - _LEFT - _RIGHT, 10), max(self.height() - top - _BOTTOM, 10))

    @painted
    def paintEvent(self, painter):
        painter.fillRect(self.rect(), QColor(theme.LINEN_LIGHT))
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        painter.setPen(QColor(theme.INK))
        if self._chart is None:
            painter.drawText(self.rect().adjusted(24, 24, -24, -24), Qt.AlignmentFlag.AlignCenter
                             | Qt.TextFlag.TextWordWrap, self._empty)
            return
        area = self._area()
        if self._chart.bars:
            self._paint_bars(painter, area)
        else:
            self._paint_axes(painter, area)
            painter.setClipRect(area.adjusted(-_MARK_PX, -_MARK_PX, _MARK_PX, _MARK_PX))
            self._paint_marks(painter, area)
            painter.setClipping(False)
        self._paint_legend(painter)

    def _at(self, area, points):
        """Places of the chart on the screen."""
        x, y = self._chart.x.share(points[:, 0]), self._chart.y.share(points[:, 1])
        return [QPointF(area.left() + a * area.width(), area.bottom() - b * area.height())
                for a, b in zip(x.tolist(), y.tolist(), strict=True)]

    def _paint_axes(self, painter, area):
        chart = self._chart
        metrics = painter.fontMetrics()
        for value, share in zip(chart.x.ticks, chart.x.share(chart.x.ticks).tolist(), strict=True):
            x = round(area.left() + share * area.width()) + 0.5
            painter.setPen(QPen(QColor(theme.LINE), 1))
            painter.drawLine(QPointF(x, area.top()), QPointF(x, area.bottom()))
            painter.setPen(QColor(theme.INK))
            painter.drawText(QRectF(x - 40, area.bottom() + 4, 80, metrics.height()), theme.CENTRE, f"{value:g}")
        for value, share in zip(chart.y.ticks, chart.y.share(chart.y.ticks).tolist(), strict=True):
            y = round(area.bottom() - share * area.height()) + 0.5
            painter.setPen(QPen(QColor(theme.LINE), 1))
            painter.drawLine(QPointF(area.left(), y), QPointF(area.right(), y))
            painter.setPen(QColor(theme.INK))
            painter.drawText(QRectF(0, y - 12, _LEFT - 8, 24), Qt.AlignmentFlag.AlignRight
                             | Qt.AlignmentFlag.AlignVCenter, f"{value:g}")
        painter.setPen(QPen(QColor(theme.EDGE), 1))
        painter.drawRect(area)
        painter.setPen(QColor(theme.INK))
        painter.drawText(QRectF(area.left(), self.height() - metrics.height() - 6, area.width(), metrics.height() + 2),
                         theme.CENTRE, self._titles[0])
        painter.save()
        painter.translate(14, area.center().y())
        painter.rotate(-90)
        painter.drawText(QRectF(-area.height() / 2, -10, area.height(), 20), theme.CENTRE, self._titles[1])
        painter.restore()

    def _paint_marks(self, painter, area):
        chart = self._chart
        if chart.band is not None:
            lower, upper = self._at(area, chart.band[:, [0, 1]]), self._at(area, chart.band[:, [0, 2]])
            moss = QColor(theme.MOSS)
            moss.setAlpha(60)
            painter.setPen(QPen(QColor(theme.MOSS), 1, Qt.PenStyle.DashLine))
            painter.setBrush(moss)
            painter.drawPolygon(QPolygonF([*lower, *reversed(upper)]))
        if chart.line is not None:
            painter.setPen(QPen(QColor(theme.EDGE), 1.5, Qt.PenStyle.DashLine))
            painter.drawPolyline(self._at(area, chart.line))
        for shape, points in chart.marks.items():
            painter.setPen(QPen(QColor(getattr(theme, _DYES[shape])), 1.6))
            painter.setBrush(_fill(shape))
            for at in self._at(area, points):
                draw_mark(painter, shape, at)

    def _paint_bars(self, painter, area):
        chart, metrics = self._chart, painter.fontMetrics()
        names = min(max(metrics.horizontalAdvance(name) for name, _, _ in chart.bars) + 16, self.width() // 3)
        left, row = area.left() - _LEFT + names, min(area.height() / len(chart.bars), 44.0)
        wide = max(area.right() - left - 60, 10)
        for n, (name, value, least) in enumerate(chart.bars):
            y = area.top() + n * row
            share, floor = (float(chart.x.share(v)) for v in (value, least))
            is_short = value < least
            painter.setPen(QColor(theme.INK))
            painter.drawText(QRectF(4, y, names - 12, row), Qt.AlignmentFlag.AlignRight
                             | Qt.AlignmentFlag.AlignVCenter, metrics.elidedText(name, Qt.TextElideMode.ElideRight,
                                                                                 names - 12))
            painter.fillRect(QRectF(left, y + 0.2 * row, max(share * wide, 1.0), 0.6 * row),
                             QColor(theme.MADDER if is_short else theme.WOAD))
            said = self.tr("{0} m², short").format(f"{value:.2f}") if is_short else f"{value:.2f} m²"
            painter.drawText(QPointF(left + max(share, floor) * wide + 8, y + row / 2 + metrics.ascent() / 2 - 1), said)
            if least:
                painter.setPen(QPen(QColor(theme.INK), 2))
                x = left + floor * wide
                painter.drawLine(QPointF(x, y + 0.1 * row), QPointF(x, y + 0.9 * row))

    def _paint_legend(self, painter):
        x, metrics = float(_LEFT), painter.fontMetrics()
        for shape, words in self._legend:
            painter.setPen(QPen(QColor(getattr(theme, _DYES[shape])), 1.6))
            painter.setBrush(_fill(shape))
            draw_mark(painter, shape, QPointF(x + 6, 18))
            painter.setPen(QColor(theme.INK))
            painter.drawText(QPointF(x + 18, 18 + metrics.ascent() / 2 - 1), words)
            x += metrics.horizontalAdvance(words) + 38


def _fill(shape):
    return Qt.BrushStyle.NoBrush if shape in (charts.RING, charts.CROSS) else QColor(getattr(theme, _DYES[shape]))


def draw_mark(painter, shape: str, at: QPointF) -> None:
    """A mark of a shape at a place, with the pen and brush that are set."""
    r, x, y = _MARK_PX, at.x(), at.y()
    if shape in (charts.DOT, charts.RING):
        painter.drawEllipse(at, r, r)
    elif shape == charts.SQUARE:
        painter.drawRect(QRectF(x - r, y - r, 2 * r, 2 * r))
    elif shape == charts.CROSS:
        painter.drawLine(QPointF(x - r, y - r), QPointF(x + r, y + r))
        painter.drawLine(QPointF(x - r, y + r), QPointF(x + r, y - r))
    else:
        tip = -r if shape == charts.UP else r
        path = QPainterPath(QPointF(x, y + tip))
        path.lineTo(x + r, y - tip)
        path.lineTo(x - r, y - tip)
        path.closeSubpath()
        painter.drawPath(path)
