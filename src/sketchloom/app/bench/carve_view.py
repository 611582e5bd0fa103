"""The carved blank as it will look: turned by the pointer, with a section through it."""

from dataclasses import dataclass

import numpy as np
from PySide6.QtCore import QPointF, QRectF, Qt, QTimer, Signal
from PySide6.QtGui import QColor, QImage, QPainter, QPen, QPolygonF
from PySide6.QtWidgets import QApplication

from sketchloom.app import theme
from sketchloom.app.bench import section
from sketchloom.app.bench.chips import message
from sketchloom.app.bench.view import View
from sketchloom.app.painted import Picture, painted
from sketchloom.core.base.units import MM_PER_IN, format_length
from sketchloom.core.carve import shading

_SECTION_PX, _REST_MS = 96, 140
_SECTION_STEP, _SECTION_TURN = 0.02, 5.0
_TURN, _TILT, _STEP = 0.35, 0.3, 6.0
_MOST_ZOOM = 12.0
_COARSE = 2
"""What is drawn at once is so many times coarser: on 1280 × 800 it took 14 ms, the fine one 57."""


@dataclass(frozen=True, slots=True, eq=False)
class Look:
    """A lit ``face`` as it is seen: the picture's ``size``, px, and from where."""

    face: shading.Lit
    size: tuple[float, float]
    turn_deg: float
    tilt_deg: float
    zoomed: float

    def drawn(self, step: int = 1) -> np.ndarray:
        """(H, W, 3) uint8; a ``step`` of more px is sooner done."""
        return shading.view(self.face, self.size, self.turn_deg, self.tilt_deg, self.zoomed, step)


def _image_of(pixels):
    high, wide = pixels.shape[:2]
    return QImage(pixels.data, wide, high, 3 * wide, QImage.Format.Format_RGB888).copy()


class CarveView(Picture):
    """Shows a carved blank. A drag turns it, with Shift it draws the line of the section; the wheel zooms; arrows turn,
    with Shift they move and turn the line. A click is ``picked``: a place of the blank, mm. What is seen is drawn
    coarsely at once; ``look_wanted``: a ``Look`` to be drawn finely beside the window, for ``take_look``."""

    look_wanted = Signal(object)
    viewed = Signal()
    picked = Signal(float, float)

    def __init__(self):
        super().__init__()
        self.setAccessibleName(self.tr("The carved blank"))
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setMinimumSize(theme.px(200), theme.px(160))
        self.view = View()
        self.unit = "mm"
        self.turn_deg, self.tilt_deg, self.zoomed = -18.0, 48.0, 1.0
        self.section: tuple = ((0.0, 0.5), (1.0, 0.5))
        """Ends of the line, shares of the blank."""
        self._field = self._face = self._image = self._begun = None
        self._marked: list = []
        self._seen_lines: list | None = None
        self._uncut: list = []
        self._seen_uncut: list = []
        self._pointed = None
        self._why = ""
        self._held, self._is_click = None, False
        self._look: Look | None = None
        self._rest = QTimer(self, singleShot=True, interval=_REST_MS)
        self._rest.timeout.connect(lambda: self._renew(False))

    def show_carved(self, field, face) -> None:
        """A field and its lit face."""
        self._field, self._face, self._why = field, face, ""
        self._renew(False)

    def mark(self, lines, uncut=()) -> None:
        """Lines (N, 2) mm on the blank, each with its height, that show what is chosen, and outlines of what its tool
        leaves ``uncut``."""
        self._marked, self._seen_lines, self._pointed = list(lines), None, None
        self._uncut = list(uncut)
        self.update()

    def point_at(self, place_mm) -> None:
        """Show a place of the blank until something else is chosen."""
        self._pointed = place_mm
        self.update()

    def set_pointing(self, on: bool) -> None:
        """Whether a click means what lies there."""
        self.setCursor(Qt.CursorShape.CrossCursor if on else Qt.CursorShape.ArrowCursor)

    def explain(self, why: str) -> None:
        """Nothing can be shown: why."""
        self._field = self._face = self._image = None
        self._why = why
        self.setAccessibleDescription(why)
        self.update()

    def _renew(self, is_moving):
        self._image, self._look, self._seen_lines = None, None, None
        if self._field is not None:
            self.view = View(self._fits() * self.zoomed)
            self.viewed.emit()
        if is_moving:
            self._rest.start()
        elif self._face is not None:
            self._look = self._seen()
            self.look_wanted.emit(self._look)
        self.update()

    def _seen(self):
        area, ratio = self._area(), self.devicePixelRatioF()
        return Look(self._face, (area.width() * ratio, area.height() * ratio), self.turn_deg, self.tilt_deg,
                    self.zoomed)

    @property
    def is_sharp(self) -> bool:
        """Whether what is seen is as fine as the screen."""
        return self._face is None or (self._look is None and self._image is not None and not self._rest.isActive())

    def take_look(self, look: "Look", pixels: np.ndarray) -> None:
        """What was drawn beside the window, where it is still to be seen so."""
        if look is self._look:
            self._image, self._look = _image_of(pixels), None
            self.update()

    def _fits(self):
        """Pixels a millimetre where all of it fits."""
        area = self._area()
        return min(area.width() / self._field.board_mm[0], area.height() / self._field.board_mm[1])

    def _area(self):
        return QRectF(0, 0, self.width(), max(self.height() - theme.px(_SECTION_PX), 40))

    @painted
    def paintEvent(self, painter):
        painter.fillRect(self.rect(), QColor(*shading.GROUND))
        if self._face is None:
            if self._why:
                message(painter, self._why, QRectF(self.rect()))
            return
        area = self._area()
        if self._image is None:
            self._image = _image_of(self._seen().drawn(_COARSE))
        painter.drawImage(area, self._image)
        self._paint_lines(painter, area)
        section.paint(
            painter, QRectF(0, area.height(), self.width(), self.height() - area.height()), self._field,
            self._section_mm(), lambda long_mm, times: self.tr(
                "Section from A to B, {0} long, {1} times as high; Shift and a drag put it elsewhere").format(
                    format_length(long_mm, self.unit), f"{times:.1f}"))
        if self.hasFocus():
            painter.setBrush(Qt.BrushStyle.NoBrush)
            painter.setPen(QPen(QColor(theme.WOAD), 2))
            painter.drawRect(self.rect().adjusted(1, 1, -1, -1))

    def _camera(self):
        area = self._area()
        return shading.Camera.at(self._face, (area.width(), area.height()), self.turn_deg, self.tilt_deg, self.zoomed)

    def _paint_lines(self, painter, area):
        """What is chosen, and where the section goes, on the upper face."""
        camera = self._camera()
        painter.save()
        painter.setClipRect(area)
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        painter.setBrush(Qt.BrushStyle.NoBrush)
        if self._seen_lines is None:
            self._seen_lines = [QPolygonF([QPointF(x, y) for x, y in camera.seen(line, high).tolist()])
                                for line, high in self._marked]
            self._seen_uncut = [QPolygonF([QPointF(x, y) for x, y in camera.seen(line).tolist()])
                                for line in self._uncut]
        for colour, width in ((theme.LINEN, 3.6), (theme.WOAD, 1.8)):
            painter.setPen(QPen(QColor(colour), width))
            for line in self._seen_lines:
                painter.drawPolyline(line)
        painter.setBrush(QColor(theme.MADDER))
        painter.setPen(QPen(QColor(theme.MADDER), 1.4))
        for area in self._seen_uncut:
            painter.drawPolygon(area)
        painter.setBrush(Qt.BrushStyle.NoBrush)
        ends = camera.seen(self._section_mm())
        painter.setPen(QPen(QColor(theme.INK), 1.2, Qt.PenStyle.DashLine))
        painter.drawPolyline(QPolygonF([QPointF(x, y) for x, y in ends.tolist()]))
        for (x, y), text in zip(ends.tolist(), ("A", "B"), strict=True):
            painter.setBrush(QColor(theme.LINEN))
            painter.setPen(QPen(QColor(theme.INK), 1))
            at = QRectF(x - 9, y - 9, 18, 18)
            painter.drawEllipse(at)
            painter.drawText(at, Qt.AlignmentFlag.AlignCenter, text)
        if self._pointed is not None:
            x, y = camera.seen([self._pointed])[0].tolist()
            painter.setBrush(Qt.BrushStyle.NoBrush)
            for colour, width in ((theme.LINEN, 5.0), (theme.MADDER, 2.5)):
                painter.setPen(QPen(QColor(colour), width))
                painter.drawEllipse(QPointF(x, y), 16, 16)
        painter.restore()

    def _section_mm(self):
        return np.asarray(self.section) * self._field.board_mm

    # -- a hand ------------------------------------------------------------------------

    def place_under(self, at) -> tuple[float, float] | None:
        """The place of the blank, mm, under a place of the view."""
        if self._face is None or not self._area().contains(at):
            return None
        return self._camera().place_under(self._face, at.x(), at.y())

    def mousePressEvent(self, event):
        self._held, self._begun, self._is_click = event.position(), None, True
        if event.modifiers() & Qt.KeyboardModifier.ShiftModifier:
            self._begun = self.place_under(event.position())

    def mouseReleaseEvent(self, event):
        self._held = None
        if self._is_click and event.button() == Qt.MouseButton.LeftButton:
            there = self.place_under(event.position())
            if there is not None:
                self.picked.emit(*there)

    def mouseMoveEvent(self, event):
        if self._held is None or self._face is None:
            return
        by = event.position() - self._held
        if self._is_click and by.manhattanLength() < QApplication.startDragDistance():
            return
        self._is_click, self._held = False, event.position()
        if self._begun is not None:
            there = self.place_under(event.position())
            if there is not None and np.hypot(*np.subtract(there, self._begun)) > 1.0:
                self._put_section(np.array([self._begun, there]) / self._field.board_mm)
        elif not event.modifiers() & Qt.KeyboardModifier.ShiftModifier:
            self.turn(by.x() * _TURN, -by.y() * _TILT)

    def wheelEvent(self, event):
        self.zoom(1.0015 ** event.angleDelta().y())

    def keyPressEvent(self, event):
        way = {Qt.Key.Key_Left: (-1, 0), Qt.Key.Key_Right: (1, 0), Qt.Key.Key_Up: (0, -1), Qt.Key.Key_Down: (0, 1)}.get(
            event.key())
        if way is None:
            super().keyPressEvent(event)
        elif event.modifiers() & Qt.KeyboardModifier.ShiftModifier:
            self.move_section(_SECTION_STEP * way[1], _SECTION_TURN * way[0])
        else:
            self.turn(_STEP * way[0], -_STEP * way[1])

    def resizeEvent(self, event):
        super().resizeEvent(event)
        self._renew(False)

    def turn(self, by_deg: float, tilt_by_deg: float) -> None:
        """Turn and tilt what is seen; coarse while it moves."""
        self.turn_deg = (self.turn_deg + by_deg + 180) % 360 - 180
        self.tilt_deg = min(max(self.tilt_deg + tilt_by_deg, 0.0), 75.0)
        self._renew(True)

    def move_section(self, by: float, turn_deg: float = 0.0) -> None:
        """Move the line of the section down by a share of the blank, and turn it about its middle."""
        ends = np.asarray(self.section) + (0.0, by)
        middle = ends.mean(0)
        board = np.ones(2) if self._field is None else np.asarray(self._field.board_mm)
        c, s = np.cos(np.radians(turn_deg)), np.sin(np.radians(turn_deg))
        self._put_section(middle + (ends - middle) * board @ np.array([[c, s], [-s, c]]) / board)

    def _put_section(self, ends):
        """Ends of the line, as far as the blank goes."""
        if np.hypot(*(ends[1] - ends[0])) > 1e-6:
            (ax, ay), (bx, by) = np.clip(ends, 0.0, 1.0).tolist()
            self.section = (ax, ay), (bx, by)
        self.update()

    # -- what every view in the middle has -----------------------------------------------

    def fit(self) -> None:
        self.zoomed = 1.0
        self._renew(False)

    def zoom(self, factor: float, at=None) -> None:
        self.zoomed = min(max(self.zoomed * factor, 0.3), _MOST_ZOOM)
        self._renew(True)

    def true_size(self) -> None:
        """One millimetre of the blank is one of the screen, as far as the screen tells its size."""
        dots = self.screen().physicalDotsPerInch() if self.screen() else 96.0
        if self._field is not None:
            self.zoomed = max(dots, 30.0) / MM_PER_IN / self._fits()
            self._renew(False)
