"""The cut as tiles, made beside the window: what is there is shown at once, moved and scaled, and made sharp after."""

from dataclasses import dataclass, field

from PySide6.QtCore import QObject, QPointF, QRectF, QSize, Qt, QTimer, Signal
from PySide6.QtGui import QColor, QImage, QPainter, QPen

from sketchloom.app import dyes
from sketchloom.app.bench.looks import Look
from sketchloom.app.bench.paint import paint_layers
from sketchloom.app.bench.view import View
from sketchloom.app.work.jobs import Lane

TILE = 256
"""Side of a tile, px of the screen. At 128 the sheets of 3,000 regions are cut up twice as often; at 512 the first tile
of them takes 0.1 s."""
_ROUND = 24
"""Shadows and grain are painted so far beyond a tile, px, so that neighbours meet."""
_TOGETHER_MS = 40
"""Tiles that are made within this time are shown together: painting the bench for each takes time from what traces."""
MOST_BYTES = 96 * 2**20
"""Tiles that are kept: a screen of 4K twice over."""


@dataclass(frozen=True, slots=True, eq=False)
class Content:
    """What is painted: layers with their paths, base first. ``selected`` is outlined, those in ``faint`` are dotted, by
    their keys; ``is_smooth`` for exact results."""

    layers: tuple
    paths: tuple
    mm_per_px: float
    is_smooth: bool = True
    look: Look | None = None
    selected: str | None = None
    faint: frozenset[str] = frozenset()


@dataclass(slots=True, eq=False)
class _Tile:
    image: QImage
    is_fresh: bool = True


@dataclass(slots=True, eq=False)
class _Level:
    """Tiles of one scale, by column and row from the work's origin."""

    scale: float
    ratio: float
    tiles: dict = field(default_factory=dict)


class Tiles(QObject):
    """Keeps tiles of a content and paints them under a view."""

    renewed = Signal()
    _made = Signal(object, object, object, object)

    def __init__(self, name: str, parent=None):
        super().__init__(parent)
        self.lane = Lane(name)
        self._content: Content | None = None
        self._level: _Level | None = None
        self._before: _Level | None = None
        self._asked: tuple | None = None
        self._made.connect(self._take)
        self._soon = QTimer(self, singleShot=True, interval=_TOGETHER_MS)
        self._soon.timeout.connect(self.renewed)

    @property
    def content(self) -> Content | None:
        return self._content

    def show(self, content: Content | None, boxes=None) -> None:
        """Show another content. ``boxes`` (left, top, right, bottom), mm, are where it differs; None for everywhere."""
        self._content = content
        self._asked = None
        self.lane.forget()
        if content is None:
            self._level = self._before = None
            return
        self._before = self._before if boxes is not None and not len(boxes) else None
        if self._level is not None:
            for place, tile in self._level.tiles.items():
                tile.is_fresh = (
                    tile.is_fresh
                    and boxes is not None
                    and not any(self._box(place).intersects(_rect(b)) for b in boxes)
                )

    def _box(self, place):
        side = TILE / self._level.scale
        return QRectF(place[0] * side, place[1] * side, side, side)

    @property
    def is_sharp(self) -> bool:
        """Whether all that was painted last is of the present content and scale."""
        return self._asked is None

    def paint(self, painter: QPainter, view: View, size: QSize, ratio: float) -> None:
        """Paint what is there, and ask for what is missing."""
        if self._content is None:
            return
        if self._level is None or self._level.scale != view.scale or self._level.ratio != ratio:
            if self._level is not None and self._level.tiles:
                self._before = self._level
            self._level = _Level(view.scale, ratio)
            self._asked = None
        painter.setRenderHint(QPainter.RenderHint.SmoothPixmapTransform, False)
        wanted = self._seen(view, size)
        missing = [p for p in wanted if p not in self._level.tiles or not self._level.tiles[p].is_fresh]
        if self._before is not None and any(p not in self._level.tiles for p in missing):
            self._paint_level(painter, self._before, view, size)
        for place in wanted:
            tile = self._level.tiles.get(place)
            if tile is not None:
                painter.drawImage(QPointF(view.x + place[0] * TILE, view.y + place[1] * TILE), tile.image)
        self._ask(missing, view, size)

    def _seen(self, view, size):
        """Places of the tiles that are seen."""
        first = int((0 - view.x) // TILE), int((0 - view.y) // TILE)
        last = int((size.width() - view.x) // TILE), int((size.height() - view.y) // TILE)
        return [(x, y) for y in range(first[1], last[1] + 1) for x in range(first[0], last[0] + 1)]

    def _paint_level(self, painter, level, view, size):
        side = TILE * view.scale / level.scale
        seen = QRectF(0, 0, size.width(), size.height())
        for (x, y), tile in level.tiles.items():
            target = QRectF(view.x + x * side, view.y + y * side, side, side)
            if target.intersects(seen):
                painter.drawImage(target, tile.image)

    def _ask(self, missing, view, size):
        if not missing:
            self._asked = None
            return
        level, content = self._level, self._content
        if self._asked is not None and self._asked[:2] == (id(level), id(content)) and set(missing) <= self._asked[2]:
            return
        middle = (size.width() / 2 - view.x) / TILE - 0.5, (size.height() / 2 - view.y) / TILE - 0.5
        missing = sorted(missing, key=lambda p: (p[0] - middle[0])**2 + (p[1] - middle[1])**2)
        self._asked = (id(level), id(content), set(missing))

        def work(progress):
            for number, place in enumerate(missing):
                progress.step(number, len(missing), "")
                self._made.emit(level, content, place, rendered(content, level.scale, level.ratio, place, progress))
        self.lane.run("", work, lambda _: None, lambda _: None)

    def _take(self, level, content, place, image):
        if level is not self._level or content is not self._content:
            return
        level.tiles[place] = _Tile(image)
        if self._asked is not None:
            self._asked[2].discard(place)
            if not self._asked[2]:
                self._asked, self._before = None, None
        self._bound()
        if self._asked is None:
            self._soon.stop()
            self.renewed.emit()
        elif not self._soon.isActive():
            self._soon.start()

    def _bound(self):
        """Let the oldest tiles go when there are too many."""
        each = next(iter(self._level.tiles.values())).image.sizeInBytes()
        while len(self._level.tiles) * each > MOST_BYTES:
            self._level.tiles.pop(next(iter(self._level.tiles)))

    def paint_into(self, view: View, paint) -> None:
        """Paint into the tiles that are there, as if they were one image under the view; what follows replaces it."""
        if self._level is None or self._level.scale != view.scale:
            return
        for (x, y), tile in self._level.tiles.items():
            painter = QPainter(tile.image)
            painter.setRenderHint(QPainter.RenderHint.Antialiasing)
            painter.translate(-x * TILE, -y * TILE)
            painter.scale(view.scale, view.scale)
            paint(painter)
            painter.end()

    def close(self) -> None:
        self.lane.close()


def _rect(box):
    left, top, right, bottom = box
    return QRectF(left, top, right - left, bottom - top)


def rendered(content: Content, scale: float, ratio: float, place, progress=None) -> QImage:
    """The image of one tile; ``scale`` px of the screen a mm."""
    pad = _ROUND if content.look is not None else 0
    side = TILE + 2 * pad
    image = QImage(round(side * ratio), round(side * ratio), QImage.Format.Format_ARGB32_Premultiplied)
    image.setDevicePixelRatio(ratio)
    image.fill(Qt.GlobalColor.transparent)
    left, top = place[0] * TILE - pad, place[1] * TILE - pad
    painter = QPainter(image)
    try:
        painter.setRenderHint(QPainter.RenderHint.Antialiasing, content.is_smooth)
        painter.translate(-left, -top)
        painter.scale(scale, scale)
        box = ((left - 2) / scale, (top - 2) / scale, (left + side + 2) / scale, (top + side + 2) / scale)
        paint_layers(
            painter, content.layers, content.paths, content.mm_per_px, content.look, box, 1 / (scale * ratio), progress
        )
        _paint_lines(painter, content, box, 1 / (scale * ratio))
    finally:
        painter.end()  # an image must not go while it is painted on
    if not pad:
        return image
    inner = image.copy(round(pad * ratio), round(pad * ratio), round(TILE * ratio), round(TILE * ratio))
    inner.setDevicePixelRatio(ratio)
    return inner


def _paint_lines(painter, content, box, pixel):
    """The outline of what is chosen, and dots around what could not be seen on its ground."""
    for layer, path in zip(content.layers, content.paths, strict=True):
        key = layer.plan.key
        if key == content.selected:
            dashed = _pen(dyes.MADDER, 1.5)
            dashed.setDashPattern([5, 4])
            for pen in (_pen("#ffffff", 3.0), dashed):
                painter.strokePath(path.seen(box, pixel), pen)
        elif key in content.faint:
            painter.strokePath(path.seen(box, pixel), _pen(dyes.INK_SOFT, 1.2, Qt.PenStyle.DotLine))


def _pen(colour, width, style=Qt.PenStyle.SolidLine):
    pen = QPen(QColor(colour), width, style)
    pen.setCosmetic(True)
    return pen
