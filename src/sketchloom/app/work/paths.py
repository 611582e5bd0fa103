"""Outlines as Qt paths: the one place where curves meet Qt."""

import numpy as np
from PySide6.QtCore import QByteArray, QDataStream, QIODevice, QPointF
from PySide6.QtGui import QPainterPath, QPolygonF

from sketchloom.core.curves.outline import Outline
from sketchloom.core.curves.seen import Bounded, Seen, seen_in

_ELEMENT = np.dtype([("kind", ">i4"), ("x", ">f8"), ("y", ">f8")])
"""How a stream holds an element of a path (Qt's documentation of its data stream format for QPainterPath)."""
_MOVE, _LINE, _CURVE, _MORE = 0, 1, 2, 3
_ODD_EVEN = 0
_BOX_MM = 1e-6
_FEW = 1500
"""Outlines of no more segments are painted whole: with 30 to 300 segments cutting them to a tile takes four to ten
times as long as painting them does; with 900 to 4,000 it is the same, with 30,000 half."""


class SheetPath:
    """An outline that is painted, its coordinates in mm: all of it as a path, or what is seen of it in a box."""

    def __init__(self, outline: Outline, scale: float):
        self.outline, self.scale = outline, scale
        self._bounded = Bounded(outline)
        self._whole: QPainterPath | None = None

    @property
    def whole(self) -> QPainterPath:
        """All of it, made when it is wanted."""
        if self._whole is None:
            self._whole = qt_path(self.outline, self.scale)
        return self._whole

    @property
    def is_pen(self) -> bool:
        return self.outline.pen_px is not None

    def seen(self, box_mm, pixel_mm: float) -> QPainterPath:
        """What is seen of it in a box (left, top, right, bottom) where a pixel of the screen is so large, mm."""
        if len(self.outline.controls) <= _FEW:
            return self.whole
        box = tuple(v / self.scale for v in box_mm)
        return path_of(seen_in(self._bounded, box, max(pixel_mm, _BOX_MM) / self.scale), self.scale, not self.is_pen)

    def held_bytes(self) -> int:
        """What it takes beside its outline."""
        return self._bounded.low.nbytes * 2 + 20 * (0 if self._whole is None else self._whole.elementCount())


def qt_path(outline: Outline, scale: float) -> QPainterPath:
    """The path of an outline, its coordinates multiplied by ``scale``."""
    return path_of(Seen(outline.controls, outline.straight, outline.starts), scale, outline.pen_px is None)


def path_of(seen: Seen, scale: float, is_closed: bool) -> QPainterPath:
    """A path of rings, made in one go from their arrays.

    Rings of areas are closed. A path is read from a stream, which costs a tenth of telling it point by point.
    """
    path = QPainterPath()
    rings = np.diff(seen.starts)
    if len(seen.controls) == 0:
        return path
    controls = seen.controls * scale
    size = np.where(seen.straight, 1, 3)
    first = np.zeros(len(size), bool)
    first[seen.starts[:-1][rings > 0]] = True
    ends = np.zeros(len(size), bool)
    ends[seen.starts[1:][rings > 0] - 1] = True
    closes = ends & is_closed
    at = np.cumsum(size + first + closes) - (size + closes)  # where each segment's own elements begin
    elements = np.zeros(int((size + first + closes).sum()), _ELEMENT)

    def put(where, kind, xy):
        elements["kind"][where], elements["x"][where], elements["y"][where] = kind, xy[:, 0], xy[:, 1]
    put(at[first] - 1, _MOVE, controls[first, 0])
    put(at[seen.straight], _LINE, controls[seen.straight, 3])
    curved = ~seen.straight
    for step, kind in ((0, _CURVE), (1, _MORE), (2, _MORE)):
        put(at[curved] + step, kind, controls[curved, step + 1])
    if is_closed:  # a line to where the ring began, as closing a subpath gives
        put(at[closes] + size[closes], _LINE, controls[seen.starts[:-1][rings > 0], 0])
    data = np.array([len(elements)], ">i4").tobytes() + elements.tobytes() + np.array([0, _ODD_EVEN], ">i4").tobytes()
    held = QByteArray(data)  # the stream reads from it, and keeps no hold on it
    stream = QDataStream(held, QIODevice.OpenModeFlag.ReadOnly)
    stream >> path
    return path


def missing_path(missing) -> QPainterPath:
    """What is not there of a rest, mm."""
    path = QPainterPath()
    for piece in getattr(missing, "geoms", [missing]):
        for ring in (piece.exterior, *piece.interiors):
            path.addPolygon(QPolygonF([QPointF(x, y) for x, y in ring.coords]))
    return path
