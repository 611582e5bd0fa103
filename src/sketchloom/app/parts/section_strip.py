"""The side view through the stack, under the bench, along a line on it."""

from PySide6.QtCore import QPointF, QRectF, Qt, Signal
from PySide6.QtGui import QColor, QPainter, QPen
from PySide6.QtWidgets import QFrame, QHBoxLayout, QLabel, QVBoxLayout

from sketchloom.app import dyes, theme
from sketchloom.app.painted import Picture, painted
from sketchloom.app.parts.fields import LengthEdit
from sketchloom.app.parts.widgets import button
from sketchloom.core.base.units import format_length
from sketchloom.core.layers.section import SectionCutter

_HEIGHT, _MARGIN = 138, 12


class _Side(Picture):
    """Paints a section: sheets in their colours, heights drawn so much larger."""

    def __init__(self):
        super().__init__()
        self.section, self.hexes, self.unit = None, [], "mm"
        self.setAccessibleName(self.tr("The sheets from the side"))
        self.setMinimumHeight(_HEIGHT)

    @painted
    def paintEvent(self, painter):
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        painter.fillRect(self.rect(), QColor("#c9c4b9"))
        section = self.section
        if section is None or section.height_mm <= 0:
            painter.setPen(QColor(dyes.INK))
            painter.drawText(self.rect(), Qt.AlignmentFlag.AlignCenter, self.tr("The line meets no sheet."))
            return
        width, height = self.width() - 2 * _MARGIN, self.height() - 2 * _MARGIN - 16
        across = width / section.length_mm
        up = height / section.height_mm
        floor = self.height() - _MARGIN - 2
        painter.setPen(QPen(QColor(dyes.INK_SOFT), 1))
        painter.drawLine(QPointF(_MARGIN, floor), QPointF(_MARGIN + width, floor))
        for layer, hex_colour in enumerate(self.hexes):
            painter.setBrush(QColor(hex_colour))
            painter.setPen(QPen(QColor(0, 0, 0, 90), 0.7))
            for n in section.solid[layer].nonzero()[0].tolist():
                x0, x1 = (_MARGIN + section.at_mm[k] * across for k in (n, n + 1))
                y1, y0 = (floor - z * up for z in (section.bottom_mm[layer, n], section.top_mm[layer, n]))
                painter.drawRect(QRectF(x0, y0, max(x1 - x0, 0.4), max(y1 - y0, 2.0)))
        step, at = section.highest_step()
        x = _MARGIN + at * across
        painter.setPen(QPen(QColor(dyes.MADDER), 1.6))
        painter.drawLine(QPointF(x, _MARGIN + 12), QPointF(x, floor))
        painter.setPen(QColor(dyes.INK))
        painter.drawText(
            QRectF(_MARGIN, 2, width, 18),
            Qt.AlignmentFlag.AlignLeft,
            self.tr("{0} long, {1} high; heights are drawn {2:.0f} times larger; highest step {3} (red)").format(
                format_length(section.length_mm, self.unit),
                format_length(section.height_mm, self.unit, 2),
                max(up / across, 1.0),
                format_length(step, self.unit, 2),
            ),
        )


class SectionStrip(QFrame):
    """The section with the thickness of sheets and spacers. ``changed`` when one of them is set."""

    changed = Signal(float, float)
    closed = Signal()

    def __init__(self):
        super().__init__()
        self.setObjectName("variants")
        self._side = _Side()
        self._thickness = LengthEdit(self.tr("Thickness of a sheet"), 0.01, 50.0)
        self._spacer = LengthEdit(self.tr("Spacer below each sheet, but the base"), 0.0, 50.0)
        for edit in (self._thickness, self._spacer):
            edit.setFixedWidth(theme.px(96))
        self._thickness.committed.connect(lambda mm: self.changed.emit(mm, self._values[1]))
        self._spacer.committed.connect(lambda mm: self.changed.emit(self._values[0], mm))
        self._values = (0.1, 0.0)
        head = QHBoxLayout()
        head.addWidget(QLabel(self.tr("<b>Section</b>  drag the line on the bench")))
        head.addStretch(1)
        for text, edit in ((self.tr("Sheet"), self._thickness), (self.tr("Spacer"), self._spacer)):
            head.addWidget(QLabel(text))
            head.addWidget(edit)
        close = button(self.tr("Close"))
        close.clicked.connect(self.closed)
        head.addWidget(close)
        column = QVBoxLayout(self)
        column.setContentsMargins(10, 6, 10, 6)
        column.setSpacing(4)
        column.addLayout(head)
        column.addWidget(self._side)
        self._cutter = self._of = None

    def show_work(self, work) -> None:
        """The sheets of another result."""
        if self._of is not work:
            self._of, self._cutter = work, SectionCutter(work.layers, work.mm_per_px)
        self._side.hexes = [layer.plan.hex for layer in work.layers]
        self._side.unit = work.recipe.unit
        self._values = (work.recipe.sheet_mm, work.recipe.spacer_mm)
        self._thickness.show_value(self._values[0], work.recipe.unit)
        self._spacer.show_value(self._values[1], work.recipe.unit)

    def cut(self, start_share, end_share) -> None:
        """The section along a line between two shares of the picture's sides."""
        work = self._of
        if work is None:
            return
        width, height = work.picture.width, work.picture.height
        count = len(work.layers)
        materials = [work.recipe.material_of(layer.plan.key) for layer in work.layers]
        thickness = [self._values[0] if m is None else m.thickness_mm for m in materials]
        self._side.section = self._cutter.cut(
            (start_share[0] * width, start_share[1] * height),
            (end_share[0] * width, end_share[1] * height),
            thickness,
            [0.0, *[self._values[1]] * (count - 1)][:count],
        )
        self._side.update()
