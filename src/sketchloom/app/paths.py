"""Outlines as Qt paths: the one place where curves meet Qt."""

from PySide6.QtGui import QPainterPath

from sketchloom.core.layers.outline import Outline


def qt_path(outline: Outline, scale: float) -> QPainterPath:
    """The path of an outline, its coordinates multiplied by ``scale``."""
    path = QPainterPath()
    flat = (outline.controls * scale).reshape(-1, 8).tolist()
    straight = outline.straight.tolist()
    starts = outline.starts.tolist()
    for first, last in zip(starts[:-1], starts[1:]):
        path.moveTo(flat[first][0], flat[first][1])
        for s in range(first, last):
            c = flat[s]
            if straight[s]:
                path.lineTo(c[6], c[7])
            else:
                path.cubicTo(c[2], c[3], c[4], c[5], c[6], c[7])
        if outline.pen_px is None:
            path.closeSubpath()
    return path
