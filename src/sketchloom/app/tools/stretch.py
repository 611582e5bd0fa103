"""The tool for boundaries: a stretch is chosen by brushing along it, pulled, and changed by its nodes and handles."""

import math

import numpy as np
from PySide6.QtCore import QPointF, Qt, Signal
from PySide6.QtGui import QColor, QPainter, QPainterPath, QPen

from sketchloom.app import dyes
from sketchloom.app.tools.drawing import NEAR, stroke_twice
from sketchloom.app.tools.tool import Frame, Tool, draw_line
from sketchloom.core.base.errors import AppError
from sketchloom.core.curves import node_chain
from sketchloom.core.curves.node_chain import AFTER, BEFORE, NodeChain

_APART = 3.0
_LEAST_MOVE = 2.0
_NODE, _CHOSEN, _HANDLE = 3.5, 5.0, 3.0
"""Radii of a node, of the chosen one and of a handle, screen px."""
_GRIP = 9.0
"""A node or handle is meant by a press so near to it."""
_ARROWS = {Qt.Key.Key_Left: (-1, 0), Qt.Key.Key_Right: (1, 0), Qt.Key.Key_Up: (0, -1), Qt.Key.Key_Down: (0, 1)}


class StretchTool(Tool):
    """Brushes along a boundary to choose a stretch; a chosen one is pulled by dragging it, and its nodes and handles
    are dragged, added by two clicks on the line and taken away by a key."""

    brushed = Signal(tuple)
    pulled = Signal(float, float, float)
    node_chosen = Signal()
    changed = Signal(object)
    wants_source = False
    wants_cut = True

    def __init__(self, size):
        super().__init__()
        self.hint = self.tr(
            "Brush along a boundary to choose a stretch; drag it to pull it, or its nodes and handles. Two clicks on "
            "it add a node, Delete takes one away. Esc ends."
        )
        self._size = size
        self._points: list = []
        self._stretch, self._preview = None, None
        self._pull = None
        self.chain: NodeChain | None = None
        self.node: int | None = None
        self._grip = None
        self.preview_of = None

    def show_stretch(self, stretch) -> None:
        """The chosen stretch with its nodes, or none; the chosen node stays if the stretch has as many as before."""
        before = self.chain
        self._stretch = None if stretch is None else stretch.points
        self.chain = None if stretch is None else stretch.chain
        if self.chain is None or before is None or before.count != self.chain.count:
            self.node = None
        self._preview = self._pull = self._grip = None
        self.node_chosen.emit()
        self.repaint.emit()

    # -- where things are ---------------------------------------------------------------

    def _place(self, frame, px):
        return frame.place(float(px[0]) / self._size[0], float(px[1]) / self._size[1])

    def _px(self, frame, at):
        x, y = frame.share(at)
        return np.array([x * self._size[0], y * self._size[1]])

    def _line(self, points, frame):
        step = max(1, len(points) // 800)
        shown = [*points[:-1:step].tolist(), points[-1].tolist()]
        return [self._place(frame, p) for p in shown]

    def _share_at(self, frame, at):
        """How far along the stretch a place lies, None when it is not on it."""
        if self._stretch is None:
            return None
        line = self._line(self._stretch, frame)
        away = [math.hypot(*(p - at).toTuple()) for p in line]
        best = min(range(len(line)), key=away.__getitem__)
        return best / max(len(line) - 1, 1) if away[best] <= NEAR and 0 < best < len(line) - 1 else None

    def _handles(self):
        """The handles shown: (node, side, px)."""
        if self.chain is None or self.node is None:
            return []
        return [
            (self.node, side, self.chain.points[at])
            for side, at in zip((BEFORE, AFTER), self.chain.handles(self.node), strict=True) if at is not None
        ]

    def _grip_at(self, frame, at):
        """The handle or node that a press means: (node, side), side 0 for the node itself."""
        if self.chain is None:
            return None
        near = [(math.hypot(*(self._place(frame, px) - at).toTuple()), 0, n, side) for n, side, px in self._handles()]
        near += [(math.hypot(*(self._place(frame, self.chain.node(n)) - at).toTuple()), 1, n, 0)
                 for n in range(self.chain.count)]
        best = min(near, default=None)
        return (best[2], best[3]) if best is not None and best[0] <= _GRIP else None

    def holds(self, frame: Frame, at: QPointF) -> bool:
        return self._grip_at(frame, at) is not None or self._share_at(frame, at) is not None

    def uses_click(self, frame: Frame, at: QPointF) -> bool:
        return self._grip_at(frame, at) is not None

    # -- what the hand does ---------------------------------------------------------------

    def press(self, frame: Frame, at: QPointF) -> None:
        grip = self._grip_at(frame, at)
        if grip is not None:
            self._grip = (grip, at)
            if grip[1] == 0:
                self.choose(grip[0])
            return
        share = self._share_at(frame, at)
        if share is not None:
            self._pull = (share, frame.share(at))
        else:
            self._points = [frame.inside(at)]

    def choose(self, node) -> None:
        """A node is the chosen one."""
        self.node = node
        self.node_chosen.emit()
        self.repaint.emit()

    def move(self, frame: Frame, at: QPointF, held: bool) -> None:
        if not held:
            return
        if self._grip is not None:
            (node, side), start = self._grip
            if math.hypot(*(at - start).toTuple()) > _LEAST_MOVE:
                self._preview = self._dragged(node, side, self._px(frame, at))
        elif self._pull is not None:
            (share, start), now = self._pull, frame.share(at)
            by = ((now[0] - start[0]) * self._size[0], (now[1] - start[1]) * self._size[1])
            if self.preview_of is not None:
                self._preview = self.preview_of(share, by)
        elif self._points:
            last = frame.place(*self._points[-1])
            if math.hypot(*(last - at).toTuple()) >= _APART:
                self._points.append(frame.inside(at))
        self.repaint.emit()

    def _dragged(self, node, side, to):
        """The chain with a node or handle at a place; None where it does not go there."""
        try:
            return (node_chain.with_node_at(self.chain, node, to) if side == 0
                    else node_chain.with_handle_at(self.chain, node, side, to))
        except AppError:
            return None

    def release(self, frame: Frame, at: QPointF) -> None:
        if self._grip is not None:
            (_, start), made = self._grip, self._preview
            self._grip = self._preview = None
            if made is not None and math.hypot(*(at - start).toTuple()) > _LEAST_MOVE:
                self.changed.emit(made)
        elif self._pull is not None:
            (share, start), now = self._pull, frame.share(at)
            self._pull = self._preview = None
            dx, dy = (now[0] - start[0]) * self._size[0], (now[1] - start[1]) * self._size[1]
            if math.hypot(*(frame.place(*start) - at).toTuple()) > _LEAST_MOVE:
                self.pulled.emit(share, dx, dy)
        elif self._points:
            points, self._points = tuple(self._points), []
            self.brushed.emit(points)
        self.repaint.emit()

    def double_click(self, frame: Frame, at: QPointF) -> None:
        grip = self._grip_at(frame, at)
        if grip is not None and grip[1] == 0:
            self.turn(grip[0])
        elif grip is None and self._share_at(frame, at) is not None:
            self._pull = None
            self._add(node_chain.nearest_place(self.chain, self._px(frame, at)))

    # -- by key and button ------------------------------------------------------------------

    def add(self) -> None:
        """A node more in the middle of what follows the chosen node, or of the longest part."""
        if self.chain is not None:
            self._add(node_chain.middle_after(self.chain, self.node))

    def _add(self, place):
        try:
            made = node_chain.with_node_added(self.chain, place)
        except AppError:
            return
        self.node = None
        self.changed.emit(made)

    def remove(self) -> None:
        """The chosen node goes."""
        if self.chain is not None and self.node is not None:
            try:
                made = node_chain.without_node(self.chain, self.node)
            except AppError:
                return
            self.node = None
            self.changed.emit(made)

    def turn(self, node=None) -> None:
        """The chosen node becomes a corner, or smooth if it is one."""
        node = self.node if node is None else node
        if self.chain is not None and node is not None:
            act = node_chain.made_smooth if node in self.chain.corners else node_chain.made_corner
            self.changed.emit(act(self.chain, node))

    def key(self, key) -> bool:
        if key in (Qt.Key.Key_Delete, Qt.Key.Key_Backspace) and self.node is not None:
            self.remove()
            return True
        if key in _ARROWS and self.node is not None and not self.chain.is_fixed(self.node):
            self.changed.emit(node_chain.with_node_at(self.chain, self.node,
                                                      self.chain.node(self.node) + np.array(_ARROWS[key], float)))
            return True
        return False

    # -- looks ------------------------------------------------------------------------------

    def paint(self, painter: QPainter, frame: Frame) -> None:
        if len(self._points) > 1:
            painter.setPen(QPen(QColor(164, 58, 50, 90), 2 * NEAR, Qt.PenStyle.SolidLine, Qt.PenCapStyle.RoundCap,
                                Qt.PenJoinStyle.RoundJoin))
            painter.drawPolyline([frame.place(*p) for p in self._points])
        shown = self._preview if isinstance(self._preview, NodeChain) else self.chain
        if self._stretch is not None:
            draw_line(painter, self._line(self._stretch, frame))
        if isinstance(self._preview, NodeChain):
            stroke_twice(painter, self._course(frame, self._preview))
        elif self._preview is not None:
            draw_line(painter, self._line(self._preview, frame))
        if shown is not None and not (self._preview is not None and shown is self.chain):
            self._paint_nodes(painter, frame, shown)

    def _course(self, frame, chain):
        path = QPainterPath()
        path.moveTo(self._place(frame, chain.points[0]))
        for c in chain.controls:
            path.cubicTo(*(self._place(frame, p) for p in c[1:]))
        return path

    def _paint_nodes(self, painter, frame, chain):
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        if self.node is not None and self.node < chain.count:
            middle = self._place(frame, chain.node(self.node))
            for at in chain.handles(self.node):
                if at is not None:
                    end = self._place(frame, chain.points[at])
                    for colour, width in (("#ffffff", 3.0), (dyes.MADDER, 1.2)):
                        painter.setPen(QPen(QColor(colour), width))
                        painter.drawLine(middle, end)
                    painter.setBrush(QColor("#ffffff"))
                    painter.drawEllipse(end, _HANDLE, _HANDLE)
        bars, beads, chosen = QPainterPath(), QPainterPath(), QPainterPath()
        beads.setFillRule(Qt.FillRule.WindingFill)
        for n in range(chain.count):
            at, bar = self._place(frame, chain.node(n)), self._bar(chain, n)
            if bar is not None:
                bars.moveTo(at - bar * 7.0)
                bars.lineTo(at + bar * 7.0)
            radius = _CHOSEN if n == self.node else _NODE
            (chosen if n == self.node else beads).addEllipse(at, radius, radius)
        # few strokes: each lets another thread have its turn, and waits to be let back in
        for colour, width in (("#ffffff", 4.0), (dyes.MADDER, 2.0)):
            painter.strokePath(bars, QPen(QColor(colour), width))
        for path, edge, inside in ((beads, dyes.MADDER, "#ffffff"), (chosen, "#ffffff", dyes.MADDER)):
            painter.setPen(QPen(QColor(edge), 1.4))
            painter.setBrush(QColor(inside))
            painter.drawPath(path)

    def _bar(self, chain, n):
        """Which way the bar of a node lies: along the line through one without a corner, across it at an end that
        stays, None for none."""
        way = [chain.points[h] - chain.node(n) for h in chain.handles(n) if h is not None]
        along = way[-1] - way[0] if len(way) == 2 else way[0]
        size = float(np.hypot(*along)) or 1.0
        along = QPointF(along[0] / size, along[1] / size)
        return QPointF(-along.y(), along.x()) if chain.is_fixed(n) else along if n not in chain.corners else None
