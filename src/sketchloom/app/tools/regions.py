"""Choosing regions on the bench: click, sweep, two clicks for all alike, a box, and keys that step by size."""

import numpy as np
from PySide6.QtCore import QPointF, QRectF, Qt, QTimer, Signal
from PySide6.QtGui import QBrush, QColor, QImage, QPainter, QPainterPath, QPen

from sketchloom.app import dyes
from sketchloom.app.bench.paint import tint_of
from sketchloom.app.tools.tool import Frame, Tool
from sketchloom.app.work.paths import path_of, qt_path
from sketchloom.core.base import ragged
from sketchloom.core.curves.outline import face_outline, face_outlines
from sketchloom.core.curves.seen import Seen

_REST_MS = 150
FEW = 60
"""Regions that are outlined one by one, as painting two thousand outlines takes seconds."""
_VEIL_PX = 700
"""Pixels of a veil along its longer side: it is made while somebody waits."""
_MARKED, _DOTTED = 8, 500
"""Regions that are dotted around, and elements of their path, at every repaint (the 15 cells of a lantern panel took
0.17 s); more get a veil."""
LINED = 800
"""Elements of a path that is outlined at every repaint (of 3,000, cells of a lantern panel, it took 0.15 s)."""
_BADGE, _AT_A_TIME = 9.0, 1
_LOUPE, _LOUPE_ZOOM, _SMALL = 150.0, 5.0, 18.0


class RegionTool(Tool):
    """Clicks and sweeps over regions. ``desk`` answers what they are; it comes anew with every result.

    ``acted``: faces a gesture went over, and whether it brings back what was decided about the first of them.
    """

    acted = Signal(tuple, bool)
    alike_wanted = Signal(int)
    pointed = Signal(int)
    stepped = Signal(int)
    clicked = Signal(int)
    """A face that was clicked, whether it may be acted on or not; not one of a sweep."""
    wants_source = False
    wants_cut = True
    cursor = Qt.CursorShape.PointingHandCursor

    def __init__(self, is_so, may, source):
        """``is_so(face)``: whether a click takes back; ``may(first, face)``: whether a sweep from one takes another;
        the first itself is asked about like any other."""
        super().__init__()
        self._is_so, self._may, self._source = is_so, may, source
        self.desk = None
        self.magnifies = True
        self.face = -1
        self._swept: list[int] = []
        self._pressed = -1
        self._back = False
        self._at = None
        self._paths: dict[int, QPainterPath] = {}
        self.shows_marks = True
        """Whether what was decided about regions is marked."""
        self._marks: QPainterPath | QImage | None = None
        self._splits: QPainterPath | None = None
        self._veiled: tuple[int, QImage | None] = (-1, None)
        self.goes_along = None
        """Tells what a click on a face takes along, where it may take more; shown once the pointer rests."""
        self._along: tuple[int, ...] = ()
        self._rest = QTimer(self, singleShot=True, interval=_REST_MS)
        self._rest.timeout.connect(self._look_along)

    def show_desk(self, desk) -> None:
        """Another result: its regions are other faces, unless only what was decided about them changed."""
        same = self.desk is not None and desk is not None and desk.work.traced is self.desk.work.traced
        self.desk = desk
        if not same:
            self._paths, self._swept, self._along, self.face = {}, [], (), -1
            self._veiled = (-1, None)
        self._marks = self._splits = None
        self.repaint.emit()

    # -- gestures ----------------------------------------------------------------------

    def _face_at(self, frame, at):
        x, y = frame.share(at)
        if self.desk is None or not (0 <= x < 1 and 0 <= y < 1):
            return -1
        picture = self.desk.work.picture
        return self.desk.index.at(x * picture.width, y * picture.height).face

    def press(self, frame: Frame, at: QPointF) -> None:
        face = self._face_at(frame, at)
        if face >= 0:
            self._back, self._pressed = self._is_so(face), face
            self._swept = [face] if self._may(face, face) else []
            self.repaint.emit()

    def move(self, frame: Frame, at: QPointF, held: bool) -> None:
        self._at = at
        face = self._face_at(frame, at)
        if face != self.face:
            self.point(face)
        is_new = held and self._swept and face >= 0 and face not in self._swept
        if is_new and self._is_so(face) == self._back and self._may(self._swept[0], face):
            self._swept.append(face)
        self.repaint.emit()

    def release(self, frame: Frame, at: QPointF) -> None:
        swept, self._swept = tuple(self._swept), []
        if self._pressed >= 0 and self._face_at(frame, at) == self._pressed and len(swept) <= 1:
            self.clicked.emit(self._pressed)
        if swept:
            self.acted.emit(swept, self._back)

    def give_up(self) -> None:
        self._swept, self._pressed = [], -1
        self.repaint.emit()

    def double_click(self, frame: Frame, at: QPointF) -> None:
        # the first of the two clicks may have its result still on the way
        face = self._face_at(frame, at) if self.desk is not None else self._pressed
        if face >= 0 and (self.desk is None or self._may(face, face)):
            self.alike_wanted.emit(face)

    def point(self, face: int) -> None:
        """Mark a region as the one spoken of."""
        self.face, self._along = face, ()
        if self.goes_along is not None:
            self._rest.start()
        self.pointed.emit(face)
        self.repaint.emit()

    def rest(self) -> None:
        """Not held any more: nothing is looked for."""
        self._rest.stop()
        self._along = ()

    def _look_along(self):
        if self.desk is not None and self.goes_along is not None and self.face >= 0 and not self._swept:
            self._along = tuple(self.goes_along(self.face))
            self.repaint.emit()

    def key(self, key) -> bool:
        if key in (Qt.Key.Key_Comma, Qt.Key.Key_Period):
            self.stepped.emit(1 if key == Qt.Key.Key_Period else -1)
            return True
        if key in (Qt.Key.Key_Return, Qt.Key.Key_Enter, Qt.Key.Key_Delete) and self.face >= 0:
            if self._may(self.face, self.face):
                self.acted.emit((self.face,), self._is_so(self.face))
            return True
        return False

    # -- painting ----------------------------------------------------------------------

    def path(self, face) -> QPainterPath:
        """Outline of a region, px."""
        if face not in self._paths:
            traced = self.desk.work.traced
            self._paths[face] = qt_path(face_outline(traced.planar, traced.curves, face), 1.0)
        return self._paths[face]

    def _paint_marks(self, painter):
        """What was decided about: dotted around, or a veil where it is very many."""
        if self._marks is None:
            faces = list(self.desk.edit_over_face)
            made = self.paths(faces) if len(faces) <= _MARKED else None
            self._marks = made if made is not None and made.elementCount() <= _DOTTED else self.veil(faces)
        if isinstance(self._marks, QImage):
            picture = self.desk.work.picture
            painter.drawImage(QRectF(0, 0, picture.width, picture.height), self._marks)
        else:
            self._stroke(painter, self._marks, dyes.WOAD, Qt.PenStyle.DotLine, 1.4)

    def _paint_face(self, painter, face):
        """The line around a region; over one with thousands of segments, as the ink of a panel, a veil."""
        if self.path(face).elementCount() <= LINED:
            self._stroke(painter, self.path(face), dyes.MADDER, Qt.PenStyle.SolidLine, 1.8)
            return
        if self._veiled[0] != face:
            self._veiled = face, self.veil((face,), dyes.MADDER)
        picture = self.desk.work.picture
        painter.drawImage(QRectF(0, 0, picture.width, picture.height), self._veiled[1])

    def paths(self, faces) -> QPainterPath:
        """Outlines of several regions in one, px."""
        traced = self.desk.work.traced
        return qt_path(face_outlines(traced.planar, traced.curves, list(faces)), 1.0)

    def veil(self, faces, hex_colour: str = dyes.WOAD) -> QImage:
        """A veil over very many regions, as their outlines take seconds to paint."""
        planar = self.desk.work.traced.planar
        chosen = np.zeros(planar.face_count, bool)
        chosen[list(faces)] = True
        step = max(1, max(planar.faces.shape) // _VEIL_PX)
        return tint_of(chosen[planar.faces[::step, ::step]], hex_colour)

    def paint(self, painter: QPainter, frame: Frame) -> None:
        if self.desk is None:
            return
        scale = frame.rect.width() / self.desk.work.picture.width
        painter.save()
        painter.translate(frame.rect.topLeft())
        painter.scale(scale, scale)
        if self._splits is None:
            self._splits = _lines_path(self.desk.split_lines())
        self._stroke(painter, self._splits, dyes.MADDER, Qt.PenStyle.DashLine, 1.2)
        if self.shows_marks:
            self._paint_marks(painter)
        for face in self._along:
            painter.fillPath(self.path(face), QBrush(QColor(dyes.MADDER), Qt.BrushStyle.Dense6Pattern))
        for face in self._swept:
            painter.fillPath(
                self.path(face), QBrush(QColor(dyes.MOSS if self._back else dyes.MADDER), Qt.BrushStyle.BDiagPattern)
            )
        for face in {self.face, *self._swept} - {-1}:
            self._paint_face(painter, face)
        painter.restore()
        if self.magnifies and self._at is not None and self.face >= 0:
            x0, y0, x1, y1 = self.desk.index.box(self.face)
            if max(x1 - x0, y1 - y0) * scale < _SMALL:
                self._paint_loupe(painter, frame, scale)

    @staticmethod
    def _stroke(painter, path, colour, style, width):
        for shade, wide in (("#ffffff", width + 1.6), (colour, width)):
            pen = QPen(QColor(shade), wide, style if shade != "#ffffff" else Qt.PenStyle.SolidLine)
            if pen.style() == Qt.PenStyle.DotLine:  # dots along a long path take ten times as long as a brush of dots
                pen = QPen(QBrush(QColor(shade), Qt.BrushStyle.Dense4Pattern), wide)
            pen.setCosmetic(True)
            painter.strokePath(path, pen)

    def _paint_loupe(self, painter, frame, scale):
        """The source around the pointer, larger, beside it."""
        to_right = self._at.x() - frame.rect.x() < frame.rect.width() / 2
        box = QRectF(self._at.x() + (26 if to_right else -26 - _LOUPE), self._at.y() - _LOUPE / 2, _LOUPE, _LOUPE)
        shape = QPainterPath()
        shape.addEllipse(box)
        painter.save()
        painter.setClipPath(shape, Qt.ClipOperation.ReplaceClip)
        painter.fillRect(box, QColor(dyes.LINEN_LIGHT))
        zoom = _LOUPE_ZOOM
        page = QRectF(
            box.center().x() - (self._at.x() - frame.rect.x()) * zoom,
            box.center().y() - (self._at.y() - frame.rect.y()) * zoom,
            frame.rect.width() * zoom,
            frame.rect.height() * zoom,
        )
        self._source().paint(painter, page, box)
        painter.translate(page.topLeft())
        painter.scale(scale * zoom, scale * zoom)
        self._stroke(painter, self.path(self.face), dyes.MADDER, Qt.PenStyle.SolidLine, 2.0)
        painter.restore()
        painter.setBrush(Qt.BrushStyle.NoBrush)
        painter.setPen(QPen(QColor(dyes.INK), 2))
        painter.drawEllipse(box)


def _lines_path(lines) -> QPainterPath:
    """Open lines, each (S, 4, 2) cubics, as one path."""
    starts = ragged.lengths_to_starts([len(line) for line in lines])
    controls = np.concatenate([*lines, np.empty((0, 4, 2))])
    return path_of(Seen(controls, np.zeros(len(controls), bool), starts), 1.0, False)


def paint_numbers(painter: QPainter, frame: Frame, desk, faces) -> bool:
    """Number regions in the order in which they were taken: the first gives the colour where they are joined. Places
    for the numbers are looked for a few at a time; False where some are still to come."""
    scale, looks = frame.rect.width() / desk.work.picture.width, _AT_A_TIME
    for number, face in enumerate(faces):
        if not desk.knows_place(face):
            if not looks:
                return False
            looks -= 1
        x, y = desk.inner_place(face)
        at = frame.rect.topLeft() + QPointF(x * scale, y * scale)
        box = QRectF(at.x() - _BADGE, at.y() - _BADGE, 2 * _BADGE, 2 * _BADGE)
        painter.setPen(QPen(QColor("#ffffff"), 1.5))
        painter.setBrush(QColor(dyes.WOAD))
        painter.drawEllipse(box)
        painter.drawText(box, Qt.AlignmentFlag.AlignCenter, str(number + 1))
    return True
