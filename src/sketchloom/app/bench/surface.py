"""What the bench shows, and from where it is seen."""

from PySide6.QtCore import QPointF, Qt, QTimer, Signal
from PySide6.QtGui import QColor, QPainter
from PySide6.QtWidgets import QPushButton

from sketchloom.app.bench.cross import Cross
from sketchloom.app.bench.paint import SourceImage, ringed, tint_of
from sketchloom.app.bench.pointed import Pointed
from sketchloom.app.bench.rulers import RULER, Rulers
from sketchloom.app.bench.tiles import Content, Tiles
from sketchloom.app.bench.view import View
from sketchloom.app.painted import Picture
from sketchloom.desk.regions import changed_boxes


class Surface(Picture):
    """The work, its pictures and marks, and the view of them; how they are painted, and what a hand does to them, is
    added by what is made of it."""

    picked = Signal(str)
    viewed = Signal()
    cancelled = Signal()
    tool_changed = Signal(object)
    colour_dropped = Signal(str, float, float)
    menu_wanted = Signal(QPointF, bool)
    """At a place of the bench; whether a key asks, and no cross says where."""

    def __init__(self, parent=None):
        super().__init__(parent)
        self.setMouseTracking(True)
        self.setFocusPolicy(Qt.FocusPolicy.StrongFocus)
        self.setAccessibleName(self.tr("Bench: the work at true scale"))
        self.setMinimumSize(320, 260)
        self._rulers = Rulers()
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
        self.resting = None
        """The tool that takes clicks while none is held: drags pan and the curtain is there all the same."""
        self.asked = ""
        """What a hand is asked to do, where no tool says it."""
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

    @property
    def hand(self):
        """The tool that clicks and keys go to: the one that is held, or the one that rests."""
        return self.tool if self.tool is not None else self.resting

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
