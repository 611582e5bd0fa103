"""Outlines as Qt paths: the one place where curves meet Qt."""

import numpy as np
from PySide6.QtCore import QRect, Qt
from PySide6.QtGui import QColor, QPainter, QPainterPath

from sketchloom.core.curves.outline import Outline

_MANY, _RINGS_A_TILE, _MOST_TILES = 60, 10, 400
_MARGIN, _LEAST_TILE_PX = 0.12, 14.0


class SheetPath:
    """The path of a sheet, in mm. One of very many rings is filled tile by tile.

    Filling smoothly costs far more than twice as much for twice the rings, so each tile is given only
    those that come near it; others do not change what is inside there.
    """

    def __init__(self, outline: Outline, scale: float):
        self._outline, self._scale, self._whole = outline, scale, None
        self._tiles: dict[tuple[int, int], QPainterPath | None] = {}
        self._near = None
        self._is_tiled = len(outline.starts) > _MANY and outline.pen_px is None
        if not self._is_tiled:
            self._whole = qt_path(outline, scale)

    @property
    def whole(self) -> QPainterPath:
        """All of it; of very many rings made when it is wanted."""
        if self._whole is None:
            self._whole = qt_path(self._outline, self._scale)
        return self._whole

    def _divide(self):
        """Where the tiles' edges run, and which rings come near each row and column of them."""
        outline, first = self._outline, self._outline.starts[:-1]
        low, high = (np.stack([edge.reduceat(part(outline.controls[..., c], 1), first) for c in (0, 1)]) * self._scale
                     for edge, part in ((np.minimum, np.min), (np.maximum, np.max)))
        side = max(2, round((min(len(first) / _RINGS_A_TILE, _MOST_TILES)) ** 0.5))
        self._edges = [np.linspace(low[c].min(), high[c].max(), side + 1) for c in (0, 1)]
        self._near = []
        for c, edges in enumerate(self._edges):
            margin = _MARGIN * (edges[1] - edges[0])
            self._near.append((low[c] < edges[1:, None] + margin) & (high[c] > edges[:-1, None] - margin))

    def _tile(self, column, row):
        """The rings near a tile as one path, made when it is first seen; None for none."""
        if (column, row) not in self._tiles:
            rings = np.flatnonzero(self._near[0][column] & self._near[1][row])
            self._tiles[column, row] = qt_path(self._outline, self._scale, rings.tolist()) if len(rings) else None
        return self._tiles[column, row]

    def fill(self, painter: QPainter, colour: QColor) -> None:
        """Fill it under the painter's transform, which must not turn."""
        if not self._is_tiled:
            painter.fillPath(self.whole, colour)
            return
        if self._near is None:
            self._divide()
        move = painter.transform()
        if min(move.m11() * (self._edges[0][1] - self._edges[0][0]), move.m22() * (self._edges[1][1] - self._edges[1][0])) < _LEAST_TILE_PX:
            painter.fillPath(self.whole, colour)
            return
        columns = np.rint(move.m11() * self._edges[0] + move.dx()).astype(int).tolist()
        rows = np.rint(move.m22() * self._edges[1] + move.dy()).astype(int).tolist()
        for edges in (columns, rows):  # edges of the outermost shapes reach into the next pixel
            edges[0], edges[-1] = edges[0] - 2, edges[-1] + 2
        seen = QRect(0, 0, painter.device().width(), painter.device().height())
        if painter.hasClipping():
            seen = seen.intersected(move.mapRect(painter.clipBoundingRect()).toAlignedRect())
        for row, (top, bottom) in enumerate(zip(rows[:-1], rows[1:])):
            for column, (left, right) in enumerate(zip(columns[:-1], columns[1:])):
                tile = QRect(left, top, right - left, bottom - top)
                if not tile.intersects(seen) or (path := self._tile(column, row)) is None:
                    continue
                painter.save()
                painter.resetTransform()
                painter.setClipRect(tile, Qt.ClipOperation.IntersectClip)
                painter.setTransform(move)
                painter.fillPath(path, colour)
                painter.restore()


def qt_path(outline: Outline, scale: float, rings=None) -> QPainterPath:
    """The path of an outline, its coordinates multiplied by ``scale``; of some of its rings only, if named."""
    path = QPainterPath()
    starts = outline.starts.tolist()
    for k in range(len(starts) - 1) if rings is None else rings:
        part = slice(starts[k], starts[k + 1])
        ring = (outline.controls[part] * scale).reshape(-1, 8).tolist()
        path.moveTo(ring[0][0], ring[0][1])
        for c, is_straight in zip(ring, outline.straight[part].tolist()):
            if is_straight:
                path.lineTo(c[6], c[7])
            else:
                path.cubicTo(c[2], c[3], c[4], c[5], c[6], c[7])
        if outline.pen_px is None:
            path.closeSubpath()
    return path
