"""What is in stock as a form, with the true shape of a rest."""

from PySide6.QtCore import QPointF
from PySide6.QtGui import QColor, QPainter, QPainterPath, QPen, QPolygonF

from sketchloom.app import theme
from sketchloom.app.logbook.forms import RecordForm
from sketchloom.app.painted import Picture, painted
from sketchloom.core.logbook.records import Stock
from sketchloom.core.sheets.choices import rings_from_text

_HIGH, _EDGE = 130, 6


class Shape(Picture):
    """The outline of a rest, to fit."""

    def __init__(self):
        super().__init__()
        self.setFixedHeight(theme.px(_HIGH))
        self.setAccessibleName(self.tr("The shape of the rest"))
        self._rings, self._size = (), (1.0, 1.0)

    def show_one(self, one: Stock) -> None:
        wide, high = one.width_mm, one.height_mm
        self._size = wide, high
        self._rings = rings_from_text(one.outline) or (((0.0, 0.0), (wide, 0.0), (wide, high), (0.0, high)),)
        self._fill = one.hex or "#d8c9a8"
        self.update()

    @painted
    def paintEvent(self, painter):
        if not self._rings:
            return
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        scale = min((self.width() - 2 * _EDGE) / self._size[0], (self.height() - 2 * _EDGE) / self._size[1])
        path = QPainterPath()
        for ring in self._rings:
            path.addPolygon(QPolygonF([QPointF(_EDGE + x * scale, _EDGE + y * scale) for x, y in (*ring, ring[0])]))
        painter.setPen(QPen(QColor(theme.INK), 1.5))
        painter.setBrush(QColor(self._fill))
        painter.drawPath(path)


class StockForm(RecordForm):
    """Of a roll, a sheet or an offcut."""

    def __init__(self):
        super().__init__(Stock, ("material", "kind", "width_mm", "height_mm", "count", "hex", "value", "least"),
                         self.tr("One more"), self.tr("Put it into stock"))

    def _look(self):
        made = Shape()
        made.hide()
        return made

    def show_one(self, one) -> None:
        super().show_one(one)
        self.look.setVisible(one is not None and bool(one.outline))
        if one is not None:
            self.look.show_one(one)
