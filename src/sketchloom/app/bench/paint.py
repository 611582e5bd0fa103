"""Paints the bench's parts: source, cut, curtain, rulers, marks."""

import numpy as np
from PySide6.QtCore import QLineF, QPointF, QRectF, Qt
from PySide6.QtGui import QColor, QImage, QPainter, QPen, QPolygonF

from sketchloom.app import dyes, theme
from sketchloom.app.bench import looks
from sketchloom.app.bench.chips import chip
from sketchloom.app.bench.rulers import RULER
from sketchloom.app.bench.view import View, ruler_step
from sketchloom.core.base.units import MM_PER_IN

COLOUR_MIME = "application/x-sketch-loom-colour"
_RINGED = 0.004


class SourceImage:
    """The picture at several sizes, so that a distant view costs little."""

    def __init__(self, picture):
        self.picture = picture
        if picture.alpha is None:
            image = QImage(picture.rgb.data, picture.width, picture.height, 3 * picture.width,
                           QImage.Format.Format_RGB888).copy()
        else:
            field = picture.field
            image = QImage(field.data, picture.width, picture.height, 4 * picture.width,
                           QImage.Format.Format_RGBA8888_Premultiplied).copy()
        self.levels = [image]
        while max(self.levels[-1].width(), self.levels[-1].height()) > 700:
            last = self.levels[-1]
            self.levels.append(last.scaled(max(1, last.width() // 2), max(1, last.height() // 2),
                                           Qt.AspectRatioMode.IgnoreAspectRatio,
                                           Qt.TransformationMode.SmoothTransformation))

    def paint(self, painter: QPainter, target: QRectF, visible: QRectF) -> None:
        """Draw the part of the picture that is visible."""
        shown = target.intersected(visible)
        if shown.isEmpty():
            return
        zoom = target.width() / self.levels[0].width()
        level = 0
        while level + 1 < len(self.levels) and zoom * 2 ** (level + 1) <= 1.0:
            level += 1
        image = self.levels[level]
        sx, sy = image.width() / target.width(), image.height() / target.height()
        part = QRectF((shown.x() - target.x()) * sx, (shown.y() - target.y()) * sy,
                      shown.width() * sx, shown.height() * sy)
        painter.setRenderHint(QPainter.RenderHint.SmoothPixmapTransform, zoom < 3)
        painter.drawImage(shown, image, part)


def _blank(size, ratio) -> QImage:
    image = QImage(size * ratio, QImage.Format.Format_ARGB32_Premultiplied)
    image.setDevicePixelRatio(ratio)
    image.fill(Qt.GlobalColor.transparent)
    return image


def render_source(size, ratio, source: SourceImage, target: QRectF) -> QImage:
    """The picture as an image of the visible area."""
    image = _blank(size, ratio)
    painter = QPainter(image)
    source.paint(painter, target, QRectF(0, 0, size.width(), size.height()))
    painter.end()
    return image


def paint_layers(
    painter: QPainter, layers, paths, mm_per_px: float, look=None, box=None, pixel_mm: float = 0.0, progress=None
) -> None:
    """Layers base first: areas filled, lines for a pen stroked as wide as they are drawn.

    ``look`` adds grain and shadows. Only what is seen in a ``box`` (left, top, right, bottom, mm) is painted, where a
    pixel of the screen is ``pixel_mm``; ``progress`` may end it between two layers.
    """
    parts = [path.whole if box is None else path.seen(_grown(box, look), pixel_mm) for path in paths]
    for number, (layer, part) in enumerate(zip(layers, parts, strict=True)):
        if progress is not None:
            progress.step(number, len(layers), "")
        if layer.plan.hidden:
            continue
        if layer.outline.pen_px is None:
            painter.fillPath(part, QColor(layer.plan.hex))
            if look is not None:
                looks.paint_texture(painter, part, look.families[number])
                looks.paint_shadows(painter, look, parts, number)
        else:
            painter.strokePath(
                part,
                QPen(
                    QColor(layer.plan.hex),
                    max(layer.outline.pen_px * mm_per_px, 0.1),
                    Qt.PenStyle.SolidLine,
                    Qt.PenCapStyle.RoundCap,
                    Qt.PenJoinStyle.RoundJoin,
                ),
            )


def _grown(box, look):
    """A box and all that throws a shadow into it."""
    far = (
        0.0
        if look is None or look.light_deg is None or not look.height_mm
        else look.slant * (look.height_mm[-1] - look.height_mm[0])
    )
    return box[0] - far, box[1] - far, box[2] + far, box[3] + far


def tint_of(gone, hex_colour: str = "") -> QImage:
    """A hatched veil over an area, (h, w) bool or uint8 for a share of it, at most about 1400 px a side; madder unless
    it says another colour."""
    size = max(gone.shape)
    step = max(1, size // 1400)
    gone = gone[::step, ::step]
    bands = (np.arange(sum(gone.shape)) * step // max(4, size // 120) % 2).astype(np.uint8)
    # row y is what begins at y: slanting bands without an index for every pixel
    strong = np.lib.stride_tricks.sliding_window_view(
        np.array([150, 95], np.uint8)[bands], gone.shape[1])[:gone.shape[0]]
    cover = strong * gone if gone.dtype == bool else (gone.astype(np.uint16) * strong // 255).astype(np.uint8)
    colour, share = QColor(hex_colour or dyes.MADDER), np.arange(256)
    shades = np.stack([share * c // 255 for c in (colour.red(), colour.green(), colour.blue())] + [share], -1)
    veil = shades.astype(np.uint8).view(np.uint32)[:, 0][cover]  # one look-up a pixel: it follows the pointer
    return QImage(
        veil.data, veil.shape[1], veil.shape[0], 4 * veil.shape[1], QImage.Format.Format_RGBA8888_Premultiplied
    ).copy()


def ringed(places, whole_px: float, mm_per_px: float) -> tuple:
    """Rings in mm around places (K, 3) x, y, area in px; what is large is seen without one."""
    return tuple((x * mm_per_px, y * mm_per_px, (area / np.pi) ** 0.5 * mm_per_px)
                 for x, y, area in np.asarray(places).reshape(-1, 3).tolist() if area < _RINGED * whole_px)


def paint_grid(painter: QPainter, rect, view: View, unit: str) -> None:
    """Lines at the labelled marks of the rulers."""
    unit_mm = MM_PER_IN if unit == "in" else 1.0
    gap = ruler_step(view.scale, unit_mm) * unit_mm * view.scale
    pen = QPen(QColor(127, 120, 110, 110), 1)
    painter.setPen(pen)
    wide, high = rect.width(), rect.height()
    across = np.arange(view.x % gap, wide, gap).tolist()
    down = np.arange(view.y % gap, high, gap).tolist()
    painter.drawLines([*(QLineF(x, 0, x, high) for x in across), *(QLineF(0, y, wide, y) for y in down)])


def paint_curtain(painter: QPainter, rect, x: float, source_text: str, cut_text: str) -> None:
    """The line between source and cut, its handle and which side is which."""
    painter.setRenderHint(QPainter.RenderHint.Antialiasing)
    painter.setPen(QPen(QColor(dyes.LINEN_LIGHT), 3))
    painter.drawLine(QPointF(x, RULER), QPointF(x, rect.height()))
    painter.setPen(QPen(QColor(dyes.INK), 1))
    painter.drawLine(QPointF(x, RULER), QPointF(x, rect.height()))
    middle = rect.height() * 0.5
    knob = QRectF(x - 9, middle - 22, 18, 44)
    painter.setBrush(QColor(dyes.WOAD))
    painter.setPen(QPen(QColor("#ffffff"), 1.5))
    painter.drawRoundedRect(knob, 9, 9)
    painter.setBrush(QColor("#ffffff"))
    painter.setPen(Qt.PenStyle.NoPen)
    for side in (-1, 1):
        painter.drawPolygon(QPolygonF([QPointF(x + side * 6, middle), QPointF(x + side * 2, middle - 4),
                                       QPointF(x + side * 2, middle + 4)]))
    font = painter.font()
    font.setPixelSize(theme.text_px(12))
    painter.setFont(font)
    for text, left in ((source_text, True), (cut_text, False)):
        chip(painter, text, x - 12 if left else x + 12, RULER + 10, anchor_right=left)


def paint_widths(painter: QPainter, view: View, xy, share) -> None:
    """Dots along the middles of narrow places: under the least width, near it, and up to the most that is shown."""
    painter.setRenderHint(QPainter.RenderHint.Antialiasing)
    kind = np.digitize(share, (1.0, 1.5))
    for number, colour in ((2, dyes.MOSS), (1, dyes.WOAD), (0, dyes.MADDER)):
        spots = QPolygonF([QPointF(*view.to_screen(x, y)) for x, y in xy[kind == number].tolist()])
        for shade, width in (("#ffffff", 5.0), (colour, 3.2)):
            painter.setPen(QPen(QColor(shade), width, Qt.PenStyle.SolidLine, Qt.PenCapStyle.RoundCap))
            painter.drawPoints(spots)


def paint_numbers(painter: QPainter, view: View, numbers) -> None:
    """Numbers on their pieces: x and y in mm, text, whether it can be laid wrong."""
    painter.setRenderHint(QPainter.RenderHint.Antialiasing)
    font = painter.font()
    font.setPixelSize(theme.text_px(11))
    painter.setFont(font)
    metrics = painter.fontMetrics()
    for x_mm, y_mm, text, is_risky in numbers:
        x, y = view.to_screen(x_mm, y_mm)
        wide = max(metrics.horizontalAdvance(text) + 8, 16)
        box = QRectF(x - wide / 2, y - 8, wide, 16)
        painter.setPen(QPen(QColor(dyes.MADDER if is_risky else dyes.INK), 1.6 if is_risky else 1.0))
        painter.setBrush(QColor(255, 255, 255, 225))
        painter.drawRoundedRect(box, 8, 8)
        painter.setPen(QColor(dyes.INK))
        painter.drawText(box, Qt.AlignmentFlag.AlignCenter, text)


def paint_marks(painter: QPainter, view: View, marks, target) -> None:
    """Rings around small regions, and a larger one around the place a finding speaks of."""
    painter.setRenderHint(QPainter.RenderHint.Antialiasing)
    painter.setBrush(Qt.BrushStyle.NoBrush)
    for colour, width in ((QColor("#ffffff"), 3.2), (QColor(dyes.MADDER), 1.6)):
        painter.setPen(QPen(colour, width))
        for x_mm, y_mm, radius_mm in marks:
            x, y = view.to_screen(x_mm, y_mm)
            r = max(6.0, radius_mm * view.scale + 3)
            painter.drawEllipse(QPointF(x, y), r, r)
    if target is not None:
        x, y = view.to_screen(*target)
        for colour, width in ((QColor("#ffffff"), 6), (QColor(dyes.MADDER), 3)):
            painter.setPen(QPen(colour, width))
            painter.drawEllipse(QPointF(x, y), 24, 24)
            for dx, dy in ((1, 0), (-1, 0), (0, 1), (0, -1)):
                painter.drawLine(QPointF(x + 18 * dx, y + 18 * dy), QPointF(x + 34 * dx, y + 34 * dy))
