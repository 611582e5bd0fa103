"""The bench: the work at true scale between rulers, source and cut on either side of a curtain."""

from PySide6.QtCore import QEvent, QPointF, QRectF, Qt, QTimer, Signal
from PySide6.QtGui import QColor, QCursor, QNativeGestureEvent, QPainter, QPen
from PySide6.QtWidgets import QPushButton, QWidget

from sketchloom.app import dyes, theme
from sketchloom.app.bench import chips
from sketchloom.app.bench import paint as bench_paint
from sketchloom.app.bench.cross import Cross
from sketchloom.app.bench.paint import COLOUR_MIME, RULER, SourceImage, ringed, tint_of
from sketchloom.app.bench.pointed import Pointed
from sketchloom.app.bench.tiles import Content, Tiles
from sketchloom.app.bench.view import View
from sketchloom.app.painted import painted
from sketchloom.app.tools.tool import Frame, draw_line
from sketchloom.app.work.jobs import close_all
from sketchloom.desk.regions import changed_boxes

_WHEEL_STEP = 1.2
_GRAB = 10
_NEAR = 4


class Bench(QWidget):
    """Shows a work. Drag pans, the wheel zooms to the pointer, the curtain's handle drags."""

    picked = Signal(str)
    viewed = Signal()
    cancelled = Signal()
    tool_changed = Signal(object)
    colour_dropped = Signal(str, float, float)

    def __init__(self, parent=None):
        super().__init__(parent)
        self.setMouseTracking(True)
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setAccessibleName(self.tr("Bench: the work at true scale"))
        self.setMinimumSize(320, 260)
        self._source: SourceImage | None = None
        self._size_mm = (1.0, 1.0)
        self._shown = None
        self._view = View()
        self._fitted = True
        self.curtain = 0.5
        self.curtain_on = True
        self.difference_on = False
        self._difference: tuple | None = None
        self.source_only = False
        self.grid = False
        self.ground = "auto"
        self.fitting_ground = "middle"
        self.unit = "mm"
        self.picking = False
        self.takes_colours = False
        self.setAcceptDrops(True)
        self.tool = None
        self._original: SourceImage | None = None
        self._pinned = None
        self._numbers: tuple = ()
        self._look = None
        self.pinned_title = ""
        self.lasso = None
        self.marks: tuple = ()
        self._peek = self._widths = None
        self.target = None
        self._pointer: QPointF | None = None
        self.cross = Cross(self)
        self._pointed = Pointed(self)
        self._drag = None
        self.tiles, self._pinned_tiles = Tiles("drawing", self), Tiles("drawing pinned", self)
        for tiles in (self.tiles, self._pinned_tiles):
            tiles.renewed.connect(self.update)
        self._seen = None  # the source as last painted
        self._selected: str | None = None
        self._busy_text = ""
        self._stop = QPushButton(self.tr("Cancel"), self)
        self._stop.clicked.connect(self.cancelled)
        self._stop.hide()
        self._target_timer = QTimer(self, singleShot=True, interval=6000)
        self._target_timer.timeout.connect(lambda: self.point_at(None))

    # -- what is shown -----------------------------------------------------------------

    def set_picture(self, picture, image: SourceImage) -> None:
        """A new work begins: forget the old one."""
        self.set_tool(None)
        self._source = self._original = image
        self._picture = picture
        self._shown = self._seen = self._pinned = None
        self.tiles.show(None)
        self._pinned_tiles.show(None)
        self._pointed.forget()
        self.marks, self.target, self._peek, self._widths, self._numbers = (), None, None, None, ()
        self._fitted = True
        self.update()

    def show_work(self, shown) -> None:
        """Take a finished evaluation, coarse or exact."""
        resized = self._size_mm != shown.work.size_mm
        if resized:
            self._seen = None
        if shown.source is not None and shown.source is not self._source:
            self._source, self._picture, self._seen = shown.source, shown.work.whole, None
        if self._shown is None or self._shown.veil is not shown.veil:
            self._seen = None
        self._keep_cut(shown)
        self._shown, self._size_mm = shown, shown.work.size_mm
        self._pointed.forget()
        self._peek = None
        if resized and self._fitted:
            self.fit()
        self._describe(self._pointer)
        self.update()

    def _keep_cut(self, shown):
        """Only the tiles on which something changed are made anew, where that is known."""
        before = self._shown
        boxes = None
        if (
            before is not None
            and not before.coarse
            and not shown.coarse
            and shown.index is not None
            and self._look is None
        ):
            boxes = changed_boxes(before.work, shown.work, shown.index)
        self.tiles.show(self._content(shown), boxes)

    def _content(self, shown) -> Content:
        faint = frozenset(f.key for f in shown.work.findings if f.code == "layer.like_ground" and f.key is not None)
        return Content(
            shown.work.layers,
            shown.paths,
            shown.work.mm_per_px,
            not shown.coarse,
            self._look_of(shown),
            self._selected,
            faint if shown.work.recipe.laid_on is not None else frozenset(),
        )

    def _renew(self, boxes=None):
        """The same sheets shown otherwise."""
        if self._shown is not None:
            self.tiles.show(self._content(self._shown), boxes)
            self.update()

    @property
    def selected_key(self) -> str | None:
        """The key of the layer that is outlined."""
        return self._selected

    @selected_key.setter
    def selected_key(self, key) -> None:
        if key != self._selected:
            self._selected = key
            self._renew()

    def paint_at_once(self, paths, looks, mm_per_px: float) -> None:
        """Show regions (paths in px) in the colours they are about to have, None for the ground; the exact cut
        follows."""

        def paint(painter):
            painter.scale(mm_per_px, mm_per_px)
            for path, look in zip(paths, looks, strict=True):
                painter.setCompositionMode(QPainter.CompositionMode.CompositionMode_DestinationOut if look is None
                                           else QPainter.CompositionMode.CompositionMode_SourceOver)
                painter.fillPath(path, QColor(look or "#000000"))
        self.tiles.paint_into(self._view, paint)
        self.update()

    def pin(self, tried, title: str = "") -> None:
        """Hold another result in the place of the source; None lets it go."""
        self._pinned, self.pinned_title, self._seen = tried, title, None
        self._pinned_tiles.show(
            None if tried is None else Content(tried.work.layers, tried.paths, tried.work.mm_per_px)
        )
        self.curtain_on = self.curtain_on or tried is not None
        self.update()

    def show_peek(self, area, places=()) -> None:
        """Hatch an area, (h, w) bool over the whole picture, and ring places (K, 3): x, y, area in px; None for
        nothing."""
        if area is None and self._peek is None:
            return
        if area is None:
            self._peek = None
        else:
            work = self._shown.work
            self._peek = tint_of(area), ringed(places, work.picture.width * work.picture.height, work.mm_per_px)
        self.update()

    def show_look(self, look) -> None:
        """Paint sheets in the look of their material and with shadows; None for flat colours."""
        if look != self._look:
            self._look = look
            self._renew()

    def show_numbers(self, numbers) -> None:
        """Number pieces: x and y in mm, text, whether it can be laid wrong; none to show no numbers."""
        self._numbers = tuple(numbers)
        self.update()

    def show_widths(self, line) -> None:
        """Mark narrow places: middles (K, 2) mm and widths against the least wanted; None for nothing."""
        self._widths = line
        self.update()

    @property
    def is_busy(self) -> bool:
        return bool(self._busy_text)

    def set_busy(self, text: str) -> None:
        """Show what is under way with a way to stop it; an empty text when nothing is."""
        if text != self._busy_text:
            self._busy_text = text
            self._stop.setVisible(bool(text))
            self._place_stop()
            self.update()

    @property
    def source_image(self) -> SourceImage | None:
        """The picture as it is shown."""
        return self._source

    def bring_into_view(self, x_mm: float, y_mm: float) -> None:
        """Move a place that is out of sight to the middle."""
        x, y = self._view.to_screen(x_mm, y_mm)
        if not (RULER + 40 <= x <= self.width() - 40 and RULER + 40 <= y <= self.height() - 40):
            self._set_view(self._view.moved(self._middle().x() - x, self._middle().y() - y))

    def point_at(self, place_mm) -> None:
        """Mark a place for a few seconds and bring it into view."""
        self.target = place_mm
        if place_mm is not None:
            x, y = self._view.to_screen(*place_mm)
            self._set_view(self._view.moved(self._middle().x() - x, self._middle().y() - y))
            self._target_timer.start()
        self.update()

    # -- the view ----------------------------------------------------------------------

    @property
    def view(self) -> View:
        return self._view

    def fit(self) -> None:
        self._set_view(View.fitting(*self._size_mm, RULER, RULER, self.width() - RULER, self.height() - RULER))
        self._fitted = True

    def true_size(self) -> None:
        """One millimetre of the work is one of the screen, as far as the screen tells its size."""
        dots = self.screen().physicalDotsPerInch() if self.screen() else 96.0
        self.zoom(max(dots, 30.0) / 25.4 / self._view.scale)

    def zoom(self, factor: float, at: QPointF | None = None) -> None:
        at = at or self._middle()
        self._set_view(self._view.zoomed(factor, at.x(), at.y()))

    def place_of(self, x_mm: float, y_mm: float) -> QPointF:
        """Where a place of the work lies on the bench."""
        return QPointF(*self._view.to_screen(x_mm, y_mm))

    def pan(self, dx: float, dy: float) -> None:
        self._set_view(self._view.moved(dx, dy))

    def move_curtain(self, to: float) -> None:
        self.curtain = min(max(to, 0.0), 1.0)
        self.curtain_on = True
        self.update()

    def _middle(self):
        return QPointF((self.width() + RULER) / 2, (self.height() + RULER) / 2)

    def _set_view(self, view):
        self._view, self._fitted = view.on_pixels(), False
        self._seen = None
        self.update()
        self.viewed.emit()

    def _curtain_x(self) -> float:
        return RULER + self.curtain * (self.width() - RULER)

    # -- painting ----------------------------------------------------------------------

    @painted
    def paintEvent(self, painter):
        painter.fillRect(self.rect(), QColor(theme.GROUNDS[self._ground()]))
        visible = QRectF(RULER, RULER, self.width() - RULER, self.height() - RULER)
        page = self._page()
        painter.save()
        painter.setClipRect(visible)
        if self._source is not None:
            self._paint_work(painter, visible, page)
        if self.grid:
            bench_paint.paint_grid(painter, self.rect(), self._view, self.unit)
        painter.setPen(QPen(QColor(255, 255, 255, 150) if self._ground() == "dark" else QColor(40, 36, 30, 130), 1,
                            Qt.PenStyle.DashLine))
        painter.setBrush(Qt.BrushStyle.NoBrush)
        painter.drawRect(page)
        self._paint_overlays(painter)
        if self.tool is not None:
            painter.setRenderHint(QPainter.RenderHint.Antialiasing)
            self.tool.paint(painter, Frame(page))
            self.cross.paint(painter)
        painter.restore()
        bench_paint.paint_rulers(painter, self.rect(), self._view, self.unit, self._pointer)
        self._paint_texts(painter)

    def _ground(self):
        """The ground that was chosen, or the one on which the work is seen best."""
        return self.fitting_ground if self.ground == "auto" else self.ground

    def _paint_laid_on(self, painter, page):
        """The shirt, wall or card below everything, if it was said."""
        if self._shown is not None and self._shown.work.recipe.laid_on is not None:
            painter.fillRect(page, QColor(self._shown.work.recipe.laid_on))

    def _page(self) -> QRectF:
        """Where the picture lies; as it came, it has the prepared one's width."""
        width, height = self._size_mm
        if self._shows_original():
            first = self._original.levels[0]
            height = width * first.height() / first.width()
        return QRectF(self._view.x, self._view.y, width * self._view.scale, height * self._view.scale)

    def _shows_original(self) -> bool:
        return self.tool is not None and self.tool.wants_original and self._original is not None

    def set_tool(self, tool) -> None:
        """Take up a tool, or none; one that was held is put down."""
        if tool is self.tool:
            return
        old, self.tool = self.tool, tool
        if self._drag == "tool":
            self._drag = None  # what was drawn with the tool that goes is over
        if old is not None:
            old.done.disconnect(self.put_down)
            old.repaint.disconnect(self.update)
        if tool is not None:
            tool.done.connect(self.put_down)
            tool.repaint.connect(self.update)
        self._seen = None
        self._pointed.forget()
        self.setCursor(Qt.CursorShape.ArrowCursor if tool is None else tool.cursor)
        self.tool_changed.emit(tool)
        self.update()

    def put_down(self) -> None:
        """Hold no tool."""
        self.set_tool(None)

    def _paint_work(self, painter, visible, page):
        split = self._curtain_x() if self.curtain_on else RULER
        if self.source_only or self._shown is None or (self.tool is not None and self.tool.wants_source):
            split = self.width()
        elif self.tool is not None and self.tool.wants_cut:
            split = RULER
        painter.save()
        painter.setClipRect(visible.intersected(QRectF(0, 0, split, self.height())))
        if self._pinned is not None and self.tool is None and not self.source_only:
            self._pinned_tiles.paint(painter, self._view, self.size(), self.devicePixelRatioF())
        else:
            if self._seen is None:
                self._seen = self._left_image(page)
            painter.drawImage(0, 0, self._seen)
        painter.restore()
        if split < self.width():
            painter.save()
            painter.setClipRect(visible.intersected(QRectF(split, 0, self.width(), self.height())))
            self._paint_laid_on(painter, page)
            self.tiles.paint(painter, self._view, self.size(), self.devicePixelRatioF())
            painter.restore()

    def _left_image(self, page):
        """The source under its veil."""
        shown = self._original if self._shows_original() else self._source
        image = bench_paint.render_source(self.size(), self.devicePixelRatioF(), shown, page)
        if self._shown is not None and self._shown.veil is not None and not self._shows_original():
            painter = QPainter(image)
            painter.setRenderHint(QPainter.RenderHint.SmoothPixmapTransform)
            painter.drawImage(page, self._shown.veil)
            painter.end()
        return image

    def _look_of(self, shown):
        """The look asked for, once it is of the sheets that are shown."""
        fits = self._look is not None and len(self._look.families) == len(shown.work.layers)
        return self._look if fits and not shown.coarse else None

    def _paint_overlays(self, painter):
        painter.save()
        painter.setRenderHint(QPainter.RenderHint.Antialiasing)
        painter.translate(self._view.x, self._view.y)
        painter.scale(self._view.scale, self._view.scale)
        if self._pointed.path is not None:
            path = self._pointed.path.seen(self._box_mm(), 1 / self._view.scale)
            for colour, width in (("#ffffff", 3.0), (dyes.MADDER, 1.5)):
                pen = QPen(QColor(colour), width)
                pen.setCosmetic(True)
                painter.strokePath(path, pen)
        painter.restore()
        if self.lasso is not None:
            frame = Frame(self._page())
            draw_line(painter, [frame.place(*p) for p in self.lasso], closed=True)
        if self._widths is not None:
            bench_paint.paint_widths(painter, self._view, *self._widths)
        if self.difference_on and self._unlike() is not None:
            painter.drawImage(self._page(), self._hatched(self._unlike()))
        if self._peek is not None:
            painter.drawImage(self._page(), self._peek[0])
            bench_paint.paint_marks(painter, self._view, self._peek[1], None)
        if self._numbers:
            bench_paint.paint_numbers(painter, self._view, self._numbers)
        bench_paint.paint_marks(painter, self._view, self.marks, self.target)
        if self.curtain_on and not self.source_only and self._shown is not None and self.tool is None:
            bench_paint.paint_curtain(painter, self.rect(), self._curtain_x(),
                                      self.pinned_title or self.tr("source"), self.tr("cut"))

    def _unlike(self):
        """Where the picture shown is unlike what is cut; None where that is not known."""
        return None if self._shown is None else self._shown.work.unlike

    def _hatched(self, unlike):
        """Its places as a veil, made once."""
        if self._difference is None or self._difference[0] is not unlike:
            self._difference = unlike, tint_of(unlike.area)
        return self._difference[1]

    def _difference_text(self):
        found = self._unlike()
        if found is None:
            return self.tr("this reading is not meant to be like the picture everywhere")
        return self.tr("hatched: {0:.2%} of the picture, unlike what is cut there").format(1 - found.explained)

    def _box_mm(self):
        """What is seen, and a little around it, mm."""
        more = 8 / self._view.scale
        (left, top), (right, bottom) = self._view.to_mm(0, 0), self._view.to_mm(self.width(), self.height())
        return left - more, top - more, right + more, bottom + more

    def _paint_texts(self, painter):
        font = painter.font()
        font.setPixelSize(theme.text_px(13))
        painter.setFont(font)
        text = self.tool.hint if self.tool is not None else self._pointed.text
        if text:
            chips.hint(painter, text, RULER + 10, self.height() - 10, self.width() - RULER - 20)
        if self._busy_text:
            chips.chip(painter, self._busy_text, RULER + 10, RULER + 10)
        elif self._shown is not None and self._shown.coarse:
            chips.chip(painter, self.tr("rough preview"), RULER + 10, RULER + 10)
        elif self._shown is not None and self.difference_on:
            chips.chip(painter, self._difference_text(), RULER + 10, RULER + 10)

    def _place_stop(self):
        width = self.fontMetrics().horizontalAdvance(self._busy_text) + 40
        self._stop.move(RULER + 10 + width, RULER + 6)
        self._stop.adjustSize()
        self._stop.raise_()

    def resizeEvent(self, event):
        super().resizeEvent(event)
        self._seen = None
        if self._fitted:
            self.fit()

    # -- pointer and keys ----------------------------------------------------------------

    def keyPressEvent(self, event):
        if self.tool is not None:
            self.tool.modifiers = event.modifiers()
            if self.tool.key(event.key()) or self.cross.key(event):
                return
        step = {Qt.Key.Key_Left: (40, 0), Qt.Key.Key_Right: (-40, 0), Qt.Key.Key_Up: (0, 40),
                Qt.Key.Key_Down: (0, -40)}.get(event.key())
        if step is not None and not event.modifiers() & Qt.KeyboardModifier.ControlModifier:
            self.pan(*step)
        elif event.text() in ("[", "]"):
            self.move_curtain(self.curtain + (0.04 if event.text() == "]" else -0.04))
        else:
            super().keyPressEvent(event)

    def wheelEvent(self, event):
        pixels = event.pixelDelta()
        if not pixels.isNull() and not event.modifiers() & Qt.KeyboardModifier.ControlModifier:
            self.pan(pixels.x(), pixels.y())
        else:
            turns = (event.angleDelta().y() or event.angleDelta().x()) / 120.0
            self.zoom(_WHEEL_STEP**turns, event.position())
        event.accept()

    def event(self, event):
        if event.type() == QEvent.Type.ShortcutOverride and self.tool is not None and (
                self.tool.wants(event.key()) or self.cross.wants(event)):
            event.accept()  # what acts on a choice goes before the window's own keys
            return True
        is_gesture = event.type() == QEvent.Type.NativeGesture and isinstance(event, QNativeGestureEvent)
        if is_gesture and event.gestureType() == Qt.NativeGestureType.ZoomNativeGesture:
            self.zoom(1.0 + event.value(), event.position())
            return True
        return super().event(event)

    def dragEnterEvent(self, event):
        if self.takes_colours and event.mimeData().hasFormat(COLOUR_MIME):
            event.acceptProposedAction()
        else:
            event.ignore()  # the window may take it

    def dragMoveEvent(self, event):
        self.dragEnterEvent(event)
        if event.isAccepted() and self.tool is not None:
            self.tool.move(Frame(self._page()), event.position(), False)

    def dropEvent(self, event):
        mx, my = self._view.to_mm(event.position().x(), event.position().y())
        if self._shown is None or not event.mimeData().hasFormat(COLOUR_MIME):
            event.ignore()
            return
        scale = self._shown.work.mm_per_px
        self.colour_dropped.emit(
            bytes(event.mimeData().data(COLOUR_MIME)).decode("ascii", "replace"), mx / scale, my / scale
        )
        event.acceptProposedAction()

    def frame(self) -> Frame:
        """Where the picture lies, for tools."""
        return Frame(self._page())

    def mousePressEvent(self, event):
        at = event.position()
        self.cross.put_away()
        if self.tool is not None and event.button() == Qt.MouseButton.LeftButton:
            self._drag = "tool"
            self.tool.modifiers = event.modifiers()
            self.tool.press(Frame(self._page()), at)
        elif self.picking and event.button() == Qt.MouseButton.LeftButton:
            self._pick(at)
        elif self._on_curtain(at) and event.button() == Qt.MouseButton.LeftButton:
            self._drag = "curtain"
        elif event.button() in (Qt.MouseButton.LeftButton, Qt.MouseButton.MiddleButton):
            self._drag = at
            self.setCursor(Qt.CursorShape.ClosedHandCursor)

    def mouseMoveEvent(self, event):
        at = event.position()
        self._pointer = at
        if self.tool is not None and self._drag in (None, "tool"):
            self.tool.move(Frame(self._page()), at, self._drag == "tool")
        elif self._drag == "curtain":
            self.move_curtain((at.x() - RULER) / max(self.width() - RULER, 1))
        elif self._drag is not None:
            self.pan(at.x() - self._drag.x(), at.y() - self._drag.y())
            self._drag = at
        else:
            self._describe(at)
            self._choose_cursor(at)
        self.update()

    def mouseReleaseEvent(self, event):
        drag, self._drag = self._drag, None
        if drag == "tool" and self.tool is not None:
            self.tool.release(Frame(self._page()), event.position())
        self._choose_cursor(event.position())

    def mouseDoubleClickEvent(self, event):
        if self.tool is not None:
            self.tool.double_click(Frame(self._page()), event.position())
        else:
            self.fit()

    def leaveEvent(self, _):
        self._pointer = None
        self._describe(None)
        self.update()

    def show_source_only(self, on: bool) -> None:
        """The source alone, all over."""
        self.source_only = on
        self.update()

    def set_picking(self, on: bool) -> None:
        """While on, a click takes the picture's colour under the pointer."""
        self.picking = on
        self.show_source_only(on)
        self.setCursor(Qt.CursorShape.CrossCursor if on else Qt.CursorShape.ArrowCursor)
        self.update()

    def _on_curtain(self, at):
        return (self.curtain_on and self._shown is not None and not self.source_only and self.tool is None
                and abs(at.x() - self._curtain_x()) <= _GRAB and at.y() > RULER)

    def _describe(self, at):
        """Find what is under the pointer and say what it is."""
        place = None
        if at is not None and not self.picking:
            place = self._view.to_mm(at.x(), at.y())
        self._pointed.look(self._shown, place, self.unit, _NEAR / self._view.scale)

    def _choose_cursor(self, at):
        if self.tool is not None:
            shape = self.tool.cursor
        elif self.picking:
            shape = Qt.CursorShape.CrossCursor
        else:
            shape = Qt.CursorShape.SplitHCursor if self._on_curtain(at) else Qt.CursorShape.ArrowCursor
        if self.cursor().shape() != shape:
            self.setCursor(QCursor(shape))

    def _pick(self, at):
        place = self._pixel_at(at)
        if place is not None:
            r, g, b = self._picture.rgb[place[1], place[0]]
            self.picked.emit(f"#{r:02x}{g:02x}{b:02x}")

    def _pixel_at(self, at):
        mx, my = self._view.to_mm(at.x(), at.y())
        x = int(mx / self._size_mm[0] * self._picture.width)
        y = int(my / self._size_mm[1] * self._picture.height)
        inside = 0 <= x < self._picture.width and 0 <= y < self._picture.height and mx >= 0 and my >= 0
        return (x, y) if inside else None

    @property
    def is_sharp(self) -> bool:
        """Whether nothing that is seen is still being drawn."""
        return self.tiles.is_sharp and self._pinned_tiles.is_sharp

    def close_lanes(self) -> None:
        """End what draws beside the window."""
        close_all((self.tiles.lane, self._pinned_tiles.lane))
