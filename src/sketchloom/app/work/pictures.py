"""The work as a picture."""

from PySide6.QtCore import Qt
from PySide6.QtGui import QImage, QPainter

from sketchloom.app.bench.paint import paint_layers
from sketchloom.core.base.units import MM_PER_IN

_DPI = 300.0
_LONGEST_PX = 4000
"""Four thousand pixels are A4 at 340 to the inch; pictures on the clipboard are held twice and more."""


def pictured(shown) -> QImage:
    """What is shown with a transparent ground, at 300 pixels an inch of its true size where that is not too much."""
    work = shown.work
    per_mm = min(_DPI / MM_PER_IN, _LONGEST_PX / max(work.size_mm))
    image = QImage(*(max(round(side * per_mm), 1) for side in work.size_mm), QImage.Format.Format_ARGB32_Premultiplied)
    image.setDotsPerMeterX(round(per_mm * 1000))
    image.setDotsPerMeterY(round(per_mm * 1000))
    image.fill(Qt.GlobalColor.transparent)
    painter = QPainter(image)
    try:
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        painter.scale(per_mm, per_mm)
        paint_layers(painter, work.layers, shown.paths, work.mm_per_px)
    finally:
        painter.end()
    return image
