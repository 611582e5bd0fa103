"""The sheet on its carrier, to scale: parts are chosen, dragged and turned on it."""

from dataclasses import replace

from PySide6.QtCore import QPoint, QPointF, QRectF, Qt, Signal
from PySide6.QtGui import QColor, QPainter, QPainterPath, QPen

from sketchloom.app import dyes, theme
from sketchloom.app.bench import chips
from sketchloom.app.bench.chips import message
from sketchloom.app.bench.rulers import RULER, Rulers
from sketchloom.app.bench.sheet_paint import KNOB_PX, Handle, paint_carrier, paint_handle, paint_route
from sketchloom.app.bench.touch import Touch
from sketchloom.app.bench.view import View
from sketchloom.app.painted import Picture, painted
from sketchloom.app.work.paths import qt_path
from sketchloom.core.base.units import MM_PER_IN, format_length

_WHEEL_STEP = 1.2
_SNAP_PX, _DRAG_PX = 8.0, 4
_NUDGE_MM = 1.0


class SheetView(Picture):
    """Shows one sheet of a plan. ``chosen``: the number of a part on it, -1 for none (the others of several chosen are
    in ``also``); ``put``: parts of it and by how much they are moved; ``turned``, ``freed``: the chosen parts are to be
    turned, or placed by the program again; ``sent``: parts dropped at a place of the screen; ``stepped``: another sheet
    is wanted; ``seam_held``, ``seam_put``: a seam and by how much it is moved across itself, mm."""

    chosen = Signal(int)
    put = Signal(float, float)
    turned = Signal()
    freed = Signal()
    sent = Signal(QPoint)
    stepped = Signal(int)
    seam_held = Signal(int, float)
    seam_put = Signal(int, float)
    viewed = Signal()

    def __init__(self, parent=None):
        super().__init__(parent)
        self.setMouseTracking(True)
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setAccessibleName(self.tr("The sheet on its carrier"))
        self.setMinimumSize(320, 200)
        self.unit, self.ground = "mm", "middle"
        self.with_route = True
        self._rulers = Rulers()
        self._sheet = self._timed = None
        self._gap, self._trouble = 0.0, (frozenset(), frozenset())
        self._paths: list[QPainterPath] = []
        self.number, self.also = -1, frozenset()
        self._handles: tuple[Handle, ...] = ()
        self._held, self._by, self._seam_text = None, 0.0, ""
        self._view, self._fitted = View(), True
        self._pointer: QPointF | None = None
        self._drag = None
        self.touch = Touch(self, self._let_go, lambda at: self.customContextMenuRequested.emit(at.toPoint()))
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
        count = 0 if sheet is None else len(sheet.placed)
        if self.number >= count or any(n >= count for n in self.also):
            self.number, self.also = -1, frozenset()
        self._drag = None
        if sheet is not None and (self._fitted or size != (sheet.carrier, round(sheet.length_mm))):
            self.fit()
        self.update()

    def choose(self, number: int) -> None:
        """Mark a part of the sheet, -1 for none."""
        if number != self.number or self.also:
            self.number, self.also = number, frozenset()
            self.update()
            self.chosen.emit(number)

    @property
    def all_chosen(self) -> tuple[int, ...]:
        """Numbers of all parts that are chosen, the one that was chosen last first."""
        return (self.number, *sorted(self.also)) if self.number >= 0 else ()

    def _add(self, number: int) -> None:
        """One more, or, where it was chosen, one less."""
        its = set(self.all_chosen)
        its ^= {number}
        self.number = number if number in its else min(its, default=-1)
        self.also = frozenset(its - {self.number})
        self.chosen.emit(self.number)
        self.update()

    def show_handles(self, handles) -> None:
        """Seams along the chosen part, that can be moved."""
        self._handles = tuple(handles)
        self.update()

    def say_seam(self, text: str) -> None:
        """What is said of the seam where it is held."""
        self._seam_text = text
        self.update()

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

    def _let_go(self):
        """What was begun with one finger is over."""
        self._drag, self._moved = None, (0.0, 0.0)
        self.update()

    def pan(self, dx: float, dy: float) -> None:
        """Move the sheet on the screen."""
        self._view, self._fitted = self._view.moved(dx, dy), False
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
            message(painter, self._empty, QRectF(self.rect()))
            return
        painter.save()
        painter.setClipRect(QRectF(RULER, RULER, self.width() - RULER, self.height() - RULER))
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        paint_carrier(painter, self._sheet, self._view, self.unit, self.tr("▲ this edge goes in first"))
        painter.translate(self._view.x, self._view.y)
        painter.scale(self._view.scale, self._view.scale)
        for n in range(len(self._paths)):
            if n not in self.all_chosen:
                self._paint_part(painter, n)
        for n in self.all_chosen:
            self._paint_part(painter, n)
        painter.resetTransform()
        painter.restore()
        painter.save()
        painter.setClipRect(QRectF(RULER, RULER, self.width() - RULER, self.height() - RULER))
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        if self.with_route and self._timed is not None and self._drag is None:
            paint_route(painter, self._timed.route, self._view)
        for handle in self._handles:
            paint_handle(painter, handle, self._view, self._by if handle.number == self._held else 0.0)
        painter.restore()
        painter.setFont(font)
        self._rulers.paint(painter, self.rect(), self._view, self.unit, self._pointer, self.devicePixelRatioF())
        painter.setFont(font)
        text = self._text()
        if text:
            chips.hint(painter, text, RULER + 10, self.height() - 10, self.width() - RULER - 20)
        if any(p.ready.mirrored for p in self._sheet.placed):
            said = self.tr("mirrored, as the film is cut from behind")
            chips.chip(painter, said, self.width() - 12, RULER + 10, True)

    def _paint_part(self, painter, n):
        placed, path = self._sheet.placed[n], self._paths[n]
        is_chosen = n in self.all_chosen
        held = is_chosen and self._drag == "part"
        if held:
            painter.save()
            painter.translate(*self._moved)
        bad = n in self._trouble[0] or n in self._trouble[1]
        if placed.outline.pen_px is None:
            painter.fillPath(path, QColor(placed.part.hex))
        painter.strokePath(path, self._edge(placed, is_chosen, bad))
        if bad:
            painter.fillPath(path, QColor(156, 58, 48, 90))
        self._paint_helpers(painter, placed)
        if placed.part.count > 1:
            self._paint_count(painter, placed, self._moved if held else (0.0, 0.0))
        if held:
            painter.restore()

    @staticmethod
    def _edge(placed, is_chosen, bad):
        """The pen of a part's outline."""
        pen_width = placed.outline.pen_px
        if pen_width is not None and not is_chosen and not bad:
            return QPen(QColor(placed.part.hex), max(pen_width, 0.05))
        edge = (QPen(QColor(dyes.MADDER if bad else dyes.WOAD), 2.6) if is_chosen or bad
                else QPen(QColor("#2b2620"), 0.8))
        edge.setCosmetic(True)
        return edge

    @staticmethod
    def _paint_helpers(painter, placed):
        """Cuts beside a part: its frame and those for weeding."""
        lines = [*placed.ready.helpers, *(() if placed.ready.frame is None else (placed.ready.frame,))]
        # light below dark: seen on film of any colour
        for pen in (QPen(QColor("#ffffff"), 2), QPen(QColor(dyes.INK_SOFT), 1, Qt.PenStyle.DotLine)):
            pen.setCosmetic(True)
            painter.setPen(pen)
            for line in lines:
                painter.drawPolyline([QPointF(x, y) for x, y in placed.line(line).tolist()])

    def _paint_count(self, painter, placed, moved):
        """Which part of a divided layer it is, in its middle."""
        left, top, right, bottom = placed.box
        x, y = self._view.to_screen((left + right) / 2, (top + bottom) / 2)
        dx, dy = (v * self._view.scale for v in moved)
        painter.save()
        painter.resetTransform()
        text = self.tr("{0} of {1}").format(placed.part.number, placed.part.count)
        chips.chip(painter, text, x + dx - painter.fontMetrics().horizontalAdvance(text) / 2 - 8, y + dy - 12)
        painter.restore()

    def _text(self):
        """What is under the pointer, or what can be done."""
        if self._drag == "seam":
            return self._seam_text
        if self._pointer is not None and self._handle_at(self._pointer) is not None:
            return self.tr("Drag the seam: what both parts then are is said while it moves.")
        n = self._part_at(self._pointer) if self._pointer is not None else -1
        if self.also and n < 0:
            return self.tr("{0} parts chosen. Drag one and all go with it, or onto another sheet in the strip.").format(
                len(self.all_chosen))
        if n < 0:
            n = self.number
        if n < 0:
            return self.tr("Drag a part to another place, or onto another sheet in the strip; Shift and a click "
                           "chooses several. Page up and Page down: the sheets.")
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

    def _handle_at(self, at) -> Handle | None:
        """The seam whose knob is at a place of the view."""
        for handle in self._handles:
            if (self.place_of(*handle.knob) - at).manhattanLength() <= 1.6 * KNOB_PX:
                return handle
        return None

    def _across(self, at) -> float:
        """By how much the seam is moved that is held, in whole tenths of a millimetre."""
        handle = next(h for h in self._handles if h.number == self._held)
        by = (at.x() - self._from.x()) * handle.across[0] + (at.y() - self._from.y()) * handle.across[1]
        return round(by / self._view.scale, 1)

    def mousePressEvent(self, event):
        if event.button() not in (Qt.MouseButton.LeftButton, Qt.MouseButton.MiddleButton):
            return
        at = event.position()
        is_left = event.button() == Qt.MouseButton.LeftButton
        self._from, self._moved = at, (0.0, 0.0)
        handle = self._handle_at(at) if is_left else None
        if handle is not None:
            self._drag, self._held, self._by = "seam", handle.number, 0.0
            self.seam_held.emit(handle.number, 0.0)
            return
        n = self._part_at(at) if is_left else -1
        if is_left and event.modifiers() & Qt.KeyboardModifier.ShiftModifier:
            if n >= 0:
                self._add(n)
            self._drag = None
            return
        if is_left and n not in self.all_chosen:
            self.choose(n)
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
        elif self._drag == "seam":
            self._by = self._across(at)
            self.seam_held.emit(self._held, self._by)
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
                self.sent.emit(self.mapToGlobal(at.toPoint()))
            else:
                self.put.emit(*self._moved)
        elif drag == "seam":
            number, by, self._held, self._by = self._held, self._by, None, 0.0
            if by:
                self.seam_put.emit(number, by)
        self.update()

    def _snapped(self, dx, dy):
        """A move that ends at an edge of what can be cut, or in line with another part, where that is near."""
        reach = _SNAP_PX / self._view.scale
        box = self._sheet.placed[self.number].box
        lines = [self._sheet.usable, *(p.box for n, p in enumerate(self._sheet.placed) if n not in self.all_chosen)]
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
        for n in self.all_chosen:
            one = placed[n]
            placed[n] = replace(one, dx=one.dx + self._moved[0], dy=one.dy + self._moved[1])
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
            self.put.emit(step[0] * far, step[1] * far)
        elif step is not None:
            self._view, self._fitted = self._view.moved(-40 * step[0], -40 * step[1]), False
            self.update()
        elif key == Qt.Key.Key_T and self.number >= 0:
            self.turned.emit()
        elif key in (Qt.Key.Key_Delete, Qt.Key.Key_Backspace) and self.number >= 0:
            self.freed.emit()
        elif key == Qt.Key.Key_N and self._sheet is not None and self._sheet.placed:
            self.choose((self.number + 1) % len(self._sheet.placed))
        elif key == Qt.Key.Key_Escape and self.number >= 0:
            self.choose(-1)
        else:
            super().keyPressEvent(event)
