"""Choosing regions on the bench: click, sweep, two clicks for all alike, a box, and keys that step by size."""

from PySide6.QtCore import QPointF, QRectF, Qt, QTimer, Signal
from PySide6.QtGui import QBrush, QColor, QPainter, QPainterPath, QPen

from sketchloom.app import dyes
from sketchloom.app.tools.tool import Frame, Tool
from sketchloom.app.work.paths import qt_path
from sketchloom.core.curves.outline import face_outline

_REST_MS = 150
_BADGE = 9.0
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
        self._marked: list[int] = []
        self._splits = QPainterPath()
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
        self._marked = [] if desk is None else list(desk.edit_over_face)
        self._splits = QPainterPath()
        for line in () if desk is None else desk.split_lines():
            self._splits.moveTo(*line[0, 0])
            for c in line.tolist():
                self._splits.cubicTo(*(QPointF(*p) for p in c[1:]))
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

    def paint(self, painter: QPainter, frame: Frame) -> None:
        if self.desk is None:
            return
        scale = frame.rect.width() / self.desk.work.picture.width
        painter.save()
        painter.translate(frame.rect.topLeft())
        painter.scale(scale, scale)
        self._stroke(painter, self._splits, dyes.MADDER, Qt.PenStyle.DashLine, 1.2)
        for face in self._marked:
            self._stroke(painter, self.path(face), dyes.WOAD, Qt.PenStyle.DotLine, 1.4)
        for face in self._along:
            painter.fillPath(self.path(face), QBrush(QColor(dyes.MADDER), Qt.BrushStyle.Dense6Pattern))
        for face in self._swept:
            painter.fillPath(
                self.path(face), QBrush(QColor(dyes.MOSS if self._back else dyes.MADDER), Qt.BrushStyle.BDiagPattern)
            )
        for face in {self.face, *self._swept} - {-1}:
            self._stroke(painter, self.path(face), dyes.MADDER, Qt.PenStyle.SolidLine, 1.8)
        painter.restore()
        if self.magnifies and self._at is not None and self.face >= 0:
            x0, y0, x1, y1 = self.desk.index.box(self.face)
            if max(x1 - x0, y1 - y0) * scale < _SMALL:
                self._paint_loupe(painter, frame, scale)

    @staticmethod
    def _stroke(painter, path, colour, style, width):
        for shade, wide in (("#ffffff", width + 1.6), (colour, width)):
            pen = QPen(QColor(shade), wide, style if shade != "#ffffff" else Qt.PenStyle.SolidLine)
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


def paint_numbers(painter: QPainter, frame: Frame, desk, faces) -> None:
    """Number regions in the order in which they were taken: the first gives the colour where they are joined."""
    scale = frame.rect.width() / desk.work.picture.width
    for number, face in enumerate(faces):
        x, y = desk.inner_place(face)
        at = frame.rect.topLeft() + QPointF(x * scale, y * scale)
        box = QRectF(at.x() - _BADGE, at.y() - _BADGE, 2 * _BADGE, 2 * _BADGE)
        painter.setPen(QPen(QColor("#ffffff"), 1.5))
        painter.setBrush(QColor(dyes.WOAD))
        painter.drawEllipse(box)
        painter.drawText(box, Qt.AlignmentFlag.AlignCenter, str(number + 1))


class BoxTool(Tool):
    """Drags a box; what lies mostly in it is taken."""

    taken = Signal(tuple)
    wants_source = False
    wants_cut = True

    def __init__(self):
        super().__init__()
        self.hint = self.tr("Drag a box round the regions. Esc leaves it.")
        self._from = self._to = None

    def press(self, frame: Frame, at: QPointF) -> None:
        self._from = self._to = frame.inside(at)

    def move(self, frame: Frame, at: QPointF, held: bool) -> None:
        if held and self._from is not None:
            self._to = frame.inside(at)
            self.repaint.emit()

    def release(self, frame: Frame, at: QPointF) -> None:
        if self._from is None:
            return
        (x0, y0), (x1, y1) = self._from, frame.inside(at)
        self._from = self._to = None
        if abs(x1 - x0) * frame.rect.width() > 3 and abs(y1 - y0) * frame.rect.height() > 3:
            self.taken.emit(((x0, y0), (x1, y0), (x1, y1), (x0, y1)))
            self.done.emit()

    def paint(self, painter: QPainter, frame: Frame) -> None:
        if self._from is not None:
            box = QRectF(frame.place(*self._from), frame.place(*self._to)).normalized()
            painter.setBrush(Qt.BrushStyle.NoBrush)
            for colour, width, style in (
                ("#ffffff", 3.2, Qt.PenStyle.SolidLine),
                (dyes.MADDER, 1.6, Qt.PenStyle.DashLine),
            ):
                painter.setPen(QPen(QColor(colour), width, style))
                painter.drawRect(box)
