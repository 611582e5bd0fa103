"""The carved blank as it will look: turned by the pointer, with a section through it."""

from PySide6.QtCore import QPointF, QRectF, Qt, QTimer, Signal
from PySide6.QtGui import QColor, QImage, QPen, QPolygonF

from sketchloom.app import theme
from sketchloom.app.bench.chips import message
from sketchloom.app.bench.view import View
from sketchloom.app.painted import Picture, painted
from sketchloom.core.base.units import MM_PER_IN, format_length
from sketchloom.core.carve import shading

_SECTION_PX, _REST_MS = 96, 140
_TURN, _TILT, _STEP = 0.35, 0.3, 6.0
_MOST_ZOOM = 12.0


class CarveView(Picture):
    """Shows a carved blank. A drag turns it, with Shift it moves the line of the section; the wheel zooms; arrows turn,
    with Shift they move the line."""

    viewed = Signal()

    def __init__(self):
        super().__init__()
        self.setAccessibleName(self.tr("The carved blank"))
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setMinimumSize(theme.px(200), theme.px(160))
        self.view = View()
        self.unit = "mm"
        self.turn_deg, self.tilt_deg, self.zoomed, self.section = -18.0, 48.0, 1.0, 0.5
        self._field = self._face = self._image = None
        self._why = ""
        self._held = None
        self._is_coarse = False
        self._rest = QTimer(self, singleShot=True, interval=_REST_MS)
        self._rest.timeout.connect(lambda: self._renew(False))

    def show_carved(self, field, face) -> None:
        """A field and its lit face."""
        self._field, self._face, self._why = field, face, ""
        self._renew(False)

    def explain(self, why: str) -> None:
        """Nothing can be shown: why."""
        self._field = self._face = self._image = None
        self._why = why
        self.setAccessibleDescription(why)
        self.update()

    def _renew(self, is_coarse):
        self._is_coarse, self._image = is_coarse, None
        if self._field is not None:
            self.view = View(self._fits() * self.zoomed)
            self.viewed.emit()
        if is_coarse:
            self._rest.start()
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
        area, ratio = self._area(), self.devicePixelRatioF()
        if self._image is None:
            size = area.width() * ratio, area.height() * ratio
            pixels = shading.view(self._face, size, self.turn_deg, self.tilt_deg, self.zoomed,
                                  2 if self._is_coarse else 1)
            high, wide = pixels.shape[:2]
            self._image = QImage(pixels.data, wide, high, 3 * wide, QImage.Format.Format_RGB888).copy()
        painter.drawImage(area, self._image)
        self._paint_section(painter, QRectF(0, area.height(), self.width(), self.height() - area.height()))
        if self.hasFocus():
            painter.setBrush(Qt.BrushStyle.NoBrush)
            painter.setPen(QPen(QColor(theme.WOAD), 2))
            painter.drawRect(self.rect().adjusted(1, 1, -1, -1))

    def _paint_section(self, painter, box):
        """The blank from the side, cut along the line."""
        wide, high = self._field.board_mm
        y = self.section * high
        along, z = self._field.along((0, y), (wide, y))
        thick = self._field.thickness_mm
        painter.fillRect(box, QColor(theme.LINEN))
        scale = (box.width() - 40) / wide
        deep = min((box.height() - 38) / thick, 6 * scale)
        top = box.top() + 24
        points = [QPointF(20 + x * scale, top - v * deep) for x, v in zip(along.tolist(), z.tolist(), strict=True)]
        points += [QPointF(20 + wide * scale, top + thick * deep), QPointF(20, top + thick * deep)]
        painter.setPen(QPen(QColor(theme.INK), 1))
        painter.setBrush(QColor(196, 152, 104))
        painter.drawPolygon(QPolygonF(points))
        painter.setPen(QColor(theme.INK))
        painter.drawText(QRectF(20, box.top() + 3, box.width() - 40, 18), Qt.AlignmentFlag.AlignLeft, self.tr(
            "Section {0} from the top, {1} times as high").format(format_length(y, self.unit),
                                                                 f"{deep / scale:.1f}"))

    # -- a hand ------------------------------------------------------------------------

    def mousePressEvent(self, event):
        self._held = event.position()

    def mouseReleaseEvent(self, _):
        self._held = None

    def mouseMoveEvent(self, event):
        if self._held is None or self._face is None:
            return
        by, self._held = event.position() - self._held, event.position()
        if event.modifiers() & Qt.KeyboardModifier.ShiftModifier:
            self.move_section(by.y() / max(self._area().height(), 1))
        else:
            self.turn(by.x() * _TURN, -by.y() * _TILT)

    def wheelEvent(self, event):
        self.zoom(1.0015 ** event.angleDelta().y())

    def keyPressEvent(self, event):
        way = {Qt.Key.Key_Left: (-1, 0), Qt.Key.Key_Right: (1, 0), Qt.Key.Key_Up: (0, -1), Qt.Key.Key_Down: (0, 1)}.get(
            event.key())
        if way is None:
            super().keyPressEvent(event)
        elif event.modifiers() & Qt.KeyboardModifier.ShiftModifier:
            self.move_section(0.02 * way[1])
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

    def move_section(self, by: float) -> None:
        """Move the line of the section by a share of the blank."""
        self.section = min(max(self.section + by, 0.0), 1.0)
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
