"""The sheet on its carrier, to scale: parts are chosen, dragged and turned on it."""

from dataclasses import replace

import numpy as np
from PySide6.QtCore import QPoint, QPointF, QRectF, Qt, Signal
from PySide6.QtGui import QColor, QPainter, QPainterPath, QPen
from PySide6.QtWidgets import QWidget

from sketchloom.app import theme
from sketchloom.app.bench import paint as bench_paint
from sketchloom.app.bench.paint import RULER
from sketchloom.app.bench.view import View
from sketchloom.app.painted import painted
from sketchloom.app.work.paths import qt_path
from sketchloom.core.base.units import MM_PER_IN, format_length

_WHEEL_STEP = 1.2
_SNAP_PX, _DRAG_PX = 8.0, 4
_NUDGE_MM = 1.0
_NUMBERED = 60
"""Cuts that are numbered along the route at most: more would be a smear."""


class SheetView(QWidget):
    """Shows one sheet of a plan. ``chosen``: the number of a part on it, -1 for none; ``put``: a part of it and where
    its box comes to lie; ``turned``, ``freed``: the chosen part is to be turned, or placed by the program again;
    ``sent``: a part dropped at a place of the screen; ``stepped``: another sheet is wanted."""

    chosen = Signal(int)
    put = Signal(int, float, float)
    turned = Signal(int)
    freed = Signal(int)
    sent = Signal(int, QPoint)
    stepped = Signal(int)
    viewed = Signal()

    def __init__(self, parent=None):
        super().__init__(parent)
        self.setMouseTracking(True)
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setAccessibleName(self.tr("The sheet on its carrier"))
        self.setMinimumSize(320, 200)
        self.unit, self.ground = "mm", "middle"
        self.with_route = True
        self._sheet = self._timed = None
        self._gap, self._trouble = 0.0, (frozenset(), frozenset())
        self._paths: list[QPainterPath] = []
        self.number = -1
        self._view, self._fitted = View(), True
        self._pointer: QPointF | None = None
        self._drag = None
        self._moved = (0.0, 0.0)
        self._empty = self.tr("Nothing is planned yet.")

    # -- what is shown -----------------------------------------------------------------

    def show_sheet(self, sheet, timed, gap_mm: float) -> None:
        """A sheet with its route; None for nothing."""
        size = None if self._sheet is None else (self._sheet.carrier, round(self._sheet.length_mm))
        self._sheet, self._timed, self._gap = sheet, timed, gap_mm
        self._paths = [] if sheet is None else [qt_path(p.outline, 1.0) for p in sheet.placed]
        near, over = (set(), set()) if sheet is None else sheet.trouble(gap_mm)
        self._trouble = frozenset(near), frozenset(over)
        if sheet is None or self.number >= len(sheet.placed):
            self.number = -1
        self._drag = None
        if sheet is not None and (self._fitted or size != (sheet.carrier, round(sheet.length_mm))):
            self.fit()
        self.update()

    def choose(self, number: int) -> None:
        """Mark a part of the sheet, -1 for none."""
        if number != self.number:
            self.number = number
            self.update()
            self.chosen.emit(number)

    def explain(self, why: str) -> None:
        """What is said where there is no sheet."""
        self._empty = why
        self.update()

    @property
    def sheet(self):
        return self._sheet

    # -- the view ------------------------------------------------------------------------

    def fit(self) -> None:
        if self._sheet is not None:
            self._view = View.fitting(self._sheet.carrier.width_mm, self._sheet.length_mm, RULER, RULER,
                                      self.width() - RULER, self.height() - RULER).on_pixels()
        self._fitted = True
        self.viewed.emit()
        self.update()

    def zoom(self, factor: float, at: QPointF | None = None) -> None:
        at = at or QPointF(self.width() / 2, self.height() / 2)
        self._view, self._fitted = self._view.zoomed(factor, at.x(), at.y()).on_pixels(), False
        self.viewed.emit()
        self.update()

    def true_size(self) -> None:
        """One millimetre of the sheet is one of the screen, as far as the screen tells its size."""
        dots = self.screen().physicalDotsPerInch() if self.screen() else 96.0
        self.zoom(max(dots, 30.0) / MM_PER_IN / self._view.scale)

    @property
    def view(self) -> View:
        return self._view

    def place_of(self, x_mm: float, y_mm: float) -> QPointF:
        """Where a place of the sheet lies in the view."""
        return QPointF(*self._view.to_screen(x_mm, y_mm))

    def resizeEvent(self, event):
        super().resizeEvent(event)
        if self._fitted:
            self.fit()

    # -- painting --------------------------------------------------------------------------

    @painted
    def paintEvent(self, painter):
        painter.fillRect(self.rect(), QColor(theme.GROUNDS[self.ground]))
        font = painter.font()
        font.setPixelSize(theme.text_px(13))
        painter.setFont(font)
        if self._sheet is None:
            painter.setPen(QColor("#ffffff"))
            painter.drawText(self.rect().adjusted(40, 40, -40, -40),
                             int(Qt.AlignmentFlag.AlignCenter | Qt.TextFlag.TextWordWrap), self._empty)
            return
        painter.save()
        painter.setClipRect(QRectF(RULER, RULER, self.width() - RULER, self.height() - RULER))
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        self._paint_carrier(painter)
        painter.translate(self._view.x, self._view.y)
        painter.scale(self._view.scale, self._view.scale)
        for n in range(len(self._paths)):
            if n != self.number:
                self._paint_part(painter, n)
        if self.number >= 0:
            self._paint_part(painter, self.number)
        painter.resetTransform()
        painter.restore()
        painter.save()
        painter.setClipRect(QRectF(RULER, RULER, self.width() - RULER, self.height() - RULER))
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        if self.with_route and self._timed is not None and self._drag is None:
            self._paint_route(painter)
        painter.restore()
        painter.setFont(font)
        bench_paint.paint_rulers(painter, self.rect(), self._view, self.unit, self._pointer)
        painter.setFont(font)
        text = self._text()
        if text:
            bench_paint.hint(painter, text, RULER + 10, self.height() - 10, self.width() - RULER - 20)
        if any(p.ready.mirrored for p in self._sheet.placed):
            said = self.tr("mirrored, as the film is cut from behind")
            bench_paint.chip(painter, said, self.width() - 12, RULER + 10, True)

    def _paint_carrier(self, painter):
        carrier, view = self._sheet.carrier, self._view
        whole = QRectF(view.x, view.y, carrier.width_mm * view.scale, self._sheet.length_mm * view.scale)
        painter.setPen(QPen(QColor(theme.INK_SOFT), 1))
        painter.setBrush(QColor("#dcd8ce"))
        painter.drawRoundedRect(whole, 4, 4)
        left, top, right, bottom = self._sheet.usable
        usable = QRectF(*view.to_screen(left, top), (right - left) * view.scale, (bottom - top) * view.scale)
        painter.fillRect(usable, QColor("#f6f3ea"))
        step = (MM_PER_IN if self.unit == "in" else 10.0) * view.scale
        if step >= 6:
            painter.setPen(QPen(QColor(120, 112, 96, 60), 1))
            x = usable.left() + step
            while x < usable.right() - 1:
                painter.drawLine(QPointF(round(x) + 0.5, usable.top()), QPointF(round(x) + 0.5, usable.bottom()))
                x += step
            y = usable.top() + step
            while y < usable.bottom() - 1:
                painter.drawLine(QPointF(usable.left(), round(y) + 0.5), QPointF(usable.right(), round(y) + 0.5))
                y += step
        painter.setPen(QPen(QColor(theme.EDGE), 1, Qt.PenStyle.DashLine))
        painter.setBrush(Qt.BrushStyle.NoBrush)
        painter.drawRect(usable)
        painter.setPen(QColor("#ffffff"))
        said = self.tr("▲ this edge goes in first")
        wide = painter.fontMetrics().horizontalAdvance(said)
        painter.drawText(QPointF(whole.center().x() - wide / 2, max(whole.top() - 7, RULER + 14)), said)

    def _paint_part(self, painter, n):
        placed, path = self._sheet.placed[n], self._paths[n]
        held = n == self.number and self._drag == "part"
        if held:
            painter.save()
            painter.translate(*self._moved)
        bad = n in self._trouble[0] or n in self._trouble[1]
        colour = QColor(placed.part.hex)
        pen_width = placed.outline.pen_px
        if pen_width is None:
            painter.fillPath(path, colour)
        if n == self.number:
            edge = QPen(QColor(theme.MADDER if bad else theme.WOAD), 2.6)
        elif bad:
            edge = QPen(QColor(theme.MADDER), 2.6)
        else:
            edge = QPen(QColor("#2b2620"), 0.8)
        if pen_width is not None and n != self.number and not bad:
            edge = QPen(colour, max(pen_width, 0.05))
        else:
            edge.setCosmetic(True)
        painter.strokePath(path, edge)
        if bad:
            painter.fillPath(path, QColor(156, 58, 48, 90))
        lines = list(placed.ready.helpers)
        if placed.ready.frame is not None:
            lines.append(placed.ready.frame)
        if lines:
            pen = QPen(QColor(theme.INK_SOFT), 1, Qt.PenStyle.DotLine)
            pen.setCosmetic(True)
            painter.setPen(pen)
            for line in lines:
                painter.drawPolyline([QPointF(x, y) for x, y in placed.line(line).tolist()])
        if placed.part.count > 1:
            self._paint_count(painter, placed)
        if held:
            painter.restore()

    def _paint_count(self, painter, placed):
        """Which part of a divided layer it is, in its middle."""
        left, top, right, bottom = placed.box
        x, y = self._view.to_screen((left + right) / 2, (top + bottom) / 2)
        dx, dy = (v * self._view.scale for v in self._moved) if self._drag == "part" else (0.0, 0.0)
        painter.save()
        painter.resetTransform()
        text = self.tr("{0} of {1}").format(placed.part.number, placed.part.count)
        bench_paint.chip(painter, text, x + dx - painter.fontMetrics().horizontalAdvance(text) / 2 - 8, y + dy - 12)
        painter.restore()

    def _paint_route(self, painter):
        """Travel between cuts, from woad at the beginning to madder at the end, and the numbers of the first cuts."""
        route = self._timed.route
        count = len(route.order)
        if not count:
            return
        stops = np.concatenate([[route.home], np.stack([route.places, route.ends], 1).reshape(-1, 2)])
        first, last = QColor(theme.WOAD), QColor(theme.MADDER)
        for n in range(count):
            share = n / max(count - 1, 1)
            colour = QColor(*(round(a + share * (b - a)) for a, b in zip(first.getRgb()[:3], last.getRgb()[:3],
                                                                          strict=True)))
            painter.setPen(QPen(colour, 1.4, Qt.PenStyle.DashLine))
            painter.drawLine(self.place_of(*stops[2 * n]), self.place_of(*stops[2 * n + 1]))
            if count <= _NUMBERED:
                at = self.place_of(*stops[2 * n + 1])
                painter.setPen(QPen(QColor("#ffffff"), 1))
                painter.setBrush(colour)
                painter.drawEllipse(at, 8, 8)
                font = painter.font()
                font.setPixelSize(10)
                painter.setFont(font)
                painter.drawText(QRectF(at.x() - 10, at.y() - 8, 20, 16), theme.CENTRE, str(n + 1))

    def _text(self):
        """What is under the pointer, or what can be done."""
        n = self._part_at(self._pointer) if self._pointer is not None else -1
        if n < 0:
            n = self.number
        if n < 0:
            return self.tr("Drag a part to another place, or onto another sheet in the strip. Page up and Page down: "
                           "the sheets.")
        placed = self._sheet.placed[n]
        left, top, right, bottom = placed.box
        name = self.tr("Test cut") if placed.ready.test else placed.part.name
        text = self.tr("{0}: {1} × {2}, {3} from the left, {4} from the top").format(
            name, *(format_length(v, self.unit) for v in (right - left, bottom - top, left, top)))
        if n in self._trouble[1]:
            return text + " · " + self.tr("hangs over the edge")
        if n in self._trouble[0]:
            return text + " · " + self.tr("nearer than {0} to another").format(format_length(self._gap, self.unit))
        if placed.by_hand:
            return text + " · " + self.tr("put here by hand")
        return text

    # -- hands -----------------------------------------------------------------------------

    def _part_at(self, at) -> int:
        if self._sheet is None or at is None:
            return -1
        place = QPointF(*self._view.to_mm(at.x(), at.y()))
        inside = [n for n, path in enumerate(self._paths) if path.contains(place)]
        if inside:  # of parts within each other the smaller one
            return min(inside, key=lambda n: self._paths[n].boundingRect().width())
        boxes = [n for n, p in enumerate(self._sheet.placed) if p.outline.pen_px is not None
                 and p.box[0] <= place.x() <= p.box[2] and p.box[1] <= place.y() <= p.box[3]]
        return boxes[0] if boxes else -1

    def mousePressEvent(self, event):
        if event.button() not in (Qt.MouseButton.LeftButton, Qt.MouseButton.MiddleButton):
            return
        at = event.position()
        n = self._part_at(at) if event.button() == Qt.MouseButton.LeftButton else -1
        if n >= 0 or event.button() == Qt.MouseButton.LeftButton:
            self.choose(n)
        self._from, self._moved = at, (0.0, 0.0)
        self._drag = "waiting" if n >= 0 else "pan"

    def mouseMoveEvent(self, event):
        at = event.position()
        self._pointer = at
        if self._drag == "waiting" and (at - self._from).manhattanLength() > _DRAG_PX:
            self._drag = "part"
            self.setCursor(Qt.CursorShape.ClosedHandCursor)
        if self._drag == "part":
            self._moved = self._snapped((at.x() - self._from.x()) / self._view.scale,
                                        (at.y() - self._from.y()) / self._view.scale)
            self._check_held()
        elif self._drag == "pan":
            self._view, self._fitted = self._view.moved(at.x() - self._from.x(), at.y() - self._from.y()), False
            self._from = at
        self.update()

    def mouseReleaseEvent(self, event):
        drag, self._drag = self._drag, None
        self.unsetCursor()
        if drag == "part" and self.number >= 0:
            at = event.position()
            if not self.rect().contains(at.toPoint()):
                self.sent.emit(self.number, self.mapToGlobal(at.toPoint()))
            else:
                left, top, *_ = self._sheet.placed[self.number].box
                self.put.emit(self.number, left + self._moved[0], top + self._moved[1])
        self.update()

    def _snapped(self, dx, dy):
        """A move that ends at an edge of what can be cut, or in line with another part, where that is near."""
        reach = _SNAP_PX / self._view.scale
        box = self._sheet.placed[self.number].box
        lines = [self._sheet.usable, *(p.box for n, p in enumerate(self._sheet.placed) if n != self.number)]
        made = []
        for axis, by in ((0, dx), (1, dy)):
            best = by
            nearest = reach
            for line in lines:
                for own in (box[axis], box[axis + 2]):
                    for other in (line[axis], line[axis + 2]):
                        away = abs(own + by - other)
                        if away < nearest:
                            nearest, best = away, other - own
            made.append(best)
        return tuple(made)

    def _check_held(self):
        """What lies badly with the part where it is held."""
        placed = list(self._sheet.placed)
        one = placed[self.number]
        placed[self.number] = replace(one, dx=one.dx + self._moved[0], dy=one.dy + self._moved[1])
        near, over = replace(self._sheet, placed=tuple(placed)).trouble(self._gap)
        self._trouble = frozenset(near), frozenset(over)

    def mouseDoubleClickEvent(self, _):
        self.fit()

    def leaveEvent(self, _):
        self._pointer = None
        self.update()

    def wheelEvent(self, event):
        turns = (event.angleDelta().y() or event.angleDelta().x()) / 120.0
        self.zoom(_WHEEL_STEP**turns, event.position())
        event.accept()

    def keyPressEvent(self, event):
        key = event.key()
        step = {Qt.Key.Key_Left: (-1, 0), Qt.Key.Key_Right: (1, 0), Qt.Key.Key_Up: (0, -1),
                Qt.Key.Key_Down: (0, 1)}.get(key)
        if key in (Qt.Key.Key_PageUp, Qt.Key.Key_PageDown):
            self.stepped.emit(-1 if key == Qt.Key.Key_PageUp else 1)
        elif step is not None and self.number >= 0:
            far = _NUDGE_MM * (10 if event.modifiers() & Qt.KeyboardModifier.ShiftModifier else 1)
            left, top, *_ = self._sheet.placed[self.number].box
            self.put.emit(self.number, left + step[0] * far, top + step[1] * far)
        elif step is not None:
            self._view, self._fitted = self._view.moved(-40 * step[0], -40 * step[1]), False
            self.update()
        elif key == Qt.Key.Key_T and self.number >= 0:
            self.turned.emit(self.number)
        elif key in (Qt.Key.Key_Delete, Qt.Key.Key_Backspace) and self.number >= 0:
            self.freed.emit(self.number)
        elif key == Qt.Key.Key_N and self._sheet is not None and self._sheet.placed:
            self.choose((self.number + 1) % len(self._sheet.placed))
        elif key == Qt.Key.Key_Escape and self.number >= 0:
            self.choose(-1)
        else:
            super().keyPressEvent(event)
