"""Choosing what lies on the bench: a click takes what is uppermost, another what lies below it, a drag all in a box."""

import math

from PySide6.QtCore import QPointF, QRectF, Qt, QTimer, Signal
from PySide6.QtGui import QBrush, QColor, QImage, QPainter, QPainterPath, QPen, QPolygonF

from sketchloom.app import dyes
from sketchloom.app.tools.regions import FEW, LINED, RegionTool, paint_numbers
from sketchloom.app.tools.tool import Frame, draw_line
from sketchloom.desk.things import REGION

_DRAG = 5.0
"""A press that moves on by so many screen pixels drags."""
_REACH = 8.0
"""A click means a line so near to it, screen pixels: half the target that WCAG 2.2, 2.5.8 asks for, and a third more.
"""
_ADDS = Qt.KeyboardModifier.ShiftModifier
_ROUND = Qt.KeyboardModifier.ControlModifier
_PARTS = _ROUND | Qt.KeyboardModifier.AltModifier


class ChooseTool(RegionTool):
    """Chooses things and shows which are chosen. ``under(x, y, reach)``, px, names what a click would choose, and
    ``courses_of(thing)`` gives its outline in px: cubics (S, 4, 2) or lines (N, 2).

    ``chose``: a place in px, the reach of a click there, whether it adds; ``boxed``: a polygon in shares, and the same.
    """

    chose = Signal(float, float, float, bool)
    boxed = Signal(tuple, bool)
    keyed = Signal(object)
    let_go = Signal()
    parted = Signal(tuple)
    """A line drawn through what is to be parted, shares."""
    hovered = Signal(object)
    cursor = Qt.CursorShape.ArrowCursor

    def __init__(self, source, under, courses_of, faces_of, keys):
        """``faces_of(thing)``: the faces it is made of, where it is made of whole ones; ``keys()``: the keys that act
        on what is chosen now."""
        super().__init__(lambda _: False, lambda *_: True, source)
        self._under, self._courses_of, self._faces_of, self._keys = under, courses_of, faces_of, keys
        self.chosen: tuple = ()
        self._faces: tuple[int, ...] = ()
        self._whole: QPainterPath | None = None
        self._veil: QImage | None = None
        self._thing = None
        self._from = self._to = None
        self._ring: list = []
        self._is_inner = False

    def show_chosen(self, things, inner=None) -> None:
        """What is chosen, and the tool that goes with it."""
        if tuple(things) != self.chosen:
            self.chosen, self._whole, self._veil = tuple(things), None, None
            self._faces = tuple(face for thing in self.chosen for face in self._faces_of(thing))
        if inner is not self.inner:
            if self.inner is not None:
                self.inner.repaint.disconnect(self.repaint)
            self.inner, self._is_inner = inner, False
            if inner is not None:
                inner.repaint.connect(self.repaint)
        self.repaint.emit()

    # -- gestures ----------------------------------------------------------------------

    def _px(self, frame, at):
        x, y = frame.share(at)
        picture = self.desk.work.picture
        return x * picture.width, y * picture.height

    def _reach(self, frame):
        return _REACH / max(frame.rect.width(), 1.0) * self.desk.work.picture.width

    def press(self, frame: Frame, at: QPointF) -> None:
        self._is_inner = self.inner is not None and self.inner.holds(frame, at)
        self._from, self._to, self._ring = at, None, []
        if self._is_inner:
            self.inner.press(frame, at)

    def move(self, frame: Frame, at: QPointF, held: bool) -> None:
        self._at = at
        if held and self._from is not None:
            if self._to is not None or math.hypot(*(at - self._from).toTuple()) > _DRAG:
                self._to = at
                self._ring.append(at)
                if self._is_inner:
                    self.inner.move(frame, at, True)
        elif self.desk is not None:
            self._hover(frame, at)
        self.repaint.emit()

    def _hover(self, frame, at):
        thing = self._under(*self._px(frame, at), self._reach(frame))
        if thing != self._thing:
            self._thing = thing
            self.face = thing.number if thing is not None and thing.kind == REGION else -1
            self.hovered.emit(thing)

    def release(self, frame: Frame, at: QPointF) -> None:
        start, end, ring = self._from, self._to, self._ring
        self._from, self._to, self._ring = None, None, []
        if self._is_inner:
            self._is_inner = False
            is_used = end is not None or self.inner.uses_click(frame, at)
            self.inner.release(frame, at)
            if is_used:
                return
        if self.desk is None or start is None:
            return
        adds = bool(self.modifiers & _ADDS)
        if end is None:
            self.chose.emit(*self._px(frame, start), self._reach(frame), adds)
        elif self.modifiers & _PARTS == _PARTS:
            self.parted.emit(tuple(frame.inside(p) for p in (start, *ring)))
        else:
            places = [start, *ring] if self.modifiers & _ROUND else _corners(start, at)
            self.boxed.emit(tuple(frame.inside(p) for p in places), adds)
        self.repaint.emit()

    def give_up(self) -> None:
        if self._is_inner and self.inner is not None:
            self.inner.give_up()
        self._from, self._to, self._ring, self._is_inner = None, None, [], False
        self.repaint.emit()

    def under(self, frame: Frame, at: QPointF):
        """What a click there would choose first, None for nothing."""
        return None if self.desk is None else self._under(*self._px(frame, at), self._reach(frame))

    def double_click(self, frame: Frame, at: QPointF) -> None:
        if self.inner is not None and self.inner.holds(frame, at):
            self.inner.double_click(frame, at)
        else:
            self._from, self._to, self._ring = at, None, []  # the second click goes on to what lies below

    # -- keys --------------------------------------------------------------------------

    def wants(self, key) -> bool:
        return bool(self.chosen) and key in self._keys()

    def key(self, key) -> bool:
        if self.inner is not None and self.inner.key(key):
            return True
        if key == Qt.Key.Key_Escape:
            if self.chosen:
                self.let_go.emit()
                return True
            return False
        if self.wants(key):
            self.keyed.emit(key)
            return True
        if key in (Qt.Key.Key_Comma, Qt.Key.Key_Period):
            self.stepped.emit(1 if key == Qt.Key.Key_Period else -1)
            return True
        return False

    # -- painting ----------------------------------------------------------------------

    def show_desk(self, desk) -> None:
        if self.desk is None or desk is None or desk.work.traced is not self.desk.work.traced:
            self._whole = self._veil = None
            self._faces = ()  # what is chosen comes anew
        super().show_desk(desk)

    def _path(self, thing) -> QPainterPath:
        path, faces = QPainterPath(), self._faces_of(thing)
        if len(faces):
            return self.path(faces[0]) if len(faces) == 1 else self.paths(faces)
        for course in self._courses_of(thing):
            if course.ndim == 2:
                path.addPolygon(QPolygonF([QPointF(x, y) for x, y in course.tolist()]))
            else:
                path.moveTo(*course[0, 0])
                for c in course.tolist():
                    path.cubicTo(*(QPointF(*p) for p in c[1:]))
        return path

    def _tint(self):
        """Very many regions as one veil."""
        if self._veil is None:
            self._veil = self.veil(self._faces)
        return self._veil

    def _is_veiled(self):
        """Whether what is chosen is too much to be outlined."""
        return len(self._faces) > FEW or (
            bool(self._faces) and self._chosen_path().elementCount() > LINED)

    def _chosen_path(self):
        """One path of all that is chosen, made once."""
        if self._whole is None:
            self._whole = self.paths(self._faces) if self._faces else QPainterPath()
            for thing in () if self._faces else self.chosen:
                self._whole.addPath(self._path(thing))
        return self._whole

    def paint(self, painter: QPainter, frame: Frame) -> None:
        if self.desk is None:
            return
        scale = frame.rect.width() / self.desk.work.picture.width
        painter.save()
        painter.translate(frame.rect.topLeft())
        painter.scale(scale, scale)
        if self._is_veiled():
            painter.drawImage(QRectF(0, 0, self.desk.work.picture.width, self.desk.work.picture.height), self._tint())
        elif self.chosen:
            path = self._chosen_path()
            if self._faces:
                painter.fillPath(path, QBrush(QColor(dyes.WOAD), Qt.BrushStyle.Dense6Pattern))
            if self.inner is None:
                self._stroke(painter, path, dyes.WOAD, Qt.PenStyle.SolidLine, 2.4)
        if self._thing is not None and self._thing.kind != REGION:
            self._stroke(painter, self._path(self._thing), dyes.MADDER, Qt.PenStyle.SolidLine, 1.8)
        painter.restore()
        super().paint(painter, frame)
        if self.inner is not None:
            self.inner.paint(painter, frame)
        numbered = self.chosen and self.chosen[0].kind == REGION and 1 < len(self.chosen) <= FEW
        if numbered and not paint_numbers(painter, frame, self.desk, [thing.number for thing in self.chosen]):
            QTimer.singleShot(0, self, self.repaint.emit)
        self._paint_ring(painter)

    def _paint_ring(self, painter):
        if self._to is None or self._is_inner:
            return
        if self.modifiers & _PARTS == _PARTS:
            draw_line(painter, [self._from, *self._ring])
            return
        places = [self._from, *self._ring] if self.modifiers & _ROUND else _corners(self._from, self._to)
        painter.setBrush(QColor(45, 82, 115, 30))
        for colour, width, style in (("#ffffff", 3.2, Qt.PenStyle.SolidLine), (dyes.WOAD, 1.6, Qt.PenStyle.DashLine)):
            painter.setPen(QPen(QColor(colour), width, style))
            painter.drawPolygon(QPolygonF(places))


def _corners(a, b):
    return [a, QPointF(b.x(), a.y()), b, QPointF(a.x(), b.y())]
