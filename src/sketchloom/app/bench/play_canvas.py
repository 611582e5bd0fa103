"""The bed of a machine with what is cut on it so far, and where the tool is."""

import numpy as np
from PySide6.QtCore import QPointF, QRectF, Qt
from PySide6.QtGui import QColor, QPainter, QPen, QPixmap, QPolygonF

from sketchloom.app import dyes, theme
from sketchloom.app.bench import chips
from sketchloom.app.bench.view import View
from sketchloom.app.painted import Picture, painted
from sketchloom.core.base.units import format_length

_WHEEL_STEP = 1.2
_AHEAD, _TRAVEL, _CUT, _LOOSE, _BED = "#c9c2b4", "#8f8779", "#2b2620", "#e3d9bf", "#f6f3ea"
_BLADE_PX = 16.0


class PlayCanvas(Picture):
    """Shows a film at a time, or pages of paper."""

    def __init__(self, parent=None):
        super().__init__(parent)
        self.setMinimumSize(320, 200)
        self.setMouseTracking(True)
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setAccessibleName(self.tr("The machine at work"))
        self.unit = "mm"
        self._film = self._doubled = self._boxes = None
        self._pages: list[QPixmap] = []
        self._second = 0.0
        self._view, self._fitted = View(), True
        self._from = None
        self._done: QPixmap | None = None
        self._done_to = 0

    # -- what is shown -------------------------------------------------------------------

    def show_film(self, film, doubled) -> None:
        """A film, with the places that are cut twice."""
        self._film, self._doubled, self._pages, self._boxes = film, doubled, [], None
        self._second = 0.0
        self.fit()

    def show_pages(self, pages) -> None:
        """Pages or a picture, as PNG."""
        self._film, self._pages = None, []
        for data in pages:
            pixmap = QPixmap()
            pixmap.loadFromData(data)
            self._pages.append(pixmap)
        self.fit()

    def show_second(self, second: float) -> None:
        """The state at a time."""
        if second < self._second:
            self._done = None
        self._second = second
        self.update()

    def fit(self) -> None:
        """All of it in the middle."""
        if self._film is not None:
            left, bottom, right, top = self._film.box
            view = View.fitting(right - left, top - bottom, 0, 0, self.width(), self.height(), 34.0)
            self._view = View(view.scale, view.x - left * view.scale, view.y + top * view.scale)
        self._fitted, self._done = True, None
        self.update()

    def zoom(self, factor: float, x: float, y: float) -> None:
        """Larger or smaller with a place of the widget at rest."""
        self._view, self._fitted, self._done = self._view.zoomed(factor, x, y), False, None
        self.update()

    @property
    def view(self) -> View:
        return self._view

    def resizeEvent(self, event):
        super().resizeEvent(event)
        self._done = None
        if self._fitted:
            self.fit()

    def _to_screen(self, xy):
        """Places (N, 2) mm, y up, in the widget."""
        return np.asarray(xy, float) * (self._view.scale, -self._view.scale) + (self._view.x, self._view.y)

    # -- painting --------------------------------------------------------------------------

    @painted
    def paintEvent(self, painter):
        painter.fillRect(self.rect(), QColor(theme.GROUNDS["middle"]))
        if self._film is None:
            self._paint_pages(painter)
            return
        reached, place = self._film.at(self._second)
        if self._done is None or self._done.size() != self.size() * self.devicePixelRatioF():
            self._begin_done()
        self._go_on(reached)
        painter.drawPixmap(0, 0, self._done)
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        self._paint_marks(painter)
        self._paint_tool(painter, reached, place)

    def _begin_done(self):
        """The bed with all cuts, pale, before any is made."""
        self._done = QPixmap(self.size() * self.devicePixelRatioF())
        self._done.setDevicePixelRatio(self.devicePixelRatioF())
        self._done.fill(QColor(theme.GROUNDS["middle"]))
        painter = QPainter(self._done)
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        left, bottom, right, top = self._film.box
        corners = self._to_screen([(left, top), (right, bottom)])
        painter.fillRect(QRectF(QPointF(*corners[0]), QPointF(*corners[1])).adjusted(-10, -10, 10, 10),
                         QColor(_BED))
        painter.setPen(QPen(QColor(_AHEAD), 1))
        for a, b in self._film.strokes.tolist():
            painter.drawPolyline(self._polygon(self._film.tip[a:b + 1]))
        origin = QPointF(*self._to_screen([(0.0, 0.0)])[0])
        painter.setPen(QPen(QColor(dyes.INK_SOFT), 1))
        painter.drawLine(origin - QPointF(8, 0), origin + QPointF(8, 0))
        painter.drawLine(origin - QPointF(0, 8), origin + QPointF(0, 8))
        painter.end()
        self._done_to = 0

    def _go_on(self, reached):
        """Paint what was cut since the last time: strokes, and, when one closes, what it loosens."""
        if reached <= self._done_to:
            return
        film, painter = self._film, QPainter(self._done)
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        first = int(np.searchsorted(film.strokes[:, 1], self._done_to, "right"))
        for n in range(first, len(film.strokes)):
            a, b = film.strokes[n].tolist()
            if a >= reached:
                break
            if b <= reached and film.closed[n]:
                painter.setPen(Qt.PenStyle.NoPen)
                painter.setBrush(QColor(_LOOSE))
                painter.drawPolygon(self._polygon(film.tip[a:b + 1]))
                painter.setBrush(QColor(_BED))
                painter.setPen(QPen(QColor(_CUT), 1.6))
                for k in self._within(n):  # what fell out of it before
                    c, d = film.strokes[k].tolist()
                    painter.drawPolygon(self._polygon(film.tip[c:d + 1]))
                painter.setBrush(Qt.BrushStyle.NoBrush)
                low = a  # the fill lies over its own edge
            else:
                low = max(a, self._done_to)
            painter.setPen(QPen(QColor(_CUT), 1.6))
            painter.drawPolyline(self._polygon(film.tip[low:min(b, reached) + 1]))
        painter.end()
        self._done_to = reached

    def _within(self, n):
        """Numbers of the closed strokes before one that lie in its box."""
        if self._boxes is None:
            self._boxes = np.array([(*self._film.tip[a:b + 1].min(0), *self._film.tip[a:b + 1].max(0))
                                    for a, b in self._film.strokes.tolist()])
        own, others = self._boxes[n], self._boxes[:n]
        inside = (others[:, :2] > own[:2]).all(1) & (others[:, 2:] < own[2:]).all(1) & self._film.closed[:n]
        return np.flatnonzero(inside).tolist()

    def _polygon(self, xy):
        return QPolygonF([QPointF(x, y) for x, y in self._to_screen(xy).tolist()])

    def _paint_marks(self, painter):
        """Places that are cut twice, and corners that lift."""
        if self._doubled is not None and len(self._doubled):
            painter.setPen(QPen(QColor(dyes.MADDER), 3))
            painter.drawPoints(self._polygon(self._doubled[::2]))
        if len(self._film.tight):
            painter.setPen(QPen(QColor(dyes.WELD), 1.6))
            for x, y in self._to_screen(self._film.tight[:400]).tolist():
                painter.drawEllipse(QPointF(x, y), 5, 5)

    def _paint_tool(self, painter, reached, place):
        film = self._film
        at = QPointF(*self._to_screen([place])[0])
        cuts = reached + 1 < len(film.down) and bool(film.down[reached + 1])
        if not cuts and reached + 1 < len(film.xy):
            painter.setPen(QPen(QColor(_TRAVEL), 1, Qt.PenStyle.DashLine))
            painter.drawLine(QPointF(*self._to_screen([film.xy[reached]])[0]), at)
        if cuts:  # what of the next stretch is cut
            painter.setPen(QPen(QColor(_CUT), 1.6))
            painter.drawLine(QPointF(*self._to_screen([film.tip[reached]])[0]), at)
        way = float(film.way[min(reached + 1, len(film.way) - 1)])
        along = QPointF(np.cos(way), -np.sin(way)) * _BLADE_PX
        painter.setPen(QPen(QColor("#ffffff"), 5))
        painter.drawLine(at, at - along)
        painter.setPen(QPen(QColor(dyes.WOAD), 3))
        painter.drawLine(at, at - along)
        painter.setBrush(QColor(dyes.MADDER if cuts else "#ffffff"))
        painter.setPen(QPen(QColor(dyes.WOAD), 2))
        painter.drawEllipse(at, 6, 6)
        text = self.tr("{0}, {1} from its origin").format(*(format_length(v, self.unit) for v in place))
        chips.hint(painter, text, 10, self.height() - 10, self.width() - 20)

    def _paint_pages(self, painter):
        if not self._pages:
            return
        painter.setRenderHint(QPainter.RenderHint.SmoothPixmapTransform)
        columns = min(len(self._pages), 3)
        rows = -(-len(self._pages) // columns)
        wide, high = (self.width() - 20) / columns, (self.height() - 20) / rows
        for n, pixmap in enumerate(self._pages):
            scale = min((wide - 16) / pixmap.width(), (high - 16) / pixmap.height())
            w, h = pixmap.width() * scale, pixmap.height() * scale
            x, y = 10 + n % columns * wide + (wide - w) / 2, 10 + n // columns * high + (high - h) / 2
            painter.fillRect(QRectF(x, y, w, h), QColor("#ffffff"))
            painter.drawPixmap(QRectF(x, y, w, h), pixmap, QRectF(pixmap.rect()))

    # -- hands -------------------------------------------------------------------------------

    def mousePressEvent(self, event):
        self._from = event.position()

    def mouseMoveEvent(self, event):
        if self._from is not None and self._film is not None:
            at = event.position()
            self._view, self._fitted = self._view.moved(at.x() - self._from.x(), at.y() - self._from.y()), False
            self._from, self._done = at, None
            self.update()

    def mouseReleaseEvent(self, _):
        self._from = None

    def mouseDoubleClickEvent(self, _):
        self.fit()

    def wheelEvent(self, event):
        if self._film is not None:
            at = event.position()
            turns = (event.angleDelta().y() or event.angleDelta().x()) / 120.0
            self.zoom(_WHEEL_STEP**turns, at.x(), at.y())
        event.accept()
