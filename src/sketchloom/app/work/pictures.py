"""The work as a picture."""

from PySide6.QtCore import QBuffer, QByteArray, QIODevice, Qt
from PySide6.QtGui import QImage, QPainter

from sketchloom.app.bench.paint import paint_layers
from sketchloom.core.base.units import MM_PER_IN

_DPI = 300.0
_LONGEST_PX = 4000
"""Four thousand pixels are A4 at 340 to the inch; pictures on the clipboard are held twice and more."""

_PREVIEW_PX = 512


def pictured(shown) -> QImage:
    """What is shown with a transparent ground, at 300 pixels an inch of its true size where that is not too much."""
    work = shown.work
    per_mm = min(_DPI / MM_PER_IN, _LONGEST_PX / max(work.size_mm))
    image = QImage(*(max(round(side * per_mm), 1) for side in work.size_mm), QImage.Format.Format_ARGB32_Premultiplied)
    image.setDotsPerMeterX(round(per_mm * 1000))
    image.setDotsPerMeterY(round(per_mm * 1000))
    return _painted(image, shown, per_mm)


def preview_png(shown) -> bytes | None:
    """How what is shown looks, the bytes of a small PNG; None where nothing is shown yet."""
    if shown is None:
        return None
    width, height = shown.work.size_mm
    scale = _PREVIEW_PX / max(width, height)
    image = QImage(max(1, round(width * scale)), max(1, round(height * scale)), QImage.Format.Format_ARGB32)
    return png_bytes(_painted(image, shown, scale, (0.0, 0.0, width, height)))


def _painted(image, shown, per_mm, box_mm=None):
    image.fill(Qt.GlobalColor.transparent)
    painter = QPainter(image)
    try:
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        painter.scale(per_mm, per_mm)
        paint_layers(painter, shown.work.layers, shown.paths, shown.work.mm_per_px, None, box_mm, 1 / per_mm)
    finally:
        painter.end()
    return image


def png_bytes(image: QImage) -> bytes:
    """A picture as the bytes of a PNG file."""
    data = QByteArray()
    buffer = QBuffer(data)
    buffer.open(QIODevice.OpenModeFlag.WriteOnly)
    image.save(buffer, "PNG")
    return data.data()
