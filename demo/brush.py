"""Small helpers for drawing with QPainter in a space of 1000 units."""

import math

import numpy as np
from PySide6.QtCore import QPointF, QRectF, Qt
from PySide6.QtGui import QBrush, QColor, QImage, QPainter, QPainterPath, QPen

OVERSAMPLE = 4


class Sheet:
    """A drawing surface, sampled down when it is done so that edges are clean."""

    def __init__(self, size_px: int, ground: str | None):
        self.size_px = size_px
        self.image = QImage(size_px * OVERSAMPLE, size_px * OVERSAMPLE, QImage.Format.Format_RGBA8888_Premultiplied)
        self.image.fill(QColor(ground) if ground else Qt.GlobalColor.transparent)
        self.painter = QPainter(self.image)
        self.painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        self.painter.scale(size_px * OVERSAMPLE / 1000, size_px * OVERSAMPLE / 1000)

    def fill(self, path: QPainterPath, colour) -> None:
        self.painter.fillPath(path, colour if isinstance(colour, QBrush) else QBrush(QColor(colour)))

    def line(self, path: QPainterPath, colour: str, width: float) -> None:
        pen = QPen(QColor(colour), width, Qt.PenStyle.SolidLine, Qt.PenCapStyle.RoundCap, Qt.PenJoinStyle.RoundJoin)
        self.painter.strokePath(path, pen)

    def rgba(self) -> np.ndarray:
        """(n, n, 4) uint8, averaged down."""
        self.painter.end()
        n = self.size_px
        raw = np.frombuffer(self.image.constBits(), np.uint8).reshape(n, OVERSAMPLE, n, OVERSAMPLE, 4)
        mean = raw.astype(np.float32).mean((1, 3))
        alpha = np.maximum(mean[..., 3:], 1e-3)
        mean[..., :3] = np.minimum(mean[..., :3] * 255 / alpha, 255)
        return np.rint(mean).astype(np.uint8)


def disc(x, y, r) -> QPainterPath:
    path = QPainterPath()
    path.addEllipse(QPointF(x, y), r, r)
    return path


def rounded(x, y, w, h, r) -> QPainterPath:
    path = QPainterPath()
    path.addRoundedRect(QRectF(x, y, w, h), r, r)
    return path


def polygon(*points) -> QPainterPath:
    path = QPainterPath(QPointF(*points[0]))
    for p in points[1:]:
        path.lineTo(QPointF(*p))
    path.closeSubpath()
    return path


def curve(start, *cubics, closed=False) -> QPainterPath:
    """A path of cubics: each is six numbers, or two for a line."""
    path = QPainterPath(QPointF(*start))
    for c in cubics:
        if len(c) == 2:
            path.lineTo(*c)
        else:
            path.cubicTo(*c)
    if closed:
        path.closeSubpath()
    return path


def spline(points, closed=False) -> QPainterPath:
    """A smooth path through points (Catmull and Rom)."""
    p = [np.array(q, float) for q in points]
    n = len(p)
    path = QPainterPath(QPointF(*p[0]))
    for i in range(n if closed else n - 1):
        a = p[(i - 1) % n] if closed or i > 0 else p[i]
        b, c = p[i], p[(i + 1) % n]
        d = p[(i + 2) % n] if closed or i + 2 < n else c
        one, two = b + (c - a) / 6, c - (d - b) / 6
        path.cubicTo(*one, *two, *c)
    if closed:
        path.closeSubpath()
    return path


def star(x, y, outer, inner, points=5, turn=-90.0) -> QPainterPath:
    corners = []
    for i in range(2 * points):
        r = outer if i % 2 == 0 else inner
        a = math.radians(turn + 180.0 * i / points)
        corners.append((x + r * math.cos(a), y + r * math.sin(a)))
    return polygon(*corners)


def swell(points, widths) -> QPainterPath:
    """A brush stroke: a smooth line whose width changes along it."""
    path = spline(points)
    n = 80
    left, right = [], []
    for i in range(n + 1):
        t = i / n
        q = path.pointAtPercent(t)
        ahead, behind = path.pointAtPercent(min(t + 0.004, 1)), path.pointAtPercent(max(t - 0.004, 0))
        dx, dy = ahead.x() - behind.x(), ahead.y() - behind.y()
        size = math.hypot(dx, dy) or 1.0
        w = float(np.interp(t, np.linspace(0, 1, len(widths)), widths)) / 2
        left.append((q.x() - dy / size * w, q.y() + dx / size * w))
        right.append((q.x() + dy / size * w, q.y() - dx / size * w))
    return spline(left + right[::-1], closed=True)
